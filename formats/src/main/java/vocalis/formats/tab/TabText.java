package vocalis.formats.tab;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vocalis.formats.FormatException;
import vocalis.formats.sheet.Imported;
import vocalis.formats.sheet.Loss;
import vocalis.formats.sheet.Sheet;
import vocalis.formats.sheet.SheetFormat;

/**
 * Tab as plain text, with a line that says the note values. Read is what players commonly write
 * too: without values, which then follow from the spacing, with or without letters before the
 * strings, bars of any width.
 */
public final class TabText implements SheetFormat {

    /** Wide enough for a printed page. */
    public static final int USUAL_WIDTH = 96;

    public static final TabText FORMAT = new TabText(USUAL_WIDTH);

    private static final int MOST_CHARACTERS = 2_000_000;

    private final int width;

    /**
     * @param width columns that a line may have, 40 to 400; a bar that is wider stands alone
     */
    public TabText(int width) {
        if (width < 40 || width > 400) {
            throw new IllegalArgumentException("a line has 40 to 400 columns, not " + width);
        }
        this.width = width;
    }

    @Override
    public String name() {
        return "Text tab";
    }

    @Override
    public List<String> endings() {
        return List.of(".tab.txt", ".txt", ".tab");
    }

    @Override
    public Set<Loss> losses() {
        return Set.of(Loss.RECIPE, Loss.INSTRUMENT, Loss.SHAPES, Loss.RINGING);
    }

    @Override
    public byte[] write(Sheet sheet) {
        return text(sheet).getBytes(StandardCharsets.UTF_8);
    }

    /** The tab as text. */
    public String text(Sheet sheet) {
        return new TabWriter(sheet, width).text();
    }

    @Override
    public Imported read(byte[] bytes) throws FormatException {
        if (bytes.length > MOST_CHARACTERS) {
            throw new FormatException("the text is longer than 2 MB, far too long for a riff");
        }
        Optional<Charset> wide = wide(bytes);
        if (wide.isPresent()) {
            return read(new String(bytes, wide.get()));
        }
        try {
            CharSequence text =
                    StandardCharsets.UTF_8
                            .newDecoder()
                            .onMalformedInput(CodingErrorAction.REPORT)
                            .onUnmappableCharacter(CodingErrorAction.REPORT)
                            .decode(ByteBuffer.wrap(bytes));
            return read(text.toString());
        } catch (CharacterCodingException e) {
            return read(new String(bytes, StandardCharsets.ISO_8859_1));
        }
    }

    /** The charset of two bytes a character that a mark, or zeros beside the letters, tell of. */
    private static Optional<Charset> wide(byte[] bytes) {
        if (bytes.length < 4) {
            return Optional.empty();
        }
        int first = bytes[0] & 0xFF;
        int second = bytes[1] & 0xFF;
        if (first == 0xFE && second == 0xFF || first == 0xFF && second == 0xFE) {
            return Optional.of(StandardCharsets.UTF_16);
        }
        int even = 0;
        int odd = 0;
        int looked = Math.min(bytes.length, 400);
        for (int i = 0; i < looked; i++) {
            even += i % 2 == 0 && bytes[i] == 0 ? 1 : 0;
            odd += i % 2 == 1 && bytes[i] == 0 ? 1 : 0;
        }
        return odd > looked / 3
                ? Optional.of(StandardCharsets.UTF_16LE)
                : even > looked / 3 ? Optional.of(StandardCharsets.UTF_16BE) : Optional.empty();
    }

    /** Reads a tab, as from the clipboard. */
    public static Imported read(String text) throws FormatException {
        if (text.length() > MOST_CHARACTERS) {
            throw new FormatException("the text is longer than 2 MB, far too long for a riff");
        }
        return new TabReader(text).read();
    }
}
