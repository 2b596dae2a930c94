package vocalis.formats.midi;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Set;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import vocalis.formats.FormatException;
import vocalis.formats.sheet.Imported;
import vocalis.formats.sheet.Loss;
import vocalis.formats.sheet.Sheet;
import vocalis.formats.sheet.SheetFormat;

/**
 * Standard MIDI Files 1.0 (MIDI Manufacturers Association, 1988), type 1: tempos, meters and chords
 * in the first track, then a track for each guitar, with a channel for each string where there are
 * enough, so that bends stay with their string. Written and read by the platform's own library,
 * after the lengths that a file states were held against its size.
 */
public final class MidiFile implements SheetFormat {

    public static final MidiFile FORMAT = new MidiFile();

    private MidiFile() {}

    @Override
    public String name() {
        return "Standard MIDI File";
    }

    @Override
    public List<String> endings() {
        return List.of(".mid", ".midi");
    }

    @Override
    public Set<Loss> losses() {
        return Set.of(
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

    @Override
    public byte[] write(Sheet sheet) throws FormatException {
        try {
            Sequence sequence = new MidiWriter(sheet).sequence();
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            MidiSystem.write(sequence, 1, bytes);
            return bytes.toByteArray();
        } catch (InvalidMidiDataException | IOException e) {
            throw new FormatException("the riff cannot be written as MIDI: " + e.getMessage(), e);
        }
    }

    @Override
    public Imported read(byte[] bytes) throws FormatException {
        if (bytes.length > MOST_BYTES) {
            throw new FormatException("the file is larger than 32 MB, far too large for a riff");
        }
        MidiBounds.check(bytes);
        try {
            return new MidiReader(MidiSystem.getSequence(new ByteArrayInputStream(bytes))).read();
        } catch (InvalidMidiDataException | IOException e) {
            throw new FormatException("this MIDI file is damaged: " + e.getMessage(), e);
        }
    }
}
