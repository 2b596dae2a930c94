package vocalis.desktop.lane;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import vocalis.core.piece.Guitar;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.PaintedControl;
import vocalis.desktop.view.TabHead;
import vocalis.desktop.view.TimeAxis;

/** What the other guitar plays at the same time, small and faint: guitar one above, two below. */
record FaintTab(CanvasSkin<?> skin, PaintedControl lane, TimeAxis axis, double top) {

    private static final double GAP = 8;
    private static final double MARGIN = 14;
    private static final double DIGITS = 10;

    /** Height that it takes of the lane. */
    static double height(int strings) {
        return (strings - 1) * GAP + 2 * MARGIN;
    }

    void paint(GraphicsContext g, Score score, Guitar whose, int strings) {
        for (int s = 0; s < strings; s++) {
            double y = Math.round(y(s, strings)) + 0.5;
            g.setGlobalAlpha(0.5);
            CanvasSkin.stroke(g, lane.line(), 1, axis.left() - 14, y, axis.right(), y);
            g.setGlobalAlpha(1);
        }
        skin.text(
                g,
                shortly(whose),
                axis.left() - 12,
                top + 4,
                lane.smallFont(),
                lane.dim(),
                TextAlignment.RIGHT);
        Font font = Font.font(PaintedControl.MONO, DIGITS);
        for (int i = score.firstFrom(axis.from());
                i < score.onsets().size() && axis.shows(score.onsets().get(i).at());
                i++) {
            Onset o = score.onsets().get(i);
            for (ScoreNote n : o.notes()) {
                for (TabHead head : TabHead.of(n)) {
                    if (axis.shows(head.at())) {
                        head(g, head, y(n.string(), strings), font);
                    }
                }
            }
        }
        skin.means(
                axis.left(),
                top,
                axis.right() - axis.left(),
                height(strings),
                "what " + whose.label() + " plays here; Ctrl Shift G writes it");
    }

    /** As it stands beside its strings. */
    static String shortly(Guitar guitar) {
        return "guitar " + (guitar.ordinal() + 1);
    }

    private void head(GraphicsContext g, TabHead head, double y, Font font) {
        double x = axis.x(head.at());
        double w = CanvasSkin.width(head.fret(), font) + 2;
        g.setFill(lane.back());
        g.fillRect(x - w / 2, y - GAP / 2 + 0.5, w, GAP - 1);
        skin.text(g, head.fret(), x, y, font, lane.dim(), TextAlignment.CENTER);
    }

    private double y(int string, int strings) {
        return top + MARGIN + (strings - 1 - string) * GAP;
    }
}
