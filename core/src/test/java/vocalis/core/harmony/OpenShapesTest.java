package vocalis.core.harmony;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import vocalis.core.Shapes;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.names.ChordSymbol;
import vocalis.core.names.Reading;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/**
 * Names against an open data set: 1,074 guitar shapes of the npm package {@code
 * @tombatossals/chords-db} 0.5.1 (MIT), each with the name that was published for it. It holds
 * mistakes; compared are the shapes whose notes are exactly those of the name, or lack some.
 */
class OpenShapesTest {

    /** What the suffixes of the data set stand for, semitones above the root. */
    private static final Map<String, Set<Integer>> PUBLISHED = new TreeMap<>();

    static {
        String[][] rows = {
            {"major", "0 4 7"},
            {"minor", "0 3 7"},
            {"dim", "0 3 6"},
            {"dim7", "0 3 6 9"},
            {"sus2", "0 2 7"},
            {"sus4", "0 5 7"},
            {"7sus4", "0 5 7 10"},
            {"aug", "0 4 8"},
            {"6", "0 4 7 9"},
            {"69", "0 2 4 7 9"},
            {"7", "0 4 7 10"},
            {"7b5", "0 4 6 10"},
            {"aug7", "0 4 8 10"},
            {"9", "0 2 4 7 10"},
            {"9b5", "0 2 4 6 10"},
            {"aug9", "0 2 4 8 10"},
            {"7b9", "0 1 4 7 10"},
            {"7#9", "0 3 4 7 10"},
            {"11", "0 2 4 5 7 10"},
            {"9#11", "0 2 4 6 7 10"},
            {"13", "0 2 4 7 9 10"},
            {"maj7", "0 4 7 11"},
            {"maj7b5", "0 4 6 11"},
            {"maj7#5", "0 4 8 11"},
            {"maj9", "0 2 4 7 11"},
            {"maj11", "0 2 4 5 7 11"},
            {"maj13", "0 2 4 7 9 11"},
            {"m6", "0 3 7 9"},
            {"m69", "0 2 3 7 9"},
            {"m7", "0 3 7 10"},
            {"m7b5", "0 3 6 10"},
            {"m9", "0 2 3 7 10"},
            {"m11", "0 2 3 5 7 10"},
            {"mmaj7", "0 3 7 11"},
            {"mmaj7b5", "0 3 6 11"},
            {"mmaj9", "0 2 3 7 11"},
            {"mmaj11", "0 2 3 5 7 11"},
            {"add9", "0 2 4 7"},
            {"madd9", "0 2 3 7"}
        };
        for (String[] row : rows) {
            Set<Integer> set = new TreeSet<>();
            for (String s : row[1].split(" ")) {
                set.add(Integer.parseInt(s));
            }
            PUBLISHED.put(row[0], set);
        }
    }

    /** A shape of the data set. */
    record Row(String key, String suffix, Shape shape, int root) {
        Voicing voicing() {
            return new Voicing(shape, Shapes.STANDARD, root);
        }

        /** The chord's notes without what stands after the slash. */
        Set<Integer> chord() {
            int slash = suffix.indexOf('/');
            String stem = slash < 0 ? suffix : suffix.startsWith("m") ? "minor" : "major";
            return PUBLISHED.get(stem);
        }

        Optional<Integer> slash() {
            int at = suffix.indexOf('/');
            return at < 0
                    ? Optional.empty()
                    : Optional.of(Spelling.parse(suffix.substring(at + 1)).pitchClass());
        }
    }

    static List<Row> rows() throws IOException {
        return rows(Set.of("exact", "omission"));
    }

    static List<Row> rows(Set<String> classes) throws IOException {
        List<Row> rows = new ArrayList<>();
        ObjectMapper mapper = new ObjectMapper();
        try (BufferedReader in =
                new BufferedReader(
                        new InputStreamReader(
                                OpenShapesTest.class.getResourceAsStream(
                                        "/reference/guitar-shapes.jsonl"),
                                StandardCharsets.UTF_8))) {
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                JsonNode n = mapper.readTree(line);
                String cls = n.get("cls").asText();
                if (classes.contains(cls)) {
                    List<Integer> frets = new ArrayList<>();
                    n.get("frets").forEach(f -> frets.add(f.asInt()));
                    String key = n.get("key").asText();
                    rows.add(
                            new Row(
                                    key,
                                    n.get("suffix").asText(),
                                    Shape.of(frets),
                                    Spelling.parse(key).pitchClass()));
                }
            }
        }
        return rows;
    }

    /**
     * Whether a name says the published chord: its root, its third, its sixth or seventh and its
     * fifth, a missing fifth counting as a plain one; a slash where one was published.
     */
    private static boolean says(Row row, String name) {
        ChordSymbol s = ChordSymbol.parse(name);
        Set<Integer> ours = new TreeSet<>(s.intervals());
        if (s.root().pitchClass() != row.root) {
            return false;
        }
        if (row.slash().isPresent()) {
            boolean over = s.bass().map(Spelling::pitchClass).equals(row.slash());
            return over && ours.equals(row.chord());
        }
        boolean sharpEleven = s.degree(6).map(d -> d.number() == 4).orElse(false);
        boolean publishedEleven = row.suffix.contains("#11");
        return core(ours, sharpEleven).equals(core(row.chord(), publishedEleven));
    }

    private static Set<Integer> core(Set<Integer> intervals, boolean eleven) {
        Set<Integer> core = new TreeSet<>(intervals);
        boolean third = core.contains(3) || core.contains(4);
        boolean seventh = core.contains(10) || core.contains(11);
        boolean altered = !eleven && core.contains(6) || core.contains(8);
        core.remove(7);
        if (eleven) {
            core.remove(6);
        }
        if (third) {
            // Ninths, elevenths and thirteenths are told apart only where no seventh is below.
            core.remove(5);
        }
        if (seventh) {
            core.remove(2);
            core.remove(9);
        }
        core.add(altered ? 100 : 101);
        return core;
    }

    @Test
    void publishedNamesAreAmongTheReadingsAndMostlyLead() throws IOException {
        int lead = 0;
        int among = 0;
        Map<String, List<String>> otherLead = new TreeMap<>();
        List<String> missing = new ArrayList<>();
        List<Row> rows = rows();
        for (Row row : rows) {
            List<String> names =
                    Reading.all(row.voicing(), Optional.empty()).stream()
                            .map(Reading::name)
                            .toList();
            if (says(row, names.get(0))) {
                lead++;
            } else {
                otherLead
                        .computeIfAbsent(row.suffix, k -> new ArrayList<>())
                        .add(row.key + row.suffix + "=" + names.get(0));
            }
            if (names.stream().anyMatch(n -> says(row, n))) {
                among++;
            } else {
                missing.add(row.key + row.suffix + " " + row.shape + " " + names);
            }
        }
        System.out.println(
                "open shapes: " + rows.size() + ", among " + among + ", leading " + lead);
        otherLead.forEach((k, v) -> System.out.println("  " + k + " " + v.size() + " " + v));
        missing.forEach(m -> System.out.println("  missing: " + m));
        assertThat(among).isGreaterThanOrEqualTo((int) Math.ceil(0.99 * rows.size()));
        assertThat(lead).isGreaterThanOrEqualTo((int) Math.ceil(0.88 * rows.size()));
    }

    /**
     * Every shape that a large hand holds belongs to a family of its root, as it is or as one over
     * another bass, which is a setting of any family. Shapes whose published name is a mistake
     * (they hold notes that it does not, or lack the root) are counted too; what is left out is
     * printed.
     */
    @Test
    void everyPublishedShapeBelongsToAFamilyOfItsRoot() throws IOException {
        int held = 0;
        int exact = 0;
        int exactOutside = 0;
        List<String> outside = new ArrayList<>();
        for (String cls : List.of("exact", "omission", "both", "extra", "unparsed")) {
            for (Row row : rows(Set.of(cls))) {
                if (!Fingering.of(Shapes.STANDARD, row.shape, Hand.LARGE)
                        .filter(Fingering::quick)
                        .isPresent()) {
                    System.out.println("  no hand: " + row.key + row.suffix + " " + row.shape);
                    continue;
                }
                boolean named = cls.equals("exact") || cls.equals("omission");
                held++;
                exact += named ? 1 : 0;
                int lowest = row.shape.lowestSounded();
                Voicing upper =
                        new Voicing(
                                row.shape.with(lowest, Shape.SILENT), Shapes.STANDARD, row.root);
                if (!belongs(row.voicing()) && !belongs(upper)) {
                    outside.add(row.key + row.suffix + " " + row.shape + " " + cls);
                    exactOutside += named ? 1 : 0;
                }
            }
        }
        System.out.println("shapes outside every family: " + outside.size() + " of " + held);
        outside.forEach(o -> System.out.println("  " + o));
        assertThat(held).isGreaterThan(1030);
        assertThat(exactOutside).isLessThanOrEqualTo(exact / 100);
        assertThat(outside.size()).isLessThanOrEqualTo(held * 2 / 100);
    }

    private static boolean belongs(Voicing v) {
        for (Family f : Family.values()) {
            if (f.accepts(v)) {
                return true;
            }
        }
        return false;
    }
}
