package vocalis.core.riff;

import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import vocalis.core.voicing.Family;

/**
 * How one root is voiced: the third layer's entry. Choices made in other families are kept, so that
 * switching families and back loses nothing.
 *
 * @param family the family in force
 * @param members the member chosen in each family; where none is, the best is taken
 */
public record Treatment(Family family, Map<Family, Member> members) {

    public Treatment {
        Objects.requireNonNull(family, "family");
        members = Map.copyOf(members);
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
        return new Treatment(other, members);
    }

    /** Another member of the family in force. */
    public Treatment with(Family chosenFamily, Member member) {
        Map<Family, Member> changed = new EnumMap<>(Family.class);
        changed.putAll(members);
        changed.put(chosenFamily, member);
        return new Treatment(chosenFamily, changed);
    }
}
