package vocalis.desktop.writing;

/** The pages of figures of the readout. */
public enum Page {
    NOTES("Notes"),
    HAND("Hand"),
    GAIN("Under gain");

    private final String title;

    Page(String title) {
        this.title = title;
    }

    /** As it is shown. */
    public String title() {
        return title;
    }

    /** The page after this one. */
    public Page next() {
        return values()[(ordinal() + 1) % values().length];
    }
}
