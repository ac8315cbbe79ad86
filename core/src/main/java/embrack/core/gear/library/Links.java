package embrack.core.gear.library;

import static embrack.core.gear.Kind.HOST;
import static embrack.core.gear.Kind.INTERFACE;
import static embrack.core.gear.Kind.PLAYBACK_PAIR;
import static embrack.core.gear.Kind.SUPPLY;

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
            port USB HOST: USB host both ways, gives 500 mA, for one controller
            port MIDI IN: 5-pin in
            port MIDI OUT: 5-pin out
            port DC 9 V: power in
            pass USB HOST to MIDI OUT
            pass MIDI IN to USB HOST
            power: a supply of its own, 500 mA
            """, "");

    private static final Model USB_INTERFACE =
            Shipped.model("usb-interface-1-by-1", "USB interface, 1 in 1 out", INTERFACE, """
            port USB: USB device both ways
            port MIDI IN: 5-pin in
            port MIDI OUT: 5-pin out
            pass MIDI IN to USB
            pass USB to MIDI OUT
            power: USB, 60 mA
            """, "");

    private static final Model USB_HUB =
            Shipped.model("usb-hub-4-plain", "USB hub, 4 sockets, no supply", INTERFACE, """
            # Without a supply of its own, a socket gives one unit load.
            port Computer: USB device both ways
            port USB 1..4: USB host both ways, gives 100 mA
            """ + hub(4) + """
            power: USB, 100 mA
            """, "");

    private static final Model POWERED_HUB =
            Shipped.model("usb-hub-4-powered", "USB hub, 4 sockets, own supply", INTERFACE, """
            port Computer: USB device both ways
            port USB 1..4: USB host both ways, gives 500 mA
            """ + hub(4) + """
            power: a supply of its own, 2500 mA
            """, "");

    private static final Model TABLET_ADAPTER =
            Shipped.model("tablet-adapter", "Powered adapter for a tablet", INTERFACE, """
            # One plug in the tablet; beside it a socket for a controller and one for power.
            port Tablet: USB device both ways, gives 2000 mA
            port USB 1: USB host both ways, gives 500 mA
            port Power: power in
            pass USB 1 to Tablet
            pass Tablet to USB 1
            power: a supply of its own, 100 mA
            """, "");

    private static final Model TABLET_DOCK =
            Shipped.model("tablet-dock-with-sound", "Tablet dock with sound", INTERFACE, """
            # One plug in the tablet; beside it power, one controller and sound.
            port Tablet: USB device both ways, gives 2000 mA
            port USB 1: USB host both ways, gives 500 mA, for one controller
            port Power: power in
            port Output 1..2: audio out
            pass USB 1 to Tablet
            pass Tablet to USB 1
            power: a supply of its own, 200 mA
            """, "");

    private static final Model TABLET_SOUND =
            Shipped.model("tablet-sound-interface", "Sound interface for a tablet", INTERFACE, """
            port USB: USB device both ways
            port MIDI IN: 5-pin in
            port MIDI OUT: 5-pin out
            port Output 1..4: audio out
            pass MIDI IN to USB
            pass USB to MIDI OUT
            power: USB or a supply of its own, 450 mA
            """, "");

    private static final Model BRIDGE =
            Shipped.model("bluetooth-bridge-pair", "Bluetooth bridge, one of a pair", INTERFACE, """
            port MIDI IN: 5-pin in
            port MIDI OUT: 5-pin out
            port Bluetooth: Bluetooth both ways
            pass MIDI IN to Bluetooth
            pass Bluetooth to MIDI OUT
            setting Role: offers itself, connects; factory offers itself
            setting Connection interval: 7.5 ms, 11.25 ms, 15 ms; factory 7.5 ms
            power: batteries or USB, 25 mA, lasts 5 h
            """, "");

    private static final Model ROUTER = Shipped.model("router-wi-fi", "Network router with Wi-Fi", INTERFACE, """
            port LAN 1..4: network both ways
            port Wi-Fi: Wi-Fi both ways
            power: a supply of its own, 1000 mA
            """, "");

    private static final Model NETWORK_SESSION =
            Shipped.model("network-session", "Network session", INTERFACE, """
            # Lives in a computer; both must be on one network, and one invites the other.
            port Session: network both ways
            port In: virtual in
            port Out: virtual out
            pass In to Session
            pass Session to Out
            setting Role: invites, is invited; factory is invited
            """, "");

    private static final Model PLAYBACK_INTERFACE =
            Shipped.model("playback-interface-a-b", "Playback interface, two computers", PLAYBACK_PAIR, """
            # Copies the controller to A and B, passes on the sound of one of them.
            port Computer A: USB device both ways
            port Computer B: USB device both ways
            port MIDI IN: 5-pin in
            port Output 1..8: audio out
            port From A 1..8: computer sound in
            port From B 1..8: computer sound in
            sound From A 1..8 to Output 1..8: while chosen Computer A
            sound From B 1..8 to Output 1..8: while chosen Computer B
            pass MIDI IN to Computer A
            pass MIDI IN to Computer B
            setting MIDI receive channel: 1..16, factory 1
            setting Fail over: by hand, by heartbeat; factory by heartbeat
            fails over only while Fail over is by heartbeat
            plays on only while Heartbeat is on Output 8
            power: mains
            """, """
            use Computer {A, B}: cc 100..101 over 63
            at start: use Computer A
            on Protection: cc 102 over 63
            off Protection: cc 102 under 64
            """);

    private static final Model COMPUTER = Shipped.model("computer", "Computer", HOST, """
            port USB 1..3: USB host both ways, gives 900 mA
            port Network: network both ways
            port Wi-Fi: Wi-Fi both ways
            port Bluetooth: Bluetooth both ways
            port Headphones left: audio out
            port Headphones right: audio out
            setting Role: offers itself, connects; factory connects
            setting Wireless app: missing, installed; factory missing
            setting Connection interval: 7.5 ms, 11.25 ms, 15 ms; factory 11.25 ms
            power: mains or batteries
            """, "");

    private static final Model TABLET = Shipped.model("tablet", "Tablet", HOST, """
            port Socket: USB host both ways, gives 100 mA
            port Power: power in
            port Headphones left: audio out
            port Headphones right: audio out
            port Bluetooth: Bluetooth both ways
            port Wi-Fi: Wi-Fi both ways
            shared the only socket: Socket, Power, Headphones left, Headphones right; 1 at once
            setting Role: offers itself, connects; factory connects
            setting Wireless app: missing, installed; factory missing
            setting Connection interval: 7.5 ms, 11.25 ms, 15 ms; factory 15 ms
            power: batteries or USB, 2000 mA, lasts 7 h
            """, "");

    private static final Model TABLET_SUPPLY = Shipped.model("tablet-supply", "Tablet supply", SUPPLY, """
            port Plug: power out, gives 2400 mA
            power: mains
            """, "");

    private static final Model PEDAL_SUPPLY =
            Shipped.model("pedal-supply-5", "Pedal supply, 5 outputs", SUPPLY, """
            port DC 1..5: power out, gives 500 mA
            power: mains
            """, "");

    private static final Model CHARGER = Shipped.model("usb-charger-2", "USB charger, 2 sockets", SUPPLY, """
            port USB 1..2: USB host both ways, gives 1000 mA
            power: mains
            """, "");

    static final List<Model> ALL = List.of(
            MERGER,
            THRU_BOX,
            USB_BREAKOUT,
            USB_INTERFACE,
            USB_HUB,
            POWERED_HUB,
            TABLET_ADAPTER,
            TABLET_DOCK,
            TABLET_SOUND,
            BRIDGE,
            ROUTER,
            NETWORK_SESSION,
            PLAYBACK_INTERFACE,
            COMPUTER,
            TABLET,
            TABLET_SUPPLY,
            PEDAL_SUPPLY,
            CHARGER);

    private Links() {}

    /** A hub passes from every socket to the computer and back. */
    private static String hub(int sockets) {
        var lines = new StringBuilder();
        for (int i = 1; i <= sockets; i++) {
            lines.append("pass USB %1$d to Computer\npass Computer to USB %1$d\n".formatted(i));
        }
        return lines.toString();
    }
}
