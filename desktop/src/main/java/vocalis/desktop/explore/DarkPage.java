package vocalis.desktop.explore;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.layout.VBox;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Filter;
import vocalis.core.hands.Hand;
import vocalis.core.names.Readout;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.Choices;
import vocalis.desktop.writing.Showing;

/** Dark shapes on the root, with its ♭5, ♭9 or ♭6: found on a worker, for the family is large. */
final class DarkPage extends ShapePage {

    private static final int MOST = 14;

    private List<Candidate> found = List.of();
    private VBox page = new VBox();

    DarkPage(Showing model, Runnable close) {
        super(model, close);
    }

    @Override
    public Node show() {
        page = new VBox(Choices.caption("Looking along the neck …"));
        page.setFocusTraversable(true);
        VBox asked = page;
        Voicing shown = model().shown().voicing();
        Hand hand = model().session().hand();
        Catalogue catalogue = model().session().catalogue();
        model().session()
                .ask(
                        "looking for dark shapes",
                        () -> dark(catalogue, shown, hand),
                        all -> {
                            found = all;
                            boolean caret = asked.isFocused();
                            asked.getChildren().setAll(super.show());
                            if (caret) {
                                super.first().requestFocus();
                            }
                        });
        return page;
    }

    @Override
    public Node first() {
        return page;
    }

    private static List<Candidate> dark(Catalogue catalogue, Voicing shown, Hand hand) {
        Filter dark = Filter.NONE.with(Filter.Colour.DARK);
        return catalogue.candidates(shown.board(), hand, Family.EXTENDED, shown.root()).stream()
                .filter(c -> dark.accepts(c, hand))
                .limit(MOST)
                .toList();
    }

    @Override
    String fill(ShapeRows rows) {
        for (Candidate c : found) {
            Readout r = Readout.of(c.voicing(), model().key());
            int outside = r.outside().size();
            String fit = outside == 0 ? "in the key" : outside + " outside the key";
            rows.add("", c.voicing().shape(), r.name().symbol(), fit);
        }
        return found.isEmpty()
                ? "No dark shape of this root can be held here."
                : "With the tritone, the low second or the low sixth. Hold one to hear it; Enter"
                        + " puts it on the neck.";
    }
}
