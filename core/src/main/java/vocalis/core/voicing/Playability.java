package vocalis.core.voicing;

import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;

/** Decides whether a hand can hold a shape; the search asks it early and late, on any thread. */
public interface Playability {

    /**
     * Whether frets from {@code low} to {@code high} can be held at once. Must not be stricter than
     * {@link #playable}, for the search prunes with it.
     */
    boolean withinReach(Fretboard board, int low, int high);

    /**
     * Whether a shape may still be held whose strings are decided from the lowest up. Must not be
     * stricter than {@link #playable}, for the search prunes with it.
     *
     * @param frets fret per string, {@link Shape#SILENT} for silence
     * @param decided how many strings, the lowest first, are decided
     */
    default boolean mayHold(int[] frets, int decided) {
        return true;
    }

    /** Whether the finished shape can be held. */
    boolean playable(Fretboard board, Shape shape);
}
