package vocalis.core.piece;

import java.util.Objects;
import java.util.Optional;
import vocalis.core.voicing.Family;

/**
 * One of the guitars of a piece.
 *
 * @param id names it in the piece
 * @param name as it is shown
 * @param family how it voices the shared roots; empty where it plays the riff as it stands
 * @param register what it keeps to
 */
public record Part(String id, String name, Optional<Family> family, Register register) {

    /**
     * The notes that a part keeps to.
     *
     * @param floor lowest MIDI number, 0 to 127
     * @param ceiling highest MIDI number, at least the floor
     */
    public record Register(int floor, int ceiling) {

        /** Anything. */
        public static final Register ALL = new Register(0, 127);

        public Register {
            if (floor < 0 || ceiling > 127 || floor > ceiling) {
                throw new IllegalArgumentException(
                        "a register lies from a floor up to a ceiling between MIDI 0 and 127, not"
                                + " from "
                                + floor
                                + " to "
                                + ceiling);
            }
        }

        /** Whether a note lies in it. */
        public boolean has(int midi) {
            return midi >= floor && midi <= ceiling;
        }
    }

    public Part {
        Ids.check("a part", id);
        Objects.requireNonNull(family, "family");
        Objects.requireNonNull(register, "register");
        if (name.isBlank() || name.length() > 80) {
            throw new IllegalArgumentException("a part's name has 1 to 80 characters");
        }
    }

    /** Without floor and ceiling. */
    public Part(String id, String name, Optional<Family> family) {
        this(id, name, family, Register.ALL);
    }

    public Part voicedIn(Optional<Family> other) {
        return new Part(id, name, other, register);
    }

    public Part keepingTo(Register other) {
        return new Part(id, name, family, other);
    }
}
