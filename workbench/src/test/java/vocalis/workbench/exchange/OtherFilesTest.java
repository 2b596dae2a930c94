package vocalis.workbench.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.formats.midi.MidiFile;
import vocalis.formats.musicxml.MusicXml;
import vocalis.formats.sheet.Sheet;
import vocalis.workbench.demo.Demo;

/** What is no written music is told for what it is; what is in an unusual wrapping is read. */
class OtherFilesTest {

    private static final Sheet SHEET =
            new Exchange(new Catalogue(), Hand.MEDIUM).away(Demo.pieces().get(1)).sheet();

    /** The signatures that the formats' specifications give (RFC 9639, RFC 3533, PNG, JFIF, …). */
    @ParameterizedTest
    @CsvSource({
        "'52494646 24000000 57415645',WAV file is sound",
        "'464F524D 00000024 41494646',AIFF file is sound",
        "'664C6143 00000022',FLAC file is sound",
        "'4F676753 00020000',Ogg file is sound",
        "'49443304 00000000',MP3 file is sound",
        "'FFFB9064 00000000',MP3 file is sound",
        "'89504E47 0D0A1A0A',PNG file is a picture",
        "'FFD8FFE0 00104A46',JPEG file is a picture",
        "'47494638 39610100',GIF file is a picture",
        "'25504446 2D312E37',PDF file is a picture",
    })
    void aFileOfAnotherKindIsNamed(String hex, String told) {
        byte[] bytes = java.util.HexFormat.of().parseHex(hex.replace(" ", ""));
        byte[] long_ = Arrays.copyOf(bytes, 2000);
        assertThatThrownBy(() -> Exchange.read(long_)).hasMessageContaining(told);
    }

    /** What our reader of recordings cannot read is not sent to it. */
    @Test
    void packedSoundIsToBeSavedAsWav() {
        for (String begins : new String[] {"fLaC", "OggS", "ID3"}) {
            assertThatThrownBy(() -> Exchange.read((begins + "\0\0\0\0\0\0").getBytes()))
                    .hasMessageContaining("save it as WAV");
        }
    }

    @Test
    void aRiffAndAWebPageAreNamed() {
        assertThatThrownBy(() -> Exchange.read("{\n \"format\" : \"vocalis\"}".getBytes()))
                .hasMessageContaining("open it");
        assertThatThrownBy(() -> Exchange.read("<!DOCTYPE html><p>e|---|".getBytes()))
                .hasMessageContaining("web page");
        assertThatThrownBy(() -> Exchange.read(" <html><p>".getBytes()))
                .hasMessageContaining("copy the tab");
    }

    /** What people do bring is not taken for one of these. */
    @Test
    void scoresAreNotRefused() throws Exception {
        byte[] xml = MusicXml.PLAIN.write(SHEET);
        for (byte[] b :
                new byte[][] {
                    xml, MusicXml.COMPRESSED.write(SHEET), MidiFile.FORMAT.write(SHEET)
                }) {
            assertThat(OtherFiles.told(b)).isEmpty();
        }
        String text = new String(xml, StandardCharsets.UTF_8);
        int notes = Exchange.read(xml).sheet().score().notes().size();
        for (String name : new String[] {"UTF-16", "UTF-16LE", "UTF-16BE", "ISO-8859-1"}) {
            String said = name.startsWith("UTF-16") ? "UTF-16" : name;
            String marked = (name.endsWith("E") ? "\uFEFF" : "") + text.replace("UTF-8", said);
            byte[] wide = marked.getBytes(Charset.forName(name));
            assertThat(Exchange.read(wide).sheet().score().notes()).as(name).hasSize(notes);
        }
    }

    private static byte[] zip(Map<String, byte[]> files) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream z = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> f : files.entrySet()) {
                z.putNextEntry(new ZipEntry(f.getKey()));
                z.write(f.getValue());
            }
        }
        return out.toByteArray();
    }

    /** A score zipped by hand is read where it is the only one. */
    @Test
    void aZipIsLookedInto() throws Exception {
        byte[] xml = MusicXml.PLAIN.write(SHEET);
        int notes = Exchange.read(xml).sheet().score().notes().size();
        byte[] one = zip(Map.of("mine/riff.musicxml", xml, "readme.txt", new byte[3]));
        assertThat(Exchange.read(one).sheet().score().notes()).hasSize(notes);
        byte[] two = zip(Map.of("a.xml", xml, "b.xml", xml));
        assertThatThrownBy(() -> Exchange.read(two)).hasMessageContaining("holds 2 scores");
        byte[] none = zip(Map.of("a.txt", new byte[2]));
        assertThatThrownBy(() -> Exchange.read(none)).hasMessageContaining("without MusicXML");
    }

    /** A MIDI file that was cut off says where, whatever is left of it. */
    @ParameterizedTest
    @ValueSource(ints = {14, 17, 20, 21, 40, 90})
    void aCutMidiFileSaysWhere(int left) throws Exception {
        byte[] midi = MidiFile.FORMAT.write(SHEET);
        assertThatCode(() -> Exchange.read(midi)).doesNotThrowAnyException();
        assertThatThrownBy(() -> Exchange.read(Arrays.copyOf(midi, left)))
                .hasMessageContaining("damaged at byte");
    }
}
