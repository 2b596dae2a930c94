package vocalis.sound.strings;

/**
 * How a stroke sharpens a string: its swing stretches it, so its pitch begins above the fret's and
 * comes back as the swing dies (K. Legge and N. Fletcher, "Nonlinear generation of missing modes on
 * a vibrating string", JASA 76, 1984; T. Tolonen, V. Välimäki and M. Karjalainen, "Modeling of
 * tension modulation nonlinearity in plucked strings", IEEE Trans. Speech Audio Process. 8, 2000,
 * both from memory). Here the pitch follows the stroke's force and falls like the swing of the
 * first tenth of a second. One thread; no allocation.
 */
final class Tension {

    /** Cents of a usual stroke; an accent gives 4 to 5 (from memory). */
    private static final double CENTS = 2.2;

    private static final double BY_FORCE = 1.1;
    private static final double MOST_CENTS = 5;
    private static final double SECONDS = 0.045;

    /** So little is none: it ends without a step that one could hear. */
    private static final double NONE = 0.01;

    private static final double A_CENT = Math.log(2) / 1200;

    /** What is left after each number of frames. */
    private final double[] left = new double[Plane.MOST_AHEAD + 1];

    private double cents;

    Tension(double sampleRate) {
        for (int n = 0; n < left.length; n++) {
            left[n] = Math.exp(-n / (SECONDS * sampleRate));
        }
    }

    /**
     * A stroke on a string that nothing lies on.
     *
     * @param force see {@link StringVoice#force}
     */
    void strike(double force) {
        double hard = force / Excitation.USUAL_VELOCITY;
        cents = Math.min(MOST_CENTS, CENTS * Math.pow(hard, BY_FORCE));
    }

    void clear() {
        cents = 0;
    }

    boolean pulls() {
        return cents != 0;
    }

    /** By what share of its period the loop is shorter at this moment. */
    double share() {
        return cents * A_CENT;
    }

    /** Goes on by some frames, up to {@link Plane#MOST_AHEAD}. */
    void pass(int frames) {
        cents = cents < NONE ? 0 : cents * left[frames];
    }
}
