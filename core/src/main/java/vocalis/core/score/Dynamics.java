package vocalis.core.score;

/** How hard a stroke is struck, softest first. */
public enum Dynamics {
    GHOST,
    SOFT,
    PLAIN,
    ACCENT
}
