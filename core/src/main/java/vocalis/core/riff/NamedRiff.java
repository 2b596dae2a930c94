package vocalis.core.riff;

import java.util.Objects;

/**
 * A riff with its working title and a line about it: what a file holds.
 *
 * @param title working title, not blank, at most 200 characters
 * @param about a note to oneself; may be empty
 * @param riff the recipe
 */
public record NamedRiff(String title, String about, Riff riff) {
    public NamedRiff {
        Objects.requireNonNull(about, "about");
        Objects.requireNonNull(riff, "riff");
        if (title.isBlank() || title.length() > 200) {
            throw new IllegalArgumentException(
                    "a title has 1 to 200 characters, but this one has " + title.strip().length());
        }
    }

    public NamedRiff with(Riff other) {
        return new NamedRiff(title, about, other);
    }

    public NamedRiff titled(String other) {
        return new NamedRiff(other, about, riff);
    }
}
