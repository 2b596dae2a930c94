package vocalis.core.hands;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import vocalis.core.hands.Fingering.Press;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;

/**
 * What fingers can do on some strings of a shape while the others go on sounding. The rules are
 * common practice: a finger laid flat moves whole or not at all, who hammers must be free, who is
 * pulled off to must lie there before.
 */
public final class WhileHeld {

    /** What is done. */
    public enum Movement {
        HAMMER,
        PULL,
        SLIDE,
        BEND
    }

    /** Why it cannot be done. */
    public enum Blocked {
        /** The finger lies flat over a string that must go on sounding. */
        FLAT_FINGER,
        /** Every finger that could get there is down. */
        NO_FREE_FINGER,
        /** No finger lies, or could lie, on the fret that is pulled off to. */
        NO_FINGER_BEHIND,
        /** What slides gets too far from what stays. */
        TOO_FAR_APART
    }

    /** Other fingerings count that take so much more effort than the easiest; unitless, by hand. */
    private static final double ANOTHER_GRIP = 0.7;

    private static final double ANY_GRIP = 100;

    private WhileHeld() {}

    /**
     * Why no fingering of a shape allows it; empty when one does.
     *
     * @param shape what sounds before
     * @param moved the strings that something is done to, and the fret that each goes to
     */
    public static Optional<Blocked> of(
            Fretboard board, Shape shape, Hand hand, Movement way, Map<Integer, Integer> moved) {
        Optional<Blocked> first = Optional.empty();
        for (Fingering f : Fingering.all(board, shape, hand, ANOTHER_GRIP)) {
            Optional<Blocked> why = of(board, shape, f, hand, way, moved);
            if (why.isEmpty()) {
                return why;
            }
            first = first.isPresent() ? first : why;
        }
        return first;
    }

    private static Optional<Blocked> of(
            Fretboard board,
            Shape shape,
            Fingering held,
            Hand hand,
            Movement way,
            Map<Integer, Integer> moved) {
        boolean leaves = way != Movement.HAMMER;
        if (leaves && held.presses().stream().anyMatch(p -> holdsBoth(p, shape, moved))) {
            return Optional.of(Blocked.FLAT_FINGER);
        }
        Predicate<Predicate<Fingering>> after = f -> after(board, shape, held, hand, moved, f);
        Predicate<Fingering> free = f -> free(f, held, moved);
        return switch (way) {
            case BEND -> Optional.empty();
            case HAMMER -> allowed(after.test(free), Blocked.NO_FREE_FINGER);
            case PULL ->
                    allowed(
                            moved.entrySet().stream().allMatch(e -> liesBehind(shape, held, e))
                                    || after.test(free),
                            Blocked.NO_FINGER_BEHIND);
            case SLIDE ->
                    allowed(
                            wholeShape(shape, moved)
                                    || after.test(f -> sameFingers(f, held, moved)),
                            Blocked.TOO_FAR_APART);
        };
    }

    private static Optional<Blocked> allowed(boolean can, Blocked otherwise) {
        return can ? Optional.empty() : Optional.of(otherwise);
    }

    /** Whether a finger holds a string that is moved and one that is not. */
    private static boolean holdsBoth(Press p, Shape shape, Map<Integer, Integer> moved) {
        boolean some = false;
        boolean other = false;
        for (int s = p.lowString(); s <= p.highString(); s++) {
            boolean holds = shape.fret(s) == p.fret();
            some |= holds && moved.containsKey(s);
            other |= holds && !moved.containsKey(s);
        }
        return some && other;
    }

    /** Whether every fretted string is moved, all by as much. */
    private static boolean wholeShape(Shape shape, Map<Integer, Integer> moved) {
        List<Integer> fretted = shape.sounded().stream().filter(s -> shape.fret(s) > 0).toList();
        return moved.keySet().containsAll(fretted)
                && moved.entrySet().stream()
                                .map(e -> e.getValue() - shape.fret(e.getKey()))
                                .distinct()
                                .count()
                        <= 1;
    }

    /**
     * Open strings need no finger; one laid across behind is there already, and the index reaches
     * it by lying flat where nothing between is to ring open.
     */
    private static boolean liesBehind(Shape shape, Fingering held, Map.Entry<Integer, Integer> to) {
        return to.getValue() == 0
                || held.presses().stream()
                        .anyMatch(
                                p ->
                                        p.fret() == to.getValue()
                                                && p.lowString() <= to.getKey()
                                                && (p.highString() >= to.getKey()
                                                        || p.finger() == 1
                                                                && noOpen(shape, p, to.getKey())));
    }

    private static boolean noOpen(Shape shape, Press p, int string) {
        for (int s = p.lowString(); s <= string; s++) {
            if (shape.fret(s) == 0) {
                return false;
            }
        }
        return true;
    }

    /** Whether the shape can be held afterwards, the fingers on the other strings as they were. */
    private static boolean after(
            Fretboard board,
            Shape shape,
            Fingering held,
            Hand hand,
            Map<Integer, Integer> moved,
            Predicate<Fingering> wanted) {
        Shape to = shape;
        for (Map.Entry<Integer, Integer> e : moved.entrySet()) {
            to = to.with(e.getKey(), e.getValue());
        }
        List<Press> staying =
                held.presses().stream()
                        .filter(
                                p -> {
                                    for (int s = p.lowString(); s <= p.highString(); s++) {
                                        if (shape.fret(s) == p.fret() && !moved.containsKey(s)) {
                                            return true;
                                        }
                                    }
                                    return false;
                                })
                        .toList();
        return Fingering.all(board, to, hand, ANY_GRIP).stream()
                .anyMatch(f -> staying.stream().allMatch(p -> stays(p, f)) && wanted.test(f));
    }

    /** Whether the finger of a press is where it was, perhaps over fewer or more strings. */
    private static boolean stays(Press p, Fingering after) {
        return after.presses().stream()
                .anyMatch(q -> q.finger() == p.finger() && q.fret() == p.fret());
    }

    /** Whether fingers that held nothing take the moved strings. */
    private static boolean free(Fingering after, Fingering held, Map<Integer, Integer> moved) {
        return moved.entrySet().stream()
                .filter(e -> e.getValue() > 0)
                .allMatch(
                        e -> {
                            int finger = after.fingerOn(e.getKey());
                            return held.presses().stream().noneMatch(p -> p.finger() == finger);
                        });
    }

    private static boolean sameFingers(
            Fingering after, Fingering held, Map<Integer, Integer> moved) {
        return moved.entrySet().stream()
                .allMatch(e -> after.fingerOn(e.getKey()) == held.fingerOn(e.getKey()));
    }
}
