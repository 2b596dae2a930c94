package vocalis.desktop.build;

import static org.assertj.core.api.Assertions.assertThat;

import atlantafx.base.theme.PrimerDark;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** What is left of the base style. */
class StyleCompilerTest {

    @Test
    void rulesOfControlsThatNobodyUsesGo() {
        String kept =
                StyleCompiler.without(
                        "/* a */ .tab-pane > .tab, .combo-box-base > .cell { -fx-a: 1; }"
                                + " .chart { -fx-b: 2; } .root { c: 3; } .tile-pane-like { -fx-d: 4; }");
        assertThat(kept)
                .isEqualToIgnoringWhitespace(
                        ".combo-box-base > .cell { -fx-a: 1; } .root { c: 3; }");
    }

    /** The style of every control that stands in the window is in what is shipped. */
    @Test
    void theControlsThatWeUseKeepTheirs() throws Exception {
        String all;
        try (InputStream in =
                PrimerDark.class.getResourceAsStream(new PrimerDark().getUserAgentStylesheet())) {
            all = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
        String kept = StyleCompiler.without(all);
        for (String used :
                new String[] {
                    "root",
                    "button",
                    "label",
                    "text-input",
                    "scroll-pane",
                    "scroll-bar",
                    "combo-box-base",
                    "combo-box-popup",
                    "list-view",
                    "cell",
                    "spinner",
                    "slider",
                    "check-box",
                    "menu-bar",
                    "menu-button",
                    "menu-item",
                    "context-menu",
                    "check-menu-item",
                    "radio-menu-item",
                    "separator",
                    "progress-bar",
                    "tooltip"
                }) {
            String own = "(?m)^\\." + used + "( |,|:|$|\\{)";
            assertThat(kept).as(used).containsPattern(own);
        }
        assertThat(kept.length()).isLessThan(all.length() * 2 / 3);
    }
}
