package vocalis.desktop.view;

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

/** A riff in small: each chord a stack of rungs on a semitone scale, its name over it. */
public final class RiffPicture extends PaintedControl {

    private record Shown(Derived derived, int[] range) {}

    private final ObjectProperty<Optional<Shown>> shown =
            new SimpleObjectProperty<>(Optional.empty());

    public RiffPicture() {
        super("riff-picture");
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
            double per = (h - HEAD - FOOT) / Math.max(1, range[1] - range[0]);
            for (int i = 0; i < d.chords().size(); i++) {
                Derived.Chord chord = d.chords().get(i);
                double left = w * chord.start() / length;
                double right = w * chord.end() / length - GAP;
                Voicing v = chord.candidate().voicing();
                String name = d.score().harmonies().get(i).symbol();
                if (width(name, c.boldFont()) < right - left + GAP) {
                    text(g, name, left, 10, c.boldFont(), c.ink(), TextAlignment.LEFT);
                }
                stroke(g, c.faint(), 1, left, h - 0.5, right, h - 0.5);
                for (Sounding s : v.soundings()) {
                    boolean root = s.pitchClass() == chord.root();
                    Paint paint = root ? c.rootPaint() : s.open() ? c.openPaint() : c.ink();
                    double y = h - FOOT - (s.midi() - range[0]) * per;
                    stroke(g, paint, 3, left + 2, y, right, y);
                }
            }
        }
    }
}
