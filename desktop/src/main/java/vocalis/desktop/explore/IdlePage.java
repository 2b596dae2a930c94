package vocalis.desktop.explore;

import java.util.List;
import vocalis.core.hands.IdleFingers;
import vocalis.core.names.Readout;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.writing.Showing;

/** What the idle fingers can add to the shape, each with what it makes of the chord. */
final class IdlePage extends ShapePage {

    private static final int MOST = 18;
    private static final String[] FINGERS = {"", "index", "middle", "ring", "little", "thumb"};

    IdlePage(Showing model, Runnable close) {
        super(model, close);
    }

    @Override
    String fill(ShapeRows rows) {
        Voicing v = model().shown().voicing();
        int strings = v.board().strings();
        List<IdleFingers.Addition> all = model().shown().idleFingers();
        for (IdleFingers.Addition a : all.subList(0, Math.min(MOST, all.size()))) {
            Voicing with = new Voicing(a.shape(), v.board(), v.root());
            rows.add(
                    FINGERS[a.finger()] + " finger",
                    a.shape(),
                    Readout.nameOf(with, model().key()).symbol(),
                    "string " + (strings - a.string()) + ", fret " + a.fret());
        }
        return rows.isEmpty()
                ? "No idle finger reaches another note here."
                : "The grip stays; a free finger adds a note. Hold one to hear it.";
    }
}
