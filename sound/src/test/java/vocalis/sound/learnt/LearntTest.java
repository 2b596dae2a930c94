package vocalis.sound.learnt;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import vocalis.sound.listen.Take;

/**
 * The nets on sounds that they were not taught: decaying sines through a hyperbolic tangent, not
 * the engine's strings and amplifiers.
 */
class LearntTest {

    private static final double RATE = 48_000;

    /** Power chords and single notes, by MIDI number. */
    private static final List<List<Integer>> STRUCK =
            List.of(
                    List.of(43, 50),
                    List.of(46, 53),
                    List.of(57),
                    List.of(41, 48),
                    List.of(52, 59),
                    List.of(64),
                    List.of(48, 55),
                    List.of(45, 52));

    private static final double BEGINS = 0.3;
    private static final double APART = 0.4;

    /** Each chord stops as the next is struck. */
    private static double[] clipped(double rate) {
        double[] x = new double[(int) ((BEGINS + APART * STRUCK.size() + 0.5) * rate)];
        for (int i = 0; i < STRUCK.size(); i++) {
            for (int midi : STRUCK.get(i)) {
                pluck(x, BEGINS + i * APART, midi, rate);
            }
        }
        for (int i = 0; i < x.length; i++) {
            x[i] = 0.3 * Math.tanh(4 * x[i]);
        }
        return x;
    }

    private static void pluck(double[] into, double at, int midi, double rate) {
        int from = (int) Math.round(at * rate);
        int to = (int) Math.min(into.length, from + APART * rate);
        double hz = 440 * Math.pow(2, (midi - 69) / 12.0);
        for (int n = 1; n <= 14; n++) {
            for (int i = from; i < to && n * hz < 7000; i++) {
                double t = (i - from) / rate;
                double swell = Math.min(1, Math.min(t / 0.002, (to - i) / (0.005 * rate)));
                into[i] +=
                        swell
                                / n
                                * Math.exp(-t * (1.5 + 0.5 * n))
                                * Math.sin(2 * Math.PI * n * hz * t + n);
            }
        }
    }

    /** Those that are nearly as likely as not: ears that know more ask for less. */
    private static List<Double> strokes(Take take) {
        return StrokeEar.at(StrokeEar.likely(take), 0.45);
    }

    /** Three of four at least, and one too many at most. */
    @Test
    void strokesThroughAClippingStageAreFound() {
        for (double rate : new double[] {RATE, 44_100}) {
            List<Double> left = new ArrayList<>(strokes(new Take(clipped(rate), rate)));
            int found = 0;
            for (int i = 0; i < STRUCK.size(); i++) {
                double at = BEGINS + i * APART;
                found += left.removeIf(t -> Math.abs(t - at) < 0.012) ? 1 : 0;
            }
            assertThat(found).as("at %s", rate).isGreaterThanOrEqualTo(STRUCK.size() * 3 / 4);
            assertThat(left).as("at %s", rate).hasSizeLessThan(2);
        }
    }

    /**
     * What is struck is heard, in six of eight strokes with the lowest note; clipping adds octaves
     * and thirds that may be heard too.
     */
    @Test
    void theirNotesAreHeard() {
        Take take = new Take(clipped(RATE), RATE);
        int more = 0;
        int all = 0;
        for (int i = 0; i < STRUCK.size(); i++) {
            NoteEar.Struck s = NoteEar.of(take, BEGINS + i * APART, APART, APART, 0);
            List<Integer> notes = new ArrayList<>();
            for (int midi = NoteEar.LOWEST_MIDI; midi < 90; midi++) {
                if (s.share(midi) > 0.5) {
                    notes.add(midi);
                }
            }
            List<Integer> struck = STRUCK.get(i);
            assertThat(notes).contains(struck.get(struck.size() - 1));
            all += notes.containsAll(struck) && notes.get(0).equals(struck.get(0)) ? 1 : 0;
            notes.removeAll(struck);
            more += notes.size();
        }
        assertThat(all).isGreaterThanOrEqualTo(6);
        assertThat(more).isLessThanOrEqualTo(STRUCK.size());
    }

    @Test
    void nothingIsStruckInSilenceNoiseAndHum() {
        Random random = new Random(4);
        double[] noise = random.doubles(144_000).map(u -> 0.1 * (u - 0.5)).toArray();
        double[] hum = new double[144_000];
        for (int i = 0; i < hum.length; i++) {
            hum[i] = 0.1 * Math.sin(2 * Math.PI * 60 * i / RATE);
        }
        assertThat(StrokeEar.of(new Take(new double[144_000], RATE))).isEmpty();
        assertThat(StrokeEar.of(new Take(new double[0], RATE))).isEmpty();
        // Where the take is cut out of noise or hum the cut may be one.
        for (double[] x : List.of(noise, hum)) {
            assertThat(strokes(new Take(x, RATE))).filteredOn(t -> t > 0.1).isEmpty();
        }
    }

    /** A note that no net was taught is not there. */
    @Test
    void notesBeyondThoseTaughtAreNotStruck() {
        NoteEar.Struck s = NoteEar.of(new Take(clipped(RATE), RATE), BEGINS, 1, APART, 0);
        assertThat(s.share(12)).isLessThan(0.01);
        assertThat(s.share(120)).isLessThan(0.01);
    }

    /** What is taught has as many levels as the tool that teaches says. */
    @Test
    void picturesHaveTheirSize() {
        float[][] picture = StrokePicture.of(new Take(clipped(96_000), 96_000));
        assertThat(picture[0]).hasSize(69 + 25);
        assertThat(picture.length).isEqualTo((int) ((BEGINS + 8 * APART + 0.5) / 0.005));
    }

    /** Asked together, inputs answer what they answer alone. */
    @Test
    void severalAtOnceAreReadAsOneByOne() {
        Layers net = Layers.of("strokes.net");
        Random random = new Random(23);
        float[][] in = new float[5][1586];
        for (float[] one : in) {
            for (int i = 0; i < one.length; i++) {
                one[i] = (float) (-4 + random.nextGaussian());
            }
        }
        float[][] together = net.of(in);
        for (int n = 0; n < in.length; n++) {
            assertThat(together[n]).containsExactly(net.of(in[n]));
        }
        assertThat(together[0]).isNotEqualTo(together[1]);
    }
}
