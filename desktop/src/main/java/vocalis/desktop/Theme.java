package vocalis.desktop;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.net.URL;
import java.util.Objects;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.text.Font;

/** Dark and light: a base theme, a sheet of tokens, and the components that use tokens only. */
enum Theme {
    DARK("tokens-dark.css"),
    LIGHT("tokens-light.css");

    private static final String[] FONTS = {
        "VocalisSans-Regular.ttf", "VocalisSans-Bold.ttf", "Iosevka-Regular.ttf", "Iosevka-Bold.ttf"
    };

    private final String tokens;

    Theme(String tokens) {
        this.tokens = tokens;
    }

    /** Loads the fonts that ship with the program. */
    static void loadFonts() {
        for (String font : FONTS) {
            Font.loadFont(resource("fonts/" + font).toExternalForm(), 13);
        }
    }

    /** Puts the theme on a scene and on every control of the program. */
    void apply(Scene scene) {
        Application.setUserAgentStylesheet(
                this == DARK
                        ? new PrimerDark().getUserAgentStylesheet()
                        : new PrimerLight().getUserAgentStylesheet());
        scene.getStylesheets()
                .setAll(
                        resource(tokens).toExternalForm(),
                        resource("components.css").toExternalForm());
    }

    private static URL resource(String name) {
        return Objects.requireNonNull(Theme.class.getResource(name), name);
    }
}
