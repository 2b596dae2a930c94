package vocalis.core.riff;

/** The fifth layer: what is done by hand on top of what the other four give. */
public sealed interface Touch {

    /** Ticks from the start of the riff. */
    long at();

    /**
     * One note of a stroke sounds another fret than the shape has.
     *
     * @param at start of the stroke, ticks from the start of the riff
     * @param string string index, 0 is the lowest
     * @param fret fret from the capo
     */
    record ChangedNote(long at, int string, int fret) implements Touch {
        public ChangedNote {
            if (at < 0 || string < 0 || fret < 0) {
                throw new IllegalArgumentException(
                        "a changed note's time, string and fret are not below 0, but are "
                                + at
                                + ", "
                                + string
                                + ", "
                                + fret);
            }
        }
    }
}
