package vocalis.sound.dsp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/**
 * Reference signals of ITU-R BS.1770-4 (997 Hz at full scale in one channel reads −3.01 LKFS) and
 * of EBU Tech 3341, minimum requirements, test cases 1 to 5 (stereo sines of 1 kHz).
 */
class LoudnessTest {

    private static final int RATE = 48000;

    /** Stereo sine of 1 kHz: pairs of seconds and dBFS. */
    private static float[] sine(double hz, boolean bothChannels, double... secondsAndLevels) {
        double seconds = 0;
        for (int i = 0; i < secondsAndLevels.length; i += 2) {
            seconds += secondsAndLevels[i];
        }
        float[] x = new float[2 * (int) (seconds * RATE)];
        int at = 0;
        for (int i = 0; i < secondsAndLevels.length; i += 2) {
            double a = Math.pow(10, secondsAndLevels[i + 1] / 20);
            int end = at + (int) (secondsAndLevels[i] * RATE);
            for (; at < end; at++) {
                x[2 * at] = (float) (a * Math.sin(2 * Math.PI * hz * at / RATE));
                x[2 * at + 1] = bothChannels ? x[2 * at] : 0;
            }
        }
        return x;
    }

    private static double lkfs(float[] x) {
        return Loudness.integrated(x, x.length / 2);
    }

    @Test
    void theReferenceTonesReadAsTheStandardsSay() {
        assertThat(lkfs(sine(997, false, 20, 0))).isCloseTo(-3.01, within(0.05));
        assertThat(lkfs(sine(1000, true, 20, -23))).isCloseTo(-23, within(0.1));
        assertThat(lkfs(sine(1000, true, 20, -33))).isCloseTo(-33, within(0.1));
        assertThat(lkfs(sine(1000, true, 10, -36, 60, -23, 10, -36))).isCloseTo(-23, within(0.1));
        assertThat(lkfs(sine(1000, true, 10, -72, 10, -36, 60, -23, 10, -36, 10, -72)))
                .isCloseTo(-23, within(0.1));
        assertThat(lkfs(sine(1000, true, 20, -26, 20.1, -20, 20, -26))).isCloseTo(-23, within(0.1));
    }

    /** Under −70 LKFS nothing counts (BS.1770): what is that quiet alone has no loudness. */
    @Test
    void theAbsoluteGateLiesAtMinusSeventy() {
        assertThat(lkfs(sine(1000, true, 10, -72))).isEqualTo(Loudness.NONE);
        assertThat(lkfs(sine(1000, true, 10, -68))).isCloseTo(-68, within(0.1));
    }

    @Test
    void silenceHasNoLoudnessAndShortSoundsHaveOne() {
        assertThat(lkfs(new float[2 * RATE])).isEqualTo(Loudness.NONE);
        assertThat(lkfs(sine(1000, true, 0.05, -20))).isBetween(-21.5, -18.5);
    }

    /**
     * A sine at a quarter of the rate, sampled 45° off its peaks, hides 3.01 dB between samples.
     */
    @Test
    void theTruePeakLiesBetweenTheSamples() {
        double[] offsets = {0, 0.3, Math.PI / 4, 1};
        for (double offset : offsets) {
            float[] x = new float[4800];
            double samples = 0;
            for (int i = 0; i < x.length; i++) {
                x[i] = (float) Math.sin(Math.PI / 2 * i + offset);
                samples = Math.max(samples, Math.abs(x[i]));
            }
            double most = most(x, 100);
            assertThat(20 * Math.log10(most)).as("offset %.2f", offset).isCloseTo(0, within(0.2));
            if (offset == Math.PI / 4) {
                assertThat(20 * Math.log10(samples)).isCloseTo(-3.01, within(0.01));
            }
        }
    }

    /** The largest true peak from a frame on, in stretches that are not all as long. */
    private static double most(float[] x, int from) {
        TruePeak meter = new TruePeak();
        float[] some = new float[TruePeak.MOST];
        float[] peaks = new float[TruePeak.MOST];
        double most = 0;
        for (int at = 0, n = 1; at < x.length; at += n, n = 1 + at % TruePeak.MOST) {
            n = Math.min(n, x.length - at);
            System.arraycopy(x, at, some, 0, n);
            meter.peaks(some, n, 0, peaks);
            for (int i = 0; i < n; i++) {
                most = at + i > from ? Math.max(most, peaks[i]) : most;
            }
        }
        return most;
    }

    @Test
    void theLimiterHoldsTruePeaksToo() {
        Limiter limiter = new Limiter(RATE, 0.89);
        float[] x = new float[2 * RATE];
        for (int i = 0; i < RATE; i++) {
            double loud = i % 9000 < 4000 ? 2.5 : 0.3;
            x[2 * i] = (float) (loud * Math.sin(Math.PI / 2 * i + Math.PI / 4));
            x[2 * i + 1] = x[2 * i];
        }
        limiter.process(x, 0, RATE);
        float[] left = new float[RATE];
        for (int i = 0; i < RATE; i++) {
            left[i] = x[2 * i];
        }
        double most = most(left, 0);
        assertThat(20 * Math.log10(most / 0.89)).isLessThan(0.2);
    }

    /** What comes after long silence leaves as from a limiter that is new. */
    @Test
    void theLimiterRestsWithoutATrace() {
        Limiter used = new Limiter(RATE, 0.89);
        float[] loud = new float[2 * 4000];
        for (int i = 0; i < loud.length; i++) {
            loud[i] = (float) (2.5 * Math.sin(0.3 * i));
        }
        used.process(loud, 0, 4000);
        for (int block = 0; block < 400; block++) {
            float[] nothing = new float[2 * 512];
            used.process(nothing, 0, 512);
            if (block > 20) {
                assertThat(nothing).containsOnly(0f);
            }
        }
        float[] first = loud.clone();
        float[] second = loud.clone();
        used.process(first, 0, 4000);
        new Limiter(RATE, 0.89).process(second, 0, 4000);
        for (int i = 0; i < first.length; i++) {
            assertThat((double) first[i]).isCloseTo(second[i], within(1e-5));
        }
    }
}
