package vocalis.desktop.practise;

import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.scene.text.TextAlignment;
import vocalis.core.arrange.Song;
import vocalis.core.piece.Section;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Harmony;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.theory.Key;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.PaintedControl;
import vocalis.desktop.view.RhythmPainter;
import vocalis.desktop.view.TabHead;
import vocalis.desktop.view.TimeAxis;
import vocalis.workbench.listening.Played;

/** Paints the page. Only what moves with the beat is painted anew while it plays. */
final class PracticeSkin extends CanvasSkin<PracticePage> {

    static final double LEFT = 24;
    private static final double COUNT = 74;
    private static final double NAMES = 30;
    private static final double WORDS = 34;
    private static final double HEARD = 44;
    private static final int BARS_A_LINE = 2;

    private static final double LARGE_SIZE = 24;
    private static final double NEXT_SIZE = 17;
    private static final double NEXT_ALPHA = 0.7;

    /** Room between a bar line and what is played on its one. */
    private static final double BAR_BEFORE = 14;

    private final PracticeModel practice;
    private final CountLights lights;
    private final RhythmPainter rhythm = new RhythmPainter();
    private double nowTick;
    private boolean playing;
    private int paintedLine = -1;
    private String paintedBeat = "";
    private double tabTop;
    private double tabBottom;

    PracticeSkin(PracticePage page) {
        super(page);
        practice = page.model();
        lights = new CountLights(this, page);
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
        boolean shown = plays && !practice.counting().countingIn(tick);
        now(shown, shown ? axis(song.get(), line).x(at) : 0, tabTop, tabBottom);
    }

    private String beatKey(Song s, double at) {
        if (practice.counting().countingIn(nowTick)) {
            return "in " + practice.counting().beatCountedIn(nowTick);
        }
        MeterMap meters = s.score().time().meters();
        return (long) at / Math.max(1, practice.settings().finest())
                + " "
                + meters.bar((long) at)
                + practice.counting().clickHeard(nowTick);
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
        double right = getSkinnable().getWidth() - 24;
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
        lights.paint(g, s, at, playing, nowTick);
        Score score = practice.settings().secondShown() ? s.second().orElse(s.score()) : s.score();
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
        int strings = score.board().strings();
        double first = top + NAMES + WORDS;
        double marked = practice.ears().isPresent() ? HEARD : 0;
        double room = height - NAMES - WORDS - 8 - RhythmPainter.HEIGHT - marked;
        double gap = Math.min(size * 1.5, room / Math.max(1, strings - 1));
        double digits = Math.max(11, Math.min(size, gap * 0.95));
        Font font = Font.font(PaintedControl.MONO, FontWeight.BOLD, digits);
        strings(g, s, score, axis, first, gap);
        double bottom = first + (strings - 1) * gap;
        if (size > NEXT_SIZE) {
            tabTop = first - 8;
            tabBottom = bottom + 8;
        }
        bars(g, s, axis, top, first, bottom);
        names(g, score, axis, top + 32);
        for (ScoreNote n : score.notes()) {
            if (n.end() <= axis.from() || n.at() >= axis.to()) {
                continue;
            }
            double y = first + (strings - 1 - n.string()) * gap;
            for (TabHead head : TabHead.of(n)) {
                head(g, score, n, head, axis, y, font);
            }
        }
        double under = bottom + font.getSize() / 2;
        accents(g, score, axis, first - font.getSize() / 2 - 5);
        rhythm.paint(g, c, axis, under + 2, score);
        muted(g, score, axis, under + RhythmPainter.HEIGHT + 6);
        heard(g, axis, under + RhythmPainter.HEIGHT + 20);
    }

    /** What was not as written in the last pass that was heard, each at its stroke. */
    private void heard(GraphicsContext g, TimeAxis axis, double y) {
        PracticePage c = getSkinnable();
        var ears = practice.ears();
        if (ears.isEmpty() || ears.get().passes().isEmpty()) {
            return;
        }
        var passes = ears.get().passes();
        double free = Double.NEGATIVE_INFINITY;
        var last = passes.get(passes.size() - 1);
        for (Played p : last.faults()) {
            long at = practice.from() + p.tick();
            if (!axis.shows(at)) {
                continue;
            }
            double x = axis.x(at);
            String mark = ears.get().words().map(w -> w.mark(last, p)).orElse("");
            double wide = width(mark, c.smallFont());
            double row = x - wide / 2 < free ? y + 14 : y;
            stroke(g, c.rootPaint(), 2, x, y - 12, x, y - 7);
            text(g, mark, x, row, c.smallFont(), c.ink(), TextAlignment.CENTER);
            free = row == y ? x + wide / 2 + 6 : free;
        }
    }

    private void strings(
            GraphicsContext g, Song s, Score score, TimeAxis axis, double first, double gap) {
        PracticePage c = getSkinnable();
        Key key = s.passages().get(0).turn().riff().ground().key();
        int strings = score.board().strings();
        double left = axis.left() - BAR_BEFORE;
        for (int i = 0; i < strings; i++) {
            double y = Math.round(first + i * gap) + 0.5;
            stroke(g, c.line(), 1, left, y, axis.right(), y);
            String name = key.note(score.board().midi(strings - 1 - i, 0)).spelling().symbol();
            text(g, name, left - 14, y, c.smallMonoFont(), c.dim(), TextAlignment.CENTER);
        }
    }

    private void bars(
            GraphicsContext g, Song s, TimeAxis axis, double top, double first, double bottom) {
        PracticePage c = getSkinnable();
        MeterMap meters = s.score().time().meters();
        for (int bar = meters.bar(axis.from()); meters.start(bar) <= axis.to(); bar++) {
            double x = Math.round(axis.x(meters.start(bar))) + 0.5 - BAR_BEFORE;
            stroke(g, c.line(), 1, x, first, x, bottom);
            if (meters.start(bar) < axis.to()) {
                String number = String.valueOf(bar + 1);
                text(g, number, x + 3, top + 8, c.smallFont(), c.dim(), TextAlignment.LEFT);
                words(g, s, bar, x + 24, top + 8);
            }
        }
    }

    /** The chords, each as large as there is room until the next. */
    private void names(GraphicsContext g, Score score, TimeAxis axis, double y) {
        PracticePage c = getSkinnable();
        List<Harmony> all =
                score.harmonies().stream()
                        .filter(h -> h.end() > axis.from() && h.at() < axis.to())
                        .toList();
        for (int i = 0; i < all.size(); i++) {
            double x = axis.x(Math.max(axis.from(), all.get(i).at()));
            double room =
                    (i + 1 < all.size() ? axis.x(all.get(i + 1).at()) : axis.right() + 20) - x - 4;
            String name = all.get(i).symbol();
            Font font =
                    width(name, c.nameFont()) <= room
                            ? c.nameFont()
                            : width(name, c.textFont()) <= room ? c.textFont() : c.smallFont();
            if (width(name, font) > room) {
                name = fit(name, room, font);
            }
            if (width(name, font) <= room + 4) {
                text(g, name, x, y, font, c.ink(), TextAlignment.LEFT);
            }
        }
    }

    /** A fret at its time, with the sign that leads to it and what is done there. */
    private void head(
            GraphicsContext g,
            Score score,
            ScoreNote n,
            TabHead head,
            TimeAxis axis,
            double y,
            Font font) {
        PracticePage c = getSkinnable();
        if (!axis.shows(head.at())) {
            return;
        }
        double x = axis.x(head.at());
        double wide = width(head.fret(), font);
        Font signs = c.smallMonoFont();
        double before = head.sign().isEmpty() ? 0 : width(head.sign(), signs) + 2;
        boolean outside = head.at() < practice.from() || head.at() >= practice.to();
        boolean open = head.fret().equals("0") || head.fret().equals("(0)");
        boolean root = root(score, n, head);
        g.setFill(c.back());
        g.fillRect(
                x - wide / 2 - 2 - before,
                y - font.getSize() * 0.55,
                wide + 4 + before,
                font.getSize() * 1.1);
        text(
                g,
                head.fret(),
                x,
                y,
                font,
                outside ? c.dim() : root ? c.rootPaint() : open ? c.openPaint() : c.ink(),
                TextAlignment.CENTER);
        text(g, head.sign(), x - wide / 2 - 2, y, signs, c.dim(), TextAlignment.RIGHT);
        marks(g, head, x + wide / 2 + 2, y);
    }

    private void marks(GraphicsContext g, TabHead head, double from, double y) {
        PracticePage c = getSkinnable();
        if (!head.marks().isEmpty()) {
            Font signs = c.smallMonoFont();
            g.setFill(c.back());
            g.fillRect(from - 1, y - 6, width(head.marks(), signs) + 2, 12);
            text(g, head.marks(), from, y, signs, c.ink(), TextAlignment.LEFT);
        }
    }

    /** Whether a head sounds the root of the chord that holds there, as the lane tells it. */
    private static boolean root(Score score, ScoreNote n, TabHead head) {
        int chord = score.harmonyAt(n.at());
        int fret = head.fret().matches("\\d+") ? Integer.parseInt(head.fret()) : n.fret();
        return chord >= 0
                && Math.floorMod(score.board().midi(n.string(), fret), 12)
                        == score.harmonies().get(chord).root();
    }

    /** A wedge over each accented stroke, as in the lane. */
    private void accents(GraphicsContext g, Score score, TimeAxis axis, double y) {
        PracticePage c = getSkinnable();
        for (int i = score.firstFrom(axis.from()); i < score.onsets().size(); i++) {
            Onset o = score.onsets().get(i);
            if (o.at() >= axis.to()) {
                return;
            }
            if (o.dynamics() == Dynamics.ACCENT) {
                double x = axis.x(o.at());
                stroke(g, c.ink(), 1.8, x - 5, y - 3.5, x + 5, y);
                stroke(g, c.ink(), 1.8, x + 5, y, x - 5, y + 3.5);
            }
        }
    }

    /** A bar under what the palm mutes, as in the lane; other manners by their sign. */
    private void muted(GraphicsContext g, Score score, TimeAxis axis, double y) {
        PracticePage c = getSkinnable();
        for (int i = score.firstFrom(axis.from()); i < score.onsets().size(); i++) {
            var o = score.onsets().get(i);
            if (o.at() >= axis.to()) {
                return;
            }
            double x = axis.x(o.at());
            if (o.manner().palm()) {
                double end = axis.x(Math.min(axis.to(), o.at() + o.length())) - 9;
                stroke(g, c.ink(), 2, x - 6, y, Math.max(x + 6, end), y);
            } else if (!o.manner().mark().isEmpty()) {
                text(g, o.manner().mark(), x, y, c.smallFont(), c.dim(), TextAlignment.LEFT);
            }
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
}
