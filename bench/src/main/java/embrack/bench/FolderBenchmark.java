package embrack.bench;

import embrack.core.check.Report;
import embrack.core.plan.Plan;
import embrack.files.plan.PlanFile;
import embrack.paper.page.Bundle;
import embrack.paper.page.Part;
import embrack.paper.part.Binder;
import embrack.paper.part.Contents;
import embrack.paper.print.FolderPdf;
import embrack.paper.print.Ground;
import embrack.paper.type.Paper;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
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
 * The whole folder of the demo as a PDF, every player's pages in it, from a report on; 2 s are allowed. The baseline is
 * to check and prove the plan, which every edit does.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 5)
@Measurement(iterations = 4, time = 5)
@Fork(1)
public class FolderBenchmark {

    private static final Path DEMO = Path.of("docs/examples/quay-rig.json");

    private final Plan plan = demo();
    private final Report report = Report.of(plan);
    private final FolderPdf pdf = new FolderPdf();

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
    public byte[] folder() {
        Binder binder = new Binder(Contents.of(report, Paper.A4));
        List<Part> parts = binder.covered(binder.all(), Map.of(), "");
        return pdf.of(new Bundle("Quay rig", 57, "27 Nov", "", parts), Paper.A4, Ground.LIGHT);
    }
}
