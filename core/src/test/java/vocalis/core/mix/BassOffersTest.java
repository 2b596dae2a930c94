package vocalis.core.mix;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.mix.BassOffers.Why;
import vocalis.core.mix.Groove.BassNote;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.score.Score;
import vocalis.core.theory.Key;

/** Lines for the bass: common practice, no source. */
class BassOffersTest {

    private static final Deriver DERIVER = new Deriver(new Catalogue());

    /** Over random riffs: a bar long, different, in the key under every chord where they say so. */
    @Test
    void linesFillTheBarAndStayInTheKey() {
        Random r = new Random(51);
        int turning = 0;
        for (int i = 0; i < 40; i++) {
            Riff riff = Riffs.random(r);
            Key key = riff.ground().key();
            Score score = DERIVER.derive(riff, Hand.MEDIUM).score();
            List<BassOffers.Offer> all = BassOffers.of(score, key);
            assertThat(all.stream().map(BassOffers.Offer::figure)).doesNotHaveDuplicates();
            for (BassOffers.Offer o : all) {
                long bar = score.time().meters().meter(0).barTicks();
                assertThat(o.figure().steps()).hasSize((int) (bar / Ticks.EIGHTH));
                if (o.why() == Why.TURNS_ON_A_DEGREE || o.why() == Why.CLIMBS) {
                    turning++;
                    for (BassNote n : Bassist.of(score, 0, score.length(), o.figure())) {
                        int chord = score.harmonyAt(n.at());
                        int bass = score.harmonies().get(chord).bass();
                        boolean root = n.midi() % 12 == bass;
                        assertThat(root || key.contains(n.midi() % 12)).isTrue();
                    }
                }
            }
        }
        assertThat(turning).isGreaterThan(10);
    }

    /** A climb goes by steps of the scale, never by a leap. */
    @Test
    void climbsGoByStep() {
        Random r = new Random(11);
        int climbs = 0;
        for (int i = 0; i < 40; i++) {
            Riff riff = Riffs.random(r);
            Score score = DERIVER.derive(riff, Hand.MEDIUM).score();
            for (BassOffers.Offer o : BassOffers.of(score, riff.ground().key())) {
                if (o.why() == Why.CLIMBS) {
                    climbs++;
                    List<BassNote> bar =
                            Bassist.of(
                                    score,
                                    0,
                                    score.time().meters().meter(0).barTicks(),
                                    o.figure());
                    int n = bar.size();
                    int last = bar.get(n - 1).midi() - bar.get(n - 2).midi();
                    assertThat(last).as(o.figure().text()).isBetween(1, 2);
                }
            }
        }
        assertThat(climbs).isGreaterThan(5);
    }

    /** Four chords of A minor in quarters: root and fifth by turns, octaves, one held note. */
    @Test
    void linesByHand() {
        Score score = DERIVER.derive(Riffs.repeating(1, 4, 5, 4), Hand.MEDIUM).score();
        List<BassOffers.Offer> all = BassOffers.of(score, Key.parse("A minor"));
        assertThat(all.stream().map(o -> o.figure().text()))
                .contains("1 - 5 - 1 - 5 -", "1 8 1 8 1 8 1 8", "1 - - - - - - -");
    }
}
