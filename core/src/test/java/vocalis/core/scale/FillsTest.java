package vocalis.core.scale;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.score.ScoreNote;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;

class FillsTest {

    private static final Deriver DERIVER = new Deriver(new Catalogue());

    /** Over random riffs: all that is asked of a fill, and that it is heard as it is offered. */
    @Test
    void everyFillLandsOnTheNextRoot() {
        Random random = new Random(8);
        int offered = 0;
        for (int i = 0; i < 60; i++) {
            Riff riff = Riffs.random(random);
            Derived derived = DERIVER.derive(riff, Hand.MEDIUM);
            Key own = riff.ground().key();
            Key scale = new Key(own.tonic(), Mode.named("minor pentatonic").orElseThrow());
            int chord = random.nextInt(riff.roots().size());
            long end = derived.chord(chord).end();
            long from = Math.max(derived.chord(chord).start(), end - 2 * Ticks.QUARTER);
            Box box = Fills.box(derived, scale, from).orElseThrow();
            int next = (chord + 1) % riff.roots().size();
            for (Fill f : Fills.of(derived, box, from, Ticks.EIGHTH)) {
                offered++;
                assertThat(f.spots()).hasSizeBetween(Fills.FEWEST, Fills.MOST);
                assertThat(box.spots()).containsAll(f.spots());
                assertThat(f.at()).isGreaterThanOrEqualTo(from);
                assertThat(f.end()).isEqualTo(end);
                assertThat(Math.floorMod(f.target(), 12))
                        .isIn(
                                derived.chord(next).candidate().voicing().soundings().stream()
                                        .map(s -> Math.floorMod(s.midi(), 12))
                                        .toList());
                int last = f.spots().get(f.spots().size() - 1).midi();
                assertThat(Math.abs(last - f.target())).isBetween(1, 3);
                Riff with = f.in(riff);
                assertThat(heard(with, f)).isEqualTo(played(f));
                assertThat(with.roots()).isEqualTo(riff.roots());
            }
        }
        assertThat(offered).isGreaterThan(150);
    }

    /** Tick, string and fret of what is struck while the fill lasts. */
    private static List<List<Long>> heard(Riff riff, Fill f) {
        return DERIVER.derive(riff, Hand.MEDIUM).score().notes().stream()
                .filter(n -> n.at() >= f.at() && n.at() < f.end())
                .map(FillsTest::place)
                .toList();
    }

    private static List<Long> place(ScoreNote n) {
        return List.of(n.at(), (long) n.string(), (long) n.fret());
    }

    private static List<List<Long>> played(Fill f) {
        return java.util.stream.IntStream.range(0, f.spots().size())
                .mapToObj(
                        i ->
                                List.of(
                                        f.at() + i * f.step(),
                                        (long) f.spots().get(i).string(),
                                        (long) f.spots().get(i).fret()))
                .toList();
    }

    /** The best is short, near the grip, and offers of one kind do not crowd out others. */
    @Test
    void aFillOfFourLeadsTheList() {
        Riff riff = Riffs.fourBars();
        Derived derived = DERIVER.derive(riff, Hand.MEDIUM);
        Key scale = new Key(riff.ground().key().tonic(), Mode.named("minor").orElseThrow());
        long from = derived.chord(0).end() - 2 * Ticks.QUARTER;
        Fretboard board = riff.ground().board();
        Box box = Fills.box(derived, scale, from).orElseThrow();
        List<Fill> all = Fills.of(derived, box, from, Ticks.EIGHTH);
        assertThat(all.get(0).spots()).hasSize(4);
        assertThat(all).extracting(Fill::kind).contains(Fill.Kind.UP, Fill.Kind.DOWN);
        for (Fill.Kind k : Fill.Kind.values()) {
            assertThat(all.stream().filter(f -> f.kind() == k).count()).isLessThanOrEqualTo(2);
        }
        for (Box.Spot s : all.get(0).spots()) {
            assertThat(board.midi(s.string(), s.fret())).isEqualTo(s.midi());
        }
    }

    /** Where less than two steps are left before the next root there is nothing to play. */
    @Test
    void noRoomNoFill() {
        Derived derived = DERIVER.derive(Riffs.fourBars(), Hand.MEDIUM);
        long from = derived.chord(0).end() - Ticks.EIGHTH;
        Box box = Fills.box(derived, derived.riff().ground().key(), from).orElseThrow();
        assertThat(Fills.of(derived, box, from, Ticks.EIGHTH)).isEmpty();
    }
}
