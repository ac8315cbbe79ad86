package embrack.core.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import embrack.core.Sketch;
import embrack.core.chart.Aspect;
import embrack.core.chart.PartId;
import embrack.core.check.Report;
import embrack.core.check.rule.Severity;
import embrack.core.edit.ControlEdit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.NumberEdit;
import embrack.core.effort.Price;
import embrack.core.gear.ControlType;
import embrack.core.gear.ModelId;
import embrack.core.gear.library.Library;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Practice;
import embrack.core.switches.Target;
import embrack.core.world.Engine;
import embrack.core.world.Event;
import embrack.core.world.Place;
import embrack.core.world.World;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Eight knobs that do another thing in each of ten patches. */
class StraightLinksTests {

    private static Plan linked(int patches, int shift) {
        Sketch sketch = Sketch.of("Knobs")
                .box("Keys", "pads-and-keys")
                .box("Computer", "computer")
                .app("Sounds", "instrument-host-straight", "computer")
                .link("keys.usb > computer.usb-1", "computer.usb-1 > sounds.in");
        for (int pad = 1; pad <= Math.min(8, patches); pad++) {
            sketch.step("keys pad%d: sounds select:patch-%1$d".formatted(pad));
        }
        for (int knob = 1; knob <= 8; knob++) {
            for (int patch = 1; patch <= patches; patch++) {
                sketch.edit(new ControlEdit.AddTarget(
                        new ControlAt(new DeviceId("keys"), ControlType.KNOB, 1, knob),
                        new Target(
                                new DeviceId("sounds"),
                                new PartId("patch-%d-knob-%d".formatted(patch, (knob - 1 + shift * patch) % 8 + 1)))));
            }
        }
        return sketch.plan();
    }

    @Test
    void aKnobMovesWhatItIsLinkedToInThePatchThatIsChosenAndNothingElse() {
        Plan plan = linked(10, 3);
        Report report = Report.of(plan);
        assertThat(report.controlAssignments())
                .extracting(
                        ControlProof::verdict,
                        proof -> proof.compiled().controlAssignment().targets().size())
                .hasSize(8)
                .containsOnly(tuple(Verdict.EXACT, 10));
        assertThat(report.findings())
                .filteredOn(finding -> finding.severity() != Severity.NOTE)
                .extracting(finding -> finding.rule().code())
                .as("the pads play what listens to all channels")
                .containsExactly("wiring.hears-neighbour");
        assertThat(plan.rig().device(new DeviceId("sounds")).learned())
                .as("eighty links, eight numbers")
                .hasSize(80)
                .satisfies(learned -> assertThat(
                                learned.values().stream().distinct().toList())
                        .hasSize(8));
    }

    /** Arithmetic: 80 links at 20 s are 26 min 40 s, 8 are 2 min 40 s; the rate is common practice, no source. */
    @Test
    void changingToALayerAndBackIsOneActWithBothPrices() {
        Plan plan = linked(10, 0);
        assertThat(plan.answer(Practice.LINKS)).isEqualTo(1);
        assertThat(Price.of(plan, Practice.LINKS))
                .extracting(Price::links, Price::risk)
                .containsExactly(
                        tuple(8, "If a controller dies: 2 min 40 s to learn anew."),
                        tuple(80, "If a controller dies: 26 min 40 s to learn anew."));
        Plan layer = new NumberEdit.Choose(Practice.LINKS, 0).apply(plan);
        assertThat(layer.answer(Practice.LINKS)).isZero();
        assertThat(layer.switches().controlAssignments())
                .flatExtracting(ControlAssignment::targets)
                .extracting(target -> target.part().text())
                .containsExactly(
                        "control-1",
                        "control-2",
                        "control-3",
                        "control-4",
                        "control-5",
                        "control-6",
                        "control-7",
                        "control-8");
        Plan straight = new NumberEdit.Choose(Practice.LINKS, 1).apply(layer);
        assertThat(straight.switches()).as("and straight again").isEqualTo(plan.switches());
    }

    /** A level of a mixer has nothing to do with what another mixer has in its place. */
    @Test
    void otherHardwareOfAnotherKindKeepsWhatItLacksAsALoss() {
        Plan plan = Sketch.of("Mixers")
                .box("Board", "ten-switch-treadle-board")
                .box("Mixer", "stage-mixer-12")
                .move("board", ControlType.TREADLE, "mixer", "input-3", 0, 100)
                .edit(new GearEdit.SwapHardware(
                        new DeviceId("mixer"),
                        Library.find(new ModelId("rack-mixer-24")).orElseThrow()))
                .plan();
        assertThat(plan.switches().controlAssignments())
                .flatExtracting(ControlAssignment::targets)
                .extracting(target -> target.part().text())
                .containsExactly("input-3");
    }

    @Test
    void aPatchThatIsNotChosenIsLeftAlone() {
        Plan plan = linked(2, 1);
        assertThat(Report.of(plan).controlAssignments().getFirst().trials().size())
                .as("from both ends, and in each of two patches")
                .isEqualTo(6);
        var engine = new Engine(plan);
        var world = World.poweredOn(plan.rig());
        var knob = plan.switches().controlAssignments().getFirst();
        var sent = engine.step(world, new Event.Move(knob.at(), 100)).after();
        var moved = engine.step(sent, new Event.Wait(100_000)).after();
        assertThat(List.of("patch-1-knob-2", "patch-2-knob-3").stream()
                        .map(part -> moved.value(new Place(new DeviceId("sounds"), new PartId(part), Aspect.LEVEL)))
                        .toList())
                .containsExactly(100, 0);
    }
}
