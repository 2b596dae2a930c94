package vocalis.desktop.pictures;

import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Skin;
import javafx.scene.paint.Paint;
import javafx.scene.text.TextAlignment;
import vocalis.core.derive.Derived;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.PaintedControl;

/**
 * A riff in small: each chord a stack of rungs on a semitone scale, its name over it; where it is
 * asked for, its grip on the neck below.
 */
public final class RiffPicture extends PaintedControl {

    private record Shown(Derived derived, int[] range) {}

    private final ObjectProperty<Optional<Shown>> shown =
            new SimpleObjectProperty<>(Optional.empty());

    private final boolean grips;

    public RiffPicture() {
        this(false);
    }

    /** With the grips on the neck, or without. */
    public RiffPicture(boolean grips) {
        super("riff-picture");
        this.grips = grips;
    }

    /** Shows a riff between two notes, so that several can be read on one scale. */
    public void show(Derived derived, int[] range) {
        shown.set(Optional.of(new Shown(derived, range)));
        setAccessibleText(
                "Chords "
                        + String.join(
                                ", ",
                                derived.score().harmonies().stream()
                                        .map(h -> h.symbol())
                                        .toList()));
    }

    /** The lowest and the highest note of some riffs, MIDI numbers. */
    public static int[] range(Derived... all) {
        int low = Integer.MAX_VALUE;
        int high = Integer.MIN_VALUE;
        for (Derived d : all) {
            for (Derived.Chord c : d.chords()) {
                for (int midi : c.candidate().voicing().midi()) {
                    low = Math.min(low, midi);
                    high = Math.max(high, midi);
                }
            }
        }
        return new int[] {low, high};
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new PictureSkin(this);
    }

    private static final class PictureSkin extends CanvasSkin<RiffPicture> {

        private static final double HEAD = 24;
        private static final double GAP = 10;
        private static final double FOOT = 8;

        /** Height of the grips with what stands above and below them. */
        private static final double GRIPS = GripPicture.HIGH + 44;

        private static final double GRIP_WIDTH = 170;

        PictureSkin(RiffPicture picture) {
            super(picture);
            watch(picture.shown);
        }

        @Override
        protected void paint(GraphicsContext g, double w, double h) {
            RiffPicture c = getSkinnable();
            if (c.shown.get().isEmpty()) {
                return;
            }
            Derived d = c.shown.get().get().derived();
            int[] range = c.shown.get().get().range();
            double length = d.riff().length();
            double rungs = h - (c.grips ? GRIPS : 0);
            double per = (rungs - HEAD - FOOT) / Math.max(1, range[1] - range[0]);
            for (int i = 0; i < d.chords().size(); i++) {
                Derived.Chord chord = d.chords().get(i);
                double left = w * chord.start() / length;
                double right = w * chord.end() / length - GAP;
                Voicing v = chord.candidate().voicing();
                String name = d.score().harmonies().get(i).symbol();
                if (width(name, c.boldFont()) < right - left + GAP) {
                    text(g, name, left, 10, c.boldFont(), c.ink(), TextAlignment.LEFT);
                }
                stroke(g, c.faint(), 1, left, rungs - 0.5, right, rungs - 0.5);
                for (Sounding s : v.soundings()) {
                    boolean root = s.pitchClass() == chord.root();
                    Paint paint = root ? c.rootPaint() : s.open() ? c.openPaint() : c.ink();
                    double y = rungs - FOOT - (s.midi() - range[0]) * per;
                    stroke(g, paint, 3, left + 2, y, right, y);
                }
                if (c.grips) {
                    double wide = Math.min(GRIP_WIDTH, right - left);
                    new GripPicture(this, c).paint(g, v, chord.root(), left, rungs + 18, wide);
                }
            }
        }
    }
}
