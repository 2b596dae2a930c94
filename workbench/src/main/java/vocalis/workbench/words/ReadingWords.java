package vocalis.workbench.words;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.names.Reading;
import vocalis.core.theory.Degree;

/** Why a voicing can be read as it is. */
public final class ReadingWords {

    private ReadingWords() {}

    /** Such as {@code on the root that is heard}, or {@code used as Dm, without its 5}. */
    public static String reason(Reading r) {
        return switch (r.kind()) {
            case EXACT ->
                    r.heard()
                            ? "on the root that is heard"
                            : "says the same notes from another root";
            case WORKING -> "used as " + r.name() + leftOut(r);
            case LOWEST -> "read from the lowest note up";
        };
    }

    private static String leftOut(Reading r) {
        List<String> parts = new ArrayList<>();
        if (!r.omitted().isEmpty()) {
            parts.add("without its " + joined(r.omitted()));
        }
        if (!r.beyond().isEmpty()) {
            parts.add(joined(r.beyond()) + " unsaid");
        }
        return parts.isEmpty() ? "" : ", " + String.join(", ", parts);
    }

    private static String joined(List<Degree> degrees) {
        return String.join(" and ", degrees.stream().map(Degree::symbol).toList());
    }
}
