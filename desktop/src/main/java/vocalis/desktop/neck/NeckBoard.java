package vocalis.desktop.neck;

import java.util.Set;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import vocalis.core.instrument.Fretboard;
import vocalis.core.theory.Spelling;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.PaintedControl;

/** Paints the bare neck: frets, strings, marks, nut and capo. */
final class NeckBoard {

    /** Frets that carry a mark on most necks (common practice). */
    private static final Set<Integer> MARKED = Set.of(0, 3, 5, 7, 9);

    private final CanvasSkin<?> skin;
    private final PaintedControl c;
    private final NeckGeometry geometry;

    NeckBoard(CanvasSkin<?> skin, PaintedControl neck, NeckGeometry geometry) {
        this.skin = skin;
        c = neck;
        this.geometry = geometry;
    }

    void paint(GraphicsContext g, Fretboard board) {
        double top = geometry.top() - 7;
        double bottom = geometry.bottom() + 7;
        double x0 = Math.min(geometry.wire(0), geometry.wire(board.frets()));
        double x1 = Math.max(geometry.wire(0), geometry.wire(board.frets()));
        g.setFill(c.raised());
        g.fillRect(x0, top, x1 - x0, bottom - top);
        for (int f = 1; f <= board.frets(); f++) {
            double x = Math.round(geometry.wire(f)) + 0.5;
            CanvasSkin.stroke(g, c.line(), 1, x, top, x, bottom);
            int actual = f + board.capo();
            boolean marked = MARKED.contains(actual % 12);
            if (marked) {
                paintMark(g, f, actual % 12 == 0, top, bottom);
            }
            if (marked || geometry.wire(f) - geometry.wire(f - 1) > 24) {
                skin.text(
                        g,
                        String.valueOf(f),
                        geometry.mark(f),
                        bottom + 11,
                        c.smallFont(),
                        c.ink(),
                        TextAlignment.CENTER);
            }
        }
        paintStrings(g, board, x0, x1);
        double nut = geometry.wire(0);
        CanvasSkin.stroke(g, c.ink(), 4, nut, top, nut, bottom);
        if (board.capo() > 0) {
            skin.text(
                    g,
                    "capo " + board.capo(),
                    nut,
                    bottom + 11,
                    c.smallFont(),
                    c.ink(),
                    TextAlignment.CENTER);
        }
    }

    private void paintStrings(GraphicsContext g, Fretboard board, double x0, double x1) {
        for (int s = 0; s < board.strings(); s++) {
            double y = geometry.y(s);
            double thick = 2.6 - 1.6 * s / Math.max(1, board.strings() - 1);
            double sharp = thick < 1.5 ? Math.floor(y) + 0.5 : y;
            CanvasSkin.stroke(g, c.line(), thick, x0, sharp, x1, sharp);
            String name = Spelling.plain(board.midi(s, 0)).symbol();
            skin.text(g, name, 14, y, c.textFont(), c.dim(), TextAlignment.CENTER);
        }
    }

    /** A slanted step in the slate behind a marked fret, two behind the octave. */
    private void paintMark(GraphicsContext g, int fret, boolean octave, double top, double bottom) {
        double x = geometry.mark(fret);
        double half = Math.min(7, Math.abs(geometry.wire(fret) - geometry.wire(fret - 1)) / 4);
        double middle = (top + bottom) / 2;
        double tall = (bottom - top) * 0.16;
        double[] offsets = octave ? new double[] {-half * 0.9, half * 0.9} : new double[] {0};
        g.setFill(c.line());
        g.setGlobalAlpha(0.55);
        for (double o : offsets) {
            double left = x + o - half * 0.4;
            double right = x + o + half * 0.4;
            g.fillPolygon(
                    new double[] {left, right, right, left},
                    new double[] {
                        middle - tall, middle - tall - 5, middle + tall, middle + tall + 5
                    },
                    4);
        }
        g.setGlobalAlpha(1);
    }
}
