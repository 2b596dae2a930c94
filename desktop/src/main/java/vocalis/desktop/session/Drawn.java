package vocalis.desktop.session;

import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import vocalis.core.derive.Derived;
import vocalis.core.riff.Riff;
import vocalis.core.theory.Key;

/** What the riff comes to, as last derived: what screens draw. May lag behind the document. */
public interface Drawn {

    ReadOnlyObjectProperty<Derived> derivedProperty();

    /** Where its chord caret is, and which bars are on the screen. */
    Caret caret();

    default Derived derived() {
        return derivedProperty().get();
    }

    /** The riff that is drawn. */
    default Riff riff() {
        return derived().riff();
    }

    default Key key() {
        return riff().ground().key();
    }

    /** The chord under the caret. */
    default Derived.Chord currentChord() {
        return derived().chord(caret().chord());
    }

    /** The chord of an index, where there is such a one. */
    default Optional<Derived.Chord> chordAt(int index) {
        return index >= 0 && index < derived().chords().size()
                ? Optional.of(derived().chords().get(index))
                : Optional.empty();
    }
}
