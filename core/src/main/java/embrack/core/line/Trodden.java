package embrack.core.line;

import embrack.core.compile.Compiler;
import embrack.core.compile.Sending;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Tread;
import embrack.core.sim.Tread.Foot;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** What a foot did at a real board, told by what the board sent for it. */
public final class Trodden {

    private static final int TOP = 127;

    private final Walk walk;
    private final Compiler compiler;

    public Trodden(Walk walk) {
        this.walk = walk;
        this.compiler = new Compiler(walk.plan());
    }

    /**
     * What was done, for messages that came without a pause.
     *
     * @return nothing for what no switch and no control of the board sends as planned
     */
    public List<Tread> by(DeviceId board, List<Message> sent) {
        return pressed(board, sent).or(() -> letGo(board, sent)).orElseGet(() -> moved(board, sent));
    }

    private Optional<List<Tread>> pressed(DeviceId board, List<Message> sent) {
        return walk.on(board).stream()
                .flatMap(planned -> Stream.of(planned.down(), planned.again())
                        .flatMap(down -> treads(planned, Planned.messages(down), sent).stream()))
                .findFirst();
    }

    private static Optional<List<Tread>> treads(Planned planned, List<Message> down, List<Message> sent) {
        SwitchAt at = planned.task().at();
        if (planned.task().how() == Moment.HOLD) {
            return Likeness.same(down, sent) ? Optional.of(feet(at, Foot.DOWN, Foot.HOLD, Foot.UP)) : Optional.empty();
        }
        if (planned.task().how() == Moment.DOUBLE_PRESS) {
            return Likeness.same(down, sent) ? Optional.of(feet(at, Foot.TWICE)) : Optional.empty();
        }
        List<Message> both = Stream.concat(down.stream(), Planned.messages(planned.up()).stream())
                .toList();
        if (Likeness.same(both, sent)) {
            return Optional.of(feet(at, Foot.TAP));
        }
        return Likeness.same(down, sent) ? Optional.of(feet(at, Foot.DOWN)) : Optional.empty();
    }

    private Optional<List<Tread>> letGo(DeviceId board, List<Message> sent) {
        return walk.on(board).stream()
                .filter(planned -> !planned.up().isEmpty())
                .filter(planned -> Likeness.same(Planned.messages(planned.up()), sent))
                .findFirst()
                .map(planned -> feet(planned.task().at(), Foot.UP));
    }

    /** A control that came to a position by which it sends the last of it. */
    private List<Tread> moved(DeviceId board, List<Message> sent) {
        for (ControlAssignment control : walk.plan().switches().travelsOf(board)) {
            var compiled = compiler.compile(control);
            Optional<Integer> position = IntStream.rangeClosed(0, TOP)
                    .boxed()
                    .filter(at -> {
                        List<Message> messages = compiled.sendings(at).stream()
                                .map(Sending::message)
                                .toList();
                        return !messages.isEmpty()
                                && sent.size() >= messages.size()
                                && Likeness.same(messages, sent.subList(sent.size() - messages.size(), sent.size()));
                    })
                    .findFirst();
            if (position.isPresent()) {
                return List.of(new Tread.OnControl(control.at(), position.get()));
            }
        }
        return List.of();
    }

    private static List<Tread> feet(SwitchAt at, Foot... feet) {
        return Stream.of(feet).<Tread>map(foot -> new Tread.OnSwitch(foot, at)).collect(Collectors.toList());
    }
}
