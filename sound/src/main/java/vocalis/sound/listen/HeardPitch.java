package vocalis.sound.listen;

/**
 * The pitch of one note.
 *
 * @param hz its fundamental
 * @param sure from 0 to 1: 1 less what of the sound does not repeat after a period
 */
public record HeardPitch(double hz, double sure) {

    private static final int A4 = 69;

    /** MIDI number with its fraction, 100 cents to 1. */
    public double midi(double a4Hz) {
        return A4 + 12 * Math.log(hz / a4Hz) / Math.log(2);
    }

    /** How far it lies over the nearest note of equal temperament, -50 to 50 cents. */
    public double cents(double a4Hz) {
        double midi = midi(a4Hz);
        return 100 * (midi - Math.round(midi));
    }
}
