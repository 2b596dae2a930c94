package vocalis.sound.listen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;

/**
 * Ears on sounds whose answer is known by how they were made: sums of decaying sines, not the
 * engine's strings.
 */
class ListenTest {

    private static final double RATE = 48_000;
    private static final Fretboard BOARD = new Fretboard(Instrument.of(Tuning.STANDARD), 0);

    /** A decaying tone: partial n at {@code n·hz·sqrt(1 + B·n²)} with amplitude 1/n. */
    private static void pluck(double[] into, double at, double hz, double b, double level) {
        int from = (int) (at * RATE);
        for (int n = 1; n <= 12; n++) {
            double f = n * hz * Math.sqrt(1 + b * n * n);
            for (int i = from; i < into.length && f < 8000; i++) {
                double t = (i - from) / RATE;
                double rise = Math.min(1, t / 0.002);
                into[i] +=
                        level
                                / n
                                * rise
                                * Math.exp(-t * (1.5 + 0.4 * n))
                                * Math.sin(2 * Math.PI * f * t + n);
            }
        }
    }

    private static double hz(double midi) {
        return 440 * Math.pow(2, (midi - 69) / 12);
    }

    /** The neck's notes, plucked alone. */
    private static final Dictionary NOTES =
            Dictionary.of(
                    m -> {
                        double[] x = silence(0.6);
                        pluck(x, 0, hz(m), 5e-5, 0.1);
                        return Dictionary.lines(new Take(x, RATE));
                    },
                    440,
                    40,
                    83);

    private static double[] silence(double seconds) {
        return new double[(int) (seconds * RATE)];
    }

    @Test
    void strokesAreFoundToFiveMilliseconds() {
        double[] x = silence(4);
        List<Double> times = List.of(0.31, 0.72, 0.95, 1.2, 1.31, 1.9, 2.6, 3.05);
        for (int i = 0; i < times.size(); i++) {
            pluck(x, times.get(i), hz(45 + 3 * i), 0, 0.1 + 0.02 * i);
        }
        List<Double> found = OnsetFinder.of(new Take(x, RATE));
        assertThat(found).hasSameSizeAs(times);
        for (int i = 0; i < times.size(); i++) {
            assertThat(found.get(i)).isCloseTo(times.get(i), within(0.005));
        }
    }

    /** Steps of so many frames are not exactly five milliseconds at every rate. */
    @Test
    void strokesOfALongTakeAtAnotherRateStayInTime() {
        double[] x = silence(14);
        for (int i = 0; i < 6; i++) {
            pluck(x, 1 + 2 * i, hz(45 + i), 0, 0.1);
        }
        double slower = RATE / 44_100;
        List<Double> found = OnsetFinder.of(new Take(x, 44_100));
        assertThat(found).hasSize(6);
        for (int i = 0; i < 6; i++) {
            assertThat(found.get(i)).isCloseTo((1 + 2 * i) * slower, within(0.01));
        }
    }

    /** A string that rings and is struck again gets bright there, and nowhere else. */
    @Test
    void aRingingStringThatIsStruckAgainGetsBright() {
        double[] x = silence(3);
        pluck(x, 0.2, hz(52), 0, 0.3);
        pluck(x, 1.4, hz(52), 0, 0.3);
        Brightness brightness = new Brightness(new Take(x, RATE));
        assertThat(brightness.struckAgain(1.41, 0.04, 2.4)).isCloseTo(1.4, within(0.0125));
        for (double t = 0.4; t < 1.3; t += 0.1) {
            assertThat(brightness.struckAgain(t, 0.04, 2.4)).as("at %.1f", t).isNaN();
        }
    }

    /** A string that wavers by half a semitone six times a second is struck once. */
    @Test
    void vibratoIsNoStroke() {
        double[] x = silence(2);
        double phase = 0;
        for (int i = (int) (0.2 * RATE); i < x.length; i++) {
            double t = i / RATE - 0.2;
            double f = 330 * Math.pow(2, 0.5 / 12 * Math.sin(2 * Math.PI * 6 * t));
            phase += 2 * Math.PI * f / RATE;
            for (int n = 1; n <= 6; n++) {
                x[i] += 0.1 / n * Math.min(1, t / 0.003) * Math.exp(-t) * Math.sin(n * phase);
            }
        }
        assertThat(OnsetFinder.of(new Take(x, RATE))).hasSize(1);
    }

    @Test
    void silenceHasNothing() {
        Take nothing = new Take(silence(1), RATE);
        assertThat(OnsetFinder.of(nothing)).isEmpty();
        assertThat(StrokeReader.of(nothing, OnsetFinder.of(nothing), NOTES, 440, false)).isEmpty();
        assertThat(new PitchReader(nothing, 70, 1000).at(0.1)).isEmpty();
        assertThatThrownBy(() -> new Take(silence(1), 1000)).hasMessageContaining("8,000");
    }

    /** Within a cent, though its partials lie up to 60 cents high. */
    @ParameterizedTest
    @ValueSource(doubles = {40, 45.13, 50.4, 55, 59.77, 64.2, 76})
    void pitchesOfStiffStringsAreTheFundamentals(double midi) {
        double[] x = silence(1.5);
        pluck(x, 0.2, hz(midi), 2.5e-4, 0.2);
        Optional<PitchReader.Heard> p = new PitchReader(new Take(x, RATE), 70, 1400).at(0.4);
        assertThat(p).isPresent();
        double fundamental = hz(midi) * Math.sqrt(1 + 2.5e-4);
        assertThat(1200 * Math.log(p.get().hz() / fundamental) / Math.log(2))
                .isCloseTo(0, within(1.0));
    }

    /** Open chords and moved ones, their notes from the tuning table, on a guitar 20 cents high. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "x-0-2-2-1-0",
                "3-5-5-x-x-x",
                "x-x-0-2-3-2",
                "x-3-2-0-1-0",
                "x-x-7-9-8-x",
                "x-5-7-7-6-5"
            })
    void notesOfAStrumAreRead(String text) {
        Shape shape = Shape.parse(text);
        double[] x = silence(1.6);
        List<Integer> midi = new ArrayList<>();
        for (int s : shape.sounded()) {
            int m = BOARD.midi(s, shape.fret(s));
            midi.add(m);
            pluck(x, 0.2 + 0.006 * s, hz(m + 0.2), 5e-5, 0.1);
        }
        Take take = new Take(x, RATE);
        List<StrokeReader.HeardStroke> strokes =
                StrokeReader.of(take, OnsetFinder.of(take), NOTES, 440, false);
        assertThat(strokes).hasSize(1);
        HeardNotes notes = strokes.get(0).notes();
        assertThat(notes.midi()).containsExactlyElementsOf(midi.stream().sorted().toList());
        assertThat(notes.cents()).isCloseTo(20, within(4.0));
        assertThat(GripReader.of(notes, BOARD, Hand.MEDIUM))
                .extracting(g -> g.shape().text())
                .contains(text);
    }

    /** The quick logarithm of the fits, against the library's, over 200 dB. */
    @Test
    void theQuickLogarithmIsNearEnough() {
        double worst = 0;
        for (double p = 1e-14; p < 1e6; p *= 1.0007) {
            worst = Math.max(worst, Math.abs(ShapeFit.db(p) - 10 * Math.log10(p)));
        }
        assertThat(worst).isLessThan(0.03);
    }
}
