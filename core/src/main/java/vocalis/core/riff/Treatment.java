package vocalis.core.riff;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import vocalis.core.instrument.Shape;
import vocalis.core.voicing.Family;

/**
 * How one root is voiced: the third layer's entry. Choices made in other families are kept, so that
 * switching families and back loses nothing.
 *
 * @param family the family in force
 * @param members the member chosen in each family; where none is, the best is taken
 * @param bass the note put under the voicing, as a step of the key; empty for none
 * @param settled in a document at rest, the shape that the program took where no member is chosen,
 *     so that another ranking does not change the riff; empty while it is worked on
 * @param fingers the fingers that the player wants on the strings, lowest first: 1 (index) to 4, 5
 *     for the thumb, 0 for none; taken where the shape can be held so, empty to leave it to the way
 */
public record Treatment(
        Family family,
        Map<Family, Member> members,
        Optional<Root> bass,
        Optional<Shape> settled,
        Optional<List<Integer>> fingers) {

    public Treatment {
        Objects.requireNonNull(family, "family");
        Objects.requireNonNull(bass, "bass");
        Objects.requireNonNull(settled, "settled");
        members = Map.copyOf(members);
        fingers = fingers.map(List::copyOf);
        if (fingers.filter(f -> f.size() > 9 || f.stream().anyMatch(n -> n < 0 || n > 5))
                .isPresent()) {
            throw new IllegalArgumentException("fingers are 0 to 5, one for each string");
        }
    }

    /** Not settled. */
    public Treatment(Family family, Map<Family, Member> members, Optional<Root> bass) {
        this(family, members, bass, Optional.empty(), Optional.empty());
    }

    /** Without a bass of its own. */
    public Treatment(Family family, Map<Family, Member> members) {
        this(family, members, Optional.empty());
    }

    /** The same at rest, with the shape that it takes, or worked on again. */
    public Treatment settled(Optional<Shape> shape) {
        return new Treatment(family, members, bass, shape, fingers);
    }

    /** Another bass under the voicing, whichever family it takes. */
    public Treatment over(Optional<Root> other) {
        return new Treatment(family, members, other, Optional.empty(), fingers);
    }

    /** Held with other fingers, or as the way has it. */
    public Treatment held(Optional<List<Integer>> others) {
        return new Treatment(family, members, bass, settled, others);
    }

    /** The best member of a family, whichever it turns out to be. */
    public static Treatment best(Family family) {
        return new Treatment(family, Map.of());
    }

    /** The member chosen in the family in force. */
    public Optional<Member> member() {
        return Optional.ofNullable(members.get(family));
    }

    /** Another family, every choice kept. */
    public Treatment in(Family other) {
        return new Treatment(other, members, bass);
    }

    /** Another member of the family in force. */
    public Treatment with(Family chosenFamily, Member member) {
        Map<Family, Member> changed = new EnumMap<>(Family.class);
        changed.putAll(members);
        changed.put(chosenFamily, member);
        return new Treatment(chosenFamily, changed, bass);
    }
}
