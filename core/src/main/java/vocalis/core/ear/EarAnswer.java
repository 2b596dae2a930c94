package vocalis.core.ear;

import vocalis.core.theory.Degree;

/** What can be answered. Words are made where it is shown. */
public sealed interface EarAnswer {

    /** The first or the second that was heard. */
    record Which(boolean first) implements EarAnswer {}

    /** Minor or major. */
    record Third(boolean minor) implements EarAnswer {}

    /** Where the root lies. */
    enum Place implements EarAnswer {
        LOWEST,
        BETWEEN,
        HIGHEST
    }

    /**
     * A voice.
     *
     * @param fromTop 0 for the highest
     * @param of how many there are
     */
    record Voice(int fromTop, int of) implements EarAnswer {}

    /** A note that was added, as a degree of the root. */
    record Added(Degree degree) implements EarAnswer {}
}
