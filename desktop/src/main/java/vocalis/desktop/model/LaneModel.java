package vocalis.desktop.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import javafx.beans.property.LongProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleLongProperty;
import javafx.beans.property.SimpleObjectProperty;
import vocalis.core.edit.Scope;
import vocalis.core.edit.Stretch;
import vocalis.core.edit.Strokes;
import vocalis.core.pattern.Direction;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Rest;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.score.ScoreNote;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;
import vocalis.workbench.document.Edits;
import vocalis.workbench.words.FindingWords;

/** The lane's caret, in ticks, and what keys and mouse do to the strokes under it. */
public final class LaneModel {

    /** Grains of the caret: parts of a whole note, coarse to fine, tuplets among them. */
    private static final List<Integer> GRAINS = List.of(2, 4, 6, 8, 12, 16, 20, 24, 28, 32);

    private final WriteModel model;
    private final TouchEdits touches;
    private final FigureEdits figures;
    private final LongProperty caret = new SimpleLongProperty();
    private final ObjectProperty<Scope> scope = new SimpleObjectProperty<>(Scope.EVERY_PASS);
    private final ObjectProperty<OptionalLong> mark =
            new SimpleObjectProperty<>(OptionalLong.empty());
    private final LongProperty grain = new SimpleLongProperty(Ticks.SIXTEENTH);
    private Stretch clipboard;

    LaneModel(WriteModel model) {
        this.model = model;
        touches = new TouchEdits(model, this);
        figures = new FigureEdits(model, this);
    }

    /** What fingers do to the notes under the caret. */
    public TouchEdits touches() {
        return touches;
    }

    /** What is done to the figure under the caret as a whole. */
    public FigureEdits figures() {
        return figures;
    }

    public LongProperty caretProperty() {
        return caret;
    }

    /** Whether edits hold in the figure, at every pass, or here alone. */
    public ObjectProperty<Scope> scopeProperty() {
        return scope;
    }

    /** The other end of what is marked; empty when nothing is. */
    public ObjectProperty<OptionalLong> markProperty() {
        return mark;
    }

    /** The grain of the caret in ticks. */
    public LongProperty grainProperty() {
        return grain;
    }

    /** A finer grain, or a coarser one. */
    public void refine(int by) {
        int now = GRAINS.indexOf((int) (Ticks.WHOLE / grain.get()));
        int next = Math.max(0, Math.min(GRAINS.size() - 1, now + by));
        grain.set(Ticks.WHOLE / GRAINS.get(next));
        model.say("Steps of " + grainInWords() + ".");
    }

    /** What a step is. */
    public String grainInWords() {
        return switch ((int) (Ticks.WHOLE / grain.get())) {
            case 2 -> "half notes";
            case 4 -> "quarters";
            case 6 -> "quarter triplets";
            case 8 -> "eighths";
            case 12 -> "eighth triplets";
            case 16 -> "sixteenths";
            case 20 -> "fifths of a quarter";
            case 24 -> "sixteenth triplets";
            case 28 -> "sevenths of a quarter";
            default -> "thirty-seconds";
        };
    }

    /** Changes between every pass and this pass alone. */
    public void toggleScope() {
        scope.set(scope.get() == Scope.EVERY_PASS ? Scope.THIS_PASS : Scope.EVERY_PASS);
    }

    private Riff now() {
        return model.now();
    }

    /** Keeps the caret within a riff that became shorter. */
    void stayInside() {
        long last = Math.max(0, now().length() - 1);
        if (caret.get() > last) {
            caret.set(last / grain.get() * grain.get());
        }
        if (mark.get().isPresent() && mark.get().getAsLong() > now().length()) {
            mark.set(OptionalLong.empty());
        }
    }

    /** Puts the caret at a tick and the chord caret on the chord that holds there. */
    public void setCaret(long tick) {
        caret.set(Math.max(0, Math.min(now().length() - 1, tick)));
        model.moveChordCaretTo(now().chordAt(caret.get()));
        model.view().show(caret.get());
    }

    /**
     * Puts the caret where the chosen chord begins, unless it is inside that chord: it is always
     * drawn where keys will find it.
     */
    void toChord() {
        int chord = model.chordProperty().get();
        if (chord < now().roots().size() && now().chordAt(caret.get()) != chord) {
            caret.set(now().start(chord));
        }
    }

    /**
     * Moves the caret by steps: to the next grid line, or to an event that begins between grid
     * lines, as in a triplet.
     */
    public void moveCaret(int steps) {
        mark.set(OptionalLong.empty());
        step(steps);
    }

    private void step(int steps) {
        for (int i = 0; i < Math.abs(steps); i++) {
            setCaret(neighbour(steps > 0 ? 1 : -1));
        }
    }

    private long neighbour(int direction) {
        long at = caret.get();
        MeterMap meters = now().meters();
        int bar = meters.bar(at);
        TreeSet<Long> stops = new TreeSet<>();
        for (int b = Math.max(bar - 1, meters.pickup() > 0 ? -1 : 0); b <= bar + 1; b++) {
            for (long t = meters.start(b); t < meters.end(b); t += grain.get()) {
                stops.add(t);
            }
        }
        for (Pass p : now().passes()) {
            if (p.to() >= at - Ticks.WHOLE && p.from() <= at + Ticks.WHOLE) {
                p.events().forEach(e -> stops.add(p.start() + e.at()));
            }
        }
        stops.removeIf(t -> t < 0 || t >= now().length());
        Long next = direction > 0 ? stops.higher(at) : stops.lower(at);
        return next == null ? at : next;
    }

    /** Marks on to the next step, or back. */
    public void markOn(int steps) {
        if (mark.get().isEmpty()) {
            mark.set(OptionalLong.of(caret.get()));
        }
        step(steps);
    }

    /** Moves to the next stroke (or the one before). */
    public void moveToStroke(int direction) {
        mark.set(OptionalLong.empty());
        List<Onset> all = model.derived().score().onsets();
        Optional<Onset> next =
                direction > 0
                        ? all.stream().filter(s -> s.at() > caret.get()).findFirst()
                        : all.stream().filter(s -> s.at() < caret.get()).reduce((a, b) -> b);
        next.ifPresent(s -> setCaret(s.at()));
    }

    /** Moves a bar on or back. */
    public void moveBar(int direction) {
        MeterMap meters = now().meters();
        int bar = meters.bar(caret.get()) + direction;
        boolean there = bar >= (meters.pickup() > 0 ? -1 : 0) && bar < now().bars();
        mark.set(OptionalLong.empty());
        setCaret(there ? meters.start(bar) : direction < 0 ? 0 : caret.get());
    }

    /** The event under the caret. */
    public Optional<Event> eventAtCaret() {
        return Strokes.at(now(), caret.get());
    }

    /** The stroke under the caret. */
    public Optional<Stroke> strokeAtCaret() {
        return eventAtCaret().filter(Stroke.class::isInstance).map(Stroke.class::cast);
    }

    /** Whether an event begins under the caret. */
    public boolean beginsAtCaret() {
        return Strokes.start(now(), caret.get()).filter(s -> s == caret.get()).isPresent();
    }

    /** Puts a stroke at the caret, or takes away the one that begins there. */
    public void toggleStroke() {
        if (beginsAtCaret()) {
            deleteStroke();
            return;
        }
        Riff r = now();
        long line = r.meters().end(r.meters().bar(caret.get()));
        Stroke stroke = new Stroke(0, 0, line - caret.get(), Struck.Named.ALL);
        model.apply(Edits.putEvent(caret.get(), stroke, scope.get()));
    }

    /** Deletes what is marked, or the stroke under the caret. */
    public void deleteStroke() {
        if (mark.get().isPresent()) {
            long from = from();
            Stretch empty = new Stretch(to() - from, List.of(), List.of());
            model.apply(Edits.paste(from, empty, scope.get()));
            mark.set(OptionalLong.empty());
        } else if (eventAtCaret().isPresent()) {
            model.apply(Edits.removeEvent(caret.get(), scope.get()));
        } else {
            nothingHere();
        }
    }

    void nothingHere() {
        model.say("No stroke here: Enter puts one.");
    }

    private long from() {
        long m = mark.get().orElse(caret.get());
        return Math.min(m, caret.get());
    }

    private long to() {
        long m = mark.get().orElse(caret.get());
        return Math.max(m, caret.get()) + grain.get();
    }

    /** Takes up what is marked, or the bar under the caret: strokes with their touches. */
    public void copy() {
        Riff r = now();
        int bar = r.meters().bar(caret.get());
        boolean marked = mark.get().isPresent();
        long from = marked ? from() : r.meters().start(bar);
        long to = marked ? to() : r.meters().end(bar);
        clipboard = Strokes.copy(r, from, to);
        int n = clipboard.events().size();
        String what = n + (n == 1 ? " stroke" : " strokes");
        model.say(
                "Copied "
                        + (marked ? what : FindingWords.place(from, r).split(",")[0])
                        + "; Ctrl V puts it at the caret.");
    }

    /** Puts what was taken up at the caret, or at its bar's beginning when a bar was taken. */
    public void paste() {
        if (clipboard == null) {
            model.say("Nothing was copied yet: Ctrl C copies the bar.");
            return;
        }
        Riff r = now();
        int bar = r.meters().bar(caret.get());
        boolean aBar = clipboard.length() == r.meters().end(bar) - r.meters().start(bar);
        long at = aBar ? r.meters().start(bar) : caret.get();
        mark.set(OptionalLong.empty());
        model.apply(Edits.paste(at, clipboard, scope.get()));
    }

    private void changeStroke(UnaryOperator<Stroke> change, String what) {
        change(e -> e instanceof Stroke s ? change.apply(s) : e, what);
    }

    /** Changes every event that is marked, or the one under the caret. */
    private void change(UnaryOperator<Event> change, String what) {
        if (mark.get().isEmpty()) {
            if (eventAtCaret().isEmpty()) {
                nothingHere();
                return;
            }
            model.apply(Edits.changeEvent(caret.get(), what, change, scope.get()));
            return;
        }
        List<Long> at = new ArrayList<>();
        for (Onset o : model.derived().score().onsets()) {
            if (o.at() >= from() && o.at() < to()) {
                at.add(o.at());
            }
        }
        at.forEach(t -> model.apply(Edits.changeEvent(t, what, change, scope.get())));
    }

    public void toggleMute() {
        boolean on = strokeAtCaret().map(s -> !s.muted()).orElse(true);
        changeStroke(s -> s.played(on ? Manner.PALM : Manner.PLAIN), "palm mute");
    }

    public void toggleAccent() {
        boolean on = strokeAtCaret().map(s -> !s.accented()).orElse(true);
        change(
                e ->
                        e instanceof Stroke s
                                ? s.accented(on)
                                : ((LineNote) e).with(on ? Dynamics.ACCENT : Dynamics.PLAIN),
                "accent");
    }

    /** Lengthens (shortens) the stroke by steps; it stops at the next stroke and the figure. */
    public void lengthenStroke(int steps) {
        change(
                e -> e.lasting(Math.max(grain.get(), e.length() + steps * grain.get())),
                steps > 0 ? "lengthen stroke" : "shorten stroke");
    }

    /** The next (previous) selection of voices. */
    public void cycleStruck(int direction) {
        changeStroke(
                s -> {
                    Struck.Named[] all = Struck.Named.values();
                    int at = s.struck() instanceof Struck.Named n ? n.ordinal() : 0;
                    return s.striking(all[Math.floorMod(at + direction, all.length)]);
                },
                "strike other voices");
    }

    public void setStruck(Struck struck) {
        changeStroke(s -> s.striking(struck), "strike other voices");
    }

    /** Adds or takes away one string of the stroke under the caret. */
    public void toggleStruckString(int string) {
        List<Integer> byPitch = stringsByPitch(model.currentChord().candidate().voicing());
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

    /** Plays the stroke under the caret in a manner; in the same one again, plainly. */
    public void play(Manner manner) {
        boolean same = strokeAtCaret().filter(s -> s.manner() == manner).isPresent();
        changeStroke(s -> s.played(same ? Manner.PLAIN : manner), manner.words());
    }

    /** The next degree of the palm: none, light, half, heavy. */
    public void cyclePalm() {
        List<Manner> order =
                List.of(Manner.PLAIN, Manner.PALM_LIGHT, Manner.PALM, Manner.PALM_HEAVY);
        changeStroke(
                s -> s.played(order.get((order.indexOf(s.manner()) + 1) % order.size())),
                "palm mute");
    }

    /** What sounds under the caret, as last derived. */
    public Optional<Onset> onsetAtCaret() {
        return model.derived().score().soundingAt(caret.get());
    }

    /** The highest note of what sounds under the caret. */
    public Optional<ScoreNote> topAtCaret() {
        return onsetAtCaret()
                .flatMap(
                        o ->
                                o.notes().stream()
                                        .max(
                                                java.util.Comparator.comparingInt(
                                                        n ->
                                                                model.riff()
                                                                        .ground()
                                                                        .board()
                                                                        .midi(
                                                                                n.string(),
                                                                                n.fret()))));
    }

    /** Puts silence here: what sounds is cut, nothing else is struck. */
    public void rest() {
        Rest rest = new Rest(0, 0, grain.get());
        model.apply(Edits.putEvent(caret.get(), rest, scope.get()));
    }

    /** Ties the event under the caret to the one before it, or strikes it again. */
    public void toggleTie() {
        boolean on = eventAtCaret().map(e -> !e.tied()).orElse(true);
        change(e -> e.tied(on), "tie");
    }

    /** Strikes the same strings whatever the shape is, or its voices again. */
    public void toggleByString() {
        Voicing v = model.currentChord().candidate().voicing();
        List<Integer> byPitch = stringsByPitch(v);
        changeStroke(
                s -> {
                    if (s.struck() instanceof Struck.Strings now) {
                        List<Integer> voices = new ArrayList<>();
                        for (int i = 0; i < byPitch.size(); i++) {
                            if (now.strikes(byPitch.get(i))) {
                                voices.add(i);
                            }
                        }
                        return s.striking(
                                voices.isEmpty()
                                        ? Struck.Named.ALL
                                        : Struck.picked(voices, byPitch.size()));
                    }
                    int mask = 0;
                    for (int i : s.struck().of(byPitch.size())) {
                        mask |= 1 << byPitch.get(i);
                    }
                    return s.striking(new Struck.Strings(mask));
                },
                "strike by string");
    }

    private static List<Integer> stringsByPitch(Voicing v) {
        return v.soundings().stream()
                .sorted(java.util.Comparator.comparingInt(Sounding::midi))
                .map(Sounding::string)
                .toList();
    }

    /** Strikes a string too, or not, counted from the highest as 1. */
    public void toggleString(int fromHighest) {
        int string = model.now().ground().board().strings() - fromHighest;
        if (string < 0) {
            model.say("The instrument has no string " + fromHighest + ".");
        } else if (strokeAtCaret().filter(s -> s.struck() instanceof Struck.Strings).isPresent()) {
            changeStroke(
                    s -> {
                        int mask = ((Struck.Strings) s.struck()).mask() ^ 1 << string;
                        return mask == 0 ? s : s.striking(new Struck.Strings(mask));
                    },
                    "strike other strings");
        } else if (stringsByPitch(model.currentChord().candidate().voicing()).contains(string)) {
            toggleStruckString(string);
        } else {
            model.say(
                    "The shape does not sound that string; B strikes by string whatever the shape.");
        }
    }

    /** The next way that strokes go: by turns, down, up. */
    public void cycleDirection() {
        changeStroke(
                s -> {
                    Direction[] all = Direction.values();
                    return s.going(all[(s.direction().ordinal() + 1) % all.length]);
                },
                "direction");
    }

    /** Softer or harder: ghosted, soft, plain, accented. */
    public void cycleDynamics(int by) {
        change(
                e -> {
                    Dynamics now = e instanceof Stroke s ? s.dynamics() : ((LineNote) e).dynamics();
                    Dynamics[] all = Dynamics.values();
                    Dynamics to = all[Math.max(0, Math.min(all.length - 1, now.ordinal() + by))];
                    return e instanceof Stroke s ? s.with(to) : ((LineNote) e).with(to);
                },
                by > 0 ? "harder" : "softer");
    }

    /** What the figure under the caret is and where edits hold, in words. */
    public String scopeInWords() {
        Riff r = now();
        Pass pass = r.passAt(caret.get());
        String figure = pass.figure().id();
        long passes = r.passes().stream().filter(p -> p.figure().id().equals(figure)).count();
        if (passes == 1) {
            return "figure played once";
        }
        return scope.get() == Scope.EVERY_PASS
                ? "edits hold at all " + passes + " passes (O: here only)"
                : "edits hold here only, at one of " + passes + " passes (O: all)";
    }
}
