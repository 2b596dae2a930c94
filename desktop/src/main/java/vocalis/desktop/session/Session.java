package vocalis.desktop.session;

import java.util.concurrent.Callable;
import java.util.function.Consumer;
import java.util.function.Supplier;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.desktop.view.Background;
import vocalis.workbench.document.Edit;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.playing.Player;

/**
 * What the models of the screens need of the open document and the instrument it sounds on. Used on
 * the FX thread.
 */
public interface Session extends Drawn {

    /** The open document, its history and its file. */
    Workspace workspace();

    Player player();

    /** Does something to the document; says to the player why when it cannot be done. */
    boolean apply(Edit edit);

    /** Says something short at the foot of the window. */
    void say(String text);

    /** Whether nothing is said there now. */
    boolean quiet();

    /**
     * Has a question answered on a worker; the answer comes back on the FX thread.
     *
     * @param what the work is, for the log: such as "looking for voicings"
     */
    <T> void ask(String what, Supplier<T> question, Consumer<T> answer);

    /** The same for what can fail, such as with the disk: then what was wrong is told in words. */
    <T> void attempt(
            String what, Callable<T> question, Consumer<T> answer, Consumer<String> trouble);

    /** A kind of question of which only the newest answer counts. */
    <T> Background.Channel<T> channel(String what, Consumer<T> answer);

    /** Told after a change of the document has been derived, in the order of asking. */
    void afterDerived(Runnable told);

    /** The piece as it is now. */
    default Piece piece() {
        return workspace().content();
    }

    /** The riff as it is now; edits transform this. */
    default Riff now() {
        return piece().riff();
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
