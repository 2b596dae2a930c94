package vocalis.workbench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Treatment;
import vocalis.core.voicing.Family;
import vocalis.workbench.demo.Demo;

/** What the riffs that ship show: every family, and nothing that cannot be played. */
class DemoTest {

    private static final Catalogue CATALOGUE = new Catalogue();

    @Test
    void everyRiffCanBePlayed() {
        for (Piece p : Demo.pieces()) {
            for (var r : p.riffs()) {
                Derived d = Deriver.once(r.riff(), Hand.MEDIUM, CATALOGUE);
                assertThat(d.findings()).as(p.title()).isEmpty();
                assertThat(d.score().notes()).as(p.title()).isNotEmpty();
            }
        }
    }

    @Test
    void everyFamilyIsShown() {
        Set<Family> shown = EnumSet.noneOf(Family.class);
        for (Piece p : Demo.pieces()) {
            Riff riff = p.riff();
            riff.treatments().stream().map(Treatment::family).forEach(shown::add);
        }
        assertThat(shown).containsExactlyInAnyOrder(Family.values());
    }
}
