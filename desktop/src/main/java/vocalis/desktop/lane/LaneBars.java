package vocalis.desktop.lane;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import vocalis.core.pattern.Pass;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.theory.Spelling;
import vocalis.desktop.session.Drawn;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.PaintedControl;
import vocalis.desktop.view.TimeAxis;

/** What the lane's notes stand on: strings, bar lines, and where the pattern's passes begin. */
record LaneBars(CanvasSkin<?> skin, PaintedControl c, LaneGeometry geometry, Drawn model) {

    void strings(GraphicsContext g) {
        TimeAxis a = geometry.axis();
        List<Integer> open = model.riff().ground().instrument().tuning().open();
        int capo = model.riff().ground().capo();
        for (int s = 0; s < geometry.strings(); s++) {
            double y = Math.round(geometry.y(s)) + 0.5;
            CanvasSkin.stroke(g, c.line(), 1, a.left() - 14, y, a.right(), y);
            String name = Spelling.plain(open.get(s) + capo).symbol();
            skin.text(g, name, a.left() - 24, y, c.smallFont(), c.dim(), TextAlignment.RIGHT);
            skin.means(
                    0,
                    y - 6,
                    a.left() - 14,
                    12,
                    "string " + (geometry.strings() - s) + ", sounding " + name + " open");
        }
    }

    void bars(GraphicsContext g) {
        TimeAxis a = geometry.axis();
        MeterMap meters = model.riff().meters();
        double top = geometry.y(geometry.strings() - 1);
        int bar = meters.bar(a.from());
        double numbered = Double.NEGATIVE_INFINITY;
        for (; meters.start(bar) < a.to(); bar++) {
            double x = Math.round(a.x(meters.start(bar))) - 6.5;
            CanvasSkin.stroke(g, c.line(), 1, x, top, x, geometry.y(0));
            boolean change = bar <= 0 || !meters.meter(bar).equals(meters.meter(bar - 1));
            String number =
                    (bar < 0 ? "pickup" : String.valueOf(bar + 1))
                            + (change && bar >= 0 ? "  " + meters.meter(bar).symbol() : "");
            if (x + 3 > numbered + 4) {
                skin.text(g, number, x + 3, 6, c.smallFont(), c.dim(), TextAlignment.LEFT);
                numbered = x + 3 + CanvasSkin.width(number, c.smallFont());
            }
        }
        double x = Math.round(a.right()) + 0.5;
        CanvasSkin.stroke(g, c.line(), 1, x, top, x, geometry.y(0));
        if (a.to() == model.riff().length()) {
            CanvasSkin.stroke(g, c.line(), 3, x + 4, top - 0.5, x + 4, geometry.y(0) + 0.5);
        }
    }

    /**
     * Where each pass of the pattern begins, when it runs against the bars: a broken line with its
     * number, or a heavy bar line where it meets the one.
     */
    void passes(GraphicsContext g, List<Pass> all) {
        TimeAxis a = geometry.axis();
        MeterMap meters = model.riff().meters();
        boolean drifts = all.stream().anyMatch(p -> p.start() >= 0 && !meters.barLine(p.start()));
        if (!drifts || all.size() < 2) {
            return;
        }
        double top = geometry.y(geometry.strings() - 1);
        for (Pass p : all) {
            if (!a.shows(p.from()) || p.start() != p.from()) {
                continue;
            }
            double x = Math.round(a.x(p.from())) - 6.5;
            boolean one = meters.barLine(p.start());
            String number = String.valueOf(p.index() + 1);
            if (one) {
                CanvasSkin.stroke(g, c.ink(), 2, x, top, x, geometry.y(0));
            } else {
                offTheOne(g, p, x, top);
            }
            skin.means(
                    x - 4,
                    top - 4,
                    8,
                    geometry.y(0) - top + 8,
                    "pass "
                            + number
                            + " of the pattern begins "
                            + (one ? "on the one" : "here, off the one"));
        }
    }

    /** A pass that begins off the one: a dashed line, numbered where there is room. */
    private void offTheOne(GraphicsContext g, Pass p, double x, double top) {
        TimeAxis a = geometry.axis();
        MeterMap meters = model.riff().meters();
        g.setLineDashes(2, 3);
        CanvasSkin.stroke(g, c.ink(), 1, x, top, x, geometry.y(0));
        g.setLineDashes();
        long bar = meters.start(meters.bar(p.from()));
        boolean free = x - a.x(bar) > 34 && !(c.isFocused() && x > a.right() - 330);
        if (free) {
            skin.text(g, "·" + (p.index() + 1), x, 6, c.smallFont(), c.dim(), TextAlignment.CENTER);
        }
    }
}
