package vocalis.sound.dsp;

/**
 * What a string is made of, as far as its sound goes. All values are from memory of published
 * measurements and of the trade, set by ear in the end; none is a measurement of one instrument.
 *
 * @param openHz frequency of the open string in Hz, 25 to 700
 * @param inharmonicity stiffness coefficient B of the open string: partial n lies at {@code
 *     n·f0·sqrt(1 + B·n²)}
 * @param decaySeconds time in which the open string's fundamental falls by 60 dB
 * @param brightSeconds the same for partials about {@link StringPatch#BRIGHT_HZ}
 */
public record StringModel(
        double openHz, double inharmonicity, double decaySeconds, double brightSeconds) {

    /** Plain strings begin about here: a wound third is rare on electric guitars. */
    private static final double PLAIN_FROM_HZ = 180;

    public StringModel {
        if (!(openHz >= 25 && openHz <= 700)) {
            throw new IllegalArgumentException("an open string sounds 25 to 700 Hz, not " + openHz);
        }
    }

    /** A usual string of an electric guitar for an open pitch. */
    public static StringModel electric(double openHz) {
        boolean plain = openHz >= PLAIN_FROM_HZ;
        double octaves = Math.log(openHz / 82.41) / Math.log(2);
        double stiffness =
                plain ? 1.3e-4 * Math.pow(196 / openHz, 1.9) : 9e-5 * Math.pow(2, -0.9 * octaves);
        double decay = 11 * Math.pow(2, -0.55 * octaves);
        double bright = plain ? 1.9 : 1.25 + 0.15 * octaves;
        return new StringModel(openHz, stiffness, decay, bright);
    }
}
