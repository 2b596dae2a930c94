package vocalis.core.piece;

/** Which guitar of a piece is written. */
public enum Guitar {
    ONE("guitar one"),
    TWO("guitar two");

    private final String label;

    Guitar(String label) {
        this.label = label;
    }

    /** As players say it, lower case. */
    public String label() {
        return label;
    }

    public Guitar other() {
        return this == ONE ? TWO : ONE;
    }
}
