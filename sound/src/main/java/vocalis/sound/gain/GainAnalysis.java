package vocalis.sound.gain;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import vocalis.core.harmony.Roughness;
import vocalis.core.theory.Pitch;
import vocalis.sound.amp.AmpSettings;
import vocalis.sound.amp.Amplifier;
import vocalis.sound.engine.StringBank;

/**
 * What gain adds to a chord.
 *
 * <p>Design: the strings are rendered one by one and their partials measured as they stand 150 ms
 * after the stroke ({@link Source}); a test tone of these partials, falling as the strings' do,
 * goes through the actual amplifier, and the lines of what comes out are compared with those that
 * went in. Lines that are no partial of any string but a simple combination of two fundamentals are
 * ghosts; others, from partials far up that stiffness has moved, are no notes and told together
 * ({@link Mixture}). Roughness after Plomp and Levelt (1965) and Sethares (1993) is reckoned over
 * the lines up to {@value #ROUGH_TO_HZ} Hz and down to {@value #ROUGH_FLOOR_DB} dB, in full from
 * {@value #ROUGH_EDGE_DB} dB over that, their amplitudes scaled to the whole sound's: one strong
 * partial more or less changes little.
 */
public final class GainAnalysis {

    /** Under this frequency roughness counts as mud. */
    public static final double MUD_HZ = 250;

    /** Lines closer than this are one. */
    public static final double MERGED_CENTS = 15;

    /** Frames of the spectrum: 1.37 s at 48 kHz. */
    public static final int WINDOW = 65536;

    private static final double MUD_EDGE_HZ = 50;

    private static final double SETTLE_SECONDS = 0.25;
    private static final double GHOST_FLOOR_DB = -50;
    private static final double ROUGH_FLOOR_DB = -38;

    /** So far over the floor a line counts in full: one that is a little louder makes no step. */
    private static final double ROUGH_EDGE_DB = 8;

    /**
     * Above this the lines of any distorted note lie within one critical band of each other and rub
     * alike whatever the chord, so they are left out of the roughness.
     */
    private static final double ROUGH_TO_HZ = 1200;

    /** Lines closer than this beat slowly, which is heard as swelling, not as rough. */
    private static final double SLOWEST_ROUGH_HZ = 6;

    private static final double PARTIAL_CENTS = 15;
    private static final double PARTIAL_BINS = 1.6;
    private static final double BEAT_FLOOR_DB = -24;
    private static final double SLOWEST_BEAT = 0.25;
    private static final double FASTEST_BEAT = 25;

    /**
     * Above this (or twice the highest fundamental) the products lie so close together that they
     * are heard as noise, not as notes.
     */
    private static final double GHOSTS_TO_HZ = 1000;

    private static final int MOST_ADDED = 12;
    private static final double COMMON_CENTS = 28;
    private static final int MOST_COMMON = 8;

    private GainAnalysis() {}

    /**
     * Reads a shape.
     *
     * @param bank patches of the strings at {@code sampleRate}
     * @param frets per string, lowest first, -1 for silence; at least one sounds
     * @param cents per string, how far it is drawn out of tune; empty for none
     * @param amp the amplifier
     * @param a4Hz tuning standard, for the names of ghosts
     */
    public static GainReading of(
            StringBank bank,
            int[] frets,
            double[] cents,
            AmpSettings amp,
            double a4Hz,
            double sampleRate) {
        GainReading first = stroke(bank, frets, cents, amp, a4Hz, sampleRate, 0);
        double clean = first.roughClean();
        double gain = first.roughGain();
        double mud = first.mud();
        for (int n = 1; n < STROKES; n++) {
            GainReading another = stroke(bank, frets, cents, amp, a4Hz, sampleRate, n);
            clean += another.roughClean();
            gain += another.roughGain();
            mud += another.mud();
        }
        return first.rubbing(clean / STROKES, gain / STROKES, mud / STROKES);
    }

    /** Roughness is the mean over so many strokes: one alone may hide or stress a partial. */
    private static final int STROKES = 3;

    private static GainReading stroke(
            StringBank bank,
            int[] frets,
            double[] cents,
            AmpSettings amp,
            double a4Hz,
            double sampleRate,
            int n) {
        List<Source> sources = Source.of(bank, frets, cents, sampleRate, n);
        if (sources.isEmpty()) {
            throw new IllegalArgumentException("the shape sounds no string");
        }
        int settle = (int) (SETTLE_SECONDS * sampleRate);
        double[] tone = tone(sources, settle, settle + WINDOW, sampleRate);
        List<Line> in = Spectrum.lines(tone, settle, WINDOW, sampleRate, ROUGH_FLOOR_DB);
        new Amplifier(sampleRate, amp, bank.guitar().pickup()).process(tone, 0, tone.length);
        List<Line> out = Spectrum.lines(tone, settle, WINDOW, sampleRate, GHOST_FLOOR_DB);
        return read(sources, in, out, a4Hz, sampleRate);
    }

    /** The partials, each with the phase and level it has 150 ms after the stroke at {@code at}. */
    private static double[] tone(List<Source> sources, int at, int frames, double sampleRate) {
        double[] x = new double[frames];
        List<Turning> all = new ArrayList<>();
        for (Source s : sources) {
            s.partials().forEach(p -> all.add(Turning.of(p, at, sampleRate)));
        }
        while (all.size() % 4 != 0) {
            all.add(Turning.NONE);
        }
        for (int k = 0; k < all.size(); k += 4) {
            add(x, all.get(k), all.get(k + 1), all.get(k + 2), all.get(k + 3));
        }
        return x;
    }

    /**
     * A partial as it swings and falls: every frame is {@code twice} the one before less {@code
     * last} of the one before that (the recurrence of cosines).
     *
     * @param first what sounds in the first frame
     * @param before what would have sounded a frame earlier
     * @param twice two cosines of the angle it turns by in a frame, times what is left after one
     * @param last what is left after two frames
     */
    private record Turning(double first, double before, double twice, double last) {

        static final Turning NONE = new Turning(0, 0, 0, 0);

        static Turning of(Source.Partial p, int at, double sampleRate) {
            double w = 2 * Math.PI * p.hz() / sampleRate;
            double phase = p.phase() - w * at;
            double left = p.left();
            double amplitude = p.amplitude() * Math.pow(left, -at);
            return new Turning(
                    amplitude * Math.cos(phase),
                    amplitude / left * Math.cos(phase - w),
                    2 * left * Math.cos(w),
                    left * left);
        }
    }

    /** Four at a time: each frame of one waits for the frame before, that of the others not. */
    private static void add(double[] x, Turning a, Turning b, Turning c, Turning d) {
        double a1 = a.before;
        double a0 = a.first;
        double b1 = b.before;
        double b0 = b.first;
        double c1 = c.before;
        double c0 = c.first;
        double d1 = d.before;
        double d0 = d.first;
        double at = a.twice;
        double bt = b.twice;
        double ct = c.twice;
        double dt = d.twice;
        double al = a.last;
        double bl = b.last;
        double cl = c.last;
        double dl = d.last;
        for (int i = 0; i < x.length; i++) {
            x[i] += a0 + b0 + (c0 + d0);
            double next = at * a0 - al * a1;
            a1 = a0;
            a0 = next;
            next = bt * b0 - bl * b1;
            b1 = b0;
            b0 = next;
            next = ct * c0 - cl * c1;
            c1 = c0;
            c0 = next;
            next = dt * d0 - dl * d1;
            d1 = d0;
            d0 = next;
        }
    }

    private static GainReading read(
            List<Source> sources, List<Line> in, List<Line> out, double a4Hz, double rate) {
        List<Double> fundamentals = sources.stream().map(Source::hz).toList();
        double[] gain = roughness(out);
        double power = 0;
        double moment = 0;
        for (Line l : out) {
            power += l.amplitude();
            moment += l.hz() * l.amplitude();
        }
        double strongest = strongest(out);
        List<Line> added = added(sources, out, fundamentals, rate);
        List<Ghost> ghosts = new ArrayList<>();
        List<Line> mixed = new ArrayList<>();
        for (Line l : added) {
            Relation r = Relation.of(l.hz(), fundamentals);
            if (r == null) {
                mixed.add(l);
            } else {
                ghosts.add(ghost(l, strongest, r, a4Hz));
            }
        }
        return new GainReading(
                fundamentals,
                ghosts,
                mixed.stream()
                        .findFirst()
                        .map(l -> new Mixture(mixed.size(), l.dbAgainst(strongest))),
                roughness(in)[0],
                gain[0],
                gain[1],
                moment / power,
                beats(out),
                common(fundamentals));
    }

    /** The loudest lines that no string brought, loudest first. */
    private static List<Line> added(
            List<Source> sources, List<Line> out, List<Double> fundamentals, double rate) {
        double highest = fundamentals.stream().mapToDouble(d -> d).max().orElseThrow();
        double ceiling = Math.max(GHOSTS_TO_HZ, 2 * highest);
        List<Line> added =
                out.stream()
                        .filter(l -> l.hz() < ceiling && !partial(l.hz(), sources, rate))
                        .toList();
        return Spectrum.merged(added, MERGED_CENTS).stream()
                .sorted(Comparator.comparingDouble(Line::amplitude).reversed())
                .limit(MOST_ADDED)
                .toList();
    }

    private static Ghost ghost(Line l, double strongest, Relation relation, double a4Hz) {
        double midi = 69 + 12 * Math.log(l.hz() / a4Hz) / Math.log(2);
        int nearest = (int) Math.round(midi);
        double cents = 100 * (midi - nearest);
        return new Ghost(l.hz(), l.dbAgainst(strongest), nearest, cents, relation);
    }

    /** Whether a line is a partial of a sounding string, or a multiple of its first. */
    static boolean partial(double hz, List<Source> sources, double rate) {
        double bins = PARTIAL_BINS * rate / WINDOW;
        for (Source s : sources) {
            double n = Math.rint(hz / s.hz());
            if (n >= 1 && near(hz, n * s.hz(), bins)) {
                return true;
            }
            for (Source.Partial p : s.partials()) {
                if (near(hz, p.hz(), bins)) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean near(double hz, double other, double within) {
        return Math.abs(hz - other) < within || Math.abs(Pitch.cents(other, hz)) < PARTIAL_CENTS;
    }

    private static double strongest(List<Line> lines) {
        return lines.stream().mapToDouble(Line::amplitude).max().orElse(1);
    }

    /**
     * All of it, and what of it lies below {@link #MUD_HZ}; in units that make a low third about 1.
     */
    private static double[] roughness(List<Line> lines) {
        double whole =
                Math.sqrt(lines.stream().mapToDouble(l -> l.amplitude() * l.amplitude()).sum());
        List<Line> strong =
                Spectrum.merged(
                        lines.stream()
                                .filter(l -> l.hz() < ROUGH_TO_HZ)
                                .map(l -> new Line(l.hz(), counted(l.amplitude(), whole)))
                                .filter(l -> l.amplitude() > 0)
                                .toList(),
                        MERGED_CENTS,
                        SLOWEST_ROUGH_HZ);
        double sum = 0;
        double mud = 0;
        for (int i = 0; i < strong.size(); i++) {
            Line a = strong.get(i);
            for (int j = i + 1; j < strong.size(); j++) {
                Line b = strong.get(j);
                double r =
                        Roughness.pair(
                                a.hz(), a.amplitude() / whole, b.hz(), b.amplitude() / whole);
                sum += r;
                mud += r * low((a.hz() + b.hz()) / 2);
            }
        }
        return new double[] {2 * sum, 2 * mud};
    }

    /**
     * What of the roughness about a frequency is mud: all under 200 Hz, half at 250, none over 300.
     */
    private static double low(double hz) {
        return Math.max(0, Math.min(1, 0.5 + (MUD_HZ - hz) / (2 * MUD_EDGE_HZ)));
    }

    /** What of a line counts: all of a loud one, nothing under the floor, and a part between. */
    private static double counted(double amplitude, double whole) {
        double over = 20 * Math.log10(amplitude / whole + 1e-12) - ROUGH_FLOOR_DB;
        return amplitude * Math.max(0, Math.min(1, over / ROUGH_EDGE_DB));
    }

    /** The slowest difference between two strong neighbouring lines that is still a beat. */
    private static OptionalDouble beats(List<Line> out) {
        double strongest = strongest(out);
        List<Line> strong =
                out.stream().filter(l -> l.dbAgainst(strongest) > BEAT_FLOOR_DB).toList();
        double slowest = Double.MAX_VALUE;
        for (int i = 1; i < strong.size(); i++) {
            double apart = strong.get(i).hz() - strong.get(i - 1).hz();
            if (apart > SLOWEST_BEAT && apart < slowest) {
                slowest = apart;
            }
        }
        return slowest < FASTEST_BEAT ? OptionalDouble.of(slowest) : OptionalDouble.empty();
    }

    /** The lowest note's fundamental over the least number that makes all notes multiples. */
    static OptionalDouble common(List<Double> fundamentals) {
        double lowest = fundamentals.stream().mapToDouble(d -> d).min().orElseThrow();
        for (int k = 1; k <= MOST_COMMON; k++) {
            double base = lowest / k;
            List<Double> off = new ArrayList<>();
            for (double f : fundamentals) {
                off.add(Math.abs(Pitch.cents(Math.max(1, Math.rint(f / base)) * base, f)));
            }
            if (off.stream().allMatch(c -> c < COMMON_CENTS)) {
                return OptionalDouble.of(base);
            }
        }
        return OptionalDouble.empty();
    }
}
