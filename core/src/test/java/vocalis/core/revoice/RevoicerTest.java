package vocalis.core.revoice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Chords;
import vocalis.core.hands.Hand;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.voicing.Family;

/** Rows by intent against trying everything, and against what they say they do. */
class RevoicerTest {

    private static final Catalogue CATALOGUE = new Catalogue();
    private static final Deriver DERIVER = new Deriver(CATALOGUE);
    private static final Revoicer REVOICER = new Revoicer(CATALOGUE, Hand.MEDIUM);

    private static Derived derived(Riff riff) {
        return DERIVER.derive(riff, Hand.MEDIUM);
    }

    private static Derived row(Riff riff, Intent intent) {
        return derived(REVOICER.voiced(derived(riff), intent, Set.of(), 1).orElseThrow());
    }

    private static List<Integer> tops(Derived d) {
        return d.chords().stream()
                .map(c -> Collections.max(c.candidate().voicing().midi()))
                .toList();
    }

    private static int widestStep(Derived d) {
        List<Integer> tops = tops(d);
        int widest = 0;
        for (int i = 0; i < tops.size(); i++) {
            widest = Math.max(widest, Math.abs(tops.get((i + 1) % tops.size()) - tops.get(i)));
        }
        return widest;
    }

    private static List<List<Cell>> some(Derived d, Random random, int most) {
        List<List<Cell>> all = new ArrayList<>();
        for (int i = 0; i < d.chords().size(); i++) {
            List<Cell> cells = new ArrayList<>(REVOICER.cells(d, i));
            Collections.shuffle(cells, random);
            all.add(cells.subList(0, Math.min(most, cells.size())));
        }
        return all;
    }

    private interface Tried {
        void way(List<Cell> taken);
    }

    private static void everyWay(List<List<Cell>> cells, List<Cell> taken, Tried tried) {
        if (taken.size() == cells.size()) {
            tried.way(List.copyOf(taken));
            return;
        }
        for (Cell c : cells.get(taken.size())) {
            taken.add(c);
            everyWay(cells, taken, tried);
            taken.remove(taken.size() - 1);
        }
    }

    /** For every intent, on small riffs and some cells of each chord, no way costs less. */
    @ParameterizedTest
    @EnumSource(Intent.class)
    void noOtherWayDoesItBetter(Intent intent) {
        Random random = new Random(intent.ordinal());
        for (int[] steps : new int[][] {{1}, {1, 4}, {1, 6, 5}, {2, 5, 1, 7}}) {
            Derived d = derived(Riffs.repeating(steps));
            List<List<Cell>> cells = some(d, random, steps.length == 4 ? 6 : 12);
            IntentCosts costs = new IntentCosts(intent, steps.length, 5);
            double[] least = {Double.POSITIVE_INFINITY};
            everyWay(
                    cells,
                    new ArrayList<>(),
                    taken -> {
                        Set<Integer> shared = new TreeSet<>(taken.get(0).voicing().midi());
                        taken.forEach(c -> shared.retainAll(c.voicing().midi()));
                        if (intent != Intent.HELD_NOTE || !shared.isEmpty()) {
                            least[0] = Math.min(least[0], costs.of(taken));
                        }
                    });
            Optional<List<Cell>> found =
                    intent == Intent.HELD_NOTE
                            ? Revoicer.held(cells, new Moves())
                            : Optional.of(Revoicer.best(cells, costs, new Moves()));
            double cost = found.map(costs::of).orElse(Double.POSITIVE_INFINITY);
            if (Double.isInfinite(least[0])) {
                assertThat(found).isEmpty();
            } else {
                assertThat(cost).isCloseTo(least[0], within(1e-9));
            }
        }
    }

    /** A row is what it says: each cell takes the voicing that was chosen for it. */
    @ParameterizedTest
    @EnumSource(Intent.class)
    void rowsAreVoicedAsTheyWereChosen(Intent intent) {
        Riff riff = Riffs.repeating(1, 6, 3, 7);
        Optional<Riff> voiced = REVOICER.voiced(derived(riff), intent, Set.of(), 1);
        assertThat(voiced).isPresent();
        Derived d = derived(voiced.get());
        assertThat(d.findings()).isEmpty();
        assertThat(voiced.get().pattern()).isEqualTo(riff.pattern());
        assertThat(voiced.get().roots()).isEqualTo(riff.roots());
    }

    @Test
    void topLinesDoWhatTheirRowSays() {
        Riff riff = Riffs.repeating(1, 6, 3, 7);
        List<Integer> rising = tops(row(riff, Intent.RISING_TOP));
        List<Integer> falling = tops(row(riff, Intent.FALLING_TOP));
        for (int i = 1; i < 4; i++) {
            assertThat(rising.get(i)).isGreaterThan(rising.get(i - 1));
            assertThat(falling.get(i)).isLessThan(falling.get(i - 1));
        }
        int smooth = widestStep(row(riff, Intent.SMOOTH_TOP));
        for (Family f : Family.values()) {
            assertThat(smooth)
                    .isLessThanOrEqualTo(widestStep(derived(Chords.familyOfAll(riff, f))));
        }
    }

    @Test
    void aHeldNoteSoundsInEveryChord() {
        Derived d = row(Riffs.repeating(1, 6, 3, 7), Intent.HELD_NOTE);
        Set<Integer> shared = new TreeSet<>(d.chords().get(0).candidate().voicing().midi());
        d.chords().forEach(c -> shared.retainAll(c.candidate().voicing().midi()));
        assertThat(shared).isNotEmpty();
    }

    @Test
    void tensionRisesHandsRestAndColoursDiffer() {
        Riff riff = Riffs.repeating(1, 6, 3, 7);
        List<Integer> tension =
                Row.of(
                                Optional.empty(),
                                Optional.of(Intent.RISING_TENSION),
                                row(riff, Intent.RISING_TENSION))
                        .tension();
        for (int i = 1; i < 4; i++) {
            assertThat(tension.get(i)).isGreaterThanOrEqualTo(tension.get(i - 1));
        }
        double least = work(row(riff, Intent.LEAST_HAND));
        for (Family f : Family.values()) {
            assertThat(least).isLessThanOrEqualTo(work(derived(Chords.familyOfAll(riff, f))));
        }
        assertThat(mean(row(riff, Intent.DARKEST)))
                .isLessThan(mean(row(riff, Intent.BRIGHTEST)) - 6);
    }

    /** What shapes and changes ask of the hand in one round. */
    private static double work(Derived d) {
        int n = d.chords().size();
        double work = 0;
        for (int i = 0; i < n; i++) {
            var a = d.chords().get(i).candidate();
            var b = d.chords().get((i + 1) % n).candidate();
            work += a.fingering().effort();
            work +=
                    2
                            * new vocalis.core.hands.Change(0)
                                    .cost(
                                            a.voicing().board(),
                                            a.voicing().shape(),
                                            b.voicing().shape(),
                                            Family.POWER);
        }
        return work;
    }

    private static double mean(Derived d) {
        return d.chords().stream()
                .flatMap(c -> c.candidate().voicing().midi().stream())
                .mapToInt(Integer::intValue)
                .average()
                .orElseThrow();
    }

    /** A seed gives the same surprise again, another one another. */
    @Test
    void surprisesAreSeeded() {
        Derived d = derived(Riffs.repeating(1, 6, 3, 7));
        Set<Riff> all = new java.util.HashSet<>();
        for (int seed = 0; seed < 8; seed++) {
            Riff once = REVOICER.voiced(d, Intent.SURPRISE, Set.of(), seed).orElseThrow();
            assertThat(REVOICER.voiced(d, Intent.SURPRISE, Set.of(), seed)).contains(once);
            all.add(once);
        }
        assertThat(all.size()).isGreaterThan(5);
    }

    @ParameterizedTest
    @EnumSource(Intent.class)
    void lockedChordsKeepWhatTheyHave(Intent intent) {
        Riff riff = Riffs.repeating(1, 6, 3, 7);
        Derived d = derived(riff);
        Optional<Riff> voiced = REVOICER.voiced(d, intent, Set.of(1), 1);
        voiced.ifPresent(
                r ->
                        assertThat(derived(r).chords().get(1).candidate().voicing())
                                .isEqualTo(d.chords().get(1).candidate().voicing()));
        assertThat(voiced.isPresent() || intent == Intent.HELD_NOTE).isTrue();
    }

    /** A power chord against the triad on its root: the third comes, nothing goes. */
    @Test
    void differencesSayWhatComesAndGoes() {
        Riff riff = Riffs.repeating(1, 4);
        Difference d =
                Difference.at(
                        derived(Chords.familyOfAll(riff, Family.POWER)),
                        derived(Chords.familyOfAll(riff, Family.TRIAD)),
                        0);
        assertThat(d.come()).containsExactly(0);
        assertThat(d.go()).isEmpty();
        assertThat(d.thirdBefore()).isEqualTo(Difference.Third.NONE);
        assertThat(d.third()).isEqualTo(Difference.Third.MINOR);
        assertThat(d.root()).isEqualTo(9);
    }

    /**
     * Common practice: octaves and fifths do not rub, seconds, sevenths, tritones and low thirds
     * do.
     */
    @Test
    void whatRubsBetweenTwoGuitars() {
        Derived d = derived(Riffs.repeating(1));
        vocalis.core.instrument.Fretboard board = d.riff().ground().board();
        assertThat(rubs(board, "5-x-x-x-x-x", "x-x-7-x-x-x")).as("octave").isEmpty();
        assertThat(rubs(board, "5-x-x-x-x-x", "x-7-x-x-x-x")).as("fifth").isEmpty();
        assertThat(rubs(board, "5-x-x-x-x-x", "6-x-x-x-x-x")).containsExactly(Rub.Kind.SECOND);
        assertThat(rubs(board, "5-x-x-x-x-x", "x-x-6-x-x-x")).containsExactly(Rub.Kind.SEVENTH);
        assertThat(rubs(board, "5-x-x-x-x-x", "x-6-x-x-x-x")).containsExactly(Rub.Kind.TRITONE);
        assertThat(rubs(board, "1-x-x-x-x-x", "x-0-x-x-x-x")).containsExactly(Rub.Kind.LOW_THIRD);
        assertThat(rubs(board, "x-x-x-9-x-x", "x-x-x-x-9-x")).as("a third up high").isEmpty();
    }

    private static List<Rub.Kind> rubs(
            vocalis.core.instrument.Fretboard board, String one, String two) {
        vocalis.core.instrument.Shape a = vocalis.core.instrument.Shape.parse(one);
        vocalis.core.instrument.Shape b = vocalis.core.instrument.Shape.parse(two);
        return Rub.between(
                        new vocalis.core.voicing.Voicing(a, board, 9),
                        new vocalis.core.voicing.Voicing(b, board, 9))
                .stream()
                .map(Rub::kind)
                .toList();
    }
}
