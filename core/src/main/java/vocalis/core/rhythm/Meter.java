package vocalis.core.rhythm;

/**
 * A time signature.
 *
 * @param beats beats in a bar, 1 to 32
 * @param unit note value of a beat: 1, 2, 4, 8, 16 or 32
 */
public record Meter(int beats, int unit) {

    /** 4/4. */
    public static final Meter COMMON = new Meter(4, 4);

    /** Most beats of a bar. */
    public static final int MOST_BEATS = 32;

    public Meter {
        if (beats < 1 || beats > MOST_BEATS) {
            throw new IllegalArgumentException(
                    "a bar has 1 to 32 beats, but this one has " + beats);
        }
        if (unit < 1 || unit > 32 || Integer.bitCount(unit) != 1) {
            throw new IllegalArgumentException(
                    "a beat is a 1st, 2nd, 4th, 8th, 16th or 32nd note, but this one is a " + unit);
        }
    }

    /**
     * Reads {@code 7/8}.
     *
     * @throws IllegalArgumentException saying how a meter is written
     */
    public static Meter parse(String text) {
        String[] parts = text.strip().split("/", -1);
        if (parts.length == 2
                && parts[0].strip().matches("\\d{1,2}")
                && parts[1].strip().matches("\\d{1,2}")) {
            return new Meter(
                    Integer.parseInt(parts[0].strip()), Integer.parseInt(parts[1].strip()));
        }
        throw new IllegalArgumentException(
                "\"" + text + "\" is no meter; one is written like 4/4 or 7/8");
    }

    /** Length of a bar. */
    public long barTicks() {
        return beats * beatTicks();
    }

    /** Length of a beat. */
    public long beatTicks() {
        return Ticks.WHOLE / unit;
    }

    /** Such as {@code 7/8}. */
    public String symbol() {
        return beats + "/" + unit;
    }
}
