package vocalis.desktop.writing;

import java.util.List;
import java.util.Optional;
import vocalis.core.derive.Derived;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.scale.Box;
import vocalis.core.scale.Boxes;
import vocalis.core.scale.Fill;
import vocalis.core.scale.Fills;
import vocalis.core.theory.Key;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.Session;
import vocalis.workbench.document.Edits;

/** The box of a scale under the hand: walked along the neck, and notes and fills out of it. */
public final class BoxModel {

    private final Session session;
    private final Looks looks;
    private final LaneModel lane;
    private final TypingModel typing;
    private final Hearing hearing;

    BoxModel(Session session, Looks looks, LaneModel lane, TypingModel typing, Hearing hearing) {
        this.session = session;
        this.looks = looks;
        this.lane = lane;
        this.typing = typing;
        this.hearing = hearing;
        typing.boxes(this::box);
        looks.scale().addListener(o -> refresh());
        session.derivedProperty().addListener(o -> refresh());
    }

    /** The box that is shown. */
    public Optional<Box> box() {
        return looks.box().get();
    }

    /** The scale that boxes are of: the one shown on the neck, or the riff's own. */
    public Key scale() {
        return looks.scale().get().orElse(session.key());
    }

    private Fretboard board() {
        return session.riff().ground().board();
    }

    /** Keeps the box where it is when the scale, the tuning or the key became another. */
    private void refresh() {
        box().filter(b -> !b.equals(Boxes.at(board(), scale(), b.start()).orElse(null)))
                .ifPresent(b -> looks.box().set(nearest(b.position())));
    }

    private Optional<Box> nearest(int position) {
        Box best = null;
        for (Box b : Boxes.of(board(), scale())) {
            boolean nearer =
                    best == null
                            || Math.abs(b.position() - position)
                                    < Math.abs(best.position() - position);
            best = nearer ? b : best;
        }
        return Optional.ofNullable(best);
    }

    /** The next box up (down) the neck; the first is that nearest to the hand. */
    public void walk(int by) {
        List<Box> all = Boxes.of(board(), scale());
        if (box().isEmpty()) {
            int hand = session.currentChord().candidate().voicing().shape().lowestFretted();
            show(nearest(Math.max(1, hand)));
            return;
        }
        int octave = box().get().start() >= 12 ? 12 : 0;
        int at = 0;
        while (at < all.size() && all.get(at).start() + octave != box().get().start()) {
            at++;
        }
        Box next = all.get(Math.floorMod(at + by, all.size()));
        boolean round = at + by < 0 || at + by >= all.size();
        Optional<Box> high = octave == 0 || round ? Optional.empty() : Boxes.octave(board(), next);
        show(high.or(() -> Optional.of(next)));
    }

    /** The same box an octave up the neck, or down again. */
    public void octave() {
        box().flatMap(b -> Boxes.octave(board(), b))
                .ifPresentOrElse(
                        b -> show(Optional.of(b)),
                        () ->
                                session.say(
                                        box().isEmpty()
                                                ? "Show a box first: Alt → on the neck."
                                                : "The neck ends before the same box an octave up."));
    }

    /** Shows no box. */
    public void close() {
        looks.box().set(Optional.empty());
        session.say("No box.");
    }

    private void show(Optional<Box> box) {
        looks.box().set(box);
        box.ifPresent(b -> session.say(words(b) + ". Click, or Shift Enter, writes its notes."));
    }

    /** Such as {@code A minor pentatonic, first finger at fret 5}. */
    public static String words(Box box) {
        return box.scale().symbol()
                + (box.atNut()
                        ? " at the nut, open strings in it"
                        : ", first finger at fret " + box.position());
    }

    /** Writes a note of the neck at the lane's caret, while a box is shown. */
    public void point(int string, int fret) {
        if (box().isEmpty()) {
            session.say("Show a box first: Alt → on the neck.");
        } else {
            typing.place(string, fret);
        }
    }

    /** Sounds one place of the neck alone. */
    public void hear(int string, int fret) {
        hearing.hear(Shape.silent(board().strings()).with(string, fret));
    }

    /** The fills that could lead from the lane's caret to the next root, looked for on a worker. */
    public void fills(java.util.function.Consumer<List<Fill>> then) {
        Derived derived = session.derived();
        long from = lane.caretProperty().get();
        long step = lane.grainProperty().get();
        Key scale = scale();
        Optional<Box> shown = box();
        session.ask(
                "looking for fills",
                () ->
                        shown.or(() -> Fills.box(derived, scale, from))
                                .map(b -> Fills.of(derived, b, from, step))
                                .orElse(List.of()),
                then);
    }

    /** Puts a fill into the lane, unless the riff was changed since it was offered. */
    public void take(Fill fill, Derived of) {
        session.apply(Edits.vary("put a fill", of.riff(), fill.in(of.riff())));
    }

    /** Plays the riff with a fill. */
    public void hear(Fill fill) {
        hearing.preview(fill.in(session.now()));
    }
}
