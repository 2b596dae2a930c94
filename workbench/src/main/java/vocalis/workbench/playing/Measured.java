package vocalis.workbench.playing;

/**
 * What was measured of voicings and riffs in what the strings and the amplifier render, remembered.
 * One may serve several windows; safe for use by several threads.
 *
 * @param levels what brings them to one loudness
 * @param gain what gain makes of them
 */
public record Measured(Levels levels, GainReadings gain) {

    /** Nothing measured yet. */
    public Measured() {
        this(new Levels(), new GainReadings());
    }
}
