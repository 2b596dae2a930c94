package vocalis.core.vary;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.theory.Key;

/**
 * A root that could stand in a place, and what speaks for it: how it is reached, and how it leads
 * on. Over the loop's seam what follows the last chord is the first.
 *
 * @param root the root
 * @param reached the motion into it
 * @param onward the motion from it to what follows
 * @param inside whether it is a note of the scale
 */
public record NextRoot(Root root, Motion reached, Motion onward, boolean inside) {

    private static final double OUTSIDE = 1.4;
    private static final double ONWARD = 1.3;

    /** How a root moves to the next; weights of what pulls set by hand. */
    public enum Motion {
        STAYS(-1),
        FALLS_A_FIFTH(3),
        FALLS_A_SEMITONE(2.2),
        RISES_A_SEMITONE(2.2),
        RISES_A_STEP(1.6),
        FALLS_A_STEP(1.4),
        FALLS_A_THIRD(1.2),
        RISES_A_THIRD(0.8),
        RISES_A_FIFTH(1.3),
        A_TRITONE_AWAY(0.4);

        private final double weight;

        Motion(double weight) {
            this.weight = weight;
        }

        /** The motion from one pitch class to another. */
        public static Motion between(int from, int to) {
            return switch (Math.floorMod(to - from, 12)) {
                case 0 -> STAYS;
                case 1 -> RISES_A_SEMITONE;
                case 2 -> RISES_A_STEP;
                case 3, 4 -> RISES_A_THIRD;
                case 5 -> FALLS_A_FIFTH;
                case 6 -> A_TRITONE_AWAY;
                case 7 -> RISES_A_FIFTH;
                case 8, 9 -> FALLS_A_THIRD;
                case 10 -> FALLS_A_STEP;
                default -> FALLS_A_SEMITONE;
            };
        }
    }

    /** What could stand in a chord's place, best first: every root but the one that does. */
    public static List<NextRoot> at(Riff riff, int chord) {
        Key key = riff.ground().key();
        int n = riff.roots().size();
        int before = riff.roots().get((chord + n - 1) % n).root().pitchClass(key);
        int after = riff.roots().get((chord + 1) % n).root().pitchClass(key);
        int now = riff.roots().get(chord).root().pitchClass(key);
        List<NextRoot> all = new ArrayList<>();
        for (int pc = 0; pc < 12; pc++) {
            if (pc != now) {
                all.add(
                        new NextRoot(
                                Root.of(key, pc),
                                Motion.between(before, pc),
                                Motion.between(pc, after),
                                key.contains(pc)));
            }
        }
        all.sort(Comparator.comparingDouble(NextRoot::weight).reversed());
        return all;
    }

    private double weight() {
        return reached.weight + ONWARD * onward.weight - (inside ? 0 : OUTSIDE);
    }
}
