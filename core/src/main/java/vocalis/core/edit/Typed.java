package vocalis.core.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.instrument.Fretboard;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Touch;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Lines;
import vocalis.core.riff.Riff;

/**
 * What typing does to a riff: events over whatever began while they last, and notes that a finger
 * alone leads to.
 */
public final class Typed {

    /** Octaves over the lowest in which a degree is looked for. */
    public static final int MOST_OCTAVE = 5;

    private Typed() {}

    /** Puts an event over whatever begins while it lasts. */
    public static Riff put(Riff riff, long at, Event event, Scope where) {
        return Strokes.put(cleared(riff, at, event.length(), where), at, event, where);
    }

    /** Lets the event at a tick last longer, over whatever begins meanwhile. */
    public static Riff lasting(Riff riff, long at, long length, Scope where) {
        Riff clear = cleared(riff, at, length, where);
        return Strokes.change(clear, at, e -> e.lasting(length), where);
    }

    private static Riff cleared(Riff riff, long at, long length, Scope where) {
        Riff out = riff;
        Pass pass = riff.passAt(at);
        for (Event e : pass.events()) {
            long begins = pass.start() + e.at();
            if (e.sounds() && begins > at && begins < at + length) {
                out = Strokes.remove(out, begins, where);
            }
        }
        return out;
    }

    /** Takes an event away with what was joined to it. */
    public static Riff remove(Riff riff, long at, Scope where) {
        Riff removed = Strokes.remove(riff, at, where);
        Pass pass = riff.passAt(at);
        return pass.figure()
                .sounding(at - pass.start())
                .map(e -> Touches.clear(removed, pass.figure().id(), e.id(), pass.index()))
                .orElse(removed);
    }

    /** Where a note at a tick has come to by what was joined to it, a MIDI number. */
    public static int reached(Riff riff, long at, LineNote from) {
        int midi = Lines.midi(riff, from.pitch(), at);
        Pass pass = riff.passAt(at);
        for (Touch t : riff.touches()) {
            midi += t.anchor().holds(pass.figure().id(), from.id(), pass.index()) ? moved(t) : 0;
        }
        return midi;
    }

    private static int moved(Touch t) {
        return t instanceof Touch.Legato l
                ? l.steps().stream().mapToInt(Touch.Step::frets).sum()
                : t instanceof Touch.Slide s ? s.frets() : 0;
    }

    /**
     * A degree in the octave where a string has it nearest to where a note has come.
     *
     * @param string of the note, empty where it lies nowhere yet
     */
    public static LinePitch nearest(
            Riff riff, long at, LineNote from, Optional<Integer> string, LinePitch.Degree asked) {
        int reached = reached(riff, at, from);
        Fretboard board = riff.ground().board();
        int open = string.map(s -> board.midi(s, 0)).orElse(0);
        LinePitch best = asked;
        int least = Integer.MAX_VALUE;
        for (int o = 0; o <= MOST_OCTAVE; o++) {
            LinePitch.Degree d =
                    new LinePitch.Degree(asked.above(), asked.degree(), asked.alter(), o);
            int midi = Lines.midi(riff, d, at);
            int away = Math.abs(midi - reached);
            boolean there = midi >= open && midi <= open + board.frets() && away > 0;
            if (there && away < least) {
                least = away;
                best = d;
            }
        }
        return best;
    }

    /**
     * Goes on from a note by frets without striking it again: the note lasts a step longer.
     *
     * @param step in ticks
     * @param slide along the string, else hammered on or pulled off
     */
    public static Riff joined(
            Riff riff, long at, LineNote from, int frets, long step, boolean slide, Scope where) {
        Pass pass = riff.passAt(at);
        Optional<Integer> on =
                where == Scope.THIS_PASS ? Optional.of(pass.index()) : Optional.empty();
        Anchor anchor = new Anchor(pass.figure().id(), from.id(), on, new Anchor.Voice.FromTop(0));
        long length = from.length();
        Riff longer = lasting(riff, at, length + step, where);
        if (slide) {
            // Begun after what led to the fret that it leaves.
            long way = Math.min(step / 2, Ticks.SIXTEENTH);
            // Beside those before it: a chain of slides is several.
            List<Touch> all = new ArrayList<>(longer.touches());
            all.add(new Touch.Slide(anchor, frets, length - way, way));
            return longer.withTouches(all);
        }
        List<Touch.Step> steps = new ArrayList<>();
        for (Touch t : riff.touches()) {
            if (t instanceof Touch.Legato l && l.anchor().equals(anchor)) {
                steps.addAll(l.steps());
            }
        }
        steps.add(new Touch.Step(frets, length));
        return Touches.put(longer, new Touch.Legato(anchor, steps));
    }
}
