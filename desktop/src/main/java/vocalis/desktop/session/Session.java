package vocalis.desktop.session;

import javafx.beans.property.ReadOnlyObjectProperty;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.piece.Guitar;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.workbench.base.Subscription;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.playing.Player;

/**
 * The open document with its history and its file, the player's hand, and the instrument it sounds
 * on: for the models of screens. What needs less asks for {@link Teller}, {@link Document}, {@link
 * Editing} or {@link Asking}. Used on the FX thread.
 */
public interface Session extends Editing, Asking {

    /** The open document, its history and its file. */
    Workspace workspace();

    Player player();

    /** Told after a change of the document has been derived, in the order of asking. */
    void afterDerived(Runnable told);

    @Override
    default Piece piece() {
        return workspace().content();
    }

    /** Which guitar is written. */
    ReadOnlyObjectProperty<Guitar> writtenProperty();

    @Override
    default Riff now() {
        return workspace().riff();
    }

    @Override
    default Subscription onChange(Runnable told) {
        return workspace().onChange(told);
    }

    /** The player's hand. */
    default Hand hand() {
        return workspace().hand();
    }

    default Catalogue catalogue() {
        return workspace().catalogue();
    }

    /** Whether the player sounds something now. */
    default boolean playing() {
        return player().telemetry().latest().playing();
    }
}
