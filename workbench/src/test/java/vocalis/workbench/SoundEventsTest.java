package vocalis.workbench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.riff.Derivation;
import vocalis.core.riff.Score;
import vocalis.core.voicing.Sounding;
import vocalis.sound.engine.Program;

class SoundEventsTest {

    private static Score score(int demo) {
        return Derivation.score(Demo.riffs().get(demo).riff(), Hand.MEDIUM, new Catalogue());
    }

    @Test
    void everyStrikeIsPlayedOnItsStringsAtItsTime() {
        for (int demo = 0; demo < 3; demo++) {
            Score score = score(demo);
            Program p = SoundEvents.program(score);
            int event = 0;
            for (Score.Strike s : score.strikes()) {
                while (p.at(event) < s.at()) {
                    event++;
                }
                if (event + 1 < p.events() && p.at(event + 1) == s.at()) {
                    event++;
                }
                assertThat(p.at(event)).isEqualTo(s.at());
                for (Sounding n : s.notes()) {
                    assertThat(p.action(event, n.string())).isEqualTo(n.fret());
                }
            }
            assertThat(p.length()).isEqualTo(score.riff().length());
        }
    }

    @Test
    void aNewChordAndARestDampWhatRang() {
        Score score = score(1);
        Program p = SoundEvents.program(score);
        for (int e = 0; e < p.events(); e++) {
            boolean plucks = false;
            boolean keeps = false;
            for (int s = 0; s < 6; s++) {
                plucks |= p.action(e, s) >= 0;
                keeps |= p.action(e, s) == Program.KEEP;
            }
            long at = p.at(e);
            boolean chordBegins = score.chords().stream().anyMatch(c -> c.start() == at);
            if (chordBegins || !plucks) {
                assertThat(keeps).as("event at %d", at).isFalse();
            }
        }
    }

    /** C29: a capo at two raises every open string by a whole step (ISO 16 frequencies). */
    @Test
    void openStringsSoundOverTheCapo() {
        double[] hz = SoundEvents.openHz(Demo.riffs().get(2).riff().ground());
        assertThat(hz[0]).isCloseTo(92.50, within(0.01));
        assertThat(hz[5]).isCloseTo(369.99, within(0.01));
    }

    @Test
    void aRiffRendersOfflineToSoundThatEnds() {
        Score score = score(1);
        float[] x = OfflineRender.riff(score, java.util.Optional.empty(), 1, 2);
        double seconds = x.length / 2 / Player.RATE;
        assertThat(seconds).isCloseTo(16 * 60.0 / 126 + 2, within(0.01));
        float peak = 0;
        for (float v : x) {
            peak = Math.max(peak, Math.abs(v));
        }
        assertThat(peak).isBetween(0.1f, 0.9f);
        for (int i = x.length - 2000; i < x.length; i++) {
            assertThat(Math.abs(x[i])).isLessThan(1e-3f);
        }
    }
}
