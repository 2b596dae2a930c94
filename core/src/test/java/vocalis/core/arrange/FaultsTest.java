package vocalis.core.arrange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vocalis.core.hands.Hand;
import vocalis.core.harmony.DroneMap;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.mix.Bassist;
import vocalis.core.mix.Groove;
import vocalis.core.mix.Mix;
import vocalis.core.revoice.Rub;
import vocalis.core.rhythm.Landing;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.score.Harmony;
import vocalis.core.score.Score;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;

/** Both sides of thresholds and the second bar of things that begin alike: where faults hide. */
class FaultsTest {

    private static final MeterMap CHANGING =
            MeterMap.ofBars(
                    List.of(Meter.COMMON, new Meter(6, 8), new Meter(2, 2), Meter.COMMON), 0);

    private static final long LENGTH = CHANGING.end(3);

    /** The click follows the meter of each bar: 4 quarters, 6 eighths, 2 halves, 4 quarters. */
    @Test
    void theClickFollowsEveryMeter() {
        List<Groove.Hit> hits = Groove.click(CHANGING, LENGTH);
        int[] perBar = new int[4];
        hits.forEach(h -> perBar[CHANGING.bar(h.at())]++);
        assertThat(perBar).containsExactly(4, 6, 2, 4);
        assertThat(hits.stream().filter(h -> h.drum() == Groove.Drum.CLICK_ONE))
                .extracting(Groove.Hit::at)
                .containsExactly(0L, CHANGING.start(1), CHANGING.start(2), CHANGING.start(3));
    }

    /** The bass's pulse is a quarter, in 2/2 a half, whatever the first bar was. */
    @Test
    void theBassFollowsEveryMeter() {
        Fretboard board = new Fretboard(Instrument.of(Tuning.STANDARD), 0);
        Harmony chord = new Harmony(0, LENGTH, 4, 4, "E5", List.of());
        Score score =
                new Score(
                        board,
                        new TimeLine(CHANGING, TempoMap.of(120)),
                        LENGTH,
                        List.of(),
                        List.of(chord));
        List<Groove.BassNote> notes = Bassist.of(score, Mix.BassLine.ROOTS, 4);
        assertThat(notes.stream().filter(n -> CHANGING.bar(n.at()) == 2))
                .extracting(n -> n.at() - CHANGING.start(2))
                .containsExactly(0L, Ticks.HALF);
        assertThat(notes.stream().filter(n -> CHANGING.bar(n.at()) == 3))
                .extracting(n -> n.at() - CHANGING.start(3))
                .containsExactly(0L, Ticks.QUARTER, Ticks.HALF, 3 * Ticks.QUARTER);
    }

    /** Begun a bar and an eighth late, five eighths are back after five bars all the same. */
    @Test
    void aFigureIsBackCountedFromWhereItBegan() {
        long bar = Meter.COMMON.barTicks();
        for (long bars = 0; bars < 4; bars++) {
            Landing l = Landing.of(5 * Ticks.EIGHTH, bars * bar + Ticks.EIGHTH, List.of(bar));
            assertThat(l.backBars()).isEqualTo(5);
            assertThat(l.back()).isEqualTo(8);
            assertThat(l.meetsBars()).isEqualTo(bars + 2);
        }
    }

    /** Past two octaves and a half nothing rubs; thirds are mud below C3 alone. */
    @Test
    void whatRubsEndsWhereItIsSaidTo() {
        assertThat(Rub.kind(40, 70)).contains(Rub.Kind.TRITONE);
        assertThat(Rub.kind(70, 40)).contains(Rub.Kind.TRITONE);
        assertThat(Rub.kind(40, 74)).isEmpty();
        assertThat(Rub.kind(40, 66)).contains(Rub.Kind.SECOND);
        assertThat(Rub.kind(40, 50)).contains(Rub.Kind.SEVENTH);
        assertThat(Rub.kind(43, 47)).contains(Rub.Kind.LOW_THIRD);
        assertThat(Rub.kind(44, 48)).isEqualTo(Optional.empty());
        assertThat(Rub.kind(31, 46)).isEqualTo(Optional.empty());
    }

    /** Root 3, fifth 2, colour 1, rub −2 for each open string, added by hand. */
    @Test
    void openStringsWeighAsPublished() {
        assertThat(DroneMap.cell(Tuning.STANDARD, 0, Key.parse("E minor")).score())
                .isEqualTo(3 + 1 + 1 + 1 + 2 + 3);
        assertThat(DroneMap.cell(Tuning.STANDARD, 0, Key.parse("F minor")).score())
                .isEqualTo(-2 - 2 - 2 + 1 - 2 - 2);
        assertThat(DroneMap.cell(Tuning.LOW_D, 0, Key.parse("D major")).score())
                .isEqualTo(3 + 2 + 3 + 1 + 1 + 1);
    }

    /** A capo is worth its while from three points on: reckoned anew from the sums of each. */
    @Test
    void aCapoRescuesFromThreePointsOn() {
        for (String name : List.of("major", "minor", "dorian", "phrygian")) {
            Mode mode = Mode.named(name).orElseThrow();
            DroneMap map = DroneMap.of(Tuning.STANDARD, mode);
            boolean two = false;
            for (int tonic = 0; tonic < 12; tonic++) {
                int bare = map.rows().get(0).cells().get(tonic).score();
                int best = 0;
                int most = bare;
                for (int capo = 1; capo <= DroneMap.MOST_CAPO; capo++) {
                    int score = map.rows().get(capo).cells().get(tonic).score();
                    if (score > most) {
                        most = score;
                        best = capo;
                    }
                }
                two |= most - bare == 2 || most - bare == 3;
                assertThat(map.rescue(tonic)).isEqualTo(most - bare >= 3 ? best : 0);
            }
            assertThat(two || !name.equals("major")).isTrue();
        }
    }

    /** Common reach of index to little finger, a fifth more at the limit (from memory). */
    @Test
    void handsReachAsFarAsIsSaid() {
        assertThat(Hand.SMALL.comfortMm()).isEqualTo(85);
        assertThat(Hand.MEDIUM.comfortMm()).isEqualTo(100);
        assertThat(Hand.LARGE.comfortMm()).isEqualTo(115);
        assertThat(Hand.LARGE.limitMm()).isEqualTo(138);
    }
}
