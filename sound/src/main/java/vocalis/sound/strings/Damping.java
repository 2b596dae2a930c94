package vocalis.sound.strings;

/**
 * What lies on a string while it is struck, from nothing to a hand that leaves no pitch: soft edges
 * that touch it in two places (junctions), and flesh in which the waves are lost besides. Places
 * are common practice with no source: a palm on the bridge saddles reaches two to seven centimetres
 * over the string, two fingers of the fretting hand lie where they would stop it. What the lightest
 * takes was chosen beside the muted guitar of a general MIDI sound font (FluidR3 GM, program 28):
 * its first three partials on a low E fall by 13, 55 and 110 dB a second, as the square of their
 * number, which is what an edge near the bridge does. What the other two take was chosen by how
 * chugs stand apart under gain.
 */
public enum Damping {
    /** Nothing: the string's own decay. */
    OPEN(0, 0, 0, 0, 0, 0.07, 1),
    /** The palm touches it at the bridge. */
    LIGHT(0.05, 0.03, 0.115, 5, 100, 0.06, 2.5),
    /** The usual palm mute. */
    HALF(0.08, 0.045, 0.2, 70, 150, 0.05, 4.5),
    /** The palm pressed on, away from the bridge. */
    HEAVY(0.1, 0.06, 0.2, 90, 250, 0.05, 5),
    /** Fingers lie across the string: a knock with hardly a pitch. */
    DEAD(0.70, 0.62, Damping.MATCHED, 500, 200, 0.11, 1);

    /** A load that takes as much as it can, as soft flesh does. */
    static final double MATCHED = 0.5;

    /** The two edges, as a share of the open string from the bridge; 0 where nothing lies. */
    final double far;

    final double near;

    /** What each edge takes of the movement there, 0 to {@link #MATCHED}. */
    final double share;

    /** How much faster partials fall, in dB a second, and for each kHz of their frequency. */
    final double fall;

    final double fallPerKhz;
    final double scrape;

    /** How much louder than it moves it is heard where nothing saturates; see {@link Hand}. */
    final double heard;

    Damping(
            double far,
            double near,
            double share,
            double fall,
            double fallPerKhz,
            double scrape,
            double heard) {
        this.far = far;
        this.near = near;
        this.share = share;
        this.fall = fall;
        this.fallPerKhz = fallPerKhz;
        this.scrape = scrape;
        this.heard = heard;
    }

    /**
     * The place of an edge as a share of the sounding length: a palm goes half the way towards the
     * bridge as notes get shorter (common practice with no source); fingers lie over the frets.
     *
     * @param shortened open string over sounding length, 1 or more
     */
    double at(double edge, double shortened) {
        return this == DEAD ? edge : edge * Math.sqrt(shortened);
    }

    /** Whether the string answers to what the others do. */
    boolean rings() {
        return this == OPEN;
    }
}
