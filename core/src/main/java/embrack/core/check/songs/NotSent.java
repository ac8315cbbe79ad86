package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.songs.CueWords.Sung;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.Obstacle;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.CueAt;
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
        return new RuleInfo("songs.not-sent", "A cue does not get there");
    }

    private record Reason(DeviceId player, DeviceId device, Obstacle obstacle) {}

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<Reason, List<Sung>> stopped = new LinkedHashMap<>();
        CueWords.cues(subject)
                .forEach(sung -> sung.proof().steps().stream()
                        .filter(step -> step.obstacle().isPresent())
                        .forEach(step -> stopped.merge(
                                reason(subject.plan(), sung.song(), step),
                                List.of(sung),
                                (a, b) -> Stream.concat(a.stream(), b.stream())
                                        .distinct()
                                        .toList())));
        return stopped.entrySet().stream().map(e -> finding(subject.plan(), e.getKey(), e.getValue()));
    }

    private static Reason reason(Plan plan, Song song, CompiledStep step) {
        return new Reason(
                plan.player(song).orElseThrow(),
                step.step().device(),
                step.obstacle().orElseThrow());
    }

    private Finding finding(Plan plan, Reason reason, List<Sung> cues) {
        String device = plan.rig().name(reason.device()).text();
        String player = plan.rig().name(reason.player()).text();
        String what =
                switch (reason.obstacle()) {
                    case Obstacle.NothingLearned learned -> "%s has learned no message for it.".formatted(device);
                    case Obstacle.KeptBack kept ->
                        "What %s sends to %s is kept back. %s".formatted(player, device, kept.where());
                    case Obstacle.NoPath path -> "No links lead from %s to %s.".formatted(player, device);
                    default -> "The chart of %s has no line for it.".formatted(device);
                };
        String fix =
                switch (reason.obstacle()) {
                    case Obstacle.KeptBack kept -> "Mend that in Wiring.";
                    case Obstacle.NoPath path -> "Lay a link in Wiring, or take the steps out of the cues.";
                    default -> "Use another action, or have the hardware swapped that can do it.";
                };
        List<CueAt> at = cues.stream().flatMap(sung -> sung.at().stream()).toList();
        return new Finding(
                info(),
                Severity.STOPS,
                cues.size() == 1
                        ? cues.getFirst().where()
                        : Words.list(cues.stream()
                                .map(s -> s.song().title())
                                .distinct()
                                .toList()),
                what,
                "%s nothing there."
                        .formatted(cues.size() == 1 ? "The cue does" : Words.count(cues.size(), "cue") + " do"),
                fix,
                List.of(),
                Optional.empty(),
                at);
    }
}
