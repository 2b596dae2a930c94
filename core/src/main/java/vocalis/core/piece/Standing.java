package vocalis.core.piece;

import java.util.Objects;

/**
 * What the player thinks of a piece, and how far it is.
 *
 * @param rating 0 for none, to 5
 * @param status how far it is
 */
public record Standing(int rating, Status status) {

    /** Not judged yet, being worked on. */
    public static final Standing NONE = new Standing(0, Status.WORKING);

    /** How far a piece is. */
    public enum Status {
        IDEA("idea"),
        WORKING("working on it"),
        DONE("done");

        private final String words;

        Status(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }
    }

    public Standing {
        Objects.requireNonNull(status, "status");
        if (rating < 0 || rating > 5) {
            throw new IllegalArgumentException("a rating lies from 0 to 5, not at " + rating);
        }
    }

    public Standing rated(int other) {
        return new Standing(other, status);
    }

    public Standing at(Status other) {
        return new Standing(rating, other);
    }
}
