package vocalis.workbench.document;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import vocalis.core.derive.Derived;
import vocalis.core.edit.Chords;
import vocalis.core.edit.Progression;
import vocalis.core.edit.Scope;
import vocalis.core.edit.Strokes;
import vocalis.core.edit.Times;
import vocalis.core.edit.Touches;
import vocalis.core.mix.Mix;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Touch;
import vocalis.core.rhythm.Meter;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;

/** Everything that can be done to a document. */
public final class Edits {

    /** Steps of the whole riff's family in a row are undone together. */
    public static final String FAMILY_OF_ALL = "family-of-all";

    private Edits() {}

    /** Any change of the riff as one step; {@code label} says which. */
    public static Edit riff(String label, UnaryOperator<Riff> change) {
        return new Edit.OfRiff(label, "", change);
    }

    /** The same, undone together with others of its key in a row. */
    public static Edit merging(String label, String key, UnaryOperator<Riff> change) {
        return new Edit.OfRiff(label, key, change);
    }

    // The ground.

    /** Changes a part of the ground; {@code what} says which, such as "capo". */
    public static Edit ground(String what, UnaryOperator<Ground> change) {
        return merging(
                "change " + what, "ground:" + what, r -> r.withGround(change.apply(r.ground())));
    }

    public static Edit tempo(int tempo) {
        return merging("change tempo", "tempo", r -> Times.tempo(r, tempo));
    }

    public static Edit meter(Meter meter) {
        return merging("change meter", "meter", r -> Times.meter(r, meter));
    }

    public static Edit meterOfBar(int bar, Meter meter) {
        return riff("change the meter of a bar", r -> Times.meter(r, bar, meter));
    }

    public static Edit pickup(long ticks) {
        return merging("change pickup", "pickup", r -> Times.pickup(r, ticks));
    }

    /** Reads the riff in another key: every root and voicing stays where it sounds. */
    public static Edit readIn(Key key, Derived as) {
        return riff("read in " + key, r -> readIn(r, key, as));
    }

    private static Riff readIn(Riff riff, Key key, Derived as) {
        if (!as.riff().roots().equals(riff.roots())) {
            throw new IllegalArgumentException(
                    "the riff changed while its notes were read; read it again");
        }
        List<RootSpan> roots = new ArrayList<>();
        List<Treatment> treatments = new ArrayList<>();
        for (int i = 0; i < riff.roots().size(); i++) {
            Derived.Chord chord = as.chords().get(i);
            roots.add(new RootSpan(Root.of(key, chord.root()), riff.roots().get(i).length()));
            Treatment t = riff.treatments().get(i);
            Member same =
                    chord.byHand()
                            ? t.member().orElseThrow()
                            : Member.OfClass.of(chord.candidate().voicing());
            treatments.add(t.with(t.family(), same));
        }
        return riff.withRoots(roots, treatments).withGround(riff.ground().withKey(key));
    }

    // Chords.

    /** Steps a chord's root along the scale. */
    public static Edit stepRoot(int chord, int direction) {
        return merging(
                "change root",
                "root:" + chord,
                r -> Chords.root(r, chord, root(r, chord).step(r.ground().key(), direction)));
    }

    /** Moves a chord's root by semitones. */
    public static Edit transposeRoot(int chord, int semitones) {
        return merging(
                "change root",
                "root:" + chord,
                r -> Chords.root(r, chord, root(r, chord).transposed(r.ground().key(), semitones)));
    }

    /** Gives a chord the root of a pitch class. */
    public static Edit setRoot(int chord, int pitchClass) {
        return merging(
                "change root",
                "root:" + chord,
                r -> Chords.root(r, chord, Root.of(r.ground().key(), pitchClass)));
    }

    private static Root root(Riff r, int chord) {
        return r.roots().get(chord).root();
    }

    /** Steps the bass under a chord along the scale; on the root it is taken away. */
    public static Edit stepBass(int chord, int direction) {
        return merging(
                "change bass",
                "bass:" + chord,
                r -> {
                    Key key = r.ground().key();
                    Root root = root(r, chord);
                    Root to = r.treatments().get(chord).bass().orElse(root).step(key, direction);
                    boolean home = to.pitchClass(key) == root.pitchClass(key);
                    return Chords.bass(r, chord, home ? Optional.empty() : Optional.of(to));
                });
    }

    /** Puts a bass under a chord, or takes it away. */
    public static Edit bass(int chord, Optional<Root> bass) {
        return riff("change bass", r -> Chords.bass(r, chord, bass));
    }

    public static Edit family(int chord, Family family) {
        return family(chord, family, "");
    }

    /** The same, undone together with others of its key in a row. */
    public static Edit family(int chord, Family family, String key) {
        return merging("voice as " + lower(family), key, r -> Chords.family(r, chord, family));
    }

    /** Takes the shapes of a riff that was laid by, unless something else was done meanwhile. */
    public static Edit laid(Riff before, Riff laid, int first, int last, String key) {
        return merging(
                "voice through the filter",
                key,
                now -> now.equals(before) ? Chords.taken(now, laid, first, last) : now);
    }

    public static Edit familyOfAll(Family family) {
        return merging(
                "voice the whole riff as " + lower(family),
                FAMILY_OF_ALL,
                r -> Chords.familyOfAll(r, family));
    }

    /** The whole riff in the family so many after that of a chord. */
    public static Edit familyOfAllStepped(int chord, int by) {
        return merging(
                "voice the whole riff in another family",
                FAMILY_OF_ALL,
                r -> Chords.familyOfAllStepped(r, chord, by));
    }

    private static String lower(Family f) {
        return f.label().toLowerCase(Locale.ROOT);
    }

    /** Puts a voicing into the riff. */
    public static Edit choose(int chord, Family family, Member member) {
        return riff("use voicing", r -> Chords.member(r, chord, family, member));
    }

    public static Edit moveChord(int from, int to) {
        return riff("move chord", r -> Chords.move(r, from, to));
    }

    public static Edit copyChord(int chord) {
        return riff("copy chord", r -> Chords.copy(r, chord));
    }

    /** Copies chords to a place in the order. */
    public static Edit copyChords(int first, int last, int to) {
        String what = first == last ? "paste chord" : "paste chords";
        return riff(what, r -> Chords.copy(r, first, last, to));
    }

    /** Deletes chords from the last to the first; one is always left. */
    public static Edit deleteChords(int first, int last) {
        return riff(
                first == last ? "delete chord" : "delete chords",
                r -> {
                    Riff out = r;
                    for (int i = last; i >= first; i--) {
                        out = Chords.delete(out, i);
                    }
                    return out;
                });
    }

    public static Edit splitChord(int chord) {
        return riff("split chord", r -> Chords.split(r, chord));
    }

    /** Moves the end of a chord by ticks. */
    public static Edit lengthenChord(int chord, long by) {
        return merging(
                by < 0 ? "shorten chord" : "lengthen chord",
                "length:" + chord,
                r -> Chords.lengthen(r, chord, by));
    }

    // Pattern and touches.

    public static Edit putEvent(long tick, Event event, Scope scope) {
        return riff("add stroke", r -> Strokes.put(r, tick, event, scope));
    }

    public static Edit removeEvent(long tick, Scope scope) {
        return riff("delete stroke", r -> Strokes.remove(r, tick, scope));
    }

    public static Edit changeEvent(
            long tick, String what, UnaryOperator<Event> change, Scope scope) {
        return riff(what, r -> Strokes.change(r, tick, change, scope));
    }

    public static Edit paste(long tick, Strokes.Clipping stretch, Scope scope) {
        return riff("paste pattern", r -> Strokes.paste(r, tick, stretch, scope));
    }

    /** Puts roots that were typed. */
    public static Edit roots(Progression progression) {
        return riff("type the roots", progression::on);
    }

    /**
     * Takes a riff that was made of another, unless that one changed meanwhile: nothing that was
     * done since would be left.
     */
    public static Edit vary(String what, Riff of, Riff varied) {
        return riff(
                what,
                r -> {
                    if (!r.equals(of)) {
                        throw new IllegalArgumentException(
                                "the riff changed while this was made of it; ask again");
                    }
                    return varied;
                });
    }

    /** Keeps the riff as it stands as a version. */
    public static Edit keepVersion(String name, String note) {
        return new Edit.OfGuitar("keep a version", "", (p, g) -> p.keeping(g, name, note));
    }

    /** Works on a version; what stood before can be had back with undo. */
    public static Edit takeVersion(String id) {
        return new Edit.OfGuitar("take a version", "", (p, g) -> p.taking(g, id));
    }

    /** Forgets a version. */
    public static Edit dropVersion(String id) {
        return new Edit.OfGuitar("forget a version", "", (p, g) -> p.dropping(g, id));
    }

    public static Edit touch(String what, Touch touch) {
        return merging(what, "touch:" + touch.anchor(), r -> Touches.put(r, touch));
    }

    /** Has a chord held with other fingers, or as the way has it. */
    public static Edit fingers(int chord, Optional<List<Integer>> fingers) {
        return riff("fingers", r -> Chords.fingers(r, chord, fingers));
    }

    /** The same on several voices, as one step. */
    public static Edit touches(String what, List<Touch> touches) {
        return merging(what, "touch:" + touches.get(0).anchor(), r -> Touches.putAll(r, touches));
    }

    public static Edit moveNote(Anchor anchor, int frets) {
        return merging("change note", "note:" + anchor, r -> Touches.moveNote(r, anchor, frets));
    }

    /** The same on several voices. */
    public static Edit moveNotes(List<Anchor> anchors, int frets) {
        return merging(
                "change notes",
                "note:" + anchors.get(0),
                r -> {
                    Riff moved = r;
                    for (Anchor a : anchors) {
                        moved = Touches.moveNote(moved, a, frets);
                    }
                    return moved;
                });
    }

    public static Edit plain(String figure, int event, int pass) {
        return riff("plain note", r -> Touches.clear(r, figure, event, pass));
    }

    public static Edit removeTouch(Touch touch) {
        return riff("take the touch away", r -> Touches.remove(r, touch));
    }

    // The piece.

    public static Edit rename(String title) {
        return new Edit.OfPiece("rename", "", p -> p.withTitle(title));
    }

    /** Changes the mix; {@code what} says which part, such as "level of the bass". */
    public static Edit mix(String what, UnaryOperator<Mix> change) {
        return new Edit.OfPiece(
                "change " + what, "mix:" + what, p -> p.mixed(change.apply(p.mix())));
    }

    /** The second guitar voices the roots in a family of its own, or plays the riff as it is. */
    public static Edit secondFamily(Optional<Family> family) {
        return new Edit.OfPiece(
                "change the second guitar", "second", p -> p.secondVoicedIn(family));
    }

    /** The second guitar plays along. */
    public static Edit secondPlays() {
        return new Edit.OfPiece(
                "let guitar two play",
                "",
                p -> p.mixed(p.mix().withSecond(p.mix().second().on(true))));
    }

    /** What the guitar that is written plays becomes rests, to be written anew. */
    public static Edit silence() {
        return riff("begin with rests", Strokes::silence);
    }
}
