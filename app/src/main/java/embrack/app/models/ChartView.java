package embrack.app.models;

import embrack.core.chart.Chart;
import embrack.core.chart.ChartReading.LinedRow;
import embrack.core.chart.ChartRow;
import embrack.core.chart.Conventions;
import embrack.core.chart.Learnable;
import embrack.core.chart.Trigger;
import embrack.core.midi.Channel;
import embrack.core.midi.Controllers;
import embrack.core.midi.MessageType;
import embrack.core.midi.NoteNaming;
import embrack.core.name.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The rows of a chart as a page shows them.
 *
 * @param rows at most {@link #MOST_SHOWN}
 * @param more how many are left out
 */
record ChartView(List<Row> rows, int more, List<String> learnables) {

    static final int MOST_SHOWN = 300;

    /** More messages than this do not fit on a page beside the rest. */
    private static final int MOST_ON_A_PAGE = 132;

    private static final Channel ONE = new Channel(1);

    /**
     * A row.
     *
     * @param line where it stands in the text, 0 for nowhere
     */
    record Row(int line, String verb, String part, List<Cell> messages) {}

    /**
     * A message.
     *
     * @param number as the manual shows it
     * @param name what else it is called: "C#4", "shown as 5"; empty for nothing
     * @param values the values that the box takes for it
     * @param bytes on channel 1
     * @param caution why the number is a bad choice; empty for a good one
     */
    record Cell(String type, String number, String name, String values, String bytes, String caution) {}

    /** Whether every row can be printed on the page of the chart; else its text must do. */
    public boolean rowsFitAPage() {
        return !rows.isEmpty()
                && more == 0
                && rows.stream().mapToInt(row -> row.messages.size()).sum() <= MOST_ON_A_PAGE;
    }

    static ChartView of(Chart chart) {
        return of(
                IntStream.range(0, chart.rows().size())
                        .mapToObj(i -> new LinedRow(0, chart.rows().get(i)))
                        .toList(),
                chart.learnables(),
                chart.conventions());
    }

    static ChartView of(List<LinedRow> rows, List<Learnable> learnables, Conventions conventions) {
        return new ChartView(
                rows.stream()
                        .limit(MOST_SHOWN)
                        .map(row -> row(row, conventions))
                        .toList(),
                Math.max(0, rows.size() - MOST_SHOWN),
                learnables.stream().map(ChartView::words).toList());
    }

    private static Row row(LinedRow lined, Conventions conventions) {
        ChartRow row = lined.row();
        List<Cell> cells = new ArrayList<>();
        row.triggers().forEach(trigger -> cells.add(cell(trigger, conventions)));
        return new Row(lined.line(), row.verb().phrase(), row.part().name().text(), cells);
    }

    private static Cell cell(Trigger trigger, Conventions conventions) {
        String bytes = trigger.on(ONE).hex();
        if (!(trigger instanceof Trigger.Voice voice)) {
            return new Cell(trigger.type().shortName(), "", "", "", bytes, "");
        }
        String channel = voice.channel().map(c -> " on channel " + c.number()).orElse("");
        return switch (voice.type()) {
            case PROGRAM_CHANGE ->
                new Cell(
                        "PC",
                        String.valueOf(conventions.shownPrograms().shown(voice.number())),
                        "sent as " + voice.number(),
                        channel.strip(),
                        bytes,
                        "");
            case NOTE_ON ->
                new Cell(
                        "note",
                        String.valueOf(voice.number()),
                        noteName(voice.number(), conventions),
                        values(voice) + channel,
                        bytes,
                        "");
            default ->
                new Cell(
                        "CC",
                        String.valueOf(voice.number()),
                        Controllers.name(voice.number()).orElse(""),
                        values(voice) + channel,
                        bytes,
                        Controllers.reserved(voice.number())
                                .map(why -> why.words(voice.number()))
                                .orElse(""));
        };
    }

    /** The name by the manual's convention; by all three where the manual does not say. */
    private static String noteName(int note, Conventions conventions) {
        return conventions
                .notes()
                .map(naming -> naming.name(note))
                .orElseGet(() -> Words.list(Stream.of(NoteNaming.values())
                                .map(naming -> naming.name(note))
                                .toList())
                        .replace(" and ", " or "));
    }

    private static String values(Trigger.Voice voice) {
        int lowest = voice.type() == MessageType.NOTE_ON ? 1 : 0;
        int low = voice.values().low();
        int high = voice.values().high();
        return low == lowest && high == 127
                ? "any value"
                : low == high ? "value " + low : "%d to %d".formatted(low, high);
    }

    private static String words(Learnable learnable) {
        return "%s %s: learns %s%s"
                .formatted(
                        learnable.verb().phrase(),
                        learnable.part().name(),
                        Words.list(learnable.types().stream()
                                .map(MessageType::plural)
                                .toList()),
                        learnable.refusesZero() ? ", not of value 0" : "");
    }
}
