package vocalis.workbench.listening;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.score.Ringing;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.sound.listen.Brightness;
import vocalis.sound.listen.ChangeTrack;
import vocalis.sound.listen.ChangeTrack.Grain;
import vocalis.sound.listen.Changes;
import vocalis.sound.listen.StrokeReader.HeardStroke;
import vocalis.sound.listen.Take;

/**
 * Holds a take against the riff that it is of: each stroke of the score beside the nearest that was
 * heard, in time and in pitch. Late by the same amount throughout is a way of playing and no fault:
 * strokes are early or late against the middle of their pass. Thresholds set by hand.
 */
public final class Follower {

    /** A stroke this far off, in ms, is another one. */
    private static final double ANOTHER_MS = 130;

    /** Out of time from here on, in ms. */
    private static final double OFF_MS = 30;

    private static final double WITHIN_SECONDS = 0.08;
    private static final double AT_ONCE_SECONDS = 0.25;

    /** Strings that ring and get so much brighter near a stroke were struck again. */
    private static final double AGAIN_DB = 2.4;

    private static final double AGAIN_SECONDS = 0.04;
    private static final double EXTRA_DB = 14;

    private static final double RINGS_SECONDS = 0.3;
    private static final double FAINT_SECONDS = 0.06;

    /** A stroke of which a net hears less in a rendering as written is not heard in a take. */
    private static final double AUDIBLE = 0.3;

    /** What is like its rendering by so much is that stroke. */
    private static final double LIKE = 0.25;

    /** What is like its rendering by so much was played, though nothing was heard to begin. */
    private static final double PLAYED = 0.5;

    private final Written written;
    private final Take take;
    private final PassStrings strings;
    private final Map<Grain, ChangeTrack> tracks = new EnumMap<>(Grain.class);
    private final Score score;
    private final List<Onset> onsets;
    private final LearntEar.Heard ears;
    private final List<HeardStroke> heard;
    private final List<Ringing.Sound> ringing;
    private final Changes changes;
    private final Brightness brightness;
    private final double round;

    private Follower(Written written, Take take, Ear ear) {
        this.written = written;
        score = written.score();
        onsets = written.strokes();
        this.take = take;
        ringing = Ringing.of(score);
        ears = ear.heardOfKnown(take);
        heard = ears.strokes();
        strings = new PassStrings(written, take, ears);
        changes = new Changes(take, written.ground().a4Hz());
        brightness = new Brightness(take);
        round = score.time().tempos().seconds(score.length());
    }

    /**
     * The passes of a take, which begins with the riff or with its first stroke; after the last
     * that was played there is none.
     */
    public static List<FollowedPass> of(Written written, Take take, Ear ear) {
        List<FollowedPass> all = new ArrayList<>();
        of(written, take, ear, all::add);
        return all;
    }

    /** The same, each told as soon as it is read. */
    public static void of(Written written, Take take, Ear ear, Consumer<FollowedPass> told) {
        Follower f = new Follower(written, take, ear);
        if (!f.onsets.isEmpty() && !f.heard.isEmpty()) {
            f.passes(take.seconds(), told);
        }
    }

    /**
     * One pass whose beginning is known.
     *
     * @param begins when the score begins, in seconds of the take
     */
    public static FollowedPass once(
            Written written, Take take, double begins, Ear ear, int number) {
        Follower f = new Follower(written, take, ear);
        return f.pass(number - 1, begins, new boolean[f.heard.size()]);
    }

    private void passes(double seconds, Consumer<FollowedPass> told) {
        double first = score.time().tempos().seconds(onsets.get(0).at());
        double start = start(first);
        int n = Math.max(1, (int) Math.round((seconds - start - 0.5 * round / 4) / round));
        boolean[] used = new boolean[heard.size()];
        List<FollowedPass> waiting = new ArrayList<>();
        for (int p = 0; p < n; p++) {
            double begins = start + p * round;
            if (begins + first < seconds - 0.1) {
                FollowedPass pass = pass(p, begins, used);
                waiting.add(pass);
                if (p == 0 || !pass.silent()) {
                    waiting.forEach(told);
                    waiting.clear();
                }
            }
        }
    }

    /** Where the riff begins: at the take's beginning where a stroke falls in with it there. */
    private double start(double first) {
        double at = heard.get(0).seconds() - first;
        return Math.abs(at) < ANOTHER_MS / 1000 ? 0 : at;
    }

    private FollowedPass pass(int number, double begins, boolean[] used) {
        int n = onsets.size();
        double behind = behind(begins);
        int[] taken = new int[n];
        for (int i = 0; i < n; i++) {
            taken[i] = nearest(begins + behind + written.at(i), room(i), used);
            if (taken[i] >= 0) {
                used[taken[i]] = true;
            }
        }
        StringFaults.Read[] sounds = ears.clean() ? strings.clean(taken) : new StringFaults.Read[n];
        boolean clean = ears.clean() && PassStrings.clean(sounds);
        boolean told = clean || !ears.clean();
        ChangeTrack.Fit[] fits = fits(begins, behind, clean);
        StringFaults.Read[] read = ears.clean() ? sounds : strings.driven(taken);
        double[] late = new double[n];
        double[] cut = new double[n];
        for (int i = 0; i < n; i++) {
            double wanted = begins + written.at(i);
            cut[i] = taken[i] < 0 && onsets.get(i).muted() ? cut(i, wanted) : Double.NaN;
            boolean may = !clean && (ears.clean() || faint(wanted + behind));
            // What is nearest to a stroke that is not to be heard may be anything.
            taken[i] = like(fits[i]) || audible(i) ? taken[i] : -1;
            boolean there = taken[i] >= 0 || may || fits[i].likeness() >= PLAYED;
            double at =
                    there && like(fits[i])
                            ? fits[i].seconds()
                            : taken[i] >= 0 ? heard.get(taken[i]).seconds() : cut[i];
            late[i] = 1000 * (at - wanted);
        }
        double middle = FollowedPass.middle(late);
        List<Played> strokes = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            if (taken[i] >= 0) {
                List<Played.StringFault> wrong = told ? read[i].faults() : List.of();
                double off = late[i] - middle;
                strokes.add(judged(i, heard.get(taken[i]), wrong, clean, late[i], off));
            } else if (!Double.isNaN(late[i])) {
                boolean muted = !Double.isNaN(cut[i]) || onsets.get(i).muted();
                strokes.add(played(i, late[i], inTime(late[i] - middle), List.of(), muted));
            } else if (clean && !hidden(i)) {
                strokes.add(againOrMissing(i, begins, middle));
            } else if (!ears.clean()
                    && !hidden(i)
                    && audible(i)
                    && !faint(begins + written.at(i) + middle / 1000)) {
                strokes.add(played(i, 0, Played.State.MISSING, List.of(), false));
            }
        }
        if (clean) {
            extras(begins, used, strokes);
        }
        strokes.sort(Comparator.comparingLong(Played::tick));
        return new FollowedPass(
                number + 1,
                score.time().meters().bars(score.length()),
                comesRound(begins, middle),
                middle,
                FollowedPass.spread(late, middle),
                clean,
                told,
                strokes);
    }

    /** Whether a stroke of a driven pass would be heard if it were played as written. */
    private boolean audible(int i) {
        return ears.clean() || written.expected().get(i).begins() >= AUDIBLE;
    }

    /** Whether a stroke may be near a time, as far as the nets hear it. */
    private boolean faint(double at) {
        return ears.faint().stream().anyMatch(t -> Math.abs(t - at) < FAINT_SECONDS);
    }

    /** Where each stroke's sound lies in the take, and how like it is. */
    private ChangeTrack.Fit[] fits(double begins, double behind, boolean clean) {
        if (heard.isEmpty()) {
            ChangeTrack.Fit[] none = new ChangeTrack.Fit[onsets.size()];
            Arrays.fill(none, new ChangeTrack.Fit(begins, 0));
            return none;
        }
        Grain grain = clean ? Grain.CLEAN : Grain.DRIVEN;
        ChangeTrack track = tracks.computeIfAbsent(grain, g -> new ChangeTrack(take, g));
        return written.find(track, begins + behind, grain, ears::likely);
    }

    /** A stroke that was not heard to begin: struck again on strings that ring, or missing. */
    private Played againOrMissing(int i, double begins, double middle) {
        double wanted = begins + written.at(i);
        double again =
                brightness.struckAgain(
                        wanted + middle / 1000, Math.min(AGAIN_SECONDS, room(i)), AGAIN_DB);
        double ms = 1000 * (again - wanted);
        return Double.isNaN(again)
                ? played(i, 0, Played.State.MISSING, List.of(), false)
                : played(i, ms, inTime(ms - middle), List.of(), false);
    }

    /** Whether what goes on after the pass begins on the one, as late as the pass was. */
    private boolean comesRound(double begins, double middle) {
        double one = begins + round + score.time().tempos().seconds(onsets.get(0).at());
        double[] next = heard.stream().mapToDouble(h -> h.seconds() - one).toArray();
        return Arrays.stream(next).noneMatch(t -> t > -ANOTHER_MS / 1000)
                || Arrays.stream(next).anyMatch(t -> Math.abs(1000 * t - middle) < 2 * OFF_MS);
    }

    /**
     * Whether a stroke may have been played and left nothing to hear: under the palm after a louder
     * chord, or at once again on strings that ring.
     */
    private boolean hidden(int i) {
        Onset o = onsets.get(i);
        if (i == 0) {
            return o.muted();
        }
        Onset before = onsets.get(i - 1);
        boolean again = o.notes().stream().allMatch(n -> sounding(n, o.at()));
        double apart =
                score.time().tempos().seconds(o.at()) - score.time().tempos().seconds(before.at());
        return o.muted() && !before.muted() || again && apart < AT_ONCE_SECONDS;
    }

    /** Whether a note sounds already when it is struck. */
    private boolean sounding(ScoreNote n, long at) {
        int midi = score.board().midi(n.string(), n.fret());
        return ringing.stream()
                .anyMatch(
                        s ->
                                s.note().string() == n.string()
                                        && s.midi() == midi
                                        && s.from() < at
                                        && s.to() >= at);
    }

    /** Whether a stroke is so like its rendering that its time is known. */
    private static boolean like(ChangeTrack.Fit fit) {
        return fit.likeness() >= LIKE;
    }

    private double room(int i) {
        return written.room(i, ANOTHER_MS / 1000);
    }

    /** How late strokes are in the middle, by those that were heard, in seconds. */
    private double behind(double begins) {
        double[] late = new double[onsets.size()];
        int n = 0;
        for (int i = 0; i < onsets.size(); i++) {
            double wanted = begins + written.at(i);
            int near = nearest(wanted, room(i), new boolean[heard.size()]);
            if (near >= 0) {
                late[n++] = heard.get(near).seconds() - wanted;
            }
        }
        return FollowedPass.middle(Arrays.copyOf(late, n));
    }

    private int nearest(double wanted, double room, boolean[] used) {
        int best = -1;
        for (int i = 0; i < heard.size(); i++) {
            double off = Math.abs(heard.get(i).seconds() - wanted);
            boolean nearer = best < 0 || off < Math.abs(heard.get(best).seconds() - wanted);
            if (!used[i] && off <= room && nearer) {
                best = i;
            }
        }
        return best;
    }

    private Played played(
            int i, double ms, Played.State state, List<Played.StringFault> strings, boolean muted) {
        long at = onsets.get(i).at();
        int bar = Math.max(0, score.time().meters().bar(at)) + 1;
        return new Played(bar, at, ms, state, strings, muted);
    }

    private Played judged(
            int i,
            HeardStroke h,
            List<Played.StringFault> strings,
            boolean clean,
            double late,
            double off) {
        Onset o = onsets.get(i);
        boolean palm = o.muted() && h.open() || !o.muted() && h.muted() && ringsOn(i);
        boolean wrong = !strings.isEmpty() || clean && palm;
        return played(i, late, wrong ? Played.State.WRONG : inTime(off), strings, h.muted());
    }

    private static Played.State inTime(double off) {
        return off > OFF_MS
                ? Played.State.LATE
                : off < -OFF_MS ? Played.State.EARLY : Played.State.RIGHT;
    }

    /** Where a stroke under the palm cuts a ringing one off near its time; NaN where none does. */
    private double cut(int i, double wanted) {
        ScoreNote low = onsets.get(i).notes().get(0);
        int midi = score.board().midi(low.string(), low.fret());
        for (HeardStroke h : heard) {
            double at = h.seconds() + h.length();
            if (Math.abs(at - wanted) <= room(i)
                    && changes.struckUnderPalm(midi, h.notes().cents(), at)) {
                return at;
            }
        }
        return Double.NaN;
    }

    /** Whether a stroke is written to last longer than one under the palm would. */
    private boolean ringsOn(int i) {
        Onset o = onsets.get(i);
        double from = score.time().tempos().seconds(o.at());
        return o.manner() == Manner.PLAIN
                && score.time().tempos().seconds(o.end()) - from > RINGS_SECONDS;
    }

    /** Whether something heard may be what a hand does within a stroke. */
    private boolean unsure(int i, double at) {
        double middle =
                heard.stream()
                        .mapToDouble(HeardStroke::levelDb)
                        .sorted()
                        .toArray()[heard.size() / 2];
        if (heard.get(i).levelDb() < middle - EXTRA_DB) {
            return true;
        }
        for (Onset o : onsets) {
            for (ScoreNote n : o.notes()) {
                for (Technique t : n.techniques()) {
                    double from = score.time().tempos().seconds(n.at() + t.after());
                    double to = score.time().tempos().seconds(n.at() + t.after() + t.lasting());
                    if (at > from - WITHIN_SECONDS && at < to + WITHIN_SECONDS) {
                        return true;
                    }
                }
            }
        }
        return false;
    }

    private void extras(double begins, boolean[] used, List<Played> to) {
        for (int i = 0; i < heard.size(); i++) {
            double at = heard.get(i).seconds() - begins;
            if (!used[i]
                    && !unsure(i, at)
                    && at >= -ANOTHER_MS / 1000
                    && at < round - ANOTHER_MS / 1000) {
                used[i] = true;
                int nearest = 0;
                for (int k = 0; k < onsets.size(); k++) {
                    nearest = off(at, k) < off(at, nearest) ? k : nearest;
                }
                double ms = 1000 * (at - score.time().tempos().seconds(onsets.get(nearest).at()));
                to.add(played(nearest, ms, Played.State.EXTRA, List.of(), heard.get(i).muted()));
            }
        }
    }

    private double off(double at, int k) {
        return Math.abs(at - score.time().tempos().seconds(onsets.get(k).at()));
    }
}
