package embrack.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embrack.core.LightFaults;
import embrack.core.Sketch;
import embrack.core.chart.PartId;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Told;
import embrack.core.gear.ModelId;
import embrack.core.gear.library.Library;
import embrack.core.light.Chase;
import embrack.core.light.ChaseId;
import embrack.core.light.DataLine;
import embrack.core.light.Fixture;
import embrack.core.light.FixtureId;
import embrack.core.light.FixtureTypeId;
import embrack.core.light.Held;
import embrack.core.light.Lights;
import embrack.core.light.Look;
import embrack.core.light.LookId;
import embrack.core.light.Output;
import embrack.core.light.Scenes;
import embrack.core.light.text.LookText;
import embrack.core.offer.Offers;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sheet.Sheets;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.stage.Scenery;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class LightEditTests {

    private static final DeviceId DESK = new DeviceId("lantern-desk");
    private static final FixtureId PAR = new FixtureId("par-1");
    private static final FixtureTypeId PARS = new FixtureTypeId("small-par-three-colours");

    static List<Arguments> refused() {
        return List.of(
                no(new FixtureEdit.AddFixtures(PARS, "0", ""), "count", "Write how many, 1 to 512."),
                no(new FixtureEdit.AddFixtures(new FixtureTypeId("none"), "1", ""), "type", "There is no such type"),
                no(change("Par 2", "7 slots", "1"), "name", "There is already a fixture called Par 2."),
                no(change("Par 1", "9 slots", "1"), "mode", "It has no mode 9 slots."),
                no(change("Par 1", "7 slots", "0"), "address", "An address is 1 to 512, not 0."),
                no(change("Par 1", "7 slots", "509"), "address", "Par 1 takes 7 slots from 509: 3 too many."),
                no(new FixtureEdit.HangFixture(PAR, "far", "1", "1"), "across", "Write metres in digits, such as 2.5."),
                no(new FixtureEdit.LightWhom(PAR, "<Keeper>", false), "whom", "Leave out < and >"),
                no(new DeskEdit.ArrangeLooks(DESK), "desk", "Lantern desk has no banks; all of its scenes"),
                no(new FixtureEdit.HangFixture(PAR, "31", "1", "1"), "across", "A fixture hangs at most 30 m"),
                no(new LookEdit.AddLook("look 1", ""), "name", "There is already a look called look 1."),
                no(new LookEdit.AddLook("New", "bars: red 5 %"), "text", "Nothing hangs there that is called bars."),
                no(new LookEdit.AddLook("New", "pars: rad 5 %"), "text", "Line 1: rad is no colour"),
                no(new FixtureEdit.DescribeFixture("Box", "mode 1: light"), "text", "Line 1: Here stands one of"),
                no(new ChaseEdit.AddChase("Squall", "Look 1", "1"), "steps", "A chase has 2 to 200 looks"),
                no(new ChaseEdit.AddChase("Squall", "Look 1, Gone", "1"), "steps", "There is no look called Gone."),
                no(new ChaseEdit.AddChase("Squall", "Look 1, Look 2", "soon"), "pace", "Write how long each step"),
                no(new ChaseEdit.AddChase("Squall", "Look 1, Look 2", "0.01"), "pace", "A step of a chase lasts"),
                no(new ChaseEdit.RemoveChase(new ChaseId("gone")), "chase", "That chase is no longer there."),
                no(new LookEdit.RemoveLook(new LookId("gone")), "look", "That look is no longer there."),
                no(
                        new DeskEdit.HoldLook(
                                DESK, new Scenes.Place(Optional.empty(), new PartId("scene-99")), Optional.empty()),
                        "look",
                        "Lantern desk has no such scene."));
    }

    private static Arguments no(Edit edit, String field, String words) {
        return Arguments.of(edit, field, words);
    }

    private static FixtureEdit change(String name, String mode, String address) {
        return new FixtureEdit.ChangeFixture(PAR, name, "Pars", mode, address);
    }

    @ParameterizedTest
    @MethodSource("refused")
    void whatCannotBeIsRefusedAtItsField(Edit edit, String field, String words) {
        assertThatThrownBy(() -> edit.apply(LightFaults.lit().plan()))
                .isInstanceOfSatisfying(
                        Refused.class, refused -> assertThat(refused.field()).isEqualTo(field))
                .hasMessageStartingWith(words);
    }

    @Test
    void fixturesHangSideBySideWithFreeAddresses() {
        Lights lights = new FixtureEdit.AddFixtures(new FixtureTypeId("colour-bar-one-piece"), "3", "")
                .apply(LightFaults.lit().plan())
                .lights();
        assertThat(lights.fixtures().subList(4, 7))
                .extracting(
                        Fixture::name,
                        fixture -> fixture.at().orElseThrow().start(),
                        f -> f.hang().across())
                .extracting(Object::toString)
                .containsExactly("(Bar 1, 29, -340)", "(Bar 2, 33, 0)", "(Bar 3, 37, 340)");
    }

    /** A group is called otherwise one lamp after another; its looks follow with the last. */
    @Test
    void looksFollowTheNamesOfWhatTheyMean() {
        Plan plan = new LookEdit.AddLook("Both", "pars: red 50 %\nPar 1: blue 20 %")
                .apply(LightFaults.lit().plan());
        for (int par = 1; par <= 4; par++) {
            assertThat(words(plan)).startsWith("pars: red 50 %");
            plan = new FixtureEdit.ChangeFixture(
                            new FixtureId("par-" + par), "Lamp " + par, "Lamps", "7 slots", String.valueOf(40 * par))
                    .apply(plan);
        }
        assertThat(words(plan)).isEqualTo("Lamps: red 50 %\nLamp 1: blue 20 %");
    }

    private static String words(Plan plan) {
        return LookText.of(plan.lights().looks().getLast());
    }

    /** Hired lamps of another type show the same looks by other numbers. */
    @Test
    void looksOutliveTheFixtures() {
        Plan lit = LightFaults.lit().plan();
        Lights hired = new FixtureEdit.HireInstead(PARS, new FixtureTypeId("par-six-colours"))
                .apply(lit)
                .lights();
        assertThat(hired.looks()).isEqualTo(lit.lights().looks());
        assertThat(hired.shown(hired.looks().getFirst())).hasSize(4).allSatisfy(output -> {
            assertThat(output.slots()).hasSize(6);
            assertThat(output.distance()).isLessThan(2);
        });
    }

    /** A desk that dies is replaced by its looks: what recalls them goes along into the scenes of the other. */
    @Test
    void looksOutliveTheDesk() {
        Plan lit = LightFaults.lit().plan();
        Plan swapped = new GearEdit.SwapHardware(
                        DESK, Library.find(new ModelId("scene-desk")).orElseThrow())
                .apply(lit);
        assertThat(swapped.lights().of(DESK))
                .extracting(Held::look)
                .containsExactlyElementsOf(
                        lit.lights().of(DESK).stream().map(Held::look).toList());
        assertThat(swapped.switches().at(Sketch.at("foot-board 4")).steps())
                .singleElement()
                .satisfies(step -> assertThat(swapped.lookOf(step))
                        .contains(lit.lookOf(lit.switches()
                                        .at(Sketch.at("foot-board 4"))
                                        .steps()
                                        .getFirst())
                                .orElseThrow()))
                .extracting(swapped::words)
                .isEqualTo("Lantern desk: toggle Scene 5 (Look 5)");
    }

    /**
     * Twelve looks go from a desk of twelve scenes to one of eight a bank: every song shows what it showed, one whose
     * looks lie in one bank chooses it once, a switch always chooses bank and scene, and all of it holds.
     */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void looksLieInBanksAsSongsNeedThem(long seed) {
        Random random = new Random(seed);
        Sketch sketch = LightFaults.lit();
        for (int look = 7; look <= 12; look++) {
            sketch.edit(new LookEdit.AddLook("Look " + look, "all: red %d %%".formatted(look)));
        }
        sketch.edit(new DeskEdit.StoreLooks(DESK)).step("foot-board 9: lantern-desk recall:scene-11");
        for (String song : List.of("one", "two", "three")) {
            int first = 1 + random.nextInt(10);
            sketch.song(song, "tempo 120\nAll: 20 bars")
                    .cues(
                            song,
                            "5|1 = lantern-desk recall:scene-" + (first + random.nextInt(3)),
                            "2|1 = lantern-desk recall:scene-" + first,
                            "9|1 = lantern-desk recall:scene-" + (first + 2),
                            "17|1 = lantern-desk recall:scene-" + first);
        }
        Plan before = sketch.plan();
        Plan after = new GearEdit.SwapHardware(
                        DESK, Library.find(new ModelId("twelve-fixture-desk")).orElseThrow())
                .apply(before);
        assertThat(after.lights().of(DESK)).hasSize(12);
        assertThat(after.lights().usesBanks(DESK)).isTrue();
        for (Song song : before.book().songs()) {
            assertThat(seen(after, song.id())).as(song.title().text()).isEqualTo(seen(before, song.id()));
        }
        assertThat(after.switches().at(Sketch.at("foot-board 9")).steps()).hasSize(2);
        Report report = Report.of(after);
        assertThat(report.findings()).extracting(Finding::code).doesNotContain("lights.other-bank");
        assertThat(report.proofs().stream().filter(proof -> proof.at().equals(Sketch.at("foot-board 9"))))
                .allMatch(proof -> proof.verdict() == Verdict.EXACT);
        Plan again = new DeskEdit.ArrangeLooks(DESK).apply(after);
        assertThat(again.book()).isEqualTo(after.book());
    }

    private static List<String> seen(Plan plan, SongId song) {
        return Scenery.of(plan, plan.book().song(song)).stream()
                .map(sight -> sight.micros() + " " + sight.look().map(Look::name))
                .toList();
    }

    /** A look speaks of whom lamps light; house lights are nobody's "all". */
    @Test
    void looksSpeakOfWhomLampsLight() {
        Plan plan = Sketch.on(LightFaults.lit().plan())
                .edit(new FixtureEdit.LightWhom(PAR, "Keeper", false))
                .edit(new FixtureEdit.LightWhom(new FixtureId("par-3"), " keeper ", true))
                .edit(new FixtureEdit.ChangeFixture(new FixtureId("par-4"), "Par 4", "house lights", "7 slots", "22"))
                .edit(new LookEdit.AddLook("Tale", "all: red 50 %\nkeeper: dark"))
                .plan();
        assertThat(plan.lights().shown(plan.lights().looks().getLast()))
                .extracting(Output::isDark)
                .containsExactly(true, false, true, true);
        assertThat(DataLine.of(plan.lights()).getFirst().fixtures())
                .extracting(fixture -> fixture.name().text())
                .containsExactly("Par 1", "Par 2", "Par 4");
        Plan renamed = new FixtureEdit.LightWhom(new FixtureId("par-3"), "Singer", false)
                .apply(new FixtureEdit.LightWhom(PAR, "Singer", false).apply(plan));
        assertThat(words(renamed)).isEqualTo("all: red 50 %\nSinger: dark");
    }

    /** A chase goes with the desk that holds it into the next, and what runs it goes along. */
    @Test
    void chasesOutliveTheDeskAndTheirLooks() {
        ChaseId id = new ChaseId("squall");
        Chase.At first = new Chase.At(DESK, new PartId("chase-1"));
        Sketch sketch = LightFaults.lit()
                .edit(new ChaseEdit.AddChase("Squall", "look 1, Look 2, Look 3", "0.75"))
                .edit(new ChaseEdit.ChangeChase(id, "Squall", "Look 1, Look 2, Look 1", "0,5", Optional.of(first)))
                .step("foot-board 9: lantern-desk run:chase-1");
        Plan plan = sketch.plan();
        assertThat(plan.words(
                        plan.switches().at(Sketch.at("foot-board 9")).steps().getFirst()))
                .isEqualTo("Lantern desk: run Chase 1 (Squall)");
        Plan swapped = new GearEdit.SwapHardware(
                        DESK, Library.find(new ModelId("scene-desk")).orElseThrow())
                .apply(plan);
        assertThat(swapped.lights().chase(id).orElseThrow().at()).contains(first);
        assertThat(new LookEdit.RemoveLook(new LookId("look-2"))
                        .apply(plan)
                        .lights()
                        .chase(id)
                        .orElseThrow()
                        .steps())
                .containsExactly(new LookId("look-1"), new LookId("look-1"));
        assertThat(new LookEdit.RemoveLook(new LookId("look-1"))
                        .apply(plan)
                        .lights()
                        .chases())
                .as("one look is no chase")
                .isEmpty();
        assertThat(new GearEdit.RemoveDevice(DESK, true)
                        .apply(plan)
                        .lights()
                        .chase(id)
                        .orElseThrow()
                        .at())
                .isEmpty();
    }

    @Test
    void whatIsTakenAwayIsHeldNoMore() {
        Plan lit = LightFaults.lit().plan();
        assertThat(new LookEdit.RemoveLook(new LookId("look-1"))
                        .apply(lit)
                        .lights()
                        .held())
                .hasSize(5);
        assertThat(new GearEdit.RemoveDevice(DESK, true).apply(lit).lights().held())
                .isEmpty();
    }

    /** A cue that recalls a scene while the desk is in another bank is told, and mended by choosing the bank first. */
    @Test
    void aCueInAnotherBankIsFoundAndMended() {
        Plan plan = LightFaults.banked(LightFaults.lit())
                .cues("ebb", "8|1 = lantern-desk recall:bank-2, lantern-desk on:scene-5")
                .cues("ebb", "9|1 = lantern-desk on:scene-3")
                .plan();
        Report report = Report.of(plan);
        assertThat(report.proofs())
                .filteredOn(proof -> proof.at().equals(Sketch.at("foot-board 4")))
                .extracting(Proof::verdict)
                .as("it is exact only where the look is shown that is meant")
                .containsExactly(Verdict.WRONG);
        Finding found = report.findings().stream()
                .filter(finding -> finding.code().equals("lights.other-bank")
                        && Told.of(finding, plan).where().equals("Ebb, bar 9"))
                .findFirst()
                .orElseThrow();
        assertThat(Told.of(found, plan).what())
                .startsWith("Bank 1 is not chosen then, and Scene 3 of Lantern desk shows");
        Plan mended = report.healing().best(found).orElseThrow().edit().apply(plan);
        assertThat(Scenery.of(mended, mended.book().song(new SongId("ebb"))))
                .extracting(sight ->
                        sight.look().map(Look::name).map(Object::toString).orElse(""))
                .containsSubsequence("Look 6", "Look 3");
        assertThat(new Offers(plan).find(Sketch.at("foot-board 9"), "look 6"))
                .extracting(offer -> offer.words())
                .first()
                .isEqualTo("Lantern desk: recall Bank 1 and switch on Scene 6 (Look 6)");
        Plan swapped = new GearEdit.SwapHardware(
                        DESK, Library.find(new ModelId("small-scene-desk")).orElseThrow())
                .apply(plan);
        assertThat(swapped.book().song(new SongId("ebb")).cues())
                .as("one bank: none has to be chosen any more")
                .extracting(cue -> cue.steps().stream().map(swapped::words).collect(Collectors.joining(", ")))
                .contains("Lantern desk: recall Scene 7 (Look 6)", "Lantern desk: recall Scene 3 (Look 3)");
    }

    /** Pages of 32 slots: the third fixture begins at 65; of 9 slots and eight faders the ninth lies on page 2. */
    @Test
    void aDeskWithPagesIsProgrammedByButtonsAndPages() {
        Sketch paged = LightFaults.paged(LightFaults.lit());
        Plan plan = paged.edit(new FixtureEdit.AddressAll())
                .edit(new FixtureEdit.AddFixtures(new FixtureTypeId("moving-wash"), "1", "Washes"))
                .plan();
        assertThat(plan.lights().fixtures())
                .extracting(fixture -> fixture.at().orElseThrow().start())
                .containsExactly(1, 33, 65, 97, 129);
        assertThat(Sheets.of(Report.of(plan)).stream()
                        .flatMap(sheet -> sheet.sections().stream())
                        .map(Object::toString))
                .anySatisfy(words -> assertThat(words)
                        .contains("Par 1 (fixture button 1), Par 2 (fixture button 2)")
                        .contains("Wash 1 (fixture button 5): page 1: 128 128 0 ")
                        .containsPattern("Wash 1 .*; page 2: \\d+"));
    }
}
