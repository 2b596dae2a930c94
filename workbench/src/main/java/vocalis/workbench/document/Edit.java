package vocalis.workbench.document;

import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import vocalis.core.piece.Guitar;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;

/**
 * Something done to a document: a transformation of whatever it is by then, so that none undoes
 * another. Undo is going back to the document before.
 */
public sealed interface Edit {

    /** What was done, as the undo menu says it. */
    String label();

    /** Edits in a row with the same key are undone together; empty for none. */
    String mergeKey();

    /**
     * The document after the edit; an equal one when it changes nothing.
     *
     * @param written the guitar that is written
     * @throws IllegalArgumentException saying why it cannot be done
     */
    Piece apply(Piece before, Guitar written);

    /** Changes what the guitar that is written plays of the riff that is worked on. */
    record OfRiff(String label, String mergeKey, UnaryOperator<Riff> change) implements Edit {
        @Override
        public Piece apply(Piece before, Guitar written) {
            return before.changing(written, change);
        }
    }

    /** Changes something else of that guitar's. */
    record OfGuitar(String label, String mergeKey, BiFunction<Piece, Guitar, Piece> change)
            implements Edit {
        @Override
        public Piece apply(Piece before, Guitar written) {
            return change.apply(before, written);
        }
    }

    /** Changes something else of the piece. */
    record OfPiece(String label, String mergeKey, UnaryOperator<Piece> change) implements Edit {
        @Override
        public Piece apply(Piece before, Guitar written) {
            return change.apply(before);
        }
    }
}
