package embrack.core;

import embrack.core.chart.Chart;
import embrack.core.check.rule.Severity;
import embrack.core.edit.GearEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Ear;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.PortId;
import embrack.core.gear.Route;
import embrack.core.gear.Sound;
import embrack.core.gear.library.Library;
import embrack.core.gear.text.BoxReading;
import embrack.core.name.Slug;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Traffic;
import embrack.core.switches.Switches;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Rigs with one wiring fault each, and the same rigs mended. */
public final class WiringFaults {

    private WiringFaults() {}

    /** Two boards, a merger, a mixer: nothing to find. */
    public static Sketch clean() {
        return Sketch.of("Small stage")
                .box("Voice board", "four-switch-floor-board")
                .box("Merger", "merger-2-to-1")
                .box("Vocal mixer", "rack-mixer-24")
                .set("vocal-mixer", "receive-channel", "2")
                .link("voice-board.out > merger.in-1", "merger.out > vocal-mixer.in")
                .step("voice-board 1: vocal-mixer mute:input-1", "voice-board 2: vocal-mixer open:input-1");
    }

    private static Sketch pair() {
        return clean().box("Computer A", "computer")
                .box("Computer B", "computer")
                .app("Player A", "launch-grid-player", "computer-a")
                .app("Player B", "launch-grid-player", "computer-b")
                .pair("player-a", "player-b");
    }

    /** Two players on an interface that goes over when the heartbeat stops, if one is there. */
    public static Sketch guarded(boolean heartbeat) {
        Sketch guarded = guarded("Failover");
        return heartbeat ? guarded : guarded.feed("failover.output-8", List.of(), List.of());
    }

    /** Two players on an interface of that name. */
    public static Sketch guarded(String name) {
        String it = Slug.of(name);
        return pair().box(name, "playback-interface-a-b")
                .set(it, "receive-channel", "5")
                .feed(it + ".output-8", List.of(Sound.HEARTBEAT), List.of())
                .link(it + ".computer-a > computer-a.usb-1", it + ".computer-b > computer-b.usb-1");
    }

    public static List<Fault> all() {
        List<Fault> faults = new ArrayList<>();
        Sketch wireless = clean().pull("merger.out > vocal-mixer.in")
                .box("Stage bridge", "bluetooth-bridge-pair")
                .box("Rack bridge", "bluetooth-bridge-pair")
                .link(
                        "merger.out > stage-bridge.in",
                        "stage-bridge.bluetooth > rack-bridge.bluetooth",
                        "rack-bridge.out > vocal-mixer.in");
        faults.add(fault(
                "both-bridges-wait",
                "wiring.not-ready",
                Severity.STOPS,
                "Stage bridge Bluetooth",
                "Stage bridge and Rack bridge both wait to be found: both offer themselves.",
                withoutSteps(wireless),
                on(withoutSteps(wireless))
                        .set("rack-bridge", "role", "connects")
                        .plan()));
        Sketch tablet = clean().box("Tablet", "tablet")
                .box("Bridge", "bluetooth-bridge-pair")
                .app("Tracks", "tablet-track-player", "tablet")
                .link("bridge.bluetooth > tablet.bluetooth", "tablet.bluetooth > tracks.in");
        faults.add(fault(
                "wireless-app-missing",
                "wiring.not-ready",
                Severity.STOPS,
                "Bridge Bluetooth",
                "The app or driver for wireless MIDI is missing in Tablet.",
                tablet.plan(),
                on(tablet.plan()).set("tablet", "wireless-app", "installed").plan()));
        Sketch session = clean().box("Left", "computer")
                .box("Right", "computer")
                .app("Left session", "network-session", "left")
                .app("Right session", "network-session", "right")
                .set("left-session", "role", "invites")
                .link("left-session.session > right-session.session");
        faults.add(fault(
                "not-on-one-network",
                "wiring.not-ready",
                Severity.STOPS,
                "Left session Session",
                "Left and Right are not on one network.",
                session.plan(),
                on(session.plan())
                        .box("Router", "router-wi-fi")
                        .link("left.network > router.lan-1", "right.network > router.lan-2")
                        .plan()));
        Sketch ring = Sketch.on(withoutMerger())
                .box("Merger one", "merger-2-to-1")
                .box("Merger two", "merger-2-to-1")
                .box("Merger three", "merger-2-to-1")
                .box("Thru box", "thru-box-1-to-4")
                .link(
                        "voice-board.out > merger-one.in-1",
                        "merger-one.out > merger-two.in-1",
                        "merger-two.out > merger-three.in-1",
                        "merger-three.out > thru-box.in",
                        "thru-box.thru-1 > vocal-mixer.in");
        faults.add(fault(
                "ring-of-three-mergers",
                "wiring.loop",
                Severity.STOPS,
                "Merger one, Merger two, Merger three, Thru box",
                "Messages go round: Merger one, Merger two, Merger three and Thru box, and back to Merger one.",
                on(ring.plan()).link("thru-box.thru-2 > merger-one.in-2").plan(),
                ring.plan()));
        Sketch split = Sketch.on(withoutMerger())
                .box("Merger", "merger-2-to-1")
                .box("Thru box", "thru-box-1-to-4")
                .link("voice-board.out > thru-box.in", "thru-box.thru-1 > merger.in-1", "merger.out > vocal-mixer.in");
        faults.add(fault(
                "two-ways-to-the-mixer",
                "wiring.arrives-twice",
                Severity.LOOK,
                "Voice board, Vocal mixer",
                "What Voice board sends reaches Vocal mixer by two ways.",
                on(split.plan()).link("thru-box.thru-2 > merger.in-2").plan(),
                split.plan()));
        Sketch pads = clean().box("Pads", "pads-and-keys")
                .box("Computer", "computer")
                .app("Piano", "instrument-host-straight", "computer")
                .set("piano", "receive-channel", "3")
                .link("pads.usb > computer.usb-1", "computer.usb-1 > piano.in");
        faults.add(fault(
                "pads-play-the-piano",
                "wiring.hears-neighbour",
                Severity.LOOK,
                "Pads, Piano",
                "Piano listens to all channels and hears the pads of Pads.",
                pads.plan(),
                on(pads.plan())
                        .edit(new GearEdit.SwapHardware(
                                new DeviceId("piano"),
                                Library.find(new ModelId("instrument-host-layer"))
                                        .orElseThrow()))
                        .plan()));
        Sketch player = clean().box("Computer", "computer")
                .box("Big board", "ten-switch-treadle-board")
                .app("Tracks", "linear-timeline-player", "computer")
                .link("big-board.usb > computer.usb-1", "computer.usb-1 > tracks.in")
                .step("big-board 1: tracks jump:song-1");
        faults.add(fault(
                "remote-input-off",
                "wiring.input-off",
                Severity.STOPS,
                "Tracks",
                "Input for remote of Tracks is off, and Big board is linked to it.",
                player.plan(),
                on(player.plan()).set("tracks", "input-for-remote", "on").plan()));
        Sketch output = clean().box("Tablet", "tablet")
                .app("Tracks", "tablet-track-player", "tablet")
                .app("Sounds", "instrument-host-layer", "tablet")
                .set("sounds", "receive-channel", "4")
                .link("tracks.out > sounds.in");
        faults.add(fault(
                "output-port-off",
                "wiring.output-off",
                Severity.STOPS,
                "Tracks",
                "Output port of Tracks is off, and it is meant to send.",
                output.plan(),
                on(output.plan()).set("tracks", "output-port", "on").plan()));
        Sketch homeless = clean().box("Computer", "computer")
                .box("Keys", "pads-and-keys")
                .link("keys.usb > computer.usb-1")
                .box("Tracks", "linear-timeline-player");
        faults.add(fault(
                "app-without-computer",
                "wiring.homeless-app",
                Severity.LOOK,
                "Tracks",
                "Tracks lives in no computer.",
                homeless.plan(),
                on(homeless.plan()).lives("tracks", "computer").plan()));
        Sketch pair = pair();
        faults.add(fault(
                "buffers-of-a-pair",
                "wiring.pair-differs",
                Severity.LOOK,
                "Player A, Player B",
                "Player A and Player B differ. Buffer: 128 samples, 256 samples.",
                on(pair.plan()).set("player-b", "buffer", "256 samples").plan(),
                pair.plan()));
        Sketch guarded = guarded(true);
        faults.add(fault(
                "a-pair-that-waits-for-a-hand",
                "wiring.pair-stays",
                Severity.LOOK,
                "Player A, Player B",
                "If Player A fails, Player B does not come in: Fail over of Failover is by hand.",
                on(guarded.plan()).set("failover", "fail-over", "by hand").plan(),
                guarded.plan()));
        faults.add(fault(
                "a-heartbeat-on-another-output",
                "wiring.pair-stays",
                Severity.LOOK,
                "Player A, Player B",
                "If Player A fails, Player B does not come in: Failover waits for the heartbeat on Failover Output 8,"
                        + " and it is on Failover Output 7.",
                on(guarded.plan())
                        .feed("failover.output-8", List.of(), List.of())
                        .feed("failover.output-7", List.of(Sound.HEARTBEAT), List.of())
                        .plan(),
                guarded.plan()));
        faults.add(fault(
                "cable-across-the-hall",
                "wiring.too-long",
                Severity.LOOK,
                "Merger OUT",
                "The 5-pin cable from Merger OUT to Vocal mixer MIDI IN is 20 m long.",
                measured("20"),
                measured("15")));
        Sketch hungry = clean().box("Computer", "computer")
                .box("Hub", "usb-hub-4-powered")
                .box("Fader box", "fader-box-8-by-4")
                .box("Keys", "pads-and-keys")
                .box("Big board", "ten-switch-treadle-board");
        faults.add(fault(
                "nothing-powers-it",
                "power.none",
                Severity.STOPS,
                "Fader box",
                "Nothing powers Fader box.",
                on(hungry.plan())
                        .box("Fader bridge", "merger-2-to-1")
                        .link("fader-box.out > fader-bridge.in-1")
                        .plan(),
                on(hungry.plan())
                        .box("Fader bridge", "merger-2-to-1")
                        .link("fader-box.out > fader-bridge.in-1", "fader-box.usb > computer.usb-1")
                        .plan(),
                hungry));
        Sketch hub = clean().box("Computer", "computer")
                .box("Plain hub", "usb-hub-4-plain")
                .box("Big board", "ten-switch-treadle-board")
                .link("plain-hub.computer > computer.usb-1");
        faults.add(fault(
                "board-on-a-plain-hub",
                "power.too-much",
                Severity.STOPS,
                "Plain hub USB 1",
                "350 mA hang on Plain hub USB 1, which gives 100 mA: over by 250 mA.",
                on(hub.plan()).link("big-board.usb > plain-hub.usb-1").plan(),
                on(hub.plan()).link("big-board.usb > computer.usb-2").plan()));
        faults.add(fault(
                "click-in-the-house",
                "sound.heard-in-the-house",
                Severity.STOPS,
                "Computer Headphones left",
                "The house hears the click on Computer Headphones left.",
                click(List.of(Ear.HOUSE, Ear.IN_EARS)),
                click(List.of(Ear.IN_EARS))));
        faults.add(fault(
                "click-for-nobody",
                "sound.no-in-ears",
                Severity.LOOK,
                "Computer",
                "Computer plays the click, and no in-ears get it.",
                click(List.of()),
                click(List.of(Ear.IN_EARS))));
        faults.add(fault(
                "merger-keeps-it-back",
                "switches.kept-back",
                Severity.STOPS,
                "Voice board, bank A, switches 1 and 2",
                "Merger keeps it back: towards OUT it passes channel 5.",
                clean().filter("merger", "in-1 > out", true, "5", "").plan(),
                clean().filter("merger", "in-1 > out", true, "2, 5", "").plan()));
        faults.add(fault(
                "merger-lets-nothing-through",
                "switches.kept-back",
                Severity.STOPS,
                "Voice board, bank A, switches 1 and 2",
                "Merger passes nothing on from IN 1 to OUT.",
                clean().filter("merger", "in-1 > out", false, "", "").plan(),
                clean().plan()));
        faults.add(fault(
                "stray-board-on-channel-one",
                "rig.receiver-on-channel-one",
                Severity.NOTE,
                "Vocal mixer",
                "Vocal mixer listens on channel 1, and Spare board reaches it as well.",
                stray("1"),
                stray("2")));
        faults.add(fault(
                "merger-moves-the-channel",
                "switches.channel-moved",
                Severity.STOPS,
                "Voice board, bank A, switches 1 and 2",
                "Merger puts channel 2 onto channel 3.",
                clean().filter("merger", "in-1 > out", true, "", "3").plan(),
                clean().plan()));
        faults.add(fault(
                "control-changes-kept-back",
                "switches.kept-back",
                Severity.STOPS,
                "Voice board, bank A, switches 1 and 2",
                "Merger keeps it back: towards OUT it passes everything, without control changes and bends.",
                keepingBack(Traffic.CONTROLS),
                keepingBack(Traffic.NOTES)));
        Sketch loops = MappingFaults.loops();
        faults.add(fault(
                "thru-pulled",
                "switches.no-path",
                Severity.STOPS,
                "Foot board, bank A, switches 3, “Safe” (6) and “Stop” (10)",
                "No link leads from Foot board to Loop table.",
                on(loops.plan()).pull("vocal-mixer.thru > loop-table.in").plan(),
                loops.plan()));
        faults.add(fault(
                "thru-shut",
                "switches.kept-back",
                Severity.STOPS,
                "Foot board, bank A, switches 3, “Safe” (6) and “Stop” (10)",
                "Vocal mixer passes nothing on from MIDI IN to MIDI THRU.",
                on(loops.plan())
                        .filter("vocal-mixer", "in > thru", false, "", "")
                        .plan(),
                on(loops.plan())
                        .filter("vocal-mixer", "in > thru", true, "4", "")
                        .plan()));
        Sketch tracks = MappingFaults.tracks();
        faults.add(fault(
                "board-not-in-the-computer",
                "switches.no-path",
                Severity.STOPS,
                "Foot board, bank A, switches 5, “Safe” (7) and “Stop” (8)",
                "No link leads from Foot board to Tracks.",
                on(tracks.plan()).pull("foot-board.usb > computer.usb-1").plan(),
                tracks.plan()));
        faults.add(fault(
                "tracks-in-the-other-computer",
                "switches.no-path",
                Severity.STOPS,
                "Foot board, bank A, switches 5, “Safe” (7) and “Stop” (8)",
                "No link leads from Foot board to Tracks.",
                twoComputers().lives("tracks", "second").plan(),
                twoComputers().plan()));
        faults.add(fault(
                "computers-of-a-pair",
                "wiring.pair-differs",
                Severity.LOOK,
                "Player A, Player B",
                "Player A and Player B differ. Buffer: 128 samples, 256 samples; Computer, Wireless app: missing,"
                        + " installed.",
                on(pair.plan())
                        .set("player-b", "buffer", "256 samples")
                        .set("computer-b", "wireless-app", "installed")
                        .plan(),
                on(pair.plan())
                        .set("player-b", "buffer", "256 samples")
                        .set("computer-b", "wireless-app", "installed")
                        .edit(new GearEdit.SetAlike(new DeviceId("player-a"), new DeviceId("player-b")))
                        .plan()));
        faults.add(fault(
                "hub-on-one-side-of-a-pair",
                "wiring.pair-differs",
                Severity.LOOK,
                "Player A, Player B",
                "Player A and Player B differ. Computer, USB 1: Hub (USB), nothing.",
                on(pair.plan())
                        .box("Hub", "usb-hub-4-plain")
                        .link("hub.computer > computer-a.usb-1")
                        .plan(),
                on(pair.plan())
                        .box("Hub", "usb-hub-4-plain")
                        .link("hub.computer > computer-a.usb-1")
                        .box("Other hub", "usb-hub-4-plain")
                        .link("other-hub.computer > computer-b.usb-1")
                        .plan()));
        faults.add(fault(
                "trs-a-into-b",
                "wiring.crossed",
                Severity.NOTE,
                "Foot OUT, Small box IN",
                "Foot OUT is TRS type A, Small box IN is TRS type B.",
                plugged("B"),
                plugged("A")));
        faults.add(fault(
                "apps-that-wait-for-each-other",
                "wiring.starts-too-early",
                Severity.LOOK,
                "Grid, Tracks",
                "Grid looks for ports only as it starts, and has to start before Tracks, whose port it needs.",
                ring().link("grid.out > tracks.in").plan(),
                ring().plan()));
        return List.copyOf(faults);
    }

    /** Two players of one computer, the second of which listens to the first. */
    private static Sketch ring() {
        return clean().box("Computer", "computer")
                .app("Tracks", "linear-timeline-player", "computer")
                .app("Grid", "launch-grid-player", "computer")
                .link("tracks.out > grid.in");
    }

    /** Tracks in the one computer that the board is in, and another with an interface. */
    private static Sketch twoComputers() {
        return on(MappingFaults.tracks().plan())
                .box("Second", "computer")
                .box("Interface", "usb-interface-1-by-1")
                .link("interface.usb > second.usb-1");
    }

    private static Plan keepingBack(Traffic traffic) {
        Route way = new Route(new PortId("in-1"), new PortId("out"));
        return clean().edit(new WiringEdit.Filter(new DeviceId("merger"), way, true, Set.of(traffic), "", ""))
                .plan();
    }

    /** A board whose socket is of type A, and a box of another type. */
    private static Plan plugged(String type) {
        return Sketch.of("Small plugs")
                .edit(new GearEdit.AddDevice("Foot", box("port OUT: TRS type A out", "foot", "")))
                .edit(new GearEdit.AddDevice(
                        "Small box",
                        box(
                                "port IN: TRS type %s in%nsetting MIDI receive channel: 1..16, factory 2"
                                        .formatted(type),
                                "small-box",
                                "on Lamp: cc 20 = 127\noff Lamp: cc 20 = 0")))
                .link("foot.out > small-box.in")
                .plan();
    }

    private static Model box(String text, String id, String chart) {
        return BoxReading.of(text)
                .box()
                .orElseThrow()
                .model(new ModelId(id), new TapeLabel("A " + id), Kind.SOUND_SWITCHER, Chart.of(chart), Chart.EMPTY);
    }

    private static Fault fault(
            String name,
            String code,
            Severity severity,
            String where,
            String what,
            Plan faulty,
            Plan mended,
            Sketch... spares) {
        return spares.length == 0
                ? new Fault(name, code, severity, where, what, faulty, mended)
                : new Fault(name, code, severity, where, what, tidy(faulty), tidy(mended));
    }

    /** Without the boxes that nothing is linked to. */
    private static Plan tidy(Plan plan) {
        Sketch sketch = on(plan);
        plan.rig().devices().stream()
                .filter(d -> plan.rig().linksIn(d.id()).isEmpty())
                .forEach(d -> sketch.edit(new GearEdit.RemoveDevice(d.id(), true)));
        return sketch.plan();
    }

    private static Sketch on(Plan plan) {
        return Sketch.on(plan);
    }

    private static Plan withoutSteps(Sketch sketch) {
        return sketch.plan().withSwitches(Switches.NONE);
    }

    private static Plan withoutMerger() {
        return clean().edit(new GearEdit.RemoveDevice(new DeviceId("merger"), true))
                .plan();
    }

    /** A mixer on a channel, and beside its board another that is for nothing yet. */
    public static Plan stray(String channel) {
        return clean().set("vocal-mixer", "receive-channel", channel)
                .set("voice-board", "send-channel", channel)
                .box("Spare board", "four-switch-floor-board")
                .link("spare-board.out > merger.in-2")
                .plan();
    }

    private static Plan measured(String metres) {
        return clean().edit(
                        new WiringEdit.Measure(Sketch.socket("merger.out"), Sketch.socket("vocal-mixer.in"), metres))
                .plan();
    }

    private static Plan click(List<Ear> to) {
        return clean().box("Computer", "computer")
                .app("Tracks", "linear-timeline-player", "computer")
                .feed("computer.headphones-left", List.of(Sound.CLICK), to)
                .feed("computer.headphones-right", List.of(Sound.TRACKS), List.of(Ear.HOUSE))
                .plan();
    }
}
