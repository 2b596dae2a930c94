package vocalis.core.edit;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Touch;
import vocalis.core.riff.Riff;

/** What can be done to the touches of a riff; each returns another riff. */
public final class Touches {

    private Touches() {}

    /** Adds a touch; one of its kind on the same note is replaced. */
    public static Riff put(Riff riff, Touch touch) {
        List<Touch> touches = new ArrayList<>(riff.touches());
        touches.removeIf(
                t -> t.getClass() == touch.getClass() && t.anchor().equals(touch.anchor()));
        touches.add(touch);
        return riff.withTouches(touches);
    }

    /** Adds several at once. */
    public static Riff putAll(Riff riff, List<Touch> touches) {
        Riff with = riff;
        for (Touch t : touches) {
            with = put(with, t);
        }
        return with;
    }

    /** Takes away every touch on an event that is heard at a pass. */
    public static Riff clear(Riff riff, String figure, int event, int pass) {
        List<Touch> touches = new ArrayList<>(riff.touches());
        touches.removeIf(t -> t.anchor().holds(figure, event, pass));
        return touches.size() == riff.touches().size() ? riff : riff.withTouches(touches);
    }

    /** Takes one touch away. */
    public static Riff remove(Riff riff, Touch touch) {
        List<Touch> touches = new ArrayList<>(riff.touches());
        return touches.remove(touch) ? riff.withTouches(touches) : riff;
    }

    /** Moves a note by frets against what it is already moved by; at nothing it is as the shape. */
    public static Riff moveNote(Riff riff, Anchor anchor, int frets) {
        int by = frets;
        List<Touch> touches = new ArrayList<>(riff.touches());
        for (Touch t : riff.touches()) {
            if (t instanceof Touch.Moved m && m.anchor().equals(anchor)) {
                by += m.frets();
                touches.remove(t);
            }
        }
        if (by != 0) {
            touches.add(new Touch.Moved(anchor, by));
        }
        return riff.withTouches(touches);
    }
}
