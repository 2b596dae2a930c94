package vocalis.workbench;

import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.riff.Band;
import vocalis.core.riff.Chords;
import vocalis.core.riff.Derivation;
import vocalis.core.riff.NamedRiff;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Score;

/**
 * The open document with its history. Used from one thread. Undo goes back to the snapshot before
 * an edit; "saved" is a remembered snapshot, so undoing to it makes the document saved again.
 */
public final class Workspace {

    private static final int MOST_UNDO = 500;

    private record Step(NamedRiff before, String label, String mergeKey) {}

    private final Catalogue catalogue;
    private final List<Runnable> listeners = new ArrayList<>();
    private final Deque<Step> undo = new ArrayDeque<>();
    private final Deque<Step> redo = new ArrayDeque<>();
    private Hand hand = Hand.MEDIUM;
    private NamedRiff content;
    private NamedRiff saved;
    private Path file;
    private Score score;

    public Workspace(Catalogue catalogue, NamedRiff first) {
        this.catalogue = catalogue;
        open(first, null);
    }

    /** Called after every change of the document. */
    public void onChange(Runnable listener) {
        listeners.add(listener);
    }

    /** Takes another document; history starts anew. {@code file} is null for one never saved. */
    public void open(NamedRiff named, Path from) {
        Score derived = Derivation.score(named.riff(), hand, catalogue);
        undo.clear();
        redo.clear();
        content = named;
        saved = named;
        file = from;
        score = derived;
        tell();
    }

    public NamedRiff content() {
        return content;
    }

    /** The notes of the riff as it stands. */
    public Score score() {
        return score;
    }

    /** What the second guitar plays: the riff again, or voiced in its own family. */
    public Optional<Score> secondScore() {
        Riff riff = content.riff();
        Band band = riff.ground().band();
        if (!band.second().on()) {
            return Optional.empty();
        }
        return Optional.of(
                band.secondFamily()
                        .map(f -> Derivation.score(Chords.familyOfAll(riff, f), hand, catalogue))
                        .orElse(score));
    }

    public Hand hand() {
        return hand;
    }

    /** Takes another hand; the riff is derived again for it. */
    public void setHand(Hand other) {
        hand = other;
        score = Derivation.score(content.riff(), hand, catalogue);
        tell();
    }

    public Catalogue catalogue() {
        return catalogue;
    }

    /** Where it was read from or saved to. */
    public Optional<Path> file() {
        return Optional.ofNullable(file);
    }

    /** Whether there is anything that would be lost. */
    public boolean changed() {
        return !content.equals(saved);
    }

    /** Remembers that the content, as it stood when it was written, is on disk. */
    public void markSaved(NamedRiff written, Path to) {
        saved = written;
        file = to;
        tell();
    }

    /** Applies an edit. An edit that changes nothing leaves no trace. */
    public void apply(Edit edit) {
        NamedRiff after = edit.apply(content);
        if (after.equals(content)) {
            return;
        }
        Score derived = Derivation.score(after.riff(), hand, catalogue);
        boolean merges =
                !edit.mergeKey().isEmpty()
                        && !undo.isEmpty()
                        && redo.isEmpty()
                        && undo.peek().mergeKey().equals(edit.mergeKey());
        if (!merges) {
            undo.push(new Step(content, edit.label(), edit.mergeKey()));
            if (undo.size() > MOST_UNDO) {
                undo.removeLast();
            }
        }
        redo.clear();
        content = after;
        score = derived;
        tell();
    }

    /** Ends merging: the next edit is undone by itself. */
    public void seal() {
        if (!undo.isEmpty() && !undo.peek().mergeKey().isEmpty()) {
            Step top = undo.pop();
            undo.push(new Step(top.before(), top.label(), ""));
        }
    }

    /** What undo would take back. */
    public Optional<String> undoLabel() {
        return Optional.ofNullable(undo.peek()).map(Step::label);
    }

    /** What redo would do again. */
    public Optional<String> redoLabel() {
        return Optional.ofNullable(redo.peek()).map(Step::label);
    }

    public void undo() {
        step(undo, redo);
    }

    public void redo() {
        step(redo, undo);
    }

    private void step(Deque<Step> from, Deque<Step> to) {
        if (from.isEmpty()) {
            return;
        }
        Step s = from.pop();
        to.push(new Step(content, s.label(), ""));
        content = s.before();
        score = Derivation.score(content.riff(), hand, catalogue);
        tell();
    }

    private void tell() {
        listeners.forEach(Runnable::run);
    }
}
