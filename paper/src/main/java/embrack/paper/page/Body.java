package embrack.paper.page;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** What stands under a heading: some pieces, none of which is cut in two by the end of a page. */
public sealed interface Body {

    /** What a column of boxes to tick takes of the width, percent. */
    double TICKS = 4;

    /** What it is, in a word that templates choose by: {@code table}. */
    default String sort() {
        return getClass().getSimpleName().toLowerCase(Locale.ROOT);
    }

    /** How many pieces there are. */
    int size();

    /** Some of the pieces; {@code to} is exclusive. */
    Body pieces(int from, int to);

    /** All that is said, a text each piece, which tells whether it has changed. */
    List<String> texts();

    /** Sentences, one below the other. */
    record Lines(List<Line> lines) implements Body {
        public Lines {
            lines = List.copyOf(lines);
        }

        @Override
        public int size() {
            return lines.size();
        }

        @Override
        public Body pieces(int from, int to) {
            return new Lines(lines.subList(from, to));
        }

        @Override
        public List<String> texts() {
            return lines.stream().map(Line::words).toList();
        }
    }

    /** A text as some program takes it. */
    record Pasted(String text) implements Body {
        @Override
        public int size() {
            return 1;
        }

        @Override
        public Body pieces(int from, int to) {
            return this;
        }

        @Override
        public List<String> texts() {
            return List.of(text);
        }

        /** How many lines it has. */
        public int lines() {
            return (int) text.lines().count();
        }
    }

    /** Rows under the headings of columns. */
    record Table(List<Column> columns, List<Row> rows) implements Body {
        public Table {
            columns = List.copyOf(columns);
            rows = List.copyOf(rows);
            for (Row row : rows) {
                if (row.cells().size() != columns.size()) {
                    throw new IllegalArgumentException("A row has %d cells under %d columns: %s"
                            .formatted(row.cells().size(), columns.size(), row));
                }
            }
        }

        @Override
        public int size() {
            return rows.size();
        }

        @Override
        public Body pieces(int from, int to) {
            return new Table(columns, rows.subList(from, to));
        }

        @Override
        public List<String> texts() {
            return rows.stream().map(Row::text).toList();
        }

        /** Whether any of its rows is to be ticked. */
        public boolean isTicked() {
            return rows.stream().anyMatch(row -> row.tick() != Line.Tick.NONE);
        }

        /** Whether its columns have headings. */
        public boolean isHeaded() {
            return columns.stream().anyMatch(column -> !column.title().isEmpty());
        }

        /** How much of the width is left beside the boxes to tick, percent. */
        public double width() {
            return isTicked() ? 100 - TICKS : 100;
        }

        /** How much of the width all columns share. */
        public int shares() {
            return columns.stream().mapToInt(Column::share).sum();
        }
    }

    /**
     * Many short things that are ticked alike, beside each other: numbers of memories.
     *
     * @param words what is done with each
     */
    record Ticks(String words, List<Line> marks) implements Body {
        public Ticks {
            marks = List.copyOf(marks);
        }

        @Override
        public int size() {
            return 1;
        }

        @Override
        public Body pieces(int from, int to) {
            return this;
        }

        @Override
        public List<String> texts() {
            return List.of("%s %s"
                    .formatted(
                            words,
                            String.join(" ", marks.stream().map(Line::words).toList())));
        }
    }

    /** What can hurt. */
    record Cautions(List<String> words) implements Body {
        public Cautions {
            words = List.copyOf(words);
        }

        @Override
        public int size() {
            return words.size();
        }

        @Override
        public Body pieces(int from, int to) {
            return new Cautions(words.subList(from, to));
        }

        @Override
        public List<String> texts() {
            return words;
        }
    }

    /**
     * Switches as they lie, rows from the back to the player's feet.
     *
     * @param capMillimetres how high the capital letters of the short names are
     */
    record Switches(List<CardRow> rows, double capMillimetres) implements Body {
        public Switches {
            rows = List.copyOf(rows);
        }

        /** How many cells lie beside each other where most do; all are as wide. */
        public int across() {
            return rows.stream().mapToInt(row -> row.cells().size()).max().orElse(1);
        }

        @Override
        public int size() {
            return 1;
        }

        @Override
        public Body pieces(int from, int to) {
            return this;
        }

        @Override
        public List<String> texts() {
            return List.of(rows.stream()
                    .flatMap(row -> Stream.concat(
                            Stream.of(row.bank()), row.cells().stream().map(CardCell::text)))
                    .reduce("", (a, b) -> a + "\n" + b));
        }
    }

    /**
     * A drawing; all lengths in millimetres.
     *
     * @param says what it shows, whatever is drawn where: it tells whether another drawing shows the same
     */
    record Drawing(double width, double height, List<Shape> shapes, String says, boolean isChanged) implements Body {

        /** A drawing of which nobody knows another one. */
        public Drawing(double width, double height, List<Shape> shapes, String says) {
            this(width, height, shapes, says, false);
        }

        public Drawing withChanged(boolean other) {
            return new Drawing(width, height, shapes, says, other);
        }

        public Drawing {
            shapes = List.copyOf(shapes);
        }

        @Override
        public int size() {
            return 1;
        }

        @Override
        public Body pieces(int from, int to) {
            return this;
        }

        @Override
        public List<String> texts() {
            return List.of(says);
        }
    }

    /**
     * Labels to cut out, as many as go onto one page.
     *
     * @param width of one, mm
     * @param height of one, mm
     */
    record Labels(List<Line> labels, int width, int height) implements Body {
        public Labels {
            labels = List.copyOf(labels);
        }

        @Override
        public int size() {
            return labels.size();
        }

        @Override
        public Body pieces(int from, int to) {
            return new Labels(labels.subList(from, to), width, height);
        }

        @Override
        public List<String> texts() {
            return labels.stream().map(Line::words).toList();
        }
    }
}
