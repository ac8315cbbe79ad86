package embrack.bench;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.edit.GearEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.PortId;
import embrack.core.gear.text.BoxReading;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import embrack.core.switches.Duty;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.Optional;

/** Tracks that each have a switch to play, and one switch that stops them all: of n tracks, 2^n states. */
final class SafeRig {

    private static final DeviceId BOARD = new DeviceId("board");
    private static final DeviceId PLAYER = new DeviceId("player");

    private static final int LAST = 64;

    private SafeRig() {}

    static Plan of(int tracks) {
        Plan plan = Plan.empty(new TapeLabel("Bench"));
        plan = new GearEdit.AddDevice("Board", box("board", Kind.FLOOR_BOARD, """
                port MIDI OUT: 5-pin out
                switches: 32 in rows of 8, send cc, 1 a press
                banks: A, B
                """, "")).apply(plan);
        plan = new GearEdit.AddDevice(
                        "Player",
                        box(
                                "player",
                                Kind.LOOPER,
                                """
                port MIDI IN: 5-pin in
                setting MIDI receive channel: 1..16, factory 2
                """,
                                "play Track 1..%d: cc 1..%d over 63\nstop all Tracks: cc 80 over 63"
                                        .formatted(tracks, tracks)))
                .apply(plan);
        plan = new WiringEdit.Connect(new Socket(BOARD, new PortId("out")), new Socket(PLAYER, new PortId("in")))
                .apply(plan);
        for (int track = 1; track <= tracks; track++) {
            plan = does(plan, track, "play:track-" + track);
        }
        SwitchAt kill = at(LAST);
        return new SwitchEdit.GiveDuty(kill, Optional.of(Duty.KILL)).apply(does(plan, LAST, "stop-all:tracks"));
    }

    private static SwitchAt at(int number) {
        return new SwitchAt(BOARD, (number - 1) / 32 + 1, (number - 1) % 32 + 1);
    }

    private static Plan does(Plan plan, int number, String action) {
        return new SwitchEdit.AddStep(at(number), new Step(PLAYER, Action.parse(action))).apply(plan);
    }

    private static Model box(String id, Kind kind, String text, String chart) {
        return BoxReading.of(text)
                .box()
                .orElseThrow()
                .model(new ModelId(id), new TapeLabel(id), kind, Chart.of(chart), Chart.EMPTY);
    }
}
