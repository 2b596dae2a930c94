package vocalis.desktop.explore;

import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import vocalis.core.harmony.Context;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.Choices;
import vocalis.desktop.writing.Showing;

/** The shape shown over each of the twelve basses. */
final class BassPage implements ExplorePage {

    private final Showing model;
    private VBox content = new VBox();

    BassPage(Showing model) {
        this.model = model;
    }

    @Override
    public Node show() {
        Voicing v = model.shown().voicing();
        GridPane grid = new GridPane();
        grid.getStyleClass().add("figures");
        grid.addRow(
                0,
                Choices.caption("bass"),
                Choices.caption("becomes"),
                Choices.caption("its notes above the bass"),
                Choices.caption("that bass is open on"));
        Key key = model.key();
        for (Context.OverBass o : Context.bassSweep(v, key)) {
            String degrees =
                    o.degrees().stream().map(Degree::symbol).collect(Collectors.joining("  "));
            boolean inside = key.contains(o.bass().pitchClass());
            grid.addRow(
                    grid.getRowCount(),
                    Choices.text(
                            o.bass().symbol() + (inside ? "" : "  outside the key"),
                            inside ? "figure-value" : "caption"),
                    Choices.text(o.name().symbol(), "figure-value"),
                    Choices.text(degrees, "figure-value"),
                    openOn(v, o.bass().pitchClass()));
        }
        content = new VBox(10, grid);
        content.setFocusTraversable(true);
        return content;
    }

    @Override
    public Node first() {
        return content;
    }

    /** The open strings that give a bass, or those of them that the shape leaves free. */
    private static Label openOn(Voicing v, int bass) {
        int n = v.board().strings();
        String free =
                IntStream.range(0, n)
                        .filter(s -> Math.floorMod(v.board().midi(s, 0), 12) == bass)
                        .filter(s -> !v.shape().sounds(s) || v.shape().fret(s) == 0)
                        .mapToObj(s -> "string " + (n - s))
                        .collect(Collectors.joining(", "));
        return Choices.text(free, "open-string");
    }
}
