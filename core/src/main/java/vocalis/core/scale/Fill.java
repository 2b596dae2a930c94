package vocalis.core.scale;

import java.util.List;
import vocalis.core.edit.Scope;
import vocalis.core.edit.Strokes;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.riff.Riff;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;

/**
 * A few single notes that lead to the next root.
 *
 * @param kind how they go
 * @param at tick of the first
 * @param step ticks from each to the next, and how long each lasts
 * @param spots in the order they are played
 * @param target MIDI number of the root that they land on
 */
public record Fill(Kind kind, long at, long step, List<Box.Spot> spots, int target) {

    /** How the notes go. */
    public enum Kind {
        /** Up the scale. */
        UP,
        /** Down the scale. */
        DOWN,
        /** From above and below the root by turns. */
        AROUND,
        /** Up the scale in thirds. */
        SKIPS_UP,
        /** Down the scale in thirds. */
        SKIPS_DOWN,
        /** Through the chord that holds, then by a step. */
        CHORD
    }

    public Fill {
        spots = List.copyOf(spots);
        if (spots.isEmpty() || step < 1 || at < 0) {
            throw new IllegalArgumentException("a fill has notes, a step and a time");
        }
    }

    /** Where the root begins that it lands on. */
    public long end() {
        return at + step * spots.size();
    }

    /** A riff with it in the place of what is struck there, in that one pass alone. */
    public Riff in(Riff riff) {
        Riff out = Strokes.emptied(riff, at, end());
        for (int i = 0; i < spots.size(); i++) {
            LinePitch pitch = new LinePitch.Place(spots.get(i).string(), spots.get(i).fret());
            LineNote note = new LineNote(0, 0, step, pitch, Manner.PLAIN, Dynamics.PLAIN, false);
            out = Strokes.put(out, at + i * step, note, Scope.THIS_PASS);
        }
        return out;
    }
}
