package vocalis.workbench.listening;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.workbench.demo.Demo;

/** The player that needs no cable, heard by the ears that follow it. */
class StandInTest {

    private static FollowedPass pass(StandIn.Errors errors, long seed) {
        Derived d = new Deriver(Takes.CATALOGUE).derive(Demo.pieces().get(1).riff(), Hand.MEDIUM);
        var ground = d.riff().ground();
        return Follower.once(
                new Written(d.score(), ground),
                StandIn.play(d.score(), ground, errors, seed),
                0,
                Takes.ear(d.score(), ground),
                1);
    }

    @Test
    void withoutErrorsItPlaysAsWritten() {
        assertThat(pass(StandIn.Errors.NONE, 1).faults()).isEmpty();
    }

    /** What was set is heard: late throughout, strokes left out, fingers a fret off. */
    @Test
    void whatIsSetIsHeard() {
        FollowedPass late = pass(new StandIn.Errors(0, 25, 0, 0, 0), 2);
        assertThat(late.behindMs()).isBetween(20.0, 32.0);
        assertThat(late.faults()).isEmpty();
        FollowedPass spread = pass(new StandIn.Errors(18, 0, 0, 0, 0), 3);
        assertThat(spread.spreadMs()).isBetween(10.0, 27.0);
        List<Played> gaps = pass(new StandIn.Errors(0, 0, 0, 0.25, 0), 4).faults();
        assertThat(gaps).anyMatch(p -> p.state() == Played.State.MISSING);
        List<Played> fingers = pass(new StandIn.Errors(0, 0, 0.3, 0, 0), 5).faults();
        assertThat(fingers)
                .anyMatch(p -> p.strings().stream().anyMatch(f -> f.what() == Played.What.OFF));
    }

    @Test
    void theSameSeedMakesTheSameErrors() {
        FollowedPass once = pass(StandIn.Errors.LEARNING, 7);
        assertThat(pass(StandIn.Errors.LEARNING, 7).strokes()).isEqualTo(once.strokes());
        assertThat(pass(StandIn.Errors.LEARNING, 8).strokes()).isNotEqualTo(once.strokes());
    }
}
