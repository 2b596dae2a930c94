package vocalis.sound.guitar;

/**
 * What a string is made of, as far as its sound goes. How fast its partials fall was measured on
 * the clean guitars of a general MIDI sound font (FluidR3 GM, programs 26 and 27, 13 notes from E2
 * to E5, 333 partials, first second): a straight line over the frequency, steep for wound strings,
 * flat for plain ones. Stiffness is reckoned from the gauge.
 *
 * @param openHz frequency of the open string in Hz, 20 to 700
 * @param inharmonicity stiffness coefficient B of the open string: partial n lies at {@code
 *     n·f0·sqrt(1 + B·n²)}
 * @param fall how fast a partial of the open string falls that had no frequency, in dB a second
 * @param fallPerKhz how much faster it falls for each kHz of its frequency, in dB a second
 * @param wound whether wire is wound around its core
 */
public record StringModel(
        double openHz, double inharmonicity, double fall, double fallPerKhz, boolean wound) {

    /** Plain strings begin about here: a wound third is rare on electric guitars. */
    private static final double PLAIN_FROM_HZ = 180;

    /** See above; the wound ones' for a low E, the plain ones' for an open B. */
    private static final double WOUND_FALL = 2;

    private static final double WOUND_PER_KHZ = 27;
    private static final double PLAIN_FALL = 5;
    private static final double PLAIN_PER_KHZ = 5.2;
    private static final double PLAIN_HZ = 246.9;

    private static final double LENGTH_M = 0.648;
    private static final double STEEL_PASCAL = 2.0e11;
    private static final double STEEL_KG_M3 = 7850;

    /** A wound string's core beside its whole diameter, and its mass beside solid steel. */
    private static final double CORE_SHARE = 0.42;

    private static final double WOUND_MASS = 0.87;

    /** Gauges of a usual set in inches by their open frequency, from memory of the trade. */
    private static final double[][] USUAL = {
        {41.2, 0.095},
        {55, 0.070},
        {61.7, 0.062},
        {82.41, 0.046},
        {110, 0.036},
        {146.8, 0.026},
        {196, 0.017},
        {246.9, 0.013},
        {329.6, 0.010}
    };

    public StringModel {
        if (!(openHz >= 20 && openHz <= 700)) {
            throw new IllegalArgumentException("an open string sounds 20 to 700 Hz, not " + openHz);
        }
    }

    /** A usual string of an electric guitar for an open pitch. */
    public static StringModel electric(double openHz) {
        return electric(openHz, usualGauge(openHz));
    }

    /**
     * A string of a set that is thicker or thinner than usual: stiffer, longer, darker, or less so.
     */
    public static StringModel electric(double openHz, Guitar guitar) {
        return electric(openHz, usualGauge(openHz) * guitar.thickness());
    }

    /**
     * A string of an electric guitar.
     *
     * @param openHz frequency in Hz
     * @param inches diameter, 0.007 to 0.13
     */
    public static StringModel electric(double openHz, double inches) {
        if (!(inches >= 0.007 && inches <= 0.13)) {
            throw new IllegalArgumentException(
                    "a string is 0.007 to 0.13 inches thick, not " + inches);
        }
        boolean wound = openHz < PLAIN_FROM_HZ;
        double octaves = Math.log(openHz / 82.41) / Math.log(2);
        // More mass moves longer, and loses its top a little sooner (from memory).
        double thick = inches / usualGauge(openHz);
        double fall = wound ? WOUND_FALL : PLAIN_FALL * Math.pow(openHz / PLAIN_HZ, 0.6);
        double perKhz = wound ? WOUND_PER_KHZ * Math.pow(2, -0.5 * octaves) : PLAIN_PER_KHZ;
        double heavy = Math.sqrt(thick);
        double stiff = stiffness(openHz, inches, wound);
        return new StringModel(openHz, stiff, fall / heavy, perKhz * heavy, wound);
    }

    /**
     * {@code B = π³·E·d⁴/(64·T·L²)} with tension {@code T = μ·(2·L·f)²}: H. Fletcher, "Normal
     * vibration frequencies of a stiff piano string", JASA 36 (1964). A plain string's mass grows
     * as its gauge squared, so B grows as the gauge squared over the frequency squared; of a wound
     * one only the core bends.
     */
    private static double stiffness(double hz, double inches, boolean wound) {
        double d = inches * 0.0254;
        double mass = STEEL_KG_M3 * Math.PI / 4 * d * d * (wound ? WOUND_MASS : 1);
        double tension = mass * Math.pow(2 * LENGTH_M * hz, 2);
        double bending = wound ? CORE_SHARE * d : d;
        return Math.pow(Math.PI, 3)
                * STEEL_PASCAL
                * Math.pow(bending, 4)
                / (64 * tension * LENGTH_M * LENGTH_M);
    }

    /** The gauge of a usual set for an open pitch, in inches: tuned down, the set stays. */
    public static double usualGauge(double openHz) {
        int k = 1;
        while (k < USUAL.length - 1 && USUAL[k][0] < openHz) {
            k++;
        }
        // Between a wound and a plain string nothing can be interpolated.
        boolean across = USUAL[k - 1][0] < PLAIN_FROM_HZ && USUAL[k][0] >= PLAIN_FROM_HZ;
        if (across) {
            return openHz < PLAIN_FROM_HZ ? USUAL[k - 1][1] : USUAL[k][1];
        }
        double at = Math.log(openHz / USUAL[k - 1][0]) / Math.log(USUAL[k][0] / USUAL[k - 1][0]);
        double share = Math.max(0, Math.min(1, at));
        return USUAL[k - 1][1] + share * (USUAL[k][1] - USUAL[k - 1][1]);
    }
}
