package embrack.core.numbers;

import embrack.core.chart.Learnable;
import embrack.core.chart.LearnableId;
import embrack.core.chart.Verb;
import embrack.core.gear.Board;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.FactoryRun;
import embrack.core.midi.Channel;
import embrack.core.midi.MessageType;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.show.Cue;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import embrack.core.switches.Target;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Something that a device learns, and who is to send it.
 *
 * @param types what all its senders can send and the device can learn
 * @param senders the boxes that send it, the one whose run it belongs to first
 * @param fixed what a sender sends that cannot be programmed
 * @param only the one channel that a sender has for everything
 */
record Wanted(
        DeviceId device,
        LearnableId learnable,
        Set<MessageType> types,
        List<DeviceId> senders,
        Optional<Fixed> fixed,
        Optional<Channel> only) {

    /** What a switch with a factory run sends. */
    record Fixed(MessageType type, int number) {}

    /**
     * Everything that steps and levels want learned, in the order of boards, banks and switches; then what cues want,
     * by who sends them.
     */
    static List<Wanted> all(Rig rig, Switches switches, Map<DeviceId, List<Cue>> automatic) {
        var gathering = new Gathering(rig);
        rig.devices().forEach(box -> {
            switches.of(box.id()).forEach(gathering::add);
            switches.travelsOf(box.id()).forEach(gathering::add);
        });
        automatic.forEach((player, cues) -> cues.stream()
                .flatMap(cue -> cue.steps().stream())
                .distinct()
                .forEach(step -> gathering.add(player, step)));
        return List.copyOf(gathering.found.values());
    }

    private Wanted with(Wanted other) {
        Set<MessageType> both = EnumSet.copyOf(types);
        both.retainAll(other.types);
        List<DeviceId> more = new ArrayList<>(senders);
        other.senders.stream().filter(sender -> !more.contains(sender)).forEach(more::add);
        return new Wanted(device, learnable, both, more, fixed.or(other::fixed), only.or(other::only));
    }

    private static final class Gathering {

        private final Rig rig;
        private final Map<List<Object>, Wanted> found = new LinkedHashMap<>();

        Gathering(Rig rig) {
            this.rig = rig;
        }

        void add(Assignment assignment) {
            SwitchAt at = assignment.at();
            Board board = rig.model(at.board()).board().orElseThrow();
            Optional<Channel> only = Senders.only(rig, at);
            Optional<Fixed> fixed = board.factoryRun().map(run -> fixed(run, at, board));
            for (Step step : assignment.steps()) {
                add(step.device(), LearnableId.of(step.action()), board.sends(), at.board(), fixed, only);
            }
        }

        void add(DeviceId player, Step step) {
            if (!step.device().equals(player)) {
                add(
                        step.device(),
                        LearnableId.of(step.action()),
                        EnumSet.allOf(MessageType.class),
                        player,
                        Optional.empty(),
                        Optional.empty());
            }
        }

        void add(ControlAssignment controlAssignment) {
            ControlGroup group = Senders.group(rig, controlAssignment.at());
            Optional<Channel> only = Senders.only(rig, controlAssignment.at());
            for (Target target : controlAssignment.targets()) {
                add(
                        target.device(),
                        new LearnableId(Verb.LEVEL, target.part()),
                        group.sends(),
                        controlAssignment.at().box(),
                        Optional.empty(),
                        only);
            }
        }

        private void add(
                DeviceId device,
                LearnableId id,
                Set<MessageType> sends,
                DeviceId sender,
                Optional<Fixed> fixed,
                Optional<Channel> only) {
            rig.model(device).chart().learnables().stream()
                    .filter(learnable -> learnable.id().equals(id))
                    .filter(learnable -> !rig.model(device).chart().isSendable(id, sends))
                    .findFirst()
                    .ifPresent(learnable -> {
                        Wanted wanted =
                                new Wanted(device, id, learnable(learnable, sends), List.of(sender), fixed, only);
                        found.merge(List.of(device, id), wanted, Wanted::with);
                    });
        }

        private static Set<MessageType> learnable(Learnable learnable, Set<MessageType> sends) {
            Set<MessageType> both = EnumSet.copyOf(learnable.types());
            both.retainAll(sends);
            if (learnable.verb().takesAmount()) {
                both.remove(MessageType.PROGRAM_CHANGE);
            }
            return both;
        }

        private static Fixed fixed(FactoryRun run, SwitchAt at, Board board) {
            return new Fixed(run.type(), run.number(at.bank(), at.number(), board.bankChange()));
        }
    }
}
