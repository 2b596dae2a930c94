package vocalis.core.harmony;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;

/**
 * Gives every set of notes its exact names: symbols that say every sounding pitch class and none
 * that does not sound, except as an explicit omission.
 *
 * <p>Design: for each sounding pitch class taken as root, the set of intervals above it is read in
 * order: third or suspension, fifth, seventh, then what is left as extensions, additions and
 * alterations. A bass that sounds nowhere else may stand outside the chord, after the slash (C19).
 * The readings are ranked by heard root (both, where it is ambiguous), then by simplicity, then by
 * key.
 */
public final class ChordNamer {

    private ChordNamer() {}

    /** All exact names, best first; never empty. */
    public static List<ChordName> names(Voicing voicing, Optional<Key> key) {
        HeardRoot heard = HeardRoot.of(voicing, key);
        Set<Integer> all = new TreeSet<>(voicing.pitchClasses());
        int bass = Math.floorMod(voicing.bass(), 12);
        List<ChordName> names = new ArrayList<>();
        for (int root : all) {
            names.add(read(root, all, bass, voicing.voices(), key));
            boolean bassOnlyBelow =
                    voicing.soundings().stream()
                                    .map(Sounding::pitchClass)
                                    .filter(p -> p == bass)
                                    .count()
                            == 1;
            if (root != bass && bassOnlyBelow && all.size() > 2) {
                Set<Integer> upper = new TreeSet<>(all);
                upper.remove(bass);
                names.add(read(root, upper, bass, voicing.voices() - 1, key));
            }
        }
        names.sort(
                Comparator.comparingInt((ChordName n) -> heard.mayBe(n.root().pitchClass()) ? 0 : 1)
                        .thenComparingInt(ChordName::modifiers)
                        .thenComparingInt(n -> n.bass().isPresent() ? 1 : 0)
                        .thenComparingInt(n -> n.root().pitchClass() == heard.root() ? 0 : 1)
                        .thenComparingInt(n -> inKey(n, key) ? 0 : 1)
                        .thenComparingInt(n -> n.suffix().length()));
        return names.stream().distinct().toList();
    }

    /** The best name of a voicing over another bass, a pitch class that need not sound in it. */
    public static ChordName over(Voicing voicing, int bass, Optional<Key> key) {
        Set<Integer> all = new TreeSet<>(voicing.pitchClasses());
        all.add(bass);
        List<ChordName> names = new ArrayList<>();
        for (int root : all) {
            names.add(read(root, all, bass, voicing.voices() + 1, key));
            if (root != bass && !voicing.pitchClasses().contains(bass)) {
                names.add(
                        read(
                                root,
                                new TreeSet<>(voicing.pitchClasses()),
                                bass,
                                voicing.voices(),
                                key));
            }
        }
        names.sort(
                Comparator.comparingInt(ChordName::modifiers)
                        .thenComparingInt(n -> n.root().pitchClass() == bass ? 0 : 1)
                        .thenComparingInt(n -> n.suffix().length()));
        return names.get(0);
    }

    /** The best exact name. */
    public static ChordName name(Voicing voicing, Optional<Key> key) {
        return names(voicing, key).get(0);
    }

    private static boolean inKey(ChordName name, Optional<Key> key) {
        return key.map(k -> k.contains(name.root().pitchClass())).orElse(true);
    }

    private static ChordName read(
            int root, Set<Integer> pcs, int bass, int voices, Optional<Key> key) {
        Spelling spelled = key.map(k -> k.spell(root)).orElseGet(() -> Spelling.plain(root));
        Reading r = new Reading(root, pcs);
        String suffix = pcs.size() == 1 ? (voices > 1 ? " octave" : " alone") : r.suffix();
        Optional<Spelling> slash =
                bass == root ? Optional.empty() : Optional.of(spellBass(bass, root, spelled, key));
        return new ChordName(spelled, suffix, slash, r.modifiers);
    }

    private static Spelling spellBass(int bass, int root, Spelling spelledRoot, Optional<Key> key) {
        if (key.isPresent() && key.get().contains(bass)) {
            return key.get().spell(bass);
        }
        return spelledRoot.above(Degree.above(bass - root));
    }

    /** The intervals above one root, consumed step by step while the symbol grows. */
    private static final class Reading {
        private final Set<Integer> left = new TreeSet<>();
        private final List<String> added = new ArrayList<>();
        private int modifiers;
        private boolean minorThird;

        Reading(int root, Set<Integer> pcs) {
            for (int pc : pcs) {
                left.add(Math.floorMod(pc - root, 12));
            }
            left.remove(0);
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
            String sixth = hasSeventh || fullyDim ? "" : sixth(third, bareFifth);
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
