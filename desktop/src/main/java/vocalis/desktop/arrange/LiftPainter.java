package vocalis.desktop.arrange;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import vocalis.core.arrange.Song;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.TimeAxis;

/** Paints what rises over the sections of the song. */
final class LiftPainter {

    private final SongStripSkin skin;
    private final SongStrip c;
    private final ArrangeModel arrange;

    LiftPainter(SongStripSkin skin, SongStrip strip, ArrangeModel arrange) {
        this.skin = skin;
        c = strip;
        this.arrange = arrange;
    }

    /** Four figures of every section, each as a step between its least and its most. */
    void paint(GraphicsContext g, Song s, TimeAxis axis, double top, double height, double width) {
        double row = height / LiftFigures.NAMES.length;
        for (int r = 0; r < LiftFigures.NAMES.length; r++) {
            double base = Math.round(top + (r + 1) * row - 6);
            skin.text(
                    g,
                    LiftFigures.NAMES[r],
                    SongStripSkin.NAMES - 10,
                    base - row / 2 + 3,
                    c.smallFont(),
                    c.dim(),
                    TextAlignment.RIGHT);
            CanvasSkin.stroke(
                    g,
                    c.faint(),
                    1,
                    SongStripSkin.NAMES,
                    base + 0.5,
                    width - SongStripSkin.RIGHT,
                    base + 0.5);
            double[] all = LiftFigures.of(arrange, r);
            double least = Double.MAX_VALUE;
            double most = -Double.MAX_VALUE;
            for (double v : all) {
                least = Double.isInfinite(v) ? least : Math.min(least, v);
                most = Double.isInfinite(v) ? most : Math.max(most, v);
            }
            double range = Math.max(LiftFigures.LEAST_RANGE[r], most - least);
            LiftRow line = new LiftRow(r, all, base, row, least, range);
            double before = Double.NaN;
            for (int i = 0; i < arrange.lifts().size(); i++) {
                before = step(g, s, i, line, axis.x(s.start(i)), axis.x(s.end(i)), before);
            }
        }
    }

    /**
     * A line of what rises over the song.
     *
     * @param index which of the figures
     * @param values one a section
     * @param base its lowest point, in pixels
     * @param height in pixels
     * @param least the least value
     * @param range from it to the highest
     */
    private record LiftRow(
            int index, double[] values, double base, double height, double least, double range) {}

    /** One section's value, joined to the one before it. */
    private double step(
            GraphicsContext g,
            Song s,
            int i,
            LiftRow row,
            double left,
            double right,
            double before) {
        double[] all = row.values;
        int r = row.index;
        String value = i < all.length ? LiftFigures.value(s, i, r, all[i]) : "…";
        double part = i < all.length && !Double.isInfinite(all[i]) ? all[i] - row.least : 0;
        double y = row.base - 4 - part / row.range * (row.height - 24);
        double after = before;
        if (i < all.length) {
            if (!Double.isNaN(before)) {
                CanvasSkin.stroke(g, c.line(), 1, left, before, left, y);
            }
            CanvasSkin.stroke(g, c.ink(), 2, left + 1, y, right - 1, y);
            after = y;
        }
        if (right - left > CanvasSkin.width(value, c.smallFont()) + 8) {
            skin.text(
                    g,
                    value,
                    (left + right) / 2,
                    y - 9,
                    c.smallFont(),
                    c.dim(),
                    TextAlignment.CENTER);
        }
        skin.means(
                left,
                row.base - row.height + 6,
                right - left,
                row.height,
                LiftFigures.meaning(r, value));
        return after;
    }
}
