package vocalis.sound.strings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vocalis.sound.Measure;

/** What a thumb that touches a string leaves of it, measured at the bridge. */
class ContactTest {

    private static final int RATE = (int) Measure.RATE;
    private static final int WINDOW = RATE / 10;

    private static double[] struck(StringPatch p, int partial, double seconds) {
        StringVoice v = new StringVoice(RATE, 11);
        v.pluck(p, 0.85, 0);
        if (partial > 0) {
            v.pinch(partial);
        }
        double[] y = new double[(int) (seconds * RATE)];
        for (int i = 0; i < y.length; i++) {
            v.next(0);
            y[i] = v.bridge();
        }
        return y;
    }

    /** Level in dB of a frequency in a Hann window of a tenth of a second. */
    private static double level(double[] x, int from, double hz) {
        double re = 0;
        double im = 0;
        for (int i = 0; i < WINDOW; i++) {
            double w = 0.5 - 0.5 * Math.cos(2 * Math.PI * i / WINDOW);
            re += w * x[from + i] * Math.cos(2 * Math.PI * hz * i / RATE);
            im += w * x[from + i] * Math.sin(2 * Math.PI * hz * i / RATE);
        }
        return 10 * Math.log10(re * re + im * im + 1e-30);
    }

    /**
     * A string touched at a node of a partial keeps that partial and its multiples (Helmholtz, On
     * the Sensations of Tone, on strings touched at their nodes), on every string, at every fret:
     * those under it and the two above it lie 10 dB lower. Farther up stiffness moves the nodes.
     */
    @ParameterizedTest
    @ValueSource(ints = {2, 3, 4, 5, 6, 7, 8})
    void aPinchLeavesItsPartial(int partial) {
        double least = Double.POSITIVE_INFINITY;
        for (int string = 0; string < 6; string++) {
            for (int fret = 0; fret <= 24; fret++) {
                StringPatch p = Measure.bank().patch(string, fret, Damping.OPEN);
                // Where it would lie over what a pick and a speaker give, nobody hears it.
                if (p.partialHz(partial) > 5000) {
                    continue;
                }
                double[] y = struck(p, partial, 0.35);
                int from = (int) (Contact.PERIODS * p.periodFrames) + RATE / 50;
                double kept = level(y, from, p.partialHz(partial));
                for (int n = 1; n <= partial + 2; n++) {
                    if (n % partial != 0) {
                        double over = kept - level(y, from, p.partialHz(n));
                        assertThat(over)
                                .as("string %d, fret %d, over partial %d", string, fret, n)
                                .isGreaterThan(10);
                        least = Math.min(least, over);
                    }
                }
            }
        }
        System.out.printf("partial %d stands at least %.1f dB over the others%n", partial, least);
    }

    /** The partial that is left lasts as it lasts in the note itself, within a third. */
    @Test
    void whatIsLeftGoesOn() {
        StringPatch p = Measure.bank().patch(2, 5, Damping.OPEN);
        double hz = p.partialHz(4);
        double[] plain = struck(p, 0, 1);
        double[] pinched = struck(p, 4, 1);
        double fall = level(plain, RATE / 5, hz) - level(plain, 4 * RATE / 5, hz);
        double left = level(pinched, RATE / 5, hz) - level(pinched, 4 * RATE / 5, hz);
        assertThat(left / fall).isBetween(0.67, 1.33);
    }

    /** A load that only takes makes no string louder: each tenth of a second is below the last. */
    @Test
    void nothingGrows() {
        for (int partial = 2; partial <= 8; partial++) {
            double[] y = struck(Measure.bank().patch(5, 22, Damping.OPEN), partial, 2);
            double before = Double.POSITIVE_INFINITY;
            for (int from = RATE / 10; from + WINDOW < y.length; from += WINDOW) {
                double power = 0;
                for (int i = from; i < from + WINDOW; i++) {
                    power += y[i] * y[i];
                }
                assertThat(power).isLessThan(before);
                before = power;
            }
        }
    }

    /** Without a stroke on its way there is nothing to touch; a partial out of range is said. */
    @Test
    void onlyAStrokeIsPinched() {
        StringVoice v = new StringVoice(RATE, 1);
        v.pinch(3);
        assertThat(v.active()).isFalse();
        assertThatThrownBy(() -> v.pinch(9))
                .hasMessageContaining("2 to 8")
                .hasMessageContaining("9");
    }
}
