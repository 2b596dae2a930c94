package vocalis.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import vocalis.core.arrange.Song;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.voicing.Family;

/** The way up in tempo, the click that goes out, what is counted, what is hard. */
class PracticeTest {

    private static final Catalogue CATALOGUE = new Catalogue();

    /** 100 to 110 by 4 after two clean passes: 100 100 104 104 108 108 110 110, then reached. */
    @Test
    void aLadderByHand() {
        Ladder.Climb c = new Ladder(100, 110, 4, 2).foot();
        List<Integer> tempos = new ArrayList<>();
        while (!c.reached()) {
            tempos.add(c.tempo());
            c = c.passed();
        }
        assertThat(tempos).containsExactly(100, 100, 104, 104, 108, 108, 110, 110);
        assertThat(c.tempo()).isEqualTo(110);
        assertThat(c.best()).isEqualTo(110);
    }

    /** One failed pass begins the rung anew, two in a row go back a rung, never below the foot. */
    @Test
    void twoFailedPassesGoBack() {
        Ladder.Climb c = new Ladder(100, 120, 5, 2).foot().passed().passed();
        assertThat(c.tempo()).isEqualTo(105);
        Ladder.Climb once = c.passed().failedPass();
        assertThat(once.tempo()).isEqualTo(105);
        assertThat(once.clean()).isZero();
        assertThat(once.passed().failedPass().tempo()).as("not in a row").isEqualTo(105);
        assertThat(once.failedPass().tempo()).isEqualTo(100);
        assertThat(once.failedPass().best()).isEqualTo(100);
        Ladder.Climb foot = once.failedPass().failedPass().failedPass();
        assertThat(foot.tempo()).isEqualTo(100);
    }

    @Test
    void laddersAreChecked() {
        assertThatThrownBy(() -> new Ladder(120, 100, 4, 4)).hasMessageContaining("120 to 100");
        assertThatThrownBy(() -> new Ladder(100, 120, 0, 4)).hasMessageContaining("by 0");
        assertThat(Ladder.to(20).start()).isEqualTo(20);
        assertThat(Ladder.to(100).start()).isEqualTo(70);
    }

    /** Two bars with, one without; a loop of four bars fits after three rounds. */
    @Test
    void theClickGoesOutAndComesBack() {
        Vanishing v = new Vanishing(2, 1);
        List<Boolean> heard = new ArrayList<>();
        for (int bar = 0; bar < 7; bar++) {
            heard.add(v.heard(bar));
        }
        assertThat(heard).containsExactly(true, true, false, true, true, false, true);
        for (int with = 1; with < 6; with++) {
            for (int without = 0; without < 6; without++) {
                for (int bars = 1; bars < 9; bars++) {
                    Vanishing x = new Vanishing(with, without);
                    int rounds = x.rounds(bars);
                    assertThat(rounds * bars % (without == 0 ? 1 : with + without)).isZero();
                    for (int b = 0; b < 12; b++) {
                        assertThat(x.heard(b + (long) rounds * bars)).isEqualTo(x.heard(b));
                    }
                }
            }
        }
        assertThat(Vanishing.NEVER.heard(1234)).isTrue();
    }

    /** As players count (common practice, no source): one e and a; in six eighths the numbers. */
    @Test
    void countingAloud() {
        assertThat(Counting.bar(Meter.COMMON, Ticks.QUARTER)).containsExactly("1", "2", "3", "4");
        assertThat(Counting.bar(new Meter(3, 4), Ticks.EIGHTH))
                .containsExactly("1", "and", "2", "and", "3", "and");
        assertThat(Counting.bar(new Meter(2, 4), Ticks.SIXTEENTH))
                .containsExactly("1", "e", "and", "a", "2", "e", "and", "a");
        assertThat(Counting.at(MeterMap.of(Meter.COMMON), Ticks.QUARTER * 5, Ticks.EIGHTH))
                .isEqualTo("2");
    }

    /** The hardest change is the one in which the hand must be fastest; each is told once. */
    @Test
    void hardChangesAreRanked() {
        Piece p = Piece.of("p", "piece", "", Riffs.repeating(1, 4, 7, 4));
        p = p.arranged(0, p.sections().get(0).repeated(3));
        Song s = Song.of(p, r -> Deriver.once(r, Hand.MEDIUM, CATALOGUE));
        List<ChangeToPractise> all = ChangeToPractise.of(s, false);
        assertThat(all).isNotEmpty();
        for (int i = 1; i < all.size(); i++) {
            assertThat(all.get(i).speed()).isLessThanOrEqualTo(all.get(i - 1).speed());
        }
        assertThat(all.stream().map(h -> h.fromShape().text() + h.toShape().text()))
                .doesNotHaveDuplicates();
        ChangeToPractise h = all.get(0);
        assertThat(h.from()).isLessThan(h.at());
        assertThat(h.to()).isGreaterThan(h.at());
        assertThat(h.seconds()).isCloseTo(0.5, within(1e-9));
    }

    /** Quarters under the palm every other stroke: runs of one; barres by hand of the shape. */
    @Test
    void loadIsCounted() {
        var d = Deriver.once(Riffs.repeating(1, 4), Hand.MEDIUM, CATALOGUE);
        Load l = Load.of(d, 100);
        assertThat(l.mutedRun()).isEqualTo(1);
        assertThat(l.widePerMinute()).isZero();
        assertThat(l.barreShare()).isZero();
        // Frets 1 to 3 span 67 mm at 648 mm (17.817's rule): once in two seconds, over 50 mm.
        Member f = new Member.ByHand(Shape.parse("1-3-3-x-x-x"), 5);
        Riff low = Riffs.repeating(6);
        low = low.withTreatment(0, low.treatments().get(0).with(Family.POWER, f));
        var small = Deriver.once(low, new Hand("tiny", 50), CATALOGUE);
        Load wide = Load.of(small, 100);
        assertThat(wide.widePerMinute()).isCloseTo(30, within(1e-9));
        assertThat(Load.of(small, 50).widePerMinute()).isCloseTo(15, within(1e-9));
    }

    @Test
    void entriesAreChecked() {
        long now = 0;
        assertThatThrownBy(() -> new Entry(now, "p", "t", "w", 0, 0, 0, 1, 2, 10))
                .hasMessageContaining("more failed");
        assertThatThrownBy(() -> new Entry(now, "p", "t", "w", 0, 0, 0, 1, 0, -1))
                .hasMessageContaining("seconds");
    }
}
