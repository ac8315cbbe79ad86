package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.songs.CueWords.Sung;
import embrack.core.edit.CueEdit;
import embrack.core.midi.Wire;
import embrack.core.sim.BookProver;
import embrack.core.sim.Prover;
import embrack.core.sim.Verdict;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What a cue does comes later than its beat, so that people see it. */
final class ComesLate implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("songs.late", "A cue comes late");
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
                        "Send it early",
                        new CueEdit.SendEarly(sung.song().id(), sung.cue().number(), true)))
                : Optional.empty();
        return new Finding(
                info(),
                Severity.LOOK,
                sung.where(),
                "It may take %s.".formatted(Wire.millis(worst)),
                "A change later than %d ms is seen to be late (common practice, no source)."
                        .formatted(Prover.LATEST_MICROS / 1_000),
                helps
                        ? "Send it ahead by what its way usually takes, %s.".formatted(Wire.millis(usual))
                        : "Shorten its way: smaller buffers, a cable, fewer messages at once.",
                List.of(),
                remedy,
                sung.at());
    }
}
