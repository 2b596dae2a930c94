package vocalis.desktop.revoice;

import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Paint;
import javafx.scene.text.TextAlignment;
import vocalis.core.derive.Derived;
import vocalis.core.instrument.Fretboard;
import vocalis.core.revoice.Row;
import vocalis.core.revoice.Rub;
import vocalis.core.riff.RootSpan;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.session.Editing;
import vocalis.desktop.view.Area;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.HoldToHear;
import vocalis.sound.gain.Ghost;
import vocalis.workbench.words.RevoiceWords;

/** Paints the grid: names and shapes, voices on one scale, and what each row costs. */
final class RevoiceGridSkin extends CanvasSkin<RevoiceGrid> {

    private static final double NAMES = 148;
    private static final double FIGURES = 290;

    /** Room under the rows for how many are out of sight. */
    private static final double FOOT = 18;

    private static final double HEAD = 34;
    private static final double LEAST_COLUMN = 74;
    private static final double LEAST_ROW = 27;
    private static final double MOST_ROW = 44;

    /** Added tones over this level against the strongest line are drawn taller. */
    private static final double LOUD_DB = -12;

    private final Editing session;
    private final RevoiceModel revoice;
    private final RowFigures figures;
    private int firstColumn;
    private boolean onCell;
    private int firstRow;
    private int columns;
    private int shownRows;
    private double rowHeight;
    private double width;
    private int nowColumn = -1;
    private long shortest = 1;

    RevoiceGridSkin(RevoiceGrid grid) {
        super(grid);
        session = grid.session();
        revoice = grid.model();
        figures = new RowFigures(this, grid);
        watch(revoice.changedProperty(), revoice.rowProperty(), revoice.columnProperty());
        grid.setOnMousePressed(this::pressed);
        grid.setOnScroll(e -> revoice.move(e.getDeltaY() > 0 ? -1 : 1, 0));
        // A cell that is held sounds alone, a row by its name.
        HoldToHear.mouse(
                grid,
                () -> onCell ? revoice.heard().hearCell() : revoice.heard().hearRow(),
                revoice::endHearing);
    }

    @Override
    public void dispose() {
        if (getSkinnable() != null) {
            getSkinnable().setOnMousePressed(null);
            getSkinnable().setOnScroll(null);
        }
        super.dispose();
    }

    void showNow(boolean playing, double tick) {
        int now = playing ? session.now().chordAt((long) tick) : -1;
        if (now != nowColumn) {
            nowColumn = now;
            getSkinnable().requestLayout();
        }
    }

    @Override
    public Optional<Area> caret() {
        int row = revoice.rowProperty().get() - firstRow;
        int column = revoice.columnProperty().get();
        return Optional.of(new Area(x(column), y(row), x(column + 1) - x(column), rowHeight, ""));
    }

    private double y(int shown) {
        return HEAD + shown * rowHeight;
    }

    /** Left edge of a column: columns share the room by the length of their roots. */
    private double x(int column) {
        double room = width - NAMES - FIGURES;
        double all = 0;
        double before = 0;
        for (int i = firstColumn; i < firstColumn + columns; i++) {
            double share = share(i);
            all += share;
            before += i < column ? share : 0;
        }
        return NAMES + (all == 0 ? 0 : room * before / all);
    }

    /** Longer roots are wider, but none is more than three times another. */
    private double share(int column) {
        List<RootSpan> roots = session.now().roots();
        if (column >= roots.size()) {
            return 0;
        }
        return Math.min(3, Math.sqrt((double) roots.get(column).length() / shortest));
    }

    @Override
    protected void paint(GraphicsContext g, double w, double h) {
        width = w;
        shortest = session.now().roots().stream().mapToLong(r -> r.length()).min().orElse(1);
        int chords = session.now().roots().size();
        columns = Math.max(1, Math.min(chords, (int) ((w - NAMES - FIGURES) / LEAST_COLUMN)));
        // The riff may have become shorter since the caret was set.
        int column = Math.min(revoice.columnProperty().get(), chords - 1);
        firstColumn = Math.max(0, Math.min(firstColumn, chords - columns));
        firstColumn = column < firstColumn ? column : firstColumn;
        firstColumn = column >= firstColumn + columns ? column - columns + 1 : firstColumn;
        int rows = revoice.rows().size();
        rowHeight = Math.max(LEAST_ROW, Math.min(MOST_ROW, (h - HEAD) / Math.max(1, rows)));
        shownRows = Math.max(1, Math.min(rows, (int) ((h - HEAD - foot(h, rows)) / rowHeight)));
        int row = Math.max(0, Math.min(revoice.rowProperty().get(), rows - 1));
        firstRow = Math.max(0, Math.min(firstRow, rows - shownRows));
        firstRow = row < firstRow ? row : firstRow;
        firstRow = row >= firstRow + shownRows ? row - shownRows + 1 : firstRow;
        paintNow(g, h);
        paintHead(g);
        for (int i = 0; i < shownRows && firstRow + i < rows; i++) {
            paintRow(g, firstRow + i, i);
        }
        paintMore(g, h, rows);
    }

    /** Where not all rows fit, room is left for the line that says so. */
    private static double foot(double h, int rows) {
        return (h - HEAD) / LEAST_ROW < rows ? FOOT : 0;
    }

    /** A bar at the edge says which of the rows are in sight; the wheel goes through them. */
    private void paintMore(GraphicsContext g, double h, int rows) {
        if (shownRows >= rows) {
            return;
        }
        RevoiceGrid c = getSkinnable();
        double room = h - HEAD;
        double top = HEAD + room * firstRow / rows;
        g.setFill(c.faint());
        g.fillRoundRect(width - 8, HEAD, 4, room, 4, 4);
        g.setFill(c.line());
        g.fillRoundRect(width - 8, top, 4, room * shownRows / rows, 4, 4);
        String seen = "Rows %d to %d of %d; the wheel and the arrows go on";
        means(width - 12, HEAD, 12, room, seen.formatted(firstRow + 1, firstRow + shownRows, rows));
        int below = rows - firstRow - shownRows;
        if (below > 0) {
            String more = "and " + below + " more rows: a click here, or ↑ from the first";
            text(g, more, 40, h - 8, c.smallFont(), c.dim(), TextAlignment.LEFT);
        }
    }

    private void paintNow(GraphicsContext g, double h) {
        if (nowColumn >= firstColumn && nowColumn < firstColumn + columns) {
            g.setFill(getSkinnable().raised());
            g.fillRect(x(nowColumn), 0, x(nowColumn + 1) - x(nowColumn), h);
        }
    }

    private void paintHead(GraphicsContext g) {
        RevoiceGrid c = getSkinnable();
        Key key = session.now().ground().key();
        for (int i = firstColumn; i < firstColumn + columns; i++) {
            int root = session.now().roots().get(i).root().pitchClass(key);
            String name = key.say(root).symbol() + (revoice.locked(i) ? "  kept" : "");
            text(g, name, x(i) + 8, 16, c.boldFont(), c.ink(), TextAlignment.LEFT);
            String degree = key.degree(root).symbol();
            if (x(i + 1) - x(i) > 90) {
                text(g, degree, x(i + 1) - 12, 16, c.smallFont(), c.dim(), TextAlignment.RIGHT);
            }
        }
        int chords = session.now().roots().size();
        if (!revoice.second().head().isEmpty()) {
            text(g, revoice.second().head(), 38, 16, c.boldFont(), c.ink(), TextAlignment.LEFT);
        } else if (columns < chords) {
            String which = (firstColumn + 1) + " to " + (firstColumn + columns) + " of " + chords;
            text(g, which, 20, 16, c.smallFont(), c.dim(), TextAlignment.LEFT);
        }
        double f = width - FIGURES;
        String[] heads = {"tension", "hand", "growl", "mud", "bite"};
        for (int i = 0; i < heads.length; i++) {
            text(
                    g,
                    heads[i],
                    RowFigures.figure(f, i),
                    16,
                    c.smallFont(),
                    c.dim(),
                    TextAlignment.LEFT);
        }
    }

    private void paintRow(GraphicsContext g, int index, int shown) {
        RevoiceGrid c = getSkinnable();
        Row r = revoice.rows().get(index);
        double y = y(shown);
        boolean caret = index == revoice.rowProperty().get();
        if (caret) {
            g.setFill(c.raised());
            g.fillRoundRect(8, y + 1, width - 16, rowHeight - 2, 8, 8);
            g.setStroke(c.isFocused() ? c.ink() : c.line());
            g.setLineWidth(1);
            g.strokeRoundRect(8.5, y + 1.5, width - 17, rowHeight - 3, 8, 8);
        }
        boolean begins =
                index > 0 && RowFigures.kind(r) != RowFigures.kind(revoice.rows().get(index - 1));
        if (begins) {
            stroke(g, c.faint(), 1, 20, Math.round(y) + 0.5, width - 20, Math.round(y) + 0.5);
        }
        double middle = y + rowHeight / 2;
        String digit =
                r.family()
                        .map(f -> String.valueOf(f.digit()))
                        .orElse(r.intent().isEmpty() ? "" : "·");
        text(g, digit, 24, middle, c.smallFont(), c.dim(), TextAlignment.CENTER);
        boolean sounds = caret && revoice.heard().otherSounds();
        text(
                g,
                fit(RevoiceWords.name(r), NAMES - 52, c.textFont()) + (sounds ? "  ♪" : ""),
                38,
                middle,
                r.mix() || caret ? c.boldFont() : c.textFont(),
                c.ink(),
                TextAlignment.LEFT);
        means(8, y, NAMES - 10, rowHeight, RevoiceWords.what(r));
        for (int i = firstColumn; i < firstColumn + columns; i++) {
            if (i < r.derived().chords().size()) {
                paintCell(g, r, i, y, caret);
            }
        }
        figures.paint(g, r, width - FIGURES, y, rowHeight);
    }

    private void paintCell(GraphicsContext g, Row r, int chord, double y, boolean caretRow) {
        RevoiceGrid c = getSkinnable();
        Derived.Chord at = r.derived().chords().get(chord);
        Voicing v = at.candidate().voicing();
        double left = x(chord) + 8;
        double right = x(chord + 1) - 12;
        boolean caret = caretRow && chord == revoice.columnProperty().get();
        if (caret) {
            paintCaret(g, left, right, y);
        }
        String name = r.derived().score().harmonies().get(chord).symbol();
        String shape = v.shape().text();
        boolean mine = revoice.written(r, chord);
        names(g, name, shape, mine, left, right, y);
        double strip = y + rowHeight - (rowHeight > 34 ? 11 : 6.5);
        CellStrip.voices(g, getSkinnable(), half(), v, at.root(), left, right, strip);
        paintTies(g, r, chord, left, right, strip);
        String ghosts = paintGhosts(g, r, chord, left, right, strip);
        List<Rub> rubs = revoice.second().rubs(r, chord);
        CellStrip.rubs(g, getSkinnable(), v, rubs, left, right, strip);
        means(
                left,
                y,
                right - left,
                rowHeight,
                name
                        + " as "
                        + shape
                        + (mine ? ", as it is written" : "")
                        + (revoice.second().on()
                                ? "; over what is written " + RevoiceWords.of(rubs, session.key())
                                : "")
                        + ghosts
                        + ". The bar shows its voices on one scale that all rows share, low at the left; what sounds on in the next chord is tied to it.");
    }

    private void names(
            GraphicsContext g,
            String name,
            String shape,
            boolean mine,
            double left,
            double right,
            double y) {
        RevoiceGrid c = getSkinnable();
        double line = y + (rowHeight > 34 ? 13 : 9.5);
        boolean both =
                width(name, c.smallFont()) + width(shape, c.smallMonoFont()) + 8 < right - left;
        String shown = fit(name, right - left, c.smallFont());
        Paint ink = mine ? c.dim() : c.ink();
        text(g, shown, left, line, c.smallFont(), ink, TextAlignment.LEFT);
        if (both) {
            text(g, shape, right, line, c.smallMonoFont(), c.dim(), TextAlignment.RIGHT);
        }
    }

    private void paintCaret(GraphicsContext g, double left, double right, double y) {
        RevoiceGrid c = getSkinnable();
        g.setStroke(c.isFocused() ? c.ink() : c.line());
        g.setLineWidth(2);
        g.strokeRoundRect(left - 6, y + 3, right - left + 12, rowHeight - 6, 6, 6);
    }

    private double half() {
        return rowHeight > 34 ? 5 : 3;
    }

    /** Common tones, bowed from their mark to that in the next chord. */
    private void paintTies(
            GraphicsContext g, Row r, int chord, double left, double right, double y) {
        int next = chord + 1;
        if (next >= r.derived().chords().size() || next >= firstColumn + columns) {
            return;
        }
        Voicing a = r.derived().chords().get(chord).candidate().voicing();
        Voicing b = r.derived().chords().get(next).candidate().voicing();
        double depth = rowHeight > 34 ? 9 : 6;
        g.setStroke(getSkinnable().dim());
        g.setLineWidth(1);
        for (int midi : new TreeSet<>(a.midi())) {
            if (!b.midi().contains(midi)) {
                continue;
            }
            double x1 = CellStrip.place(a.board(), midi, left, right);
            double x2 = CellStrip.place(b.board(), midi, x(next) + 8, x(next + 1) - 12);
            CellStrip.bow(g, x1, x2, y + half() + 0.5, depth);
        }
    }

    /** What gain adds: short marks between the voices; said in words too. */
    private String paintGhosts(
            GraphicsContext g, Row r, int chord, double left, double right, double y) {
        List<Ghost> ghosts =
                revoice.grind(r)
                        .filter(m -> chord < m.ghosts().size())
                        .map(m -> m.ghosts().get(chord))
                        .orElse(List.of());
        Fretboard b = session.now().ground().board();
        String said = "";
        for (Ghost ghost : ghosts) {
            double x = CellStrip.place(b, ghost.midi() + ghost.cents() / 100, left, right);
            boolean loud = ghost.db() > LOUD_DB;
            double tall = loud ? 2.5 : 1.5;
            Paint ink = loud ? getSkinnable().dim() : getSkinnable().line();
            stroke(g, ink, 1, x, y - tall, x, y + tall);
            said +=
                    (said.isEmpty() ? "; gain adds " : ", ")
                            + session.key().note(ghost.midi()).symbol();
        }
        return said;
    }

    private void pressed(MouseEvent e) {
        getSkinnable().requestFocus();
        onCell = false;
        int row = firstRow + (int) ((e.getY() - HEAD) / rowHeight);
        if (e.getY() < HEAD) {
            return;
        }
        if (row >= firstRow + shownRows) {
            // What stands below is told there: a click goes on to it.
            int last = Math.min(revoice.rows().size(), firstRow + 2 * shownRows) - 1;
            revoice.caret(last, revoice.columnProperty().get());
            return;
        }
        for (int i = firstColumn; i < firstColumn + columns; i++) {
            if (e.getX() >= x(i) && e.getX() < x(i + 1)) {
                revoice.caret(row, i);
                onCell = true;
                if (e.getClickCount() == 2) {
                    revoice.edits().takeCell();
                }
                return;
            }
        }
        revoice.caret(row, revoice.columnProperty().get());
    }
}
