package vocalis.core.unpick;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.names.Around;
import vocalis.core.names.ChordNamer;
import vocalis.core.pattern.Limits;
import vocalis.core.score.Harmony;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.theory.PitchClassSet;
import vocalis.core.voicing.Voicing;

/**
 * Parts a score where the hand takes another shape. What is struck together belongs to one shape;
 * single notes belong to it where their string is free or has that fret, and are a line elsewhere.
 */
final class Spans {

    /** Strings and frets as a shape. */
    static Shape shape(Map<Integer, Integer> frets, int strings) {
        int[] all = new int[strings];
        for (int s = 0; s < strings; s++) {
            all[s] = frets.getOrDefault(s, Shape.SILENT);
        }
        return Shape.of(all);
    }

    private final Score score;
    private final Fretboard board;
    private final Hand hand;
    private final List<Span> spans = new ArrayList<>();
    private Map<Integer, Integer> frets = new TreeMap<>();
    private Map<Integer, Integer> together = new TreeMap<>();

    /** The stroke of most notes so far. */
    private Map<Integer, Integer> largest = Map.of();

    /** Strings on which single notes move: they are a line, not a part of the shape. */
    private final Set<Integer> moving = new HashSet<>();

    private long from;

    private Spans(Score score, Hand hand) {
        this.score = score;
        this.board = score.board();
        this.hand = hand;
    }

    static List<Span> of(Score score, Hand hand) {
        Spans s = new Spans(score, hand);
        s.find();
        return s.withoutPedal(s.merged());
    }

    /** A stretch whose borders are known: the grip that most strokes in it have, else its first. */
    static Span over(Score score, long from, long to) {
        Map<Map<Integer, Integer>, Integer> strokes = new HashMap<>();
        Map<Integer, Integer> alone = new TreeMap<>();
        Map<Integer, Integer> most = Map.of();
        for (Onset o : score.onsets()) {
            boolean dead = o.notes().stream().allMatch(n -> n.manner() == Manner.DEAD);
            if (o.at() < from || o.at() >= to || dead) {
                continue;
            }
            Map<Integer, Integer> struck = new TreeMap<>();
            o.notes().forEach(n -> struck.put(n.string(), n.fret()));
            if (struck.size() > 1) {
                int times = strokes.merge(struck, 1, Integer::sum);
                most = most.isEmpty() || times > strokes.get(most) ? struck : most;
            } else {
                alone.putIfAbsent(o.notes().get(0).string(), o.notes().get(0).fret());
            }
        }
        Map<Integer, Integer> frets = most;
        if (most.isEmpty() && !alone.isEmpty()) {
            Map.Entry<Integer, Integer> first = alone.entrySet().iterator().next();
            frets = Map.of(first.getKey(), first.getValue());
        }
        return new Span(from, to - from, frets, most, most, -1);
    }

    private void find() {
        List<Long> borders = borders();
        int border = 0;
        for (Onset o : score.onsets()) {
            while (border < borders.size() && borders.get(border) <= o.at()) {
                cut(borders.get(border));
                border++;
            }
            if (o.notes().stream().allMatch(n -> n.manner() == Manner.DEAD)) {
                continue;
            }
            if (o.notes().size() > 1) {
                chord(o);
            } else {
                single(o.notes().get(0));
            }
        }
        while (border < borders.size()) {
            cut(borders.get(border++));
        }
        close(score.length());
    }

    /** Where shapes may begin anew whatever was held: at named chords, otherwise at bar lines. */
    private List<Long> borders() {
        List<Long> all = new ArrayList<>();
        if (!score.harmonies().isEmpty()) {
            score.harmonies().forEach(h -> all.add(h.at()));
            return all;
        }
        for (int b = 0; b < score.time().meters().bars(score.length()); b++) {
            all.add(score.time().meters().start(b));
        }
        return all;
    }

    private void chord(Onset o) {
        Map<Integer, Integer> struck = new TreeMap<>();
        o.notes().forEach(n -> struck.put(n.string(), n.fret()));
        if (!belongs(struck, o)) {
            cut(o.at());
            frets.clear();
            together.clear();
            moving.clear();
            largest = Map.of();
        }
        for (Map.Entry<Integer, Integer> e : struck.entrySet()) {
            frets.putIfAbsent(e.getKey(), e.getValue());
            together.put(e.getKey(), frets.get(e.getKey()));
        }
        if (struck.size() > largest.size()) {
            largest = struck;
        }
    }

    /** Whether what is struck together is a part, or another state, of the shape that is held. */
    private boolean belongs(Map<Integer, Integer> struck, Onset o) {
        int other = 0;
        int stays = 0;
        for (Map.Entry<Integer, Integer> e : struck.entrySet()) {
            Integer held = frets.get(e.getKey());
            other += held != null && !held.equals(e.getValue()) ? 1 : 0;
            stays += held != null && held.equals(e.getValue()) ? 1 : 0;
        }
        if (other > 0) {
            // One finger moves beside two that stay, and the root is the same: one chord in motion.
            return other == 1
                    && stays >= 2
                    && !together.isEmpty()
                    && root(struck) == root(together);
        }
        if (!reachable(o.notes())) {
            return false;
        }
        return together.isEmpty() || oneGrip(together, struck);
    }

    /**
     * Whether two strokes that do not contradict each other are strokes of one grip: one holds the
     * other, or together they say no more than one of them and are heard from the same root. A
     * string that a stroke of three or more, or an octave, leaves out between its own is silent in
     * its grip.
     */
    private boolean oneGrip(Map<Integer, Integer> a, Map<Integer, Integer> b) {
        Map<Integer, Integer> both = new TreeMap<>(a);
        both.putAll(b);
        if (leavesOut(a, both) || leavesOut(b, both)) {
            return false;
        }
        if (both.equals(a) || both.equals(b)) {
            return true;
        }
        PitchClassSet all = classes(both);
        int rootOfBoth = root(both);
        if (all.equals(classes(a)) || all.equals(classes(b))) {
            return root(a) == root(b);
        }
        boolean apart = a.keySet().stream().noneMatch(b::containsKey);
        return apart
                && all.size() <= MOST_IN_ARPEGGIO
                && (root(a) == rootOfBoth || root(b) == rootOfBoth);
    }

    /** Most different notes that strokes on strings of their own may make one chord of. */
    private static final int MOST_IN_ARPEGGIO = 4;

    private boolean leavesOut(Map<Integer, Integer> stroke, Map<Integer, Integer> all) {
        int low = stroke.keySet().stream().mapToInt(i -> i).min().orElse(0);
        int high = stroke.keySet().stream().mapToInt(i -> i).max().orElse(0);
        boolean inside =
                all.keySet().stream().anyMatch(s -> s > low && s < high && !stroke.containsKey(s));
        boolean octave = stroke.size() == 2 && classes(stroke).size() == 1;
        return inside && (stroke.size() > 2 || octave);
    }

    /** The pitch classes of some strings and frets. */
    private PitchClassSet classes(Map<Integer, Integer> some) {
        return PitchClassSet.of(
                some.entrySet().stream()
                        .mapToInt(e -> board.midi(e.getKey(), e.getValue()))
                        .toArray());
    }

    private int root(Map<Integer, Integer> some) {
        return ChordNamer.name(
                        new Voicing(shape(some, board.strings()), board, 0),
                        Optional.empty(),
                        Around.NOTHING)
                .root()
                .pitchClass();
    }

    private void single(ScoreNote n) {
        Integer held = frets.get(n.string());
        if (held != null) {
            if (held != n.fret() && !together.containsKey(n.string())) {
                moving.add(n.string());
            }
            return;
        }
        if (reachable(List.of(n))) {
            frets.put(n.string(), n.fret());
        }
    }

    /** Whether a hand has notes together with what it holds. */
    private boolean reachable(List<ScoreNote> notes) {
        int low = Integer.MAX_VALUE;
        int high = 0;
        Map<Integer, Integer> all = new HashMap<>(frets);
        notes.forEach(n -> all.put(n.string(), n.fret()));
        for (int f : all.values()) {
            if (f > 0) {
                low = Math.min(low, f);
                high = Math.max(high, f);
            }
        }
        return high == 0 || hand.withinReach(board, low, high);
    }

    private void cut(long at) {
        boolean room = at - from >= Limits.SHORTEST_ROOT;
        if (at > from && room) {
            close(at);
        }
    }

    private void close(long end) {
        if (end > from) {
            if (!together.isEmpty()) {
                moving.forEach(frets::remove);
                // Single notes that would make another chord of what is struck stay a line.
                if (root(frets) != root(together)) {
                    frets = new TreeMap<>(together);
                }
            }
            spans.add(
                    new Span(
                            from,
                            end - from,
                            Map.copyOf(frets),
                            Map.copyOf(together),
                            Map.copyOf(largest),
                            harmonyAt(from)));
        }
        frets = new TreeMap<>();
        together = new TreeMap<>();
        largest = Map.of();
        moving.clear();
        from = end;
    }

    private int harmonyAt(long at) {
        int i = score.harmonyAt(at);
        if (i < 0 && !score.harmonies().isEmpty()) {
            List<Harmony> all = score.harmonies();
            i = at < all.get(0).at() ? 0 : all.size() - 1;
        }
        return i;
    }

    /** Without borders between stretches where one shape explains both. */
    private List<Span> merged() {
        List<Span> out = new ArrayList<>();
        for (Span s : spans) {
            Span last = out.isEmpty() ? null : out.get(out.size() - 1);
            if (last != null && last.harmony() == s.harmony() && together(last, s)) {
                Map<Integer, Integer> both = new TreeMap<>(last.frets());
                both.putAll(s.frets());
                Map<Integer, Integer> chords = new TreeMap<>(last.together());
                chords.putAll(s.together());
                out.set(
                        out.size() - 1,
                        new Span(
                                last.at(),
                                last.length() + s.length(),
                                Map.copyOf(both),
                                Map.copyOf(chords),
                                last.largest().size() >= s.largest().size()
                                        ? last.largest()
                                        : s.largest(),
                                s.harmony()));
            } else {
                out.add(s);
            }
        }
        return out;
    }

    private boolean together(Span a, Span b) {
        if (a.harmony() < 0 && a.struck() != b.struck() && !b.frets().isEmpty()) {
            return false;
        }
        boolean agree = true;
        boolean shared = b.frets().isEmpty();
        for (Map.Entry<Integer, Integer> e : b.frets().entrySet()) {
            Integer before = a.frets().get(e.getKey());
            agree &= before == null || before.equals(e.getValue());
            shared |= before != null;
        }
        if (!agree || !shared) {
            return false;
        }
        if (a.struck() && b.struck() && !oneGrip(a.together(), b.together())) {
            return false;
        }
        int low = Integer.MAX_VALUE;
        int high = 0;
        List<Integer> all = new ArrayList<>(a.frets().values());
        all.addAll(b.frets().values());
        for (int f : all) {
            low = f > 0 ? Math.min(low, f) : low;
            high = Math.max(high, f);
        }
        return high == 0 || low == Integer.MAX_VALUE || hand.withinReach(board, low, high);
    }

    /**
     * A single note that goes on under different grips is a pedal: it belongs to none of them and
     * stays a line.
     */
    private List<Span> withoutPedal(List<Span> found) {
        Map<List<Integer>, Set<Map<Integer, Integer>>> under = new HashMap<>();
        int at = 0;
        for (Onset o : score.onsets()) {
            while (at + 1 < found.size() && found.get(at).end() <= o.at()) {
                at++;
            }
            Span s = found.get(at);
            ScoreNote n = o.notes().get(0);
            if (o.notes().size() == 1 && s.struck() && !s.together().containsKey(n.string())) {
                under.computeIfAbsent(List.of(n.string(), n.fret()), k -> new HashSet<>())
                        .add(s.together());
            }
        }
        List<Span> out = new ArrayList<>();
        for (Span s : found) {
            Map<Integer, Integer> kept = new TreeMap<>(s.frets());
            if (s.struck()) {
                kept.entrySet()
                        .removeIf(
                                e -> !s.together().containsKey(e.getKey()) && grips(under, e) > 1);
            }
            out.add(
                    new Span(
                            s.at(),
                            s.length(),
                            Map.copyOf(kept),
                            s.together(),
                            s.largest(),
                            s.harmony()));
        }
        return out;
    }

    /** Under how many grips a string goes on at a fret. */
    private static int grips(
            Map<List<Integer>, Set<Map<Integer, Integer>>> under, Map.Entry<Integer, Integer> e) {
        return under.getOrDefault(List.of(e.getKey(), e.getValue()), Set.of()).size();
    }
}
