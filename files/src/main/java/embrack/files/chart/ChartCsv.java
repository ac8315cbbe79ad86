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
import embrack.files.csv.CsvSheet;
import embrack.files.csv.CsvWriter;
import embrack.files.json.UnreadableFile;
import embrack.files.json.UnreadableFile.Problem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A chart as CSV (RFC 4180): one line a message, numbers as they are sent. Lessons and safe states are not in it.
 *
 * <p>Columns: verb, part, family, type, number, sends, from, to, channel, bytes. A second message of the same action
 * has "+" as its verb. A message without a channel has only bytes.
 */
public final class ChartCsv {

    private static final List<String> COLUMNS =
            List.of("verb", "part", "family", "type", "number", "sends", "from", "to", "channel", "bytes");
    private static final String AND = "+";
    private static final int MOST_PROBLEMS = 200;
    private static final int MOST_ROWS = 20_000;

    /** The largest file that is read, 4 MB. */
    public static final int MAX_LENGTH = 4 << 20;

    private ChartCsv() {}

    /** The rows of a chart. */
    public static String write(Chart chart) {
        var sheet = new CsvWriter(COLUMNS);
        for (ChartRow row : chart.rows()) {
            for (int i = 0; i < row.triggers().size(); i++) {
                sheet.line(cells(
                        i == 0 ? row.verb().key() : AND,
                        row.part(),
                        row.triggers().get(i)));
            }
        }
        return sheet.text();
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
        CsvSheet sheet = CsvSheet.read(csv, MOST_ROWS);
        sheet.require(List.of("verb", "part"), COLUMNS);
        for (CsvSheet.Line line : sheet.lines()) {
            try {
                addRow(rows, line);
            } catch (IllegalArgumentException e) {
                problems.add(new Problem("line " + line.number(), String.valueOf(e.getMessage())));
            }
            if (problems.size() >= MOST_PROBLEMS) {
                break;
            }
        }
        if (!problems.isEmpty()) {
            throw new UnreadableFile(problems);
        }
        return ChartWriter.write(Conventions.UNSAID, rows, List.of(), Beside.NOTHING);
    }

    private static void addRow(List<ChartRow> rows, CsvSheet.Line line) {
        Trigger trigger = trigger(line);
        String verb = line.cell("verb");
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
        TapeLabel name = TapeLabel.parse(line.cell("part"));
        String family = line.cell("family");
        rows.add(new ChartRow(
                Verb.parse(verb), family.isEmpty() ? Part.of(name) : Part.of(name, family), List.of(trigger)));
    }

    private static Trigger trigger(CsvSheet.Line line) {
        String bytes = line.cell("bytes");
        if (!bytes.isEmpty()) {
            return whole(bytes);
        }
        String type = line.cell("type");
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
            read = Decoder.hex(bytes).messages();
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

    private static Optional<Channel> channel(CsvSheet.Line line) {
        return line.cell("channel").isEmpty() ? Optional.empty() : Optional.of(new Channel(number(line, "channel", 0)));
    }

    private static int number(CsvSheet.Line line, String column, int otherwise) {
        String cell = line.cell(column);
        if (cell.isEmpty() && otherwise >= 0) {
            return otherwise;
        }
        if (!cell.matches("\\d{1,5}")) {
            throw new IllegalArgumentException("%s must be a whole number, was \"%s\"".formatted(column, cell));
        }
        return Integer.parseInt(cell);
    }
}
