package vocalis.core.choice;

import vocalis.core.hands.Fingering;
import vocalis.core.voicing.Voicing;

/**
 * A voicing that the hand can hold, with how.
 *
 * @param voicing the voicing
 * @param fingering easiest fingering
 * @param charge what it costs beside the form that its family is for, unitless, 0 where nothing is
 *     asked
 */
public record Candidate(Voicing voicing, Fingering fingering, double charge) {

    /** One that no family offers. */
    public Candidate(Voicing voicing, Fingering fingering) {
        this(voicing, fingering, 0);
    }

    /** Middle of the hand's position: lowest fretted fret, or 0 for open strings alone. */
    public int position() {
        return voicing.shape().lowestFretted();
    }

    /** Lowest sounded string. */
    public int lowString() {
        return voicing.shape().lowestSounded();
    }
}
