package embrack.files.chart;

import embrack.core.chart.Beside;
import embrack.core.chart.Chart;
import embrack.core.chart.ChartRow;
import embrack.core.chart.ChartWriter;
import embrack.core.chart.Conventions;
import embrack.core.chart.Part;
import embrack.core.chart.Trigger;
import embrack.core.chart.Values;
import embrack.core.chart.Verb;
import embrack.core.midi.Channel;
import embrack.core.midi.Decoder;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.midi.SystemMessage;
import embrack.core.name.TapeLabel;
import embrack.files.json.UnreadableFile;
import embrack.files.json.UnreadableFile.Problem;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * A chart as CSV (RFC 4180): one line a message, numbers as they are sent. Lessons and safe states are not in it.
 *
 * <p>Columns: verb, part, family, type, number, sends, from, to, channel, bytes. A second message of the same action
 * has "+" as its verb. A message without a channel has only bytes.
 */
public final class ChartCsv {

    private static final String[] COLUMNS = {
        "verb", "part", "family", "type", "number", "sends", "from", "to", "channel", "bytes"
    };
    private static final String AND = "+";
    private static final int MOST_PROBLEMS = 200;
    private static final int MOST_ROWS = 20_000;
    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setHeader(COLUMNS)
            .setRecordSeparator("\r\n")
            .get();

    /** The largest file that is read, 4 MB. */
    public static final int MAX_LENGTH = 4 << 20;

    private ChartCsv() {}

    /** The rows of a chart. */
    public static String write(Chart chart) {
        var out = new StringWriter();
        try (var printer = new CSVPrinter(out, FORMAT)) {
            for (ChartRow row : chart.rows()) {
                for (int i = 0; i < row.triggers().size(); i++) {
                    printer.printRecord(cells(
                            i == 0 ? row.verb().key() : AND,
                            row.part(),
                            row.triggers().get(i)));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private static List<Object> cells(String verb, Part part, Trigger trigger) {
        List<Object> cells = new ArrayList<>(List.of(verb, part.name().text(), part.family()));
        switch (trigger) {
            case Trigger.Voice voice ->
                cells.addAll(List.of(
                        voice.type().shortName(),
                        voice.number(),
                        voice.values().sends(),
                        voice.values().low(),
                        voice.values().high(),
                        voice.channel().<Object>map(Channel::number).orElse(""),
                        ""));
            case Trigger.Whole whole ->
                cells.addAll(List.of("", "", "", "", "", "", whole.message().hex()));
        }
        return cells;
    }

    /**
     * The chart that a CSV file holds, as a text in as few lines as can be.
     *
     * @throws UnreadableFile with everything that is wrong with it, by its line
     */
    public static String read(String csv) {
        List<Problem> problems = new ArrayList<>();
        List<ChartRow> rows = new ArrayList<>();
        if (csv.length() > MAX_LENGTH) {
            throw new UnreadableFile(List.of(new Problem("the file", "has more than 4 MB; a chart is smaller")));
        }
        try (CSVParser parser = FORMAT.builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreHeaderCase(true)
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .get()
                .parse(new StringReader(csv.startsWith("\uFEFF") ? csv.substring(1) : csv))) {
            requireColumns(parser);
            for (CSVRecord line : parser) {
                try {
                    addRow(rows, line);
                } catch (IllegalArgumentException e) {
                    problems.add(new Problem("line " + parser.getCurrentLineNumber(), String.valueOf(e.getMessage())));
                }
                if (problems.size() >= MOST_PROBLEMS || rows.size() > MOST_ROWS) {
                    break;
                }
            }
            if (rows.size() > MOST_ROWS) {
                problems.add(new Problem("the file", "has more than %,d rows; a chart has fewer".formatted(MOST_ROWS)));
            }
        } catch (IOException | UncheckedIOException | IllegalStateException | IllegalArgumentException e) {
            problems.add(new Problem("the file", "is not CSV: " + e.getMessage()));
        }
        if (!problems.isEmpty()) {
            throw new UnreadableFile(problems);
        }
        return ChartWriter.write(Conventions.UNSAID, rows, List.of(), Beside.NOTHING);
    }

    private static void requireColumns(CSVParser parser) {
        for (String column : List.of("verb", "part")) {
            if (!parser.getHeaderMap().containsKey(column)) {
                throw new UnreadableFile(List.of(new Problem(
                        "line 1",
                        "the column \"%s\" is missing; the columns are %s"
                                .formatted(column, String.join(", ", COLUMNS)))));
            }
        }
    }

    private static void addRow(List<ChartRow> rows, CSVRecord line) {
        Trigger trigger = trigger(line);
        String verb = cell(line, "verb");
        if (verb.equals(AND)) {
            if (rows.isEmpty()) {
                throw new IllegalArgumentException(
                        "\"+\" goes on with the action of the line before, and there is none");
            }
            ChartRow first = rows.removeLast();
            List<Trigger> triggers = new ArrayList<>(first.triggers());
            triggers.add(trigger);
            rows.add(new ChartRow(first.verb(), first.part(), triggers));
            return;
        }
        TapeLabel name = TapeLabel.parse(cell(line, "part"));
        String family = cell(line, "family");
        rows.add(new ChartRow(
                Verb.parse(verb), family.isEmpty() ? Part.of(name) : Part.of(name, family), List.of(trigger)));
    }

    private static Trigger trigger(CSVRecord line) {
        String bytes = cell(line, "bytes");
        if (!bytes.isEmpty()) {
            return whole(bytes);
        }
        String type = cell(line, "type");
        MessageType found = Trigger.VOICES.stream()
                .filter(t -> t.shortName().equalsIgnoreCase(type))
                .findFirst()
                .orElseThrow(
                        () -> new IllegalArgumentException("type must be note, CC or PC, was \"%s\"".formatted(type)));
        int number = number(line, "number", -1);
        if (found == MessageType.PROGRAM_CHANGE) {
            return new Trigger.Voice(found, number, Trigger.NO_VALUE, channel(line));
        }
        int sends = number(line, "sends", 127);
        return new Trigger.Voice(
                found,
                number,
                new Values(sends, number(line, "from", sends), number(line, "to", sends)),
                channel(line));
    }

    private static Trigger whole(String bytes) {
        List<Message> read;
        try {
            read = Decoder.decode(HexFormat.of().parseHex(bytes.replace(" ", "")))
                    .messages();
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(
                    "bytes must be hexadecimal such as F0 7D 01 F7, was \"%s\"".formatted(bytes), e);
        }
        if (read.size() != 1 || !(read.getFirst() instanceof SystemMessage message)) {
            throw new IllegalArgumentException(
                    "bytes must be one message that goes to no channel, was \"%s\"".formatted(bytes));
        }
        return new Trigger.Whole(message);
    }

    private static Optional<Channel> channel(CSVRecord line) {
        return cell(line, "channel").isEmpty()
                ? Optional.empty()
                : Optional.of(new Channel(number(line, "channel", 0)));
    }

    private static int number(CSVRecord line, String column, int otherwise) {
        String cell = cell(line, column);
        if (cell.isEmpty() && otherwise >= 0) {
            return otherwise;
        }
        if (!cell.matches("\\d{1,5}")) {
            throw new IllegalArgumentException("%s must be a whole number, was \"%s\"".formatted(column, cell));
        }
        return Integer.parseInt(cell);
    }

    private static String cell(CSVRecord line, String column) {
        return line.isMapped(column) && line.isSet(column) ? line.get(column) : "";
    }
}
