package vocalis.core.mix;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.mix.Groove.Drum;
import vocalis.core.mix.Groove.Hit;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;

/** What a drummer plays under a riff: common practice, no source. */
class DrummerTest {

    private static final long Q = Ticks.QUARTER;
    private static final long BAR = Meter.COMMON.barTicks();
    private static final Fretboard BOARD = new Fretboard(Instrument.of(Tuning.STANDARD), 0);
    private static final List<Meter> METERS =
            List.of(
                    Meter.COMMON,
                    new Meter(2, 4),
                    new Meter(3, 4),
                    new Meter(5, 4),
                    new Meter(6, 4),
                    new Meter(7, 4),
                    new Meter(3, 8),
                    new Meter(5, 8),
                    new Meter(6, 8),
                    new Meter(7, 8),
                    new Meter(9, 8),
                    new Meter(11, 8),
                    new Meter(12, 8),
                    new Meter(5, 16),
                    new Meter(2, 2));

    private static ScoreNote note(long at, int string, Dynamics dynamics) {
        return new ScoreNote(
                string,
                2,
                at,
                Ticks.SIXTEENTH,
                false,
                false,
                dynamics,
                Manner.PLAIN,
                true,
                false,
                List.of(),
                java.util.Optional.empty());
    }

    private static Score score(Meter meter, int tempo, int bars, ScoreNote... notes) {
        return score(meter, tempo, bars, 0, notes);
    }

    private static Score score(Meter meter, int tempo, int bars, long pickup, ScoreNote... notes) {
        return new Score(
                BOARD,
                new TimeLine(MeterMap.of(meter).withPickup(pickup), TempoMap.of(tempo)),
                pickup + bars * meter.barTicks(),
                List.of(notes),
                List.of());
    }

    private static List<Long> at(List<Hit> hits, Drum drum) {
        return hits.stream().filter(h -> h.drum() == drum).map(Hit::at).toList();
    }

    /** Strokes of the snare that are no ghosts. */
    private static List<Long> snares(List<Hit> hits) {
        return hits.stream()
                .filter(h -> h.drum() == Drum.SNARE && h.velocity() > 0.4)
                .map(Hit::at)
                .toList();
    }

    private static int ghosts(List<Hit> hits) {
        return (int)
                hits.stream().filter(h -> h.drum() == Drum.SNARE && h.velocity() < 0.3).count();
    }

    private static List<Hit> bar(Meter meter, Feel feel) {
        return Drummer.stretch(score(meter, 100, 1), 0, meter.barTicks(), feel, false, false);
    }

    @Test
    void backbeatsFallOnTwoAndFourAndHalfTimeOnThree() {
        assertThat(snares(bar(Meter.COMMON, Feel.EIGHTHS))).containsExactly(Q, 3 * Q);
        assertThat(snares(bar(Meter.COMMON, Feel.HALF_TIME))).containsExactly(2 * Q);
        assertThat(snares(bar(Meter.COMMON, Feel.DOUBLE_TIME)))
                .containsExactly(Q / 2, 3 * Q / 2, 5 * Q / 2, 7 * Q / 2);
        assertThat(at(bar(Meter.COMMON, Feel.SWUNG), Drum.HAT)).contains(2 * Q / 3, Q + 2 * Q / 3);
    }

    /** Six eight is felt in two dotted quarters, the backbeat on the second; twelve in four. */
    @Test
    void compoundMetersPulseInDottedQuarters() {
        long dotted = 3 * Ticks.EIGHTH;
        List<Hit> six = bar(new Meter(6, 8), Feel.EIGHTHS);
        assertThat(snares(six)).containsExactly(dotted);
        assertThat(at(six, Drum.KICK)).containsExactly(0L);
        assertThat(at(six, Drum.HAT)).hasSize(6);
        assertThat(snares(bar(new Meter(12, 8), Feel.EIGHTHS))).containsExactly(dotted, 3 * dotted);
        assertThat(snares(bar(new Meter(12, 8), Feel.HALF_TIME))).containsExactly(2 * dotted);
    }

    /** Seven eight goes two, two, three unless the riff's accents say three, two, two. */
    @Test
    void oddMetersGoByTheirGroupsAndTheRiffSaysWhich() {
        Meter seven = new Meter(7, 8);
        long e = Ticks.EIGHTH;
        assertThat(snares(bar(seven, Feel.EIGHTHS))).containsExactly(2 * e);
        Score threeFirst =
                score(
                        seven,
                        100,
                        2,
                        note(0, 0, Dynamics.ACCENT),
                        note(3 * e, 0, Dynamics.ACCENT),
                        note(5 * e, 0, Dynamics.ACCENT));
        List<Hit> hits = Drummer.stretch(threeFirst, 0, 7 * e, Feel.EIGHTHS, false, false);
        assertThat(snares(hits)).containsExactly(3 * e);
        assertThat(at(hits, Drum.KICK)).containsExactly(0L, 5 * e);
        assertThat(snares(bar(new Meter(5, 4), Feel.EIGHTHS))).containsExactly(2 * Q, 4 * Q);
    }

    /** Kicks answer what the riff accents and strikes low, and keep off the snare. */
    @Test
    void kicksLockToTheRiff() {
        long s = Ticks.SIXTEENTH;
        Score riff =
                score(
                        Meter.COMMON,
                        120,
                        1,
                        note(0, 0, Dynamics.PLAIN),
                        note(3 * s, 0, Dynamics.PLAIN),
                        note(Q, 0, Dynamics.ACCENT),
                        note(6 * s, 3, Dynamics.ACCENT),
                        note(10 * s, 4, Dynamics.PLAIN),
                        note(14 * s, 0, Dynamics.GHOST));
        List<Hit> hits = Drummer.stretch(riff, 0, BAR, Feel.EIGHTHS, false, false);
        assertThat(at(hits, Drum.KICK)).containsExactly(0L, 3 * s, 6 * s);
    }

    /** A riff that accents the one alone still gets a bar that moves: two kicks and more. */
    @ParameterizedTest
    @EnumSource(Feel.class)
    void noBarStandsOnOneKick(Feel feel) {
        Score one = score(Meter.COMMON, 126, 1, note(0, 0, Dynamics.ACCENT));
        assertThat(at(Drummer.stretch(one, 0, BAR, feel, false, false), Drum.KICK))
                .hasSizeGreaterThan(1);
    }

    /** Six bars: a fill ends the fourth and the last, and a crash follows each. */
    @ParameterizedTest
    @EnumSource(Feel.class)
    void theKitFillsBeforeATurnAndCrashesAfterIt(Feel feel) {
        List<Hit> hits = Drummer.loop(score(Meter.COMMON, 120, 6), feel);
        assertThat(at(hits, Drum.TOM_LOW))
                .containsExactly(3 * BAR + 15 * Q / 4, 5 * BAR + 15 * Q / 4);
        assertThat(at(hits, Drum.CRASH)).containsExactly(0L, 4 * BAR);
        assertThat(at(hits, Drum.HAT)).doesNotContain(0L, 4 * BAR);
    }

    @Test
    void itWaitsThroughAPickup() {
        List<Hit> hits = Drummer.loop(score(Meter.COMMON, 120, 1, Q), Feel.EIGHTHS);
        assertThat(at(hits, Drum.KICK)).contains(Q).doesNotContain(0L);
    }

    /** Two bars are not one played twice: ghosts and an open hat tell them apart. */
    @ParameterizedTest
    @EnumSource(
            value = Feel.class,
            names = {"EIGHTHS", "HALF_TIME", "SWUNG", "SIXTEENTHS"})
    void barsDiffer(Feel feel) {
        List<Hit> hits =
                Drummer.stretch(score(Meter.COMMON, 96, 2), 0, 2 * BAR, feel, false, false);
        List<Hit> first = hits.stream().filter(h -> h.at() < BAR).toList();
        List<Hit> second =
                hits.stream()
                        .filter(h -> h.at() >= BAR)
                        .map(h -> new Hit(h.at() - BAR, h.drum(), h.velocity()))
                        .toList();
        assertThat(second).isNotEqualTo(first);
        assertThat(hits).anyMatch(h -> h.drum() == Drum.SNARE && h.velocity() < 0.3);
        assertThat(at(hits, Drum.OPEN_HAT)).hasSize(1);
    }

    /** Sixteenths for one hand when slow, for two when faster; eighths, then quarters above. */
    @Test
    void hatsAreWhatHandsKeepUp() {
        int[] tempos = {80, 130, 164, 220};
        int[] strokes = {18, 16, 16, 6};
        for (int i = 0; i < tempos.length; i++) {
            List<Hit> hits =
                    Drummer.stretch(
                            score(Meter.COMMON, tempos[i], 1),
                            0,
                            BAR,
                            Feel.SIXTEENTHS,
                            false,
                            false);
            List<Long> strong = snares(hits);
            assertThat(at(hits, Drum.HAT).size() + strong.size() + ghosts(hits))
                    .as("%d", tempos[i])
                    .isEqualTo(strokes[i] + (i == 0 ? ghosts(hits) : 0));
        }
        assertThat(at(bar(Meter.COMMON, Feel.EIGHTHS), Drum.HAT)).hasSize(8);
    }

    /**
     * Every feel, meter and tempo over a busy riff: bars begin with a kick (or half-time's snare),
     * two hands at a time and no more than they keep up, one foot, nothing twice, nothing outside.
     */
    @ParameterizedTest
    @EnumSource(Feel.class)
    void aDrummerCouldPlayIt(Feel feel) {
        for (Meter meter : METERS) {
            for (int tempo : new int[] {60, 97, 120, 150, 184, 240}) {
                List<ScoreNote> busy = new ArrayList<>();
                for (long at = 0; at < 8 * meter.barTicks(); at += Ticks.SIXTEENTH) {
                    busy.add(note(at, 0, at % (3 * Q / 2) == 0 ? Dynamics.ACCENT : Dynamics.PLAIN));
                }
                Score score = score(meter, tempo, 8, busy.toArray(ScoreNote[]::new));
                String what = feel + " " + meter.symbol() + " at " + tempo;
                playable(Drummer.loop(score, feel), meter, tempo, what);
            }
        }
    }

    private static void playable(List<Hit> hits, Meter meter, int tempo, String what) {
        Set<String> seen = new HashSet<>();
        TreeMap<Long, Integer> hands = new TreeMap<>();
        long foot = -BAR;
        for (Hit h : hits) {
            assertThat(seen.add(h.at() + " " + h.drum())).as(what).isTrue();
            assertThat(h.at()).as(what).isBetween(0L, 8 * meter.barTicks() - 1);
            if (h.drum() == Drum.KICK) {
                double apart = Ticks.seconds(h.at() - foot, tempo);
                assertThat(apart).as(what + " foot at " + h.at()).isGreaterThan(0.12);
                foot = h.at();
            } else {
                hands.merge(h.at(), 1, Integer::sum);
            }
        }
        assertThat(hands.values()).as(what).allMatch(n -> n <= 2);
        List<Long> ticks = List.copyOf(hands.keySet());
        for (int i = 4; i < ticks.size(); i++) {
            double seconds = Ticks.seconds(ticks.get(i) - ticks.get(i - 4), tempo);
            assertThat(seconds).as(what + " hands at " + ticks.get(i)).isGreaterThan(4 / 13.0);
        }
        for (int bar = 0; bar < 8; bar++) {
            long start = bar * meter.barTicks();
            assertThat(hits)
                    .as(what)
                    .anyMatch(
                            h ->
                                    h.at() == start
                                            && (h.drum() == Drum.KICK || h.drum() == Drum.SNARE));
        }
        assertThat(hits).isSortedAccordingTo(java.util.Comparator.comparingLong(Hit::at));
    }
}
