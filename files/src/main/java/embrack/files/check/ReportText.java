package embrack.files.check;

import embrack.core.check.Healing;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Told;
import embrack.core.midi.Wire;
import embrack.core.name.Words;
import embrack.core.sim.ControlProof;
import embrack.core.sim.Proof;
import embrack.core.switches.Moment;
import embrack.core.word.Language;
import java.util.Locale;

/** A report for a person at a terminal. */
final class ReportText {

    private ReportText() {}

    static String of(Report report, Language language) {
        var text = new StringBuilder("%s: %s, %s, %s\n"
                .formatted(
                        report.plan().rig().name(),
                        report.stopsTheShow()
                                ? Words.count(report.count(Severity.STOPS), "finding") + " to stop the show"
                                : "nothing stops the show",
                        report.count(Severity.LOOK) + " to look at",
                        Words.count(report.count(Severity.NOTE), "note")));
        Healing healing = report.healingOfTheFirst();
        for (Finding finding : report.findings()) {
            Told told = healing.told(finding, language);
            text.append("\n%s  %s  [%s]\n  %s\n  %s\n  %s\n"
                    .formatted(
                            finding.severity().words().toUpperCase(Locale.ROOT),
                            told.where(),
                            finding.code(),
                            told.what(),
                            told.why(),
                            told.fix()));
        }
        text.append("\n");
        for (Proof proof : report.proofs()) {
            text.append("%-11s  %s%s  (%s, %s)\n"
                    .formatted(
                            proof.verdict().words(),
                            report.plan().words(proof.at()),
                            gesture(proof),
                            Words.count(proof.messages(), "message"),
                            Wire.millis(proof.worstMicros())));
        }
        for (ControlProof proof : report.controlAssignments()) {
            text.append("%-11s  %s  (%s)\n"
                    .formatted(
                            proof.verdict().words(),
                            report.plan().words(proof.at()),
                            Words.count(proof.compiled().targets().size(), "level")));
        }
        report.book()
                .songs()
                .forEach(song -> song.cues().stream()
                        .filter(cue -> cue.cue().foot().isEmpty())
                        .forEach(cue -> text.append("%-11s  %s, %s  (%s, %s)\n"
                                .formatted(
                                        cue.verdict().words(),
                                        song.song().title(),
                                        cue.cue().at().text(song.song().form().tempoMap()),
                                        Words.count(cue.messages().size(), "message"),
                                        Wire.millis(cue.worstMicros())))));
        return text.toString();
    }

    /** What is done with the switch, where that is not a press. */
    static String gesture(Proof proof) {
        return proof.moment() == Moment.PRESS ? "" : ", " + proof.moment().words();
    }
}
