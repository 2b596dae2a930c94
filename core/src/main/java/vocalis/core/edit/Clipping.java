package vocalis.core.edit;

import java.util.List;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Touch;

/**
 * A stretch of pattern taken up to be put elsewhere: what is struck, with the touches on it.
 *
 * @param length ticks
 * @param events with times from the start of the stretch, numbers from 0
 * @param touches anchored to those numbers
 */
public record Clipping(long length, List<Event> events, List<Touch> touches) {

    public Clipping {
        events = List.copyOf(events);
        touches = List.copyOf(touches);
        if (length <= 0) {
            throw new IllegalArgumentException("a stretch lasts longer than nothing");
        }
    }
}
