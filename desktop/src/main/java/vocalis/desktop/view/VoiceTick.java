package vocalis.desktop.view;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Paint;
import javafx.scene.shape.StrokeLineCap;

/**
 * A voice as a mark on a scale. Its kind is told by shape as well as by colour, as on the neck: the
 * root is round, a string that rings open is hollow.
 */
public final class VoiceTick {

    private static final double MOST_DISC = 4.6;

    private VoiceTick() {}

    /**
     * Paints one.
     *
     * @param half half its height
     * @param width its width
     */
    public static void paint(
            GraphicsContext g,
            PaintedControl c,
            double x,
            double y,
            double half,
            double width,
            boolean root,
            boolean open) {
        Paint paint = root ? c.rootPaint() : open ? c.openPaint() : c.ink();
        double r = Math.min(half, MOST_DISC);
        g.setStroke(paint);
        g.setFill(paint);
        g.setLineWidth(open ? 1.4 : 1);
        if (root && open) {
            g.strokeOval(x - r + 0.7, y - r + 0.7, 2 * r - 1.4, 2 * r - 1.4);
        } else if (root) {
            g.fillOval(x - r, y - r, 2 * r, 2 * r);
        } else if (open) {
            g.strokeRoundRect(x - width / 2, y - half, width, 2 * half, width / 2, width / 2);
        } else {
            g.setLineCap(StrokeLineCap.ROUND);
            CanvasSkin.stroke(g, paint, width, x, y - half, x, y + half);
            g.setLineCap(StrokeLineCap.BUTT);
        }
    }
}
