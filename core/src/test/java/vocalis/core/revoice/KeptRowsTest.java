package vocalis.core.revoice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Chords;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.names.HeardRoot;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.riff.Tone;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/**
 * What rows by intent have that a player would keep: over six progressions on four grounds in the
 * long run, over three of them in the short one.
 */
@Tag("thorough")
class KeptRowsTest {

    private static final Catalogue CATALOGUE = new Catalogue();
    private static final Deriver DERIVER = new Deriver(CATALOGUE);
    private static final Revoicer REVOICER = new Revoicer(CATALOGUE, Hand.MEDIUM);

    /** Progressions by degree (common practice, no source). */
    private static final int[][] PROGRESSIONS = {
        {1, 6, 4, 5}, {1, 7, 6, 5}, {1, 4, 1, 5}, {1, 3, 7, 4}, {6, 4, 1, 5}, {1, 2, 1, 7}
    };

    private static final List<Ground> GROUNDS =
            List.of(
                    ground(Tuning.STANDARD, 0, "E minor"),
                    ground(Tuning.LOW_D, 0, "D phrygian"),
                    ground(Tuning.STANDARD, 0, "A mixolydian"),
                    ground(Tuning.STANDARD, 3, "F dorian"));

    /** The riffs that are tried, as they stand, and the rows by intent of each. */
    private static final List<Derived> STANDING = new ArrayList<>();

    private static final List<Map<Intent, Derived>> ROWS = rows();

    private static Ground ground(Tuning tuning, int capo, String key) {
        return new Ground(Instrument.of(tuning), capo, Key.parse(key), Tone.GAIN, 440);
    }

    /** The share of all chords of an intent's rows that are so. */
    private static double share(Intent intent, Predicate<Derived.Chord> so) {
        int all = 0;
        int are = 0;
        for (Map<Intent, Derived> rows : ROWS) {
            if (rows.containsKey(intent)) {
                all += rows.get(intent).chords().size();
                are += (int) rows.get(intent).chords().stream().filter(so).count();
            }
        }
        return (double) are / Math.max(1, all);
    }

    private static boolean otherRoot(Derived.Chord c) {
        var v = c.candidate().voicing();
        return HeardRoot.of(v, Optional.empty()).root() != c.root();
    }

    private static boolean high(Derived.Chord c) {
        return c.candidate().voicing().shape().highestFretted() > 12;
    }

    /** The root that was asked for is the one heard; nothing lies where the riff does not. */
    @ParameterizedTest
    @EnumSource(
            value = Intent.class,
            mode = EnumSource.Mode.EXCLUDE,
            names = {"SURPRISE"})
    void rootsAreHeardAndHandsStayLow(Intent intent) {
        assertThat(share(intent, KeptRowsTest::otherRoot)).as("another root").isLessThan(0.05);
        assertThat(share(intent, KeptRowsTest::high)).as("over fret 12").isLessThan(0.05);
    }

    private static List<Map<Intent, Derived>> rows() {
        List<Map<Intent, Derived>> all = new ArrayList<>();
        int tried = Boolean.getBoolean("vocalis.long") ? PROGRESSIONS.length : 3;
        for (int[] steps : List.of(PROGRESSIONS).subList(0, tried)) {
            for (Ground g : GROUNDS) {
                Riff riff = Chords.familyOfAll(Riffs.repeating(steps).withGround(g), Family.POWER);
                Derived d = DERIVER.derive(riff, Hand.MEDIUM);
                STANDING.add(d);
                Map<Intent, Derived> rows = new EnumMap<>(Intent.class);
                for (Intent i : Intent.values()) {
                    REVOICER.voiced(d, i, Set.of(), 1)
                            .ifPresent(r -> rows.put(i, DERIVER.derive(r, Hand.MEDIUM)));
                }
                all.add(rows);
            }
        }
        return all;
    }

    private static List<Shape> shapes(Derived d) {
        return d.chords().stream().map(c -> c.candidate().voicing().shape()).toList();
    }

    /** Any two rows, by intent or of a family, share less than a third of their cells. */
    @Test
    void anyTwoRowsDiffer() {
        Map<String, int[]> shared = new TreeMap<>();
        for (int r = 0; r < ROWS.size(); r++) {
            Map<String, List<Shape>> rows = new TreeMap<>();
            ROWS.get(r).forEach((intent, d) -> rows.put(intent.name(), shapes(d)));
            for (Family f : Family.values()) {
                Riff all = Chords.familyOfAll(STANDING.get(r).riff(), f);
                rows.put("family " + f, shapes(DERIVER.derive(all, Hand.MEDIUM)));
            }
            for (String a : rows.keySet()) {
                for (String b : rows.keySet()) {
                    int[] count = shared.computeIfAbsent(a + " and " + b, k -> new int[2]);
                    for (int i = 0; a.compareTo(b) < 0 && i < rows.get(a).size(); i++) {
                        count[0] += rows.get(a).get(i).equals(rows.get(b).get(i)) ? 1 : 0;
                        count[1]++;
                    }
                }
            }
        }
        Map<String, Double> shares = new TreeMap<>();
        shared.forEach(
                (pair, n) -> {
                    if (n[1] > 0) {
                        shares.put(pair, (double) n[0] / n[1]);
                    }
                });
        var most = shares.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow();
        double mean = shares.values().stream().mapToDouble(d -> d).average().orElseThrow();
        System.out.printf("rows share %.2f of their cells, at most %s%n", mean, most);
        int names = Intent.values().length + Family.values().length;
        assertThat(shares).hasSize(names * (names - 1) / 2);
        assertThat(shares.values()).allSatisfy(share -> assertThat(share).isLessThan(1 / 3.0));
    }

    /**
     * Rows keep to the key where the family has a shape in it: a diminished root as a plain fifth,
     * one note held through, tension and a surprise may leave it.
     */
    @ParameterizedTest
    @EnumSource(
            value = Intent.class,
            mode = EnumSource.Mode.EXCLUDE,
            names = {"SURPRISE", "RISING_TENSION", "HELD_NOTE", "TIGHT"})
    void rowsKeepToTheKey(Intent intent) {
        assertThat(ROWS)
                .allSatisfy(
                        rows -> {
                            Derived row = rows.get(intent);
                            Key key = row.riff().ground().key();
                            assertThat(row.chords())
                                    .allSatisfy(
                                            c ->
                                                    assertThat(
                                                                    c.candidate()
                                                                            .voicing()
                                                                            .pitchClasses())
                                                            .allMatch(key::contains));
                        });
    }

    /** The brightest row has chords of three voices, within an octave of the riff's own. */
    @Test
    void brightIsNotThinNorFarAway() {
        int thin = 0;
        int far = 0;
        int all = 0;
        for (int r = 0; r < ROWS.size(); r++) {
            List<Derived.Chord> bright = ROWS.get(r).get(Intent.BRIGHTEST).chords();
            for (int i = 0; i < bright.size(); i++) {
                Voicing v = bright.get(i).candidate().voicing();
                all++;
                thin += v.voices() < 3 ? 1 : 0;
                far += mean(v) > mean(STANDING.get(r).chord(i).candidate().voicing()) + 12 ? 1 : 0;
            }
        }
        System.out.printf("brightest: %d thin, %d far of %d%n", thin, far, all);
        assertThat((double) thin / all).isLessThan(0.05);
        assertThat((double) far / all).isLessThan(0.05);
    }

    private static double mean(Voicing v) {
        return v.midi().stream().mapToInt(Integer::intValue).average().orElseThrow();
    }

    /** A smooth top moves by steps: it seldom stands and seldom leaps. */
    @Test
    void aSmoothTopIsALine() {
        int stands = 0;
        int steps = 0;
        int all = 0;
        for (Map<Intent, Derived> rows : ROWS) {
            List<Integer> tops =
                    rows.get(Intent.SMOOTH_TOP).chords().stream()
                            .map(c -> Collections.max(c.candidate().voicing().midi()))
                            .toList();
            for (int i = 0; i < tops.size(); i++) {
                int by = Math.abs(tops.get((i + 1) % tops.size()) - tops.get(i));
                all++;
                stands += by == 0 ? 1 : 0;
                steps += by == 1 || by == 2 ? 1 : 0;
            }
        }
        System.out.printf("smooth top: %d stand, %d steps of %d%n", stands, steps, all);
        assertThat((double) stands / all).isLessThan(0.25);
        assertThat((double) steps / all).isGreaterThan(0.6);
    }

    /** A tight row is one shape on one set of strings with the root under it; contrary is that. */
    @Test
    void tightAndContraryRowsDoWhatTheySay() {
        int moves = 0;
        int apart = 0;
        int cells = 0;
        int roots = 0;
        int strings = 0;
        for (Map<Intent, Derived> rows : ROWS) {
            List<Voicing> tight =
                    rows.get(Intent.TIGHT).chords().stream()
                            .map(c -> c.candidate().voicing())
                            .toList();
            for (Voicing v : tight) {
                cells++;
                roots += v.bass() % 12 == v.root() && v.voices() <= 3 ? 1 : 0;
                strings += v.shape().sounded().equals(tight.get(0).shape().sounded()) ? 1 : 0;
            }
            List<Voicing> contrary =
                    rows.get(Intent.CONTRARY_MOTION).chords().stream()
                            .map(c -> c.candidate().voicing())
                            .toList();
            for (int i = 1; i < contrary.size(); i++) {
                int top =
                        Collections.max(contrary.get(i).midi())
                                - Collections.max(contrary.get(i - 1).midi());
                int bass = contrary.get(i).bass() - contrary.get(i - 1).bass();
                moves++;
                apart += top * bass < 0 ? 1 : 0;
            }
        }
        System.out.printf(
                "tight: root under few voices %d, same strings %d of %d; contrary %d of %d%n",
                roots, strings, cells, apart, moves);
        assertThat((double) roots / cells).isGreaterThan(0.95);
        assertThat((double) strings / cells).isGreaterThan(0.9);
        assertThat((double) apart / moves).isGreaterThan(0.9);
    }
}
