package vocalis.formats.csv;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Tables as comma-separated values (RFC 4180), UTF-8. */
public final class CsvTable {

    private CsvTable() {}

    /** The file's bytes: a row of names, then the rows. */
    public static byte[] write(List<String> names, List<List<Object>> rows) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(text, CSVFormat.RFC4180)) {
            printer.printRecord(names);
            for (List<Object> row : rows) {
                printer.printRecord(row);
            }
        } catch (IOException e) {
            throw new IllegalStateException("text is written to memory, which does not fail", e);
        }
        return text.toString().getBytes(StandardCharsets.UTF_8);
    }
}
