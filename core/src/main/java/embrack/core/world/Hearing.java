package embrack.core.world;

import embrack.core.chart.Action;
import embrack.core.chart.MessageMemory;
import embrack.core.gear.Ability;
import embrack.core.gear.Implementation;
import embrack.core.gear.Purpose;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.rig.Traffic;
import java.util.List;
import java.util.Optional;

/**
 * How one device of a rig takes what arrives, as it is set.
 *
 * @param listensOn the channel it listens to; empty when it listens to all
 * @param remoteOff the name of its input for controllers, if that is off
 * @param syncOff the name of its input for clock and transport, if that is off
 */
record Hearing(
        Implementation implementation,
        Optional<Channel> listensOn,
        Optional<String> remoteOff,
        Optional<String> syncOff) {

    static Hearing of(Rig rig, DeviceId device) {
        Implementation implementation = rig.implementation(device);
        return new Hearing(
                implementation,
                implementation.quirks().hearsAllChannels()
                        ? Optional.empty()
                        : rig.setting(device, Purpose.RECEIVE_CHANNEL).map(Channel::new),
                off(rig, device, Ability.HEARS_REMOTE),
                off(rig, device, Ability.HEARS_SYNC));
    }

    Reading reading(Message message, MessageMemory heard) {
        boolean onItsChannel = listensOn.isEmpty()
                || !(message instanceof Message.Voice voice)
                || voice.channel().equals(listensOn.get());
        List<Action> actions = implementation.reactionsTo(message, heard, onItsChannel);
        if (!actions.isEmpty()) {
            Optional<String> off = Traffic.of(message) == Traffic.SYNC ? syncOff : remoteOff;
            return off.<Reading>map(Reading.InputOff::new).orElseGet(() -> new Reading.Acts(actions));
        }
        return onItsChannel ? new Reading.MeansNothing() : new Reading.OtherChannel(listensOn.orElseThrow());
    }

    private static Optional<String> off(Rig rig, DeviceId device, Ability input) {
        return rig.unmet(device, input)
                .map(condition -> rig.settingOf(device, condition).name().text());
    }
}
