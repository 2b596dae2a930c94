package vocalis.core.harmony;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static vocalis.core.Shapes.standard;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.names.Around;
import vocalis.core.names.ChordName;
import vocalis.core.names.ChordNamer;
import vocalis.core.names.ChordSymbol;
import vocalis.core.names.Quality;
import vocalis.core.names.Reading;
import vocalis.core.theory.Key;
import vocalis.core.theory.PitchClassSet;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

class NamesTest {

    private static final Fretboard EIGHT =
            new Fretboard(
                    new Instrument(
                            Tuning.parse("eight", "F#1 B1 E2 A2 D3 G3 B3 E4"), 24, 680, false),
                    0);

    /**
     * {@code parse(name(v))} gives the notes of v, for every voicing of every family in three
     * tunings on three roots; of one tuning on one root in the short run.
     */
    @Test
    void everyNameParsesBackToItsNotes() {
        int names = 0;
        List<Tuning> tunings =
                List.of(Tuning.STANDARD, Tuning.LOW_D, Tuning.parse("open G", "D2 G2 D3 G3 B3 D4"));
        boolean all = Boolean.getBoolean("vocalis.long");
        for (Tuning tuning : all ? tunings : tunings.subList(1, 2)) {
            Fretboard board = new Fretboard(Instrument.of(tuning), 0);
            for (Family family : Family.values()) {
                for (int root : all ? new int[] {1, 6, 10} : new int[] {6}) {
                    for (Candidate c :
                            new Catalogue().candidates(board, Hand.MEDIUM, family, root)) {
                        Voicing v = c.voicing();
                        for (ChordName n : ChordNamer.names(v, Optional.of(Key.parse("E minor")))) {
                            assertThat(ChordSymbol.parse(n.symbol()).pitchClasses())
                                    .as("%s of %s", n, v.shape())
                                    .isEqualTo(new TreeSet<>(v.pitchClasses()));
                            names++;
                        }
                    }
                }
            }
        }
        assertThat(names).isGreaterThan(all ? 100_000 : 10_000);
    }

    /**
     * All 3,796 sets of one to eight pitch classes, which is what eight strings can sound, over
     * each of their notes: every one gets a name that says its notes.
     */
    @Test
    void everySetOfNotesThatEightStringsCanSoundGetsAName() {
        int sets = 0;
        for (int mask = 1; mask < 1 << 12; mask++) {
            if (Integer.bitCount(mask) > 8) {
                continue;
            }
            sets++;
            Set<Integer> set = new TreeSet<>();
            for (int pc = 0; pc < 12; pc++) {
                if ((mask & 1 << pc) != 0) {
                    set.add(pc);
                }
            }
            for (int bass : set) {
                ChordName name = ChordNamer.name(stack(set, 0, bass), Optional.empty());
                assertThat(ChordSymbol.parse(name.symbol()).pitchClasses())
                        .as("%s", name)
                        .isEqualTo(set);
            }
        }
        assertThat(sets).isEqualTo(3796);
    }

    /**
     * The 106 chord types of the music-theory library tonal 6.4.3 (MIT), on all roots and in all
     * inversions: one of our exact names stands on its root and says its notes, unless that takes
     * three modifiers or more and a plainer name says the same.
     */
    @Test
    void everyTypeOfTheTheoryLibraryIsNamedOnItsRoot() throws IOException {
        int compared = 0;
        Set<String> clumsy = new TreeSet<>();
        for (JsonNode row : rows()) {
            Set<Integer> set = semitones(row);
            for (int root = 0; root < 12; root++) {
                for (int bass : set) {
                    Voicing v = stack(set, root, bass);
                    int wanted = root;
                    Optional<ChordName> ours =
                            ChordNamer.names(v, Optional.empty()).stream()
                                    .filter(n -> n.root().pitchClass() == wanted)
                                    .filter(
                                            n ->
                                                    ChordSymbol.parse(n.symbol())
                                                            .pitchClasses()
                                                            .equals(
                                                                    new TreeSet<>(
                                                                            v.pitchClasses())))
                                    .findFirst();
                    if (ours.isEmpty()) {
                        int mods =
                                Quality.all(pitchClasses(set)).stream()
                                        .mapToInt(Quality::modifiers)
                                        .min()
                                        .orElseThrow();
                        assertThat(mods)
                                .as("%s on %d over %d", row.get("aliases"), root, bass)
                                .isGreaterThan(2);
                        clumsy.add(row.get("aliases").get(0).asText());
                    }
                    compared++;
                }
            }
        }
        System.out.println("without a name on their own root in places: " + clumsy);
        assertThat(compared).isGreaterThan(106 * 12 * 3);
        assertThat(clumsy).hasSizeLessThan(12);
    }

    private static PitchClassSet pitchClasses(Set<Integer> set) {
        return PitchClassSet.of(set.stream().mapToInt(i -> i).toArray());
    }

    /**
     * In root position our first name stands on the library's root for most of the 106 types. The
     * others hold two notes a fifth apart that are heard as root and fifth of something simpler
     * (docs/names.md lists them).
     */
    @Test
    void inRootPositionTheFirstNameStandsOnTheRoot() throws IOException {
        Map<String, String> differ = new LinkedHashMap<>();
        int agree = 0;
        for (JsonNode row : rows()) {
            Voicing v = stack(semitones(row), 0, 0);
            ChordName first = ChordNamer.name(v, Optional.empty());
            if (first.root().pitchClass() == 0) {
                agree++;
            } else {
                differ.put(row.get("aliases").get(0).asText(), first.symbol());
            }
        }
        System.out.println("first name on another root: " + differ);
        System.out.println("first name on the root: " + agree);
        assertThat(agree).isGreaterThanOrEqualTo(80);
    }

    /**
     * The symbols of the library that ours reads as the same notes; the rest is listed in
     * docs/names.md.
     */
    @Test
    void symbolsOfTheTheoryLibraryAreReadAlike() throws IOException {
        int same = 0;
        List<String> differ = new ArrayList<>();
        for (JsonNode row : rows()) {
            String alias = row.get("aliases").get(0).asText();
            String symbol = "C" + (alias.equals("M") ? "" : alias);
            try {
                if (ChordSymbol.parse(symbol).intervals().equals(semitones(row))) {
                    same++;
                } else {
                    differ.add(alias);
                }
            } catch (IllegalArgumentException e) {
                differ.add(alias + " (unread)");
            }
        }
        System.out.println("read otherwise: " + differ);
        assertThat(same).isGreaterThanOrEqualTo(80);
    }

    /**
     * Over every reading of 5,000 random shapes in three tunings, with and without a key: the
     * degrees lie where the notes do and are spelled as the name says them, the bass is the lowest
     * note, what is omitted does not sound, and what an exact name says is all that sounds.
     */
    @Test
    void readingsNeverContradictThemselves() {
        Random random = new Random(5);
        List<Fretboard> boards =
                List.of(
                        new Fretboard(Instrument.of(Tuning.STANDARD), 0),
                        new Fretboard(Instrument.of(Tuning.LOW_D), 0),
                        new Fretboard(Instrument.of(Tuning.parse("g", "D2 G2 D3 G3 B3 D4")), 2));
        List<Optional<Key>> keys =
                List.of(
                        Optional.empty(),
                        Optional.of(Key.parse("C minor")),
                        Optional.of(Key.parse("F# dorian")),
                        Optional.of(Key.parse("Ab major")));
        int exact = 0;
        for (int i = 0; i < 5000; i++) {
            Voicing v = randomShape(random, boards.get(random.nextInt(boards.size())));
            for (Reading r : Reading.all(v, keys.get(i % keys.size()))) {
                consistent(r, v);
                exact += r.kind() == Reading.Kind.EXACT ? 1 : 0;
            }
        }
        assertThat(exact).isGreaterThan(5000);
    }

    private static Voicing randomShape(Random random, Fretboard board) {
        List<Integer> frets = new ArrayList<>();
        int low = 1 + random.nextInt(15);
        for (int s = 0; s < board.strings(); s++) {
            int kind = random.nextInt(6);
            frets.add(kind == 0 ? 0 : kind < 3 ? Shape.SILENT : low + random.nextInt(5));
        }
        frets.set(random.nextInt(board.strings()), low);
        return new Voicing(Shape.of(frets), board, 0);
    }

    private static void consistent(Reading r, Voicing v) {
        String what = r + " of " + v.shape();
        String suffix = r.name().substring(r.root().symbol().length());
        ChordSymbol said = ChordSymbol.parse(r.name());
        assertThat(said.root()).as(what).isEqualTo(r.root());
        assertThat(r.bass().pitchClass()).as(what).isEqualTo(Math.floorMod(v.bass(), 12));
        said.bass().ifPresent(b -> assertThat(b).as(what).isEqualTo(r.bass()));
        List<Integer> notes = v.soundings().stream().map(s -> s.pitchClass()).toList();
        assertThat(r.degrees()).as(what).hasSameSizeAs(notes);
        for (int i = 0; i < notes.size(); i++) {
            int above = Math.floorMod(notes.get(i) - r.root().pitchClass(), 12);
            String degree = r.degrees().get(i).symbol();
            assertThat(r.degrees().get(i).semitones()).as(what).isEqualTo(above);
            // As the name says it: ♯11 is a ♯4, ♯9 a ♯2, and only what it does not say is free.
            if (above == 6 && said.intervals().contains(6)) {
                assertThat(degree).as(what).isEqualTo(suffix.contains("♯11") ? "♯4" : "♭5");
            }
            if (above == 3 && said.intervals().contains(4) && said.intervals().contains(3)) {
                assertThat(degree).as(what).isEqualTo("♯2");
            }
            if (above == 8 && suffix.contains("♯5")) {
                assertThat(degree).as(what).isEqualTo("♯5");
            }
            // The letter of the bass is as far above the root's as its degree says.
            if (notes.get(i) == Math.floorMod(v.bass(), 12)
                    && said.intervals().contains(above)
                    && Math.abs(r.root().above(r.degrees().get(i)).alter()) < 2) {
                assertThat(r.bass()).as(what).isEqualTo(r.root().above(r.degrees().get(i)));
            }
        }
        r.omitted()
                .forEach(
                        d ->
                                assertThat(notes)
                                        .as(what)
                                        .doesNotContain(
                                                (r.root().pitchClass() + d.semitones()) % 12));
        if (r.kind() == Reading.Kind.EXACT) {
            assertThat(said.pitchClasses()).as(what).isEqualTo(new TreeSet<>(notes));
            assertThat(r.beyond()).as(what).isEmpty();
            assertThat(r.name()).as(what).doesNotMatch(".*sus.*no3.*");
        }
    }

    /** A plain chord has no other name that anybody says; Am7 is C6 over A. */
    @Test
    void besideAPlainNameOnlyWhatIsSaidIsSaid() {
        assertThat(ChordNamer.said(standard("1-3-3-2-1-1"), Optional.empty(), Around.NOTHING))
                .extracting(ChordName::symbol)
                .containsExactly("F");
        assertThat(ChordNamer.said(standard("x-0-2-0-1-0"), Optional.empty(), Around.NOTHING))
                .extracting(ChordName::symbol)
                .contains("Am7", "C6/A");
    }

    /** Common practice: shapes of A over a capo at the second fret sound in B. */
    @Test
    void underACapoAShapeKeepsItsOwnName() {
        Fretboard two = new Fretboard(Instrument.of(Tuning.STANDARD), 2);
        Voicing v = new Voicing(Shape.parse("x-0-2-2-2-0"), two, 11);
        assertThat(ChordNamer.name(v, Optional.empty()).symbol()).isEqualTo("B");
        assertThat(ChordNamer.ofFingering(v, Around.NOTHING)).map(ChordName::symbol).contains("A");
        assertThat(ChordNamer.ofFingering(standard("x-0-2-2-2-0"), Around.NOTHING)).isEmpty();
    }

    /** Names of one list spell one note one way. */
    @Test
    void aListSpellsARootOneWay() {
        Random random = new Random(6);
        for (int i = 0; i < 2000; i++) {
            Voicing v = randomShape(random, vocalis.core.Shapes.STANDARD);
            Map<Integer, String> roots = new LinkedHashMap<>();
            for (ChordName n : ChordNamer.names(v, Optional.empty())) {
                String before = roots.putIfAbsent(n.root().pitchClass(), n.root().symbol());
                assertThat(before == null || before.equals(n.root().symbol())).as("%s", n).isTrue();
                assertThat(n.symbol()).doesNotContain("♭♭").doesNotContain("♯♯");
            }
        }
    }

    /** Common practice; between chords the roots around and the bass line decide. */
    @Test
    void theRiffAroundDecidesBetweenNames() {
        Voicing overSeven = standard("x-2-2-2-1-0");
        assertThat(ChordNamer.name(overSeven, Optional.empty()).symbol()).isEqualTo("Am/B");
        Voicing c6 = standard("x-3-2-2-1-0");
        assertThat(ChordNamer.name(c6, Optional.empty(), Around.root(9)).symbol())
                .isEqualTo("Am/C");
        assertThat(ChordNamer.name(c6, Optional.empty(), Around.root(0)).symbol()).startsWith("C6");
        // A minor held while the bass walks A, C: still A minor.
        Around walk =
                new Around(
                        java.util.OptionalInt.empty(),
                        java.util.OptionalInt.of(9),
                        java.util.OptionalInt.empty(),
                        java.util.OptionalInt.of(11));
        assertThat(ChordNamer.name(c6, Optional.empty(), walk).symbol()).isEqualTo("Am/C");
    }

    private static JsonNode rows() throws IOException {
        return new ObjectMapper()
                .readTree(NamesTest.class.getResourceAsStream("/reference/chord-types.json"))
                .get("rows");
    }

    private static Set<Integer> semitones(JsonNode row) {
        Set<Integer> set = new TreeSet<>();
        row.get("semitones").forEach(s -> set.add(s.asInt() % 12));
        return set;
    }

    /** One note a string on eight strings, the bass lowest; names need no hand. */
    private static Voicing stack(Set<Integer> set, int root, int bass) {
        List<Integer> order = new ArrayList<>(set);
        order.remove((Integer) bass);
        order.add(0, bass);
        Shape shape = Shape.silent(8);
        int lowest = 0;
        for (int i = 0; i < order.size(); i++) {
            int pc = (root + order.get(i)) % 12;
            int fret = Math.floorMod(pc - EIGHT.midi(i, 0), 12);
            if (i > 0 && EIGHT.midi(i, fret) <= lowest) {
                fret += 12;
            }
            lowest = i == 0 ? EIGHT.midi(0, fret) : lowest;
            shape = shape.with(i, fret);
        }
        return new Voicing(shape, EIGHT, root);
    }

    @ParameterizedTest
    @CsvSource({
        "Cadd9,0 2 4 7",
        "F#m7(add11),6 9 11 1 4",
        "A7sus4/E,9 2 4 7",
        "Bb/D,10 2 5",
        "C5(#11),0 6 7",
        "F(no3),5 0",
        "Ebmaj7,3 7 10 2",
        "G7(b9),7 11 2 5 8",
        "Bm7b5,11 2 5 9",
        "D6/9,2 6 9 11 4",
        "Adim7,9 0 3 6",
        "Caug,0 4 8",
        "F# octave,6",
        "E7#9,4 8 11 2 7",
        "Dm,2 5 9",
        "Gsus2,7 9 2"
    })
    void symbolsAsPlayersWriteThem(String symbol, String pitchClasses) {
        Set<Integer> wanted = new TreeSet<>();
        for (String s : pitchClasses.split(" ")) {
            wanted.add(Integer.parseInt(s));
        }
        assertThat(ChordSymbol.parse(symbol).pitchClasses()).isEqualTo(wanted);
    }

    @Test
    void whatIsNoSymbolIsSaidWithItsPlace() {
        assertThatThrownBy(() -> ChordSymbol.parse("Hm7")).hasMessageContaining("root");
        assertThatThrownBy(() -> ChordSymbol.parse("Cmaj7zz"))
                .hasMessageContaining("\"zz\"")
                .hasMessageContaining("6");
        assertThatThrownBy(() -> ChordSymbol.parse("")).hasMessageContaining("no chord");
        assertThatThrownBy(() -> ChordSymbol.parse("Cadd")).hasMessageContaining("the end");
    }

    /** Common practice: the simpler chord that a shape is used as, with what it leaves out. */
    @Test
    void workingNamesSayWhatTheyLeaveOut() {
        Reading g6 = working("x-10-9-0-8-0", "G6");
        assertThat(g6.omitted()).extracting(d -> d.symbol()).containsExactly("5");
        Reading d69 = working("x-5-7-7-0-0", "D6/9");
        assertThat(d69.omitted()).extracting(d -> d.symbol()).containsExactly("3");
        assertThat(Reading.all(standard("x-3-3-x-x-x"), Optional.empty()))
                .filteredOn(r -> r.kind() == Reading.Kind.LOWEST)
                .extracting(Reading::name)
                .containsExactly("Csus4(no5)");
    }

    private static Reading working(String shape, String name) {
        return Reading.all(standard(shape), Optional.empty()).stream()
                .filter(r -> r.kind() == Reading.Kind.WORKING && r.name().equals(name))
                .findFirst()
                .orElseThrow();
    }
}
