package vocalis.core.harmony;

import static org.assertj.core.api.Assertions.assertThat;
import static vocalis.core.Shapes.STANDARD;
import static vocalis.core.Shapes.standard;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.core.instrument.Shape;
import vocalis.core.names.ChordName;
import vocalis.core.names.ChordNamer;
import vocalis.core.names.HeardRoot;
import vocalis.core.names.Readout;
import vocalis.core.names.RootReason;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;

class HarmonyTest {

    /**
     * Shapes of common practice, without a key. The G6 moved up has no fifth, and the exact name
     * says so.
     */
    @ParameterizedTest
    @CsvSource({
        "5-7-7-x-x-x,A5", "x-5-7-7-x-x,D5", "0-x-x-x-0-0,E5", "x-3-5-5-0-0,Cmaj7",
        "x-5-7-7-0-0,D6/9(no3)", "x-9-11-11-0-0,F♯7sus4", "x-10-12-12-0-0,G6", "x-0-2-0-1-0,Am7",
        "x-x-0-2-1-1,Dm7", "x-10-9-0-8-0,G6(no5)", "x-0-2-0-3-0,A7sus4", "x-x-7-7-6-x,Dm/A",
        "x-x-7-7-7-x,D/A", "x-x-4-4-x-x,B fourth", "x-3-3-x-x-x,F fourth", "x-x-0-0-x-x,G fourth",
        "x-x-0-2-x-x,D5", "x-x-5-5-5-x,C/G", "x-5-x-7-x-x,D octave", "8-x-10-x-x-x,C octave",
        "4-7-7-x-x-x,A5/G♯", "x-5-7-7-x-4,D5(♯11)"
    })
    void shapesHaveTheNamesThatPlayersGiveThem(String shape, String name) {
        List<String> names =
                ChordNamer.names(standard(shape), Optional.empty()).stream()
                        .map(ChordName::symbol)
                        .toList();
        boolean ambiguousC9 = shape.equals("x-x-0-2-1-1");
        if (ambiguousC9) {
            assertThat(names).contains("Dm7", "F6/D");
        } else {
            assertThat(names.get(0)).isEqualTo(name);
        }
    }

    /** Common practice: both exact names are given. */
    @Test
    void aShapeHasSeveralExactNames() {
        assertThat(ChordNamer.names(standard("x-0-2-0-1-0"), Optional.empty()))
                .extracting(ChordName::symbol)
                .contains("Am7", "C6/A");
    }

    /** Heard roots without a key are those of the names; D, A, C, F is ambiguous. */
    @ParameterizedTest
    @CsvSource({
        "5-7-7-x-x-x,9", "x-5-7-7-x-x,2", "0-x-x-x-0-0,4", "x-3-5-5-0-0,0", "x-5-7-7-0-0,2",
        "x-9-11-11-0-0,6", "x-10-12-12-0-0,7", "x-10-9-0-8-0,7", "x-0-2-0-3-0,9", "x-x-7-7-6-x,2",
        "x-x-7-7-7-x,2", "x-x-4-4-x-x,11", "x-3-3-x-x-x,5", "x-x-0-0-x-x,7", "x-x-5-5-5-x,0"
    })
    void theRootThatIsHeard(String shape, int root) {
        assertThat(HeardRoot.of(standard(shape), Optional.empty()).root()).isEqualTo(root);
    }

    /**
     * By hand: F♯ 10 + 2 as the lowest note = 12; B 10 + 5 for its fifth = 15; a lead of a fifth.
     */
    @Test
    void supportIsAsReckonedByHand() {
        HeardRoot fourth = HeardRoot.of(standard("x-x-4-4-x-x"), Optional.empty());
        assertThat(fourth.ranking().get(0)).isEqualTo(new HeardRoot.Supported(11, 15));
        assertThat(fourth.ranking().get(1)).isEqualTo(new HeardRoot.Supported(6, 12));
        assertThat(fourth.ambiguous()).isFalse();
        assertThat(fourth.reasons()).containsExactly(RootReason.Fact.OVER_ITS_FIFTH);
        HeardRoot dm7 = HeardRoot.of(standard("x-x-0-2-1-1"), Optional.empty());
        assertThat(dm7.ambiguous()).isTrue();
        assertThat(List.of(dm7.root(), dm7.next().pitchClass())).containsExactlyInAnyOrder(2, 5);
    }

    /** Common practice: in F minor the root of C-F is F. */
    @Test
    void aKeySpeaksForItsTonic() {
        HeardRoot heard = HeardRoot.of(standard("x-3-3-x-x-x"), Optional.of(Key.parse("F minor")));
        assertThat(heard.root()).isEqualTo(5);
        assertThat(heard.ranking().get(0).weight()).isEqualTo(18);
    }

    /**
     * The root tones and degrees of 106 chord types, tonal 6.4.3 (MIT): every one has a name, and
     * nearly every one on its own root.
     */
    @Test
    void everyChordTypeOfTheTheoryLibraryGetsAName() throws IOException {
        JsonNode rows =
                new ObjectMapper()
                        .readTree(getClass().getResourceAsStream("/reference/chord-types.json"))
                        .get("rows");
        int named = 0;
        for (JsonNode row : rows) {
            Set<Integer> semitones = new TreeSet<>();
            row.get("semitones").forEach(s -> semitones.add(s.asInt()));
            Optional<Shape> shape = stackOnSixStrings(semitones);
            if (shape.isEmpty()) {
                continue;
            }
            Voicing v = new Voicing(shape.get(), STANDARD, 4);
            List<ChordName> names = ChordNamer.names(v, Optional.empty());
            assertThat(names).as("%s", row.get("aliases")).isNotEmpty();
            named += names.stream().anyMatch(n -> n.root().symbol().equals("E")) ? 1 : 0;
        }
        assertThat(named).isGreaterThan(60);
    }

    /** Common types whose symbols are beyond dispute, named on their own root. */
    @ParameterizedTest
    @CsvSource({
        "0 4 7,''",
        "0 3 7,m",
        "0 7,5",
        "0 5 7,sus4",
        "0 2 7,sus2",
        "0 4 7 10,7",
        "0 3 7 10,m7",
        "0 4 7 11,maj7",
        "0 3 7 11,m(maj7)",
        "0 4 7 9,6",
        "0 3 7 9,m6",
        "0 3 6,dim",
        "0 3 6 9,dim7",
        "0 3 6 10,m7♭5",
        "0 4 8,aug",
        "0 2 4 7,add9",
        "0 2 3 7,m(add9)",
        "0 5 7 10,7sus4",
        "0 2 4 7 10,9",
        "0 3 4 7 10,7♯9",
        "0 1 4 7 10,7♭9",
        "0 2 4 7 9,6/9",
        "0 4 7 6 11,maj7♯11"
    })
    void commonTypesHaveTheirSymbols(String semitones, String suffix) {
        Set<Integer> set = new TreeSet<>();
        for (String s : semitones.split(" ")) {
            set.add(Integer.parseInt(s));
        }
        Voicing v = new Voicing(stackOnSixStrings(set).orElseThrow(), STANDARD, 4);
        assertThat(ChordNamer.names(v, Optional.empty()))
                .extracting(ChordName::symbol)
                .contains("E" + suffix);
    }

    /** One note per string over the open low E, wherever it lies: names need no hand. */
    private static Optional<Shape> stackOnSixStrings(Set<Integer> semitones) {
        List<Integer> rest = semitones.stream().map(s -> s % 12).distinct().sorted().toList();
        if (rest.size() > 6) {
            return Optional.empty();
        }
        Shape shape = Shape.silent(6);
        for (int i = 0; i < rest.size(); i++) {
            int fret = Math.floorMod(40 + rest.get(i) - STANDARD.midi(i, 0), 12);
            shape = shape.with(i, i == 0 ? 0 : fret);
        }
        return Optional.of(shape);
    }

    @Test
    void theReadoutSaysWhatAPlayerAsks() {
        Readout r =
                Readout.of(
                        new Voicing(Shape.parse("x-5-7-7-x-4"), STANDARD, 2),
                        Key.parse("D dorian"));
        assertThat(r.voices())
                .extracting(v -> v.note().symbol())
                .containsExactly("D3", "A3", "D4", "G♯4");
        assertThat(r.voices())
                .extracting(v -> v.ofKey().symbol())
                .containsExactly("1", "5", "1", "♭5");
        assertThat(r.voices())
                .extracting(v -> v.ofChord().symbol())
                .containsExactly("1", "5", "1", "♯4");
        assertThat(r.different()).isEqualTo(3);
        assertThat(r.steps()).containsExactly(7, 5, 6);
        assertThat(r.bass().symbol()).isEqualTo("D3");
        assertThat(r.outside()).extracting(n -> n.symbol()).containsExactly("G♯4");
        assertThat(r.stepsInWords()).isEqualTo("fifth, fourth, tritone");
    }

    @Test
    void voicesGoWhereTheyMoveLeast() {
        List<Integer> g5 = List.of(43, 50, 55);
        List<Integer> c5OverG = List.of(43, 48);
        assertThat(VoiceMoves.between(g5, c5OverG))
                .containsExactly(
                        new VoiceMoves.VoiceMove(43, 43), new VoiceMoves.VoiceMove(50, 48));
        assertThat(VoiceMoves.between(c5OverG, c5OverG)).allMatch(m -> m.by() == 0);
        assertThat(VoiceMoves.between(g5, List.of())).isEmpty();
    }
}
