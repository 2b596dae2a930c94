package vocalis.desktop.revoice;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import vocalis.core.instrument.Fretboard;
import vocalis.core.revoice.Rub;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.VoiceTick;

/** The voices of a cell on the scale that all cells share. */
final class CellStrip {

    /** Semitones under the lowest open string that what distortion adds is shown in. */
    private static final int BELOW = 13;

    private CellStrip() {}

    /** Where a note lies between the edges of a cell: the same scale in all of them. */
    static double place(Fretboard b, double midi, double left, double right) {
        int low = b.midi(0, 0) - BELOW;
        int high = b.midi(b.strings() - 1, Math.min(20, b.frets())) + 1;
        return left + Math.max(0, Math.min(1, (midi - low) / (high - low))) * (right - left);
    }

    /**
     * The voices from an octave under the lowest open string to the highest.
     *
     * @param half half the height of a voice
     */
    static void voices(
            GraphicsContext g,
            RevoiceGrid c,
            double half,
            Voicing v,
            int root,
            double left,
            double right,
            double y) {
        double line = Math.round(y) + 0.5;
        CanvasSkin.stroke(g, c.faint(), 1, left, line, right, line);
        for (Sounding s : v.soundings()) {
            double x = place(v.board(), s.midi(), left, right);
            VoiceTick.paint(g, c, x, y, half, 3, s.pitchClass() == root, s.open());
        }
    }

    /** Notes that clash with the first guitar: a hook over their mark. */
    static void rubs(
            GraphicsContext g,
            RevoiceGrid c,
            Voicing v,
            List<Rub> rubs,
            double left,
            double right,
            double y) {
        for (Rub rub : rubs) {
            double x = place(v.board(), rub.two(), left, right);
            CanvasSkin.stroke(g, c.ink(), 1.5, x - 3, y + 5.5, x + 3, y + 5.5);
        }
    }

    /** A bow from a voice to the same note in the next cell. */
    static void bow(GraphicsContext g, double x1, double x2, double from, double depth) {
        g.beginPath();
        g.moveTo(x1, from);
        g.quadraticCurveTo((x1 + x2) / 2, from + depth, x2, from);
        g.stroke();
    }
}
