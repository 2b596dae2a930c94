package vocalis.desktop.neck;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Paint;
import javafx.scene.text.TextAlignment;
import vocalis.core.instrument.Fretboard;
import vocalis.core.scale.Box;
import vocalis.core.theory.Key;
import vocalis.desktop.session.Drawn;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.PaintedControl;
import vocalis.desktop.writing.Looks;

/** What lies under the hand: a scale, one box of it with its fingers, or roots and fifths alone. */
record NeckScale(
        CanvasSkin<?> skin, PaintedControl neck, NeckGeometry geometry, Drawn drawn, Looks looks) {

    /** Where open strings are marked: beside their names, where no grip is. */
    private static final double BESIDE_NAME = 34;

    private static final int FIFTH = 7;

    void paint(GraphicsContext g, Fretboard board) {
        Key key = looks.scale().get().orElse(drawn.key());
        if (looks.box().get().isPresent()) {
            box(g, looks.box().get().get());
        } else if (looks.scaleSteps().get()) {
            all(g, board, key, key::contains, neck.dim());
        }
        if (looks.rootsAndFifths().get()) {
            int root = drawn.currentChord().root();
            all(g, board, drawn.key(), m -> above(m, root) == FIFTH, neck.ink());
            all(g, board, drawn.key(), m -> above(m, root) == 0, neck.rootPaint());
        }
    }

    private static int above(int midi, int root) {
        return Math.floorMod(midi - root, 12);
    }

    private void all(
            GraphicsContext g,
            Fretboard board,
            Key key,
            java.util.function.IntPredicate shown,
            Paint paint) {
        for (int s = 0; s < board.strings(); s++) {
            for (int f = 0; f <= board.frets(); f++) {
                if (shown.test(board.midi(s, f))) {
                    mark(g, s, f, label(key, board.midi(s, f)), paint);
                }
            }
        }
    }

    private String label(Key key, int midi) {
        return looks.noteNames().get() ? key.say(midi).symbol() : key.degree(midi).symbol();
    }

    private void mark(GraphicsContext g, int string, int fret, String label, Paint paint) {
        double x = x(fret);
        double y = geometry.y(string);
        g.setFill(fret == 0 ? neck.back() : neck.raised());
        g.fillRect(x - 7, y - 6, 14, 12);
        skin.text(g, label, x, y, neck.smallFont(), paint, TextAlignment.CENTER);
    }

    private double x(int fret) {
        return fret == 0 ? BESIDE_NAME : geometry.mark(fret);
    }

    /** The box: what each note is, and the finger beside it. */
    private void box(GraphicsContext g, Box box) {
        int tonic = box.scale().tonic().pitchClass();
        for (Box.Spot s : box.spots()) {
            Paint paint = above(s.midi(), tonic) == 0 ? neck.rootPaint() : neck.ink();
            mark(g, s.string(), s.fret(), label(box.scale(), s.midi()), paint);
            if (s.finger() > 0) {
                skin.text(
                        g,
                        String.valueOf(s.finger()),
                        x(s.fret()) + 12,
                        geometry.y(s.string()) - 5,
                        neck.smallFont(),
                        neck.dim(),
                        TextAlignment.CENTER);
            }
            skin.means(
                    x(s.fret()) - 8,
                    geometry.y(s.string()) - 8,
                    16,
                    16,
                    box.scale().say(s.midi()).symbol()
                            + ": "
                            + box.scale().degree(s.midi()).symbol()
                            + " of "
                            + box.scale().symbol()
                            + (s.finger() == 0 ? ", open" : ", finger " + s.finger())
                            + "; a click writes it at the lane's caret");
        }
    }
}
