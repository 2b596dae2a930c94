package vocalis.formats.midi;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.Sequencer;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.junit.jupiter.api.Test;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Harmony;
import vocalis.core.score.Manner;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.formats.FormatException;
import vocalis.formats.sheet.Imported;
import vocalis.formats.sheet.Loss;
import vocalis.formats.sheet.Sheet;
import vocalis.formats.sheet.SheetFormat;
import vocalis.formats.sheet.SheetFormatContract;
import vocalis.formats.sheet.Sheets;

/** MIDI holds what sounds when, on which string, how hard. */
class MidiFileTest extends SheetFormatContract {

    @Override
    protected SheetFormat format() {
        return MidiFile.FORMAT;
    }

    /** Without techniques and mutes, which MIDI has no notes for; a capo is part of the strings. */
    @Override
    protected Sheet holdable(Sheet sheet) {
        List<Sheet.Guitar> guitars = new ArrayList<>();
        int strings = 0;
        for (Sheet.Guitar g : sheet.guitars()) {
            Score s = g.score();
            strings += s.board().strings();
            if (strings > 15) {
                // More strings than channels: then one channel serves a guitar.
                continue;
            }
            List<ScoreNote> notes = s.notes().stream().map(MidiFileTest::plain).toList();
            List<Harmony> named =
                    s.harmonies().stream().filter(h -> !h.symbol().isEmpty()).toList();
            guitars.add(
                    new Sheet.Guitar(
                            g.name(), new Score(s.board(), s.time(), s.length(), notes, named)));
        }
        return new Sheet(sheet.title(), sheet.ground(), guitars);
    }

    private static ScoreNote plain(ScoreNote n) {
        return new ScoreNote(
                n.string(),
                n.fret(),
                n.at(),
                n.length(),
                n.tied(),
                true,
                n.dynamics(),
                Manner.PLAIN,
                true,
                false,
                List.of(),
                Optional.empty());
    }

    @Override
    protected ScoreNote held(ScoreNote n) {
        return plain(n);
    }

    /**
     * The platform's own sequencer, which we did not write, reads the same notes at the same times.
     */
    @Test
    void theSequencerOfThePlatformHasTheSameNotesAndTimes() throws Exception {
        for (int seed = 0; seed < 100; seed++) {
            Sheet sheet = holdable(Sheets.random(seed));
            Score score = sheet.score();
            byte[] bytes = MidiFile.FORMAT.write(sheet);
            Sequence sequence = MidiSystem.getSequence(new ByteArrayInputStream(bytes));
            assertThat(MidiSystem.getMidiFileFormat(new ByteArrayInputStream(bytes)).getType())
                    .isEqualTo(1);
            List<String> heard = new ArrayList<>();
            Track track = sequence.getTracks()[1];
            for (int i = 0; i < track.size(); i++) {
                MidiEvent e = track.get(i);
                if (e.getMessage() instanceof ShortMessage m
                        && m.getCommand() == ShortMessage.NOTE_ON
                        && m.getData2() > 0) {
                    heard.add(e.getTick() + ":" + m.getData1());
                }
            }
            List<String> written =
                    score.notes().stream()
                            .map(n -> n.at() + ":" + score.board().midi(n.string(), n.fret()))
                            .toList();
            assertThat(heard).containsExactlyInAnyOrderElementsOf(written);
            assertThat(sequence.getResolution()).isEqualTo((int) Ticks.QUARTER);
            Sequencer sequencer = MidiSystem.getSequencer(false);
            sequencer.setSequence(sequence);
            double seconds = score.time().tempos().seconds(score.length());
            assertThat(sequencer.getMicrosecondLength() / 1e6)
                    .isBetween(seconds - 0.002, seconds + 0.002);
        }
    }

    /** A bend that is let back comes down from where it was, and only down. */
    @Test
    void aReleaseBeginsAtTheBentPitch() throws Exception {
        Sheet sheet = Sheets.random(1);
        Score s = sheet.score();
        ScoreNote bent =
                new ScoreNote(
                        2,
                        7,
                        0,
                        Ticks.HALF,
                        false,
                        false,
                        Dynamics.PLAIN,
                        Manner.PLAIN,
                        true,
                        false,
                        List.of(
                                new Technique(Technique.Kind.BEND, 200, 0, Ticks.EIGHTH),
                                new Technique(
                                        Technique.Kind.RELEASE, 0, Ticks.QUARTER, Ticks.EIGHTH)),
                        Optional.empty());
        Score one = new Score(s.board(), s.time(), s.length(), List.of(bent), List.of());
        byte[] bytes =
                MidiFile.FORMAT.write(
                        new Sheet("b", sheet.ground(), List.of(new Sheet.Guitar("g", one))));
        Track track = MidiSystem.getSequence(new ByteArrayInputStream(bytes)).getTracks()[1];
        List<Integer> back = new ArrayList<>();
        for (int i = 0; i < track.size(); i++) {
            boolean late =
                    track.get(i).getTick() >= Ticks.QUARTER && track.get(i).getTick() < Ticks.HALF;
            if (late
                    && track.get(i).getMessage() instanceof ShortMessage m
                    && m.getCommand() == ShortMessage.PITCH_BEND) {
                back.add(m.getData2() << 7 | m.getData1());
            }
        }
        int top = 8192 + Math.round(8192 * 2 / 12f);
        assertThat(back.get(0)).isBetween(8192 + (top - 8192) * 3 / 4, top);
        assertThat(back).isSortedAccordingTo((a, b) -> b - a);
        assertThat(back.get(back.size() - 1)).isEqualTo(8192);
    }

    /** What MIDI cannot hold, all of it and nothing else (see the table in docs/formats.md). */
    @Test
    void theLossesAreThese() {
        assertThat(MidiFile.FORMAT.losses())
                .containsExactlyInAnyOrder(
                        Loss.RECIPE,
                        Loss.INSTRUMENT,
                        Loss.STROKES,
                        Loss.RINGING,
                        Loss.MUTES,
                        Loss.LEGATO,
                        Loss.SHAPES,
                        Loss.SPECIAL,
                        Loss.MODE);
    }

    /** A bend of two semitones is a sixth of the way of a wheel that goes twelve. */
    @Test
    void aBendIsOnTheChannelOfItsString() throws Exception {
        Sheet sheet = Sheets.random(1);
        Score s = sheet.score();
        ScoreNote bent =
                new ScoreNote(
                        2,
                        7,
                        0,
                        Ticks.QUARTER,
                        false,
                        false,
                        Dynamics.PLAIN,
                        Manner.PLAIN,
                        true,
                        false,
                        List.of(new Technique(Technique.Kind.BEND, 200, 0, Ticks.EIGHTH)),
                        Optional.empty());
        Score one = new Score(s.board(), s.time(), s.length(), List.of(bent), List.of());
        byte[] bytes =
                MidiFile.FORMAT.write(
                        new Sheet("b", sheet.ground(), List.of(new Sheet.Guitar("g", one))));
        Track track = MidiSystem.getSequence(new ByteArrayInputStream(bytes)).getTracks()[1];
        int most = 0;
        for (int i = 0; i < track.size(); i++) {
            if (track.get(i).getMessage() instanceof ShortMessage m
                    && m.getCommand() == ShortMessage.PITCH_BEND) {
                assertThat(m.getChannel()).isEqualTo(2);
                most = Math.max(most, m.getData2() << 7 | m.getData1());
            }
        }
        assertThat(most).isEqualTo(8192 + Math.round(8192 * 2 / 12f));
        Score read = MidiFile.FORMAT.read(bytes).sheet().score();
        assertThat(read.notes().get(0).techniques())
                .anySatisfy(
                        t -> {
                            assertThat(t.kind()).isEqualTo(Technique.Kind.BEND);
                            assertThat(t.to()).isBetween(199, 201);
                        });
    }

    /** Type 0 of one channel, nothing said about strings: fingered here, and playable. */
    @Test
    void notesOfOthersAreFingered() throws Exception {
        Sequence sequence = new Sequence(Sequence.PPQ, 480, 1);
        Track t = sequence.getTracks()[0];
        t.add(new MidiEvent(new MetaMessage(0x51, new byte[] {7, (byte) 0xA1, 0x20}, 3), 0));
        int[] notes = {40, 47, 52};
        for (int beat = 0; beat < 4; beat++) {
            for (int n : notes) {
                t.add(
                        new MidiEvent(
                                new ShortMessage(ShortMessage.NOTE_ON, 0, n + beat, 90),
                                beat * 480L));
                t.add(
                        new MidiEvent(
                                new ShortMessage(ShortMessage.NOTE_OFF, 0, n + beat, 0),
                                beat * 480L + 480));
            }
        }
        java.io.ByteArrayOutputStream bytes = new java.io.ByteArrayOutputStream();
        MidiSystem.write(sequence, 0, bytes);
        Imported read = MidiFile.FORMAT.read(bytes.toByteArray());
        assertThat(read.fingered()).isFalse();
        Score s = read.sheet().score();
        assertThat(s.notes()).hasSize(12);
        assertThat(s.time().tempos().first()).isEqualTo(120);
        // E5 up a semitone a beat: the power chord's usual grip on the lowest strings.
        for (ScoreNote n : s.notes()) {
            int beat = (int) (n.at() / Ticks.QUARTER);
            int expected = n.string() == 0 ? beat : beat + 2;
            assertThat(n.string()).isLessThan(3);
            assertThat(n.fret()).isEqualTo(expected);
        }
    }

    @Test
    void filmTimeAndPatternsAreRefused() {
        byte[] film = {'M', 'T', 'h', 'd', 0, 0, 0, 6, 0, 1, 0, 0, (byte) 0xE7, 40};
        byte[] patterns = {'M', 'T', 'h', 'd', 0, 0, 0, 6, 0, 2, 0, 1, 0, 96};
        for (byte[] bytes : List.of(film, patterns)) {
            org.assertj.core.api.Assertions.assertThatThrownBy(() -> MidiFile.FORMAT.read(bytes))
                    .isInstanceOf(FormatException.class)
                    .hasMessageContaining("export it");
        }
    }
}
