package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Halted;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.check.songs.CueWords.Sung;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.Obstacle;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Song;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** A player cannot make a device do what a cue says; one finding for each reason, however many cues it stops. */
final class NotSent implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "not-sent");
    }

    private record Reason(DeviceId player, DeviceId device, Obstacle obstacle) {}

    @Override
    public Stream<Finding> check(Subject subject) {
        List<Halted> feet =
                subject.halted().stream().filter(each -> each.cue().isEmpty()).toList();
        Map<Reason, List<Sung>> stopped = new LinkedHashMap<>();
        CueWords.cues(subject)
                .forEach(sung -> sung.proof().steps().stream()
                        .filter(step -> step.obstacle().isPresent())
                        .filter(step -> !isToldElsewhere(subject, sung, step, feet))
                        .forEach(step -> stopped.merge(
                                reason(subject.plan(), sung.song(), step),
                                List.of(sung),
                                (a, b) -> Stream.concat(a.stream(), b.stream())
                                        .distinct()
                                        .toList())));
        return stopped.entrySet().stream().map(e -> finding(e.getKey(), e.getValue()));
    }

    /** Whether what stops a switch or control too, or a way that is shut, is told there. */
    private static boolean isToldElsewhere(Subject subject, Sung sung, CompiledStep step, List<Halted> feet) {
        Obstacle obstacle = step.obstacle().orElseThrow();
        Halted here = new Halted(
                Optional.empty(),
                Optional.empty(),
                Optional.of(CueWords.at(sung.song(), sung.cue())),
                subject.plan().player(sung.song()).orElseThrow(),
                step.step().device(),
                Optional.empty(),
                obstacle);
        return obstacle instanceof Obstacle.KeptBack || feet.stream().anyMatch(here::isStoppedAs);
    }

    private static Reason reason(Plan plan, Song song, CompiledStep step) {
        return new Reason(
                plan.player(song).orElseThrow(),
                step.step().device(),
                step.obstacle().orElseThrow());
    }

    private Found stopped(Obstacle obstacle) {
        Found found = found(Severity.STOPS);
        return switch (obstacle) {
            case Obstacle.NothingLearned learned -> found.cause("nothing-learned");
            case Obstacle.NoPath path -> found.cause("no-path");
            default -> found.cause("no-chart-line");
        };
    }

    private Finding finding(Reason reason, List<Sung> cues) {
        return stopped(reason.obstacle())
                .with("player", reason.player())
                .with("device", reason.device())
                .with("at", cues.getFirst().moment())
                .with("cues", cues.size())
                .with(
                        "songs",
                        cues.stream().map(sung -> sung.song().id()).distinct().toList())
                .in(cues.stream().flatMap(sung -> sung.at().stream()).toList())
                .made();
    }
}
