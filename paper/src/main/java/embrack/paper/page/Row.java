package embrack.paper.page;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A row of a table.
 *
 * @param key by which it is ticked; empty for what is not ticked
 * @param isStrong whether it is what the eye looks for
 * @param colours swatches of colour before its last cell, as {@code #rrggbb}
 */
public record Row(
        String key, List<String> cells, Line.Tick tick, boolean isStrong, List<String> colours, Change change) {

    private static final String PAGE_OF = "page:";

    public Row {
        cells = List.copyOf(cells);
        colours = List.copyOf(colours);
    }

    /** A row to read. */
    public static Row of(Object... cells) {
        return new Row(
                "", Stream.of(cells).map(Object::toString).toList(), Line.Tick.NONE, false, List.of(), Change.NONE);
    }

    /** The same, which the eye looks for. */
    public Row strong(boolean isStrong) {
        return new Row(key, cells, tick, isStrong, colours, change);
    }

    /** The same with swatches. */
    public Row coloured(List<String> others) {
        return new Row(key, cells, tick, isStrong, others, change);
    }

    /** The same to be ticked. */
    public Row ticked(String byKey, Line.Tick how) {
        return new Row(byKey, cells, how, isStrong, colours, change);
    }

    /** The same, leading to a part; its last cell is the page on which that begins. */
    public Row pageOf(String part) {
        return new Row(PAGE_OF + part, cells, tick, isStrong, colours, change);
    }

    /** The same with the page in its last cell, where it leads to a part. */
    public Row onPage(Function<String, String> page) {
        if (!key.startsWith(PAGE_OF)) {
            return this;
        }
        List<String> changed = new ArrayList<>(cells);
        changed.set(changed.size() - 1, page.apply(leadsTo()));
        return new Row(key, changed, tick, isStrong, colours, change);
    }

    /** The part that it leads to; empty for none. */
    public String leadsTo() {
        return key.startsWith(PAGE_OF) ? key.substring(PAGE_OF.length()) : "";
    }

    public Row with(Change other) {
        return new Row(key, cells, tick, isStrong, colours, other);
    }

    /** All that it says. */
    public String text() {
        return cells.stream().filter(cell -> !cell.isEmpty()).collect(Collectors.joining(" | "));
    }
}
