package vocalis.core.names;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;
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
 * @param reason one sentence in plain words
 */
public record HeardRoot(int root, List<Supported> ranking, boolean ambiguous, String reason) {

    /** Least lead, as a share of the winner's support, that counts as clear. */
    public static final double CLEAR_LEAD = 0.10;

    /** Lead, as a share of the winner's support, from which words say "clearly". */
    private static final double CLEARLY = 1 / 3.0;

    /** The support of one pitch class. */
    public record Supported(int pitchClass, int weight) {}

    public HeardRoot {
        ranking = List.copyOf(ranking);
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
                support.best(), ranking, support.ambiguous(), reason(notes, key, support));
    }

    /**
     * Whether a pitch class is heard as the root: the winner, or one that comes too close to it.
     */
    public boolean mayBe(int pitchClass) {
        return pitchClass == root || (ambiguous && ranking.get(1).pitchClass() == pitchClass);
    }

    private static String reason(Notes notes, Optional<Key> key, Support support) {
        int first = support.best();
        int second = support.second();
        String name = spell(first, key);
        String rival = spell(second, key);
        int weight = support.weights()[first];
        int against = support.weights()[second];
        String figures = " (" + weight + " against " + against;
        if (support.ambiguous()) {
            return name
                    + " or "
                    + rival
                    + ": ambiguous, either can be heard as the root"
                    + figures
                    + ").";
        }
        boolean clearly = weight - against >= CLEARLY * weight;
        return name
                + (clearly ? ", clearly: " : ", by a little: ")
                + why(notes, first, key)
                + figures
                + " for "
                + rival
                + ").";
    }

    /** What speaks for a root, each part of it a fact about the notes and the key. */
    private static String why(Notes notes, int root, Optional<Key> key) {
        boolean bassIsRoot = notes.bassClass() == root;
        if (notes.count(root) == notes.voices()) {
            return "nothing else sounds";
        }
        if (notes.has(root, 7)) {
            if (bassIsRoot) {
                return "it is the lowest note and its fifth sounds above it";
            }
            return Math.floorMod(notes.bassClass() - root, 12) == 7
                    ? "its fifth lies below it, and a fourth is heard from its upper note"
                    : "its fifth supports it, though "
                            + spell(notes.bassClass(), key)
                            + " is the bass";
        }
        List<String> facts = new ArrayList<>();
        if (bassIsRoot) {
            facts.add("it is the lowest note");
        }
        if (notes.count(root) > 1) {
            facts.add("it sounds " + TIMES[Math.min(notes.count(root), TIMES.length - 1)]);
        }
        if (notes.has(root, 4)) {
            facts.add("its major third sounds");
        }
        if (notes.has(root, 10)) {
            facts.add("its minor seventh sounds");
        }
        if (key.isPresent() && key.get().tonic().pitchClass() == root) {
            facts.add("it is the tonic");
        } else if (key.isPresent() && facts.isEmpty() && key.get().contains(root)) {
            facts.add("it is a note of the key");
        }
        return facts.isEmpty() ? "no other note is supported better" : joined(facts);
    }

    private static final String[] TIMES = {"never", "once", "twice", "three times", "often"};

    private static String joined(List<String> facts) {
        int last = facts.size() - 1;
        return last == 0
                ? facts.get(0)
                : String.join(", ", facts.subList(0, last)) + " and " + facts.get(last);
    }

    private static String spell(int pitchClass, Optional<Key> key) {
        Spelling s = key.map(k -> k.say(pitchClass)).orElseGet(() -> Spelling.plain(pitchClass));
        return s.symbol();
    }
}
