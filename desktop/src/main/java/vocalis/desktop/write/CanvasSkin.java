package vocalis.desktop.write;

import java.util.ArrayList;
import java.util.List;
import javafx.beans.InvalidationListener;
import javafx.beans.Observable;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.SkinBase;
import javafx.scene.paint.Paint;
import javafx.scene.shape.Line;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import vocalis.desktop.view.PaintedControl;

/** A skin that paints on a canvas as large as its control, with a now-line above it. */
abstract class CanvasSkin<C extends PaintedControl> extends SkinBase<C> {

    private final Canvas canvas = new Canvas();
    private final Line now = new Line();
    private final InvalidationListener repaint = o -> getSkinnable().requestLayout();
    private final List<Observable> watched = new ArrayList<>();

    CanvasSkin(C control) {
        super(control);
        now.getStyleClass().add("now-line");
        now.setManaged(false);
        now.setVisible(false);
        now.setMouseTransparent(true);
        getChildren().addAll(canvas, now);
        watch(control.focusedProperty());
    }

    /** Repaints when any of these changes, until the skin is disposed. */
    final void watch(Observable... observables) {
        for (Observable o : observables) {
            o.addListener(repaint);
            watched.add(o);
        }
    }

    @Override
    public void dispose() {
        watched.forEach(o -> o.removeListener(repaint));
        watched.clear();
        super.dispose();
    }

    @Override
    protected void layoutChildren(double x, double y, double w, double h) {
        canvas.setWidth(w);
        canvas.setHeight(h);
        canvas.relocate(x, y);
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, w, h);
        paint(g, w, h);
    }

    /** Paints everything. */
    abstract void paint(GraphicsContext g, double w, double h);

    /** Shows the now-line at an x, or hides it. */
    final void now(boolean visible, double x, double top, double bottom) {
        now.setVisible(visible);
        if (visible) {
            double at = Math.round(x) + 0.5;
            now.setStartX(at);
            now.setEndX(at);
            now.setStartY(top);
            now.setEndY(bottom);
        }
    }

    static void text(
            GraphicsContext g,
            String s,
            double x,
            double y,
            Font font,
            Paint fill,
            TextAlignment align) {
        g.setFont(font);
        g.setFill(fill);
        g.setTextAlign(align);
        g.setTextBaseline(VPos.CENTER);
        g.fillText(s, x, y);
    }

    static void stroke(
            GraphicsContext g,
            Paint paint,
            double width,
            double x1,
            double y1,
            double x2,
            double y2) {
        g.setStroke(paint);
        g.setLineWidth(width);
        g.strokeLine(x1, y1, x2, y2);
    }

    /** Width of a text, measured once a call; for short labels only. */
    static double width(String s, Font font) {
        javafx.scene.text.Text t = new javafx.scene.text.Text(s);
        t.setFont(font);
        return t.getLayoutBounds().getWidth();
    }

    /** A text cut, with an ellipsis, to a width. */
    static String fit(String s, double room, Font font) {
        String t = s;
        while (t.length() > 2 && width(t, font) > room) {
            t = t.substring(0, t.length() - 2) + "…";
        }
        return t;
    }
}
