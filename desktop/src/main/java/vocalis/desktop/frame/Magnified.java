package vocalis.desktop.frame;

import javafx.beans.property.DoubleProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.ScrollBar;
import javafx.scene.layout.Region;
import javafx.scene.transform.Scale;

/**
 * The whole content of the window, larger: text, tab and neck grow alike. Where the window has no
 * room for all of it, bars at its edges move it.
 */
public final class Magnified extends Region {

    /** Sizes that are offered, in hundredths. */
    public static final int LEAST = 100;

    public static final int MOST = 160;
    public static final int STEP = 10;

    /** In this every screen fits; a screen may do with less. */
    private static final double MOST_WIDTH = 1040;

    private static final double MOST_HEIGHT = 700;

    private final Region content;
    private final DoubleProperty size = new SimpleDoubleProperty(LEAST);
    private final Scale scale = new Scale(1, 1);
    private final ScrollBar across = new ScrollBar();
    private final ScrollBar down = new ScrollBar();

    public Magnified(Region content) {
        this.content = content;
        content.getTransforms().add(scale);
        down.setOrientation(Orientation.VERTICAL);
        across.setId("window-across");
        down.setId("window-down");
        getChildren().addAll(content, across, down);
        content.setManaged(false);
        for (Node bar : new Node[] {across, down}) {
            bar.setManaged(false);
            bar.setFocusTraversable(false);
        }
        across.valueProperty().addListener(o -> requestLayout());
        down.valueProperty().addListener(o -> requestLayout());
        size.addListener(
                o -> {
                    scale.setX(size.get() / 100);
                    scale.setY(size.get() / 100);
                    requestLayout();
                });
        // A clip keeps what is moved out of sight from being drawn over the bars.
        javafx.scene.shape.Rectangle clip = new javafx.scene.shape.Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
    }

    /** Hundredths of the usual size. */
    public double size() {
        return size.get();
    }

    /** Sets the size, as near as it is offered. */
    public void size(double hundredths) {
        double step = Math.round(hundredths / STEP) * STEP;
        size.set(Math.max(LEAST, Math.min(MOST, step)));
    }

    @Override
    protected void layoutChildren() {
        double s = size.get() / 100;
        double w = Math.max(getWidth() / s, Math.min(MOST_WIDTH, content.minWidth(-1)));
        double h = Math.max(getHeight() / s, Math.min(MOST_HEIGHT, content.minHeight(w)));
        w = s == 1 ? getWidth() : w;
        h = s == 1 ? getHeight() : h;
        boolean wide = w * s > getWidth() + 1;
        boolean high = h * s > getHeight() + 1;
        place(across, wide, w * s - getWidth());
        place(down, high, h * s - getHeight());
        content.resize(w, h);
        content.relocate(
                wide ? -Math.round(across.getValue()) : 0, high ? -Math.round(down.getValue()) : 0);
        double thick = 12;
        across.resizeRelocate(0, getHeight() - thick, getWidth() - (high ? thick : 0), thick);
        down.resizeRelocate(getWidth() - thick, 0, thick, getHeight() - (wide ? thick : 0));
    }

    private static void place(ScrollBar bar, boolean needed, double beyond) {
        bar.setVisible(needed);
        if (needed) {
            bar.setMax(beyond);
            bar.setVisibleAmount(beyond / 2);
            bar.setUnitIncrement(30);
            bar.setBlockIncrement(150);
            bar.setValue(Math.min(bar.getValue(), beyond));
        }
    }
}
