package vocalis.core.pattern;

/** Where the figures of a pattern start again. */
public enum Restart {
    /** Nowhere: they run on until they come round. */
    RUNS_ON,
    /** At every bar line. */
    BAR,
    /** At every root. */
    ROOT,
    /** At every section of the arrangement; within a riff they run on. */
    SECTION
}
