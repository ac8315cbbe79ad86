package embrack.core.check.songs;

import embrack.core.check.remedy.MissingLink;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Halted;
import embrack.core.check.rule.Remedies;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.Obstacle;
import embrack.core.edit.NumberEdit;
import embrack.core.plan.Plan;
import embrack.core.show.Book;
import embrack.core.show.CueAt;
import embrack.core.word.Fact;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A player cannot make a device do what a cue says; one finding for each reason, however many cues it stops. */
final class NotSent implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "not-sent");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.haltedBesideSwitches()
                .flatMap(group -> group.stream()
                        .filter(each -> each.cue().isPresent())
                        .collect(Collectors.groupingBy(Halted::sender, LinkedHashMap::new, Collectors.toList()))
                        .values()
                        .stream()
                        .map(halted -> finding(subject.plan(), halted)));
    }

    private Found stopped(Obstacle obstacle) {
        Found found = found(Severity.STOPS);
        return switch (obstacle) {
            case Obstacle.NothingLearned learned -> found.cause("nothing-learned");
            case Obstacle.NoPath path -> found.cause("no-path");
            default -> found.cause("no-chart-line");
        };
    }

    private static Remedies remedies(Plan plan, Halted halted) {
        return switch (halted.obstacle()) {
            case Obstacle.NothingLearned learned ->
                Remedies.of(new Remedy("choose-number", new NumberEdit.ChooseNumbers()));
            case Obstacle.NoPath path -> MissingLink.between(plan.rig(), halted.sender(), halted.device());
            default -> Remedies.NONE;
        };
    }

    private Finding finding(Plan plan, List<Halted> halted) {
        Halted one = halted.getFirst();
        Book book = plan.book();
        List<CueAt> cues =
                halted.stream().flatMap(each -> each.cue().stream()).distinct().toList();
        CueAt first = cues.getFirst();
        return stopped(one.obstacle())
                .mend(remedies(plan, one))
                .with("player", one.sender())
                .with("device", one.device())
                .with("devices", halted.stream().map(Halted::device).distinct().toList())
                .with(
                        "at",
                        Fact.of(
                                book.song(first.song()),
                                book.cue(first.song(), first.number(), false).orElseThrow()))
                .with("cues", cues.size())
                .with("songs", cues.stream().map(CueAt::song).distinct().toList())
                .in(cues)
                .made();
    }
}
