package vocalis.core.riff;

import java.util.List;
import java.util.Objects;

/**
 * A riff as a recipe in five layers; {@link Derivation} makes the notes. Immutable.
 *
 * @param ground instrument, key, tempo, meter, tone
 * @param roots which root lasts how long; together whole bars, 1 to 256 of them
 * @param treatments how each root is voiced, one per root
 * @param pattern strokes, bar by bar
 * @param touches what is changed by hand
 */
public record Riff(
        Ground ground,
        List<RootSpan> roots,
        List<Treatment> treatments,
        Pattern pattern,
        List<Touch> touches) {

    public static final int MOST_BARS = 256;

    public Riff {
        Objects.requireNonNull(ground, "ground");
        Objects.requireNonNull(pattern, "pattern");
        roots = List.copyOf(roots);
        treatments = List.copyOf(treatments);
        touches = List.copyOf(touches);
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
        long bar = ground.meter().barTicks();
        long length = roots.stream().mapToLong(RootSpan::length).sum();
        if (length % bar != 0 || length / bar > MOST_BARS) {
            throw new IllegalArgumentException(
                    "roots together fill 1 to "
                            + MOST_BARS
                            + " whole bars, but these last "
                            + (double) length / bar);
        }
        for (Cell cell : pattern.bars()) {
            for (Stroke s : cell.strokes()) {
                if (s.end() > bar) {
                    throw new IllegalArgumentException(
                            "a stroke ends at tick " + s.end() + ", past its bar's " + bar);
                }
            }
        }
    }

    /** Length of the loop in ticks. */
    public long length() {
        return roots.stream().mapToLong(RootSpan::length).sum();
    }

    /** Number of bars. */
    public int bars() {
        return (int) (length() / ground.meter().barTicks());
    }

    /** Where a chord begins, ticks from the start. */
    public long start(int chord) {
        return roots.subList(0, chord).stream().mapToLong(RootSpan::length).sum();
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
        return new Riff(other, roots, treatments, pattern, touches);
    }

    public Riff withRoots(List<RootSpan> others, List<Treatment> theirTreatments) {
        return new Riff(ground, others, theirTreatments, pattern, touches);
    }

    public Riff withTreatments(List<Treatment> others) {
        return new Riff(ground, roots, others, pattern, touches);
    }

    public Riff withPattern(Pattern other) {
        return new Riff(ground, roots, treatments, other, touches);
    }

    public Riff withTouches(List<Touch> others) {
        return new Riff(ground, roots, treatments, pattern, others);
    }
}
