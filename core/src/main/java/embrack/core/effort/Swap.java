package embrack.core.effort;

import embrack.core.check.Impact;
import embrack.core.check.Report;
import embrack.core.edit.Edit;
import embrack.core.edit.FloorEdit;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Model;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sheet.Progress;
import embrack.core.sheet.Section;
import embrack.core.sheet.Sheet;
import embrack.core.sheet.Sheets;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.Assignment;
import java.util.ArrayList;
import java.util.List;

/**
 * What it takes to have other hardware do the job of a box that died.
 *
 * @param edit what makes the plan so
 * @param fits switches and controls that do as they should afterwards
 * @param lost what does not fit, each a sentence
 * @param sheets what to program now, in the order to do it
 * @param work how many lines that is, and how long it takes
 */
public record Swap(Edit edit, Plan after, int fits, List<String> lost, List<Sheet> sheets, Work work) {

    public Swap {
        lost = List.copyOf(lost);
        sheets = List.copyOf(sheets);
    }

    /**
     * The swap for other hardware.
     *
     * @param secondsEach how long a line takes to program, s
     * @throws embrack.core.edit.Refused when the hardware cannot do the job at all
     */
    public static Swap of(Plan plan, DeviceId dead, Model model, int secondsEach) {
        return of(plan, dead, dead, edit(dead, model), secondsEach);
    }

    /** The swap for another board of the rig, which has to do both jobs from then on. */
    public static Swap of(Plan plan, DeviceId dead, DeviceId other, int secondsEach) {
        return of(plan, dead, other, edit(dead, other), secondsEach);
    }

    /** What has other hardware do the job. */
    public static Edit edit(DeviceId dead, Model model) {
        return model.board().isPresent()
                ? new FloorEdit.OtherBoard(dead, model)
                : new GearEdit.SwapHardware(dead, model);
    }

    /** What has another board of the rig do both jobs. */
    public static Edit edit(DeviceId dead, DeviceId other) {
        return new FloorEdit.TakeOver(dead, other);
    }

    private static Swap of(Plan plan, DeviceId dead, DeviceId now, Edit edit, int secondsEach) {
        Plan after = edit.apply(plan);
        Report report = Report.of(after);
        List<Progress.Tick> programmed = Progress.allOf(Sheets.of(Report.of(plan))).stream()
                .filter(tick -> !now.equals(dead) || !tick.key().startsWith(dead + "/"))
                .toList();
        List<Sheet> left = Progress.of(Sheets.of(report), programmed).left().stream()
                .filter(sheet -> sheet.job() == Sheet.Job.PROGRAM || sheet.job() == Sheet.Job.LEARN)
                .map(sheet -> sheet.only(Section.Line::isWork))
                .toList();
        int lines = left.stream()
                .flatMap(Sheet::lines)
                .map(Section.Line::key)
                .distinct()
                .toList()
                .size();
        int fits = (int) report.proofs().stream()
                .filter(proof -> proof.at().board().equals(now) && Swap.isRight(proof))
                .count();
        return new Swap(edit, after, fits, lost(plan, after, report, dead, now), left, new Work(lines, secondsEach));
    }

    private static boolean isRight(Proof proof) {
        return proof.verdict().compareTo(Verdict.LATE) <= 0;
    }

    private static List<String> lost(Plan before, Plan after, Report report, DeviceId dead, DeviceId now) {
        List<String> lost = new ArrayList<>(Impact.lost(before, after));
        int planned = (int)
                before.switches().of(dead).stream().filter(a -> !a.isBlank()).count();
        int kept = (int)
                (after.switches().of(now).stream().filter(a -> !a.isBlank()).count()
                        - (now.equals(dead)
                                ? 0
                                : before.switches().of(now).stream()
                                        .filter(a -> !a.isBlank())
                                        .count()));
        if (kept < planned) {
            List<Assignment> homeless =
                    before.switches().of(dead).stream().skip(kept).toList();
            lost.add("%d of %d switches find no room, among them %s."
                    .formatted(
                            planned - kept,
                            planned,
                            homeless.getLast().label().map(Object::toString).orElse("the last")));
        }
        int controls = before.switches().travelsOf(dead).size()
                - after.switches().travelsOf(dead).size();
        if (controls > 0) {
            lost.add("It has no place for %d of the expression pedals, faders and knobs.".formatted(controls));
        }
        report.proofs().stream()
                .filter(proof -> proof.at().board().equals(now) && !isRight(proof))
                .forEach(proof -> lost.add("%s: %s."
                        .formatted(after.words(proof.at()), proof.verdict().words())));
        return lost;
    }
}
