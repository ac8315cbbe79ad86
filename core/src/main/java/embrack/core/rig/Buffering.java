package embrack.core.rig;

import embrack.core.gear.Purpose;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** How long an app gathers sound before it hands it on: samples of a buffer by samples a second. */
public final class Buffering {

    private static final Pattern NUMBER = Pattern.compile("(\\d+(?:\\.\\d+)?).*");

    private Buffering() {}

    /**
     * A buffer's time, rounded to the microsecond.
     *
     * @param samples in the buffer, 1 or more
     * @param hertz samples a second
     */
    public static long micros(int samples, int hertz) {
        return Math.round(samples * 1_000_000.0 / hertz);
    }

    /** The buffer of an app in microseconds; empty for a box, and for an app that says nothing of one. */
    public static Optional<Long> micros(Rig rig, DeviceId device) {
        Optional<Double> samples = shown(rig, device, Purpose.BUFFER);
        return samples.flatMap(s -> hertz(rig, device).map(hertz -> micros(s.intValue(), hertz)));
    }

    /** Samples a second of an app or a box that says them. */
    public static Optional<Integer> hertz(Rig rig, DeviceId device) {
        return shown(rig, device, Purpose.SAMPLE_RATE).map(kilohertz -> (int) Math.round(kilohertz * 1000));
    }

    /** The number that a setting shows, in the unit of its purpose. */
    public static Optional<Double> shown(Rig rig, DeviceId device, Purpose purpose) {
        return rig.model(device)
                .setting(purpose)
                .flatMap(setting -> rig.setting(device, setting.id()).map(setting::shown))
                .map(NUMBER::matcher)
                .filter(Matcher::matches)
                .map(m -> Double.valueOf(m.group(1)));
    }
}
