package vocalis.desktop.explore;

import java.util.EnumMap;
import java.util.Map;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import vocalis.core.names.Readout;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.HoldToHear;
import vocalis.desktop.view.Sheets;
import vocalis.desktop.writing.Showing;

/**
 * One chord looked at from six sides. Its name, its shape and its sound stay in sight over the
 * pages; what a page takes closes the panel.
 */
public final class ExploreSheet {

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
    private static final double WIDTH = 1140;
    private static final double LEAST_HEIGHT = 420;

    private final Showing model;
    private final Map<Explore, ExplorePage> pages = new EnumMap<>(Explore.class);
    private final Map<Explore, Button> keys = new EnumMap<>(Explore.class);
    private final StackPane shown = new StackPane();
    private final Label name = new Label();
    private final Label shape = Choices.mono("");
    private Explore page = Explore.COMPARE;
    private Sheets.Sheet sheet;

    public ExploreSheet(Showing model) {
        this.model = model;
        pages.put(Explore.COMPARE, new ComparePage(model, this::close));
        pages.put(Explore.BASSES, new BassPage(model));
        pages.put(Explore.DRONES, new DronePage(model, this::close));
        pages.put(Explore.DARK, new DarkPage(model, this::close));
        pages.put(Explore.ALONG, new AlongPage(model, this::close));
        pages.put(Explore.IDLE, new IdlePage(model, this::close));
        shown.setAlignment(Pos.TOP_LEFT);
        shown.setMinHeight(LEAST_HEIGHT);
        name.getStyleClass().add("readout-name");
        name.setId("explore-name");
    }

    /** Opens it at a page. */
    public void show(Sheets host, Explore at) {
        VBox body = new VBox(14, head(), tabs(), shown);
        body.getStyleClass().add("help");
        body.addEventFilter(KeyEvent.KEY_PRESSED, this::turned);
        sheet = host.open("Explore this chord", body, WIDTH);
        sheet.onClosed(model.hearing()::endHearing);
        turn(at);
    }

    private void close() {
        sheet.close();
    }

    private Node head() {
        Readout r = model.shown().readoutProperty().get();
        name.setText(r.name().symbol());
        shape.setText(model.shown().voicing().shape().text());
        Button hear = new Button("Hold to hear");
        hear.getStyleClass().add("strip-button");
        hear.setId("explore-hear");
        hear.setFocusTraversable(false);
        HoldToHear.at(
                hear,
                () -> model.hearing().hear(model.shown().voicing().shape()),
                model.hearing()::endHearing);
        HBox head = new HBox(16, name, shape, hear);
        head.setAlignment(Pos.CENTER_LEFT);
        return head;
    }

    private Node tabs() {
        HBox tabs = new HBox(4);
        for (Explore each : Explore.values()) {
            Button b = new Button(each.title());
            b.getStyleClass().add("family-key");
            b.setId("explore-" + each.id());
            b.setFocusTraversable(false);
            b.setOnAction(e -> turn(each));
            keys.put(each, b);
            tabs.getChildren().add(b);
        }
        Label how = Choices.caption("Tab: next page");
        HBox.setMargin(how, new javafx.geometry.Insets(5, 0, 0, 12));
        tabs.getChildren().add(how);
        return tabs;
    }

    /** Tab and Shift Tab turn the pages: within a page the arrows walk. */
    private void turned(KeyEvent e) {
        if (e.getCode() == KeyCode.TAB) {
            int by = e.isShiftDown() ? -1 : 1;
            int n = Explore.values().length;
            turn(Explore.values()[Math.floorMod(page.ordinal() + by, n)]);
            e.consume();
        }
    }

    private void turn(Explore to) {
        model.hearing().endHearing();
        page = to;
        keys.forEach((k, b) -> b.pseudoClassStateChanged(CHOSEN, k == to));
        Node node = pages.get(to).show();
        if (node instanceof Region r) {
            r.setMaxHeight(Region.USE_PREF_SIZE);
        }
        shown.getChildren().setAll(node);
        Node first = pages.get(to).first();
        sheet.focus(first);
    }
}
