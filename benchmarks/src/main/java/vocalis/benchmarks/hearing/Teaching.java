package vocalis.benchmarks.hearing;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import vocalis.core.riff.Tone;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.sound.learnt.NoteEar;
import vocalis.sound.learnt.StrokePicture;
import vocalis.sound.listen.Take;

/**
 * Writes what the nets are taught on: of each lesson what they see, and what is true. In a folder,
 * by the lesson's number, numbers of 32 bits, the lowest byte first: {@code N.strokes} has the
 * levels of each hop, {@code N.onsets} the seconds of its strokes, {@code N.notes} of each stroke
 * what {@link NoteEar} sees, then whether each of its notes is struck, whether a hand stops it,
 * whether it is driven. Some lessons are noise and hum in which nothing is struck.
 *
 * <pre>
 * Teaching FOLDER FIRST N
 * </pre>
 */
public final class Teaching {

    /** Every so many lessons is noise. */
    private static final int NOISE = 40;

    private static final double NOISE_SECONDS = 8;
    private static final double RATE = 48_000;

    /** Strokes are seen so far beside their time, in seconds: ears are not more exact. */
    private static final double BESIDE = 0.006;

    /** What lies closer is one stroke, in seconds. */
    private static final double APART = 0.02;

    private final Path folder;

    private Teaching(Path folder) {
        this.folder = folder;
    }

    public static void main(String[] args) throws IOException {
        Teaching t = new Teaching(Files.createDirectories(Path.of(args[0])));
        long first = Long.parseLong(args[1]);
        for (long n = first; n < first + Long.parseLong(args[2]); n++) {
            if (n % NOISE == 0) {
                t.noise(n);
            } else {
                t.lesson(n);
            }
        }
        System.exit(0);
    }

    /**
     * No note is struck in noise, wherever one listens; where it comes at once something begins
     * that has none, as where strings are struck dead.
     */
    private void noise(long number) throws IOException {
        double[] x = made(number);
        Random random = new Random(number + 1);
        List<True> begins = new ArrayList<>();
        if (random.nextBoolean()) {
            for (double at = 0.5; at < NOISE_SECONDS - 1; at += 0.4 + random.nextDouble()) {
                double still = at - 0.05 - 0.25 * random.nextDouble();
                Arrays.fill(x, (int) (still * RATE), (int) (at * RATE), 0);
                begins.add(new True(at, List.of(), false));
            }
        }
        Take take = new Take(x, RATE);
        strokes(number, take, begins);
        List<float[]> seen = new ArrayList<>();
        for (double at = 0.5; at < NOISE_SECONDS - 0.5; at += 0.25) {
            seen.add(nothing(take, at, 1, random));
        }
        for (True b : begins) {
            double at = b.seconds() + BESIDE * (2 * random.nextDouble() - 1);
            seen.add(nothing(take, at, random.nextBoolean() ? 1 : random.nextDouble(), random));
        }
        write(number + ".notes", seen.toArray(new float[0][]));
    }

    private static float[] nothing(Take take, double at, double last, Random random) {
        double cents = 40 * (2 * random.nextDouble() - 1);
        float[] picture = NoteEar.picture(take, at, last, 1, cents);
        return Arrays.copyOf(picture, picture.length + NoteEar.NOTES + 2);
    }

    /** A stroke, or a finger that makes a new note: when, and which notes. */
    private record True(double seconds, List<Integer> midi, boolean stopped) {}

    private void lesson(long number) throws IOException {
        Lessons.Lesson lesson = Lessons.of(number);
        List<True> strokes = strokes(lesson.score());
        strokes(number, lesson.take(), strokes);
        Random random = new Random(number);
        List<float[]> seen = new ArrayList<>();
        for (int i = 0; i < strokes.size(); i++) {
            seen.add(seen(lesson, strokes, i, random));
        }
        write(number + ".notes", seen.toArray(new float[0][]));
    }

    private static float[] seen(Lessons.Lesson lesson, List<True> strokes, int i, Random random) {
        True s = strokes.get(i);
        double last = i == 0 ? 1 : s.seconds() - strokes.get(i - 1).seconds();
        double end = lesson.take().seconds();
        double next = (i + 1 < strokes.size() ? strokes.get(i + 1).seconds() : end) - s.seconds();
        double at = s.seconds() + BESIDE * (2 * random.nextDouble() - 1);
        float[] picture = NoteEar.picture(lesson.take(), at, last, next, 0);
        float[] all = Arrays.copyOf(picture, picture.length + NoteEar.NOTES + 2);
        for (int midi : s.midi()) {
            int k = midi - NoteEar.LOWEST_MIDI;
            if (k >= 0 && k < NoteEar.NOTES) {
                all[picture.length + k] = 1;
            }
        }
        all[picture.length + NoteEar.NOTES] = s.stopped() ? 1 : 0;
        all[picture.length + NoteEar.NOTES + 1] = lesson.tone() == Tone.CLEAN ? 0 : 1;
        return all;
    }

    private void strokes(long number, Take take, List<True> strokes) throws IOException {
        write(number + ".strokes", StrokePicture.of(take));
        float[] onsets = new float[strokes.size()];
        for (int i = 0; i < onsets.length; i++) {
            onsets[i] = (float) strokes.get(i).seconds();
        }
        write(number + ".onsets", new float[][] {onsets});
    }

    private static List<True> strokes(Score score) {
        List<True> all = new ArrayList<>();
        for (Onset o : score.onsets()) {
            if (o.tied()) {
                continue;
            }
            boolean dead = o.manner() == Manner.DEAD;
            List<Integer> midi = new ArrayList<>();
            for (ScoreNote n : o.notes()) {
                midi.add(score.board().midi(n.string(), n.fret()));
                for (Technique t : n.techniques()) {
                    boolean slur =
                            t.kind() == Technique.Kind.HAMMER || t.kind() == Technique.Kind.PULL;
                    if (slur) {
                        double at = score.time().tempos().seconds(n.at() + t.after());
                        int to = score.board().midi(n.string(), t.to());
                        all.add(new True(at, List.of(to), false));
                    }
                }
            }
            double at = score.time().tempos().seconds(o.at());
            all.add(new True(at, dead ? List.of() : midi, o.muted()));
        }
        all.sort(Comparator.comparingDouble(True::seconds));
        for (int i = all.size() - 1; i > 0; i--) {
            if (all.get(i).seconds() - all.get(i - 1).seconds() < APART) {
                all.remove(i);
            }
        }
        return all;
    }

    /** Noise, white or brown, hum of 50 or 60 Hz, or both. */
    private static double[] made(long number) {
        Random random = new Random(number);
        boolean white = random.nextBoolean();
        boolean noisy = random.nextInt(3) > 0;
        double mains = random.nextBoolean() ? 50 : 60;
        double hum = noisy && random.nextBoolean() ? 0 : 0.05;
        double[] x = new double[(int) (NOISE_SECONDS * RATE)];
        double last = 0;
        for (int i = 0; i < x.length; i++) {
            double fresh = noisy ? 0.05 * random.nextGaussian() : 0;
            last = white ? fresh : 0.998 * last + 0.06 * fresh;
            x[i] = last;
            for (int k = 1; k < 12; k++) {
                x[i] += hum / k * Math.sin(2 * Math.PI * mains * k * i / RATE + k * k);
            }
        }
        return x;
    }

    private void write(String name, float[][] rows) throws IOException {
        int n = Arrays.stream(rows).mapToInt(r -> r.length).sum();
        ByteBuffer bytes = ByteBuffer.allocate(4 * n).order(ByteOrder.LITTLE_ENDIAN);
        for (float[] row : rows) {
            for (float x : row) {
                bytes.putFloat(x);
            }
        }
        Files.write(folder.resolve(name), bytes.array());
    }
}
