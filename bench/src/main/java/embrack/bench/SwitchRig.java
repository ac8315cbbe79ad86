package embrack.bench;

import embrack.core.chart.Action;
import embrack.core.edit.GearEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Board;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.PortId;
import embrack.core.gear.Purpose;
import embrack.core.gear.Surface;
import embrack.core.gear.library.Library;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import embrack.core.switches.Assignment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A rig of stages of 12 devices each, with two boards of 30 switches in up to four banks; every switch does two things,
 * all boxes of a stage hear both boards.
 */
final class SwitchRig {

    private static final List<String> BOXES = List.of(
            "left",
            "right",
            "merger",
            "thru",
            "mixer",
            "second",
            "looper",
            "sounds",
            "desk",
            "link",
            "computer",
            "piano");
    private static final List<String> MODELS = List.of(
            "thirty",
            "thirty",
            "merger-2-to-1",
            "thru-box-1-to-4",
            "rack-mixer-24",
            "rack-mixer-24",
            "loop-table-five-tracks",
            "sounds-switcher",
            "small-scene-desk",
            "usb-interface-1-by-1",
            "computer",
            "instrument-host-layer");
    private static final List<String> LINKS = List.of(
            "left.out merger.in-1",
            "right.out merger.in-2",
            "merger.out thru.in",
            "thru.thru-1 mixer.in",
            "thru.thru-2 looper.in",
            "thru.thru-3 link.in",
            "thru.thru-4 desk.in",
            "mixer.thru second.in",
            "looper.thru sounds.in",
            "link.usb computer.usb-1",
            "computer.usb-1 piano.in");
    private static final List<String> STEPS = List.of(
            "mixer mute:input-1",
            "second open:main",
            "looper select:memory-3",
            "sounds select:patch-9",
            "desk recall:scene-4",
            "piano select:patch-5");

    private SwitchRig() {}

    /** A rig with so many stages and banks. */
    static Plan of(int stages, int banks) {
        Plan plan = Plan.empty(new TapeLabel(stages + " stages"));
        List<Assignment> assignments = new ArrayList<>();
        for (int stage = 1; stage <= stages; stage++) {
            for (int i = 0; i < BOXES.size(); i++) {
                plan = new GearEdit.AddDevice("%s %d".formatted(BOXES.get(i), stage), model(MODELS.get(i))).apply(plan);
            }
            plan = new WiringEdit.LiveIn(id("piano", stage), Optional.of(id("computer", stage))).apply(plan);
            int channel = 2;
            for (String receiver : List.of("mixer", "second", "looper", "sounds", "desk", "piano")) {
                plan = new GearEdit.ChangeSetting(
                                id(receiver, stage), Purpose.RECEIVE_CHANNEL.id(), String.valueOf(channel++))
                        .apply(plan);
            }
            for (String link : LINKS) {
                String[] ends = link.split(" ");
                plan = new WiringEdit.Connect(socket(ends[0], stage), socket(ends[1], stage)).apply(plan);
            }
            for (String board : List.of("left", "right")) {
                for (int i = 0; i < 30 * banks; i++) {
                    assignments.add(new Assignment(
                            new SwitchAt(id(board, stage), 1 + i / 30, 1 + i % 30),
                            Optional.empty(),
                            List.of(step(i, stage), step(i + 1, stage))));
                }
            }
        }
        return plan.withSwitches(new Switches(assignments));
    }

    private static Step step(int i, int stage) {
        String[] words = STEPS.get(i % STEPS.size()).split(" ");
        return new Step(id(words[0], stage), Action.parse(words[1]));
    }

    private static Model model(String id) {
        if (!id.equals("thirty")) {
            return Library.find(new ModelId(id)).orElseThrow();
        }
        Model ten = Library.find(new ModelId("ten-switch-treadle-board")).orElseThrow();
        Board b = ten.board().orElseThrow();
        Board thirty = new Board(
                30,
                10,
                b.banks().subList(0, 4),
                b.bankChange(),
                b.sends(),
                b.limit(),
                b.gestures(),
                b.modes(),
                b.factory(),
                b.sendChannel(),
                b.runningStatus(),
                b.programs(),
                b.display(),
                b.longestWaitMillis(),
                b.labelCharacters());
        return ten.copied(new ModelId("thirty"), new TapeLabel("Thirty switches"))
                .withSurface(new Surface(Optional.of(thirty), List.of()));
    }

    private static DeviceId id(String name, int stage) {
        return new DeviceId(name + "-" + stage);
    }

    private static Socket socket(String words, int stage) {
        String[] pieces = words.split("\\.");
        return new Socket(id(pieces[0], stage), new PortId(pieces[1]));
    }
}
