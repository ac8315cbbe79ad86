package embrack.paper.print;

import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Column;
import embrack.paper.page.Line;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import embrack.paper.type.Paper;
import embrack.paper.type.Ruler;
import embrack.paper.type.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Lays the blocks of parts into columns and these onto pages: no line is cut in two, no heading stands alone at the
 * foot of a column, small blocks stay whole. What is laid is measured in the fonts that are printed; to be safe, a
 * column is taken to be a little shorter than it is. A part begins on a page of its own, or under the part before it
 * where all of it fits there.
 */
final class Paging {

    /** Lines of measured text may turn out a little longer. */
    private static final double SAFE = 0.985;

    /** A block that takes less than this part of a column is not cut. */
    private static final double WHOLE = 0.16;

    private static final String CONTINUED = "continued";

    /** The rule under a row of a table. */
    private static final double RULE = 0.45;

    private static final double STEP = 4;

    /** What rounding may take of the width of a cell, points. */
    private static final double LOST = 0.6;

    /** A part begins under another one where so much of the page is left. */
    private static final double WORTH_IT = 0.22;

    private final Part part;
    private final Setting setting;

    private Paging(Part part, Setting setting) {
        this.part = part;
        this.setting = setting;
    }

    /** The pages of a folder, in order. */
    static List<PrintedPage> of(List<Part> parts, Paper paper) {
        List<PrintedPage> pages = new ArrayList<>();
        double left = 0;
        for (Part part : parts) {
            Paging paging = new Paging(part, Setting.of(part.form(), paper));
            boolean isUnder = part.form().sharesPages() && left > paging.most() * WORTH_IT;
            List<Band> bands = paging.bands(isUnder ? left : paging.most());
            if (isUnder) {
                pages.set(pages.size() - 1, pages.getLast().with(bands.getFirst()));
            }
            bands.stream().skip(isUnder ? 1 : 0).forEach(band -> pages.add(new PrintedPage(List.of(band))));
            double room = isUnder && bands.size() == 1 ? left - paging.gap() : paging.most();
            left = part.form().sharesPages() ? room - bands.getLast().high() : 0;
        }
        return pages;
    }

    private double most() {
        return setting.depth() * SAFE;
    }

    /** What a band under another one takes beside its columns. */
    private double gap() {
        return setting.head() + setting.above();
    }

    private List<Block> blocks() {
        return part.blocks().stream().filter(block -> !block.isEmpty()).toList();
    }

    /**
     * A band for each page.
     *
     * @param first how much room the first page has for it, points; less than a whole page under another part
     */
    private List<Band> bands(double first) {
        if (part.form().isOneBlockAPage()) {
            return numbered(blocks().stream()
                    .map(block -> new Laid(List.of(List.of(block)), most()))
                    .toList());
        }
        List<Laid> pages = new ArrayList<>();
        List<Block> left = blocks();
        double room = first < most() ? first - gap() : most();
        while (true) {
            Optional<Laid> all = balanced(left, room);
            if (all.isPresent()) {
                pages.add(all.get());
                return numbered(pages);
            }
            Filling page = new Filling(room, part.form().columns());
            pages.add(new Laid(page.of(left), room));
            left = page.rest();
            room = most();
        }
    }

    private List<Band> numbered(List<Laid> pages) {
        return IntStream.range(0, pages.size())
                .mapToObj(i -> new Band(
                        part,
                        i + 1,
                        pages.size(),
                        pages.get(i).columns(),
                        pages.get(i).high()))
                .toList();
    }

    /** Columns beside each other, and how high the highest may be. */
    private record Laid(List<List<Block>> columns, double high) {}

    /** The blocks in columns of about one height; empty where they are higher than the room. */
    private Optional<Laid> balanced(List<Block> blocks, double room) {
        int across = part.form().columns();
        double all = blocks.stream().mapToDouble(this::high).sum();
        for (double high = all / across; high < room + STEP; high += STEP) {
            double depth = Math.min(high, room);
            Filling page = new Filling(depth, across);
            List<List<Block>> columns = page.of(blocks);
            if (page.rest().isEmpty()) {
                return Optional.of(new Laid(columns, depth));
            }
        }
        return Optional.empty();
    }

    private double high(Block block) {
        return head(block) + pieces(block.body()).stream().mapToDouble(d -> d).sum();
    }

    /** Fills one column after the other, as many as there are; what has no room in them is the rest. */
    private final class Filling {
        private final double depth;
        private final int most;
        private final List<List<Block>> columns = new ArrayList<>();
        private final List<Block> rest = new ArrayList<>();
        private List<Block> column = new ArrayList<>();
        private double used;

        Filling(double depth, int most) {
            this.depth = depth;
            this.most = most;
        }

        List<List<Block>> of(List<Block> blocks) {
            blocks.forEach(this::lay);
            if (!column.isEmpty() || columns.isEmpty()) {
                turn();
            }
            return columns;
        }

        List<Block> rest() {
            return rest;
        }

        private void turn() {
            columns.add(List.copyOf(column));
            column = new ArrayList<>();
            used = 0;
        }

        /** Lays a block where the last one ended. */
        private void lay(Block block) {
            double all = high(block);
            if (used > 0 && used + all > depth && all < most() * WHOLE) {
                turn();
            }
            Block left = block;
            while (columns.size() < most && !left.isEmpty()) {
                int fit = fitting(left);
                if (fit == left.body().size()) {
                    column.add(left);
                    used += high(left);
                    return;
                }
                if (fit > 1 || fit == 1 && used == 0) {
                    column.add(left.withBody(left.body().pieces(0, fit)));
                    left = new Block(
                            left.heading(),
                            left.heading().isEmpty() ? "" : CONTINUED,
                            left.body().pieces(fit, left.body().size()));
                }
                turn();
            }
            if (!left.isEmpty()) {
                rest.add(left);
            }
        }

        /** How many pieces of a block go into what is left of the column; one at least into an empty one. */
        private int fitting(Block block) {
            List<Double> pieces = pieces(block.body());
            double high = used + head(block);
            int fit = 0;
            while (fit < pieces.size() && high + pieces.get(fit) <= depth) {
                high += pieces.get(fit++);
            }
            return fit == 0 && used == 0 ? 1 : fit;
        }
    }

    private double head(Block block) {
        double high = 0;
        if (!block.heading().isEmpty()) {
            String words = block.heading() + (block.aside().isEmpty() ? "" : "  " + block.aside());
            high += setting.above()
                    + setting.leading() * Ruler.BOLD.lines(words, setting.heading(), setting.column())
                    + setting.between();
        }
        if (block.body() instanceof Body.Table table && table.isHeaded()) {
            int lines = table.columns().stream()
                    .mapToInt(column -> Ruler.PLAIN.lines(column.title(), setting.size(), wide(table, column)))
                    .max()
                    .orElse(1);
            high += lines * setting.leading() + setting.between() + 2 * RULE;
        }
        return high;
    }

    private List<Double> pieces(Body body) {
        return switch (body) {
            case Body.Lines lines -> lines.lines().stream().map(this::high).toList();
            case Body.Table table ->
                table.rows().stream().map(row -> high(table, row)).toList();
            case Body.Cautions cautions ->
                cautions.words().stream()
                        .map(words -> text(words, setting.column() - 8) + setting.size())
                        .toList();
            case Body.Ticks ticks ->
                List.of(text(ticks.words(), setting.column())
                        + setting.between()
                        + Math.ceilDiv(ticks.marks().size(), setting.ticksInARow())
                                * (setting.leading() + setting.between()));
            case Body.Pasted pasted -> List.of(pasted.lines() * setting.leading());
            case Body.Drawing drawing -> List.of(drawing.height() * Setting.MM);
            case Body.Switches switches -> List.of(most());
            case Body.Labels labels ->
                labels.labels().stream().map(label -> 0.0).toList();
        };
    }

    private double high(Line line) {
        double room = setting.column() - (line.tick() == Line.Tick.NONE ? 0 : setting.box());
        return text(line.words(), room) + (line.was().isEmpty() ? 0 : text(line.was(), room)) + setting.between();
    }

    private double high(Body.Table table, Row row) {
        int lines = IntStream.range(0, row.cells().size())
                .map(i -> {
                    boolean isLast = i == row.cells().size() - 1;
                    double swatches = isLast ? row.colours().size() * setting.size() : 0;
                    double wide = wide(table, table.columns().get(i)) - swatches;
                    Ruler ruler = row.isStrong() ? Ruler.BOLD : Ruler.PLAIN;
                    return table.columns().get(i).isNumber()
                            ? 1
                            : ruler.lines(row.cells().get(i), setting.size(), wide);
                })
                .max()
                .orElse(1);
        return Math.max(1, lines) * setting.leading() + setting.between() + RULE;
    }

    private double wide(Body.Table table, Column column) {
        return setting.column() * table.width() / 100 * column.share() / table.shares() - setting.cellGap() - LOST;
    }

    private double text(String words, double room) {
        return Ruler.PLAIN.lines(words, setting.size(), room) * setting.leading();
    }
}
