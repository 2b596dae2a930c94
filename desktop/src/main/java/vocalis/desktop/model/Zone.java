package vocalis.desktop.model;

/** The places of the Write screen where the caret can be. */
public enum Zone {
    GROUND,
    BAND,
    LANE,
    /** The lane, where digits and letters are written as notes and strokes. */
    TYPING,
    CARDS,
    NECK,
    /** The grid of every treatment. */
    REVOICE,
    /** The sections of the piece. */
    ARRANGE,
    /** A stretch of it, round and round. */
    PRACTISE
}
