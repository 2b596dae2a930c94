package vocalis.desktop.arrange;

import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Paint;
import javafx.scene.text.TextAlignment;
import vocalis.core.arrange.Clash;
import vocalis.core.arrange.Song;
import vocalis.core.derive.Derived;
import vocalis.core.piece.Section;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.voicing.Sounding;
import vocalis.desktop.view.Area;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.HoldToHear;
import vocalis.desktop.view.TimeAxis;
import vocalis.workbench.words.ArrangeWords;

/** Paints the strip; time runs over all of it, however long the piece is. */
final class SongStripSkin extends CanvasSkin<SongStrip> {

    static final double NAMES = 92;
    static final double RIGHT = 20;
    private static final double HEAD = 46;
    private static final double CLASHES = 20;
    private static final double LIFT = 184;
    private static final double LEAST_PART = 40;

    private final ArrangeModel arrange;
    private double width;

    SongStripSkin(SongStrip strip) {
        super(strip);
        arrange = strip.model();
        watch(arrange.changedProperty(), arrange.sectionProperty());
        strip.setOnMousePressed(this::pressed);
        HoldToHear.mouse(
                strip, () -> arrange.beginHearing(ArrangePlace.STRIP), arrange::endHearing);
    }

    @Override
    public void dispose() {
        if (getSkinnable() != null) {
            getSkinnable().setOnMousePressed(null);
        }
        super.dispose();
    }

    private void pressed(MouseEvent e) {
        getSkinnable().requestFocus();
        arrange.song()
                .ifPresent(
                        s -> {
                            double tick = axis(s).tick(e.getX());
                            if (tick >= 0 && tick < s.length()) {
                                arrange.sectionProperty().set(s.sectionAt((long) tick));
                                arrange.hearing().goTo((long) tick);
                            }
                        });
    }

    private TimeAxis axis(Song s) {
        return new TimeAxis(NAMES, Math.max(NAMES + 10, width - RIGHT), 0, s.length());
    }

    void showNow(boolean playing, double tick) {
        Optional<Song> s = arrange.song();
        boolean shown = playing && s.isPresent();
        double x = shown ? axis(s.get()).x(arrange.hearing().tick(tick)) : 0;
        now(shown, x, HEAD, getSkinnable().getHeight() - 4);
    }

    @Override
    public Optional<Area> caret() {
        return arrange.song()
                .filter(s -> arrange.sectionProperty().get() < s.piece().sections().size())
                .map(
                        s -> {
                            int i = arrange.sectionProperty().get();
                            double left = axis(s).x(s.start(i));
                            double right = axis(s).x(s.end(i));
                            return new Area(left, 0, right - left, HEAD, "");
                        });
    }

    @Override
    protected void paint(GraphicsContext g, double w, double h) {
        width = w;
        SongStrip c = getSkinnable();
        Optional<Song> song = arrange.song();
        if (song.isEmpty()) {
            String words = arrange.wrong().orElse("Playing the piece through …");
            text(g, words, NAMES, HEAD, c.textFont(), c.ink(), TextAlignment.LEFT);
            return;
        }
        Song s = song.get();
        if (s != knownFor) {
            struck.clear();
            knownFor = s;
        }
        TimeAxis axis = axis(s);
        double part = Math.max(LEAST_PART, (h - HEAD - CLASHES - LIFT) / (parts(s)));
        double y = HEAD;
        sections(g, s, axis, h);
        y = guitars(g, s, axis, y, part);
        clashes(g, s, axis, y);
        new LiftPainter(this, c, arrange)
                .paint(g, s, axis, y + CLASHES, Math.max(60, h - y - CLASHES - 8), width);
    }

    private static int parts(Song s) {
        return s.second().isPresent() ? 2 : 1;
    }

    private void sections(GraphicsContext g, Song s, TimeAxis axis, double h) {
        SongStrip c = getSkinnable();
        List<Section> all = s.piece().sections();
        MeterMap meters = s.score().time().meters();
        for (int i = 0; i < all.size(); i++) {
            double left = axis.x(s.start(i));
            double right = axis.x(s.end(i));
            boolean caret = i == arrange.sectionProperty().get();
            if (caret) {
                g.setFill(c.raised());
                g.fillRoundRect(left + 1, 3, right - left - 2, h - 8, 8, 8);
                g.setStroke(c.isFocused() ? c.ink() : c.line());
                g.setLineWidth(c.isFocused() ? 1.5 : 1);
                g.strokeRoundRect(left + 1.5, 3.5, right - left - 3, h - 9, 8, 8);
            }
            String name = all.get(i).name();
            double room = right - left - 12;
            if (room > 14) {
                named(g, s, i, left, room);
            }
            means(left, 0, right - left, HEAD, name + ", " + under(s, i));
            if (i > 0) {
                stroke(g, c.line(), 1, Math.round(left) + 0.5, 6, Math.round(left) + 0.5, h - 6);
            }
        }
        place(g, axis);
        bars(g, s, axis);
    }

    private void named(GraphicsContext g, Song s, int i, double left, double room) {
        SongStrip c = getSkinnable();
        text(
                g,
                fit(s.piece().sections().get(i).name(), room, c.boldFont()),
                left + 8,
                16,
                c.boldFont(),
                c.ink(),
                TextAlignment.LEFT);
        text(
                g,
                fit(under(s, i), room, c.smallFont()),
                left + 8,
                33,
                c.smallFont(),
                c.dim(),
                TextAlignment.LEFT);
    }

    private void bars(GraphicsContext g, Song s, TimeAxis axis) {
        SongStrip c = getSkinnable();
        MeterMap meters = s.score().time().meters();
        double last = -100;
        int bars = meters.bars(s.length());
        for (int b = 0; b < bars; b++) {
            double x = axis.x(meters.start(b));
            if (x - last > 26) {
                stroke(g, c.faint(), 1, Math.round(x) + 0.5, HEAD - 3, Math.round(x) + 0.5, HEAD);
                last = x;
            }
        }
    }

    /** Where play begins, and the stretch that is marked from there. */
    private void place(GraphicsContext g, TimeAxis axis) {
        SongStrip c = getSkinnable();
        if (arrange.hearing().placeNow().isEmpty()) {
            return;
        }
        double x = axis.x(arrange.hearing().placeNow().getAsLong());
        g.setFill(c.ink());
        g.fillPolygon(new double[] {x, x + 8, x}, new double[] {HEAD - 8, HEAD - 4, HEAD}, 3);
        if (arrange.hearing().stretchNow().isPresent()) {
            double to = axis.x(arrange.hearing().stretchNow().getAsLong());
            stroke(g, c.ink(), 2, x, HEAD - 1, to, HEAD - 1);
            stroke(g, c.ink(), 2, to, HEAD - 6, to, HEAD - 1);
        }
    }

    private static String under(Song s, int section) {
        Section x = s.piece().sections().get(section);
        int bars = 0;
        for (Song.Passage p : s.passages()) {
            bars += p.turn().section() == section ? p.turn().riff().bars() : 0;
        }
        int tempo = s.score().time().tempos().at(s.start(section));
        String often = x.times() == 1 ? "" : x.times() + " × ";
        return often + bars / x.times() + " bars · " + tempo;
    }

    /** Voices of both guitars on one semitone scale, roots marked. */
    private double guitars(GraphicsContext g, Song s, TimeAxis axis, double top, double part) {
        SongStrip c = getSkinnable();
        double y = top;
        for (int p = 0; p < parts(s); p++) {
            text(
                    g,
                    p == 0 ? "guitar one" : "guitar two",
                    NAMES - 10,
                    y + part / 2,
                    c.smallFont(),
                    c.dim(),
                    TextAlignment.RIGHT);
            int[] range = range(s, p);
            double per = (part - 12) / Math.max(12, range[1] - range[0]);
            for (Song.Passage q : s.passages()) {
                Section section = s.piece().sections().get(q.turn().section());
                String id = s.piece().parts().get(Math.min(p, s.piece().parts().size() - 1)).id();
                if (section.playing(id).plays()) {
                    chords(
                            g,
                            p == 0 ? q.first() : q.second().orElseThrow(),
                            q,
                            axis,
                            y + part - 6,
                            per,
                            range[0]);
                }
            }
            y += part;
        }
        return y;
    }

    private void chords(
            GraphicsContext g,
            Derived d,
            Song.Passage q,
            TimeAxis axis,
            double bottom,
            double per,
            int lowest) {
        SongStrip c = getSkinnable();
        boolean[] hit = struck(d).chords();
        for (int i = 0; i < hit.length; i++) {
            Derived.Chord chord = d.chords().get(i);
            long from = Math.max(q.turn().start(), chord.start() + q.turn().shift());
            long to = chord.end() + q.turn().shift();
            if (to <= from || !hit[i]) {
                continue;
            }
            double left = axis.x(from) + 1;
            double right = Math.max(left + 1, axis.x(to) - 1);
            for (Sounding n : chord.candidate().voicing().soundings()) {
                boolean root = n.pitchClass() == chord.root();
                Paint paint = root ? c.rootPaint() : n.open() ? c.openPaint() : c.ink();
                double y = bottom - (n.midi() - lowest) * per;
                stroke(g, paint, 2, left, y, right, y);
            }
        }
        for (var n : d.score().notes()) {
            boolean single = !n.rings();
            if (single && n.at() >= q.turn().riff().loopStart()) {
                int midi = d.score().board().midi(n.string(), n.fret());
                double left = axis.x(n.at() + q.turn().shift());
                double right = Math.max(left + 2, axis.x(n.end() + q.turn().shift()) - 1);
                double y = bottom - (midi - lowest) * per;
                stroke(g, c.ink(), 2, left, y, right, y);
            }
        }
    }

    private final Map<Derived, StruckChords> struck = new IdentityHashMap<>();
    private Song knownFor;

    private StruckChords struck(Derived d) {
        return struck.computeIfAbsent(d, StruckChords::of);
    }

    private int[] range(Song s, int part) {
        int low = 127;
        int high = 0;
        for (Song.Passage p : s.passages()) {
            StruckChords k = struck(part == 0 ? p.first() : p.second().orElseThrow());
            low = Math.min(low, k.lowest());
            high = Math.max(high, k.highest());
        }
        return new int[] {low, Math.max(low, high)};
    }

    private void clashes(GraphicsContext g, Song s, TimeAxis axis, double top) {
        SongStrip c = getSkinnable();
        text(g, "clashes", NAMES - 10, top + 10, c.smallFont(), c.dim(), TextAlignment.RIGHT);
        Optional<Clash> now = arrange.clashNow();
        for (Clash x : arrange.clashes()) {
            boolean meant = arrange.piece().meant().contains(x.key());
            double at = axis.x(x.from());
            boolean caret = now.filter(x::equals).isPresent();
            g.setStroke(meant ? c.line() : c.ink());
            g.setFill(meant ? c.line() : c.ink());
            g.setLineWidth(1.2);
            double y = top + 10;
            if (meant) {
                g.strokeOval(at - 3, y - 3, 6, 6);
            } else {
                g.strokeLine(at - 4, y - 4, at + 4, y + 4);
                g.strokeLine(at - 4, y + 4, at + 4, y - 4);
            }
            if (caret) {
                g.strokeRoundRect(at - 8, y - 8, 16, 16, 4, 4);
            }
            means(
                    at - 6,
                    top,
                    12,
                    CLASHES,
                    ArrangeWords.place(s, x.from())
                            + ": "
                            + ArrangeWords.of(x, s)
                            + (meant ? ", meant" : ""));
        }
    }
}
