package embrack.bench;

import embrack.core.chart.ChartReading;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * A chart of 2000 rows read, expanded and checked for overlaps and gaps, once as one line a row and once as runs; the
 * baseline splits the longer text into its words. Figures are milliseconds; 20 is the limit.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 6, time = 1)
@Fork(1)
public class ChartBenchmark {

    private static final int ROWS = 2_000;

    private final String oneByOne = IntStream.range(0, ROWS)
            .mapToObj(i -> "go Item %d: cc %d = %d on channel %d".formatted(i + 1, i % 100, i / 100, 1 + i % 16))
            .collect(Collectors.joining("\n"));
    private final String runs = IntStream.range(0, ROWS / 125)
            .mapToObj(
                    i -> "recall Scene %d..%d: note 0..124 on channel %d".formatted(i * 125 + 1, i * 125 + 125, i + 1))
            .collect(Collectors.joining("\n"));

    @Benchmark
    public ChartReading linesOneByOne() {
        return rows(ChartReading.of(oneByOne));
    }

    @Benchmark
    public ChartReading runsOfRows() {
        return rows(ChartReading.of(runs));
    }

    @Benchmark
    public int baselineWordsOnly() {
        return oneByOne.lines().mapToInt(line -> line.split("\\s+").length).sum();
    }

    private static ChartReading rows(ChartReading reading) {
        if (reading.rows().size() != ROWS || reading.chart().isEmpty()) {
            throw new IllegalStateException(
                    "%d rows, %s".formatted(reading.rows().size(), reading.problems()));
        }
        return reading;
    }
}
