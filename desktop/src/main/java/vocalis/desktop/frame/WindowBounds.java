package vocalis.desktop.frame;

import javafx.geometry.Rectangle2D;
import javafx.stage.Screen;
import javafx.stage.Stage;
import vocalis.workbench.base.Preferences;

/** How large the window is and where it stands: as it was left, and never too small to work in. */
public final class WindowBounds {

    static final double LEAST_WIDTH = 1040;
    static final double LEAST_HEIGHT = 700;

    /** About what a window manager puts around a window, in pixels. */
    private static final double FRAME = 8;

    private final Stage stage;
    private final Preferences preferences;
    private double wantedWidth;
    private double wantedHeight;

    public WindowBounds(Stage stage, Preferences preferences) {
        this.stage = stage;
        this.preferences = preferences;
    }

    /** A window as it was left, or the usual one; on a small screen filled out to the edges. */
    public void place() {
        Rectangle2D room = Screen.getPrimary().getVisualBounds();
        boolean small =
                room.getWidth() < LEAST_WIDTH + FRAME || room.getHeight() < LEAST_HEIGHT + FRAME;
        if (small) {
            stage.setX(room.getMinX());
            stage.setY(room.getMinY());
            stage.setWidth(room.getWidth());
            stage.setHeight(room.getHeight());
            stage.setMaximized(true);
            return;
        }
        double width = preferences.number("window.width", LEAST_WIDTH, room.getWidth(), 1280);
        double height = preferences.number("window.height", LEAST_HEIGHT, room.getHeight(), 800);
        wantedWidth = Math.min(width, room.getWidth());
        wantedHeight = Math.min(height, room.getHeight());
        stage.setWidth(wantedWidth);
        stage.setHeight(wantedHeight);
        double x = preferences.number("window.x", room.getMinX(), room.getMaxX() - 200, Double.NaN);
        double y = preferences.number("window.y", room.getMinY(), room.getMaxY() - 200, Double.NaN);
        if (!Double.isNaN(x) && !Double.isNaN(y)) {
            stage.setX(x);
            stage.setY(y);
        }
        stage.setMaximized(preferences.flag("window.maximized", false));
    }

    /**
     * The window as large as it was asked to be, and how small it may become: some window managers
     * open it smaller, whatever it was asked before it was there.
     */
    public void least() {
        Rectangle2D room = Screen.getPrimary().getVisualBounds();
        if (!stage.isMaximized() && wantedWidth > 0) {
            stage.setWidth(wantedWidth);
            stage.setHeight(wantedHeight);
        }
        stage.setMinWidth(Math.min(LEAST_WIDTH, room.getWidth()));
        stage.setMinHeight(Math.min(LEAST_HEIGHT, room.getHeight()));
    }

    /** Keeps them for the next start. */
    public void remember() {
        preferences.set("window.maximized", String.valueOf(stage.isMaximized()));
        if (!stage.isMaximized()) {
            preferences.set("window.x", stage.getX());
            preferences.set("window.y", stage.getY());
            preferences.set("window.width", stage.getWidth());
            preferences.set("window.height", stage.getHeight());
        }
    }
}
