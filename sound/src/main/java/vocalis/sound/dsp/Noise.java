package vocalis.sound.dsp;

/**
 * Chance: uniform numbers from -1 to 1, the same for the same seed; xorshift64 (G. Marsaglia,
 * "Xorshift RNGs", Journal of Statistical Software 8, 2003). One thread; no allocation.
 */
public final class Noise {

    private long state;

    /**
     * @param state what it begins from, not 0
     */
    public Noise(long state) {
        if (state == 0) {
            throw new IllegalArgumentException("xorshift cannot begin from 0");
        }
        this.state = state;
    }

    /** One for a seed; another salt is another course of chance. */
    public static Noise of(long seed, long salt) {
        return new Noise(seed * 0x9E3779B97F4A7C15L + salt);
    }

    public double next() {
        state ^= state << 13;
        state ^= state >>> 7;
        state ^= state << 17;
        return (state >> 11) * 0x1.0p-52;
    }
}
