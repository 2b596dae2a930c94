package vocalis.benchmarks.hearing;

import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import vocalis.formats.FormatException;
import vocalis.formats.wav.WavReader;
import vocalis.sound.listen.Take;

/** Notes played by the recorded guitars of a sound font, through a general-purpose synthesiser. */
final class Recorded {

    private static final String FONT = "/usr/share/sounds/sf2/FluidR3_GM.sf2";
    private static final int TICKS_A_SECOND = 1000;

    /** A note of a MIDI number; loud from 1 to 127. */
    record Note(double from, double to, int midi, int loud) {}

    private record Message(long tick, int status, int first, int second) {}

    private Recorded() {}

    static Take of(List<Note> notes, int program) throws IOException {
        Path dir = Files.createTempDirectory("hearing");
        Path midi = dir.resolve("in.mid");
        Path wav = dir.resolve("out.wav");
        Files.write(midi, file(notes, program));
        Process p =
                new ProcessBuilder(
                                "fluidsynth",
                                "-ni",
                                "-R",
                                "0",
                                "-C",
                                "0",
                                "-g",
                                "0.5",
                                "-r",
                                "48000",
                                "-F",
                                wav.toString(),
                                FONT,
                                midi.toString())
                        .redirectErrorStream(true)
                        .start();
        try (InputStream in = p.getInputStream()) {
            in.readAllBytes();
            if (p.waitFor() != 0) {
                throw new IOException("fluidsynth failed");
            }
        } catch (InterruptedException e) {
            throw new IOException(e);
        }
        Take take;
        try (InputStream in = Files.newInputStream(wav)) {
            take = WavReader.read(in);
        } catch (FormatException e) {
            throw new IOException(e);
        }
        Files.delete(midi);
        Files.delete(wav);
        Files.delete(dir);
        return take;
    }

    /** A file of one track whose quarter is a second. */
    private static byte[] file(List<Note> notes, int program) throws IOException {
        List<Message> all = new ArrayList<>();
        all.add(new Message(0, 0xC0, program, -1));
        double end = 0;
        for (Note n : notes) {
            all.add(new Message(tick(n.from()), 0x90, n.midi(), n.loud()));
            all.add(new Message(tick(n.to()), 0x80, n.midi(), 0));
            end = Math.max(end, n.to());
        }
        all.add(new Message(tick(end + 0.7), 0x80, 0, 0));
        all.sort(Comparator.comparingLong(Message::tick).thenComparingInt(Message::status));
        ByteArrayOutputStream track = new ByteArrayOutputStream();
        track.write(new byte[] {0, (byte) 0xFF, 0x51, 3, 0x0F, 0x42, 0x40});
        long last = 0;
        for (Message m : all) {
            length(track, m.tick() - last);
            last = m.tick();
            track.write(m.status());
            track.write(m.first());
            if (m.second() >= 0) {
                track.write(m.second());
            }
        }
        track.write(new byte[] {0, (byte) 0xFF, 0x2F, 0});
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(file);
        out.writeBytes("MThd");
        out.writeInt(6);
        out.writeShort(0);
        out.writeShort(1);
        out.writeShort(TICKS_A_SECOND);
        out.writeBytes("MTrk");
        out.writeInt(track.size());
        track.writeTo(out);
        return file.toByteArray();
    }

    private static long tick(double seconds) {
        return Math.round(seconds * TICKS_A_SECOND);
    }

    private static void length(ByteArrayOutputStream out, long value) {
        for (int shift = 21; shift > 0; shift -= 7) {
            if (value >> shift > 0) {
                out.write((int) (value >> shift & 0x7F | 0x80));
            }
        }
        out.write((int) (value & 0x7F));
    }
}
