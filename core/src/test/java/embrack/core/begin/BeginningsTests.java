package embrack.core.begin;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.chart.Verb;
import embrack.core.check.Report;
import embrack.core.check.rule.Severity;
import embrack.core.edit.SwitchEdit;
import embrack.core.name.TapeLabel;
import embrack.core.offer.Offer;
import embrack.core.offer.Offers;
import embrack.core.plan.Plan;
import embrack.core.sim.Verdict;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.way.Ways;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Each way to begin from is joined, and what a switch of it is told to do is proven at once. */
class BeginningsTests {

    private static final Plan EMPTY = Plan.empty(new TapeLabel("Empty"));

    static List<Beginning> ways() {
        return Beginnings.all();
    }

    @Test
    void thereAreFourteenAndNoTwoAreCalledAlike() {
        assertThat(ways()).hasSize(14);
        assertThat(ways()).extracting(Beginning::key).doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @MethodSource("ways")
    void nothingStopsTheShowAndWhatIsPressedFirstIsProven(Beginning way) {
        Plan begun = way.edit().apply(EMPTY);
        Ways ways = new Ways(begun.rig());
        assertThat(way.joins())
                .isNotEmpty()
                .allSatisfy(join ->
                        assertThat(ways.between(join.sender(), join.receiver())).isPresent());
        assertThat(Report.of(begun).findings())
                .filteredOn(finding -> finding.severity() == Severity.STOPS)
                .extracting(Object::toString)
                .isEmpty();
        for (Beginning.Join join : way.joins()) {
            for (SwitchAt at :
                    begun.pressedOn(join.sender(), 1).stream().limit(1).toList()) {
                Set<Verb> verbs = EnumSet.noneOf(Verb.class);
                assertThat(new Offers(begun)
                                .find(at, "").stream()
                                        .filter(offer -> offer.step().device().equals(join.receiver()))
                                        .filter(offer ->
                                                verbs.add(offer.step().action().verb()))
                                        .map(offer -> verdict(begun, at, offer)))
                        .as("%s", join)
                        .containsAnyOf(Verdict.EXACT, Verdict.LATE);
            }
        }
    }

    private static Verdict verdict(Plan plan, SwitchAt at, Offer offer) {
        Plan pressed = new SwitchEdit.AddSteps(at, Moment.PRESS, offer.steps()).apply(plan);
        return Report.of(pressed).proof(at).orElseThrow().verdict();
    }
}
