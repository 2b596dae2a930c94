package vocalis.core.pattern;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * The fourth layer: figures laid end to end over the time line, again and again.
 *
 * @param figures each once, ids all different
 * @param order ids of figures in the order they are laid; at least one
 * @param offset ticks by which the first laying comes late, below the order's whole length; before
 *     it the end of the order is heard
 * @param restart where the order starts again
 * @param overrides events that are another at one pass
 */
public record Pattern(
        List<Figure> figures,
        List<String> order,
        long offset,
        Restart restart,
        List<EventOverride> overrides) {

    public Pattern {
        figures = List.copyOf(figures);
        order = List.copyOf(order);
        overrides = List.copyOf(overrides);
        Objects.requireNonNull(restart, "restart");
        Limits.most("figures", figures.size(), Limits.MOST_FIGURES);
        Limits.most("figures in order", order.size(), Limits.MOST_FIGURES);
        Limits.most("changes at single passes", overrides.size(), Limits.MOST_OVERRIDES);
        if (order.isEmpty()) {
            throw new IllegalArgumentException("a pattern lays at least one figure");
        }
        Set<String> ids = new HashSet<>();
        for (Figure f : figures) {
            if (!ids.add(f.id())) {
                throw new IllegalArgumentException("two figures have the id " + f.id());
            }
        }
        for (String id : order) {
            if (!ids.contains(id)) {
                throw new IllegalArgumentException(
                        "the pattern lays figure \"" + id + "\", which it does not have");
            }
        }
        long cycle = 0;
        Map<String, Long> lengths = new HashMap<>();
        figures.forEach(f -> lengths.put(f.id(), f.length()));
        for (String id : order) {
            cycle += lengths.get(id);
        }
        if (offset < 0 || offset >= cycle) {
            throw new IllegalArgumentException(
                    "a pattern comes late by less than its length of "
                            + cycle
                            + " ticks, not by "
                            + offset);
        }
    }

    /** One figure again and again. */
    public static Pattern of(Figure figure) {
        return inOrder(List.of(figure));
    }

    /** Figures one after another, then from the first again. */
    public static Pattern inOrder(List<Figure> figures) {
        return new Pattern(
                figures, figures.stream().map(Figure::id).toList(), 0, Restart.RUNS_ON, List.of());
    }

    /** The figure of an id. */
    public Figure figure(String id) {
        return figures.stream().filter(f -> f.id().equals(id)).findFirst().orElseThrow();
    }

    /** Ticks until the order comes round. */
    public long cycle() {
        return order.stream().mapToLong(id -> figure(id).length()).sum();
    }

    /** An id that none of some figures has, made from one of theirs. */
    public static String freeId(Collection<Figure> figures, String like) {
        Set<String> taken = new HashSet<>();
        figures.forEach(f -> taken.add(f.id()));
        int dot = like.lastIndexOf('.');
        String stem = dot > 0 ? like.substring(0, dot) : like;
        stem = stem.length() > 30 ? stem.substring(0, 30) : stem;
        int n = 2;
        while (taken.contains(stem + "." + n)) {
            n++;
        }
        return stem + "." + n;
    }

    /** The figure of an id, if the pattern has it. */
    public Optional<Figure> find(String id) {
        return figures.stream().filter(f -> f.id().equals(id)).findFirst();
    }

    /**
     * The layings over a stretch of time.
     *
     * @param length ticks from 0
     * @param restarts where the order starts again, ascending, the first at 0
     */
    public List<Pass> passes(long length, List<Long> restarts) {
        Map<String, Figure> byId = new HashMap<>();
        figures.forEach(f -> byId.put(f.id(), f));
        Map<Long, List<EventOverride>> changed = new HashMap<>();
        for (EventOverride o : overrides) {
            changed.computeIfAbsent(key(o.figure(), o.pass()), k -> new ArrayList<>()).add(o);
        }
        List<Pass> out = new ArrayList<>();
        for (int w = 0; w < restarts.size(); w++) {
            long from = restarts.get(w);
            long to = w + 1 < restarts.size() ? restarts.get(w + 1) : length;
            lay(out, byId, changed, from, Math.min(to, length));
        }
        return out;
    }

    private static long key(String figure, int pass) {
        return ((long) figure.hashCode() << 32) | pass;
    }

    private void lay(
            List<Pass> out,
            Map<String, Figure> byId,
            Map<Long, List<EventOverride>> changed,
            long from,
            long to) {
        int slot = 0;
        long at = from + offset;
        while (at > from) {
            slot = Math.floorMod(slot - 1, order.size());
            at -= byId.get(order.get(slot)).length();
        }
        while (at < to) {
            Figure f = byId.get(order.get(slot));
            long end = at + f.length();
            int index = out.size();
            List<EventOverride> here =
                    changed.getOrDefault(key(f.id(), index), List.of()).stream()
                            .filter(o -> o.figure().equals(f.id()))
                            .toList();
            Figure played = here.isEmpty() ? f : f.overridden(here);
            out.add(new Pass(index, played, at, Math.max(at, from), Math.min(end, to)));
            if (out.size() > Limits.MOST_STRUCK) {
                throw new IllegalArgumentException(
                        "the pattern's figures are laid more than "
                                + Limits.MOST_STRUCK
                                + " times; make them longer");
            }
            at = end;
            slot = (slot + 1) % order.size();
        }
    }

    /** The pattern with a figure in place of the one of its id. */
    public Pattern with(Figure figure) {
        return new Pattern(
                figures.stream().map(f -> f.id().equals(figure.id()) ? figure : f).toList(),
                order,
                offset,
                restart,
                overrides);
    }

    public Pattern overriding(List<EventOverride> others) {
        return new Pattern(figures, order, offset, restart, others);
    }

    public Pattern restarting(Restart other) {
        return new Pattern(figures, order, offset, other, overrides);
    }

    /** The pattern coming late by ticks, whole rounds taken off. */
    public Pattern late(long ticks) {
        return new Pattern(figures, order, Math.floorMod(ticks, cycle()), restart, overrides);
    }
}
