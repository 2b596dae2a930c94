package vocalis.core.choice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;

/** Riffs live below fret 12 (common practice, no source): so do the first cards. */
class FirstCardsTest {

    private static final Catalogue CATALOGUE = new Catalogue();

    /**
     * On four grounds (the first in the short run), every root and family: no first card over fret
     * 12 where one lies below.
     */
    @ParameterizedTest
    @EnumSource(Family.class)
    void theFirstCardLiesLow(Family family) {
        List<String> high = new ArrayList<>();
        Object[][] grounds = {
            {Tuning.STANDARD, 0, "E minor"},
            {Tuning.LOW_D, 0, "D phrygian"},
            {Tuning.STANDARD, 0, "A mixolydian"},
            {Tuning.STANDARD, 3, "F dorian"}
        };
        int tried = Boolean.getBoolean("vocalis.long") ? 4 : 1;
        for (Object[] g : List.of(grounds).subList(0, tried)) {
            Fretboard board = new Fretboard(Instrument.of((Tuning) g[0]), (int) g[1]);
            for (int root = 0; root < 12; root++) {
                Key key = Key.parse((String) g[2]);
                List<Candidate> all = CATALOGUE.candidates(board, Hand.MEDIUM, family, root);
                List<Card> cards = new Ranking(family, List.of(), key).cards(all);
                boolean below =
                        all.stream().anyMatch(c -> c.voicing().shape().highestFretted() <= 12);
                if (below && cards.get(0).first().voicing().shape().highestFretted() > 12) {
                    high.add(g[2] + " " + root + " " + cards.get(0).first().voicing().shape());
                }
            }
        }
        assertThat(high).isEmpty();
    }
}
