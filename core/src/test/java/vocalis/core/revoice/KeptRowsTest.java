package vocalis.core.revoice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Chords;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.names.HeardRoot;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.riff.Tone;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;

/**
 * What rows by intent have that a player would keep: over six progressions on four grounds in the
 * long run, over three of them in the short one.
 */
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

    private static Ground ground(Tuning tuning, int capo, String key) {
        return new Ground(Instrument.of(tuning), capo, Key.parse(key), Tone.GAIN, 440);
    }

    /** The share of all chords of an intent's rows that are so. */
    private static double share(Intent intent, Predicate<Derived.Chord> so) {
        int all = 0;
        int are = 0;
        int tried = Boolean.getBoolean("vocalis.long") ? PROGRESSIONS.length : 3;
        for (int[] steps : List.of(PROGRESSIONS).subList(0, tried)) {
            for (Ground g : GROUNDS) {
                Riff riff = Chords.familyOfAll(Riffs.repeating(steps).withGround(g), Family.POWER);
                Derived d = DERIVER.derive(riff, Hand.MEDIUM);
                Optional<Riff> row = REVOICER.voiced(d, intent, Set.of(), 1);
                if (row.isEmpty()) {
                    continue;
                }
                Derived r = DERIVER.derive(row.get(), Hand.MEDIUM);
                all += r.chords().size();
                are += (int) r.chords().stream().filter(so).count();
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
}
