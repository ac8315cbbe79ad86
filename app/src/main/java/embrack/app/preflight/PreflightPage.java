package embrack.app.preflight;

import embrack.app.frame.FindingView;
import embrack.app.frame.Mark;
import embrack.core.check.Report;
import embrack.core.midi.Wire;
import embrack.core.plan.Plan;
import embrack.core.sim.Proof;
import embrack.core.sim.Story;
import embrack.core.switches.Moment;
import java.util.List;

/** All that the preflight room shows. */
record PreflightPage(List<FindingView> findings, List<ProofRow> proofs, List<ControlRow> controls) {

    /** A switch with what was meant and what happens. */
    record ProofRow(String where, String label, String href, List<String> meant, List<String> happens, Mark mark, int messages, String worst) {
    }

    /** A treadle, fader or knob with what it moves. */
    record ControlRow(String where, String label, List<String> moves, Mark mark) {
    }

    static PreflightPage of(Report report, String path) {
        return new PreflightPage(report.findings().stream().map(FindingView::of).toList(),
                report.proofs().stream().map(proof -> row(report.plan(), proof, path)).toList(),
                report.travels().stream().map(proof -> new ControlRow(report.plan().words(proof.at()), proof.compiled().travel().label().map(Object::toString).orElse(""),
                        proof.compiled().travel().targets().stream().map(report.plan()::words).toList(), Mark.of(proof.verdict()))).toList());
    }

    private static ProofRow row(Plan plan, Proof proof, String path) {
        Story story = Story.of(plan, proof);
        return new ProofRow(plan.words(proof.at()) + (proof.moment() == Moment.PRESS ? "" : ", " + proof.moment().words()), plan.switches().at(proof.at()).label().map(Object::toString).orElse(""),
                "%s/switches/%s/%d/%d".formatted(path, proof.at().board(), proof.at().bank(), proof.at().number()),
                story.intended(), story.actual(), Mark.of(proof.verdict()), proof.messages(), Wire.millis(proof.worstMicros()));
    }
}
