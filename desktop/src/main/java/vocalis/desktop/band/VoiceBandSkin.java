package vocalis.desktop.band;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Paint;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import vocalis.core.derive.Derived;
import vocalis.core.names.Readout;
import vocalis.core.theory.Key;
import vocalis.desktop.view.Area;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.TimeAxis;
import vocalis.desktop.writing.BandScreen;
import vocalis.desktop.writing.GainModel;
import vocalis.sound.gain.Ghost;
import vocalis.workbench.words.GainWords;

/** Paints the voice band and takes its mouse. */
public final class VoiceBandSkin extends CanvasSkin<VoiceBand> {

    private static final double RUNG = 5;
    static final double LABEL = 13;

    /** Ghosts further under the strongest line are not drawn. */
    private static final double GHOST_DB = -20;

    private final BandScreen model;
    private final Map<Derived.Chord, Readout> readouts = new HashMap<>();
    private Key readIn;
    private BandGeometry geometry;
    private final BandMoves moves;
    private final BandMouse mouse;

    public VoiceBandSkin(VoiceBand band) {
        super(band);
        model = band.model();
        watch(
                model.derivedProperty(),
                model.caret().chordProperty(),
                model.caret().view().shownProperty(),
                model.chords().markProperty(),
                model.shown().voicingProperty(),
                model.gain().chordsProperty(),
                model.looks().noteNames(),
                model.looks().passingNames(),
                model.looks().rootTune());
        moves = new BandMoves(this, band);
        mouse = new BandMouse(this, band);
    }

    @Override
    public void dispose() {
        if (getSkinnable() != null) {
            mouse.dispose();
        }
        super.dispose();
    }

    private TimeAxis axis(double w) {
        return model.caret().view().axis(w);
    }

    /** As last painted, null before. */
    BandGeometry geometry() {
        return geometry;
    }

    /** What a chord is, read once for as long as the riff has it. */
    Readout readout(Derived.Chord chord) {
        if (!model.key().equals(readIn)) {
            readouts.clear();
            readIn = model.key();
        }
        return readouts.computeIfAbsent(
                chord, c -> Readout.of(c.candidate().voicing(), model.key(), c.around()));
    }

    /** Moves the now-line. */
    public void showNow(boolean playing, double tick) {
        if (geometry != null) {
            TimeAxis a = geometry.axis();
            now(playing && a.shows(tick), a.x(tick), BandGeometry.HEAD, getSkinnable().getHeight());
        }
    }

    @Override
    public Optional<Area> caret() {
        Derived.Chord c = model.currentChord();
        double left = geometry.columnLeft(c) + 1;
        double width = geometry.columnRight(c) - left - 1;
        return Optional.of(new Area(left, 0, width, getSkinnable().getHeight(), ""));
    }

    @Override
    public void paint(GraphicsContext g, double w, double h) {
        Derived score = model.derived();
        geometry = BandGeometry.of(score, axis(w), h);
        readouts.keySet().retainAll(score.chords());
        paintScale(g, w);
        for (int i = 0; i < score.chords().size(); i++) {
            if (geometry.shows(score.chords().get(i))) {
                paintColumn(g, i, h);
            }
        }
        for (int i = 0; i < score.chords().size(); i++) {
            if (geometry.shows(score.chords().get(i))) {
                moves.paint(g, geometry, i);
            }
        }
        for (int i = 0; i < score.chords().size(); i++) {
            if (geometry.shows(score.chords().get(i))) {
                paintGhosts(g, i);
                paintStack(g, i);
            }
        }
        if (model.looks().rootTune().get()) {
            moves.paintTune(g, geometry);
        }
        paintLookedAt(g);
        mouse.paint(g, h);
    }

    /** The voicing that cards or neck show, thin beside what the riff has, before it is put in. */
    private void paintLookedAt(GraphicsContext g) {
        Derived.Chord chord = model.currentChord();
        if (model.shown().isInRiff() || !geometry.shows(chord)) {
            return;
        }
        VoiceBand c = getSkinnable();
        double left = geometry.rungLeft(chord);
        double right = geometry.rungRight(chord);
        g.setLineDashes(3, 3);
        for (Readout.Voice v : model.shown().readoutProperty().get().voices()) {
            double y = geometry.y(v.source().midi());
            if (y > BandGeometry.HEAD) {
                stroke(g, paintOf(v), 1.6, left, y - 5, right, y - 5);
            }
        }
        g.setLineDashes();
    }

    /** What gain adds: dotted lines at the right half of a stack, the strongest named. */
    private void paintGhosts(GraphicsContext g, int i) {
        List<GainModel.ChordGain> reads = model.gain().chordsProperty().get();
        Derived.Chord chord = model.derived().chords().get(i);
        if (i >= reads.size() || !reads.get(i).voicing().equals(chord.candidate().voicing())) {
            return;
        }
        VoiceBand c = getSkinnable();
        double right = geometry.rungRight(chord);
        double left = geometry.rungLeft(chord) + 0.55 * (right - geometry.rungLeft(chord));
        boolean chosen = i == model.caret().chord();
        Ghost named = null;
        GainWords words = new GainWords(reads.get(i).voicing(), Optional.of(model.key()));
        for (Ghost ghost : reads.get(i).against().reading().ghosts()) {
            double y = geometry.y(ghost.midi() + ghost.cents() / 100);
            boolean shown =
                    ghost.db() > GHOST_DB && y > BandGeometry.HEAD + 2 && y < geometry.bottom();
            if (!shown) {
                continue;
            }
            g.setLineCap(StrokeLineCap.ROUND);
            g.setLineDashes(0.1, 5);
            stroke(g, c.dim(), ghost.db() > GHOST_DB / 2 ? 3 : 2, left, y, right, y);
            g.setLineDashes();
            meansGhost(words, ghost, left, right, y);
            named = named == null ? ghost : named;
        }
        // Over all of them: a name that a line ran through could not be read.
        if (chosen && named != null && right - left > 70) {
            double y = geometry.y(named.midi() + named.cents() / 100);
            paintGhostName(g, "added " + words.note(named.midi()).symbol(), y, right);
        }
        g.setLineCap(StrokeLineCap.BUTT);
    }

    private void meansGhost(GainWords words, Ghost ghost, double left, double right, double y) {
        means(
                left,
                y - 4,
                right - left,
                8,
                "added by distortion: "
                        + words.place(ghost)
                        + ", "
                        + Math.round(-ghost.db())
                        + " dB under the strongest line: no string plays it, the amplifier makes it of "
                        + words.origin(ghost));
    }

    private void paintGhostName(GraphicsContext g, String name, double y, double right) {
        VoiceBand c = getSkinnable();
        // Above its line, unless the head stands there.
        double at = y - 11 < BandGeometry.HEAD + 2 ? y + 10 : y - 11;
        double wide = width(name, c.smallFont());
        g.setFill(c.raised());
        g.fillRect(right - wide - 3, at - 7, wide + 4, 14);
        text(g, name, right, at, c.smallFont(), c.dim(), TextAlignment.RIGHT);
    }

    private void paintScale(GraphicsContext g, double w) {
        VoiceBand c = getSkinnable();
        g.setLineCap(StrokeLineCap.BUTT);
        for (int midi = geometry.lowest(); midi <= geometry.highest(); midi++) {
            if (Math.floorMod(midi, 12) == 0) {
                double y = Math.round(geometry.y(midi)) + 0.5;
                g.setLineDashes(1, 4);
                stroke(g, c.line(), 1, TimeAxis.LEFT - 4, y, w - 8, y);
                g.setLineDashes();
                text(g, "C" + (midi / 12 - 1), 16, y, c.smallFont(), c.dim(), TextAlignment.LEFT);
            }
        }
    }

    private void paintColumn(GraphicsContext g, int i, double h) {
        VoiceBand c = getSkinnable();
        Derived.Chord chord = model.derived().chords().get(i);
        double left = geometry.columnLeft(chord);
        double right = geometry.columnRight(chord);
        paintGround(g, i >= model.chords().first() && i <= model.chords().last(), left, right, h);
        Key key = model.key();
        Readout r = readout(chord);
        double textRight = right - 12;
        String degree = key.degree(chord.root()).symbol();
        double room = right - left - 24;
        String name =
                model.looks().called(chord.candidate().voicing(), r.name().symbol(), model.key());
        // Short chords say less: their name, smaller, and the rest where one points.
        boolean narrow = room < NARROW;
        double leftText = narrow ? left + 3 : left + 12;
        Font font = narrow ? c.smallFont() : c.nameFont();
        double forName = narrow ? right - left - 5 : room - 20;
        if (width(name.substring(0, 1), font) <= forName) {
            text(g, within(name, forName, font), leftText, 18, font, c.ink(), TextAlignment.LEFT);
        }
        if (!narrow) {
            text(g, degree, textRight, 18, c.textFont(), c.dim(), TextAlignment.RIGHT);
        }
        String kind = chord.byHand() ? "by hand" : family(i);
        String shape = chord.candidate().voicing().shape().text();
        double shapeWidth = width(shape, c.smallMonoFont());
        if (shapeWidth <= room + 10) {
            text(g, shape, left + 12, 35, c.smallMonoFont(), c.dim(), TextAlignment.LEFT);
        }
        meansColumn(left, right, r.name().symbol(), kind, degree, shape);
        if (shapeWidth + width(kind, c.smallFont()) + 14 < room) {
            text(g, kind, textRight, 35, c.smallFont(), c.dim(), TextAlignment.RIGHT);
        }
    }

    private void paintGround(
            GraphicsContext g, boolean selected, double left, double right, double h) {
        VoiceBand c = getSkinnable();
        if (selected) {
            g.setFill(c.raised());
            g.fillRoundRect(left + 2, 3, right - left - 4, h - 6, 10, 10);
            g.setStroke(c.isFocused() ? c.ink() : c.line());
            g.setLineWidth(c.isFocused() ? 2 : 1);
            g.strokeRoundRect(left + 2, 3, right - left - 4, h - 6, 10, 10);
        } else {
            stroke(g, c.faint(), 1, Math.round(left) + 0.5, 10, Math.round(left) + 0.5, h - 6);
        }
    }

    private void meansColumn(
            double left, double right, String name, String kind, String degree, String shape) {
        means(
                left,
                4,
                right - left,
                42,
                name
                        + ", "
                        + (kind.startsWith("o") || kind.startsWith("i") ? "an " : "a ")
                        + kind
                        + " on the "
                        + degree
                        + " of "
                        + model.key()
                        + "; its frets from the lowest string are "
                        + shape);
    }

    /** Columns with less room for text than this, in px, say only their name. */
    private static final double NARROW = 52;

    /** A text cut to a width without a sign, where even the sign has no room. */
    private static String within(String s, double room, Font font) {
        String cut = fit(s, room, font);
        while (cut.length() > 1 && width(cut, font) > room) {
            cut = cut.substring(0, cut.length() - 1);
        }
        return cut;
    }

    private String family(int chord) {
        return model.riff()
                .treatments()
                .get(chord)
                .family()
                .label()
                .toLowerCase(java.util.Locale.ROOT);
    }

    private void paintStack(GraphicsContext g, int i) {
        VoiceBand c = getSkinnable();
        Derived.Chord chord = model.derived().chords().get(i);
        Readout r = readout(chord);
        double left = geometry.rungLeft(chord);
        double right = geometry.rungRight(chord);
        List<Double> heights = new ArrayList<>();
        r.voices().forEach(v -> heights.add(geometry.y(v.source().midi())));
        List<Integer> columns = BandGeometry.stagger(heights, LABEL);
        List<Integer> offsets = BandGeometry.stagger(heights, RUNG + 2);
        for (int v = 0; v < r.voices().size(); v++) {
            Readout.Voice voice = r.voices().get(v);
            double y = heights.get(v);
            double indent = 10 * offsets.get(v);
            Paint paint = paintOf(voice);
            g.setLineCap(StrokeLineCap.ROUND);
            stroke(g, paint, RUNG, left + indent + RUNG / 2, y, right - RUNG / 2, y);
            if (voice.source().open()) {
                g.setLineCap(StrokeLineCap.BUTT);
                stroke(g, c.back(), 1.4, left + indent + 4, y, right - 4, y);
            }
            String label =
                    model.looks().noteNames().get()
                            ? voice.note().spelling().symbol()
                            : voice.ofChord().symbol();
            double x = left - 9 - 14 * columns.get(v);
            text(g, label, x, y, c.boldFont(), paint, TextAlignment.RIGHT);
            means(left - 26, y - 6, right - left + 26, 12, meaning(voice));
        }
        paintSteps(g, r, heights, (left + right) / 2, right - left);
        g.setLineCap(StrokeLineCap.BUTT);
    }

    private String meaning(Readout.Voice v) {
        int strings = model.riff().ground().board().strings();
        String where =
                v.source().open()
                        ? "open string " + (strings - v.source().string()) + ", ringing"
                        : "string "
                                + (strings - v.source().string())
                                + ", fret "
                                + v.source().fret();
        return v.note().symbol()
                + ": "
                + v.ofChord().symbol()
                + " of the chord, "
                + v.ofKey().symbol()
                + " of the key; "
                + where;
    }

    /** Intervals between neighbouring voices, where there is room for their names. */
    private void paintSteps(
            GraphicsContext g, Readout r, List<Double> heights, double x, double room) {
        VoiceBand c = getSkinnable();
        for (int v = 0; v + 1 < heights.size(); v++) {
            if (heights.get(v) - heights.get(v + 1) >= 18 && room >= 44) {
                String name = shortInterval(r.steps().get(v));
                double y = (heights.get(v) + heights.get(v + 1)) / 2;
                text(g, name, x, y, c.smallFont(), c.dim(), TextAlignment.CENTER);
            }
        }
    }

    private static String shortInterval(int semitones) {
        return switch (semitones) {
            case 5 -> "fourth";
            case 7 -> "fifth";
            case 12 -> "octave";
            default -> vocalis.core.theory.Degree.intervalName(semitones);
        };
    }

    private Paint paintOf(Readout.Voice voice) {
        VoiceBand c = getSkinnable();
        if (voice.ofChord().semitones() == 0) {
            return c.rootPaint();
        }
        return voice.source().open() ? c.openPaint() : c.ink();
    }
}
