package embrack.bench;

import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import embrack.core.world.Event;
import embrack.core.world.Happened;
import embrack.core.world.Journey;
import embrack.core.world.Outcome;
import embrack.core.world.Places;
import embrack.core.world.World;
import java.util.List;
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
    private final CompiledSwitch compiled =
            new Compiler(plan).compile(plan.switches().at(at));
    private final Places places = new Places(plan.rig());
    private final List<Places.Move> moves =
            engine.moves(places, engine.journey(compiled, Moment.PRESS, 0)).orElseThrow();
    private final World free = World.poweredOn(places);
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

    /** The ways alone, without what boxes make of it. */
    @Benchmark
    @OperationsPerInvocation(HOPS)
    public Journey pieces() {
        return engine.journey(compiled, Moment.PRESS, 0);
    }

    /** A world of 60 devices, copied and changed: once an invocation. */
    @Benchmark
    public World worlds() {
        return free.after(moves);
    }

    @Benchmark
    @OperationsPerInvocation(HOPS)
    public int[] baselineCopies() {
        return numbers.clone();
    }
}
