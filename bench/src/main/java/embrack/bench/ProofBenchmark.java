package embrack.bench;

import embrack.core.chart.Action;
import embrack.core.check.Report;
import embrack.core.edit.GearEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.PortId;
import embrack.core.gear.Purpose;
import embrack.core.gear.library.Library;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import embrack.core.world.Event;
import embrack.core.world.Outcome;
import embrack.core.world.World;
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
 * The whole report of a board with 16 switches of four steps each; the baseline is one simulated press of one of them.
 * A proof takes 6 presses a switch, so a ratio of about 96 would be the simulation alone.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class ProofBenchmark {

    private static final DeviceId BOARD = new DeviceId("board");
    private static final DeviceId MIXER = new DeviceId("mixer");

    private final Plan plan = plan();
    private final World start = World.poweredOn(plan.rig());
    private final Engine engine = new Engine(plan);

    @Benchmark
    public Report report() {
        return Report.of(plan);
    }

    @Benchmark
    public Outcome baselineOnePress() {
        return engine.settled(start, new Event.Press(new SwitchAt(BOARD, 1, 1)));
    }

    private static Plan plan() {
        Plan plan = Plan.empty(new TapeLabel("Bench"));
        plan = new GearEdit.AddDevice("Board", Library.FOUR_SWITCH_FLOOR_BOARD).apply(plan);
        plan = new GearEdit.AddDevice("Mixer", Library.RACK_MIXER).apply(plan);
        plan = new WiringEdit.Connect(new Socket(BOARD, new PortId("out")), new Socket(MIXER, new PortId("in")))
                .apply(plan);
        plan = new GearEdit.ChangeSetting(MIXER, Purpose.RECEIVE_CHANNEL.id(), "2").apply(plan);
        for (int i = 0; i < 64; i++) {
            SwitchAt at = new SwitchAt(BOARD, i / 16 + 1, i / 4 % 4 + 1);
            plan = new SwitchEdit.AddStep(at, new Step(MIXER, Action.parse("mute:input-" + (i % 16 + 1)))).apply(plan);
        }
        return plan;
    }
}
