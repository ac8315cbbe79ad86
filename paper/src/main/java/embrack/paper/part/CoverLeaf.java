package embrack.paper.part;

import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Told;
import embrack.core.name.Words;
import embrack.core.show.Reader;
import embrack.core.word.Language;
import embrack.paper.drawing.QrCode;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Column;
import embrack.paper.page.Line;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import embrack.paper.page.Shape;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** The first page: what is not proven, what lies in the folder and for whom, what changed, where it is kept. */
final class CoverLeaf {

    /** How wide the code is that a camera reads, mm. */
    private static final double CODE = 26;

    private final Contents contents;

    CoverLeaf(Contents contents) {
        this.contents = contents;
    }

    /**
     * The page.
     *
     * @param parts what lies behind it, with who gets it
     * @param changed how many lines changed, by the id of the part
     * @param since what they are compared with: "revision 51"; empty for nothing
     */
    Part part(Map<Part, List<Reader>> parts, Map<String, Integer> changed, String since) {
        List<Block> blocks = new ArrayList<>();
        blocks.add(Block.of("Proven, and not", proven()));
        blocks.add(Block.of("What lies in it", list(parts, changed, since)));
        if (!contents.address().isEmpty()) {
            blocks.add(new Block("The same, while the server runs", contents.address(), code(contents.address())));
        }
        return new Part(
                Part.COVER,
                "Folder of " + contents.rig().name(),
                contents.show().map(show -> show.name().text()).orElse(""),
                Part.Form.HALVES,
                blocks.stream().filter(block -> !block.isEmpty()).toList());
    }

    /** What stops the show, each in a line; whether there is anything else to look at. */
    private List<Line> proven() {
        List<Line> lines = new ArrayList<>();
        contents.report().findings().stream()
                .filter(finding -> finding.severity() == Severity.STOPS)
                .map(finding -> Told.of(finding, contents.plan(), Language.ENGLISH))
                .forEach(told -> lines.add(Line.of("Stops the show: %s: %s".formatted(told.where(), told.what()))));
        int look = contents.report().count(Severity.LOOK);
        if (lines.isEmpty()) {
            lines.add(Line.of("Nothing stops the show."));
        } else {
            lines.addFirst(Line.of("Not all in this folder is proven to work."));
        }
        if (look > 0) {
            lines.add(Line.of("%s to be looked at in Preflight.".formatted(Words.count(look, "finding"))));
        }
        return lines;
    }

    private static Body.Table list(Map<Part, List<Reader>> parts, Map<String, Integer> changed, String since) {
        boolean isCompared = !since.isEmpty();
        List<Column> columns = Stream.of(
                        Column.words("Part", 40),
                        Column.words("For", 40),
                        Column.words(isCompared ? "Changed since " + since : "", isCompared ? 16 : 1),
                        Column.words("Page", 8))
                .toList();
        return new Body.Table(
                columns,
                parts.entrySet().stream()
                        .map(entry -> Row.of(
                                        entry.getKey().title(),
                                        String.join(
                                                ", ",
                                                entry.getValue().stream()
                                                        .map(reader ->
                                                                reader.name().text())
                                                        .toList()),
                                        isCompared
                                                ? lines(changed.getOrDefault(
                                                        entry.getKey().id(), 0))
                                                : "",
                                        "00")
                                .pageOf(entry.getKey().id()))
                        .toList());
    }

    private static String lines(int count) {
        return count == 0 ? "" : Words.count(count, "line");
    }

    /** A code that a camera reads, in squares. */
    private static Body.Drawing code(String address) {
        QrCode code = QrCode.of(address, 0);
        double size = CODE / code.size();
        List<Shape> squares = new ArrayList<>();
        for (int y = 0; y < code.size(); y++) {
            int x = 0;
            while (x < code.size()) {
                int from = x;
                while (code.isDark(x, y)) {
                    x++;
                }
                if (x > from) {
                    squares.add(new Shape.Fill(from * size, y * size, (x - from) * size, size + 0.02, "#000000"));
                }
                x++;
            }
        }
        return new Body.Drawing(CODE, CODE, squares, address);
    }
}
