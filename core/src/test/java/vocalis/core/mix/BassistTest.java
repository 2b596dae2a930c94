package vocalis.core.mix;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.mix.Groove.BassNote;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.riff.Tone;
import vocalis.core.score.Harmony;
import vocalis.core.score.Score;
import vocalis.core.theory.Key;

/** What a bass player plays under a riff: common practice, no source. */
class BassistTest {

    private static final Deriver DERIVER = new Deriver(new Catalogue());

    private static Score score(Riff riff) {
        return DERIVER.derive(riff, Hand.MEDIUM).score();
    }

    private static Score in(Tuning tuning, String key, int... steps) {
        Ground g = new Ground(Instrument.of(tuning), 0, Key.parse(key), Tone.GAIN, 440);
        return score(Riffs.repeating(steps).withGround(g));
    }

    /** In every tuning there is the bass lies an octave under the guitar's lowest string, or up. */
    @ParameterizedTest
    @EnumSource(Mix.BassLine.class)
    void itLiesAnOctaveUnderTheGuitarInEveryTuning(Mix.BassLine line) {
        for (Tuning t : Tuning.offered()) {
            int low = t.open().get(0) - 12;
            for (int step = 1; step <= 7; step++) {
                List<BassNote> notes = Bassist.of(in(t, "B minor", 1, step), line, 11);
                assertThat(notes)
                        .as("%s, %s", t, line)
                        .isNotEmpty()
                        .allSatisfy(n -> assertThat(n.midi()).isBetween(low, low + 31));
            }
        }
    }

    /** A dropped string's root is an octave under the guitar's, not the same pitch. */
    @Test
    void aDroppedTuningsRootIsAnOctaveUnder() {
        Score score = in(Tuning.LOW_D, "D phrygian", 1, 2);
        int guitar = score.board().midi(0, score.notes().get(0).fret());
        assertThat(guitar).isEqualTo(38);
        assertThat(Bassist.of(score, Mix.BassLine.ROOTS, 2).get(0).midi()).isEqualTo(26);
    }

    /** Where the guitar's root climbs the bass's climbs, where it falls it falls. */
    @Test
    void itMovesTheWayTheGuitarMoves() {
        int[][] progressions = {{1, 5, 6, 4}, {1, 7, 6, 7}, {1, 3, 4, 2}, {6, 1, 2, 5}};
        for (int[] steps : progressions) {
            Score score = in(Tuning.STANDARD, "G mixolydian", steps);
            List<Integer> bass = roots(score, Bassist.of(score, Mix.BassLine.ROOTS, 7));
            List<Integer> guitar = score.harmonies().stream().map(h -> lowest(score, h)).toList();
            for (int i = 1; i < bass.size(); i++) {
                assertThat(Integer.signum(bass.get(i) - bass.get(i - 1)))
                        .as("%s under %s", bass, guitar)
                        .isEqualTo(Integer.signum(guitar.get(i) - guitar.get(i - 1)));
            }
        }
    }

    private static List<Integer> roots(Score score, List<BassNote> notes) {
        return score.harmonies().stream()
                .map(h -> notes.stream().filter(n -> n.at() == h.at()).findFirst().orElseThrow())
                .map(BassNote::midi)
                .toList();
    }

    private static int lowest(Score score, Harmony h) {
        return score.notes().stream()
                .filter(n -> n.at() >= h.at() && n.at() < h.end())
                .mapToInt(n -> score.board().midi(n.string(), n.fret()))
                .filter(m -> m % 12 == h.bass())
                .min()
                .orElseThrow();
    }

    /** What the bass plays beside roots is a step before the next, and mostly there is one. */
    @Test
    void itApproachesByStep() {
        int[][] progressions = {{1, 4, 7, 3}, {1, 6, 4, 5}, {1, 7, 6, 5}, {6, 4, 1, 5}};
        int steps = 0;
        for (int[] p : progressions) {
            Score score = in(Tuning.STANDARD, "A dorian", p);
            List<BassNote> notes = Bassist.of(score, Mix.BassLine.ROOTS, 9);
            List<Integer> roots = roots(score, notes);
            for (int i = 0; i < p.length; i++) {
                Harmony h = score.harmonies().get(i);
                BassNote last =
                        notes.stream()
                                .filter(n -> n.at() + n.length() == h.end())
                                .findFirst()
                                .get();
                if (last.midi() % 12 != h.bass()) {
                    steps++;
                    assertThat(last.length()).isEqualTo(Ticks.EIGHTH);
                    int next = roots.get((i + 1) % p.length);
                    assertThat(Math.abs(last.midi() - next)).isBetween(1, 2);
                }
            }
        }
        assertThat(steps).isGreaterThanOrEqualTo(8);
    }

    /** From the roots alone to every stroke: what is nearer to the riff shares more of its time. */
    @Test
    void linesLieNearerToTheRiffOrFartherFromIt() {
        Random r = new Random(24);
        for (int i = 0; i < 60; i++) {
            Score score = score(Riffs.random(r));
            Struck struck = new Struck(score);
            double follows = share(struck, Bassist.of(score, Mix.BassLine.FOLLOWING, 9));
            double between = share(struck, Bassist.of(score, Mix.BassLine.BETWEEN, 9));
            assertThat(follows).isGreaterThanOrEqualTo(between);
            for (Harmony h : score.harmonies()) {
                boolean low =
                        struck.between(h.at(), h.end()).values().stream()
                                .anyMatch(w -> w >= Struck.LOW);
                Bassist.of(score, Mix.BassLine.LOCKED, 9).stream()
                        .filter(n -> low && n.at() > h.at() && n.at() + n.length() < h.end())
                        .forEach(
                                n ->
                                        assertThat(struck.at(n.at()))
                                                .as("%s in %s", n, h)
                                                .isGreaterThan(Struck.PLAIN));
            }
        }
    }

    private static double share(Struck struck, List<BassNote> notes) {
        return notes.stream().filter(n -> struck.at(n.at()) > 0).count()
                / (double) Math.max(1, notes.size());
    }

    /** Notes follow one another and none sounds over the end. */
    @ParameterizedTest
    @EnumSource(Mix.BassLine.class)
    void oneNoteAtATime(Mix.BassLine line) {
        Random r = new Random(25);
        for (int i = 0; i < 80; i++) {
            Score score = score(Riffs.random(r));
            long end = 0;
            for (BassNote n : Bassist.of(score, line, 4)) {
                assertThat(n.at()).isGreaterThanOrEqualTo(end);
                assertThat(n.length()).isPositive();
                end = n.at() + n.length();
            }
            assertThat(end).isLessThanOrEqualTo(score.length());
        }
    }
}
