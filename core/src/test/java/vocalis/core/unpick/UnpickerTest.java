package vocalis.core.unpick;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.riff.Derived;
import vocalis.core.riff.Deriver;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;

/** Scores taken apart give back themselves. */
class UnpickerTest {

    private static final int RIFFS = 200;

    private final Catalogue catalogue = new Catalogue();
    private final Unpicker unpicker = new Unpicker(catalogue, Hand.MEDIUM);

    /** The score as a file of another program would hold it: without where its notes come from. */
    private static Score literal(Score s, boolean named) {
        List<ScoreNote> notes =
                s.notes().stream()
                        .map(
                                n ->
                                        new ScoreNote(
                                                n.string(),
                                                n.fret(),
                                                n.at(),
                                                n.length(),
                                                n.tied(),
                                                n.rings(),
                                                n.dynamics(),
                                                n.manner(),
                                                n.down(),
                                                n.plucked(),
                                                n.techniques(),
                                                Optional.empty()))
                        .toList();
        return new Score(s.board(), s.time(), s.length(), notes, named ? s.harmonies() : List.of());
    }

    /** Note for note, with the chords named and without. */
    @Test
    void twoHundredRiffsComeBackNoteForNote() {
        Random random = new Random(21);
        for (boolean named : new boolean[] {true, false}) {
            int whole = 0;
            long notes = 0;
            long same = 0;
            int chords = 0;
            int shapes = 0;
            for (int i = 0; i < RIFFS; i++) {
                Riff riff = Riffs.random(random);
                Derived before = new Deriver(catalogue).derive(riff, Hand.MEDIUM);
                if (before.score().notes().isEmpty()) {
                    continue;
                }
                Unpicked u = unpicker.unpick(literal(before.score(), named), riff.ground());
                whole += u.whole() ? 1 : 0;
                notes += u.notes();
                same += u.same();
                for (Derived.Chord c : before.chords()) {
                    chords++;
                    shapes +=
                            u.derived().chords().stream()
                                            .anyMatch(
                                                    x ->
                                                            x.start() <= c.start()
                                                                    && c.start() < x.end()
                                                                    && x.candidate()
                                                                            .voicing()
                                                                            .shape()
                                                                            .equals(
                                                                                    c.candidate()
                                                                                            .voicing()
                                                                                            .shape()))
                                    ? 1
                                    : 0;
                }
            }
            System.out.printf(
                    "%s: %d of %d riffs whole, %.2f %% of notes, %.1f %% of shapes%n",
                    named ? "named" : "not named",
                    whole,
                    RIFFS,
                    100.0 * same / notes,
                    100.0 * shapes / chords);
            assertThat(100.0 * same / notes).isGreaterThan(99.5);
        }
    }

    @Test
    void thePlacerTakesTheUsualGripOfAPowerChord() {
        Fretboard board = new Fretboard(Instrument.of(Tuning.STANDARD), 0);
        List<Placer.Placed> placed =
                Placer.placed(List.of(new Placer.Moment(0, List.of(45, 52, 57))), board);
        assertThat(placed.get(0).strings()).hasSize(3).doesNotContain(-1);
    }

    /** Whatever notes are asked, what is placed sounds as asked and on different strings. */
    @Test
    void whatIsPlacedSoundsAsAsked() {
        Fretboard board = new Fretboard(Instrument.of(Tuning.STANDARD), 0);
        Random random = new Random(3);
        for (int i = 0; i < 300; i++) {
            List<Integer> midi =
                    random.ints(1 + random.nextInt(5), 36, 90).distinct().sorted().boxed().toList();
            Placer.Placed p = Placer.placed(List.of(new Placer.Moment(0, midi)), board).get(0);
            for (int k = 0; k < midi.size(); k++) {
                int s = p.strings().get(k);
                if (s >= 0) {
                    assertThat(board.midi(s, p.frets().get(k))).isEqualTo(midi.get(k));
                }
            }
            List<Integer> used = p.strings().stream().filter(s -> s >= 0).toList();
            assertThat(used).doesNotHaveDuplicates();
        }
    }
}
