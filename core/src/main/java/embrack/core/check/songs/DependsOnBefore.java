package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.proof.Broken;
import embrack.core.proof.Doing;
import embrack.core.show.CueAt;
import embrack.core.sim.CueBreak;
import embrack.core.word.Fact;
import java.util.stream.Stream;

/** A cue does what it says in the order of the show, and something else after a press that can come at any time. */
final class DependsOnBefore implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "depends-on-before");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.book().breaks().stream()
                .filter(each -> isRightElse(subject, each))
                .map(each -> finding(subject, each));
    }

    /** Whether nothing worse is said of the cue already. */
    private static boolean isRightElse(Subject subject, CueBreak each) {
        CueAt first = each.cues().getFirst();
        return each.broken().last() instanceof Doing.Cue cue
                && subject.book().song(first.song()).stream()
                        .flatMap(song -> (cue.always() ? song.always() : song.cues()).stream())
                        .filter(proof -> proof.cue().number() == cue.number())
                        .allMatch(proof -> proof.verdict().isRight());
    }

    private static Fact moment(Subject subject, Doing.Cue cue) {
        return subject.plan()
                .book()
                .cue(cue.song(), cue.number(), cue.always())
                .map(found -> Fact.of(CueWords.song(subject, cue.song()), found))
                .orElseGet(() -> new Fact.SongOf(cue.song()));
    }

    private Finding finding(Subject subject, CueBreak each) {
        Broken broken = each.broken();
        return found(Severity.LOOK)
                .with("at", moment(subject, (Doing.Cue) broken.last()))
                .with("story", broken.phrase(subject.plan()))
                .with(
                        "place",
                        new Fact.PartOf(broken.place().device(), broken.place().part()))
                .word("meant", broken.place().aspect().word(broken.meant()))
                .word("actual", broken.place().aspect().word(broken.actual()))
                .with("cues", each.cues().size())
                .in(each.cues())
                .made();
    }
}
