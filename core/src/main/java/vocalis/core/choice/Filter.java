package vocalis.core.choice;

import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;

/**
 * Narrows what is offered.
 *
 * @param open whether open strings must, may or must not sound
 * @param position where on the neck the lowest fretted fret lies
 * @param thickness how many strings sound
 * @param strings which strings are used
 * @param comfortable only reaches inside comfort
 */
public record Filter(
        Open open, Position position, Thickness thickness, Strings strings, boolean comfortable) {

    /** Everything. */
    public static final Filter NONE =
            new Filter(Open.ANY, Position.ANY, Thickness.ANY, Strings.ANY, false);

    /** Open strings. */
    public enum Open {
        ANY("with or without open strings"),
        WITH("with open strings"),
        WITHOUT("without open strings");

        private final String words;

        Open(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** Place on the neck, by the lowest fretted fret. */
    public enum Position {
        ANY("anywhere on the neck", 0, 99),
        LOW("frets 0 to 4", 0, 4),
        MIDDLE("frets 5 to 9", 5, 9),
        HIGH("from fret 10", 10, 99);

        private final String words;
        private final int from;
        private final int to;

        Position(String words, int from, int to) {
            this.words = words;
            this.from = from;
            this.to = to;
        }

        public String words() {
            return words;
        }
    }

    /** Number of sounded strings. */
    public enum Thickness {
        ANY("of any thickness", 1, 9),
        TWO("two strings", 2, 2),
        THREE("three strings", 3, 3),
        MORE("four strings and more", 4, 9);

        private final String words;
        private final int from;
        private final int to;

        Thickness(String words, int from, int to) {
            this.words = words;
            this.from = from;
            this.to = to;
        }

        public String words() {
            return words;
        }
    }

    /** Which strings. */
    public enum Strings {
        ANY("on any strings"),
        THICK("with the two thickest"),
        THIN("without the two thickest");

        private final String words;

        Strings(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** Whether a candidate passes, for a hand. */
    public boolean accepts(Candidate c, Hand hand) {
        Shape shape = c.voicing().shape();
        boolean rings = shape.frets().contains(0);
        boolean opens = open == Open.ANY || rings == (open == Open.WITH);
        boolean place = c.position() >= position.from && c.position() <= position.to;
        int voices = c.voicing().voices();
        boolean thick = voices >= thickness.from && voices <= thickness.to;
        boolean low = c.lowString() <= 1;
        boolean on = strings == Strings.ANY || low == (strings == Strings.THICK);
        boolean reach = !comfortable || c.fingering().reachMm() <= hand.comfortMm();
        return opens && place && thick && on && reach;
    }
}
