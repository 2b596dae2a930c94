package vocalis.core.arrange;

/** What it is. */
public enum PartKind {
    HELD_LINE,
    MOVING_LINE,
    OCTAVES,
    STABS,
    FILL
}
