package vocalis.sound.strings;

/**
 * Where the strings are picked up: its place leaves out partials, its coil has a resonance. Places
 * as a share of the open string from the bridge; all values from memory of common instruments.
 */
public enum Pickup {
    BRIDGE(0.105, 3900, 1.7),
    NECK(0.245, 3100, 1.35);

    final double at;
    public final double resonanceHz;
    public final double q;

    Pickup(double at, double resonanceHz, double q) {
        this.at = at;
        this.resonanceHz = resonanceHz;
        this.q = q;
    }

    /** Distance from the bridge as a share of the open string. */
    public double position() {
        return at;
    }
}
