package vocalis.desktop.neck;

import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import vocalis.core.choice.Candidate;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Move;
import vocalis.core.instrument.Shape;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.PaintedControl;
import vocalis.desktop.writing.Showing;
import vocalis.workbench.words.HandWords;

/**
 * Paints what the fingers do from the chord before into what is shown: a bar under a finger that
 * stays, a line along the string from where one slides, an empty ring where one lifts.
 */
final class NeckChange {

    private static final double HALF = 10;

    private final CanvasSkin<?> skin;
    private final PaintedControl c;
    private final NeckGeometry geometry;
    private final Showing model;

    NeckChange(CanvasSkin<?> skin, PaintedControl neck, NeckGeometry geometry, Showing model) {
        this.skin = skin;
        c = neck;
        this.geometry = geometry;
        this.model = model;
    }

    void paint(GraphicsContext g) {
        Derived d = model.derived();
        int n = d.chords().size();
        Optional<Fingering> held = model.shown().fingering();
        if (n < 2 || held.isEmpty()) {
            return;
        }
        Candidate before = d.chords().get((model.caret().chord() + n - 1) % n).candidate();
        Shape from = before.voicing().shape();
        Shape to = model.shown().voicing().shape();
        if (!before.voicing().board().equals(model.shown().voicing().board())) {
            return;
        }
        Move move =
                Move.between(before.voicing().board(), from, before.fingering(), to, held.get());
        String words = "from the chord before: " + HandWords.of(move, to.strings());
        for (Move.Step s : move.anchors()) {
            double x = geometry.mark(s.to());
            double y = geometry.y(s.string()) + HALF + 2;
            CanvasSkin.stroke(g, c.ink(), 2, x - 7, y, x + 7, y);
            skin.means(x - HALF, y - 2 * HALF, 2 * HALF, 2 * HALF + 4, words);
        }
        for (Move.Step s : move.guides()) {
            slide(g, s, words);
        }
        for (Fingering.Press p : before.fingering().presses()) {
            if (move.lifts().contains(p.finger())) {
                lift(g, p, from, to, words);
            }
        }
    }

    private void slide(GraphicsContext g, Move.Step s, String words) {
        double y = geometry.y(s.string());
        double a = geometry.mark(s.from());
        double b = geometry.mark(s.to());
        double way = Math.signum(b - a);
        double tip = b - way * (HALF + 1);
        CanvasSkin.stroke(g, c.dim(), 2, a, y, tip, y);
        CanvasSkin.stroke(g, c.dim(), 2, tip - way * 5, y - 4, tip, y);
        CanvasSkin.stroke(g, c.dim(), 2, tip - way * 5, y + 4, tip, y);
        skin.means(Math.min(a, tip), y - 5, Math.abs(tip - a), 10, words);
    }

    private void lift(GraphicsContext g, Fingering.Press p, Shape from, Shape to, String words) {
        for (int s = p.lowString(); s <= p.highString(); s++) {
            if (from.fret(s) == p.fret() && to.fret(s) != p.fret()) {
                double x = geometry.mark(p.fret());
                double y = geometry.y(s);
                g.setStroke(c.dim());
                g.setLineWidth(1.2);
                g.strokeOval(x - 5, y - 5, 10, 10);
                skin.means(x - 6, y - 6, 12, 12, words);
            }
        }
    }
}
