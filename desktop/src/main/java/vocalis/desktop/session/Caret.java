package vocalis.desktop.session;

import java.util.function.Supplier;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.LongProperty;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleLongProperty;
import vocalis.core.riff.Riff;

/**
 * The one caret of the riff: on a chord, and on a tick of the lane within it. It takes the page of
 * bars along, so that it is drawn where keys will find it.
 */
public final class Caret {

    private final Supplier<Riff> now;
    private final Viewport view;
    private final IntegerProperty chord = new SimpleIntegerProperty();
    private final LongProperty tick = new SimpleLongProperty();

    /**
     * @param now the riff as it stands
     */
    Caret(Supplier<Riff> now, Viewport view) {
        this.now = now;
        this.view = view;
        chord.addListener(o -> chordMoved());
    }

    /** Index of the chord under the caret. */
    public IntegerProperty chordProperty() {
        return chord;
    }

    public int chord() {
        return chord.get();
    }

    /** The tick under the caret in the lane. */
    public LongProperty tickProperty() {
        return tick;
    }

    /** Which stretch of the riff is on the screen. */
    public Viewport view() {
        return view;
    }

    /** Moves on the chords; it stops at the ends. */
    public void move(int by) {
        moveTo(chord.get() + by);
    }

    /** Goes to a chord, as near as there is one. */
    public void moveTo(int to) {
        chord.set(Math.max(0, Math.min(now.get().roots().size() - 1, to)));
    }

    /** Goes to a tick, as near as the riff has it, and to the chord that holds there. */
    public void goTo(long to) {
        tick.set(Math.max(0, Math.min(now.get().length() - 1, to)));
        moveTo(now.get().chordAt(tick.get()));
        view.show(tick.get());
    }

    /** Stays within a riff that has fewer chords than before. */
    void stayInside() {
        int last = now.get().roots().size() - 1;
        if (chord.get() > last) {
            chord.set(last);
        }
    }

    private void chordMoved() {
        Riff riff = now.get();
        int at = chord.get();
        if (at < riff.roots().size() && riff.chordAt(tick.get()) != at) {
            tick.set(riff.start(at));
        }
        // From the document: what is drawn may not have the chord yet.
        view.show(riff.start(at));
    }
}
