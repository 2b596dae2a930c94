package vocalis.core.instrument;

/**
 * How thick a set of strings is, as players name sets by their thinnest string in thousandths of an
 * inch (common practice). Whatever the tuning, all strings are thicker or thinner together.
 */
public enum Gauge {
    LIGHT("light, from 9", 0.9),
    USUAL("usual, from 10", 1.0),
    HEAVY("heavy, from 11", 1.1),
    VERY_HEAVY("very heavy, from 12", 1.2);

    private final String label;
    private final double thickness;

    Gauge(String label, double thickness) {
        this.label = label;
        this.thickness = thickness;
    }

    /** As it is shown. */
    public String label() {
        return label;
    }

    /** Thickness against the usual set's. */
    public double thickness() {
        return thickness;
    }
}
