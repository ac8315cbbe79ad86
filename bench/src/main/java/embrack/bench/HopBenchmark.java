package embrack.bench;

import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import embrack.core.world.Event;
import embrack.core.world.Happened;
import embrack.core.world.Outcome;
import embrack.core.world.World;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * How many pieces of a way messages take in a second: each of two messages of a press is heard by eleven boxes. The
 * baseline is copying an array of the same number of elements, so the ratio tells how far from the bare machine it is.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.SECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class HopBenchmark {

    /** Two messages, each over the ten links behind the board, and into the app. */
    private static final int HOPS = 20;

    private final Plan plan = SwitchRig.of(5, 4);
    private final Engine engine = new Engine(plan);
    private final World start = World.poweredOn(plan.rig());
    private final SwitchAt at = new SwitchAt(new DeviceId("left-1"), 1, 1);
    private final int[] numbers = new int[HOPS];

    /** Makes sure that a press takes as many hops as are counted. */
    public HopBenchmark() {
        long hops = engine.settled(start, new Event.Press(at)).trace().stream()
                .filter(event -> event instanceof Happened.Arrived)
                .count();
        if (hops != HOPS) {
            throw new IllegalStateException("a press takes %d hops, not %d".formatted(hops, HOPS));
        }
    }

    @Benchmark
    @OperationsPerInvocation(HOPS)
    public Outcome hops() {
        return engine.settled(start, new Event.Press(at));
    }

    @Benchmark
    @OperationsPerInvocation(HOPS)
    public int[] baselineCopies() {
        return numbers.clone();
    }
}
