package vocalis.desktop.view;

/**
 * A place of a painted control that answers what it is.
 *
 * @param x left
 * @param y top
 * @param width in pixels
 * @param height in pixels
 * @param meaning in words
 */
public record Area(double x, double y, double width, double height, String meaning) {

    /** Whether a point lies in it. */
    public boolean contains(double px, double py) {
        return px >= x && px < x + width && py >= y && py < y + height;
    }

    /** Whether it shares anything with another. */
    public boolean meets(Area other) {
        return x < other.x + other.width
                && other.x < x + width
                && y < other.y + other.height
                && other.y < y + height;
    }
}
