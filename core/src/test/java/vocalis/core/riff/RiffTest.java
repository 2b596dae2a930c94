package vocalis.core.riff;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Sounding;

class RiffTest {

    private static final long BAR = Meter.COMMON.barTicks();
    private static final Catalogue CATALOGUE = new Catalogue();

    private static Ground ground(String key) {
        return new Ground(
                Instrument.of(Tuning.STANDARD),
                0,
                Key.parse(key),
                120,
                Meter.COMMON,
                Tone.CLEAN,
                440);
    }

    private static Cell quarters(Struck struck) {
        List<Stroke> strokes = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            strokes.add(new Stroke(i * Ticks.QUARTER, Ticks.QUARTER, struck, i % 2 == 1, i == 0));
        }
        return new Cell(strokes);
    }

    /** Four roots of a bar each, a different cell in every bar. */
    private static Riff riff() {
        List<RootSpan> roots = new ArrayList<>();
        List<Treatment> treatments = new ArrayList<>();
        for (int step : new int[] {1, 4, 7, 3}) {
            roots.add(new RootSpan(new Root(step, 0), BAR));
            treatments.add(Treatment.best(Family.POWER));
        }
        Pattern pattern =
                new Pattern(
                        List.of(
                                quarters(Struck.Named.ALL),
                                quarters(Struck.Named.LOW),
                                quarters(Struck.Named.TOP),
                                Cell.REST));
        return new Riff(ground("A minor"), roots, treatments, pattern, List.of());
    }

    private static Score score(Riff riff) {
        return Derivation.score(riff, Hand.MEDIUM, CATALOGUE);
    }

    @Test
    void theSameRiffAlwaysGivesTheSameScore() {
        assertThat(score(riff())).isEqualTo(Derivation.score(riff(), Hand.MEDIUM, new Catalogue()));
    }

    @Test
    void everyStrikeSoundsNotesOfItsChordAndNoOther() {
        Score score = score(riff());
        assertThat(score.strikes()).hasSize(12);
        for (Score.Strike s : score.strikes()) {
            List<Sounding> all = score.chords().get(s.chord()).candidate().voicing().soundings();
            assertThat(all).containsAll(s.notes());
        }
        assertThat(score.strikes().get(0).notes()).hasSizeGreaterThan(1);
        assertThat(score.strikes().get(4).notes()).hasSize(1);
    }

    /** The layers of DESIGN §1: another key keeps pattern and treatment and moves every root. */
    @Test
    void rootsFollowTheKey() {
        Riff inD = riff().withGround(ground("D dorian"));
        assertThat(score(riff()).chords())
                .extracting(Score.Chord::root)
                .containsExactly(9, 2, 7, 0);
        assertThat(score(inD).chords()).extracting(Score.Chord::root).containsExactly(2, 7, 0, 5);
        assertThat(inD.pattern()).isEqualTo(riff().pattern());
    }

    @Test
    void everyPitchClassIsARootInEveryMode() {
        for (var mode : vocalis.core.theory.Mode.builtIn()) {
            Key key = new Key(vocalis.core.theory.Spelling.parse("Eb"), mode);
            for (int pc = 0; pc < 12; pc++) {
                assertThat(Root.of(key, pc).pitchClass(key)).as("%d in %s", pc, key).isEqualTo(pc);
            }
            Root up = new Root(1, 0).step(key, 1);
            assertThat(key.contains(up.pitchClass(key))).isTrue();
            assertThat(up.step(key, -1).pitchClass(key)).isEqualTo(key.tonic().pitchClass());
        }
    }

    @Test
    void aChosenVoicingFollowsTheRootAndSurvivesAnotherFamily() {
        Shape shape = Shape.parse("5-7-7-x-x-x");
        var voicing = new vocalis.core.voicing.Voicing(shape, riff().ground().board(), 9);
        Riff chosen = Chords.member(riff(), 0, Family.POWER, Member.Found.of(voicing));
        assertThat(shapeOf(chosen, 0)).isEqualTo("5-7-7-x-x-x");
        Riff there = Chords.familyOfAll(Chords.familyOfAll(chosen, Family.OCTAVE), Family.POWER);
        assertThat(shapeOf(there, 0)).isEqualTo("5-7-7-x-x-x");
        Riff onC = Chords.root(chosen, 0, new Root(3, 0));
        assertThat(shapeOf(onC, 0)).isEqualTo("8-10-10-x-x-x");
    }

    @Test
    void aShapeBuiltByHandMovesWithItsRoot() {
        Riff built =
                Chords.member(
                        riff(), 0, Family.POWER, new Member.ByHand(Shape.parse("x-x-7-9-8-x"), 9));
        assertThat(shapeOf(built, 0)).isEqualTo("x-x-7-9-8-x");
        assertThat(shapeOf(Chords.root(built, 0, new Root(7, 0)), 0)).isEqualTo("x-x-5-7-6-x");
        Riff sevenStrings =
                built.withGround(
                        built.ground()
                                .withTuning(
                                        new Tuning("seven", List.of(35, 40, 45, 50, 55, 59, 64))));
        assertThat(score(sevenStrings).remarks()).singleElement().asString().contains("chord 1");
    }

    private static String shapeOf(Riff riff, int chord) {
        return score(riff).chords().get(chord).candidate().voicing().shape().text();
    }

    @Test
    void whatTheGroundNoLongerAllowsIsSaidNotDropped() {
        var open =
                new vocalis.core.voicing.Voicing(
                        Shape.parse("x-0-2-2-x-x"), riff().ground().board(), 9);
        Riff chosen = Chords.member(riff(), 0, Family.POWER, Member.Found.of(open));
        Riff elsewhere = chosen.withGround(ground("B minor"));
        assertThat(score(elsewhere).remarks()).singleElement().asString().contains("power chord");
        assertThat(shapeOf(elsewhere.withGround(ground("A minor")), 0)).isEqualTo("x-0-2-2-x-x");
    }

    @Test
    void touchesStayWhereTheyMakeSenseAndAreListedWhereTheyDoNot() {
        int top = score(riff()).strikes().get(0).notes().get(1).string();
        Riff touched = riff().withTouches(List.of(new Touch.ChangedNote(0, top, 3)));
        assertThat(score(touched).strikes().get(0).notes().get(1).fret()).isEqualTo(3);
        assertThat(score(touched).remarks()).isEmpty();
        Riff silent = touched.withPattern(new Pattern(List.of(Cell.REST)));
        assertThat(score(silent).remarks()).singleElement().asString().contains("bar 1");
    }

    @Test
    void wholeBarsGoAlongWithTheirPattern() {
        Riff moved = Chords.move(riff(), 0, 2);
        assertThat(moved.roots()).extracting(r -> r.root().step()).containsExactly(4, 7, 1, 3);
        assertThat(moved.pattern().bar(2)).isEqualTo(riff().pattern().bar(0));
        assertThat(Chords.move(moved, 2, 0)).isEqualTo(riff());
        Riff copied = Chords.copy(riff(), 1);
        assertThat(copied.bars()).isEqualTo(5);
        assertThat(copied.pattern().bar(2)).isEqualTo(riff().pattern().bar(1));
        assertThat(Chords.delete(copied, 2)).isEqualTo(riff());
    }

    @Test
    void partsOfABarTakeTimeFromTheirNeighbours() {
        Riff longer = Chords.lengthen(riff(), 0, Ticks.HALF);
        assertThat(longer.roots().get(0).length()).isEqualTo(BAR + Ticks.HALF);
        assertThat(longer.roots().get(1).length()).isEqualTo(Ticks.HALF);
        assertThat(longer.length()).isEqualTo(riff().length());
        assertThat(Chords.lengthen(longer, 0, 10 * BAR).roots().get(1).length())
                .isEqualTo(Chords.GRAIN);
        Riff without = Chords.delete(longer, 1);
        assertThat(without.length()).isEqualTo(riff().length());
        assertThat(Chords.lengthen(riff(), 3, Ticks.EIGHTH).bars()).isEqualTo(5);
        assertThat(Chords.lengthen(riff(), 3, -Ticks.EIGHTH)).isEqualTo(riff());
        Riff split = Chords.split(riff(), 2);
        assertThat(split.roots()).hasSize(5);
        assertThat(split.length()).isEqualTo(riff().length());
    }

    /** Any sequence of edits leaves a riff of whole bars that still comes to a score. */
    @Test
    void noSequenceOfEditsBreaksARiff() {
        Random random = new Random(7);
        Riff r = riff();
        for (int i = 0; i < 400; i++) {
            int chord = random.nextInt(r.roots().size());
            r =
                    switch (random.nextInt(7)) {
                        case 0 -> r.bars() < 12 ? Chords.copy(r, chord) : r;
                        case 1 -> Chords.delete(r, chord);
                        case 2 -> Chords.lengthen(r, chord, (random.nextInt(9) - 4) * Chords.GRAIN);
                        case 3 -> Chords.move(r, chord, random.nextInt(r.roots().size()));
                        case 4 -> Chords.split(r, chord);
                        case 5 ->
                                Chords.root(
                                        r, chord, Root.of(r.ground().key(), random.nextInt(12)));
                        default -> Chords.family(r, chord, Family.values()[random.nextInt(3)]);
                    };
            assertThat(r.length() % BAR).isZero();
            assertThat(score(r).chords()).hasSize(r.roots().size());
        }
    }

    @Test
    void strokesAreCutWhereANewOneBegins() {
        Cell cell = quarters(Struck.Named.ALL);
        Stroke between = new Stroke(Ticks.EIGHTH, BAR, Struck.Named.LOW, false, false);
        Cell changed = cell.with(between, BAR);
        assertThat(changed.strokes()).hasSize(5);
        assertThat(changed.strokes().get(0).length()).isEqualTo(Ticks.EIGHTH);
        assertThat(changed.strokes().get(1).length()).isEqualTo(Ticks.EIGHTH);
        assertThat(changed.without(Ticks.EIGHTH).strokes()).hasSize(4);
        assertThatThrownBy(() -> cell.with(new Stroke(BAR, 1, Struck.Named.ALL, false, false), BAR))
                .hasMessageContaining("past the bar");
    }

    @Test
    void selectionsOfVoicesFitThinnerShapes() {
        assertThat(Struck.Named.THIRD.of(2)).containsExactly(1);
        assertThat(Struck.Named.UPPER.of(4)).containsExactly(1, 2, 3);
        assertThat(Struck.picked(List.of(0, 2), 3)).isEqualTo(new Struck.Picked(0b101));
        assertThat(Struck.picked(List.of(0, 1, 2), 3)).isEqualTo(Struck.Named.ALL);
        assertThat(new Struck.Picked(0b101).of(2)).containsExactly(0, 1);
        assertThat(new Struck.Picked(0b101).label()).isEqualTo("1+3");
    }

    @Test
    void impossibleRiffsCannotBeMade() {
        Riff r = riff();
        assertThatThrownBy(() -> r.withRoots(List.of(), List.of()))
                .hasMessageContaining("at least one root");
        assertThatThrownBy(
                        () ->
                                r.withRoots(
                                        List.of(new RootSpan(new Root(1, 0), BAR / 3)),
                                        List.of(Treatment.best(Family.POWER))))
                .hasMessageContaining("whole bars");
        assertThatThrownBy(() -> ground("A minor").withTempo(500)).hasMessageContaining("500");
        assertThatThrownBy(() -> new Root(8, 0)).hasMessageContaining("8");
        assertThatThrownBy(
                        () ->
                                new Cell(
                                        List.of(
                                                new Stroke(0, BAR, Struck.Named.ALL, false, false),
                                                new Stroke(5, 5, Struck.Named.ALL, false, false))))
                .hasMessageContaining("overlap");
    }
}
