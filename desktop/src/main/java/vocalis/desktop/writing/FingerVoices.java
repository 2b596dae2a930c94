package vocalis.desktop.writing;

import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.beans.property.LongProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import vocalis.core.score.Onset;
import vocalis.core.score.ScoreNote;
import vocalis.desktop.session.Editing;

/**
 * The notes under the lane's caret that fingers act on: the top one until others are chosen, and
 * again when the caret moves on.
 */
public final class FingerVoices {

    private static final SortedSet<Integer> TOP =
            Collections.unmodifiableSortedSet(new TreeSet<>(List.of(0)));

    private final Editing session;
    private final LongProperty caret;
    private final ReadOnlyObjectWrapper<SortedSet<Integer>> ranks =
            new ReadOnlyObjectWrapper<>(TOP);

    /**
     * @param caret the lane's, in ticks
     */
    FingerVoices(Editing session, LongProperty caret) {
        this.session = session;
        this.caret = caret;
        caret.addListener(o -> ranks.set(TOP));
    }

    /** What sounds under the caret, as last derived. */
    Optional<Onset> onset() {
        return session.derived().score().soundingAt(caret.get());
    }

    /** The notes of what sounds under the caret, the highest first: as touches count them. */
    public List<ScoreNote> here() {
        var board = session.riff().ground().board();
        return onset().map(
                        o ->
                                o.notes().stream()
                                        .sorted(
                                                Comparator.comparingInt(
                                                                (ScoreNote n) ->
                                                                        board.midi(
                                                                                n.string(),
                                                                                n.fret()))
                                                        .thenComparingInt(ScoreNote::string)
                                                        .reversed())
                                        .toList())
                .orElse(List.of());
    }

    /** The highest note of what sounds under the caret. */
    Optional<ScoreNote> top() {
        return here().stream().findFirst();
    }

    /** The notes that fingers act on, the highest first. */
    public List<ScoreNote> chosen() {
        List<ScoreNote> all = here();
        return ranks.get().stream().filter(r -> r < all.size()).map(all::get).toList();
    }

    /** Which voices fingers act on, 0 for the highest; the highest alone until chosen. */
    public ReadOnlyObjectProperty<SortedSet<Integer>> ranksProperty() {
        return ranks.getReadOnlyProperty();
    }

    SortedSet<Integer> ranks() {
        return ranks.get();
    }

    /** The voices that a finger holds. */
    List<Integer> fretted() {
        List<ScoreNote> all = here();
        return IntStream.range(0, all.size()).filter(r -> all.get(r).fret() > 0).boxed().toList();
    }

    /** Whether a note under the caret was chosen, where more than the top note can be. */
    public boolean marks(ScoreNote n) {
        return !ranks.get().equals(TOP) && onset().isPresent() && chosen().contains(n);
    }

    /** Whether others than the top note were chosen. */
    public boolean othersChosen() {
        return !ranks.get().equals(TOP);
    }

    /** Lets fingers act on all voices, or on the top one again. */
    public void chooseAll() {
        int n = here().size();
        choose(IntStream.range(0, n).boxed().toList());
    }

    /** Lets fingers act on some voices. */
    public void choose(Collection<Integer> voices) {
        if (here().isEmpty()) {
            nothingHere();
            return;
        }
        ranks.set(new TreeSet<>(voices));
        session.say("Fingers act on " + inWords() + ".");
    }

    /** Takes the voice on a string in, or out again; the last one stays. */
    public void toggleString(int string) {
        List<ScoreNote> all = here();
        for (int r = 0; r < all.size(); r++) {
            if (all.get(r).string() == string) {
                SortedSet<Integer> next = new TreeSet<>(ranks.get());
                if (!next.remove(r) || next.isEmpty()) {
                    next.add(r);
                }
                choose(next);
            }
        }
    }

    /** The top note, all, each of the others, the top note again. */
    public void cycle() {
        int n = here().size();
        SortedSet<Integer> now = ranks.get();
        if (n < 2) {
            choose(TOP);
        } else if (now.size() == n) {
            choose(List.of(1));
        } else if (now.size() == 1 && now.first() > 0 && now.first() + 1 < n) {
            choose(List.of(now.first() + 1));
        } else if (now.equals(TOP)) {
            chooseAll();
        } else {
            choose(TOP);
        }
    }

    /** One of the voices by its rank, such as {@code string 5, fret 7: D}. */
    public String inWords(int rank) {
        ScoreNote n = here().get(rank);
        var board = session.riff().ground().board();
        return "String "
                + (board.strings() - n.string())
                + ", fret "
                + n.fret()
                + ": "
                + session.key().note(board.midi(n.string(), n.fret())).symbol();
    }

    /** Such as {@code all 3 notes} or {@code string 5, fret 7}. */
    public String inWords() {
        List<ScoreNote> on = chosen();
        int all = here().size();
        if (ranks.get().equals(TOP)) {
            return "the top note";
        }
        if (on.size() == all) {
            return "all " + all + " notes";
        }
        int strings = session.riff().ground().board().strings();
        return on.stream()
                .map(n -> "string " + (strings - n.string()) + ", fret " + n.fret())
                .collect(Collectors.joining(" and "));
    }

    void nothingHere() {
        session.say("No stroke here: Enter puts one.");
    }
}
