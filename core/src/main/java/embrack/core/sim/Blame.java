package embrack.core.sim;

import embrack.core.proof.Broken;
import embrack.core.rig.DeviceId;
import embrack.core.show.CueAt;
import embrack.core.switches.ControlAt;
import embrack.core.world.Place;
import java.util.Optional;

/**
 * What is to blame for a place that a switch, cue or control leaves otherwise than meant.
 *
 * @param sender the board or player
 * @param proof of the switch, if it is one
 * @param cue the cue, if it is one
 * @param control the treadle, fader or knob, if it is one
 * @param isMeant whether a step is about the place; else it should not have moved
 * @param story the shortest in which it fails; of switches only
 */
public record Blame(
        DeviceId sender,
        Optional<Proof> proof,
        Optional<CueAt> cue,
        Optional<ControlAt> control,
        Place place,
        boolean isMeant,
        Cause cause,
        Optional<Broken> story) {

    /** The box that it shows at. */
    public DeviceId device() {
        return place.device();
    }
}
