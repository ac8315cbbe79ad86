package embrack.bench;

import embrack.core.check.Report;
import embrack.core.loss.Loss;
import embrack.core.loss.SinglePoints;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.way.Ways;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * What a change of the wiring has worked out: all ways, all findings with all proofs, all single points. The baseline
 * is the ways of one box of the same rig.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class WiringBenchmark {

    /** Devices of the rig. */
    @Param({"15", "30", "60", "120"})
    public int devices;

    private Plan plan = TourRig.of(15);

    @Setup
    public void prepare() {
        plan = TourRig.of(devices);
    }

    @Benchmark
    public int allWays() {
        Ways ways = new Ways(plan.rig());
        return plan.rig().devices().stream()
                .map(Device::id)
                .mapToInt(id -> ways.nearest(id).size())
                .sum();
    }

    @Benchmark
    public Report findings() {
        return Report.of(plan);
    }

    @Benchmark
    public List<Loss> singlePoints() {
        return SinglePoints.of(plan);
    }

    @Benchmark
    public int baselineWaysOfOneBox() {
        return new Ways(plan.rig())
                .nearest(plan.rig().devices().getFirst().id())
                .size();
    }
}
