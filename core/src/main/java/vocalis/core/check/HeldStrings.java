package vocalis.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import vocalis.core.derive.Derived;
import vocalis.core.hands.WhileHeld;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.score.Onset;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;

/** Hammer-ons, pull-offs, slides and bends on some strings while others are held. */
final class HeldStrings {

    /** What is done at one time in one way. */
    private record Moment(long after, WhileHeld.Movement way) implements Comparable<Moment> {
        @Override
        public int compareTo(Moment o) {
            return after != o.after ? Long.compare(after, o.after) : way.compareTo(o.way);
        }
    }

    private final Derived derived;
    private final Fretboard board;
    private final List<Caution> all = new ArrayList<>();

    private HeldStrings(Derived derived) {
        this.derived = derived;
        board = derived.riff().ground().board();
    }

    /** What fingers cannot do, in the order of time. */
    static List<Caution> of(Derived derived) {
        HeldStrings h = new HeldStrings(derived);
        derived.score().onsets().stream()
                .filter(o -> o.notes().stream().anyMatch(n -> !n.techniques().isEmpty()))
                .forEach(h::look);
        return h.all;
    }

    private void look(Onset o) {
        TreeMap<Moment, Map<Integer, Technique>> moments = new TreeMap<>();
        for (ScoreNote n : o.notes()) {
            for (Technique t : n.techniques()) {
                way(t).ifPresent(
                                w ->
                                        moments.computeIfAbsent(
                                                        new Moment(t.after(), w),
                                                        m -> new TreeMap<>())
                                                .put(n.string(), t));
            }
        }
        Map<Integer, List<Integer>> held = new TreeMap<>();
        soundingWith(o).forEach((s, f) -> held.put(s, new ArrayList<>(List.of(f))));
        moments.forEach((m, which) -> look(o, m, which, held));
    }

    private static Optional<WhileHeld.Movement> way(Technique t) {
        return switch (t.kind()) {
            case HAMMER -> Optional.of(WhileHeld.Movement.HAMMER);
            case PULL -> Optional.of(WhileHeld.Movement.PULL);
            case SLIDE -> Optional.of(WhileHeld.Movement.SLIDE);
            case BEND -> Optional.of(WhileHeld.Movement.BEND);
            case RELEASE, VIBRATO, TREMOLO, PINCH -> Optional.empty();
        };
    }

    /** Frets by string: what begins here, and what is still ringing of the same chord. */
    private Map<Integer, Integer> soundingWith(Onset o) {
        Map<Integer, Integer> frets = new TreeMap<>();
        int chord = derived.score().harmonyAt(o.at());
        for (ScoreNote n : derived.score().notes()) {
            if (n.at() <= o.at()
                    && n.end() > o.at()
                    && derived.score().harmonyAt(n.at()) == chord) {
                frets.put(n.string(), n.fret());
            }
        }
        return frets;
    }

    /**
     * @param held the frets that fingers are on by string: the one that sounds last
     */
    private void look(
            Onset o,
            Moment moment,
            Map<Integer, Technique> which,
            Map<Integer, List<Integer>> held) {
        Map<Integer, Integer> moved = new TreeMap<>();
        which.forEach(
                (s, t) -> {
                    int now = last(held, s);
                    int to = t.kind().moves() ? t.to() : now;
                    boolean back =
                            moment.way == WhileHeld.Movement.PULL && held.get(s).contains(to);
                    if (!back) {
                        moved.put(s, to);
                    }
                });
        if (!moved.isEmpty()) {
            Shape shape = Shape.silent(board.strings());
            for (int s : held.keySet()) {
                shape = shape.with(s, last(held, s));
            }
            Optional<WhileHeld.Blocked> why =
                    WhileHeld.of(board, shape, derived.hand(), moment.way, moved);
            int string = moved.keySet().iterator().next();
            why.ifPresent(
                    w ->
                            all.add(
                                    new Caution.NotWhileHeld(
                                            derived.riff().chordAt(o.at()),
                                            o.at() + moment.after,
                                            string,
                                            last(held, string),
                                            moved.get(string),
                                            moment.way,
                                            w)));
        }
        which.forEach((s, t) -> take(held.get(s), moment.way, t));
    }

    /** A hammered finger comes to the one that lies there already; the others leave their fret. */
    private static void take(List<Integer> frets, WhileHeld.Movement way, Technique t) {
        if (!t.kind().moves()) {
            return;
        }
        if (way == WhileHeld.Movement.HAMMER) {
            frets.add(t.to());
            return;
        }
        int at = frets.indexOf(t.to());
        if (at >= 0) {
            frets.subList(at + 1, frets.size()).clear();
        } else {
            frets.set(frets.size() - 1, t.to());
        }
    }

    private static int last(Map<Integer, List<Integer>> held, int string) {
        List<Integer> frets = held.get(string);
        return frets.get(frets.size() - 1);
    }
}
