package vocalis.desktop.band;

import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.TextAlignment;
import vocalis.core.derive.Derived;
import vocalis.core.edit.Chords;
import vocalis.core.rhythm.MeterMap;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.HoldToHear;
import vocalis.desktop.writing.BandScreen;
import vocalis.desktop.writing.WritePlace;

/** The mouse on the band: a click chooses, two go in, a drag moves, an edge lengthens. */
final class BandMouse {

    private final VoiceBandSkin skin;
    private final VoiceBand c;
    private final BandScreen model;
    private int dragEdge = -1;
    private int dragChord = -1;
    private double dragFrom;
    private double dragX;

    BandMouse(VoiceBandSkin skin, VoiceBand c) {
        this.skin = skin;
        this.c = c;
        this.model = c.model();
        c.setOnMousePressed(this::pressed);
        c.setOnMouseDragged(this::dragged);
        c.setOnMouseReleased(this::released);
        c.setOnMouseMoved(this::moved);
        HoldToHear.mouse(
                c,
                () -> dragEdge < 0 && dragChord >= 0 && model.beginHearing(WritePlace.BAND),
                model::endHearing);
    }

    void dispose() {
        c.setOnMousePressed(null);
        c.setOnMouseDragged(null);
        c.setOnMouseReleased(null);
        c.setOnMouseMoved(null);
    }

    void paint(GraphicsContext g, double h) {
        if (dragEdge >= 0) {
            g.setLineDashes(4, 3);
            double x = skin.geometry().axis().x(snapped(dragX));
            CanvasSkin.stroke(g, c.ink(), 1.5, x, 4, x, h - 4);
            g.setLineDashes();
            MeterMap.Place p = model.riff().meters().place(snapped(dragX));
            String ends =
                    "ends at bar " + p.bar() + ", beat " + p.beat() + (p.ticks() > 0 ? " and" : "");
            skin.text(g, ends, x - 8, h - 14, c.smallFont(), c.ink(), TextAlignment.RIGHT);
        } else if (dragChord >= 0 && Math.abs(dragX - dragFrom) > 12) {
            int to = skin.geometry().chordAt(model.derived(), dragX);
            if (to >= 0 && to != dragChord) {
                Derived.Chord target = model.derived().chords().get(to);
                double x =
                        to > dragChord
                                ? skin.geometry().columnRight(target)
                                : skin.geometry().columnLeft(target);
                CanvasSkin.stroke(g, c.ink(), 3, x, 6, x, h - 6);
                String lands = "lands as chord " + (to + 1);
                boolean room = x + 8 + CanvasSkin.width(lands, c.smallFont()) < c.getWidth();
                skin.text(
                        g,
                        lands,
                        room ? x + 8 : x - 8,
                        h - 14,
                        c.smallFont(),
                        c.ink(),
                        room ? TextAlignment.LEFT : TextAlignment.RIGHT);
            }
        }
    }

    private long snapped(double x) {
        return Math.round(skin.geometry().axis().tick(x) / Chords.GRAIN) * Chords.GRAIN;
    }

    private void moved(MouseEvent e) {
        boolean edge =
                skin.geometry() != null && skin.geometry().edgeAt(model.derived(), e.getX()) >= 0;
        c.setCursor(edge ? Cursor.H_RESIZE : Cursor.DEFAULT);
    }

    private void pressed(MouseEvent e) {
        c.requestFocus();
        if (e.getButton() != MouseButton.PRIMARY) {
            int chord = skin.geometry().chordAt(model.derived(), e.getX());
            if (chord >= 0) {
                model.caret().chordProperty().set(chord);
            }
            c.showMenu(e.getScreenX(), e.getScreenY());
            return;
        }
        dragX = e.getX();
        dragFrom = e.getX();
        dragEdge = skin.geometry().edgeAt(model.derived(), e.getX());
        if (dragEdge >= 0) {
            return;
        }
        int chord = skin.geometry().chordAt(model.derived(), e.getX());
        if (chord >= 0 && e.isShiftDown()) {
            model.chords().markTo(chord);
        } else if (chord >= 0) {
            model.caret().chordProperty().set(chord);
            dragChord = chord;
            if (e.getClickCount() >= 2) {
                dragChord = -1;
                model.go(WritePlace.CARDS);
            }
        }
    }

    private void dragged(MouseEvent e) {
        dragX = e.getX();
        c.requestLayout();
    }

    private void released(MouseEvent e) {
        int edge = dragEdge;
        int chord = dragChord;
        dragEdge = -1;
        dragChord = -1;
        if (edge >= 0) {
            long end = snapped(e.getX());
            long by = end - model.derived().chords().get(edge).end();
            if (by != 0) {
                model.chords().lengthenChord(edge, by);
            }
        } else if (chord >= 0 && Math.abs(e.getX() - dragFrom) > 12) {
            int to = skin.geometry().chordAt(model.derived(), e.getX());
            if (to >= 0 && to != chord) {
                model.chords().moveChordTo(to);
            }
        }
        c.requestLayout();
    }
}
