package vocalis.core.riff;

import java.util.Objects;

/**
 * A root and how long it lasts: one entry of the second layer.
 *
 * @param root which root
 * @param length ticks, above zero
 */
public record RootSpan(Root root, long length) {
    public RootSpan {
        Objects.requireNonNull(root, "root");
        if (length <= 0) {
            throw new IllegalArgumentException(
                    "a root lasts longer than nothing, but this one " + length);
        }
    }
}
