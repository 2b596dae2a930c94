package vocalis.workbench.library;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import vocalis.workbench.base.Log;
import vocalis.workbench.base.SafeFiles;

/**
 * What files held before they were saved over: the last ten of each, in the program's own place.
 */
public final class Backups {

    /** How many of each file are kept. */
    public static final int KEPT = 10;

    private final Path folder;

    public Backups(Path data) {
        this.folder = data.resolve("backups");
    }

    private Path of(Path file) {
        String path = file.toAbsolutePath().toString();
        String stamp = SafeFiles.stamp(path.getBytes(StandardCharsets.UTF_8));
        return folder.resolve(stamp.substring(0, 16));
    }

    /** Puts a copy aside of a file that is about to be written; what fails is only noted. */
    public void before(Path file) {
        if (!Files.isRegularFile(file)) {
            return;
        }
        try {
            Path to = of(file);
            Files.createDirectories(to);
            List<Path> all = all(file);
            long last = all.isEmpty() ? 0 : number(all.get(0));
            Path copy = to.resolve(String.format("%06d-%s", last + 1, file.getFileName()));
            Files.copy(file, copy, StandardCopyOption.REPLACE_EXISTING);
            for (Path old :
                    all.size() < KEPT ? List.<Path>of() : all.subList(KEPT - 1, all.size())) {
                Files.deleteIfExists(old);
            }
        } catch (IOException e) {
            Log.note("no backup of " + file.getFileName() + ": " + e.getMessage());
        }
    }

    private static long number(Path backup) {
        String name = backup.getFileName().toString();
        String digits = name.substring(0, Math.max(0, name.indexOf('-')));
        return digits.matches("\\d{1,12}") ? Long.parseLong(digits) : 0;
    }

    /** The backups of a file, the newest first. */
    public List<Path> all(Path file) throws IOException {
        List<Path> all = new ArrayList<>();
        if (Files.isDirectory(of(file))) {
            try (DirectoryStream<Path> files = Files.newDirectoryStream(of(file))) {
                files.forEach(all::add);
            }
        }
        all.sort(Comparator.comparingLong(Backups::number));
        Collections.reverse(all);
        return all;
    }
}
