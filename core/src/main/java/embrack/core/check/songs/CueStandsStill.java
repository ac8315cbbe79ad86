package embrack.core.check.songs;

import embrack.core.chart.Verb;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.CueEdit;
import embrack.core.plan.Plan;
import embrack.core.proof.Lack;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import embrack.core.sim.ShowRun.Still;
import embrack.core.switches.Step;
import embrack.core.word.Fact;
import java.util.List;
import java.util.stream.Stream;

/** A cue starts something that stands still without something else: a chase without its auto-run. */
final class CueStandsStill implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "stands-still");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.book().run().stills().stream()
                .filter(still -> still.lack() == Lack.STANDS_STILL)
                .filter(still -> subject.plan()
                        .book()
                        .cue(still.song(), still.cue(), still.always())
                        .isPresent())
                .map(still -> finding(subject.plan(), still));
    }

    private Finding finding(Plan plan, Still still) {
        Song song = plan.book().song(still.song());
        return found(Severity.STOPS)
                .with(
                        "at",
                        Fact.of(
                                song,
                                plan.book()
                                        .cue(still.song(), still.cue(), still.always())
                                        .orElseThrow()))
                .with("place", new Fact.PartOf(still.device(), still.part()))
                .with("need", new Fact.PartOf(still.device(), still.need()))
                .mend(() -> plan.rig().chart(still.device()).actions().stream()
                        .filter(action -> action.part().equals(still.need())
                                && (action.verb() == Verb.ON || action.verb() == Verb.TOGGLE))
                        .limit(still.always() ? 0 : 2)
                        .map(action -> new Remedy(
                                "add",
                                new CueEdit.AddToCue(
                                        song.id(), still.cue(), List.of(new Step(still.device(), action))))))
                .in(List.of(still.always() ? CueAt.whole(song.id()) : new CueAt(song.id(), still.cue())))
                .made();
    }
}
