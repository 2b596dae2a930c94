package vocalis.core.riff;

import vocalis.core.instrument.Fretboard;
import vocalis.core.pattern.LinePitch;
import vocalis.core.theory.Key;

/** What single notes sound, and what becomes of them when they are moved. */
public final class Lines {

    private static final int HIGHEST_OCTAVE = 5;

    private Lines() {}

    /**
     * MIDI number of a note of a line under a chord: a degree lies above the chord's root or above
     * the tonic, its octave counted from the lowest open string.
     *
     * @param root pitch class of the chord's root
     */
    public static int midi(Ground ground, LinePitch pitch, int root) {
        Fretboard board = ground.board();
        if (pitch instanceof LinePitch.Place p) {
            return board.midi(Math.min(p.string(), board.strings() - 1), p.fret());
        }
        LinePitch.Degree d = (LinePitch.Degree) pitch;
        Key key = ground.key();
        int from = d.above() == LinePitch.Above.KEY ? key.tonic().pitchClass() : root;
        Root at = Root.of(key, from);
        int up = 0;
        for (int step = 1; step < d.degree(); step++) {
            Root next = at.step(key, 1);
            up += Math.floorMod(next.pitchClass(key) - at.pitchClass(key), 12);
            at = next;
        }
        int lowest = lowest(board);
        return lowest + Math.floorMod(from - lowest, 12) + up + d.alter() + 12 * d.octave();
    }

    private static int lowest(Fretboard board) {
        int lowest = Integer.MAX_VALUE;
        for (int s = 0; s < board.strings(); s++) {
            lowest = Math.min(lowest, board.midi(s, 0));
        }
        return lowest;
    }

    /** MIDI number of what a line plays at a tick of the riff. */
    public static int midi(Riff riff, LinePitch pitch, long tick) {
        Key key = riff.ground().key();
        int root = riff.roots().get(riff.chordAt(tick)).root().pitchClass(key);
        return midi(riff.ground(), pitch, root);
    }

    /** The note so many steps of the scale up (down); a place goes as many frets. */
    public static LinePitch stepped(Ground ground, LinePitch pitch, int steps) {
        if (pitch instanceof LinePitch.Place p) {
            return fretted(ground, p, p.fret() + steps);
        }
        LinePitch.Degree d = (LinePitch.Degree) pitch;
        int notes = Math.min(7, ground.key().mode().size());
        int at = d.octave() * notes + d.degree() - 1 + steps;
        if (at < 0 || at / notes > HIGHEST_OCTAVE) {
            return pitch;
        }
        return new LinePitch.Degree(d.above(), at % notes + 1, d.alter(), at / notes);
    }

    /** The note an octave (or more) up or down. */
    public static LinePitch octave(Ground ground, LinePitch pitch, int octaves) {
        if (pitch instanceof LinePitch.Place p) {
            return fretted(ground, p, p.fret() + 12 * octaves);
        }
        LinePitch.Degree d = (LinePitch.Degree) pitch;
        int to = d.octave() + octaves;
        return to < 0 || to > HIGHEST_OCTAVE
                ? pitch
                : new LinePitch.Degree(d.above(), d.degree(), d.alter(), to);
    }

    /** The note a semitone (or two) up or down against the scale. */
    public static LinePitch altered(Ground ground, LinePitch pitch, int by) {
        if (pitch instanceof LinePitch.Place p) {
            return fretted(ground, p, p.fret() + by);
        }
        LinePitch.Degree d = (LinePitch.Degree) pitch;
        int to = d.alter() + by;
        return Math.abs(to) > 2
                ? pitch
                : new LinePitch.Degree(d.above(), d.degree(), to, d.octave());
    }

    /** The same note on the next string up (down), pinned there; itself where it has none there. */
    public static LinePitch.Place onString(Ground ground, LinePitch.Place now, int by) {
        Fretboard board = ground.board();
        int string = now.string() + by;
        if (string < 0 || string >= board.strings()) {
            return now;
        }
        int fret = board.midi(now.string(), now.fret()) - board.midi(string, 0);
        return fret < 0 || fret > board.frets() ? now : new LinePitch.Place(string, fret);
    }

    private static LinePitch fretted(Ground ground, LinePitch.Place p, int fret) {
        boolean there = fret >= 0 && fret <= ground.board().frets();
        return there ? new LinePitch.Place(p.string(), fret) : p;
    }
}
