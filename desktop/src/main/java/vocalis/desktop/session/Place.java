package vocalis.desktop.session;

/** A place where the caret can be. Each screen has places of its own. */
public interface Place {

    /** What help calls it. */
    String words();

    /** Whether what the caret is on there can be held to be heard. */
    default boolean canBeHeard() {
        return true;
    }
}
