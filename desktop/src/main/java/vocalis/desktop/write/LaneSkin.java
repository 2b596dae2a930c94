package vocalis.desktop.write;

import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Paint;
import javafx.scene.text.TextAlignment;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Manner;
import vocalis.core.riff.Score;
import vocalis.core.riff.Stroke;
import vocalis.core.riff.Struck;
import vocalis.core.riff.Touch;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Sounding;
import vocalis.desktop.view.TimeAxis;

/** Paints the lane and takes its mouse. */
final class LaneSkin extends CanvasSkin<Lane> {

    private final WriteModel model;
    private final ContextMenu menu = new ContextMenu();
    private LaneGeometry geometry;

    LaneSkin(Lane lane) {
        super(lane);
        model = lane.model();
        watch(model.scoreProperty(), model.chordProperty(), model.lane().caretProperty());
        lane.setOnMousePressed(this::pressed);
        lane.setOnContextMenuRequested(this::menu);
        fillMenu();
    }

    @Override
    public void dispose() {
        Lane lane = getSkinnable();
        if (lane != null) {
            lane.setOnMousePressed(null);
            lane.setOnContextMenuRequested(null);
        }
        super.dispose();
    }

    @Override
    protected double computePrefHeight(double w, double t, double r, double b, double l) {
        return LaneGeometry.height(model.riff().ground().board().strings());
    }

    void showNow(boolean playing, double tick) {
        if (geometry != null) {
            TimeAxis a = geometry.axis();
            now(playing && a.shows(tick), a.x(tick), 0, geometry.words() + 8);
        }
    }

    @Override
    void paint(GraphicsContext g, double w, double h) {
        int strings = model.riff().ground().board().strings();
        long bar = model.riff().ground().meter().barTicks();
        TimeAxis axis = TimeAxis.page(w, model.currentChord().start(), bar, model.riff().length());
        geometry = new LaneGeometry(axis, strings, LaneGeometry.TOP);
        paintStrings(g);
        paintBars(g, bar);
        paintCaret(g);
        List<Score.Strike> strikes = model.score().strikes();
        for (Score.Strike s : strikes) {
            if (axis.shows(s.at())) {
                paintStrike(g, s);
            }
        }
        paintRhythm(g, strikes);
    }

    private void paintStrings(GraphicsContext g) {
        Lane c = getSkinnable();
        TimeAxis a = geometry.axis();
        List<Integer> open = model.riff().ground().instrument().tuning().open();
        int capo = model.riff().ground().capo();
        for (int s = 0; s < geometry.strings(); s++) {
            double y = Math.round(geometry.y(s)) + 0.5;
            stroke(g, c.line(), 1, a.left() - 14, y, a.right(), y);
            String name = Spelling.plain(open.get(s) + capo).symbol();
            text(g, name, a.left() - 24, y, c.smallFont(), c.dim(), TextAlignment.RIGHT);
        }
    }

    private void paintBars(GraphicsContext g, long bar) {
        Lane c = getSkinnable();
        TimeAxis a = geometry.axis();
        double top = geometry.y(geometry.strings() - 1);
        for (long t = a.from(); t <= a.to(); t += bar) {
            double x = Math.round(a.x(t)) - 6.5;
            if (t == a.to()) {
                x = Math.round(a.right()) + 0.5;
            }
            stroke(g, c.line(), 1, x, top, x, geometry.y(0));
            if (t < a.to()) {
                text(
                        g,
                        String.valueOf(t / bar + 1),
                        x + 3,
                        6,
                        c.smallFont(),
                        c.dim(),
                        TextAlignment.LEFT);
            }
        }
        if (a.to() == model.riff().length()) {
            stroke(
                    g,
                    c.line(),
                    3,
                    a.right() + 4.5,
                    top - 0.5,
                    a.right() + 4.5,
                    geometry.y(0) + 0.5);
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
        double w = Math.max(14, a.width(LaneModel.STEP) - 1);
        double top = geometry.y(geometry.strings() - 1) - 9;
        double height = geometry.words() + 9 - top;
        g.setFill(c.raised());
        g.fillRoundRect(x, top, w, height, 6, 6);
        g.setStroke(c.isFocused() ? c.ink() : c.faint());
        g.setLineWidth(c.isFocused() ? 2 : 1);
        g.strokeRoundRect(x, top, w, height, 6, 6);
        for (int s = 0; s < geometry.strings(); s++) {
            double y = Math.round(geometry.y(s)) + 0.5;
            stroke(g, c.line(), 1, x + 1, y, x + w - 1, y);
        }
    }

    private void paintStrike(GraphicsContext g, Score.Strike s) {
        Lane c = getSkinnable();
        double x = geometry.axis().x(s.at());
        boolean atCaret = model.lane().caretProperty().get() == s.at();
        int root = model.score().chords().get(s.chord()).root();
        for (Sounding n : s.notes()) {
            double y = geometry.y(n.string());
            String fret = String.valueOf(n.fret());
            double w = fret.length() * 7 + 3;
            g.setFill(atCaret ? c.raised() : c.back());
            g.fillRect(x - w / 2, y - 6, w, 12);
            Paint paint =
                    n.pitchClass() == root ? c.rootPaint() : n.open() ? c.openPaint() : c.ink();
            text(g, fret, x, y, c.monoFont(), paint, TextAlignment.CENTER);
            for (Touch.Ornament o : s.ornaments()) {
                if (o.string() == n.string()) {
                    paintOrnament(g, s, n, o, x + w / 2);
                }
            }
        }
        Stroke stroke = s.stroke();
        if (stroke.accent()) {
            double top = geometry.y(geometry.strings() - 1) - 11;
            text(g, ">", x, top, c.boldFont(), c.ink(), TextAlignment.CENTER);
        }
        if (!repeatsWord(s)) {
            Paint word = stroke.muted() ? c.dim() : c.ink();
            String mark = stroke.manner() == Manner.PALM ? "" : stroke.manner().mark();
            String label = mark.isEmpty() ? stroke.struck().label() : mark;
            text(g, label, x, geometry.words(), c.smallFont(), word, TextAlignment.CENTER);
        }
        if (stroke.manner().palm()) {
            double y = Math.round(geometry.words() + 8) + 0.5;
            double end = geometry.axis().x(s.at() + s.length()) - 9;
            stroke(g, c.ink(), 2, x - 6, y, Math.max(x + 6, end), y);
        }
    }

    /** What a finger does after the note, and the fret that it ends on. */
    private void paintOrnament(
            GraphicsContext g, Score.Strike s, Sounding n, Touch.Ornament o, double after) {
        Lane c = getSkinnable();
        double y = geometry.y(n.string());
        int end = o.endFret(n.fret());
        boolean slides = o.kind() == Touch.Kind.SLIDE;
        String sign = slides && o.amount() < 0 ? "\\" : o.kind().mark();
        String mark = end == n.fret() ? sign : sign + end;
        double w = mark.length() * 7 + 2;
        g.setFill(c.back());
        g.fillRect(after - 1, y - 6, w, 12);
        text(g, mark, after, y, c.smallMonoFont(), c.ink(), TextAlignment.LEFT);
    }

    /** Whether the same word stands so close before that it need not be written again. */
    private boolean repeatsWord(Score.Strike s) {
        List<Score.Strike> all = model.score().strikes();
        int i = all.indexOf(s);
        if (i == 0) {
            return false;
        }
        Score.Strike before = all.get(i - 1);
        boolean same = before.stroke().struck().equals(s.stroke().struck());
        return same
                && before.stroke().manner() == s.stroke().manner()
                && geometry.axis().width(s.at() - before.at()) < 34
                && geometry.axis().shows(before.at());
    }

    /** Stems and beams under the strings, beat by beat; a rest is a short bar on the line. */
    private void paintRhythm(GraphicsContext g, List<Score.Strike> strikes) {
        Lane c = getSkinnable();
        TimeAxis a = geometry.axis();
        Meter meter = model.riff().ground().meter();
        long beat = meter.beatTicks();
        double top = geometry.stemTop();
        double bottom = top + LaneGeometry.STEMS - 6;
        Score.Strike before = null;
        for (Score.Strike s : strikes) {
            if (!a.shows(s.at())) {
                before = null;
                continue;
            }
            double x = Math.round(a.x(s.at())) + 0.5;
            long length = s.length();
            if (length < 4 * Ticks.QUARTER) {
                double stemStart = length >= Ticks.HALF ? top + 8 : top;
                stroke(g, c.dim(), 1, x, stemStart, x, bottom);
            }
            if (isDotted(length)) {
                g.setFill(c.dim());
                g.fillOval(x + 3, bottom - 3, 3, 3);
            }
            int beams = beams(length);
            boolean joined =
                    before != null
                            && before.at() / beat == s.at() / beat
                            && before.at() + before.length() == s.at()
                            && beams > 0
                            && beams(before.length()) > 0;
            if (joined) {
                beams(g, a.x(before.at()), x, bottom, Math.min(beams, beams(before.length())));
                if (beams > beams(before.length())) {
                    beams(g, x - 7, x, bottom, beams);
                }
            }
            if (!joined && beams > 0) {
                beams(g, x, x + 7, bottom, beams);
            }
            paintRest(g, s, strikes, bottom);
            before = s;
        }
    }

    private void beams(GraphicsContext g, double x1, double x2, double bottom, int count) {
        for (int b = 0; b < count; b++) {
            double y = bottom - 1 - 5 * b;
            stroke(g, getSkinnable().dim(), 2.4, x1, y, x2, y);
        }
    }

    private static int beams(long length) {
        long plain = isDotted(length) ? length * 2 / 3 : length;
        if (plain >= Ticks.QUARTER) {
            return 0;
        }
        return plain >= Ticks.EIGHTH ? 1 : plain >= Ticks.SIXTEENTH ? 2 : 3;
    }

    private static boolean isDotted(long length) {
        return length % 3 == 0
                && Long.bitCount(length / 3 * 2 / (Ticks.SIXTEENTH / 4)) == 1
                && length / 3 * 2 % (Ticks.SIXTEENTH / 4) == 0;
    }

    private void paintRest(
            GraphicsContext g, Score.Strike s, List<Score.Strike> strikes, double bottom) {
        Lane c = getSkinnable();
        long end = s.at() + s.length();
        int i = strikes.indexOf(s) + 1;
        long next = i < strikes.size() ? strikes.get(i).at() : model.riff().length();
        if (next > end && geometry.axis().shows(end)) {
            double x = geometry.axis().x(end);
            double y = bottom - 8;
            g.setStroke(c.dim());
            g.setLineWidth(1.6);
            g.strokePolyline(
                    new double[] {x - 3, x + 2, x - 2, x + 3},
                    new double[] {y - 6, y - 1, y + 2, y + 7},
                    4);
        }
    }

    // Mouse.

    private void pressed(MouseEvent e) {
        menu.hide();
        getSkinnable().requestFocus();
        if (geometry == null) {
            return;
        }
        boolean wasThere = model.lane().caretProperty().get() == caretFor(e.getX());
        model.lane().setCaret(caretFor(e.getX()));
        if (e.getButton() != MouseButton.PRIMARY) {
            menu.show(getSkinnable(), e.getScreenX(), e.getScreenY());
            return;
        }
        int string = geometry.stringAt(e.getY());
        boolean begins =
                model.lane()
                        .strokeAtCaret()
                        .map(s -> s.at() == model.lane().caretProperty().get() % bar())
                        .orElse(false);
        if (e.getClickCount() == 2 && !begins) {
            model.lane().toggleStroke();
        } else if (wasThere && begins && string >= 0 && e.getClickCount() == 1) {
            model.lane().toggleStruckString(string);
        }
    }

    private long bar() {
        return model.riff().ground().meter().barTicks();
    }

    /** The step under an x; a stroke close by is taken before the bare step. */
    private long caretFor(double x) {
        long step = geometry.stepAt(x);
        for (Score.Strike s : model.score().strikes()) {
            if (Math.abs(geometry.axis().x(s.at()) - x) < 7) {
                return s.at();
            }
        }
        return step;
    }

    private void fillMenu() {
        add("Add or remove stroke", model.lane()::toggleStroke);
        add("Palm mute", model.lane()::toggleMute);
        add("Embellish…", this::embellish);
        add("Accent", model.lane()::toggleAccent);
        add("Longer", () -> model.lane().lengthenStroke(1));
        add("Shorter", () -> model.lane().lengthenStroke(-1));
        menu.getItems().add(new SeparatorMenuItem());
        for (Struck.Named n : Struck.Named.values()) {
            add("Strike " + n.label(), () -> model.lane().setStruck(n));
        }
    }

    /** Shows what fingers and palm can do to the stroke under the caret. */
    void embellish() {
        double x = geometry == null ? 0 : geometry.axis().x(model.lane().caretProperty().get());
        double y = geometry == null ? 0 : geometry.words();
        Point2D at = getSkinnable().localToScreen(x, y);
        Embellish.menu(model.lane()).show(getSkinnable(), at.getX(), at.getY());
    }

    private void add(String name, Runnable action) {
        MenuItem item = new MenuItem(name);
        item.setOnAction(e -> action.run());
        menu.getItems().add(item);
    }

    private void menu(ContextMenuEvent e) {
        if (e.isKeyboardTrigger()) {
            menu.show(getSkinnable(), e.getScreenX(), e.getScreenY());
        }
    }
}
