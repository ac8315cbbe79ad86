package embrack.core.way;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Sketch;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Ability;
import embrack.core.gear.Purpose;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Two boxes joined by the fewest links, with as little between as will do. */
class JoiningTests {

    private static final DeviceId SENDER = new DeviceId("sender");
    private static final DeviceId RECEIVER = new DeviceId("receiver");

    @ParameterizedTest(name = "{0} to {1}, with {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "four-switch-floor-board  | rack-mixer-24            |              | sender.out>receiver.in",
                "ten-switch-treadle-board | linear-timeline-player   | computer     | sender.usb>c.usb-1, "
                        + "c.usb-1>receiver.in",
                "ten-switch-treadle-board | linear-timeline-player   |              | sender.usb>computer.usb-1, "
                        + "computer.usb-1>receiver.in",
                "four-switch-floor-board  | linear-timeline-player   | computer     | "
                        + "sender.out>usb-interface-1-in-1-out.in, usb-interface-1-in-1-out.usb>c.usb-1, "
                        + "c.usb-1>receiver.in",
                "two-switch-foot-box      | loop-station-three-tracks|              | sender.trs-out>receiver.in",
                "ten-switch-treadle-board | tablet-track-player      | tablet       | sender.usb>c.socket, "
                        + "c.socket>receiver.in",
            })
    void theFewestLinksThatReachIt(String sender, String receiver, String there, String links) {
        Sketch sketch = Sketch.of("Joining").box("Sender", sender).box("Receiver", receiver);
        Plan plan = (there == null ? sketch : sketch.box("C", there)).plan();
        assertThat(Joining.of(plan.rig(), SENDER, RECEIVER).orElseThrow().links())
                .extracting(JoiningTests::brief)
                .containsExactly(links.split(", "));
        assertThat(Joining.of(
                        new WiringEdit.JoinUp(SENDER, RECEIVER).apply(plan).rig(), SENDER, RECEIVER))
                .isEmpty();
    }

    private static String brief(Link link) {
        return "%s.%s>%s.%s"
                .formatted(
                        link.from().device(),
                        link.from().port(),
                        link.to().device(),
                        link.to().port());
    }

    @Test
    void aSocketThatIsTakenIsShared() {
        Plan plan = Sketch.of("Shared")
                .box("Other", "four-switch-floor-board")
                .box("Sender", "four-switch-program-board")
                .box("Receiver", "small-scene-desk")
                .plan();
        Plan first = new WiringEdit.JoinUp(new DeviceId("other"), RECEIVER).apply(plan);
        Plan both = new WiringEdit.JoinUp(SENDER, RECEIVER).apply(first);
        assertThat(both.rig().find(new DeviceId("merger-2-to-1"))).isPresent();
        Ways ways = new Ways(both.rig());
        assertThat(List.of(SENDER, new DeviceId("other")))
                .allSatisfy(board -> assertThat(ways.between(board, RECEIVER)).isPresent());
    }

    @Test
    void whatIsJoinedMeetsOnOneChannelAndIsSetToHear() {
        Plan plan = Sketch.of("Met")
                .box("Sender", "four-switch-floor-board")
                .box("Receiver", "rack-mixer-24")
                .box("Keys", "keyboard-workstation")
                .box("Player", "linear-timeline-player")
                .plan();
        Plan met = new WiringEdit.JoinUp(SENDER, RECEIVER).apply(plan);
        assertThat(met.rig().setting(RECEIVER, Purpose.RECEIVE_CHANNEL))
                .isEqualTo(met.rig().setting(SENDER, Purpose.SEND_CHANNEL))
                .isEqualTo(Optional.of(2));
        Plan heard = new WiringEdit.JoinUp(new DeviceId("keys"), new DeviceId("player")).apply(plan);
        assertThat(heard.rig().unmet(new DeviceId("keys"), Ability.SENDS)).isEmpty();
        assertThat(heard.rig().unmet(new DeviceId("player"), Ability.HEARS_REMOTE))
                .isEmpty();
    }
}
