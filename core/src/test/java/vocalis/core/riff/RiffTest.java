package vocalis.core.riff;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static vocalis.core.riff.Riffs.BAR;
import static vocalis.core.riff.Riffs.ground;
import static vocalis.core.riff.Riffs.quarters;

import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Random;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.derive.Finding;
import vocalis.core.edit.Chords;
import vocalis.core.edit.Scope;
import vocalis.core.edit.Strokes;
import vocalis.core.edit.Times;
import vocalis.core.edit.Touches;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Limits;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.pattern.Touch;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Onset;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

class RiffTest {

    private static final Catalogue CATALOGUE = new Catalogue();

    private static Riff riff() {
        return Riffs.fourBars();
    }

    private static Derived derived(Riff riff) {
        return Deriver.once(riff, Hand.MEDIUM, CATALOGUE);
    }

    @Test
    void theSameRiffAlwaysGivesTheSameScore() {
        assertThat(derived(riff())).isEqualTo(Deriver.once(riff(), Hand.MEDIUM, new Catalogue()));
    }

    /** What is remembered of one riff does not change what another comes to. */
    @Test
    void aDeriverThatRemembersGivesTheSameAsOneThatDoesNot() {
        Deriver remembering = new Deriver(CATALOGUE);
        Random random = new Random(5);
        for (int i = 0; i < 40; i++) {
            Riff riff = Riffs.random(random);
            assertThat(remembering.derive(riff, Hand.MEDIUM)).isEqualTo(derived(riff));
            Riff other = Chords.family(riff, 0, Family.values()[random.nextInt(5)]);
            assertThat(remembering.derive(other, Hand.MEDIUM)).isEqualTo(derived(other));
        }
    }

    @Test
    void everyOnsetSoundsNotesOfItsChordAndNoOther() {
        Derived d = derived(riff());
        assertThat(d.score().onsets()).hasSize(12);
        for (Onset o : d.score().onsets()) {
            int chord = o.origin().orElseThrow().chord();
            Shape shape = d.chords().get(chord).candidate().voicing().shape();
            for (ScoreNote n : o.notes()) {
                assertThat(shape.fret(n.string())).isEqualTo(n.fret());
            }
        }
        assertThat(d.score().onsets().get(0).notes()).hasSizeGreaterThan(1);
        assertThat(d.score().onsets().get(4).notes()).hasSize(1);
    }

    /** Another key keeps pattern and treatment and moves every root. */
    @Test
    void rootsFollowTheKey() {
        Riff inD = riff().withGround(ground("D dorian"));
        assertThat(derived(riff()).chords())
                .extracting(Derived.Chord::root)
                .containsExactly(9, 2, 7, 0);
        assertThat(derived(inD).chords())
                .extracting(Derived.Chord::root)
                .containsExactly(2, 7, 0, 5);
        assertThat(inD.pattern()).isEqualTo(riff().pattern());
    }

    @Test
    void everyPitchClassIsARootInEveryMode() {
        for (Mode mode : Mode.builtIn()) {
            Key key = new Key(Spelling.parse("Eb"), mode);
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
        Voicing voicing = new Voicing(Shape.parse("5-7-7-x-x-x"), riff().ground().board(), 9);
        Riff chosen = Chords.member(riff(), 0, Family.POWER, Member.OfClass.of(voicing));
        assertThat(shapeOf(chosen, 0)).isEqualTo("5-7-7-x-x-x");
        Riff there = Chords.familyOfAll(Chords.familyOfAll(chosen, Family.OCTAVE), Family.POWER);
        assertThat(shapeOf(there, 0)).isEqualTo("5-7-7-x-x-x");
        Riff onC = Chords.root(chosen, 0, new Root(3, 0));
        assertThat(shapeOf(onC, 0)).isEqualTo("8-10-10-x-x-x");
    }

    @Test
    void aShapeBuiltByHandMovesWithItsRoot() {
        Member built = new Member.ByHand(Shape.parse("x-x-7-9-8-x"), 9);
        Riff riff = Chords.member(riff(), 0, Family.POWER, built);
        assertThat(shapeOf(riff, 0)).isEqualTo("x-x-7-9-8-x");
        assertThat(shapeOf(Chords.root(riff, 0, new Root(7, 0)), 0)).isEqualTo("x-x-5-7-6-x");
        Tuning seven = new Tuning("seven", List.of(35, 40, 45, 50, 55, 59, 64));
        Riff sevenStrings = riff.withGround(riff.ground().withTuning(seven));
        assertThat(derived(sevenStrings).findings())
                .containsExactly(new Finding.ShapeGone(0, Shape.parse("x-x-7-9-8-x")));
    }

    private static String shapeOf(Riff riff, int chord) {
        return derived(riff).chords().get(chord).candidate().voicing().shape().text();
    }

    @Test
    void whatTheGroundNoLongerAllowsIsSaidNotDropped() {
        Voicing open = new Voicing(Shape.parse("x-0-2-2-x-x"), riff().ground().board(), 9);
        Riff chosen = Chords.member(riff(), 0, Family.POWER, Member.OfClass.of(open));
        Riff elsewhere = chosen.withGround(ground("B minor"));
        assertThat(derived(elsewhere).findings())
                .containsExactly(new Finding.MemberGone(0, Family.POWER, 11));
        assertThat(shapeOf(elsewhere.withGround(ground("A minor")), 0)).isEqualTo("x-0-2-2-x-x");
    }

    /** A capo so high that few frets are left: a root that no string reaches is silent and said. */
    @Test
    void aRootThatNoStringReachesIsSilentAndFound() {
        Tuning allE = new Tuning("all E", List.of(40, 40, 52, 52, 64, 64));
        Instrument twelve = new Instrument(allE, 12, 648, false);
        Ground g = new Ground(twelve, 11, Key.parse("A minor"), Tone.CLEAN, 440);
        Derived d = derived(riff().withGround(g));
        assertThat(d.findings()).anyMatch(f -> f instanceof Finding.RootOutOfReach);
        for (Finding f : d.findings()) {
            if (f instanceof Finding.RootOutOfReach silent) {
                assertThat(d.score().notes())
                        .noneMatch(n -> n.origin().orElseThrow().chord() == silent.chord());
            }
        }
    }

    // Touches.

    private static Touch hammer(Anchor a) {
        return new Touch.Legato(a, List.of(new Touch.Step(2, Ticks.EIGHTH)));
    }

    @Test
    void aTouchOfEveryPassIsHeardAtEveryPassAndOneOfAPassThere() {
        Riff r = Riffs.repeating(1, 4, 7, 3);
        Riff every = Touches.put(r, hammer(Riffs.top("q", 0, Optional.empty())));
        assertThat(touched(every)).containsExactly(0L, BAR, 2 * BAR, 3 * BAR);
        Riff third = Touches.put(r, hammer(Riffs.top("q", 0, Optional.of(2))));
        assertThat(touched(third)).containsExactly(2 * BAR);
    }

    private static List<Long> touched(Riff riff) {
        return derived(riff).score().notes().stream()
                .filter(n -> !n.techniques().isEmpty())
                .map(ScoreNote::at)
                .toList();
    }

    /** Up two, back one, up three: each from where the finger is by then. */
    @Test
    void aChainEndsOnTheFretItsStepsLeadTo() {
        Touch chain =
                new Touch.Legato(
                        Riffs.top("q", 0, Optional.of(0)),
                        List.of(
                                new Touch.Step(2, 2000),
                                new Touch.Step(-1, 4000),
                                new Touch.Step(3, 6000)));
        ScoreNote n =
                derived(Touches.put(Riffs.repeating(1), chain)).score().notes().stream()
                        .filter(x -> !x.techniques().isEmpty())
                        .findFirst()
                        .orElseThrow();
        assertThat(n.techniques())
                .extracting(Technique::to)
                .containsExactly(n.fret() + 2, n.fret() + 1, n.fret() + 4);
        assertThat(n.techniques())
                .extracting(Technique::kind)
                .containsExactly(Technique.Kind.HAMMER, Technique.Kind.PULL, Technique.Kind.HAMMER);
        assertThat(n.endFret()).isEqualTo(n.fret() + 4);
    }

    @Test
    void aBendThatIsLetBackComesBackToItsNote() {
        Touch bend =
                new Touch.Bend(
                        Riffs.top("q", 0, Optional.of(0)), 200, 0, 1000, OptionalLong.of(5000));
        ScoreNote n =
                derived(Touches.put(Riffs.repeating(1), bend)).score().notes().stream()
                        .filter(x -> !x.techniques().isEmpty())
                        .findFirst()
                        .orElseThrow();
        assertThat(n.techniques())
                .containsExactly(
                        new Technique(Technique.Kind.BEND, 200, 0, 1000),
                        new Technique(Technique.Kind.RELEASE, 0, 5000, 1000));
    }

    @Test
    void aDeletedStrokeKeepsItsTouchForWhenItIsBack() {
        Riff r = Touches.put(riff(), hammer(Riffs.top("all", 0, Optional.of(0))));
        assertThat(derived(r).findings()).isEmpty();
        Riff without = Strokes.remove(r, 0, Scope.EVERY_PASS);
        assertThat(derived(without).findings())
                .singleElement()
                .isInstanceOf(Finding.TouchUnplaced.class);
        Riff back =
                Strokes.put(
                        without,
                        0,
                        new Stroke(99, 0, Ticks.QUARTER, Struck.Named.ALL),
                        Scope.EVERY_PASS);
        assertThat(derived(back).findings()).isEmpty();
        assertThat(touched(back)).containsExactly(0L);
    }

    @Test
    void aTouchThatWouldLeaveTheNeckIsFoundThere() {
        Touch far = new Touch.Slide(Riffs.top("q", 1, Optional.empty()), 30, 0, 100);
        assertThat(derived(Touches.put(Riffs.repeating(1), far)).findings())
                .containsExactly(
                        new Finding.TouchUnplaced(0, Ticks.QUARTER, far, Finding.Why.OFF_THE_NECK));
        Touch fifthVoice =
                new Touch.Slide(
                        new Anchor("q", 0, Optional.of(0), new Anchor.Voice.FromTop(7)), 1, 0, 0);
        assertThat(derived(Touches.put(Riffs.repeating(1), fifthVoice)).findings())
                .containsExactly(new Finding.TouchUnplaced(0, 0, fifthVoice, Finding.Why.NO_VOICE));
    }

    // Chords.

    @Test
    void wholeBarsGoAlongWithTheirPattern() {
        Riff moved = Chords.move(riff(), 0, 2);
        assertThat(moved.roots()).extracting(r -> r.root().step()).containsExactly(4, 7, 1, 3);
        assertThat(moved.pattern().order()).containsExactly("low", "top", "all", "rest");
        Riff copied = Chords.copy(riff(), 1);
        assertThat(copied.bars()).isEqualTo(5);
        assertThat(copied.pattern().order()).containsExactly("all", "low", "low", "top", "rest");
        assertThat(Chords.delete(copied, 2)).isEqualTo(riff());
    }

    /** One figure repeated is still one figure when its bars are put into another order. */
    @Test
    void aRepeatedFigureStaysOne() {
        Riff r = Riffs.repeating(1, 4, 7, 3);
        Riff accented =
                Strokes.change(r, 2 * BAR, e -> ((Stroke) e).accented(false), Scope.THIS_PASS);
        assertThat(accented.pattern().figures()).hasSize(1);
        assertThat(accented.pattern().overrides()).hasSize(1);
        Riff moved = Chords.move(accented, 2, 0);
        assertThat(moved.pattern().order()).containsExactly("q");
        assertThat(moved.pattern().overrides()).singleElement().matches(o -> o.pass() == 0);
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

    @Test
    void aRiffThatIsFullSaysSo() {
        Riff full = Chords.lengthen(Riffs.repeating(1), 0, (Limits.MOST_BARS - 1) * BAR);
        assertThat(full.bars()).isEqualTo(Limits.MOST_BARS);
        assertThatThrownBy(() -> Chords.copy(full, 0)).hasMessageContaining("256");
        assertThatThrownBy(() -> Chords.lengthen(full, 0, BAR)).hasMessageContaining("256");
    }

    // Lines, ties, meters, tempos.

    @Test
    void aLineNoteFollowsItsRootOrStaysOnItsPlace() {
        Figure f =
                new Figure(
                        "line",
                        "",
                        BAR,
                        List.of(
                                new LineNote(
                                        0,
                                        0,
                                        Ticks.QUARTER,
                                        new LinePitch.Degree(LinePitch.Above.ROOT, 1, 0, 0)),
                                new LineNote(
                                        1,
                                        Ticks.QUARTER,
                                        Ticks.QUARTER,
                                        new LinePitch.Degree(LinePitch.Above.ROOT, 3, 0, 0)),
                                new LineNote(
                                        2, Ticks.HALF, Ticks.QUARTER, new LinePitch.Place(1, 3))));
        Derived d = derived(Riffs.on(Pattern.of(f), 1, 4));
        List<Integer> midi =
                d.score().notes().stream()
                        .map(n -> d.score().board().midi(n.string(), n.fret()))
                        .toList();
        // A minor: A and C, then on the fourth step D and F; string 5, fret 3 is C3 both times.
        assertThat(midi).containsExactly(45, 48, 48, 50, 53, 48);
        assertThat(d.score().notes()).noneMatch(ScoreNote::rings);
    }

    @Test
    void aTiedStrokeGoesOnOverTheBarLine() {
        Figure f =
                new Figure(
                        "tie",
                        "",
                        BAR,
                        List.of(
                                new Stroke(0, 0, Ticks.HALF, Struck.Named.ALL).tied(true),
                                new Stroke(1, Ticks.HALF, Ticks.HALF, Struck.Named.ALL)));
        Derived d = derived(Riffs.on(Pattern.of(f), 1, 1));
        assertThat(d.score().onsets())
                .extracting(Onset::tied)
                .containsExactly(false, false, true, false);
    }

    @Test
    void stringsAreStruckByNumberWhetherTheShapeSoundsThemOrNot() {
        Figure f =
                new Figure(
                        "open",
                        "",
                        BAR,
                        List.of(new Stroke(0, 0, BAR, new Struck.Strings(0b100001))));
        Voicing v = new Voicing(Shape.parse("x-x-7-9-x-x"), ground("A minor").board(), 9);
        Riff r =
                Chords.member(
                        Riffs.on(Pattern.of(f), 1),
                        0,
                        Family.POWER,
                        new Member.ByHand(v.shape(), 9));
        assertThat(derived(r).score().notes()).extracting(ScoreNote::string).containsExactly(0, 5);
        assertThat(derived(r).score().notes()).allMatch(ScoreNote::open);
    }

    @Test
    void anotherMeterInOneBarTakesItsRootAlong() {
        Riff r = Times.meter(Riffs.repeating(1, 4, 7), 1, new Meter(3, 4));
        assertThat(r.bars()).isEqualTo(3);
        assertThat(r.meters().meter(0)).isEqualTo(Meter.COMMON);
        assertThat(r.meters().meter(1)).isEqualTo(new Meter(3, 4));
        assertThat(r.meters().meter(2)).isEqualTo(Meter.COMMON);
        assertThat(r.roots().get(1).length()).isEqualTo(3 * Ticks.QUARTER);
        Riff moved = Chords.move(r, 1, 0);
        assertThat(moved.meters().meter(0)).isEqualTo(new Meter(3, 4));
        assertThat(moved.bars()).isEqualTo(3);
    }

    @Test
    void laterTemposKeepTheirRelationToTheFirst() {
        TempoMap map =
                new TempoMap(List.of(new TempoMap.Change(0, 100), new TempoMap.Change(BAR, 150)));
        Riff r = Riffs.repeating(1, 4);
        Riff faster = Times.tempo(r.withTime(r.time().withTempos(map)), 120);
        assertThat(faster.time().tempos().at(BAR)).isEqualTo(180);
        assertThat(faster.time().tempos().seconds(2 * BAR))
                .isEqualTo(4 * 60 / 120.0 + 4 * 60 / 180.0);
    }

    @Test
    void strokesAreCutWhereANewOneBegins() {
        Figure f = quarters("q", Struck.Named.ALL);
        Figure changed = f.with(new Stroke(9, Ticks.EIGHTH, BAR, Struck.Named.LOW));
        assertThat(changed.events()).hasSize(5);
        assertThat(changed.events().get(0).length()).isEqualTo(Ticks.EIGHTH);
        assertThat(changed.events().get(1).length()).isEqualTo(Ticks.EIGHTH);
        assertThat(changed.without(9).events()).hasSize(4);
        assertThatThrownBy(() -> f.with(new Stroke(9, BAR, Ticks.EIGHTH, Struck.Named.ALL)))
                .hasMessageContaining("past the figure");
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
        List<RootSpan> third = List.of(new RootSpan(new Root(1, 0), BAR / 3));
        assertThatThrownBy(() -> r.withRoots(third, List.of(Treatment.best(Family.POWER))))
                .hasMessageContaining("whole bars");
        assertThatThrownBy(() -> Times.tempo(r, 500)).hasMessageContaining("500");
        assertThatThrownBy(() -> new Root(8, 0)).hasMessageContaining("8");
        Event whole = new Stroke(0, 0, BAR, Struck.Named.ALL);
        Event inside = new Stroke(1, 5, Ticks.EIGHTH, Struck.Named.ALL);
        assertThatThrownBy(() -> new Figure("f", "", BAR, List.of(whole, inside)))
                .hasMessageContaining("overlap");
        assertThatThrownBy(
                        () ->
                                ground("A minor")
                                        .withTuning(
                                                new Tuning(
                                                        "deep", List.of(16, 20, 45, 50, 55, 59))))
                .hasMessageContaining("25")
                .hasMessageContaining("string 6");
    }
}
