package embrack.core.check;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Told;
import embrack.core.edit.InTurn;
import embrack.core.edit.Refused;
import embrack.core.plan.Plan;
import embrack.core.word.Language;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Tries what may mend findings on the whole plan, and keeps what does: the finding is settled, nothing that is as bad
 * comes up, and the plan is in better {@link Health}. Since health only ever gets better, taking what is offered
 * comes to an end, and no two remedies undo each other. What mends a finding and lets another come to light is offered
 * with what mends that.
 *
 * <p>Cost: a report after an edit for each remedy tried, at most eight a finding, and four more for each that lets one
 * come to light.
 */
public final class Healing {

    private static final int MOST_TRIED = 8;
    private static final int MOST_TRIED_THEN = 4;
    private static final int MOST_OFFERED = 3;

    private final Report report;
    private final Health before;
    private int left;

    Healing(Report report, int mostTries) {
        this.report = report;
        this.before = Health.of(report);
        this.left = mostTries;
    }

    /** A remedy of a finding. */
    public record Mend(Finding finding, Remedy remedy) {}

    /**
     * A remedy that was tried.
     *
     * @param remedy all of it, under the name of what is done first
     * @param first what mends the finding
     * @param then what mends the one that comes to light by that, if one does
     * @param isClean whether nothing more than a note comes up by it
     * @param settled how many findings fewer there are with it
     */
    public record Healed(Remedy remedy, Mend first, Optional<Mend> then, Health health, boolean isClean, int settled) {

        /** The finding in words, with this remedy; {@code plan} is the one in which it was found. */
        public Told told(Plan plan, Language language) {
            Told told = told(first, plan, language);
            return then.map(next -> told.then(told(next, first.remedy().edit().apply(plan), language), language))
                    .orElse(told);
        }

        private static Told told(Mend mend, Plan plan, Language language) {
            return Told.of(mend.finding(), Optional.of(mend.remedy()), plan, language);
        }
    }

    /** A finding in words, with the best that mends it. */
    public Told told(Finding finding, Language language) {
        return of(finding).stream()
                .findFirst()
                .map(healed -> healed.told(report.plan(), language))
                .orElseGet(() -> Told.of(finding, report.plan(), language));
    }

    /**
     * What mends a finding, the healthiest outcome first; of equals the one that its rule names first. What lets
     * something else to look at come up, and other hardware, only where nothing else mends it.
     */
    public List<Healed> of(Finding finding) {
        List<Healed> healed = new ArrayList<>();
        finding.remedies()
                .all()
                .limit(MOST_TRIED)
                .filter(remedy -> !remedy.isOtherHardware() || healed.stream().noneMatch(Healed::isClean))
                .forEach(remedy -> healed(new Mend(finding, remedy)).ifPresent(healed::add));
        if (healed.stream().anyMatch(Healed::isClean)) {
            healed.removeIf(each -> !each.isClean());
        }
        healed.sort(Comparator.comparing(Healed::health)
                .thenComparing(each -> each.then().isPresent()));
        return List.copyOf(healed.subList(0, Math.min(MOST_OFFERED, healed.size())));
    }

    /** The best that mends a finding. */
    public Optional<Remedy> best(Finding finding) {
        return of(finding).stream().findFirst().map(Healed::remedy);
    }

    private Optional<Healed> healed(Mend first) {
        Optional<Report> after = after(report, first.remedy());
        Optional<Healed> at = after.flatMap(done -> healed(first, Optional.empty(), first.remedy(), done));
        return at.isPresent() ? at : after.flatMap(done -> thenHealed(first, done));
    }

    /** With what mends the one finding that came to light. */
    private Optional<Healed> thenHealed(Mend first, Report after) {
        Set<Finding> known = new HashSet<>(report.findings());
        List<Finding> arisen = after.findings().stream()
                .filter(found -> !known.contains(found))
                .toList();
        if (arisen.size() != 1 || after.findings().contains(first.finding())) {
            return Optional.empty();
        }
        return arisen.getFirst()
                .remedies()
                .all()
                .limit(MOST_TRIED_THEN)
                .flatMap(remedy -> {
                    var then = new Mend(arisen.getFirst(), remedy);
                    Remedy both = new Remedy(
                            first.remedy().name(),
                            first.remedy().facts(),
                            new InTurn(List.of(first.remedy().edit(), remedy.edit())));
                    return after(after, remedy).flatMap(done -> healed(first, Optional.of(then), both, done)).stream();
                })
                .findFirst();
    }

    private Optional<Report> after(Report from, Remedy remedy) {
        if (left-- <= 0) {
            return Optional.empty();
        }
        try {
            return Optional.of(Report.after(from, remedy.edit().apply(from.plan())));
        } catch (Refused e) {
            return Optional.empty(); // what cannot be done mends nothing
        }
    }

    private Optional<Healed> healed(Mend first, Optional<Mend> then, Remedy remedy, Report after) {
        Health health = Health.of(after);
        boolean isSettled = !after.findings().contains(first.finding())
                && said(after, first.finding()) < said(report, first.finding());
        List<Severity> more = after.findings().stream()
                .filter(finding -> said(after, finding) > said(report, finding))
                .map(Finding::severity)
                .toList();
        boolean isHarmless = more.stream()
                .noneMatch(severity -> severity.compareTo(first.finding().severity()) <= 0);
        return isSettled && isHarmless && health.compareTo(before) < 0
                ? Optional.of(new Healed(
                        remedy,
                        first,
                        then,
                        health,
                        !more.contains(Severity.STOPS) && !more.contains(Severity.LOOK),
                        report.findings().size() - after.findings().size()))
                : Optional.empty();
    }

    /** How often a report says what a finding says, of whatever. */
    private static long said(Report report, Finding finding) {
        return report.findings().stream()
                .filter(other -> other.rule().equals(finding.rule()) && other.severity() == finding.severity())
                .count();
    }
}
