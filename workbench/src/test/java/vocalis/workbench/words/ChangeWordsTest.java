package vocalis.workbench.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.hands.Move;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;

/**
 * Changes as teachers tell them, for twenty pairs of shapes (common practice, no source): a
 * fingering of each is found in which the fingers go as they say.
 */
class ChangeWordsTest {

    private static final Fretboard BOARD = new Fretboard(Instrument.of(Tuning.STANDARD), 0);

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "3-5-5-x-x-x | x-3-5-5-x-x | ring",
                "5-7-7-x-x-x | x-5-7-x-x-x | ring stays on string 4",
                "x-5-7-7-x-x | 5-7-7-x-x-x | ring stays on string 4",
                "3-5-5-x-x-x | 5-7-7-x-x-x | index slides on string 6 from 3 to 5",
                "3-5-5-x-x-x | 5-7-7-x-x-x | ring slides on string 5 from 5 to 7",
                "x-3-2-0-1-0 | x-0-2-2-1-0 | index stays on string 2",
                "x-3-2-0-1-0 | x-0-2-2-1-0 | middle stays on string 4",
                "x-0-2-2-1-0 | 0-2-2-1-0-0 | middle",
                "x-x-0-2-3-2 | x-x-0-2-3-1 | ring stays on string 2",
                "x-3-2-0-1-0 | x-x-3-2-1-1 | index stays on string 2",
                "x-x-7-7-7-x | x-x-9-9-9-x | slides on strings 2, 3 and 4 from 7 to 9",
                "5-7-7-5-5-5 | 5-7-7-6-5-5 | index stays on string",
                "8-x-10-x-x-x | 10-x-12-x-x-x | index slides on string 6 from 8 to 10",
                "8-x-10-x-x-x | 10-x-12-x-x-x | ring slides on string 4 from 10 to 12",
                "x-7-9-9-8-7 | x-7-9-8-8-7 | index stays on string",
                "x-2-4-4-x-x | x-4-6-6-x-x | index slides on string 5 from 2 to 4",
                "2-4-4-3-2-2 | 2-4-4-2-2-2 | middle lifts",
                "4-6-6-5-4-4 | 2-4-4-3-2-2 | middle slides on string 3 from 5 to 3",
                "x-5-7-7-0-0 | x-7-9-9-0-0 | index slides on string 5 from 5 to 7",
                "x-x-4-4-x-x | x-x-6-6-x-x | slides on strings 3 and 4 from 4 to 6",
            })
    void fingersAreToldAsTheyGo(String from, String to, String told) {
        Shape a = Shape.parse(from);
        Shape b = Shape.parse(to);
        List<Fingering> before = Fingering.all(BOARD, a, Hand.MEDIUM, 1);
        List<Fingering> after = Fingering.all(BOARD, b, Hand.MEDIUM, 1);
        String best = "";
        double least = Double.MAX_VALUE;
        for (Fingering f : before) {
            for (Fingering g : after) {
                Move move = Move.between(BOARD, a, f, b, g);
                double cost = f.effort() + g.effort() + move.cost();
                if (cost < least) {
                    least = cost;
                    best = HandWords.of(move, BOARD.strings());
                }
            }
        }
        assertThat(best).contains(told);
    }
}
