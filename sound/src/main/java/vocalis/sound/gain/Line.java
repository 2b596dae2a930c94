package vocalis.sound.gain;

/**
 * One line of a spectrum.
 *
 * @param hz frequency in Hz
 * @param amplitude linear, of a sine
 */
public record Line(double hz, double amplitude) {

    /** Level in dB against another amplitude. */
    public double dbAgainst(double reference) {
        return 20 * Math.log10(amplitude / reference);
    }
}
