package vocalis.formats.tab;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Harmony;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.formats.FormatException;
import vocalis.formats.sheet.Imported;
import vocalis.formats.sheet.Sheet;

/**
 * Passages of our own in the house styles in which players type tab (common practice, no source):
 * silenced strings as x, repeats, mail quoting, slides over dashes, chords over the system, two
 * guitars, a bass.
 */
class OtherPeoplesTabTest {

    private static Score score(String text) throws FormatException {
        return TabText.read(text).sheet().score();
    }

    /** Each stroke as a shape, x where nothing sounds; a dead one in brackets. */
    private static List<String> shapes(Score s) {
        return s.onsets().stream().map(o -> shape(s, o)).toList();
    }

    private static String shape(Score s, Onset o) {
        Map<Integer, String> frets = new TreeMap<>();
        for (ScoreNote n : o.notes()) {
            frets.put(n.string(), n.manner() == Manner.DEAD ? "d" : String.valueOf(n.fret()));
        }
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < s.board().strings(); i++) {
            text.append(i == 0 ? "" : "-").append(frets.getOrDefault(i, "x"));
        }
        return text.toString();
    }

    private static List<Long> eighths(Score s) {
        return s.onsets().stream().map(o -> o.at() / Ticks.EIGHTH).toList();
    }

    // x.

    @Test
    void anXAmongFretsIsASilencedString() throws FormatException {
        Score s =
                score(
                        """
                        e|-----------x---|
                        B|-----------13--|
                        G|-7---4-----x---|
                        D|-x---4-----11--|
                        A|-5---x---x-x---|
                        E|-x---2---x-x---|
                        """);
        assertThat(shapes(s))
                .containsExactly("x-5-x-7-x-x", "2-x-4-4-x-x", "d-d-x-x-x-x", "x-x-11-x-13-x");
        assertThat(s.notes()).filteredOn(n -> n.manner() == Manner.DEAD).hasSize(2);
    }

    /** What we write ourselves of a dead open string beside a fretted one is read as it was. */
    @Test
    void aDeadStringBesideALivingOneSurvivesOurOwnTab() throws FormatException {
        Score s =
                score(
                        """
                        value    q         q
                        e      |-----------|
                        B      |-----------|
                        G      |-----------|
                        D      |-----------|
                        A      |-x0--------|
                        E      |-3---------|
                        """
                                .replace("q         q", "w"));
        assertThat(shapes(s)).containsExactly("3-d-x-x-x-x");
    }

    // Repeats.

    @Test
    void timesBehindTheLastBarLineRepeatTheLine() throws FormatException {
        String once =
                """
                e|-----------------|
                B|-----------------|
                G|-----------------|
                D|-7---7---9---9---|
                A|-7---7---9---9---|
                E|-5---5---7---7---|
                """;
        for (String x : List.of(" x4", "  4x", " (x4)")) {
            Score s = score(once.replace("E|-5---5---7---7---|", "E|-5---5---7---7---|" + x));
            assertThat(shapes(s)).hasSize(16).startsWith("5-7-7-x-x-x").endsWith("7-9-9-x-x-x");
            assertThat(s.time().meters().bars(s.length())).isEqualTo(4);
        }
        assertThat(shapes(score(once + "\nplay x3\n"))).hasSize(12);
    }

    @Test
    void repeatSignsAreFollowedOverTheirBarsAlone() throws FormatException {
        Score s =
                score(
                        """
                        e|--------|----------|--------|
                        B|--------|----------|--------|
                        G|--------|o--------o|--------|
                        D|--------|o--------o|--------|
                        A|--------|--3---5---|--------|
                        E|--0---0-|--1---3---|--0-----|
                        """);
        assertThat(shapes(s))
                .containsExactly(
                        "0-x-x-x-x-x",
                        "0-x-x-x-x-x",
                        "1-3-x-x-x-x",
                        "3-5-x-x-x-x",
                        "1-3-x-x-x-x",
                        "3-5-x-x-x-x",
                        "0-x-x-x-x-x");
    }

    // Slides, mail, encodings.

    @Test
    void aSlideLeadsOverDashesToTheFretOnItsSide() throws FormatException {
        Score s =
                score(
                        """
                        e|-----------------|
                        B|-----------------|
                        G|-----------------|
                        D|-4/--7---9\\------|
                        A|-----------------|
                        E|-----------------|
                        """);
        List<ScoreNote> notes = s.notes();
        assertThat(notes).hasSize(2);
        assertThat(notes.get(0).fret()).isEqualTo(4);
        assertThat(notes.get(0).techniques())
                .extracting(Technique::kind, Technique::to)
                .containsExactly(org.assertj.core.groups.Tuple.tuple(Technique.Kind.SLIDE, 7));
        // Nothing follows on its side: out of it, downward.
        assertThat(notes.get(1).endFret()).isLessThan(9);
    }

    private static final String PLAIN =
            """
            Ferry Slip

            e|-----------------|
            B|-----------------|
            G|-----------------|
            D|-2---2---5---5---|
            A|-2---2---5---5---|
            E|-0---0---3---3---|
            """;

    @Test
    void quotedMailAndTwoBytesACharacter() throws FormatException {
        List<String> plain = shapes(score(PLAIN));
        Imported quoted = TabText.read(PLAIN.replaceAll("(?m)^", "> > "));
        assertThat(shapes(quoted.sheet().score())).isEqualTo(plain);
        assertThat(quoted.sheet().title()).isEqualTo("Ferry Slip");
        for (var charset :
                List.of(
                        StandardCharsets.UTF_16,
                        StandardCharsets.UTF_16LE,
                        StandardCharsets.UTF_16BE)) {
            Imported wide = TabText.FORMAT.read(PLAIN.getBytes(charset));
            assertThat(shapes(wide.sheet().score())).isEqualTo(plain);
        }
    }

    // What stands around.

    @Test
    void theTitleIsTheTitleAndChordsAreChords() throws FormatException {
        Imported i =
                TabText.read(
                        """
                        title: Gravel Pit
                        [Verse]
                          F#m       D        N.C.
                        e|-----------------|
                        B|-----------------|
                        G|-----------------|
                        D|-4---4---7---7---|
                        A|-4---4---5---5---|
                        E|-2---2-----------|
                        """);
        assertThat(i.sheet().title()).isEqualTo("Gravel Pit");
        assertThat(i.sheet().score().harmonies())
                .extracting(Harmony::symbol, h -> h.at() / Ticks.QUARTER)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("F#m", 0L),
                        org.assertj.core.groups.Tuple.tuple("D", 2L));
        Imported untitled = TabText.read("Am  G\n" + PLAIN.substring(PLAIN.indexOf("e|")));
        assertThat(untitled.sheet().title()).isEqualTo("Imported");
    }

    @Test
    void twoGuitarsByTurns() throws FormatException {
        String system = PLAIN.substring(PLAIN.indexOf("e|"));
        String other = system.replace("D|-2---2---5---5---", "D|-9---9---7---7---");
        Imported i =
                TabText.read(
                        "Gtr 1\n"
                                + system
                                + "\n[Gtr 2]\n"
                                + other
                                + "\nGtr 1:\n"
                                + system
                                + "\n[Gtr 2]\n"
                                + other);
        assertThat(i.sheet().guitars())
                .extracting(Sheet.Guitar::name)
                .containsExactly("Gtr 1", "Gtr 2");
        for (Sheet.Guitar g : i.sheet().guitars()) {
            assertThat(shapes(g.score())).hasSize(8);
        }
        assertThat(shapes(i.sheet().guitars().get(1).score())).startsWith("0-2-9-x-x-x");
    }

    /** A bass's lowest string lies an octave under a guitar's (common practice): E1 is MIDI 28. */
    @Test
    void aBassSoundsAsABass() throws FormatException {
        Score s =
                score(
                        """
                        G|-----------------|
                        D|-----------------|
                        A|-----0---2---3---|
                        E|-0---------------|
                        """);
        assertThat(s.notes())
                .extracting(n -> s.board().midi(n.string(), n.fret()))
                .containsExactly(28, 33, 35, 36);
        assertThat(score("-3---3---\n---------\n---------\n---------\n").board().midi(0, 0))
                .isEqualTo(28);
    }

    /** Six strokes on even columns and no bar line: eighths, no triplets. */
    @Test
    void strokesWithoutBarsAreEighths() throws FormatException {
        Score s =
                score(
                        """
                        e--------------------
                        B--------------------
                        G--------------------
                        D--7--7--7--9--9--9--
                        A--7--7--7--9--9--9--
                        E--5--5--5--7--7--7--
                        """);
        assertThat(eighths(s)).containsExactly(0L, 1L, 2L, 3L, 4L, 5L);
        Score twelve =
                score(
                        """
                        e---------------------------
                        B---------------------------
                        G---------------------------
                        D---------------------------
                        A-2-2-3-3-2-2-3-3-5-5-5-5---
                        E-0-0-0-0-0-0-0-0-0-0-0-0---
                        """);
        assertThat(eighths(twelve)).hasSize(12).endsWith(10L, 11L);
        assertThat(twelve.time().meters().bars(twelve.length())).isEqualTo(2);
    }

    /** A bend and a vibrato of the last note reach the score with time to be heard. */
    @Test
    void bendsAndVibratoOfALastNote() throws FormatException {
        Score s =
                score(
                        """
                        e|-----------------|
                        B|-----------------|
                        G|-----------7b9---|
                        D|-------7~--------|
                        A|-----------------|
                        E|-0---------------|
                        """);
        Technique vibrato = s.notes().get(1).techniques().get(0);
        assertThat(vibrato.kind()).isEqualTo(Technique.Kind.VIBRATO);
        Technique bend = s.notes().get(2).techniques().get(0);
        assertThat(bend.to()).isEqualTo(200);
        assertThat(bend.after() + bend.lasting()).isLessThan(s.notes().get(2).length());
    }

    /** What text tab cannot hold, all of it and nothing else (see the table in docs/formats.md). */
    @Test
    void theLossesAreThese() {
        assertThat(TabText.FORMAT.losses())
                .containsExactlyInAnyOrder(
                        vocalis.formats.sheet.Loss.RECIPE,
                        vocalis.formats.sheet.Loss.INSTRUMENT,
                        vocalis.formats.sheet.Loss.SHAPES,
                        vocalis.formats.sheet.Loss.RINGING);
    }
}
