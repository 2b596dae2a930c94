package vocalis.benchmarks.beside;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.ToDoubleBiFunction;
import vocalis.benchmarks.hearing.Recorded;
import vocalis.sound.amp.AmpSettings;
import vocalis.sound.dsp.Loudness;
import vocalis.sound.engine.Engine;
import vocalis.sound.listen.Take;
import vocalis.sound.strings.Damping;
import vocalis.workbench.playing.Levels;

/**
 * Prints a table: what is measured of seven notes as we play them, beside the recorded guitars of a
 * sound font playing the same; whether our middle lies within the spread of the recordings.
 */
public final class Beside {

    private static final int[] NOTES = {40, 45, 50, 55, 59, 64, 76};
    private static final int[] MUTED = {40, 43, 45, 50, 55};
    private static final int[] BASS = {28, 33, 36, 40, 45};
    private static final double RINGS = 3;
    private static final int VELOCITY = 100;

    /** A recorded guitar's program by its place in General MIDI, counted from 0. */
    private enum Kind {
        CLEAN(AmpSettings.CLEAN, 26, 27),
        EDGE(AmpSettings.EDGE, 29),
        GAIN(AmpSettings.GAIN, 30);

        final AmpSettings amp;
        final int[] programs;

        Kind(AmpSettings amp, int... programs) {
            this.amp = amp;
            this.programs = programs;
        }
    }

    /** What is asked of which tones, of a note and its frequency. */
    private record Row(String what, List<Kind> of, ToDoubleBiFunction<Sounding, Double> value) {}

    private static final List<Kind> DRIVEN = List.of(Kind.EDGE, Kind.GAIN);
    private static final List<Kind> PURE = List.of(Kind.CLEAN);
    private static final List<Row> ROWS =
            List.of(
                    new Row("attack, ms to 0.7", DRIVEN, (n, hz) -> n.attackMs()),
                    new Row("crest of 50 ms, dB", DRIVEN, (n, hz) -> n.crestDb()),
                    new Row("20 ms over 2.8 kHz, dB", DRIVEN, (n, hz) -> n.burstDb()),
                    new Row("level after 2 s, dB", DRIVEN, (n, hz) -> n.laterDb(2)),
                    new Row("centroid at 0.5 s, kHz", DRIVEN, (n, hz) -> n.centroidKhz(0.5)),
                    new Row("2.8-5.6 kHz falls, dB/s", DRIVEN, (n, hz) -> n.highFalls()),
                    new Row("attack, ms to 0.7", PURE, (n, hz) -> n.attackMs()),
                    new Row("crest of 50 ms, dB", PURE, (n, hz) -> n.crestDb()),
                    new Row("centroid at once, kHz", PURE, (n, hz) -> n.centroidKhz(0.01)),
                    new Row("centroid after 1 s, kHz", PURE, (n, hz) -> n.centroidKhz(1)),
                    new Row("2.8-5.6 kHz starts, dB", PURE, (n, hz) -> n.highDb()),
                    new Row("2.8-5.6 kHz falls, dB/s", PURE, (n, hz) -> n.highFalls()),
                    new Row("level after 2 s, dB", PURE, (n, hz) -> n.laterDb(2)),
                    new Row("between partials, dB", PURE, Sounding::betweenPartialsDb),
                    new Row("first 100 ms, cents", PURE, Sounding::sharpCents));

    private Beside() {}

    public static void main(String[] args) throws IOException {
        boolean recorded = args.length == 0 || !args[0].equals("own");
        Ours ours = new Ours();
        System.out.printf(
                "%-5s %-24s %8s %8s | %8s %8s %8s%n",
                "", "", "ours", "notes", "recorded", "least", "most");
        int inside = 0;
        int rows = 0;
        for (Kind kind : Kind.values()) {
            List<double[]> own = new ArrayList<>();
            List<double[]> theirs = new ArrayList<>();
            List<Double> ownHz = new ArrayList<>();
            List<Double> theirHz = new ArrayList<>();
            for (int midi : NOTES) {
                own.add(ours.note(kind.amp, midi, RINGS, 0.2));
                ownHz.add(Ours.hz(midi));
                for (int program : recorded ? kind.programs : new int[0]) {
                    theirs.add(recorded(midi, program));
                    theirHz.add(Ours.hz(midi));
                }
            }
            for (Row row : ROWS) {
                if (row.of().contains(kind)) {
                    double[] a = values(own, ownHz, row);
                    double[] b = values(theirs, theirHz, row);
                    rows++;
                    inside += told(kind.toString().toLowerCase(), row.what(), a, b) ? 1 : 0;
                }
            }
        }
        System.out.printf("%d of %d rows: our middle inside the recordings%n", inside, rows);
        besides(recorded);
    }

    private static double[] recorded(int midi, int program) throws IOException {
        return recorded(midi, program, RINGS);
    }

    /** A recorded note that is held for some seconds. */
    static double[] recorded(int midi, int program, double seconds) throws IOException {
        Recorded.Note note = new Recorded.Note(0.1, seconds + 0.1, midi, VELOCITY);
        return left(Recorded.of(List.of(note), program));
    }

    private static double[] left(Take take) {
        float[] stereo = take.stereo();
        double[] left = new double[stereo.length / 2];
        for (int i = 0; i < left.length; i++) {
            left[i] = stereo[2 * i];
        }
        return left;
    }

    private static double[] values(List<double[]> notes, List<Double> hz, Row row) {
        double[] values = new double[notes.size()];
        for (int i = 0; i < values.length; i++) {
            values[i] = row.value().applyAsDouble(new Sounding(notes.get(i)), hz.get(i));
        }
        return values;
    }

    private static boolean told(String kind, String what, double[] own, double[] theirs) {
        Arrays.sort(own);
        Arrays.sort(theirs);
        double middle = own[own.length / 2];
        System.out.printf(
                "%-5s %-24s %8.2f %3.0f..%-4.0f", kind, what, middle, own[0], own[own.length - 1]);
        if (theirs.length == 0) {
            System.out.println();
            return false;
        }
        double least = theirs[0];
        double most = theirs[theirs.length - 1];
        boolean inside = middle >= least && middle <= most;
        System.out.printf(
                "| %8.2f %8.2f %8.2f %s%n",
                theirs[theirs.length / 2], least, most, inside ? "inside" : "");
        return inside;
    }

    /** What has no recording beside it, or a drummer's. */
    private static void besides(boolean recorded) throws IOException {
        Ours ours = new Ours();
        for (Kind kind : Kind.values()) {
            double[] rest = ours.note(kind.amp, 45, 1, 1);
            Sounding s = new Sounding(rest);
            System.out.printf(
                    "%s: half a second after the hand, %.0f dBFS%n", kind, s.levelDb(1.4, 1.9));
            double share = 0;
            double centre = 0;
            for (int string = 0; string < 6; string++) {
                Sounding d = new Sounding(ours.dead(kind.amp, string));
                share = Math.max(share, d.inOneLine());
                centre += d.centroidKhz(0) / 6;
            }
            System.out.printf(
                    "%s: dead notes at most %.0f %% in one line, centroid %.2f kHz%n",
                    kind, 100 * share, centre);
            System.out.printf(
                    "%s: chugs dip %.1f dB (eighths at 200), %.1f (sixteenths at 140)%n",
                    kind, dip(kind, 60.0 / 200 / 2), dip(kind, 60.0 / 140 / 4));
            System.out.printf("%s: accents %.2f dB%n", kind, accent(kind));
            palmAccents(kind);
            System.out.printf("%s: spread of strokes %.2f dB%n", kind, spread(kind));
        }
        muted(recorded);
        bass(recorded);
        Sounding beat = new Sounding(ours.beat(4, 120));
        told("kit", "500 Hz under the whole", beat.bandDb(500), recorded, 500);
        told("kit", "1 kHz under the whole", beat.bandDb(1000), recorded, 1000);
        double[] bars = ours.beat(4, 120);
        System.out.printf("kit: bars alike %.3f%n", alike(bars, (int) (2 * Ours.RATE)));
    }

    /** Crest of the first 50 ms under a light and the usual palm, beside the muted clean guitar. */
    private static void muted(boolean recorded) throws IOException {
        for (int midi : MUTED) {
            System.out.printf(
                    "palm  %-24s %8.1f %8.1f | %8.1f%n",
                    "crest of 50 ms, dB, " + midi,
                    new Sounding(new Ours().muted(AmpSettings.CLEAN, midi, Damping.LIGHT, 0.5))
                            .crestDb(),
                    new Sounding(new Ours().muted(AmpSettings.CLEAN, midi, Damping.HALF, 0.5))
                            .crestDb(),
                    recorded ? new Sounding(recorded(midi, 28, 0.5)).crestDb() : Double.NaN);
        }
    }

    /** The bass with fingers and with a pick: what lies about 2 kHz, under the whole note. */
    private static void bass(boolean recorded) throws IOException {
        for (boolean picked : new boolean[] {false, true}) {
            double own = 0;
            double theirs = 0;
            for (int midi : BASS) {
                own += edge(new Ours().bass(midi, picked, 1)) / BASS.length;
                theirs += recorded ? edge(recorded(midi, picked ? 34 : 33)) / BASS.length : 0;
            }
            System.out.printf(
                    "bass  %-24s %8.1f | %8.1f%n",
                    (picked ? "pick" : "fingers") + ", 2 kHz under it",
                    own,
                    recorded ? theirs : Double.NaN);
        }
    }

    private static double edge(double[] x) {
        return new Sounding(x).bandDb(2000);
    }

    private static void told(String kind, String what, double own, boolean recorded, double hz)
            throws IOException {
        double theirs = recorded ? new Sounding(recordedBeat()).bandDb(hz) : Double.NaN;
        System.out.printf("%-5s %-24s %8.1f | %8.1f%n", kind, what, own, theirs);
    }

    /** The beat of {@link Ours#beat} on a recorded kit: four bars at 120. */
    private static double[] recordedBeat() throws IOException {
        List<Recorded.Note> strokes = new ArrayList<>();
        for (int i = 0; i < 32; i++) {
            double at = 0.25 * i;
            strokes.add(new Recorded.Note(at, at + 0.2, 42, i % 2 == 0 ? 90 : 64));
            if (i % 4 == 0) {
                strokes.add(new Recorded.Note(at, at + 0.2, 36, 114));
            } else if (i % 4 == 2) {
                strokes.add(new Recorded.Note(at, at + 0.2, 38, 108));
            }
        }
        return left(Recorded.kit(strokes));
    }

    /** How alike the second and the third bar are: their correlation. */
    private static double alike(double[] x, int bar) {
        double both = 0;
        double one = 0;
        double two = 0;
        for (int i = bar; i < 2 * bar; i++) {
            both += x[i] * x[i + bar];
            one += x[i] * x[i];
            two += x[i + bar] * x[i + bar];
        }
        return both / Math.sqrt(one * two);
    }

    private static double dip(Kind kind, double every) {
        int n = 16;
        double[] velocities = new double[n];
        Arrays.fill(velocities, 0.72);
        int[] shape = {0, -1, -1, -1, -1, -1};
        double[] x = new Ours(0, 11).strokes(kind.amp, shape, velocities, Damping.HALF, every);
        int ten = (int) (0.008 * Ours.RATE);
        double dips = 0;
        for (int i = 4; i < n - 2; i++) {
            int at = (int) (i * every * Ours.RATE);
            double most = Double.NEGATIVE_INFINITY;
            double least = Double.MAX_VALUE;
            for (int w = 0; w + ten < every * Ours.RATE; w += ten / 4) {
                double r = level(x, at + w, at + w + ten);
                most = Math.max(most, r);
                least = w > every * Ours.RATE / 2 ? Math.min(least, r) : least;
            }
            dips += (most - least) / (n - 6);
        }
        return dips;
    }

    private static double level(double[] x, int a, int b) {
        double sum = 0;
        for (int i = a; i < b; i++) {
            sum += x[i] * x[i];
        }
        return 10 * Math.log10(sum / (b - a) + 1e-30);
    }

    private static final double[] ACCENTED = new double[17];

    static {
        for (int i = 0; i < ACCENTED.length; i++) {
            ACCENTED[i] = i % 4 == 0 ? 0.98 : 0.78;
        }
    }

    /** By how much every fourth, accented stroke of a fifth is louder than those between. */
    private static double accent(Kind kind) {
        int[] shape = {3, 5, 5, -1, -1, -1};
        return accent(new Ours(0, 11).strokes(kind.amp, shape, ACCENTED, Damping.OPEN, 0.25), 0.25);
    }

    private static double accent(double[] x, double every) {
        double up = 0;
        double plain = 0;
        for (int i = 4; i < ACCENTED.length - 1; i++) {
            int at = (int) (i * every * Ours.RATE);
            double db = level(x, at, at + (int) (0.8 * every * Ours.RATE));
            up += i % 4 == 0 ? db / 3 : 0;
            plain += i % 4 == 0 ? 0 : db / 9;
        }
        return up - plain;
    }

    /** Accents under the palm, as they are struck and as a file has them. */
    private static void palmAccents(Kind kind) {
        int[] shape = {3, 5, 5, -1, -1, -1};
        double every = 0.2;
        Ours even = new Ours(0, 11);
        double[] x = even.strokes(kind.amp, shape, ACCENTED, Damping.HALF, every);
        double peak = Arrays.stream(x).map(Math::abs).max().orElse(1);
        double most = Levels.MOST_OVER * Engine.CEILING / peak;
        double gain = Ours.QUIET * Math.min(most, Math.pow(10, (Levels.TARGET - lkfs(x)) / 20));
        double[] y = even.strokes(kind.amp, shape, ACCENTED, Damping.HALF, every, gain);
        System.out.printf(
                "%s: accents under the palm %.2f dB, in a file %.2f at %.1f LKFS%n",
                kind, accent(x, every), accent(y, every), lkfs(y));
    }

    private static double lkfs(double[] x) {
        float[] stereo = new float[2 * x.length];
        for (int i = 0; i < x.length; i++) {
            stereo[2 * i] = (float) x[i];
            stereo[2 * i + 1] = (float) x[i];
        }
        return Loudness.integrated(stereo, x.length);
    }

    /** How far strokes that are meant alike lie apart, as a deviation in dB, at free hands. */
    private static double spread(Kind kind) {
        int n = 24;
        double[] velocities = new double[n];
        Arrays.fill(velocities, 0.78);
        int[] shape = {3, 5, 5, -1, -1, -1};
        double every = 0.5;
        double[] x = new Ours(1, 11).strokes(kind.amp, shape, velocities, Damping.OPEN, every);
        double sum = 0;
        double squares = 0;
        for (int i = 0; i < n; i++) {
            int at = (int) (i * every * Ours.RATE);
            double db = level(x, at, at + (int) (0.4 * Ours.RATE));
            sum += db / n;
            squares += db * db / n;
        }
        return Math.sqrt(Math.max(0, squares - sum * sum));
    }
}
