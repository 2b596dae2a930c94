package vocalis.formats.sheet;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;

/** A note while it is being read; what a file does not say is as plain as can be. */
public final class NoteDraft {

    public final int string;
    public final int fret;
    public final long at;
    public long length;
    public boolean tied;
    public boolean rings;
    public Dynamics dynamics = Dynamics.PLAIN;
    public Manner manner = Manner.PLAIN;
    public boolean down;
    public boolean plucked;
    public final List<Technique> techniques = new ArrayList<>();

    public NoteDraft(int string, int fret, long at, long length) {
        this.string = string;
        this.fret = fret;
        this.at = at;
        this.length = length;
    }

    /** Ticks where it ends. */
    public long end() {
        return at + length;
    }

    /** The fret that it ends on. */
    public int endFret() {
        int end = fret;
        for (Technique t : techniques) {
            end = t.kind().moves() ? t.to() : end;
        }
        return end;
    }

    /** Something done to it, counted from its onset. */
    public void add(Technique.Kind kind, int to, long after, long lasting) {
        techniques.add(new Technique(kind, to, after, lasting));
    }

    /** The note, its techniques in time order and inside it. */
    public ScoreNote note() {
        List<Technique> inside = new ArrayList<>();
        for (Technique t : techniques) {
            if (t.after() < length) {
                inside.add(t);
            }
        }
        inside.sort(Comparator.comparingLong(Technique::after));
        return new ScoreNote(
                string,
                fret,
                at,
                length,
                tied,
                rings || manner == Manner.LET_RING,
                dynamics,
                manner,
                down,
                plucked,
                inside,
                Optional.empty());
    }

    /** Down on the eighths, up between them, as hands go when nothing is said. */
    public static boolean usuallyDown(long at, MeterMap meters) {
        return (at - meters.start(meters.bar(at))) % Ticks.EIGHTH == 0;
    }

    /**
     * Notes made of drafts, none on a string where another sounds: each ends where the next on its
     * string begins, if not before; of two at once the first stays.
     */
    public static List<ScoreNote> apart(List<NoteDraft> drafts) {
        TreeMap<Integer, TreeMap<Long, NoteDraft>> strings = new TreeMap<>();
        for (NoteDraft n : drafts) {
            strings.computeIfAbsent(n.string, k -> new TreeMap<>()).putIfAbsent(n.at, n);
        }
        List<ScoreNote> all = new ArrayList<>();
        for (TreeMap<Long, NoteDraft> string : strings.values()) {
            for (NoteDraft n : string.values()) {
                Long next = string.higherKey(n.at);
                if (next != null && n.end() > next) {
                    n.length = next - n.at;
                }
                all.add(n.note());
            }
        }
        return all;
    }
}
