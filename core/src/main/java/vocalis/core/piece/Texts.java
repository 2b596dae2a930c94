package vocalis.core.piece;

/** How long texts may be. */
public final class Texts {

    public static final int LONGEST_TITLE = 200;
    public static final int LONGEST_NOTE = 20_000;

    private Texts() {}

    static void title(String title) {
        if (title.isBlank() || title.length() > LONGEST_TITLE) {
            throw new IllegalArgumentException(
                    "a title has 1 to "
                            + LONGEST_TITLE
                            + " characters, but this one has "
                            + title.strip().length());
        }
    }

    static void about(String note) {
        if (note.length() > LONGEST_NOTE) {
            throw new IllegalArgumentException(
                    "a note has at most "
                            + LONGEST_NOTE
                            + " characters, but this one has "
                            + note.length());
        }
    }
}
