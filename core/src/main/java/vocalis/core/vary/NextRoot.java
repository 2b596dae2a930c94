package vocalis.core.vary;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import vocalis.core.edit.Chords;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;

/**
 * A root that could stand in a place, and what speaks for it: how it is reached, how it leads on,
 * and what it is in the mode. Over the loop's seam what follows the last chord is the first.
 *
 * @param root the root
 * @param reached the motion into it
 * @param onward the motion from it to what follows
 * @param colour what it is in the mode
 * @param diminished whether the scale has a diminished fifth over it and no perfect one
 */
public record NextRoot(
        Root root, Motion reached, Motion onward, Colour colour, boolean diminished) {

    private static final double ONWARD = 1.3;

    /** What a mode that has ♭2 or ♭5 gives a tritone over what others do; set by hand. */
    private static final double DARK_TRITONE = 2;

    /** A degree whose triad is diminished leads nowhere as a root; set by hand. */
    private static final double DIMINISHED = -3;

    /** Families that say no more than root and fifth, or less. */
    private static final Set<Family> BARE =
            Set.of(Family.POWER, Family.FOURTH, Family.OCTAVE, Family.THIRD, Family.DRONE);

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

    /** What a root is in the mode; weights set by hand. */
    public enum Colour {
        /** The degree that tells the mode from plain major or minor. */
        MAKES_THE_MODE(2.2),
        /** That degree is a note of its chord. */
        HOLDS_THE_DEGREE(1.2),
        TONIC(0.2),
        PLAIN(0),
        OUTSIDE(-6);

        private final double weight;

        Colour(double weight) {
            this.weight = weight;
        }
    }

    /**
     * What could stand in a chord's place, best first, roots of the key before others: every root
     * but the one that does.
     */
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
                                colour(key, pc),
                                diminished(key, pc)));
            }
        }
        boolean dark = dark(key);
        all.sort(
                Comparator.comparing((NextRoot r) -> !r.inside())
                        .thenComparingDouble(r -> -r.weight(dark)));
        return all;
    }

    /** Whether it is a note of the scale. */
    public boolean inside() {
        return colour != Colour.OUTSIDE;
    }

    /**
     * Whether it is meant as a power chord where the riff's family would make it diminished.
     *
     * @param family what the chord is voiced in
     */
    public boolean asPower(Family family) {
        return diminished && !BARE.contains(family);
    }

    /** A riff with it in a chord's place; a diminished degree as a power chord. */
    public Riff in(Riff riff, int chord) {
        Riff out = Chords.root(riff, chord, root);
        return asPower(riff.treatments().get(chord).family())
                ? Chords.family(out, chord, Family.POWER)
                : out;
    }

    /**
     * The degree, in semitones above the tonic, that tells a mode from plain major or minor: ♭2,
     * ♮6, ♭7 or ♯4; empty for those two and for scales of five notes (common practice, no source).
     */
    public static OptionalInt character(Key key) {
        int tonic = key.tonic().pitchClass();
        boolean minor = key.contains(tonic + 3) && !key.contains(tonic + 4);
        if (key.mode().size() < 7) {
            return OptionalInt.empty();
        }
        int[] telling = minor ? new int[] {1, 9, 11} : new int[] {1, 6, 10};
        for (int d : telling) {
            if (key.contains(tonic + d)) {
                return OptionalInt.of(d);
            }
        }
        return OptionalInt.empty();
    }

    private static Colour colour(Key key, int pc) {
        if (!key.contains(pc)) {
            return Colour.OUTSIDE;
        }
        int above = Math.floorMod(pc - key.tonic().pitchClass(), 12);
        OptionalInt telling = character(key);
        if (telling.isPresent()) {
            int its = telling.getAsInt();
            if (above == its) {
                return Colour.MAKES_THE_MODE;
            }
            int over = Math.floorMod(its - above, 12);
            if (above != 0 && (over == 3 || over == 4 || over == 7)) {
                return Colour.HOLDS_THE_DEGREE;
            }
        }
        return above == 0 ? Colour.TONIC : Colour.PLAIN;
    }

    private static boolean diminished(Key key, int pc) {
        return key.contains(pc) && key.contains(pc + 6) && !key.contains(pc + 7);
    }

    private static boolean dark(Key key) {
        int tonic = key.tonic().pitchClass();
        return key.contains(tonic + 1) || key.contains(tonic + 6) && key.contains(tonic + 3);
    }

    private double weight(boolean dark) {
        return weight(reached, dark)
                + ONWARD * weight(onward, dark)
                + colour.weight
                + (diminished && colour != Colour.TONIC ? DIMINISHED : 0);
    }

    private static double weight(Motion m, boolean dark) {
        return m.weight + (dark && m == Motion.A_TRITONE_AWAY ? DARK_TRITONE : 0);
    }
}
