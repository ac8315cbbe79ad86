package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.check.songs.CueWords.Sung;
import embrack.core.sim.Verdict;
import embrack.core.word.Fact;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** A cue's messages do something else than its steps say. */
final class CueNotAsMeant implements Rule {

    private static final Set<Verdict> WRONG =
            EnumSet.of(Verdict.ALSO, Verdict.PART, Verdict.NOT_KNOWN, Verdict.WRONG, Verdict.DEAD, Verdict.EVERY_OTHER);

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "not-as-meant");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return CueWords.cues(subject)
                .filter(sung -> sung.proof().cue().foot().isEmpty()
                        && !sung.proof().steps().isEmpty()
                        && WRONG.contains(sung.proof().verdict()))
                .map(sung -> finding(sung));
    }

    private Finding finding(Sung sung) {
        List<Fact> places = sung.proof().wrongPlaces().stream()
                .<Fact>map(place -> new Fact.PartOf(place.device(), place.part()))
                .toList();
        boolean also = sung.proof().verdict() == Verdict.ALSO;
        return found(also ? Severity.LOOK : Severity.STOPS)
                .with("at", sung.moment())
                .cause(also ? "also" : sung.proof().verdict() == Verdict.NOT_KNOWN ? "comes-round" : "otherwise")
                .with("places", places)
                .in(sung.at())
                .made();
    }
}
