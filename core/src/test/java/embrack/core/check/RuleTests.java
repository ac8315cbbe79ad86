package embrack.core.check;

import static embrack.core.MuteBoard.BOARD;
import static embrack.core.MuteBoard.IN;
import static embrack.core.MuteBoard.MIXER;
import static embrack.core.MuteBoard.OUT;
import static embrack.core.MuteBoard.SECOND;
import static embrack.core.MuteBoard.add;
import static embrack.core.MuteBoard.at;
import static embrack.core.MuteBoard.edited;
import static embrack.core.MuteBoard.receive;
import static embrack.core.MuteBoard.step;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import embrack.core.Boards;
import embrack.core.Fault;
import embrack.core.LightFaults;
import embrack.core.MappingFaults;
import embrack.core.Mixers;
import embrack.core.MuteBoard;
import embrack.core.Sketch;
import embrack.core.SoundFaults;
import embrack.core.StateFaults;
import embrack.core.WiringFaults;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Told;
import embrack.core.edit.GearEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.Purpose;
import embrack.core.gear.library.Library;
import embrack.core.plan.Plan;
import embrack.core.word.Language;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class RuleTests {

    private static final String ALL_FOUR = "Voice board, bank A, switches 1, 2, 3 and 4";
    private static final Plan UNPLUGGED = MuteBoard.with(new WiringEdit.Disconnect(OUT, IN));

    private static final Model FACTORY_RUN =
            Library.find(new ModelId("ten-switch-factory-board")).orElseThrow();

    /**
     * One row a rule: a plan in which it fires, how severe, where, what, and a plan that nearly is one and is clean of
     * it.
     */
    private static List<Arguments> rules() {
        Plan swapped = MuteBoard.withMixer(Mixers.swappedChart());
        return Stream.concat(
                        firstOfEach(),
                        Stream.of(
                                Arguments.of(
                                        "gear.chart-contradicts-box",
                                        swapped,
                                        Severity.STOPS,
                                        "Vocal mixer, chart of Rack mixer, 24 strips",
                                        "The chart has CC 40 value 0 for \"mute Input 1\", but the box takes "
                                                + "it as \"open Input 1\"."
                                                + " 48 of the chart's 48 lines are wrong in this way.",
                                        MuteBoard.withMixer(Mixers.chartOnly())),
                                Arguments.of(
                                        "rig.unplugged",
                                        MuteBoard.with(new GearEdit.AddDevice("Spare", Library.FOUR_SWITCH_DESK_BOARD)),
                                        Severity.NOTE,
                                        "Spare",
                                        "Nothing is linked to Spare and no switch is about it.",
                                        UNPLUGGED),
                                Arguments.of(
                                        "switches.also-moves",
                                        MuteBoard.withSecondMixer(2),
                                        Severity.LOOK,
                                        ALL_FOUR,
                                        "Choir mixer moves too: Input 1, Main, Return 1 and Return 2.",
                                        MuteBoard.withSecondMixer(3)),
                                Arguments.of(
                                        "switches.cannot-send",
                                        swapBoard(Library.FOUR_SWITCH_PROGRAM_BOARD),
                                        Severity.STOPS,
                                        ALL_FOUR,
                                        "Voice board, a Four-switch program board, sends only program "
                                                + "changes; these switches need control changes.",
                                        MuteBoard.plan()),
                                Arguments.of(
                                        "switches.channel-mismatch",
                                        MuteBoard.with(receive(MIXER, 5)),
                                        Severity.STOPS,
                                        ALL_FOUR,
                                        "Voice board sends on channel 2; Vocal mixer listens on channel 5.",
                                        MuteBoard.with(receive(MIXER, 5), send(5))),
                                Arguments.of(
                                        "switches.comes-round",
                                        ways(3),
                                        Severity.STOPS,
                                        "Board, bank A, switch 1",
                                        "What Board, bank A, switch 1 sends comes to Mixer a third time.",
                                        ways(2)),
                                Arguments.of(
                                        "switches.late",
                                        slow(32),
                                        Severity.LOOK,
                                        "Voice board, bank A, switch 4",
                                        "The last of 32 messages arrives 31 ms after the press.",
                                        slow(31)),
                                Arguments.of(
                                        "switches.no-chart-line",
                                        MuteBoard.withMixer(Mixers.muteOnly()),
                                        Severity.STOPS,
                                        "Voice board, bank A, switch 1",
                                        "Vocal mixer has no message for: open Vocal reverb return, open "
                                                + "Vocal delay return, open Vocal mic and open Main.",
                                        MuteBoard.plan()),
                                Arguments.of(
                                        "switches.no-steps",
                                        MuteBoard.with(
                                                new SwitchEdit.ClearSwitch(at(4)),
                                                new SwitchEdit.NameSwitch(at(4), "Later")),
                                        Severity.NOTE,
                                        "Voice board, bank A, switch “Later” (4)",
                                        "The switch is called Later and does nothing yet.",
                                        MuteBoard.with(new SwitchEdit.ClearSwitch(at(4)))),
                                Arguments.of(
                                        "switches.sends-its-own",
                                        swapBoard(FACTORY_RUN),
                                        Severity.STOPS,
                                        ALL_FOUR,
                                        "Voice board sends what its factory chose: switch 1 sends CC 80, "
                                                + "switch 2 sends CC 81, "
                                                + "switch 3 sends CC 82 and switch 4 sends CC 83.",
                                        MuteBoard.plan()),
                                Arguments.of(
                                        "switches.too-many-messages",
                                        swapBoard(Library.FOUR_SWITCH_DESK_BOARD),
                                        Severity.STOPS,
                                        "Voice board, bank A, switch 1",
                                        "The switch needs 4 messages; Voice board sends at most 2 in one press.",
                                        MuteBoard.plan())))
                .sorted(Comparator.comparing(row -> (String) row.get()[0]))
                .toList();
    }

    /** A board and a mixer with so many ways between them, all over one last merger. */
    private static Plan ways(int number) {
        Sketch sketch = Sketch.of("Ways")
                .box("Board", "four-switch-desk-board")
                .box("Split", "thru-box-1-to-4")
                .box("One", "merger-2-to-1")
                .box("Two", "merger-2-to-1")
                .box("Last", "merger-2-to-1")
                .box("Mixer", "rack-mixer-24")
                .set("mixer", "receive-channel", "2")
                .link("board.out > split.in", "one.out > two.in-1", "two.out > last.in-1", "last.out > mixer.in")
                .step("board 1: mixer mute:input-1");
        for (int way = 1; way <= number; way++) {
            sketch.link("split.thru-%d > %s"
                    .formatted(way, List.of("one.in-1", "one.in-2", "two.in-2").get(way - 1)));
        }
        return sketch.plan();
    }

    /** The fault that stands for each rule that has no row of its own below. */
    private static Stream<Arguments> firstOfEach() {
        Set<String> below = Set.of(
                "switches.also-moves",
                "switches.cannot-send",
                "switches.channel-mismatch",
                "switches.sends-its-own",
                "switches.too-many-messages",
                "gear.chart-contradicts-box");
        Map<String, Fault> first = new LinkedHashMap<>();
        faults().filter(fault -> !below.contains(fault.code()))
                .forEach(fault -> first.putIfAbsent(fault.code(), fault));
        return first.values().stream()
                .map(f -> Arguments.of(f.code(), f.faulty(), f.severity(), f.where(), f.what(), f.mended()));
    }

    static Stream<Fault> faults() {
        return Stream.of(
                        WiringFaults.all(),
                        MappingFaults.all(),
                        StateFaults.all(),
                        LightFaults.all(),
                        SoundFaults.all())
                .flatMap(List::stream);
    }

    /** Rigs with one mistake each: found, and silent when it is mended, by hand or by the button. */
    @ParameterizedTest(name = "{0}")
    @MethodSource("faults")
    void aRigWithOneFaultSaysThatAndNothingElse(Fault fault) {
        assertThat(Report.of(fault.faulty()).findings())
                .extracting(
                        Finding::code,
                        f -> Told.of(f, fault.faulty()).where(),
                        f -> Told.of(f, fault.faulty()).what())
                .containsExactly(tuple(fault.code(), fault.where(), fault.what()));
        assertThat(Report.of(fault.mended()).findings()).isEmpty();
        Report report = Report.of(fault.faulty());
        assertThat(report.healing().of(report.findings().getFirst()))
                .allSatisfy(healed -> assertThat(
                                Report.of(healed.remedy().edit().apply(fault.faulty()))
                                        .findings())
                        .as(healed.remedy().name())
                        .isEmpty());
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("rules")
    void firesWhereItShouldAndNotBeside(
            String code, Plan fires, Severity severity, String where, String what, Plan nearMiss) {
        Finding finding = findings(fires, code).getFirst();
        Told told = Told.of(finding, fires);
        assertThat(List.of(finding.severity(), told.where(), told.what())).isEqualTo(List.of(severity, where, what));
        assertThat(List.of(told.why(), told.fix())).allMatch(words -> words.endsWith("."), "whole sentences");
        assertThat(findings(nearMiss, code)).isEmpty();
    }

    @Test
    void theCatalogueIsSortedUniqueAndCoveredByTheTable() {
        List<String> codes = Catalogue.rules().stream()
                .map(Rule::info)
                .map(info -> info.code())
                .toList();
        assertThat(codes).isSorted().doesNotHaveDuplicates();
        assertThat(rules())
                .extracting(row -> row.get()[0])
                .filteredOn(code -> !code.toString().startsWith("order."))
                .isEqualTo(List.<Object>copyOf(codes.stream()
                        .filter(code -> !code.startsWith("songs.") && !code.startsWith("order."))
                        .toList()));
    }

    @Test
    void theCleanPlanHasNoFinding() {
        assertThat(Report.of(MuteBoard.plan()).findings()).isEmpty();
        assertThat(Report.of(MuteBoard.with(receive(MIXER, 1), send(1))).findings())
                .as("channel 1 in a rig of two boxes is nobody's fault")
                .isEmpty();
        assertThat(Report.of(MuteBoard.plan()).stopsTheShow()).isFalse();
    }

    /** Each of the mistakes that can be mended with one button leaves nothing that stops the show. */
    @Test
    void remediesMend() {
        Set<String> mended = new TreeSet<>();
        for (Arguments row : rules()) {
            Plan plan = (Plan) row.get()[1];
            Report report = Report.of(plan);
            for (Finding finding : report.findings()) {
                report.healing().best(finding).map(Remedy::edit).ifPresent(edit -> {
                    assertThat(findings(edit.apply(plan), finding.code()))
                            .as(finding.key())
                            .isEmpty();
                    mended.add(finding.code());
                });
            }
        }
        assertThat(mended)
                .containsExactly(
                        "controls.above-unity",
                        "controls.jumps",
                        "controls.not-as-meant",
                        "controls.reversed",
                        "controls.shares-a-level",
                        "controls.stopped",
                        "gear.chart-contradicts-box",
                        "lights.beside-pages",
                        "lights.empty-scene",
                        "lights.no-address",
                        "lights.no-beat",
                        "lights.other-bank",
                        "lights.shared-slots",
                        "order.walks-elsewhere",
                        "place.no-kill-switch",
                        "place.no-safe-switch",
                        "place.safe-incomplete",
                        "place.stop-beside-go",
                        "sound.cancels",
                        "sound.comes-round",
                        "sound.heard-in-the-house",
                        "sound.no-phantom",
                        "sound.not-for-them",
                        "sound.one-side-lost",
                        "sound.phantom-harms",
                        "sound.silent-start",
                        "sound.without-wanted",
                        "switches.also-moves",
                        "switches.boards-fight",
                        "switches.cannot-send",
                        "switches.channel-mismatch",
                        "switches.channel-moved",
                        "switches.dead-input",
                        "switches.held-back",
                        "switches.kept-back",
                        "switches.late",
                        "switches.mode-undoes",
                        "switches.no-path",
                        "switches.not-on-this-board",
                        "switches.nothing-learned",
                        "switches.reserved-number",
                        "switches.sends-its-own",
                        "switches.too-many-messages",
                        "switches.undoes-itself",
                        "wiring.homeless-app",
                        "wiring.input-off",
                        "wiring.loop",
                        "wiring.not-ready",
                        "wiring.output-off",
                        "wiring.pair-differs",
                        "wiring.pair-stays",
                        "wiring.starts-too-early",
                        "wiring.two-clocks");
    }

    /** Two apps and a role are missing at once: one button does all three. */
    @Test
    void aWirelessLinkIsMadeReadyByOneAct() {
        Plan plan = Sketch.of("Air")
                .box("Board", "ten-switch-treadle-board")
                .box("Tablet", "tablet")
                .box("Laptop", "computer")
                .app("Tracks", "tablet-track-player", "laptop")
                .link(
                        "board.usb > tablet.socket",
                        "tablet.bluetooth > laptop.bluetooth",
                        "laptop.bluetooth > tracks.in")
                .plan();
        Report report = Report.of(plan);
        Finding finding = findings(plan, "wiring.not-ready").getFirst();
        Told told = Told.of(finding, report.healing().best(finding), plan, Language.ENGLISH);
        assertThat(told.fix()).isEqualTo("Install it in Tablet, and pair the two.");
        Plan ready = report.healing().best(finding).orElseThrow().edit().apply(plan);
        assertThat(findings(ready, "wiring.not-ready")).isEmpty();
    }

    @Test
    void aMissingCableBehindATakenOutputIsOfferedFromTheThru() {
        Plan plan = MappingFaults.floor()
                .box("Choir mixer", "rack-mixer-24")
                .set("choir-mixer", "receive-channel", "3")
                .step("foot-board 3: choir-mixer mute:input-1")
                .plan();
        Report report = Report.of(plan);
        Finding finding = findings(plan, "switches.no-path").getFirst();
        assertThat(Told.of(finding, report.healing().best(finding), plan, Language.ENGLISH)
                        .fix())
                .isEqualTo("Link Vocal mixer MIDI THRU to Choir mixer MIDI IN.");
    }

    @Test
    void oneChannelForTwoReceiversAsksForABoardWithAChannelForEachMessage() {
        Plan plan = MuteBoard.withSecondMixer(
                3,
                new SwitchEdit.ClearSwitch(at(1)),
                new SwitchEdit.ClearSwitch(at(2)),
                new SwitchEdit.AddStep(at(3), step(SECOND, "mute:input-1")));
        Finding finding = findings(plan, "switches.channel-mismatch").getFirst();
        assertThat(Told.of(finding, plan).where()).isEqualTo("Voice board, bank A, switch 3");
        assertThat(Told.of(finding, plan).fix())
                .startsWith("Voice board has one channel for everything and its switches are about boxes on several.");
        Plan mended =
                Report.of(plan).healing().best(finding).orElseThrow().edit().apply(plan);
        assertThat(mended.rig().model(BOARD))
                .isEqualTo(Library.find(new ModelId("eight-switch-long-press-board"))
                        .orElseThrow());
        assertThat(Report.of(Sketch.on(mended)
                                .box("Charger", "usb-charger-2")
                                .link("voice-board.usb > charger.usb-1")
                                .plan())
                        .findings())
                .isEmpty();
    }

    @Test
    void twoMixersThatFightSayWhoseMessageItWas() {
        Plan plan = MuteBoard.withSecondMixer(2, new SwitchEdit.AddStep(at(3), step(SECOND, "open:input-1")));
        List<Finding> found = findings(plan, "switches.also-moves");
        assertThat(found).extracting(Finding::severity).containsExactly(Severity.STOPS);
        assertThat(Told.of(found.getFirst(), plan).why())
                .isEqualTo("What is meant for Vocal mixer and Choir mixer reaches Choir mixer and Vocal mixer as well, "
                        + "and they listen to one channel.");
    }

    private static List<Finding> findings(Plan plan, String code) {
        return Report.of(plan).findings().stream()
                .filter(f -> f.code().equals(code))
                .collect(Collectors.toList());
    }

    private static Plan swapBoard(Model model) {
        return MuteBoard.with(new GearEdit.SwapHardware(BOARD, model));
    }

    private static GearEdit send(int channel) {
        return new GearEdit.ChangeSetting(BOARD, Purpose.SEND_CHANNEL.id(), String.valueOf(channel));
    }

    private static Plan slow(int messages) {
        Plan plan =
                MuteBoard.plan().withRig(MuteBoard.plan().rig().withModelReplaced(Boards.withMessagesPerPress(128)));
        for (int i = 1; i < messages; i++) {
            plan = edited(plan, add(4, "mute:main"));
        }
        return plan;
    }
}
