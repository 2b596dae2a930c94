package vocalis.desktop.practise;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.scene.text.TextAlignment;
import vocalis.core.arrange.Song;
import vocalis.core.derive.Derived;
import vocalis.core.instrument.Shape;
import vocalis.core.practice.Entry;
import vocalis.core.practice.Ladder;
import vocalis.desktop.heard.HeardPasses;
import vocalis.desktop.pictures.GripPicture;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.PaintedControl;
import vocalis.workbench.words.HandWords;

/** Paints tempo, ladder, the shape held and the next, and the log; anew where a chord changes. */
final class PracticeSideSkin extends CanvasSkin<PracticeSide> {

    /** How wide it is, in pixels. */
    static final double WIDTH = 300;

    private final PracticeModel practice;
    private double at = -1;
    private int painted = -1;

    PracticeSideSkin(PracticeSide side) {
        super(side);
        practice = side.model();
        watch(practice.changedProperty());
    }

    void showNow(boolean plays, double tick) {
        Optional<Song> song = practice.song();
        if (song.isPresent()) {
            at = plays ? practice.tick(tick) : practice.from();
            if (chord(song.get()) != painted) {
                getSkinnable().requestLayout();
            }
        }
    }

    private int chord(Song s) {
        return s.score().harmonyAt((long) Math.max(0, at));
    }

    @Override
    protected void paint(GraphicsContext g, double w, double h) {
        practice.song()
                .ifPresent(
                        s -> {
                            boolean within = at >= practice.from() && at < practice.to();
                            at = within ? at : practice.from();
                            painted = chord(s);
                            side(g, s, h, at);
                        });
    }

    /** Tempo and ladder, the next shape, the log. */
    private void side(GraphicsContext g, Song s, double h, double at) {
        PracticeSide c = getSkinnable();
        stroke(g, c.faint(), 1, 0.5, 8, 0.5, h - 8);
        double left = 22;
        heading(g, left);
        double y = 118;
        if (practice.pace().climb().isPresent()) {
            ladder(g, practice.pace().climb().get(), left, y, WIDTH - 46, 64);
            y += 84;
        }
        y = next(g, s, left, y, at);
        if (practice.ears().isPresent()) {
            new HeardPasses(this, getSkinnable(), practice.ears().get())
                    .paint(g, left, y + 10, WIDTH - 46, h - y - 30);
        } else if (h - y > 96) {
            log(g, left, y + 10, WIDTH - 46, Math.min(150, h - y - 40));
        }
    }

    /** The tempo, how often it went round, what is practised and who plays. */
    private void heading(GraphicsContext g, double left) {
        PracticeSide c = getSkinnable();
        Font huge = Font.font(PaintedControl.SANS, FontWeight.BOLD, 42);
        String tempo = String.valueOf(practice.pace().tempo());
        text(g, tempo, left, 34, huge, c.ink(), TextAlignment.LEFT);
        double after = left + width(tempo, huge) + 12;
        String goal =
                practice.pace()
                        .climb()
                        .map(k -> "of " + k.ladder().goal())
                        .orElse("quarters a minute");
        text(g, goal, after, 26, c.textFont(), c.dim(), TextAlignment.LEFT);
        String passes =
                practice.passes()
                        + (practice.passes() == 1 ? " pass" : " passes")
                        + (practice.failed() > 0 ? ", " + practice.failed() + " failed" : "");
        text(g, passes, after, 44, c.textFont(), c.ink(), TextAlignment.LEFT);
        text(
                g,
                fit(practice.what(), WIDTH - 40, c.boldFont()),
                left,
                76,
                c.boldFont(),
                c.ink(),
                TextAlignment.LEFT);
        String who =
                practice.settings().who().words()
                        + (practice.failing() ? " · this pass does not count" : "");
        text(
                g,
                fit(who, WIDTH - 40, c.textFont()),
                left,
                96,
                c.textFont(),
                c.dim(),
                TextAlignment.LEFT);
    }

    private void ladder(
            GraphicsContext g, Ladder.Climb climb, double x, double y, double w, double h) {
        PracticeSide c = getSkinnable();
        Ladder l = climb.ladder();
        List<Integer> rungs = new ArrayList<>();
        for (int t = l.start(); t < l.goal(); t += l.step()) {
            rungs.add(t);
        }
        rungs.add(l.goal());
        double step = w / rungs.size();
        for (int i = 0; i < rungs.size(); i++) {
            double top = y + h - (h - 10) * (i + 1) / rungs.size();
            boolean done = climb.best() >= rungs.get(i);
            boolean here = rungs.get(i) == climb.tempo();
            g.setFill(done ? c.line() : c.raised());
            g.fillRect(x + i * step + 1, top, Math.max(1, step - 2), y + h - top);
            if (here) {
                g.setStroke(c.ink());
                g.setLineWidth(2);
                g.strokeRect(x + i * step + 1, top, Math.max(1, step - 2), y + h - top);
                text(
                        g,
                        climb.clean() + " of " + l.passes(),
                        Math.max(x + 14, Math.min(x + w - 20, x + (i + 0.5) * step)),
                        top - 9,
                        c.smallFont(),
                        c.ink(),
                        TextAlignment.CENTER);
            }
        }
        rungs(g, l, x, y + h + 10, w);
        means(
                x,
                y,
                w,
                h + 16,
                "The ladder: a rung is done after so many clean passes; two failed in a row go back one");
    }

    private void rungs(GraphicsContext g, Ladder l, double x, double y, double w) {
        PracticeSide c = getSkinnable();
        text(g, String.valueOf(l.start()), x, y, c.smallFont(), c.dim(), TextAlignment.LEFT);
        text(g, String.valueOf(l.goal()), x + w, y, c.smallFont(), c.dim(), TextAlignment.RIGHT);
    }

    /** The shape that comes next, on a neck of its own. */
    private double next(GraphicsContext g, Song s, double x, double y, double at) {
        PracticeSide c = getSkinnable();
        Song.Passage p = s.passageAt((long) at);
        Derived d = practice.settings().secondShown() ? p.second().orElse(p.first()) : p.first();
        double in = at - p.turn().shift();
        int now = 0;
        for (int i = 0; i < d.chords().size(); i++) {
            now = d.chords().get(i).start() <= in ? i : now;
        }
        int next = (now + 1) % d.chords().size();
        double half = (WIDTH - 60) / 2;
        shape(g, d, now, "now", x, y + 8, half);
        shape(g, d, next, "next", x + half + 14, y + 8, half);
        return y + 8 + 142 + change(g, d, next, x, y + 8 + 142);
    }

    /** What the fingers do on the way to the next shape; its height. */
    private double change(GraphicsContext g, Derived d, int next, double x, double y) {
        PracticeSide c = getSkinnable();
        String words =
                d.moveInto(next)
                        .map(m -> HandWords.of(m, d.riff().ground().board().strings()))
                        .orElse("");
        List<String> lines = wrapped(words, WIDTH - 44, c.smallFont());
        for (int i = 0; i < lines.size(); i++) {
            text(g, lines.get(i), x, y + 14 * i, c.smallFont(), c.ink(), TextAlignment.LEFT);
        }
        return 14.0 * lines.size() + 6;
    }

    private void shape(
            GraphicsContext g, Derived d, int chord, String when, double x, double y, double w) {
        PracticeSide c = getSkinnable();
        Derived.Chord k = d.chords().get(chord);
        Shape shape = k.candidate().voicing().shape();
        text(g, when, x, y, c.smallFont(), c.dim(), TextAlignment.LEFT);
        text(
                g,
                fit(d.score().harmonies().get(chord).symbol(), w - 34, c.nameFont()),
                x + 34,
                y,
                c.nameFont(),
                c.ink(),
                TextAlignment.LEFT);
        new GripPicture(this, c).paint(g, k.candidate().voicing(), k.root(), x, y + 20, w);
        means(x, y - 8, w, 130, d.score().harmonies().get(chord).symbol() + ": " + shape.text());
    }

    /** The best clean tempo of every time that the piece was practised. */
    private void log(GraphicsContext g, double x, double y, double w, double h) {
        PracticeSide c = getSkinnable();
        List<Entry> all = practice.entries().stream().filter(e -> e.best() > 0).toList();
        text(g, "clean tempo, time by time", x, y, c.smallFont(), c.dim(), TextAlignment.LEFT);
        if (all.isEmpty()) {
            nothingYet(g, x, y);
            return;
        }
        int least = all.stream().mapToInt(Entry::best).min().orElseThrow();
        int most = all.stream().mapToInt(e -> Math.max(e.best(), e.goal())).max().orElseThrow();
        double top = y + 16;
        double bottom = y + h;
        double per = (bottom - top) / Math.max(8, most - least);
        int goal = all.get(all.size() - 1).goal();
        if (goal > 0) {
            goal(g, goal, Math.round(bottom - (goal - least) * per) + 0.5, x, w);
        }
        text(g, String.valueOf(least), x + 20, bottom, c.smallFont(), c.dim(), TextAlignment.RIGHT);
        double px = 0;
        double py = 0;
        for (int i = 0; i < all.size(); i++) {
            double ex = x + 30 + (w - 40) * (all.size() == 1 ? 0.5 : (double) i / (all.size() - 1));
            double ey = bottom - (all.get(i).best() - least) * per;
            if (i > 0) {
                stroke(g, c.line(), 1.2, px, py, ex, ey);
            }
            g.setFill(c.ink());
            g.fillOval(ex - 3, ey - 3, 6, 6);
            meansEntry(all.get(i), ex, ey);
            px = ex;
            py = ey;
        }
        last(g, all.get(all.size() - 1), Math.min(x + w - 10, px), py - 12);
    }

    private void last(GraphicsContext g, Entry e, double x, double y) {
        PracticeSide c = getSkinnable();
        text(g, String.valueOf(e.best()), x, y, c.boldFont(), c.ink(), TextAlignment.CENTER);
    }

    private void goal(GraphicsContext g, int goal, double gy, double x, double w) {
        PracticeSide c = getSkinnable();
        g.setLineDashes(3, 4);
        stroke(g, c.line(), 1, x + 26, gy, x + w, gy);
        g.setLineDashes();
        text(g, String.valueOf(goal), x + 20, gy, c.smallFont(), c.dim(), TextAlignment.RIGHT);
    }

    private void nothingYet(GraphicsContext g, double x, double y) {
        PracticeSide c = getSkinnable();
        text(
                g,
                "Nothing practised yet: a clean pass",
                x,
                y + 22,
                c.textFont(),
                c.dim(),
                TextAlignment.LEFT);
        text(
                g,
                "of this piece is the first point.",
                x,
                y + 40,
                c.textFont(),
                c.dim(),
                TextAlignment.LEFT);
    }

    private void meansEntry(Entry e, double ex, double ey) {
        means(
                ex - 6,
                ey - 6,
                12,
                12,
                Instant.ofEpochMilli(e.at()).toString().substring(0, 10)
                        + ": "
                        + e.what()
                        + ", clean at "
                        + e.best());
    }
}
