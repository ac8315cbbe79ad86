package embrack.core.numbers;

import embrack.core.chart.ChartRow;
import embrack.core.chart.Trigger;
import embrack.core.gear.SettingId;
import embrack.core.midi.Channel;
import embrack.core.midi.MessageType;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;

/** Which messages already mean something to a box. */
final class Taken {

    /** @param channel 1 to 16; 0 for a message that is heard on all channels */
    private record Address(MessageType type, int channel, int number) {
    }

    private final Set<Address> addresses = new HashSet<>();

    /** What the box obeys as it is: its own chart, and what it has learned. */
    static Taken of(Rig rig, DeviceId device) {
        var taken = new Taken();
        Optional<Integer> set = rig.setting(device, SettingId.RECEIVE_CHANNEL);
        boolean all = rig.answers(device).quirks().hearsAllChannels();
        for (ChartRow row : rig.chart(device).rows()) {
            if (row.last() instanceof Trigger.Voice voice) {
                taken.addresses.add(new Address(voice.type(), all ? 0 : voice.channel().map(Channel::number).or(() -> set).orElse(0), voice.number()));
            }
        }
        return taken;
    }

    boolean holds(MessageType type, Channel channel, int number) {
        return addresses.contains(new Address(type, channel.number(), number)) || addresses.contains(new Address(type, 0, number));
    }
}
