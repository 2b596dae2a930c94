package vocalis.workbench.takes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vocalis.sound.listen.Take;

class TakeShelfTest {

    private static final LocalDateTime DAY = LocalDateTime.of(2026, 3, 4, 20, 15, 30);

    private static Take take() {
        double[] x = new double[4800];
        for (int i = 0; i < x.length; i++) {
            x[i] = 0.4 * Math.sin(i / 20.0);
        }
        return new Take(x, 48_000);
    }

    @Test
    void whatIsKeptComesBackNewestFirst(@TempDir Path data) throws IOException {
        TakeShelf shelf = new TakeShelf(data);
        assertThat(shelf.all("riff/../one")).isEmpty();
        shelf.keep("riff/../one", DAY, "bars 1 to 4: as written", take());
        shelf.keep("riff/../one", DAY, "again", take());
        shelf.keep("riff/../one", DAY.plusDays(7), "a week later", take());
        List<TakeShelf.Kept> all = shelf.all("riff/../one");
        assertThat(all)
                .extracting(TakeShelf.Kept::words)
                .containsExactly("a week later", "again", "bars 1 to 4: as written");
        assertThat(all).allMatch(k -> k.file().startsWith(data.resolve("takes")));
        Take back = TakeShelf.read(all.get(0));
        assertThat(back.peak()).isCloseTo(take().peak(), within(1e-4));
        assertThat(back.seconds()).isEqualTo(take().seconds());
        assertThat(shelf.all("another")).isEmpty();
        TakeShelf.delete(all.get(0));
        assertThat(shelf.all("riff/../one")).hasSize(2);
    }

    @Test
    void aDamagedTakeIsNamed(@TempDir Path data) throws IOException {
        TakeShelf shelf = new TakeShelf(data);
        TakeShelf.Kept kept = shelf.keep("one", DAY, "", take());
        Files.writeString(kept.file(), "no sound");
        assertThatThrownBy(() -> TakeShelf.read(kept))
                .isInstanceOf(IOException.class)
                .hasMessageContaining(kept.file().getFileName().toString());
    }
}
