package embrack.core.check.rule;

import embrack.core.compile.Obstacle;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.show.CueAt;
import embrack.core.sim.BookProof;
import embrack.core.sim.ControlProof;
import embrack.core.sim.CueProof;
import embrack.core.sim.Proof;
import embrack.core.sim.SongProof;
import embrack.core.switches.ControlAt;
import embrack.core.switches.SwitchAt;
import embrack.core.way.Ways;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Something that an obstacle stops: a step of a switch or of a cue, or a level of a control.
 *
 * @param sender the board, box or player
 * @param device what it is meant for
 * @param message the last of what would be sent, if anything can be
 */
public record Halted(
        Optional<SwitchAt> at,
        Optional<ControlAt> control,
        Optional<CueAt> cue,
        DeviceId sender,
        DeviceId device,
        Optional<Message> message,
        Obstacle obstacle) {

    /** All that is stopped, in order, those together of which each is stopped by the same. */
    public static List<List<Halted>> all(Ways ways, List<Proof> proofs, List<ControlProof> controls, BookProof book) {
        Map<Root, List<Halted>> groups = new LinkedHashMap<>();
        Stream.of(
                        proofs.stream().flatMap(Halted::of),
                        controls.stream().flatMap(Halted::of),
                        book.songs().stream().flatMap(Halted::of))
                .flatMap(each -> each)
                .forEach(each -> groups.computeIfAbsent(each.root(ways), r -> new ArrayList<>())
                        .add(each));
        return List.copyOf(groups.values());
    }

    private static Stream<Halted> of(Proof proof) {
        return proof.steps().stream()
                .flatMap(step -> step
                        .obstacle()
                        .map(obstacle -> new Halted(
                                Optional.of(proof.at()),
                                Optional.empty(),
                                Optional.empty(),
                                proof.at().board(),
                                step.step().device(),
                                last(step.messages()),
                                obstacle))
                        .stream());
    }

    private static Stream<Halted> of(ControlProof proof) {
        return proof.compiled().targets().stream()
                .flatMap(target -> target
                        .obstacle()
                        .map(obstacle -> new Halted(
                                Optional.empty(),
                                Optional.of(proof.at()),
                                Optional.empty(),
                                proof.at().box(),
                                target.target().device(),
                                last(target.at()),
                                obstacle))
                        .stream());
    }

    private static Stream<Halted> of(SongProof song) {
        return song.player().stream().flatMap(player -> song.cues().stream().flatMap(cue -> of(song, player, cue)));
    }

    private static Stream<Halted> of(SongProof song, DeviceId player, CueProof cue) {
        return cue.steps().stream()
                .flatMap(step -> step
                        .obstacle()
                        .map(obstacle -> new Halted(
                                Optional.empty(),
                                Optional.empty(),
                                Optional.of(
                                        new CueAt(song.song().id(), cue.cue().number())),
                                player,
                                step.step().device(),
                                last(step.messages()),
                                obstacle))
                        .stream());
    }

    private static Optional<Message> last(List<Message> messages) {
        return messages.isEmpty() ? Optional.empty() : Optional.of(messages.getLast());
    }

    /** What has to be mended for it, whoever sends: two that have the same are one finding. */
    private record Root(Obstacle obstacle, Optional<DeviceId> sender, Optional<DeviceId> device) {}

    private Root root(Ways ways) {
        return switch (obstacle) {
            case Obstacle.KeptBack kept -> new Root(kept, Optional.empty(), Optional.empty());
            case Obstacle.NoPath none ->
                new Root(
                        none,
                        Optional.of(sender),
                        Optional.of(device).filter(d -> !ways.reach(sender).isEmpty()));
            default -> new Root(obstacle, Optional.empty(), Optional.of(device));
        };
    }
}
