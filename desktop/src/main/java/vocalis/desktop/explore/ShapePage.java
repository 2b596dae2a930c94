package vocalis.desktop.explore;

import javafx.scene.Node;
import javafx.scene.layout.VBox;
import vocalis.desktop.view.Choices;
import vocalis.desktop.writing.Showing;

/** A page of shapes beneath each other; one that is taken stands on the neck. */
abstract class ShapePage implements ExplorePage {

    private final Runnable close;
    private final Showing model;
    private ShapeRows rows;

    /**
     * @param close what taking a shape does besides
     */
    ShapePage(Showing model, Runnable close) {
        this.model = model;
        this.close = close;
    }

    Showing model() {
        return model;
    }

    /** Fills the rows; gives the sentence over them. */
    abstract String fill(ShapeRows empty);

    @Override
    public Node show() {
        rows =
                new ShapeRows(
                        model.hearing(),
                        shape -> {
                            model.shown().take(shape);
                            close.run();
                        });
        String head = fill(rows);
        return new VBox(10, Choices.caption(head), rows.node());
    }

    @Override
    public Node first() {
        return rows.first();
    }
}
