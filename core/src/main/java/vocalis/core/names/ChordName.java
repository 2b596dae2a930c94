package vocalis.core.names;

import java.util.Objects;
import java.util.Optional;
import vocalis.core.theory.Spelling;

/**
 * A chord symbol.
 *
 * @param root root that the symbol starts with
 * @param suffix what follows it, such as {@code m7} or {@code 5(♯11)}; " octave" for one doubled
 *     note
 * @param bass the bass after the slash, where it is not the root
 * @param modifiers how many additions, alterations and omissions the suffix needs; fewer is simpler
 */
public record ChordName(Spelling root, String suffix, Optional<Spelling> bass, int modifiers) {

    public ChordName {
        Objects.requireNonNull(root, "root");
        Objects.requireNonNull(suffix, "suffix");
        Objects.requireNonNull(bass, "bass");
    }

    /** With ♯ and ♭, such as {@code A5/G♯}. */
    public String symbol() {
        return root.symbol() + suffix + bass.map(b -> "/" + b.symbol()).orElse("");
    }

    /** With # and b. */
    public String ascii() {
        return symbol().replace("♯", "#").replace("♭", "b");
    }

    @Override
    public String toString() {
        return symbol();
    }
}
