package vocalis.workbench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.riff.NamedRiff;
import vocalis.core.riff.Root;
import vocalis.core.riff.Touch;
import vocalis.core.voicing.Family;

class WorkspaceTest {

    private final NamedRiff first = Demo.riffs().get(0);
    private final Workspace workspace = new Workspace(new Catalogue(), first);

    @Test
    void everyEditIsUndoneAndRedone() {
        Edit[] edits = {
            new Edit.SetGround(first.riff().ground().withTempo(90), "tempo"),
            new Edit.Rename("Other"),
            new Edit.SetRoot(1, new Root(4, 1)),
            new Edit.SetFamily(0, Family.OCTAVE),
            new Edit.SetFamilyOfAll(Family.FOURTH),
            new Edit.MoveChord(0, 1),
            new Edit.CopyChord(2),
            new Edit.DeleteChord(0),
            new Edit.SplitChord(0),
            new Edit.LengthenChord(0, 40320),
            new Edit.SetCell(1, vocalis.core.riff.Cell.REST, "clear bar"),
            new Edit.SetBass(0, java.util.Optional.of(new Root(5, 0))),
            new Edit.ChangeNote(new Touch.ChangedNote(0, 1, 4))
        };
        for (Edit e : edits) {
            NamedRiff before = workspace.content();
            workspace.apply(e);
            NamedRiff after = workspace.content();
            assertThat(after).as(e.label()).isNotEqualTo(before);
            workspace.undo();
            assertThat(workspace.content()).as("undo " + e.label()).isEqualTo(before);
            assertThat(workspace.redoLabel()).contains(e.label());
            workspace.redo();
            assertThat(workspace.content()).as("redo " + e.label()).isEqualTo(after);
        }
        for (int i = 0; i < edits.length; i++) {
            workspace.undo();
        }
        assertThat(workspace.content()).isEqualTo(first);
        assertThat(workspace.changed()).isFalse();
    }

    /** Reading a riff in another key respells it; what sounds and where stays as it was. */
    @Test
    void anotherKeyIsReadWithoutMovingANote() {
        workspace.apply(new Edit.SetFamilyOfAll(Family.TRIAD));
        var sounding = workspace.score().strikes();
        assertThat(sounding).isNotEmpty();
        workspace.apply(
                new Edit.Reinterpret(vocalis.core.theory.Key.parse("A minor"), workspace.score()));
        assertThat(workspace.content().riff().ground().key().symbol()).isEqualTo("A minor");
        assertThat(workspace.score().strikes().stream().map(s -> s.notes()).toList())
                .isEqualTo(sounding.stream().map(s -> s.notes()).toList());
        workspace.undo();
        assertThat(workspace.score().strikes()).isEqualTo(sounding);
    }

    @Test
    void aBassUnderAChordSoundsBelowItAndCanBeTakenAway() {
        var key = first.riff().ground().key();
        Root fifth = new Root(5, 0);
        workspace.apply(new Edit.SetBass(0, java.util.Optional.of(fifth)));
        var v = workspace.score().chords().get(0).candidate().voicing();
        assertThat(Math.floorMod(v.bass(), 12)).isEqualTo(fifth.pitchClass(key));
        workspace.apply(new Edit.SetBass(0, java.util.Optional.empty()));
        assertThat(workspace.content()).isEqualTo(first);
    }

    @Test
    void stepsOfOneGestureAreUndoneTogether() {
        for (int bpm = 105; bpm < 120; bpm++) {
            workspace.apply(
                    new Edit.SetGround(
                            workspace.content().riff().ground().withTempo(bpm), "tempo"));
        }
        workspace.undo();
        assertThat(workspace.content()).isEqualTo(first);
        workspace.redo();
        workspace.seal();
        workspace.apply(
                new Edit.SetGround(workspace.content().riff().ground().withTempo(60), "tempo"));
        workspace.undo();
        assertThat(workspace.content().riff().ground().tempo()).isEqualTo(119);
    }

    @Test
    void anEditThatChangesNothingLeavesNoTrace() {
        AtomicInteger told = new AtomicInteger();
        workspace.onChange(told::incrementAndGet);
        workspace.apply(new Edit.Rename(first.title()));
        workspace.apply(new Edit.SetFamily(0, first.riff().treatments().get(0).family()));
        assertThat(told).hasValue(0);
        assertThat(workspace.undoLabel()).isEmpty();
    }

    @Test
    void anotherHandIsOfferedOtherShapes() {
        workspace.apply(new Edit.SetFamilyOfAll(Family.POWER));
        var medium = workspace.score();
        workspace.setHand(Hand.SMALL);
        for (var chord : workspace.score().chords()) {
            assertThat(chord.candidate().fingering().reachMm())
                    .isLessThanOrEqualTo(Hand.SMALL.limitMm());
        }
        workspace.setHand(Hand.MEDIUM);
        assertThat(workspace.score()).isEqualTo(medium);
    }

    /** The demo is our own: every riff derives without remarks, in different tunings and modes. */
    @Test
    void theDemoLibraryPlays() {
        assertThat(Demo.riffs())
                .extracting(NamedRiff::title)
                .startsWith("Winch House", "Wet Slate");
        assertThat(Demo.riffs())
                .extracting(r -> r.riff().ground().key().mode().name())
                .doesNotHaveDuplicates();
        assertThat(Demo.riffs())
                .extracting(r -> r.riff().ground().instrument().tuning().name())
                .contains("standard", "low D");
        for (NamedRiff r : Demo.riffs()) {
            Workspace w = new Workspace(new Catalogue(), r);
            assertThat(w.score().remarks()).as(r.title()).isEmpty();
            assertThat(w.content().riff().bars()).isEqualTo(4);
            assertThat(SoundEvents.program(w.score()).events())
                    .isGreaterThanOrEqualTo(w.score().strikes().size());
        }
    }
}
