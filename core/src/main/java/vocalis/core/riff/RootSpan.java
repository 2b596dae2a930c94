package vocalis.core.riff;

import java.util.Objects;
import vocalis.core.pattern.Limits;

/**
 * A root and how long it lasts: one entry of the second layer.
 *
 * @param root which root
 * @param length ticks, from {@link Limits#SHORTEST_ROOT}
 */
public record RootSpan(Root root, long length) {
    public RootSpan {
        Objects.requireNonNull(root, "root");
        if (length < Limits.SHORTEST_ROOT || length > Limits.LONGEST_FIGURE) {
            throw new IllegalArgumentException(
                    "a root lasts from "
                            + Limits.SHORTEST_ROOT
                            + " to "
                            + Limits.LONGEST_FIGURE
                            + " ticks, but this one "
                            + length);
        }
    }
}
