package embrack.core.line;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Evening;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.Message.ControlChange;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ThroughTests {

    private static final DeviceId BOARD = new DeviceId("foot-board");
    private static final DeviceId SECOND = new DeviceId("second-board");

    /** Two boards lead into one merger; what comes behind it is of the one that sends it as planned. */
    @Test
    void whatComesBehindAMergerIsOfWhoSendsIt() {
        Plan plan = Evening.rig()
                .pull("cue-interface.out > merger.in-2")
                .box("Second board", "ten-switch-treadle-board")
                .link("second-board.out > merger.in-2")
                .step("second-board 1: lantern-desk recall:scene-2")
                .plan();
        Walk walk = Walk.of(plan);
        Through through = new Through(walk);
        Message first = walk.planned(walk.on(BOARD).getLast().task()).messages().getFirst();
        Message second = walk.on(SECOND).getFirst().messages().getFirst();
        for (String heardAt : new String[] {"lantern-desk", "vocal-mixer"}) {
            DeviceId at = new DeviceId(heardAt);
            assertThat(through.sender(at, first, Optional.of(SECOND))).contains(BOARD);
            assertThat(through.sender(at, second, Optional.of(BOARD))).contains(SECOND);
            Message nobodys = new ControlChange(new Channel(16), 1, 1);
            assertThat(through.sender(at, nobodys, Optional.of(SECOND))).contains(SECOND);
            assertThat(through.sender(at, nobodys, Optional.empty())).isEmpty();
        }
        assertThat(through.sender(BOARD, second, Optional.of(SECOND))).contains(BOARD);
    }
}
