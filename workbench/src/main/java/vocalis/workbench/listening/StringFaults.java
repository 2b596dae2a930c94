package vocalis.workbench.listening;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Onset;
import vocalis.core.score.Ringing;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.sound.learnt.NoteEar;
import vocalis.sound.listen.HeardNotes;
import vocalis.sound.listen.ShapeFit;
import vocalis.sound.listen.StringSounds;

/**
 * What strings did that is not written: the shape as written beside the same with one string
 * silent, a fret or two off, or an open one more. A fault is told only where the sound is clearly
 * more like it. Margins set by hand on right and wrong takes of our own.
 */
final class StringFaults {

    /**
     * How much more like another shape a sound must be.
     *
     * @param off with a finger elsewhere
     * @param silent with a string less: an octave hides in its lower note
     * @param rang with an open string more, which must be heard clearly
     * @param hidden the same among the partials of what is struck
     */
    private record Margins(double off, double silent, double rang, double hidden) {}

    /** In dB, of clean strings of ours. */
    private static final Margins OURS = new Margins(0.9, 1.1, 2, 3);

    /** In logarithms of the odds, of what the nets hear. */
    private static final Margins LEARNT = new Margins(5, 4, 4, 5);

    /**
     * The same beside what the nets hear in a rendering as written. Chosen by the odds at the
     * written times of 62 takes of our own with one thing otherwise: two of them or fewer have a
     * note elsewhere that passes.
     */
    private static final Margins BESIDE_RENDERING = new Margins(2.5, 5, 3.5, 3.5);

    /** What the odds in the rendering count, and down to where. */
    private static final double PER_EXPECTED = 0.5;

    private static final double LEAST_EXPECTED = -4;

    /** What the odds count beside the lines, in dB. */
    private static final double PER_ODDS = 0.35;

    /** The logarithm of a note's odds counts up to here: nobody is surer than that. */
    private static final double MOST_ODDS = 6;

    /** Where partials lie above their note, in semitones. */
    private static final Set<Integer> PARTIALS = Set.of(12, 19, 24, 28, 31);

    private static final long FADING_TICKS = Ticks.QUARTER / 2;

    private static final int MOST = 2;

    private final Fretboard board;
    private final StringSounds sounds;
    private final List<Ringing.Sound> ringing;

    StringFaults(Score score, double a4Hz) {
        board = score.board();
        sounds = Plucks.sounds(board, a4Hz);
        ringing = Ringing.of(score);
    }

    private record Try(Shape shape, Played.StringFault fault, double margin) {}

    /**
     * What was read of a stroke.
     *
     * @param faults what was not as written
     * @param cost how far the sound is even from that, in dB; NaN where the stroke cannot be read
     */
    record Read(List<Played.StringFault> faults, double cost) {

        private static final Read NOTHING = new Read(List.of(), Double.NaN);
    }

    /** What was not as written in a stroke, by its lines and by the odds of its notes. */
    Read of(Onset o, HeardNotes notes, NoteEar.Struck struck) {
        if (notes.lines().isEmpty() || o.muted() || moves(o)) {
            return Read.NOTHING;
        }
        ShapeFit fit = new ShapeFit(sounds, sounds.power(notes.lines(), notes.cents()));
        Shape written = written(o);
        Shape with = written;
        for (Ringing.Sound s : ringing) {
            int string = s.note().string();
            boolean on = s.from() < o.at() && s.to() > o.at();
            if (on && written.fret(string) == Shape.SILENT) {
                with = with.with(string, s.midi() - board.midi(string, 0));
            }
        }
        ToDoubleFunction<Shape> cost = s -> s.voices() == 0 ? 100 : fit.cost(s);
        boolean together = cost.applyAsDouble(with) < cost.applyAsDouble(written);
        Shape base = together ? with : written;
        Shape on = base;
        for (int string : written.sounded()) {
            on = on.with(string, Shape.SILENT);
        }
        Set<Integer> ringing = board.notes(on);
        ToDoubleFunction<Shape> both =
                s -> cost.applyAsDouble(s) + PER_ODDS * unheard(s, struck, ringing);
        return read(o, base, both, cost, OURS);
    }

    /** The same by the odds of a stroke's notes. */
    Read of(Onset o, NoteEar.Struck struck) {
        if (o.muted() || moves(o)) {
            return Read.NOTHING;
        }
        ToDoubleFunction<Shape> odds = s -> unheard(s, struck, Set.of());
        return read(o, written(o), odds, odds, LEARNT);
    }

    /** The same beside the odds in a rendering of the stroke as written. */
    Read of(Onset o, NoteEar.Struck struck, NoteEar.Struck expected) {
        if (o.muted() || moves(o)) {
            return Read.NOTHING;
        }
        ToDoubleFunction<Shape> odds =
                s -> -board.notes(s).stream().mapToDouble(m -> beside(struck, expected, m)).sum();
        return read(o, written(o), odds, odds, BESIDE_RENDERING);
    }

    /** How much a note is heard, less a part of how much it is heard in any case. */
    private static double beside(NoteEar.Struck struck, NoteEar.Struck expected, int midi) {
        double inAnyCase = Math.max(LEAST_EXPECTED, limited(expected, midi));
        return limited(struck, midi) - PER_EXPECTED * inAnyCase;
    }

    /** The logarithm of a note's odds, no surer than anybody is. */
    static double limited(NoteEar.Struck struck, int midi) {
        return Math.max(-MOST_ODDS, Math.min(MOST_ODDS, struck.odds(midi)));
    }

    /** How unlikely it is that a shape was struck, but for notes that ring in any case. */
    private double unheard(Shape shape, NoteEar.Struck struck, Set<Integer> ringing) {
        return -board.notes(shape).stream()
                .filter(midi -> !ringing.contains(midi))
                .mapToDouble(midi -> limited(struck, midi))
                .sum();
    }

    private static boolean moves(Onset o) {
        return o.notes().stream().anyMatch(n -> !n.techniques().isEmpty());
    }

    private Shape written(Onset o) {
        Shape written = Shape.silent(board.strings());
        for (ScoreNote n : o.notes()) {
            written = written.with(n.string(), n.fret());
        }
        return written;
    }

    /**
     * @param costs what tells shapes apart
     * @param told how far the sound is from one
     */
    private Read read(
            Onset o,
            Shape as,
            ToDoubleFunction<Shape> costs,
            ToDoubleFunction<Shape> told,
            Margins margins) {
        Map<Shape, Double> known = new HashMap<>();
        Shape base = as;
        Set<Integer> struck = new HashSet<>(written(o).sounded());
        List<Played.StringFault> faults = new ArrayList<>();
        double now = cost(costs, base, known);
        while (faults.size() < MOST) {
            Try best = null;
            double least = 0;
            for (Try t : tries(base, struck, o.at(), margins)) {
                double gain = now - cost(costs, t.shape(), known) - t.margin();
                if (gain > least) {
                    least = gain;
                    best = t;
                }
            }
            if (best == null) {
                break;
            }
            faults.add(best.fault());
            struck.remove(best.fault().string());
            base = best.shape();
            now = cost(costs, base, known);
        }
        return new Read(faults, told.applyAsDouble(base));
    }

    private static double cost(
            ToDoubleFunction<Shape> costs, Shape shape, Map<Shape, Double> known) {
        return known.computeIfAbsent(shape, costs::applyAsDouble);
    }

    /** Whether a pitch lies where a partial of the shape does, and so is heard in any case. */
    private boolean partial(int midi, Shape shape) {
        return shape.sounded().stream()
                .anyMatch(s -> PARTIALS.contains(midi - board.midi(s, shape.fret(s))));
    }

    /** A pitch that sounded just before may still be heard, and is no fault. */
    private boolean justSounded(int midi, long at) {
        return ringing.stream()
                .anyMatch(s -> s.midi() == midi && s.from() < at && s.to() > at - FADING_TICKS);
    }

    /** The shape with one string otherwise. */
    private List<Try> tries(Shape base, Set<Integer> struck, long at, Margins margins) {
        List<Try> all = new ArrayList<>();
        for (int s = 0; s < board.strings(); s++) {
            int fret = base.fret(s);
            if (struck.contains(s)) {
                all.add(
                        new Try(
                                base.with(s, Shape.SILENT),
                                new Played.StringFault(s, Played.What.SILENT, fret),
                                margins.silent()));
                for (int by : new int[] {-2, -1, 1, 2}) {
                    if (fret + by >= 0 && fret + by <= board.frets()) {
                        all.add(
                                new Try(
                                        base.with(s, fret + by),
                                        new Played.StringFault(s, Played.What.OFF, fret + by),
                                        margins.off()));
                    }
                }
            } else if (fret == Shape.SILENT && !justSounded(board.midi(s, 0), at)) {
                all.add(
                        new Try(
                                base.with(s, 0),
                                new Played.StringFault(s, Played.What.RANG, 0),
                                partial(board.midi(s, 0), base)
                                        ? margins.hidden()
                                        : margins.rang()));
            }
        }
        return all;
    }
}
