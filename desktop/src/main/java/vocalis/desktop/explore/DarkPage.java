package vocalis.desktop.explore;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.layout.VBox;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Filter;
import vocalis.core.hands.Hand;
import vocalis.core.names.Readout;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.Choices;
import vocalis.desktop.writing.WriteModel;

/** Dark shapes on the root: with its ♭5, ♭9 or ♭6. */
final class DarkPage implements ExplorePage {

    private static final int MOST = 14;

    private final WriteModel model;
    private final Runnable close;
    private ShapeRows rows;

    DarkPage(WriteModel model, Runnable close) {
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
        Voicing shown = model.shown().voicing();
        Hand hand = model.session().hand();
        Filter dark = Filter.NONE.with(Filter.Colour.DARK);
        List<Candidate> all =
                model
                        .session()
                        .catalogue()
                        .candidates(shown.board(), hand, Family.EXTENDED, shown.root())
                        .stream()
                        .filter(c -> dark.accepts(c, hand))
                        .limit(MOST)
                        .toList();
        for (Candidate c : all) {
            Readout r = Readout.of(c.voicing(), model.key());
            String fit =
                    r.outside().isEmpty() ? "in the key" : r.outside().size() + " outside the key";
            rows.add("", c.voicing().shape(), r.name().symbol(), fit);
        }
        String head =
                all.isEmpty()
                        ? "No dark shape of this root can be held here."
                        : "With the tritone, the low second or the low sixth. Hold one to hear it;"
                                + " Enter puts it on the neck.";
        return new VBox(10, Choices.caption(head), rows.node());
    }

    @Override
    public Node first() {
        return rows.first();
    }
}
