package embrack.core.numbers;

import embrack.core.gear.BankChange;
import embrack.core.gear.Board;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.Purpose;
import embrack.core.gear.SendChannel;
import embrack.core.midi.Channel;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.switches.ControlAt;
import embrack.core.switches.SwitchAt;
import java.util.Optional;

/** On which channel boxes send. */
public final class Senders {

    private Senders() {}

    /** The one channel that a switch sends on, if its board has one for everything; some count it up with the banks. */
    public static Optional<Channel> only(Rig rig, SwitchAt at) {
        return board(rig, at.board(), at.bank());
    }

    /** The one channel that a treadle, fader or knob sends on, if it has one for everything. */
    public static Optional<Channel> only(Rig rig, ControlAt at) {
        return group(rig, at)
                .channel()
                .or(() ->
                        rig.model(at.box()).board().isPresent() ? board(rig, at.box(), at.bank()) : set(rig, at.box()));
    }

    /**
     * The controls that one of them lies among.
     *
     * @throws IllegalArgumentException when the box has none of that number
     */
    public static ControlGroup group(Rig rig, ControlAt at) {
        int before = 0;
        for (ControlGroup group : rig.model(at.box()).surface().groups()) {
            if (group.type() == at.type()) {
                if (at.number() <= before + group.count()) {
                    return group;
                }
                before += group.count();
            }
        }
        throw new IllegalArgumentException("%s has no %s".formatted(rig.name(at.box()), at.words()));
    }

    private static Optional<Channel> board(Rig rig, DeviceId box, int bank) {
        Board board = rig.model(box).board().orElseThrow();
        return board.sendChannel() == SendChannel.EACH_MESSAGE
                ? Optional.empty()
                : set(rig, box)
                        .map(set -> board.bankChange() == BankChange.CHANNEL
                                ? Channel.ofWire((set.wire() + bank - 1) % Channel.LAST)
                                : set);
    }

    private static Optional<Channel> set(Rig rig, DeviceId box) {
        return rig.setting(box, Purpose.SEND_CHANNEL).map(Channel::new);
    }
}
