package embrack.core.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.entry;

import embrack.core.Evening;
import embrack.core.compile.CompiledControl;
import embrack.core.compile.Compiler;
import embrack.core.compile.Sending;
import embrack.core.gear.ControlType;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.Message.ControlChange;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sheet.AtDoors;
import embrack.core.sheet.Section;
import embrack.core.sim.Tread;
import embrack.core.sim.Tread.Foot;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class TroddenTests {

    private static final DeviceId BOARD = new DeviceId("foot-board");

    private final Plan plan = Evening.rig()
            .step("foot-board 5: lantern-desk recall:scene-1", "foot-board 6: lantern-desk recall:scene-2")
            .then("foot-board 5", Moment.RELEASE, "lantern-desk recall:scene-3")
            .then("foot-board 6", Moment.HOLD, "lantern-desk recall:scene-4")
            .move("foot-board", ControlType.TREADLE, "vocal-mixer", "input-1", 0, 100)
            .plan();

    /** What a pedal was left at, and which bank a board is in, is heard; the list at doors follows it. */
    @Test
    void theListAtDoorsHearsHowABoardStands() {
        Plan banks = Evening.rig()
                .step("foot-board/1 5: lantern-desk recall:scene-1", "foot-board/2 5: lantern-desk recall:scene-2")
                .move("foot-board", ControlType.TREADLE, "vocal-mixer", "input-1", 0, 100)
                .plan();
        ControlAssignment treadle = banks.switches().travelsOf(BOARD).getFirst();
        int start = AtDoors.position(banks, treadle);
        DoorsHeard heard = new DoorsHeard(Walk.of(banks));
        for (int position = 0; position <= 127; position++) {
            List<Message> sent = new Compiler(banks)
                    .compile(treadle).sendings(position).stream()
                            .map(Sending::message)
                            .toList();
            assertThat(heard.tells(BOARD, sent))
                    .as("at %d", position)
                    .containsExactly(entry(AtDoors.key(treadle.at()), position == start));
        }
        for (Planned planned : Walk.of(banks).stops()) {
            assertThat(heard.tells(BOARD, planned.messages()))
                    .containsEntry(AtDoors.bankKey(BOARD), planned.task().at().bank() == 1)
                    .containsEntry(AtDoors.programModeKey(BOARD), true);
        }
        assertThat(heard.tells(BOARD, List.of(new ControlChange(new Channel(9), 99, 1))))
                .isEmpty();
        assertThat(AtDoors.of(banks).lines().map(Section.Line::key))
                .contains(AtDoors.key(treadle.at()), AtDoors.bankKey(BOARD));
    }

    /** Whatever a board sends as planned is known again by it, down and up. */
    @Test
    void whatABoardSendsForAFootIsThatFoot() {
        Walk walk = Walk.of(plan);
        Trodden trodden = new Trodden(walk);
        assertThat(walk.stops()).hasSize(5);
        for (Planned planned : walk.stops()) {
            if (planned.task().how() == Moment.HOLD) {
                assertThat(trodden.by(BOARD, planned.messages()))
                        .hasSize(3)
                        .contains(new Tread.OnSwitch(Foot.HOLD, planned.task().at()));
                continue;
            }
            SwitchAt at = planned.task().at();
            SimulatedRig.Done down = SimulatedRig.of(plan).press(at);
            boolean comesUp = !planned.up().isEmpty();
            assertThat(trodden.by(BOARD, messages(down)))
                    .as(at.key())
                    .containsExactly(new Tread.OnSwitch(comesUp ? Foot.DOWN : Foot.TAP, at));
            List<Message> up = messages(down.after().release(at));
            if (comesUp) {
                assertThat(trodden.by(BOARD, up)).containsExactly(new Tread.OnSwitch(Foot.UP, at));
                assertThat(trodden.by(
                                BOARD,
                                Stream.concat(messages(down).stream(), up.stream())
                                        .toList()))
                        .as("a foot that is fast")
                        .containsExactly(new Tread.OnSwitch(Foot.TAP, at));
            }
        }
        ControlAt treadle = new ControlAt(BOARD, ControlType.TREADLE, 1, 1);
        CompiledControl compiled = new Compiler(plan).compile(plan.switches().at(treadle));
        assertThat(trodden.by(BOARD, List.of(compiled.sendings(127).getFirst().message())))
                .containsExactly(new Tread.OnControl(treadle, 127));
        assertThat(trodden.by(BOARD, List.of(new ControlChange(new Channel(9), 1, 1))))
                .isEmpty();
        assertThat(trodden.by(new DeviceId("vocal-mixer"), List.of())).isEmpty();
    }

    private static List<Message> messages(SimulatedRig.Done done) {
        return done.sent().stream().map(SimulatedRig.Sent::message).toList();
    }
}
