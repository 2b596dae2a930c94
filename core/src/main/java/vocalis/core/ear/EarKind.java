package vocalis.core.ear;

/** What is listened for. */
public enum EarKind {
    /** Which of two is the inverted fourth, the other being the power chord. */
    FOURTH("fourth"),
    /** Whether a third is minor or major. */
    THIRD("third"),
    /** Whether the root lies lowest, highest or between. */
    ROOT("root"),
    /** Which voice moved from the first to the second. */
    MOVED("moved"),
    /** What an open string added to a shape. */
    OPEN_STRING("open string");

    private final String id;

    EarKind(String id) {
        this.id = id;
    }

    /** Names it where rounds are kept. */
    public String id() {
        return "ear: " + id;
    }
}
