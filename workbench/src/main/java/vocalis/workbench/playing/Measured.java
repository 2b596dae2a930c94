package vocalis.workbench.playing;

/**
 * What was measured of voicings and riffs in what the strings and the amplifier render, remembered.
 * One may serve several windows; safe for use by several threads.
 *
 * @param levels what brings them to one loudness
 * @param gain what gain makes of them
 * @param restMillis how long nothing newer comes before a riff is measured: somebody who is still
 *     typing is not worked for in vain
 */
public record Measured(Levels levels, GainReadings gain, long restMillis) {

    private static final long USUAL_REST_MILLIS = 250;

    /** Nothing measured yet. */
    public Measured() {
        this(USUAL_REST_MILLIS);
    }

    /** Nothing measured yet, and nothing will be before the keys rest for so long. */
    public Measured(long restMillis) {
        this(new Levels(), new GainReadings(), restMillis);
    }
}
