package vocalis.core.names;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicReferenceArray;
import vocalis.core.theory.PitchClassSet;

/**
 * One way to say a set of intervals above a root.
 *
 * <p>Convention: a set holds semitones above the root (any octave). A way chooses one note as the
 * third (or its suspension), one as the fifth, one as the sixth or seventh; what is left are
 * additions. Every choice is tried when a set is first asked for; its ways are ordered by what they
 * cost a reader. The weights are set by hand after common practice and published in
 * docs/figures.md.
 *
 * @param suffix what follows the root, such as {@code m7♭5} or {@code 5(♯11)}; empty for a major
 *     triad
 * @param modifiers how many additions, alterations and omissions it needs
 * @param cost how far it is from a plain triad, 0 upward
 */
public record Quality(
        String suffix, int modifiers, double cost, Third third, Fifth fifth, Seventh seventh) {

    /** What stands in the third's place. */
    public enum Third {
        MAJOR,
        MINOR,
        FOURTH,
        SECOND,
        NONE
    }

    public enum Fifth {
        PURE,
        FLAT,
        SHARP,
        NONE
    }

    /** A seventh, or the sixth in its place. */
    public enum Seventh {
        FLAT,
        MAJOR,
        DIMINISHED,
        SIXTH,
        NONE
    }

    private static final int MOST_WAYS = 3;

    /** How much more a further way may cost than the best. */
    private static final double NEARLY_AS_PLAIN = 0.6;

    /** By the bits of the set; filled as they are asked for. */
    private static final AtomicReferenceArray<List<Quality>> TABLE =
            new AtomicReferenceArray<>(1 << 12);

    /** The best way to say a set; the root counts as sounding whether or not it is in the set. */
    static Quality of(PitchClassSet set) {
        return all(set).get(0);
    }

    /** The ways to say a set, the best first, and those that are nearly as plain. */
    public static List<Quality> all(PitchClassSet set) {
        List<Quality> all = TABLE.get(set.bits());
        if (all == null) {
            // Two threads that ask at once find the same.
            all = ways(set);
            TABLE.set(set.bits(), all);
        }
        return all;
    }

    /** Whether a fourth or a second stands in the third's place. */
    boolean suspended() {
        return third == Third.FOURTH || third == Third.SECOND;
    }

    /** Whether it says that its third is missing; a power chord does not. */
    boolean saysNoThird() {
        boolean power = fifth == Fifth.PURE && seventh == Seventh.NONE;
        return third == Third.NONE && !power;
    }

    boolean saysNoFifth() {
        return fifth == Fifth.NONE;
    }

    /** A sixth chord over anything but a minor third. */
    boolean sixth() {
        return seventh == Seventh.SIXTH && third != Third.MINOR;
    }

    private static List<Quality> ways(PitchClassSet set) {
        List<Quality> all = new ArrayList<>();
        for (Third third : thirds(set)) {
            for (Fifth fifth : fifths(set)) {
                for (Seventh seventh : sevenths(set, third, fifth)) {
                    all.add(new Wording(set, third, fifth, seventh).said());
                }
            }
        }
        all.sort(Quality::plainer);
        double most = all.get(0).cost + NEARLY_AS_PLAIN;
        return all.stream().filter(q -> q.cost <= most).limit(MOST_WAYS).toList();
    }

    /** The cheaper one first, of two alike the shorter. */
    private static int plainer(Quality a, Quality b) {
        int byCost = Double.compare(a.cost, b.cost);
        return byCost != 0 ? byCost : a.suffix.length() - b.suffix.length();
    }

    /** Nothing is suspended over a third. */
    private static List<Third> thirds(PitchClassSet set) {
        if (set.has(4)) {
            return List.of(Third.MAJOR);
        }
        if (set.has(3)) {
            return List.of(Third.MINOR);
        }
        List<Third> all = new ArrayList<>(List.of(Third.NONE));
        if (set.has(5)) {
            all.add(Third.FOURTH);
        }
        if (set.has(2)) {
            all.add(Third.SECOND);
        }
        return all;
    }

    private static List<Fifth> fifths(PitchClassSet set) {
        if (set.has(7)) {
            return List.of(Fifth.PURE);
        }
        List<Fifth> all = new ArrayList<>(List.of(Fifth.NONE));
        if (set.has(6)) {
            all.add(Fifth.FLAT);
        }
        if (set.has(8)) {
            all.add(Fifth.SHARP);
        }
        return all;
    }

    private static List<Seventh> sevenths(PitchClassSet set, Third third, Fifth fifth) {
        if (set.has(10)) {
            return List.of(Seventh.FLAT);
        }
        if (set.has(11)) {
            return List.of(Seventh.MAJOR);
        }
        if (!set.has(9)) {
            return List.of(Seventh.NONE);
        }
        boolean diminished = third == Third.MINOR && fifth == Fifth.FLAT;
        return List.of(diminished ? Seventh.DIMINISHED : Seventh.SIXTH);
    }

    /** A choice of third, fifth and seventh, put into words step by step. */
    private static final class Wording {
        private static final double MISSING_THIRD = 1.4;
        private static final double MISSING_THIRD_UNDER_SEVENTH = 1.2;
        private static final double MISSING_FIFTH = 2.0;
        private static final double MISSING_FIFTH_UNDER_SIXTH = 1.4;
        private static final double MISSING_FIFTH_UNDER_SEVENTH = 0.25;
        private static final double MISSING_FIFTH_UNDER_SUSPENSION = 1.2;
        private static final double FURTHER_MODIFIER = 0.5;

        private final Third third;
        private final Fifth fifth;
        private final Seventh seventh;
        private final boolean seven;
        private final List<String> modifiers = new ArrayList<>();
        private PitchClassSet left;
        private double cost;

        Wording(PitchClassSet set, Third third, Fifth fifth, Seventh seventh) {
            this.third = third;
            this.fifth = fifth;
            this.seventh = seventh;
            seven = seventh == Seventh.FLAT || seventh == Seventh.MAJOR;
            left = set.without(0);
            take(
                    switch (third) {
                        case MAJOR -> 4;
                        case MINOR -> 3;
                        case FOURTH -> 5;
                        case SECOND -> 2;
                        case NONE -> 0;
                    });
            take(
                    switch (fifth) {
                        case PURE -> 7;
                        case FLAT -> 6;
                        case SHARP -> 8;
                        case NONE -> 0;
                    });
            take(
                    switch (seventh) {
                        case FLAT -> 10;
                        case MAJOR -> 11;
                        case DIMINISHED, SIXTH -> 9;
                        case NONE -> 0;
                    });
        }

        private boolean take(int semitones) {
            boolean there = left.has(semitones);
            left = left.without(semitones);
            return there;
        }

        Quality said() {
            String base = base();
            sayFifth();
            sayAdditions();
            sayMissing();
            String suffix = base + printed(base);
            return new Quality(suffix, modifiers.size(), cost, third, fifth, seventh);
        }

        private boolean triadThird() {
            return third == Third.MAJOR || third == Third.MINOR;
        }

        private boolean diminished() {
            return third == Third.MINOR && fifth == Fifth.FLAT && !seven;
        }

        private boolean augmented() {
            return third == Third.MAJOR && fifth == Fifth.SHARP && seventh == Seventh.NONE;
        }

        private boolean bareFifth() {
            return third == Third.NONE && fifth == Fifth.PURE && seventh == Seventh.NONE;
        }

        private String base() {
            if (bareFifth()) {
                cost += 0.1;
                return "5";
            }
            if (diminished()) {
                cost += 0.4;
                return seventh == Seventh.DIMINISHED ? "dim7" : "dim";
            }
            if (augmented()) {
                cost += 0.4;
                return "aug";
            }
            String minor = third == Third.MINOR ? "m" : "";
            String number =
                    switch (seventh) {
                        case FLAT -> extended();
                        case MAJOR -> "maj" + extended();
                        case SIXTH -> sixth();
                        default -> "";
                    };
            boolean minorMajor = third == Third.MINOR && seventh == Seventh.MAJOR;
            cost += minorMajor ? 0.3 : 0;
            return (minorMajor ? "m(" + number + ")" : minor + number) + suspension();
        }

        /** A ninth that no altered ninth stands beside. */
        private boolean plainNinth() {
            return left.has(2) && !left.has(1) && !(left.has(3) && third == Third.MAJOR);
        }

        /** 7 or 9; 13 with the sixth above the ninth, 11 with the fourth above it. */
        private String extended() {
            cost += 0.2;
            if (!plainNinth() || third == Third.SECOND) {
                return "7";
            }
            take(2);
            if (take(9)) {
                return "13";
            }
            if (triadThird() && take(5)) {
                cost += third == Third.MAJOR ? 0.4 : 0;
                return "11";
            }
            return "9";
        }

        private String sixth() {
            boolean suspended = third == Third.FOURTH || third == Third.SECOND;
            cost += suspended ? 1.5 : third == Third.MINOR ? 0.7 : 0.5;
            if (plainNinth()) {
                take(2);
                cost -= 0.2;
                return "6/9";
            }
            return "6";
        }

        private String suspension() {
            if (third == Third.FOURTH) {
                cost += seven ? 0.05 : 0.35;
                return "sus4";
            }
            if (third == Third.SECOND) {
                cost += seven ? 1.3 : 0.4;
                return "sus2";
            }
            return "";
        }

        private void add(String modifier, double price) {
            cost += price + (modifiers.isEmpty() ? 0 : FURTHER_MODIFIER);
            modifiers.add(modifier);
        }

        /** A half-diminished fifth is free, an altered one under a dominant cheap. */
        private void sayFifth() {
            if (fifth == Fifth.FLAT && !diminished()) {
                boolean half = third == Third.MINOR && seventh == Seventh.FLAT;
                add("♭5", half ? 0.1 : triadThird() && seven ? 0.4 : 1.8);
            }
            if (fifth == Fifth.SHARP && !augmented()) {
                add("♯5", third == Third.MAJOR && seven ? 0.4 : 2.8);
            }
        }

        private void sayAdditions() {
            boolean dominant = seventh == Seventh.FLAT && third != Third.MINOR;
            boolean colour = triadThird() || third == Third.FOURTH;
            cost += !left.isEmpty() && (diminished() || augmented()) ? 1.5 : 0;
            if (take(1)) {
                add("♭9", dominant ? 0.5 : 2.6);
            }
            if (take(3)) {
                add("♯9", dominant ? 0.5 : 2.0);
            }
            if (take(2)) {
                add("add9", seven ? 1.2 : 0.5);
            }
            if (take(5)) {
                add("add11", seven && third == Third.MINOR ? 0.5 : 1.2);
            }
            if (take(6)) {
                double price = seven && colour || bareFifth() ? 0.5 : 0.9;
                add("♯11", fifth == Fifth.PURE ? price : price + 0.5);
            }
            if (take(8)) {
                add("♭13", dominant && triadThird() ? 0.8 : 3.0);
            }
            if (take(9)) {
                add("add13", seven ? 0.5 : 1.6);
            }
            if (take(10)) {
                add("add♭7", 2.5);
            }
            if (take(11)) {
                add("addmaj7", 2.5);
            }
        }

        private void sayMissing() {
            if (third == Third.NONE && !bareFifth()) {
                boolean under = seven && fifth == Fifth.PURE;
                add("no3", under ? MISSING_THIRD_UNDER_SEVENTH : MISSING_THIRD);
            }
            if (fifth == Fifth.NONE) {
                double price = MISSING_FIFTH;
                if (third == Third.FOURTH && seven) {
                    price = MISSING_FIFTH_UNDER_SUSPENSION;
                } else if (triadThird() && seven) {
                    // Players leave the fifth out of altered and extended sevenths as of plain
                    // ones.
                    price =
                            MISSING_FIFTH_UNDER_SEVENTH
                                    - (modifiers.isEmpty() ? 0 : FURTHER_MODIFIER);
                } else if (triadThird() && seventh == Seventh.SIXTH) {
                    price = MISSING_FIFTH_UNDER_SIXTH;
                }
                add("no5", price);
            }
        }

        /** One alteration of a seventh and one addition to a major triad need no brackets. */
        private String printed(String base) {
            if (modifiers.isEmpty()) {
                return "";
            }
            String only = modifiers.size() == 1 ? modifiers.get(0) : "";
            boolean altered = only.startsWith("♭") || only.startsWith("♯");
            if (altered && base.matches("m?(maj)?(7|9|11|13)")
                    || base.isEmpty() && only.startsWith("add")) {
                return only;
            }
            String all = String.join(",", modifiers);
            return "(" + all + ")";
        }
    }
}
