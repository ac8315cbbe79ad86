package embrack.core.line;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.MappingFaults;
import embrack.core.RandomRigs;
import embrack.core.Sketch;
import embrack.core.edit.Edit;
import embrack.core.edit.SwitchEdit;
import embrack.core.gear.SwitchMode;
import embrack.core.line.Inspection.Result;
import embrack.core.line.Mistake.Kind;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.Message.ControlChange;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Language;
import embrack.core.word.Wording;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What comes from a box that is programmed otherwise than planned is told for what it is. */
class LineCheckTests {

    private static final SwitchAt THREE = Sketch.at("foot-board 3");

    /** Six one-shot switches of one bank, one that is momentary, one that alternates; two in another bank. */
    private static Plan plan() {
        return MappingFaults.floor()
                .step(
                        "foot-board 3: vocal-mixer mute:input-3",
                        "foot-board 4: vocal-mixer mute:input-4",
                        "foot-board 5: vocal-mixer open:input-5",
                        "foot-board 6: vocal-mixer mute:input-6",
                        "foot-board 6: vocal-mixer mute:input-7",
                        "foot-board/2 3: vocal-mixer mute:return-1",
                        "foot-board/2 4: vocal-mixer mute:return-2")
                .then("foot-board 7", Moment.PRESS, "vocal-mixer mute:input-8")
                .then("foot-board 7", Moment.RELEASE, "vocal-mixer open:input-8")
                .mode("foot-board 7", SwitchMode.MOMENTARY)
                .then("foot-board 8", Moment.PRESS, "vocal-mixer mute:main")
                .then("foot-board 8", Moment.AGAIN, "vocal-mixer open:main")
                .mode("foot-board 8", SwitchMode.ALTERNATING)
                .plan();
    }

    private static Feet feet(Plan plan, Mistake... mistakes) {
        return new Feet(SimulatedRig.of(plan).with(List.of(mistakes)), LineCheck.of(Walk.of(plan), new TreeMap<>()));
    }

    /** What is amiss in a word each, by switch. */
    private static String brief(Inspection found) {
        Plan plan = found.walk().plan();
        Wording words = new Wording(plan.rig(), plan.book(), plan.switches(), Language.ENGLISH);
        return found.amiss().stream()
                .map(task -> "%d.%d %s"
                        .formatted(
                                task.at().bank(),
                                task.at().number(),
                                words.say(new Telling(plan, found.walk().planned(task))
                                        .brief(((Result.Wrong) found.of(task)).amiss()))))
                .collect(Collectors.joining(", "));
    }

    @Test
    void whatIsProgrammedAsPlannedHasItsTicksWithoutAHand() {
        Feet feet = feet(plan()).walk();
        assertThat(feet.found().isAllRight()).isTrue();
        assertThat(feet.check().at()).isEmpty();
        assertThat(feet.pressed()).hasSize(2 * feet.found().count());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "channel; 9; 1.3 channel 9",
                "off-by; 1; 1.3 another switch's",
                "off-by; -5; 1.3 5 low",
                "off-by; 12; 1.3 12 high",
                "wrong-way; 0; 1.3 the wrong way",
                "alternating; 0; 1.3 alternates",
                "momentary; 0; 1.3 lets go",
                "exchanged; 4; 1.3 exchanged, 1.4 exchanged",
                "twice; 0; 1.3 twice",
                "more; 7; 1.3 more",
                "unwritten; 0; 1.3 another sort",
                "dead; 0; 1.3 nothing came"
            })
    void aMistakeOfASwitchIsNamedAndMended(String kind, int number, String named) {
        Feet feet = feet(plan(), Mistake.of(Kind.parse(kind).orElseThrow(), THREE, number))
                .walk();
        assertThat(brief(feet.found())).isEqualTo(named);
        List<Task> amiss = feet.found().amiss();
        feet.mended().later();
        amiss.forEach(task -> feet.press(task).press(task));
        assertThat(brief(feet.found())).isEmpty();
        assertThat(feet.found().isAllRight()).isTrue();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "channel; 9; channel 9",
                "off-by; 1; one high",
                "off-by; 12; 12 high",
                "twice; 0; twice",
                "dead; 0; nothing came"
            })
    void aMistakeOfAWholeBoxIsOneCause(String kind, int number, String named) {
        Inspection found = feet(plan(), Mistake.ofBox(Kind.parse(kind).orElseThrow(), THREE, number))
                .walk()
                .found();
        assertThat(found.amiss()).hasSize(found.count());
        assertThat(brief(found).split(", ")).allMatch(brief -> brief.endsWith(" " + named));
        assertThat(found.amiss().stream().map(found::of))
                .as("told once, then the same cause")
                .filteredOn(result -> !((Result.Wrong) result).again())
                .hasSize(1);
    }

    @Test
    void banksThatWereExchangedAreToldAsSuch() {
        Inspection found =
                feet(plan(), Mistake.ofBox(Kind.BANKS, THREE, 2)).walk().found();
        assertThat(brief(found))
                .contains("1.3 banks exchanged", "1.4 banks exchanged", "2.3 banks exchanged", "2.4 banks exchanged");
    }

    /** A switch that alternates, and is asked to, may stand at either side when the check begins. */
    @Test
    void whatAlternatesMayBeginAtEitherSide() {
        Task eight = new Task(Sketch.at("foot-board 8"), Moment.PRESS);
        Feet feet = feet(plan());
        feet = new Feet(
                SimulatedRig.of(plan()).press(eight.at()).after(), feet.check().turnedTo(eight));
        assertThat(feet.press(eight).press(eight).found().of(eight)).isInstanceOf(Result.Right.class);
    }

    @Test
    void whatIsAskedToTurnAndNeverDoesIsTold() {
        Plan plan = plan();
        Plan other = Sketch.on(plan).mode("foot-board 8", SwitchMode.ONE_SHOT).plan();
        LineCheck check = LineCheck.of(Walk.of(plan), new TreeMap<>());
        Feet feet = new Feet(SimulatedRig.of(other), check).walk();
        assertThat(brief(feet.found())).isEqualTo("1.8 does not turn");
    }

    @Test
    void somebodyOnTheWrongSwitchIsToldBeforeAnythingIsKept() {
        Task three = new Task(THREE, Moment.PRESS);
        Task five = new Task(Sketch.at("foot-board 5"), Moment.PRESS);
        Feet feet = feet(plan());
        feet = new Feet(SimulatedRig.of(plan()), feet.check().turnedTo(three)).press(five);
        assertThat(feet.check().remark()).contains(new Remark.ThatIs(five));
        assertThat(feet.check().at()).contains(three);
        assertThat(feet.found().amiss()).isEmpty();
        feet.press(three).press(three);
        assertThat(feet.found().of(three)).isInstanceOf(Result.Right.class);
    }

    /** A plan that is changed to what the box sends is right without another press; any other change asks for one. */
    @Test
    void aPlanThatChangedIsAskedAndNotWhatWasOnceSaid() {
        Feet feet = feet(plan(), Mistake.of(Kind.OFF_BY, THREE, 7)).walk();
        assertThat(brief(feet.found())).isEqualTo("1.3 7 high");
        Plan taken = Sketch.on(plan())
                .edit(new SwitchEdit.RemoveStep(THREE, Moment.PRESS, 0, Sketch.stepOf("vocal-mixer mute:input-3")))
                .step("foot-board 3: vocal-mixer mute:return-2")
                .plan();
        Inspection again = Inspection.of(Walk.of(taken), feet.check().came());
        assertThat(brief(again)).isEmpty();
        Plan moved =
                Sketch.on(plan()).set("vocal-mixer", "receive-channel", "5").plan();
        assertThat(Inspection.of(Walk.of(moved), feet.check().came()).results().values())
                .allMatch(Result.Changed.class::isInstance);
    }

    /** Whatever rig: programmed as planned it is all right, and what was kept of it says so again. */
    @ParameterizedTest
    @ValueSource(longs = {3, 14, 15, 92, 65, 35})
    void anyRigIsCheckedInOneWalk(long seed) {
        Plan plan = RandomRigs.of(seed, 6);
        Walk walk = Walk.of(plan);
        Feet feet = feet(plan).walk();
        assertThat(brief(feet.found())).isEmpty();
        assertThat(feet.found().done()).isEqualTo(walk.stops().size());
        Map<Task, Came> kept = new TreeMap<>();
        feet.check()
                .came()
                .forEach((task, came) -> kept.put(
                        Task.parse(task.key()).orElseThrow(),
                        Came.parse(came.planned(), came.written()).orElseThrow()));
        assertThat(Inspection.of(walk, kept)).isEqualTo(feet.found());
    }

    /** Whoever says that the plan is wrong gets one that asks for what came, where there is one. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "channel; 9; Set MIDI receive channel of Vocal mixer to 9",
                "off-by; 1; mute Input 4",
                "wrong-way; 0; open Input 3",
                "alternating; 0; Have Foot board, bank A, switch 3 send on, and off at the next press",
                "off-by; 120; ",
                "dead; 0; "
            })
    void thePlanTakesWhatCame(String kind, int number, @Nullable String edit) {
        Plan plan = plan();
        Task three = new Task(THREE, Moment.PRESS);
        LineCheck check = feet(plan, Mistake.of(Kind.parse(kind).orElseThrow(), THREE, number))
                .walk()
                .check();
        Optional<Edit> taken = Taking.of(plan, three, check.came().get(three));
        assertThat(taken.isPresent()).isEqualTo(edit != null);
        if (taken.isPresent()) {
            assertThat(new Wording(plan.rig()).say(taken.get().summary(plan)) + said(taken.get(), plan))
                    .contains(edit);
            assertThat(Inspection.of(Walk.of(taken.get().apply(plan)), check.came())
                            .of(three))
                    .isInstanceOf(Result.Right.class);
        }
    }

    private static String said(Edit edit, Plan plan) {
        Plan after = edit.apply(plan);
        return after.switches().at(THREE).steps().stream()
                .map(step -> " " + after.words(step))
                .collect(Collectors.joining());
    }

    /** A pedal that is stuck floods the cable, and what is pressed meanwhile is told apart all the same. */
    @Test
    void aStuckPedalHidesNoSwitch() {
        Walk walk = Walk.of(plan());
        LineCheck check = LineCheck.of(walk, new TreeMap<>());
        long clock = 0;
        for (Planned planned : walk.stops()) {
            for (int press = 0; press < 2; press++) {
                List<Message> sent = new ArrayList<>(Planned.messages(press == 0 ? planned.down() : planned.again()));
                sent.addAll(Planned.messages(planned.up()));
                for (int i = 0; i < 900; i++) {
                    clock += 333;
                    check = check.heard(
                            new Heard(clock, THREE.board(), new ControlChange(new Channel(2), 11, i % 128)));
                    if (i % 300 == 150 && !sent.isEmpty()) {
                        check = check.heard(new Heard(clock, THREE.board(), sent.removeFirst()));
                    }
                }
                clock += 500_000;
                check = check.quiet(clock);
            }
        }
        assertThat(brief(check.inspection())).isEmpty();
        assertThat(check.inspection().isAllRight()).isTrue();
    }

    /** Of a flood that a page was too slow to tell the last message stands for many; a switch in it is seen. */
    @Test
    void aFloodOfWhichTheLastIsToldHidesNoSwitch() {
        for (int gapMillis : new int[] {1, 50, 119, 121, 400}) {
            LineCheck check = LineCheck.of(Walk.of(plan()), new TreeMap<>());
            Planned planned = check.waitsFor().orElseThrow();
            long clock = 1_000_000;
            for (int press = 0; press < planned.presses(); press++) {
                check = check.heard(new Heard(clock, THREE.board(), new ControlChange(new Channel(2), 11, 9), 1_400));
                for (Message message : press == 0 ? planned.messages() : Planned.messages(planned.again())) {
                    check = check.heard(new Heard(clock + gapMillis * 1_000L, THREE.board(), message));
                }
                check = check.heard(new Heard(
                        clock + 2_000L * gapMillis, THREE.board(), new ControlChange(new Channel(2), 11, 5), 60));
                clock += 2_000L * gapMillis + 700_000;
                check = check.quiet(clock);
            }
            assertThat(check.inspection().amiss()).as("after %d ms", gapMillis).isEmpty();
            assertThat(check.inspection().of(planned.task())).isInstanceOf(Result.Right.class);
        }
    }

    /** A pedal that is just touched, right before the switch is pressed, is not held against the switch. */
    @Test
    void aTouchedPedalBeforeAPressIsNotOfIt() {
        for (int touches = 1; touches <= 4; touches++) {
            LineCheck check = LineCheck.of(Walk.of(plan()), new TreeMap<>()).turnedTo(new Task(THREE, Moment.PRESS));
            Task task = check.at().orElseThrow();
            Planned planned = check.waitsFor().orElseThrow();
            long clock = 1_000_000;
            for (int i = 0; i < touches; i++) {
                clock += 1_000;
                check = check.heard(new Heard(clock, THREE.board(), new ControlChange(new Channel(2), 11, 40 + i)));
            }
            clock += 150_000;
            for (int press = 0; press < planned.presses(); press++) {
                for (Message message : planned.messages()) {
                    check = check.heard(new Heard(clock, THREE.board(), message));
                }
                check = check.quiet(clock + 130_000);
                clock += 700_000;
            }
            assertThat(check.inspection().of(task)).as("%d before it", touches).isInstanceOf(Result.Right.class);
            assertThat(check.inspection().amiss()).isEmpty();
        }
    }

    /** Two people at two boxes: what one presses is nothing to the switch that the other has pressed once. */
    @Test
    void twoPeopleAtTwoBoxesShareACheck() {
        Plan plan = Sketch.on(plan())
                .box("Other board", "ten-switch-treadle-board")
                .box("Choir mixer", "rack-mixer-24")
                .set("choir-mixer", "receive-channel", "5")
                .link("other-board.out > choir-mixer.in")
                .step(
                        "other-board 1: choir-mixer mute:input-1",
                        "other-board 2: choir-mixer mute:input-2",
                        "other-board 3: choir-mixer mute:input-3")
                .plan();
        SharedCheck check = SharedCheck.of(Walk.of(plan), new TreeMap<>());
        DeviceId other = new DeviceId("other-board");
        List<Planned> there = check.walk().on(other);
        List<Planned> here = check.walk().on(THREE.board()).subList(0, there.size());
        assertThat(there).hasSize(3);
        long clock = 0;
        for (int i = 0; i < here.size(); i++) {
            for (int press = 0; press < 2; press++) {
                for (Planned planned : List.of(here.get(i), there.get(i))) {
                    for (Message message : Planned.messages(press == 0 ? planned.down() : planned.again())) {
                        clock += 20_000;
                        check = check.heard(new Heard(clock, planned.task().box(), message));
                    }
                }
                clock += 700_000;
                check = check.quiet(clock);
            }
        }
        Inspection found = check.inspection();
        assertThat(Stream.concat(here.stream(), there.stream()).map(planned -> found.of(planned.task())))
                .allMatch(Result.Right.class::isInstance);
        assertThat(found.done()).isEqualTo(6);
        assertThat(check.at(Optional.of(THREE.board())).at().orElseThrow().at()).isEqualTo(Sketch.at("foot-board 4"));
    }
}
