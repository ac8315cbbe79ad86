package embrack.core.numbers;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.MappingFaults;
import embrack.core.RandomRigs;
import embrack.core.Sketch;
import embrack.core.chart.ChartRow;
import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.chart.Trigger;
import embrack.core.check.Report;
import embrack.core.check.rule.Told;
import embrack.core.compile.Compiler;
import embrack.core.edit.NumberEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.gear.ControlType;
import embrack.core.gear.Purpose;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.sim.Verdict;
import embrack.core.way.Ways;
import embrack.core.word.Language;
import embrack.core.word.Wording;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class AllocatorTests {

    private static final DeviceId LOOPS = new DeviceId("loop-table");

    @Test
    void numbersMakeOneNeatRunInTheOrderOfTheSwitches() {
        Sketch sketch = MappingFaults.loops();
        sketch.step("foot-board 4: loop-table undo:track-1", "foot-board 9: loop-table undo:track-2");
        assertThat(numbers(sketch.plan(), "record:track-1", "stop-all:tracks", "undo:track-1", "undo:track-2"))
                .containsExactly(102, 103, 104, 105);
        Plan anew = new NumberEdit.Renumber().apply(sketch.plan());
        assertThat(numbers(anew, "record:track-1", "undo:track-1", "stop-all:tracks", "undo:track-2"))
                .containsExactly(102, 103, 104, 105);
        assertThat(Report.of(anew).proofs()).allMatch(proof -> proof.verdict() == Verdict.EXACT);
    }

    @Test
    void whatIsLearnedStaysWhileThePlanGrowsAndIsForgottenWhenNothingUsesIt() {
        Plan before = MappingFaults.loops().plan();
        Plan grown =
                Sketch.on(before).step("foot-board 1: loop-table clear:track-3").plan();
        assertThat(grown.rig().device(LOOPS).learned())
                .containsAllEntriesOf(before.rig().device(LOOPS).learned());
        Plan shrunk = new SwitchEdit.ClearSwitch(Sketch.at("foot-board 3")).apply(grown);
        assertThat(shrunk.rig().device(LOOPS).learned()).doesNotContainKey(LearnableId.parse("record:track-1"));
    }

    @Test
    void aPinnedNumberIsNeverChosenAnewAndOthersGoRoundIt() {
        Plan pinned = new NumberEdit.PinNumber(
                        LOOPS, LearnableId.parse("record:track-1"), MessageType.CONTROL_CHANGE, "", "103")
                .apply(MappingFaults.loops().plan());
        Plan anew = new NumberEdit.Renumber().apply(pinned);
        assertThat(numbers(anew, "record:track-1")).containsExactly(103);
        assertThat(numbers(anew, "stop-all:tracks")).doesNotContain(103);
        Plan freed = new NumberEdit.PinNumber(
                        LOOPS, LearnableId.parse("record:track-1"), MessageType.CONTROL_CHANGE, "", "")
                .apply(anew);
        assertThat(freed.rig()
                        .device(LOOPS)
                        .learned()
                        .get(LearnableId.parse("record:track-1"))
                        .pinned())
                .isFalse();
    }

    /** A pedal sends one number whatever it moves, so that two levels of a box learn the same. */
    @Test
    void aPedalWithAFixedNumberMovesTwoLevels() {
        Plan plan = Sketch.of("Pedal")
                .box("Board", "ten-switch-factory-board")
                .box("Loops", "loop-table-five-tracks")
                .link("board.out > loops.in")
                .move("board", ControlType.TREADLE, "loops", "track-1", 0, 127)
                .move("board", ControlType.TREADLE, "loops", "track-2", 0, 127)
                .plan();
        assertThat(plan.rig().device(new DeviceId("loops")).learned().values())
                .hasSize(2)
                .extracting(Learned::number)
                .containsOnly(27);
        assertThat(Report.of(plan).controlAssignments())
                .allSatisfy(proof -> assertThat(proof.verdict()).isEqualTo(Verdict.EXACT));
    }

    /** A board that cannot be programmed gives its own numbers, the break at the tenth switch included. */
    @Test
    void aFactoryRunIsLearnedAsItIs() {
        Plan plan = MappingFaults.factory().plan();
        assertThat(numbers(
                        plan,
                        "undo:track-1",
                        "undo:track-2",
                        "undo:track-3",
                        "undo:track-4",
                        "undo:track-5",
                        "clear:track-1"))
                .containsExactly(80, 81, 82, 83, 84, 102);
        assertThat(Report.of(plan).proofs()).allMatch(proof -> proof.verdict() == Verdict.EXACT);
    }

    @Test
    void aBoxHasNoMoreThanItsInputs() {
        Sketch sketch = MappingFaults.loops();
        for (String verb : List.of("record", "stop", "clear", "undo")) {
            for (int track = 1; track <= 5; track++) {
                sketch.step("foot-board 5: loop-table %s:track-%d".formatted(verb, track));
            }
        }
        assertThat(sketch.rig().device(LOOPS).learned()).hasSize(16);
        assertThat(Report.of(sketch.plan()).findings())
                .filteredOn(f -> f.code().equals("switches.nothing-learned"))
                .singleElement()
                .satisfies(finding ->
                        assertThat(Told.of(finding, sketch.plan()).fix()).contains("all its inputs are taken"));
    }

    /** Which numbers mean something anyway: MIDI 1.0, tables III and IIIa, and channel mode messages 120 to 127. */
    @Test
    void reservedNumbersAreNeverOffered() {
        List<Integer> free = Reserved.free(MessageType.CONTROL_CHANGE);
        assertThat(free)
                .doesNotContain(0, 1, 6, 7, 10, 11, 32, 38, 64, 66, 96, 97, 98, 99, 100, 101, 120, 121, 123, 127);
        assertThat(free.subList(0, 18))
                .isEqualTo(Arrays.asList(
                        102, 103, 104, 105, 106, 107, 108, 109, 110, 111, 112, 113, 114, 115, 116, 117, 118, 119));
        assertThat(Reserved.why(MessageType.CONTROL_CHANGE, 64).map(Wording.without(Language.ENGLISH)::say))
                .contains("64 is damper pedal: sounds obey it by themselves");
        assertThat(Reserved.free(MessageType.NOTE_ON)).hasSize(128);
    }

    @Test
    void aDeviceWithoutAChannelGetsOneOfItsOwnAndAPairLearnsTheSame() {
        Plan tracks = MappingFaults.tracks().plan();
        assertThat(tracks.rig().device(new DeviceId("tracks")).learned().values())
                .extracting(Learned::channel)
                .containsOnly(Optional.of(new Channel(3)));
        Sketch pair = MappingFaults.floor()
                .box("Left", "computer")
                .box("Right", "computer")
                .app("One", "launch-grid-player", "left")
                .app("Two", "launch-grid-player", "right")
                .set("one", "input-for-remote", "on")
                .set("two", "input-for-remote", "on")
                .pair("one", "two")
                .step("foot-board 3: one next:row");
        assertThat(pair.rig().device(new DeviceId("two")).learned())
                .isEqualTo(pair.rig().device(new DeviceId("one")).learned())
                .hasSize(1);
    }

    /**
     * On any rig: what was chosen is answered by the one action it was chosen for, and by nothing else that hears it.
     */
    @Property(tries = 150)
    void noMessageThatWasChosenIsAnsweredByTwoActions(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 3, max = 16) int boxes) {
        Plan plan = RandomRigs.of(seed, boxes).settled();
        Rig rig = plan.rig();
        for (Wanted wanted : Wanted.all(rig, plan.switches(), java.util.Map.of(), false)) {
            Learned learned = rig.device(wanted.device()).learned().get(wanted.learnable());
            if (learned == null) {
                continue;
            }
            Channel channel = learned.channel()
                    .or(() -> rig.setting(wanted.device(), Purpose.RECEIVE_CHANNEL)
                            .map(Channel::new))
                    .orElseThrow();
            Set<DeviceId> hearers = new TreeSet<>(Set.of(wanted.device()));
            wanted.senders().forEach(sender -> hearers.addAll(new Ways(rig).reach(sender)));
            for (DeviceId hearer : hearers) {
                long implementation = rig.chart(hearer).rows().stream()
                        .filter(row -> isTaken(rig, hearer, row, learned, channel))
                        .count();
                boolean twin =
                        rig.standIn(wanted.device()).filter(hearer::equals).isPresent();
                assertThat(implementation)
                        .as("%s to %s", learned, hearer)
                        .isLessThanOrEqualTo(hearer.equals(wanted.device()) || twin ? 1 : 0);
            }
            assertThat(Reserved.why(learned.type(), learned.number())).isEmpty();
        }
        assertThat(plan.settled()).isEqualTo(plan);
        assertThatNothingSentIsTakenForSomethingLearned(plan);
    }

    /** The other way round: what is sent to one device is none of what another has learned that hears it. */
    private static void assertThatNothingSentIsTakenForSomethingLearned(Plan plan) {
        Rig rig = plan.rig();
        Ways ways = new Ways(rig);
        new Compiler(plan, ways)
                .all()
                .forEach(compiled -> compiled.allSteps()
                        .forEach(step -> step.messages().stream()
                                .filter(m -> m instanceof Message.Voice)
                                .forEach(message -> ways.reach(compiled.at().board()).stream()
                                        .filter(hearer -> !hearer.equals(
                                                        step.step().device())
                                                && rig.standIn(step.step().device())
                                                        .filter(hearer::equals)
                                                        .isEmpty())
                                        .forEach(hearer -> rig.device(hearer)
                                                .learned()
                                                .values()
                                                .forEach(learned -> assertThat(isTaken(rig, hearer, learned, message))
                                                        .as(
                                                                "%s heard by %s, which learned %s",
                                                                message, hearer, learned)
                                                        .isFalse())))));
    }

    private static boolean isTaken(Rig rig, DeviceId device, Learned learned, Message message) {
        return learned.type() == message.type()
                && learned.number() == message.data1()
                && (rig.implementation(device).quirks().hearsAllChannels()
                        || learned.channel()
                                .or(() -> rig.setting(device, Purpose.RECEIVE_CHANNEL)
                                        .map(Channel::new))
                                .filter(((Message.Voice) message).channel()::equals)
                                .isPresent());
    }

    private static boolean isTaken(Rig rig, DeviceId device, ChartRow row, Learned learned, Channel channel) {
        return row.last() instanceof Trigger.Voice voice
                && voice.type() == learned.type()
                && voice.number() == learned.number()
                && (rig.implementation(device).quirks().hearsAllChannels()
                        || voice.channel()
                                .or(() -> rig.setting(device, Purpose.RECEIVE_CHANNEL)
                                        .map(Channel::new))
                                .filter(channel::equals)
                                .isPresent());
    }

    @Test
    void everyReceiverIsProposedAChannelOfItsOwnFromTwoUpwards() {
        Plan plan = Sketch.on(MappingFaults.lights().plan())
                .box("Sounds", "sounds-switcher")
                .box("Desk two", "small-scene-desk")
                .set("desk-two", "receive-channel", "2")
                .plan();
        var proposed = Channels.proposed(plan.rig(), plan.meant(), plan.sendsOn());
        assertThat(proposed.values()).doesNotHaveDuplicates().noneMatch(channel -> channel.number() == 1);
        assertThat(proposed.get(new DeviceId("vocal-mixer")))
                .as("is meant by a switch and keeps what it has")
                .isEqualTo(new Channel(2));
        assertThat(proposed.get(new DeviceId("desk-two"))).isNotEqualTo(new Channel(2));
        Plan taken = new NumberEdit.TakeChannels().apply(plan);
        assertThat(Channels.proposed(taken.rig(), taken.meant(), taken.sendsOn()))
                .isEqualTo(proposed);
        assertThat(taken.rig().devices().stream()
                        .map(Device::id)
                        .flatMap(id -> taken.rig().setting(id, Purpose.RECEIVE_CHANNEL).stream()))
                .doesNotHaveDuplicates();
    }

    /** Two senders mean it, and one of them sends on one channel: what listens there already stays there. */
    @Test
    void aReceiverThatMeetsItsSenderStaysWhereItIs() {
        Plan plan = Sketch.of("Piano")
                .box("Keys", "pads-and-keys")
                .box("Foot board", "ten-switch-treadle-board")
                .box("Computer", "computer")
                .app("Piano", "instrument-host-layer", "computer")
                .link("computer.usb-1 > keys.usb", "computer.usb-2 > foot-board.usb", "computer.usb-1 > piano.in")
                .set("piano", "receive-channel", "5")
                .set("keys", "send-channel", "5")
                .move("keys", ControlType.KNOB, "piano", "control-1", 0, 127)
                .move("foot-board", ControlType.TREADLE, "piano", "control-2", 0, 127)
                .plan();
        assertThat(Channels.proposed(plan.rig(), plan.meant(), plan.sendsOn()).get(new DeviceId("piano")))
                .isEqualTo(new Channel(5));
    }

    /** A board with one channel for everything keeps it, and the one receiver that it means gets it. */
    @Test
    void aReceiverThatOneBoardMeansGetsTheChannelOfThatBoard() {
        Sketch sketch = Sketch.of("One")
                .box("Foot board", "four-switch-floor-board")
                .set("foot-board", "send-channel", "9")
                .box("Vocal mixer", "rack-mixer-24")
                .link("foot-board.out > vocal-mixer.in")
                .step("foot-board 1: vocal-mixer mute:main");
        assertThat(Report.of(new NumberEdit.TakeChannels().apply(sketch.plan())).findings())
                .isEmpty();
        var matrix = Channels.Matrix.of(
                sketch.rig(), new Ways(sketch.rig()), sketch.plan().controllers());
        assertThat(matrix.hears(new DeviceId("vocal-mixer"), new DeviceId("foot-board")))
                .isTrue();
    }

    private static List<Integer> numbers(Plan plan, String... learnables) {
        return Arrays.stream(learnables)
                .map(learnable -> plan.rig()
                        .device(LOOPS)
                        .learned()
                        .get(LearnableId.parse(learnable))
                        .number())
                .toList();
    }
}
