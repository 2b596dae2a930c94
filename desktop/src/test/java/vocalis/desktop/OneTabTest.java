package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import vocalis.core.piece.Piece;
import vocalis.core.score.Manner;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.desktop.view.TabHead;
import vocalis.formats.sheet.Written;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Workspace;

/** The tab of lane and Practise and that of paper, text and MusicXML say the same. */
class OneTabTest {

    static Stream<Piece> pieces() {
        return Demo.pieces().stream();
    }

    /** Every fret that stands somewhere, as tick, string and number; what goes on is left out. */
    private static Set<String> onScreen(Score score) {
        Set<String> all = new TreeSet<>();
        for (ScoreNote n : score.notes()) {
            for (TabHead h : TabHead.of(n)) {
                if (!h.fret().startsWith("(")) {
                    String fret = h.fret().equals("×") ? String.valueOf(n.fret()) : h.fret();
                    all.add(h.at() + " " + n.string() + " " + fret);
                }
            }
        }
        return all;
    }

    private static Set<String> onPaper(Score score) {
        Set<String> all = new TreeSet<>();
        Written.voices(score)
                .forEach(
                        voice ->
                                voice.forEach(
                                        item ->
                                                item.heads().stream()
                                                        .filter(h -> !h.tiedFrom())
                                                        .forEach(
                                                                h ->
                                                                        all.add(
                                                                                item.at()
                                                                                        + " "
                                                                                        + h.note()
                                                                                                .string()
                                                                                        + " "
                                                                                        + h
                                                                                                .fret()))));
        return all;
    }

    @ParameterizedTest
    @MethodSource("pieces")
    void theSameFretsStandAtTheSameTimes(Piece piece) {
        Score score = new Workspace(WindowDriver.CATALOGUE, piece).derived().score();
        assertThat(onScreen(score)).isEqualTo(onPaper(score)).isNotEmpty();
        assertThat(score.notes()).anyMatch(n -> n.manner() != Manner.DEAD);
    }
}
