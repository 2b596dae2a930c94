package vocalis.workbench;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Manner;
import vocalis.core.score.Score;
import vocalis.core.unpick.Unpicked;
import vocalis.formats.sheet.Imported;
import vocalis.formats.sheet.Sheet;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.exchange.Exchange;
import vocalis.workbench.exchange.Target;
import vocalis.workbench.playing.OfflineRender;

/**
 * Five riffs of our own, typed as tab in three house styles with silenced strings, dead strokes,
 * two guitars and repeats: read, taken apart, rendered, exported and read again: the same notes,
 * the same silences, of both guitars.
 */
class FiveTypedRiffsTest {

    private static final Catalogue CATALOGUE = new Catalogue();
    private static final Exchange EXCHANGE = new Exchange(CATALOGUE, Hand.MEDIUM);

    /** A riff as it was typed, and how many notes each of its guitars plays, counted by hand. */
    private record Typed(String tab, int... notes) {
        @Override
        public String toString() {
            return tab.lines().findFirst().orElse("");
        }
    }

    private static List<Typed> riffs() {
        return List.of(
                // Letters and bars; octaves with x; the line four times.
                new Typed(
                        """
                        Sluice Gate
                        tempo: 132

                        e|-----------------|
                        B|-----------------|
                        G|-6---6-----9-9---|
                        D|-x---x---x-x-x---|
                        A|-4---4---x-7-7---|
                        E|---------x-------|  x4
                        """,
                        4 * (8 + 3)),
                // No letters, mail quoting, a muted inner string, a pedal.
                new Typed(
                        """
                        > Tin Roof
                        >
                        > |-----------------|-----------------|
                        > |-0---0-----0-----|-0---0-----------|
                        > |-1---1-----1-----|-4---4-----------|
                        > |-x---x-----x-----|-x---x-----------|
                        > |-2---2-----2-----|-5---5-----------|
                        > |---0---0-0---0---|---0---0-0-0-----|
                        """,
                        3 * 3 + 4 + 2 * 3 + 4),
                // Two guitars by turns, doubled bar lines.
                new Typed(
                        """
                        Gtr 1
                        E||-----------------||
                        B||-----------------||
                        G||-----------------||
                        D||-5---5---8---8---||
                        A||-5---5---8---8---||
                        E||-3---3---6---6---||

                        Gtr 2
                        E||-----------------||
                        B||-8-----8-11------||
                        G||-x-----x-x-------||
                        D||-5-----5-8-------||
                        A||-----------------||
                        E||-----------------||
                        """,
                        12,
                        6),
                // Repeat signs, a dead scratch, a hammer-on and a slide.
                new Typed(
                        """
                        Cinder Path

                        e|-----------------|-----------------|
                        B|-----------------|-----------------|
                        G|o---------------o|-----------------|
                        D|o-4---x-4-------o|-2-------9-------|
                        A|--4---x-4-2h4----|-2---2/7-7-------|
                        E|--2---x-2--------|-0---------------|
                        """,
                        2 * (3 + 3 + 3 + 1) + 3 + 1 + 2),
                // Two guitars, the second with a line of its own; no bar lines in between.
                new Typed(
                        """
                        Harbour Wall
                        guitar: low
                        e|----------------|----------------|
                        B|----------------|----------------|
                        G|----------------|--------2-2-----|
                        D|2-2-2-2-5-5-5-5-|2-2-2-2-2-2-----|
                        A|2-2-2-2-5-5-5-5-|2-2-2-2-0-0-----|
                        E|0-0-0-0-3-3-3-3-|0-0-0-0---------|

                        guitar: high
                        e|----------------|----------------|
                        B|----------------|----------------|
                        G|----4---2-------|4-------6-6-6---|
                        D|------5---5-----|----2-----------|
                        A|----------------|----------------|
                        E|----------------|----------------|
                        """,
                        24 + 12 + 6,
                        4 + 5));
    }

    /** String, fret, sixteenth, and whether it is dead, of every stroke. */
    private static List<String> told(Score s) {
        List<String> all = new ArrayList<>();
        s.notes()
                .forEach(
                        n ->
                                all.add(
                                        n.at() * 4 / Ticks.QUARTER
                                                + ":"
                                                + n.string()
                                                + "/"
                                                + (n.manner() == Manner.DEAD ? "x" : n.fret())));
        return all;
    }

    private static List<List<String>> told(Imported i) {
        return i.sheet().guitars().stream().map(Sheet.Guitar::score).map(s -> told(s)).toList();
    }

    @ParameterizedTest
    @MethodSource("riffs")
    void aTypedRiffGoesRound(Typed typed) throws Exception {
        Imported read = Exchange.read(typed.tab().getBytes(StandardCharsets.UTF_8));
        List<List<String>> literal = told(read);
        assertThat(literal).hasSize(typed.notes().length);
        for (int g = 0; g < literal.size(); g++) {
            assertThat(literal.get(g)).hasSize(typed.notes()[g]);
        }
        Unpicked u = EXCHANGE.unpick(read);
        assertThat(u.whole()).isTrue();
        u.second().ifPresent(s -> assertThat(s.same()).isEqualTo(s.notes()));
        Piece piece = Exchange.piece(read, u, "typed");
        Workspace w = new Workspace(CATALOGUE, piece);
        assertThat(told(w.heard().score())).isEqualTo(literal.get(0));
        Optional<Score> second = w.heard().second();
        assertThat(second.isPresent()).isEqualTo(literal.size() == 2);
        second.ifPresent(s -> assertThat(told(s)).isEqualTo(literal.get(1)));
        ByteArrayOutputStream wav = new ByteArrayOutputStream();
        OfflineRender.of(w.heard(), 1, 0.5).wav(wav);
        assertThat(wav.size()).isGreaterThan(100_000);
        for (Target t : List.of(Target.MUSICXML, Target.TAB)) {
            Imported again = Exchange.read(EXCHANGE.away(piece).bytes(t));
            assertThat(told(again)).as(t.name()).isEqualTo(literal);
            assertThat(told(EXCHANGE.unpick(again).derived().score())).isEqualTo(literal.get(0));
        }
    }
}
