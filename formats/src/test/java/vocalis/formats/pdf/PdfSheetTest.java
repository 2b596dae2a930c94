package vocalis.formats.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import vocalis.core.instrument.Shape;
import vocalis.formats.sheet.Sheet;
import vocalis.formats.sheet.Sheets;

/** The sheet for the stand, read back by the library that draws it. */
class PdfSheetTest {

    @Test
    void titleGroundShapesMutingAndCautionsAreOnTheFirstPage() throws Exception {
        Sheet sheet = Sheets.random(3);
        StandSheet.Held held =
                new StandSheet.Held(
                        "A5",
                        Shape.parse("5-7-7-x-x-x"),
                        List.of(1, 3, 4, 0, 0, 0),
                        "flat of the index: strings 3, 2, 1");
        byte[] pdf =
                PdfSheet.write(
                        new StandSheet(
                                sheet,
                                "E A D G B E · A minor",
                                List.of(held),
                                List.of("bar 1: far")));
        try (PDDocument d = Loader.loadPDF(pdf)) {
            String text = new PDFTextStripper().getText(d);
            assertThat(d.getNumberOfPages()).isEqualTo(1);
            assertThat(text)
                    .contains(sheet.title())
                    .contains("A minor")
                    .contains("A5")
                    .contains("flat of the index")
                    .contains("bar 1: far");
        }
    }

    /** Any score is drawn, whatever it holds; a long one goes on on the next page. */
    @Test
    void everySheetIsDrawn() throws Exception {
        for (int seed = 0; seed < 100; seed++) {
            byte[] pdf =
                    PdfSheet.write(
                            new StandSheet(Sheets.random(seed), "ground", List.of(), List.of()));
            try (PDDocument d = Loader.loadPDF(pdf)) {
                assertThat(d.getNumberOfPages()).isPositive();
                for (int page = 1; page <= d.getNumberOfPages(); page++) {
                    PDFTextStripper text = new PDFTextStripper();
                    text.setStartPage(page);
                    text.setEndPage(page);
                    assertThat(text.getText(d)).as("page %d of sheet %d", page, seed).isNotBlank();
                }
            }
        }
    }
}
