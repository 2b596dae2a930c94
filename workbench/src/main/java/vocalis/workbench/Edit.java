package vocalis.workbench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.riff.Cell;
import vocalis.core.riff.Chords;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Member;
import vocalis.core.riff.NamedRiff;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Score;
import vocalis.core.riff.Touch;
import vocalis.core.riff.Treatment;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;

/**
 * Everything that can be done to a document; each makes another, and undo is going back to the one
 * before.
 */
public sealed interface Edit {

    /** What was done, as the undo menu says it. */
    String label();

    /** Edits in a row with the same key are undone together; empty for none. */
    default String mergeKey() {
        return "";
    }

    /** The content after the edit; the same object when it changes nothing. */
    NamedRiff apply(NamedRiff before);

    /** Replaces the ground; {@code what} says which part of it, such as "tempo". */
    record SetGround(Ground ground, String what) implements Edit {
        @Override
        public String label() {
            return "change " + what;
        }

        @Override
        public String mergeKey() {
            return "ground:" + what;
        }

        @Override
        public NamedRiff apply(NamedRiff before) {
            return before.with(before.riff().withGround(ground));
        }
    }

    /** Reads the riff in another key: every root and voicing stays where it sounds. */
    record Reinterpret(Key key, Score score) implements Edit {
        @Override
        public String label() {
            return "read in " + key;
        }

        @Override
        public NamedRiff apply(NamedRiff before) {
            Riff riff = before.riff();
            List<RootSpan> roots = new ArrayList<>();
            List<Treatment> treatments = new ArrayList<>();
            for (int i = 0; i < riff.roots().size(); i++) {
                Score.Chord chord = score.chords().get(i);
                roots.add(new RootSpan(Root.of(key, chord.root()), riff.roots().get(i).length()));
                Treatment t = riff.treatments().get(i);
                Member same =
                        chord.byHand()
                                ? t.member().orElseThrow()
                                : Member.Found.of(chord.candidate().voicing());
                treatments.add(t.with(t.family(), same));
            }
            return before.with(
                    riff.withRoots(roots, treatments).withGround(riff.ground().withKey(key)));
        }
    }

    /** Gives the riff another title. */
    record Rename(String title) implements Edit {
        @Override
        public String label() {
            return "rename";
        }

        @Override
        public NamedRiff apply(NamedRiff before) {
            return before.titled(title);
        }
    }

    /** Gives a chord another root. */
    record SetRoot(int chord, Root root) implements Edit {
        @Override
        public String label() {
            return "change root";
        }

        @Override
        public String mergeKey() {
            return "root:" + chord;
        }

        @Override
        public NamedRiff apply(NamedRiff before) {
            return before.with(Chords.root(before.riff(), chord, root));
        }
    }

    /** Puts a bass under a chord's voicing, or takes it away. */
    record SetBass(int chord, Optional<Root> bass) implements Edit {
        @Override
        public String label() {
            return bass.isPresent() ? "change bass" : "remove bass";
        }

        @Override
        public String mergeKey() {
            return "bass:" + chord;
        }

        @Override
        public NamedRiff apply(NamedRiff before) {
            return before.with(Chords.bass(before.riff(), chord, bass));
        }
    }

    /** Gives a chord another family. */
    record SetFamily(int chord, Family family) implements Edit {
        @Override
        public String label() {
            return "voice as " + family.label().toLowerCase(java.util.Locale.ROOT);
        }

        @Override
        public NamedRiff apply(NamedRiff before) {
            return before.with(Chords.family(before.riff(), chord, family));
        }
    }

    /** Gives every chord another family. */
    record SetFamilyOfAll(Family family) implements Edit {
        @Override
        public String label() {
            return "voice the whole riff as " + family.label().toLowerCase(java.util.Locale.ROOT);
        }

        @Override
        public String mergeKey() {
            return "family-of-all";
        }

        @Override
        public NamedRiff apply(NamedRiff before) {
            return before.with(Chords.familyOfAll(before.riff(), family));
        }
    }

    /** Puts a voicing into the riff. */
    record Choose(int chord, Family family, Member member) implements Edit {
        @Override
        public String label() {
            return "use voicing";
        }

        @Override
        public NamedRiff apply(NamedRiff before) {
            return before.with(Chords.member(before.riff(), chord, family, member));
        }
    }

    /** Moves a chord. */
    record MoveChord(int from, int to) implements Edit {
        @Override
        public String label() {
            return "move chord";
        }

        @Override
        public NamedRiff apply(NamedRiff before) {
            return before.with(Chords.move(before.riff(), from, to));
        }
    }

    /** Copies a chord to the place after it. */
    record CopyChord(int chord) implements Edit {
        @Override
        public String label() {
            return "copy chord";
        }

        @Override
        public NamedRiff apply(NamedRiff before) {
            return before.with(Chords.copy(before.riff(), chord));
        }
    }

    /** Deletes a chord. */
    record DeleteChord(int chord) implements Edit {
        @Override
        public String label() {
            return "delete chord";
        }

        @Override
        public NamedRiff apply(NamedRiff before) {
            return before.with(Chords.delete(before.riff(), chord));
        }
    }

    /** Splits a chord in two. */
    record SplitChord(int chord) implements Edit {
        @Override
        public String label() {
            return "split chord";
        }

        @Override
        public NamedRiff apply(NamedRiff before) {
            return before.with(Chords.split(before.riff(), chord));
        }
    }

    /** Moves the end of a chord by ticks. */
    record LengthenChord(int chord, long by) implements Edit {
        @Override
        public String label() {
            return by < 0 ? "shorten chord" : "lengthen chord";
        }

        @Override
        public String mergeKey() {
            return "length:" + chord;
        }

        @Override
        public NamedRiff apply(NamedRiff before) {
            return before.with(Chords.lengthen(before.riff(), chord, by));
        }
    }

    /** Replaces the strokes of one bar. */
    record SetCell(int bar, Cell cell, String what) implements Edit {
        @Override
        public String label() {
            return what;
        }

        @Override
        public NamedRiff apply(NamedRiff before) {
            Riff riff = before.riff();
            if (riff.pattern().bar(bar).equals(cell)) {
                return before;
            }
            return before.with(riff.withPattern(riff.pattern().with(bar, cell, riff.bars())));
        }
    }

    /** Changes one note of a stroke to another fret. */
    record ChangeNote(Touch.ChangedNote note) implements Edit {
        @Override
        public String label() {
            return "change note";
        }

        @Override
        public String mergeKey() {
            return "note:" + note.at() + ":" + note.string();
        }

        @Override
        public NamedRiff apply(NamedRiff before) {
            List<Touch> touches = new ArrayList<>(before.riff().touches());
            touches.removeIf(
                    t ->
                            t instanceof Touch.ChangedNote c
                                    && c.at() == note.at()
                                    && c.string() == note.string());
            touches.add(note);
            return before.with(before.riff().withTouches(touches));
        }
    }

    /** Gives a note of a stroke an ornament in place of what it had; empty takes it away. */
    record SetOrnament(long at, int string, Optional<Touch.Ornament> ornament) implements Edit {
        @Override
        public String label() {
            return ornament.map(o -> o.kind().words()).orElse("plain note");
        }

        @Override
        public String mergeKey() {
            return "ornament:" + at + ":" + string;
        }

        @Override
        public NamedRiff apply(NamedRiff before) {
            List<Touch> touches = new ArrayList<>(before.riff().touches());
            touches.removeIf(
                    t -> t instanceof Touch.Ornament o && o.at() == at && o.string() == string);
            ornament.ifPresent(touches::add);
            return touches.equals(before.riff().touches())
                    ? before
                    : before.with(before.riff().withTouches(touches));
        }
    }
}
