package vocalis.sound.listen;

import vocalis.core.instrument.Shape;

/**
 * A shape that a strum may have been.
 *
 * @param shape as it lies on the neck
 * @param share from 0 to 1, of the likelihood of all that were weighed
 */
public record Grip(Shape shape, double share) {}
