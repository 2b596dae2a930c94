package vocalis.desktop.practise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vocalis.core.arrange.Song;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.piece.Piece;
import vocalis.core.practice.ChangeToPractise;
import vocalis.core.practice.Entry;
import vocalis.core.rhythm.MeterMap;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.playing.Songs;

/** What is counted while one practises, and what is aimed at. */
class SittingTest {

    private final Piece piece = Demo.pieces().get(1);
    private final Song song = new Songs(new Catalogue()).of(piece, Hand.MEDIUM);

    /** A round is a jump back by more than half, whatever the steps; a count-in begins anew. */
    @Test
    void roundsAreCountedWhereThePlayerJumpsBack() {
        for (long step : new long[] {1, 7, 33, 49}) {
            Sitting s = new Sitting(piece, 5);
            int rounds = 0;
            for (long at = 0; at < 1000; at += step) {
                rounds += s.comesRound(at % 100, 100) ? 1 : 0;
            }
            assertThat(rounds).as("steps of %d", step).isBetween(9, 10);
        }
        Sitting s = new Sitting(piece, 5);
        assertThat(s.comesRound(90, 100)).isFalse();
        s.countedIn();
        assertThat(s.comesRound(0, 100)).as("after a count-in").isFalse();
        assertThat(s.comesRound(1, 100)).isFalse();
    }

    /**
     * By hand: passes of 4, 4 and 3 seconds, the second failed: 11 seconds, not 3 times the last.
     */
    @Test
    void whatIsWrittenDownIsWhatWasPlayed() {
        Sitting s = new Sitting(piece, 1234);
        assertThat(s.passDone(4)).isTrue();
        assertThat(s.toggleFailing()).isTrue();
        assertThat(s.passDone(4)).isFalse();
        assertThat(s.failing()).as("for one pass only").isFalse();
        s.cleanAt(100);
        s.cleanAt(90);
        assertThat(s.passDone(3)).isTrue();
        Entry e = s.entry("verse", 126, 104);
        assertThat(e.seconds()).isCloseTo(11, within(1e-9));
        assertThat(e.passes()).isEqualTo(3);
        assertThat(e.failed()).isEqualTo(1);
        assertThat(e.best()).isEqualTo(100);
        assertThat(e.at()).isEqualTo(1234);
        assertThat(e.piece()).isEqualTo(piece.id());
    }

    /** It is written down once, and only where a pass was played through. */
    @Test
    void itEndsOnce() {
        Sitting none = new Sitting(piece, 0);
        assertThat(none.end()).isFalse();
        Sitting s = new Sitting(piece, 0);
        s.passDone(1);
        assertThat(s.goesOn()).isTrue();
        assertThat(s.end()).isTrue();
        assertThat(s.end()).isFalse();
        assertThat(s.goesOn()).isFalse();
        assertThat(s.passes()).as("shown until the next").isEqualTo(1);
    }

    /** Whatever bars are asked for, what is aimed at lies in the song and has some. */
    @Test
    void everyAimLiesInTheSong() {
        MeterMap meters = song.score().time().meters();
        int bars = meters.bars(song.length());
        for (int a = -3; a < bars + 3; a++) {
            for (int b = -3; b < bars + 3; b++) {
                Aim aim = Aim.bars(song, a, b);
                assertThat(aim.from()).isNotNegative().isLessThan(aim.to());
                assertThat(aim.to()).isLessThanOrEqualTo(song.length());
                boolean inside = a >= 0 && b > a && b <= bars;
                if (inside) {
                    assertThat(aim.from()).isEqualTo(meters.start(a));
                    assertThat(meters.bars(aim.to()) - a).isEqualTo(b - a);
                }
            }
        }
        for (int i = 0; i < 9; i++) {
            Aim aim = Aim.section(song, i);
            assertThat(aim.what()).isEqualTo(piece.sections().get(Math.min(i, 4)).name());
        }
        List<ChangeToPractise> hard = ChangeToPractise.of(song, false);
        for (ChangeToPractise h : hard) {
            assertThat(Aim.change(song, h).what()).startsWith("change to ");
        }
        Song shorter =
                new Songs(new Catalogue())
                        .of(piece.arranged(List.of(piece.sections().get(0))), Hand.MEDIUM);
        Optional<ChangeToPractise> late =
                hard.stream().filter(h -> h.to() > shorter.length()).findFirst();
        assertThat(late).isPresent();
        assertThat(Aim.change(shorter, late.get()).what()).isEqualTo("intro");
    }
}
