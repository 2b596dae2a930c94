package vocalis.workbench.listening;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import vocalis.sound.learnt.NoteEar;

/** How sure a note is that a net hears in a palm stroke. */
class LearntEarTest {

    private static NoteEar.Struck odds(double... midiAndOdds) {
        float[] odds = new float[NoteEar.NOTES];
        Arrays.fill(odds, -20);
        for (int i = 0; i < midiAndOdds.length; i += 2) {
            odds[(int) midiAndOdds[i] - NoteEar.LOWEST_MIDI] = (float) midiAndOdds[i + 1];
        }
        return new NoteEar.Struck(odds, 1, 0);
    }

    /** Logarithms of odds: 0 is even, 3 is twenty to one. */
    @Test
    void aNoteBesideAnotherThatMayBeIsAGuess() {
        assertThat(LearntEar.alone(odds(43, 3), 43)).isCloseTo(0.953, within(0.001));
        assertThat(LearntEar.alone(odds(43, 3, 50, 0), 43)).isCloseTo(0.476, within(0.001));
        assertThat(LearntEar.alone(odds(43, 0.2), 43)).isCloseTo(0.55, within(0.001));
        assertThat(LearntEar.alone(odds(43, 0.2, 55, -1), 43)).isLessThan(0.5);
    }
}
