package vocalis.core.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.EventOverride;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Limits;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Rest;
import vocalis.core.pattern.Touch;
import vocalis.core.riff.Riff;

/**
 * What can be done to the pattern at a tick of the riff, in the figure for every pass or at the one
 * pass alone; each returns another riff. An event that touches belong to leaves a rest when it is
 * deleted, so that putting it back brings them back.
 */
public final class Strokes {

    private Strokes() {}

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

    /** Nothing is played: one figure of rests over the whole riff, in which each bar is its own. */
    public static Riff silence(Riff riff) {
        Figure rests = new Figure("part", "part", riff.length(), List.of());
        return riff.withPattern(Pattern.of(rests)).withTouches(List.of());
    }

    /** The event that sounds at a tick. */
    public static Optional<Event> at(Riff riff, long tick) {
        Pass pass = riff.passAt(tick);
        return pass.figure().sounding(tick - pass.start()).filter(Event::sounds);
    }

    /** Where the event that sounds at a tick begins in the riff. */
    public static Optional<Long> start(Riff riff, long tick) {
        Pass pass = riff.passAt(tick);
        return pass.figure()
                .sounding(tick - pass.start())
                .filter(Event::sounds)
                .map(e -> pass.start() + e.at());
    }

    /** Puts an event at a tick; its own number and time do not matter. */
    public static Riff put(Riff riff, long tick, Event event, Scope scope) {
        Pass pass = riff.passAt(tick);
        long at = tick - pass.start();
        Figure base = riff.pattern().figure(pass.figure().id());
        int id =
                pass.figure()
                        .beginning(at)
                        .or(() -> base.beginning(at))
                        .map(Event::id)
                        .orElseGet(() -> freeId(riff, base));
        return placed(riff, pass, event.numbered(id).beginning(at), scope);
    }

    private static Riff placed(Riff riff, Pass pass, Event placed, Scope scope) {
        Figure base = riff.pattern().figure(pass.figure().id());
        int id = placed.id();
        if (scope == Scope.EVERY_PASS) {
            Riff clear = cleared(riff, pass, id);
            return clear.withPattern(clear.pattern().with(base.with(placed)));
        }
        return played(riff, pass, pass.figure().with(placed));
    }

    /** Deletes what begins from one tick until before another, in those passes alone. */
    public static Riff emptied(Riff riff, long from, long to) {
        Riff out = riff;
        for (Pass pass : riff.passes()) {
            for (Event e : pass.events()) {
                long tick = pass.start() + e.at();
                if (e.sounds() && tick >= from && tick < to) {
                    out = remove(out, tick, Scope.THIS_PASS);
                }
            }
        }
        return out;
    }

    /** Deletes the event that sounds at a tick. */
    public static Riff remove(Riff riff, long tick, Scope scope) {
        Pass pass = riff.passAt(tick);
        Event event =
                pass.figure().sounding(tick - pass.start()).filter(Event::sounds).orElse(null);
        if (event == null) {
            return riff;
        }
        Figure base = riff.pattern().figure(pass.figure().id());
        if (scope == Scope.THIS_PASS || base.event(event.id()).isEmpty()) {
            return played(riff, pass, pass.figure().without(event.id()));
        }
        boolean touched =
                riff.touches().stream()
                        .anyMatch(
                                t ->
                                        t.anchor().figure().equals(base.id())
                                                && t.anchor().event() == event.id());
        Event own = base.event(event.id()).orElseThrow();
        Figure without =
                touched
                        ? base.with(new Rest(own.id(), own.at(), own.length()))
                        : base.without(event.id());
        Riff clear = cleared(riff, pass, event.id());
        return clear.withPattern(clear.pattern().with(without));
    }

    /** Changes the event that sounds at a tick; its number stays. */
    public static Riff change(Riff riff, long tick, UnaryOperator<Event> change, Scope scope) {
        Pass pass = riff.passAt(tick);
        Event event =
                pass.figure().sounding(tick - pass.start()).filter(Event::sounds).orElse(null);
        if (event == null) {
            return riff;
        }
        Figure base = riff.pattern().figure(pass.figure().id());
        Event now = change.apply(event).numbered(event.id());
        if (now.equals(event)) {
            return riff;
        }
        if (scope == Scope.THIS_PASS || base.event(event.id()).isEmpty()) {
            return played(riff, pass, pass.figure().with(now));
        }
        Riff clear = cleared(riff, pass, event.id());
        return clear.withPattern(clear.pattern().with(base.with(now)));
    }

    /** Takes a stretch of the pattern up. */
    public static Clipping copy(Riff riff, long from, long to) {
        List<Event> events = new ArrayList<>();
        List<Touch> touches = new ArrayList<>();
        for (Pass pass : riff.passes()) {
            for (Event e : pass.events()) {
                long at = pass.start() + e.at();
                if (at >= from && at < to && e.sounds()) {
                    int id = events.size();
                    long length = Math.min(e.length(), to - at);
                    if (length < Limits.SHORTEST_EVENT) {
                        continue;
                    }
                    events.add(e.numbered(id).beginning(at - from).lasting(length));
                    for (Touch t : riff.touches()) {
                        if (t.anchor().holds(pass.figure().id(), e.id(), pass.index())) {
                            Anchor a =
                                    new Anchor("copied", id, Optional.empty(), t.anchor().voice());
                            touches.add(t.on(a));
                        }
                    }
                }
            }
        }
        return new Clipping(to - from, events, touches);
    }

    /**
     * Puts a stretch in place of what is played from a tick on, as far as the riff goes. In the
     * figure itself only where the stretch meets one pass; else at the passes that it meets.
     */
    public static Riff paste(Riff riff, long tick, Clipping stretch, Scope wanted) {
        long to = Math.min(riff.length(), tick + stretch.length());
        boolean onePass = riff.passAt(tick).index() == riff.passAt(to - 1).index();
        Scope scope = onePass ? wanted : Scope.THIS_PASS;
        Riff out = riff;
        for (Pass pass : riff.passes()) {
            for (Event e : pass.events()) {
                long at = pass.start() + e.at();
                if (at >= tick && at < to) {
                    out = remove(out, at, scope);
                }
            }
        }
        for (Event e : stretch.events()) {
            long at = tick + e.at();
            if (at + Limits.SHORTEST_EVENT > to) {
                continue;
            }
            out = pasted(out, at, e, stretch, scope);
        }
        return out;
    }

    /** One event of a stretch with its touches, under a number of its own. */
    private static Riff pasted(Riff riff, long at, Event copied, Clipping stretch, Scope scope) {
        Pass pass = riff.passAt(at);
        Figure base = riff.pattern().figure(pass.figure().id());
        int id = freeId(riff, base);
        Event event = copied.numbered(id).beginning(at - pass.start());
        Riff out = placed(riff, pass, event, scope);
        Optional<Integer> on =
                scope == Scope.EVERY_PASS ? Optional.empty() : Optional.of(pass.index());
        List<Touch> touches = new ArrayList<>(out.touches());
        for (Touch t : stretch.touches()) {
            if (t.anchor().event() == copied.id()) {
                touches.add(t.on(new Anchor(base.id(), id, on, t.anchor().voice())));
            }
        }
        return out.withTouches(touches);
    }

    /** A number free in a figure, its overrides and the touches on it. */
    private static int freeId(Riff riff, Figure figure) {
        int free = figure.freeId();
        for (EventOverride o : riff.pattern().overrides()) {
            if (o.figure().equals(figure.id())) {
                free = Math.max(free, o.event().id() + 1);
            }
        }
        for (Touch t : riff.touches()) {
            if (t.anchor().figure().equals(figure.id())) {
                free = Math.max(free, t.anchor().event() + 1);
            }
        }
        return free;
    }

    /** Without what one pass changed of an event. */
    private static Riff cleared(Riff riff, Pass pass, int event) {
        List<EventOverride> kept =
                riff.pattern().overrides().stream()
                        .filter(
                                o ->
                                        o.pass() != pass.index()
                                                || !o.figure().equals(pass.figure().id())
                                                || o.event().id() != event)
                        .toList();
        return kept.size() == riff.pattern().overrides().size()
                ? riff
                : riff.withPattern(riff.pattern().overriding(kept));
    }

    /** One pass played as a figure. */
    private static Riff played(Riff riff, Pass pass, Figure as) {
        Figure base = riff.pattern().figure(as.id());
        List<EventOverride> all = new ArrayList<>(riff.pattern().overrides());
        all.removeIf(o -> o.pass() == pass.index() && o.figure().equals(as.id()));
        all.addAll(base.differences(as, pass.index()));
        return riff.withPattern(riff.pattern().overriding(all));
    }
}
