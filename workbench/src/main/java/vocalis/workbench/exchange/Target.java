package vocalis.workbench.exchange;

import java.nio.file.Path;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import vocalis.formats.midi.MidiFile;
import vocalis.formats.musicxml.MusicXml;
import vocalis.formats.sheet.SheetFormat;
import vocalis.formats.tab.TabText;

/** What a riff can be written as. */
public enum Target {
    MUSICXML("MusicXML, for notation programs", MusicXml.PLAIN, ".musicxml"),
    MXL("MusicXML, compressed", MusicXml.COMPRESSED, ".mxl"),
    MIDI("Standard MIDI File, for recording programs", MidiFile.FORMAT, ".mid"),
    TAB("Tab as plain text", TabText.FORMAT, ".tab.txt"),
    PDF("Riff sheet for the stand, PDF", null, ".pdf"),
    WAV("Sound, WAV of 24 bits", null, ".wav"),
    FLAC("Sound, FLAC of 24 bits", null, ".flac"),
    CSV("Table of its chords, CSV", null, ".csv");

    private final String words;
    private final SheetFormat format;
    private final String ending;

    Target(String words, SheetFormat format, String ending) {
        this.words = words;
        this.format = format;
        this.ending = ending;
    }

    /** As it is shown. */
    public String words() {
        return words;
    }

    /** What writes and reads its score; empty where it holds none. */
    Optional<SheetFormat> format() {
        return Optional.ofNullable(format);
    }

    /** How its files end. */
    public String ending() {
        return ending;
    }

    /** Whether it is rendered, which takes a while. */
    public boolean sound() {
        return this == WAV || this == FLAC;
    }

    /** The target of a file's ending. */
    public static Optional<Target> of(Path file) {
        String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
        if (name.endsWith(".xml")) {
            return Optional.of(MUSICXML);
        }
        if (name.endsWith(".txt") || name.endsWith(".tab")) {
            return Optional.of(TAB);
        }
        return Arrays.stream(values()).filter(t -> name.endsWith(t.ending)).findFirst();
    }
}
