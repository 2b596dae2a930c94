package vocalis.workbench.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vocalis.core.choice.OwnShape;
import vocalis.core.voicing.ShapeClass;

class OwnShapesTest {

    @TempDir Path folder;

    @Test
    void shapesAreKeptAndTheSameClassOnlyOnce() throws Exception {
        OwnShapes own = new OwnShapes(folder.resolve("not there yet"));
        assertThat(own.all()).isEmpty();
        OwnShape stack = new OwnShape("stack \u266d", ShapeClass.parse("0:0+0,1+7,2+12"));
        OwnShape drone = new OwnShape("drone", ShapeClass.parse("7:0+0,1+5,3+9o"));
        own.keep(stack);
        own.keep(drone);
        own.keep(new OwnShape("renamed", stack.shapeClass()));
        assertThat(new OwnShapes(folder.resolve("not there yet")).all())
                .containsExactly(drone, new OwnShape("renamed", stack.shapeClass()));
    }

    @Test
    void aDamagedListIsNamedAndNotOverwritten() throws Exception {
        Path file = folder.resolve("own-shapes.json");
        for (String damaged :
                new String[] {
                    "",
                    "{",
                    "[]",
                    "{\"format\":\"vocalis-shapes\",\"version\":1}",
                    "{\"format\":\"vocalis-shapes\",\"version\":1,\"shapes\":[{\"name\":\"a\",\"shapeClass\":\"?\"}]}"
                }) {
            Files.writeString(file, damaged);
            OwnShapes own = new OwnShapes(folder);
            assertThatThrownBy(own::all)
                    .isInstanceOf(PieceFiles.PieceFileException.class)
                    .hasMessageContaining("own-shapes.json");
            OwnShape any = new OwnShape("any", ShapeClass.parse("0:0+0,1+7"));
            assertThatThrownBy(() -> own.keep(any))
                    .isInstanceOf(PieceFiles.PieceFileException.class);
            assertThat(Files.readString(file)).isEqualTo(damaged);
        }
    }

    /** A list that a newer version wrote is left as it is; fields added to one are kept. */
    @Test
    void aNewerListIsRefusedAndAnExtendedOneKept() throws Exception {
        Path file = folder.resolve("own-shapes.json");
        String newer = "{\"format\":\"vocalis-shapes\",\"version\":2,\"shapes\":[]}";
        Files.writeString(file, newer);
        OwnShape any = new OwnShape("any", ShapeClass.parse("0:0+0,1+7"));
        assertThatThrownBy(() -> new OwnShapes(folder).keep(any)).hasMessageContaining("newer");
        assertThat(Files.readString(file)).isEqualTo(newer);
        Files.writeString(
                file,
                "{\"format\":\"vocalis-shapes\",\"version\":1,\"shapes\":[],\"colour\":\"slate\"}");
        new OwnShapes(folder).keep(any);
        assertThat(Files.readString(file)).contains("slate").contains("any");
    }
}
