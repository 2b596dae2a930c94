package vocalis.formats.sheet;

import java.util.List;
import java.util.Objects;

/**
 * What was read of a file of another program.
 *
 * @param sheet the scores
 * @param remarks what was assumed or left out, each a sentence for the player
 * @param fingered whether strings and frets stand in the file; otherwise they were chosen here
 * @param harmonies whether chords stand in the file
 * @param keyed whether a key stands in the file
 */
public record Imported(
        Sheet sheet, List<String> remarks, boolean fingered, boolean harmonies, boolean keyed) {
    public Imported {
        Objects.requireNonNull(sheet, "sheet");
        remarks = List.copyOf(remarks);
    }
}
