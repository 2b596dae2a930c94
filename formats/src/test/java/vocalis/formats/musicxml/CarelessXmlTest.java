package vocalis.formats.musicxml;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import vocalis.formats.FormatException;
import vocalis.formats.sheet.Imported;

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
}
