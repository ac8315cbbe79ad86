package embrack.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Evening;
import embrack.core.Fault;
import embrack.core.ShowFaults;
import embrack.core.Sketch;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Told;
import embrack.core.edit.CueEdit;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.SongId;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ShowRuleTests {

    static Stream<Fault> faults() {
        return ShowFaults.all().stream();
    }

    private static List<Finding> found(Plan plan) {
        return Report.of(plan).findings();
    }

    @Test
    void anEveningOnWhichNothingIsWrongIsSilent() {
        assertThat(found(Evening.plan())).isEmpty();
    }

    /** What a recorded message does is all that can be meant by it. */
    @Test
    void aRecordedMessageThatAChartExplainsIsAsMeant() {
        Sketch sketch = Evening.sketch();
        Cue recorded = new Cue(
                90,
                Optional.empty(),
                Anchor.parse("20|1", sketch.songOf("ebb").form()),
                List.of(),
                List.of(new Message.ProgramChange(new Channel(5), 0)),
                Optional.empty(),
                false,
                false);
        sketch.edit(new CueEdit.AddCues(new SongId("ebb"), List.of(recorded)));
        assertThat(found(sketch.plan())).extracting(Finding::code).doesNotContain("songs.depends-on-before");
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
        Healing healing = Report.of(fault.faulty()).healing();
        for (Finding finding : found(fault.faulty())) {
            for (Remedy remedy : healing.best(finding).stream().toList()) {
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
                .containsAll(tried().toList())
                .hasSize(Math.toIntExact(tried().distinct().count()) + 3);
    }

    private static Stream<String> tried() {
        return faults().map(Fault::code).filter(code -> code.startsWith("songs.") || code.startsWith("order."));
    }
}
