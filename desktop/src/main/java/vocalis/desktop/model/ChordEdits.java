package vocalis.desktop.model;

import javafx.beans.property.IntegerProperty;
import javafx.beans.property.SimpleIntegerProperty;
import vocalis.core.choice.Filter;
import vocalis.core.edit.Chords;
import vocalis.core.voicing.Family;
import vocalis.workbench.document.Edits;

/** What keys and mouse do to the chord under the caret: each is one edit, or none. */
public final class ChordEdits {

    /** Nothing marked beside the chord under the caret. */
    private static final int NONE = -1;

    private final WriteModel model;
    private final IntegerProperty mark = new SimpleIntegerProperty(NONE);
    private int copiedFirst = NONE;
    private int copiedLast = NONE;

    ChordEdits(WriteModel model) {
        this.model = model;
        model.chordProperty().addListener(o -> dropMark());
    }

    private boolean marking;

    private void dropMark() {
        if (!marking) {
            mark.set(NONE);
        }
    }

    private int chord() {
        return model.chordProperty().get();
    }

    /** The other end of the chords marked, −1 where only the caret's is. */
    public IntegerProperty markProperty() {
        return mark;
    }

    /** First of the chords marked, or the caret's. */
    public int first() {
        return mark.get() == NONE ? chord() : Math.min(mark.get(), chord());
    }

    /** Last of the chords marked, or the caret's. */
    public int last() {
        int last = mark.get() == NONE ? chord() : Math.max(mark.get(), chord());
        return Math.min(last, model.now().roots().size() - 1);
    }

    /** Marks the next chord too, or the one before. */
    public void markOn(int by) {
        int from = mark.get() == NONE ? chord() : mark.get();
        marking = true;
        model.moveChordCaret(by);
        marking = false;
        mark.set(from == chord() ? NONE : from);
    }

    /** Moves the chord itself. */
    public void moveChord(int by) {
        int to = chord() + by;
        if (to >= 0 && to < model.now().roots().size()) {
            moveChordTo(to);
        }
    }

    /** Moves the chord under the caret to another place. */
    public void moveChordTo(int to) {
        model.apply(Edits.moveChord(chord(), to));
        model.moveChordCaretTo(to);
    }

    /** Copies the chords marked to the place after them. */
    public void copyChord() {
        int first = first();
        int last = last();
        if (model.apply(Edits.copyChords(first, last, last + 1))) {
            model.moveChordCaretTo(last + 1);
        }
    }

    /** Takes up the chords marked. */
    public void copy() {
        copiedFirst = first();
        copiedLast = last();
        int n = copiedLast - copiedFirst + 1;
        model.say(
                (n == 1 ? "Copied the chord" : "Copied " + n + " chords")
                        + " with pattern and touches; Ctrl V puts "
                        + (n == 1 ? "it" : "them")
                        + " after the caret.");
    }

    /** Puts the chords taken up after the caret's, as they are now. */
    public void paste() {
        boolean there = copiedFirst != NONE && copiedLast < model.now().roots().size();
        if (!there) {
            model.say("Nothing was copied yet: Ctrl C copies the chord.");
            return;
        }
        int to = last() + 1;
        if (model.apply(Edits.copyChords(copiedFirst, copiedLast, to))) {
            model.moveChordCaretTo(to);
        }
    }

    public void deleteChord() {
        if (model.now().roots().size() == 1) {
            model.say("The last chord stays: a riff has one at least.");
            return;
        }
        int first = first();
        int last = last();
        mark.set(NONE);
        model.apply(Edits.deleteChords(first, last));
        model.moveChordCaretTo(first);
    }

    public void splitChord() {
        model.apply(Edits.splitChord(chord()));
    }

    /** Lengthens (shortens) the chord by eighths. */
    public void lengthenChord(int eighths) {
        lengthenChord(chord(), eighths * Chords.GRAIN);
    }

    /** Moves the end of a chord by ticks. */
    public void lengthenChord(int which, long ticks) {
        model.apply(Edits.lengthenChord(which, ticks));
    }

    /** Steps the roots marked along the scale. */
    public void stepRoot(int direction) {
        for (int i = first(); i <= last(); i++) {
            model.apply(Edits.stepRoot(i, direction));
        }
    }

    /** Moves the roots marked by semitones. */
    public void transposeRoot(int semitones) {
        for (int i = first(); i <= last(); i++) {
            model.apply(Edits.transposeRoot(i, semitones));
        }
    }

    /** Gives the chord the root of a pitch class. */
    public void setRoot(int pitchClass) {
        model.apply(Edits.setRoot(chord(), pitchClass));
    }

    /** Steps the bass under the chord along the scale; on the root it is taken away. */
    public void stepBass(int direction) {
        model.apply(Edits.stepBass(chord(), direction));
    }

    /** Voices the chords marked in another family; with a filter on, in what it lets through. */
    public void voiceChord(Family other) {
        int first = first();
        int last = last();
        // What the filter chooses comes after; both are undone together.
        boolean filtered = !model.offer().filterProperty().get().equals(Filter.NONE);
        String key = filtered ? "family:" + first + ":" + last : "";
        for (int i = first; i <= last; i++) {
            model.apply(Edits.family(i, other, key));
        }
        model.familyProperty().set(other);
        passing(first, last, key);
    }

    /** Voices the whole riff in another family; while it plays, from the next stroke on. */
    public void voiceAll(Family other) {
        model.apply(Edits.familyOfAll(other));
        model.familyProperty().set(other);
        passing(0, model.now().roots().size() - 1, Edits.FAMILY_OF_ALL);
    }

    /** Chooses shapes that the filter lets through, for chords whose shape nobody chose. */
    private void passing(int first, int last, String key) {
        model.passing((before, laid) -> model.apply(Edits.laid(before, laid, first, last, key)));
    }

    /** The next (previous) family for the whole riff, counted from the chord's. */
    public void voiceAllNext(int direction) {
        model.apply(Edits.familyOfAllStepped(chord(), direction));
        passing(0, model.now().roots().size() - 1, Edits.FAMILY_OF_ALL);
    }
}
