package embrack.core.sim;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Evening;
import embrack.core.LightFaults;
import embrack.core.MappingFaults;
import embrack.core.RandomRigs;
import embrack.core.RigEdits;
import embrack.core.Sketch;
import embrack.core.chart.LearnableId;
import embrack.core.check.Health;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.edit.ChaseEdit;
import embrack.core.edit.CueEdit;
import embrack.core.edit.Edit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.LookEdit;
import embrack.core.edit.NumberEdit;
import embrack.core.edit.OrderEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.gear.SettingId;
import embrack.core.gear.SwitchMode;
import embrack.core.light.ChaseId;
import embrack.core.light.LookId;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Calls;
import embrack.core.show.SongId;
import embrack.core.switches.Assignment;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What holds of proofs and findings on any rig, with any gestures. */
class ProofPropertyTests {

    /** A gesture is exact or late just when no place was ever wrong, and has a finding just when it is not exact. */
    @Property(tries = 120)
    void everyVerdictButExactIsExplained(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 3, max = 12) int boxes) {
        Report report = Report.of(RandomRigs.withGestures(seed, boxes));
        for (Proof proof : report.proofs()) {
            boolean right = proof.verdict() == Verdict.EXACT || proof.verdict() == Verdict.LATE;
            assertThat(right && !proof.wrongPlaces().isEmpty()).isFalse();
            if (proof.verdict() != Verdict.EXACT) {
                assertThat(report.findings(proof.at()))
                        .as("%s is %s", report.plan().words(proof.at()), proof.verdict())
                        .isNotEmpty();
            }
        }
        for (ControlProof proof : report.controlAssignments()) {
            String where = report.plan().words(proof.at());
            assertThat(report.findings().stream()
                            .anyMatch(f -> f.isAbout(proof.at())
                                    && !f.code().equals("power.none")
                                    && !f.code().matches("controls\\.(above-unity|jumps|reversed|shares-a-level)")))
                    .as("%s is %s", where, proof.verdict())
                    .isEqualTo(proof.verdict() != Verdict.EXACT);
        }
    }

    /** Whatever a button promises: after it, that finding is gone, and the plan is better; and so on to the end. */
    @Property(tries = 30)
    void aRemedySettlesItsFinding(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 3, max = 10) int boxes) {
        Plan plan = RandomRigs.withGestures(seed, boxes);
        Report report = Report.of(plan);
        for (Finding finding : report.findings()) {
            report.healing().best(finding).ifPresent(remedy -> {
                Report mended = Report.of(remedy.edit().apply(plan));
                assertThat(mended.findings())
                        .as("%s by %s", finding.key(), remedy.name())
                        .doesNotContain(finding);
                assertThat(Health.of(mended)).isLessThan(Health.of(report));
            });
        }
        int taken = 0;
        for (Optional<Plan> next = Optional.of(plan); next.isPresent(); next = better(next.get())) {
            assertThat(taken++).as("remedies taken one after another").isLessThan(100);
        }
    }

    /** The plan with the first remedy that is offered. */
    private static Optional<Plan> better(Plan plan) {
        Report report = Report.of(plan);
        return report.findings().stream()
                .flatMap(finding -> report.healing().best(finding).stream())
                .findFirst()
                .map(remedy -> remedy.edit().apply(plan));
    }

    /** Proving only what an edit touched finds what proving all finds. */
    @Property(tries = 60)
    void provingWhatChangedIsProvingAll(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 3, max = 12) int boxes) {
        Plan plan = RandomRigs.withGestures(seed, boxes).settled();
        var random = new Random(seed);
        Report report = Report.of(plan);
        List<Assignment> all = new ArrayList<>(plan.switches().assignments());
        Collections.shuffle(all, random);
        for (Assignment assignment : all.subList(0, Math.min(3, all.size()))) {
            plan = edit(plan, assignment, random).apply(plan);
            report = Report.after(report, plan);
            assertAlike(report, Report.of(plan));
        }
    }

    /** So it does when gear, wiring and settings were edited, of switches, controls and cues. */
    @Property(tries = 40)
    void whatAnEditOfTheRigLeavesAloneIsNotProvenAgain(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(max = 10) int boxes) {
        Plan plan = boxes < 3 ? Evening.plan() : RandomRigs.withGestures(seed, boxes);
        var random = new Random(seed);
        Report report = Report.of(plan);
        for (int i = 0; i < 4; i++) {
            plan = RigEdits.one(plan, random);
            report = Report.after(report, plan);
            assertAlike(report, Report.of(plan));
        }
    }

    /** How a show runs is worked out once for all names, and anew for whatever decides about it. */
    @Test
    void aNameIsNothingToHowAShowRuns() {
        Plan plan = Evening.plan();
        Report first = Report.of(plan);
        Plan named = new GearEdit.RenameDevice(new DeviceId("vocal-mixer"), "Desk of the house").apply(plan);
        Report renamed = Report.after(first, named);
        assertThat(renamed.book().run()).isSameAs(first.book().run());
        assertAlike(renamed, Report.of(named));
        List<Edit> deciding = List.of(
                new CueEdit.RemoveCues(new SongId("ebb"), List.of(1)),
                new CueEdit.RemoveCues(new SongId("slow-boats"), List.of(1)),
                new OrderEdit.MovePart(Evening.SHOW, 5, 2),
                new OrderEdit.CallPart(
                        Evening.SHOW,
                        3,
                        Optional.of(new SwitchAt(new DeviceId("foot-board"), 1, 4)),
                        Calls.Ending.ITSELF,
                        Optional.empty()),
                new GearEdit.ChangeSetting(new DeviceId("lantern-desk"), new SettingId("receive-channel"), "7"));
        List<ShowRun> runs = new ArrayList<>();
        for (Edit edit : deciding) {
            Plan next = edit.apply(named);
            Report after = Report.after(first, next);
            assertAlike(after, Report.of(next));
            runs.add(after.book().run());
            assertAlike(Report.after(after, named), renamed);
        }
        assertThat(runs).filteredOn(run -> !run.equals(first.book().run())).hasSizeGreaterThan(2);
    }

    /** Findings about light are kept while what they look at is as it was, and no longer. */
    @Test
    void flashesAreFoundAgainOnceAnythingOfThemIsOtherwise() {
        Plan plan = LightFaults.squalls().plan();
        Report first = Report.of(plan);
        assertThat(first.findings()).extracting(Finding::code).contains("lights.too-many-flashes");
        List<Edit> edits = List.of(
                new GearEdit.RenameDevice(new DeviceId("lantern-desk"), "Desk of the house"),
                new LookEdit.ChangeLook(new LookId("look-2"), "Look 2", "all: red 60 %"),
                new ChaseEdit.ChangeChase(new ChaseId("squall"), "Squall", "Look 2, Look 3", "0.5", Optional.empty()),
                new CueEdit.RemoveCues(new SongId("lanterns"), List.of(2)),
                new GearEdit.ChangeSetting(new DeviceId("lantern-desk"), new SettingId("receive-channel"), "7"),
                new GearEdit.RemoveDevice(new DeviceId("lantern-desk"), true));
        Set<List<Finding>> found = new HashSet<>();
        for (Edit edit : edits) {
            Plan next = edit.apply(plan);
            Report report = Report.after(first, next);
            assertAlike(report, Report.of(next));
            assertAlike(Report.after(report, plan), first);
            found.add(report.findings());
        }
        assertThat(found).hasSize(2);
    }

    private static void assertAlike(Report report, Report whole) {
        assertThat(report.findings()).isEqualTo(whole.findings());
        assertThat(report.proofs()).isEqualTo(whole.proofs());
        assertThat(report.controlAssignments()).isEqualTo(whole.controlAssignments());
        assertThat(report.book()).isEqualTo(whole.book());
        assertThat(report.safety()).isEqualTo(whole.safety());
    }

    private static Edit edit(Plan plan, Assignment assignment, Random random) {
        return switch (random.nextInt(4)) {
            case 0 -> new SwitchEdit.ClearSwitch(assignment.at());
            case 1 -> new SwitchEdit.ChooseMode(assignment.at(), Optional.of(SwitchMode.values()[random.nextInt(3)]));
            case 2 -> new GearEdit.RenameRig("Rig " + random.nextInt(100));
            default ->
                assignment.steps().stream()
                        .findFirst()
                        .filter(step -> plan.rig()
                                .model(step.device())
                                .part(step.action().part())
                                .isPresent())
                        .<Edit>map(step -> new GearEdit.LabelPart(
                                step.device(), step.action().part(), "Tape " + random.nextInt(1_000_000)))
                        .orElseGet(() -> new SwitchEdit.NameSwitch(assignment.at(), "Other"));
        };
    }

    /**
     * An input of a loop station against what the switch sends: the mode of the input, its low and high value, the mode
     * of the switch, and what then happens of "record". By the description of such inputs in the trade: a value works
     * the function in its upper half.
     */
    @ParameterizedTest
    @CsvSource({
        "false, 0, 127, ONE_SHOT, EXACT",
        "false, 0, 127, MOMENTARY, EXACT",
        "false, 0, 127, ALTERNATING, EVERY_OTHER",
        "false, 127, 127, ALTERNATING, EXACT",
        "false, 127, 127, MOMENTARY, WRONG",
        "false, 0, 63, ONE_SHOT, DEAD",
        "false, 0, 64, ONE_SHOT, EXACT",
        "true, 0, 127, ONE_SHOT, EVERY_OTHER",
        "true, 127, 127, ONE_SHOT, EXACT",
        "true, 127, 0, ONE_SHOT, EVERY_OTHER",
        "true, 0, 127, MOMENTARY, EVERY_OTHER",
        "true, 0, 127, ALTERNATING, EVERY_OTHER",
    })
    void whatAnInputMakesOfWhatASwitchSends(
            boolean alternating, String low, String high, SwitchMode mode, Verdict verdict) {
        Plan plan = MappingFaults.loops()
                .mode("foot-board 3", mode)
                .edit(new NumberEdit.Respond(
                        new DeviceId("loop-table"), LearnableId.parse("record:track-1"), alternating, low, high))
                .plan();
        SwitchAt at = Sketch.at("foot-board 3");
        assertThat(Report.of(plan).proof(at).orElseThrow().verdict()).isEqualTo(verdict);
    }
}
