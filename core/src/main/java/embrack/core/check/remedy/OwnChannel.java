package embrack.core.check.remedy;

import embrack.core.check.rule.Remedies;
import embrack.core.check.rule.Remedy;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Purpose;
import embrack.core.gear.Setting;
import embrack.core.midi.Channel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import java.util.Collection;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Other channels for boxes. */
public final class OwnChannel {

    private static final int MOST_NAMED = 2;

    private OwnChannel() {}

    /** For each of some receivers a channel that no box is set to, the lowest first, from 2 upwards. */
    public static Remedies of(Plan plan, Collection<DeviceId> receivers) {
        return () -> receivers.stream()
                .distinct()
                .flatMap(receiver -> free(plan).flatMap(channel -> receive(plan, receiver, channel).stream()));
    }

    /** A receiver set to a channel; empty when it has no such setting. */
    public static Optional<Remedy> receive(Plan plan, DeviceId receiver, int channel) {
        return set(plan, receiver, Purpose.RECEIVE_CHANNEL, channel);
    }

    /** A sender set to a channel; empty when it has no such setting. */
    public static Optional<Remedy> send(Plan plan, DeviceId sender, int channel) {
        return set(plan, sender, Purpose.SEND_CHANNEL, channel);
    }

    private static Optional<Remedy> set(Plan plan, DeviceId device, Purpose purpose, int channel) {
        return plan.rig()
                .model(device)
                .setting(purpose)
                .map(Setting::id)
                .map(setting -> new Remedy(
                                "set-channel", new GearEdit.ChangeSetting(device, setting, String.valueOf(channel)))
                        .with("box", device)
                        .with("channel", channel));
    }

    private static Stream<Integer> free(Plan plan) {
        Set<Integer> taken = plan.rig().devices().stream()
                .flatMap(d -> Stream.of(Purpose.RECEIVE_CHANNEL, Purpose.SEND_CHANNEL)
                        .flatMap(purpose -> plan.rig().setting(d.id(), purpose).stream()))
                .collect(Collectors.toSet());
        return IntStream.rangeClosed(2, Channel.LAST)
                .boxed()
                .filter(channel -> !taken.contains(channel))
                .limit(MOST_NAMED);
    }
}
