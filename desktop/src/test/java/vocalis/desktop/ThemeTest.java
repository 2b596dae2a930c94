package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;

/** What is shown before the sheet of tokens is read has the colour that it has. */
class ThemeTest {

    @Test
    void theGroundIsThatOfTheTokens() throws Exception {
        assertThat(ground("dark")).isEqualTo(Theme.DARK.back());
        assertThat(ground("light")).isEqualTo(Theme.LIGHT.back());
    }

    private static Color ground(String name) throws Exception {
        try (InputStream in = Theme.class.getResourceAsStream("tokens-" + name + ".css")) {
            String css = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            return Color.web(css.replaceAll("(?s).*-v-back: (#\\w+);.*", "$1"));
        }
    }
}
