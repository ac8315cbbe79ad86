package embrack.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Evening;
import embrack.core.Fault;
import embrack.core.ShowFaults;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Told;
import embrack.core.plan.Plan;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ShowRuleTests {

    private static Stream<Fault> faults() {
        return ShowFaults.all().stream();
    }

    private static List<Finding> found(Plan plan) {
        return Report.of(plan).findings();
    }

    @Test
    void anEveningOnWhichNothingIsWrongIsSilent() {
        assertThat(found(Evening.plan())).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("faults")
    void findsTheFaultAndNothingElseAndIsSilentOnceItIsMended(Fault fault) {
        List<Finding> found = found(fault.faulty());
        assertThat(found).extracting(Finding::code).containsOnly(fault.code());
        assertThat(found).anySatisfy(finding -> {
            Told told = Told.of(finding, fault.faulty());
            assertThat(List.of(finding.severity(), told.where())).isEqualTo(List.of(fault.severity(), fault.where()));
            assertThat(told.what()).contains(fault.what());
        });
        assertThat(found(fault.mended())).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("faults")
    void everyRemedySettlesItsFinding(Fault fault) {
        for (Finding finding : found(fault.faulty())) {
            for (Remedy remedy : finding.remedy().stream().toList()) {
                assertThat(found(remedy.edit().apply(fault.faulty())))
                        .as(remedy.name())
                        .doesNotContain(finding);
            }
        }
    }

    @Test
    void everyRuleAboutSongsAndOrdersIsTriedButThoseThatNeedAnotherRig() {
        assertThat(Catalogue.rules().stream()
                        .map(rule -> rule.info().code())
                        .filter(code -> code.startsWith("songs.") || code.startsWith("order."))
                        .collect(Collectors.toSet()))
                .containsAll(faults().map(Fault::code).toList())
                .hasSize(Math.toIntExact(faults().map(Fault::code).distinct().count()) + 3);
    }
}
