package vocalis.sound.amp;

/**
 * How an amplifier is set. Numbers chosen beside recorded guitars and looked at in spectrograms.
 *
 * @param name shown in messages
 * @param drive gain before the first stage, linear
 * @param second gain before the second stage, linear
 * @param bias asymmetry of the stages, 0 (none) to 1
 * @param gateDb level under which the noise gate closes, dBFS before the first stage; -200 for none
 * @param bassDb shelf under 150 Hz
 * @param middleDb bell at 650 Hz
 * @param trebleDb shelf above 2.2 kHz
 * @param presenceDb bell at 3.4 kHz
 * @param sag how much the supply gives way under a loud note, 0 to 0.5
 * @param gives how far the supply dips under an attack before it recovers, 0 to 0.6
 * @param touch how much of a stroke's force is left after the stages have levelled it, as an
 *     exponent, 0 to 1
 * @param air how much of what the cabinet plays moves the strings where feedback is asked; 0 for
 *     none
 * @param cabinet what it plays through
 * @param level gain after the cabinet, linear
 */
public record AmpSettings(
        String name,
        double drive,
        double second,
        double bias,
        double gateDb,
        double bassDb,
        double middleDb,
        double trebleDb,
        double presenceDb,
        double sag,
        double gives,
        double touch,
        double air,
        Cabinet cabinet,
        double level) {

    public static final AmpSettings CLEAN =
            new AmpSettings(
                    "clean",
                    0.55,
                    0.5,
                    0.12,
                    -200,
                    1,
                    -2.5,
                    3.5,
                    3,
                    0.0,
                    0.0,
                    0.0,
                    0.0,
                    Cabinet.USUAL,
                    2.1);
    public static final AmpSettings EDGE =
            new AmpSettings(
                    "edge",
                    10,
                    2.82,
                    0.30,
                    -95,
                    0.5,
                    1,
                    1.5,
                    2,
                    0.2,
                    0.53,
                    0.44,
                    0.06,
                    Cabinet.USUAL,
                    0.123);
    public static final AmpSettings GAIN =
            new AmpSettings(
                    "gain",
                    34,
                    6,
                    0.35,
                    -48,
                    2.5,
                    -2,
                    1,
                    3,
                    0.16,
                    0.25,
                    0.45,
                    0.3,
                    Cabinet.USUAL,
                    0.114);

    public AmpSettings {
        if (!(drive > 0 && drive <= 1000) || !(second > 0 && second <= 1000)) {
            throw new IllegalArgumentException(
                    "drive and second lie above 0 and up to 1000, but are "
                            + drive
                            + " and "
                            + second);
        }
        if (!(level >= 0 && level <= 10)) {
            throw new IllegalArgumentException("level lies between 0 and 10, but is " + level);
        }
    }

    /** What one step of a control changes, in dB: gain, bass, middle, treble, presence, level. */
    private static final double[] PER_STEP = {3, 1.8, 1.8, 1.8, 1.2, 2};

    /**
     * The same amplifier with its controls turned.
     *
     * @param steps gain, bass, middle, treble, presence and level in steps from the middle, -5 to 5
     */
    public AmpSettings turned(int[] steps) {
        if (steps.length != PER_STEP.length) {
            throw new IllegalArgumentException("an amplifier has 6 controls, not " + steps.length);
        }
        for (int s : steps) {
            if (s < -5 || s > 5) {
                throw new IllegalArgumentException("a control turns by -5 to 5 steps, not " + s);
            }
        }
        return new AmpSettings(
                name,
                drive * linear(steps[0] * PER_STEP[0]),
                second,
                bias,
                gateDb,
                bassDb + steps[1] * PER_STEP[1],
                middleDb + steps[2] * PER_STEP[2],
                trebleDb + steps[3] * PER_STEP[3],
                presenceDb + steps[4] * PER_STEP[4],
                sag,
                gives,
                touch,
                air,
                cabinet,
                level * linear(steps[5] * PER_STEP[5]));
    }

    /** The same with its level changed by a linear factor, up to the most that it may be. */
    public AmpSettings louder(double factor) {
        return new AmpSettings(
                name,
                drive,
                second,
                bias,
                gateDb,
                bassDb,
                middleDb,
                trebleDb,
                presenceDb,
                sag,
                gives,
                touch,
                air,
                cabinet,
                Math.min(10, level * factor));
    }

    /** The same before another cabinet. */
    public AmpSettings through(Cabinet other) {
        return new AmpSettings(
                name,
                drive,
                second,
                bias,
                gateDb,
                bassDb,
                middleDb,
                trebleDb,
                presenceDb,
                sag,
                gives,
                touch,
                air,
                other,
                level);
    }

    private static double linear(double db) {
        return Math.pow(10, db / 20);
    }
}
