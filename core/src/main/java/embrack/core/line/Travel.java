package embrack.core.line;

import embrack.core.compile.CompiledControl;
import embrack.core.compile.Compiler;
import embrack.core.midi.Message;
import embrack.core.midi.Message.ControlChange;
import embrack.core.midi.Message.Voice;
import embrack.core.midi.MessageType;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What an expression pedal, fader or knob is to send on its whole way, by the first number that it sends.
 *
 * @param from what it sends at the beginning: heel down, or all the way down
 * @param to what it sends at the end
 */
public record Travel(ControlAt at, ControlChange from, ControlChange to) {

    /** All that are moved in a plan and send control changes, in the order of walking. */
    public static List<Travel> of(Plan plan) {
        Compiler compiler = new Compiler(plan);
        List<Travel> travels = new ArrayList<>();
        plan.switches().controlAssignments().stream()
                .sorted(Comparator.comparing((ControlAssignment control) ->
                                plan.rig().area(control.at().box()))
                        .thenComparing(ControlAssignment::at))
                .forEach(control -> of(compiler.compile(control)).ifPresent(travels::add));
        return travels;
    }

    private static Optional<Travel> of(CompiledControl control) {
        return control.targets().stream()
                .filter(CompiledControl.CompiledTarget::isSent)
                .findFirst()
                .filter(target -> target.at().getFirst() instanceof ControlChange
                        && target.at().getLast() instanceof ControlChange)
                .map(target -> new Travel(
                        control.controlAssignment().at(),
                        (ControlChange) target.at().getFirst(),
                        (ControlChange) target.at().getLast()));
    }

    public DeviceId box() {
        return at.box();
    }

    /** The travel in one word for tables: {@code quay-board/treadle.1.1}. */
    public String key() {
        return key(at);
    }

    static String key(ControlAt at) {
        return "%s/%s.%d.%d".formatted(at.box(), at.type().key(), at.bank(), at.number());
    }

    /** The least value that is planned, 0 to 127. */
    public int least() {
        return Math.min(from.value(), to.value());
    }

    /** The greatest value that is planned, 0 to 127. */
    public int greatest() {
        return Math.max(from.value(), to.value());
    }

    /** Whether a message is of its number, on its channel. */
    boolean sends(Message message) {
        return message instanceof Voice voice
                && message.type() == MessageType.CONTROL_CHANGE
                && voice.channel().equals(from.channel())
                && voice.data1() == from.controller();
    }

    /** What is planned in one line, by which a later plan is told apart. */
    public String written() {
        return "%s %s".formatted(from.hex(), to.hex()).replace(" ", "");
    }
}
