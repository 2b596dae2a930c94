package vocalis.desktop;

import javafx.scene.Group;
import javafx.scene.Scene;
import vocalis.desktop.frame.Magnified;
import vocalis.desktop.view.SheetHost;
import vocalis.workbench.base.Preferences;

/** How the window looks: dark or light, and how large text, tab and neck are. */
final class Look {
    private final Preferences preferences;
    private Theme theme;
    private Magnified magnified;
    private Scene scene;

    /** To be made before the first control, which would else bring the toolkit's own base. */
    Look(Preferences preferences) {
        this.preferences = preferences;
        theme = Theme.of(preferences);
        theme.base();
    }

    /** The window's scene, with all that is in it. */
    Scene styled(SheetHost content) {
        magnified = new Magnified(content);
        magnified.size(
                preferences.number("text.size", Magnified.LEAST, Magnified.MOST, Magnified.LEAST));
        // What is in a scene before its sheets is styled twice.
        scene = new Scene(new Group(), 1280, 800);
        theme.apply(scene);
        scene.setRoot(magnified);
        return scene;
    }

    void switchTheme() {
        theme = theme == Theme.DARK ? Theme.LIGHT : Theme.DARK;
        theme.apply(scene);
    }

    /** The size of text, tab and neck in hundredths. */
    double size() {
        return magnified.size();
    }

    void size(double percent) {
        magnified.size(percent);
    }

    void remember() {
        preferences.set("theme", theme == Theme.LIGHT ? "light" : "dark");
        preferences.set("text.size", (int) magnified.size());
    }
}
