package vocalis.core.harmony;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;

/**
 * The root that is heard in a set of notes, with what speaks for it.
 *
 * <p>Support of a candidate = the sum over all sounding notes, doublings included, of a weight by
 * the note's interval above it: unison and octave 10, fifth 5, major third 3, minor seventh 2,
 * major second 1; plus 2 for the lowest note; plus 3 for the tonic and 1 for another note of the
 * scale when a key is set. A simple form after R. Parncutt, "Revision of Terhardt's
 * psychoacoustical model of the root(s) of a musical chord", Music Perception 6 (1988), revised
 * 1997; the weights are from memory. Ties break by key, then by the lower note. A lead under a
 * tenth of the winner's support is ambiguous.
 *
 * @param root pitch class with the most support
 * @param ranking all twelve pitch classes, best first
 * @param ambiguous whether the lead is under {@link #CLEAR_LEAD}
 * @param reason one sentence in plain words
 */
public record HeardRoot(int root, List<Support> ranking, boolean ambiguous, String reason) {

    /** Least lead, as a share of the winner's support, that counts as clear. */
    public static final double CLEAR_LEAD = 0.10;

    private static final int[] WEIGHTS = {10, 0, 1, 0, 3, 0, 0, 5, 0, 0, 2, 0};
    private static final int LOWEST = 2;
    private static final int TONIC = 3;
    private static final int IN_SCALE = 1;

    /** The support of one pitch class. */
    public record Support(int pitchClass, int weight) {}

    public HeardRoot {
        ranking = List.copyOf(ranking);
    }

    /** The heard root of a voicing, with or without a key. */
    public static HeardRoot of(Voicing voicing, Optional<Key> key) {
        List<Sounding> notes = voicing.soundings();
        int bass = voicing.bass();
        List<Support> ranking =
                IntStream.range(0, 12)
                        .mapToObj(c -> new Support(c, support(c, notes, bass, key)))
                        .sorted(order(notes, key))
                        .toList();
        Support first = ranking.get(0);
        Support second = ranking.get(1);
        boolean ambiguous = first.weight() - second.weight() < CLEAR_LEAD * first.weight();
        return new HeardRoot(
                first.pitchClass(),
                ranking,
                ambiguous,
                reason(notes, bass, key, first, second, ambiguous));
    }

    /**
     * Whether a pitch class is heard as the root: the winner, or one that comes too close to it.
     */
    public boolean mayBe(int pitchClass) {
        return pitchClass == root || (ambiguous && ranking.get(1).pitchClass() == pitchClass);
    }

    private static int support(int candidate, List<Sounding> notes, int bass, Optional<Key> key) {
        int sum = 0;
        for (Sounding s : notes) {
            sum += WEIGHTS[Math.floorMod(s.midi() - candidate, 12)];
        }
        if (Math.floorMod(bass, 12) == candidate) {
            sum += LOWEST;
        }
        return sum + keyWeight(candidate, key);
    }

    private static int keyWeight(int candidate, Optional<Key> key) {
        if (key.isEmpty() || !key.get().contains(candidate)) {
            return 0;
        }
        return key.get().tonic().pitchClass() == candidate ? TONIC : IN_SCALE;
    }

    private static Comparator<Support> order(List<Sounding> notes, Optional<Key> key) {
        return Comparator.comparingInt((Support s) -> -s.weight())
                .thenComparingInt(s -> -keyWeight(s.pitchClass(), key))
                .thenComparingInt(s -> lowest(s.pitchClass(), notes));
    }

    private static int lowest(int pitchClass, List<Sounding> notes) {
        return notes.stream()
                .filter(n -> n.pitchClass() == pitchClass)
                .mapToInt(Sounding::midi)
                .min()
                .orElse(1000 + pitchClass);
    }

    private static String reason(
            List<Sounding> notes,
            int bass,
            Optional<Key> key,
            Support first,
            Support second,
            boolean ambiguous) {
        String name = spell(first.pitchClass(), key);
        String rival = spell(second.pitchClass(), key);
        if (ambiguous) {
            return "Ambiguous: "
                    + name
                    + " or "
                    + rival
                    + " can be heard as the root ("
                    + first.weight()
                    + " against "
                    + second.weight()
                    + ").";
        }
        boolean bassIsRoot = Math.floorMod(bass, 12) == first.pitchClass();
        boolean fifth = has(notes, first, 7);
        boolean onlyRoot = notes.stream().allMatch(n -> n.pitchClass() == first.pitchClass());
        String why;
        if (onlyRoot) {
            why = "nothing else sounds";
        } else if (fifth && bassIsRoot) {
            why = "it is the lowest note and its fifth sounds above it";
        } else if (fifth && Math.floorMod(bass - first.pitchClass(), 12) == 7) {
            why = "its fifth lies below it, and a fourth is heard from its upper note";
        } else if (fifth) {
            why =
                    "its fifth supports it, though "
                            + spell(Math.floorMod(bass, 12), key)
                            + " is the bass";
        } else if (bassIsRoot) {
            why = "it is the lowest note and no other is supported by a fifth";
        } else {
            why = "the other notes support it best";
        }
        return "Root "
                + name
                + ": "
                + why
                + " ("
                + first.weight()
                + " against "
                + second.weight()
                + " for "
                + rival
                + ").";
    }

    private static boolean has(List<Sounding> notes, Support of, int semitones) {
        return notes.stream()
                .anyMatch(n -> Math.floorMod(n.midi() - of.pitchClass(), 12) == semitones);
    }

    private static String spell(int pitchClass, Optional<Key> key) {
        Spelling s = key.map(k -> k.spell(pitchClass)).orElseGet(() -> Spelling.plain(pitchClass));
        return s.symbol();
    }
}
