package embrack.core;

import embrack.core.chart.Action;
import embrack.core.chart.PartId;
import embrack.core.edit.Edit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Model;
import embrack.core.gear.PortId;
import embrack.core.gear.Purpose;
import embrack.core.gear.library.Library;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.List;

/** The plan that most tests begin with: a four-switch board mutes and opens strips of a rack mixer. */
public final class MuteBoard {

    public static final DeviceId BOARD = new DeviceId("voice-board");
    public static final DeviceId MIXER = new DeviceId("vocal-mixer");
    public static final DeviceId SECOND = new DeviceId("choir-mixer");
    public static final Socket OUT = new Socket(BOARD, new PortId("out"));
    public static final Socket IN = new Socket(MIXER, new PortId("in"));
    public static final Socket THRU = new Socket(MIXER, new PortId("thru"));
    public static final Socket SECOND_IN = new Socket(SECOND, new PortId("in"));

    private MuteBoard() {}

    /** The clean plan: nothing to find. */
    public static Plan plan() {
        return edited(
                Plan.empty(new TapeLabel("Mute board")),
                new GearEdit.AddDevice("Voice board", Library.FOUR_SWITCH_FLOOR_BOARD),
                new GearEdit.AddDevice("Vocal mixer", Library.RACK_MIXER),
                new WiringEdit.Connect(OUT, IN),
                receive(MIXER, 2),
                new GearEdit.LabelPart(MIXER, new PartId("input-1"), "Vocal mic"),
                new GearEdit.LabelPart(MIXER, new PartId("return-1"), "Vocal reverb return"),
                new GearEdit.LabelPart(MIXER, new PartId("return-2"), "Vocal delay return"),
                add(1, "open:return-1"),
                add(1, "open:return-2"),
                add(1, "open:input-1"),
                add(1, "open:main"),
                add(2, "mute:return-1"),
                add(2, "mute:return-2"),
                add(3, "mute:input-1"),
                add(4, "mute:main"));
    }

    /** The clean plan with edits on top. */
    public static Plan with(Edit... edits) {
        return edited(plan(), edits);
    }

    /** The clean plan with a second mixer behind the THRU of the first, on a channel. */
    public static Plan withSecondMixer(int channel, Edit... edits) {
        return edited(
                with(
                        new GearEdit.AddDevice("Choir mixer", Library.RACK_MIXER),
                        new WiringEdit.Connect(THRU, SECOND_IN),
                        receive(SECOND, channel)),
                edits);
    }

    /** The clean plan with another description of its mixer. */
    public static Plan withMixer(Model model) {
        return plan().withRig(plan().rig().withModelReplaced(model));
    }

    public static Plan edited(Plan plan, Edit... edits) {
        return List.of(edits).stream().reduce(plan, (p, edit) -> edit.apply(p), (a, b) -> b);
    }

    public static SwitchAt at(int number) {
        return new SwitchAt(BOARD, 1, number);
    }

    public static Step step(DeviceId device, String action) {
        return new Step(device, Action.parse(action));
    }

    public static Edit add(int number, String action) {
        return new SwitchEdit.AddStep(at(number), step(MIXER, action));
    }

    public static Edit receive(DeviceId device, int channel) {
        return new GearEdit.ChangeSetting(device, Purpose.RECEIVE_CHANNEL.id(), String.valueOf(channel));
    }
}
