package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Two songs stand at one place of their player's list, and a switch jumps there. */
final class SamePlace implements Rule {

    private record Where(Optional<DeviceId> player, int place) {}

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "same-place");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<Where, List<Song>> at = subject.plan().book().songs().stream()
                .collect(Collectors.groupingBy(
                        song -> new Where(subject.plan().player(song), song.place()),
                        LinkedHashMap::new,
                        Collectors.toList()));
        return at.entrySet().stream()
                .filter(e -> e.getValue().size() > 1 && isJumpedTo(subject.plan(), e.getKey()))
                .map(e -> found(Severity.STOPS)
                        .with("songs", e.getValue().stream().map(Song::id).toList())
                        .with("player", e.getKey().player().orElseThrow())
                        .with("place", e.getKey().place())
                        .in(e.getValue().stream()
                                .map(song -> CueAt.whole(song.id()))
                                .toList())
                        .made());
    }

    private static boolean isJumpedTo(Plan plan, Where where) {
        return plan.switches().assignments().stream()
                .flatMap(a -> a.steps().stream())
                .anyMatch(step -> where.player().filter(step.device()::equals).isPresent()
                        && NoSongThere.place(plan, step).equals(OptionalInt.of(where.place())));
    }
}
