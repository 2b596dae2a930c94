package vocalis.sound.strings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;
import vocalis.sound.engine.StringBank;

/** Strings that run ahead of their bridge sound as strings that wait for it at every frame. */
class BridgeTest {

    private static final double RATE = 48000;
    private static final double[] OPEN = {82.41, 110, 146.83, 196, 246.94, 329.63};

    private final StringBank bank = StringBank.of(OPEN, 22, RATE);

    /** A thousandth of the sound, 60 dB under it. */
    private static final double UNHEARD = 1e-3;

    /**
     * Strokes, damping, bends, slides and free strings at random, in blocks of every length; with
     * every other seed they are left to ring between.
     */
    @Test
    void runningAheadChangesNothingThatIsHeard() {
        for (int seed = 0; seed < 20; seed++) {
            StringVoice[] one = voices(seed);
            StringVoice[] two = voices(seed);
            Bridge bridge = new Bridge(one);
            Random random = new Random(seed);
            double[] out = new double[128];
            double[] air = new double[128];
            double loudest = 0;
            double farthest = 0;
            for (int block = 0; block < 600; block++) {
                int s = random.nextInt(6);
                int fret = random.nextInt(23);
                int what = random.nextInt(12);
                if (seed % 2 == 0 || block % 12 == 0) {
                    touch(one[s], s, fret, what);
                    touch(two[s], s, fret, what);
                }
                int n = 1 + random.nextInt(128);
                for (int i = 0; i < n; i++) {
                    air[i] = 0.01 * random.nextGaussian();
                }
                bridge.render(out, air, 0.1, n);
                for (int i = 0; i < n; i++) {
                    double expected = waiting(two, 0.1 * air[i]);
                    loudest = Math.max(loudest, Math.abs(expected));
                    farthest = Math.max(farthest, Math.abs(out[i] - expected));
                }
            }
            assertThat(farthest).as("seed %d", seed).isLessThan(UNHEARD * loudest);
            assertThat(loudest).as("something was heard").isGreaterThan(0.1);
        }
    }

    private static double waiting(StringVoice[] strings, double air) {
        double all = 0;
        for (StringVoice v : strings) {
            all += v.active() ? v.bridge() : 0;
        }
        double y = 0;
        for (StringVoice v : strings) {
            y += v.active() ? v.next(all - v.bridge() + air) : 0;
        }
        return y;
    }

    private void touch(StringVoice v, int s, int fret, int what) {
        switch (what) {
            case 0, 1 -> v.pluck(bank.patch(s, fret, Damping.OPEN), 0.8, fret);
            case 2 -> v.pluck(bank.patch(s, fret, Damping.values()[fret % 5]), 0.6, 20, 0, true);
            case 3 -> v.damp();
            case 4 -> v.bend(fret * 10, 2000);
            case 5 -> v.stopAt(bank.patch(s, fret, Damping.OPEN), 300, 0.5);
            case 6 -> v.stopAt(bank.patch(s, fret, Damping.OPEN), 3000, 0);
            case 7 -> v.free(bank.patch(s, 0, Damping.OPEN));
            case 8 -> v.vibrato(fret);
            case 9 -> {
                v.pluck(bank.patch(s, fret, Damping.OPEN), 0.9, fret);
                v.pinch(2 + fret % 7);
            }
            default -> {}
        }
    }

    private static StringVoice[] voices(int seed) {
        StringVoice[] voices = new StringVoice[6];
        for (int s = 0; s < 6; s++) {
            voices[s] = new StringVoice(RATE, seed * 31L + s);
        }
        return voices;
    }
}
