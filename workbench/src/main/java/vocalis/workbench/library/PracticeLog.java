package vocalis.workbench.library;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import vocalis.core.practice.Entry;
import vocalis.formats.FormatException;
import vocalis.formats.csv.CsvTable;
import vocalis.formats.json.PracticeCodec;

/**
 * What was practised, a line a time, in a file of the user's data folder. Lines are only ever
 * added; one that cannot be read is left where it is and told.
 */
public final class PracticeLog {

    private static final long MOST_BYTES = 64_000_000;

    private final Path file;
    private final List<Entry> shown;

    /** The log of a data folder. */
    public PracticeLog(Path folder) {
        this(folder, List.of());
    }

    /**
     * @param before entries that stand before those of the file and are kept nowhere
     */
    public PracticeLog(Path folder, List<Entry> before) {
        file = folder.resolve("practice.jsonl");
        shown = List.copyOf(before);
    }

    /** Where it is kept. */
    public Path file() {
        return file;
    }

    /** What can be read, oldest first, and how many lines cannot. */
    public record Content(List<Entry> entries, int unread) {}

    /**
     * Reads it.
     *
     * @throws IOException when the file is there and cannot be read
     */
    public Content read() throws IOException {
        List<Entry> all = new ArrayList<>(shown);
        int unread = 0;
        if (Files.exists(file)) {
            if (Files.size(file) > MOST_BYTES) {
                throw new IOException(
                        file + " is larger than " + MOST_BYTES / 1_000_000 + " MB; move it away");
            }
            String text = new String(Files.readAllBytes(file), StandardCharsets.UTF_8);
            for (String line : text.split("\n")) {
                try {
                    if (!line.isBlank()) {
                        all.add(PracticeCodec.read(line));
                    }
                } catch (FormatException e) {
                    unread++;
                }
            }
        }
        return new Content(all, unread);
    }

    /** Adds an entry. A line that was cut off before is ended first. */
    public synchronized void add(Entry e) throws IOException {
        Files.createDirectories(file.getParent());
        byte[] line = PracticeCodec.line(e);
        boolean cut = Files.exists(file) && Files.size(file) > 0 && !endsWithLine();
        byte[] whole = cut ? joined(line) : line;
        Files.write(file, whole, StandardOpenOption.CREATE, StandardOpenOption.APPEND);
    }

    private static byte[] joined(byte[] line) {
        byte[] all = new byte[line.length + 1];
        all[0] = '\n';
        System.arraycopy(line, 0, all, 1, line.length);
        return all;
    }

    private boolean endsWithLine() throws IOException {
        try (var channel = Files.newByteChannel(file)) {
            channel.position(channel.size() - 1);
            var one = java.nio.ByteBuffer.allocate(1);
            channel.read(one);
            return one.get(0) == '\n';
        }
    }

    /** The log as a table of comma-separated values. */
    public static byte[] csv(List<Entry> entries) {
        List<List<Object>> rows = new ArrayList<>();
        for (Entry e : entries) {
            rows.add(
                    List.of(
                            Instant.ofEpochMilli(e.at()).toString(),
                            e.title(),
                            e.what(),
                            e.goal() == 0 ? "" : e.goal(),
                            e.best() == 0 ? "" : e.best(),
                            e.last(),
                            e.passes(),
                            e.failed(),
                            Math.round(e.seconds())));
        }
        return CsvTable.write(
                List.of(
                        "begun",
                        "title",
                        "what",
                        "goal tempo",
                        "best clean tempo",
                        "last tempo",
                        "passes",
                        "failed",
                        "seconds"),
                rows);
    }
}
