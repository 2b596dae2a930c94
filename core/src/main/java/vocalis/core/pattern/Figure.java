package vocalis.core.pattern;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * The unit of a pattern: events over a length of its own, which need not be a bar.
 *
 * @param id names it in the riff, 1 to 40 letters, digits, dots and hyphens
 * @param name as it is shown; may be empty
 * @param length ticks, from {@link Limits#SHORTEST_FIGURE}
 * @param events ascending, not overlapping, inside the length, ids all different
 */
public record Figure(String id, String name, long length, List<Event> events) {

    public Figure {
        Objects.requireNonNull(name, "name");
        if (!id.matches("[A-Za-z0-9.-]{1,40}")) {
            throw new IllegalArgumentException(
                    "a figure's id has 1 to 40 letters, digits, dots and hyphens, but is \""
                            + id
                            + "\"");
        }
        if (name.length() > 80) {
            throw new IllegalArgumentException("a figure's name has at most 80 characters");
        }
        if (length < Limits.SHORTEST_FIGURE || length > Limits.LONGEST_FIGURE) {
            throw new IllegalArgumentException(
                    "a figure lasts from "
                            + Limits.SHORTEST_FIGURE
                            + " to "
                            + Limits.LONGEST_FIGURE
                            + " ticks, but this one "
                            + length);
        }
        events = List.copyOf(events);
        Limits.most("events in a figure", events.size(), Limits.MOST_EVENTS);
        Set<Integer> ids = new HashSet<>();
        for (int i = 0; i < events.size(); i++) {
            Event e = events.get(i);
            if (i > 0 && e.at() < events.get(i - 1).end()) {
                throw new IllegalArgumentException(
                        "strokes must not overlap: one begins at tick "
                                + e.at()
                                + " before the one before it ends at "
                                + events.get(i - 1).end());
            }
            if (e.end() > length) {
                throw new IllegalArgumentException(
                        "a stroke ends at tick " + e.end() + ", past its figure's " + length);
            }
            if (!ids.add(e.id())) {
                throw new IllegalArgumentException("two events have the number " + e.id());
            }
        }
    }

    /** The event that sounds at a tick of the figure. */
    public Optional<Event> sounding(long at) {
        return events.stream().filter(s -> s.at() <= at && at < s.end()).findFirst();
    }

    /** The event that begins at a tick of the figure. */
    public Optional<Event> beginning(long at) {
        return events.stream().filter(s -> s.at() == at).findFirst();
    }

    /** The event of a number. */
    public Optional<Event> event(int number) {
        return events.stream().filter(e -> e.id() == number).findFirst();
    }

    /** A number that no event has. */
    public int freeId() {
        return events.stream().mapToInt(Event::id).max().orElse(-1) + 1;
    }

    /**
     * The figure with an event put in: one of its number or that began there is replaced, one that
     * sounded on is cut short, and the new one ends where the next sounds or the figure ends; rests
     * give way.
     *
     * @throws IllegalArgumentException when there is no room for it
     */
    public Figure with(Event event) {
        if (event.at() >= length) {
            throw new IllegalArgumentException(
                    "a stroke at tick " + event.at() + " lies past the figure's " + length);
        }
        List<Event> changed = new ArrayList<>();
        long end = Math.min(event.end(), length);
        for (Event e : events) {
            if (e.id() == event.id()) {
                continue;
            }
            if (e.at() > event.at() && e.sounds()) {
                end = Math.min(end, e.at());
                changed.add(e);
            } else if (e.at() > event.at()) {
                long left = e.end() - Math.max(e.at(), event.end());
                if (left >= Limits.SHORTEST_EVENT) {
                    changed.add(e.beginning(e.end() - left).lasting(left));
                }
            } else if (e.at() < event.at()) {
                boolean cut = e.end() > event.at();
                long left = event.at() - e.at();
                if (!cut || left >= Limits.SHORTEST_EVENT) {
                    changed.add(cut ? e.lasting(left) : e);
                }
            }
        }
        changed.add(event.lasting(end - event.at()));
        changed.sort(Comparator.comparingLong(Event::at));
        return new Figure(id, name, length, changed);
    }

    /** The figure without the event of a number. */
    public Figure without(int number) {
        return new Figure(id, name, length, events.stream().filter(e -> e.id() != number).toList());
    }

    /** The figure under another id. */
    public Figure called(String other) {
        return new Figure(other, name, length, events);
    }

    /** The figure with other events. */
    public Figure playing(List<Event> others) {
        return new Figure(id, name, length, others);
    }

    /** The figure at another length: what lies past it is cut, what is missing is rest. */
    public Figure lasting(long ticks) {
        List<Event> kept = new ArrayList<>();
        for (Event e : events) {
            long room = ticks - e.at();
            if (room >= Limits.SHORTEST_EVENT) {
                kept.add(e.length() > room ? e.lasting(room) : e);
            }
        }
        return new Figure(id, name, ticks, kept);
    }

    /** The stretch from one tick to another as a figure of its own; numbers of events stay. */
    public Figure cut(String otherId, long from, long to) {
        List<Event> kept = new ArrayList<>();
        for (Event e : events) {
            long start = Math.max(from, e.at());
            long end = Math.min(to, e.end());
            if (end - start >= Limits.SHORTEST_EVENT) {
                Event part = e.beginning(start - from).lasting(end - start);
                kept.add(start > e.at() ? part.tied(true) : part);
            }
        }
        return new Figure(otherId, name, to - from, kept);
    }

    /** This figure as one pass of it is played: first what is silent there, then what sounds. */
    Figure overridden(List<EventOverride> overrides) {
        Figure out = this;
        List<EventOverride> ordered = new ArrayList<>(overrides);
        ordered.sort(
                Comparator.comparing((EventOverride o) -> o.event().sounds())
                        .thenComparing(o -> out(o.event().id()))
                        .thenComparing(o -> o.event().at()));
        for (EventOverride o : ordered) {
            out = o.event().at() < length ? out.with(o.event()) : out.without(o.event().id());
        }
        return out;
    }

    /** Whether an event is none of this figure's own. */
    private boolean out(int number) {
        return event(number).isEmpty();
    }

    /**
     * What must be overridden for a pass to be played as another figure of the same length.
     *
     * @param changed with the numbers of this figure's events where they are the same events
     */
    public List<EventOverride> differences(Figure changed, int pass) {
        List<EventOverride> all = new ArrayList<>();
        for (Event e : events) {
            Event now = changed.event(e.id()).orElse(new Rest(e.id(), e.at(), e.length()));
            if (!now.equals(e)) {
                all.add(new EventOverride(id, pass, now));
            }
        }
        for (Event e : changed.events()) {
            if (out(e.id())) {
                all.add(new EventOverride(id, pass, e));
            }
        }
        return all;
    }
}
