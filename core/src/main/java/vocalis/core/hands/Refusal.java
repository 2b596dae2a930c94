package vocalis.core.hands;

/** Why no hand holds a shape. */
public sealed interface Refusal {

    /**
     * Its frets lie further apart than the hand reaches.
     *
     * @param lowFret its lowest held fret
     * @param highFret its highest
     * @param reachMm between them
     * @param limitMm what the hand reaches
     * @param hand its name
     */
    record TooWide(int lowFret, int highFret, double reachMm, double limitMm, String hand)
            implements Refusal {}

    /** Four fingers do not cover its frets. */
    record TooFewFingers() implements Refusal {}
}
