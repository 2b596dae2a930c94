package vocalis.sound.engine;

import vocalis.sound.dsp.StringModel;
import vocalis.sound.dsp.StringPatch;

/**
 * The patches of all strings at all frets, ringing and muted; immutable, built off the audio
 * thread.
 */
public final class StringBank {

    private final StringPatch[][] ringing;
    private final StringPatch[][] muted;

    private StringBank(StringPatch[][] ringing, StringPatch[][] muted) {
        this.ringing = ringing;
        this.muted = muted;
    }

    /**
     * @param openHz frequencies of the open strings over the capo in Hz, lowest string first
     * @param frets highest fret
     * @param sampleRate frames per second
     */
    public static StringBank of(double[] openHz, int frets, double sampleRate) {
        StringPatch[][] ringing = new StringPatch[openHz.length][frets + 1];
        StringPatch[][] muted = new StringPatch[openHz.length][frets + 1];
        for (int s = 0; s < openHz.length; s++) {
            StringModel model = StringModel.electric(openHz[s]);
            for (int f = 0; f <= frets; f++) {
                ringing[s][f] = StringPatch.of(model, f, false, sampleRate);
                muted[s][f] = StringPatch.of(model, f, true, sampleRate);
            }
        }
        return new StringBank(ringing, muted);
    }

    /** Number of strings. */
    public int strings() {
        return ringing.length;
    }

    /** Highest fret. */
    public int frets() {
        return ringing[0].length - 1;
    }

    /** The patch of a string (0 is the lowest) at a fret. */
    public StringPatch patch(int string, int fret, boolean underPalm) {
        return (underPalm ? muted : ringing)[string][fret];
    }
}
