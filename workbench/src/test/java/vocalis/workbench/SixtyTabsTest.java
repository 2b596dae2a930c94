package vocalis.workbench;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import vocalis.core.arrange.PartOffer;
import vocalis.core.arrange.SecondParts;
import vocalis.core.check.Check;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.offer.Idea;
import vocalis.core.offer.Offer;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.theory.Spelling;
import vocalis.core.unpick.Unpicked;
import vocalis.core.vary.Variation;
import vocalis.workbench.exchange.Exchange;

/**
 * Sixty small tabs with the right answer beside each stroke, with their chord symbols and without:
 * how often root and grip are right, and that nothing wrong is called certain.
 */
class SixtyTabsTest {

    private static final Exchange EXCHANGE = new Exchange(new Catalogue(), Hand.MEDIUM);

    /** What a player would say of a stroke. */
    private record Answer(int root, String grip) {}

    private record Case(String name, Map<Long, Answer> answers, String symbols, String tab) {}

    private static List<Case> cases() throws IOException {
        List<Case> all = new ArrayList<>();
        try (InputStream in = SixtyTabsTest.class.getResourceAsStream("tabs-to-unpick.txt")) {
            String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            for (String block : text.split("(?m)^## ")) {
                if (!block.contains("tab:\n")) {
                    continue;
                }
                String name = block.lines().findFirst().orElseThrow();
                Map<Long, Answer> answers = new TreeMap<>();
                String said = block.substring(block.indexOf("answer: ") + 8);
                for (String a : said.lines().findFirst().orElseThrow().split(" ")) {
                    String[] parts = a.split("[=:]");
                    answers.put(
                            Long.parseLong(parts[0]) * Ticks.EIGHTH,
                            new Answer(Spelling.parse(parts[1]).pitchClass(), parts[2]));
                }
                int symbols = block.indexOf("symbols:\n") + 9;
                int tab = block.indexOf("tab:\n");
                all.add(
                        new Case(
                                name,
                                answers,
                                block.substring(symbols, tab),
                                block.substring(tab + 5)));
            }
        }
        return all;
    }

    /**
     * What proposes, proposes for tabs as well as for riffs written here: variations and ideas that
     * leave no more to stumble over, and for every sixth of them second parts that clash with
     * nothing.
     */
    @Test
    void whatIsProposedForThemIsNoWorse() throws Exception {
        Catalogue catalogue = new Catalogue();
        Deriver deriver = new Deriver(catalogue);
        int proposed = 0;
        int parts = 0;
        List<Case> cases = cases();
        for (int i = 0; i < cases.size(); i++) {
            Case c = cases.get(i);
            Derived d =
                    EXCHANGE.unpick(Exchange.read(c.tab().getBytes(StandardCharsets.UTF_8)))
                            .derived();
            List<Riff> all = new ArrayList<>();
            for (Idea idea : Idea.values()) {
                Offer.playable(idea, d, catalogue).forEach(o -> all.add(o.riff()));
            }
            for (Variation v : Variation.values()) {
                v.offered(d, 0, deriver).ifPresent(all::add);
            }
            for (Riff r : all) {
                assertThat(Check.noWorse(d, deriver.derive(r, Hand.MEDIUM))).as(c.name()).isTrue();
            }
            proposed += all.size();
            if (i % 6 == 0) {
                Piece p = Piece.of("p", "piece", "", d.riff());
                String riff = p.riffs().get(0).id();
                List<PartOffer> found = SecondParts.of(p, riff, Hand.MEDIUM, catalogue, false);
                assertThat(found).allMatch(o -> o.clashes() == 0);
                parts += found.size();
            }
        }
        System.out.printf("for 60 tabs: %d proposals, %d second parts%n", proposed, parts);
        assertThat(proposed).isGreaterThan(600);
        assertThat(parts).isGreaterThan(20);
    }

    @Test
    void ninetyPerCentAreRightAndNothingWrongIsCertain() throws Exception {
        List<Case> cases = cases();
        assertThat(cases).hasSize(60);
        for (boolean named : new boolean[] {true, false}) {
            int right = 0;
            int certain = 0;
            List<String> wrong = new ArrayList<>();
            List<String> wrongAndCertain = new ArrayList<>();
            for (Case c : cases) {
                Unpicked u =
                        EXCHANGE.unpick(
                                Exchange.read(
                                        ((named ? c.symbols() : "") + c.tab())
                                                .getBytes(StandardCharsets.UTF_8)));
                assertThat(u.whole()).as(c.name()).isTrue();
                boolean all = true;
                boolean sure = true;
                StringBuilder got = new StringBuilder(c.name()).append(":");
                for (Map.Entry<Long, Answer> a : c.answers().entrySet()) {
                    int i = chord(u, a.getKey());
                    Derived.Chord found = u.derived().chords().get(i);
                    String grip = found.candidate().voicing().shape().text();
                    boolean root = found.root() == a.getValue().root();
                    boolean isSure = u.chords().get(i).sure().certain();
                    all &= root && grip.equals(a.getValue().grip());
                    sure &= isSure;
                    got.append(' ').append(found.root()).append('=').append(grip);
                    if (!root && isSure) {
                        wrongAndCertain.add(c.name() + " " + a + " " + found.root() + " " + grip);
                    }
                }
                right += all ? 1 : 0;
                certain += all && sure ? 1 : 0;
                if (!all) {
                    wrong.add(got.toString());
                }
            }
            System.out.printf(
                    "%s symbols: %d of %d right, %d of them certain throughout%n",
                    named ? "with" : "without", right, cases.size(), certain);
            wrong.forEach(w -> System.out.println("  " + w));
            assertThat(wrongAndCertain).isEmpty();
            assertThat(right).isGreaterThanOrEqualTo(54);
        }
    }

    private static int chord(Unpicked u, long at) {
        int i = 0;
        while (i + 1 < u.chords().size() && u.chords().get(i + 1).at() <= at) {
            i++;
        }
        return i;
    }
}
