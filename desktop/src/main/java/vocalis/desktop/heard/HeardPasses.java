package vocalis.desktop.heard;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.PaintedControl;
import vocalis.workbench.listening.FollowWords;
import vocalis.workbench.listening.FollowedPass;
import vocalis.workbench.listening.Played;

/**
 * Paints what was heard, pass by pass: how far strokes lay from their beats, and what fails most.
 */
public final class HeardPasses {

    private static final double CURVE = 70;
    private static final double LINE = 17;
    private static final double LEAST_MS = 30;

    private final CanvasSkin<?> skin;
    private final PaintedControl c;
    private final Ears ears;

    public HeardPasses(CanvasSkin<?> skin, PaintedControl side, Ears ears) {
        this.skin = skin;
        c = side;
        this.ears = ears;
    }

    /** Paints within a box. */
    public void paint(GraphicsContext g, double x, double y, double w, double h) {
        List<FollowedPass> all = ears.passes();
        skin.text(
                g,
                "heard: spread of time, pass by pass",
                x,
                y,
                c.smallFont(),
                c.dim(),
                TextAlignment.LEFT);
        if (all.isEmpty()) {
            told(g, ears.remark(), x, y + 22, w, h - 22);
            return;
        }
        curve(g, all, x, y + 16, w);
        FollowedPass last = all.get(all.size() - 1);
        double at = y + 16 + CURVE + 18;
        FollowWords words = ears.words().orElseThrow();
        String told = words.of(last) + mostly(all, words);
        told(g, told, x, at, w, y + h - at);
    }

    private void told(GraphicsContext g, String words, double x, double y, double w, double h) {
        double at = y;
        for (String line : CanvasSkin.wrapped(words, w, c.textFont())) {
            if (at < y + h) {
                skin.text(g, line, x, at, c.textFont(), c.ink(), TextAlignment.LEFT);
            }
            at += LINE;
        }
    }

    private void curve(GraphicsContext g, List<FollowedPass> all, double x, double y, double w) {
        double most =
                Math.max(
                        LEAST_MS, all.stream().mapToDouble(FollowedPass::spreadMs).max().orElse(0));
        double px = 0;
        double py = 0;
        CanvasSkin.stroke(g, c.line(), 1, x, y + CURVE, x + w, y + CURVE);
        for (int i = 0; i < all.size(); i++) {
            double ex = x + 8 + (w - 40) * (all.size() == 1 ? 0 : (double) i / (all.size() - 1));
            double ey = y + CURVE - (CURVE - 12) * all.get(i).spreadMs() / most;
            if (i > 0) {
                CanvasSkin.stroke(g, c.line(), 1.2, px, py, ex, ey);
            }
            g.setFill(c.ink());
            g.fillOval(ex - 3, ey - 3, 6, 6);
            px = ex;
            py = ey;
        }
        String now = String.format(Locale.ROOT, "%.0f ms", all.get(all.size() - 1).spreadMs());
        skin.text(g, now, px + 8, py, c.smallFont(), c.ink(), TextAlignment.LEFT);
    }

    /** The stroke that failed most often, where one did twice. */
    private static String mostly(List<FollowedPass> all, FollowWords words) {
        Map<Long, Integer> counts = new HashMap<>();
        for (FollowedPass p : all) {
            p.faults().stream()
                    .map(Played::tick)
                    .distinct()
                    .forEach(t -> counts.merge(t, 1, Integer::sum));
        }
        return counts.entrySet().stream()
                .max(Map.Entry.<Long, Integer>comparingByValue().thenComparing(e -> -e.getKey()))
                .filter(e -> e.getValue() > 1)
                .flatMap(
                        e ->
                                all.stream()
                                        .flatMap(p -> p.faults().stream())
                                        .filter(p -> p.tick() == e.getKey())
                                        .findFirst()
                                        .map(
                                                p ->
                                                        " Fails most: "
                                                                + words.place(p)
                                                                + ", in "
                                                                + e.getValue()
                                                                + " of "
                                                                + all.size()
                                                                + " passes."))
                .orElse("");
    }
}
