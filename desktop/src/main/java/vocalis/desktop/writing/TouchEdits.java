package vocalis.desktop.writing;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import javafx.beans.property.LongProperty;
import javafx.beans.property.ObjectProperty;
import vocalis.core.edit.Scope;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Touch;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.desktop.session.Editing;
import vocalis.workbench.document.Edits;
import vocalis.workbench.words.FindingWords;

/** What fingers do to the notes under the lane's caret: each is one edit, or none. */
public final class TouchEdits {

    private static final int VIBRATO_CENTS = 40;

    private final Editing session;
    private final ObjectProperty<Scope> scope;
    private final FingerVoices voices;

    /**
     * @param caret the lane's, in ticks
     * @param scope whether touches go to every pass of the figure or to one
     */
    TouchEdits(Editing session, LongProperty caret, ObjectProperty<Scope> scope) {
        this.session = session;
        this.scope = scope;
        voices = new FingerVoices(session, caret);
    }

    /** Which notes of the stroke fingers act on. */
    public FingerVoices voices() {
        return voices;
    }

    void nothingHere() {
        voices.nothingHere();
    }

    private Optional<Anchor> anchor(Scope where, int rank) {
        return voices.onset()
                .flatMap(Onset::origin)
                .map(
                        o ->
                                new Anchor(
                                        o.figure(),
                                        o.event(),
                                        where == Scope.EVERY_PASS
                                                ? Optional.empty()
                                                : Optional.of(o.pass()),
                                        new Anchor.Voice.FromTop(rank)));
    }

    /** Changes the chosen notes of the stroke under the caret by frets, here alone. */
    public void changeNote(int frets) {
        List<ScoreNote> on = voices.chosen();
        if (on.isEmpty() || anchor(Scope.THIS_PASS, 0).isEmpty()) {
            nothingHere();
            return;
        }
        int last = session.riff().ground().board().frets();
        if (on.stream().anyMatch(n -> n.fret() + frets < 0 || n.fret() + frets > last)) {
            session.say("The note would leave the neck.");
            return;
        }
        List<Anchor> anchors = new ArrayList<>();
        voices.ranks().forEach(r -> anchor(Scope.THIS_PASS, r).ifPresent(anchors::add));
        session.apply(Edits.moveNotes(anchors.subList(0, on.size()), frets));
    }

    /** What is done to one of the chosen notes; nothing where it does not apply. */
    private interface Maker {
        List<Touch> make(Anchor anchor, ScoreNote note, long length);
    }

    private void touch(Maker maker) {
        touch(voices.ranks(), maker);
    }

    private void touch(Collection<Integer> ranks, Maker maker) {
        List<ScoreNote> all = voices.here();
        if (all.isEmpty() || anchor(scope.get(), 0).isEmpty()) {
            nothingHere();
            return;
        }
        long length = voices.onset().orElseThrow().length();
        List<Touch> made = new ArrayList<>();
        for (int r : ranks) {
            if (r < all.size()) {
                Anchor a = anchor(scope.get(), r).orElseThrow();
                made.addAll(maker.make(a, all.get(r), length));
            }
        }
        if (made.isEmpty()) {
            session.say("That leaves the neck here.");
            return;
        }
        String what = FindingWords.words(made.get(made.size() - 1));
        session.apply(Edits.touches(what + (made.size() > 1 ? " of several notes" : ""), made));
    }

    /** A fret that a note ends on, moved, where it is on the neck. */
    private boolean onNeck(ScoreNote n, int frets) {
        int to = n.fret() + frets;
        return to >= 0 && to <= session.riff().ground().board().frets();
    }

    /** Hammers on (frets up) or pulls off (down) in the middle of the stroke under the caret. */
    public void legato(int frets) {
        touch(
                (a, n, length) ->
                        onNeck(n, frets)
                                ? List.of(
                                        new Touch.Legato(
                                                a, List.of(new Touch.Step(frets, length / 2))))
                                : List.of());
    }

    /** Lifts the fingers off the chosen strings, which ring open. */
    public void lift() {
        if (!voices.chosen().isEmpty() && voices.chosen().stream().allMatch(n -> n.fret() == 0)) {
            session.say("No finger is down on it.");
            return;
        }
        touch(
                (a, n, length) ->
                        n.fret() == 0
                                ? List.of()
                                : List.of(
                                        new Touch.Legato(
                                                a,
                                                List.of(new Touch.Step(-n.fret(), length / 2)))));
    }

    /** The same with so many of the highest voices, whatever was chosen. */
    public void liftAll(int most) {
        List<ScoreNote> all = voices.here();
        List<Integer> ranks = voices.fretted().stream().limit(most).toList();
        if (ranks.isEmpty() && !all.isEmpty()) {
            session.say("No finger is down here.");
            return;
        }
        touch(
                ranks,
                (a, n, length) ->
                        List.of(
                                new Touch.Legato(
                                        a, List.of(new Touch.Step(-n.fret(), length / 2)))));
    }

    /** A finger comes down frets higher for a third of the stroke, and goes again. */
    public void comeAndGo(int frets) {
        touch(
                (a, n, length) ->
                        onNeck(n, frets)
                                ? List.of(
                                        new Touch.Legato(
                                                a,
                                                List.of(
                                                        new Touch.Step(frets, length / 3),
                                                        new Touch.Step(-frets, 2 * length / 3))))
                                : List.of());
    }

    /** Slides by frets, soon after the stroke. */
    public void slide(int frets) {
        touch(
                (a, n, length) ->
                        onNeck(n, frets)
                                ? List.of(new Touch.Slide(a, frets, length / 6, way(length)))
                                : List.of());
    }

    /**
     * By how many frets all fretted strings of the stroke go to the next one; empty where they do
     * not all go alike, or nothing follows.
     */
    public OptionalInt toNext() {
        Optional<Onset> here = voices.onset();
        if (here.isEmpty()) {
            return OptionalInt.empty();
        }
        Score score = session.derived().score();
        int at = score.firstFrom(here.get().at() + 1);
        Onset next = score.onsets().get(at < score.onsets().size() ? at : 0);
        List<Integer> by =
                here.get().notes().stream()
                        .filter(n -> n.fret() > 0 && next.note(n.string()).isPresent())
                        .map(n -> next.note(n.string()).orElseThrow().fret() - n.fret())
                        .distinct()
                        .toList();
        return by.size() == 1 && by.get(0) != 0 ? OptionalInt.of(by.get(0)) : OptionalInt.empty();
    }

    /** Slides the whole shape, open strings left ringing, so that it arrives at the next stroke. */
    public void slideToNext() {
        OptionalInt by = toNext();
        if (by.isEmpty()) {
            session.say(
                    "The next stroke is not this shape moved along the neck. Slide from the last stroke"
                            + " before a change.");
            return;
        }
        touch(
                voices.fretted(),
                (a, n, length) ->
                        onNeck(n, by.getAsInt())
                                ? List.of(
                                        new Touch.Slide(
                                                a,
                                                by.getAsInt(),
                                                length - way(length),
                                                way(length)))
                                : List.of());
    }

    /** Bends by cents, soon after the stroke; let back at two thirds of it, or held. */
    public void bend(int cents, boolean release) {
        touch(
                (a, n, length) ->
                        List.of(
                                new Touch.Bend(
                                        a,
                                        cents,
                                        length / 6,
                                        way(length),
                                        release
                                                ? OptionalLong.of(length / 6 + 2 * way(length))
                                                : OptionalLong.empty())));
    }

    /** Shakes the note from the middle of the stroke on. */
    public void vibrato() {
        vibrato(VIBRATO_CENTS, Touch.Vibrato.USUAL_HZ);
    }

    /** Shakes it so wide and so fast. */
    public void vibrato(int cents, double hz) {
        touch((a, n, length) -> List.of(new Touch.Vibrato(a, cents, hz, length / 2)));
    }

    /** Strikes it again and again while it lasts. */
    public void tremolo(int strokes) {
        touch((a, n, length) -> List.of(new Touch.Tremolo(a, strokes)));
    }

    /** Lets a partial sound in its place. */
    public void pinch(int partial) {
        touch((a, n, length) -> List.of(new Touch.Pinch(a, partial)));
    }

    /** Slides into the note from frets below (above), at once. */
    public void slideIn(int frets) {
        touch(
                (a, n, length) ->
                        onNeck(n, -frets)
                                ? List.of(
                                        new Touch.Moved(a, -frets),
                                        new Touch.Slide(a, frets, 0, way(length)))
                                : List.of());
    }

    /** Slides away from the note at its end. */
    public void slideOut(int frets) {
        touch(
                (a, n, length) ->
                        onNeck(n, frets)
                                ? List.of(new Touch.Slide(a, frets, length * 2 / 3, length / 3))
                                : List.of());
    }

    private static long way(long length) {
        return Math.min(Ticks.EIGHTH, length / 4);
    }

    /** Takes away what fingers do to the stroke under the caret. */
    public void plain() {
        voices.onset()
                .flatMap(Onset::origin)
                .ifPresent(o -> session.apply(Edits.plain(o.figure(), o.event(), o.pass())));
    }

    /** The next level of one voice, counted from the top as 1: soft, ghosted, accented, its own. */
    public void cycleLevel(int fromTop) {
        Anchor a = anchor(scope.get(), fromTop - 1).orElse(null);
        if (a == null) {
            nothingHere();
            return;
        }
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
