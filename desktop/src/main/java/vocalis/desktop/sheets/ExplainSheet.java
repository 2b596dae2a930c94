package vocalis.desktop.sheets;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import vocalis.desktop.view.Area;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Explain;
import vocalis.desktop.view.Sheets;

/**
 * What is here, by one key: the legend, then what the caret is on, the figures of the readout, and
 * what else the place shows, each with what it means.
 */
public final class ExplainSheet {

    private ExplainSheet() {}

    /**
     * Opens it.
     *
     * @param place the control under the caret; null for none
     * @param readout the figures beside it
     */
    public static void show(Sheets host, Node place, Parent readout) {
        VBox content = new VBox(14, Choices.head("Marks"), legend());
        Set<String> caret = new LinkedHashSet<>();
        Set<String> around = new LinkedHashSet<>();
        if (place instanceof Control c && c.getSkin() instanceof CanvasSkin<?> skin) {
            for (Area a : skin.areas()) {
                boolean on = skin.caret().map(a::meets).orElse(true);
                (on ? caret : around).add(a.meaning());
            }
            around.removeAll(caret);
        } else if (place != null) {
            Explain.of(place).ifPresent(caret::add);
        }
        content.getChildren().addAll(list("What the caret is on", "explain-here", caret));
        GridPane figures = Choices.grid();
        figures(readout, figures);
        content.getChildren().addAll(Choices.head("The figures beside it"), figures);
        content.getChildren().addAll(list("Around it", "explain-around", around));
        content.getStyleClass().add("help");
        content.setId("explain");
        host.open("What is what", content, 820);
    }

    private static List<Node> list(String head, String id, Set<String> meanings) {
        if (meanings.isEmpty()) {
            return List.of();
        }
        VBox all = new VBox(3);
        meanings.forEach(m -> all.getChildren().add(Choices.text(m)));
        all.setId(id);
        return List.of(Choices.head(head), all);
    }

    private static void figures(Node n, GridPane grid) {
        if (n instanceof Label l && l.isVisible() && l.getStyleClass().contains("figure-label")) {
            Explain.of(l).ifPresent(m -> Choices.row(grid, l.getText(), Choices.text(m)));
        }
        if (n instanceof Parent p && p.isVisible()) {
            p.getChildrenUnmodifiable().forEach(c -> figures(c, grid));
        }
    }

    private static VBox legend() {
        return new VBox(
                4,
                mark("rung-root", "the root, and nothing else"),
                mark("rung-open", "an open string that rings"),
                mark("rung-plain", "any other note"),
                Choices.caption(
                        "Between two chords a line follows each voice; +2 says that it goes up two semitones."
                                + " Dotted lines are tones that the distortion adds. A hollow circle on the neck is an"
                                + " open string, × one that is silenced, a dashed circle what the riff has while"
                                + " another shape is looked at."));
    }

    private static HBox mark(String style, String words) {
        Region r = new Region();
        r.getStyleClass().addAll("rung", style);
        r.setMinSize(34, 5);
        r.setMaxSize(34, 5);
        HBox box = new HBox(12, r, new Label(words));
        box.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        return box;
    }
}
