package vocalis.core.pattern;

/** Which note a line plays: so stated that it follows roots and key, or pinned to the neck. */
public sealed interface LinePitch {

    /** What degrees are counted from. */
    enum Above {
        /** The chord's root; the steps are those of the key. */
        ROOT,
        /** The tonic of the key. */
        KEY
    }

    /**
     * A degree of the root or of the key.
     *
     * @param above what it is counted from
     * @param degree 1 to 7 as steps of the key's scale
     * @param alter semitones above (below) what the scale has there, −2 to 2
     * @param octave 0: the first such note at or above the lowest open string; each more an octave
     *     up, to 5
     */
    record Degree(Above above, int degree, int alter, int octave) implements LinePitch {
        public Degree {
            java.util.Objects.requireNonNull(above, "above");
            if (degree < 1 || degree > 7 || alter < -2 || alter > 2 || octave < 0 || octave > 5) {
                throw new IllegalArgumentException(
                        "a line's degree lies from 1 to 7, altered by at most 2, in octave 0 to 5,"
                                + " but is "
                                + degree
                                + " altered by "
                                + alter
                                + " in octave "
                                + octave);
            }
        }
    }

    /**
     * A place on the neck.
     *
     * @param string string index, 0 is the lowest
     * @param fret fret from the capo
     */
    record Place(int string, int fret) implements LinePitch {
        public Place {
            if (string < 0 || string > 8 || fret < 0 || fret > 36) {
                throw new IllegalArgumentException(
                        "a place is a string 0 to 8 and a fret 0 to 36, but is "
                                + string
                                + " and "
                                + fret);
            }
        }
    }
}
