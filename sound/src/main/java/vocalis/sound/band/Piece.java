package vocalis.sound.band;

/** The pieces of the simple kit and the two sounds of the click. */
public enum Piece {
    KICK,
    SNARE,
    HAT,
    OPEN_HAT,
    CLICK,
    CLICK_ONE,
    TOM_HIGH,
    TOM_LOW,
    CRASH
}
