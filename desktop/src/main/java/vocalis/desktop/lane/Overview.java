package vocalis.desktop.lane;

import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Skin;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.TextAlignment;
import vocalis.core.derive.Derived;
import vocalis.core.score.Harmony;
import vocalis.desktop.session.Viewport;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.PaintedControl;
import vocalis.desktop.view.TimeAxis;
import vocalis.desktop.writing.LaneScreen;

/** The whole riff on one strip: its chords, what of it is on the screen, where it plays. */
public final class Overview extends PaintedControl {

    private static final double HEIGHT = 18;

    private final LaneScreen model;

    public Overview(LaneScreen model) {
        super("overview");
        this.model = model;
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setAccessibleText("Overview of the whole riff");
        setFocusTraversable(false);
    }

    /** Moves the now-line. */
    public void showNow(boolean playing, double tick) {
        if (getSkin() instanceof Strip s) {
            s.showNow(playing, tick);
        }
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new Strip(this, model);
    }

    /** Paints the strip; a click turns to the page there. */
    private static final class Strip extends CanvasSkin<Overview> {
        private final LaneScreen model;
        private TimeAxis axis;

        Strip(Overview overview, LaneScreen model) {
            super(overview);
            this.model = model;
            watch(
                    model.derivedProperty(),
                    model.caret().view().shownProperty(),
                    model.caret().chordProperty());
            overview.setOnMousePressed(this::pressed);
            overview.setOnMouseDragged(this::pressed);
        }

        @Override
        public void dispose() {
            if (getSkinnable() != null) {
                getSkinnable().setOnMousePressed(null);
                getSkinnable().setOnMouseDragged(null);
            }
            super.dispose();
        }

        @Override
        protected double computePrefHeight(double w, double t, double r, double b, double l) {
            return HEIGHT;
        }

        @Override
        protected double computeMinHeight(double w, double t, double r, double b, double l) {
            return HEIGHT;
        }

        private void pressed(MouseEvent e) {
            if (axis != null) {
                // The caret comes along: keys change what is seen.
                model.lane().setCaret((long) axis.tick(e.getX()));
            }
        }

        void showNow(boolean playing, double tick) {
            if (axis != null) {
                now(playing, axis.x(tick), 0, HEIGHT);
            }
        }

        @Override
        protected void paint(GraphicsContext g, double w, double h) {
            Overview c = getSkinnable();
            Derived d = model.derived();
            axis = TimeAxis.of(w, 0, d.riff().length());
            Viewport.Range shown = model.caret().view().shownProperty().get();
            double x1 = axis.x(Math.max(0, shown.from()));
            double x2 = axis.x(Math.min(d.riff().length(), shown.to()));
            g.setFill(c.raised());
            g.fillRoundRect(x1, 1, Math.max(4, x2 - x1), h - 2, 5, 5);
            double said = axis.left() - 4;
            for (int i = 0; i < d.chords().size(); i++) {
                Derived.Chord chord = d.chords().get(i);
                Harmony harmony = d.score().harmonies().get(i);
                double left = axis.x(chord.start());
                double width = Math.max(1, axis.width(chord.length()) - 1);
                boolean here = i == model.caret().chord();
                g.setFill(here ? c.ink() : c.line());
                g.fillRect(left, h - 3, width, here ? 3 : 2);
                String name = harmony.symbol();
                double need = width(name, c.smallFont());
                if (left + 3 > said && need + 6 <= width) {
                    text(
                            g,
                            name,
                            left + 3,
                            h / 2 - 2,
                            c.smallFont(),
                            here ? c.ink() : c.dim(),
                            TextAlignment.LEFT);
                    said = left + 3 + need;
                }
                means(left, 0, width, h, "chord " + (i + 1) + ": " + name);
            }
            String bars = d.riff().bars() + (d.riff().bars() == 1 ? " bar" : " bars");
            text(g, bars, w - 8, h / 2, c.smallFont(), c.dim(), TextAlignment.RIGHT);
        }
    }
}
