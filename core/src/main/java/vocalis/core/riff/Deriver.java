package vocalis.core.riff;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.score.Score;

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
        List<Voicer.Voiced> voiced = voicer.voiced(riff, hand);
        List<Derived.Chord> chords = new ArrayList<>();
        long start = 0;
        for (int i = 0; i < voiced.size(); i++) {
            RootSpan span = riff.roots().get(i);
            Voicer.Voiced v = voiced.get(i);
            v.find(i, findings);
            int root = span.root().pitchClass(riff.ground().key());
            chords.add(new Derived.Chord(start, span.length(), root, v.candidate(), v.byHand()));
            start += span.length();
        }
        Score score = new ScoreWriter(riff, chords, voiced, findings).score();
        last = new Derived(riff, hand, chords, score, findings);
        return last;
    }
}
