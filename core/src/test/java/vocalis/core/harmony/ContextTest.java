package vocalis.core.harmony;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static vocalis.core.Shapes.STANDARD;
import static vocalis.core.Shapes.standard;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.names.ChordNamer;
import vocalis.core.names.HeardRoot;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

class ContextTest {

    /**
     * Every interval from a low note, reckoned by hand from the definition: the low note has 12 and
     * the weight of the interval, the high note 10 and the weight of its inversion.
     */
    @ParameterizedTest
    @CsvSource({
        "1,low,false", "2,low,true", "3,low,false", "4,low,false", "5,high,false", "6,low,false",
        "7,low,false", "8,high,true", "9,low,false", "10,low,false", "11,low,false", "12,low,false"
    })
    void theHeardRootOfEveryInterval(int semitones, String which, boolean ambiguous) {
        int low = 45;
        int high = low + semitones;
        Shape shape = Shape.silent(6).with(1, 0);
        shape =
                semitones <= 24 - 5 && high >= 50
                        ? shape.with(2, high - 50)
                        : shape.with(0, high - 40);
        HeardRoot heard = HeardRoot.of(new Voicing(shape, STANDARD, 9), Optional.empty());
        int expected = which.equals("low") ? low % 12 : high % 12;
        assertThat(heard.root()).isEqualTo(expected);
        assertThat(heard.ambiguous()).isEqualTo(ambiguous);
    }

    /** W. Sethares, JASA 94 (1993): six harmonics give minima at the just intervals. */
    @Test
    void roughnessHasItsMinimaAtTheJustIntervals() {
        List<Double> minima = new ArrayList<>();
        double step = 0.0005;
        for (double r = 1.1; r < 2.05; r += step) {
            double here = Roughness.ofHz(List.of(261.63, 261.63 * r));
            if (here < Roughness.ofHz(List.of(261.63, 261.63 * (r - step)))
                    && here < Roughness.ofHz(List.of(261.63, 261.63 * (r + step)))) {
                minima.add(r);
            }
        }
        for (double just : new double[] {6 / 5.0, 5 / 4.0, 4 / 3.0, 3 / 2.0, 5 / 3.0, 2}) {
            assertThat(minima).as("near %.3f", just).anyMatch(m -> Math.abs(m - just) < 0.004);
        }
    }

    /**
     * Order of a published implementation at E3: fifth, then major and minor triad alike, then
     * seventh.
     */
    @Test
    void chordsAreAsRoughAsTheirOrderSays() {
        double fifth = Roughness.of(List.of(52, 59));
        double major = Roughness.of(List.of(52, 56, 59));
        double minor = Roughness.of(List.of(52, 55, 59));
        double diminished = Roughness.of(List.of(52, 55, 58));
        double seventh = Roughness.of(List.of(52, 56, 59, 62));
        assertThat(fifth).isLessThan(major);
        assertThat(major).isCloseTo(minor, within(0.1 * minor));
        assertThat(minor).isLessThan(diminished);
        assertThat(diminished).isLessThan(seventh);
    }

    /** Common practice: open B and E are in the major keys of C, G, D, A, E, B and no others. */
    @Test
    void theDroneMapKnowsWhichKeysAPairSuits() {
        DroneMap map = DroneMap.of(Tuning.STANDARD, Mode.named("major").orElseThrow());
        List<String> keys =
                map.rows().get(0).cells().stream()
                        .filter(c -> c.roles().get(4) != DroneMap.Role.RUB)
                        .filter(c -> c.roles().get(5) != DroneMap.Role.RUB)
                        .map(c -> c.key().tonic().ascii())
                        .toList();
        assertThat(keys).containsExactlyInAnyOrder("C", "G", "D", "A", "E", "B");
        DroneMap.Cell fMinor = DroneMap.cell(Tuning.STANDARD, 0, Key.parse("F minor"));
        assertThat(fMinor.roles().get(4)).isEqualTo(DroneMap.Role.RUB);
        assertThat(fMinor.roles().get(5)).isEqualTo(DroneMap.Role.RUB);
        assertThat(DroneMap.cell(Tuning.STANDARD, 1, Key.parse("F minor")).fits()).isEqualTo(6);
        assertThat(DroneMap.of(Tuning.STANDARD, Mode.named("minor").orElseThrow()).rescue(5))
                .isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource({
        "x-0-2-2-1-0,A minor,i", "x-3-2-0-1-0,A minor,♭III", "x-3-2-0-1-0,C major,I",
        "0-2-2-1-0-0,A minor,V", "x-5-7-7-x-x,D dorian,i", "x-1-3-3-3-x,D dorian,♭VI",
        "x-2-3-4-3-x,C major,vii°"
    })
    void romanNumerals(String shape, String key, String numeral) {
        Voicing v = standard(shape);
        Key k = Key.parse(key);
        assertThat(Context.numeral(v, HeardRoot.of(v, Optional.of(k)).root(), k))
                .isEqualTo(numeral);
    }

    /**
     * Common practice: a dominant seventh pulls to its tonic by its leading note and its tritone.
     */
    @Test
    void aDominantSeventhPullsHome() {
        Voicing g7 = standard("3-2-0-0-0-1");
        Voicing c = standard("x-3-2-0-1-0");
        assertThat(Context.pull(g7, c)).isEqualTo(4);
        assertThat(Context.pull(c, c)).isZero();
        // With its roots said, G falls a fifth into C; D flat steps by a semitone.
        Voicing onG = new Voicing(g7.shape(), g7.board(), 7);
        assertThat(Context.pull(onG, c)).isEqualTo(6);
        Voicing five = new Voicing(Shape.parse("x-4-6-6-x-x"), g7.board(), 1);
        Voicing home = new Voicing(Shape.parse("x-3-5-5-x-x"), g7.board(), 0);
        assertThat(Context.pull(five, home)).isEqualTo(3);
        assertThat(Context.pull(standard("x-3-5-5-x-x"), standard("x-3-5-5-x-x"))).isZero();
    }

    @Test
    void tensionGrowsWithWhatMakesIt() {
        Key key = Key.parse("A minor");
        int plain = Context.tension(standard("5-7-7-x-x-x"), key);
        int overItsFifth = Context.tension(standard("x-7-7-x-x-x"), key);
        int outside = Context.tension(standard("6-8-8-x-x-x"), key);
        int diminished = Context.tension(standard("x-5-6-7-6-x"), key);
        assertThat(plain).isZero();
        assertThat(overItsFifth).isGreaterThan(plain);
        assertThat(outside).isGreaterThan(overItsFifth);
        assertThat(diminished).isGreaterThan(overItsFifth).isLessThanOrEqualTo(100);
    }

    @Test
    void theModeFinderNamesTheKeysThatHoldTheNotes() {
        List<Context.Fit> fits = Context.modes(time("D E F G A B C"), 2, 7, Mode.builtIn());
        assertThat(fits.stream().filter(f -> f.outside().isEmpty()).map(f -> f.key().symbol()))
                .contains("D dorian", "C major", "A minor", "E phrygian")
                .doesNotContain("D minor");
        // Of the keys that hold them all the one that the riff begins on leads.
        assertThat(fits.get(0).key().symbol()).isEqualTo("D dorian");
        assertThat(Context.modes(time("D E F G A B C"), 9, 9, Mode.builtIn()).get(0).key().symbol())
                .isEqualTo("A minor");
    }

    /** A passing note does not move the key; one that sounds as long as the rest does. */
    @Test
    void theModeFinderWeighsHowLongANoteSounds() {
        double[] time = time("E G A B D");
        time[8] = 0.05;
        Context.Fit best = Context.modes(time, 4, 4, Mode.builtIn()).get(0);
        assertThat(best.key().tonic().symbol()).isEqualTo("E");
        assertThat(best.outside()).containsExactly(8);
        assertThat(best.inside()).isBetween(0.98, 1.0);
        time[8] = 3;
        assertThat(Context.modes(time, 4, 4, Mode.builtIn()).get(0).outside()).doesNotContain(8);
    }

    private static double[] time(String text) {
        double[] time = new double[12];
        notes(text).forEach(pc -> time[pc] = 1);
        return time;
    }

    private static TreeSet<Integer> notes(String text) {
        TreeSet<Integer> set = new TreeSet<>();
        for (String n : text.split(" ")) {
            set.add(Spelling.parse(n).pitchClass());
        }
        return set;
    }

    /** Common practice: over D, A-C is fifth and flat seventh, C sharp-E seventh and ninth. */
    @Test
    void oneShapeMeansTwoThingsOverABass() {
        Key key = Key.parse("D minor");
        assertThat(over(standard("x-12-10-x-x-x"), key)).containsExactly("5", "♭7");
        assertThat(over(standard("x-4-2-x-x-x"), key)).containsExactly("7", "2");
        assertThat(Context.bassSweep(standard("x-4-2-x-x-x"), key)).hasSize(12);
    }

    private static List<String> over(Voicing v, Key key) {
        return Context.bassSweep(v, key).stream()
                .filter(o -> o.bass().symbol().equals("D"))
                .flatMap(o -> o.degrees().stream())
                .map(Degree::symbol)
                .toList();
    }

    /** Common practice: E flat 7 stands in for A7; they share C sharp (D flat) and G. */
    @Test
    void theTritoneSubstituteSharesThirdAndSeventh() {
        List<Voicing> all =
                new Catalogue()
                        .candidates(STANDARD, Hand.MEDIUM, Family.SUBSTITUTE, 9).stream()
                                .map(Candidate::voicing)
                                .toList();
        assertThat(all)
                .filteredOn(v -> v.pitchClasses().equals(List.of(1, 3, 7, 10)))
                .isNotEmpty()
                .allMatch(
                        v ->
                                ChordNamer.name(v, Optional.empty()).symbol().equals("E♭7")
                                        && v.pitchClasses().containsAll(List.of(1, 7)));
    }
}
