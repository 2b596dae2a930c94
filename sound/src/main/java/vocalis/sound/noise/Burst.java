package vocalis.sound.noise;

/**
 * A short noise between two frequencies that begins at once and dies away: white noise through one
 * pole from above and one from below. One thread; no allocation.
 */
final class Burst {

    private static final double SILENT = 1e-6;

    private final double sampleRate;
    private double level;
    private double fall;
    private double lowPole;
    private double highPole;
    private double low;
    private double high;

    /**
     * @param lowHz where it begins, in Hz
     * @param highHz where it ends
     * @param seconds until it has fallen by 60 dB
     */
    Burst(double sampleRate, double lowHz, double highHz, double seconds) {
        this.sampleRate = sampleRate;
        tone(lowHz, highHz);
        fall = Math.exp(-6.9 / (seconds * sampleRate));
    }

    /** Lies elsewhere from now on. */
    void tone(double lowHz, double highHz) {
        lowPole = 1 - Math.exp(-2 * Math.PI * lowHz / sampleRate);
        highPole = 1 - Math.exp(-2 * Math.PI * highHz / sampleRate);
    }

    /** Begins; what is louder already goes on. */
    void begin(double loud) {
        level = Math.max(level, loud);
    }

    boolean active() {
        return level > SILENT;
    }

    void silence() {
        level = 0;
        low = 0;
        high = 0;
    }

    /**
     * One frame.
     *
     * @param white noise from -1 to 1
     */
    double next(double white) {
        high += highPole * (level * white - high);
        low += lowPole * (high - low);
        level *= fall;
        return high - low;
    }
}
