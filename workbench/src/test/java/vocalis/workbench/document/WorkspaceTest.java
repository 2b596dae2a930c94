package vocalis.workbench.document;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.List;
import java.util.Optional;
import java.util.Queue;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.edit.Scope;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.mix.Mix;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.pattern.Touch;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Member;
import vocalis.core.riff.Root;
import vocalis.core.riff.Tone;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.workbench.base.Subscription;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.playing.SoundEvents;

class WorkspaceTest {

    private static final Catalogue CATALOGUE = new Catalogue();

    private final Piece first = Demo.pieces().get(0);
    private final Workspace workspace = new Workspace(CATALOGUE, first);

    private static final Stroke WHOLE = new Stroke(0, 0, Ticks.WHOLE, Struck.Named.TOP);

    private static Anchor anchor() {
        return new Anchor("haul", 0, Optional.of(0), new Anchor.Voice.FromTop(0));
    }

    /** Every kind of edit. */
    static List<Edit> edits() {
        return List.of(
                Edits.ground("tone", g -> g.withTone(Tone.CLEAN)),
                Edits.tempo(200),
                Edits.pickup(Ticks.QUARTER),
                Edits.pickup(0),
                Edits.meterOfBar(3, new Meter(3, 4)),
                Edits.meterOfBar(3, Meter.COMMON),
                Edits.rename("other"),
                Edits.stepRoot(0, 1),
                Edits.transposeRoot(1, 3),
                Edits.setRoot(0, 4),
                Edits.stepBass(0, 1),
                Edits.bass(0, Optional.of(new Root(5, 0))),
                Edits.family(0, Family.OCTAVE),
                Edits.familyOfAll(Family.FOURTH),
                Edits.familyOfAllStepped(0, 3),
                Edits.choose(1, Family.TRIAD, new Member.ByHand(Shape.parse("x-x-5-5-5-x"), 0)),
                Edits.moveChord(0, 1),
                Edits.copyChord(2),
                Edits.copyChords(0, 1, 3),
                Edits.deleteChords(0, 1),
                Edits.splitChord(0),
                Edits.lengthenChord(0, 2 * Ticks.EIGHTH),
                Edits.putEvent(Ticks.EIGHTH / 2, WHOLE, Scope.EVERY_PASS),
                Edits.changeEvent(0, "accent", e -> ((Stroke) e).accented(false), Scope.THIS_PASS),
                Edits.removeEvent(0, Scope.EVERY_PASS),
                Edits.touch("hammer", new Touch.Legato(anchor(), List.of(new Touch.Step(2, 100)))),
                Edits.moveNote(anchor(), 3),
                Edits.mix("spread", m -> m.withClick(m.click().on(true))),
                Edits.secondFamily(Optional.of(Family.THIRD)));
    }

    @Test
    void everyEditIsUndoneAndRedoneExactly() {
        for (Edit e : edits()) {
            workspace.seal();
            Piece before = workspace.content();
            assertThat(workspace.apply(e)).as(e.label()).isEmpty();
            Piece after = workspace.content();
            assertThat(after).as(e.label()).isNotEqualTo(before);
            workspace.undo();
            assertThat(workspace.content()).as("undo " + e.label()).isEqualTo(before);
            assertThat(workspace.redoLabel()).contains(e.label());
            workspace.redo();
            assertThat(workspace.content()).as("redo " + e.label()).isEqualTo(after);
        }
        while (workspace.undoLabel().isPresent()) {
            workspace.undo();
        }
        assertThat(workspace.content()).isEqualTo(first);
        assertThat(workspace.changed()).isFalse();
    }

    /** Any sequence of edits, undone to its beginning, is as if it had never been. */
    @Property(tries = 40)
    void anySequenceOfEditsIsUndoneExactly(@ForAll Random random) {
        Workspace w = new Workspace(CATALOGUE, Demo.pieces().get(random.nextInt(3)));
        Piece start = w.content();
        List<Edit> all = edits();
        for (int i = 0; i < 15; i++) {
            w.apply(all.get(random.nextInt(all.size())));
        }
        Piece end = w.content();
        int steps = 0;
        while (w.undoLabel().isPresent()) {
            w.undo();
            steps++;
        }
        assertThat(w.content()).isEqualTo(start);
        for (int i = 0; i < steps; i++) {
            w.redo();
        }
        assertThat(w.content()).isEqualTo(end);
    }

    /** Reading a riff in another key respells it; what sounds and where stays as it was. */
    @Test
    void anotherKeyIsReadWithoutMovingANote() {
        workspace.apply(Edits.familyOfAll(Family.TRIAD));
        var sounding = workspace.score().notes();
        assertThat(sounding).isNotEmpty();
        workspace.apply(Edits.readIn(Key.parse("A minor"), workspace.derived()));
        assertThat(workspace.content().riff().ground().key().symbol()).isEqualTo("A minor");
        assertThat(workspace.score().notes()).isEqualTo(sounding);
        workspace.undo();
        assertThat(workspace.score().notes()).isEqualTo(sounding);
    }

    @Test
    void aBassUnderAChordSoundsBelowItAndCanBeTakenAway() {
        var key = first.riff().ground().key();
        Root fifth = new Root(5, 0);
        workspace.apply(Edits.bass(0, Optional.of(fifth)));
        var v = workspace.derived().chords().get(0).candidate().voicing();
        assertThat(Math.floorMod(v.bass(), 12)).isEqualTo(fifth.pitchClass(key));
        workspace.apply(Edits.bass(0, Optional.empty()));
        assertThat(workspace.content()).isEqualTo(first);
    }

    @Test
    void stepsOfOneGestureAreUndoneTogether() {
        for (int bpm = 105; bpm < 120; bpm++) {
            workspace.apply(Edits.tempo(bpm));
        }
        workspace.undo();
        assertThat(workspace.content()).isEqualTo(first);
        workspace.redo();
        workspace.seal();
        workspace.apply(Edits.tempo(60));
        workspace.undo();
        assertThat(workspace.content().riff().tempo()).isEqualTo(119);
    }

    @Test
    void anEditThatChangesNothingLeavesNoTrace() {
        AtomicInteger told = new AtomicInteger();
        Subscription listening = workspace.onChange(told::incrementAndGet);
        workspace.apply(Edits.rename(first.title()));
        workspace.apply(Edits.family(0, first.riff().treatments().get(0).family()));
        assertThat(told).hasValue(0);
        assertThat(workspace.undoLabel()).isEmpty();
        listening.close();
        workspace.apply(Edits.rename("heard by nobody"));
        assertThat(told).hasValue(0);
    }

    /** What cannot be done is told, and the riff is as it was. */
    @Test
    void anEditThatCannotBeDoneSaysWhy() {
        assertThat(workspace.apply(Edits.tempo(1000)).orElseThrow()).contains("1000", "400");
        assertThat(workspace.apply(Edits.splitChord(99)).orElseThrow()).contains("no longer");
        assertThat(workspace.content()).isEqualTo(first);
        assertThat(workspace.undoLabel()).isEmpty();
    }

    /** Edits of the ground are transformations: one made over an old picture undoes no other. */
    @Test
    void editsOfTheGroundDoNotUndoEachOther() {
        Edit tone = Edits.ground("tone", g -> g.withTone(Tone.CLEAN));
        Edit capo = Edits.ground("capo", g -> g.withCapo(3));
        workspace.apply(capo);
        workspace.apply(tone);
        assertThat(workspace.content().riff().ground().capo()).isEqualTo(3);
        assertThat(workspace.content().riff().ground().tone()).isEqualTo(Tone.CLEAN);
    }

    /** Of many edits in a row only the newest is derived, and answers never go back in time. */
    @Test
    void derivingIsCoalescedToTheNewest() {
        Queue<Runnable> worker = new ArrayDeque<>();
        Queue<Runnable> home = new ArrayDeque<>();
        Workspace w = new Workspace(CATALOGUE, first, Hand.MEDIUM, worker::add, home::add);
        AtomicInteger derived = new AtomicInteger();
        w.onDerived(derived::incrementAndGet);
        for (int i = 0; i < 100; i++) {
            w.apply(Edits.familyOfAllStepped(0, 1));
        }
        assertThat(worker).hasSize(1);
        assertThat(w.upToDate()).isFalse();
        worker.remove().run();
        home.remove().run();
        assertThat(derived).hasValue(1);
        assertThat(w.upToDate()).isTrue();
        assertThat(w.derived().riff()).isEqualTo(w.content().riff());
    }

    /** A save that ends late is not taken for one of the document opened meanwhile. */
    @Test
    void aSaveThatEndsLateBelongsToItsOwnDocument() {
        long session = workspace.session();
        Piece written = workspace.content();
        workspace.open(Demo.blank("fresh"));
        workspace.markSaved(session, written, java.nio.file.Path.of("old.vocalis.json"), "x");
        assertThat(workspace.file()).isEmpty();
        workspace.apply(Edits.rename("mine"));
        assertThat(workspace.changed()).isTrue();
    }

    @Test
    void anotherHandIsOfferedOtherShapes() {
        workspace.apply(Edits.familyOfAll(Family.POWER));
        var medium = workspace.score();
        workspace.setHand(Hand.SMALL);
        for (var chord : workspace.derived().chords()) {
            assertThat(chord.candidate().fingering().reachMm())
                    .isLessThanOrEqualTo(Hand.SMALL.limitMm());
        }
        workspace.setHand(Hand.MEDIUM);
        assertThat(workspace.score()).isEqualTo(medium);
    }

    /** The demo is our own: every riff derives without findings, in different tunings and modes. */
    @Test
    void theDemoLibraryPlays() {
        assertThat(Demo.pieces()).filteredOn(p -> p.sections().size() > 1).hasSize(1);
        assertThat(Demo.pieces()).extracting(Piece::title).startsWith("Winch House", "Wet Slate");
        assertThat(Demo.pieces())
                .extracting(r -> r.riff().ground().key().mode().name())
                .doesNotHaveDuplicates();
        for (Piece r : Demo.pieces()) {
            Workspace w = new Workspace(CATALOGUE, r);
            assertThat(w.derived().findings()).as(r.title()).isEmpty();
            assertThat(w.content().riff().bars()).isBetween(4, 5);
            assertThat(w.content().mix().equals(Mix.ALONE))
                    .as("guitar one alone, unless it is a whole song")
                    .isEqualTo(r.sections().size() == 1);
            assertThat(SoundEvents.program(w.heard()).events())
                    .isGreaterThanOrEqualTo(w.score().onsets().size());
        }
    }
}
