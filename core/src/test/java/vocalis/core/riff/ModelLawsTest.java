package vocalis.core.riff;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.derive.Finding;
import vocalis.core.edit.Chords;
import vocalis.core.edit.Scope;
import vocalis.core.edit.Strokes;
import vocalis.core.edit.Times;
import vocalis.core.hands.Hand;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Restart;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.pattern.Touch;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.voicing.Family;

/** What holds of every riff and every sequence of edits. */
class ModelLawsTest {

    private static final Catalogue CATALOGUE = new Catalogue();

    /** An event as it is played: what it strikes, how long, and what is done to it. */
    private record Played(long into, long length, String what, List<String> touches) {}

    /** What is played during each chord, told from the chord's beginning. */
    private static List<List<Played>> byChord(Riff riff) {
        long[] starts = riff.starts();
        Map<Integer, List<Played>> by = new TreeMap<>();
        for (int i = 0; i < riff.roots().size(); i++) {
            by.put(i, new ArrayList<>());
        }
        for (Pass p : riff.passes()) {
            for (Event e : p.events()) {
                if (!e.sounds()) {
                    continue;
                }
                long at = p.start() + e.at();
                int chord = riff.chordAt(at);
                List<String> touches =
                        riff.touches().stream()
                                .filter(t -> t.anchor().holds(p.figure().id(), e.id(), p.index()))
                                .map(t -> t.getClass().getSimpleName() + t.after())
                                .sorted()
                                .toList();
                String what = e.lasting(Ticks.QUARTER).beginning(0).numbered(0).toString();
                by.get(chord).add(new Played(at - starts[chord], e.length(), what, touches));
            }
        }
        return new ArrayList<>(by.values());
    }

    private static boolean travels(Riff riff) {
        return riff.pattern().restart() == Restart.RUNS_ON
                && riff.pattern().offset() == 0
                && riff.pattern().figures().stream().allMatch(f -> f.length() % Riffs.BAR == 0);
    }

    /** What stays within its chord whichever way the chords are put. */
    private static List<Played> inside(Riff riff, int chord) {
        long length = riff.roots().get(chord).length();
        return byChord(riff).get(chord).stream()
                .filter(p -> p.into() + p.length() <= length)
                .toList();
    }

    /** Moving chords moves what is played on them, touches and changes of single passes with it. */
    @Property(tries = 300)
    void movedChordsTakeAllThatIsPlayedOnThemAlong(@ForAll Random random) {
        Riff riff = Riffs.random(random);
        if (!travels(riff)) {
            return;
        }
        int from = random.nextInt(riff.roots().size());
        int to = random.nextInt(riff.roots().size());
        Riff moved = Chords.move(riff, from, to);
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < riff.roots().size(); i++) {
            order.add(i);
        }
        order.add(to, order.remove(from));
        for (int i = 0; i < order.size(); i++) {
            assertThat(moved.roots().get(i).root())
                    .isEqualTo(riff.roots().get(order.get(i)).root());
            assertThat(inside(moved, i)).containsAll(inside(riff, order.get(i)));
        }
    }

    /** A copy of a chord plays what the chord plays; the others play what they played. */
    @Property(tries = 300)
    void copiedChordsHaveCopiesOfAllThatIsPlayedOnThem(@ForAll Random random) {
        Riff riff = Riffs.random(random);
        boolean whole =
                riff.roots().stream().allMatch(r -> r.length() == Riffs.BAR)
                        && riff.pattern().figures().stream().allMatch(f -> f.length() == Riffs.BAR);
        if (!travels(riff) || !whole) {
            return;
        }
        int chord = random.nextInt(riff.roots().size());
        Riff copied = Chords.copy(riff, chord);
        assertThat(byChord(copied).get(chord + 1)).isEqualTo(byChord(copied).get(chord));
        List<List<Played>> rest = byChord(copied);
        rest.remove(chord + 1);
        assertThat(rest).isEqualTo(byChord(riff));
        Riff back = Chords.delete(copied, chord + 1);
        assertThat(byChord(back)).isEqualTo(byChord(riff));
    }

    /**
     * After any sequence of edits of chords, bars, figures and time, every touch is either heard or
     * listed, and none has gone unless its chord or itself was deleted.
     */
    @Property(tries = 150)
    void everyTouchIsHeardOrListed(@ForAll Random random) {
        Riff riff = Riffs.random(random);
        for (int i = 0; i < 12; i++) {
            Riff before = riff;
            int what = random.nextInt(9);
            riff = edited(riff, what, random);
            if (what != DELETES) {
                assertThat(kinds(riff).keySet()).containsAll(kinds(before).keySet());
            }
            Derived d = Deriver.once(riff, Hand.MEDIUM, CATALOGUE);
            for (Touch t : riff.touches()) {
                boolean listed =
                        d.findings().stream()
                                .anyMatch(
                                        f ->
                                                f instanceof Finding.TouchUnplaced u
                                                        && u.touch().equals(t));
                assertThat(listed || heard(d, t) || notReached(riff, t)).as("%s", t).isTrue();
            }
        }
    }

    private static Map<String, Integer> kinds(Riff riff) {
        Map<String, Integer> all = new HashMap<>();
        riff.touches().forEach(t -> all.merge(t.getClass().getSimpleName(), 1, Integer::sum));
        return all;
    }

    private static boolean heard(Derived d, Touch t) {
        return d.score().notes().stream()
                .anyMatch(
                        n ->
                                !n.techniques().isEmpty()
                                        && n.origin()
                                                .filter(
                                                        o ->
                                                                t.anchor()
                                                                        .holds(
                                                                                o.figure(),
                                                                                o.event(),
                                                                                o.pass()))
                                                .isPresent());
    }

    /** Whether the touch's event stands in a part of its figure that is nowhere played. */
    private static boolean notReached(Riff riff, Touch t) {
        Anchor a = t.anchor();
        boolean has = riff.pattern().find(a.figure()).flatMap(f -> f.event(a.event())).isPresent();
        return has
                && riff.passes().stream()
                        .filter(p -> a.pass().isEmpty() || p.index() == a.pass().get())
                        .filter(p -> p.figure().id().equals(a.figure()))
                        .flatMap(p -> p.events().stream())
                        .noneMatch(e -> e.id() == a.event() && e.sounds());
    }

    private static final int DELETES = 2;

    private static Riff edited(Riff riff, int what, Random random) {
        int chord = random.nextInt(riff.roots().size());
        long tick = random.nextInt((int) (riff.length() / Ticks.SIXTEENTH)) * Ticks.SIXTEENTH;
        Scope scope = Scope.values()[random.nextInt(2)];
        return switch (what) {
            case 0 -> Chords.move(riff, chord, random.nextInt(riff.roots().size()));
            case 1 -> riff.bars() < 12 ? Chords.copy(riff, chord) : riff;
            case DELETES -> Chords.delete(riff, chord);
            case 3 -> Chords.split(riff, chord);
            case 4 -> Chords.lengthen(riff, chord, (random.nextInt(5) - 2) * Ticks.EIGHTH);
            case 5 -> Strokes.remove(riff, tick, scope);
            case 6 ->
                    Strokes.put(
                            riff, tick, new Stroke(0, 0, Ticks.QUARTER, Struck.Named.ALL), scope);
            case 7 -> Chords.family(riff, chord, Family.values()[random.nextInt(4)]);
            default -> Times.tempo(riff, 20 + random.nextInt(300));
        };
    }

    /** A stroke changed at one pass sounds so there and nowhere else; changed back, as before. */
    @Property(tries = 200)
    void onePassIsChangedAlone(@ForAll Random random) {
        Riff riff = Riffs.random(random);
        List<Pass> passes = riff.passes();
        Pass pass = passes.get(random.nextInt(passes.size()));
        for (Event e : pass.events()) {
            if (!(e instanceof Stroke s)) {
                continue;
            }
            long at = pass.start() + e.at();
            Riff changed =
                    Strokes.change(
                            riff, at, x -> ((Stroke) x).accented(!s.accented()), Scope.THIS_PASS);
            List<Pass> after = changed.passes();
            for (int i = 0; i < passes.size(); i++) {
                if (i != pass.index()) {
                    assertThat(after.get(i)).isEqualTo(passes.get(i));
                }
            }
            Stroke now = (Stroke) Strokes.at(changed, at).orElseThrow();
            assertThat(now.accented()).isNotEqualTo(s.accented());
            assertThat(now.with(s.dynamics()).lasting(s.length())).isEqualTo(s);
            assertThat(changed.pattern().figures()).isEqualTo(riff.pattern().figures());
        }
    }

    /** A stretch pasted where it was copied from changes nothing that is heard. */
    @Property(tries = 200)
    void pastingWhereItWasCopiedChangesNothing(@ForAll Random random) {
        Riff riff = Riffs.random(random);
        int bar = random.nextInt(riff.bars());
        long from = riff.meters().start(bar);
        long to = riff.meters().end(bar);
        boolean cuts =
                riff.passes().stream()
                        .flatMap(p -> p.events().stream().map(e -> e.beginning(p.start() + e.at())))
                        .anyMatch(e -> e.at() < to && e.end() > to);
        if (cuts) {
            return;
        }
        Riff pasted = Strokes.paste(riff, from, Strokes.copy(riff, from, to), Scope.THIS_PASS);
        assertThat(heardOf(pasted)).isEqualTo(heardOf(riff));
    }

    private static List<String> heardOf(Riff riff) {
        return Deriver.once(riff, Hand.MEDIUM, CATALOGUE).score().notes().stream()
                .map(
                        n ->
                                n.string()
                                        + " "
                                        + n.fret()
                                        + " "
                                        + n.at()
                                        + " "
                                        + n.length()
                                        + n.techniques())
                .toList();
    }

    /**
     * Figures of any length from any offset in any constant meter: the passes lie where counting
     * says, and the first that meets the one is where the congruence says.
     */
    @Property(tries = 300)
    void passesLieWhereCountingSays(
            @ForAll @IntRange(min = 1, max = 17) int eighths,
            @ForAll @IntRange(min = 0, max = 16) int late,
            @ForAll @IntRange(min = 1, max = 9) int beats) {
        Meter meter = new Meter(beats, 8);
        Figure f = new Figure("f", "", eighths * Ticks.EIGHTH, List.of());
        Pattern p = Pattern.of(f).late(late * Ticks.EIGHTH);
        long length = 40 * meter.barTicks();
        long offset = late % eighths * Ticks.EIGHTH;
        List<Pass> passes = p.passes(length, List.of(0L));
        long expected = offset == 0 ? 0 : offset - f.length();
        for (Pass pass : passes) {
            assertThat(pass.start()).isEqualTo(expected);
            assertThat(pass.from()).isEqualTo(Math.max(0, expected));
            assertThat(pass.to()).isEqualTo(Math.min(length, expected + f.length()));
            expected += f.length();
        }
        long first =
                passes.stream()
                        .map(Pass::start)
                        .filter(s -> s >= 0 && s % meter.barTicks() == 0)
                        .findFirst()
                        .orElse(-1L);
        long byCounting = -1;
        for (int n = 0; n < beats && byCounting < 0; n++) {
            long at = late % eighths + (long) n * eighths;
            byCounting = at % beats == 0 && at < 40L * beats ? at * Ticks.EIGHTH : -1;
        }
        assertThat(first).isEqualTo(byCounting);
    }

    /** Setting a pickup and taking it away again leaves the riff as it was. */
    @Property(tries = 100)
    void aPickupComesAndGoes(
            @ForAll Random random, @ForAll @IntRange(min = 1, max = 7) int eighths) {
        Riff riff = Riffs.random(random);
        Riff with = Times.pickup(riff, eighths * Ticks.EIGHTH);
        assertThat(with.length()).isEqualTo(riff.length() + eighths * Ticks.EIGHTH);
        assertThat(with.bars()).isEqualTo(riff.bars());
        if (riff.pattern().restart() == Restart.RUNS_ON) {
            assertThat(Times.pickup(with, 0)).isEqualTo(riff);
        }
    }

    /** A riff put into another meter has as many bars, and its figures stay in step. */
    @Property(tries = 100)
    void anotherMeterKeepsTheBars(
            @ForAll Random random, @ForAll @IntRange(min = 2, max = 9) int n) {
        Riff riff = Riffs.random(random);
        if (!travels(riff) || riff.roots().stream().anyMatch(r -> r.length() % Riffs.BAR != 0)) {
            return;
        }
        Riff changed = Times.meter(riff, new Meter(n, 8));
        assertThat(changed.bars()).isEqualTo(riff.bars());
        assertThat(changed.pattern().figures())
                .allMatch(f -> f.length() % new Meter(n, 8).barTicks() == 0);
        assertThat(Optional.of(changed.touches())).contains(riff.touches());
    }
}
