package embrack.core;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.LearnableId;
import embrack.core.chart.PartId;
import embrack.core.edit.ControlEdit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.HandEdit;
import embrack.core.edit.NumberEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.gear.ControlType;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.SwitchMode;
import embrack.core.gear.text.BoxReading;
import embrack.core.level.Takeover;
import embrack.core.midi.MessageType;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.MemoryUse;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Target;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** A board and one box, in a few words. */
public final class StoryRig {

    private static final String LIGHTS =
            "on Chase 1..2: cc 1..2 over 63; off Chase 1..2: cc 1..2 under 64; toggle Auto: note 9; on Haze: note 7;"
                    + " off Haze: note 8; needs Auto: Chase 1..2";
    private static final String PATCH =
            "programs from 1; select Patch 1..3: cc 0 = 1 + pc 1..3; select Tone 1..3: cc 0 = 2 + pc 1..3";
    private static final String LOOPS = "play Track 1..2: cc 81..82 over 63; stop all Tracks: cc 80 over 63;"
            + " stop Track 1..2: cc 83..84 over 63";
    private static final String KEEPS = LOOPS + "; kept at power-off: Track 1";

    private static final DeviceId BOX = new DeviceId("box");

    private static final String BOARD = """
            port MIDI OUT: 5-pin out
            switches: 32 in rows of 8, send note, cc, pc, 8 a press
            gestures: press, release, hold, double press
            modes: one-shot, momentary, alternating
            faders: 2, send cc
            knobs: 1, send cc, 2 messages each
            """;

    private StoryRig() {}

    /** Charts by their names. */
    public static String chart(String name) {
        return switch (name) {
            case "LIGHTS" -> LIGHTS;
            case "LOOPS" -> LOOPS;
            case "KEEPS" -> KEEPS;
            case "HALF" -> "play Track 1: cc 5 over 63; stop Track 1: cc 5 under 64";
            case "RUNS" -> LIGHTS.replace("toggle Auto: note 9", "on Auto: note 9; off Auto: note 10");
            case "TAUGHT" -> "on Lamp 1..3: learns cc; level Main: cc 7; level Aux: cc 20";
            case "MEMORY" ->
                "programs from 0; on Lamp 1: learns cc; select Patch 1..4: pc 0..3; loads memory: Patch 1..4";
            case "SCENES" -> "recall Scene 1..4: cc 1..4 over 63";
            case "FOLLOWS" -> "on Lamp 1: cc 1 over 63; off Lamp 1: cc 1 under 64; toggle Fog: cc 2, alternating";
            case "SAFE" -> LOOPS + "; on Lamp: cc 60 over 63; off Lamp: cc 60 under 64; safe: off Lamp";
            case "REEL" -> "toggle play Reel: cc 5 over 63; kept at power-off: Reel";
            case "PATCH" -> PATCH;
            case "BANKS" -> PATCH.replace("cc 0 = 1 + pc", "pc");
            case "LAMP" -> "toggle Lamp: cc 5";
            case "HAZE" -> "on Haze 1..2: note 7..8; off Haze 1..2: note 9..10";
            case "HANDS" -> "toggle Lamp: cc 5; also by hand: Lamp";
            default -> "on Fan: cc 5 over 63; off Fan: cc 5 under 64; also by hand: Fan";
        };
    }

    /**
     * A plan.
     *
     * @param steps of switches: "1: on:fan + off:haze; 2 hold: ..."; "s1" is a switch of a spare board
     * @param modes of switches: "1 alternating, 2 momentary", "all alternating"
     * @param others what else is so: "at doors fan on", "by hand Fan", "learn on:lamp cc 20", "move 1 main jump",
     *     "kill 1", "safe 2", "memories 2"
     */
    public static Plan of(String chart, String steps, String modes, String others) {
        Plan plan = of(chart, steps, modes);
        for (String other : words(others, "; ")) {
            plan = with(plan, other.split(" ", 3)).settled();
        }
        return plan;
    }

    private static Plan with(Plan plan, String[] words) {
        String first = words[0];
        return switch (first) {
            case "at" -> new HandEdit.SetAtDoors(BOX, words[2]).apply(plan);
            case "by" -> new HandEdit.WorkByHand(BOX, words[2]).apply(plan);
            case "learn" -> {
                String[] message = words[2].split(" ");
                yield new NumberEdit.PinNumber(
                                BOX, LearnableId.of(Action.parse(words[1])), MessageType.CONTROL_CHANGE, "", message[1])
                        .apply(plan);
            }
            case "move" -> {
                String[] what = words[2].split(" ");
                var at = new ControlAt(new DeviceId("board"), ControlType.FADER, 1, Integer.parseInt(words[1]));
                Plan moved = new ControlEdit.AddTarget(at, new Target(BOX, new PartId(what[0]))).apply(plan);
                yield what.length == 1
                        ? moved
                        : new ControlEdit.ChooseTakeover(at, Takeover.valueOf(what[1].toUpperCase(Locale.ROOT)))
                                .apply(moved);
            }
            case "kill" -> new SwitchEdit.GiveDuty(at(words[1]), Optional.of(Duty.KILL)).apply(plan);
            case "safe" -> new SwitchEdit.GiveDuty(at(words[1]), Optional.of(Duty.SAFE)).apply(plan);
            case "memories" ->
                plan.withRig(plan.rig()
                        .withDeviceChanged(BOX, box -> box.withMemories(MemoryUse.first(Integer.parseInt(words[1])))));
            default -> throw new IllegalArgumentException(first);
        };
    }

    /** A board with a box behind it. */
    public static Plan of(String chart, String steps, String modes) {
        Sketch sketch = Sketch.of("Story")
                .edit(new GearEdit.AddDevice("Board", box("board", Kind.FLOOR_BOARD, BOARD, "")))
                .edit(new GearEdit.AddDevice("Box", box("box", Kind.LIGHT_DESK, receiver(chart), chart)));
        if (steps.contains("s1")) {
            sketch.edit(new GearEdit.AddDevice("Spare", sketch.rig().model(new DeviceId("board"))))
                    .box("Merger", "merger-2-to-1")
                    .link("board.out > merger.in-1", "spare.out > merger.in-2", "merger.out > box.in");
        } else {
            sketch.link("board.out > box.in");
        }
        for (String part : words(steps, "; ")) {
            String[] ends = part.split(": ");
            String[] where = ends[0].split(" ");
            Moment moment = where.length == 1 ? Moment.PRESS : Moment.valueOf(where[1].toUpperCase(Locale.ROOT));
            for (String step : ends[1].split(" \\+ ")) {
                sketch.edit(new SwitchEdit.AddSteps(at(where[0]), moment, List.of(Sketch.stepOf("box " + step))));
            }
        }
        for (String mode : words(modes, ", ")) {
            String[] words = mode.split(" ");
            sketch.plan().switches().assignments().stream()
                    .map(Assignment::at)
                    .filter(at -> words[0].equals("all") || at.equals(at(words[0])))
                    .forEach(at -> sketch.edit(new SwitchEdit.ChooseMode(
                            at, Optional.of(SwitchMode.valueOf(words[1].toUpperCase(Locale.ROOT))))));
        }
        return sketch.plan();
    }

    private static String receiver(String chart) {
        return """
                port MIDI IN: 5-pin in
                setting MIDI receive channel: 1..16, factory 2
                """ + (chart.contains("loads memory") ? "memories: 4\n" : "");
    }

    private static SwitchAt at(String number) {
        return number.startsWith("s") ? Sketch.at("spare " + number.substring(1)) : Sketch.at("board " + number);
    }

    private static List<String> words(@Nullable String text, String between) {
        return text == null || text.isBlank() ? List.of() : List.of(text.strip().split(between));
    }

    /** A box; behind two strokes stands what it really does, where that is not what its chart says. */
    private static Model box(String id, Kind kind, String text, String chart) {
        List<Chart> texts = Stream.of((chart + " // ").split(" // ", -1))
                .limit(2)
                .map(each -> Chart.of(each.replace("; ", "\n")))
                .toList();
        return BoxReading.of(text)
                .box()
                .orElseThrow()
                .model(new ModelId(id), new TapeLabel(id), kind, texts.getFirst(), texts.getLast());
    }
}
