package vocalis.workbench.listening;

import java.util.ArrayList;
import java.util.List;
import vocalis.sound.learnt.NoteEar;
import vocalis.sound.learnt.StrokeEar;
import vocalis.sound.learnt.StrokePicture;
import vocalis.sound.listen.HeardNotes;
import vocalis.sound.listen.StrokeReader.HeardStroke;
import vocalis.sound.listen.Take;

/**
 * A take as the nets hear it: strokes, and the notes that are struck in each. For what our clean
 * strings do not explain: an amplifier that clips, other guitars.
 */
final class LearntEar {

    /** So many strokes tell how a take is tuned. */
    private static final int TRIED = 8;

    /** A guitar may lie so far from its pitch, in cents, in such steps. */
    private static final int MOST_CENTS = 40;

    private static final int STEP_CENTS = 10;

    /** From here on a stroke cannot be ruled out. */
    private static final double FAINT = 0.08;

    private static final double LEVEL_SECONDS = 0.04;

    /** How far a stroke falls that a hand stops, and one that rings, in dB; not measured here. */
    private static final double STOPPED_DB = 20;

    private static final double RINGING_DB = 3;

    private final Take take;
    private final double a4Cents;
    private final double[] likely;
    private final List<Double> onsets;

    /**
     * What is struck in a take, by time, its shapes not read yet.
     *
     * @param struck of each stroke the odds of its notes, where our clean strings do not explain
     *     the take; else none
     * @param faint where a stroke may be too, in seconds, as far as the nets hear it
     * @param odds how likely a stroke begins at each hop of {@link StrokePicture#HOP_SECONDS}
     */
    record Heard(
            List<HeardStroke> strokes,
            List<NoteEar.Struck> struck,
            List<Double> faint,
            double[] odds) {

        /** Of clean strings of ours. */
        Heard(List<HeardStroke> strokes) {
            this(strokes, List.of(), List.of(), new double[0]);
        }

        /** How likely a stroke begins at a time, in seconds; 0 where no net was asked. */
        double likely(double seconds) {
            double hop = seconds / StrokePicture.HOP_SECONDS;
            int i = (int) Math.floor(hop);
            if (i < 0 || i + 1 >= odds.length) {
                return 0;
            }
            return odds[i] + (hop - i) * (odds[i + 1] - odds[i]);
        }

        /** Whether it sounds like clean strings of ours. */
        boolean clean() {
            return struck.isEmpty();
        }
    }

    LearntEar(Take take, double a4Hz) {
        this.take = take;
        a4Cents = cents(a4Hz);
        likely = StrokeEar.likely(take);
        onsets = StrokeEar.at(likely, StrokeEar.LEAST);
    }

    /** Whether an amplifier clips in most of the first strokes. */
    boolean driven() {
        int n = Math.min(TRIED, onsets.size());
        double sum = 0;
        for (int i = 0; i < n; i++) {
            sum += struck(i, a4Cents).driven();
        }
        return sum > 0.5 * n;
    }

    /** Where something is struck, in seconds, by time. */
    List<Double> onsets() {
        return onsets;
    }

    /** Those strokes as they were read otherwise, with where the nets hear that one begins. */
    Heard beside(List<HeardStroke> strokes) {
        return new Heard(strokes, List.of(), List.of(), likely);
    }

    /** Those strokes as they were read otherwise, with the odds of their notes. */
    Heard heard(List<HeardStroke> strokes) {
        double cents = cents();
        List<NoteEar.Struck> all = new ArrayList<>();
        for (int i = 0; i < onsets.size(); i++) {
            all.add(struck(i, a4Cents + cents));
        }
        return new Heard(strokes, all, StrokeEar.at(likely, FAINT), likely);
    }

    /** The strokes by time with the odds of their notes, by the nets alone. */
    Heard heard() {
        double cents = cents();
        List<HeardStroke> strokes = new ArrayList<>();
        List<NoteEar.Struck> all = new ArrayList<>();
        for (int i = 0; i < onsets.size(); i++) {
            NoteEar.Struck struck = struck(i, a4Cents + cents);
            HeardNotes notes = new HeardNotes(notes(struck), cents, 0, List.of());
            double at = onsets.get(i);
            double power = take.power(take.frame(at), take.frame(at + LEVEL_SECONDS)) + 1e-12;
            double fell = struck.stopped() > 0.5 ? STOPPED_DB : RINGING_DB;
            strokes.add(new HeardStroke(at, untilNext(i), notes, 10 * Math.log10(power), fell));
            all.add(struck);
        }
        return new Heard(strokes, all, StrokeEar.at(likely, FAINT), likely);
    }

    /** The tuning in which the notes of the first strokes are plainest. */
    private double cents() {
        int best = 0;
        double most = 0;
        for (int c = -MOST_CENTS; c <= MOST_CENTS; c += STEP_CENTS) {
            double plain = 0;
            for (int i = 0; i < Math.min(TRIED, onsets.size()); i++) {
                NoteEar.Struck struck = struck(i, a4Cents + c);
                for (int k = 0; k < NoteEar.NOTES; k++) {
                    plain += Math.max(0, struck.odds(NoteEar.LOWEST_MIDI + k));
                }
            }
            boolean better = plain > most || plain == most && Math.abs(c) < Math.abs(best);
            best = better ? c : best;
            most = Math.max(most, plain);
        }
        return best;
    }

    /** How far a guitar lies over 440 Hz. */
    static double cents(double a4Hz) {
        return 1200 * Math.log(a4Hz / 440) / Math.log(2);
    }

    /** What a net hears in a stroke that was read otherwise. */
    static NoteEar.Struck beside(Take take, List<HeardStroke> strokes, int i, double a4Hz) {
        HeardStroke s = strokes.get(i);
        double last = i == 0 ? 1 : s.seconds() - strokes.get(i - 1).seconds();
        double end = i + 1 < strokes.size() ? strokes.get(i + 1).seconds() : take.seconds();
        double cents = cents(a4Hz) + s.notes().cents();
        return NoteEar.of(take, s.seconds(), last, end - s.seconds(), cents);
    }

    private NoteEar.Struck struck(int i, double cents) {
        double last = i == 0 ? 1 : onsets.get(i) - onsets.get(i - 1);
        return NoteEar.of(take, onsets.get(i), last, untilNext(i), cents);
    }

    private double untilNext(int i) {
        double next = i + 1 < onsets.size() ? onsets.get(i + 1) : take.seconds();
        return next - onsets.get(i);
    }

    /** How likely a note was struck and no other, 0 to 1. */
    static double alone(NoteEar.Struck struck, int midi) {
        double share = struck.share(midi);
        for (int k = 0; k < NoteEar.NOTES; k++) {
            int other = NoteEar.LOWEST_MIDI + k;
            share *= other == midi ? 1 : 1 - struck.share(other);
        }
        return share;
    }

    /** Those that are likelier than not. */
    static List<HeardNotes.Note> notes(NoteEar.Struck struck) {
        List<HeardNotes.Note> all = new ArrayList<>();
        for (int i = 0; i < NoteEar.NOTES; i++) {
            int midi = NoteEar.LOWEST_MIDI + i;
            if (struck.odds(midi) > 0) {
                all.add(new HeardNotes.Note(midi, struck.share(midi)));
            }
        }
        return all;
    }
}
