package vocalis.workbench.listening;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.sound.learnt.NoteEar;
import vocalis.workbench.demo.Demo;

/** What is told of a stroke by the odds of its notes, alone and beside those of its rendering. */
class StringFaultsTest {

    private static final Score SCORE =
            new Deriver(Takes.CATALOGUE).derive(Demo.pieces().get(0).riff(), Hand.MEDIUM).score();
    private static final Fretboard BOARD = SCORE.board();
    private static final StringFaults FAULTS = new StringFaults(SCORE, 440);

    /** The first that is not palmed, of two fretted strings at least, with a high one silent. */
    private static final Onset STROKE =
            SCORE.onsets().stream()
                    .filter(o -> !o.muted() && o.notes().size() > 1 && o.note(5).isEmpty())
                    .filter(
                            o ->
                                    o.notes().stream()
                                            .noneMatch(n -> n.tied() || !n.techniques().isEmpty()))
                    .findFirst()
                    .orElseThrow();

    private static final int OPEN_HIGH = BOARD.midi(5, 0);

    /** Logarithms of odds: the written notes at some, one other at another, the rest out. */
    private static NoteEar.Struck odds(double written, int midi, double other) {
        float[] odds = new float[NoteEar.NOTES];
        Arrays.fill(odds, -20);
        for (ScoreNote n : STROKE.notes()) {
            odds[BOARD.midi(n.string(), n.fret()) - NoteEar.LOWEST_MIDI] = (float) written;
        }
        odds[midi - NoteEar.LOWEST_MIDI] = (float) other;
        return new NoteEar.Struck(odds, 0, 1);
    }

    private static List<Played.StringFault> told(NoteEar.Struck heard, NoteEar.Struck rendered) {
        return FAULTS.of(STROKE, heard, rendered).faults();
    }

    /** Likelier than not is enough where the rendering has nothing of it. */
    @Test
    void aStringThatIsNotInTheRenderingIsTold() {
        NoteEar.Struck heard = odds(5, OPEN_HIGH, 2);
        assertThat(told(heard, odds(5, OPEN_HIGH, -20)))
                .containsExactly(new Played.StringFault(5, Played.What.RANG, 0));
        assertThat(FAULTS.of(STROKE, heard).faults()).isEmpty();
    }

    /** What the net hears in the rendering too is its own mistake, not the player's. */
    @Test
    void whatTheRenderingHasTooIsNoFault() {
        NoteEar.Struck heard = odds(5, OPEN_HIGH, 5.5);
        assertThat(FAULTS.of(STROKE, heard).faults())
                .containsExactly(new Played.StringFault(5, Played.What.RANG, 0));
        assertThat(told(heard, odds(5, OPEN_HIGH, 5.5))).isEmpty();
    }

    /** A string that the net misses in the rendering too is not told as silent. */
    @Test
    void whatIsNotHeardInTheRenderingEitherIsNotTold() {
        ScoreNote n = STROKE.notes().get(1);
        int midi = BOARD.midi(n.string(), n.fret());
        assertThat(told(odds(5, midi, -5), odds(5, midi, 5)))
                .containsExactly(new Played.StringFault(n.string(), Played.What.SILENT, n.fret()));
        assertThat(told(odds(5, midi, -5), odds(5, midi, -5))).isEmpty();
    }
}
