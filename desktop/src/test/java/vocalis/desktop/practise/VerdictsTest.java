package vocalis.desktop.practise;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import vocalis.core.arrange.Song;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.practice.Rounds;
import vocalis.desktop.heard.Ears;
import vocalis.desktop.session.Teller;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.listening.FollowWords;
import vocalis.workbench.listening.FollowedPass;
import vocalis.workbench.playing.Songs;

/** Which passes count, where ears answer later than the pass ends. */
class VerdictsTest {

    private final Song song = new Songs(new Catalogue()).of(Demo.pieces().get(1), Hand.MEDIUM);
    private final List<String> said = new ArrayList<>();
    private final Teller teller =
            new Teller() {
                @Override
                public void say(String text) {
                    said.add(text);
                }

                @Override
                public boolean quiet() {
                    return said.isEmpty();
                }
            };
    private final Pace pace =
            new Pace(
                    teller,
                    () -> Optional.of(song),
                    () -> Aim.section(song, 0),
                    () -> {},
                    () -> {});
    private final Verdicts verdicts = new Verdicts(teller, pace, () -> {});
    private final Sitting sitting = new Sitting(Demo.pieces().get(1), 1);
    private final List<Consumer<Optional<Boolean>>> asked = new ArrayList<>();
    private final List<Integer> tempos = new ArrayList<>();

    /** Keeps what it is asked, and the tempo at that time. */
    private final class Slow implements Ears {
        @Override
        public boolean on() {
            return true;
        }

        @Override
        public void pulse(Rounds rounds, double ofPlayer) {
            // Nothing is heard.
        }

        @Override
        public void begin() {
            // Nothing to begin.
        }

        @Override
        public void left() {
            // Nothing is open.
        }

        @Override
        public void passDone(Consumer<Optional<Boolean>> clean) {
            asked.add(clean);
            tempos.add(pace.tempo());
        }

        @Override
        public String remark() {
            return "";
        }

        @Override
        public List<FollowedPass> passes() {
            return List.of();
        }

        @Override
        public Optional<FollowWords> words() {
            return Optional.empty();
        }
    }

    private void pass() {
        verdicts.passDone(sitting, sitting.passDone(4));
    }

    /** The ladder moves where a pass begins, never within one, by what was heard of the last. */
    @Test
    void theTempoChangesBetweenPasses() {
        verdicts.listenWith(new Slow());
        pace.toggleLadder();
        int foot = pace.tempo();
        int passes = pace.climb().orElseThrow().ladder().passes();
        for (int i = 0; i < passes; i++) {
            pass();
            int before = pace.tempo();
            asked.get(i).accept(Optional.of(true));
            assertThat(pace.tempo()).as("within a pass").isEqualTo(before);
        }
        assertThat(pace.tempo()).isEqualTo(foot);
        pass();
        assertThat(pace.tempo()).as("where the next begins").isGreaterThan(foot);
        assertThat(tempos).as("judged at the tempo that was played").containsOnly(foot);
    }

    /** What was heard to fail counts as failed, until the player says otherwise. */
    @Test
    void thePlayerHasTheLastWord() {
        verdicts.listenWith(new Slow());
        pass();
        asked.get(0).accept(Optional.of(false));
        assertThat(sitting.failed()).isEqualTo(1);
        verdicts.overrule();
        assertThat(sitting.failed()).isZero();
        verdicts.overrule();
        assertThat(said).last().isEqualTo("No pass was heard to fail.");
    }

    /** A pass in which nobody played is none: it neither fails nor steps the ladder. */
    @Test
    void aPassThatNobodyPlayedDoesNotCount() {
        verdicts.listenWith(new Slow());
        pace.toggleLadder();
        int foot = pace.tempo();
        for (int i = 0; i < 2 * pace.climb().orElseThrow().ladder().passes(); i++) {
            pass();
            asked.get(i).accept(Optional.empty());
        }
        pass();
        assertThat(pace.tempo()).isEqualTo(foot);
        assertThat(sitting.passes()).as("the one that is not heard yet").isEqualTo(1);
        assertThat(sitting.failed()).isZero();
    }

    /** Without ears a pass counts at once; one that the player failed is not asked about. */
    @Test
    void withoutEarsItCountsAtOnce() {
        pass();
        sitting.toggleFailing();
        pass();
        assertThat(sitting.entry("intro", 0, 100).best()).isEqualTo(pace.tempo());
        assertThat(sitting.failed()).isEqualTo(1);
        verdicts.listenWith(new Slow());
        sitting.toggleFailing();
        pass();
        assertThat(asked).isEmpty();
    }
}
