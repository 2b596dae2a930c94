package vocalis.desktop.write;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.property.LongProperty;
import javafx.beans.property.SimpleLongProperty;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Cell;
import vocalis.core.riff.Manner;
import vocalis.core.riff.Score;
import vocalis.core.riff.Stroke;
import vocalis.core.riff.Struck;
import vocalis.core.riff.Touch;
import vocalis.core.voicing.Voicing;
import vocalis.workbench.Edit;

/** The lane's caret, in ticks, and what keys and mouse do to the strokes under it. */
public final class LaneModel {

    /** The grain of the caret. */
    public static final long STEP = Ticks.SIXTEENTH;

    private final WriteModel model;
    private final LongProperty caret = new SimpleLongProperty();

    LaneModel(WriteModel model) {
        this.model = model;
    }

    public LongProperty caretProperty() {
        return caret;
    }

    /** Keeps the caret within a riff that became shorter. */
    void stayInside() {
        caret.set(Math.min(caret.get(), model.riff().length() - STEP));
    }

    private long barTicks() {
        return model.riff().ground().meter().barTicks();
    }

    /** Moves the lane's caret by steps; the chord caret goes along. */
    public void moveCaret(int steps) {
        setCaret(caret.get() + steps * STEP);
    }

    public void setCaret(long tick) {
        long clamped = Math.max(0, Math.min(model.riff().length() - STEP, tick / STEP * STEP));
        caret.set(clamped);
        model.chordProperty().set(model.riff().chordAt(clamped));
    }

    /** Moves the caret to the next (previous) stroke. */
    public void moveToStroke(int direction) {
        Optional<Score.Strike> next =
                direction > 0
                        ? model.score().strikes().stream()
                                .filter(s -> s.at() > caret.get())
                                .findFirst()
                        : model.score().strikes().stream()
                                .filter(s -> s.at() < caret.get())
                                .reduce((a, b) -> b);
        next.ifPresent(s -> setCaret(s.at()));
    }

    /** The stroke under the caret. */
    public Optional<Stroke> strokeAtCaret() {
        return cell().sounding(inBar());
    }

    private int bar() {
        return (int) (caret.get() / barTicks());
    }

    private long inBar() {
        return caret.get() % barTicks();
    }

    private Cell cell() {
        return model.riff().pattern().bar(bar());
    }

    /** Puts a stroke at the caret, or takes away the one that begins there. */
    public void toggleStroke() {
        if (cell().beginning(inBar()).isPresent()) {
            deleteStroke();
        } else {
            Stroke stroke = new Stroke(inBar(), barTicks(), Struck.Named.ALL, false, false);
            set(cell().with(stroke, barTicks()), "add stroke");
        }
    }

    public void deleteStroke() {
        strokeAtCaret().ifPresent(s -> set(cell().without(s.at()), "delete stroke"));
    }

    private void changeStroke(UnaryOperator<Stroke> change, String what) {
        strokeAtCaret()
                .ifPresent(
                        s -> set(cell().without(s.at()).with(change.apply(s), barTicks()), what));
    }

    private void set(Cell changed, String what) {
        model.workspace().apply(new Edit.SetCell(bar(), changed, what));
    }

    public void toggleMute() {
        changeStroke(s -> s.played(s.muted() ? Manner.PLAIN : Manner.PALM), "palm mute");
    }

    public void toggleAccent() {
        changeStroke(s -> s.accented(!s.accent()), "accent");
    }

    /** Lengthens (shortens) the stroke by steps; it stops at the next stroke and the bar line. */
    public void lengthenStroke(int steps) {
        changeStroke(
                s -> s.lasting(Math.max(STEP, s.length() + steps * STEP)),
                steps > 0 ? "lengthen stroke" : "shorten stroke");
    }

    /** The next (previous) selection of voices. */
    public void cycleStruck(int direction) {
        changeStroke(
                s -> {
                    Struck.Named[] all = Struck.Named.values();
                    int now = s.struck() instanceof Struck.Named n ? n.ordinal() : 0;
                    return s.striking(all[Math.floorMod(now + direction, all.length)]);
                },
                "strike other voices");
    }

    public void setStruck(Struck struck) {
        changeStroke(s -> s.striking(struck), "strike other voices");
    }

    /** Adds or takes away one string of the stroke under the caret. */
    public void toggleStruckString(int string) {
        Voicing v = model.currentChord().candidate().voicing();
        List<Integer> byPitch =
                v.soundings().stream()
                        .sorted(Comparator.comparingInt(n -> n.midi()))
                        .map(n -> n.string())
                        .toList();
        int voice = byPitch.indexOf(string);
        if (voice < 0) {
            return;
        }
        changeStroke(
                s -> {
                    List<Integer> voices = new ArrayList<>(s.struck().of(byPitch.size()));
                    if (!voices.remove((Integer) voice)) {
                        voices.add(voice);
                        voices.sort(null);
                    }
                    return voices.isEmpty() ? s : s.striking(Struck.picked(voices, byPitch.size()));
                },
                "strike other voices");
    }

    /** Changes the top note of the stroke under the caret by frets, against what the shape has. */
    public void changeNote(int frets) {
        model.score().strikes().stream()
                .filter(s -> s.at() <= caret.get() && caret.get() < s.at() + s.length())
                .findFirst()
                .ifPresent(
                        s -> {
                            var top = s.notes().get(s.notes().size() - 1);
                            int fret = top.fret() + frets;
                            if (fret >= 0 && fret <= model.riff().ground().board().frets()) {
                                model.workspace()
                                        .apply(
                                                new Edit.ChangeNote(
                                                        new Touch.ChangedNote(
                                                                s.at(), top.string(), fret)));
                            }
                        });
    }

    /** Plays the stroke under the caret in a manner; in the same one again, plainly. */
    public void play(Manner manner) {
        changeStroke(s -> s.played(s.manner() == manner ? Manner.PLAIN : manner), manner.words());
    }

    /** The next degree of the palm: none, light, half, heavy. */
    public void cyclePalm() {
        List<Manner> order =
                List.of(Manner.PLAIN, Manner.PALM_LIGHT, Manner.PALM, Manner.PALM_HEAVY);
        changeStroke(
                s -> s.played(order.get((order.indexOf(s.manner()) + 1) % order.size())),
                "palm mute");
    }

    /** The stroke that sounds under the caret, with its notes. */
    Optional<Score.Strike> strikeAtCaret() {
        return model.score().strikes().stream()
                .filter(s -> s.at() <= caret.get() && caret.get() < s.at() + s.length())
                .findFirst();
    }

    /**
     * Gives the top note of the stroke under the caret an ornament that begins where a player would
     * have it: hammer, pull and vibrato in its middle, slide and bend soon after the stroke.
     *
     * @param amount as {@link Touch.Ornament} has it
     */
    public void ornament(Touch.Kind kind, int amount) {
        strikeAtCaret()
                .ifPresent(
                        s -> {
                            int string = s.notes().get(s.notes().size() - 1).string();
                            long half = s.length() / 2;
                            boolean way =
                                    kind == Touch.Kind.SLIDE
                                            || kind == Touch.Kind.BEND
                                            || kind == Touch.Kind.BEND_RELEASE;
                            long after = way ? s.length() / 6 : half;
                            long lasting = way ? Math.min(Ticks.EIGHTH, s.length() / 4) : 0;
                            Touch.Ornament o =
                                    new Touch.Ornament(
                                            s.at(), string, kind, amount, after, lasting);
                            model.workspace()
                                    .apply(new Edit.SetOrnament(s.at(), string, Optional.of(o)));
                        });
    }

    /** Takes the ornaments of the stroke under the caret away. */
    public void plain() {
        strikeAtCaret()
                .ifPresent(
                        s ->
                                s.ornaments()
                                        .forEach(
                                                o ->
                                                        model.workspace()
                                                                .apply(
                                                                        new Edit.SetOrnament(
                                                                                o.at(),
                                                                                o.string(),
                                                                                Optional
                                                                                        .empty()))));
    }
}
