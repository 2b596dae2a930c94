package vocalis.formats;

/** A file that cannot be read: what is wrong, where, and what to do, in one line for the user. */
public final class FormatException extends Exception {

    public FormatException(String message) {
        super(message);
    }

    public FormatException(String message, Throwable cause) {
        super(message, cause);
    }
}
