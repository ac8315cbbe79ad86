package embrack.core.chart;

import embrack.core.text.Problem;
import embrack.core.text.Problem.Level;
import java.util.List;
import java.util.Optional;

/**
 * What could be made of the text of a chart. Lines that cannot be read are passed over, so that the rows of the others
 * can be shown while somebody types.
 *
 * @param rows by line, expanded
 * @param beside what is said beside them
 * @param chart the chart; empty when any line cannot be read
 * @param problems in the order of the text
 */
public record ChartReading(
        String text,
        Conventions conventions,
        List<LinedRow> rows,
        List<Learnable> learnables,
        Beside beside,
        Optional<Chart> chart,
        List<Problem> problems) {

    /** The longest text that is looked into, in characters; 2000 rows with a line each are shorter. */
    public static final int MAX_LENGTH = 200_000;

    /** The most rows that a chart expands to. */
    public static final int MAX_ROWS = 4_000;

    public ChartReading {
        rows = List.copyOf(rows);
        learnables = List.copyOf(learnables);
        problems = problems.stream().sorted().toList();
    }

    /** A row and the line it stands in, counted from 1. */
    public record LinedRow(int line, ChartRow row) {}

    /** Reads a text. Cost: about linear in the rows it expands to. */
    public static ChartReading of(String text) {
        return new ChartParser(tidy(text)).read();
    }

    /** What keeps the chart from being used. */
    public List<Problem> errors() {
        return problems.stream()
                .filter(problem -> problem.level() == Level.ERROR)
                .toList();
    }

    /** Line ends as one character, no blanks at the ends of lines, no empty lines at the end. */
    static String tidy(String text) {
        String[] lines = text.split("\\R", -1);
        var tidied = new StringBuilder();
        for (String line : lines) {
            tidied.append(line.replace('\t', ' ').stripTrailing()).append('\n');
        }
        return tidied.toString().stripTrailing();
    }
}
