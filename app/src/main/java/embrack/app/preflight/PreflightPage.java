package embrack.app.preflight;

import embrack.app.frame.FindingView;
import embrack.app.frame.Mark;
import embrack.app.frame.Spoken;
import embrack.app.frame.Stretch;
import embrack.core.check.Report;
import embrack.core.midi.Wire;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.sim.CueProof;
import embrack.core.sim.MakeSafe;
import embrack.core.sim.Proof;
import embrack.core.sim.SongProof;
import embrack.core.sim.Story;
import embrack.core.sim.Verdict;
import embrack.core.switches.Moment;
import java.math.BigInteger;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** All that the preflight room shows. */
record PreflightPage(
        Stretch<FindingView> findings,
        String states,
        List<SafeRow> safety,
        Matrix matrix,
        Stretch<Matrix.Row> rows,
        List<ProofRow> proofs,
        List<ControlRow> controls,
        Stretch<SongRow> songs,
        String run) {

    /** As many rows as a page shows of a list at once. */
    private static final int MOST = 60;

    /** Which finding, row of the matrix and song is to be seen, each from 1. */
    record At(int finding, int row, int song) {}

    /** A switch that makes safe or stops all, and what is proven of it. */
    record SafeRow(String label, String href, String says, Mark mark) {}

    /** A switch with what was meant and what happens. */
    record ProofRow(
            String where,
            String label,
            String href,
            List<String> meant,
            List<String> happens,
            Mark mark,
            int messages,
            String worst) {}

    /** A treadle, fader or knob with what it moves. */
    record ControlRow(String where, String label, List<String> moves, Mark mark) {}

    /** A song with how many of its cues are what; {@code worst} of all of them. */
    record SongRow(String title, String href, int cues, List<Tally> tallies, String worst) {}

    /** How many cues have one verdict. */
    record Tally(Mark mark, int cues) {}

    static PreflightPage of(Report report, At at, String path) {
        Matrix matrix = Matrix.of(report, path);
        return new PreflightPage(
                Stretch.of(
                        FindingView.all(report.findings().stream(), report.plan()),
                        at.finding(),
                        MOST,
                        path + "/preflight?finding="),
                states(report),
                report.safety().stream()
                        .map(safe -> safe(report.plan(), safe, path))
                        .toList(),
                matrix,
                Stretch.of(matrix.rows(), at.row(), MOST, path + "/preflight?row="),
                report.proofs().stream()
                        .map(proof -> row(report.plan(), proof, path))
                        .toList(),
                report.controlAssignments().stream()
                        .map(proof -> new ControlRow(
                                report.plan().words(proof.at()),
                                proof.compiled()
                                        .controlAssignment()
                                        .label()
                                        .map(Object::toString)
                                        .orElse(""),
                                proof.compiled().controlAssignment().targets().stream()
                                        .map(report.plan()::words)
                                        .toList(),
                                Mark.of(proof.verdict())))
                        .toList(),
                Stretch.of(
                        report.book().songs().stream()
                                .filter(song -> !song.cues().isEmpty())
                                .map(song -> row(song, path))
                                .toList(),
                        at.song(),
                        MOST,
                        path + "/preflight?song="),
                report.book().songs().isEmpty()
                        ? ""
                        : ("The show was run in its order, and again with %s: songs left out, sections played "
                                        + "twice, songs begun again.")
                                .formatted(Words.count(report.book().run().jumps(), "jump")));
    }

    private static String states(Report report) {
        long right = report.proofs().stream()
                .filter(proof -> proof.verdict().isRight())
                .count();
        return report.proofs().isEmpty()
                ? ""
                : "%s of %s %s whatever was pressed before. The hardest was looked at in %s."
                        .formatted(
                                right,
                                Words.count(report.proofs().size(), "gesture"),
                                right == 1 ? "holds" : "hold",
                                Words.count(report.states(), "state"));
    }

    private static SafeRow safe(Plan plan, MakeSafe safe, String path) {
        String label =
                plan.switches().at(safe.at()).label().map(Object::toString).orElse(plan.words(safe.at()));
        String from = "%s%,d %s"
                .formatted(
                        safe.whole() ? "" : "more than ",
                        safe.states(),
                        safe.states().equals(BigInteger.ONE) ? "state" : "states");
        return new SafeRow(
                label,
                "%s/switches/%s/%d/%s"
                        .formatted(
                                path,
                                safe.at().board(),
                                safe.at().bank(),
                                safe.at().place()),
                says(plan, safe, from),
                Mark.of(safe.verdict()));
    }

    private static String says(Plan plan, MakeSafe safe, String from) {
        if (safe.verdict() == Verdict.NO_WAY) {
            return safe.broken().isPresent()
                    ? "A step of it does not get to its box: what is going on there goes on."
                    : "A step of it does not get to its box. What it reaches comes where it belongs, from each of %s."
                            .formatted(from);
        }
        return safe.broken().isPresent()
                ? "One press is not enough: %s."
                        .formatted(Spoken.of(plan).say(safe.broken().get().phrase(plan)))
                : "One press brings %s where they belong, from each of %s."
                        .formatted(Words.count(safe.parts(), "part"), from);
    }

    private static SongRow row(SongProof song, String path) {
        Map<Verdict, Integer> counts = new TreeMap<>();
        song.cues().forEach(cue -> counts.merge(cue.verdict(), 1, Integer::sum));
        return new SongRow(
                song.song().title().text(),
                "%s/songs/%s".formatted(path, song.song().id()),
                song.cues().size(),
                counts.entrySet().stream()
                        .map(e -> new Tally(Mark.of(e.getKey()), e.getValue()))
                        .toList(),
                Wire.millis(song.cues().stream()
                        .mapToLong(CueProof::worstMicros)
                        .max()
                        .orElse(0)));
    }

    private static ProofRow row(Plan plan, Proof proof, String path) {
        Story story = Story.of(plan, proof);
        return new ProofRow(
                plan.words(proof.at())
                        + (proof.moment() == Moment.PRESS
                                ? ""
                                : ", " + proof.moment().words()),
                plan.switches().at(proof.at()).label().map(Object::toString).orElse(""),
                "%s/switches/%s/%d/%s"
                        .formatted(
                                path,
                                proof.at().board(),
                                proof.at().bank(),
                                proof.at().place()),
                story.intended(),
                story.actual(),
                Mark.of(proof.verdict()),
                proof.messages(),
                Wire.millis(proof.worstMicros()));
    }
}
