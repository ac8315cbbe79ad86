package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.songs.CueWords.Sung;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.sim.Verdict;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** A cue's messages do something else than its steps say. */
final class CueNotAsMeant implements Rule {

    private static final Set<Verdict> WRONG =
            EnumSet.of(Verdict.ALSO, Verdict.PART, Verdict.WRONG, Verdict.DEAD, Verdict.EVERY_OTHER);

    @Override
    public RuleInfo info() {
        return new RuleInfo("songs.not-as-meant", "A cue does something else");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return CueWords.cues(subject)
                .filter(sung -> WRONG.contains(sung.proof().verdict()))
                .map(sung -> finding(subject.plan(), sung));
    }

    private Finding finding(Plan plan, Sung sung) {
        List<String> places = sung.proof().wrongPlaces().stream()
                .map(place -> CueWords.words(plan, place))
                .toList();
        boolean also = sung.proof().verdict() == Verdict.ALSO;
        return new Finding(
                info(),
                also ? Severity.LOOK : Severity.STOPS,
                sung.where(),
                also
                        ? "It also moves %s.".formatted(Words.list(places))
                        : "%s %s not as it says.".formatted(Words.list(places), places.size() == 1 ? "is" : "are"),
                "The simulated rig, played this cue from two starts, comes out %s."
                        .formatted(also ? "with more than was meant" : "otherwise"),
                also
                        ? "Give each receiver a channel of its own, or choose another number."
                        : "Look at its way and at the settings of its boxes.",
                List.of(),
                Optional.empty(),
                sung.at());
    }
}
