package vocalis.core.choice;

import java.util.Objects;
import java.util.function.Supplier;
import vocalis.core.hands.Fingering;
import vocalis.core.voicing.Voicing;

/**
 * A voicing that the hand can hold, with how. Of the thousands that are ranked few are looked at:
 * which fingers hold one is told when it is asked for. Immutable.
 */
public final class Candidate {

    private final Voicing voicing;
    private final double charge;
    private final double effort;
    private final Supplier<Fingering> held;

    /** Told once, by whichever thread asks first; all would tell the same. */
    private volatile Fingering fingering;

    /** One that no family offers. */
    public Candidate(Voicing voicing, Fingering fingering) {
        this(voicing, fingering.effort(), 0, () -> fingering);
    }

    /**
     * One that a family offers.
     *
     * @param effort effort of the fingering
     * @param charge what it costs beside the form that its family is for, unitless
     * @param held tells the fingering
     */
    Candidate(Voicing voicing, double effort, double charge, Supplier<Fingering> held) {
        this.voicing = voicing;
        this.effort = effort;
        this.charge = charge;
        this.held = held;
    }

    /** The same held with other fingers. */
    public Candidate heldWith(Fingering other) {
        return new Candidate(voicing, other.effort(), charge, () -> other);
    }

    /** The voicing. */
    public Voicing voicing() {
        return voicing;
    }

    /** How it is held: the easiest way, or the one that suits the changes of a riff. */
    public Fingering fingering() {
        Fingering told = fingering;
        if (told == null) {
            told = held.get();
            fingering = told;
        }
        return told;
    }

    /** Effort of the fingering, unitless, 0 (open strings) upward. */
    public double effort() {
        return effort;
    }

    /** What it costs beside the form that its family is for, unitless, 0 where nothing is asked. */
    public double charge() {
        return charge;
    }

    /** Middle of the hand's position: lowest fretted fret, or 0 for open strings alone. */
    public int position() {
        return voicing.shape().lowestFretted();
    }

    /** Lowest sounded string. */
    public int lowString() {
        return voicing.shape().lowestSounded();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Candidate c
                && voicing.equals(c.voicing)
                && charge == c.charge
                && effort == c.effort;
    }

    @Override
    public int hashCode() {
        return Objects.hash(voicing, charge);
    }

    @Override
    public String toString() {
        return voicing.shape() + " on " + voicing.root();
    }
}
