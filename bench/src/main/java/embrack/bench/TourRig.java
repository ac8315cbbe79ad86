package embrack.bench;

import embrack.core.chart.Action;
import embrack.core.edit.Edit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.ModelId;
import embrack.core.gear.PortId;
import embrack.core.gear.Purpose;
import embrack.core.gear.library.Library;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.Area;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import embrack.core.switches.Assignment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Rigs of any size, made of stages of 15 devices, 30 links and 75 switches each; every second stage hears the one
 * before.
 */
final class TourRig {

    private static final int STAGE = 15;
    private static final int SWITCHES = 75;

    private static final List<String> BOXES = List.of(
            "board ten-switch-treadle-board",
            "side eight-switch-long-press-board",
            "merger merger-2-to-1",
            "thru thru-box-1-to-4",
            "split thru-box-1-to-4",
            "mixer rack-mixer-24",
            "second rack-mixer-24",
            "looper loop-table-five-tracks",
            "sounds sounds-switcher",
            "desk small-scene-desk",
            "link usb-interface-1-by-1",
            "computer computer",
            "piano instrument-host-layer",
            "player linear-timeline-player",
            "session network-session");

    private static final List<String> LINKS = List.of(
            "board.out merger.in-1",
            "merger.out thru.in",
            "thru.thru-1 mixer.in",
            "thru.thru-2 looper.in",
            "thru.thru-3 link.in",
            "thru.thru-4 split.in",
            "mixer.thru second.in",
            "looper.thru sounds.in",
            "split.thru-1 desk.in",
            "link.usb computer.usb-1",
            "side.usb computer.usb-2",
            "board.usb computer.usb-3",
            "computer.usb-1 piano.in",
            "computer.usb-1 player.in",
            "player.out session.in",
            "computer.usb-1 session.in",
            "computer.usb-2 session.in",
            "session.out player.in",
            "computer.usb-2 player.in",
            "session.session mixer.network",
            "session.session second.network",
            "player.out computer.usb-1",
            "session.out piano.in",
            "player.out piano.in",
            "computer.usb-2 piano.in",
            "computer.usb-3 piano.in",
            "computer.usb-3 player.in",
            "computer.usb-3 session.in",
            "session.out computer.usb-2",
            "session.out computer.usb-3");

    private TourRig() {}

    /** Writes rigs as files into a folder: devices in each, then the folder. */
    public static void main(String[] arguments) throws IOException {
        Path folder = Files.createDirectories(Path.of(arguments[arguments.length - 1]));
        for (int i = 0; i < arguments.length - 1; i++) {
            Files.writeString(
                    folder.resolve(arguments[i] + ".json"), PlanFile.write(of(Integer.parseInt(arguments[i]))));
        }
    }

    /** A rig; {@code devices} a multiple of 15. */
    static Plan of(int devices) {
        Plan plan = Plan.empty(new TapeLabel(devices + " devices"));
        List<Assignment> assignments = new ArrayList<>();
        for (int stage = 1; stage <= devices / STAGE; stage++) {
            plan = withStage(plan, stage);
            assignments.addAll(switches(stage));
        }
        return plan.withSwitches(new Switches(assignments));
    }

    private static Plan withStage(Plan before, int stage) {
        Plan plan = before;
        for (String box : BOXES) {
            String[] words = box.split(" ");
            plan = edit(
                    plan,
                    new GearEdit.AddDevice(
                            "%s %d".formatted(words[0], stage),
                            Library.find(new ModelId(words[1])).orElseThrow()));
            plan = edit(
                    plan,
                    new WiringEdit.Stand(
                            plan.rig().devices().getLast().id(), Area.values()[Math.min(3, BOXES.indexOf(box) / 4)]));
        }
        for (String app : List.of("piano", "player", "session")) {
            plan = edit(plan, new WiringEdit.LiveIn(id(app, stage), Optional.of(id("computer", stage))));
        }
        int channel = 2;
        for (String receiver : List.of("mixer", "second", "looper", "sounds", "desk", "piano")) {
            plan = edit(
                    plan,
                    new GearEdit.ChangeSetting(
                            id(receiver, stage),
                            Purpose.RECEIVE_CHANNEL.id(),
                            String.valueOf(channel++ + (stage % 2) * 6)));
        }
        for (String link : LINKS) {
            String[] ends = link.split(" ");
            plan = edit(plan, new WiringEdit.Connect(socket(ends[0], stage), socket(ends[1], stage)));
        }
        return stage % 2 == 0
                ? edit(plan, new WiringEdit.Connect(socket("split.thru-4", stage - 1), socket("merger.in-2", stage)))
                : plan;
    }

    private static List<Assignment> switches(int stage) {
        List<String> steps = List.of(
                "mixer mute:input-1",
                "second open:main",
                "looper select:memory-3",
                "sounds select:patch-9",
                "desk recall:scene-4",
                "piano select:patch-5");
        List<Assignment> assignments = new ArrayList<>();
        for (int i = 0; i < SWITCHES; i++) {
            String[] one = steps.get(i % steps.size()).split(" ");
            String[] two = steps.get((i + 1) % steps.size()).split(" ");
            assignments.add(new Assignment(
                    new SwitchAt(id("board", stage), 1 + i / 10, 1 + i % 10),
                    Optional.empty(),
                    List.of(
                            new Step(id(one[0], stage), Action.parse(one[1])),
                            new Step(id(two[0], stage), Action.parse(two[1])))));
        }
        return assignments;
    }

    private static Plan edit(Plan plan, Edit edit) {
        return edit.apply(plan);
    }

    private static DeviceId id(String name, int stage) {
        return new DeviceId(name + "-" + stage);
    }

    private static Socket socket(String words, int stage) {
        String[] pieces = words.split("\\.");
        return new Socket(id(pieces[0], stage), new PortId(pieces[1]));
    }
}
