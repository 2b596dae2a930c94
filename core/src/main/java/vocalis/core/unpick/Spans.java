package vocalis.core.unpick;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Limits;
import vocalis.core.score.Harmony;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;

/**
 * Parts a score where the hand takes another shape. What is struck together belongs to one shape;
 * single notes belong to it where their string is free or has that fret, and are a line elsewhere.
 */
final class Spans {

    /** Share of a struck chord's notes that may be moved beside the shape that is held. */
    private static final double MOVED = 0.5;

    /**
     * A stretch under one shape.
     *
     * @param frets string to fret
     * @param together those of them that were struck together with others
     * @param harmony index of the chord that the score names there; −1 for none
     */
    record Span(
            long at,
            long length,
            Map<Integer, Integer> frets,
            Map<Integer, Integer> together,
            int harmony) {
        boolean struck() {
            return !together.isEmpty();
        }

        long end() {
            return at + length;
        }
    }

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
    private long from;

    private Spans(Score score, Hand hand) {
        this.score = score;
        this.board = score.board();
        this.hand = hand;
    }

    static List<Span> of(Score score, Hand hand) {
        Spans s = new Spans(score, hand);
        s.find();
        return s.merged();
    }

    private void find() {
        List<Long> borders = borders();
        int border = 0;
        for (Onset o : score.onsets()) {
            while (border < borders.size() && borders.get(border) <= o.at()) {
                cut(borders.get(border));
                border++;
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
        int other = 0;
        int stays = 0;
        for (ScoreNote n : o.notes()) {
            Integer held = frets.get(n.string());
            other += held != null && held != n.fret() ? 1 : 0;
            stays += held != null && held == n.fret() ? 1 : 0;
        }
        boolean moved = other > 0 && stays > 0 && other <= MOVED * o.notes().size();
        if (other > 0 && !moved || !moved && !reachable(o.notes())) {
            cut(o.at());
            frets.clear();
            together.clear();
        }
        for (ScoreNote n : o.notes()) {
            frets.putIfAbsent(n.string(), n.fret());
            together.put(n.string(), frets.get(n.string()));
        }
    }

    private void single(ScoreNote n) {
        boolean free = !frets.containsKey(n.string());
        if (free && reachable(List.of(n))) {
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
            spans.add(
                    new Span(
                            from,
                            end - from,
                            Map.copyOf(frets),
                            Map.copyOf(together),
                            harmonyAt(from)));
        }
        frets = new TreeMap<>();
        together = new TreeMap<>();
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
}
