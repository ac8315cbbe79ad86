package embrack.bench;

import embrack.core.check.Report;
import embrack.core.plan.Plan;
import embrack.core.run.BadNights;
import embrack.core.run.Night;
import embrack.core.run.Rates;
import embrack.core.run.Run;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
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
 * The night of the demo, from doors to walk-out, as fast as it goes; 1 s is allowed, and 180 ms for a bad night of it.
 * The baseline is to check and prove the plan, which every edit does.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 5)
@Measurement(iterations = 4, time = 5)
@Fork(1)
public class RunBenchmark {

    private static final Path DEMO = Path.of("docs/examples/quay-rig.json");
    private static final long TWO_HOURS_MICROS = 7_200_000_000L;

    private final Plan plan = demo();
    private final Night night = Night.of(Report.of(plan));
    private final BadNights bad = new BadNights(night, Rates.usual());
    private long seed;

    private static Plan demo() {
        try {
            return PlanFile.read(Files.readString(DEMO));
        } catch (IOException e) {
            throw new UncheckedIOException("The benchmark is run where %s lies.".formatted(DEMO), e);
        }
    }

    /** The baseline. */
    @Benchmark
    public Report check() {
        return Report.of(plan);
    }

    @Benchmark
    public Run night() {
        return Run.of(night, true).until(TWO_HOURS_MICROS);
    }

    @Benchmark
    public BadNights.Bill badNight() {
        return bad.of(seed++);
    }
}
