package vocalis.desktop.model;

import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Hand;
import vocalis.core.riff.Riff;
import vocalis.desktop.view.Background;
import vocalis.workbench.document.Edit;
import vocalis.workbench.library.OwnShapes;

/** What the models need of the open document, and of nothing else. */
public interface Session {

    /** The riff as it is now; edits transform this. */
    Riff now();

    /** What the riff comes to, as last derived; may lag behind {@link #now}. */
    ReadOnlyObjectProperty<Derived> derivedProperty();

    /** Does something to the document; says to the player why when it cannot be done. */
    boolean apply(Edit edit);

    /** The player's hand. */
    Hand hand();

    Catalogue catalogue();

    OwnShapes ownShapes();

    Background background();

    /** Says something short at the foot of the window. */
    void say(String text);

    default Derived derived() {
        return derivedProperty().get();
    }

    /** The chord of an index as last derived, where there is such a one. */
    default Optional<Derived.Chord> chordAt(int index) {
        return index >= 0 && index < derived().chords().size()
                ? Optional.of(derived().chords().get(index))
                : Optional.empty();
    }
}
