package embrack.paper.since;

import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.CardCell;
import embrack.paper.page.CardRow;
import embrack.paper.page.Change;
import embrack.paper.page.Line;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Parts of a folder beside the same as they were printed: what says something else is marked, what is gone stands at
 * the end of its block, struck out. A line is the same one if it says the same under the same heading, however often
 * and in whatever order it stands there.
 *
 * @param parts with their marks
 * @param counts how many lines changed, by the id of the part; parts in which nothing did are not in it
 */
public record Since(List<Part> parts, Map<String, Integer> counts) {

    public Since {
        parts = List.copyOf(parts);
        counts = Map.copyOf(counts);
    }

    /** What changed from what was printed to what is there now. */
    public static Since of(List<Part> now, List<Part> printed) {
        Map<String, Part> before = new HashMap<>();
        printed.forEach(part -> before.put(part.id(), part));
        List<Part> marked = new ArrayList<>();
        Map<String, Integer> counts = new HashMap<>();
        for (Part part : now) {
            Comparing comparing = new Comparing(
                    before.get(part.id()) == null
                            ? List.of()
                            : before.get(part.id()).blocks());
            marked.add(part.withBlocks(comparing.marked(part.blocks())));
            if (comparing.count > 0) {
                counts.put(part.id(), comparing.count);
            }
        }
        return new Since(marked, counts);
    }

    /** Only the blocks in which something changed, in the parts that have any. */
    public List<Part> onlyChanged() {
        return parts.stream()
                .filter(part -> counts.containsKey(part.id()))
                .map(part -> part.withBlocks(part.blocks().stream()
                        .filter(block -> isChanged(block.body()))
                        .toList()))
                .filter(part -> !part.blocks().isEmpty())
                .toList();
    }

    private static boolean isChanged(Body body) {
        return switch (body) {
            case Body.Lines lines -> lines.lines().stream().anyMatch(line -> line.change() != Change.NONE);
            case Body.Table table -> table.rows().stream().anyMatch(row -> row.change() != Change.NONE);
            case Body.Labels labels -> labels.labels().stream().anyMatch(label -> label.change() != Change.NONE);
            case Body.Ticks ticks -> ticks.marks().stream().anyMatch(mark -> mark.change() != Change.NONE);
            case Body.Switches switches ->
                switches.rows().stream().flatMap(row -> row.cells().stream()).anyMatch(CardCell::changed);
            case Body.Drawing drawing -> drawing.isChanged();
            case Body.Cautions cautions -> false;
            case Body.Pasted pasted -> false;
        };
    }

    /** The blocks of a part against those that were printed, heading by heading. */
    private static final class Comparing {
        private final Map<String, List<Body>> before = new HashMap<>();
        private int count;

        Comparing(List<Block> printed) {
            printed.forEach(block ->
                    before.computeIfAbsent(key(block), key -> new ArrayList<>()).add(block.body()));
        }

        private static String key(Block block) {
            return block.body().sort() + block.heading() + block.aside();
        }

        List<Block> marked(List<Block> blocks) {
            List<Block> marked = new ArrayList<>();
            for (Block block : blocks) {
                List<Body> same = before.getOrDefault(key(block), List.of());
                Body old = same.isEmpty() ? block.body().pieces(0, 0) : same.removeFirst();
                marked.add(block.withBody(marked(block.body(), old)));
            }
            return marked;
        }

        private Body marked(Body now, Body old) {
            return switch (now) {
                case Body.Lines lines ->
                    new Body.Lines(pieces(
                            lines.lines(),
                            old instanceof Body.Lines o ? o.lines() : List.of(),
                            Line::words,
                            Line::with));
                case Body.Table table ->
                    new Body.Table(
                            table.columns(),
                            pieces(
                                    table.rows(),
                                    old instanceof Body.Table o
                                                    && o.columns().size()
                                                            == table.columns().size()
                                            ? o.rows()
                                            : List.of(),
                                    Row::text,
                                    Row::with));
                case Body.Labels labels ->
                    new Body.Labels(
                            pieces(
                                            labels.labels(),
                                            old instanceof Body.Labels o ? o.labels() : List.of(),
                                            Line::words,
                                            Line::with)
                                    .stream()
                                    .filter(label -> label.change() != Change.GONE)
                                    .toList(),
                            labels.width(),
                            labels.height());
                case Body.Ticks ticks ->
                    new Body.Ticks(
                            ticks.words(),
                            pieces(
                                    ticks.marks(),
                                    old instanceof Body.Ticks o && o.words().equals(ticks.words())
                                            ? o.marks()
                                            : List.of(),
                                    Line::words,
                                    Line::with));
                case Body.Switches switches -> switches(switches, old);
                case Body.Drawing drawing -> {
                    boolean isOther =
                            !(old instanceof Body.Drawing o && o.says().equals(drawing.says()));
                    count += isOther ? 1 : 0;
                    yield drawing.withChanged(isOther);
                }
                case Body.Cautions cautions -> cautions;
                case Body.Pasted pasted -> pasted;
            };
        }

        private Body switches(Body.Switches now, Body old) {
            List<String> cells = old instanceof Body.Switches o ? texts(o) : List.of();
            return new Body.Switches(
                    now.rows().stream()
                            .map(row -> new CardRow(
                                    row.bank(),
                                    row.millimetres(),
                                    row.cells().stream()
                                            .map(cell -> {
                                                boolean isNew = !cells.contains(cell.text());
                                                count += isNew ? 1 : 0;
                                                return cell.withChanged(isNew);
                                            })
                                            .toList()))
                            .toList(),
                    now.capMillimetres());
        }

        private static List<String> texts(Body.Switches switches) {
            return switches.rows().stream()
                    .flatMap(row -> row.cells().stream())
                    .map(CardCell::text)
                    .toList();
        }

        private <T> List<T> pieces(List<T> now, List<T> old, Function<T, String> text, BiFunction<T, Change, T> with) {
            List<String> left = new ArrayList<>(old.stream().map(text).toList());
            List<T> pieces = new ArrayList<>();
            for (T piece : now) {
                boolean isSame = left.remove(text.apply(piece));
                count += isSame ? 0 : 1;
                pieces.add(isSame ? piece : with.apply(piece, Change.NEW));
            }
            Stream<T> gone = old.stream().filter(piece -> left.remove(text.apply(piece)));
            gone.map(piece -> with.apply(piece, Change.GONE)).forEach(piece -> {
                count++;
                pieces.add(piece);
            });
            return pieces;
        }
    }
}
