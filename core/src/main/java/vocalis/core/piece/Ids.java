package vocalis.core.piece;

import java.util.Collection;
import java.util.HashSet;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Names of things in a piece that stay when their words change. */
public final class Ids {

    private Ids() {}

    /** Throws when a text is no id. */
    static void check(String what, String id) {
        if (!id.matches("[A-Za-z0-9._-]{1,64}")) {
            throw new IllegalArgumentException(
                    what
                            + "'s id has 1 to 64 letters, digits, dots, hyphens and underscores, but"
                            + " is \""
                            + id
                            + "\"");
        }
    }

    /** Throws when two are the same. */
    static void different(String what, Collection<String> ids) {
        Set<String> seen = new HashSet<>();
        for (String id : ids) {
            if (!seen.add(id)) {
                throw new IllegalArgumentException("two " + what + " have the id " + id);
            }
        }
    }

    /** An id that none of those taken has. */
    static String fresh(String kind, Stream<String> taken) {
        Set<String> all = taken.collect(Collectors.toSet());
        int n = 1;
        while (all.contains(kind + "-" + n)) {
            n++;
        }
        return kind + "-" + n;
    }
}
