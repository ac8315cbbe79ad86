package embrack.core.check.switches;

import embrack.core.chart.PartId;
import embrack.core.chart.Standing.Loading;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.NumberEdit;
import embrack.core.midi.MessageType;
import embrack.core.plan.Plan;
import embrack.core.proof.Broken;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Blame;
import embrack.core.sim.Cause;
import embrack.core.text.Numbers;
import embrack.core.word.Fact;
import embrack.core.world.Place;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** All messages are sent and arrive, and a box reads them otherwise than was meant, or not at all. */
final class NotAsMeant implements Rule {

    /** What is said once: one reason at one box. */
    private record Reason(DeviceId device, String cause) {}

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "not-as-meant");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<Reason, List<Blame>> byReason = subject.blames().stream()
                .filter(blame ->
                        blame.proof().isPresent() && !reason(blame.cause()).isEmpty())
                .collect(Collectors.groupingBy(
                        blame -> new Reason(blame.device(), reason(blame.cause())),
                        LinkedHashMap::new,
                        Collectors.toList()));
        return byReason.entrySet().stream().map(e -> finding(subject, e.getKey(), e.getValue()));
    }

    /** The reason as a word by which patterns choose; empty where another rule has a better one. */
    private static String reason(Cause cause) {
        return switch (cause) {
            case Cause.Unwritten unwritten -> "unwritten";
            case Cause.ReadByBefore before -> before.message().type() == MessageType.PROGRAM_CHANGE ? "bank" : "before";
            case Cause.Deaf deaf -> "deaf";
            case Cause.NotReached none -> "not-reached";
            case Cause.Nothing nothing -> "nothing";
            default -> "";
        };
    }

    private Finding finding(Subject subject, Reason reason, List<Blame> blames) {
        Plan plan = subject.plan();
        Blame first = blames.getFirst();
        Broken broken = first.story().orElseThrow();
        Place place = first.place();
        Found found = found(subject.severity(blames))
                .blaming(plan, blames)
                .with("story", broken.phrase(plan))
                .with("device", place.device())
                .with("place", new Fact.PartOf(place.device(), place.part()))
                .word("actual", place.aspect().word(broken.actual()))
                .word("meant", place.aspect().word(broken.meant()))
                .cause(reason.cause());
        switch (first.cause()) {
            case Cause.Unwritten unwritten -> {
                int last = Math.max(unwritten.memory(), lastLoaded(plan, place.device()));
                found.with("memory", unwritten.memory())
                        .with("last", last)
                        .mend("write", written(plan, place.device(), last));
            }
            case Cause.ReadByBefore before -> found.with("message", subject.words(before.message(), place.device()));
            default -> {}
        }
        return found.made();
    }

    /** With all memories up to one used that are not used yet. */
    private static NumberEdit written(Plan plan, DeviceId device, int last) {
        SortedSet<Integer> used = new TreeSet<>(plan.rig().memoriesInShow(device));
        IntStream.rangeClosed(1, last).forEach(used::add);
        return new NumberEdit.UseMemories(
                device,
                Numbers.text(used),
                Numbers.text(plan.rig().device(device).memories().taken()));
    }

    /** The last memory of a device that any switch or cue loads, from 1; 0 when none does. */
    private static int lastLoaded(Plan plan, DeviceId device) {
        List<PartId> memories = plan.rig()
                .model(device)
                .standing()
                .loading()
                .map(Loading::memories)
                .orElse(List.of());
        return Stream.concat(
                        plan.switches().assignments().stream().flatMap(a -> a.steps().stream()),
                        plan.book().cues().stream().flatMap(cue -> cue.steps().stream()))
                .filter(step -> step.device().equals(device))
                .mapToInt(step -> memories.indexOf(step.action().part()) + 1)
                .max()
                .orElse(0);
    }
}
