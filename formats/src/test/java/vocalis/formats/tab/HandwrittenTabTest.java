package vocalis.formats.tab;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.formats.FormatException;
import vocalis.formats.sheet.Imported;

/**
 * Twenty passages written by hand for this test in habits that players have (common practice, no
 * source): read as meant, or refused with line and column.
 */
class HandwrittenTabTest {

    private static Imported read(String text) throws FormatException {
        return TabText.read(text);
    }

    private static Score score(String text) throws FormatException {
        return read(text).sheet().score();
    }

    /** Notes in eighths of a 4/4 bar: {@code 0:6/5} is string 6, fret 5 at once. */
    private static String eighths(Score s) {
        return s.notes().stream()
                .map(
                        n ->
                                n.at() / Ticks.EIGHTH
                                        + ":"
                                        + (s.board().strings() - n.string())
                                        + "/"
                                        + n.fret())
                .collect(Collectors.joining(" "));
    }

    @Test
    void plainEighths() throws FormatException {
        Score s =
                score(
                        """
                        e|-----------------|
                        B|-----------------|
                        G|-----------------|
                        D|-----------------|
                        A|-----2-3---2-3---|
                        E|-0-0-----0-----0-|
                        """);
        assertThat(eighths(s)).isEqualTo("0:6/0 1:6/0 2:5/2 3:5/3 4:6/0 5:5/2 6:5/3 7:6/0");
        assertThat(s.time().meters().bars(s.length())).isEqualTo(1);
    }

    @Test
    void barsOfUnequalWidth() throws FormatException {
        Score s =
                score(
                        """
                        e|----|----------------|
                        B|----|----------------|
                        G|----|----------------|
                        D|-2--|-2---2---2---2--|
                        A|-2--|-2---2---2---2--|
                        E|-0--|-0---0---0---0--|
                        """);
        assertThat(s.time().meters().bars(s.length())).isEqualTo(2);
        assertThat(s.onsets().stream().map(o -> o.at() / Ticks.QUARTER).toList())
                .containsExactly(0L, 4L, 5L, 6L, 7L);
    }

    @Test
    void dashesBeforeTheFirstLine() throws FormatException {
        Score s =
                score(
                        """
                        |-------------------|
                        |-------------------|
                        |-------------------|
                        |-5---5---7---7-----|
                        |-5---5---7---7-----|
                        |-3---3---5---5-----|
                        """);
        assertThat(s.onsets()).hasSize(4);
        assertThat(s.notes()).allMatch(n -> n.string() < 3);
    }

    @Test
    void lettersMissing() throws FormatException {
        Imported i =
                read(
                        """
                        ----------------|
                        ----------------|
                        ----------------|
                        7---7---5---5---|
                        7---7---5---5---|
                        5---5---3---3---|
                        """);
        assertThat(eighths(i.sheet().score())).startsWith("0:6/5 0:5/7 0:4/7 2:6/5");
        assertThat(i.remarks()).anyMatch(r -> r.contains("tuning"));
    }

    @Test
    void hammersPullsAndSlides() throws FormatException {
        Score s =
                score(
                        """
                        e|-----------------|
                        B|-----------------|
                        G|-5h7---7p5-------|
                        D|---------5/7-7\\5-|
                        A|-----------------|
                        E|-----------------|
                        """);
        List<Technique.Kind> kinds =
                s.notes().stream().map(n -> n.techniques().get(0).kind()).toList();
        assertThat(kinds)
                .containsExactly(
                        Technique.Kind.HAMMER,
                        Technique.Kind.PULL,
                        Technique.Kind.SLIDE,
                        Technique.Kind.SLIDE);
        assertThat(s.notes().get(0).endFret()).isEqualTo(7);
        assertThat(s.notes().get(3).endFret()).isEqualTo(5);
    }

    @Test
    void bendsReleasesAndVibrato() throws FormatException {
        Score s =
                score(
                        """
                        e|-------------------|
                        B|-8b10--8b10r8--8~--|
                        G|-------------------|
                        D|-------------------|
                        A|-------------------|
                        E|-------------------|
                        """);
        assertThat(s.notes().get(0).techniques().get(0).kind()).isEqualTo(Technique.Kind.BEND);
        assertThat(s.notes().get(0).techniques().get(0).to()).isEqualTo(200);
        assertThat(s.notes().get(1).techniques().stream().map(Technique::kind).toList())
                .containsExactly(Technique.Kind.BEND, Technique.Kind.RELEASE);
        assertThat(s.notes().get(2).techniques().get(0).kind()).isEqualTo(Technique.Kind.VIBRATO);
    }

    @Test
    void deadNotesAndPalmMutes() throws FormatException {
        Score s =
                score(
                        """
                          PM-------|
                        e|-----------------|
                        B|-----------------|
                        G|-----------------|
                        D|-----------2---2-|
                        A|---------x-2---2-|
                        E|-0---0---x-0---0-|
                        """);
        assertThat(s.notes().get(0).manner()).isEqualTo(Manner.PALM);
        assertThat(s.notes().get(2).manner()).isEqualTo(Manner.DEAD);
        assertThat(s.notes().get(4).manner()).isEqualTo(Manner.PLAIN);
    }

    @Test
    void ghostNotesInBrackets() throws FormatException {
        Score s =
                score(
                        """
                        e|-----------------|
                        B|-----------------|
                        G|-----------------|
                        D|-----------------|
                        A|-3---5---(5)-----|
                        E|-0-----(3)-------|
                        """);
        // (5) after a 5 that has not ended is held on or struck softly; (3) after a 0 is soft.
        assertThat(s.notes().get(0).dynamics()).isEqualTo(Dynamics.PLAIN);
        assertThat(s.notes().stream().filter(n -> n.string() == 0 && n.fret() == 3).toList())
                .singleElement()
                .satisfies(n -> assertThat(n.dynamics()).isEqualTo(Dynamics.GHOST));
    }

    @Test
    void doubledBarLines() throws FormatException {
        Score s =
                score(
                        """
                        e||-------|-------||
                        B||-------|-------||
                        G||-------|-------||
                        D||-2---2-|-4---4-||
                        A||-2---2-|-4---4-||
                        E||-0---0-|-2---2-||
                        """);
        assertThat(s.time().meters().bars(s.length())).isEqualTo(2);
        assertThat(s.onsets()).hasSize(4);
    }

    @Test
    void lyricsBetweenSystems() throws FormatException {
        Score s =
                score(
                        """
                        Verse
                        e|-------|
                        B|-------|
                        G|-------|
                        D|-2---2-|
                        A|-2---2-|
                        E|-0---0-|
                        and the lamps go out below

                        e|-------|
                        B|-------|
                        G|-------|
                        D|-5---5-|
                        A|-5---5-|
                        E|-3---3-|
                        """);
        assertThat(s.time().meters().bars(s.length())).isEqualTo(2);
    }

    @Test
    void aDroppedTuningByItsLetters() throws FormatException {
        Score s =
                score(
                        """
                        e|-------|
                        B|-------|
                        G|-------|
                        D|-0---3-|
                        A|-0---3-|
                        D|-0---3-|
                        """);
        assertThat(s.board().instrument().tuning().open().get(0)).isEqualTo(38);
    }

    @Test
    void sevenStrings() throws FormatException {
        Score s =
                score(
                        """
                        e|-------|
                        B|-------|
                        G|-------|
                        D|-------|
                        A|-2---2-|
                        E|-2---2-|
                        B|-0---0-|
                        """);
        assertThat(s.board().strings()).isEqualTo(7);
        assertThat(s.board().instrument().tuning().open().get(0)).isEqualTo(35);
    }

    @Test
    void fretsOfTwoFigures() throws FormatException {
        Score s =
                score(
                        """
                        e|---------------------|
                        B|---------------------|
                        G|-12----12----14------|
                        D|-12----12----14------|
                        A|-10----10----12------|
                        E|---------------------|
                        """);
        assertThat(s.onsets()).hasSize(3).allMatch(o -> o.notes().size() == 3);
    }

    @Test
    void meterTempoAndCapoInTheHeading() throws FormatException {
        Imported i =
                read(
                        """
                        Slow one
                        Capo 2, 88 bpm
                        Time: 3/4
                        e|-------------|
                        B|-------------|
                        G|-------------|
                        D|-2---2---2---|
                        A|-2---2---2---|
                        E|-0---0---0---|
                        """);
        Score s = i.sheet().score();
        assertThat(i.sheet().title()).isEqualTo("Slow one");
        assertThat(s.board().capo()).isEqualTo(2);
        assertThat(s.time().tempos().first()).isEqualTo(88);
        assertThat(s.time().meters().meter(0)).isEqualTo(new Meter(3, 4));
        assertThat(s.onsets().stream().map(o -> o.at() / Ticks.QUARTER).toList())
                .containsExactly(0L, 1L, 2L);
    }

    @Test
    void systemsWithoutABlankLineBetween() throws FormatException {
        String system =
                """
                e|-------|
                B|-------|
                G|-------|
                D|-2---2-|
                A|-2---2-|
                E|-0---0-|
                """;
        assertThat(score(system + system).onsets()).hasSize(4);
    }

    @Test
    void longDashesOfAWordProcessor() throws FormatException {
        Score s =
                score(
                        """
                        e|–––––––|
                        B|–––––––|
                        G|–––––––|
                        D|–2–––2–|
                        A|–2–––2–|
                        E|–0–––0–|
                        """);
        assertThat(s.onsets()).hasSize(2);
    }

    @Test
    void triplets() throws FormatException {
        Score s =
                score(
                        """
                        e|-------------------------|
                        B|-------------------------|
                        G|-------------------------|
                        D|-5-7-5-7-5-7-5-7-5-7-5-7-|
                        A|-------------------------|
                        E|-------------------------|
                        """);
        assertThat(s.notes()).hasSize(12);
        assertThat(s.notes().get(1).at()).isEqualTo(Ticks.QUARTER / 3);
    }

    @Test
    void crookedBarLinesAreRefusedWithTheirPlace() {
        assertThatThrownBy(
                        () ->
                                read(
                                        """
                                        e|-------|-------|
                                        B|-------|-------|
                                        G|---|-----------|
                                        D|-2---2-|-2---2-|
                                        A|-2---2-|-2---2-|
                                        E|-0---0-|-0---0-|
                                        """))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("line 3, column 6");
    }

    /** Any one dash is taken away on strings that are struck together: it is read as before. */
    @Test
    void aMissingDashIsPutBack() throws FormatException {
        String whole =
                """
                e|-----------------|-----------------|
                B|-----------------|-----------------|
                G|-----------------|-4---4-----4-----|
                D|-7---7-----7-----|-4---4-----4-----|
                A|-7---7-----7-----|-2---2-----2-----|
                E|-5---5-5-----5-5-|-----------------|
                """;
        List<ScoreNote> asWritten = score(whole).notes();
        String[] lines = whole.split("\n");
        int tried = 0;
        for (int line : new int[] {0, 1, 2, 3, 4}) {
            for (int i = 2; i < lines[line].length(); i++) {
                if (lines[line].charAt(i) == '-') {
                    String[] now = lines.clone();
                    now[line] = lines[line].substring(0, i) + lines[line].substring(i + 1);
                    Imported read = read(String.join("\n", now));
                    assertThat(read.sheet().score().notes())
                            .as("%s", now[line])
                            .isEqualTo(asWritten);
                    assertThat(read.remarks())
                            .anyMatch(
                                    r ->
                                            r.startsWith(
                                                    "Line " + (line + 1) + " has a dash too few"));
                    tried++;
                }
            }
        }
        assertThat(tried).isGreaterThan(140);
    }

    /** A dash too many goes again, and two; of three it is not sure what was meant. */
    @Test
    void dashesTooManyAreTakenAway() throws FormatException {
        String whole =
                """
                e|-----------------|
                B|-----------------|
                G|-----------------|
                D|-7---7-----7-----|
                A|-7---7-----7-----|
                E|-5---5-----5-----|
                """;
        for (int more = 1; more <= 2; more++) {
            String wide = whole.replace("A|-7---7", "A|-7---" + "-".repeat(more) + "7");
            assertThat(score(wide).notes()).isEqualTo(score(whole).notes());
        }
        assertThatThrownBy(() -> read(whole.replace("A|-7---7", "A|-7------7")))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("line 5, ");
    }

    /** What is wrong over the strings is told at its own line, not at the string under it. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            quoteCharacter = '"',
            value = {
                "meter   7/9;value    q    q;line 1, column 9: '7/9'",
                "meter   2/4;value    q    y;line 2, column 15: 'y'",
                "meter   2/4;value    q    e;line 2, column 10: the values of this bar",
                "meter   2/4;value    h;line 2, column 15: no value",
            })
    void whatStandsOverTheStringsIsToldAtItsLine(String meter, String value, String told) {
        String tab =
                """
                e      |-----------|
                B      |-----------|
                G      |-----------|
                D      |-----------|
                A      |-2----4----|
                E      |-----------|
                """;
        assertThatThrownBy(() -> read(meter + "\n" + value + "\n" + tab))
                .hasMessageContaining(told.replace('\'', '"'));
    }

    @Test
    void aFretThatNoNeckHasIsRefusedWithItsPlace() {
        assertThatThrownBy(
                        () ->
                                read(
                                        """
                                        e|-------|
                                        B|-------|
                                        G|-------|
                                        D|-2-----|
                                        A|-2--99-|
                                        E|-0-----|
                                        """))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("line 5, column 7")
                .hasMessageContaining("99");
    }

    @Test
    void threeStringsAreNoGuitar() {
        assertThatThrownBy(() -> read("G|--2--|\nD|--2--|\nA|--0--|\n"))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("line 1")
                .hasMessageContaining("3 strings");
    }
}
