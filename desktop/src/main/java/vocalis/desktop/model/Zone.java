package vocalis.desktop.model;

/** The places of the Write screen where the caret can be. */
public enum Zone {
    GROUND,
    BAND,
    LANE,
    CARDS,
    NECK
}
