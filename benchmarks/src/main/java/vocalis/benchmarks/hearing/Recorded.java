package vocalis.benchmarks.hearing;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import vocalis.formats.FormatException;
import vocalis.formats.wav.WavReader;
import vocalis.sound.listen.Take;

/** Notes played by the recorded guitars of a sound font, through a general-purpose synthesiser. */
public final class Recorded {

    private static final String FONT = "/usr/share/sounds/sf2/FluidR3_GM.sf2";
    private static final int TICKS_A_SECOND = 1000;
    private static final double TAIL_SECONDS = 0.7;
    private static final int KIT_CHANNEL = 9;

    /** A note of a MIDI number; loud from 1 to 127. */
    public record Note(double from, double to, int midi, int loud) {}

    /** A note has begun where its level reaches so much of its highest. */
    private static final double BEGUN = 0.1;

    private static final double RISES_WITHIN = 0.2;
    private static final double STEP_SECONDS = 0.001;

    private static final Map<List<Integer>, Double> LATE = new HashMap<>();

    private Recorded() {}

    /**
     * How long after its time a note is heard to begin, in seconds: its sample has a lead. Found by
     * playing it alone, in windows of 4 ms.
     *
     * @param program its place in General MIDI, counted from 0
     */
    public static double late(int midi, int program) throws IOException {
        Double known = LATE.get(List.of(midi, program));
        if (known == null) {
            double from = 0.1;
            Take take = of(List.of(new Note(from, from + 3 * RISES_WITHIN, midi, 90)), program);
            double[] levels = new double[(int) (RISES_WITHIN / STEP_SECONDS)];
            for (int i = 0; i < levels.length; i++) {
                double at = from + i * STEP_SECONDS;
                levels[i] = take.power(take.frame(at - 0.002), take.frame(at + 0.002));
            }
            double begun = Arrays.stream(levels).max().orElseThrow() * BEGUN * BEGUN;
            int i = 0;
            while (levels[i] < begun) {
                i++;
            }
            known = i * STEP_SECONDS;
            LATE.put(List.of(midi, program), known);
        }
        return known;
    }

    /**
     * @param program its place in General MIDI, counted from 0
     */
    public static Take of(List<Note> notes, int program) throws IOException {
        return of(notes, program, 0);
    }

    /** A recorded kit's strokes, by their keys in General MIDI. */
    public static Take kit(List<Note> strokes) throws IOException {
        return of(strokes, 0, KIT_CHANNEL);
    }

    private static Take of(List<Note> notes, int program, int channel) throws IOException {
        Path dir = Files.createTempDirectory("hearing");
        Path midi = dir.resolve("in.mid");
        Path wav = dir.resolve("out.wav");
        try {
            MidiSystem.write(sequence(notes, program, channel), 0, midi.toFile());
        } catch (InvalidMidiDataException e) {
            throw new IOException(e);
        }
        synthesise(midi, wav);
        Take take = read(wav);
        Files.delete(midi);
        Files.delete(wav);
        Files.delete(dir);
        return take;
    }

    private static void synthesise(Path midi, Path wav) throws IOException {
        List<String> line = new ArrayList<>(List.of("fluidsynth", "-ni", "-R", "0", "-C", "0"));
        line.addAll(List.of("-g", "0.5", "-r", "48000", "-F", wav.toString()));
        line.addAll(List.of(FONT, midi.toString()));
        run(line);
    }

    /** What another program wrote. */
    static Take read(Path wav) throws IOException {
        try (InputStream in = Files.newInputStream(wav)) {
            return WavReader.read(in);
        } catch (FormatException e) {
            throw new IOException(e);
        }
    }

    /** Runs a program that is installed beside ours. */
    static void run(List<String> line) throws IOException {
        Process p = new ProcessBuilder(line).redirectErrorStream(true).start();
        try (InputStream in = p.getInputStream()) {
            String said = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            if (p.waitFor() != 0) {
                throw new IOException(line.get(0) + " failed: " + said);
            }
        } catch (InterruptedException e) {
            throw new IOException(e);
        }
    }

    /** One track whose quarter is a second. */
    private static Sequence sequence(List<Note> notes, int program, int channel)
            throws InvalidMidiDataException {
        Sequence all = new Sequence(Sequence.PPQ, TICKS_A_SECOND);
        Track track = all.createTrack();
        byte[] quarter = {0x0F, 0x42, 0x40};
        track.add(new MidiEvent(new MetaMessage(0x51, quarter, 3), 0));
        track.add(event(ShortMessage.PROGRAM_CHANGE, channel, program, 0, 0));
        double end = 0;
        for (Note n : notes) {
            track.add(event(ShortMessage.NOTE_ON, channel, n.midi(), n.loud(), n.from()));
            track.add(event(ShortMessage.NOTE_OFF, channel, n.midi(), 0, n.to()));
            end = Math.max(end, n.to());
        }
        track.add(event(ShortMessage.NOTE_OFF, channel, 0, 0, end + TAIL_SECONDS));
        return all;
    }

    private static MidiEvent event(int command, int channel, int first, int second, double seconds)
            throws InvalidMidiDataException {
        ShortMessage message = new ShortMessage(command, channel, first, second);
        return new MidiEvent(message, Math.round(seconds * TICKS_A_SECOND));
    }
}
