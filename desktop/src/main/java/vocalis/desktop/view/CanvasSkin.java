package vocalis.desktop.view;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.InvalidationListener;
import javafx.beans.Observable;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.SkinBase;
import javafx.scene.paint.Paint;
import javafx.scene.shape.Line;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;
import javafx.scene.transform.Scale;

/** A skin that paints on a canvas as large as its control, with a now-line above it. */
// Its children are added while it is made, as in every skin; none of them calls back before a
// layout.
@SuppressWarnings("this-escape")
public abstract class CanvasSkin<C extends PaintedControl> extends SkinBase<C>
        implements PaintedControl.Areas {

    private final Canvas canvas = new Canvas();
    private final Scale smaller = new Scale(1, 1);
    private final Line now = new Line();
    private final InvalidationListener repaint = o -> getSkinnable().requestLayout();
    private final List<Observable> watched = new ArrayList<>();
    private final List<Area> areas = new ArrayList<>();
    private final List<Written> written = new ArrayList<>();

    public CanvasSkin(C control) {
        super(control);
        // Unmanaged: else the canvas as large as it was would keep its control from shrinking.
        canvas.setManaged(false);
        canvas.getTransforms().add(smaller);
        now.getStyleClass().add("now-line");
        now.setManaged(false);
        now.setVisible(false);
        now.setMouseTransparent(true);
        getChildren().addAll(canvas, now);
        watch(control.focusedProperty());
    }

    /** Repaints when any of these changes, until the skin is disposed. */
    public final void watch(Observable... observables) {
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
        // Where the window is magnified, as many more pixels: else the picture would be blurred.
        double sharp = Math.max(1, getSkinnable().getLocalToSceneTransform().getMxx());
        canvas.setWidth(w * sharp);
        canvas.setHeight(h * sharp);
        smaller.setX(1 / sharp);
        smaller.setY(1 / sharp);
        canvas.relocate(x, y);
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.setTransform(sharp, 0, 0, sharp, 0, 0);
        g.clearRect(0, 0, w, h);
        areas.clear();
        written.clear();
        paint(g, w, h);
    }

    /** Says what a place of the picture means, for whoever asks. */
    public final void means(double x, double y, double w, double h, String meaning) {
        areas.add(new Area(x, y, w, h, meaning));
    }

    @Override
    public final Optional<Area> areaAt(double x, double y) {
        for (int i = areas.size() - 1; i >= 0; i--) {
            if (areas.get(i).contains(x, y)) {
                return Optional.of(areas.get(i));
            }
        }
        return Optional.empty();
    }

    /** All that answers, in the order painted. */
    public final List<Area> areas() {
        return List.copyOf(areas);
    }

    /** Where the caret is among what answers; empty where all of it counts. */
    public Optional<Area> caret() {
        return Optional.empty();
    }

    /** The texts as last painted. */
    public final List<Written> written() {
        return List.copyOf(written);
    }

    /** Paints everything. */
    protected abstract void paint(GraphicsContext g, double w, double h);

    /** Shows the now-line at an x, or hides it. */
    public final void now(boolean visible, double x, double top, double bottom) {
        now.setVisible(visible);
        if (visible) {
            double at = Math.round(x) + 0.5;
            now.setStartX(at);
            now.setEndX(at);
            now.setStartY(top);
            now.setEndY(bottom);
        }
    }

    public final void text(
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
        double w = width(s, font);
        double left =
                align == TextAlignment.LEFT ? x : align == TextAlignment.RIGHT ? x - w : x - w / 2;
        double h = font.getSize();
        written.add(new Written(s, left, y - h / 2, w, h, fill));
    }

    public static void stroke(
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

    private static final Map<Font, Map<String, Double>> WIDTHS = new HashMap<>();
    private static final Text MEASURE = new Text();
    private static final int MOST_WIDTHS = 4000;

    /** Width of a text; remembered, for the same labels are painted again and again. */
    public static double width(String s, Font font) {
        Map<String, Double> known = WIDTHS.computeIfAbsent(font, f -> new HashMap<>());
        if (known.size() > MOST_WIDTHS) {
            known.clear();
        }
        return known.computeIfAbsent(
                s,
                k -> {
                    MEASURE.setFont(font);
                    MEASURE.setText(k);
                    return MEASURE.getLayoutBounds().getWidth();
                });
    }

    /** A text in lines no wider than so much, cut between words. */
    public static List<String> wrapped(String s, double room, Font font) {
        List<String> lines = new ArrayList<>();
        String line = "";
        for (String word : s.split(" ")) {
            String more = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && width(more, font) > room) {
                lines.add(line);
                line = word;
            } else {
                line = more;
            }
        }
        if (!line.isEmpty()) {
            lines.add(line);
        }
        return lines;
    }

    /** A text cut, with an ellipsis, to a width. */
    protected static String fit(String s, double room, Font font) {
        String t = s;
        while (t.length() > 2 && width(t, font) > room) {
            t = t.substring(0, t.length() - 2) + "…";
        }
        return t;
    }
}
