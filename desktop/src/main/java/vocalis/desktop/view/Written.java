package vocalis.desktop.view;

import javafx.scene.paint.Paint;

/**
 * A text as it was last painted, so that tests can see whether texts collide or are cut.
 *
 * @param text as painted
 * @param x left
 * @param y top
 * @param width in pixels
 * @param height in pixels
 * @param paint its colour
 */
public record Written(String text, double x, double y, double width, double height, Paint paint) {

    /** Whether two texts lie on each other by more than a pixel. */
    public boolean collides(Written other) {
        return x + 1 < other.x + other.width
                && other.x + 1 < x + width
                && y + 1 < other.y + other.height
                && other.y + 1 < y + height;
    }
}
