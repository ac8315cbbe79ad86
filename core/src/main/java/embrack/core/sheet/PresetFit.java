package embrack.core.sheet;

import embrack.core.check.Report;
import embrack.core.compile.CompiledSwitch;
import embrack.core.gear.Board;
import embrack.core.gear.FactoryMessage;
import embrack.core.gear.Preset;
import embrack.core.gear.SendChannel;
import embrack.core.midi.Channel;
import embrack.core.midi.DataByte;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Proof;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * How far a preset that a box brings is what the plan needs.
 *
 * @param serves switches that send with it just what they should: one message at a press, nothing else
 * @param stray switches that send something with it and have nothing to do in the plan
 */
public record PresetFit(Preset preset, List<SwitchAt> serves, List<SwitchAt> stray) {

    /** Choosing a preset is work too: it has to save more than that. */
    private static final int WORTH_IT = 2;

    public PresetFit {
        serves = List.copyOf(serves);
        stray = List.copyOf(stray);
    }

    /** The preset of a board that leaves the least to program, the first of several; empty when none saves anything. */
    public static Optional<PresetFit> best(Report report, DeviceId id) {
        Plan plan = report.plan();
        return plan.rig().model(id).board().stream()
                .flatMap(board -> board.factory().presets().stream().map(preset -> of(report, id, board, preset)))
                .filter(fit -> fit.serves().size() >= WORTH_IT)
                .max(Comparator.comparingInt(fit -> fit.serves().size()));
    }

    private static PresetFit of(Report report, DeviceId id, Board board, Preset preset) {
        Plan plan = report.plan();
        List<SwitchAt> all = IntStream.rangeClosed(1, board.banks().size())
                .boxed()
                .flatMap(bank ->
                        IntStream.rangeClosed(1, board.switches()).mapToObj(number -> new SwitchAt(id, bank, number)))
                .toList();
        List<SwitchAt> sending = all.stream()
                .filter(at -> preset.message(at.bank(), at.number(), board.bankChange())
                        .isPresent())
                .toList();
        return new PresetFit(
                preset,
                sending.stream()
                        .filter(at -> serves(
                                report,
                                at,
                                board,
                                preset.message(at.bank(), at.number(), board.bankChange())
                                        .orElseThrow()))
                        .toList(),
                sending.stream()
                        .filter(at -> plan.switches().at(at).steps().isEmpty())
                        .toList());
    }

    /** Whether the message of the preset is all that a switch is to send, in the mode of a switch that was not set. */
    private static boolean serves(Report report, SwitchAt at, Board board, FactoryMessage own) {
        Assignment assignment = report.plan().switches().at(at);
        if (!assignment.moments().keySet().equals(Set.of(Moment.PRESS))) {
            return false;
        }
        Optional<CompiledSwitch> compiled =
                report.proofs(at).stream().findFirst().map(Proof::compiled);
        List<Message> sent = compiled.map(CompiledSwitch::sent).orElse(List.of());
        return compiled.filter(c -> c.mode() == board.plainestMode()).isPresent()
                && sent.size() == 1
                && own.isAddressOf(sent.getFirst())
                && (own.type() == MessageType.PROGRAM_CHANGE || sent.getFirst().data2() == DataByte.MAX)
                && (board.sendChannel() == SendChannel.ONE_FOR_THE_BOX
                        || sent.getFirst() instanceof Message.Voice voice
                                && voice.channel().number() == Channel.FIRST);
    }
}
