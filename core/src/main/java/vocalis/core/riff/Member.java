package vocalis.core.riff;

import java.util.Objects;
import vocalis.core.instrument.Shape;
import vocalis.core.voicing.ShapeClass;
import vocalis.core.voicing.Voicing;

/**
 * Which member of a family a chord takes, so stated that it can follow another root, key or tuning.
 */
public sealed interface Member {

    /**
     * A voicing that the search found: its shape class and the place preferred.
     *
     * @param shapeClass the class
     * @param lowString lowest sounded string preferred, 0 is the lowest
     * @param nearFret lowest fretted fret preferred, 0 for open strings
     */
    record OfClass(ShapeClass shapeClass, int lowString, int nearFret) implements Member {
        public OfClass {
            Objects.requireNonNull(shapeClass, "shapeClass");
            if (lowString < 0 || nearFret < 0) {
                throw new IllegalArgumentException(
                        "string and fret are not below 0, but are "
                                + lowString
                                + " and "
                                + nearFret);
            }
        }

        /** Names a voicing by its class and place. */
        public static OfClass of(Voicing v) {
            return new OfClass(
                    ShapeClass.of(v), v.shape().sounded().get(0), v.shape().lowestFretted());
        }
    }

    /**
     * A shape built by hand on the neck.
     *
     * @param shape frets when it was built
     * @param root pitch class that it was built for, 0 to 11; on another root the fretted notes
     *     move
     */
    record ByHand(Shape shape, int root) implements Member {
        public ByHand {
            Objects.requireNonNull(shape, "shape");
            if (root < 0 || root > 11) {
                throw new IllegalArgumentException(
                        "a root is a pitch class 0 to 11, but is " + root);
            }
            if (shape.sounded().isEmpty()) {
                throw new IllegalArgumentException("a shape built by hand must sound a string");
            }
        }
    }
}
