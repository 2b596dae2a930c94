package vocalis.desktop.writing;

import java.util.Optional;
import java.util.TreeSet;
import vocalis.core.instrument.Shape;
import vocalis.core.voicing.Voicing;

/**
 * Leaving out voices one after another, and putting them back: they keep the numbers that they had
 * in the whole voicing, 1 for the highest.
 */
final class Thinning {

    private Voicing whole;
    private Shape thinned;
    private TreeSet<Integer> out = new TreeSet<>();

    /**
     * The shape without one more voice, or with it again.
     *
     * @param shown what is shown: the last thinned shape goes on being thinned, another begins anew
     * @return empty where there is no such voice, or it is the last
     */
    Optional<Shape> without(Voicing shown, int voiceFromTop) {
        boolean goesOn = thinned != null && shown.shape().equals(thinned);
        Voicing from = goesOn ? whole : shown;
        TreeSet<Integer> leaving = goesOn ? new TreeSet<>(out) : new TreeSet<>();
        if (!leaving.remove(voiceFromTop)) {
            leaving.add(voiceFromTop);
        }
        if (voiceFromTop > from.voices() || leaving.size() >= from.voices()) {
            return Optional.empty();
        }
        Voicing thin = from;
        for (int rank : leaving.descendingSet()) {
            thin = thin.thinned(rank);
        }
        whole = from;
        out = leaving;
        thinned = thin.shape();
        return Optional.of(thinned);
    }
}
