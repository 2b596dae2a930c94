package vocalis.desktop.view;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Paint;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Notation;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;

/**
 * Stems, beams, dots, ties and rests under a tab, as {@link Notation} says. A note that a finger
 * leads on to another has a stem of its own where it arrives.
 */
public final class RhythmPainter {

    /** Height that it needs, in px. */
    public static final double HEIGHT = 24;

    private static final double BEAM = 2.4;
    private static final double BETWEEN_BEAMS = 5;
    private static final double FLAG = 7;

    private GraphicsContext g;
    private PaintedControl control;
    private TimeAxis axis;
    private double top;
    private double bottom;

    /**
     * Paints the rhythm of what an axis shows.
     *
     * @param stemTop y where stems begin
     */
    public void paint(
            GraphicsContext graphics,
            PaintedControl on,
            TimeAxis along,
            double stemTop,
            Score score) {
        g = graphics;
        control = on;
        axis = along;
        top = stemTop;
        bottom = stemTop + HEIGHT - 6;
        MeterMap meters = score.time().meters();
        List<Onset> onsets = score.onsets();
        Notation.TiedValue before = null;
        for (int i = score.firstFrom(axis.from());
                i < onsets.size() && axis.shows(onsets.get(i).at());
                i++) {
            Onset o = onsets.get(i);
            long next = i + 1 < onsets.size() ? onsets.get(i + 1).at() : score.length();
            long length = Math.min(o.length(), Math.max(1, next - o.at()));
            if (o.tied()) {
                tie(o.at());
            }
            before = parts(o, length, meters, before);
            if (o.at() + length < next && axis.shows(o.at() + length)) {
                rest(o.at() + length);
            }
        }
    }

    /** The values that an onset is written as. */
    private Notation.TiedValue parts(
            Onset o, long length, MeterMap meters, Notation.TiedValue last) {
        Notation.TiedValue before = last;
        long from = o.at();
        for (long to : TabHead.cuts(o, length)) {
            for (Notation.TiedValue p : Notation.parts(from, to - from, meters)) {
                if (axis.shows(p.at())) {
                    part(p, before, meters);
                    before = p;
                }
                if (p.tied()) {
                    tie(p.at() + p.value().ticks());
                }
            }
            from = to;
        }
        return before;
    }

    private void part(Notation.TiedValue p, Notation.TiedValue before, MeterMap meters) {
        Notation.Value v = p.value();
        double x = Math.round(axis.x(p.at())) + 0.5;
        Paint dim = control.dim();
        if (!v.stemless()) {
            line(dim, 1, x, top + (v.open() ? 8 : 0), x, bottom);
        }
        for (int d = 0; d < v.dots(); d++) {
            g.setFill(dim);
            g.fillOval(x + 3 + 5 * d, bottom - 3, 3, 3);
        }
        if (v.tuplet() > 1 && (before == null || Notation.joined(before, p, meters) == 0)) {
            g.setFill(dim);
            g.setFont(control.smallFont());
            g.setTextAlign(javafx.scene.text.TextAlignment.CENTER);
            g.fillText(String.valueOf(v.tuplet()), x + 9, top + 3);
        }
        int joined = before == null ? 0 : Notation.joined(before, p, meters);
        if (joined > 0) {
            beams(axis.x(before.at()), x, 0, joined);
            beams(x - FLAG, x, joined, v.beams());
        } else {
            beams(x, x + FLAG, 0, v.beams());
        }
    }

    private void beams(double x1, double x2, int from, int to) {
        for (int b = from; b < to; b++) {
            double y = bottom - 1 - BETWEEN_BEAMS * b;
            line(control.dim(), BEAM, x1, y, x2, y);
        }
    }

    private void tie(long tick) {
        if (axis.shows(tick)) {
            double x = axis.x(tick);
            g.setStroke(control.dim());
            g.setLineWidth(1.2);
            g.strokeArc(x - 14, bottom - 3, 13, 7, 180, 180, javafx.scene.shape.ArcType.OPEN);
        }
    }

    private void rest(long tick) {
        double x = axis.x(tick);
        double y = bottom - 8;
        g.setStroke(control.dim());
        g.setLineWidth(1.6);
        g.strokePolyline(
                new double[] {x - 3, x + 2, x - 2, x + 3},
                new double[] {y - 6, y - 1, y + 2, y + 7},
                4);
    }

    private void line(Paint paint, double width, double x1, double y1, double x2, double y2) {
        g.setStroke(paint);
        g.setLineWidth(width);
        g.strokeLine(x1, y1, x2, y2);
    }
}
