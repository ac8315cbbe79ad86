package embrack.paper.list;

import embrack.files.csv.CsvWriter;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.CardCell;
import embrack.paper.page.CardRow;
import embrack.paper.page.Column;
import embrack.paper.page.Line;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * A part as CSV (RFC 4180): the heading of the block in the first column, then what stands there. A part of tables has
 * the columns of the one with the most; drawings are not in it.
 */
public final class PartCsv {

    private PartCsv() {}

    /** The rows of a part, under headings. */
    public static String of(Part part) {
        List<List<String>> rows = part.blocks().stream().flatMap(PartCsv::rows).toList();
        int width = rows.stream().mapToInt(List::size).max().orElse(2);
        var sheet = new CsvWriter(headings(part, width));
        rows.forEach(row -> sheet.line(filled(row, width)));
        return sheet.text();
    }

    private static List<String> headings(Part part, int width) {
        List<String> headings = new ArrayList<>(List.of("about"));
        part.blocks().stream()
                .map(Block::body)
                .filter(Body.Table.class::isInstance)
                .map(Body.Table.class::cast)
                .filter(table -> table.columns().size() == width - 1)
                .findFirst()
                .ifPresentOrElse(
                        table -> table.columns().stream().map(Column::title).forEach(headings::add),
                        () -> headings.add("what"));
        while (headings.size() < width) {
            headings.add("more " + (headings.size() - 1));
        }
        return headings;
    }

    private static List<String> filled(List<String> row, int width) {
        return Stream.concat(row.stream(), Stream.generate(() -> "").limit(width - row.size()))
                .toList();
    }

    private static Stream<List<String>> rows(Block block) {
        String about = block.heading();
        return switch (block.body()) {
            case Body.Lines lines -> lines.lines().stream().map(Line::words).map(words -> List.of(about, words));
            case Body.Ticks ticks -> ticks.marks().stream().map(mark -> List.of(about, ticks.words(), mark.words()));
            case Body.Table table ->
                table.rows().stream()
                        .map(Row::cells)
                        .map(cells ->
                                Stream.concat(Stream.of(about), cells.stream()).toList());
            case Body.Labels labels -> labels.labels().stream().map(label -> List.of(about, label.words()));
            case Body.Switches switches ->
                switches.rows().stream()
                        .map(CardRow::cells)
                        .flatMap(List::stream)
                        .map(PartCsv::cell);
            case Body.Cautions cautions -> cautions.words().stream().map(words -> List.of("take care", words));
            case Body.Pasted pasted -> pasted.text().lines().map(line -> List.of(about, line));
            case Body.Drawing drawing -> Stream.empty();
        };
    }

    private static List<String> cell(CardCell cell) {
        return List.of(cell.number(), cell.full(), String.join("; ", cell.more()));
    }
}
