package vocalis.core.choice;

import vocalis.core.hands.Fingering;
import vocalis.core.voicing.Voicing;

/**
 * A voicing that the hand can hold, with how.
 *
 * @param voicing the voicing
 * @param fingering easiest fingering
 */
public record Candidate(Voicing voicing, Fingering fingering) {

    /** Middle of the hand's position: lowest fretted fret, or 0 for open strings alone. */
    public int position() {
        return voicing.shape().lowestFretted();
    }

    /** Lowest sounded string. */
    public int lowString() {
        return voicing.shape().sounded().get(0);
    }
}
