package vocalis.workbench.exchange;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Files that are no written music, told by how they begin: what they are, and where to go with
 * them. The signatures are those of the formats' own specifications.
 */
final class OtherFiles {

    private static final String SOUND =
            " is sound: import it under its own ending, or write it down with ./vocalis transcribe";
    private static final String PACKED =
            " is sound: save it as WAV, which can be imported and written down";
    private static final String PICTURE =
            " is a picture: type the tab, or export MusicXML or MIDI where it was written";

    private static final Map<String, String> BEGINS = new LinkedHashMap<>();

    static {
        BEGINS.put("RIFF....WAVE", "this WAV file" + SOUND);
        BEGINS.put("FORM....AIF", "this AIFF file" + SOUND);
        BEGINS.put("fLaC", "this FLAC file" + PACKED);
        BEGINS.put("OggS", "this Ogg file" + PACKED);
        BEGINS.put("ID3", "this MP3 file" + PACKED);
        BEGINS.put("\u00FF[\u00FB\u00F3\u00F2]", "this MP3 file" + PACKED);
        BEGINS.put("\u0089PNG", "this PNG file" + PICTURE);
        BEGINS.put("\u00FF\u00D8\u00FF", "this JPEG file" + PICTURE);
        BEGINS.put("GIF8", "this GIF file" + PICTURE);
        BEGINS.put("%PDF", "this PDF file" + PICTURE);
        BEGINS.put(
                "\\s*\\{\\s*\"format\"\\s*:\\s*\"vocalis",
                "this is a riff of Vocalis: open it, do not import it");
        BEGINS.put(
                "\\s*<(?:!doctype html|html)",
                "this is a web page: copy the tab out of it and paste it");
    }

    private OtherFiles() {}

    /** What a file is that cannot be imported; empty where nothing is known against it. */
    static Optional<String> told(byte[] bytes) {
        String head =
                new String(bytes, 0, Math.min(400, bytes.length), StandardCharsets.ISO_8859_1);
        return BEGINS.entrySet().stream()
                .filter(b -> head.matches("(?is)" + b.getKey() + ".*"))
                .map(Map.Entry::getValue)
                .findFirst();
    }
}
