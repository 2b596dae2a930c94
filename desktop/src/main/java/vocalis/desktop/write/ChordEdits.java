package vocalis.desktop.write;

import java.util.Optional;
import vocalis.core.riff.Chords;
import vocalis.core.riff.Root;
import vocalis.core.voicing.Family;
import vocalis.workbench.Edit;

/** What keys and mouse do to the chord under the caret: each is one edit, or none. */
public final class ChordEdits {

    private final WriteModel model;

    ChordEdits(WriteModel model) {
        this.model = model;
    }

    /** Moves the chord itself. */
    public void moveChord(int by) {
        int to = model.chordProperty().get() + by;
        if (to >= 0 && to < model.score().chords().size()) {
            moveChordTo(to);
        }
    }

    /** Moves the chord under the caret to another place. */
    public void moveChordTo(int to) {
        int from = model.chordProperty().get();
        model.workspace().apply(new Edit.MoveChord(from, to));
        model.chordProperty().set(to);
    }

    public void copyChord() {
        model.workspace().apply(new Edit.CopyChord(model.chordProperty().get()));
        model.moveChordCaret(1);
    }

    public void deleteChord() {
        model.workspace().apply(new Edit.DeleteChord(model.chordProperty().get()));
    }

    public void splitChord() {
        model.workspace().apply(new Edit.SplitChord(model.chordProperty().get()));
    }

    /** Lengthens (shortens) the chord by eighths. */
    public void lengthenChord(int eighths) {
        lengthenChord(model.chordProperty().get(), eighths * Chords.GRAIN);
    }

    /** Moves the end of a chord by ticks. */
    public void lengthenChord(int which, long ticks) {
        model.workspace().apply(new Edit.LengthenChord(which, ticks));
    }

    /** Steps the root along the scale. */
    public void stepRoot(int direction) {
        model.workspace()
                .apply(
                        new Edit.SetRoot(
                                model.chordProperty().get(),
                                currentRoot().step(model.key(), direction)));
    }

    /** Moves the root by semitones. */
    public void transposeRoot(int semitones) {
        model.workspace()
                .apply(
                        new Edit.SetRoot(
                                model.chordProperty().get(),
                                currentRoot().transposed(model.key(), semitones)));
    }

    /** Gives the chord the root of a pitch class. */
    public void setRoot(int pitchClass) {
        model.workspace()
                .apply(
                        new Edit.SetRoot(
                                model.chordProperty().get(), Root.of(model.key(), pitchClass)));
    }

    /** Steps the bass under the chord along the scale; on the root it is taken away. */
    public void stepBass(int direction) {
        Optional<Root> bass = model.riff().treatments().get(model.chordProperty().get()).bass();
        Root from = bass.orElse(currentRoot());
        Root to = from.step(model.key(), direction);
        boolean home = to.pitchClass(model.key()) == currentRoot().pitchClass(model.key());
        model.workspace()
                .apply(
                        new Edit.SetBass(
                                model.chordProperty().get(),
                                home ? Optional.empty() : Optional.of(to)));
    }

    private Root currentRoot() {
        return model.riff().roots().get(model.chordProperty().get()).root();
    }

    /** Voices the chord in another family. */
    public void voiceChord(Family other) {
        model.workspace().apply(new Edit.SetFamily(model.chordProperty().get(), other));
        model.familyProperty().set(other);
    }

    /** Voices the whole riff in another family; while it plays, from the next stroke on. */
    public void voiceAll(Family other) {
        model.workspace().apply(new Edit.SetFamilyOfAll(other));
        model.familyProperty().set(other);
    }

    /** The next (previous) family for the whole riff, counted from the chord's. */
    public void voiceAllNext(int direction) {
        Family[] all = Family.values();
        voiceAll(all[Math.floorMod(model.treatmentFamily().ordinal() + direction, all.length)]);
    }
}
