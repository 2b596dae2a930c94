package vocalis.core.mix;

/** What the kit plays under a riff. */
public enum Feel {
    EIGHTHS("straight eighths"),
    HALF_TIME("half-time"),
    SWUNG("swung"),
    SIXTEENTHS("sixteenth drive"),
    DOUBLE_TIME("double-time");

    private final String label;

    Feel(String label) {
        this.label = label;
    }

    /** As it is shown and written in files. */
    public String label() {
        return label;
    }
}
