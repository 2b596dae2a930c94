package vocalis.sound.engine;

/** Renders sound, block by block, for one thread at a time. */
public interface Source {

    /**
     * Renders the next frames.
     *
     * @param out interleaved stereo, at least {@code 2 · count} long, overwritten
     * @param count frames
     */
    void render(float[] out, int count);

    /** Silence at once, whatever waits. */
    void panic();

    /** Frames per second. */
    double sampleRate();
}
