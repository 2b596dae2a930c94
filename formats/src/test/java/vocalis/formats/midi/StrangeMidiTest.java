package vocalis.formats.midi;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.stream.IntStream;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.junit.jupiter.api.Test;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.ScoreNote;
import vocalis.formats.sheet.Imported;

/** Files as other programs and careless hands write them: nothing is lost without a word. */
class StrangeMidiTest {

    private final Sequence sequence;
    private final Track track;

    StrangeMidiTest() throws Exception {
        sequence = new Sequence(Sequence.PPQ, 480);
        track = sequence.createTrack();
    }

    private void on(int note, long tick) throws Exception {
        track.add(new MidiEvent(new ShortMessage(ShortMessage.NOTE_ON, 0, note, 90), tick));
    }

    private void off(int note, long tick) throws Exception {
        track.add(new MidiEvent(new ShortMessage(ShortMessage.NOTE_OFF, 0, note, 0), tick));
    }

    private Imported read() throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        MidiSystem.write(sequence, 1, out);
        return MidiFile.FORMAT.read(out.toByteArray());
    }

    private static List<Integer> pitches(Imported i) {
        var s = i.sheet().score();
        return s.notes().stream().map(n -> s.board().midi(n.string(), n.fret())).sorted().toList();
    }

    @Test
    void aNoteWithoutAnEndSoundsAndIsTold() throws Exception {
        on(45, 0);
        off(45, 480);
        on(52, 480);
        Imported i = read();
        assertThat(pitches(i)).containsExactly(45, 52);
        assertThat(i.remarks()).anyMatch(r -> r.contains("does not end"));
        assertThat(i.sheet().score().notes().get(1).length()).isGreaterThanOrEqualTo(Ticks.QUARTER);
    }

    /** Four on one key, each begun before the one before ended; the ends come in a row. */
    @Test
    void overlappingNotesOfOneKeyAllCome() throws Exception {
        for (int n = 0; n < 4; n++) {
            on(57, 240L * n);
        }
        for (int n = 0; n < 4; n++) {
            off(57, 960 + 240L * n);
        }
        Imported i = read();
        assertThat(i.sheet().score().notes())
                .extracting(ScoreNote::at)
                .containsExactly(0L, Ticks.EIGHTH, 2 * Ticks.EIGHTH, 3 * Ticks.EIGHTH);
    }

    /** Four notes of different keys that begin after each other and all ring to the end. */
    @Test
    void overlappingNotesOfDifferentKeysAllCome() throws Exception {
        int[] keys = {45, 52, 57, 60};
        for (int n = 0; n < 4; n++) {
            on(keys[n], 240L * n);
        }
        for (int k : keys) {
            off(k, 1920);
        }
        assertThat(pitches(read())).containsExactly(45, 52, 57, 60);
    }

    /** Eight notes at once: a hand with six strings keeps at least five, the lowest among them. */
    @Test
    void ofAChordTooLargeAHandKeepsWhatItHolds() throws Exception {
        int[] keys = {40, 47, 52, 56, 59, 64, 68, 71};
        for (int k : keys) {
            on(k, 0);
            off(k, 960);
        }
        Imported i = read();
        assertThat(pitches(i)).hasSizeGreaterThanOrEqualTo(5).contains(40);
        assertThat(i.remarks())
                .anyMatch(r -> r.matches("\\d notes that no hand has were left out."));
    }

    @Test
    void aTempoOfNothingIsPassedOver() throws Exception {
        track.add(new MidiEvent(new MetaMessage(0x51, new byte[] {0, 0, 0}, 3), 0));
        on(45, 0);
        off(45, 480);
        Imported i = read();
        assertThat(i.sheet().score().time().tempos().changes().get(0).tempo()).isEqualTo(120);
        assertThat(i.remarks()).anyMatch(r -> r.contains("tempo of nothing"));
    }

    /** Whatever is read: what does not come in is counted in the remarks. */
    @Test
    void whatIsLeftOutIsCounted() throws Exception {
        IntStream.rangeClosed(40, 51)
                .forEach(
                        k -> {
                            try {
                                on(k, 0);
                                off(k, 480);
                            } catch (Exception e) {
                                throw new AssertionError(e);
                            }
                        });
        Imported i = read();
        int left = 12 - i.sheet().score().notes().size();
        assertThat(i.remarks()).contains(left + " notes that no hand has were left out.");
    }
}
