package vocalis.desktop.writing;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.beans.property.LongProperty;
import javafx.beans.property.SimpleLongProperty;
import vocalis.core.edit.Scope;
import vocalis.core.edit.Strokes;
import vocalis.core.edit.Typed;
import vocalis.core.instrument.Fretboard;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Rest;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.riff.Lines;
import vocalis.core.riff.Riff;
import vocalis.core.scale.Box;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.desktop.session.Editing;
import vocalis.desktop.session.Whereabouts;
import vocalis.workbench.document.Edits;

/**
 * Writing in the lane as one thinks it: a digit is a note, Enter a stroke, and the caret goes on by
 * a step. What was written last can be changed by the keys that follow: moved, muted, accented,
 * lengthened, joined to the next.
 */
public final class TypingModel {

    /** How the next note is reached from the last. */
    private enum Join {
        NONE,
        LEGATO,
        SLIDE
    }

    private final Editing session;
    private final Whereabouts whereabouts;
    private final LaneModel lane;
    private final Deque<Long> typed = new ArrayDeque<>();
    private final LongProperty changed = new SimpleLongProperty();
    private Join join = Join.NONE;
    private final Digits digits = new Digits();
    private long expected;

    TypingModel(Editing session, Whereabouts whereabouts, LaneModel lane) {
        this.session = session;
        this.whereabouts = whereabouts;
        this.lane = lane;
    }

    /** Where the box comes from that digits may be degrees of. */
    void boxes(Supplier<Optional<Box>> shown) {
        digits.boxes(shown);
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
        whereabouts.placeProperty().set(WritePlace.TYPING);
        show();
    }

    /** What the keys write now, for the lane's head. */
    public String inWords() {
        int strings = session.now().ground().board().strings();
        String joined =
                switch (join) {
                    case NONE -> "";
                    case LEGATO -> " · the next note without the pick";
                    case SLIDE -> " · sliding into the next note";
                };
        return "writing " + lane.grainInWords() + ", " + digits.inWords(strings) + joined;
    }

    /** The next meaning of digits. */
    public void nextSays() {
        digits.next();
        show();
    }

    private OptionalLong last() {
        return typed.isEmpty() ? OptionalLong.empty() : OptionalLong.of(typed.peekLast());
    }

    private Optional<Event> lastEvent() {
        return last().isEmpty() ? Optional.empty() : Strokes.at(session.now(), last().getAsLong());
    }

    private Scope scope() {
        return lane.scopeProperty().get();
    }

    /** Whether writing at the caret would write over what was just written, a round earlier. */
    private boolean comesRound() {
        if (scope() == Scope.THIS_PASS || typed.isEmpty()) {
            return false;
        }
        Pass now = session.now().passAt(lane.caretProperty().get());
        Pass first = session.now().passAt(typed.peekFirst());
        boolean round =
                now.index() != first.index() && now.figure().id().equals(first.figure().id());
        if (round) {
            session.say(
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
        if (session.apply(Edits.riff("write", r -> Typed.put(r, at, event, where)))) {
            typed.addLast(at);
            goOn(at + event.length());
        }
    }

    private void goOn(long to) {
        long end = session.now().length();
        if (to < end) {
            lane.caretProperty().set(to);
            session.caret().moveTo(session.now().chordAt(to));
            session.caret().view().show(to);
        } else {
            session.say("The riff ends here: Shift → on its last chord makes it longer.");
        }
        show();
    }

    /** Writes a digit: a degree (with Shift, 10 to 19, an octave up), or a fret (ten more). */
    public void digit(int n) {
        Optional<LinePitch> written = digits.pitch(n, session.now().ground().board(), reached());
        if (written.isEmpty()) {
            session.say(digits.none(n));
            return;
        }
        LinePitch pitch = written.get();
        if (join != Join.NONE && lastEvent().orElse(null) instanceof LineNote from) {
            reach(from, pitch instanceof LinePitch.Degree d ? nearest(from, d) : pitch);
        } else {
            put(new LineNote(0, 0, lane.grainProperty().get(), pitch));
        }
        join = Join.NONE;
        show();
    }

    /** MIDI number that the last note has come to. */
    private OptionalInt reached() {
        return lastEvent().orElse(null) instanceof LineNote from
                ? OptionalInt.of(Typed.reached(session.now(), last().getAsLong(), from))
                : OptionalInt.empty();
    }

    /** Writes a note of the neck at the lane's caret, and goes on by a step. */
    public void place(int onString, int fret) {
        if (lane.caretProperty().get() != expected) {
            typed.clear();
        }
        put(new LineNote(0, 0, lane.grainProperty().get(), new LinePitch.Place(onString, fret)));
        expected = lane.caretProperty().get();
    }

    /** Goes on from the last note to another without striking it: the note lasts a step longer. */
    private void reach(LineNote from, LinePitch to) {
        Riff now = session.now();
        long at = last().getAsLong();
        int frets = Lines.midi(now, to, at) - Typed.reached(now, at, from);
        if (frets == 0) {
            session.say("That is the same note: a hammer-on, pull-off or slide leads to another.");
            return;
        }
        long step = lane.grainProperty().get();
        boolean slide = join == Join.SLIDE;
        if (at + from.length() + step > now.passAt(at).to()) {
            session.say(
                    "The figure ends here: Ctrl ↑ makes it longer, then the note can go on into the"
                            + " next.");
            return;
        }
        boolean done =
                session.apply(
                        Edits.riff(
                                slide ? "slide" : frets > 0 ? "hammer on" : "pull off",
                                r -> Typed.joined(r, at, from, frets, step, slide, scope())));
        if (done) {
            goOn(at + from.length() + step);
        }
    }

    /** A degree in the octave nearest to the note that it is joined to. */
    private LinePitch nearest(LineNote from, LinePitch.Degree asked) {
        Optional<Integer> string = placed().map(LinePitch.Place::string);
        return Typed.nearest(session.now(), last().getAsLong(), from, string, asked);
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
            session.say("First write the note that it begins on.");
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
            session.say("First write what is to go on.");
            return;
        }
        if (session.apply(
                Edits.riff("hold", r -> Typed.lasting(r, at, e.length() + step, scope())))) {
            goOn(at + e.length() + step);
        }
    }

    /** Takes back what was written last. */
    public void takeBack() {
        if (typed.isEmpty()) {
            session.say("Nothing was written yet; Delete takes away what stands under the caret.");
            return;
        }
        long at = typed.removeLast();
        Scope where = scope();
        session.apply(Edits.riff("take back", r -> Typed.remove(r, at, where)));
        lane.caretProperty().set(at);
        join = Join.NONE;
        show();
    }

    private void changeLast(String what, UnaryOperator<Event> change) {
        if (lastEvent().isEmpty()) {
            session.say("First write what is to be changed.");
            return;
        }
        session.apply(Edits.changeEvent(last().getAsLong(), what, change, scope()));
    }

    private void changeNote(String what, UnaryOperator<LinePitch> change) {
        if (lastEvent().orElse(null) instanceof LineNote) {
            changeLast(what, e -> ((LineNote) e).sounding(change.apply(((LineNote) e).pitch())));
        } else if (lastEvent().orElse(null) instanceof Stroke) {
            session.say("A stroke has no single note: ← → and Esc, then ↑ ↓ choose its voices.");
        } else {
            session.say("First write a note.");
        }
    }

    /** Moves the last note along the scale (a fret where it is pinned). */
    public void step(int by) {
        changeNote("move the note", p -> Lines.stepped(session.now().ground(), p, by));
    }

    /** Moves the last note by octaves, and those that follow. */
    public void octave(int by) {
        int octave = digits.octave(by);
        if (lastEvent().orElse(null) instanceof LineNote) {
            changeNote("move the note", p -> Lines.octave(session.now().ground(), p, by));
        } else {
            session.say("Notes are written in octave " + octave + ".");
        }
    }

    /** Raises or lowers the last note by a semitone. */
    public void alter(int by) {
        changeNote("alter the note", p -> Lines.altered(session.now().ground(), p, by));
    }

    /** Puts the last note on the next string up or down, where it lies; frets follow there. */
    public void string(int by) {
        Riff now = session.now();
        Fretboard board = now.ground().board();
        int string = digits.string(by, board);
        if (lastEvent().orElse(null) instanceof LineNote n) {
            LinePitch.Place place =
                    n.pitch() instanceof LinePitch.Place p ? p : placed().orElse(null);
            if (place != null) {
                LinePitch.Place to = Lines.onString(now.ground(), place, by);
                digits.stringIs(to.string());
                changeNote("another string", p -> to);
            }
        } else {
            session.say("Frets are written on string " + (board.strings() - string) + ".");
        }
        show();
    }

    /** Where the note written last lies, as derived. */
    private Optional<LinePitch.Place> placed() {
        return session.derived().score().soundingAt(last().getAsLong()).stream()
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
                e -> e.with(e.dynamics() == Dynamics.ACCENT ? Dynamics.PLAIN : Dynamics.ACCENT));
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
