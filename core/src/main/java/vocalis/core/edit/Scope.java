package vocalis.core.edit;

/** Where an edit of the pattern holds. */
public enum Scope {
    /** In the figure, so at every pass of it. */
    EVERY_PASS,
    /** At the one pass where the caret is. */
    THIS_PASS
}
