package vocalis.desktop.begin;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.SimpleObjectProperty;
import vocalis.core.edit.Chords;
import vocalis.core.edit.GroundText;
import vocalis.core.edit.Progression;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;
import vocalis.core.voicing.Family;
import vocalis.desktop.session.Session;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Edits;

/**
 * Where a riff begins: open while nothing is written yet, and when it is called. And how far the
 * way from there was gone.
 */
public final class BeginModel {

    private final Session session;
    private final ReadOnlyBooleanWrapper open = new ReadOnlyBooleanWrapper();
    private final ObjectProperty<Optional<Step>> next =
            new SimpleObjectProperty<>(Optional.empty());
    private List<Object> written = List.of();

    public BeginModel(Session session) {
        this.session = session;
        session.onChange(this::changed);
    }

    /** Whether it is open. */
    public ReadOnlyBooleanProperty openProperty() {
        return open.getReadOnlyProperty();
    }

    /** The next step of the way; empty where it is not followed. */
    public ObjectProperty<Optional<Step>> nextProperty() {
        return next;
    }

    /** A document was opened: one in which nothing is written opens on the place to begin. */
    public void opened() {
        boolean blank = written(session.now()).equals(written(Demo.blank("any").riff()));
        next.set(Optional.empty());
        written = written(session.now());
        open.set(blank && session.workspace().file().isEmpty());
    }

    /** Opens it whatever is written. */
    public void call() {
        written = written(session.now());
        open.set(true);
    }

    /** Leaves it; the riff stays as it is. */
    public void leave() {
        open.set(false);
    }

    /** What is written besides the ground: the ground may change while one begins. */
    private static List<Object> written(Riff r) {
        return List.of(
                r.roots().stream().map(RootSpan::root).toList(),
                r.treatments().stream().map(Treatment::family).toList(),
                r.touches(),
                r.pattern().figures().size());
    }

    private void changed() {
        if (open.get() && !written(session.now()).equals(written)) {
            open.set(false);
        }
    }

    /**
     * Takes key, tempo and meter from a line.
     *
     * @throws IllegalArgumentException when a word is none of them
     */
    public void ground(String line) {
        GroundText typed = GroundText.parse(line);
        typed.key().ifPresent(k -> session.apply(Edits.ground("key", g -> g.withKey(k))));
        typed.tempo().ifPresent(t -> session.apply(Edits.tempo(t)));
        typed.meter().ifPresent(m -> session.apply(Edits.meter(m)));
    }

    /**
     * Takes the roots from a line.
     *
     * @throws IllegalArgumentException when they cannot be read
     */
    public void roots(String line) {
        Progression typed = Progression.parse(line, session.now().ground().key());
        if (session.apply(Edits.roots(typed))) {
            done(Step.ROOTS);
        }
    }

    /** The lowest open string goes through, for a rhythm that comes before its chords. */
    public void openString() {
        session.apply(Edits.riff("the lowest open string", BeginModel::onLowest));
        next.set(Optional.of(Step.STRUCK));
        leave();
    }

    private static Riff onLowest(Riff riff) {
        Root low = Root.of(riff.ground().key(), riff.ground().board().midi(0, 0) % 12);
        Riff r = riff;
        for (int i = 0; i < riff.roots().size(); i++) {
            r = Chords.root(r, i, low);
        }
        return Chords.familyOfAll(r, Family.POWER);
    }

    /** Open strings ring through every chord. */
    public void drones() {
        session.apply(Edits.familyOfAll(Family.DRONE));
        next.set(Optional.of(Step.ROOTS));
        leave();
    }

    /** A step is done: the next one is offered. */
    public void done(Step step) {
        next.set(step.next());
        leave();
    }

    /** The way is followed no more. */
    public void offTheWay() {
        next.set(Optional.empty());
    }
}
