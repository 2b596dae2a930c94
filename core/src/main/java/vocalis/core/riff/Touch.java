package vocalis.core.riff;

/** The fifth layer: what is done by hand on top of what the other four give. */
public sealed interface Touch {

    /** Start of the stroke it belongs to, ticks from the start of the riff. */
    long at();

    /** String index, 0 is the lowest. */
    int string();

    /**
     * One note of a stroke sounds another fret than the shape has.
     *
     * @param at start of the stroke, ticks from the start of the riff
     * @param string string index, 0 is the lowest
     * @param fret fret from the capo
     */
    record ChangedNote(long at, int string, int fret) implements Touch {
        public ChangedNote {
            if (at < 0 || string < 0 || fret < 0) {
                throw new IllegalArgumentException(
                        "a changed note's time, string and fret are not below 0, but are "
                                + at
                                + ", "
                                + string
                                + ", "
                                + fret);
            }
        }
    }

    /** What a finger does to a note while it sounds. */
    enum Kind {
        HAMMER("hammer-on", "h"),
        PULL("pull-off", "p"),
        SLIDE("slide", "/"),
        BEND("bend", "b"),
        BEND_RELEASE("bend and release", "br"),
        VIBRATO("vibrato", "~");

        private final String words;
        private final String mark;

        Kind(String words, String mark) {
            this.words = words;
            this.mark = mark;
        }

        /** As it is said. */
        public String words() {
            return words;
        }

        /** As it stands in the tab. */
        public String mark() {
            return mark;
        }
    }

    /**
     * A finger does something to one note of a stroke while it sounds.
     *
     * @param at start of the stroke, ticks from the start of the riff
     * @param string string index, 0 is the lowest
     * @param kind what
     * @param amount frets up (hammer), down (pull), up or down (slide), or cents (bend, vibrato)
     * @param after ticks from the stroke to where it begins
     * @param lasting ticks that a slide or bend takes; one way
     */
    record Ornament(long at, int string, Kind kind, int amount, long after, long lasting)
            implements Touch {
        public Ornament {
            if (at < 0 || string < 0 || after < 0 || lasting < 0) {
                throw new IllegalArgumentException(
                        "an ornament's times and string are not below 0, but are "
                                + at
                                + ", "
                                + after
                                + ", "
                                + lasting
                                + " and "
                                + string);
            }
            boolean fits =
                    switch (kind) {
                        case HAMMER, PULL -> amount >= 1 && amount <= 12;
                        case SLIDE -> amount != 0 && Math.abs(amount) <= 24;
                        case BEND, BEND_RELEASE -> amount >= 25 && amount <= 400;
                        case VIBRATO -> amount >= 5 && amount <= 200;
                    };
            if (!fits) {
                throw new IllegalArgumentException("a " + kind.words() + " cannot be of " + amount);
            }
        }

        /** Fret that the note ends on when it begins on another. */
        public int endFret(int fret) {
            return switch (kind) {
                case HAMMER, SLIDE -> fret + amount;
                case PULL -> fret - amount;
                default -> fret;
            };
        }
    }
}
