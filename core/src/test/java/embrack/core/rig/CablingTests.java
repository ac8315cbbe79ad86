package embrack.core.rig;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.gear.Answers;
import embrack.core.gear.Connector;
import embrack.core.gear.Direction;
import embrack.core.gear.Kind;
import embrack.core.gear.Memory;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.Sockets;
import embrack.core.gear.Surface;
import embrack.core.name.TapeLabel;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CablingTests {

    /** A socket of A, a socket of B, and why no cable joins them. */
    @ParameterizedTest(name = "{0} {1} to {2} {3}")
    @CsvSource(delimiter = '|', value = {
        "FIVE_PIN   | OUT  | FIVE_PIN   | IN   | ",
        "FIVE_PIN   | THRU | FIVE_PIN   | IN   | ",
        "TRS_A      | OUT  | TRS_A      | IN   | ",
        "TRS_B      | OUT  | TRS_B      | IN   | ",
        "TRS_A      | OUT  | TRS_B      | IN   | A Plug is TRS type A and B Plug is TRS type B; the plug does not fit.",
        "FIVE_PIN   | OUT  | TRS_A      | IN   | A Plug is 5-pin and B Plug is TRS type A; the plug does not fit.",
        "FIVE_PIN   | OUT  | FIVE_PIN   | OUT  | A Plug and B Plug both send. A cable goes from OUT or THRU to IN.",
        "FIVE_PIN   | IN   | FIVE_PIN   | IN   | A Plug and B Plug both only receive. A cable starts at an OUT or THRU.",
        "FIVE_PIN   | IN   | FIVE_PIN   | OUT  | A Plug only receives, so the cable starts at B Plug. Swap the two ends.",
        "USB_DEVICE | BOTH | USB_HOST   | BOTH | A Plug is USB device; a MIDI cable goes from a 5-pin or TRS socket to another.",
        "FIVE_PIN   | OUT  | BLUETOOTH  | BOTH | B Plug is Bluetooth; a MIDI cable goes from a 5-pin or TRS socket to another.",
        "VIRTUAL    | OUT  | VIRTUAL    | IN   | A Plug is virtual; a MIDI cable goes from a 5-pin or TRS socket to another.",
        "FIVE_PIN   | OUT  | POWER      | IN   | B Plug is power; a MIDI cable goes from a 5-pin or TRS socket to another.",
    })
    void whatDoesNotGoTogetherIsRefusedWithItsReason(Connector from, Direction out, Connector to, Direction in, String refusal) {
        Rig rig = Rig.empty(new TapeLabel("Two"));
        rig = with(rig, "A", from, out);
        rig = with(rig, "B", to, in);
        assertThat(Cabling.refusal(rig, socket("a"), socket("b"))).isEqualTo(Optional.ofNullable(refusal));
    }

    private static Rig with(Rig rig, String name, Connector connector, Direction direction) {
        Model model = new Model(new ModelId("model-" + name.toLowerCase(Locale.ROOT)), new TapeLabel("Model " + name), Kind.INTERFACE,
                Sockets.of(new Port(new PortId("plug"), new TapeLabel("Plug"), connector, direction)), Surface.BLANK, Memory.of(), Answers.NOTHING, Optional.empty());
        return rig.withDevice(Device.of(new DeviceId(name.toLowerCase(Locale.ROOT)), new TapeLabel(name), model.id()), model);
    }

    private static Socket socket(String device) {
        return new Socket(new DeviceId(device), new PortId("plug"));
    }
}
