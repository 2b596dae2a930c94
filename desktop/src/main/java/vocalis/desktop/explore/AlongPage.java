package vocalis.desktop.explore;

import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.layout.VBox;
import vocalis.core.choice.Series;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.Choices;
import vocalis.desktop.writing.WriteModel;

/** The shape shown, slid along the neck under its open strings; a row takes it there. */
final class AlongPage implements ExplorePage {

    private final WriteModel model;
    private final Runnable close;
    private ShapeRows rows;

    AlongPage(WriteModel model, Runnable close) {
        this.model = model;
        this.close = close;
    }

    @Override
    public Node show() {
        Voicing v = model.shown().voicing();
        rows =
                new ShapeRows(
                        model.hearing(),
                        shape -> {
                            model.shown().take(shape);
                            close.run();
                        });
        if (v.shape().lowestFretted() == 0) {
            return new VBox(Choices.caption("Nothing of this shape is fretted: it cannot slide."));
        }
        Key key = model.key();
        for (Series.Step s : Series.of(v, Optional.of(key), model.session().hand()).steps()) {
            String fit =
                    (s.outside() == 0 ? "in the key" : s.outside() + " outside")
                            + (s.playable() ? "" : ", out of reach")
                            + (s.voicing().shape().equals(v.shape()) ? ", where it is" : "");
            rows.add("fret " + s.fret(), s.voicing().shape(), s.name().symbol(), fit);
        }
        String under = v.shape().rings() ? ", under its open strings" : "";
        return new VBox(
                10,
                Choices.caption(
                        "The same grip at every fret"
                                + under
                                + ". Hold one to hear it; Enter takes the shape there."),
                rows.node());
    }

    @Override
    public Node first() {
        return rows.first();
    }
}
