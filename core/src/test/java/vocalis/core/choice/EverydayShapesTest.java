package vocalis.core.choice;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import vocalis.core.Shapes;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Family;

/** Shapes that guitarists hold every day are offered where they look for them, and first. */
class EverydayShapesTest {

    /** How many cards a player looks at before looking elsewhere. */
    private static final int FIRST = 8;

    private record Row(Spelling root, Family family, Key key, Shape shape) {
        static Row of(String line) {
            String[] f = line.split(",");
            return new Row(
                    Spelling.parse(f[0]),
                    Family.ofDigit(Integer.parseInt(f[1])).orElseThrow(),
                    Key.parse(f[2]),
                    Shape.parse(f[3]));
        }
    }

    private static List<Row> rows() throws IOException {
        try (InputStream in =
                EverydayShapesTest.class.getResourceAsStream("/everyday-shapes.csv")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(l -> !l.startsWith("#") && !l.isBlank())
                    .map(Row::of)
                    .toList();
        }
    }

    @Test
    void everydayShapesAreAmongTheFirstOfTheirFamily() throws IOException {
        Catalogue catalogue = new Catalogue();
        List<Row> rows = rows();
        assertThat(rows).hasSizeGreaterThanOrEqualTo(120);
        List<String> late = new ArrayList<>();
        Map<Row, List<Card>> offered = new HashMap<>();
        for (Row r : rows) {
            Row ask = new Row(r.root, r.family, r.key, null);
            List<Card> cards =
                    offered.computeIfAbsent(
                            ask,
                            k ->
                                    new Ranking(r.family, List.of(), r.key)
                                            .cards(
                                                    catalogue.leading(
                                                            Shapes.STANDARD,
                                                            Hand.MEDIUM,
                                                            r.family,
                                                            r.root.pitchClass())));
            int rank = rank(cards, r.shape);
            if (rank >= FIRST) {
                late.add(r + " at " + (rank + 1) + " after " + first(cards));
            }
        }
        late.forEach(System.out::println);
        assertThat(late).isEmpty();
    }

    private static int rank(List<Card> cards, Shape shape) {
        for (int i = 0; i < cards.size(); i++) {
            if (cards.get(i).places().stream().anyMatch(c -> c.voicing().shape().equals(shape))) {
                return i;
            }
        }
        return 9999;
    }

    private static String first(List<Card> cards) {
        StringBuilder all = new StringBuilder();
        for (Card c : cards.subList(0, Math.min(FIRST, cards.size()))) {
            all.append(' ').append(c.first().voicing().shape());
        }
        return all.toString();
    }
}
