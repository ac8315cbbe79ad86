package embrack.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.MuteBoard;
import embrack.core.chart.Action;
import embrack.core.chart.PartId;
import embrack.core.check.Report;
import embrack.core.gear.PortId;
import embrack.core.gear.Purpose;
import embrack.core.gear.library.Library;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Language;
import embrack.core.word.Wording;
import embrack.core.world.Happened;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.EdgeCasesMode;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** Whatever people do to a plan in whatever order, it stays whole, and what is wrong with it is said. */
class EditPropertyTests {

    @Property(tries = 300, edgeCases = EdgeCasesMode.NONE)
    void everyEditIsMadeOrRefusedAndTheReportExplainsEverySwitch(@ForAll("edits") List<Edit> edits) {
        Plan plan = MuteBoard.plan();
        Report report = Report.of(plan);
        for (Edit edit : edits) {
            try {
                Plan next = edit.apply(plan);
                assertThat(Wording.without(Language.ENGLISH).say(edit.summary(plan)))
                        .isNotBlank();
                plan = next;
                report = Report.after(report, plan);
            } catch (Refused refused) {
                assertThat(refused.words()).isNotBlank();
            }
        }
        assertThat(report).isEqualTo(Report.of(plan));
        for (Proof proof : report.proofs()) {
            assertThat(report.findings(proof.at()).stream()
                            .allMatch(finding -> finding.code().equals("switches.undoes-itself")))
                    .as(proof.verdict() + " at " + proof.at())
                    .isEqualTo(proof.verdict() == Verdict.EXACT);
            assertThat(proof.trace()).extracting(Happened::atMicros).isSorted();
            assertThat(proof.compiled().sent())
                    .hasSizeLessThanOrEqualTo(plan.board(proof.at()).messagesPerPress());
        }
    }

    @Provide
    Arbitrary<List<Edit>> edits() {
        Arbitrary<DeviceId> devices =
                Arbitraries.of("voice-board", "vocal-mixer", "box", "spare").map(DeviceId::new);
        Arbitrary<String> names = Arbitraries.of("Box", "Spare", "Vocal mixer", "", "<i>", "Main", "Ændring");
        Arbitrary<Socket> sockets = Combinators.combine(
                        devices, Arbitraries.of("in", "out", "thru").map(PortId::new))
                .as(Socket::new);
        Arbitrary<PartId> parts = Arbitraries.of("input-1", "input-2", "main", "return-1", "bus-9")
                .map(PartId::new);
        Arbitrary<Step> steps = Combinators.combine(devices, Arbitraries.of("mute", "open", "toggle-mute"), parts)
                .as((device, verb, part) -> new Step(device, Action.parse(verb + ":" + part)));
        Arbitrary<SwitchAt> switches = Combinators.combine(
                        Arbitraries.of("voice-board", "box", "spare").map(DeviceId::new),
                        Arbitraries.integers().between(1, 5),
                        Arbitraries.integers().between(1, 5))
                .as(SwitchAt::new);
        Arbitrary<Edit> edit = Arbitraries.oneOf(List.of(
                Combinators.combine(names, Arbitraries.of(Library.all())).as(GearEdit.AddDevice::new),
                Combinators.combine(devices, names).as(GearEdit.RenameDevice::new),
                Combinators.combine(devices, Arbitraries.of(true, false)).as(GearEdit.RemoveDevice::new),
                Combinators.combine(devices, Arbitraries.of(Library.all())).as(GearEdit.SwapHardware::new),
                Combinators.combine(
                                devices,
                                Arbitraries.of(Purpose.RECEIVE_CHANNEL, Purpose.SEND_CHANNEL)
                                        .map(Purpose::id),
                                Arbitraries.of("1", "2", "3", "0", "x"))
                        .as(GearEdit.ChangeSetting::new),
                Combinators.combine(devices, parts, names).as(GearEdit.LabelPart::new),
                Combinators.combine(sockets, sockets).as(WiringEdit.Connect::new),
                Combinators.combine(sockets, sockets).as((a, b) -> new WiringEdit.Disconnect(a, b)),
                Combinators.combine(switches, steps).as(SwitchEdit.AddStep::new),
                Combinators.combine(switches, steps).as(SwitchEdit.AddStep::new),
                Combinators.combine(
                                switches,
                                Arbitraries.of(Moment.class),
                                Arbitraries.integers().between(0, 3),
                                steps)
                        .as(SwitchEdit.RemoveStep::new),
                switches.map(SwitchEdit.ClearSwitch::new)));
        return edit.list().ofMaxSize(40);
    }
}
