package vocalis.workbench.playing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vocalis.core.choice.PlainPower;
import vocalis.core.derive.Derived;
import vocalis.core.names.HeardRoot;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;

/**
 * The test by which players find a root: root-position power chords on each reading under the
 * shape, or under the whole riff, one after another, to hear which belongs.
 */
public final class RootProof {

    /** Most roots tried. */
    public static final int MOST = 4;

    /**
     * A root to try.
     *
     * @param root pitch class
     * @param support how much speaks for it, in points of the heard root
     * @param power the power chord to sound under it; empty where the tuning has none
     * @param fits whether it is the one that belongs
     * @param why in words
     */
    public record Candidate(
            int root, double support, Optional<Voicing> power, boolean fits, String why) {}

    private RootProof() {}

    /** The roots to try under a voicing, best first. */
    public static List<Candidate> of(Voicing v, Key key) {
        HeardRoot heard = HeardRoot.of(v, Optional.of(key));
        List<Candidate> all = new ArrayList<>();
        for (HeardRoot.Supported s : heard.ranking().subList(0, MOST)) {
            all.add(
                    new Candidate(
                            s.pitchClass(),
                            s.weight(),
                            PlainPower.on(v.board(), s.pitchClass()),
                            heard.mayBe(s.pitchClass()),
                            why(v, s.pitchClass(), key)));
        }
        return all;
    }

    private static String why(Voicing v, int root, Key key) {
        List<String> parts = new ArrayList<>();
        boolean third = false;
        for (int pc : v.pitchClasses()) {
            int above = Math.floorMod(pc - root, 12);
            if (above == 0) {
                parts.add("it sounds");
            } else if (above == 7) {
                parts.add("its fifth sounds");
            } else if (above == 1 || above == 6) {
                parts.add(
                        key.say(pc).symbol()
                                + " rubs against "
                                + (above == 1 ? "it" : "its fifth")
                                + " as its "
                                + Degree.above(above).symbol());
            } else if (above == 8) {
                parts.add(key.say(pc).symbol() + " rubs against its fifth as its ♭6");
            } else if (above == 4 || above == 3) {
                third = true;
            }
        }
        if (third) {
            parts.add("the shape gives it a third");
        }
        if (!key.contains(root)) {
            parts.add("it lies outside " + key);
        }
        String text =
                parts.isEmpty() ? "nothing in the shape speaks for it" : String.join(", ", parts);
        return Character.toUpperCase(text.charAt(0)) + text.substring(1) + ".";
    }

    /** The roots to try under the whole riff: support summed over its chords by their length. */
    public static List<Candidate> of(Derived derived) {
        Key key = derived.riff().ground().key();
        double[] sums = new double[12];
        for (Derived.Chord c : derived.chords()) {
            double share = (double) c.length() / derived.riff().length();
            HeardRoot.of(c.candidate().voicing(), Optional.of(key))
                    .ranking()
                    .forEach(s -> sums[s.pitchClass()] += share * s.weight());
        }
        Voicing first = derived.chords().get(0).candidate().voicing();
        List<Candidate> all = new ArrayList<>();
        for (int root = 0; root < 12; root++) {
            long chords = chordsOn(derived, root, key);
            String why =
                    (root == key.tonic().pitchClass() ? "The tonic of " + key + "; " : "")
                            + (chords == 0
                                    ? "no chord is heard on it"
                                    : chords
                                            + (chords == 1 ? " chord is" : " chords are")
                                            + " heard on it")
                            + (key.contains(root) ? "." : ", and it lies outside " + key + ".");
            all.add(
                    new Candidate(
                            root,
                            sums[root],
                            PlainPower.on(first.board(), root),
                            false,
                            Character.toUpperCase(why.charAt(0)) + why.substring(1)));
        }
        all.sort(Comparator.comparingDouble(Candidate::support).reversed());
        List<Candidate> best = new ArrayList<>();
        double most = all.get(0).support();
        for (Candidate c : all.subList(0, MOST)) {
            boolean fits = c.support() > (1 - HeardRoot.CLEAR_LEAD) * most;
            best.add(new Candidate(c.root(), c.support(), c.power(), fits, c.why()));
        }
        return best;
    }

    private static long chordsOn(Derived derived, int root, Key key) {
        return derived.chords().stream()
                .filter(c -> HeardRoot.of(c.candidate().voicing(), Optional.of(key)).root() == root)
                .count();
    }
}
