package vocalis.core.offer;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import vocalis.core.check.Check;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Strokes;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.riff.Tone;
import vocalis.core.theory.Key;

/** Riffs made by rule. */
@Tag("thorough")
class SparksTest {

    private static final Catalogue CATALOGUE = new Catalogue();
    private static final Deriver DERIVER = new Deriver(CATALOGUE);
    private static final Object[][] GROUNDS = {
        {Tuning.STANDARD, 0, "E minor", new Meter(4, 4), 132},
        {Tuning.LOW_D, 0, "D phrygian", new Meter(7, 8), 150},
        {Tuning.STANDARD, 0, "A mixolydian", new Meter(6, 8), 96},
        {Tuning.STANDARD, 3, "F dorian", new Meter(5, 4), 110}
    };

    private static Sparks sparks(int ground) {
        Object[] g = GROUNDS[ground];
        Ground on =
                new Ground(
                        Instrument.of((Tuning) g[0]),
                        (int) g[1],
                        Key.parse((String) g[2]),
                        Tone.GAIN,
                        440);
        return new Sparks(on, TimeLine.of((Meter) g[3], (int) g[4]), Hand.MEDIUM, CATALOGUE);
    }

    /**
     * Five hundred seeds (eight in the short run) on four grounds: six each, the check finds
     * nothing, roots lie in the key, and no two of ten riffs one after another are alike.
     */
    @Test
    void sparksArePlayableAndDiffer() {
        int seeds = Boolean.getBoolean("vocalis.long") ? 500 : 8;
        int made = 0;
        for (int ground = 0; ground < 4; ground++) {
            Sparks sparks = sparks(ground);
            List<Riff> last = new ArrayList<>();
            for (int seed = 0; seed < seeds / 4; seed++) {
                List<Sparks.Spark> six = sparks.of(seed);
                assertThat(six).as("%d on %d", seed, ground).hasSize(Sparks.SIX);
                for (Sparks.Spark s : six) {
                    made++;
                    Derived d = DERIVER.derive(s.riff(), Hand.MEDIUM);
                    assertThat(Check.of(d)).as("%d on %d", seed, ground).isEmpty();
                    Key key = s.riff().ground().key();
                    d.chords().forEach(c -> assertThat(key.contains(c.root())).isTrue());
                    boolean steps = s.twist().filter(t -> t.idea() == Idea.PEDAL_RIFF).isPresent();
                    if (!steps) {
                        d.chords().forEach(c -> assertThat(hasAFifth(key, c.root())).isTrue());
                    }
                    assertThat(last.contains(s.riff())).as("%d on %d", seed, ground).isFalse();
                    last.add(s.riff());
                    if (last.size() > 9) {
                        last.remove(0);
                    }
                }
            }
        }
        assertThat(made).isEqualTo(6 * seeds);
    }

    /** The tonic may be anything; other roots have a perfect fifth over them in the key. */
    private static boolean hasAFifth(Key key, int root) {
        return root == key.tonic().pitchClass()
                || !key.contains(root + 6)
                || key.contains(root + 7);
    }

    @Test
    void theSameSeedGivesTheSame() {
        assertThat(sparks(0).of(7)).isEqualTo(sparks(0).of(7)).isNotEqualTo(sparks(0).of(8));
    }

    /** An empty bar is filled, and nothing else is touched. */
    @Test
    void anEmptyBarIsFilled() {
        Riff riff = Riffs.fourBars();
        Derived d = DERIVER.derive(riff, Hand.MEDIUM);
        assertThat(Sparks.empty(d, 3)).isTrue();
        assertThat(Sparks.empty(d, 0)).isFalse();
        List<Sparks.Spark> all = sparks(0).bar(d, 3, 1);
        assertThat(all).hasSize(Sparks.SIX);
        Set<Riff> seen = new HashSet<>();
        for (Sparks.Spark s : all) {
            assertThat(seen.add(s.riff())).isTrue();
            assertThat(Sparks.empty(DERIVER.derive(s.riff(), Hand.MEDIUM), 3)).isFalse();
            assertThat(Strokes.emptied(s.riff(), 3 * Riffs.BAR, 4 * Riffs.BAR).roots())
                    .isEqualTo(riff.roots());
            for (long at = 0; at < 3 * Riffs.BAR; at += 2520) {
                assertThat(Strokes.start(s.riff(), at)).isEqualTo(Strokes.start(riff, at));
            }
        }
    }
}
