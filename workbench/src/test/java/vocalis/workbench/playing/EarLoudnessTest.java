package vocalis.workbench.playing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.ear.EarKind;
import vocalis.core.ear.EarQuestion;
import vocalis.core.ear.EarRounds;
import vocalis.core.hands.Hand;
import vocalis.core.mix.Mix;
import vocalis.core.riff.Ground;
import vocalis.core.voicing.Voicing;
import vocalis.sound.engine.Rig;
import vocalis.sound.engine.Sample;
import vocalis.workbench.demo.Demo;

/** What the ear is asked to tell apart is equally loud (ITU-R BS.1770), after the amplifier. */
class EarLoudnessTest {

    /** As the round asks: what is louder by more than that is left out. */
    private static final double MOST_APART_LU = 0.35;

    private static final Levels LEVELS = new Levels();

    private static Sample sample(Voicing v) {
        return Sample.of(v.shape().toArray());
    }

    /** Other strokes than the gains were measured and the pairs chosen with. */
    private static double lkfs(Voicing v, Rig rig) {
        return LEVELS.loudness(rig, sample(v), 21, 22, 23, 24, 25, 26);
    }

    @Test
    void neitherOfTwoIsLouder() {
        Ground ground = Demo.pieces().get(1).riff().ground();
        EarRounds rounds = new EarRounds(new Catalogue(), ground.board(), Hand.MEDIUM);
        List<Double> apart = new ArrayList<>();
        Rig rig = Rigs.of(ground, Mix.ALONE).settings(ground, Mix.ALONE, 120, 1, 1).first();
        int left = 0;
        int pairs = Boolean.getBoolean("vocalis.long") ? 8 : 3;
        for (EarKind kind : List.of(EarKind.FOURTH, EarKind.MOVED, EarKind.OPEN_STRING)) {
            for (int i = 0; i < pairs; i++) {
                Random random = new Random(17L * i + kind.ordinal());
                Optional<EarQuestion> q = rounds.ask(kind, random.nextInt(12), random);
                if (q.isPresent()) {
                    Voicing a = q.get().voicings().get(0);
                    Voicing b = q.get().voicings().get(1);
                    boolean asked = LEVELS.apart(rig, sample(a), sample(b)) <= MOST_APART_LU;
                    left += asked ? 0 : 1;
                    if (asked) {
                        apart.add(Math.abs(lkfs(a, rig) - lkfs(b, rig)));
                    }
                }
            }
        }
        System.out.printf(
                "%d pairs, %d left out, at most %.2f LU apart%n",
                apart.size(), left, apart.stream().mapToDouble(d -> d).max().orElseThrow());
        assertThat(apart).hasSizeGreaterThan(2 * pairs - 2).allMatch(d -> d < 0.5);
    }
}
