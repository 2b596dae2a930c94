package vocalis.formats.musicxml;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.xml.XMLConstants;
import javax.xml.transform.stream.StreamSource;
import javax.xml.validation.Schema;
import javax.xml.validation.SchemaFactory;
import javax.xml.validation.Validator;
import org.junit.jupiter.api.Test;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.formats.FormatException;
import vocalis.formats.sheet.Imported;
import vocalis.formats.sheet.Sheet;
import vocalis.formats.sheet.SheetFormat;
import vocalis.formats.sheet.SheetFormatContract;
import vocalis.formats.sheet.Sheets;

/** MusicXML holds a score whole, and is what the published schema says. */
class MusicXmlTest extends SheetFormatContract {

    @Override
    protected SheetFormat format() {
        return MusicXml.PLAIN;
    }

    @Override
    protected ScoreNote held(ScoreNote note) {
        return note;
    }

    /** The schema of MusicXML 4.0 (W3C Community Final Specification Agreement), imports local. */
    static Schema schema() throws Exception {
        SchemaFactory factory = SchemaFactory.newInstance(XMLConstants.W3C_XML_SCHEMA_NS_URI);
        factory.setProperty(XMLConstants.ACCESS_EXTERNAL_SCHEMA, "file,jar:file");
        return factory.newSchema(MusicXmlTest.class.getResource("musicxml-4.0.xsd"));
    }

    @Test
    void fiveHundredSheetsAreValidAgainstThePublishedSchema() throws Exception {
        Validator validator = schema().newValidator();
        for (int seed = 0; seed < 500; seed++) {
            String xml =
                    new String(MusicXml.PLAIN.write(Sheets.random(seed)), StandardCharsets.UTF_8)
                            .replaceFirst("<!DOCTYPE[^>]*>", "");
            validator.validate(
                    new StreamSource(
                            new ByteArrayInputStream(xml.getBytes(StandardCharsets.UTF_8))));
        }
    }

    /** No schema catches that a bar is too full, or a fret none that the pitch has. */
    @Test
    void barsAreFullAndFretsAreTheirPitches() throws FormatException {
        for (int seed = 0; seed < 100; seed++) {
            Sheet sheet = Sheets.random(seed);
            XmlElement root = XmlElement.read(MusicXml.PLAIN.write(sheet));
            int guitar = 0;
            for (XmlElement part : root.all("part")) {
                Score score = sheet.guitars().get(guitar++).score();
                int bar = score.time().meters().pickup() > 0 ? -1 : 0;
                for (XmlElement m : part.all("measure")) {
                    long full = 0;
                    for (XmlElement e : m.children()) {
                        long lasts = e.has("duration") ? e.get("duration").integer(1, 1 << 30) : 0;
                        full += e.name().equals("backup") ? -lasts : e.has("chord") ? 0 : lasts;
                        frets(e, score);
                    }
                    long start = score.time().meters().start(bar);
                    assertThat(full).isEqualTo(score.time().meters().end(bar) - start);
                    bar++;
                }
            }
        }
    }

    private static void frets(XmlElement note, Score score) throws FormatException {
        if (note.has("notations", "technical", "string")) {
            XmlElement t = note.find("notations", "technical").orElseThrow();
            int string = score.board().strings() - t.get("string").integer(1, 9);
            int midi = MusicXmlValues.midi(note.get("pitch"), "step", "alter", "octave");
            assertThat(midi).isEqualTo(score.board().midi(string, t.get("fret").integer(0, 36)));
        }
    }

    @Test
    void compressedIsTheSame() throws FormatException {
        Sheet sheet = Sheets.random(4);
        Imported read = MusicXml.COMPRESSED.read(MusicXml.COMPRESSED.write(sheet));
        assertThat(read.sheet())
                .isEqualTo(MusicXml.PLAIN.read(MusicXml.PLAIN.write(sheet)).sheet());
        assertThat(read.sheet().ground()).isEqualTo(sheet.ground());
    }

    private static final String TAB =
            """
            <?xml version="1.0"?><score-partwise version="4.0">
            <part-list><score-part id="P1"><part-name>G</part-name></score-part></part-list>
            <part id="P1">%s</part></score-partwise>
            """;

    private static String note(int string, int fret, int duration, String more, String technical) {
        return """
        <note><pitch><step>A</step><octave>2</octave></pitch><duration>%d</duration>%s
        <notations><technical>%s<string>%d</string><fret>%d</fret></technical></notations></note>
        """
                .formatted(duration, more, technical, string, fret);
    }

    private static Score read(String measures) throws FormatException {
        return MusicXml.PLAIN
                .read(TAB.formatted(measures).getBytes(StandardCharsets.UTF_8))
                .sheet()
                .score();
    }

    /**
     * As other programs write it: hammer-ons and pull-offs between notes, ties over the bar line.
     */
    @Test
    void legatoAndTiesOfOthersBecomeOneNote() throws FormatException {
        String head =
                "<attributes><divisions>2</divisions><time><beats>4</beats><beat-type>4</beat-type>"
                        + "</time></attributes>";
        Score s =
                read(
                        "<measure number=\"1\">"
                                + head
                                + note(6, 5, 2, "", "<hammer-on type=\"start\">H</hammer-on>")
                                + note(6, 7, 2, "", "<hammer-on type=\"stop\"/>")
                                + note(5, 3, 4, "<tie type=\"start\"/>", "")
                                + "</measure><measure number=\"2\">"
                                + note(5, 3, 2, "<tie type=\"stop\"/>", "")
                                + "</measure>");
        assertThat(s.notes()).hasSize(2);
        ScoreNote hammered = s.notes().get(0);
        assertThat(hammered.techniques())
                .containsExactly(new Technique(Technique.Kind.HAMMER, 7, 20160, 0));
        assertThat(hammered.length()).isEqualTo(40320);
        assertThat(s.notes().get(1).length()).isEqualTo(60480);
    }

    /**
     * Readers take one accent and one direction of the pick for a chord, and draw palm mutes of
     * words and dashes: each row of muted strokes is one pair of ends.
     */
    @Test
    void signsStandOnceForAChord() throws FormatException {
        int palms = 0;
        for (int seed = 0; seed < 200; seed++) {
            XmlElement root = XmlElement.read(MusicXml.PLAIN.write(Sheets.random(seed)));
            for (XmlElement part : root.all("part")) {
                for (XmlElement m : part.all("measure")) {
                    for (XmlElement n : m.all("note")) {
                        boolean tab = n.get("staff").text().equals("2");
                        assertThat(n.is("dynamics", "0")).isEqualTo(tab && !n.has("rest"));
                        if (n.has("chord")) {
                            assertThat(n.has("notations", "articulations")).isFalse();
                            assertThat(n.has("notations", "technical", "down-bow")).isFalse();
                            assertThat(n.has("notations", "technical", "up-bow")).isFalse();
                        }
                    }
                }
                String xml = part.toString();
                palms += count(part, "words");
                assertThat(dashes(part, "start")).as(xml).isEqualTo(dashes(part, "stop"));
            }
        }
        assertThat(palms).isGreaterThan(100);
    }

    private static int count(XmlElement part, String type) {
        int n = 0;
        for (XmlElement m : part.all("measure")) {
            for (XmlElement d : m.all("direction")) {
                n += (int) d.all("direction-type").stream().filter(t -> t.has(type)).count();
            }
        }
        return n;
    }

    private static int dashes(XmlElement part, String type) {
        int n = 0;
        for (XmlElement m : part.all("measure")) {
            for (XmlElement d : m.all("direction")) {
                for (XmlElement t : d.all("direction-type")) {
                    n += t.find("dashes").filter(x -> x.is("type", type)).isPresent() ? 1 : 0;
                }
            }
        }
        return n;
    }

    /** As others write it: an accent on the first note, "P.M." with dashes over two strokes. */
    @Test
    void signsOfOthersHoldForTheWholeChord() throws FormatException {
        String head =
                "<attributes><divisions>2</divisions><time><beats>4</beats><beat-type>4</beat-type>"
                        + "</time></attributes>";
        String starts =
                "<direction><direction-type><words>P.M.</words></direction-type><direction-type>"
                        + "<dashes type=\"start\"/></direction-type></direction>";
        String stops =
                "<direction><direction-type><dashes type=\"stop\"/></direction-type></direction>";
        String accent = "<notations><articulations><accent/></articulations></notations>";
        Score s =
                read(
                        "<measure number=\"1\">"
                                + head
                                + note(6, 5, 2, accent, "<up-bow/>")
                                + note(5, 7, 2, "", "").replace("<note>", "<note><chord/>")
                                + starts
                                + note(6, 5, 2, "", "")
                                + note(6, 3, 2, "", "")
                                + stops
                                + note(6, 0, 2, "", "")
                                + "</measure>");
        assertThat(s.notes())
                .extracting(ScoreNote::dynamics)
                .containsExactly(
                        Dynamics.ACCENT,
                        Dynamics.ACCENT,
                        Dynamics.PLAIN,
                        Dynamics.PLAIN,
                        Dynamics.PLAIN);
        assertThat(s.notes())
                .extracting(ScoreNote::manner)
                .containsExactly(
                        Manner.PLAIN, Manner.PLAIN, Manner.PALM, Manner.PALM, Manner.PLAIN);
        assertThat(s.notes().subList(0, 2)).noneMatch(ScoreNote::down);
    }

    /** A repeated bar with two endings: one, first ending, one, second ending. */
    @Test
    void repeatsAndEndingsAreWrittenOut() throws FormatException {
        String head = "<attributes><divisions>1</divisions></attributes>";
        String start = "<barline location=\"left\"><repeat direction=\"forward\"/></barline>";
        String first =
                "<barline location=\"left\"><ending number=\"1\" type=\"start\"/></barline>"
                        + note(6, 1, 4, "", "")
                        + "<barline location=\"right\"><ending number=\"1\" type=\"stop\"/>"
                        + "<repeat direction=\"backward\"/></barline>";
        String second =
                "<barline location=\"left\"><ending number=\"2\" type=\"start\"/></barline>"
                        + note(6, 2, 4, "", "")
                        + "<barline location=\"right\"><ending number=\"2\" type=\"stop\"/></barline>";
        Score s =
                read(
                        "<measure number=\"1\">"
                                + head
                                + start
                                + note(6, 0, 4, "", "")
                                + "</measure><measure number=\"2\">"
                                + first
                                + "</measure><measure number=\"3\">"
                                + second
                                + "</measure><measure number=\"4\">"
                                + note(6, 3, 4, "", "")
                                + "</measure>");
        assertThat(s.notes().stream().map(ScoreNote::fret).toList()).containsExactly(0, 1, 0, 2, 3);
    }

    @Test
    void notesWithoutTabAreFingeredHere() throws FormatException {
        String measure =
                """
                <measure number="1"><attributes><divisions>1</divisions></attributes>
                <note><pitch><step>A</step><octave>2</octave></pitch><duration>4</duration></note>
                <note><chord/><pitch><step>E</step><octave>3</octave></pitch><duration>4</duration></note>
                <note><chord/><pitch><step>A</step><octave>3</octave></pitch><duration>4</duration></note>
                </measure>
                """;
        Imported read =
                MusicXml.PLAIN.read(TAB.formatted(measure).getBytes(StandardCharsets.UTF_8));
        assertThat(read.fingered()).isFalse();
        assertThat(read.sheet().score().notes()).hasSize(3);
        for (ScoreNote n : read.sheet().score().notes()) {
            assertThat(read.sheet().score().board().midi(n.string(), n.fret())).isIn(45, 52, 57);
        }
    }

    /**
     * Nothing outside the file is read and nothing grows: the file is refused or the entity empty.
     */
    @Test
    void entitiesAreNeitherFetchedNorGrown() {
        String bomb =
                """
                <?xml version="1.0"?><!DOCTYPE a [<!ENTITY a "aaaaaaaaaa">
                <!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;">
                <!ENTITY c "&b;&b;&b;&b;&b;&b;&b;&b;&b;&b;">
                <!ENTITY d "&c;&c;&c;&c;&c;&c;&c;&c;&c;&c;">
                <!ENTITY e "&d;&d;&d;&d;&d;&d;&d;&d;&d;&d;">]>
                <score-partwise><work><work-title>&e;&e;&e;</work-title></work></score-partwise>
                """;
        String outside =
                """
                <?xml version="1.0"?><!DOCTYPE a [<!ENTITY x SYSTEM "file:///etc/hostname">]>
                <score-partwise><work><work-title>&x;</work-title></work></score-partwise>
                """;
        for (String xml : new String[] {bomb, outside}) {
            assertThatThrownBy(() -> MusicXml.PLAIN.read(xml.getBytes(StandardCharsets.UTF_8)))
                    .isInstanceOf(FormatException.class);
        }
    }

    @Test
    void aZipThatGrowsIsRefused() throws Exception {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            zip.putNextEntry(new ZipEntry("score.musicxml"));
            byte[] zeros = new byte[1 << 20];
            for (int i = 0; i < 100; i++) {
                zip.write(zeros);
            }
        }
        assertThatThrownBy(() -> MusicXml.COMPRESSED.read(bytes.toByteArray()))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("32 MB");
    }

    @Test
    void whatIsWrongIsToldWithItsLine() {
        assertThatThrownBy(
                        () ->
                                read(
                                        "\n<measure number=\"1\">\n"
                                                + note(6, 99, 4, "", "")
                                                + "</measure>"))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("<fret>")
                .hasMessageContaining("line")
                .hasMessageContaining("99");
    }
}
