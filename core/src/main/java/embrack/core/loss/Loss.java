package embrack.core.loss;

import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import java.util.List;

/**
 * What a failure takes away.
 *
 * @param switches that no longer do all that they should
 * @param dark devices that go dark with it, beside the one that fails
 * @param survived switches whose way it is in, and that still do it all, another way or by a stand-in
 */
public record Loss(Failure failure, List<SwitchAt> switches, List<DeviceId> dark, List<SwitchAt> survived) {

    public Loss {
        switches = List.copyOf(switches);
        dark = List.copyOf(dark);
        survived = List.copyOf(survived);
    }
}
