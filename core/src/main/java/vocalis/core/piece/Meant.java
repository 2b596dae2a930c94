package vocalis.core.piece;

/**
 * A clash that is meant: it is told no more.
 *
 * @param riff id of the riff that it is in
 * @param at ticks from the riff's start
 * @param one pitch class of the first note, 0 to 11
 * @param two pitch class of the second
 */
public record Meant(String riff, long at, int one, int two) {
    public Meant {
        Ids.check("a riff", riff);
        if (at < 0 || one < 0 || one > 11 || two < 0 || two > 11) {
            throw new IllegalArgumentException(
                    "a clash that is meant has a time from 0 on and two pitch classes 0 to 11, not "
                            + at
                            + ", "
                            + one
                            + " and "
                            + two);
        }
    }
}
