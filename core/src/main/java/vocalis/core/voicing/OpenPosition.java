package vocalis.core.voicing;

/** Where the open position ends (common practice): one place for what lies in it and beside it. */
public final class OpenPosition {

    /** Its last fret: shapes within it are known as open chords. */
    public static final int LAST_FRET = 4;

    /**
     * Last fret of a hand that is still at the nut: up to here open strings ring beside any shape;
     * past it only beside one that lies close together.
     */
    public static final int LAST_AT_NUT = LAST_FRET + 1;

    private OpenPosition() {}
}
