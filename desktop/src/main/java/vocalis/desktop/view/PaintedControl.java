package vocalis.desktop.view;

import java.util.List;
import java.util.Optional;
import javafx.beans.value.ObservableValue;
import javafx.css.CssMetaData;
import javafx.css.Styleable;
import javafx.css.StyleableProperty;
import javafx.css.StyleablePropertyFactory;
import javafx.scene.control.Control;
import javafx.scene.paint.Color;
import javafx.scene.paint.Paint;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;

/**
 * A control that paints on a canvas with colours and type sizes from the theme's token sheet: they
 * are styleable properties, so a change of theme repaints it. It explains what its skin says of a
 * place.
 */
// A styleable property is given its control when it is made; nothing is asked of it before the
// control stands.
@SuppressWarnings("this-escape")
public abstract class PaintedControl extends Control implements Explained {

    /** Family of the interface's type. */
    public static final String SANS = "Vocalis Sans";

    /** Family of tab and shapes. */
    public static final String MONO = "Iosevka";

    private static final StyleablePropertyFactory<PaintedControl> FACTORY =
            new StyleablePropertyFactory<>(Control.getClassCssMetaData());

    private final StyleableProperty<Paint> ink = paint("ink", "-v-paint-ink");
    private final StyleableProperty<Paint> dim = paint("dim", "-v-paint-dim");
    private final StyleableProperty<Paint> line = paint("line", "-v-paint-line");
    private final StyleableProperty<Paint> faint = paint("faint", "-v-paint-faint");
    private final StyleableProperty<Paint> back = paint("back", "-v-paint-back");
    private final StyleableProperty<Paint> raised = paint("raised", "-v-paint-raised");
    private final StyleableProperty<Paint> root = paint("root", "-v-paint-root");
    private final StyleableProperty<Paint> open = paint("open", "-v-paint-open");
    private final StyleableProperty<Paint> onMark = paint("onMark", "-v-paint-on-mark");
    private final StyleableProperty<Number> small = size("small", "-v-size-small", 11);
    private final StyleableProperty<Number> text = size("text", "-v-size-text", 13);
    private final StyleableProperty<Number> name = size("name", "-v-size-name", 16);

    protected PaintedControl(String styleClass) {
        getStyleClass().addAll("painted", styleClass);
    }

    private StyleableProperty<Paint> paint(String property, String css) {
        StyleableProperty<Paint> p =
                FACTORY.createStyleablePaintProperty(
                        this, property, css, c -> c.find(property), Color.GRAY);
        repaintOn(p);
        return p;
    }

    private StyleableProperty<Number> size(String property, String css, double initial) {
        StyleableProperty<Number> p =
                FACTORY.createStyleableNumberProperty(
                        this, property, css, c -> c.findSize(property), initial);
        repaintOn(p);
        return p;
    }

    private void repaintOn(StyleableProperty<?> p) {
        ((ObservableValue<?>) p).addListener(o -> requestLayout());
    }

    private StyleableProperty<Paint> find(String property) {
        return switch (property) {
            case "ink" -> ink;
            case "dim" -> dim;
            case "line" -> line;
            case "faint" -> faint;
            case "back" -> back;
            case "raised" -> raised;
            case "root" -> root;
            case "open" -> open;
            default -> onMark;
        };
    }

    private StyleableProperty<Number> findSize(String property) {
        return switch (property) {
            case "small" -> small;
            case "text" -> text;
            default -> name;
        };
    }

    /** Main text and marks. */
    public Paint ink() {
        return ink.getValue();
    }

    /** Secondary text. */
    public Paint dim() {
        return dim.getValue();
    }

    /** Lines that carry meaning: strings, bar lines, the frame of what is selected elsewhere. */
    public Paint line() {
        return line.getValue();
    }

    /** Lines that only guide the eye. */
    public Paint faint() {
        return faint.getValue();
    }

    /** The ground it is painted on. */
    public Paint back() {
        return back.getValue();
    }

    /** A ground raised from it. */
    public Paint raised() {
        return raised.getValue();
    }

    /** The root, and nothing else. */
    public Paint rootPaint() {
        return root.getValue();
    }

    /** Ringing open strings. */
    public Paint openPaint() {
        return open.getValue();
    }

    /** Text on a mark painted with ink, root or open. */
    public Paint onMark() {
        return onMark.getValue();
    }

    public Font smallFont() {
        return Font.font(SANS, small.getValue().doubleValue());
    }

    public Font textFont() {
        return Font.font(SANS, text.getValue().doubleValue());
    }

    public Font boldFont() {
        return Font.font(SANS, FontWeight.BOLD, text.getValue().doubleValue() + 1);
    }

    public Font nameFont() {
        return Font.font(SANS, FontWeight.BOLD, name.getValue().doubleValue());
    }

    public Font monoFont() {
        return Font.font(MONO, text.getValue().doubleValue());
    }

    public Font smallMonoFont() {
        return Font.font(MONO, small.getValue().doubleValue() + 1);
    }

    @Override
    public List<CssMetaData<? extends Styleable, ?>> getControlCssMetaData() {
        return FACTORY.getCssMetaData();
    }

    @Override
    public Optional<String> explain(double x, double y) {
        return getSkin() instanceof Areas skin
                ? skin.areaAt(x, y).map(Area::meaning)
                : Optional.empty();
    }

    /** What is painted where. */
    interface Areas {

        /** What stands at a point, the topmost first; empty where nothing answers. */
        Optional<Area> areaAt(double x, double y);
    }
}
