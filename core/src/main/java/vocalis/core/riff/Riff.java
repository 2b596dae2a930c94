package vocalis.core.riff;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.TreeSet;
import vocalis.core.pattern.Limits;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Restart;
import vocalis.core.pattern.Touch;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TimeLine;

/**
 * A riff as a recipe in five layers; {@link Deriver} makes the notes. Immutable.
 *
 * @param ground instrument, key, tone
 * @param time meters, tempos, pickup
 * @param roots which root lasts how long; together the pickup and 1 to {@link Limits#MOST_BARS}
 *     whole bars
 * @param treatments how each root is voiced, one per root
 * @param pattern figures laid over the time line
 * @param touches what is done by hand on top
 */
public record Riff(
        Ground ground,
        TimeLine time,
        List<RootSpan> roots,
        List<Treatment> treatments,
        Pattern pattern,
        List<Touch> touches) {

    public Riff {
        Objects.requireNonNull(ground, "ground");
        Objects.requireNonNull(time, "time");
        Objects.requireNonNull(pattern, "pattern");
        roots = List.copyOf(roots);
        treatments = List.copyOf(treatments);
        touches = List.copyOf(touches);
        Limits.most("roots", roots.size(), Limits.MOST_ROOTS);
        Limits.most("touches", touches.size(), Limits.MOST_TOUCHES);
        if (roots.isEmpty()) {
            throw new IllegalArgumentException("a riff needs at least one root");
        }
        if (roots.size() != treatments.size()) {
            throw new IllegalArgumentException(
                    "each root needs a treatment, but there are "
                            + roots.size()
                            + " roots and "
                            + treatments.size()
                            + " treatments");
        }
        long length = roots.stream().mapToLong(RootSpan::length).sum();
        MeterMap meters = time.meters();
        int bars = length > Limits.LONGEST_FIGURE ? Integer.MAX_VALUE : meters.bars(length);
        if (bars < 1 || bars > Limits.MOST_BARS || meters.end(bars - 1) != length) {
            throw new IllegalArgumentException(
                    "roots together fill 1 to "
                            + Limits.MOST_BARS
                            + " whole bars, but these last "
                            + (bars == Integer.MAX_VALUE
                                    ? "far longer"
                                    : bars < 1
                                            ? "no longer than the pickup"
                                            : meters.end(bars - 1) == length
                                                    ? bars
                                                    : "into bar " + bars + " and not to its end"));
        }
        int struck = 0;
        for (Pass p : pattern.passes(length, restarts(pattern.restart(), roots, meters, length))) {
            struck += p.figure().events().size();
            Limits.most("strokes and notes", struck, Limits.MOST_STRUCK);
        }
    }

    private static List<Long> restarts(
            Restart restart, List<RootSpan> roots, MeterMap meters, long length) {
        TreeSet<Long> at = new TreeSet<>();
        at.add(0L);
        if (restart == Restart.BAR) {
            for (int b = 0; b < meters.bars(length); b++) {
                at.add(meters.start(b));
            }
        } else if (restart == Restart.ROOT) {
            long start = 0;
            for (RootSpan r : roots) {
                at.add(start);
                start += r.length();
            }
        }
        return List.copyOf(at);
    }

    /** The layings of the pattern's figures over the whole riff. */
    public List<Pass> passes() {
        long length = length();
        return pattern.passes(length, restarts(pattern.restart(), roots, meters(), length));
    }

    /** The laying that is played at a tick. */
    public Pass passAt(long tick) {
        List<Pass> all = passes();
        for (Pass p : all) {
            if (tick < p.to()) {
                return p;
            }
        }
        return all.get(all.size() - 1);
    }

    /** Ticks from the start, pickup included, to the end. */
    public long length() {
        return roots.stream().mapToLong(RootSpan::length).sum();
    }

    /** Where the loop comes back to: after the pickup. */
    public long loopStart() {
        return meters().pickup();
    }

    public MeterMap meters() {
        return time.meters();
    }

    /** Number of bars, the pickup not counted. */
    public int bars() {
        return meters().bars(length());
    }

    /** Quarter notes per minute at the start. */
    public int tempo() {
        return time.tempos().first();
    }

    /** Where a chord begins, ticks from the start. */
    public long start(int chord) {
        long at = 0;
        for (int i = 0; i < chord; i++) {
            at += roots.get(i).length();
        }
        return at;
    }

    /** Where every chord begins, and the end. */
    public long[] starts() {
        long[] at = new long[roots.size() + 1];
        for (int i = 0; i < roots.size(); i++) {
            at[i + 1] = at[i] + roots.get(i).length();
        }
        return at;
    }

    /** The chord that holds at a tick. */
    public int chordAt(long tick) {
        long end = 0;
        for (int i = 0; i < roots.size(); i++) {
            end += roots.get(i).length();
            if (tick < end) {
                return i;
            }
        }
        return roots.size() - 1;
    }

    public Riff withGround(Ground other) {
        return new Riff(other, time, roots, treatments, pattern, touches);
    }

    public Riff withTime(TimeLine other) {
        return new Riff(ground, other, roots, treatments, pattern, touches);
    }

    public Riff withRoots(List<RootSpan> others, List<Treatment> theirTreatments) {
        return new Riff(ground, time, others, theirTreatments, pattern, touches);
    }

    public Riff withTreatments(List<Treatment> others) {
        return new Riff(ground, time, roots, others, pattern, touches);
    }

    public Riff withPattern(Pattern other) {
        return new Riff(ground, time, roots, treatments, other, touches);
    }

    public Riff withTouches(List<Touch> others) {
        return new Riff(ground, time, roots, treatments, pattern, others);
    }

    /** With one treatment changed. */
    public Riff withTreatment(int chord, Treatment other) {
        List<Treatment> changed = new ArrayList<>(treatments);
        changed.set(chord, other);
        return withTreatments(changed);
    }
}
