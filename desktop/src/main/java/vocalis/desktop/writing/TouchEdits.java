package vocalis.desktop.writing;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import javafx.beans.property.LongProperty;
import javafx.beans.property.ObjectProperty;
import vocalis.core.edit.Scope;
import vocalis.core.edit.Touches;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Touch;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Onset;
import vocalis.core.score.ScoreNote;
import vocalis.desktop.session.Editing;
import vocalis.workbench.document.Edits;
import vocalis.workbench.words.FindingWords;

/** What fingers do to the notes under the lane's caret: each is one edit, or none. */
public final class TouchEdits {

    private static final int VIBRATO_CENTS = 40;

    private final Editing session;
    private final LongProperty caret;
    private final ObjectProperty<Scope> scope;

    /**
     * @param caret the lane's, in ticks
     * @param scope whether touches go to every pass of the figure or to one
     */
    TouchEdits(Editing session, LongProperty caret, ObjectProperty<Scope> scope) {
        this.session = session;
        this.caret = caret;
        this.scope = scope;
    }

    /** What sounds under the caret, as last derived. */
    Optional<Onset> onset() {
        return session.derived().score().soundingAt(caret.get());
    }

    /** The highest note of what sounds under the caret. */
    Optional<ScoreNote> top() {
        var board = session.riff().ground().board();
        return onset().flatMap(
                        o ->
                                o.notes().stream()
                                        .max(
                                                Comparator.comparingInt(
                                                        n -> board.midi(n.string(), n.fret()))));
    }

    void nothingHere() {
        session.say("No stroke here: Enter puts one.");
    }

    private Optional<Anchor> anchor(Scope where) {
        return onset().flatMap(Onset::origin)
                .map(
                        o ->
                                new Anchor(
                                        o.figure(),
                                        o.event(),
                                        where == Scope.EVERY_PASS
                                                ? Optional.empty()
                                                : Optional.of(o.pass()),
                                        new Anchor.Voice.FromTop(0)));
    }

    /** Changes the top note of the stroke under the caret by frets, here alone. */
    public void changeNote(int frets) {
        Optional<Anchor> a = anchor(Scope.THIS_PASS);
        if (a.isEmpty()) {
            nothingHere();
            return;
        }
        int fret = top().orElseThrow().fret() + frets;
        if (fret < 0 || fret > session.riff().ground().board().frets()) {
            session.say("The note would leave the neck.");
            return;
        }
        session.apply(Edits.moveNote(a.get(), frets));
    }

    private interface Maker {
        Touch make(Anchor anchor, long length);
    }

    private void touch(Maker maker) {
        Optional<Anchor> a = anchor(scope.get());
        if (a.isEmpty()) {
            nothingHere();
            return;
        }
        Touch t = maker.make(a.get(), onset().orElseThrow().length());
        session.apply(Edits.touch(FindingWords.words(t), t));
    }

    /** Hammers on (frets up) or pulls off (down) in the middle of the stroke under the caret. */
    public void legato(int frets) {
        touch((a, length) -> new Touch.Legato(a, List.of(new Touch.Step(frets, length / 2))));
    }

    /** Slides by frets, soon after the stroke. */
    public void slide(int frets) {
        touch((a, length) -> new Touch.Slide(a, frets, length / 6, way(length)));
    }

    /** Bends by cents, soon after the stroke; let back at two thirds of it, or held. */
    public void bend(int cents, boolean release) {
        touch(
                (a, length) ->
                        new Touch.Bend(
                                a,
                                cents,
                                length / 6,
                                way(length),
                                release
                                        ? OptionalLong.of(length / 6 + 2 * way(length))
                                        : OptionalLong.empty()));
    }

    /** Shakes the note from the middle of the stroke on. */
    public void vibrato() {
        vibrato(VIBRATO_CENTS, Touch.Vibrato.USUAL_HZ);
    }

    /** Shakes it so wide and so fast. */
    public void vibrato(int cents, double hz) {
        touch((a, length) -> new Touch.Vibrato(a, cents, hz, length / 2));
    }

    /** Strikes it again and again while it lasts. */
    public void tremolo(int strokes) {
        touch((a, length) -> new Touch.Tremolo(a, strokes));
    }

    /** Lets a partial sound in its place. */
    public void pinch(int partial) {
        touch((a, length) -> new Touch.Pinch(a, partial));
    }

    /** Slides into the note from frets below (above), at once. */
    public void slideIn(int frets) {
        Optional<Anchor> a = anchor(scope.get());
        if (a.isEmpty()) {
            nothingHere();
            return;
        }
        long way = way(onset().orElseThrow().length());
        session.apply(
                Edits.riff(
                        "slide in",
                        r ->
                                Touches.put(
                                        Touches.put(r, new Touch.Moved(a.get(), -frets)),
                                        new Touch.Slide(a.get(), frets, 0, way))));
    }

    /** Slides away from the note at its end. */
    public void slideOut(int frets) {
        touch((a, length) -> new Touch.Slide(a, frets, length * 2 / 3, length / 3));
    }

    private static long way(long length) {
        return Math.min(Ticks.EIGHTH, length / 4);
    }

    /** Takes away what fingers do to the stroke under the caret. */
    public void plain() {
        onset().flatMap(Onset::origin)
                .ifPresent(o -> session.apply(Edits.plain(o.figure(), o.event(), o.pass())));
    }

    /** The next level of one voice, counted from the top as 1: soft, ghosted, accented, its own. */
    public void cycleLevel(int fromTop) {
        Anchor top = anchor(scope.get()).orElse(null);
        if (top == null) {
            nothingHere();
            return;
        }
        Anchor a =
                new Anchor(
                        top.figure(),
                        top.event(),
                        top.pass(),
                        new Anchor.Voice.FromTop(fromTop - 1));
        List<Dynamics> order = List.of(Dynamics.SOFT, Dynamics.GHOST, Dynamics.ACCENT);
        Touch.Level now =
                session.now().touches().stream()
                        .filter(t -> t instanceof Touch.Level && t.anchor().equals(a))
                        .map(Touch.Level.class::cast)
                        .findFirst()
                        .orElse(null);
        int next = now == null ? 0 : order.indexOf(now.dynamics()) + 1;
        if (next < order.size()) {
            session.apply(Edits.touch("level of a voice", new Touch.Level(a, order.get(next))));
            session.say("Voice " + fromTop + " from the top: " + words(order.get(next)) + ".");
        } else {
            session.apply(Edits.removeTouch(now));
            session.say("Voice " + fromTop + " from the top: as the stroke.");
        }
    }

    private static String words(Dynamics d) {
        return d == Dynamics.SOFT ? "softer" : d == Dynamics.GHOST ? "ghosted" : "accented";
    }
}
