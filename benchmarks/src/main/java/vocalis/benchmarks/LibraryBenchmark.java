package vocalis.benchmarks;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;
import vocalis.core.piece.Piece;
import vocalis.formats.FormatException;
import vocalis.formats.json.Extras;
import vocalis.formats.json.PieceCodec;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.library.Library;
import vocalis.workbench.library.LibraryEntry;
import vocalis.workbench.library.LibraryQuery;
import vocalis.workbench.library.PieceFiles;

/** A library of ten thousand riffs: what the logbook shows at once, looks through, searches. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class LibraryBenchmark {

    private static final int RIFFS = 10_000;

    private Path folder;
    private Library library;
    private List<LibraryEntry> entries;

    @Setup
    public void fill() throws IOException, FormatException {
        folder = Files.createTempDirectory("library");
        library = new Library(Files.createDirectory(folder.resolve("riffs")), folder);
        for (int i = 0; i < RIFFS; i++) {
            Piece p = Demo.pieces().get(i % 5).as("riff-" + i).withTitle("Riff number " + i);
            Path file = library.folder().resolve("riff-" + i + PieceFiles.ENDING);
            Files.write(file, PieceCodec.write(p, Extras.NONE));
        }
        long from = System.nanoTime();
        entries = library.scan((n, soFar) -> {}, () -> false);
        System.out.printf(
                "%nlooked through for the first time: %d riffs in %.1f s%n",
                entries.size(), (System.nanoTime() - from) / 1e9);
    }

    @TearDown
    public void empty() throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path p : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(p);
            }
        }
    }

    /** What is there when the logbook opens. */
    @Benchmark
    public List<LibraryEntry> remembered() {
        return library.remembered();
    }

    /** What a worker does then, nothing changed. */
    @Benchmark
    public List<LibraryEntry> lookedThrough() throws IOException {
        return library.scan((n, soFar) -> {}, () -> false);
    }

    /** What a key typed into the search does. */
    @Benchmark
    public long searched() {
        LibraryQuery q = LibraryQuery.of("number 77 key:d tempo:90-120 change:d-f");
        return entries.stream().filter(q).count();
    }
}
