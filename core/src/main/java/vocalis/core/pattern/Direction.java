package vocalis.core.pattern;

/** Which way a stroke goes. */
public enum Direction {
    /** Down on the eighths and under the palm, up between them. */
    ALTERNATE,
    DOWN,
    UP,
    /** No stroke at all: each string by a finger of its own, together. */
    PLUCKED
}
