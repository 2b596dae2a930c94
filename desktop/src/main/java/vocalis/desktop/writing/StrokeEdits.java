package vocalis.desktop.writing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import vocalis.core.edit.Scope;
import vocalis.core.pattern.Direction;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Rest;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.session.Editing;
import vocalis.workbench.document.Edits;

/**
 * What is done to the strokes under the lane's caret, or to all that are marked: each is one edit.
 */
public final class StrokeEdits {

    private final Editing session;
    private final Marked lane;

    /** The lane's caret, what is marked, and how far an edit holds. */
    interface Marked {
        ReadOnlyObjectProperty<OptionalLong> markProperty();

        ReadOnlyLongProperty caretProperty();

        ReadOnlyLongProperty grainProperty();

        ReadOnlyObjectProperty<Scope> scopeProperty();

        Optional<Stroke> strokeAtCaret();

        Optional<Event> eventAtCaret();

        /** Where what is marked begins, in ticks. */
        long from();

        /** Where what is marked ends, in ticks. */
        long to();

        TouchEdits touches();
    }

    StrokeEdits(Editing session, Marked lane) {
        this.session = session;
        this.lane = lane;
    }

    private void changeStroke(UnaryOperator<Stroke> change, String what) {
        change(e -> e instanceof Stroke s ? change.apply(s) : e, what);
    }

    /** Changes every event that is marked, or the one under the caret. */
    private void change(UnaryOperator<Event> change, String what) {
        if (lane.markProperty().get().isEmpty()) {
            if (lane.eventAtCaret().isEmpty()) {
                lane.touches().nothingHere();
                return;
            }
            session.apply(
                    Edits.changeEvent(
                            lane.caretProperty().get(), what, change, lane.scopeProperty().get()));
            return;
        }
        List<Long> at = new ArrayList<>();
        for (Onset o : session.derived().score().onsets()) {
            if (o.at() >= lane.from() && o.at() < lane.to()) {
                at.add(o.at());
            }
        }
        at.forEach(
                t -> session.apply(Edits.changeEvent(t, what, change, lane.scopeProperty().get())));
    }

    public void toggleMute() {
        boolean on = lane.strokeAtCaret().map(s -> !s.muted()).orElse(true);
        changeStroke(s -> s.played(on ? Manner.PALM : Manner.PLAIN), "palm mute");
    }

    public void toggleAccent() {
        boolean on = lane.strokeAtCaret().map(s -> !s.accented()).orElse(true);
        change(e -> e.with(on ? Dynamics.ACCENT : Dynamics.PLAIN), "accent");
    }

    /** Lengthens (shortens) the stroke by steps; it stops at the next stroke and the figure. */
    public void lengthenStroke(int steps) {
        change(
                e ->
                        e.lasting(
                                Math.max(
                                        lane.grainProperty().get(),
                                        e.length() + steps * lane.grainProperty().get())),
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
        List<Integer> byPitch = stringsByPitch(session.currentChord().candidate().voicing());
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
        boolean same = lane.strokeAtCaret().filter(s -> s.manner() == manner).isPresent();
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

    /** Puts silence here: what sounds is cut, nothing else is struck. */
    public void rest() {
        Rest rest = new Rest(0, 0, lane.grainProperty().get());
        session.apply(Edits.putEvent(lane.caretProperty().get(), rest, lane.scopeProperty().get()));
    }

    /** Ties the event under the caret to the one before it, or strikes it again. */
    public void toggleTie() {
        boolean on = lane.eventAtCaret().map(e -> !e.tied()).orElse(true);
        change(e -> e.tied(on), "tie");
    }

    /** Strikes the same strings whatever the shape is, or its voices again. */
    public void toggleByString() {
        Voicing v = session.currentChord().candidate().voicing();
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
        int string = session.now().ground().board().strings() - fromHighest;
        if (string < 0) {
            session.say("The instrument has no string " + fromHighest + ".");
        } else if (lane.strokeAtCaret()
                .filter(s -> s.struck() instanceof Struck.Strings)
                .isPresent()) {
            changeStroke(
                    s -> {
                        int mask = ((Struck.Strings) s.struck()).mask() ^ 1 << string;
                        return mask == 0 ? s : s.striking(new Struck.Strings(mask));
                    },
                    "strike other strings");
        } else if (stringsByPitch(session.currentChord().candidate().voicing()).contains(string)) {
            toggleStruckString(string);
        } else {
            session.say(
                    "The shape does not sound that string. Strike by string, in All … below, does.");
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
                    Dynamics[] all = Dynamics.values();
                    int to = e.dynamics().ordinal() + by;
                    return e.with(all[Math.max(0, Math.min(all.length - 1, to))]);
                },
                by > 0 ? "harder" : "softer");
    }
}
