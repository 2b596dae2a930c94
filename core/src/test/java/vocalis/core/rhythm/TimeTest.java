package vocalis.core.rhythm;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/** Bars, tempos and note values. */
class TimeTest {

    /** Bars counted one by one agree with the map, in any meters with any pickup. */
    @Property(tries = 200)
    void barsLieWhereCountingThemSays(@ForAll Random random) {
        List<Meter> bars = new ArrayList<>();
        for (int b = 0; b < 1 + random.nextInt(12); b++) {
            bars.add(new Meter(1 + random.nextInt(9), 1 << (1 + random.nextInt(4))));
        }
        long pickup = random.nextInt((int) bars.get(0).barTicks());
        MeterMap map = MeterMap.ofBars(bars, pickup);
        long at = pickup;
        for (int b = 0; b < bars.size(); b++) {
            assertThat(map.start(b)).isEqualTo(at);
            assertThat(map.meter(b)).isEqualTo(bars.get(b));
            assertThat(map.bar(at)).isEqualTo(b);
            assertThat(map.barLine(at)).isTrue();
            long inside = at + 1 + random.nextInt((int) bars.get(b).barTicks() - 1);
            assertThat(map.bar(inside)).isEqualTo(b);
            assertThat(map.barLine(inside)).isFalse();
            at += bars.get(b).barTicks();
            assertThat(map.end(b)).isEqualTo(at);
            assertThat(map.bars(at)).isEqualTo(b + 1);
        }
        assertThat(map.listed(bars.size())).isEqualTo(bars);
    }

    @Test
    void aPickupIsCountedFromTheEndOfItsBar() {
        MeterMap map = MeterMap.of(Meter.COMMON).withPickup(Ticks.QUARTER);
        assertThat(map.place(0)).isEqualTo(new MeterMap.Place(0, 4, 0));
        assertThat(map.place(Ticks.QUARTER)).isEqualTo(new MeterMap.Place(1, 1, 0));
        assertThatThrownBy(() -> map.withPickup(Ticks.WHOLE)).hasMessageContaining("shorter");
        assertThat(Meter.parse(" 7/8 ")).isEqualTo(new Meter(7, 8));
        assertThatThrownBy(() -> Meter.parse("/")).hasMessageContaining("4/4");
        assertThatThrownBy(() -> Meter.parse("4/5")).hasMessageContaining("5");
    }

    /** The parts of a note fill it and never cross a bar line. */
    @Property(tries = 400)
    void partsFillTheNoteAndStopAtBarLines(
            @ForAll @LongRange(min = 0, max = 200) long start,
            @ForAll @LongRange(min = 1, max = 100) long length) {
        MeterMap map = MeterMap.ofBars(List.of(Meter.COMMON, new Meter(7, 8)), 0);
        long at = start * Ticks.SIXTEENTH;
        List<Notation.TiedValue> parts = Notation.parts(at, length * Ticks.SIXTEENTH, map);
        long next = at;
        for (int i = 0; i < parts.size(); i++) {
            Notation.TiedValue p = parts.get(i);
            assertThat(p.at()).isEqualTo(next);
            next += p.value().ticks();
            assertThat(p.value().exact()).isTrue();
            assertThat(map.bar(p.at())).isEqualTo(map.bar(next - 1));
            assertThat(p.tied()).isEqualTo(i + 1 < parts.size());
        }
        assertThat(next).isEqualTo(at + length * Ticks.SIXTEENTH);
    }

    /** Note values as any primer has them: beams, dots, tuplets. */
    @Test
    void valuesAreWrittenAsInAnyPrimer() {
        assertThat(Notation.value(Ticks.QUARTER).beams()).isZero();
        assertThat(Notation.value(Ticks.EIGHTH).beams()).isEqualTo(1);
        assertThat(Notation.value(Ticks.SIXTEENTH).beams()).isEqualTo(2);
        assertThat(Notation.value(Ticks.QUARTER * 3 / 2).dots()).isEqualTo(1);
        assertThat(Notation.value(Ticks.QUARTER * 7 / 4).dots()).isEqualTo(2);
        Notation.Value triplet = Notation.value(Ticks.QUARTER / 3);
        assertThat(triplet.tuplet()).isEqualTo(3);
        assertThat(triplet.beams()).isEqualTo(1);
        assertThat(Notation.value(Ticks.QUARTER / 5).tuplet()).isEqualTo(5);
        assertThat(Notation.value(Ticks.QUARTER / 5).beams()).isEqualTo(2);
        assertThat(Notation.value(Ticks.HALF).open()).isTrue();
        assertThat(Notation.value(Ticks.QUARTER).open()).isFalse();
        assertThat(Notation.value(Ticks.WHOLE).stemless()).isTrue();
        assertThat(Notation.value(17).exact()).isFalse();
    }

    private static List<Integer> joins(String meter, int eighths) {
        MeterMap map = MeterMap.of(Meter.parse(meter));
        List<Integer> joins = new ArrayList<>();
        for (int i = 0; i + 1 < eighths; i++) {
            Notation.TiedValue before = Notation.parts(i * Ticks.EIGHTH, Ticks.EIGHTH, map).get(0);
            Notation.TiedValue next =
                    Notation.parts((i + 1) * Ticks.EIGHTH, Ticks.EIGHTH, map).get(0);
            joins.add(Notation.joined(before, next, map));
        }
        return joins;
    }

    /** Eighths are beamed by the beat: in twos, in compound meters in threes (any primer). */
    @Test
    void beamsShowTheBeat() {
        assertThat(joins("4/4", 8)).containsExactly(1, 0, 1, 0, 1, 0, 1);
        assertThat(joins("3/4", 6)).containsExactly(1, 0, 1, 0, 1);
        assertThat(joins("6/8", 6)).containsExactly(1, 1, 0, 1, 1);
        assertThat(joins("9/8", 9)).containsExactly(1, 1, 0, 1, 1, 0, 1, 1);
        assertThat(joins("3/8", 6)).containsExactly(1, 1, 0, 1, 1);
    }

    @Test
    void sixteenthsAreJoinedByTwoBeamsAndToAnEighthByOne() {
        MeterMap map = MeterMap.of(Meter.COMMON);
        Notation.TiedValue eighth = Notation.parts(0, Ticks.EIGHTH, map).get(0);
        Notation.TiedValue first = Notation.parts(Ticks.EIGHTH, Ticks.SIXTEENTH, map).get(0);
        Notation.TiedValue second =
                Notation.parts(Ticks.EIGHTH + Ticks.SIXTEENTH, Ticks.SIXTEENTH, map).get(0);
        assertThat(Notation.joined(eighth, first, map)).isEqualTo(1);
        assertThat(Notation.joined(first, second, map)).isEqualTo(2);
        // A rest lies between: they do not touch.
        assertThat(Notation.joined(eighth, second, map)).isZero();
    }

    /** Half a minute at 120, then at 60: 60 quarters and 30. */
    @Test
    void secondsAreCountedOverChangesOfTempo() {
        TempoMap map =
                new TempoMap(
                        List.of(
                                new TempoMap.Change(0, 120),
                                new TempoMap.Change(60 * Ticks.QUARTER, 60)));
        assertThat(map.seconds(0)).isZero();
        assertThat(map.seconds(60 * Ticks.QUARTER)).isCloseTo(30, within(1e-9));
        assertThat(map.seconds(90 * Ticks.QUARTER)).isCloseTo(60, within(1e-9));
        assertThat(map.at(60 * Ticks.QUARTER - 1)).isEqualTo(120);
        assertThat(map.at(60 * Ticks.QUARTER)).isEqualTo(60);
        TempoMap faster = map.startingAt(240);
        assertThat(faster.first()).isEqualTo(240);
        assertThat(faster.at(70 * Ticks.QUARTER)).isEqualTo(120);
        assertThat(faster.seconds(90 * Ticks.QUARTER)).isCloseTo(30, within(1e-9));
        assertThat(map.startingAt(400).at(70 * Ticks.QUARTER)).isEqualTo(200);
    }

    @Test
    void tempoMapsSayWhatIsWrongWithThem() {
        assertThatThrownBy(() -> TempoMap.of(19)).hasMessageContaining("20 and 400");
        assertThatThrownBy(() -> TempoMap.of(401)).hasMessageContaining("401");
        assertThatThrownBy(() -> new TempoMap(List.of())).hasMessageContaining("tick 0");
        assertThatThrownBy(() -> new TempoMap(List.of(new TempoMap.Change(5, 100))))
                .hasMessageContaining("tick 0");
        assertThatThrownBy(
                        () ->
                                new TempoMap(
                                        List.of(
                                                new TempoMap.Change(0, 100),
                                                new TempoMap.Change(10, 90),
                                                new TempoMap.Change(10, 80))))
                .hasMessageContaining("order");
    }

    /** Another meter in one bar leaves every other bar's meter as it was. */
    @Property(tries = 200)
    void oneBarsMeterChangesAlone(@ForAll Random random) {
        List<Meter> bars = new ArrayList<>();
        for (int b = 0; b < 2 + random.nextInt(8); b++) {
            bars.add(new Meter(2 + random.nextInt(5), 4));
        }
        int bar = random.nextInt(bars.size());
        Meter other = new Meter(7, 8);
        List<Meter> wanted = new ArrayList<>(bars);
        wanted.set(bar, other);
        MeterMap changed = MeterMap.ofBars(bars, 0).with(bar, other, bars.size());
        assertThat(changed.listed(bars.size())).isEqualTo(wanted);
        assertThat(changed.with(bar, bars.get(bar), bars.size()).listed(bars.size()))
                .isEqualTo(bars);
    }
}
