package vocalis.sound.guitar;

/**
 * Where the strings are picked up, and what hangs on the coil. Its place leaves out partials; coil,
 * cable and the amplifier's input are a circuit of its own that resonates.
 *
 * <p>Circuit: the coil's inductance L and resistance R in series, then the capacity C of coil and
 * cable and the load R_p of the volume and tone potentiometers and the amplifier in parallel:
 * {@code H(s) = 1/(1 + (R + sL)(sC + 1/R_p))}, a low-pass of second order with {@code ω₀² = (1 +
 * R/R_p)/(L·C)} and {@code Q = ω₀·L·C/(R·C + L/R_p)} (as in R. Paiva, J. Pakarinen and V. Välimäki,
 * "Acoustics and modeling of pickups", JAES 60 (2012), from memory). Places as a share of the open
 * string from the bridge; places and components from memory of common instruments.
 */
public enum Pickup {
    /** A coil of one row of magnets. */
    BRIDGE(0.105, 2.6, 7e3),
    /** Two coils side by side: more turns. */
    NECK(0.245, 4.2, 8e3);

    /** Of the coil itself and of the amplifier's input, in farads. */
    private static final double COIL_FARADS = 110e-12;

    private static final double INPUT_FARADS = 20e-12;

    /** A usual cable, in metres and farads a metre. */
    public static final double CABLE_METRES = 5;

    private static final double FARADS_A_METRE = 100e-12;

    /** Potentiometers full open and the amplifier's input, in ohms. */
    private static final double VOLUME_OHMS = 500e3;

    private static final double TONE_OHMS = 250e3;
    private static final double INPUT_OHMS = 1e6;

    final double at;
    private final double henries;
    private final double ohms;

    Pickup(double at, double henries, double ohms) {
        this.at = at;
        this.henries = henries;
        this.ohms = ohms;
    }

    /** Distance from the bridge as a share of the open string. */
    public double position() {
        return at;
    }

    /** Inductance of the coil in henries. */
    public double henries() {
        return henries;
    }

    /** Resistance of the coil in ohms. */
    public double ohms() {
        return ohms;
    }

    /** What lies across the coil behind a cable, in farads. */
    public static double farads(double cableMetres) {
        return COIL_FARADS + INPUT_FARADS + cableMetres * FARADS_A_METRE;
    }

    /** What lies across the coil, in ohms. */
    public static double loadOhms() {
        return 1 / (1 / VOLUME_OHMS + 1 / TONE_OHMS + 1 / INPUT_OHMS);
    }

    /** Frequency in Hz at which the circuit resonates behind a cable of some metres. */
    public double resonanceHz(double cableMetres) {
        double lc = henries * farads(cableMetres);
        return Math.sqrt((1 + ohms / loadOhms()) / lc) / (2 * Math.PI);
    }

    /** How sharply it resonates. */
    public double q(double cableMetres) {
        double c = farads(cableMetres);
        double w = 2 * Math.PI * resonanceHz(cableMetres);
        return w * henries * c / (ohms * c + henries / loadOhms());
    }
}
