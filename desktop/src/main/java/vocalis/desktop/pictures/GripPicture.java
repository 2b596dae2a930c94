package vocalis.desktop.pictures;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import vocalis.core.instrument.Shape;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.PaintedControl;

/** A grip on a stretch of the neck, in small: the lowest string below, as on a tab. */
public record GripPicture(CanvasSkin<?> skin, PaintedControl c) {

    /** Height of the strings; the fret's number stands below. */
    public static final double HIGH = 90;

    private static final double LEFT = 14;

    /** Paints it with its highest string at a top. */
    public void paint(GraphicsContext g, Voicing v, int root, double x, double top, double w) {
        Shape shape = v.shape();
        int strings = shape.strings();
        int low = Math.max(1, shape.lowestFretted());
        int frets = Math.max(4, shape.highestFretted() - low + 1);
        double gap = HIGH / (strings - 1);
        double step = (w - 16) / frets;
        grid(g, strings, frets, low == 1, x + LEFT, top, gap, step);
        for (int i = 0; i < strings; i++) {
            int fret = shape.fret(i);
            double y = top + (strings - 1 - i) * gap;
            if (fret < 0) {
                skin.text(g, "×", x + 4, y, c.smallFont(), c.dim(), TextAlignment.CENTER);
                continue;
            }
            boolean isRoot = Math.floorMod(v.board().midi(i, fret), 12) == root;
            held(g, isRoot, fret, x, x + LEFT + (fret - low + 0.5) * step, y);
        }
        skin.text(
                g,
                "fret " + low,
                x + LEFT,
                top + HIGH + 14,
                c.smallFont(),
                c.dim(),
                TextAlignment.LEFT);
    }

    private void grid(
            GraphicsContext g,
            int strings,
            int frets,
            boolean nut,
            double left,
            double top,
            double gap,
            double step) {
        for (int i = 0; i < strings; i++) {
            double y = top + i * gap;
            CanvasSkin.stroke(g, c.line(), 1, left, y, left + frets * step, y);
        }
        for (int f = 0; f <= frets; f++) {
            double x = Math.round(left + f * step) + 0.5;
            boolean here = f == 0 && nut;
            CanvasSkin.stroke(g, here ? c.ink() : c.faint(), here ? 3 : 1, x, top, x, top + HIGH);
        }
    }

    private void held(GraphicsContext g, boolean root, int fret, double x, double cx, double y) {
        if (fret == 0) {
            g.setStroke(root ? c.rootPaint() : c.openPaint());
            g.setLineWidth(root ? 3 : 1.5);
            g.strokeOval(x, y - 4, 8, 8);
        } else {
            g.setFill(root ? c.rootPaint() : c.ink());
            if (root) {
                g.fillOval(cx - 6, y - 6, 12, 12);
            } else {
                g.fillRoundRect(cx - 5.5, y - 5.5, 11, 11, 3, 3);
            }
        }
    }
}
