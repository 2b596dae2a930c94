package vocalis.formats.sheet;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Notation;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;

/**
 * A score as it is written down: voices in which nothing overlaps, each chord cut where a bar ends,
 * where no single value says its length, and where a finger moves.
 */
public final class Written {

    /**
     * One note of a written chord.
     *
     * @param note the whole note
     * @param fret that is held during this part
     * @param first whether it is struck or begins here
     * @param last whether it ends here
     * @param arriving the move that ended at the beginning of this part
     * @param leaving the move that ends where this part does
     */
    public record Head(
            ScoreNote note,
            int fret,
            boolean first,
            boolean last,
            Optional<Technique> arriving,
            Optional<Technique> leaving) {

        /** Whether it goes on from the part before on the same fret. */
        public boolean tiedFrom() {
            return !first && arriving.isEmpty() || first && note.tied();
        }

        public boolean tiedTo() {
            return !last && leaving.isEmpty();
        }
    }

    /** A chord, or a rest where it has no heads. */
    public record Item(long at, Notation.Value value, List<Head> heads) {
        public long end() {
            return at + value.ticks();
        }
    }

    private Written() {}

    /** The voices, each in time order without overlaps and without rests. */
    public static List<List<Item>> voices(Score score) {
        Map<List<Long>, List<ScoreNote>> chords = new LinkedHashMap<>();
        List<ScoreNote> notes = new ArrayList<>(score.notes());
        notes.sort(
                Comparator.comparingLong(ScoreNote::at)
                        .thenComparingLong(ScoreNote::length)
                        .thenComparingInt(ScoreNote::string));
        for (ScoreNote n : notes) {
            chords.computeIfAbsent(List.of(n.at(), n.length()), k -> new ArrayList<>()).add(n);
        }
        List<List<Item>> voices = new ArrayList<>();
        for (List<ScoreNote> chord : chords.values()) {
            List<Item> items = items(chord, score.time().meters());
            long at = chord.get(0).at();
            List<Item> free = null;
            for (List<Item> v : voices) {
                if (free == null && v.get(v.size() - 1).end() <= at) {
                    free = v;
                }
            }
            if (free == null) {
                free = new ArrayList<>();
                voices.add(free);
            }
            free.addAll(items);
        }
        return voices;
    }

    /** Where a move has arrived, counted from the onset; empty where it cannot be written apart. */
    public static Optional<Long> arrives(ScoreNote n, Technique t) {
        long at = t.after() + (t.kind() == Technique.Kind.SLIDE ? t.lasting() : 0);
        return t.kind().moves() && at > 0 && at < n.length() ? Optional.of(at) : Optional.empty();
    }

    private static List<Item> items(List<ScoreNote> chord, MeterMap meters) {
        long start = chord.get(0).at();
        long length = chord.get(0).length();
        TreeSet<Long> cuts = new TreeSet<>(List.of(0L, length));
        for (ScoreNote n : chord) {
            n.techniques().forEach(t -> arrives(n, t).ifPresent(cuts::add));
        }
        List<Item> items = new ArrayList<>();
        long from = 0;
        for (long to : cuts.tailSet(0L, false)) {
            for (Notation.TiedValue p : Notation.parts(start + from, to - from, meters)) {
                long begins = p.at() - start;
                long ends = begins + p.value().ticks();
                List<Head> heads = new ArrayList<>();
                for (ScoreNote n : chord) {
                    heads.add(head(n, begins, ends));
                }
                items.add(new Item(p.at(), p.value(), heads));
            }
            from = to;
        }
        return items;
    }

    private static Head head(ScoreNote n, long begins, long ends) {
        int fret = n.fret();
        Technique arriving = null;
        Technique leaving = null;
        for (Technique t : n.techniques()) {
            Optional<Long> at = arrives(n, t);
            if (at.isPresent() && at.get() <= begins) {
                fret = t.to();
                arriving = at.get() == begins ? t : arriving;
            }
            if (at.isPresent() && at.get() == ends) {
                leaving = t;
            }
        }
        return new Head(
                n,
                fret,
                begins == 0,
                ends == n.length(),
                Optional.ofNullable(arriving),
                Optional.ofNullable(leaving));
    }

    /** A stretch without notes, written. */
    public static List<Item> rests(long from, long to, MeterMap meters) {
        List<Item> items = new ArrayList<>();
        if (to > from) {
            for (Notation.TiedValue p : Notation.parts(from, to - from, meters)) {
                items.add(new Item(p.at(), p.value(), List.of()));
            }
        }
        return items;
    }
}
