package vocalis.desktop;

import java.net.URL;
import java.util.Objects;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import vocalis.formats.pdf.Fonts;
import vocalis.workbench.base.Preferences;

/**
 * Dark and light: a base theme of AtlantaFX, a sheet of tokens, and the components that use tokens
 * only. The build turns the sheets into JavaFX's binary form.
 */
enum Theme {
    DARK("dark", "#161b20"),
    LIGHT("light", "#f3f4f2");

    private static final String[] FONTS = {
        "VocalisSans-Regular.ttf", "VocalisSans-Bold.ttf", "Iosevka-Regular.ttf", "Iosevka-Bold.ttf"
    };

    private final String name;
    private final Color back;

    Theme(String name, String back) {
        this.name = name;
        this.back = Color.web(back);
    }

    /** Its ground, for what is shown before the sheet of tokens is read. */
    Color back() {
        return back;
    }

    /** The one that was chosen last. */
    static Theme of(Preferences preferences) {
        return preferences.text("theme").filter("light"::equals).isPresent() ? LIGHT : DARK;
    }

    /** Loads the fonts that ship with the program. */
    static void loadFonts() {
        for (String font : FONTS) {
            Font.loadFont(Fonts.resource(font).toExternalForm(), 13);
        }
    }

    /**
     * Puts its base on every control of the program. To be done before the first control is made,
     * which would else bring the toolkit's own.
     */
    void base() {
        Application.setUserAgentStylesheet(resource("base-" + name + ".bss").toExternalForm());
    }

    /** Puts the theme on a scene and on every control of the program. */
    void apply(Scene scene) {
        base();
        scene.getStylesheets()
                .setAll(
                        resource("tokens-" + name + ".bss").toExternalForm(),
                        resource("components.bss").toExternalForm());
    }

    private static URL resource(String name) {
        return Objects.requireNonNull(Theme.class.getResource(name), name);
    }
}
