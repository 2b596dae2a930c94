package vocalis.workbench.listening;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Onset;
import vocalis.core.score.Ringing;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.sound.listen.HeardNotes;
import vocalis.sound.listen.ShapeFit;
import vocalis.sound.listen.StringSounds;

/**
 * What strings did that is not written: the shape as written beside the same with one string
 * silent, a fret or two off, or an open one more. A fault is told only where the sound is clearly
 * more like it. Margins set by hand on right and wrong takes of our own.
 */
final class StringFaults {

    private static final double MARGIN_DB = 0.9;

    /** An octave hides in its lower note: that a string is silent must be clearer. */
    private static final double SILENT_MARGIN_DB = 1.1;

    /** An open string that nobody struck must be heard clearly. */
    private static final double RANG_MARGIN_DB = 2;

    /** The same for an open string among the partials of what is struck. */
    private static final double HIDDEN_MARGIN_DB = 3;

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

    /** What was not as written in a stroke. */
    Read of(Onset o, HeardNotes notes) {
        boolean moves = o.notes().stream().anyMatch(n -> !n.techniques().isEmpty());
        if (notes.lines().isEmpty() || o.muted() || moves) {
            return Read.NOTHING;
        }
        ShapeFit fit = new ShapeFit(sounds, sounds.power(notes.lines(), notes.cents()));
        Shape written = Shape.silent(board.strings());
        for (ScoreNote n : o.notes()) {
            written = written.with(n.string(), n.fret());
        }
        Shape with = written;
        for (Ringing.Sound s : ringing) {
            int string = s.note().string();
            boolean on = s.from() < o.at() && s.to() > o.at();
            if (on && written.fret(string) == Shape.SILENT) {
                with = with.with(string, s.midi() - board.midi(string, 0));
            }
        }
        Map<Shape, Double> known = new HashMap<>();
        double alone = cost(fit, written, known);
        double together = cost(fit, with, known);
        Shape base = together < alone ? with : written;
        Set<Integer> struck = new HashSet<>(written.sounded());
        List<Played.StringFault> faults = new ArrayList<>();
        double now = Math.min(alone, together);
        while (faults.size() < MOST) {
            Try best = null;
            double least = 0;
            for (Try t : tries(base, struck, o.at())) {
                double gain = now - cost(fit, t.shape(), known) - t.margin();
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
            now = cost(fit, base, known);
        }
        return new Read(faults, now);
    }

    private static double cost(ShapeFit fit, Shape shape, Map<Shape, Double> known) {
        return known.computeIfAbsent(shape, s -> s.voices() == 0 ? 100 : fit.cost(s));
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
    private List<Try> tries(Shape base, Set<Integer> struck, long at) {
        List<Try> all = new ArrayList<>();
        for (int s = 0; s < board.strings(); s++) {
            int fret = base.fret(s);
            if (struck.contains(s)) {
                all.add(
                        new Try(
                                base.with(s, Shape.SILENT),
                                new Played.StringFault(s, Played.What.SILENT, fret),
                                SILENT_MARGIN_DB));
                for (int by : new int[] {-2, -1, 1, 2}) {
                    if (fret + by >= 0 && fret + by <= board.frets()) {
                        all.add(
                                new Try(
                                        base.with(s, fret + by),
                                        new Played.StringFault(s, Played.What.OFF, fret + by),
                                        MARGIN_DB));
                    }
                }
            } else if (fret == Shape.SILENT && !justSounded(board.midi(s, 0), at)) {
                all.add(
                        new Try(
                                base.with(s, 0),
                                new Played.StringFault(s, Played.What.RANG, 0),
                                partial(board.midi(s, 0), base)
                                        ? HIDDEN_MARGIN_DB
                                        : RANG_MARGIN_DB));
            }
        }
        return all;
    }
}
