package vocalis.desktop.session;

/** A place where the caret can be. Each screen has places of its own. */
public interface Place {

    /** What help calls it. */
    String words();
}
