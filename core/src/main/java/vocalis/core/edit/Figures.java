package vocalis.core.edit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.EventOverride;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Limits;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Restart;
import vocalis.core.pattern.Touch;
import vocalis.core.riff.Riff;

/** What can be done to the figures of a riff; each returns another riff. */
public final class Figures {

    private Figures() {}

    /**
     * Gives what is played at a tick a figure of its own, so that it can be another there: the pass
     * becomes a figure with what was changed at it, the touches on it go along.
     *
     * @throws IllegalArgumentException when figures start again at bars or roots
     */
    public static Riff own(Riff riff, long tick) {
        if (riff.pattern().restart() != Restart.RUNS_ON) {
            throw new IllegalArgumentException(
                    "the figures start again at every bar or root; let them run on first");
        }
        Pattern p = riff.pattern();
        List<Pass> passes = riff.passes();
        Pass here = riff.passAt(tick);
        String old = here.figure().id();
        if (passes.stream().filter(q -> q.figure().id().equals(old)).count() == 1) {
            return riff;
        }
        String id = Pattern.freeId(p.figures(), old);
        List<Figure> figures = new ArrayList<>(p.figures());
        figures.add(here.figure().called(id));
        List<String> order = new ArrayList<>();
        for (Pass q : passes) {
            order.add(q.index() == here.index() ? id : q.figure().id());
        }
        List<EventOverride> overrides = new ArrayList<>();
        for (EventOverride o : p.overrides()) {
            if (o.pass() != here.index() || !o.figure().equals(old)) {
                overrides.add(o);
            }
        }
        List<Touch> touches = touches(riff, here, old, id);
        long first = passes.get(0).start();
        Pattern own = new Pattern(figures, order, 0, Restart.RUNS_ON, overrides).late(first);
        return riff.withPattern(own).withTouches(touches);
    }

    /** Those on the pass go to its own figure; those on every pass are there too. */
    private static List<Touch> touches(Riff riff, Pass here, String old, String id) {
        List<Touch> touches = new ArrayList<>();
        for (Touch t : riff.touches()) {
            Anchor a = t.anchor();
            boolean everywhere = a.figure().equals(old) && a.pass().isEmpty();
            boolean alone = a.figure().equals(old) && a.pass().equals(Optional.of(here.index()));
            if (!alone) {
                touches.add(t);
            }
            if (alone || everywhere) {
                touches.add(t.on(a.on(id, Optional.empty())));
            }
        }
        return touches;
    }

    private static Riff changed(Riff riff, Figure figure) {
        Pattern p = riff.pattern();
        List<Figure> figures =
                p.figures().stream().map(f -> f.id().equals(figure.id()) ? figure : f).toList();
        Pattern fitted = new Pattern(figures, p.order(), 0, p.restart(), p.overrides());
        return riff.withPattern(fitted.late(p.offset()));
    }

    /**
     * Lays another figure in place of the one at a tick, at all its passes. Touches on what stood
     * there are kept, and found as having no place.
     */
    public static Riff replace(Riff riff, long tick, Figure other) {
        Figure f = at(riff, tick);
        int free = f.freeId();
        for (Touch t : riff.touches()) {
            boolean here = t.anchor().figure().equals(f.id());
            free = here ? Math.max(free, t.anchor().event() + 1) : free;
        }
        List<Event> events = new ArrayList<>();
        for (Event e : other.events()) {
            events.add(e.numbered(free + e.id()));
        }
        return changed(riff, new Figure(f.id(), other.name(), other.length(), events));
    }

    private static Figure at(Riff riff, long tick) {
        return riff.pattern().figure(riff.passAt(tick).figure().id());
    }

    /** Makes the figure at a tick longer (shorter) by ticks; every pass after it moves. */
    public static Riff lengthen(Riff riff, long tick, long by) {
        Figure f = at(riff, tick);
        return changed(riff, f.lasting(f.length() + by));
    }

    /**
     * Turns the figure at a tick around itself: everything comes later by ticks, and what leaves at
     * its end comes in at its beginning. An event that would lie across the end is cut there.
     */
    public static Riff rotate(Riff riff, long tick, long by) {
        Figure f = at(riff, tick);
        List<Event> events = new ArrayList<>();
        for (Event e : f.events()) {
            long at = Math.floorMod(e.at() + by, f.length());
            long length = Math.min(e.length(), f.length() - at);
            if (length >= Limits.SHORTEST_EVENT) {
                events.add(e.beginning(at).lasting(length));
            }
        }
        events.sort(Comparator.comparingLong(Event::at));
        return changed(riff, f.playing(events));
    }

    /** Lets the whole pattern come later by ticks. */
    public static Riff displace(Riff riff, long by) {
        Pattern p = riff.pattern();
        return riff.withPattern(p.late(p.offset() + by));
    }

    /** The next rule of where figures start again. */
    public static Riff nextRestart(Riff riff) {
        Restart[] all = Restart.values();
        Restart next = all[(riff.pattern().restart().ordinal() + 1) % all.length];
        return riff.withPattern(riff.pattern().restarting(next));
    }
}
