package vocalis.desktop.session;

import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.workbench.base.Subscription;
import vocalis.workbench.document.Edit;

/** The open piece: read, changed, and watched. Used on the FX thread. */
public interface Document extends Teller {

    /** The piece as it is now. */
    Piece piece();

    /** What the guitar that is written plays now; edits transform this. */
    Riff now();

    /** Does something to the document; says to the player why when it cannot be done. */
    boolean apply(Edit edit);

    /** Told after each change, until the subscription is cancelled. */
    Subscription onChange(Runnable told);
}
