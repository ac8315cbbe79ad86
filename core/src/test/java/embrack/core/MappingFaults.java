package embrack.core;

import embrack.core.chart.Chart;
import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.chart.PartId;
import embrack.core.check.rule.Severity;
import embrack.core.edit.ControlEdit;
import embrack.core.edit.DutyEdit;
import embrack.core.edit.FloorEdit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.NumberEdit;
import embrack.core.edit.OrderEdit;
import embrack.core.edit.SongEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.gear.ControlType;
import embrack.core.gear.Implementation;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.PressLimit;
import embrack.core.gear.Surface;
import embrack.core.gear.SwitchMode;
import embrack.core.gear.library.Library;
import embrack.core.level.Curve;
import embrack.core.level.Law;
import embrack.core.level.Takeover;
import embrack.core.midi.MessageType;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Item;
import embrack.core.show.ShowId;
import embrack.core.show.SongId;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;

/** Rigs in which one thing is mapped wrongly, and the same rigs mended. All invented. */
public final class MappingFaults {

    private static final ControlAt TREADLE = new ControlAt(new DeviceId("foot-board"), ControlType.TREADLE, 1, 1);

    private MappingFaults() {}

    /** A ten-switch board with a treadle and a mixer: nothing to find. */
    public static Sketch floor() {
        return Sketch.of("Small floor")
                .box("Foot board", "ten-switch-treadle-board")
                .box("Vocal mixer", "rack-mixer-24")
                .set("vocal-mixer", "receive-channel", "2")
                .link("foot-board.out > vocal-mixer.in")
                .step("foot-board 1: vocal-mixer mute:input-1", "foot-board 2: vocal-mixer open:input-1");
    }

    /** The floor with a lighting desk of which every note toggles. */
    public static Sketch lights() {
        return floor().box("Lantern desk", "scene-desk")
                .set("lantern-desk", "receive-channel", "3")
                .link("vocal-mixer.thru > lantern-desk.in");
    }

    /** The floor with a loop station whose inputs are assigned. */
    public static Sketch loops() {
        List<Step> stop = List.of(Sketch.stepOf("loop-table stop-all:tracks"));
        return floor().box("Loop table", "loop-table-five-tracks")
                .set("loop-table", "receive-channel", "4")
                .link("vocal-mixer.thru > loop-table.in")
                .step("foot-board 3: loop-table record:track-1")
                .edit(new DutyEdit(Sketch.at("foot-board 10"), Duty.KILL, "Stop", stop))
                .edit(new DutyEdit(Sketch.at("foot-board 6"), Duty.SAFE, "Safe", stop));
    }

    /** The floor with a host of live sounds behind USB, whose knobs are moved by the treadle. */
    public static Sketch sounds() {
        return floor().box("Computer", "computer")
                .app("Piano", "instrument-host-layer", "computer")
                .set("piano", "receive-channel", "5")
                .link("foot-board.usb > computer.usb-1", "computer.usb-1 > piano.in");
    }

    /** The floor with tracks in a computer, a go switch, a kill switch and one that makes safe. */
    public static Sketch tracks() {
        Sketch sketch = floor().box("Computer", "computer")
                .app("Tracks", "tablet-track-player", "computer")
                .set("tracks", "output-port", "on")
                .link("foot-board.usb > computer.usb-1", "computer.usb-1 > tracks.in")
                .step("foot-board 5: tracks play:tracks");
        return sketch.edit(new DutyEdit(
                        Sketch.at("foot-board 8"), Duty.KILL, "Stop", List.of(Sketch.stepOf("tracks stop:tracks"))))
                .edit(new DutyEdit(
                        Sketch.at("foot-board 7"), Duty.SAFE, "Safe", List.of(Sketch.stepOf("tracks stop:tracks"))));
    }

    public static List<Fault> all() {
        List<Fault> faults = new ArrayList<>();
        senders(faults);
        modes(faults);
        receivers(faults);
        controls(faults);
        places(faults);
        return List.copyOf(faults);
    }

    private static void senders(List<Fault> faults) {
        Sketch programs = Sketch.of("Programs only")
                .box("Foot board", "four-switch-program-board")
                .box("Vocal mixer", "rack-mixer-24")
                .set("vocal-mixer", "receive-channel", "2")
                .link("foot-board.out > vocal-mixer.in")
                .step("foot-board 1: vocal-mixer mute:input-1");
        faults.add(new Fault(
                "board-sends-programs-only",
                "switches.cannot-send",
                Severity.STOPS,
                "Foot board, bank A, switch 1",
                "Foot board, a Four-switch program board, sends only program changes; these switches need "
                        + "control changes.",
                programs.plan(),
                on(programs)
                        .edit(new GearEdit.SwapHardware(new DeviceId("foot-board"), model("four-switch-floor-board")))
                        .plan()));
        faults.add(new Fault(
                "swapped-for-a-board-of-programs",
                "switches.cannot-send",
                Severity.STOPS,
                "Foot board, bank A, switches 1 and 2",
                "Foot board, a Four-switch program board, sends only program changes; these switches need "
                        + "control changes.",
                on(floor())
                        .edit(new GearEdit.SwapHardware(new DeviceId("foot-board"), model("four-switch-program-board")))
                        .plan(),
                on(floor())
                        .edit(new GearEdit.SwapHardware(new DeviceId("foot-board"), model("four-switch-floor-board")))
                        .plan()));
        faults.add(new Fault(
                "another-order-than-the-walk",
                "order.walks-elsewhere",
                Severity.LOOK,
                "Stepper",
                "Position 1 of Stepper should bring Strings for Ebb, Verse 1; it brings Bells.",
                WalkRig.walked()
                        .edit(new SongEdit.TellForm(
                                new SongId("ebb"), "Verse 1: 8 bars\n  sound: Strings\nRefrain: 8 bars\n"))
                        .plan(),
                WalkRig.walked().plan()));
        faults.add(new Fault(
                "another-board-chooses-too",
                "switches.counts-from-its-own",
                Severity.LOOK,
                "Other board, bank A, switch 1",
                "Stepper steps through sounds of Sounds, and Other board, bank A, switch 1 chooses some too.",
                WalkRig.walked().step("other-board 1: sounds select:patch-40").plan(),
                WalkRig.walked().step("other-board 1: sounds on:loop-1").plan()));
        faults.add(new Fault(
                "two-clocks-at-one-player",
                "wiring.two-clocks",
                Severity.STOPS,
                "Words",
                "Left and Right both send clock to Words.",
                clocks().set("left", "clock-out", "on")
                        .set("right", "clock-out", "on")
                        .plan(),
                clocks().set("left", "clock-out", "on").plan()));
        faults.add(new Fault(
                "a-clock-that-never-comes",
                "wiring.two-clocks",
                Severity.LOOK,
                "Words",
                "Words is set to follow a clock, and none comes to it.",
                clocks().plan(),
                clocks().set("words", "input-for-sync", "off").plan()));
        faults.add(new Fault(
                "batteries-for-half-the-evening",
                "power.battery-short",
                Severity.LOOK,
                "Bridge",
                "Bridge runs from batteries, which last 5:00:00; the show takes 4:00:00, and setting up and the sound"
                        + " check 2:00:00 before it (common practice, no source).",
                longEvening(2).plan(),
                longEvening(1).plan()));
        Sketch factory = factory();
        faults.add(new Fault(
                "tenth-switch-out-of-the-run",
                "switches.sends-its-own",
                Severity.STOPS,
                "Foot board, bank A, switch 10",
                "Foot board sends what its factory chose: switch 10 sends CC 102.",
                on(factory)
                        .edit(new NumberEdit.PinNumber(
                                new DeviceId("loop-table"),
                                LearnableId.parse("clear:track-1"),
                                MessageType.CONTROL_CHANGE,
                                "",
                                "89"))
                        .plan(),
                factory.plan()));
        Sketch four = floor().edit(
                        new FloorEdit.ClearSwitches(List.of(Sketch.at("foot-board 1"), Sketch.at("foot-board 2"))));
        four = Sketch.on(four.plan().withRig(four.rig().withModelReplaced(fourAPress())));
        for (int i = 1; i <= 8; i++) {
            four.step("foot-board 1: vocal-mixer mute:input-" + i);
        }
        faults.add(new Fault(
                "eight-actions-four-a-press",
                "switches.too-many-messages",
                Severity.STOPS,
                "Foot board, bank A, switch 1",
                "The switch needs 8 messages; Foot board sends at most 4 in one press.",
                four.plan(),
                on(four).edit(new SwitchEdit.SpreadSteps(
                                Sketch.at("foot-board 1"), Moment.PRESS, 4, Sketch.at("foot-board 6")))
                        .plan()));
        Sketch one = Sketch.of("One channel")
                .box("Foot board", "four-switch-floor-board")
                .box("Vocal mixer", "rack-mixer-24")
                .set("vocal-mixer", "receive-channel", "2")
                .link("foot-board.out > vocal-mixer.in")
                .step("foot-board 1: vocal-mixer mute:input-1");
        faults.add(new Fault(
                "sends-on-another-channel",
                "switches.channel-mismatch",
                Severity.STOPS,
                "Foot board, bank A, switch 1",
                "Foot board sends on channel 7; Vocal mixer listens on channel 2.",
                on(one).set("foot-board", "send-channel", "7").plan(),
                one.plan()));
        Sketch plain = lights().box("Plain board", "four-switch-floor-board")
                .set("plain-board", "send-channel", "3")
                .box("Merger", "merger-2-to-1")
                .pull("vocal-mixer.thru > lantern-desk.in")
                .link(
                        "vocal-mixer.thru > merger.in-1",
                        "plain-board.out > merger.in-2",
                        "merger.out > lantern-desk.in");
        plain = on(plain)
                .edit(new GearEdit.SwapHardware(new DeviceId("lantern-desk"), model("small-scene-desk")))
                .step("plain-board 1: lantern-desk on:blackout");
        faults.add(new Fault(
                "waits-on-a-board-that-does-not",
                "switches.not-on-this-board",
                Severity.STOPS,
                "Plain board, bank A, switch 1",
                "Plain board does not wait between messages.",
                on(plain)
                        .edit(new SwitchEdit.WaitBefore(
                                Sketch.at("plain-board 1"),
                                Moment.PRESS,
                                0,
                                Sketch.stepOf("lantern-desk on:blackout"),
                                "500"))
                        .plan(),
                plain.plan()));
        faults.add(new Fault(
                "holds-on-a-board-that-cannot-tell",
                "switches.not-on-this-board",
                Severity.STOPS,
                "Plain board, bank A, switch 1",
                "Plain board cannot tell a hold.",
                on(plain)
                        .then("plain-board 1", Moment.HOLD, "lantern-desk off:blackout")
                        .plan(),
                on(plain).step("plain-board 2: lantern-desk off:blackout").plan()));
    }

    private static void modes(List<Fault> faults) {
        faults.add(new Fault(
                "mute-that-alternates",
                "switches.mode-undoes",
                Severity.STOPS,
                "Foot board, bank A, switch 1",
                "Every second press of the switch sends the other value, CC 40 value 0 on channel 2.",
                floor().mode("foot-board 1", SwitchMode.ALTERNATING).plan(),
                floor().plan()));
        faults.add(new Fault(
                "mute-that-lets-go",
                "switches.mode-undoes",
                Severity.STOPS,
                "Foot board, bank A, switch 1",
                "The switch is momentary: on release it sends the other value, CC 40 value 0 on channel 2.",
                floor().mode("foot-board 1", SwitchMode.MOMENTARY).plan(),
                floor().plan()));
        Sketch scene = lights().step("foot-board 4: lantern-desk toggle:scene-2");
        faults.add(new Fault(
                "note-off-toggles-the-light-back",
                "switches.mode-undoes",
                Severity.STOPS,
                "Foot board, bank A, switch 4",
                "The switch is momentary: on release it sends the other value, note off 7 value 0 on channel 3.",
                on(scene).mode("foot-board 4", SwitchMode.MOMENTARY).plan(),
                scene.plan()));
        Sketch chase = lights().step("foot-board 4: lantern-desk toggle:chase-1");
        faults.add(new Fault(
                "chase-without-auto-run",
                "switches.stands-still",
                Severity.STOPS,
                "Foot board, bank A, switch 4",
                "Press Foot board, bank A, switch 4: Auto run is off, Chase 1 stands still.",
                chase.plan(),
                on(chase).step("foot-board 4: lantern-desk toggle:auto-run").plan()));
        Sketch meant = lights().step("foot-board 4: lantern-desk toggle:scene-2");
        faults.add(new Fault(
                "a-state-of-a-box-that-only-toggles",
                "switches.turns-round",
                Severity.LOOK,
                "Foot board, bank A, switch 4",
                "Press Foot board, bank A, switch 4 twice: " + "Scene 2 of Lantern desk is off.",
                lights().step("foot-board 4: lantern-desk on:scene-2").plan(),
                meant.plan()));
        faults.add(new Fault(
                "one-press-mutes-and-opens",
                "switches.undoes-itself",
                Severity.LOOK,
                "Foot board, bank A, switch 6",
                "\"Vocal mixer: open Input 2\" undoes \"Vocal mixer: mute Input 2\" in the same press.",
                floor().step("foot-board 6: vocal-mixer mute:input-2", "foot-board 6: vocal-mixer open:input-2")
                        .plan(),
                floor().step("foot-board 6: vocal-mixer open:input-2").plan()));
        Sketch side = Sketch.on(floor().plan())
                .box("Side board", "eight-switch-long-press-board")
                .box("Merger", "merger-2-to-1")
                .box("Charger", "usb-charger-2")
                .pull("foot-board.out > vocal-mixer.in")
                .link(
                        "foot-board.out > merger.in-1",
                        "side-board.out > merger.in-2",
                        "merger.out > vocal-mixer.in",
                        "side-board.usb > charger.usb-1");
        Sketch slow = on(side).step("side-board 1: vocal-mixer open:input-2");
        faults.add(new Fault(
                "double-press-holds-the-press-back",
                "switches.held-back",
                Severity.LOOK,
                "Side board, bank 1, switch 1",
                "The board holds the press back for 250 ms to see whether a second one comes.",
                on(slow).then("side-board 1", Moment.DOUBLE_PRESS, "vocal-mixer mute:input-2")
                        .plan(),
                slow.plan()));
        Sketch toggle = on(side).edit(
                        new FloorEdit.ClearSwitches(List.of(Sketch.at("foot-board 1"), Sketch.at("foot-board 2"))))
                .step("foot-board 1: vocal-mixer mute:input-2")
                .then("foot-board 1", Moment.AGAIN, "vocal-mixer open:input-2");
        faults.add(new Fault(
                "two-boards-alternate-one-mute",
                "switches.boards-fight",
                Severity.LOOK,
                "Foot board, bank A, switch 1; Side board, bank 1, switch 1",
                "Foot board, bank A, switch 1 remembers whether it was pressed; Side board, bank 1, switch 1 "
                        + "changes the same and does not tell it.",
                on(toggle).step("side-board 1: vocal-mixer open:input-2").plan(),
                toggle.plan()));
    }

    private static void receivers(List<Fault> faults) {
        faults.add(new Fault(
                "low-value-off-and-alternating",
                "switches.dead-input",
                Severity.STOPS,
                "Foot board, bank A, switch 3",
                "The input of Loop table for \"record or play Track 1\" takes the low value at every second "
                        + "press, and that is 0.",
                respond(true, "0", "127"),
                loops().plan()));
        faults.add(new Fault(
                "high-value-left-low",
                "switches.dead-input",
                Severity.STOPS,
                "Foot board, bank A, switch 3",
                "The input of Loop table for \"record or play Track 1\" has 20 as its high value.",
                respond(false, "0", "20"),
                loops().plan()));
        Sketch two = floor().box("Choir mixer", "rack-mixer-24").link("vocal-mixer.thru > choir-mixer.in");
        faults.add(new Fault(
                "two-mixers-on-one-channel",
                "switches.also-moves",
                Severity.LOOK,
                "Foot board, bank A, switches 1 and 2",
                "Choir mixer moves too: Input 1.",
                on(two).set("choir-mixer", "receive-channel", "2").plan(),
                on(two).set("choir-mixer", "receive-channel", "3").plan()));
        Sketch all = sounds().box("Guitar sounds", "sounds-switcher")
                .set("guitar-sounds", "receive-channel", "7")
                .link("vocal-mixer.thru > guitar-sounds.in")
                .step("foot-board 4: guitar-sounds select:patch-3");
        faults.add(new Fault(
                "host-listens-to-all-channels",
                "switches.also-moves",
                Severity.LOOK,
                "Foot board, bank A, switch 4",
                "Piano moves too: Patch 1 and Patch 3.",
                on(all).edit(new GearEdit.SwapHardware(new DeviceId("piano"), model("instrument-host-straight")))
                        .plan(),
                all.plan()));
        Sketch shared = loops().step("foot-board 4: loop-table undo:track-1");
        faults.add(new Fault(
                "two-inputs-on-one-number",
                "switches.also-moves",
                Severity.LOOK,
                "Foot board, bank A, switch 4",
                "Loop table moves too: Track 2.",
                learned(
                        on(shared).step("foot-board 9: loop-table undo:track-2").plan(),
                        "loop-table",
                        "undo:track-2",
                        "undo:track-1",
                        "foot-board 9"),
                shared.plan()));
        faults.add(new Fault(
                "nothing-learned",
                "switches.nothing-learned",
                Severity.STOPS,
                "Foot board, bank A, switches 3, “Safe” (6) and “Stop” (10)",
                "Loop table learns its messages, and has none yet for: record or play Track 1 and stop all Tracks.",
                loops().plan()
                        .withRig(loops().rig()
                                .withDeviceChanged(new DeviceId("loop-table"), d -> d.withLearned(new TreeMap<>()))),
                loops().plan()));
        faults.add(new Fault(
                "learned-the-damper-pedal",
                "switches.reserved-number",
                Severity.LOOK,
                "Loop table",
                "Track 1 of Loop table has learned CC 64.",
                loops().plan()
                        .withRig(loops().rig()
                                .withDeviceChanged(
                                        new DeviceId("loop-table"),
                                        d -> d.withLearned(
                                                LearnableId.parse("record:track-1"),
                                                new Learned(MessageType.CONTROL_CHANGE, Optional.empty(), 64)))),
                loops().plan()));
        faults.add(new Fault(
                "chart-off-by-one",
                "gear.chart-contradicts-box",
                Severity.STOPS,
                "Lantern desk, chart of Small scene desk",
                "The chart has note 36 value 127 for \"recall Scene 1\", but the box takes it as "
                        + "\"recall Scene 2\". 12 "
                        + "of the "
                        + "chart's 16 lines are wrong in this way.",
                offBy(1),
                offBy(0)));
        faults.add(new Fault(
                "two-desks-hear-one-channel",
                "switches.also-moves",
                Severity.STOPS,
                "Foot board, bank A, switches 1, 2 and 3",
                "Choir mixer moves too: Input 1.",
                on(two).set("choir-mixer", "receive-channel", "2")
                        .step("foot-board 3: choir-mixer open:input-1", "foot-board 3: vocal-mixer mute:input-1")
                        .plan(),
                on(two).set("choir-mixer", "receive-channel", "3")
                        .step("foot-board 3: choir-mixer open:input-1", "foot-board 3: vocal-mixer mute:input-1")
                        .plan()));
        faults.add(new Fault(
                "chart-off-by-twelve",
                "gear.chart-contradicts-box",
                Severity.STOPS,
                "Lantern desk, chart of Small scene desk",
                "The chart has note 36 value 127 for \"recall Scene 1\", but the box ignores it. 12 of the "
                        + "chart's 16 lines are wrong in this way.",
                offBy(12),
                offBy(0)));
    }

    private static void controls(List<Fault> faults) {
        Sketch swell = sounds().move("foot-board", ControlType.TREADLE, "piano", "control-1", 0, 127);
        faults.add(new Fault(
                "treadle-above-unity",
                "controls.above-unity",
                Severity.LOOK,
                "Foot board, bank A, expression pedal 1",
                "Piano: level of Control 1 reaches 6.0 dB.",
                shaped(swell, "6", ""),
                shaped(swell, "6", "0")));
        faults.add(new Fault(
                "fader-jumps",
                "controls.jumps",
                Severity.LOOK,
                "Foot board, bank A, expression pedal 1",
                "When it stands half way and the level is at its top, the first touch makes Piano: level of "
                        + "Control 1 jump: it falls by 11.9 dB.",
                on(swell)
                        .edit(new ControlEdit.ChooseTakeover(TREADLE, Takeover.JUMP))
                        .plan(),
                swell.plan()));
        faults.add(new Fault(
                "heel-and-toe-reversed",
                "controls.reversed",
                Severity.NOTE,
                "Foot board, bank A, expression pedal 1",
                "Heel down, Piano: level of Control 1 is at 0.0 dB; toe down, at silent.",
                sounds().move("foot-board", ControlType.TREADLE, "piano", "control-1", 127, 0)
                        .plan(),
                swell.plan()));
        Sketch level = loops().move("foot-board", ControlType.TREADLE, "loop-table", "track-5", 0, 127);
        faults.add(new Fault(
                "treadle-leans-on-a-switch",
                "controls.not-as-meant",
                Severity.LOOK,
                "Foot board, bank A, expression pedal 1",
                "It moves more than it should: Track 2 of Loop table.",
                learned(
                        on(level).step("foot-board 9: loop-table undo:track-2").plan(),
                        "loop-table",
                        "undo:track-2",
                        "level:track-5",
                        "foot-board 9"),
                level.plan()));
        Sketch faders = floor().box("Fader box", "fader-box-8-by-4")
                .box("Projection", "projection-server")
                .box("Charger", "usb-charger-2")
                .set("fader-box", "send-channel", "15")
                .link("fader-box.out > projection.in", "fader-box.usb > charger.usb-1");
        faults.add(new Fault(
                "fader-cannot-be-given-a-range",
                "controls.stopped",
                Severity.STOPS,
                "Fader box, bank 1, fader 1",
                "Fader box sends its way as it is, and Projection takes it as it comes: from 0 % to 88 %"
                        + " cannot be programmed.",
                on(faders)
                        .move("fader-box", ControlType.FADER, "projection", "layer-1", 0, 112)
                        .plan(),
                on(faders)
                        .move("fader-box", ControlType.FADER, "projection", "layer-1", 0, 127)
                        .plan()));
    }

    private static void places(List<Fault> faults) {
        faults.add(new Fault(
                "kill-beside-go",
                "place.stop-beside-go",
                Severity.LOOK,
                "Foot board, bank A, switches “Stop” (4) and 5",
                "Switch 4 (Tracks: stop Tracks) lies beside switch 5, which starts something.",
                tracks().edit(new FloorEdit.MoveSwitches(List.of(Sketch.at("foot-board 8")), Sketch.at("foot-board 4")))
                        .plan(),
                tracks().plan()));
        faults.add(new Fault(
                "no-kill-switch",
                "place.no-kill-switch",
                Severity.LOOK,
                "Small floor",
                "No switch is the kill switch.",
                tracks().edit(new SwitchEdit.ClearSwitch(Sketch.at("foot-board 8")))
                        .edit(new SwitchEdit.ClearSwitch(Sketch.at("foot-board 7")))
                        .plan(),
                tracks().edit(new SwitchEdit.ClearSwitch(Sketch.at("foot-board 7")))
                        .plan()));
        Sketch grid = tracks().app("Pads", "launch-grid-player", "computer")
                .set("pads", "input-for-remote", "on")
                .link("computer.usb-1 > pads.in");
        Sketch both = on(grid).edit(
                        new SwitchEdit.AddSteps(Sketch.at("foot-board 8"), Moment.PRESS, List.of(stopPads())))
                .edit(new SwitchEdit.AddSteps(Sketch.at("foot-board 7"), Moment.PRESS, List.of(stopPads())));
        faults.add(new Fault(
                "safe-forgets-the-pads",
                "place.safe-incomplete",
                Severity.LOOK,
                "Foot board, bank A, switch “Safe” (7)",
                "It is the one for \"make safe\", and it leaves out: Pads: stop all Rows.",
                on(grid).edit(new SwitchEdit.AddSteps(Sketch.at("foot-board 8"), Moment.PRESS, List.of(stopPads())))
                        .plan(),
                both.plan()));
    }

    private static Step stopPads() {
        return Sketch.stepOf("pads stop-all:rows");
    }

    /** A board with a factory run of which the receiver learns. */
    public static Sketch factory() {
        Sketch sketch = Sketch.of("Factory numbers")
                .box("Foot board", "ten-switch-factory-board")
                .box("Loop table", "loop-table-five-tracks")
                .set("foot-board", "send-channel", "4")
                .set("loop-table", "receive-channel", "4")
                .link("foot-board.out > loop-table.in");
        IntStream.rangeClosed(1, 5)
                .forEach(n -> sketch.step("foot-board %d: loop-table undo:track-%d".formatted(n, n)));
        return sketch.step("foot-board 10: loop-table clear:track-1");
    }

    private static Plan respond(boolean alternating, String low, String high) {
        return loops().edit(new NumberEdit.Respond(
                        new DeviceId("loop-table"), LearnableId.parse("record:track-1"), alternating, low, high))
                .plan();
    }

    /**
     * One lesson on the number of another, and without the switch that it was learned from, so that one mistake is
     * left.
     */
    private static Plan learned(Plan plan, String device, String learnable, String like, String without) {
        DeviceId id = new DeviceId(device);
        Learned other = plan.rig().device(id).learned().get(LearnableId.parse(like));
        Plan bare = new SwitchEdit.ClearSwitch(Sketch.at(without)).apply(plan);
        return bare.withRig(bare.rig()
                .withDeviceChanged(id, d -> d.withLearned(LearnableId.parse(learnable), other.withPinned(true))));
    }

    private static Plan shaped(Sketch sketch, String top, String cap) {
        return on(sketch)
                .edit(new ControlEdit.Shape(
                        TREADLE,
                        new DeviceId("piano"),
                        new PartId("control-1"),
                        "0",
                        "127",
                        Curve.LINEAR,
                        Law.DECIBELS,
                        top,
                        cap))
                .plan();
    }

    private static Plan offBy(int notes) {
        Model desk = model("small-scene-desk");
        Chart real = Chart.of(("recall Scene 1..12: note %d..%d\nrun Chase 1..2: note 48..49\non Blackout: cc 1 over "
                        + "63\noff Blackout: cc 1 under 64")
                .formatted(36 - notes, 47 - notes));
        Model other = notes == 0
                ? desk
                : desk.withImplementation(new Implementation(
                        desk.chart(), real, desk.implementation().quirks()));
        Sketch sketch = floor().edit(new GearEdit.AddDevice("Lantern desk", other))
                .set("lantern-desk", "receive-channel", "3")
                .link("vocal-mixer.thru > lantern-desk.in");
        return sketch.step("foot-board 4: lantern-desk recall:scene-1").plan();
    }

    private static Model fourAPress() {
        Model board = model("ten-switch-treadle-board");
        return board.withSurface(new Surface(
                board.board().map(b -> b.withLimit(PressLimit.of(4))),
                board.surface().groups()));
    }

    private static Model model(String id) {
        return Library.find(new ModelId(id)).orElseThrow();
    }

    private static Sketch on(Sketch sketch) {
        return Sketch.on(sketch.plan());
    }

    /** Three players in one computer; the third is set to follow a clock that the others can send. */
    private static Sketch clocks() {
        return Sketch.of("Tempo")
                .box("Laptop", "computer")
                .app("Left", "linear-timeline-player", "laptop")
                .app("Right", "linear-timeline-player", "laptop")
                .app("Words", "linear-timeline-player", "laptop")
                .set("words", "input-for-sync", "on")
                .link("left.out > words.in", "right.out > words.in");
    }

    /** A bridge that nothing charges, on an evening of so many parts of two hours. */
    private static Sketch longEvening(int parts) {
        Sketch sketch = Sketch.of("Long evening")
                .box("Board", "ten-switch-treadle-board")
                .box("Bridge", "bluetooth-bridge-pair")
                .box("Laptop", "computer")
                .set("laptop", "wireless-app", "installed")
                .app("Tracks", "tablet-track-player", "laptop")
                .set("tracks", "output-port", "on")
                .link("board.out > bridge.in", "bridge.bluetooth > laptop.bluetooth", "laptop.bluetooth > tracks.in")
                .step("board 1: tracks load:song-1")
                .edit(new OrderEdit.AddShow("Long evening"));
        for (int part = 1; part <= parts; part++) {
            sketch.edit(new OrderEdit.AddPart(new ShowId("long-evening"), Item.TALK, "Tale " + part, "2:00:00"));
        }
        return sketch;
    }
}
