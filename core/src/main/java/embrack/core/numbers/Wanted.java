package embrack.core.numbers;

import embrack.core.chart.Learnable;
import embrack.core.chart.LearnableId;
import embrack.core.chart.Verb;
import embrack.core.gear.Board;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.FactoryMessage;
import embrack.core.gear.Preset;
import embrack.core.midi.Channel;
import embrack.core.midi.MessageType;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.show.Cue;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import embrack.core.switches.Target;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
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
 * @param ready what a sender sends already with a map that it brings
 * @param like the level whose message has to serve this one too
 * @param only the one channel that a sender has for everything
 */
record Wanted(
        DeviceId device,
        LearnableId learnable,
        Set<MessageType> types,
        List<DeviceId> senders,
        Optional<FactoryMessage> fixed,
        Optional<FactoryMessage> ready,
        Optional<Shared> like,
        Optional<Channel> only) {

    /** The level that a control moves first, which sends one message for all that it moves. */
    record Shared(ControlAt control, Target first) {}

    /**
     * Everything that steps and levels want learned, in the order of boards, banks and switches; then what cues want,
     * by who sends them.
     *
     * @param readyMaps whether numbers that a box brings are taken where they are free
     */
    static List<Wanted> all(Rig rig, Switches switches, Map<DeviceId, List<Cue>> automatic, boolean readyMaps) {
        var gathering = new Gathering(rig);
        rig.devices().forEach(box -> {
            if (readyMaps) {
                gathering.chooseMap(box.id(), switches.of(box.id()));
            }
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
        return new Wanted(
                device,
                learnable,
                both,
                more,
                fixed.or(other::fixed),
                ready.or(other::ready),
                like.or(other::like),
                only.or(other::only));
    }

    /** What of a sender decides a number. */
    private record Sender(
            DeviceId box,
            Optional<FactoryMessage> fixed,
            Optional<FactoryMessage> ready,
            Optional<Shared> like,
            Optional<Channel> only) {}

    private static final class Gathering {

        private final Rig rig;
        private final Map<DeviceId, Preset> readyMaps = new HashMap<>();
        private final Map<List<Object>, Wanted> found = new LinkedHashMap<>();

        Gathering(Rig rig) {
            this.rig = rig;
        }

        /** The map of a board that most of what its switches do can be learned from, the first of several. */
        void chooseMap(DeviceId box, List<Assignment> assignments) {
            rig.model(box)
                    .board()
                    .ifPresent(board -> board.factory().presets().stream()
                            .max(Comparator.comparingLong(map -> assignments.stream()
                                    .filter(a -> a.at().of().isEmpty())
                                    .filter(a -> map.message(a.at().bank(), a.at().number(), board.bankChange())
                                            .filter(message ->
                                                    a.steps().stream().allMatch(step -> learns(step, message)))
                                            .isPresent())
                                    .count()))
                            .ifPresent(map -> readyMaps.put(box, map)));
        }

        private boolean learns(Step step, FactoryMessage message) {
            return rig.model(step.device()).chart().learnables().stream()
                    .anyMatch(learnable -> learnable.id().equals(LearnableId.of(step.action()))
                            && learnable.types().contains(message.type()));
        }

        void add(Assignment assignment) {
            SwitchAt at = assignment.at();
            Board board =
                    rig.model(at.board()).surface().board(at.of(), at.number()).orElseThrow();
            Optional<Channel> only = Senders.only(rig, at);
            Optional<FactoryMessage> fixed = board.fixed(at.bank(), at.number());
            Optional<FactoryMessage> ready = Optional.ofNullable(readyMaps.get(at.board()))
                    .filter(map -> at.of().isEmpty())
                    .flatMap(map -> map.message(at.bank(), at.number(), board.bankChange()));
            for (Step step : assignment.steps()) {
                add(
                        step.device(),
                        LearnableId.of(step.action()),
                        board.sends(),
                        new Sender(at.board(), fixed, ready, Optional.empty(), only));
            }
        }

        void add(DeviceId player, Step step) {
            if (!step.device().equals(player)) {
                add(
                        step.device(),
                        LearnableId.of(step.action()),
                        EnumSet.allOf(MessageType.class),
                        new Sender(player, Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty()));
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
                        new Sender(
                                controlAssignment.at().box(),
                                Senders.fixed(rig, controlAssignment.at()),
                                Optional.empty(),
                                Optional.of(controlAssignment.targets().getFirst())
                                        .filter(first -> group.numbers() == 1 && first != target)
                                        .map(first -> new Shared(controlAssignment.at(), first)),
                                only));
            }
        }

        private void add(DeviceId device, LearnableId id, Set<MessageType> sends, Sender sender) {
            rig.model(device).chart().learnables().stream()
                    .filter(learnable -> learnable.id().equals(id))
                    .filter(learnable -> !rig.model(device).chart().isSendable(id, sends))
                    .findFirst()
                    .ifPresent(learnable -> {
                        Wanted wanted = new Wanted(
                                device,
                                id,
                                learnable(learnable, sends),
                                List.of(sender.box()),
                                sender.fixed(),
                                sender.ready(),
                                sender.like(),
                                sender.only());
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
    }
}
