package vocalis.desktop.band;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import vocalis.core.derive.Derived;
import vocalis.core.harmony.VoiceMoves;
import vocalis.core.names.Readout;
import vocalis.core.vary.RootTune;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.writing.BandScreen;

/** Paints how each voice goes into the next chord. */
final class BandMoves {

    private final VoiceBandSkin skin;
    private final VoiceBand c;
    private final BandScreen model;
    private BandGeometry geometry;

    BandMoves(VoiceBandSkin skin, VoiceBand c) {
        this.skin = skin;
        this.c = c;
        this.model = c.model();
    }

    /**
     * The way of each voice into the next chord; from the last one round the seam into the first.
     */
    void paint(GraphicsContext g, BandGeometry now, int i) {
        geometry = now;
        List<Derived.Chord> chords = model.derived().chords();
        if (chords.size() < 2) {
            return;
        }
        Derived.Chord from = chords.get(i);
        boolean seam = i + 1 == chords.size();
        Derived.Chord to = chords.get(seam ? 0 : i + 1);
        double x1 = geometry.rungRight(from) + 2;
        double x2 =
                seam || from.end() >= geometry.axis().to()
                        ? geometry.axis().right() + 30
                        : geometry.rungLeft(to) - 26 - 14 * staggered(to);
        List<VoiceMoves.VoiceMove> moves =
                VoiceMoves.between(
                        from.candidate().voicing().midi(), to.candidate().voicing().midi());
        List<VoiceMoves.VoiceMove> sorted = new ArrayList<>(moves);
        sorted.sort(Comparator.comparingInt(m -> -m.from()));
        List<double[]> placed = new ArrayList<>();
        for (VoiceMoves.VoiceMove m : sorted) {
            double y1 = geometry.y(m.from());
            double y2 = geometry.y(m.to());
            CanvasSkin.stroke(g, m.by() == 0 ? c.dim() : c.line(), 1, x1, y1, x2, y2);
            if (m.by() != 0) {
                paintMoveLabel(g, i, m, new double[] {x1, y1, x2, y2}, placed);
            }
        }
        if (seam && geometry.axis().to() == model.riff().length()) {
            paintSeam(g, to, x2);
        }
    }

    /** How many columns the degrees of a chord stand in, beyond the first. */
    private int staggered(Derived.Chord chord) {
        List<Double> heights = new ArrayList<>();
        skin.readout(chord).voices().forEach(v -> heights.add(geometry.y(v.source().midi())));
        return BandGeometry.stagger(heights, VoiceBandSkin.LABEL).stream()
                .max(Integer::compare)
                .orElse(0);
    }

    private void paintMoveLabel(
            GraphicsContext g,
            int chord,
            VoiceMoves.VoiceMove m,
            double[] line,
            List<double[]> placed) {
        String label = m.by() > 0 ? "+" + m.by() : "−" + -m.by();
        double w = CanvasSkin.width(label, c.smallFont()) + 4;
        double room = line[2] - line[0] - w;
        if (room < 2) {
            return;
        }
        for (double part : new double[] {0.5, 0.25, 0.75, 0, 1}) {
            double t = (part * room + w / 2) / (line[2] - line[0]);
            double x = line[0] + (line[2] - line[0]) * t;
            double y = line[1] + (line[3] - line[1]) * t;
            boolean free =
                    placed.stream()
                            .noneMatch(
                                    p ->
                                            Math.abs(p[0] - x) < w
                                                    && Math.abs(p[1] - y) < VoiceBandSkin.LABEL);
            if (free) {
                paintLabel(g, chord, m, label, x, y);
                placed.add(new double[] {x, y});
                return;
            }
        }
    }

    private void paintLabel(
            GraphicsContext g,
            int chord,
            VoiceMoves.VoiceMove m,
            String label,
            double x,
            double y) {
        double w = CanvasSkin.width(label, c.smallFont()) + 4;
        boolean raised =
                chord == model.caret().chord()
                        && x < geometry.columnRight(model.derived().chords().get(chord));
        g.setFill(raised ? c.raised() : c.back());
        g.fillRect(x - w / 2, y - 6, w, 12);
        skin.text(g, label, x, y, c.smallFont(), c.dim(), TextAlignment.CENTER);
        skin.means(
                x - w / 2,
                y - 7,
                w,
                14,
                "this voice goes "
                        + (m.by() > 0 ? "up " : "down ")
                        + Math.abs(m.by())
                        + (Math.abs(m.by()) == 1 ? " semitone" : " semitones")
                        + " into the next chord");
    }

    private void paintSeam(GraphicsContext g, Derived.Chord first, double x) {
        for (int midi : first.candidate().voicing().midi()) {
            double y = geometry.y(midi);
            CanvasSkin.stroke(g, c.line(), 3, x, y, x + 12, y);
        }
        Readout r = skin.readout(first);
        skin.text(g, "back to", x + 12, 18, c.smallFont(), c.dim(), TextAlignment.RIGHT);
        skin.text(g, r.name().symbol(), x + 12, 35, c.smallFont(), c.dim(), TextAlignment.RIGHT);
    }

    /** The roots' tune: a line from root to root, over each for as long as it stands. */
    void paintTune(GraphicsContext g, BandGeometry now) {
        geometry = now;
        List<Integer> tune = RootTune.of(model.derived());
        double beforeX = Double.NaN;
        double beforeY = 0;
        for (int i = 0; i < tune.size(); i++) {
            Derived.Chord chord = model.derived().chords().get(i);
            if (!geometry.shows(chord)) {
                continue;
            }
            double y = geometry.y(tune.get(i));
            double left = geometry.rungLeft(chord);
            double right = geometry.rungRight(chord);
            if (!Double.isNaN(beforeX)) {
                CanvasSkin.stroke(g, c.rootPaint(), 1.5, beforeX, beforeY, left, y);
            }
            CanvasSkin.stroke(g, c.rootPaint(), 1.5, left, y, right, y);
            beforeX = right;
            beforeY = y;
        }
    }
}
