package vocalis.workbench;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.piece.Piece;
import vocalis.formats.json.Extras;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.library.Journal;
import vocalis.workbench.library.PieceFiles;

/** A process of its own that edits and saves without end, to be killed, or adds its tags. */
public final class Hammering {

    private Hammering() {}

    public static void main(String[] args) throws Exception {
        Path file = Path.of(args[1]);
        if (args[0].equals("journal")) {
            journal(file, Path.of(args[2]));
        } else {
            tags(file, args[2], Integer.parseInt(args[3]));
        }
    }

    /** Edit after edit into the journal, every third saved; says what is safe. */
    private static void journal(Path file, Path folder) throws Exception {
        Piece piece = Demo.pieces().get(0);
        Journal journal = Journal.in(folder);
        for (int n = 1; ; n++) {
            piece = piece.withAbout("edit " + n);
            journal.keep(piece, Extras.NONE, Optional.of(file), Optional.empty());
            journal.settle();
            System.out.println("kept " + n);
            if (n % 3 == 0) {
                PieceFiles.write(piece, Extras.NONE, file, null);
                System.out.println("saved " + n);
            }
            System.out.flush();
        }
    }

    /** Adds tags to a piece that others add to as well: read, changed, written if nobody did. */
    private static void tags(Path file, String name, int count) throws Exception {
        for (int n = 0; n < count; n++) {
            boolean done = false;
            while (!done) {
                try {
                    PieceFiles.ReadPiece o = PieceFiles.read(file);
                    List<String> tags = new ArrayList<>(o.piece().tags());
                    tags.removeIf(t -> t.startsWith(name + "-"));
                    tags.add(name + "-" + (n + 1));
                    Piece after = o.piece().withTags(tags).withAbout(o.piece().about() + name);
                    PieceFiles.write(after, o.extras(), file, o.stamp());
                    done = true;
                } catch (PieceFiles.ChangedOnDisk e) {
                    // Somebody was faster: read again.
                    done = false;
                }
            }
        }
    }
}
