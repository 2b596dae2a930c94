package vocalis.workbench.document;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Splice;
import vocalis.core.hands.Hand;
import vocalis.core.pattern.Pass;
import vocalis.core.piece.Guitar;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.workbench.demo.Demo;

/** What is played into bars of one guitar leaves the other guitar's strokes alone. */
class BarsPlayedInTest {

    @Test
    void theSecondGuitarsBarsAreItsOwn() {
        Piece piece =
                Demo.pieces().stream()
                        .filter(p -> p.riffs().get(0).second().isPresent())
                        .findFirst()
                        .orElseThrow();
        Riff one = piece.riff(Guitar.ONE);
        Riff two = piece.riff(Guitar.TWO);
        assertThat(two.pattern()).isNotEqualTo(one.pattern());
        Deriver deriver = new Deriver(new Catalogue());
        Riff in = Splice.keeping(deriver, Hand.MEDIUM, two, 1, 1, one);
        Piece after = Edits.vary("bar 2 played in", two, in).apply(piece, Guitar.TWO);
        assertThat(after.riff(Guitar.TWO)).isEqualTo(in).isNotEqualTo(two);
        assertThat(after.riff(Guitar.ONE).passes().stream().map(Pass::events).toList())
                .isEqualTo(one.passes().stream().map(Pass::events).toList());
    }
}
