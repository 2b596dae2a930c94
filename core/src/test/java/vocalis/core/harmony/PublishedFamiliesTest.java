package vocalis.core.harmony;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/**
 * Whatever a guitarist holds belongs to a family of its root: held against the published shapes of
 * {@code reference/guitar-shapes.jsonl} (chords-db 0.5.1, MIT licence) and against forms that
 * players hold every day and that no table has (common practice, no source).
 */
class PublishedFamiliesTest {

    private static boolean belongs(Voicing v) {
        return Arrays.stream(Family.values()).anyMatch(f -> f.accepts(v));
    }

    @Test
    void publishedShapesBelongToAFamily() throws IOException {
        List<OpenShapesTest.Row> rows = OpenShapesTest.rows(Set.of("exact", "omission"));
        List<String> none = new ArrayList<>();
        for (OpenShapesTest.Row r : rows) {
            if (!belongs(r.voicing())) {
                none.add(r.toString());
            }
        }
        double share = 100.0 * (rows.size() - none.size()) / rows.size();
        System.out.printf(
                "%d published shapes, %.1f per cent belong to a family%n", rows.size(), share);
        none.forEach(System.out::println);
        assertThat(rows).hasSizeGreaterThan(900);
        assertThat(share).isGreaterThanOrEqualTo(97);
    }

    @Test
    void everydayFormsBelongToTheFamilyOfTheirRoot() {
        Fretboard board = new Fretboard(Instrument.of(Tuning.STANDARD), 0);
        for (String row :
                List.of(
                        "G 3-x-0-0-3-3",
                        "C x-3-x-0-1-x",
                        "E 0-2-0-2-3-0",
                        "F# 2-x-2-2-0-0",
                        "G# 4-x-4-4-0-0",
                        "B 7-x-7-7-0-0",
                        "A x-0-7-6-5-0")) {
            String[] parts = row.split(" ");
            int root = vocalis.core.theory.Spelling.parse(parts[0]).pitchClass();
            assertThat(belongs(new Voicing(Shape.parse(parts[1]), board, root))).as(row).isTrue();
        }
    }
}
