package embrack.core.check.remedy;

import embrack.core.check.rule.Remedies;
import embrack.core.check.rule.Remedy;
import embrack.core.compile.CompiledStep;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Purpose;
import embrack.core.gear.Setting;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.way.Share;
import embrack.core.way.Timing;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** What of a way takes longest, and what would make it shorter. */
public final class Shorter {

    private Shorter() {}

    /** The largest share of the time that the slowest of some steps takes on its way; empty when nothing takes any. */
    public static Optional<Share> largest(Timing timing, List<CompiledStep> steps) {
        return IntStream.range(0, steps.size())
                .filter(i -> steps.get(i).way().isPresent() && steps.get(i).isSent())
                .mapToObj(i -> timing.shares(
                        steps.get(i).way().orElseThrow(),
                        steps.get(i).messages().getLast().length(),
                        steps.subList(0, i).stream()
                                .flatMap(step -> step.messages().stream())
                                .mapToInt(message -> message.length())
                                .sum()))
                .max(Comparator.comparing(shares -> Timing.total(shares).worst()))
                .flatMap(Timing::biggest);
    }

    /** The setting that decides about a share, set to something shorter, the longest of these first. */
    public static Remedies than(Plan plan, Share share) {
        return () -> share.device().stream().flatMap(device -> settings(plan, device));
    }

    private static Stream<Remedy> settings(Plan plan, DeviceId device) {
        return Stream.of(Purpose.BUFFER, Purpose.CONNECTION_INTERVAL)
                .flatMap(purpose -> plan.rig().model(device).setting(purpose).stream()
                        .flatMap(setting -> smaller(plan, device, purpose, setting)));
    }

    private static Stream<Remedy> smaller(Plan plan, DeviceId device, Purpose purpose, Setting setting) {
        int now = plan.rig().setting(device, purpose).orElseThrow();
        return IntStream.iterate(now - 1, value -> value >= setting.min(), value -> value - 1)
                .mapToObj(value -> new Remedy(
                                "set-shorter", new GearEdit.ChangeSetting(device, setting.id(), setting.shown(value)))
                        .with("box", device)
                        .with("setting", setting.name())
                        .with("value", setting.shown(value)));
    }
}
