package vocalis.core.choice;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.voicing.Voicing;

/**
 * Narrows what is offered.
 *
 * @param open whether open strings must, may or must not sound
 * @param position where on the neck the lowest fretted fret lies
 * @param thickness how many strings sound
 * @param strings which strings are used
 * @param top which degree of the root the highest note is
 * @param colour what its notes do among themselves
 * @param comfortable only reaches inside comfort
 */
@RecordBuilder
public record Filter(
        Open open,
        Position position,
        Thickness thickness,
        Strings strings,
        Top top,
        Colour colour,
        boolean comfortable)
        implements FilterBuilder.With {

    /** Everything. */
    public static final Filter NONE =
            new Filter(
                    Open.ANY, Position.ANY, Thickness.ANY, Strings.ANY, Top.ANY, Colour.ANY, false);

    public Filter with(Open other) {
        return withOpen(other);
    }

    public Filter with(Position other) {
        return withPosition(other);
    }

    public Filter with(Thickness other) {
        return withThickness(other);
    }

    public Filter with(Strings other) {
        return withStrings(other);
    }

    public Filter with(Top other) {
        return withTop(other);
    }

    public Filter with(Colour other) {
        return withColour(other);
    }

    public Filter comfortable(boolean only) {
        return withComfortable(only);
    }

    /** The degree of the root that the highest note is. */
    public enum Top {
        ANY,
        ROOT(0),
        THIRD(3, 4),
        FIFTH(6, 7, 8),
        SEVENTH(9, 10, 11),
        COLOUR(1, 2, 5);

        private final Set<Integer> degrees = new HashSet<>();

        Top(int... degrees) {
            for (int d : degrees) {
                this.degrees.add(d);
            }
        }

        private boolean accepts(Voicing v) {
            List<Integer> midi = v.midi();
            int top = Math.floorMod(midi.get(midi.size() - 1) - v.root(), 12);
            return this == ANY || degrees.contains(top);
        }
    }

    /** What the notes of a voicing do among themselves. */
    public enum Colour {
        ANY,
        /** One note at one pitch on two strings. */
        UNISON,
        /** A tritone, a minor second or a minor sixth from the root, with the fifth at most. */
        DARK;

        private static final Set<Integer> DARK_DEGREES = Set.of(1, 6, 8);

        private boolean accepts(Voicing v) {
            return switch (this) {
                case ANY -> true;
                case UNISON -> v.midi().stream().distinct().count() < v.voices();
                case DARK -> dark(v);
            };
        }

        private static boolean dark(Voicing v) {
            int dark = 0;
            for (int pc : v.pitchClasses()) {
                int degree = Math.floorMod(pc - v.root(), 12);
                dark += DARK_DEGREES.contains(degree) ? 1 : 0;
                if (degree != 0 && degree != 7 && !DARK_DEGREES.contains(degree)) {
                    return false;
                }
            }
            return dark == 1;
        }
    }

    /** Open strings. */
    public enum Open {
        ANY,
        WITH,
        WITHOUT
    }

    /**
     * Place on the neck: the lowest fretted fret lies in it, and the highest too, or no further
     * from the lowest than a finger to each fret reaches.
     */
    public enum Position {
        ANY(0, 99),
        LOW(0, 4),
        MIDDLE(5, 9),
        HIGH(10, 99);

        private static final int A_FINGER_TO_EACH = 3;

        private final int from;
        private final int to;

        Position(int from, int to) {
            this.from = from;
            this.to = to;
        }

        private boolean accepts(Candidate c) {
            int highest = c.voicing().shape().highestFretted();
            boolean near = highest <= to || highest - c.position() <= A_FINGER_TO_EACH;
            return c.position() >= from && c.position() <= to && near;
        }
    }

    /** Number of sounded strings. */
    public enum Thickness {
        ANY(1, 9),
        TWO(2, 2),
        THREE(3, 3),
        MORE(4, 9);

        private final int from;
        private final int to;

        Thickness(int from, int to) {
            this.from = from;
            this.to = to;
        }
    }

    /** Which strings. */
    public enum Strings {
        ANY,
        THICK,
        THIN
    }

    /** Whether a candidate passes, for a hand. */
    public boolean accepts(Candidate c, Hand hand) {
        Shape shape = c.voicing().shape();
        boolean rings = shape.rings();
        boolean opens = open == Open.ANY || rings == (open == Open.WITH);
        boolean place = position.accepts(c);
        int voices = c.voicing().voices();
        boolean thick = voices >= thickness.from && voices <= thickness.to;
        boolean low = c.lowString() <= 1;
        boolean on = strings == Strings.ANY || low == (strings == Strings.THICK);
        boolean reach = !comfortable || c.fingering().reachMm() <= hand.comfortMm();
        return opens
                && place
                && thick
                && on
                && reach
                && top.accepts(c.voicing())
                && colour.accepts(c.voicing());
    }
}
