package embrack.core.switches;

import embrack.core.chart.Action;
import embrack.core.rig.DeviceId;

/** One thing that a press should do: an action on a device. */
public record Step(DeviceId device, Action action) {
}
