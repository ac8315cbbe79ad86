package embrack.app.preflight;

import embrack.app.frame.FindingView;
import embrack.app.frame.Mark;
import embrack.core.check.Report;
import embrack.core.midi.Wire;
import embrack.core.plan.Plan;
import embrack.core.sim.Proof;
import embrack.core.sim.Story;
import java.util.List;

/** All that the preflight room shows. */
record PreflightPage(List<FindingView> findings, List<ProofRow> proofs) {

    /** A switch with what was meant and what happens. */
    record ProofRow(String where, String label, String href, List<String> meant, List<String> happens, Mark mark, int messages, String worst) {
    }

    static PreflightPage of(Report report, String path) {
        return new PreflightPage(report.findings().stream().map(FindingView::of).toList(),
                report.proofs().stream().map(proof -> row(report.plan(), proof, path)).toList());
    }

    private static ProofRow row(Plan plan, Proof proof, String path) {
        Story story = Story.of(plan, proof);
        return new ProofRow(plan.words(proof.at()), plan.switches().at(proof.at()).label().map(Object::toString).orElse(""),
                "%s/switches/%s/%d/%d".formatted(path, proof.at().board(), proof.at().bank(), proof.at().number()),
                story.intended(), story.actual(), Mark.of(proof.verdict()), proof.compiled().sent().size(), Wire.millis(proof.worstMicros()));
    }
}
