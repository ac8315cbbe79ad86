package embrack.core.offer;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Sketch;
import embrack.core.chart.PartId;
import embrack.core.edit.HandEdit;
import embrack.core.gear.ControlType;
import embrack.core.offer.Workers.Worker;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Moment;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Every switch, control, cue and hand that moves a part is found from the part. */
class WorkersTests {

    @Test
    void allThatWorkAPartAreFoundFromIt() {
        Plan plan = Sketch.of("Works")
                .box("Board", "ten-switch-treadle-board")
                .box("Mixer", "stage-mixer-12")
                .box("Computer", "computer")
                .app("Player", "linear-timeline-player", "computer")
                .song("Ebb", "tempo 120\nVerse: 4 bars\n")
                .cues("ebb", "2|1 = mixer level:input-1:20")
                .step("board 1: mixer toggle-mute:input-2")
                .then("board 1", Moment.HOLD, "mixer toggle-mute:input-1")
                .move("board", ControlType.TREADLE, "mixer", "input-1", 0, 100)
                .edit(new HandEdit.WorkByHand(new DeviceId("mixer"), "Input 2"))
                .plan();
        var workers = Workers.of(plan, new DeviceId("mixer"));
        assertThat(workers.keySet()).extracting(PartId::text).containsExactly("input-1", "input-2");
        assertThat(workers.get(new PartId("input-1")))
                .extracting(worker -> worker.getClass().getSimpleName())
                .isEqualTo(List.of("Pressed", "Moved", "Sent"));
        assertThat(workers.get(new PartId("input-2"))).hasSize(2).last().isEqualTo(new Worker.ByHand(false));
    }
}
