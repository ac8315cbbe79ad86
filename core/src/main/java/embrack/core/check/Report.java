package embrack.core.check;

import embrack.core.check.rule.Edited;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Halted;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.plan.Plan;
import embrack.core.proof.Sendings;
import embrack.core.show.SongId;
import embrack.core.sim.Blame;
import embrack.core.sim.BookProof;
import embrack.core.sim.BookProver;
import embrack.core.sim.ControlProof;
import embrack.core.sim.Diagnosis;
import embrack.core.sim.MakeSafe;
import embrack.core.sim.Proof;
import embrack.core.sim.Prover;
import embrack.core.sim.Verdict;
import embrack.core.sound.SoundPaths;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.way.Ways;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * All that can be said of a plan: what was proven and what was found.
 *
 * @param proofs a proof for every gesture that has steps, in order
 * @param safety the switches that make safe or stop all, each proven from every state
 * @param controlAssignments a proof for every treadle, fader and knob that moves a level, in order
 * @param book the proofs of its cues, and how the show runs
 * @param findings worst first
 * @param prover what is remembered of switches, for the next report
 * @param bookProver what is remembered of cues, for the next report on the same rig
 */
public record Report(
        Plan plan,
        List<Proof> proofs,
        List<MakeSafe> safety,
        List<ControlProof> controlAssignments,
        BookProof book,
        List<Finding> findings,
        Prover prover,
        BookProver bookProver) {

    /** Proves and checks a plan. */
    public static Report of(Plan plan) {
        return of(plan, Optional.empty());
    }

    /** As {@link #of(Plan)}, for a plan that somebody edited: what the edit did not touch is not proven again. */
    public static Report after(Report before, Plan plan) {
        if (plan.equals(before.plan)) {
            return before;
        }
        return of(plan, Optional.of(before));
    }

    private static Report of(Plan plan, Optional<Report> before) {
        Ways ways = before.filter(report -> report.plan.rig() == plan.rig())
                .map(report -> report.prover.ways())
                .orElseGet(() -> new Ways(plan.rig()));
        Sendings sendings = new Sendings(plan, ways, before.map(report -> report.prover.sendings()));
        Prover prover = new Prover(plan, ways, sendings, before.map(Report::prover));
        BookProver bookProver =
                before.map(report -> report.bookProver.on(ways, sendings)).orElseGet(() -> new BookProver(ways));
        List<Proof> proofs = prover.all();
        Map<SwitchAt, Verdict> pressed = new HashMap<>();
        proofs.stream()
                .filter(proof -> proof.moment() == Moment.PRESS)
                .forEach(proof -> pressed.put(proof.at(), proof.verdict()));
        BookProof book = bookProver
                .prove(plan, sendings)
                .withFeet(at -> Optional.ofNullable(pressed.get(at)))
                .withBreaks(prover.breaks());
        List<ControlProof> controls = prover.controlAssignments();
        List<Blame> blames = new Diagnosis(plan, ways).all(proofs, controls, book);
        SoundPaths sound = new SoundPaths(plan.rig());
        Subject subject = new Subject(
                plan, proofs, controls, book, blames, Halted.all(ways, proofs, controls, book), ways, sound);
        Optional<Edited> edited = before.map(report -> new Edited(report.plan, plan, sendings.change()));
        List<Finding> findings = Catalogue.rules().stream()
                .flatMap(rule -> edited.filter(rule::isLeftAlone).isPresent()
                        ? before.orElseThrow().found(rule)
                        : rule.check(subject))
                .sorted()
                .toList();
        return new Report(
                plan,
                subject.proofs(),
                prover.safety(),
                subject.controlAssignments(),
                subject.book(),
                findings,
                prover,
                bookProver);
    }

    private Stream<Finding> found(Rule rule) {
        String code = rule.info().code();
        return findings.stream().filter(finding -> finding.code().equals(code));
    }

    /** How many states decided about a switch, the most of any. */
    public int states() {
        return proofs.stream().mapToInt(Proof::states).max().orElse(0);
    }

    /** How many findings are that severe. */
    public int count(Severity severity) {
        return (int) findings.stream()
                .filter(finding -> finding.severity() == severity)
                .count();
    }

    public boolean stopsTheShow() {
        return count(Severity.STOPS) > 0;
    }

    /** The proof of a switch; of several gestures, the worst. */
    public Optional<Proof> proof(SwitchAt at) {
        return proofs(at).stream().reduce((a, b) -> b.verdict().compareTo(a.verdict()) > 0 ? b : a);
    }

    /** The proofs of a switch, one for each gesture that does something. */
    public List<Proof> proofs(SwitchAt at) {
        return proofs.stream().filter(proof -> proof.at().equals(at)).toList();
    }

    /** The proof of a treadle, fader or knob. */
    public Optional<ControlProof> proof(ControlAt at) {
        return controlAssignments.stream()
                .filter(proof -> proof.at().equals(at))
                .findFirst();
    }

    /** What mends its findings. */
    public Healing healing() {
        return new Healing(this, Integer.MAX_VALUE);
    }

    /**
     * What mends its findings, the first of them: of a large plan fewer tries are made, so that all of them together
     * take about as long as a few reports, whatever its size.
     */
    public Healing healingOfTheFirst() {
        int size = 1_000
                + 10 * plan.switches().assignments().size()
                + plan.book().cues().size();
        return new Healing(this, 6_000 / size);
    }

    /** What was found about a song and its cues. */
    public List<Finding> findings(SongId song) {
        return findings.stream().filter(finding -> finding.isAbout(song)).toList();
    }

    /** What was found about one switch. */
    public List<Finding> findings(SwitchAt at) {
        return findings.stream()
                .filter(finding -> finding.switches().contains(at))
                .toList();
    }
}
