package vocalis.core.arrange;

/** What a second part is. */
public enum PartKind {
    HELD_LINE(0),
    MOVING_LINE(0),
    OCTAVES(0),
    STABS(0),
    FILL(0),
    THIRDS(2),
    SIXTHS(5),
    TENTHS(9);

    private final int steps;

    PartKind(int steps) {
        this.steps = steps;
    }

    /** Steps of the scale between it and the first guitar's line; 0 where it follows none. */
    public int steps() {
        return steps;
    }
}
