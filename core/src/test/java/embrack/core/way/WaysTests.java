package embrack.core.way;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Sketch;
import embrack.core.WiringFaults;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.MidiFilter;
import embrack.core.rig.Traffic;
import embrack.core.sim.Prover;
import embrack.core.sim.Verdict;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import embrack.core.world.Event;
import embrack.core.world.Happened;
import embrack.core.world.World;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WaysTests {

    private static final DeviceId BOARD = new DeviceId("voice-board");
    private static final DeviceId MIXER = new DeviceId("vocal-mixer");

    /** What a sieve lets through: open, sorts kept back, channels, onto, and the message as it leaves. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "true  |       |     |    | note    3 | 3", "true  | NOTES |     |    | note    3 | ",
                        "true  | NOTES |     |    | cc      3 | 3", "true  |       | 2 3 |    | cc      3 | 3",
                "true  |       | 2   |    | cc      3 | ", "true  |       |     | 7  | program 3 | 7",
                        "true  |       | 3   | 7  | program 3 | 7", "false |       |     |    | note    3 | ",
            })
    void aSieveKeepsBackAndMovesOn(
            boolean open, Traffic stopped, String channels, Integer onto, String message, Integer leaves) {
        Set<Integer> passing = new TreeSet<>();
        for (String channel : channels == null ? new String[0] : channels.split(" ")) {
            passing.add(Integer.valueOf(channel));
        }
        var filter = new MidiFilter(
                open,
                new TreeSet<>(stopped == null ? Set.of() : Set.of(stopped)),
                new TreeSet<>(passing),
                Optional.ofNullable(onto).map(Channel::new));
        Channel channel = new Channel(3);
        Message sent = message.startsWith("note")
                ? new Message.NoteOn(channel, 60, 100)
                : message.startsWith("cc")
                        ? new Message.ControlChange(channel, 7, 1)
                        : new Message.ProgramChange(channel, 4);
        assertThat(filter.pass(sent).map(m -> ((Message.Voice) m).channel().number()))
                .isEqualTo(Optional.ofNullable(leaves));
    }

    @Test
    void allWaysAreFoundTheShortestFirst() {
        Plan twice = fault("two-ways-to-the-mixer");
        List<SignalPath> ways = new Ways(twice.rig()).all(BOARD, MIXER, 10);
        assertThat(ways).extracting(way -> way.hops().size()).containsExactly(3, 3);
        assertThat(ways.getFirst().words(twice.rig()))
                .isEqualTo("Voice board MIDI OUT to Thru box IN, Thru box THRU 1 to Merger IN 1, Merger OUT to "
                        + "Vocal mixer MIDI IN");
    }

    @Test
    void theRingIsFoundAndCutWhereNothingIsLost() {
        Plan ring = fault("ring-of-three-mergers");
        Loops loops = new Loops(new Ways(ring.rig()));
        assertThat(loops.all()).hasSize(1);
        assertThat(ring.rig().words(loops.cut(loops.all().getFirst())))
                .isEqualTo("from Thru box THRU 2 to Merger one IN 2");
        List<Happened> trace = new Engine(ring)
                .settled(World.poweredOn(ring.rig()), new Event.Press(new SwitchAt(BOARD, 1, 1)))
                .trace();
        assertThat(trace)
                .filteredOn(Happened.CameRound.class::isInstance)
                .as("followed twice round")
                .hasSize(1);
        Plan sieved = Sketch.on(ring)
                .filter("merger-one", "in-2 > out", false, "", "")
                .plan();
        assertThat(new Loops(new Ways(sieved.rig())).all())
                .as("nothing passes all round")
                .isEmpty();
    }

    @Test
    void aMessageThatArrivesTwiceIsActedOnTwice() {
        Plan twice = fault("two-ways-to-the-mixer");
        List<Happened> trace = new Engine(twice)
                .settled(World.poweredOn(twice.rig()), new Event.Press(new SwitchAt(BOARD, 1, 1)))
                .trace();
        assertThat(trace)
                .filteredOn(e ->
                        e instanceof Happened.Arrived && e.socket().device().equals(MIXER))
                .extracting(Happened::atMicros)
                .as("960 for the board, then one behind the other out of the merger")
                .containsExactly(1_920L, 2_880L);
    }

    @Test
    void aChannelChangedOnTheWayIsHeardOnTheNewOne() {
        Sketch moved = Sketch.on(WiringFaults.clean().plan()).set("vocal-mixer", "receive-channel", "9");
        assertThat(verdict(moved.plan())).isEqualTo(Verdict.DEAD);
        assertThat(verdict(moved.filter("merger", "in-1 > out", true, "", "9").plan()))
                .isEqualTo(Verdict.EXACT);
    }

    @Test
    void aWayOverAirIsJudgedByItsWorst() {
        Sketch bridges = WiringFaults.clean()
                .pull("merger.out > vocal-mixer.in")
                .box("One", "bluetooth-bridge-pair")
                .box("Two", "bluetooth-bridge-pair")
                .set("two", "role", "connects")
                .link("merger.out > one.in", "one.bluetooth > two.bluetooth", "two.out > vocal-mixer.in");
        var proof = new Prover(bridges.plan()).all().getFirst();
        assertThat(proof.verdict()).isEqualTo(Verdict.EXACT);
        assertThat(proof.worstMicros())
                .as("three times 960 on wires, 7.5 ms of interval")
                .isEqualTo(3 * 960 + 7_500);
    }

    private static Verdict verdict(Plan plan) {
        return new Prover(plan).all().getFirst().verdict();
    }

    private static Plan fault(String name) {
        return WiringFaults.all().stream()
                .filter(f -> f.name().equals(name))
                .findFirst()
                .orElseThrow()
                .faulty();
    }
}
