package embrack.core.switches;

import embrack.core.chart.Action;
import embrack.core.rig.DeviceId;

/**
 * One thing that a switch should do: an action on a device.
 *
 * @param waitMillis how long to wait before it, behind what stands before it; 0 for at once
 */
public record Step(DeviceId device, Action action, int waitMillis) {

    /** The longest wait, in milliseconds: what takes longer belongs into a song. */
    public static final int MAX_WAIT_MILLIS = 10_000;

    public Step {
        if (waitMillis < 0 || waitMillis > MAX_WAIT_MILLIS) {
            throw new IllegalArgumentException("a wait is 0 to %d ms, was %d".formatted(MAX_WAIT_MILLIS, waitMillis));
        }
    }

    /** A step that does not wait. */
    public Step(DeviceId device, Action action) {
        this(device, action, 0);
    }

    public Step withWait(int millis) {
        return new Step(device, action, millis);
    }

    /** Whether another one does the same to the same part, by whatever amount. */
    public boolean isAboutTheSame(Step other) {
        return device.equals(other.device)
                && action.verb() == other.action.verb()
                && action.part().equals(other.action.part());
    }

    /** The same on another device. */
    public Step on(DeviceId other) {
        return new Step(other, action, waitMillis);
    }
}
