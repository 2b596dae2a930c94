package vocalis.core.harmony;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * What a set of intervals above a root is called.
 *
 * <p>Convention: a set is a mask of twelve bits, bit <i>n</i> standing for the note <i>n</i>
 * semitones above the root (any octave). Each set is read in order: third or suspension, fifth,
 * seventh, then what is left as extensions, additions and alterations. All 4,096 sets are read once
 * when the class loads.
 *
 * @param suffix what follows the root, such as {@code m7} or {@code 5(♯11)}; empty for a major
 *     triad
 * @param modifiers how many additions, alterations and omissions it needs
 */
record Quality(String suffix, int modifiers) {

    private static final Quality[] TABLE = new Quality[1 << 12];

    static {
        for (int mask = 0; mask < TABLE.length; mask++) {
            Intervals intervals = new Intervals(mask);
            String suffix = intervals.suffix();
            TABLE[mask] = new Quality(suffix, intervals.modifiers);
        }
    }

    /**
     * The quality of a set of intervals; the root counts as sounding whether or not bit 0 is set.
     */
    static Quality of(int mask) {
        return TABLE[mask];
    }

    /** The intervals above one root, consumed step by step while the symbol grows. */
    private static final class Intervals {
        private final Set<Integer> left = new TreeSet<>();
        private final List<String> added = new ArrayList<>();
        private int modifiers;
        private boolean minorThird;

        private Intervals(int mask) {
            for (int i = 1; i < 12; i++) {
                if ((mask >> i & 1) != 0) {
                    left.add(i);
                }
            }
        }

        String suffix() {
            boolean major = left.remove(4);
            boolean minor = !major && left.remove(3);
            minorThird = minor;
            boolean third = major || minor;
            boolean pure = left.remove(7);
            String fifth = pure ? "" : alteredFifth(minor);
            boolean noFifth = !pure && fifth.isEmpty();
            boolean dim = minor && fifth.equals("♭5");
            boolean aug = major && fifth.equals("♯5") && !left.contains(10) && !left.contains(11);
            boolean fullyDim = dim && left.contains(9) && !left.contains(10) && !left.contains(11);
            if (fullyDim) {
                left.remove(9);
            }
            String seventh = fullyDim ? "7" : seventh();
            boolean hasSeventh = !seventh.isEmpty() && !fullyDim;
            seventh = extended(seventh, third);
            String suspended = third ? "" : suspension(hasSeventh, noFifth);
            boolean bareFifth = !third && suspended.isEmpty() && pure && seventh.isEmpty();
            String sixth =
                    hasSeventh || fullyDim
                            ? ""
                            : sixth(third, bareFifth || (noFifth && suspended.isEmpty()));
            String base =
                    base(minor, dim, fullyDim, aug, bareFifth && sixth.isEmpty(), seventh, sixth);
            if (!fifth.isEmpty() && !(dim && !hasSeventh) && !aug) {
                add(fifth);
            }
            nameRest();
            if (!third && suspended.isEmpty() && !(bareFifth && sixth.isEmpty())) {
                add("no3");
            }
            if (noFifth) {
                add("no5");
            }
            return base + suspended + (added.isEmpty() ? "" : "(" + String.join(",", added) + ")");
        }

        private void add(String modifier) {
            added.add(modifier);
            modifiers++;
        }

        private String alteredFifth(boolean minor) {
            if (left.contains(6) && (minor || !left.contains(8))) {
                left.remove(6);
                return "♭5";
            }
            if (left.contains(8) && !minor) {
                left.remove(8);
                return "♯5";
            }
            return "";
        }

        /** A ninth that no altered ninth stands beside. */
        private boolean plainNinth() {
            return left.contains(2) && !left.contains(1) && !left.contains(3);
        }

        /** {@code 7}, {@code 9}, {@code maj7}, {@code maj9}, or nothing. */
        private String seventh() {
            boolean flat = left.remove(10);
            boolean sharp = !flat && left.remove(11);
            if (!flat && !sharp) {
                return "";
            }
            String number = plainNinth() ? "9" : "7";
            if (number.equals("9")) {
                left.remove(2);
            }
            return (sharp ? "maj" : "") + number;
        }

        /**
         * A ninth with the sixth above it is a thirteenth; with the fourth over a minor third an
         * eleventh.
         */
        private String extended(String seventh, boolean third) {
            if (!seventh.endsWith("9") || !third) {
                return seventh;
            }
            String stem = seventh.substring(0, seventh.length() - 1);
            if (left.remove(9)) {
                return stem + "13";
            }
            if (minorThird && left.remove(5)) {
                return stem + "11";
            }
            return seventh;
        }

        private String suspension(boolean hasSeventh, boolean noFifth) {
            if (left.contains(5)) {
                left.remove(5);
                return "sus4";
            }
            if (left.contains(2) && !left.contains(9) && !hasSeventh && !noFifth) {
                left.remove(2);
                return "sus2";
            }
            return "";
        }

        private String sixth(boolean third, boolean bareFifth) {
            if (!left.contains(9) || !(third || bareFifth)) {
                return "";
            }
            left.remove(9);
            if (plainNinth()) {
                left.remove(2);
                return "6/9";
            }
            return "6";
        }

        private static String base(
                boolean minor,
                boolean dim,
                boolean fullyDim,
                boolean aug,
                boolean five,
                String seventh,
                String sixth) {
            if (five) {
                return "5";
            }
            if (fullyDim) {
                return "dim7";
            }
            if (dim && seventh.isEmpty()) {
                return "dim" + sixth;
            }
            if (aug) {
                return "aug" + sixth;
            }
            String join = minor && seventh.startsWith("maj") ? "m(" + seventh + ")" : null;
            return join != null ? join : (minor ? "m" : "") + seventh + sixth;
        }

        private void nameRest() {
            for (int semitones : List.copyOf(left)) {
                String name =
                        switch (semitones) {
                            case 1 -> "♭9";
                            case 2 -> "add9";
                            case 3 -> "♯9";
                            case 5 -> "add11";
                            case 6 -> "♯11";
                            case 8 -> "♭13";
                            case 9 -> "add13";
                            case 10 -> "add♭7";
                            default -> "addmaj7";
                        };
                add(name);
            }
            left.clear();
        }
    }
}
