package embrack.bench;

import embrack.core.edit.Edit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.ModelId;
import embrack.core.gear.PortId;
import embrack.core.gear.library.Library;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
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
 * One message into a ring of 40 boxes, each second of which doubles what passes it: without a bound it would never end.
 * The baseline is a ring of 20; twice the boxes should cost twice as much.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class RingBenchmark {

    private static final DeviceId BOARD = new DeviceId("board");
    private static final Event NOTE = new Event.Send(BOARD, new Message.NoteOn(new Channel(1), 1, 1));

    private final Plan large = ring(20);
    private final Plan half = ring(10);
    private final Engine largeEngine = new Engine(large);
    private final Engine halfEngine = new Engine(half);
    private final World largeWorld = World.poweredOn(large.rig());
    private final World halfWorld = World.poweredOn(half.rig());

    @Benchmark
    public Outcome ringOf40() {
        return largeEngine.settled(largeWorld, NOTE);
    }

    @Benchmark
    public Outcome baselineRingOf20() {
        return halfEngine.settled(halfWorld, NOTE);
    }

    private static Plan ring(int pairs) {
        Plan plan = with(Plan.empty(new TapeLabel("Ring")), add("Board", "four-switch-desk-board"));
        plan = with(plan, add("First", "merger-2-to-1"));
        plan = with(plan, link("board", "out", "first", "in-1"));
        String before = "first";
        for (int i = 1; i <= pairs; i++) {
            plan = with(plan, add("Thru " + i, "thru-box-1-to-4"));
            plan = with(plan, add("Join " + i, "merger-2-to-1"));
            plan = with(plan, link(before, "out", "thru-" + i, "in"));
            plan = with(plan, link("thru-" + i, "thru-1", "join-" + i, "in-1"));
            plan = with(plan, link("thru-" + i, "thru-2", "join-" + i, "in-2"));
            before = "join-" + i;
        }
        return with(plan, link(before, "out", "first", "in-2"));
    }

    private static Plan with(Plan plan, Edit edit) {
        return edit.apply(plan);
    }

    private static Edit add(String name, String model) {
        return new GearEdit.AddDevice(name, Library.find(new ModelId(model)).orElseThrow());
    }

    private static Edit link(String from, String out, String to, String in) {
        return new WiringEdit.Connect(
                new Socket(new DeviceId(from), new PortId(out)), new Socket(new DeviceId(to), new PortId(in)));
    }
}
