package vocalis.desktop.writing;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.TreeSet;
import javafx.beans.property.LongProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleLongProperty;
import javafx.beans.property.SimpleObjectProperty;
import vocalis.core.edit.Scope;
import vocalis.core.edit.Strokes;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.score.Onset;
import vocalis.core.score.ScoreNote;
import vocalis.desktop.session.Editing;
import vocalis.workbench.document.Edits;
import vocalis.workbench.words.FindingWords;

/** The lane's caret, in ticks, and what keys and mouse do to the strokes under it. */
public final class LaneModel implements StrokeEdits.Marked {

    /** Steps of the caret in straight time: parts of a whole note, coarse to fine. */
    private static final List<Integer> STRAIGHT = List.of(2, 4, 8, 16, 32);

    private static final List<Integer> TRIPLETS = List.of(6, 12, 24);

    /** Five and seven to a quarter. */
    private static final List<Integer> ODD = List.of(20, 28);

    private final Editing session;
    private final TouchEdits touches;
    private final FigureEdits figures;
    private final StrokeEdits strokes;
    private final LongProperty caret;
    private final ObjectProperty<Scope> scope = new SimpleObjectProperty<>(Scope.EVERY_PASS);
    private final ObjectProperty<OptionalLong> mark =
            new SimpleObjectProperty<>(OptionalLong.empty());
    private Meter meter = Meter.COMMON;
    private final LongProperty grain = new SimpleLongProperty(Ticks.EIGHTH);
    private Strokes.Clipping clipboard;

    LaneModel(Editing session) {
        this.session = session;
        caret = session.caret().tickProperty();
        touches = new TouchEdits(session, caret, scope);
        figures = new FigureEdits(session, caret, grain);
        strokes = new StrokeEdits(session, this);
    }

    /** What fingers do to the notes under the caret. */
    @Override
    public TouchEdits touches() {
        return touches;
    }

    /** What is done to the figure under the caret as a whole. */
    public FigureEdits figures() {
        return figures;
    }

    /** What is done to the strokes under the caret, or to all that are marked. */
    public StrokeEdits strokes() {
        return strokes;
    }

    @Override
    public LongProperty caretProperty() {
        return caret;
    }

    /** Whether edits hold in the figure, at every pass, or here alone. */
    @Override
    public ObjectProperty<Scope> scopeProperty() {
        return scope;
    }

    /** The other end of what is marked; empty when nothing is. */
    @Override
    public ObjectProperty<OptionalLong> markProperty() {
        return mark;
    }

    /** The grain of the caret in ticks. */
    @Override
    public LongProperty grainProperty() {
        return grain;
    }

    /** A finer step of the same kind, straight or in triplets, or a coarser one. */
    public void refine(int by) {
        List<Integer> kind = kind();
        int now = kind.indexOf(toAWhole());
        steps(kind.get(Math.max(0, Math.min(kind.size() - 1, now + by))));
    }

    /** Triplets of what the step was, or the straight step again. */
    public void toggleTriplets() {
        into(inTriplets() ? STRAIGHT : TRIPLETS);
    }

    /** Five to a quarter, then seven, then straight steps again. */
    public void nextOdd() {
        int now = ODD.indexOf(toAWhole());
        if (now == ODD.size() - 1) {
            into(STRAIGHT);
        } else {
            steps(ODD.get(now + 1));
        }
    }

    /** Among steps of another kind, the one that is nearest in size. */
    private void into(List<Integer> other) {
        int now = toAWhole();
        steps(
                other.stream()
                        .min(Comparator.comparingDouble(n -> Math.abs(Math.log((double) n / now))))
                        .orElseThrow());
    }

    private List<Integer> kind() {
        int now = toAWhole();
        return TRIPLETS.contains(now) ? TRIPLETS : ODD.contains(now) ? ODD : STRAIGHT;
    }

    private int toAWhole() {
        return (int) (Ticks.WHOLE / grain.get());
    }

    /** Whether a step is a third of a straight one. */
    public boolean inTriplets() {
        return kind() == TRIPLETS;
    }

    private void steps(int toAWhole) {
        grain.set(Ticks.WHOLE / toAWhole);
        session.say("Steps of " + grainInWords() + ".");
    }

    /** Whether an edit changes this pass of the figure alone. */
    public boolean onlyHere() {
        return scope.get() == Scope.THIS_PASS;
    }

    /** What a step is. */
    public String grainInWords() {
        return switch (toAWhole()) {
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
        return session.now();
    }

    /** The step follows the meter: eighths, sixteenths where the beat is one. */
    private void followMeter() {
        Meter now = now().meters().meter(0);
        if (!now.equals(meter)) {
            meter = now;
            grain.set(now.beatTicks() <= Ticks.SIXTEENTH ? Ticks.SIXTEENTH : Ticks.EIGHTH);
        }
    }

    /** Keeps the caret within a riff that became shorter. */
    void stayInside() {
        followMeter();
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
        session.caret().goTo(tick);
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

    /** Marks from the caret, or from where marking began, to a tick. */
    public void markTo(long tick) {
        if (mark.get().isEmpty()) {
            mark.set(OptionalLong.of(caret.get()));
        }
        setCaret(tick);
    }

    /** Moves to the next stroke (or the one before). */
    public void moveToStroke(int direction) {
        mark.set(OptionalLong.empty());
        List<Onset> all = session.derived().score().onsets();
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
    @Override
    public Optional<Event> eventAtCaret() {
        return Strokes.at(now(), caret.get());
    }

    /** The stroke under the caret. */
    @Override
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
        session.apply(Edits.putEvent(caret.get(), stroke, scope.get()));
    }

    /** Deletes what is marked, or the stroke under the caret. */
    public void deleteStroke() {
        if (mark.get().isPresent()) {
            long from = from();
            Strokes.Clipping empty = new Strokes.Clipping(to() - from, List.of(), List.of());
            session.apply(Edits.paste(from, empty, scope.get()));
            mark.set(OptionalLong.empty());
        } else if (eventAtCaret().isPresent()) {
            session.apply(Edits.removeEvent(caret.get(), scope.get()));
        } else {
            touches.voices().nothingHere();
        }
    }

    /** First tick of what is marked, or the caret. */
    @Override
    public long from() {
        long m = mark.get().orElse(caret.get());
        return Math.min(m, caret.get());
    }

    /** Tick past what is marked, or past the caret's step. */
    @Override
    public long to() {
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
        session.say(
                "Copied "
                        + (marked ? what : FindingWords.place(from, r).split(",")[0])
                        + "; Ctrl V puts it at the caret.");
    }

    /** Puts what was taken up at the caret, or at its bar's beginning when a bar was taken. */
    public void paste() {
        if (clipboard == null) {
            session.say("Nothing was copied yet: Ctrl C copies the bar.");
            return;
        }
        Riff r = now();
        int bar = r.meters().bar(caret.get());
        boolean aBar = clipboard.length() == r.meters().end(bar) - r.meters().start(bar);
        long at = aBar ? r.meters().start(bar) : caret.get();
        mark.set(OptionalLong.empty());
        session.apply(Edits.paste(at, clipboard, scope.get()));
    }

    /** The highest note of what sounds under the caret. */
    public Optional<ScoreNote> topAtCaret() {
        return touches.voices().top();
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
                ? "changes all " + passes + " repeats (O: only here)"
                : "changes one of " + passes + " repeats (O: all)";
    }
}
