package vocalis.core.theory;

/** Equal temperament: from MIDI numbers to frequencies and back. */
public final class Pitch {

    /** A4 in Hz after ISO 16:1975. */
    public static final double STANDARD_A4_HZ = 440.0;

    /** MIDI number of A4. */
    public static final int A4 = 69;

    private Pitch() {}

    /**
     * Frequency in Hz of a MIDI number, {@code a4 · 2^((midi − 69)/12)}; fractions are fractions of
     * a semitone.
     *
     * @param a4Hz tuning standard, 430 to 450 Hz
     */
    public static double hz(double midi, double a4Hz) {
        return a4Hz * Math.pow(2, (midi - A4) / 12);
    }

    /** Frequency in Hz of a MIDI number at A4 = 440 Hz. */
    public static double hz(double midi) {
        return hz(midi, STANDARD_A4_HZ);
    }

    /** Cents from {@code fromHz} up to {@code toHz}; both above zero. */
    public static double cents(double fromHz, double toHz) {
        return 1200 * Math.log(toHz / fromHz) / Math.log(2);
    }
}
