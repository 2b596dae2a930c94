package vocalis.desktop.session;

import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Optional;
import vocalis.core.piece.Piece;

/** Where the caret was when a state of the document was left: undo brings it back there. */
public final class CaretMemory {

    /**
     * A place.
     *
     * @param chord index of the chord under the chord caret
     * @param tick the lane's caret
     */
    public record Place(int chord, long tick) {}

    private static final int MOST = 4000;

    private final Map<Piece, Place> places = new IdentityHashMap<>();
    private Piece now;

    /**
     * @param first the document as it is opened
     */
    public CaretMemory(Piece first) {
        now = first;
    }

    /** An edit led from one state to another; both are come back to where it was made. */
    public void edited(Piece before, Piece after, Place at) {
        if (before == after) {
            return;
        }
        if (places.size() > MOST) {
            places.clear();
        }
        places.put(before, at);
        places.put(after, at);
        now = after;
    }

    /** Another state stands; where its caret was, if it is one that stood before. */
    public Optional<Place> returned(Piece to) {
        if (to == now) {
            return Optional.empty();
        }
        now = to;
        return Optional.ofNullable(places.get(to));
    }
}
