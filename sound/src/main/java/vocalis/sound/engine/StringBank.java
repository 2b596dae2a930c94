package vocalis.sound.engine;

import vocalis.sound.guitar.Guitar;
import vocalis.sound.guitar.StringModel;
import vocalis.sound.strings.Damping;
import vocalis.sound.strings.StringPatch;

/**
 * The patches of all strings at all frets under every damping; immutable, built off the audio
 * thread.
 */
public final class StringBank {

    private final Guitar guitar;
    private final StringPatch[][][] patches;

    private StringBank(Guitar guitar, StringPatch[][][] patches) {
        this.guitar = guitar;
        this.patches = patches;
    }

    /** The bank of a guitar struck and heard as usual. */
    public static StringBank of(double[] openHz, int frets, double sampleRate) {
        return of(openHz, frets, Guitar.USUAL, sampleRate);
    }

    /**
     * @param openHz frequencies of the open strings over the capo in Hz, lowest string first
     * @param frets highest fret
     * @param guitar how the strings are struck and heard
     * @param sampleRate frames per second
     */
    public static StringBank of(double[] openHz, int frets, Guitar guitar, double sampleRate) {
        Damping[] all = Damping.values();
        StringPatch[][][] patches = new StringPatch[all.length][openHz.length][frets + 1];
        for (int s = 0; s < openHz.length; s++) {
            StringModel model = StringModel.electric(openHz[s], guitar);
            for (int f = 0; f <= frets; f++) {
                for (Damping d : all) {
                    patches[d.ordinal()][s][f] = StringPatch.of(model, f, d, guitar, sampleRate);
                }
            }
        }
        return new StringBank(guitar, patches);
    }

    /** How the strings are struck and heard. */
    public Guitar guitar() {
        return guitar;
    }

    /** Number of strings. */
    public int strings() {
        return patches[0].length;
    }

    /** Highest fret. */
    public int frets() {
        return patches[0][0].length - 1;
    }

    /** The patch of a string (0 is the lowest) at a fret. */
    public StringPatch patch(int string, int fret, Damping under) {
        return patches[under.ordinal()][string][fret];
    }

    /** The same by the damping's place in its enumeration. */
    StringPatch patch(int string, int fret, int under) {
        return patches[under][string][fret];
    }
}
