package vocalis.workbench.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vocalis.core.edit.FigureBook;
import vocalis.core.pattern.Figure;

/** Figures that a player keeps. */
class OwnFiguresTest {

    @TempDir Path folder;

    @Test
    void keptFiguresComeBack() throws Exception {
        OwnFigures own = new OwnFigures(folder);
        assertThat(own.all()).isEmpty();
        for (Figure f : FigureBook.all()) {
            own.keep(f, "my " + f.name());
        }
        assertThat(own.all()).hasSize(FigureBook.all().size());
        for (int i = 0; i < own.all().size(); i++) {
            assertThat(own.all().get(i).events()).isEqualTo(FigureBook.all().get(i).events());
        }
        own.keep(FigureBook.all().get(0), "my " + FigureBook.all().get(3).name());
        assertThat(own.all()).hasSize(FigureBook.all().size());
    }

    /** A file that cannot be read is told of and left alone. */
    @Test
    void aBrokenFileIsLeftAlone() throws Exception {
        Path file = folder.resolve("own-figures.json");
        for (String broken :
                new String[] {"{", "{\"format\":\"vocalis-figures\",\"version\":99}", "[]"}) {
            Files.writeString(file, broken);
            OwnFigures own = new OwnFigures(folder);
            assertThatThrownBy(() -> own.keep(FigureBook.all().get(0), "one"))
                    .isInstanceOf(PieceFiles.PieceFileException.class)
                    .hasMessageContaining("own-figures.json");
            assertThat(Files.readString(file)).isEqualTo(broken);
        }
    }
}
