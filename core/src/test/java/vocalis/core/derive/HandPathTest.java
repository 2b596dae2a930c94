package vocalis.core.derive;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Filter;
import vocalis.core.hands.Hand;
import vocalis.core.hands.Move;
import vocalis.core.hands.Muting;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/** What a whole riff is played with when nobody chooses: what a player would hold. */
class HandPathTest {

    private static final Catalogue CATALOGUE = new Catalogue();

    private static Riff riff(String tuning, String key, Family family, String roots) {
        Key k = Key.parse(key);
        Riff base = Riffs.fourBars();
        Ground ground =
                new Ground(Instrument.of(Tuning.named(tuning)), 0, k, base.ground().tone(), 440);
        List<RootSpan> spans = new ArrayList<>();
        List<Treatment> treatments = new ArrayList<>();
        for (String r : roots.split(" ")) {
            spans.add(new RootSpan(Root.of(k, Spelling.parse(r).pitchClass()), Ticks.WHOLE));
            treatments.add(Treatment.best(family));
        }
        return new Riff(ground, base.time(), spans, treatments, base.pattern(), List.of());
    }

    private static List<Candidate> way(Riff riff) {
        return new Deriver(CATALOGUE)
                .derive(riff, Hand.MEDIUM).chords().stream().map(Derived.Chord::candidate).toList();
    }

    private static List<String> shapes(List<Candidate> way) {
        return way.stream().map(c -> c.voicing().shape().text()).toList();
    }

    /** Close thirds are thirds: one grip that moves on its two strings (common practice). */
    @ParameterizedTest
    @CsvSource({
        "standard, A phrygian, A Bb C D Bb, 5-3-x 6-5-x 8-7-x 10-8-x 6-5-x",
        "drop D, D phrygian, D Eb F G Eb, x-5-3 x-6-5 x-8-7 x-10-8 x-6-5"
    })
    void thirdsAreCloseThirds(String tuning, String key, String roots, String expected) {
        List<String> want = new ArrayList<>();
        for (String s : expected.split(" ")) {
            want.add(s + "-x-x-x");
        }
        assertThat(shapes(way(riff(tuning, key, Family.THIRD, roots)))).isEqualTo(want);
    }

    private static int root(Voicing v) {
        return v.soundings().stream()
                .filter(s -> s.pitchClass() == v.root())
                .mapToInt(s -> s.midi())
                .min()
                .orElseThrow();
    }

    /** Roots that go by steps and thirds keep their tune: up is up, by as much. */
    @ParameterizedTest
    @CsvSource({
        "standard, C minor, G Bb C",
        "standard, B minor, D F# G",
        "standard, E minor, G A B G",
        "low C, C minor, C Eb F Eb",
        "standard, F# minor, A B C# B"
    })
    void theTuneOfTheRootsIsKept(String tuning, String key, String roots) {
        for (Family f : List.of(Family.FOURTH, Family.THIRD, Family.POWER, Family.OCTAVE)) {
            List<Candidate> way = way(riff(tuning, key, f, roots));
            for (int i = 0; i + 1 < way.size(); i++) {
                int from = root(way.get(i).voicing());
                int to = root(way.get(i + 1).voicing());
                int up = Math.floorMod(to - from, 12);
                int nearest = up > 6 ? up - 12 : up;
                assertThat(to - from)
                        .as(f + " " + shapes(way) + " chord " + (i + 1))
                        .isEqualTo(Math.abs(nearest) > 4 ? to - from : nearest);
            }
        }
    }

    /**
     * A drone riff: one or two open strings that ring in every chord, over shapes with the chosen
     * root lowest.
     */
    @ParameterizedTest
    @CsvSource({
        "standard, E major, E G# D A",
        "standard, A minor, A F G E",
        "standard, E minor, E C G D",
        "standard, B minor, B G D A",
        "drop D, D minor, D F C Bb"
    })
    void theSameStringsRingThroughADroneRiff(String tuning, String key, String roots) {
        List<Candidate> way = way(riff(tuning, key, Family.DRONE, roots));
        Set<List<Integer>> opens = new TreeSet<>((a, b) -> a.toString().compareTo(b.toString()));
        for (Candidate c : way) {
            Shape s = c.voicing().shape();
            List<Integer> open = new ArrayList<>();
            for (int i = 0; i < s.strings(); i++) {
                if (s.fret(i) == 0) {
                    open.add(i);
                }
            }
            opens.add(open);
            assertThat(open).as(shapes(way).toString()).hasSizeBetween(1, 2);
            assertThat(Math.floorMod(c.voicing().bass(), 12)).isEqualTo(c.voicing().root());
            assertThat(Muting.of(s, c.fingering()).silences())
                    .as("what does not ring is silenced: " + s)
                    .noneMatch(x -> x.by() == Muting.By.NOTHING);
        }
        assertThat(opens).as(shapes(way).toString()).hasSize(1);
    }

    /** From a power chord to the one on the next string: the octave's finger stays (taught so). */
    @Test
    void fingersAreChosenAlongTheWay() {
        List<Candidate> way = way(riff("standard", "G minor", Family.POWER, "G C G C"));
        assertThat(shapes(way)).startsWith("3-5-5-x-x-x", "x-3-5-x-x-x");
        Move move =
                Move.between(
                        way.get(0).voicing().board(),
                        way.get(0).voicing().shape(),
                        way.get(0).fingering(),
                        way.get(1).voicing().shape(),
                        way.get(1).fingering());
        assertThat(move.anchors()).hasSize(1);
        assertThat(move.anchors().get(0).string()).isEqualTo(2);
        assertThat(move.swaps()).isEmpty();
    }

    /** One grip for all roots is one; in one position the hand goes less than by any other wish. */
    @Test
    void wishesOfTheWayAreKept() {
        for (Family f : List.of(Family.POWER, Family.FOURTH, Family.THIRD, Family.TRIAD)) {
            Riff riff = riff("standard", "A minor", f, "A C G F");
            List<HandPath> ways = HandPath.offered(riff, Hand.MEDIUM, CATALOGUE, Filter.NONE);
            assertThat(ways).hasSize(HandPath.Kind.values().length);
            HandPath one = ways.get(HandPath.Kind.ONE_POSITION.ordinal());
            List<Candidate> still = way(one.riff());
            int low = still.stream().mapToInt(Candidate::position).min().orElseThrow();
            int high = still.stream().mapToInt(Candidate::position).max().orElseThrow();
            assertThat(high - low).as(f + " " + shapes(still)).isLessThanOrEqualTo(4);
            if (f != Family.TRIAD) {
                List<Candidate> grip = way(ways.get(HandPath.Kind.ONE_GRIP.ordinal()).riff());
                Set<String> forms = new TreeSet<>();
                grip.forEach(c -> forms.add(form(c.voicing().shape())));
                assertThat(forms).as(f + " " + shapes(grip)).hasSize(1);
            }
        }
    }

    /** Frets above the lowest one, wherever on the strings. */
    private static String form(Shape s) {
        StringBuilder text = new StringBuilder();
        for (int i = s.lowestSounded(); i <= highest(s); i++) {
            text.append(s.sounds(i) ? String.valueOf(s.fret(i) - s.lowestFretted()) : "x");
        }
        return text.toString();
    }

    private static int highest(Shape s) {
        int highest = 0;
        for (int i = 0; i < s.strings(); i++) {
            highest = s.sounds(i) ? i : highest;
        }
        return highest;
    }

    /** A filter of frets holds for the whole riff. */
    @Test
    void aFilterHoldsForTheWholeRiff() {
        Riff riff = riff("standard", "A minor", Family.POWER, "A C G F");
        Filter middle = Filter.NONE.with(Filter.Position.MIDDLE);
        for (HandPath w : HandPath.offered(riff, Hand.MEDIUM, CATALOGUE, middle)) {
            for (Candidate c : way(w.riff())) {
                assertThat(middle.accepts(c, Hand.MEDIUM)).as(c.toString()).isTrue();
            }
        }
    }

    /**
     * Frets 5 to 9 are those that a hand there reaches: no shape of which a note lies past the
     * ninth fret and five frets from the lowest, though a barre on the ninth goes on to the
     * eleventh.
     */
    @Test
    void aFilterOfFretsKeepsTheHandThere() {
        Filter middle = Filter.NONE.with(Filter.Position.MIDDLE);
        Fretboard low = new Fretboard(Instrument.of(Tuning.LOW_D), 0);
        List<Shape> kept =
                CATALOGUE.candidates(low, Hand.LARGE, Family.POWER, 2).stream()
                        .filter(c -> middle.accepts(c, Hand.LARGE))
                        .map(c -> c.voicing().shape())
                        .toList();
        assertThat(kept).isNotEmpty();
        assertThat(kept)
                .allMatch(
                        s ->
                                s.highestFretted() <= 9
                                        || s.highestFretted() - s.lowestFretted() <= 3);
        Riff riff = riff("drop D", "D phrygian", Family.POWER, "D F Eb A Bb C");
        for (HandPath w : HandPath.offered(riff, Hand.MEDIUM, CATALOGUE, middle)) {
            for (Candidate c : way(w.riff())) {
                assertThat(c.voicing().shape().highestFretted()).as(c.toString()).isLessThan(13);
            }
        }
    }
}
