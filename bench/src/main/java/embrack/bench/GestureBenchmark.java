package embrack.bench;

import embrack.core.chart.Action;
import embrack.core.chart.PartId;
import embrack.core.check.Report;
import embrack.core.edit.GearEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Prover;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.List;
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
 * Proving a rig of 60 devices with 10 boards of 30 switches in 4 banks, 1200 gestures of two steps. The baseline is a
 * quarter of it, one bank: four would be a cost that grows with the gestures alone. After one edit, only what it
 * touched is proven; the baseline of that is the whole report.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 5, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class GestureBenchmark {

    private final Plan large = SwitchRig.of(5, 4);
    private final Plan quarter = SwitchRig.of(5, 1);
    private final Plan doubled = SwitchRig.of(10, 2);
    private final Report report = Report.of(large);
    private final Plan edited = new SwitchEdit.AddStep(
                    new SwitchAt(new DeviceId("left-1"), 1, 1),
                    new Step(new DeviceId("mixer-1"), Action.parse("open:input-2")))
            .apply(large);
    private final Plan taped =
            new GearEdit.LabelPart(new DeviceId("mixer-1"), new PartId("input-2"), "Reed").apply(large);
    private final Plan tracks = SafeRig.of(43);
    private final Plan halfTheTracks = SafeRig.of(21);

    @Benchmark
    public List<?> proofs() {
        return new Prover(large).all();
    }

    @Benchmark
    public List<?> baselineProofsOfAQuarter() {
        return new Prover(quarter).all();
    }

    @Benchmark
    public List<?> proofsOfTwiceTheDevices() {
        return new Prover(doubled).all();
    }

    @Benchmark
    public Report afterOneEdit() {
        return Report.after(report, edited);
    }

    @Benchmark
    public Report afterTape() {
        return Report.after(report, taped);
    }

    @Benchmark
    public Report baselineWholeReport() {
        return Report.of(large);
    }

    /** One press that stops 43 tracks, from each of 2^43 states (8.8 times 10^12). */
    @Benchmark
    public List<?> makingSafe() {
        return new Prover(tracks).safety();
    }

    @Benchmark
    public List<?> baselineMakingSafeOfHalfTheTracks() {
        return new Prover(halfTheTracks).safety();
    }

    /** What a machine takes to multiply and add ten million times, each after the other. */
    @Benchmark
    public int calibration() {
        int sum = 0;
        for (int i = 0; i < 10_000_000; i++) {
            sum = sum * 31 + i;
        }
        return sum;
    }
}
