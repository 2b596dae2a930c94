package vocalis.desktop.lane;

import java.util.OptionalLong;
import javafx.geometry.Point2D;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import vocalis.core.pattern.Struck;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.score.Onset;
import vocalis.desktop.view.HoldToHear;
import vocalis.desktop.view.TimeAxis;
import vocalis.desktop.writing.LaneScreen;
import vocalis.desktop.writing.WritePlace;

/** The mouse on the lane, and its menus. */
final class LaneMouse {

    private final LaneSkin skin;
    private final Lane lane;
    private final LaneScreen model;
    private final ContextMenu menu = new ContextMenu();
    private LaneGeometry.Zone painting = LaneGeometry.Zone.TAB;

    LaneMouse(LaneSkin skin, Lane lane) {
        this.skin = skin;
        this.lane = lane;
        this.model = lane.model();
        lane.setOnMousePressed(this::pressed);
        lane.setOnMouseDragged(this::dragged);
        lane.setOnMouseReleased(this::released);
        HoldToHear.mouse(lane, () -> model.beginHearing(WritePlace.LANE), model::endHearing);
        lane.setOnContextMenuRequested(this::menu);
        fillMenu();
    }

    void dispose() {
        lane.setOnMousePressed(null);
        lane.setOnMouseDragged(null);
        lane.setOnMouseReleased(null);
        lane.setOnContextMenuRequested(null);
    }

    private void pressed(MouseEvent e) {
        menu.hide();
        lane.requestFocus();
        if (skin.geometry() == null) {
            return;
        }
        long tick = caretFor(e.getX());
        if (e.isShiftDown() && e.getButton() == MouseButton.PRIMARY) {
            model.lane().markTo(tick);
            return;
        }
        boolean wasThere = model.lane().caretProperty().get() == tick;
        int string = skin.geometry().stringAt(e.getY());
        if (wasThere && e.isControlDown() && string >= 0 && e.getButton() == MouseButton.PRIMARY) {
            model.lane().touches().voices().toggleString(string);
            return;
        }
        painting = skin.geometry().zone(e.getY());
        model.lane().markProperty().set(OptionalLong.empty());
        model.lane().setCaret(tick);
        if (e.getButton() != MouseButton.PRIMARY) {
            menu.show(lane, e.getScreenX(), e.getScreenY());
            return;
        }
        boolean begins = model.lane().beginsAtCaret();
        if (e.getClickCount() == 2 && !begins) {
            model.lane().toggleStroke();
        } else if (wasThere && begins && string >= 0 && e.getClickCount() == 1) {
            model.lane().strokes().toggleStruckString(string);
        }
    }

    /**
     * What is dragged over is marked; above the tab it is accented, with Ctrl softer, under it palm
     * muted.
     */
    private void dragged(MouseEvent e) {
        if (skin.geometry() == null || !e.isPrimaryButtonDown() || e.isStillSincePress()) {
            return;
        }
        model.lane().markTo(caretFor(e.getX()));
    }

    private void released(MouseEvent e) {
        boolean marked = model.lane().markProperty().get().isPresent();
        if (e.getButton() != MouseButton.PRIMARY || e.isStillSincePress() || !marked) {
            return;
        }
        switch (painting) {
            case ACCENTS -> {
                if (e.isControlDown()) {
                    model.lane().strokes().cycleDynamics(-1);
                } else {
                    model.lane().strokes().toggleAccent();
                }
            }
            case PALM -> model.lane().strokes().toggleMute();
            default -> {
                return;
            }
        }
        model.lane().markProperty().set(OptionalLong.empty());
    }

    /** The step under an x; a stroke close by is taken before the bare step. */
    private long caretFor(double x) {
        TimeAxis a = skin.geometry().axis();
        for (Onset o : model.derived().score().onsets()) {
            if (a.shows(o.at()) && Math.abs(a.x(o.at()) - x) < 7) {
                return o.at();
            }
        }
        long tick = Math.max(a.from(), Math.min(a.to() - 1, (long) Math.floor(a.tick(x + 4))));
        MeterMap meters = model.riff().meters();
        long start = meters.start(meters.bar(tick));
        return start
                + (tick - start)
                        / model.lane().grainProperty().get()
                        * model.lane().grainProperty().get();
    }

    private void fillMenu() {
        add("Add or remove stroke", model.lane()::toggleStroke);
        add("Palm mute", model.lane().strokes()::toggleMute);
        add("Embellish…", this::embellish);
        add("Accent", model.lane().strokes()::toggleAccent);
        add("Copy the bar", model.lane()::copy);
        add("Paste", model.lane()::paste);
        Menu strike = new Menu("Strike");
        for (Struck.Named n : Struck.Named.values()) {
            MenuItem item = new MenuItem("Strike " + n.label());
            item.setOnAction(e -> model.lane().strokes().setStruck(n));
            strike.getItems().add(item);
        }
        menu.getItems().add(strike);
    }

    private void add(String name, Runnable action) {
        MenuItem item = new MenuItem(name);
        item.setOnAction(e -> action.run());
        menu.getItems().add(item);
    }

    private void menu(ContextMenuEvent e) {
        if (e.isKeyboardTrigger()) {
            Point2D at =
                    lane.localToScreen(
                            skin.geometry().axis().x(model.lane().caretProperty().get()),
                            skin.geometry().words());
            menu.show(lane, at.getX(), at.getY());
        }
    }

    /** Shows what fingers and palm can do to the stroke under the caret. */
    void embellish() {
        double x =
                skin.geometry() == null
                        ? 0
                        : skin.geometry().axis().x(model.lane().caretProperty().get());
        double y = skin.geometry() == null ? 0 : skin.geometry().words();
        Point2D at = lane.localToScreen(x, y);
        Embellish.menu(model.lane(), this::embellish).show(lane, at.getX(), at.getY());
    }
}
