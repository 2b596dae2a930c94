package vocalis.desktop.explore;

import java.util.Optional;
import vocalis.core.choice.Series;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.writing.Showing;

/** The shape shown, slid along the neck under its open strings; a row takes it there. */
final class AlongPage extends ShapePage {

    AlongPage(Showing model, Runnable close) {
        super(model, close);
    }

    @Override
    String fill(ShapeRows rows) {
        Voicing v = model().shown().voicing();
        if (v.shape().lowestFretted() == 0) {
            return "Nothing of this shape is fretted: it cannot slide.";
        }
        Series all = Series.of(v, Optional.of(model().key()), model().session().hand());
        for (Series.Step s : all.steps()) {
            String fit =
                    (s.outside() == 0 ? "in the key" : s.outside() + " outside")
                            + (s.playable() ? "" : ", out of reach")
                            + (s.voicing().shape().equals(v.shape()) ? ", where it is" : "");
            rows.add("fret " + s.fret(), s.voicing().shape(), s.name().symbol(), fit);
        }
        String under = v.shape().rings() ? ", under its open strings" : "";
        return "The same grip at every fret"
                + under
                + ". Hold one to hear it; Enter takes the shape there.";
    }
}
