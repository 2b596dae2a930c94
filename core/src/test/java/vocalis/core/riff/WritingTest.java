package vocalis.core.riff;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.FigureBook;
import vocalis.core.edit.FigureText;
import vocalis.core.edit.Figures;
import vocalis.core.edit.Progression;
import vocalis.core.edit.Scope;
import vocalis.core.edit.Strokes;
import vocalis.core.edit.Tapping;
import vocalis.core.edit.Times;
import vocalis.core.edit.Touches;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.LinePitch;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Restart;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Touch;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.theory.Key;

/** Roots as they are typed, lines that are moved, figures that are turned and made their own. */
class WritingTest {

    private static final Key A_MINOR = Key.parse("A minor");

    @ParameterizedTest
    @CsvSource({
        "a f c g, 9 5 0 7",
        "A F C G, 9 5 0 7",
        "1 6 3 7, 9 5 0 7",
        "b bb b6 #4 eb, 11 10 4 3 3",
    })
    void notesAndDegreesAreRead(String text, String wanted) {
        List<String> got = new ArrayList<>();
        Progression.parse(text, A_MINOR)
                .entries()
                .forEach(e -> got.add(String.valueOf(e.root().pitchClass(A_MINOR))));
        assertThat(String.join(" ", got)).isEqualTo(wanted);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "h", "a 8", "a:0", "a::2", "a/", "a:1/0", "c## "})
    void whatIsNoRootIsToldByItsPlace(String text) {
        assertThatThrownBy(() -> Progression.parse(text, A_MINOR))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("word ");
    }

    /** Players say D5 for the power chord on D; a small b5 stays the lowered fifth degree. */
    @Test
    void aPowerChordIsReadAsItsRoot() {
        assertThat(Progression.parse("a5 F#5:2 eb5 B5/d", A_MINOR))
                .isEqualTo(Progression.parse("a f#:2 eb B/d", A_MINOR));
        assertThat(Progression.parse("b5", A_MINOR).entries().get(0).root().pitchClass(A_MINOR))
                .isEqualTo(3);
        assertThat(Progression.parse("B5", A_MINOR).entries().get(0).root().pitchClass(A_MINOR))
                .isEqualTo(11);
    }

    @Test
    void lengthsFillBarsOfTheMeter() {
        Riff riff = Times.meter(Riffs.repeating(1, 1), Meter.parse("5/4"));
        Riff typed = Progression.parse("a:2 f:3b g:2b/1".replace("/1", ""), A_MINOR).on(riff);
        long bar = 5 * Ticks.QUARTER;
        assertThat(typed.roots().stream().map(RootSpan::length))
                .containsExactly(2 * bar, 3 * Ticks.QUARTER, 2 * Ticks.QUARTER);
        Riff half = Progression.parse("a:1/2 f:1/2 c/e", A_MINOR).on(Riffs.repeating(1));
        assertThat(half.bars()).isEqualTo(2);
        assertThat(half.treatments().get(2).bass().map(b -> b.pitchClass(A_MINOR))).hasValue(4);
        Riff filled = Progression.parse("a:3b", A_MINOR).on(Riffs.repeating(1));
        assertThat(filled.length()).as("the last root fills its bar").isEqualTo(Riffs.BAR);
    }

    /** What is shown to be typed over gives the same roots back. */
    @Test
    void typedRootsReadBack() {
        for (int seed = 0; seed < 200; seed++) {
            Riff riff = Riffs.random(new Random(seed));
            Riff again = Progression.parse(Progression.of(riff), riff.ground().key()).on(riff);
            assertThat(again.roots().stream().map(r -> r.root().pitchClass(riff.ground().key())))
                    .isEqualTo(
                            riff.roots().stream()
                                    .map(r -> r.root().pitchClass(riff.ground().key()))
                                    .toList());
        }
    }

    /** A step up and a step down is where it was; seven steps are an octave. */
    @Test
    void linesMoveAlongTheScale() {
        Ground ground = Riffs.ground("A minor");
        LinePitch first = new LinePitch.Degree(LinePitch.Above.ROOT, 1, 0, 1);
        LinePitch up = Lines.stepped(ground, first, 7);
        assertThat(up).isEqualTo(Lines.octave(ground, first, 1));
        assertThat(Lines.stepped(ground, up, -7)).isEqualTo(first);
        assertThat(Lines.midi(ground, up, 9) - Lines.midi(ground, first, 9)).isEqualTo(12);
        int sharp = Lines.midi(ground, Lines.altered(ground, first, 1), 9);
        assertThat(sharp).isEqualTo(Lines.midi(ground, first, 9) + 1);
    }

    /** The same note lies five frets lower on the next string of a fourth (common practice). */
    @Test
    void aNoteLiesOnTheNextString() {
        Ground ground = Riffs.ground("A minor");
        LinePitch.Place place = new LinePitch.Place(0, 7);
        LinePitch.Place next = Lines.onString(ground, place, 1);
        assertThat(next).isEqualTo(new LinePitch.Place(1, 2));
        assertThat(Lines.onString(ground, next, 1)).as("it has none there").isEqualTo(next);
    }

    /** One pass becomes a figure of its own: what is played stays, and edits hold there alone. */
    @Test
    void aFigureOfItsOwnPlaysTheSame() {
        for (int seed = 0; seed < 300; seed++) {
            Random random = new Random(seed);
            Riff riff = Riffs.random(random);
            if (riff.pattern().restart() != Restart.RUNS_ON) {
                continue;
            }
            long tick = (long) (random.nextDouble() * riff.length());
            Riff own = Figures.own(riff, tick);
            assertThat(played(own)).as("seed %d", seed).isEqualTo(played(riff));
            assertThat(own.touches().size()).isGreaterThanOrEqualTo(riff.touches().size());
        }
        Riff riff = Figures.own(Riffs.repeating(1, 1, 1), Riffs.BAR);
        Riff changed = Strokes.remove(riff, Riffs.BAR, Scope.EVERY_PASS);
        assertThat(Strokes.at(changed, 0)).isPresent();
        assertThat(Strokes.at(changed, Riffs.BAR)).isEmpty();
        assertThat(Strokes.at(changed, 2 * Riffs.BAR)).isPresent();
    }

    private static List<String> played(Riff riff) {
        List<String> all = new ArrayList<>();
        for (Pass p : riff.passes()) {
            for (Event e : p.events()) {
                long touches =
                        riff.touches().stream()
                                .filter(t -> t.anchor().holds(p.figure().id(), e.id(), p.index()))
                                .count();
                all.add((p.start() + e.at()) + " " + e.numbered(0).beginning(0) + " " + touches);
            }
        }
        return all;
    }

    @Test
    void aFigureTurnsAroundItself() {
        Riff riff = Riffs.repeating(1, 1);
        Riff turned = riff;
        for (int i = 0; i < 4; i++) {
            turned = Figures.rotate(turned, 0, Ticks.QUARTER);
        }
        assertThat(turned).isEqualTo(riff);
        assertThat(Strokes.at(Figures.rotate(riff, 0, Ticks.QUARTER), Ticks.QUARTER))
                .get()
                .isInstanceOfSatisfying(Stroke.class, s -> assertThat(s.accented()).isTrue());
    }

    /** A longer figure drifts; its events keep their places in it. */
    @Test
    void aLongerFigureDriftsAgainstTheBar() {
        Riff riff = Figures.lengthen(Riffs.repeating(1, 1), 0, Ticks.QUARTER);
        assertThat(riff.pattern().cycle()).isEqualTo(5 * Ticks.QUARTER);
        assertThat(riff.passes().get(1).start()).isEqualTo(5 * Ticks.QUARTER);
        Riff displaced = Figures.displace(riff, Ticks.EIGHTH);
        assertThat(displaced.passes().stream().map(Pass::start)).contains(Ticks.EIGHTH);
        assertThat(Figures.displace(displaced, -Ticks.EIGHTH)).isEqualTo(riff);
    }

    @Test
    void figuresThatStartAgainHaveNoPassOfTheirOwn() {
        Riff riff = Figures.nextRestart(Riffs.repeating(1, 1));
        assertThatThrownBy(() -> Figures.own(riff, 0))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("run on");
        assertThat(Optional.of(riff.pattern().restart())).hasValue(Restart.BAR);
    }

    /** Every figure at hand fills whole eighths, strikes something, and has a name of its own. */
    @Test
    void theFiguresAtHandArePlayable() {
        List<Figure> all = FigureBook.all();
        assertThat(all.stream().map(Figure::name).distinct()).hasSize(all.size());
        for (Figure f : all) {
            assertThat(f.events()).as(f.name()).isNotEmpty();
            assertThat(f.length() % Ticks.EIGHTH).as(f.name()).isZero();
            Riff laid = Figures.replace(Riffs.repeating(1, 4), 0, f);
            assertThat(laid.pattern().cycle()).isEqualTo(f.length());
        }
        assertThatThrownBy(() -> FigureText.of("x", "", Ticks.SIXTEENTH, "a-q-"))
                .hasMessageContaining("\"q\"");
    }

    /** What was done to strokes that another figure takes the place of is found, not moved. */
    @Test
    void touchesOnAFigureThatIsReplacedAreFound() {
        Riff riff = Riffs.repeating(1, 4);
        Touch slide =
                new Touch.Slide(
                        Riffs.top(riff.pattern().order().get(0), 0, Optional.empty()), 2, 0, 100);
        Riff laid = Figures.replace(Touches.put(riff, slide), 0, FigureBook.all().get(3));
        assertThat(laid.touches()).containsExactly(slide);
        Derived d =
                Deriver.once(
                        laid, vocalis.core.hands.Hand.MEDIUM, new vocalis.core.choice.Catalogue());
        assertThat(d.findings()).hasSize(1);
        assertThat(d.score().notes()).allSatisfy(n -> assertThat(n.techniques()).isEmpty());
    }

    /** Every figure at hand tapped by an unsteady hand is understood as it is. */
    @Test
    void tappedRhythmsAreUnderstood() {
        Random random = new Random(3);
        for (Figure f : FigureBook.all()) {
            for (int tempo : new int[] {70, 110, 150}) {
                List<Double> taps = new ArrayList<>();
                for (Event e : f.events()) {
                    double late = 0.012 * random.nextGaussian();
                    taps.add(Ticks.seconds(e.at(), tempo) + (taps.isEmpty() ? 0 : late));
                }
                long first = f.events().get(0).at();
                Tapping t = Tapping.of(taps, tempo, Meter.COMMON);
                assertThat(t.figure().events().stream().map(Event::at))
                        .as("%s at %d", f.name(), tempo)
                        .isEqualTo(f.events().stream().map(e -> e.at() - first).toList());
                assertThat(t.offSeconds()).isLessThan(0.03);
            }
        }
    }

    /** Eighths stay eighths though sixteenths would lie nearer by chance. */
    @Test
    void theCoarsestGridThatFitsIsTaken() {
        Tapping t = Tapping.of(List.of(0.0, 0.26, 0.5, 0.74, 1.01), 120, Meter.COMMON);
        assertThat(t.grid()).isEqualTo(2);
        assertThat(t.counts()).containsExactly("1", "1&", "2", "2&", "3");
        assertThat(t.figure().length()).isEqualTo(Riffs.BAR);
        assertThatThrownBy(() -> Tapping.of(List.of(), 120, Meter.COMMON))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
