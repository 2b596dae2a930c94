package vocalis.workbench.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Stream;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import vocalis.core.piece.Piece;
import vocalis.formats.json.Extras;
import vocalis.workbench.demo.Demo;

/** Whatever was asked of the journal, in whatever order, the last of it is what is kept. */
class JournalTest {

    private static final Piece PIECE = Demo.blank("journal");

    /** A disk in memory that takes its time over each deed. */
    private static final class Slow implements Journal.Disk {
        private final Random random;
        private final int mostMs;
        private final AtomicReference<byte[]> held = new AtomicReference<>();

        Slow(long seed, int mostMs) {
            random = new Random(seed);
            this.mostMs = mostMs;
        }

        private void delay() {
            try {
                Thread.sleep(mostMs == 0 ? 0 : random.nextInt(mostMs + 1));
            } catch (InterruptedException e) {
                throw new AssertionError(e);
            }
        }

        @Override
        public void write(Path file, byte[] bytes) {
            delay();
            held.set(bytes);
        }

        @Override
        public void delete(Path file) {
            delay();
            held.set(null);
        }
    }

    /**
     * True keeps, false forgets; the gap lies before each, in ms. The sequence keep, forget, keep
     * without a gap left nothing in the journal while each was a deed of its own.
     */
    @Property(tries = 150)
    void whatWasAskedLastIsWhatStands(
            @ForAll @Size(min = 1, max = 12) boolean[] wishes,
            @ForAll @IntRange(max = 2) int gapMs,
            @ForAll @IntRange(max = 3) int slowMs,
            @ForAll long seed)
            throws Exception {
        Path folder = Files.createTempDirectory("vocalis-journal");
        Slow disk = new Slow(seed, slowMs);
        Journal journal = Journal.in(folder, disk);
        for (int i = 0; i < wishes.length; i++) {
            if (wishes[i]) {
                journal.keep(
                        PIECE.withAbout("edit " + i),
                        Extras.NONE,
                        Optional.empty(),
                        Optional.empty());
            } else {
                journal.forget();
            }
            Thread.sleep(gapMs);
        }
        journal.close();
        byte[] held = disk.held.get();
        int last = wishes.length - 1;
        if (wishes[last]) {
            assertThat(held).isNotNull();
            assertThat(new String(held, java.nio.charset.StandardCharsets.UTF_8))
                    .contains("edit " + last);
        } else {
            assertThat(held).isNull();
        }
        clear(folder);
    }

    /** A disk that refuses is told while it refuses, and told again when it takes what is kept. */
    @Example
    void aDiskThatRefusesIsTold() throws Exception {
        Path folder = Files.createTempDirectory("vocalis-journal");
        AtomicReference<IOException> refuses = new AtomicReference<>(new IOException("disk full"));
        Journal.Disk disk =
                new Journal.Disk() {
                    @Override
                    public void write(Path file, byte[] bytes) throws IOException {
                        if (refuses.get() != null) {
                            throw refuses.get();
                        }
                    }

                    @Override
                    public void delete(Path file) {}
                };
        List<Optional<String>> told = new CopyOnWriteArrayList<>();
        try (Journal journal = Journal.in(folder, disk)) {
            journal.onTrouble(told::add);
            for (int i = 0; i < 3; i++) {
                journal.keep(PIECE, Extras.NONE, Optional.empty(), Optional.empty());
                journal.settle();
            }
            refuses.set(null);
            journal.keep(PIECE, Extras.NONE, Optional.empty(), Optional.empty());
            journal.settle();
        }
        assertThat(told)
                .containsExactly(Optional.empty(), Optional.of("disk full"), Optional.empty());
        clear(folder);
    }

    /** Work that is damaged is put aside as it is, and said; whole work beside it is offered. */
    @Example
    void damagedWorkIsPutAside() throws Exception {
        Path folder = Files.createTempDirectory("vocalis-journal");
        try (Journal journal = Journal.in(folder)) {
            journal.keep(PIECE, Extras.NONE, Optional.empty(), Optional.empty());
        }
        byte[] whole = Files.readAllBytes(folder.resolve("1.journal.json"));
        byte[] cut = Arrays.copyOf(whole, whole.length / 2);
        Files.write(folder.resolve("2.journal.json"), cut);
        try (Journal journal = Journal.in(folder)) {
            assertThat(journal.left()).extracting(Journal.Left::piece).containsExactly(PIECE);
            Path aside = folder.resolve("2-damaged-1.json");
            assertThat(journal.damaged()).containsExactly(aside);
            assertThat(Files.readAllBytes(aside)).isEqualTo(cut);
        }
        clear(folder);
    }

    private static void clear(Path folder) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path p : all.sorted(java.util.Comparator.reverseOrder()).toList()) {
                Files.delete(p);
            }
        }
    }
}
