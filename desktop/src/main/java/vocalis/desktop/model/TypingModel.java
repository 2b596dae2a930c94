package vocalis.desktop.model;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.UnaryOperator;
import javafx.beans.property.LongProperty;
import javafx.beans.property.SimpleLongProperty;
import vocalis.core.edit.Scope;
import vocalis.core.edit.Strokes;
import vocalis.core.edit.Touches;
import vocalis.core.instrument.Fretboard;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Rest;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.pattern.Touch;
import vocalis.core.riff.Lines;
import vocalis.core.riff.Riff;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.workbench.document.Edits;

/**
 * Writing in the lane as one thinks it: a digit is a note, Enter a stroke, and the caret goes on by
 * a step. What was written last can be changed by the keys that follow: moved, muted, accented,
 * lengthened, joined to the next.
 */
public final class TypingModel {

    /** What a digit says. */
    public enum Says {
        ROOT("degrees of the root"),
        KEY("degrees of the key"),
        FRET("frets");

        private final String words;

        Says(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** How the next note is reached from the last. */
    private enum Join {
        NONE,
        LEGATO,
        SLIDE
    }

    private static final int MOST_OCTAVE = 5;

    private final WriteModel model;
    private final LaneModel lane;
    private final Deque<Long> typed = new ArrayDeque<>();
    private final LongProperty changed = new SimpleLongProperty();
    private Says says = Says.ROOT;
    private Join join = Join.NONE;
    private int octave = 1;
    private int string;

    TypingModel(WriteModel model, LaneModel lane) {
        this.model = model;
        this.lane = lane;
    }

    /** Counts up whenever something of it is shown otherwise. */
    public LongProperty changedProperty() {
        return changed;
    }

    private void show() {
        changed.set(changed.get() + 1);
    }

    /** Begins to write at the lane's caret. */
    public void begin() {
        typed.clear();
        join = Join.NONE;
        model.zoneProperty().set(Zone.TYPING);
        show();
    }

    /** What the keys write now, for the lane's head. */
    public String inWords() {
        int strings = model.now().ground().board().strings();
        String what = says == Says.FRET ? "frets on string " + (strings - string) : says.words();
        String joined =
                switch (join) {
                    case NONE -> "";
                    case LEGATO -> " · the next note without the pick";
                    case SLIDE -> " · sliding into the next note";
                };
        return "writing " + lane.grainInWords() + ", " + what + joined;
    }

    /** The next meaning of digits. */
    public void nextSays() {
        says = Says.values()[(says.ordinal() + 1) % Says.values().length];
        show();
    }

    private OptionalLong last() {
        return typed.isEmpty() ? OptionalLong.empty() : OptionalLong.of(typed.peekLast());
    }

    private Optional<Event> lastEvent() {
        return last().isEmpty() ? Optional.empty() : Strokes.at(model.now(), last().getAsLong());
    }

    private Scope scope() {
        return lane.scopeProperty().get();
    }

    /** Whether writing at the caret would write over what was just written, a round earlier. */
    private boolean comesRound() {
        if (scope() == Scope.THIS_PASS || typed.isEmpty()) {
            return false;
        }
        Pass now = model.now().passAt(lane.caretProperty().get());
        Pass first = model.now().passAt(typed.peekFirst());
        boolean round =
                now.index() != first.index() && now.figure().id().equals(first.figure().id());
        if (round) {
            model.say(
                    "The figure comes round here. F gives this pass a figure of its own, O writes"
                            + " here only, Ctrl ↑ makes the figure longer.");
        }
        return round;
    }

    private void put(Event event) {
        long at = lane.caretProperty().get();
        if (comesRound()) {
            return;
        }
        Scope where = scope();
        if (model.apply(Edits.riff("write", r -> written(r, at, event, where)))) {
            typed.addLast(at);
            goOn(at + event.length());
        }
    }

    /** Puts an event over whatever begins while it lasts. */
    private static Riff written(Riff riff, long at, Event event, Scope where) {
        return Strokes.put(cleared(riff, at, event.length(), where), at, event, where);
    }

    /** Lets an event last longer, over whatever begins meanwhile. */
    private static Riff lasting(Riff riff, long at, long length, Scope where) {
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

    private void goOn(long to) {
        long end = model.now().length();
        if (to < end) {
            lane.caretProperty().set(to);
            model.moveChordCaretTo(model.now().chordAt(to));
            model.view().show(to);
        } else {
            model.say("The riff ends here: Shift → on its last chord makes it longer.");
        }
        show();
    }

    /** Writes a digit: a degree (with Shift, 10 to 19, an octave up), or a fret (ten more). */
    public void digit(int n) {
        LinePitch pitch =
                says == Says.FRET
                        ? fret(n)
                        : n % 10 == 0
                                ? null
                                : new LinePitch.Degree(
                                        says == Says.KEY
                                                ? LinePitch.Above.KEY
                                                : LinePitch.Above.ROOT,
                                        (n % 10 - 1) % 7 + 1,
                                        0,
                                        Math.min(MOST_OCTAVE, octave + (n % 10 - 1) / 7 + n / 10));
        if (pitch == null) {
            model.say(
                    says == Says.FRET
                            ? "The neck has no fret " + n + "."
                            : "Degrees are 1 to 7, and 8 and 9 above them; D makes digits frets.");
            return;
        }
        if (join != Join.NONE && lastEvent().orElse(null) instanceof LineNote from) {
            reach(from, pitch instanceof LinePitch.Degree d ? nearest(from, d) : pitch);
        } else {
            put(new LineNote(0, 0, lane.grainProperty().get(), pitch));
        }
        join = Join.NONE;
        show();
    }

    /** Where a line's last note has come to by what was joined to it. */
    private int reached(LineNote from) {
        Riff now = model.now();
        long at = last().getAsLong();
        int midi = Lines.midi(now, from.pitch(), at);
        Pass pass = now.passAt(at);
        for (Touch t : now.touches()) {
            midi += t.anchor().holds(pass.figure().id(), from.id(), pass.index()) ? moved(t) : 0;
        }
        return midi;
    }

    /** A degree in the octave where its string has it nearest to the note that it is joined to. */
    private LinePitch nearest(LineNote from, LinePitch.Degree asked) {
        int reached = reached(from);
        long at = last().getAsLong();
        Fretboard board = model.now().ground().board();
        int open = placed().map(p -> board.midi(p.string(), 0)).orElse(0);
        LinePitch best = asked;
        int least = Integer.MAX_VALUE;
        for (int o = 0; o <= MOST_OCTAVE; o++) {
            LinePitch.Degree d =
                    new LinePitch.Degree(asked.above(), asked.degree(), asked.alter(), o);
            int midi = Lines.midi(model.now(), d, at);
            int away = Math.abs(midi - reached);
            boolean there = midi >= open && midi <= open + board.frets() && away > 0;
            if (there && away < least) {
                least = away;
                best = d;
            }
        }
        return best;
    }

    private LinePitch fret(int n) {
        return n > model.now().ground().board().frets() ? null : new LinePitch.Place(string, n);
    }

    /** Goes on from the last note to another without striking it: the note lasts a step longer. */
    private void reach(LineNote from, LinePitch to) {
        Riff now = model.now();
        long at = last().getAsLong();
        Pass pass = now.passAt(at);
        int frets = Lines.midi(now, to, at) - reached(from);
        if (frets == 0) {
            model.say("That is the same note: a hammer-on, pull-off or slide leads to another.");
            return;
        }
        Optional<Integer> on =
                scope() == Scope.THIS_PASS ? Optional.of(pass.index()) : Optional.empty();
        Anchor anchor = new Anchor(pass.figure().id(), from.id(), on, new Anchor.Voice.FromTop(0));
        long step = lane.grainProperty().get();
        Join how = join;
        if (at + from.length() + step > pass.to()) {
            model.say(
                    "The figure ends here: Ctrl ↑ makes it longer, then the note can go on into the"
                            + " next.");
            return;
        }
        boolean done =
                model.apply(
                        Edits.riff(
                                how == Join.SLIDE ? "slide" : frets > 0 ? "hammer on" : "pull off",
                                r -> joined(r, at, from, anchor, frets, step, how)));
        if (done) {
            goOn(at + from.length() + step);
        }
    }

    private static int moved(Touch t) {
        return t instanceof Touch.Legato l
                ? l.steps().stream().mapToInt(Touch.Step::frets).sum()
                : t instanceof Touch.Slide s ? s.frets() : 0;
    }

    private Riff joined(
            Riff riff, long at, LineNote from, Anchor anchor, int frets, long step, Join how) {
        long length = from.length();
        Riff longer = lasting(riff, at, length + step, scope());
        if (how == Join.SLIDE) {
            // Begun after what led to the fret that it leaves.
            long way = Math.min(step / 2, vocalis.core.rhythm.Ticks.SIXTEENTH);
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

    /** The next note is reached from the last by a finger alone: hammered on or pulled off. */
    public void joinNext() {
        join(Join.LEGATO);
    }

    /** The next note is reached from the last by a slide. */
    public void slideNext() {
        join(Join.SLIDE);
    }

    private void join(Join how) {
        if (lastEvent().orElse(null) instanceof LineNote) {
            join = join == how ? Join.NONE : how;
        } else {
            model.say("First write the note that it begins on.");
        }
        show();
    }

    /** Writes a stroke of all voices. */
    public void stroke() {
        put(new Stroke(0, 0, lane.grainProperty().get(), Struck.Named.ALL));
    }

    /** Writes a stroke of the lowest voice under the palm. */
    public void chug() {
        put(new Stroke(0, 0, lane.grainProperty().get(), Struck.Named.LOW).played(Manner.PALM));
    }

    /** Writes a rest. */
    public void rest() {
        put(new Rest(0, 0, lane.grainProperty().get()));
    }

    /** Lets what was written last go on for another step. */
    public void hold() {
        long step = lane.grainProperty().get();
        long at = last().orElse(-1);
        Event e = lastEvent().orElse(null);
        if (e == null) {
            model.say("First write what is to go on.");
            return;
        }
        if (model.apply(Edits.riff("hold", r -> lasting(r, at, e.length() + step, scope())))) {
            goOn(at + e.length() + step);
        }
    }

    /** Takes back what was written last. */
    public void takeBack() {
        if (typed.isEmpty()) {
            model.say("Nothing was written yet; Delete takes away what stands under the caret.");
            return;
        }
        long at = typed.removeLast();
        Scope where = scope();
        model.apply(
                Edits.riff("take back", r -> withoutTouches(Strokes.remove(r, at, where), r, at)));
        lane.caretProperty().set(at);
        join = Join.NONE;
        show();
    }

    /** What was typed with a note goes with it. */
    private static Riff withoutTouches(Riff removed, Riff before, long at) {
        Pass pass = before.passAt(at);
        return pass.figure()
                .sounding(at - pass.start())
                .map(e -> Touches.clear(removed, pass.figure().id(), e.id(), pass.index()))
                .orElse(removed);
    }

    private void changeLast(String what, UnaryOperator<Event> change) {
        if (lastEvent().isEmpty()) {
            model.say("First write what is to be changed.");
            return;
        }
        model.apply(Edits.changeEvent(last().getAsLong(), what, change, scope()));
    }

    private void changeNote(String what, UnaryOperator<LinePitch> change) {
        if (lastEvent().orElse(null) instanceof LineNote) {
            changeLast(what, e -> ((LineNote) e).sounding(change.apply(((LineNote) e).pitch())));
        } else if (lastEvent().orElse(null) instanceof Stroke) {
            model.say("A stroke has no single note: ←→ and Esc, then ↑↓ choose its voices.");
        } else {
            model.say("First write a note.");
        }
    }

    /** Moves the last note along the scale (a fret where it is pinned). */
    public void step(int by) {
        changeNote("move the note", p -> Lines.stepped(model.now().ground(), p, by));
    }

    /** Moves the last note by octaves, and those that follow. */
    public void octave(int by) {
        octave = Math.max(0, Math.min(MOST_OCTAVE, octave + by));
        if (lastEvent().orElse(null) instanceof LineNote) {
            changeNote("move the note", p -> Lines.octave(model.now().ground(), p, by));
        } else {
            model.say("Notes are written in octave " + octave + ".");
        }
    }

    /** Raises or lowers the last note by a semitone. */
    public void alter(int by) {
        changeNote("alter the note", p -> Lines.altered(model.now().ground(), p, by));
    }

    /** Puts the last note on the next string up or down, where it lies; frets follow there. */
    public void string(int by) {
        Riff now = model.now();
        Fretboard board = now.ground().board();
        string = Math.max(0, Math.min(board.strings() - 1, string + by));
        if (lastEvent().orElse(null) instanceof LineNote n) {
            LinePitch.Place place =
                    n.pitch() instanceof LinePitch.Place p ? p : placed().orElse(null);
            if (place != null) {
                LinePitch.Place to = Lines.onString(now.ground(), place, by);
                string = to.string();
                changeNote("another string", p -> to);
            }
        } else {
            model.say("Frets are written on string " + (board.strings() - string) + ".");
        }
        show();
    }

    /** Where the note written last lies, as derived. */
    private Optional<LinePitch.Place> placed() {
        return model.derived().score().soundingAt(last().getAsLong()).stream()
                .flatMap(o -> o.notes().stream())
                .findFirst()
                .map(n -> new LinePitch.Place(n.string(), n.fret()));
    }

    /** Moves the caret by bars without writing. */
    public void moveBar(int bars) {
        join = Join.NONE;
        typed.clear();
        lane.moveBar(bars);
        show();
    }

    private void manner(Manner manner) {
        changeLast(
                manner.words(),
                e ->
                        e instanceof Stroke s
                                ? s.played(s.manner() == manner ? Manner.PLAIN : manner)
                                : e instanceof LineNote n
                                        ? n.played(n.manner() == manner ? Manner.PLAIN : manner)
                                        : e);
    }

    /** Mutes what was written last with the palm, or lets it sound. */
    public void mute() {
        manner(Manner.PALM);
    }

    /** Makes it a dead note. */
    public void dead() {
        manner(Manner.DEAD);
    }

    /** Accents it. */
    public void accent() {
        changeLast(
                "accent",
                e -> {
                    Dynamics now =
                            e instanceof Stroke s
                                    ? s.dynamics()
                                    : e instanceof LineNote n ? n.dynamics() : Dynamics.PLAIN;
                    Dynamics to = now == Dynamics.ACCENT ? Dynamics.PLAIN : Dynamics.ACCENT;
                    return e instanceof Stroke s
                            ? s.with(to)
                            : e instanceof LineNote n ? n.with(to) : e;
                });
    }

    /** Moves the caret by steps without writing. */
    public void move(int steps) {
        join = Join.NONE;
        typed.clear();
        lane.moveCaret(steps);
        show();
    }

    /** Gives the pass at the caret a figure of its own. */
    public void ownFigure() {
        lane.figures().own();
        typed.clear();
    }
}
