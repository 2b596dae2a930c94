package vocalis.core.voicing;

import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;

/** Decides whether a hand can hold a shape; the search asks it early and late. */
public interface Playability {

    /**
     * Whether frets from {@code low} to {@code high} can be held at once. Must not be stricter than
     * {@link #playable}, for the search prunes with it.
     */
    boolean withinReach(Fretboard board, int low, int high);

    /** Whether the finished shape can be held. */
    boolean playable(Fretboard board, Shape shape);
}
