package embrack.core.numbers;

import embrack.core.gear.BankChange;
import embrack.core.gear.Board;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.FactoryMessage;
import embrack.core.gear.Purpose;
import embrack.core.gear.SendChannel;
import embrack.core.gear.Surface;
import embrack.core.midi.Channel;
import embrack.core.midi.MessageType;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.switches.ControlAt;
import embrack.core.switches.SwitchAt;
import java.util.Optional;
import java.util.Set;

/** On which channel boxes send. */
public final class Senders {

    private Senders() {}

    /** The one channel that a switch sends on, if its board has one for everything; some count it up with the banks. */
    public static Optional<Channel> only(Rig rig, SwitchAt at) {
        return at.of()
                .flatMap(type -> rig.model(at.board()).surface().lying(type, at.number()))
                .flatMap(lying -> lying.group().channel())
                .or(() -> box(rig, at.board(), at.bank()));
    }

    /** The one channel that a treadle, fader or knob sends on, if it has one for everything. */
    public static Optional<Channel> only(Rig rig, ControlAt at) {
        return group(rig, at).channel().or(() -> box(rig, at.box(), at.bank()));
    }

    /** The types of message that a switch, pad, key or button can send. */
    static Set<MessageType> sends(Rig rig, SwitchAt at) {
        return rig.model(at.board())
                .surface()
                .board(at.of(), at.number())
                .map(Board::sends)
                .orElseThrow();
    }

    /**
     * The controls that one of them lies among.
     *
     * @throws IllegalArgumentException when the box has none of that number
     */
    public static ControlGroup group(Rig rig, ControlAt at) {
        return rig.model(at.box())
                .surface()
                .lying(at.type(), at.number())
                .map(Surface.Lying::group)
                .orElseThrow(
                        () -> new IllegalArgumentException("%s has no %s".formatted(rig.name(at.box()), at.words())));
    }

    /** What a treadle, fader or knob sends that cannot be programmed; empty when it can. */
    public static Optional<FactoryMessage> fixed(Rig rig, ControlAt at) {
        Surface surface = rig.model(at.box()).surface();
        BankChange change = surface.board().map(Board::bankChange).orElse(BankChange.ASSIGNMENTS);
        return surface.lying(at.type(), at.number())
                .flatMap(lying -> lying.group().fixed(at.bank(), at.number() - lying.before(), change));
    }

    private static Optional<Channel> box(Rig rig, DeviceId box, int bank) {
        return rig.model(box).board().isPresent() ? board(rig, box, bank) : set(rig, box);
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
