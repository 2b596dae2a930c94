package vocalis.core.mix;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import vocalis.core.mix.Groove.Drum;
import vocalis.core.mix.Groove.Hit;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Score;

/**
 * A drummer who listens: kicks answer the riff's accents and low strokes, backbeats fall where the
 * meter has them, hats keep to what two hands can play at the tempo, bars differ, a crash follows a
 * fill. Figures are common practice, numbers set by hand.
 */
public final class Drummer {

    /** Every so many bars, and before the loop comes round, the kit fills. */
    private static final int BARS_TO_A_FILL = 4;

    /** Strokes a second that one hand, and two by turns, keep up on the hats. */
    private static final double ONE_HAND = 5.6;

    private static final double ONE_HAND_OF_SIXTEENTHS = 6.5;
    private static final double TWO_HANDS = 11;

    /** Least time between two kicks of one foot, and between them in half-time, in seconds. */
    private static final double FOOT = 0.15;

    private static final double FOOT_IN_HALF_TIME = 0.24;

    /** Least time that a ghost stroke stands from the next stroke, in seconds. */
    private static final double GHOST_NEEDS = 0.1;

    private static final double GHOST = 0.22;

    /** A bar with fewer kicks is none that anybody leans on. */
    private static final int FEWEST_KICKS = 2;

    private final MeterMap meters;
    private final Score score;
    private final long from;
    private final long to;
    private final Feel feel;
    private final Struck struck;
    private final Map<Meter, List<Pulse>> pulses = new HashMap<>();
    private final List<Hit> hits = new ArrayList<>();

    private Drummer(Score score, long from, long to, Feel feel) {
        this.score = score;
        meters = score.time().meters();
        this.from = from;
        this.to = to;
        this.feel = feel;
        struck = new Struck(score);
    }

    /** The kit under a loop: it waits through a pickup, and its beginning follows its last fill. */
    public static List<Hit> loop(Score score, Feel feel) {
        MeterMap meters = score.time().meters();
        long from = meters.pickup();
        boolean fills = meters.start(1) < score.length();
        return stretch(score, from, score.length(), feel, true, fills);
    }

    /**
     * The kit of a stretch that begins at a bar line; bars are counted from there.
     *
     * @param fill whether the last bar ends with one
     * @param afterFill whether a fill led to it
     */
    public static List<Hit> stretch(
            Score score, long from, long to, Feel feel, boolean fill, boolean afterFill) {
        return new Drummer(score, from, to, feel).bars(fill, afterFill);
    }

    private List<Hit> bars(boolean fill, boolean afterFill) {
        int first = meters.bar(meters.barLineFrom(from));
        boolean crash = afterFill;
        for (int bar = first; meters.start(bar) < to; bar++) {
            boolean last = meters.start(bar + 1) >= to;
            boolean fourth = (bar - first) % BARS_TO_A_FILL == BARS_TO_A_FILL - 1;
            boolean fills = last ? fill && (bar > first || fourth) : fourth;
            crash = new Bar(bar, bar - first, crash, fills).play();
        }
        hits.sort(Comparator.comparingLong(Hit::at));
        return List.copyOf(hits);
    }

    private int bars() {
        return meters.bar(to - 1) - meters.bar(meters.barLineFrom(from)) + 1;
    }

    private List<Pulse> pulses(Meter meter) {
        return pulses.computeIfAbsent(
                meter, m -> Pulse.of(m, after -> struck.inBarsOf(meter, after)));
    }

    /** One bar, drum by drum; what one drum plays leaves room for the next. */
    private final class Bar {
        private final int nth;
        private final boolean crash;
        private final long start;
        private final long end;
        private final List<Pulse> mine;
        private final double quarter;
        private final TreeMap<Long, Double> snares = new TreeMap<>();
        private final TreeMap<Long, Double> kicks = new TreeMap<>();
        private final long fillAt;

        Bar(int bar, int nth, boolean crash, boolean fills) {
            this.nth = nth;
            this.crash = crash;
            start = meters.start(bar);
            end = Math.min(to, meters.end(bar));
            mine = pulses(meters.meter(bar));
            quarter = 60.0 / score.time().tempos().at(start);
            fillAt = fills ? fillAt() : end;
        }

        /** The bar played; whether it ends with a fill. */
        boolean play() {
            boolean filled = fillAt < end;
            if (filled) {
                fill();
            }
            snares();
            kicks();
            hats();
            ghosts();
            snares.forEach((at, v) -> add(at, Drum.SNARE, v));
            kicks.forEach((at, v) -> add(at, Drum.KICK, v));
            return filled;
        }

        private void add(long at, Drum drum, double velocity) {
            if (at < end && at < fillAt) {
                hits.add(new Hit(at, drum, velocity));
            }
        }

        private double seconds(long ticks) {
            return quarter * ticks / Ticks.QUARTER;
        }

        private boolean odd() {
            return nth % 2 == 1;
        }

        /** Pulses but for one at the end that the bar line cuts short. */
        private List<Pulse> whole() {
            int n = mine.size();
            boolean cut = mine.get(n - 1).length() < mine.get(0).length() / 2;
            return mine.subList(0, cut ? n - 1 : n);
        }

        private boolean fast() {
            return seconds(Ticks.SIXTEENTH) < 1 / TWO_HANDS;
        }

        /**
         * On the last pulse, at a fast tempo on the last two; the bar's end where it has no room.
         */
        private long fillAt() {
            int n = whole().size();
            return n < 2 ? end : start + mine.get(n - (fast() && n > 2 ? 2 : 1)).at();
        }

        /** In sixteenths, at a fast tempo in eighths. */
        private void fill() {
            long lasts = start + whole().get(whole().size() - 1).end() - fillAt;
            long part = Math.min(fast() ? Ticks.EIGHTH : Ticks.SIXTEENTH, lasts / 2);
            int n = (int) (lasts / part);
            hits.add(new Hit(fillAt, Drum.KICK, 0.8));
            kicks.put(fillAt, 0.8);
            for (int i = 0; i < n; i++) {
                hits.add(new Hit(fillAt + i * part, filling(i, n), 0.6 + 0.3 * i / n));
            }
            hits.removeIf(h -> h.at() >= end);
        }

        /** Snare, then down the toms; every other fill gets to the toms sooner. */
        private Drum filling(int i, int n) {
            boolean soon = nth / BARS_TO_A_FILL % 2 == 1;
            double share = (i + 0.5) / n;
            if (i == n - 1) {
                return Drum.TOM_LOW;
            }
            return share < (soon ? 0.3 : 0.5) ? Drum.SNARE : Drum.TOM_HIGH;
        }

        private void snares() {
            int n = mine.size();
            switch (feel) {
                case HALF_TIME -> {
                    if (n > 2) {
                        snares.put(start + mine.get(n / 2).at(), 0.95);
                    } else if (bars() % 2 == 1) {
                        snares.put(start + mine.get(n - 1).at(), 0.95);
                    } else if (odd()) {
                        snares.put(start, 0.95);
                    }
                }
                case DOUBLE_TIME -> {
                    for (Pulse p : mine) {
                        long half = p.dotted() ? 2 * p.length() / 3 : p.length() / 2;
                        snares.put(start + p.at() + half, 0.85);
                    }
                }
                default -> {
                    for (Pulse p : mine) {
                        if (p.role() == Pulse.Role.BACK) {
                            snares.put(start + p.at(), 0.9);
                        }
                    }
                    if (n == 1 && odd()) {
                        snares.put(start, 0.9);
                    }
                }
            }
        }

        /** The one, then what the riff accents or strikes low, the strongest places first. */
        private void kicks() {
            if (!snares.containsKey(start)) {
                kicks.put(start, 1.0);
            }
            Map<Long, Integer> riff = struck.between(start, end);
            List<Long> places = new ArrayList<>(riff.keySet());
            // Of strokes that weigh the same every other bar takes the later ones.
            places.sort(
                    Comparator.comparingInt((Long at) -> -worth(at))
                            .thenComparing(at -> odd() ? -at : at));
            int most = feel == Feel.HALF_TIME ? mine.size() / 2 + 2 : mine.size() + 1;
            double foot = feel == Feel.HALF_TIME ? FOOT_IN_HALF_TIME : FOOT;
            for (long at : places) {
                boolean down = role(at) == Pulse.Role.DOWN;
                boolean room = kicks.size() < most || riff.get(at) == Struck.ACCENT;
                if (room && (riff.get(at) >= Struck.LOW || down) && free(at, foot)) {
                    kicks.put(at, riff.get(at) == Struck.ACCENT ? 0.95 : 0.8);
                }
            }
            if (kicks.size() < FEWEST_KICKS || feel == Feel.DOUBLE_TIME) {
                plainKicks(foot);
            }
        }

        private int worth(long at) {
            int place = role(at) == Pulse.Role.DOWN ? 2 : (at - start) % Ticks.EIGHTH == 0 ? 1 : 0;
            return 4 * struck.at(at) + place;
        }

        /** Where the riff asks for none, or at a run: on the pulses that are the kick's. */
        private void plainKicks(double foot) {
            for (Pulse p : mine) {
                boolean here = p.role() == Pulse.Role.DOWN || feel == Feel.DOUBLE_TIME;
                if (here && feel != Feel.HALF_TIME && free(start + p.at(), foot)) {
                    kicks.put(start + p.at(), 0.85);
                }
            }
            int middle = mine.size() / 2;
            if (feel == Feel.HALF_TIME && mine.size() > 2) {
                // After the snare: the bar would stand still without it.
                long on = start + mine.get(middle).at() + mine.get(middle).length() / 2;
                if (free(on, foot)) {
                    kicks.put(on, 0.8);
                }
            }
            long before = end - Ticks.EIGHTH;
            if (odd() && feel != Feel.DOUBLE_TIME && before > start && free(before, foot)) {
                kicks.put(before, 0.7);
            }
        }

        private boolean free(long at, double foot) {
            Long before = kicks.floorKey(at);
            Long after = kicks.ceilingKey(at);
            // The next bar begins with a kick.
            return !snares.containsKey(at)
                    && seconds(end - at) >= foot
                    && (before == null || seconds(at - before) >= foot)
                    && (after == null || seconds(after - at) >= foot);
        }

        private Pulse.Role role(long at) {
            for (Pulse p : mine) {
                if (start + p.at() == at) {
                    return p.role();
                }
            }
            return Pulse.Role.WEAK;
        }

        private void hats() {
            if (crash) {
                add(start, Drum.CRASH, 0.8);
            }
            long open = odd() && fillAt == end ? open() : -1;
            for (Pulse p : mine) {
                List<Long> parts = parts(p);
                for (int i = 0; i < parts.size(); i++) {
                    long at = start + p.at() + parts.get(i);
                    boolean hand = !(sixteenths(p) && twoHands() && snares.containsKey(at));
                    boolean crashes = crash && at == start;
                    boolean on = (2 * i) % Math.max(1, parts.size()) == 0;
                    double velocity = i == 0 ? 0.75 : on ? 0.55 : 0.42;
                    if (at == open) {
                        add(at, Drum.OPEN_HAT, 0.6);
                    } else if (hand && !crashes && !(open >= 0 && at > open)) {
                        add(at, Drum.HAT, velocity);
                    }
                }
            }
        }

        /** The last off-beat of the bar; -1 where the hats have none. */
        private long open() {
            Pulse last = mine.get(mine.size() - 1);
            List<Long> parts = parts(last);
            int i = parts.size() - (sixteenths(last) ? 2 : 1);
            return feel == Feel.DOUBLE_TIME || i < 1 ? -1 : start + last.at() + parts.get(i);
        }

        private boolean sixteenths(Pulse p) {
            return parts(p).size() > p.eighths();
        }

        private boolean twoHands() {
            return 1 / seconds(Ticks.SIXTEENTH) > ONE_HAND_OF_SIXTEENTHS;
        }

        /** Where the hats fall in a pulse: as close as hands keep up. */
        private List<Long> parts(Pulse p) {
            if (feel == Feel.SWUNG) {
                boolean shuffles = 1 / seconds(p.length() / 3) <= TWO_HANDS;
                return shuffles ? List.of(0L, 2 * p.length() / 3) : List.of(0L);
            }
            boolean eighths = 1 / seconds(Ticks.EIGHTH) <= ONE_HAND && feel != Feel.DOUBLE_TIME;
            boolean sixteenths =
                    feel == Feel.SIXTEENTHS && 1 / seconds(Ticks.SIXTEENTH) <= TWO_HANDS;
            int n = sixteenths ? 2 * p.eighths() : eighths ? p.eighths() : 1;
            List<Long> all = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                all.add(i * p.length() / n);
            }
            return all;
        }

        /** Soft snare strokes beside the backbeats of every other bar, where no foot is. */
        private void ghosts() {
            if (feel == Feel.DOUBLE_TIME || seconds(Ticks.SIXTEENTH) < GHOST_NEEDS) {
                return;
            }
            boolean swung = feel == Feel.SWUNG;
            long after = swung ? Ticks.QUARTER / 3 : 3 * Ticks.SIXTEENTH;
            long before = swung ? 2 * Ticks.QUARTER / 3 : Ticks.SIXTEENTH;
            for (long back : List.copyOf(snares.keySet())) {
                ghost(odd() ? back + after : back - before);
                if (nth % BARS_TO_A_FILL == 2) {
                    ghost(back + after);
                }
            }
        }

        private void ghost(long at) {
            boolean near =
                    hits.stream()
                            .anyMatch(
                                    h ->
                                            h.at() == at
                                                    && (h.drum() == Drum.CRASH
                                                            || h.drum() == Drum.OPEN_HAT));
            boolean inside = at > start && at < Math.min(end, fillAt) - Ticks.SIXTEENTH;
            if (inside && !near && !snares.containsKey(at) && !kicks.containsKey(at)) {
                snares.put(at, GHOST);
                hits.removeIf(h -> h.at() == at && h.drum() == Drum.HAT && twoHands());
            }
        }
    }
}
