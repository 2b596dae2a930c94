package vocalis.core.unpick;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
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
        List<ScoreNote> notes = s.notes().stream().map(ScoreNote::bare).toList();
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

    /** Grips that players take for these notes by themselves (common practice, no source). */
    @ParameterizedTest
    @CsvSource({
        "41 48 53, 1-3-3-x-x-x",
        "46 53 58, x-1-3-3-x-x",
        "48 55 60, x-3-5-5-x-x",
        "40 47 52 56 59 64, 0-2-2-1-0-0",
        "45 52 57 60 64, x-0-2-2-1-0",
        "50 57 62 66, x-x-0-2-3-2"
    })
    void thePlacerTakesTheUsualGrip(String notes, String shape) {
        Fretboard board = new Fretboard(Instrument.of(Tuning.STANDARD), 0);
        List<Integer> midi = Arrays.stream(notes.split(" ")).map(Integer::valueOf).toList();
        Placer.Placed p = Placer.placed(List.of(new Placer.Moment(0, midi)), board).get(0);
        Shape placed = Shape.silent(6);
        for (int i = 0; i < midi.size(); i++) {
            placed = placed.with(p.strings().get(i), p.frets().get(i));
        }
        assertThat(placed.text()).isEqualTo(shape);
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
