package vocalis.desktop.writing;

import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import vocalis.core.names.WorkingName;
import vocalis.core.scale.Box;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;

/** How band, cards and neck show what there is: the player's choice, for this session. */
public final class Looks {

    private final ObjectProperty<Optional<Key>> scale =
            new SimpleObjectProperty<>(Optional.empty());
    private final BooleanProperty noteNames = new SimpleBooleanProperty();
    private final BooleanProperty passingNames = new SimpleBooleanProperty();
    private final BooleanProperty fingersFrom = new SimpleBooleanProperty();
    private final BooleanProperty rootTune = new SimpleBooleanProperty();
    private final BooleanProperty scaleSteps = new SimpleBooleanProperty();
    private final BooleanProperty rootsAndFifths = new SimpleBooleanProperty();
    private final ObjectProperty<Optional<Box>> box = new SimpleObjectProperty<>(Optional.empty());

    /** Whether notes are named, or told as degrees. */
    public BooleanProperty noteNames() {
        return noteNames;
    }

    /** Whether chords are called as players do in passing: F♯m7 for what is exactly F♯m11. */
    public BooleanProperty passingNames() {
        return passingNames;
    }

    /** Whether the neck shows what the fingers do from the chord before. */
    public BooleanProperty fingersFrom() {
        return fingersFrom;
    }

    /** Whether the band shows the tune that the roots make. */
    public BooleanProperty rootTune() {
        return rootTune;
    }

    /** Whether the neck shows every note of the scale. */
    public BooleanProperty scaleSteps() {
        return scaleSteps;
    }

    /** The scale that the neck shows; empty for the riff's own. */
    public ObjectProperty<Optional<Key>> scale() {
        return scale;
    }

    /** Whether the neck shows the root and the fifth of the chord alone, wherever they lie. */
    public BooleanProperty rootsAndFifths() {
        return rootsAndFifths;
    }

    /** The box of the scale that the neck shows; empty for none. */
    public ObjectProperty<Optional<Box>> box() {
        return box;
    }

    /** What a voicing is called: its exact name, or that in passing. */
    public String called(Voicing v, String exact, Key key) {
        return passingNames.get()
                ? WorkingName.of(v, Optional.of(key)).stream().findFirst().orElse(exact)
                : exact;
    }

    /** Turns what is on off, and what is off on. */
    public static void flip(BooleanProperty look) {
        look.set(!look.get());
    }
}
