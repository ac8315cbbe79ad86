package embrack.core.numbers;

import embrack.core.chart.ChartRow;
import embrack.core.chart.Trigger;
import embrack.core.gear.Purpose;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.show.Cue;
import embrack.core.switches.Switches;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Which messages already mean something to a box, or are sent by one. */
final class Taken {

    /** @param channel 1 to 16; 0 for a message that is heard on all channels */
    private record Address(MessageType type, int channel, int number) {}

    private final Set<Address> addresses = new HashSet<>();

    /** What the box obeys as it is: its own chart, and what it has learned. */
    static Taken of(Rig rig, DeviceId device) {
        var taken = new Taken();
        Optional<Integer> set = rig.setting(device, Purpose.RECEIVE_CHANNEL);
        boolean all = rig.implementation(device).quirks().hearsAllChannels();
        for (ChartRow row : rig.chart(device).rows()) {
            if (row.last() instanceof Trigger.Voice voice) {
                taken.addresses.add(new Address(
                        voice.type(),
                        all
                                ? 0
                                : voice.channel()
                                        .map(Channel::number)
                                        .or(() -> set)
                                        .orElse(0),
                        voice.number()));
            }
        }
        return taken;
    }

    /** What a box sends already, for whatever device. */
    static Taken sentBy(Rig rig, Switches switches, List<Cue> cues, DeviceId sender) {
        var taken = new Taken();
        switches.of(sender).forEach(assignment -> {
            Optional<Channel> only = Senders.only(rig, assignment.at());
            assignment
                    .steps()
                    .forEach(step -> rig.chart(step.device())
                            .messagesFor(
                                    step.action(),
                                    receiveChannel(rig, step.device()),
                                    Senders.sends(rig, assignment.at()))
                            .orElse(List.of())
                            .forEach(message -> taken.add(message, only)));
        });
        switches.travelsOf(sender).forEach(controlAssignment -> {
            Optional<Channel> only = Senders.only(rig, controlAssignment.at());
            controlAssignment
                    .targets()
                    .forEach(target -> rig.chart(target.device())
                            .messagesFor(target.at(0), receiveChannel(rig, target.device()))
                            .orElse(List.of())
                            .forEach(message -> taken.add(message, only)));
        });
        cues.stream()
                .flatMap(cue -> cue.steps().stream())
                .filter(step -> !step.device().equals(sender))
                .distinct()
                .forEach(step -> rig.chart(step.device())
                        .messagesFor(step.action(), receiveChannel(rig, step.device()))
                        .orElse(List.of())
                        .forEach(message -> taken.add(message, Optional.empty())));
        return taken;
    }

    private void add(Message message, Optional<Channel> only) {
        if (message instanceof Message.Voice voice) {
            addresses.add(
                    new Address(message.type(), only.orElse(voice.channel()).number(), message.data1()));
        }
    }

    private static Channel receiveChannel(Rig rig, DeviceId device) {
        return rig.setting(device, Purpose.RECEIVE_CHANNEL).map(Channel::new).orElse(new Channel(Channel.FIRST));
    }

    boolean holds(MessageType type, Channel channel, int number) {
        return addresses.contains(new Address(type, channel.number(), number))
                || addresses.contains(new Address(type, 0, number));
    }
}
