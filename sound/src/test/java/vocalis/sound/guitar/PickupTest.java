package vocalis.sound.guitar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.apache.commons.math3.complex.Complex;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vocalis.sound.dsp.Biquad;

/** Coil, cable and load against the same circuit solved with complex impedances. */
class PickupTest {

    private static final double RATE = 48_000;

    private static double solvedDb(Pickup p, double metres, double hz) {
        double w = 2 * Math.PI * hz;
        Complex coil = new Complex(p.ohms(), w * p.henries());
        Complex load = new Complex(1 / Pickup.loadOhms(), w * Pickup.farads(metres)).reciprocal();
        Complex dc = new Complex(Pickup.loadOhms() / (Pickup.loadOhms() + p.ohms()));
        return 20 * Math.log10(load.divide(load.add(coil)).divide(dc).abs());
    }

    private static double filteredDb(Pickup p, double metres, double hz) {
        Biquad f = Biquad.lowpass(RATE, p.resonanceHz(metres), p.q(metres));
        double re = 0;
        double im = 0;
        for (int i = 0; i < 4800; i++) {
            double v = f.next(i == 0 ? 1 : 0);
            re += v * Math.cos(2 * Math.PI * hz * i / RATE);
            im += v * Math.sin(2 * Math.PI * hz * i / RATE);
        }
        return 20 * Math.log10(Math.hypot(re, im));
    }

    /** Up to 4 kHz within half a decibel, with cables of one to ten metres. */
    @ParameterizedTest
    @EnumSource(Pickup.class)
    void theFilterIsTheCircuit(Pickup p) {
        for (double metres : new double[] {1, 3, 5, 10}) {
            for (double hz = 100; hz <= 4000; hz *= 1.1) {
                assertThat(filteredDb(p, metres, hz))
                        .as("%s, %.0f m, %.0f Hz", p, metres, hz)
                        .isCloseTo(solvedDb(p, metres, hz), within(0.5));
            }
        }
    }

    /** A longer cable makes darker (common practice), as one over the root of the capacity. */
    @Test
    void aLongerCableIsDarker() {
        double near = Pickup.BRIDGE.resonanceHz(3);
        double far = Pickup.BRIDGE.resonanceHz(9);
        assertThat(near / far)
                .isCloseTo(Math.sqrt(Pickup.farads(9) / Pickup.farads(3)), within(1e-9));
        // Common values with some metres of cable: a peak between 2.5 and 5 kHz, Q of 1 to 3.
        for (Pickup p : Pickup.values()) {
            assertThat(p.resonanceHz(Pickup.CABLE_METRES)).isBetween(2500.0, 5000.0);
            assertThat(p.q(Pickup.CABLE_METRES)).isBetween(1.0, 3.0);
        }
    }
}
