package embrack.core.line;

import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.way.Ways;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Which box a message comes from that is heard behind a merger, a bridge or at a receiver, where several lead together:
 * the one that sends it as planned, else the one that is checked, else the only one that leads there.
 */
public final class Through {

    private final Walk walk;
    private final Ways ways;

    public Through(Walk walk) {
        this.walk = walk;
        this.ways = new Ways(walk.plan().rig());
    }

    /**
     * The box that sent a message.
     *
     * @param at the box whose cable is listened to
     * @param here the box that is checked now; empty when none is
     * @return empty when nobody could have sent it there, or it may be from any of several
     */
    public Optional<DeviceId> sender(DeviceId at, Message message, Optional<DeviceId> here) {
        List<DeviceId> boards = walk.plan().controllers();
        if (boards.contains(at)) {
            return Optional.of(at);
        }
        List<DeviceId> able = boards.stream()
                .filter(board -> ways.between(board, at, message).isPresent())
                .toList();
        List<DeviceId> planned = able.stream()
                .filter(board -> walk.on(board).stream()
                                .flatMap(one -> Stream.of(one.down(), one.again(), one.up()))
                                .flatMap(List::stream)
                                .anyMatch(sending -> Likeness.same(sending.message(), message))
                        || Travel.of(walk.plan()).stream()
                                .anyMatch(travel -> travel.box().equals(board) && travel.sends(message)))
                .toList();
        List<DeviceId> likely = planned.isEmpty() ? able : planned;
        return here.filter(likely::contains)
                .or(() -> planned.stream().findFirst())
                .or(() -> here.filter(able::contains))
                .or(() -> able.size() == 1 ? Optional.of(able.getFirst()) : Optional.empty());
    }
}
