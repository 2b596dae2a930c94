package vocalis.formats.pdf;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** Pages of a PDF that are filled from the top: text, lines and dots; y falls as they fill. */
final class PdfPage implements AutoCloseable {

    private static final PDRectangle PAPER = PDRectangle.A4;
    static final float MARGIN = 42;

    private final PDDocument document = new PDDocument();
    private PDPageContentStream page;

    /** Where the next thing goes, in points from the foot. */
    float y;

    PDFont font(String name) throws IOException {
        try (InputStream in = Fonts.resource(name).openStream()) {
            return PDType0Font.load(document, in);
        }
    }

    static float right() {
        return PAPER.getWidth() - MARGIN;
    }

    void turn() throws IOException {
        if (page != null) {
            page.close();
        }
        PDPage p = new PDPage(PAPER);
        document.addPage(p);
        page = new PDPageContentStream(document, p);
        y = PAPER.getHeight() - MARGIN;
    }

    void room(float height) throws IOException {
        if (y - height < MARGIN) {
            turn();
        }
    }

    void write(PDFont font, float size, float gray, float x, float at, String said)
            throws IOException {
        page.beginText();
        page.setFont(font, size);
        page.setNonStrokingColor(gray);
        page.newLineAtOffset(x, at);
        page.showText(printable(font, said));
        page.endText();
    }

    /** What the font lacks is left out rather than refused. */
    static String printable(PDFont font, String said) {
        StringBuilder out = new StringBuilder();
        said.codePoints()
                .forEach(
                        c -> {
                            String one = new String(Character.toChars(c));
                            try {
                                font.encode(one);
                                out.append(one);
                            } catch (IOException | IllegalArgumentException e) {
                                out.append(Character.isWhitespace(c) ? " " : "?");
                            }
                        });
        return out.toString();
    }

    static float width(PDFont font, float size, String said) throws IOException {
        return font.getStringWidth(printable(font, said)) * size / 1000;
    }

    void centered(PDFont font, float size, float gray, float x, float at, String said)
            throws IOException {
        write(font, size, gray, x - width(font, size, said) / 2, at, said);
    }

    void line(float gray, float wide, float x1, float y1, float x2, float y2) throws IOException {
        page.setStrokingColor(gray);
        page.setLineWidth(wide);
        page.moveTo(x1, y1);
        page.lineTo(x2, y2);
        page.stroke();
    }

    void box(float gray, float x, float at, float wide, float high) throws IOException {
        page.setNonStrokingColor(gray);
        page.addRect(x, at, wide, high);
        page.fill();
    }

    void dot(float gray, float x, float at, float radius) throws IOException {
        float k = radius * 0.5523f;
        page.setNonStrokingColor(gray);
        page.moveTo(x - radius, at);
        page.curveTo(x - radius, at + k, x - k, at + radius, x, at + radius);
        page.curveTo(x + k, at + radius, x + radius, at + k, x + radius, at);
        page.curveTo(x + radius, at - k, x + k, at - radius, x, at - radius);
        page.curveTo(x - k, at - radius, x - radius, at - k, x - radius, at);
        page.fill();
    }

    static List<String> wrapped(PDFont font, float size, String said, float room)
            throws IOException {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : said.split(" ")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && width(font, size, longer) > room) {
                lines.add(line.toString());
                line = new StringBuilder(word);
            } else {
                line = new StringBuilder(longer);
            }
        }
        lines.add(line.toString());
        return lines;
    }

    void title(String title) {
        document.getDocumentInformation().setTitle(title);
        document.getDocumentInformation().setCreator("Vocalis");
    }

    /** The whole file. */
    byte[] bytes() throws IOException {
        page.close();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        document.save(bytes);
        return bytes.toByteArray();
    }

    @Override
    public void close() throws IOException {
        document.close();
    }
}
