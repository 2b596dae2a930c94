package vocalis.core.names;

/** A fact about the notes and the key that speaks for a root. */
public sealed interface RootReason {

    /** Facts that need no figure. */
    enum Fact implements RootReason {
        /** No other note sounds. */
        ALONE,
        /** It is the lowest note, and its fifth sounds above it. */
        LOWEST_UNDER_ITS_FIFTH,
        /** Its fifth is the lowest note: a fourth is heard from its upper note. */
        OVER_ITS_FIFTH,
        LOWEST,
        MAJOR_THIRD_SOUNDS,
        MINOR_SEVENTH_SOUNDS,
        TONIC,
        OF_THE_KEY,
        /** Nothing speaks for it, but for others still less. */
        NO_OTHER_BETTER
    }

    /**
     * Its fifth sounds, over another bass.
     *
     * @param bass pitch class of the lowest note
     */
    record FifthOverAnotherBass(int bass) implements RootReason {}

    /**
     * It sounds more than once.
     *
     * @param times 2 or more
     */
    record Doubled(int times) implements RootReason {}
}
