package vocalis.cli.options;

import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.UnaryOperator;
import vocalis.formats.FormatException;
import vocalis.workbench.library.PieceFiles;

/**
 * The same for many files: what goes wrong with one is said in a line, and the others are done.
 *
 * @param out where it all goes: a file, a folder, or - for standard output
 */
public record EachFile(List<Path> files, Path out, PrintWriter err) {

    /** What is done with a file. */
    public interface Step {
        void with(Path file) throws Exception;
    }

    public EachFile {
        files = List.copyOf(files);
        if (files.size() > 1 && !Files.isDirectory(out)) {
            throw new IllegalArgumentException(
                    "several files go into a folder: name one that is there after -o");
        }
    }

    /**
     * Where a file goes in the folder; files of one name from several folders are told apart by a
     * number.
     *
     * @param stem of the file, without its ending
     */
    public Path target(Path file, UnaryOperator<String> stem, String ending) {
        String own = stem.apply(file.getFileName().toString());
        int same = 0;
        for (Path before : files.subList(0, Math.max(0, files.indexOf(file)))) {
            same += stem.apply(before.getFileName().toString()).equalsIgnoreCase(own) ? 1 : 0;
        }
        return out.resolve(own + (same == 0 ? "" : "-" + (same + 1)) + ending);
    }

    public boolean folder() {
        return Files.isDirectory(out);
    }

    /** Does it; the exit code: 0, or 2 where a file could not be read. */
    public int run(Step step) throws Exception {
        int failed = 0;
        for (int i = 0; i < files.size(); i++) {
            Path file = files.get(i);
            try {
                step.with(file);
            } catch (PieceFiles.PieceFileException e) {
                failed++;
                err.println("vocalis: " + e.getMessage());
            } catch (FormatException e) {
                failed++;
                err.println("vocalis: " + file + ": " + e.getMessage());
            }
            if (files.size() > 1) {
                err.printf("%d of %d: %s%n", i + 1, files.size(), file.getFileName());
            }
            err.flush();
        }
        return failed == 0 ? 0 : 2;
    }
}
