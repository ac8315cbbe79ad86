package embrack.core;

import embrack.core.chart.PartId;
import embrack.core.edit.GearEdit;
import embrack.core.edit.WalkEdit;
import embrack.core.rig.DeviceId;

/** A board that counts, another board, and a sounds switcher whose table can be edited. All invented. */
public final class WalkRig {

    public static final DeviceId BOARD = new DeviceId("stepper");
    public static final DeviceId SOUNDS = new DeviceId("sounds");

    public static Sketch rig() {
        return Sketch.of("Walk")
                .box("Stepper", "program-up-down-board")
                .box("Other board", "ten-switch-treadle-board")
                .box("Merger", "merger-2-to-1")
                .box("Sounds", "sounds-switcher")
                .set("stepper", "send-channel", "3")
                .set("sounds", "receive-channel", "3")
                .link("stepper.out > merger.in-1", "other-board.out > merger.in-2", "merger.out > sounds.in")
                .edit(new GearEdit.LabelPart(SOUNDS, new PartId("patch-12"), "Bells"))
                .edit(new GearEdit.LabelPart(SOUNDS, new PartId("patch-90"), "Strings"))
                .song(
                        "Ebb",
                        "Verse 1: 8 bars\n  sound: Bells\nRefrain: 8 bars\n  sound: Strings\nVerse 2: 8 bars\n"
                                + "  sound: Bells\n")
                .song("Flood", "Verse: 8 bars\n  sound: Bells\nTurn: 8 bars\nRefrain: 8 bars\n  sound: Patch 3\n");
    }

    public static Sketch walked() {
        return rig().edit(new WalkEdit.WalkTheShow(BOARD, SOUNDS));
    }

    private WalkRig() {}
}
