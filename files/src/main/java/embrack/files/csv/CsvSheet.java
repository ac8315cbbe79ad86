package embrack.files.csv;

import embrack.files.json.UnreadableFile;
import embrack.files.json.UnreadableFile.Problem;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.commons.csv.DuplicateHeaderMode;

/**
 * A sheet as it was read: a line of headings and those below it. Cells are parted by commas, semicolons or tabs,
 * whatever the first line has most of.
 *
 * @param headings in small letters
 * @param lines those that hold anything
 */
public record CsvSheet(Set<String> headings, List<Line> lines) {

    /** What a spreadsheet may take for a formula, and what is written so that it does not. */
    static final Pattern FORMULA = Pattern.compile("'*[=+\\-@\t\r]");

    private static final Pattern WRITTEN_SO = Pattern.compile("''*[=+\\-@\t\r]");
    private static final Pattern PLACE = Pattern.compile("line:? (\\d+)");
    private static final char BYTE_ORDER_MARK = '\uFEFF';

    /** What old spreadsheets of the west write, Windows-1252: Latin-1 and a few signs more. */
    private static final Charset WESTERN = Charset.forName("windows-1252");

    public CsvSheet {
        headings = new TreeSet<>(headings);
        lines = List.copyOf(lines);
    }

    /** A line of it; {@code number} counts lines of the file from 1. */
    public record Line(long number, CSVRecord record) {

        /** The cell below a heading; empty when there is none. */
        public String cell(String heading) {
            if (!record.isMapped(heading) || !record.isSet(heading)) {
                return "";
            }
            String cell = record.get(heading);
            return WRITTEN_SO.matcher(cell).lookingAt() ? cell.substring(1) : cell;
        }
    }

    /**
     * The text of a file: UTF-16 where it begins with the mark of that, else UTF-8, else what old spreadsheets write.
     */
    public static String text(byte[] file) {
        if (file.length >= 2 && (file[0] & 0xFF) == 0xFE && (file[1] & 0xFF) == 0xFF
                || file.length >= 2 && (file[0] & 0xFF) == 0xFF && (file[1] & 0xFF) == 0xFE) {
            return new String(file, StandardCharsets.UTF_16);
        }
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(file))
                    .toString();
        } catch (CharacterCodingException e) {
            return new String(file, WESTERN);
        }
    }

    /**
     * Reads a sheet.
     *
     * @param most as many lines as are looked at
     * @throws UnreadableFile when it is none
     */
    public static CsvSheet read(String csv, int most) {
        String text = !csv.isEmpty() && csv.charAt(0) == BYTE_ORDER_MARK ? csv.substring(1) : csv;
        if (text.isBlank()) {
            throw unreadable("the file", "is empty");
        }
        try (CSVParser parser = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter(text))
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreHeaderCase(true)
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .setAllowMissingColumnNames(true)
                .setDuplicateHeaderMode(DuplicateHeaderMode.ALLOW_EMPTY)
                .get()
                .parse(new StringReader(text))) {
            List<Line> lines = new ArrayList<>();
            for (CSVRecord record : parser) {
                lines.add(new Line(parser.getCurrentLineNumber(), record));
                if (lines.size() > most) {
                    throw unreadable("the file", "has more than %,d lines".formatted(most));
                }
            }
            Set<String> headings = new TreeSet<>();
            parser.getHeaderNames().forEach(name -> headings.add(name.toLowerCase(Locale.ROOT)));
            return new CsvSheet(headings, lines);
        } catch (IOException | UncheckedIOException | IllegalStateException | IllegalArgumentException e) {
            Matcher place = PLACE.matcher(String.valueOf(e.getMessage()));
            throw unreadable(
                    place.find() ? "line " + place.group(1) : "line 1",
                    place.reset().find()
                            ? "a cell in quotes is not closed, or something stands behind its quotes"
                            : "two headings are the same; each stands once");
        }
    }

    /**
     * Sees that headings are there.
     *
     * @param all those that such a sheet may have, which is said
     * @throws UnreadableFile when one is not
     */
    public void require(List<String> needed, List<String> all) {
        List<Problem> missing = needed.stream()
                .filter(heading -> !headings.contains(heading))
                .map(heading -> new Problem(
                        "line 1",
                        "the column \"%s\" is missing; the columns are %s".formatted(heading, String.join(", ", all))))
                .toList();
        if (!missing.isEmpty()) {
            throw new UnreadableFile(missing);
        }
    }

    private static char delimiter(String text) {
        String first = text.lines()
                .filter(line -> !line.isBlank())
                .findFirst()
                .orElse("")
                .replaceAll("\"[^\"]*\"", "");
        return Stream.of(',', ';', '\t')
                .max(Comparator.comparingLong(
                        sign -> first.chars().filter(c -> c == sign).count()))
                .filter(sign -> first.indexOf(sign) >= 0)
                .orElse(',');
    }

    private static UnreadableFile unreadable(String where, String what) {
        return new UnreadableFile(List.of(new Problem(where, what)));
    }
}
