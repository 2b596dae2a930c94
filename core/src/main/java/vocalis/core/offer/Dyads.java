package vocalis.core.offer;

import java.util.Comparator;
import java.util.Optional;
import java.util.function.Predicate;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/** Shapes of few notes near a place on the neck. */
final class Dyads {

    private static final int HIGHEST_FRET = 12;
    private static final double PER_FRET = 0.4;
    private static final double PER_NOTE_OUTSIDE = 50;
    private static final double PER_STRING = 2;
    private static final double TOO_HIGH = 3;
    private static final double PER_SILENCE = 3;

    /** Fret that the first one lies near. */
    private static final int BEGINS = 5;

    private Dyads() {}

    /**
     * The handiest two-note shape of a family near a fret that fits; none where no hand has one.
     */
    static Optional<Voicing> near(
            Derived derived,
            Catalogue catalogue,
            Family family,
            int root,
            Optional<Voicing> before,
            Predicate<Voicing> fits) {
        return catalogue
                .candidates(derived.riff().ground().board(), derived.hand(), family, root)
                .stream()
                .filter(c -> c.voicing().voices() == 2 && !c.voicing().shape().rings())
                .filter(c -> fits.test(c.voicing()))
                .min(
                        Comparator.comparingDouble(
                                c -> cost(c, before) + outside(derived, c.voicing())))
                .map(Candidate::voicing);
    }

    /** Dyads are of the scale, unless the family has none there. */
    private static double outside(Derived derived, Voicing v) {
        Key key = derived.riff().ground().key();
        return PER_NOTE_OUTSIDE * v.pitchClasses().stream().filter(p -> !key.contains(p)).count();
    }

    private static double cost(Candidate c, Optional<Voicing> before) {
        boolean high = c.voicing().shape().highestFretted() > HIGHEST_FRET;
        int fret = before.map(v -> Math.max(1, v.shape().lowestFretted())).orElse(BEGINS);
        int string = before.map(v -> v.shape().lowestSounded()).orElse(1);
        return c.charge()
                + c.effort()
                + PER_FRET * Math.abs(c.position() - fret)
                + PER_STRING * Math.abs(c.lowString() - string)
                + PER_SILENCE * c.voicing().innerSilences()
                + (high ? TOO_HIGH : 0);
    }
}
