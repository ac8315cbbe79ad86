package embrack.files.csv;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * Writes a sheet, line by line. A cell that a spreadsheet would take for a formula begins with an apostrophe, which
 * shows there that it is a text, and which {@link CsvSheet} takes away again.
 */
public final class CsvWriter {

    private final StringBuilder out = new StringBuilder();
    private final CSVPrinter printer;

    /** A sheet with a line of headings. */
    public CsvWriter(List<String> headings) {
        try {
            printer = new CSVPrinter(out, CSVFormat.RFC4180);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        line(headings);
    }

    /** One more line. */
    public void line(List<?> cells) {
        try {
            printer.printRecord(cells.stream()
                    .map(cell -> cell instanceof Number ? cell : harmless(String.valueOf(cell)))
                    .toList());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** All of it, each line ended by a carriage return and a line feed. */
    public String text() {
        return out.toString();
    }

    /** A cell that nothing takes for a formula. */
    private static String harmless(String cell) {
        return CsvSheet.FORMULA.matcher(cell).lookingAt() ? "'" + cell : cell;
    }
}
