package vocalis.core.harmony;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.names.Around;
import vocalis.core.names.ChordName;
import vocalis.core.names.ChordNamer;
import vocalis.core.names.ChordSymbol;
import vocalis.core.names.HeardRoot;
import vocalis.core.names.Reading;
import vocalis.core.theory.Key;
import vocalis.core.theory.Letter;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Voicing;

/** A chord is named from the root that was chosen or the one that is heard, and spelled one way. */
class ChosenAndHeardTest {

    private static final Fretboard BOARD = new Fretboard(Instrument.of(Tuning.STANDARD), 0);

    private static Voicing on(String shape, int root) {
        return new Voicing(Shape.parse(shape), BOARD, root);
    }

    /** Three modifiers or not: the name on the chosen and heard root is there, and leads. */
    @ParameterizedTest
    @CsvSource({"x-5-4-0-3-0, 2", "x-x-9-8-0-0, 11", "x-7-6-0-5-0, 4", "x-3-2-0-3-5, 0"})
    void theChosenRootThatIsHeardLeads(String shape, int root) {
        Voicing v = on(shape, root);
        assertThat(HeardRoot.of(v, Optional.empty()).mayBe(root)).isTrue();
        ChordName lead = ChordNamer.name(v, Optional.empty(), Around.root(root));
        assertThat(lead.root().pitchClass()).isEqualTo(root);
        assertThat(ChordNamer.said(v, Optional.empty(), Around.root(root)).get(0)).isEqualTo(lead);
        assertThat(Reading.all(v, Optional.empty()))
                .anyMatch(r -> r.kind() == Reading.Kind.EXACT && r.root().pitchClass() == root);
    }

    private static Shape random(Random r) {
        int[] frets = new int[6];
        int base = r.nextInt(10);
        int sounding = 0;
        for (int s = 0; s < 6; s++) {
            int kind = r.nextInt(5);
            frets[s] = kind == 0 ? Shape.SILENT : kind == 1 ? 0 : base + r.nextInt(4);
            sounding += frets[s] >= 0 ? 1 : 0;
        }
        return sounding < 3 ? random(r) : Shape.of(frets);
    }

    /**
     * Of any shape: an exact name on the heard root and one on the chosen root, the first on one of
     * the two, each saying just what sounds.
     */
    @Test
    void chosenAndHeardAreAlwaysAmongTheNames() {
        Random r = new Random(31);
        for (int i = 0; i < 3000; i++) {
            Shape shape = random(r);
            Voicing bare = new Voicing(shape, BOARD, 0);
            List<Integer> classes = bare.pitchClasses();
            int chosen = classes.get(r.nextInt(classes.size()));
            if (classes.size() < 3) {
                continue;
            }
            Voicing v = new Voicing(shape, BOARD, chosen);
            int heard = HeardRoot.of(v, Optional.empty()).root();
            List<ChordName> names = ChordNamer.said(v, Optional.empty(), Around.root(chosen));
            Set<Integer> roots =
                    names.stream()
                            .map(n -> n.root().pitchClass())
                            .collect(Collectors.toCollection(TreeSet::new));
            assertThat(roots).as(shape.text()).contains(heard, chosen);
            assertThat(names.get(0).root().pitchClass()).as(shape.text()).isIn(heard, chosen);
            for (ChordName n : names) {
                ChordSymbol s = ChordSymbol.parse(n.symbol());
                Set<Integer> said = new TreeSet<>(s.pitchClasses());
                s.bass().ifPresent(b -> said.add(b.pitchClass()));
                assertThat(said).as(shape.text() + " " + n).containsAll(classes);
            }
        }
    }

    /** A name says root and bass with sharps or with flats, never both, never doubly altered. */
    @Test
    void aNameIsSpelledOneWayInEveryKey() {
        Random r = new Random(5);
        for (Letter letter : Letter.values()) {
            for (int alter = -1; alter <= 1; alter++) {
                for (Mode mode : Mode.builtIn()) {
                    Key key = new Key(new Spelling(letter, alter), mode);
                    for (int i = 0; i < 12; i++) {
                        Voicing v = new Voicing(random(r), BOARD, r.nextInt(12));
                        ChordName n = ChordNamer.name(v, Optional.of(key));
                        String as = key + " " + v.shape() + " " + n;
                        assertThat(Math.abs(n.root().alter())).as(as).isLessThan(2);
                        // An altered note of the chord is spelled as the name says it: B♭(♯9)/C♯.
                        ChordSymbol upper = ChordSymbol.parse(n.root().symbol() + n.suffix());
                        n.bass()
                                .filter(b -> !upper.spelled(b.pitchClass()).equals(Optional.of(b)))
                                .ifPresent(
                                        b ->
                                                assertThat(b.alter() * n.root().alter())
                                                        .as(as)
                                                        .isGreaterThanOrEqualTo(0));
                        assertThat(Math.abs(key.say(v.root()).alter())).as(as).isLessThan(2);
                    }
                }
            }
        }
        assertThat(Key.parse("Gb minor").said()).isEqualTo(Key.parse("F# minor"));
        assertThat(Key.parse("Bb minor").said()).isEqualTo(Key.parse("Bb minor"));
    }

    /** Two notes: a third with its root on top is a sixth (as players say it, common practice). */
    @ParameterizedTest
    @CsvSource({
        "5-7-x-x-x-x, 9, A5",
        "3-2-x-x-x-x, 7, G major third",
        "2-5-x-x-x-x, 2, F♯ minor sixth",
        "x-3-x-2-x-x, 9, C sixth",
        "x-x-x-9-8-x, 4, E minor third"
    })
    void twoNotesAreCalledByTheirInterval(String shape, int root, String name) {
        assertThat(ChordNamer.name(on(shape, root), Optional.empty(), Around.root(root)).symbol())
                .isEqualTo(name);
    }
}
