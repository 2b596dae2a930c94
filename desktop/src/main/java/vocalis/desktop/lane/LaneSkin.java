package vocalis.desktop.lane;

import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Paint;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import vocalis.core.derive.Derived;
import vocalis.core.piece.Guitar;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.desktop.view.Area;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.PaintedControl;
import vocalis.desktop.view.RhythmPainter;
import vocalis.desktop.view.TabHead;
import vocalis.desktop.view.TimeAxis;
import vocalis.desktop.writing.LaneScreen;
import vocalis.desktop.writing.WritePlace;

/** Paints the lane's tab and takes its mouse; {@link RhythmPainter} draws the rhythm under it. */
final class LaneSkin extends CanvasSkin<Lane> {

    private final LaneScreen model;
    private final LaneMouse mouse;
    private final LaneWords words;
    private final RhythmPainter rhythm = new RhythmPainter();

    /** From this distance of strings on the digits are larger. */
    private static final double LARGE_GAP = 16;

    private static final double LARGE_DIGITS = 16;

    private LaneGeometry geometry;

    LaneSkin(Lane lane) {
        super(lane);
        model = lane.model();
        words = new LaneWords(model);
        watch(
                model.derivedProperty(),
                model.session().writtenProperty(),
                model.caret().view().shownProperty(),
                model.lane().caretProperty(),
                model.lane().markProperty(),
                model.lane().scopeProperty(),
                model.lane().grainProperty(),
                model.lane().touches().voices().ranksProperty(),
                model.typing().changedProperty(),
                model.whereabouts().placeProperty());
        mouse = new LaneMouse(this, lane);
    }

    @Override
    public void dispose() {
        if (getSkinnable() != null) {
            mouse.dispose();
        }
        super.dispose();
    }

    /** As last painted, null before. */
    LaneGeometry geometry() {
        return geometry;
    }

    /** Where a note stands: x and y of a tick on a string, as last painted. */
    double[] at(long tick, int string) {
        return new double[] {geometry.axis().x(tick), geometry.y(string)};
    }

    /** Shows what fingers and palm can do to the stroke under the caret. */
    void embellish() {
        mouse.embellish();
    }

    private long grain() {
        return model.lane().grainProperty().get();
    }

    private int strings() {
        return model.riff().ground().board().strings();
    }

    @Override
    protected double computePrefHeight(double w, double t, double r, double b, double l) {
        boolean both = beside().isPresent();
        return LaneGeometry.height(strings(), getSkinnable().gap())
                + (both ? FaintTab.height(strings()) : 0);
    }

    @Override
    protected double computeMinHeight(double w, double t, double r, double b, double l) {
        return computePrefHeight(w, t, r, b, l);
    }

    /** What the other guitar plays, where it is something else. */
    private Optional<Score> beside() {
        return model.session().workspace().beside().map(Derived::score);
    }

    private Guitar guitar() {
        return model.session().writtenProperty().get();
    }

    void showNow(boolean playing, double tick) {
        if (geometry != null) {
            TimeAxis a = geometry.axis();
            now(playing && a.shows(tick), a.x(tick), 0, getSkinnable().getHeight());
        }
    }

    @Override
    public Optional<Area> caret() {
        double x = geometry.axis().x(model.lane().caretProperty().get());
        return Optional.of(new Area(x - 4, 0, 8, getSkinnable().getHeight(), ""));
    }

    @Override
    protected void paint(GraphicsContext g, double w, double h) {
        TimeAxis axis = model.caret().view().axis(w);
        Optional<Score> other = beside();
        boolean above = other.isPresent() && guitar() == Guitar.TWO;
        double top = LaneGeometry.TOP + (above ? FaintTab.height(strings()) : 0);
        geometry = new LaneGeometry(axis, strings(), top, getSkinnable().gap());
        if (other.isPresent() || guitar() == Guitar.TWO) {
            String name = FaintTab.shortly(guitar());
            Lane c = getSkinnable();
            text(g, name, axis.left() - 12, top - 20, c.smallFont(), c.ink(), TextAlignment.RIGHT);
        }
        other.ifPresent(
                s ->
                        new FaintTab(
                                        this,
                                        getSkinnable(),
                                        axis,
                                        above ? 12 : h - FaintTab.height(strings()))
                                .paint(g, s, guitar().other(), strings()));
        LaneBars bars = new LaneBars(this, getSkinnable(), geometry, model);
        bars.strings(g);
        paintMark(g);
        bars.bars(g);
        bars.passes(g, words.passes());
        paintCaret(g);
        Score score = model.derived().score();
        List<Onset> onsets = score.onsets();
        double wordFrom = Double.NEGATIVE_INFINITY;
        String wordBefore = "";
        for (int i = score.firstFrom(axis.from());
                i < onsets.size() && axis.shows(onsets.get(i).at());
                i++) {
            Onset o = onsets.get(i);
            paintOnset(g, o);
            String word = words.word(o);
            double x = axis.x(o.at());
            boolean again = word.equals(wordBefore) && x - wordFrom < 34;
            double room = x - width(word, getSkinnable().smallFont()) / 2;
            if (!again && room > wordFrom + 4) {
                paintWord(g, o, word, x);
                wordFrom = x + width(word, getSkinnable().smallFont()) / 2;
                wordBefore = word;
            }
        }
        rhythm.paint(g, getSkinnable(), geometry.axis(), geometry.stemTop(), score);
        paintScope(g, w);
    }

    private void paintMark(GraphicsContext g) {
        if (model.lane().markProperty().get().isEmpty()) {
            return;
        }
        Lane c = getSkinnable();
        long mark = model.lane().markProperty().get().getAsLong();
        long caret = model.lane().caretProperty().get();
        double x1 = geometry.axis().x(Math.min(mark, caret)) - 8;
        double x2 = geometry.axis().x(Math.max(mark, caret) + grain()) - 8;
        double left = Math.max(x1, geometry.axis().left() - 8);
        double right = Math.min(x2, geometry.axis().right());
        if (right > left) {
            g.setFill(c.raised());
            double from = geometry.top() - 12;
            g.fillRect(left, from, right - left, geometry.words() + 8 - from);
        }
    }

    private void paintCaret(GraphicsContext g) {
        Lane c = getSkinnable();
        long caret = model.lane().caretProperty().get();
        TimeAxis a = geometry.axis();
        if (!a.shows(caret)) {
            return;
        }
        double x = a.x(caret) - 8;
        double w = Math.max(16, a.width(grain()) - 1);
        double top = geometry.y(geometry.strings() - 1) - 9;
        double height = geometry.words() + 9 - top;
        g.setFill(c.raised());
        g.fillRoundRect(x, top, w, height, 6, 6);
        g.setStroke(c.isFocused() ? c.ink() : c.line());
        g.setLineWidth(c.isFocused() ? 2 : 1);
        g.strokeRoundRect(x, top, w, height, 6, 6);
        for (int s = 0; s < geometry.strings(); s++) {
            double y = Math.round(geometry.y(s)) + 0.5;
            stroke(g, c.line(), 1, x + 1, y, x + w - 1, y);
        }
    }

    private void paintOnset(GraphicsContext g, Onset o) {
        Lane c = getSkinnable();
        double x = geometry.axis().x(o.at());
        boolean atCaret = model.lane().caretProperty().get() == o.at();
        int chord = model.derived().score().harmonyAt(o.at());
        int root = chord < 0 ? -1 : model.derived().score().harmonies().get(chord).root();
        double nextX = nextX(o);
        for (ScoreNote n : o.notes()) {
            List<TabHead> heads = TabHead.of(n);
            for (int i = 0; i < heads.size(); i++) {
                TabHead head = heads.get(i);
                boolean more = i + 1 < heads.size();
                double until = more ? geometry.axis().x(heads.get(i + 1).at()) - 8 : nextX - 4;
                if (geometry.axis().shows(head.at())) {
                    paintHead(g, n, head, root, atCaret && i == 0, until);
                }
            }
        }
        if (o.dynamics() == vocalis.core.score.Dynamics.ACCENT) {
            double top = geometry.y(geometry.strings() - 1) - 10.5;
            stroke(g, c.ink(), 1.6, x - 4, top - 3, x + 4, top);
            stroke(g, c.ink(), 1.6, x + 4, top, x - 4, top + 3);
        }
        if (o.manner().palm()) {
            double y = Math.round(geometry.words() + 8) + 0.5;
            double end = geometry.axis().x(o.at() + o.length()) - 9;
            stroke(g, c.ink(), 2, x - 6, y, Math.max(x + 6, end), y);
        }
        means(
                x - 8,
                geometry.y(geometry.strings() - 1) - 8,
                16,
                geometry.words(),
                words.meaning(o));
    }

    /** Smaller digits where a sixteenth has little room. */
    private Font digits() {
        Lane c = getSkinnable();
        boolean tight = geometry.axis().width(vocalis.core.rhythm.Ticks.SIXTEENTH) < 16;
        boolean large = geometry.gap() >= LARGE_GAP;
        return tight
                ? Font.font(PaintedControl.MONO, 11)
                : large ? Font.font(PaintedControl.MONO, LARGE_DIGITS) : c.monoFont();
    }

    private double nextX(Onset o) {
        Score score = model.derived().score();
        int next = score.firstFrom(o.at() + 1);
        return next < score.onsets().size() && geometry.axis().shows(score.onsets().get(next).at())
                ? geometry.axis().x(score.onsets().get(next).at())
                : geometry.axis().right() + 12;
    }

    /** A fret at its time, the sign that leads to it before it, what is done there behind it. */
    private void paintHead(
            GraphicsContext g, ScoreNote n, TabHead head, int root, boolean atCaret, double until) {
        Lane c = getSkinnable();
        double x = geometry.axis().x(head.at());
        double y = geometry.y(n.string());
        double w = width(head.fret(), digits()) + 3;
        double before = head.sign().isEmpty() ? 0 : width(head.sign(), c.smallMonoFont()) + 1;
        g.setFill(atCaret ? c.raised() : c.back());
        double high = geometry.gap() - 1;
        g.fillRect(x - w / 2 - before, y - high / 2, w + before, high);
        int fret = head.fret().matches("\\d+") ? Integer.parseInt(head.fret()) : n.fret();
        int midi = model.riff().ground().board().midi(n.string(), fret);
        Paint paint =
                Math.floorMod(midi, 12) == root
                        ? c.rootPaint()
                        : fret == 0 ? c.openPaint() : c.ink();
        text(g, head.fret(), x, y, digits(), paint, TextAlignment.CENTER);
        if (atCaret && model.lane().touches().voices().marks(n)) {
            stroke(
                    g,
                    c.ink(),
                    2,
                    x - w / 2 + 1,
                    y + high / 2 + 0.5,
                    x + w / 2 - 1,
                    y + high / 2 + 0.5);
        }
        if (before > 0) {
            text(g, head.sign(), x - w / 2, y, c.smallMonoFont(), c.dim(), TextAlignment.RIGHT);
        }
        double wide = width(head.marks(), c.smallMonoFont());
        if (!head.marks().isEmpty() && x + w / 2 + wide <= until) {
            g.setFill(c.back());
            g.fillRect(x + w / 2 - 1, y - 6, wide + 2, 12);
            text(g, head.marks(), x + w / 2, y, c.smallMonoFont(), c.ink(), TextAlignment.LEFT);
        }
    }

    private void paintWord(GraphicsContext g, Onset o, String word, double x) {
        Lane c = getSkinnable();
        Paint paint = o.muted() ? c.dim() : c.ink();
        text(g, word, x, geometry.words(), c.smallFont(), paint, TextAlignment.CENTER);
    }

    private void paintScope(GraphicsContext g, double w) {
        Lane c = getSkinnable();
        boolean typing = model.whereabouts().place() == WritePlace.TYPING;
        String words =
                (typing ? model.typing().inWords() + " · " : "") + model.lane().scopeInWords();
        if (c.isFocused()) {
            double y = LaneGeometry.height(geometry.strings(), geometry.gap()) - 6;
            double wide = width(words, c.smallFont());
            g.setFill(c.back());
            g.fillRect(w - 20 - wide, 0, wide + 14, 13);
            text(g, words, w - 14, 6, c.smallFont(), c.ink(), TextAlignment.RIGHT);
            means(
                    w - 20 - width(words, c.smallFont()),
                    0,
                    width(words, c.smallFont()) + 10,
                    Math.min(y, 14),
                    "The pattern lays figures again and again. An edit holds wherever the figure is"
                            + " played, or at this one pass alone; O changes it.");
        }
    }
}
