package vocalis.workbench.document;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.edit.Scope;
import vocalis.core.hands.Hand;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.piece.Guitar;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.score.ScoreNote;
import vocalis.core.voicing.Family;
import vocalis.formats.json.Extras;
import vocalis.formats.json.PieceCodec;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.exchange.Exchange;
import vocalis.workbench.exchange.Target;

/** A part of its own for the second guitar, written where the first is written. */
class GuitarTwoTest {

    private static final Catalogue CATALOGUE = new Catalogue();
    private final Workspace workspace = new Workspace(CATALOGUE, Demo.pieces().get(2));

    private void written() {
        workspace.apply(Edits.secondPlays());
        workspace.write(Guitar.TWO);
    }

    /** A lead of three notes over rests: the tonic, the third above, the fifth. */
    private void lead() {
        workspace.apply(Edits.silence());
        int[] degrees = {1, 3, 5};
        for (int i = 0; i < degrees.length; i++) {
            LinePitch pitch = new LinePitch.Degree(LinePitch.Above.KEY, degrees[i], 0, 2);
            LineNote note =
                    new LineNote(0, 0, Ticks.EIGHTH, pitch, Manner.PLAIN, Dynamics.PLAIN, false);
            workspace.apply(
                    Edits.putEvent(i * Ticks.QUARTER + Ticks.EIGHTH, note, Scope.EVERY_PASS));
        }
    }

    @Test
    void itIsWrittenAndBothAreHeard() {
        Riff one = workspace.content().riff();
        var before = workspace.heard().score();
        written();
        assertThat(workspace.beside()).as("it plays the same").isEmpty();
        lead();
        assertThat(workspace.content().riff()).isEqualTo(one);
        assertThat(workspace.heard().score()).isEqualTo(before);
        List<ScoreNote> notes = workspace.heard().second().orElseThrow().notes();
        assertThat(notes)
                .extracting(ScoreNote::at)
                .containsExactly(Ticks.EIGHTH, 3 * Ticks.EIGHTH, 5 * Ticks.EIGHTH);
        assertThat(workspace.score().notes()).isEqualTo(notes);
        assertThat(workspace.beside().orElseThrow().riff()).isEqualTo(one);
        workspace.write(Guitar.ONE);
        assertThat(workspace.derived().riff()).isEqualTo(one);
        assertThat(workspace.beside().orElseThrow().score().notes()).isEqualTo(notes);
    }

    /** Whatever is done to guitar two, both stay on the same roots, and undo goes back. */
    @Test
    void everyEditKeepsTheGuitarsTogether() {
        written();
        lead();
        for (Edit edit : WorkspaceTest.edits()) {
            Piece before = workspace.content();
            workspace.seal();
            workspace.apply(edit);
            Piece after = workspace.content();
            assertThat(after.secondRiff().roots()).isEqualTo(after.riff().roots());
            assertThat(after.secondRiff().ground()).isEqualTo(after.riff().ground());
            assertThat(after.secondRiff().time()).isEqualTo(after.riff().time());
            if (after.riff().roots().equals(before.riff().roots())
                    && after.riff().time().equals(before.riff().time())) {
                assertThat(after.riff().pattern())
                        .as(edit.label())
                        .isEqualTo(before.riff().pattern());
                assertThat(after.riff().treatments())
                        .as(edit.label())
                        .isEqualTo(before.riff().treatments());
            }
            if (!after.equals(before)) {
                workspace.undo();
                assertThat(workspace.content()).as(edit.label()).isEqualTo(before);
                workspace.redo();
                assertThat(workspace.content()).as(edit.label()).isEqualTo(after);
            }
        }
    }

    @Test
    void itIsKeptInTheFileAndInMusicXml() throws Exception {
        written();
        lead();
        workspace.apply(Edits.keepVersion("three notes", ""));
        workspace.apply(Edits.familyOfAll(Family.OCTAVE));
        Piece piece = workspace.content();
        assertThat(PieceCodec.read(PieceCodec.write(piece, Extras.NONE)).piece()).isEqualTo(piece);
        var away = new Exchange(CATALOGUE, Hand.MEDIUM).away(piece);
        List<ScoreNote> own = workspace.score().notes();
        assertThat(own).hasSizeGreaterThan(2);
        List<ScoreNote> xml = second(away.bytes(Target.MUSICXML));
        assertThat(places(xml)).isEqualTo(places(own));
        // MIDI knows pitches alone: on which strings they are played is the reader's guess.
        assertThat(second(away.bytes(Target.MIDI)))
                .extracting(ScoreNote::at)
                .isEqualTo(own.stream().map(ScoreNote::at).toList());
    }

    private static List<ScoreNote> second(byte[] file) throws Exception {
        var guitars = Exchange.read(file).sheet().guitars();
        assertThat(guitars).hasSize(2);
        return guitars.get(1).score().notes();
    }

    private static List<List<Long>> places(List<ScoreNote> notes) {
        return notes.stream()
                .map(n -> List.of(n.at(), (long) n.string(), (long) n.fret()))
                .toList();
    }

    /** Another document begins with guitar one. */
    @Test
    void anotherDocumentIsWrittenFromGuitarOne() {
        written();
        workspace.open(Demo.pieces().get(3));
        assertThat(workspace.written()).isEqualTo(Guitar.ONE);
        assertThat(workspace.derived().riff()).isEqualTo(workspace.content().riff());
        assertThat(Optional.of(workspace.riff())).contains(workspace.content().riff());
    }
}
