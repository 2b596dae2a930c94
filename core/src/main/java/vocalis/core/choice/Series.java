package vocalis.core.choice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.names.ChordName;
import vocalis.core.names.ChordNamer;
import vocalis.core.names.HeardRoot;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;

/**
 * One shape slid along the neck, fret by fret, under the open strings that ring with it.
 *
 * @param steps from the lowest place up
 */
public record Series(List<Step> steps) {

    /**
     * The shape in one place.
     *
     * @param voicing there, on the root of its own that lies there
     * @param fret its lowest fretted fret
     * @param name best exact name
     * @param heard the heard root
     * @param outside how many of its different notes the key lacks; 0 without a key
     * @param playable whether the hand holds it there
     */
    public record Step(
            Voicing voicing,
            int fret,
            ChordName name,
            HeardRoot heard,
            int outside,
            boolean playable) {}

    public Series {
        steps = List.copyOf(steps);
    }

    /**
     * The series of a voicing.
     *
     * @throws IllegalArgumentException when nothing of it is fretted
     */
    public static Series of(Voicing v, Optional<Key> key, Hand hand) {
        int at = v.shape().lowestFretted();
        if (at == 0) {
            throw new IllegalArgumentException(
                    "shape " + v.shape() + " has no fretted note that could be moved");
        }
        List<Step> steps = new ArrayList<>();
        for (int by = 1 - at; by <= v.board().frets(); by++) {
            int moved = by;
            v.shape()
                    .moved(by, v.board().frets())
                    .map(s -> new Voicing(s, v.board(), Math.floorMod(v.root() + moved, 12)))
                    .ifPresent(there -> steps.add(step(there, at + moved, key, hand)));
        }
        return new Series(steps);
    }

    private static Step step(Voicing v, int fret, Optional<Key> key, Hand hand) {
        long outside =
                key.map(k -> v.pitchClasses().stream().filter(p -> !k.contains(p)).count())
                        .orElse(0L);
        boolean held = Fingering.of(v.board(), v.shape(), hand).isPresent();
        return new Step(
                v, fret, ChordNamer.name(v, key), HeardRoot.of(v, key), (int) outside, held);
    }
}
