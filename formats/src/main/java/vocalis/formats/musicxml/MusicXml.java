package vocalis.formats.musicxml;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import vocalis.formats.FormatException;
import vocalis.formats.sheet.Imported;
import vocalis.formats.sheet.Loss;
import vocalis.formats.sheet.Sheet;
import vocalis.formats.sheet.SheetFormat;

/**
 * MusicXML 4.0 (W3C Music Notation Community Group, 2021), plain or compressed. Read from any
 * program, with or without tab; document types, entities and files outside are never looked at, and
 * depth, number and size are bounded.
 */
public final class MusicXml implements SheetFormat {

    /** Plain. */
    public static final MusicXml PLAIN = new MusicXml(false);

    /** Compressed with a container, as {@code .mxl}. */
    public static final MusicXml COMPRESSED = new MusicXml(true);

    private static final int MOST_ENTRIES = 64;
    private static final String CONTAINER = "META-INF/container.xml";

    private final boolean compressed;

    private MusicXml(boolean compressed) {
        this.compressed = compressed;
    }

    @Override
    public String name() {
        return compressed ? "MusicXML, compressed" : "MusicXML";
    }

    @Override
    public List<String> endings() {
        return compressed ? List.of(".mxl") : List.of(".musicxml", ".xml");
    }

    @Override
    public Set<Loss> losses() {
        return Set.of(Loss.RECIPE);
    }

    @Override
    public byte[] write(Sheet sheet) throws FormatException {
        byte[] xml = new MusicXmlWriter(sheet).write();
        if (!compressed) {
            return xml;
        }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            XmlWriter container = new XmlWriter("");
            container.open("container").open("rootfiles");
            container.empty(
                    "rootfile",
                    "full-path",
                    "score.musicxml",
                    "media-type",
                    "application/vnd.recordare.musicxml+xml");
            entry(zip, CONTAINER, container.close().close().bytes());
            entry(zip, "score.musicxml", xml);
        } catch (IOException e) {
            throw new FormatException("the file could not be compressed: " + e.getMessage(), e);
        }
        return bytes.toByteArray();
    }

    private static void entry(ZipOutputStream zip, String name, byte[] content) throws IOException {
        ZipEntry e = new ZipEntry(name);
        e.setTime(0);
        zip.putNextEntry(e);
        zip.write(content);
        zip.closeEntry();
    }

    @Override
    public Imported read(byte[] bytes) throws FormatException {
        if (bytes.length > MOST_BYTES) {
            throw new FormatException("the file is larger than 32 MB, far too large for a riff");
        }
        boolean zipped = bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K';
        byte[] xml = zipped ? unzipped(bytes) : bytes;
        return new MusicXmlReader(XmlElement.read(xml)).read();
    }

    private static byte[] unzipped(byte[] bytes) throws FormatException {
        Map<String, byte[]> files = new HashMap<>();
        long left = MOST_BYTES;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                if (files.size() == MOST_ENTRIES) {
                    throw new FormatException("the compressed file holds too many files");
                }
                byte[] content = zip.readNBytes((int) left + 1);
                left -= content.length;
                if (left < 0) {
                    throw new FormatException(
                            "the compressed file holds more than 32 MB, far too much for a riff");
                }
                files.put(e.getName(), content);
            }
        } catch (IOException | IllegalArgumentException e) {
            throw new FormatException(
                    "this compressed MusicXML is cut off or damaged; export it again", e);
        }
        return score(files);
    }

    private static byte[] score(Map<String, byte[]> files) throws FormatException {
        byte[] container = files.get(CONTAINER);
        if (container != null) {
            XmlElement root = XmlElement.read(container);
            for (XmlElement f :
                    root.find("rootfiles").map(r -> r.all("rootfile")).orElse(List.of())) {
                byte[] score = files.get(f.attribute("full-path").orElse(""));
                if (score != null) {
                    return score;
                }
            }
        }
        List<byte[]> scores =
                files.entrySet().stream()
                        .filter(f -> !f.getKey().equals(CONTAINER))
                        .filter(f -> f.getKey().matches("(?i).*\\.(?:musicxml|xml)"))
                        .map(Map.Entry::getValue)
                        .toList();
        if (scores.size() == 1) {
            return scores.get(0);
        }
        throw new FormatException(
                scores.isEmpty()
                        ? "this is a zip file without MusicXML in it; export MusicXML or MIDI"
                        : "the compressed file holds "
                                + scores.size()
                                + " scores and does not say which; import one of them");
    }

    /** Whether bytes begin like XML. */
    public static boolean looksLike(byte[] bytes) {
        int n = Math.min(bytes.length, 200);
        // In two bytes a character every other one of a tag is zero.
        String head = new String(bytes, 0, n, StandardCharsets.ISO_8859_1).replace("\0", "");
        return head.replaceFirst("^(?:\u00EF\u00BB\u00BF|\u00FE\u00FF|\u00FF\u00FE)", "")
                .stripLeading()
                .startsWith("<");
    }
}
