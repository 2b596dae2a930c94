package vocalis.cli;

import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import vocalis.formats.FormatException;
import vocalis.workbench.PieceFiles;

/**
 * The same for many files: what goes wrong with one is said in a line, and the others are done.
 *
 * @param out where it all goes: a file, a folder, or - for standard output
 */
record EachFile(List<Path> files, Path out, PrintWriter err) {

    /** What is done with a file. */
    interface Step {
        void with(Path file) throws Exception;
    }

    EachFile {
        files = List.copyOf(files);
        if (files.size() > 1 && !Files.isDirectory(out)) {
            throw new IllegalArgumentException(
                    "several files go into a folder: name one that is there after -o");
        }
    }

    /** Whether a path stands for a standard stream. */
    static boolean standard(Path path) {
        return path.toString().equals("-");
    }

    boolean folder() {
        return Files.isDirectory(out);
    }

    /** Does it; the exit code: 0, or 2 where a file could not be read. */
    int run(Step step) throws Exception {
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
