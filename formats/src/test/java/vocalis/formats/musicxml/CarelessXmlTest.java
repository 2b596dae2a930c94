package vocalis.formats.musicxml;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.theory.Key;
import vocalis.formats.FormatException;
import vocalis.formats.sheet.Imported;
import vocalis.formats.sheet.Sheet;

/** Files that contradict themselves: read, and said in words about the file. */
class CarelessXmlTest {

    private static Imported read(String partList, String attributes, String note)
            throws FormatException {
        String xml =
                "<score-partwise version=\"4.0\"><part-list>"
                        + partList
                        + "</part-list><part id=\"P1\"><measure number=\"1\"><attributes>"
                        + attributes
                        + "<time><beats>4</beats><beat-type>4</beat-type></time></attributes>"
                        + note
                        + "</measure></part></score-partwise>";
        return MusicXml.PLAIN.read(xml.getBytes(StandardCharsets.UTF_8));
    }

    private static final String LISTED =
            "<score-part id=\"P1\"><part-name>Lead</part-name></score-part>";
    private static final String DIVISIONS = "<divisions>1</divisions>";

    /** A whole note of a pitch on the fifth string's third fret, which is a C. */
    private static String note(String step) {
        return "<note><pitch><step>"
                + step
                + "</step><octave>3</octave></pitch><duration>4</duration><type>whole</type>"
                + "<notations><technical><string>5</string><fret>3</fret></technical></notations>"
                + "</note>";
    }

    @Test
    void aFretThatDisagreesWithItsPitchIsTold() throws FormatException {
        assertThat(read(LISTED, DIVISIONS, note("C")).remarks())
                .noneMatch(r -> r.contains("disagree"));
        Imported i = read(LISTED, DIVISIONS, note("D"));
        assertThat(i.remarks())
                .contains(
                        "A note's fret and its pitch disagree (first in bar 1): the fret was"
                                + " taken.");
        assertThat(i.sheet().score().notes().get(0).fret()).isEqualTo(3);
    }

    @Test
    void aPartOutsideTheListIsTold() throws FormatException {
        assertThat(read("", DIVISIONS, note("C")).remarks())
                .anyMatch(r -> r.contains("\"P1\" does not stand in the file's list of parts"));
    }

    @Test
    void missingDivisionsAreTold() throws FormatException {
        assertThat(read(LISTED, "", note("C")).remarks()).anyMatch(r -> r.contains("no divisions"));
        assertThat(read(LISTED, DIVISIONS, note("C")).remarks())
                .noneMatch(r -> r.contains("divisions"));
    }

    /**
     * A note over a bar line is written as two, tied as sound and as picture: a start for every
     * stop, on both staves.
     */
    @Test
    void tiesBeginAsOftenAsTheyEnd() throws Exception {
        Fretboard board = new Fretboard(Instrument.of(Tuning.STANDARD), 0);
        ScoreNote over =
                new ScoreNote(
                        1,
                        3,
                        3 * Ticks.QUARTER,
                        Ticks.HALF,
                        false,
                        false,
                        Dynamics.PLAIN,
                        Manner.PLAIN,
                        true,
                        false,
                        List.of(),
                        Optional.empty());
        Score score =
                new Score(
                        board,
                        new TimeLine(MeterMap.of(Meter.COMMON), TempoMap.of(120)),
                        2 * Ticks.WHOLE,
                        List.of(over),
                        List.of());
        Ground ground = new Ground(board.instrument(), 0, Key.parse("C major"), Tone.CLEAN, 440);
        String xml =
                new String(
                        MusicXml.PLAIN.write(
                                new Sheet("t", ground, List.of(new Sheet.Guitar("g", score)))),
                        StandardCharsets.UTF_8);
        for (String sign : List.of("<tie type=\"start\"/>", "<tied type=\"start\"/>")) {
            String stop = sign.replace("start", "stop");
            assertThat(count(xml, sign)).as(sign).isEqualTo(count(xml, stop)).isEqualTo(2);
        }
    }

    private static int count(String text, String part) {
        return (text.length() - text.replace(part, "").length()) / part.length();
    }
}
