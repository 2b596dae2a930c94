package vocalis.core.mix;

/**
 * How loud one of the band is.
 *
 * @param on whether it plays at all
 * @param level 0 to 10; 7 is its usual place in the picture, a step is 2 dB
 */
public record Fader(boolean on, int level) {

    /** The usual level. */
    public static final int USUAL = 7;

    public static final Fader OFF = new Fader(false, USUAL);
    public static final Fader ON = new Fader(true, USUAL);

    public Fader {
        if (level < 0 || level > 10) {
            throw new IllegalArgumentException("a level lies from 0 to 10, not at " + level);
        }
    }

    public Fader on(boolean plays) {
        return new Fader(plays, level);
    }

    public Fader at(int other) {
        return new Fader(on, other);
    }

    /** Linear gain against the usual level; 0 when it is off or turned down. */
    public double linear() {
        return !on || level == 0 ? 0 : Math.pow(10, (level - USUAL) * 2 / 20.0);
    }
}
