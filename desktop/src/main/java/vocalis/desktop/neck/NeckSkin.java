package vocalis.desktop.neck;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Paint;
import javafx.scene.text.TextAlignment;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Muting;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.names.Readout;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.writing.WriteModel;

/** Paints the neck and takes its mouse. */
public final class NeckSkin extends CanvasSkin<Neck> {

    private static final double MARK = 17;

    private final WriteModel model;
    private NeckGeometry geometry;
    private int hoverString = -1;
    private int hoverFret = -1;

    public NeckSkin(Neck neck) {
        super(neck);
        model = neck.model();
        watch(
                model.derivedProperty(),
                model.caret().chordProperty(),
                model.shown().voicingProperty(),
                model.looks().noteNames(),
                model.looks().scaleSteps(),
                model.looks().scale(),
                model.looks().box(),
                model.looks().rootsAndFifths(),
                model.looks().fingersFrom(),
                model.neck().stringProperty(),
                model.neck().fretProperty());
        neck.setOnMousePressed(this::pressed);
        neck.setOnMouseReleased(e -> model.hearing().endHearing());
        neck.setOnMouseMoved(this::hover);
        neck.setOnMouseExited(e -> unhover());
    }

    @Override
    public void dispose() {
        Neck neck = getSkinnable();
        if (neck != null) {
            neck.setOnMousePressed(null);
            neck.setOnMouseReleased(null);
            neck.setOnMouseMoved(null);
            neck.setOnMouseExited(null);
        }
        super.dispose();
    }

    @Override
    public void paint(GraphicsContext g, double w, double h) {
        Fretboard board = model.riff().ground().board();
        geometry = NeckGeometry.of(board, w, h);
        new NeckBoard(this, getSkinnable(), geometry).paint(g, board);
        new NeckScale(this, getSkinnable(), geometry, model, model.looks()).paint(g, board);
        paintWalk(g);
        paintInRiff(g);
        paintGrip(g);
        if (model.looks().fingersFrom().get()) {
            new NeckChange(this, getSkinnable(), geometry, model).paint(g);
        }
        paintCaret(g);
    }

    private static String by(Muting.By by) {
        return switch (by) {
            case FINGERTIP -> "a fingertip touches it";
            case FLAT_OF_FINGER -> "a finger laid flat touches it";
            case THUMB -> "the thumb touches it";
            case STRIKING_HAND -> "the striking hand lies on it, or leaves it out";
            case IDLE_HAND -> "the fretting hand, with nothing to fret, touches it";
            case NOTHING -> "but nothing keeps it so; it will answer the others";
        };
    }

    /**
     * The hand's walk through the riff along the edge of the neck: a dot where it lies for each
     * chord, full for the chord under the caret, a line along the farthest change.
     */
    private void paintWalk(GraphicsContext g) {
        List<vocalis.core.derive.Derived.Chord> chords = model.derived().chords();
        java.util.TreeMap<Integer, java.util.TreeSet<Integer>> at = new java.util.TreeMap<>();
        for (int i = 0; i < chords.size(); i++) {
            int fret = chords.get(i).candidate().voicing().shape().lowestFretted();
            if (fret > 0) {
                at.computeIfAbsent(fret, k -> new java.util.TreeSet<>()).add(i + 1);
            }
        }
        if (at.size() < 2) {
            return;
        }
        Neck c = getSkinnable();
        double y = geometry.top() - 7.5;
        vocalis.core.derive.HandPath way = vocalis.core.derive.HandPath.of(model.derived());
        int from = way.hardest();
        int to = (from + 1) % chords.size();
        int a = chords.get(from).candidate().voicing().shape().lowestFretted();
        int b = chords.get(to).candidate().voicing().shape().lowestFretted();
        stroke(g, c.dim(), 2, geometry.mark(a), y, geometry.mark(b), y);
        double left = Math.min(geometry.mark(a), geometry.mark(b)) + 5;
        double wide = Math.abs(geometry.mark(a) - geometry.mark(b)) - 10;
        means(
                left,
                y - 4,
                Math.max(1, wide),
                8,
                String.format(
                        "the farthest change of the riff: from chord %d to %d, %.0f mm; the menu Variations and checks offers other ways",
                        from + 1, to + 1, way.hardestMm()));
        int now = Math.min(model.caret().chord(), chords.size() - 1) + 1;
        at.forEach(
                (fret, which) -> {
                    paintStop(g, fret, which, now, y);
                });
    }

    /** A place where the hand lies, and for which chords. */
    private void paintStop(
            GraphicsContext g, int fret, java.util.Set<Integer> which, int now, double y) {
        Neck c = getSkinnable();
        double x = geometry.mark(fret);
        boolean here = which.contains(now);
        g.setFill(here ? c.ink() : c.raised());
        g.fillOval(x - 3, y - 3, 6, 6);
        g.setStroke(here ? c.ink() : c.dim());
        g.setLineWidth(1.2);
        g.strokeOval(x - 3, y - 3, 6, 6);
        String chordsHere =
                which.stream()
                        .limit(12)
                        .map(String::valueOf)
                        .collect(java.util.stream.Collectors.joining(", "));
        means(x - 5, y - 5, 10, 10, "the hand lies here for chord " + chordsHere);
    }

    /** What the riff has now, hollow, while another voicing is looked at. */
    private void paintInRiff(GraphicsContext g) {
        if (model.shown().isInRiff()) {
            return;
        }
        Neck c = getSkinnable();
        Shape inRiff = model.currentChord().candidate().voicing().shape();
        for (int s : inRiff.sounded()) {
            double x = geometry.mark(inRiff.fret(s));
            double y = geometry.y(s);
            g.setStroke(c.dim());
            g.setLineWidth(1.2);
            g.setLineDashes(2, 2);
            g.strokeOval(x - MARK / 2, y - MARK / 2, MARK, MARK);
            g.setLineDashes();
        }
    }

    private void paintGrip(GraphicsContext g) {
        Voicing v = model.shown().voicing();
        if (v.shape().strings() != geometry.board().strings()) {
            return;
        }
        model.shown().fingering().ifPresent(f -> paintBarres(g, f));
        paintSilent(g, v);
        for (Readout.Voice voice : model.shown().readoutProperty().get().voices()) {
            paintVoice(g, voice);
        }
    }

    /** A cross for each silent string, and what silences it. */
    private void paintSilent(GraphicsContext g, Voicing v) {
        Neck c = getSkinnable();
        double x = geometry.mark(0);
        for (int s = 0; s < v.shape().strings(); s++) {
            if (!v.shape().sounds(s)) {
                text(g, "×", x, geometry.y(s), c.boldFont(), c.dim(), TextAlignment.CENTER);
            }
        }
        model.shown()
                .fingering()
                .ifPresent(
                        f -> {
                            for (Muting.Silence q : Muting.of(v.shape(), f).silences()) {
                                means(
                                        x - 12,
                                        geometry.y(q.string()) - 9,
                                        24,
                                        18,
                                        "string "
                                                + (v.shape().strings() - q.string())
                                                + " is silent: "
                                                + by(q.by()));
                            }
                        });
    }

    private void paintVoice(GraphicsContext g, Readout.Voice voice) {
        Neck c = getSkinnable();
        double x = geometry.mark(voice.source().fret());
        double y = geometry.y(voice.source().string());
        means(
                x - 10,
                y - 9,
                20,
                18,
                voice.note().symbol()
                        + ": "
                        + voice.ofChord().symbol()
                        + " of the chord, "
                        + voice.ofKey().symbol()
                        + " of the key, on string "
                        + (geometry.board().strings() - voice.source().string()));
        String label =
                model.looks().noteNames().get()
                        ? voice.note().spelling().symbol()
                        : voice.ofChord().symbol();
        boolean root = voice.ofChord().semitones() == 0;
        Paint paint = root ? c.rootPaint() : voice.source().open() ? c.openPaint() : c.ink();
        if (voice.source().open()) {
            paintOpen(g, x, y, paint, label);
        } else {
            paintFretted(g, x, y, paint, root, label);
        }
    }

    private void paintOpen(GraphicsContext g, double x, double y, Paint paint, String label) {
        Neck c = getSkinnable();
        g.setFill(c.back());
        g.fillOval(x - MARK / 2, y - MARK / 2, MARK, MARK);
        g.setStroke(paint);
        g.setLineWidth(2);
        g.strokeOval(x - MARK / 2, y - MARK / 2, MARK, MARK);
        text(g, label, x, y, c.smallFont(), paint, TextAlignment.CENTER);
    }

    private void paintFretted(
            GraphicsContext g, double x, double y, Paint paint, boolean root, String label) {
        Neck c = getSkinnable();
        g.setFill(paint);
        if (root) {
            g.fillOval(x - MARK / 2 - 1, y - MARK / 2 - 1, MARK + 2, MARK + 2);
        } else {
            g.fillRoundRect(x - MARK / 2, y - MARK / 2, MARK, MARK, 5, 5);
        }
        text(g, label, x, y, c.textFont(), c.onMark(), TextAlignment.CENTER);
    }

    private void paintBarres(GraphicsContext g, Fingering f) {
        Neck c = getSkinnable();
        for (Fingering.Press p : f.presses()) {
            if (p.barre()) {
                double x = geometry.mark(p.fret());
                double y1 = geometry.y(p.highString());
                double y2 = geometry.y(p.lowString());
                g.setStroke(c.dim());
                g.setLineWidth(6);
                g.setGlobalAlpha(0.5);
                g.strokeLine(x, y1, x, y2);
                g.setGlobalAlpha(1);
            }
        }
    }

    private void paintCaret(GraphicsContext g) {
        Neck c = getSkinnable();
        if (c.isFocused()) {
            box(
                    g,
                    model.neck().stringProperty().get(),
                    model.neck().fretProperty().get(),
                    c.ink(),
                    2);
        }
        if (hoverString >= 0) {
            box(g, hoverString, hoverFret, c.dim(), 1);
        }
    }

    private void box(GraphicsContext g, int string, int fret, Paint paint, double width) {
        double x = geometry.mark(fret);
        double y = geometry.y(string);
        g.setStroke(paint);
        g.setLineWidth(width);
        g.strokeRoundRect(x - 12, y - 11, 24, 22, 7, 7);
    }

    private void pressed(MouseEvent e) {
        getSkinnable().requestFocus();
        if (e.getButton() == MouseButton.PRIMARY && geometry != null) {
            int string = geometry.stringAt(e.getY());
            int fret = geometry.fretAt(e.getX());
            if (model.boxes().box().flatMap(b -> b.at(string, fret)).isPresent()) {
                model.boxes().point(string, fret);
                model.boxes().hear(string, fret);
            } else {
                model.neck().toggle(string, fret);
                model.beginHearingShown();
            }
        }
    }

    private void hover(MouseEvent e) {
        if (geometry != null) {
            hoverString = geometry.stringAt(e.getY());
            hoverFret = geometry.fretAt(e.getX());
            getSkinnable().requestLayout();
        }
    }

    private void unhover() {
        hoverString = -1;
        getSkinnable().requestLayout();
    }
}
