package embrack.paper.list;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.check.Report;
import embrack.files.plan.PlanFile;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Column;
import embrack.paper.page.Line;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import embrack.paper.part.Binder;
import embrack.paper.part.Contents;
import embrack.paper.type.Paper;
import java.io.IOException;
import java.io.StringReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;

/** Parts as CSV are read by a reader of another house, commons-csv, as RFC 4180 has it. */
class PartCsvTests {

    private static final List<Column> THREE =
            List.of(Column.words("What", 2), Column.figures("How much", 1), Column.words("Where", 2));

    /** Every cell comes back as it was, blanks, quotes, commas and ends of lines in it. */
    @Property(tries = 200)
    void whatStandsInATableIsReadAgain(@ForAll("rows") List<List<String>> rows) throws IOException {
        var table = new Body.Table(
                THREE, rows.stream().map(cells -> Row.of(cells.toArray())).toList());
        var part = new Part("any", "Any", "", Part.Form.HALVES, List.of(Block.of("Under, \"this\"", table)));
        List<CSVRecord> read = read(PartCsv.of(part));
        assertThat(read.getFirst().toList()).containsExactly("about", "What", "How much", "Where");
        assertThat(read).hasSize(rows.size() + 1);
        for (int i = 0; i < rows.size(); i++) {
            List<String> expected = new ArrayList<>(List.of("Under, \"this\""));
            expected.addAll(rows.get(i));
            assertThat(read.get(i + 1).toList()).isEqualTo(expected);
        }
    }

    /** Cells begin with a letter: what a spreadsheet would take for a formula is marked, and not what is tried here. */
    @Provide
    Arbitrary<List<List<String>>> rows() {
        Arbitrary<String> cell = Arbitraries.strings()
                .alpha()
                .numeric()
                .withChars(" ,;\"'\n\r\u00E9\u2013")
                .ofMaxLength(20)
                .map(rest -> "a" + rest + "z");
        return cell.list().ofSize(3).list().ofMinSize(1).ofMaxSize(8);
    }

    /** A part of several sorts of blocks has a row for each line, filled up to the widest. */
    @Test
    void blocksOfEverySortAreRows() throws IOException {
        var part = new Part(
                "mixed",
                "Mixed",
                "",
                Part.Form.WHOLE,
                List.of(
                        Block.of("Lines", List.of(Line.of("Mute first"), Line.todo("k", "Then plug in"))),
                        Block.caution(List.of("Hot when on")),
                        new Block("Ticks", "", new Body.Ticks("Seen", List.of(Line.of("1"), Line.of("2")))),
                        Block.of("Table", new Body.Table(THREE, List.of(Row.of("Level", "64", "Input 1")))),
                        new Block("Pasted", "", new Body.Pasted("one\ntwo")),
                        new Block("Drawing", "", new Body.Drawing(10, 10, List.of(), "a picture"))));
        assertThat(read(PartCsv.of(part)).stream().map(CSVRecord::toList))
                .containsExactly(
                        List.of("about", "What", "How much", "Where"),
                        List.of("Lines", "Mute first", "", ""),
                        List.of("Lines", "Then plug in", "", ""),
                        List.of("take care", "Hot when on", "", ""),
                        List.of("Ticks", "Seen", "1", ""),
                        List.of("Ticks", "Seen", "2", ""),
                        List.of("Table", "Level", "64", "Input 1"),
                        List.of("Pasted", "one", "", ""),
                        List.of("Pasted", "two", "", ""));
    }

    /** All parts of the demo's folder are rectangles in which each text of a table stands. */
    @Test
    void everyPartOfAFolderIsASheet() throws IOException {
        Report report = Report.of(PlanFile.read(Files.readString(Path.of("../docs/examples/quay-rig.json"))));
        List<Part> parts = new Binder(Contents.of(report, Paper.A4)).all();
        int cells = 0;
        for (Part part : parts) {
            List<CSVRecord> read = read(PartCsv.of(part));
            assertThat(read.stream().map(CSVRecord::size).distinct())
                    .as(part.id())
                    .hasSize(1);
            List<String> all = read.stream().flatMap(CSVRecord::stream).toList();
            List<String> texts =
                    part.blocks().stream().flatMap(PartCsvTests::cells).toList();
            assertThat(all).as(part.id()).containsAll(texts);
            cells += texts.size();
        }
        assertThat(cells).isGreaterThan(1_000);
    }

    private static Stream<String> cells(Block block) {
        return block.body() instanceof Body.Table table
                ? table.rows().stream().flatMap(row -> row.cells().stream()).filter(cell -> !cell.matches("[-=+@].*"))
                : Stream.empty();
    }

    private static List<CSVRecord> read(String csv) throws IOException {
        try (var parser = CSVFormat.RFC4180.builder().get().parse(new StringReader(csv.replaceFirst("^\uFEFF", "")))) {
            return parser.getRecords();
        }
    }
}
