package vocalis.desktop.session;

/** The document, with what it comes to and the caret in it. */
public interface Editing extends Document, Drawn {}
