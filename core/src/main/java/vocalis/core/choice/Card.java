package vocalis.core.choice;

import java.util.List;
import java.util.Objects;
import vocalis.core.voicing.ShapeClass;

/**
 * One shape class with all its places on the neck.
 *
 * @param shapeClass what the places share
 * @param places candidates of the class, best first; never empty
 */
public record Card(ShapeClass shapeClass, List<Candidate> places) {

    public Card {
        Objects.requireNonNull(shapeClass, "shapeClass");
        places = List.copyOf(places);
        if (places.isEmpty()) {
            throw new IllegalArgumentException("a card needs at least one place");
        }
    }

    /** The best place. */
    public Candidate first() {
        return places.get(0);
    }
}
