package vocalis.core.derive;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Filter;
import vocalis.core.hands.Change;
import vocalis.core.hands.Hand;
import vocalis.core.names.Around;
import vocalis.core.riff.Riff;
import vocalis.core.riff.RootSpan;
import vocalis.core.score.Score;
import vocalis.core.theory.Key;

/**
 * Makes the score of a riff in two stages: the voicings of its chords ({@link Voicer}, remembered),
 * then the notes ({@link ScoreWriter}). The same riff, hand and catalogue always give the same
 * score. What was derived last is given again for an equal riff. Used by one thread at a time.
 */
public final class Deriver {

    private final Voicer voicer;
    private Derived last;

    public Deriver(Catalogue catalogue) {
        voicer = new Voicer(catalogue);
    }

    /** What a riff comes to, by a deriver that remembers nothing. */
    public static Derived once(Riff riff, Hand hand, Catalogue catalogue) {
        return new Deriver(catalogue).derive(riff, hand);
    }

    /** What a riff comes to for a hand. */
    public Derived derive(Riff riff, Hand hand) {
        if (last != null && last.riff().equals(riff) && last.hand().equals(hand)) {
            return last;
        }
        List<Finding> findings = new ArrayList<>();
        List<VoicingChoice.Voiced> voiced = voicer.voiced(riff, hand);
        List<Derived.Chord> chords = new ArrayList<>();
        List<Around> around = around(riff, voiced);
        long start = 0;
        for (int i = 0; i < voiced.size(); i++) {
            RootSpan span = riff.roots().get(i);
            VoicingChoice.Voiced v = voiced.get(i);
            v.find(i, findings);
            int root = span.root().pitchClass(riff.ground().key());
            chords.add(
                    new Derived.Chord(
                            start, span.length(), root, v.candidate(), v.byHand(), around.get(i)));
            start += span.length();
        }
        Score score = new ScoreWriter(riff, chords, voiced, findings).score();
        last = new Derived(riff, hand, chords, score, findings);
        return last;
    }

    /**
     * A riff as it is laid by: with the shape of each chord for which the program chose one, that
     * {@link #kept} gives back whatever the program would choose then.
     */
    public Riff settled(Riff riff, Hand hand) {
        return voicer.settled(riff, hand);
    }

    /**
     * A riff that was laid by, worked on again: a shape that the program would not choose any more
     * is chosen for good, where the hand holds it.
     */
    public Riff kept(Riff riff, Hand hand) {
        return voicer.kept(riff, hand);
    }

    /**
     * The riff with a shape chosen for every chord that has none, where the hand has the best way
     * for a wish.
     */
    public Riff laid(Riff riff, Hand hand, Change change) {
        return laid(riff, hand, change, Filter.NONE);
    }

    /** The same among what a filter lets through, for every chord for which it lets any through. */
    public Riff laid(Riff riff, Hand hand, Change change, Filter filter) {
        return voicer.laid(riff, hand, change, filter);
    }

    /** What speaks for the names of the chords: their roots around, the loop's seam included. */
    private static List<Around> around(Riff riff, List<VoicingChoice.Voiced> voiced) {
        Key key = riff.ground().key();
        int n = voiced.size();
        List<Around> all = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            Around alone = Around.root(riff.roots().get(i).root().pitchClass(key));
            int before = (i + n - 1) % n;
            int after = (i + 1) % n;
            all.add(
                    n == 1
                            ? alone
                            : alone.between(
                                    riff.roots().get(before).root().pitchClass(key),
                                    Math.floorMod(
                                            voiced.get(before).candidate().voicing().bass(), 12),
                                    riff.roots().get(after).root().pitchClass(key)));
        }
        return all;
    }
}
