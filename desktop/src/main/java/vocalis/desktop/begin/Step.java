package vocalis.desktop.begin;

/** The way of a riff, from its roots into the hands. */
public enum Step {
    ROOTS("Roots", "three to five", "write", "Which roots? Ctrl R types them"),
    VOICED(
            "Voiced",
            "power, third, drone …",
            "revoice",
            "How are they voiced? Revoice sets all families side by side"),
    STRUCK(
            "Struck",
            "which strings, muted",
            "to-rhythm",
            "What is struck? The rhythm: strokes, palm mutes, accents"),
    ROUND(
            "Round",
            "back to the one",
            "variations",
            "Where does it go back to the one? Endings and variations"),
    SECTIONS(
            "Sections",
            "verse, chorus",
            "arrange",
            "Verse and chorus: Arrange sets sections off from each other"),
    HANDS(
            "In the hands",
            "slowly, then faster",
            "practise",
            "Into the hands: Practise, slower first");

    private final String name;
    private final String what;
    private final String command;
    private final String question;

    Step(String name, String what, String command, String question) {
        this.name = name;
        this.what = what;
        this.command = command;
        this.question = question;
    }

    /** What it is called. */
    public String words() {
        return name;
    }

    /** What it is, in a few words. */
    public String what() {
        return what;
    }

    /** The id of the command that leads there. */
    public String command() {
        return command;
    }

    /** What the player is asked by then. */
    public String question() {
        return question;
    }

    /** The one after it; the last has none. */
    public java.util.Optional<Step> next() {
        return ordinal() + 1 < values().length
                ? java.util.Optional.of(values()[ordinal() + 1])
                : java.util.Optional.empty();
    }
}
