package vocalis.core.score;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.function.ToLongFunction;
import vocalis.core.instrument.Fretboard;
import vocalis.core.rhythm.TimeLine;

/**
 * What is played, free of any recipe: fingered notes on a time line, with the chords over them.
 * Sound, tab, files and checks need only this, wherever it comes from. Immutable; equal when all of
 * it is.
 */
public final class Score {

    private final Fretboard board;
    private final TimeLine time;
    private final long length;
    private final List<ScoreNote> notes;
    private final List<Harmony> harmonies;
    private final List<Onset> onsets;

    /**
     * @param board the instrument with its capo
     * @param time meters, tempos, pickup
     * @param length ticks from the start to the end
     * @param notes in any order; kept by time, then string
     * @param harmonies chords in time order, not overlapping
     * @throws IllegalArgumentException naming the note that the instrument or the length lacks
     */
    public Score(
            Fretboard board,
            TimeLine time,
            long length,
            List<ScoreNote> notes,
            List<Harmony> harmonies) {
        this.board = Objects.requireNonNull(board, "board");
        this.time = Objects.requireNonNull(time, "time");
        if (length <= 0) {
            throw new IllegalArgumentException("a score lasts longer than nothing, not " + length);
        }
        this.length = length;
        List<ScoreNote> sorted = new ArrayList<>(notes);
        sorted.sort(Comparator.comparingLong(ScoreNote::at).thenComparingInt(ScoreNote::string));
        for (ScoreNote n : sorted) {
            if (n.string() >= board.strings() || n.fret() > board.frets() || n.at() >= length) {
                throw new IllegalArgumentException(
                        "a note at tick "
                                + n.at()
                                + " on string "
                                + n.string()
                                + ", fret "
                                + n.fret()
                                + " lies outside the instrument or the length");
            }
        }
        this.notes = List.copyOf(sorted);
        this.harmonies = List.copyOf(harmonies);
        this.onsets = grouped(this.notes);
    }

    private static List<Onset> grouped(List<ScoreNote> notes) {
        List<Onset> all = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= notes.size(); i++) {
            if (i == notes.size() || notes.get(i).at() != notes.get(from).at()) {
                all.add(new Onset(notes.get(from).at(), notes.subList(from, i)));
                from = i;
            }
        }
        return List.copyOf(all);
    }

    public Fretboard board() {
        return board;
    }

    public TimeLine time() {
        return time;
    }

    /** Ticks from the start to the end. */
    public long length() {
        return length;
    }

    /** By time, then from the lowest string. */
    public List<ScoreNote> notes() {
        return notes;
    }

    public List<Harmony> harmonies() {
        return harmonies;
    }

    /** The notes grouped by when they begin. */
    public List<Onset> onsets() {
        return onsets;
    }

    /** Index of the chord that holds at a tick; −1 where none does. */
    public int harmonyAt(long tick) {
        int low = 0;
        int high = harmonies.size() - 1;
        while (low < high) {
            int mid = (low + high + 1) >>> 1;
            if (harmonies.get(mid).at() <= tick) {
                low = mid;
            } else {
                high = mid - 1;
            }
        }
        boolean holds =
                high >= 0 && harmonies.get(low).at() <= tick && tick < harmonies.get(low).end();
        return holds ? low : -1;
    }

    /** The onset that sounds, as written, at a tick: the last that began, if it still lasts. */
    public java.util.Optional<Onset> soundingAt(long tick) {
        int i = firstFrom(tick + 1) - 1;
        return i >= 0 && tick < onsets.get(i).end()
                ? java.util.Optional.of(onsets.get(i))
                : java.util.Optional.empty();
    }

    /** Index of the first onset at or after a tick. */
    public int firstFrom(long tick) {
        int low = 0;
        int high = onsets.size();
        while (low < high) {
            int mid = (low + high) >>> 1;
            if (onsets.get(mid).at() < tick) {
                low = mid + 1;
            } else {
                high = mid;
            }
        }
        return low;
    }

    /**
     * A stretch of it, its first tick at 0; what sounds over its edges is cut there. A beginning
     * between bar lines becomes a pickup.
     *
     * @throws IllegalArgumentException when the stretch lies outside or has no length
     */
    public Score between(long from, long to) {
        if (from < 0 || to > length || to <= from) {
            throw new IllegalArgumentException(
                    "a stretch from tick " + from + " to " + to + " lies outside 0 to " + length);
        }
        List<ScoreNote> within = new ArrayList<>();
        for (int i = firstNote(from); i < notes.size() && notes.get(i).at() < to; i++) {
            ScoreNote n = notes.get(i);
            within.add(n.beginning(n.at() - from).lasting(Math.min(n.length(), to - n.at())));
        }
        List<Harmony> chords = new ArrayList<>();
        for (Harmony h : harmonies) {
            long start = Math.max(from, h.at());
            long end = Math.min(to, h.end());
            if (end > start) {
                chords.add(
                        new Harmony(
                                start - from,
                                end - start,
                                h.root(),
                                h.bass(),
                                h.symbol(),
                                h.free()));
            }
        }
        return new Score(board, time.between(from, to), to - from, within, chords);
    }

    private int firstNote(long tick) {
        int low = 0;
        int high = notes.size();
        while (low < high) {
            int mid = (low + high) >>> 1;
            if (notes.get(mid).at() < tick) {
                low = mid + 1;
            } else {
                high = mid;
            }
        }
        return low;
    }

    /**
     * The same with its strokes at other ticks, as far as the score goes; tied ones stay.
     *
     * @param at where a stroke is to begin
     */
    public Score moved(ToLongFunction<Onset> at) {
        List<ScoreNote> moved = new ArrayList<>();
        for (Onset o : onsets) {
            long asked = o.tied() ? o.at() : at.applyAsLong(o);
            long begins = Math.max(0, Math.min(length - 1, asked));
            for (ScoreNote n : o.notes()) {
                long lasts = Math.max(1, Math.min(n.length(), length - begins));
                moved.add(n.beginning(begins).lasting(lasts));
            }
        }
        return new Score(board, time, length, moved, harmonies);
    }

    /** The same without a note: its bars and chords alone. */
    public Score silent() {
        return new Score(board, time, length, List.of(), harmonies);
    }

    @Override
    public boolean equals(Object o) {
        return o instanceof Score s
                && length == s.length
                && board.equals(s.board)
                && time.equals(s.time)
                && notes.equals(s.notes)
                && harmonies.equals(s.harmonies);
    }

    @Override
    public int hashCode() {
        return Objects.hash(board, time, length, notes, harmonies);
    }
}
