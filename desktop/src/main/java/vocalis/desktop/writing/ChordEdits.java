package vocalis.desktop.writing;

import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleIntegerProperty;
import vocalis.core.choice.Filter;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Chords;
import vocalis.core.hands.Change;
import vocalis.core.hands.Hand;
import vocalis.core.riff.Riff;
import vocalis.core.vary.Ringing;
import vocalis.core.vary.RootTune;
import vocalis.core.voicing.Family;
import vocalis.desktop.session.Session;
import vocalis.workbench.document.Edits;

/** What keys and mouse do to the chord under the caret: each is one edit, or none. */
public final class ChordEdits {

    /** Nothing marked beside the chord under the caret. */
    private static final int NONE = -1;

    private final Session session;
    private final ObjectProperty<Family> family;
    private final ObjectProperty<Filter> filter;
    private final IntegerProperty mark = new SimpleIntegerProperty(NONE);
    private int copiedFirst = NONE;
    private int copiedLast = NONE;

    /**
     * @param family whose cards are walked; follows what chords are voiced in
     * @param filter that chords without a chosen shape keep to
     */
    ChordEdits(Session session, ObjectProperty<Family> family, ObjectProperty<Filter> filter) {
        this.session = session;
        this.family = family;
        this.filter = filter;
        session.caret().chordProperty().addListener(o -> dropMark());
    }

    private boolean marking;

    private void dropMark() {
        if (!marking) {
            mark.set(NONE);
        }
    }

    private int chord() {
        return session.caret().chord();
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
        return Math.min(last, session.now().roots().size() - 1);
    }

    /** Marks the next chord too, or the one before. */
    public void markOn(int by) {
        int from = mark.get() == NONE ? chord() : mark.get();
        marking = true;
        session.caret().move(by);
        marking = false;
        mark.set(from == chord() ? NONE : from);
    }

    /** Marks from the chord under the caret, or from where marking began, to another. */
    public void markTo(int to) {
        markOn(to - chord());
    }

    /** Moves the chord itself. */
    public void moveChord(int by) {
        int to = chord() + by;
        if (to >= 0 && to < session.now().roots().size()) {
            moveChordTo(to);
        }
    }

    /** Moves the chord under the caret to another place. */
    public void moveChordTo(int to) {
        session.apply(Edits.moveChord(chord(), to));
        session.caret().moveTo(to);
    }

    /** Copies the chords marked to the place after them. */
    public void copyChord() {
        int first = first();
        int last = last();
        if (session.apply(Edits.copyChords(first, last, last + 1))) {
            session.caret().moveTo(last + 1);
        }
    }

    /** Takes up the chords marked. */
    public void copy() {
        copiedFirst = first();
        copiedLast = last();
        int n = copiedLast - copiedFirst + 1;
        session.say(
                (n == 1 ? "Copied the chord" : "Copied " + n + " chords")
                        + " with pattern and touches; Ctrl V puts "
                        + (n == 1 ? "it" : "them")
                        + " after the caret.");
    }

    /** Puts the chords taken up after the caret's, as they are now. */
    public void paste() {
        boolean there = copiedFirst != NONE && copiedLast < session.now().roots().size();
        if (!there) {
            session.say("Nothing was copied yet: Ctrl C copies the chord.");
            return;
        }
        int to = last() + 1;
        if (session.apply(Edits.copyChords(copiedFirst, copiedLast, to))) {
            session.caret().moveTo(to);
        }
    }

    public void deleteChord() {
        if (session.now().roots().size() == 1) {
            session.say("The last chord stays: a riff has one at least.");
            return;
        }
        int first = first();
        int last = last();
        mark.set(NONE);
        session.apply(Edits.deleteChords(first, last));
        session.caret().moveTo(first);
    }

    public void splitChord() {
        session.apply(Edits.splitChord(chord()));
    }

    /** Lengthens (shortens) the chord by eighths. */
    public void lengthenChord(int eighths) {
        lengthenChord(chord(), eighths * Chords.GRAIN);
    }

    /** Moves the end of a chord by ticks. */
    public void lengthenChord(int which, long ticks) {
        session.apply(Edits.lengthenChord(which, ticks));
    }

    /** Steps the roots marked along the scale. */
    public void stepRoot(int direction) {
        for (int i = first(); i <= last(); i++) {
            session.apply(Edits.stepRoot(i, direction));
        }
    }

    /** Moves the roots marked by semitones. */
    public void transposeRoot(int semitones) {
        for (int i = first(); i <= last(); i++) {
            session.apply(Edits.transposeRoot(i, semitones));
        }
    }

    /**
     * Bends the roots' tune: this root sounds an octave up or down, in the shape of its family that
     * suits its neighbours.
     */
    public void bendTune(int direction) {
        int chord = chord();
        Derived derived = session.derived();
        session.ask(
                "bending the roots' tune",
                () -> RootTune.bent(derived, chord, direction, session.catalogue()),
                bent -> {
                    if (bent.isEmpty()) {
                        session.say(
                                "The neck has no such shape an octave "
                                        + (direction > 0 ? "up." : "down."));
                    } else if (session.now().equals(derived.riff())) {
                        session.apply(Edits.riff("bend the roots' tune", r -> bent.get()));
                    }
                });
    }

    /** The first and the last chord change places. */
    public void swapEnds() {
        session.apply(
                Edits.riff(
                        "swap first and last",
                        r -> {
                            int last = r.roots().size() - 1;
                            return last < 1 ? r : Chords.move(Chords.move(r, last, 0), 1, last);
                        }));
    }

    /**
     * Lets the riff's open strings ring, or silences them all: the same grips with the fingers
     * arched, or laid flatter.
     */
    public void switchRinging() {
        Derived derived = session.derived();
        boolean rang = Ringing.rings(derived);
        session.ask(
                "ringing or muted",
                () -> Ringing.switched(derived),
                to -> {
                    if (to.isEmpty()) {
                        session.say("No open string suits these chords and can be left free.");
                    } else if (session.apply(
                            Edits.vary("ringing or muted", derived.riff(), to.get()))) {
                        session.say(
                                rang
                                        ? "Muted: lay the fingers flatter; open strings above the"
                                                + " bass are silent."
                                        : "Ringing: arch the fingers; open strings above the bass"
                                                + " sound along.");
                    }
                });
    }

    /** Gives the chord the root of a pitch class. */
    public void setRoot(int pitchClass) {
        session.apply(Edits.setRoot(chord(), pitchClass));
    }

    /** Steps the bass under the chord along the scale; on the root it is taken away. */
    public void stepBass(int direction) {
        session.apply(Edits.stepBass(chord(), direction));
    }

    /** Voices the chords marked in another family; with a filter on, in what it lets through. */
    public void voiceChord(Family other) {
        int first = first();
        int last = last();
        // What the filter chooses comes after; both are undone together.
        boolean filtered = !filter.get().equals(Filter.NONE);
        String key = filtered ? "family:" + first + ":" + last : "";
        for (int i = first; i <= last; i++) {
            session.apply(Edits.family(i, other, key));
        }
        family.set(other);
        passing(first, last, key);
    }

    /** Voices the whole riff in another family; while it plays, from the next stroke on. */
    public void voiceAll(Family other) {
        session.apply(Edits.familyOfAll(other));
        family.set(other);
        passing(0, session.now().roots().size() - 1, Edits.FAMILY_OF_ALL);
    }

    /**
     * Chooses shapes that the filter lets through, for chords whose shape nobody chose. The riff is
     * laid among them on a worker; without a filter there is nothing to do.
     */
    private void passing(int first, int last, String key) {
        Filter passing = filter.get();
        if (passing.equals(Filter.NONE)) {
            return;
        }
        Riff before = session.now();
        Hand hand = session.hand();
        session.ask(
                "looking for what passes the filter",
                () -> new Deriver(session.catalogue()).laid(before, hand, Change.USUAL, passing),
                laid -> session.apply(Edits.laid(before, laid, first, last, key)));
    }

    /** The next (previous) family for the whole riff, counted from the chord's. */
    public void voiceAllNext(int direction) {
        session.apply(Edits.familyOfAllStepped(chord(), direction));
        passing(0, session.now().roots().size() - 1, Edits.FAMILY_OF_ALL);
    }
}
