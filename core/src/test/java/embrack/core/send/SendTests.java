package embrack.core.send;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embrack.core.Evening;
import embrack.core.MappingFaults;
import embrack.core.chart.PartId;
import embrack.core.edit.GearEdit;
import embrack.core.gear.SettingId;
import embrack.core.line.SimulatedRig;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.Message.ControlChange;
import embrack.core.midi.Message.NoteOff;
import embrack.core.midi.Message.NoteOn;
import embrack.core.midi.MessageType;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.world.Place;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SendTests {

    private static final int ROUNDS_AT_LEAST = 10;

    private static final DeviceId MIXER = new DeviceId("vocal-mixer");
    private static final DeviceId DESK = new DeviceId("lantern-desk");

    private final Plan plan = Evening.sketch()
            .step(
                    "foot-board 5: vocal-mixer mute:return-1",
                    "foot-board 6: vocal-mixer open:return-1",
                    "foot-board 7: vocal-mixer mute:return-2",
                    "foot-board 8: old-desk on:blackout",
                    "foot-board 9: lantern-desk run:chase-1")
            .plan();

    /** Every action of the show, sent to simulated boxes that are set as planned, does what is asked about it. */
    @Test
    void allThatIsAskedIsDone() {
        Asking asking = answeredBy(SimulatedRig.of(plan));
        assertThat(asking.probes().all()).hasSizeGreaterThan(12);
        assertThat(asking.amiss()).isEmpty();
        assertThat(asking.probes().all()).allMatch(probe -> asking.result(probe) == Asking.Result.RIGHT);
    }

    /** A box that is set to another channel does nothing, and nobody else what was meant for it. */
    @Test
    void aBoxOnAnotherChannelIsNamed() {
        Asking asking = answeredBy(
                SimulatedRig.of(plan).setTo(new GearEdit.ChangeSetting(DESK, new SettingId("receive-channel"), "15")));
        assertThat(asking.amiss()).isNotEmpty().allMatch(probe -> probe.device().equals(DESK));
        assertThat(asking.amiss().stream().map(probe -> Mishap.of(asking, probe)))
                .allMatch(mishap -> mishap.orElseThrow() instanceof Mishap.Deaf);
    }

    /** Answers, as a person would who looks at a simulated rig. */
    private Asking answeredBy(SimulatedRig rig) {
        Asking asking = Asking.of(Probes.of(plan), Map.of());
        SimulatedRig now = rig;
        for (int i = 0;
                i < 500
                        && asking.at().isPresent()
                        && asking.result(asking.at().get()).isToDo();
                i++) {
            Probe probe = asking.at().orElseThrow();
            World before = now.world();
            for (Message message : probe.messages()) {
                now = now.received(probe.device(), message).after();
            }
            World meant = before.after(probe.device(), List.of(probe.action()));
            SortedSet<Place> different = new TreeSet<>(meant.differences(now.world()));
            asking = asking.sent().answered(different.isEmpty() ? new Answer.Did() : new Answer.Nothing());
        }
        return asking;
    }

    @Test
    void answersGoOnAndOutliveTheServer() {
        Asking asking = Asking.of(Probes.of(plan), Map.of()).walkedTo(MIXER);
        Probe first = asking.at().orElseThrow();
        assertThat(asking.answered(new Answer.Did())).as("not sent yet").isEqualTo(asking);
        Asking later = asking.sent().later();
        assertThat(later.at()).isNotEqualTo(Optional.of(first));
        assertThat(later.at().orElseThrow().device()).isEqualTo(MIXER);
        Answer other = new Answer.Other(MIXER, new PartId("return-2"));
        for (Answer answer : List.of(new Answer.Did(), new Answer.Nothing(), other)) {
            assertThat(Answer.parse(answer.written())).contains(answer);
        }
        assertThat(Answer.parse("other vocal-mixer")).isEmpty();
        assertThat(Answer.parse("perhaps")).isEmpty();
        Asking wrong = asking.sent().answered(other);
        assertThat(wrong.result(first)).isEqualTo(Asking.Result.WRONG);
        assertThat(Mishap.of(wrong, first)).contains(new Mishap.CountsOtherwise(1));
        Plan moved = new GearEdit.ChangeSetting(MIXER, new SettingId("receive-channel"), "9").apply(plan);
        Asking since = Asking.of(Probes.of(moved), new TreeMap<>(wrong.asked()));
        assertThat(since.result(Probes.of(moved).find(first.key()).orElseThrow()))
                .isEqualTo(Asking.Result.CHANGED);
        assertThat(wrong.anew(List.of(MIXER)).amiss()).isEmpty();
    }

    /** What is learned is in each memory by itself: it is tried in the first, a middle and the last of the show. */
    @Test
    void whatWasLearnedIsTriedInThreeMemories() {
        Plan looping = MappingFaults.loops().plan();
        List<Probe> tried = Probes.of(looping).of(new DeviceId("loop-table")).stream()
                .filter(probe -> probe.memory().isPresent())
                .toList();
        assertThat(tried.stream().map(probe -> probe.memory().orElseThrow())).containsExactly(1, 50, 99);
        for (Probe probe : tried) {
            assertThat(probe.messages()).hasSizeGreaterThan(1);
            assertThat(probe.messages().getFirst().type()).isEqualTo(MessageType.PROGRAM_CHANGE);
            assertThat(probe.sendings().get(1).waitMillis())
                    .as("it is deaf while it loads")
                    .isPositive();
            assertThat(Probes.of(looping).find(probe.key())).contains(probe);
        }
        Asking asking = Asking.of(Probes.of(looping), Map.of())
                .turnedTo(tried.getLast().key())
                .sent()
                .answered(new Answer.Nothing());
        assertThat(Mishap.of(asking, tried.getLast()))
                .contains(new Mishap.NotWritten(tried.getLast().memory().orElseThrow()));
    }

    /** Nothing that can hurt somebody goes without a yes to just that. */
    @Test
    void whatCanHurtIsAskedTwice() {
        Map<String, Boolean> twice = new TreeMap<>();
        Probes.of(plan)
                .all()
                .forEach(probe -> twice.merge(
                        probe.action().verb().key()
                                + (probe.action().amount().filter(a -> a > 0).isPresent() ? " up" : ""),
                        probe.isAskedTwice(),
                        Boolean::logicalOr));
        assertThat(twice)
                .containsEntry("mute", false)
                .containsEntry("open", true)
                .containsEntry("recall", false)
                .containsEntry("run", true);
        assertThat(Probes.of(plan).all().stream()
                        .filter(probe -> probe.cautions().contains(Caution.DARK))
                        .map(probe -> probe.action().part().text()))
                .isNotEmpty()
                .allMatch("blackout"::equals);
    }

    @Test
    void theGateIsOpenForOnePageAndOneBoxAndAWhile() {
        Gate gate = Gate.SHUT.opened("page", MIXER, 0);
        assertThat(gate.word("page", MIXER, false, false, 1)).isEqualTo(Gate.Word.GO);
        assertThat(gate.word("page", MIXER, true, false, 1)).isEqualTo(Gate.Word.ASK_AGAIN);
        assertThat(gate.word("page", MIXER, true, true, 1)).isEqualTo(Gate.Word.GO);
        assertThat(gate.word("page", DESK, false, true, 1)).isEqualTo(Gate.Word.SHUT);
        assertThat(gate.word("other page", MIXER, false, true, 1)).isEqualTo(Gate.Word.SHUT);
        assertThat(gate.word("page", MIXER, false, false, Gate.IDLE_MICROS + 1)).isEqualTo(Gate.Word.SHUT);
        assertThat(gate.shut("page").open()).isEmpty();
        assertThat(gate.shut(MIXER).open()).isEmpty();
        assertThat(Gate.SHUT.opened(" ", MIXER, 0).open())
                .as("a page without a name")
                .isEmpty();
    }

    /** By halves: 128 in 7 questions, 16 channels of them in 11, and one more that asks it back. */
    @ParameterizedTest
    @CsvSource({"128, 7", "2048, 11", "1, 0", "3, 2", "100, 7"})
    void halvesFindItInAsManyQuestions(int count, int questions) {
        List<Integer> all = IntStream.range(0, count).boxed().toList();
        for (int wanted : new int[] {0, count / 3, count - 1}) {
            Halving<Integer> halving = Halving.among(all);
            while (!halving.isAskingBack()) {
                halving = halving.answered(halving.next().contains(wanted));
            }
            assertThat(halving.questions()).isLessThanOrEqualTo(questions);
            assertThat(halving.next()).containsExactly(wanted);
            assertThat(halving.answered(true).found()).contains(wanted);
        }
        Halving<Integer> none = Halving.among(all);
        while (!none.isOver()) {
            none = none.answered(false);
        }
        assertThat(none.found()).isEmpty();
        assertThat(none.questions()).isLessThanOrEqualTo(questions + 1);
    }

    /** One by one: a hand is late by as many as two, and what was sent just before is asked back. */
    @ParameterizedTest
    @CsvSource({"40, 0", "40, 1", "40, 2", "127, 0", "0, 2"})
    void oneByOneIsAskedBack(int wanted, int late) {
        List<Integer> all = IntStream.range(0, 128).boxed().toList();
        OneByOne<Integer> one = OneByOne.among(all);
        for (int sent = 0; sent <= wanted + late; sent++) {
            one = one.sent();
        }
        one = one.stopped();
        while (one.isAskingBack()) {
            one = one.answered(one.next().contains(wanted));
        }
        assertThat(one.found()).contains(wanted);
        assertThat(one.next()).isEmpty();
    }

    @Test
    void aSearchKeepsToItsLimits() {
        Search.Limits limits = new Search.Limits(MessageType.NOTE_ON, new Channel(2), new Channel(3), 36, 47);
        assertThat(limits.messages()).hasSize(24).contains(new NoteOn(new Channel(3), 47, 127));
        Search search = Search.byHalves(MIXER, limits);
        assertThat(search.answered(true)).as("nothing was sent yet").isEqualTo(search);
        assertThat(search.sent().answered(true).how().next()).hasSize(6);
        assertThat(search.sent().answered(true).out()).hasSize(12).contains(new NoteOn(new Channel(2), 36, 127));
        assertThatThrownBy(() -> new Search.Limits(MessageType.NOTE_ON, new Channel(3), new Channel(2), 0, 1))
                .hasMessageContaining("stands before the last");
        assertThatThrownBy(() -> new Search.Limits(MessageType.CLOCK, new Channel(1), new Channel(2), 0, 1))
                .hasMessageContaining("not clocks");
    }

    /** All notes off is controller 123 and the sustain pedal 64: MIDI 1.0, tables III and IV. */
    @Test
    void atTheEndNotesAreOffAndPedalsUp() {
        Channel channel = new Channel(4);
        List<Message> rest = Quiet.after(plan, MIXER, List.of(new NoteOn(channel, 60, 100)));
        assertThat(rest)
                .containsExactly(
                        new NoteOff(channel, 60, 0),
                        new ControlChange(channel, 123, 0),
                        new ControlChange(channel, 64, 0));
        // A light that its note turns round must not be sent that note's end, if that turns it back.
        DeviceId old = new DeviceId("old-desk");
        List<Message> played = Probes.of(plan).of(old).stream()
                .flatMap(probe -> probe.messages().stream())
                .toList();
        SimulatedRig lit = SimulatedRig.of(plan);
        for (Message message : played) {
            lit = lit.received(old, message).after();
        }
        World before = lit.world();
        for (Message message : Quiet.after(plan, old, played)) {
            lit = lit.received(old, message).after();
        }
        assertThat(before.differences(lit.world())).isEmpty();
    }

    @Test
    void whatIsHarmlessDoesNothingAnywhere() {
        Message message = Harmless.in(plan).orElseThrow();
        for (DeviceId box : SimulatedRig.of(plan).receivers()) {
            SimulatedRig.Done done = SimulatedRig.of(plan).received(box, message);
            assertThat(SimulatedRig.of(plan).world().differences(done.after().world()))
                    .isEmpty();
        }
    }

    /** The 95th of 100 times from 1 to 100 is 95 by the nearest rank; of 30 it is the 29th. */
    @Test
    void loopTimesAreRanked() {
        LoopTimes times =
                new LoopTimes(LongStream.rangeClosed(1, 100).boxed().toList().reversed());
        assertThat(List.of(times.least(), times.median(), times.percentile(95), times.worst()))
                .containsExactly(1L, 50L, 95L, 100L);
        assertThat(new LoopTimes(LongStream.rangeClosed(1, 30).boxed().toList()).percentile(95))
                .isEqualTo(29);
        assertThatThrownBy(() -> new LoopTimes(List.of())).hasMessageContaining("one or more");
    }

    /** What comes back and is sent on is a loop within 50 messages; a foot that taps fast is none, nor is a pedal. */
    @Test
    void aLoopIsSeenWithin50Messages() {
        Channel channel = new Channel(2);
        for (int each = 1; each <= 3; each++) {
            List<Message> group = new ArrayList<>();
            for (int i = 0; i < each; i++) {
                group.add(new ControlChange(channel, 50 + i, 127));
            }
            Feedback feedback = Feedback.NONE;
            int sent = 0;
            for (int round = 0; !feedback.isLoop() && round < 100; round++) {
                OptionalLong since = round == 0 ? OptionalLong.empty() : OptionalLong.of(40_000);
                feedback = feedback.sending(group.getFirst(), since, group);
                sent += each;
            }
            assertThat(sent).as("%d messages a round", each).isBetween(10, 51);
        }
        // A box on the way that has all on one channel, or turns values over: what comes is not what went.
        for (boolean turnsOver : new boolean[] {false, true}) {
            Feedback changed = Feedback.NONE;
            Message message = new ControlChange(channel, 50, 127);
            int rounds = 0;
            for (; !changed.isLoop() && rounds < 100; rounds++) {
                Message came = turnsOver
                        ? new ControlChange(channel, 50, 127 - ((ControlChange) message).value())
                        : new ControlChange(new Channel(9), 50, 127);
                boolean wasSent = rounds > (turnsOver ? 2 : 1);
                changed =
                        changed.sending(came, wasSent ? OptionalLong.of(80_000) : OptionalLong.empty(), List.of(came));
                message = came;
            }
            assertThat(rounds).as("turned over: %s", turnsOver).isBetween(ROUNDS_AT_LEAST, 50);
        }
        Feedback tapping = Feedback.NONE;
        for (int tap = 0; tap < 200; tap++) {
            Message foot = new ControlChange(channel, 50, 127);
            tapping = tapping.sending(foot, OptionalLong.of(310_000), List.of(foot));
            assertThat(tapping.isLoop()).isFalse();
        }
        Feedback pedal = Feedback.NONE;
        for (int i = 0; i < 1_000; i++) {
            Message moved = new ControlChange(channel, 11, Math.abs(i % 254 - 127));
            // By the time that it comes to a value again, it was on its way for longer than that.
            pedal = pedal.sending(moved, OptionalLong.of(i % 254 == 128 ? 6_000 : 400_000), List.of(moved));
            assertThat(pedal.isLoop()).as("at %d", i).isFalse();
        }
    }

    /** What a box learns comes alone and with a value that it learns from. */
    @Test
    void lessonsAreWhatTheBoxIsToLearn() {
        plan.rig()
                .devices()
                .forEach(device -> Teaching.of(plan, device.id()).forEach((id, message) -> {
                    var learnable = plan.rig().model(device.id()).chart().learnables().stream()
                            .filter(one -> one.id().equals(id))
                            .findFirst()
                            .orElseThrow();
                    assertThat(learnable.refusal(message)).isEmpty();
                    assertThat(SimulatedRig.of(plan)
                                    .received(device.id(), message)
                                    .arrived())
                            .extracting(SimulatedRig.Arrived::message)
                            .containsExactly(message);
                }));
    }
}
