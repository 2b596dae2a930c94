package vocalis.workbench.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.piece.Piece;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.core.unpick.Unpicked;
import vocalis.core.voicing.Family;
import vocalis.formats.sheet.Imported;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Edits;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.playing.Songs;

/** Demo riffs taken away without their recipe, brought in again and taken apart. */
class ExchangeTest {

    private static final Catalogue CATALOGUE = new Catalogue();
    private static final Exchange EXCHANGE = new Exchange(CATALOGUE, Hand.MEDIUM);

    static Stream<Piece> demos() {
        return Demo.pieces().stream();
    }

    private static List<String> shapes(Derived d) {
        return d.chords().stream().map(c -> c.candidate().voicing().shape().text()).toList();
    }

    private static List<String> names(Score s) {
        return s.harmonies().stream().map(h -> h.at() + " " + h.symbol()).toList();
    }

    /** A note without its origin; of techniques what a format tells. */
    private static ScoreNote told(ScoreNote n, boolean exact) {
        List<Technique> techniques =
                exact
                        ? n.techniques()
                        : n.techniques().stream()
                                .map(
                                        t ->
                                                new Technique(
                                                        t.kind(),
                                                        t.kind() == Technique.Kind.VIBRATO
                                                                ? 0
                                                                : t.to(),
                                                        t.kind().moves()
                                                                ? t.after() + t.lasting()
                                                                : 0,
                                                        0))
                                .toList();
        return n.bare().with(techniques);
    }

    private static List<ScoreNote> told(Score s, boolean exact) {
        return s.notes().stream().map(n -> told(n, exact)).toList();
    }

    /** The same score, the same roots, the same grips as far as they are struck. */
    @ParameterizedTest
    @MethodSource("demos")
    void everyDemoRiffComesBackFromTabAndMusicXml(Piece piece) throws Exception {
        Derived before = new Workspace(CATALOGUE, piece).derived();
        for (Target t : List.of(Target.MUSICXML, Target.MXL, Target.TAB)) {
            boolean exact = t != Target.TAB;
            Imported read = Exchange.read(EXCHANGE.away(piece).bytes(t));
            Unpicked u = EXCHANGE.unpick(read);
            assertThat(u.whole()).as(piece.title() + " from " + t).isTrue();
            Derived after = u.derived();
            assertThat(told(after.score(), exact)).isEqualTo(told(before.score(), exact));
            assertThat(names(after.score())).hasSameSizeAs(names(before.score()));
            for (int i = 0; i < before.chords().size(); i++) {
                // What no stroke ever sounds is in no other program's file.
                Shape held = before.chords().get(i).candidate().voicing().shape();
                Shape found = after.chords().get(i).candidate().voicing().shape();
                for (int string = 0; string < held.strings(); string++) {
                    assertThat(found.fret(string)).isIn(held.fret(string), Shape.SILENT);
                }
            }
            assertThat(after.riff().ground().key()).isEqualTo(before.riff().ground().key());
            assertThat(after.score().time()).isEqualTo(before.score().time());
        }
    }

    /** What was taken apart is a riff like any: every chord takes every family. */
    @Test
    void whatWasTakenApartIsVoicedAnew() throws Exception {
        Imported read = Exchange.read(EXCHANGE.away(Demo.pieces().get(0)).bytes(Target.MUSICXML));
        Piece piece = Exchange.piece(read, EXCHANGE.unpick(read), "imported");
        for (Family f : Family.values()) {
            Workspace w = new Workspace(CATALOGUE, piece);
            w.apply(Edits.familyOfAll(f));
            assertThat(w.derived().chords()).allMatch(c -> f.accepts(c.candidate().voicing()));
        }
    }

    /** A pasted tab that names nothing: keys and chords are guessed, notes are not. */
    @Test
    void aBareTabKeepsEveryNote() throws Exception {
        String tab =
                """
                e|-----------------|-----------------|
                B|-----------------|-----------------|
                G|-----------------|-----------------|
                D|-2-------2-------|-5-------5-------|
                A|-2---2---2---2-3-|-5---5---5---5---|
                E|-0---0---0---0---|-3---3---3---3---|
                """;
        Imported read = Exchange.read(tab.getBytes(StandardCharsets.UTF_8));
        Unpicked u = EXCHANGE.unpick(read);
        assertThat(u.whole()).isTrue();
        assertThat(shapes(u.derived())).contains("0-2-2-x-x-x", "3-5-5-x-x-x");
        assertThat(u.chords().get(0).sure()).isEqualTo(Unpicked.Sure.STRUCK);
    }

    /** What is said to be lost is lost, and nothing else is: the recipe alone for MusicXML. */
    @ParameterizedTest
    @MethodSource("demos")
    void lossesAreNamed(Piece piece) {
        assertThat(EXCHANGE.away(piece).losses(Target.MUSICXML))
                .singleElement()
                .asString()
                .contains("recipe");
        for (Target t : Target.values()) {
            assertThat(EXCHANGE.away(piece).losses(t)).isNotEmpty();
        }
    }

    @Test
    void theTableHasARowForEachChord() throws Exception {
        Piece piece = Demo.pieces().get(0);
        String csv = new String(EXCHANGE.away(piece).bytes(Target.CSV), StandardCharsets.UTF_8);
        assertThat(csv.lines().count()).isEqualTo(1 + piece.riff().roots().size());
        assertThat(csv).startsWith("bar,beat,root,chord").contains("F fourth");
    }

    /** A whole song goes out and comes back: both guitars, every section, its tempos. */
    @Test
    void aSongIsTakenAway() throws Exception {
        Catalogue catalogue = new Catalogue();
        Piece piece = Demo.pieces().get(1);
        var song = new Songs(catalogue).of(piece, Hand.MEDIUM);
        Export away = new Exchange(catalogue, Hand.MEDIUM).song(piece);
        for (Target t : List.of(Target.MUSICXML, Target.MIDI)) {
            var back = Exchange.read(away.bytes(t));
            var guitars = back.sheet().guitars();
            assertThat(guitars).as("%s", t).hasSize(2);
            assertThat(guitars.get(0).score().notes()).hasSameSizeAs(song.score().notes());
            assertThat(guitars.get(1).score().notes())
                    .hasSameSizeAs(song.second().orElseThrow().notes());
            assertThat(guitars.get(0).score().time().tempos())
                    .isEqualTo(song.score().time().tempos());
        }
    }
}
