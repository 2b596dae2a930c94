package vocalis.desktop.revoice;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import vocalis.core.revoice.Row;
import vocalis.desktop.view.CanvasSkin;
import vocalis.workbench.words.RevoiceWords;

/** The figures of a row: tension as a line, the hand, and what gain makes of it as bars. */
final class RowFigures {

    private static final double MOST_TRAVEL_A_CHANGE = 60;

    private static final double MOST_GROWL = 20;

    private static final double MOST_BITE = 3500;

    private final RevoiceGridSkin skin;
    private final RevoiceGrid c;
    private final RevoiceModel revoice;
    private double rowHeight;

    RowFigures(RevoiceGridSkin skin, RevoiceGrid c) {
        this.skin = skin;
        this.c = c;
        this.revoice = c.model();
    }

    /** Paints them at the right of a row whose top is y. */
    void paint(GraphicsContext g, Row r, double f, double y, double rowHeight) {
        this.rowHeight = rowHeight;
        double x = figure(f, 0);
        List<Integer> tension = r.tension();
        int n = tension.size();
        tension(g, tension, x, y);
        bar(
                g,
                figure(f, 1),
                y,
                r.way().travelMm() / Math.max(1, n) / MOST_TRAVEL_A_CHANGE,
                String.format(
                        "%s: %.0f mm along the neck each time round, at most %.0f at once",
                        RevoiceWords.shifts(r), r.way().travelMm(), r.way().hardestMm()));
        Optional<GainOfRows.Grind> made = revoice.grind(r);
        if (made.isEmpty()) {
            skin.text(
                    g,
                    "…",
                    figure(f, 2),
                    y + rowHeight / 2,
                    c.smallFont(),
                    c.dim(),
                    TextAlignment.LEFT);
            return;
        }
        GainOfRows.Grind m = made.get();
        grind(g, f, y, m);
    }

    private void tension(GraphicsContext g, List<Integer> tension, double x, double y) {
        int n = tension.size();
        double bottom = y + rowHeight - 6;
        double tall = rowHeight - 12;
        for (int i = 0; i < n; i++) {
            double x1 = x + 66.0 * i / Math.max(1, n);
            double x2 = x + 66.0 * (i + 1) / Math.max(1, n);
            double y1 = bottom - tall * tension.get(i) / 100;
            double y2 = bottom - tall * tension.get((i + 1) % n) / 100;
            CanvasSkin.stroke(g, i == n - 1 ? c.dim() : c.ink(), 1.5, x1, y1, x2, y2);
        }
        skin.means(
                x,
                y,
                70,
                rowHeight,
                "tension of each chord in the key, "
                        + join(tension)
                        + " of 100, and back over the seam");
    }

    private void grind(GraphicsContext g, double f, double y, GainOfRows.Grind m) {
        bar(
                g,
                figure(f, 2),
                y,
                Math.log(1 + m.growl()) / Math.log(1 + MOST_GROWL),
                String.format("under gain %.1f times as rough as plain power chords", m.growl()));
        bar(g, figure(f, 3), y, mud(m.mud()), "roughness below 250 Hz");
        bar(
                g,
                figure(f, 4),
                y,
                m.biteHz() / MOST_BITE,
                String.format("spectral centroid %.0f Hz", m.biteHz()));
    }

    /** Mud against the muddiest row. */
    private double mud(double mud) {
        double most = 1e-9;
        for (Row r : revoice.rows()) {
            most = Math.max(most, revoice.grind(r).map(GainOfRows.Grind::mud).orElse(0.0));
        }
        return mud / most;
    }

    private static String join(List<Integer> all) {
        return all.stream().limit(16).map(String::valueOf).collect(Collectors.joining(", "));
    }

    private void bar(GraphicsContext g, double x, double y, double share, String meaning) {
        double middle = Math.round(y + rowHeight / 2);
        g.setFill(c.faint());
        g.fillRoundRect(x, middle - 2, 36, 4, 4, 4);
        g.setFill(c.ink());
        g.fillRoundRect(x, middle - 2, Math.max(3, 36 * Math.min(1, share)), 4, 4, 4);
        skin.means(x, y, 38, rowHeight, meaning);
    }

    /** Left edge of a figure: the tension line, then four bars. */
    static double figure(double from, int i) {
        return from + 12 + (i == 0 ? 0 : 44 + i * 46);
    }

    /** Mix, versions, families, intents: a line between them. */
    static int kind(Row r) {
        return r.mix() ? 0 : r.version().isPresent() ? 1 : r.family().isPresent() ? 2 : 3;
    }
}
