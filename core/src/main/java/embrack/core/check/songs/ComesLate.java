package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.check.songs.CueWords.Sung;
import embrack.core.edit.CueEdit;
import embrack.core.sim.BookProver;
import embrack.core.sim.Prover;
import embrack.core.sim.Verdict;
import java.util.Optional;
import java.util.stream.Stream;

/** What a cue does comes later than its beat, so that people see it. */
final class ComesLate implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "late");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return CueWords.cues(subject)
                .filter(sung -> sung.proof().verdict() == Verdict.LATE)
                .map(this::finding);
    }

    private Finding finding(Sung sung) {
        long worst = sung.proof().worstMicros() - sung.proof().leadMicros();
        long usual = Math.min(sung.proof().usualMicros(), BookProver.MAX_LEAD_MICROS);
        boolean helps =
                !sung.cue().early() && sung.proof().micros().isPresent() && worst - usual <= Prover.LATEST_MICROS;
        Optional<Remedy> remedy = helps
                ? Optional.of(new Remedy(
                        "early",
                        new CueEdit.SendEarly(sung.song().id(), sung.cue().number(), true)))
                : Optional.empty();
        return found(Severity.LOOK)
                .with("at", sung.moment())
                .with("takes", worst)
                .with("limit", Prover.LATEST_MICROS / 1_000)
                .with("usual", usual)
                .mend(remedy)
                .in(sung.at())
                .made();
    }
}
