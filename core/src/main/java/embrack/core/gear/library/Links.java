package embrack.core.gear.library;

import static embrack.core.gear.Kind.HOST;
import static embrack.core.gear.Kind.INTERFACE;
import static embrack.core.gear.Kind.PLAYBACK_PAIR;

import embrack.core.gear.Model;
import java.util.List;

/** What passes messages on, and what apps live in. */
final class Links {

    private static final Model MERGER = Shipped.model("merger-2-to-1", "Merger, 2 to 1", INTERFACE, """
            port IN 1: 5-pin in
            port IN 2: 5-pin in
            port OUT: 5-pin thru
            power: a supply of its own, 20 mA
            """, "");

    private static final Model THRU_BOX = Shipped.model("thru-box-1-to-4", "Thru box, 1 to 4", INTERFACE, """
            port IN: 5-pin in
            port THRU 1: 5-pin thru
            port THRU 2: 5-pin thru
            port THRU 3: 5-pin thru
            port THRU 4: 5-pin thru
            power: a supply of its own, 30 mA
            """, "");

    private static final Model USB_BREAKOUT = Shipped.model("usb-breakout", "USB breakout box", INTERFACE, """
            # Gives a controller with nothing but USB a 5-pin plug; the host socket is for one controller.
            port USB HOST: USB host both ways
            port MIDI IN: 5-pin in
            port MIDI OUT: 5-pin out
            port DC 9 V: power in
            power: a supply of its own, 500 mA
            """, "");

    private static final Model USB_INTERFACE = Shipped.model("usb-interface-1-by-1", "USB interface, 1 in 1 out", INTERFACE, """
            port USB: USB device both ways
            port MIDI IN: 5-pin in
            port MIDI OUT: 5-pin out
            power: USB, 60 mA
            """, "");

    private static final Model BRIDGE = Shipped.model("bluetooth-bridge-pair", "Bluetooth bridge, one of a pair", INTERFACE, """
            port MIDI IN: 5-pin in
            port MIDI OUT: 5-pin out
            port Bluetooth: Bluetooth both ways
            setting Role: offers itself, connects; factory offers itself
            power: batteries or USB, 25 mA
            """, "");

    private static final Model NETWORK_SESSION = Shipped.model("network-session", "Network session", INTERFACE, """
            # Lives in a computer; both must be on one network, and one invites the other.
            port Session: network both ways
            port In: virtual in
            port Out: virtual out
            setting Role: invites, is invited; factory is invited
            """, "");

    private static final Model PLAYBACK_INTERFACE = Shipped.model("playback-interface-a-b", "Playback interface, two computers", PLAYBACK_PAIR, """
            # Copies the controller to A and B, passes on the sound of one of them.
            port Computer A: USB device both ways
            port Computer B: USB device both ways
            port MIDI IN: 5-pin in
            port Outputs 1-8: audio out
            setting MIDI receive channel: 1..16, factory 1
            setting Fail over: by hand, by heartbeat; factory by heartbeat
            setting Heartbeat output: 1..8, factory 8
            power: mains
            """, """
            use Computer {A, B}: cc 100..101 over 63
            on Protection: cc 102 over 63
            off Protection: cc 102 under 64
            """);

    private static final Model COMPUTER = Shipped.model("computer", "Computer", HOST, """
            port USB 1: USB host both ways
            port USB 2: USB host both ways
            port Network: network both ways
            port Headphones: audio out
            power: mains or batteries
            """, "");

    private static final Model TABLET = Shipped.model("tablet", "Tablet", HOST, """
            port Socket: USB host both ways
            port Power: power in
            port Headphones: audio out
            port Bluetooth: Bluetooth both ways
            port Network: network both ways
            shared the only socket: Socket, Power, Headphones; 1 at once
            power: batteries or USB, 2000 mA
            """, "");

    static final List<Model> ALL = List.of(MERGER, THRU_BOX, USB_BREAKOUT, USB_INTERFACE, BRIDGE, NETWORK_SESSION, PLAYBACK_INTERFACE, COMPUTER, TABLET);

    private Links() {
    }
}
