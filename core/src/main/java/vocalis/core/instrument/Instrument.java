package vocalis.core.instrument;

import java.util.Objects;

/**
 * A fretted instrument.
 *
 * @param tuning open strings
 * @param frets number of frets, 12 to 27
 * @param scaleMm sounding length of an open string in mm, 300 to 900
 * @param leftHanded whether the neck is drawn mirrored
 * @param gauge how thick its strings are
 */
public record Instrument(
        Tuning tuning, int frets, double scaleMm, boolean leftHanded, Gauge gauge) {

    /** With usual strings. */
    public Instrument(Tuning tuning, int frets, double scaleMm, boolean leftHanded) {
        this(tuning, frets, scaleMm, leftHanded, Gauge.USUAL);
    }

    /** Scale length in mm of the instrument offered first (25.5 inch). */
    public static final double USUAL_SCALE_MM = 648;

    public Instrument {
        Objects.requireNonNull(tuning, "tuning");
        Objects.requireNonNull(gauge, "gauge");
        if (frets < 12 || frets > 27) {
            throw new IllegalArgumentException(
                    "an instrument has 12 to 27 frets, but this one " + frets);
        }
        if (!(scaleMm >= 300 && scaleMm <= 900)) {
            throw new IllegalArgumentException(
                    "a scale length lies between 300 and 900 mm, but this one is " + scaleMm);
        }
    }

    /** A right-handed guitar of 24 frets and 648 mm. */
    public static Instrument of(Tuning tuning) {
        return new Instrument(tuning, 24, USUAL_SCALE_MM, false);
    }

    /**
     * Distance of a fret from the nut in mm, {@code L·(1 − 2^(−n/12))}: each fret lies a
     * seventeenth-and-a-bit (1/17.817) of the remaining length further.
     */
    public double fretMm(double fret) {
        int whole = (int) fret;
        double left =
                whole == fret && whole >= 0 && whole < LEFT.length
                        ? LEFT[whole]
                        : Math.pow(2, -fret / 12);
        return scaleMm * (1 - left);
    }

    /** What is left of the string at each fret, as a share. */
    private static final double[] LEFT = new double[40];

    static {
        for (int fret = 0; fret < LEFT.length; fret++) {
            LEFT[fret] = Math.pow(2, -fret / 12.0);
        }
    }
}
