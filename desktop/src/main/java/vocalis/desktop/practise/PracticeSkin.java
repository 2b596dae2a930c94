package vocalis.desktop.practise;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.scene.text.TextAlignment;
import vocalis.core.arrange.Section;
import vocalis.core.arrange.Song;
import vocalis.core.instrument.Shape;
import vocalis.core.practice.Counting;
import vocalis.core.practice.Entry;
import vocalis.core.practice.Ladder;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.riff.Derived;
import vocalis.core.score.Harmony;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.desktop.model.PracticeModel;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.PaintedControl;
import vocalis.desktop.view.TimeAxis;

/** Paints the page. Only what moves with the beat is painted anew while it plays. */
final class PracticeSkin extends CanvasSkin<PracticePage> {

    private static final double SIDE = 300;
    private static final double LEFT = 24;
    private static final double COUNT = 74;
    private static final double NAMES = 30;
    private static final double WORDS = 26;
    private static final int BARS_A_LINE = 2;

    private static final double LARGE_SIZE = 24;
    private static final double NEXT_SIZE = 17;
    private static final double NEXT_ALPHA = 0.7;

    /** Room between a bar line and what is played on its one. */
    private static final double BAR_BEFORE = 14;

    private final PracticeModel practice;
    private double nowTick;
    private boolean playing;
    private int paintedLine = -1;
    private String paintedBeat = "";
    private double tabTop;
    private double tabBottom;

    PracticeSkin(PracticePage page) {
        super(page);
        practice = page.model().practice();
        watch(practice.changedProperty());
        page.setOnMousePressed(e -> page.requestFocus());
    }

    @Override
    public void dispose() {
        if (getSkinnable() != null) {
            getSkinnable().setOnMousePressed(null);
        }
        super.dispose();
    }

    void showNow(boolean plays, double tick) {
        playing = plays;
        nowTick = tick;
        Optional<Song> song = practice.song();
        if (song.isEmpty()) {
            return;
        }
        double at = plays ? practice.tick(tick) : practice.from();
        int line = line(song.get(), at);
        String beat = plays ? beatKey(song.get(), at) : "";
        if (line != paintedLine || !beat.equals(paintedBeat)) {
            paintedBeat = beat;
            getSkinnable().requestLayout();
        }
        boolean shown = plays && !practice.countingIn(tick);
        now(shown, shown ? axis(song.get(), line).x(at) : 0, tabTop, tabBottom);
    }

    private String beatKey(Song s, double at) {
        if (practice.countingIn(nowTick)) {
            return "in " + practice.beatCountedIn(nowTick);
        }
        MeterMap meters = s.score().time().meters();
        return (long) at / Math.max(1, practice.finest())
                + " "
                + meters.bar((long) at)
                + practice.clickHeard(nowTick);
    }

    /** The line of tab that a tick of the song is on, counted from the stretch's first bar. */
    private int line(Song s, double tick) {
        MeterMap meters = s.score().time().meters();
        int first = meters.bar(practice.from());
        return Math.max(0, meters.bar((long) tick) - first) / BARS_A_LINE;
    }

    private TimeAxis axis(Song s, int line) {
        MeterMap meters = s.score().time().meters();
        int first = meters.bar(practice.from()) + line * BARS_A_LINE;
        long from = Math.max(0, meters.start(first));
        long to = Math.min(s.length(), meters.start(first + BARS_A_LINE));
        double right = getSkinnable().getWidth() - SIDE - 24;
        return new TimeAxis(LEFT + 26 + BAR_BEFORE, right, from, Math.max(from + 1, to));
    }

    @Override
    protected void paint(GraphicsContext g, double w, double h) {
        PracticePage c = getSkinnable();
        Optional<Song> song = practice.song();
        if (song.isEmpty()) {
            text(
                    g,
                    "Playing the piece through …",
                    LEFT,
                    40,
                    c.textFont(),
                    c.ink(),
                    TextAlignment.LEFT);
            return;
        }
        Song s = song.get();
        double at = playing ? practice.tick(nowTick) : practice.from();
        paintedLine = line(s, at);
        count(g, s, at);
        Score score = practice.secondShown() ? s.second().orElse(s.score()) : s.score();
        double room = h - COUNT - 12;
        double large = Math.min(340, room * 0.56);
        tab(g, s, score, paintedLine, COUNT, large, LARGE_SIZE);
        int lines = line(s, Math.max(practice.from(), practice.to() - 1)) + 1;
        int next = lines > 1 ? (paintedLine + 1) % lines : -1;
        double begin = COUNT + large + 14;
        double below = h - begin - 6;
        if (next >= 0 && below > 110) {
            g.setGlobalAlpha(NEXT_ALPHA);
            tab(g, s, score, next, begin, Math.min(below, 240), NEXT_SIZE);
            g.setGlobalAlpha(1);
        }
        side(g, s, w - SIDE, h, at);
    }

    /** What is practised, lights and the count. */
    private void count(GraphicsContext g, Song s, double at) {
        PracticePage c = getSkinnable();
        MeterMap meters = s.score().time().meters();
        boolean in = playing && practice.countingIn(nowTick);
        Meter meter = meters.meter(Math.max(0, meters.bar((long) at)));
        List<String> all = Counting.bar(meter, practice.finest());
        long part = Math.min(practice.finest(), meter.beatTicks());
        int now =
                !playing
                        ? -1
                        : in
                                ? (practice.beatCountedIn(nowTick) - 1)
                                        * (int) (meter.beatTicks() / part)
                                : (int) ((at - meters.start(meters.bar((long) at))) / part);
        boolean heard = playing && practice.clickHeard(nowTick);
        double x = LEFT + 26;
        double room = getSkinnable().getWidth() - SIDE - 60 - x;
        double step = Math.min(56, room / Math.max(1, all.size()));
        for (int i = 0; i < all.size(); i++) {
            boolean beat = i * part % meter.beatTicks() == 0;
            boolean on = i == now;
            double cx = x + i * step + 12;
            double size = beat ? 9 : 5;
            if (beat) {
                g.setStroke(c.line());
                g.setLineWidth(1.2);
                g.strokeOval(cx - size, 20 - size, 2 * size, 2 * size);
            }
            if (on && (heard || !beat)) {
                g.setFill(i == 0 ? c.ink() : c.dim());
                g.fillOval(cx - size, 20 - size, 2 * size, 2 * size);
            }
            text(
                    g,
                    all.get(i),
                    cx,
                    48,
                    on || beat ? c.boldFont() : c.textFont(),
                    on ? c.ink() : c.dim(),
                    TextAlignment.CENTER);
        }
        if (in) {
            text(
                    g,
                    "counting in",
                    x + all.size() * step + 18,
                    48,
                    c.textFont(),
                    c.ink(),
                    TextAlignment.LEFT);
        } else if (playing && practice.click() && !heard) {
            text(
                    g,
                    "the click is out",
                    x + all.size() * step + 18,
                    48,
                    c.textFont(),
                    c.dim(),
                    TextAlignment.LEFT);
        }
        means(
                x,
                6,
                all.size() * step,
                52,
                "The beats of the bar as they are counted; O counts finer or not");
    }

    private void tab(
            GraphicsContext g,
            Song s,
            Score score,
            int line,
            double top,
            double height,
            double size) {
        PracticePage c = getSkinnable();
        TimeAxis axis = axis(s, line);
        MeterMap meters = s.score().time().meters();
        int strings = score.board().strings();
        double first = top + NAMES + WORDS;
        double gap = Math.min(size * 1.5, (height - NAMES - WORDS - 8) / Math.max(1, strings - 1));
        Font font =
                Font.font(
                        PaintedControl.MONO,
                        FontWeight.BOLD,
                        Math.max(11, Math.min(size, gap * 0.95)));
        for (int i = 0; i < strings; i++) {
            double y = Math.round(first + i * gap) + 0.5;
            stroke(g, c.line(), 1, axis.left() - BAR_BEFORE, y, axis.right(), y);
            String name =
                    s.passages()
                            .get(0)
                            .turn()
                            .riff()
                            .ground()
                            .key()
                            .note(score.board().midi(strings - 1 - i, 0))
                            .spelling()
                            .symbol();
            text(
                    g,
                    name,
                    axis.left() - BAR_BEFORE - 14,
                    y,
                    c.smallMonoFont(),
                    c.dim(),
                    TextAlignment.CENTER);
        }
        double bottom = first + (strings - 1) * gap;
        if (size > NEXT_SIZE) {
            tabTop = first - 8;
            tabBottom = bottom + 8;
        }
        for (int bar = meters.bar(axis.from()); meters.start(bar) <= axis.to(); bar++) {
            double x = Math.round(axis.x(meters.start(bar))) + 0.5 - BAR_BEFORE;
            stroke(g, c.line(), 1, x, first, x, bottom);
            if (meters.start(bar) < axis.to()) {
                text(
                        g,
                        String.valueOf(bar + 1),
                        x + 3,
                        top + 8,
                        c.smallFont(),
                        c.dim(),
                        TextAlignment.LEFT);
                words(g, s, bar, x + 24, top + 8);
            }
        }
        boolean inside = false;
        for (Harmony harmony : score.harmonies()) {
            boolean begins = harmony.at() >= axis.from() && harmony.at() < axis.to();
            if (begins || harmony.at() < axis.from() && harmony.end() > axis.from() && !inside) {
                inside = true;
                double x = axis.x(Math.max(axis.from(), harmony.at()));
                text(g, harmony.symbol(), x, top + 32, c.nameFont(), c.ink(), TextAlignment.LEFT);
            }
        }
        for (ScoreNote n : score.notes()) {
            if (n.at() < axis.from() || n.at() >= axis.to()) {
                continue;
            }
            double x = axis.x(n.at());
            double y = first + (strings - 1 - n.string()) * gap;
            boolean outside = n.at() < practice.from() || n.at() >= practice.to();
            String fret = n.tied() ? "(" + n.fret() + ")" : String.valueOf(n.fret());
            String mark = n.manner() == vocalis.core.score.Manner.DEAD ? "x" : fret;
            double wide = width(mark, font);
            g.setFill(c.back());
            g.fillRect(x - wide / 2 - 2, y - size * 0.55, wide + 4, size * 1.1);
            text(
                    g,
                    mark,
                    x,
                    y,
                    font,
                    outside ? c.dim() : n.open() ? c.openPaint() : c.ink(),
                    TextAlignment.CENTER);
        }
        muted(g, score, axis, bottom + font.getSize() / 2 + 9);
    }

    private void muted(GraphicsContext g, Score score, TimeAxis axis, double y) {
        PracticePage c = getSkinnable();
        String last = "";
        for (int i = score.firstFrom(axis.from()); i < score.onsets().size(); i++) {
            var o = score.onsets().get(i);
            if (o.at() >= axis.to()) {
                return;
            }
            String mark = o.manner().mark();
            if (!mark.isEmpty()) {
                boolean again = mark.equals(last);
                text(
                        g,
                        again ? "·" : mark,
                        axis.x(o.at()),
                        y,
                        c.smallFont(),
                        c.dim(),
                        TextAlignment.LEFT);
            }
            last = mark;
        }
    }

    private void words(GraphicsContext g, Song s, int bar, double x, double y) {
        PracticePage c = getSkinnable();
        MeterMap meters = s.score().time().meters();
        int section = s.sectionAt(meters.start(bar));
        Section sec = s.piece().sections().get(section);
        int inSection = bar - meters.bar(section == 0 ? meters.pickup() : s.start(section));
        String sung = sec.words(inSection);
        if (!sung.isEmpty()) {
            text(g, sung, x, y, c.boldFont(), c.ink(), TextAlignment.LEFT);
        }
    }

    /** Tempo and ladder, the next shape, the log. */
    private void side(GraphicsContext g, Song s, double x, double h, double at) {
        PracticePage c = getSkinnable();
        stroke(g, c.faint(), 1, Math.round(x) + 0.5, 8, Math.round(x) + 0.5, h - 8);
        double left = x + 22;
        Font huge = Font.font(PaintedControl.SANS, FontWeight.BOLD, 42);
        String tempo = String.valueOf(practice.tempo());
        text(g, tempo, left, 34, huge, c.ink(), TextAlignment.LEFT);
        double after = left + width(tempo, huge) + 12;
        String goal =
                practice.climb().map(k -> "of " + k.ladder().goal()).orElse("quarters a minute");
        text(g, goal, after, 26, c.textFont(), c.dim(), TextAlignment.LEFT);
        String passes =
                practice.passes()
                        + (practice.passes() == 1 ? " pass" : " passes")
                        + (practice.failed() > 0 ? ", " + practice.failed() + " failed" : "");
        text(g, passes, after, 44, c.textFont(), c.ink(), TextAlignment.LEFT);
        text(
                g,
                fit(practice.what(), SIDE - 40, c.boldFont()),
                left,
                76,
                c.boldFont(),
                c.ink(),
                TextAlignment.LEFT);
        String who =
                practice.who().words() + (practice.failing() ? " · this pass does not count" : "");
        text(
                g,
                fit(who, SIDE - 40, c.textFont()),
                left,
                96,
                c.textFont(),
                c.dim(),
                TextAlignment.LEFT);
        double y = 118;
        if (practice.climb().isPresent()) {
            ladder(g, practice.climb().get(), left, y, SIDE - 46, 64);
            y += 84;
        }
        y = next(g, s, left, y, at);
        if (h - y > 96) {
            log(g, left, y + 10, SIDE - 46, Math.min(150, h - y - 40));
        }
    }

    private void ladder(
            GraphicsContext g, Ladder.Climb climb, double x, double y, double w, double h) {
        PracticePage c = getSkinnable();
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
        text(
                g,
                String.valueOf(l.start()),
                x,
                y + h + 10,
                c.smallFont(),
                c.dim(),
                TextAlignment.LEFT);
        text(
                g,
                String.valueOf(l.goal()),
                x + w,
                y + h + 10,
                c.smallFont(),
                c.dim(),
                TextAlignment.RIGHT);
        means(
                x,
                y,
                w,
                h + 16,
                "The ladder: a rung is done after so many clean passes; two failed in a row go back one");
    }

    /** The shape that comes next, on a neck of its own. */
    private double next(GraphicsContext g, Song s, double x, double y, double at) {
        PracticePage c = getSkinnable();
        Song.Passage p = s.passageAt((long) at);
        Derived d = practice.secondShown() ? p.second().orElse(p.first()) : p.first();
        double in = at - p.turn().shift();
        int now = 0;
        for (int i = 0; i < d.chords().size(); i++) {
            now = d.chords().get(i).start() <= in ? i : now;
        }
        int next = (now + 1) % d.chords().size();
        double half = (SIDE - 60) / 2;
        shape(g, d, now, "now", x, y + 8, half);
        shape(g, d, next, "next", x + half + 14, y + 8, half);
        return y + 8 + 150;
    }

    private void shape(
            GraphicsContext g, Derived d, int chord, String when, double x, double y, double w) {
        PracticePage c = getSkinnable();
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
        int strings = shape.strings();
        int low = Math.max(1, shape.lowestFretted());
        int frets = Math.max(4, shape.highestFretted() - low + 1);
        double top = y + 20;
        double gap = 90.0 / (strings - 1);
        double step = (w - 16) / frets;
        for (int i = 0; i < strings; i++) {
            double sy = top + i * gap;
            stroke(g, c.line(), 1, x + 14, sy, x + 14 + frets * step, sy);
        }
        for (int f = 0; f <= frets; f++) {
            double fx = Math.round(x + 14 + f * step) + 0.5;
            stroke(
                    g,
                    f == 0 && low == 1 ? c.ink() : c.faint(),
                    f == 0 && low == 1 ? 3 : 1,
                    fx,
                    top,
                    fx,
                    top + 90);
        }
        for (int i = 0; i < strings; i++) {
            int fret = shape.fret(i);
            double sy = top + (strings - 1 - i) * gap;
            if (fret < 0) {
                text(g, "×", x + 4, sy, c.smallFont(), c.dim(), TextAlignment.CENTER);
            } else if (fret == 0) {
                g.setStroke(c.openPaint());
                g.setLineWidth(1.5);
                g.strokeOval(x, sy - 4, 8, 8);
            } else {
                int pc = Math.floorMod(d.riff().ground().board().midi(i, fret), 12);
                g.setFill(pc == k.root() ? c.rootPaint() : c.ink());
                double cx = x + 14 + (fret - low + 0.5) * step;
                g.fillOval(cx - 6, sy - 6, 12, 12);
            }
        }
        String where = "fret " + low;
        text(g, where, x + 14, top + 104, c.smallFont(), c.dim(), TextAlignment.LEFT);
        means(x, y - 8, w, 130, d.score().harmonies().get(chord).symbol() + ": " + shape.text());
    }

    /** The best clean tempo of every time that the piece was practised. */
    private void log(GraphicsContext g, double x, double y, double w, double h) {
        PracticePage c = getSkinnable();
        List<Entry> all = practice.entries().stream().filter(e -> e.best() > 0).toList();
        text(g, "clean tempo, time by time", x, y, c.smallFont(), c.dim(), TextAlignment.LEFT);
        if (all.isEmpty()) {
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
            return;
        }
        int least = all.stream().mapToInt(Entry::best).min().orElseThrow();
        int most = all.stream().mapToInt(e -> Math.max(e.best(), e.goal())).max().orElseThrow();
        double top = y + 16;
        double bottom = y + h;
        double per = (bottom - top) / Math.max(8, most - least);
        int goal = all.get(all.size() - 1).goal();
        if (goal > 0) {
            double gy = Math.round(bottom - (goal - least) * per) + 0.5;
            g.setLineDashes(3, 4);
            stroke(g, c.line(), 1, x + 26, gy, x + w, gy);
            g.setLineDashes();
            text(g, String.valueOf(goal), x + 20, gy, c.smallFont(), c.dim(), TextAlignment.RIGHT);
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
            means(
                    ex - 6,
                    ey - 6,
                    12,
                    12,
                    all.get(i).at().toString().substring(0, 10)
                            + ": "
                            + all.get(i).what()
                            + ", clean at "
                            + all.get(i).best());
            px = ex;
            py = ey;
        }
        text(
                g,
                String.valueOf(all.get(all.size() - 1).best()),
                Math.min(x + w - 10, px),
                py - 12,
                c.boldFont(),
                c.ink(),
                TextAlignment.CENTER);
    }
}
