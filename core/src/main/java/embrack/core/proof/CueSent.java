package embrack.core.proof;

import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.show.Cue;
import embrack.core.switches.Step;
import java.util.List;

/**
 * What a player sends by itself, whenever it does: two cues that send the same are proven once.
 *
 * @param raw messages that are sent as they are
 * @param leavesOff what toggling steps are meant to leave: off, or on
 */
public record CueSent(DeviceId player, List<Step> steps, List<Message> raw, boolean leavesOff) {

    /** What a cue sends. */
    public static CueSent of(DeviceId player, Cue cue) {
        return new CueSent(player, cue.steps(), cue.raw(), cue.leavesOff());
    }

    /** The steps that the player does at itself, without a message. */
    public List<Step> byItself() {
        return steps.stream().filter(step -> step.device().equals(player)).toList();
    }
}
