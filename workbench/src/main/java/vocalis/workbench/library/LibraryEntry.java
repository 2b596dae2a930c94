package vocalis.workbench.library;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import java.util.List;
import java.util.Locale;
import java.util.TreeSet;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;
import vocalis.core.theory.Key;

/**
 * What the logbook says of a riff without opening it.
 *
 * @param file name in the library's folder
 * @param modified when the file was last written, in ms since 1970
 * @param size bytes
 * @param id of the piece
 * @param title working title; for a file that cannot be read its name
 * @param trouble why it cannot be read; empty where it can
 * @param roots names of the roots in order
 * @param steps degrees of the roots in order
 */
@JsonIgnoreProperties(ignoreUnknown = true)
public record LibraryEntry(
        String file,
        long modified,
        long size,
        String id,
        String title,
        String about,
        List<String> tags,
        String key,
        String tuning,
        int tempo,
        int bars,
        List<String> families,
        List<String> roots,
        List<String> steps,
        int versions,
        int rating,
        String status,
        String trouble) {

    public LibraryEntry {
        tags = tags == null ? List.of() : List.copyOf(tags);
        families = families == null ? List.of() : List.copyOf(families);
        roots = roots == null ? List.of() : List.copyOf(roots);
        steps = steps == null ? List.of() : List.copyOf(steps);
    }

    /** Of a piece in a file. */
    static LibraryEntry of(Piece p, String file, long modified, long size) {
        Riff riff = p.riff();
        Key key = riff.ground().key();
        TreeSet<String> families = new TreeSet<>();
        for (Treatment t : riff.treatments()) {
            families.add(t.family().shortLabel().toLowerCase(Locale.ROOT));
        }
        List<Integer> roots =
                riff.roots().stream().map(RootSpan::root).map(r -> r.pitchClass(key)).toList();
        return new LibraryEntry(
                file,
                modified,
                size,
                p.id(),
                p.title(),
                p.about(),
                p.tags(),
                key.symbol(),
                riff.ground().instrument().tuning().letters(),
                riff.tempo(),
                riff.bars(),
                List.copyOf(families),
                roots.stream().map(r -> key.say(r).symbol()).toList(),
                roots.stream().map(r -> key.degree(r).symbol()).toList(),
                p.versions().size(),
                p.standing().rating(),
                p.standing().status().words(),
                "");
    }

    /** Of a file that cannot be read. */
    static LibraryEntry unreadable(String file, long modified, long size, String why) {
        return new LibraryEntry(
                file, modified, size, "", file, "", List.of(), "", "", 0, 0, List.of(), List.of(),
                List.of(), 0, 0, "", why);
    }

    public boolean readable() {
        return trouble.isEmpty();
    }
}
