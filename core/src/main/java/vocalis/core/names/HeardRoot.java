package vocalis.core.names;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import vocalis.core.theory.Key;
import vocalis.core.voicing.BareVoicing;
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
 * @param reasons what speaks for the root, the strongest first
 */
public record HeardRoot(
        int root, List<Supported> ranking, boolean ambiguous, List<RootReason> reasons) {

    /** Least lead, as a share of the winner's support, that counts as clear. */
    public static final double CLEAR_LEAD = Support.CLEAR_LEAD;

    /** Lead, as a share of the winner's support, from which it is heard clearly. */
    private static final double CLEARLY = 1 / 3.0;

    /** The support of one pitch class. */
    public record Supported(int pitchClass, int weight) {}

    public HeardRoot {
        ranking = List.copyOf(ranking);
        reasons = List.copyOf(reasons);
    }

    /**
     * How far the root that a voicing is built for lies behind the one that is heard in it, without
     * a key, as a share of that one's support: 0 where it is the one, at most 1.
     */
    public static double behind(BareVoicing voicing) {
        return Support.behind(voicing);
    }

    /** The heard root of a voicing, with or without a key. */
    public static HeardRoot of(Voicing voicing, Optional<Key> key) {
        Notes notes = Notes.of(voicing);
        Support support = Support.of(notes, key);
        List<Supported> ranking =
                Arrays.stream(support.order())
                        .mapToObj(c -> new Supported(c, support.weights()[c]))
                        .toList();
        return new HeardRoot(
                support.best(), ranking, support.ambiguous(), why(notes, support.best(), key));
    }

    /**
     * Whether a pitch class is heard as the root: the winner, or one that comes too close to it.
     */
    public boolean mayBe(int pitchClass) {
        return pitchClass == root || (ambiguous && ranking.get(1).pitchClass() == pitchClass);
    }

    /** The support of the root. */
    public Supported best() {
        return ranking.get(0);
    }

    /** The one that comes next. */
    public Supported next() {
        return ranking.get(1);
    }

    /** Whether the lead is large. */
    public boolean clearly() {
        return best().weight() - next().weight() >= CLEARLY * best().weight();
    }

    private static List<RootReason> why(Notes notes, int root, Optional<Key> key) {
        boolean bassIsRoot = notes.bassClass() == root;
        if (notes.count(root) == notes.voices()) {
            return List.of(RootReason.Fact.ALONE);
        }
        if (notes.has(root, 7)) {
            if (bassIsRoot) {
                return List.of(RootReason.Fact.LOWEST_UNDER_ITS_FIFTH);
            }
            boolean overFifth = Math.floorMod(notes.bassClass() - root, 12) == 7;
            return List.of(
                    overFifth
                            ? RootReason.Fact.OVER_ITS_FIFTH
                            : new RootReason.FifthOverAnotherBass(notes.bassClass()));
        }
        List<RootReason> facts = new ArrayList<>();
        if (bassIsRoot) {
            facts.add(RootReason.Fact.LOWEST);
        }
        if (notes.count(root) > 1) {
            facts.add(new RootReason.Doubled(notes.count(root)));
        }
        if (notes.has(root, 4)) {
            facts.add(RootReason.Fact.MAJOR_THIRD_SOUNDS);
        }
        if (notes.has(root, 10)) {
            facts.add(RootReason.Fact.MINOR_SEVENTH_SOUNDS);
        }
        if (key.isPresent() && key.get().tonic().pitchClass() == root) {
            facts.add(RootReason.Fact.TONIC);
        } else if (key.isPresent() && facts.isEmpty() && key.get().contains(root)) {
            facts.add(RootReason.Fact.OF_THE_KEY);
        }
        return facts.isEmpty() ? List.of(RootReason.Fact.NO_OTHER_BETTER) : facts;
    }
}
