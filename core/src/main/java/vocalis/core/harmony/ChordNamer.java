package vocalis.core.harmony;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Voicing;

/**
 * Gives every set of notes its exact names: symbols that say every sounding pitch class and none
 * that does not sound, except as an explicit omission.
 *
 * <p>Design: each sounding pitch class is taken as root, and the intervals above it are looked up
 * in {@link Quality}. A bass that sounds nowhere else may stand outside the chord, after the slash
 * The readings are ranked by heard root (both, where it is ambiguous), then by simplicity, then by
 * key.
 */
public final class ChordNamer {

    private ChordNamer() {}

    /** All exact names, best first; never empty. */
    public static List<ChordName> names(Voicing voicing, Optional<Key> key) {
        Notes notes = Notes.of(voicing);
        List<Candidate> all = candidates(notes, key);
        all.sort(Comparator.comparingInt(Candidate::cost));
        return all.stream().map(c -> c.name(notes.bassClass(), key)).distinct().toList();
    }

    /** The best exact name: the first of {@link #names}, the only one that is spelled out. */
    public static ChordName name(Voicing voicing, Optional<Key> key) {
        Notes notes = Notes.of(voicing);
        Candidate best = null;
        for (Candidate c : candidates(notes, key)) {
            best = best == null || c.cost < best.cost ? c : best;
        }
        return best.name(notes.bassClass(), key);
    }

    /** The best name of a voicing over another bass, a pitch class that need not sound in it. */
    public static ChordName over(Voicing voicing, int bass, Optional<Key> key) {
        Notes notes = Notes.of(voicing);
        int all = notes.mask() | 1 << bass;
        List<ChordName> names = new ArrayList<>();
        for (int root = 0; root < 12; root++) {
            if ((all >> root & 1) == 0) {
                continue;
            }
            names.add(read(root, all, bass, notes.voices() + 1, key));
            if (root != bass && all != notes.mask()) {
                names.add(read(root, notes.mask(), bass, notes.voices(), key));
            }
        }
        names.sort(
                Comparator.comparingInt(ChordName::modifiers)
                        .thenComparingInt(n -> n.root().pitchClass() == bass ? 0 : 1)
                        .thenComparingInt(n -> n.suffix().length()));
        return names.get(0);
    }

    /**
     * A way to read the notes: some of them, as bits, over one of them as root.
     *
     * @param cost the ranking in one number, the weightiest question in the highest bits
     */
    private record Candidate(int root, int mask, int voices, int cost) {
        ChordName name(int bass, Optional<Key> key) {
            return read(root, mask, bass, voices, key);
        }
    }

    private static List<Candidate> candidates(Notes notes, Optional<Key> key) {
        Support support = Support.of(notes, key);
        int scale = key.isPresent() ? key.get().mask() : 0xFFF;
        int all = notes.mask();
        int bass = notes.bassClass();
        boolean bassOnlyBelow = notes.count(bass) == 1 && Integer.bitCount(all) > 2;
        List<Candidate> out = new ArrayList<>(12);
        for (int root = 0; root < 12; root++) {
            if ((all >> root & 1) == 0) {
                continue;
            }
            out.add(candidate(root, all, notes.voices(), bass, support, scale));
            if (root != bass && bassOnlyBelow) {
                int upper = all & ~(1 << bass);
                out.add(candidate(root, upper, notes.voices() - 1, bass, support, scale));
            }
        }
        return out;
    }

    /** Heard root first, then few modifiers, no slash, the very root, in the scale, short. */
    private static Candidate candidate(
            int root, int mask, int voices, int bass, Support support, int scale) {
        Quality quality = Quality.of(above(root, mask));
        int cost = support.mayBe(root) ? 0 : 1;
        cost = cost << 4 | quality.modifiers();
        cost = cost << 1 | (root != bass ? 1 : 0);
        cost = cost << 1 | (root == support.best() ? 0 : 1);
        cost = cost << 1 | (scale >> root & 1 ^ 1);
        cost = cost << 8 | quality.suffix().length();
        return new Candidate(root, mask, voices, cost);
    }

    /** Pitch classes as intervals above a root, both as bits. */
    private static int above(int root, int mask) {
        return (mask >> root | mask << 12 - root) & 0xFFF;
    }

    private static ChordName read(int root, int mask, int bass, int voices, Optional<Key> key) {
        Spelling spelled = key.isPresent() ? key.get().spell(root) : Spelling.plain(root);
        Quality quality = Quality.of(above(root, mask));
        String suffix = quality.suffix();
        if (Integer.bitCount(mask) == 1) {
            suffix = voices > 1 ? " octave" : " alone";
        }
        Optional<Spelling> slash =
                bass == root ? Optional.empty() : Optional.of(spellBass(bass, root, spelled, key));
        return new ChordName(spelled, suffix, slash, quality.modifiers());
    }

    private static Spelling spellBass(int bass, int root, Spelling spelledRoot, Optional<Key> key) {
        if (key.isPresent() && key.get().contains(bass)) {
            return key.get().spell(bass);
        }
        return spelledRoot.above(Degree.above(bass - root));
    }
}
