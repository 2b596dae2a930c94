package vocalis.desktop.explore;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.layout.VBox;
import vocalis.core.hands.IdleFingers;
import vocalis.core.names.Readout;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.Choices;
import vocalis.desktop.writing.WriteModel;

/** What the idle fingers can add to the shape, each with what it makes of the chord. */
final class IdlePage implements ExplorePage {

    private static final int MOST = 18;
    private static final String[] FINGERS = {"", "index", "middle", "ring", "little", "thumb"};

    private final WriteModel model;
    private final Runnable close;
    private ShapeRows rows;

    IdlePage(WriteModel model, Runnable close) {
        this.model = model;
        this.close = close;
    }

    @Override
    public Node show() {
        rows =
                new ShapeRows(
                        model.hearing(),
                        shape -> {
                            model.shown().take(shape);
                            close.run();
                        });
        Voicing v = model.shown().voicing();
        int strings = v.board().strings();
        List<IdleFingers.Addition> all = model.shown().idleFingers();
        for (IdleFingers.Addition a : all.subList(0, Math.min(MOST, all.size()))) {
            Voicing with = new Voicing(a.shape(), v.board(), v.root());
            rows.add(
                    FINGERS[a.finger()] + " finger",
                    a.shape(),
                    Readout.nameOf(with, model.key()).symbol(),
                    "string " + (strings - a.string()) + ", fret " + a.fret());
        }
        String head =
                rows.isEmpty()
                        ? "No idle finger reaches another note here."
                        : "The grip stays; a free finger adds a note. Hold one to hear it.";
        return new VBox(10, Choices.caption(head), rows.node());
    }

    @Override
    public Node first() {
        return rows.first();
    }
}
