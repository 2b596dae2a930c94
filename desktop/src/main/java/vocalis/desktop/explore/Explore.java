package vocalis.desktop.explore;

/** The pages of the panel that explores one chord. */
public enum Explore {
    COMPARE("compare", "Side by side", "compare this shape with others, side by side"),
    BASSES("basses", "Basses beneath", "the shape over the twelve basses"),
    DRONES("drones", "Drones around", "drones: which open strings suit which key"),
    DARK("dark", "Dark shapes", "dark shapes of this root: ♭5, ♭9, ♭6"),
    ALONG("series", "Along the neck", "the shape along the neck, named fret by fret"),
    IDLE("idle", "Idle fingers", "what the idle fingers can add");

    private final String id;
    private final String title;
    private final String command;

    Explore(String id, String title, String command) {
        this.id = id;
        this.title = title;
        this.command = command;
    }

    /** The id of the command that opens it. */
    public String id() {
        return id;
    }

    /** What its key in the panel says. */
    public String title() {
        return title;
    }

    /** What the command does. */
    public String command() {
        return command;
    }
}
