package embrack.core;

import embrack.core.edit.OrderEdit;
import embrack.core.edit.SongEdit;
import embrack.core.plan.Plan;
import embrack.core.show.Item;
import embrack.core.show.ShowId;
import embrack.core.show.SongId;
import java.util.Locale;

/** A rig that plays songs, and an evening of three of them in which there is nothing to find. All invented. */
public final class Evening {

    public static final ShowId SHOW = new ShowId("first-evening");

    /** Tempo and metre change inside; there is a vamp. */
    public static final String LANTERNS = """
            tempo 92
            metre 4/4
            Count-in: 2 bars, "boat bell"
            Verse 1: 16 bars, "low and slow"
              words: Lamps along the sill
            Refrain 1: 8 bars
            metre 7/8
            tempo 140
            Bridge: 4 bars
            metre 4/4
            tempo 92
            Refrain 2: 8 bars
            Vamp: 4 bars, vamp 3 times, "until the boats turn"
            tempo 92 to 76 over 8 bars
            Last refrain: 8 bars
            stem Drums: percussion, played by Drums
            stem Strings: tones
            stem Click: click
            """;

    private Evening() {}

    /** A board, a computer with a player, and four receivers on one merger; two switches work the player. */
    public static Sketch rig() {
        return Sketch.of("Small stage")
                .box("Foot board", "ten-switch-treadle-board")
                .box("Computer", "computer")
                .app("Player", "linear-timeline-player", "computer")
                .set("player", "input-for-remote", "on")
                .box("Cue interface", "usb-interface-1-by-1")
                .box("Merger", "merger-2-to-1")
                .box("Thru box", "thru-box-1-to-4")
                .box("Lantern desk", "small-scene-desk")
                .set("lantern-desk", "receive-channel", "3")
                .box("Old desk", "scene-desk")
                .set("old-desk", "receive-channel", "4")
                .box("Vocal mixer", "stage-mixer-12")
                .set("vocal-mixer", "receive-channel", "2")
                .box("Guitar sounds", "sounds-switcher")
                .set("guitar-sounds", "receive-channel", "5")
                .link(
                        "foot-board.out > merger.in-1",
                        "cue-interface.out > merger.in-2",
                        "cue-interface.usb > computer.usb-2",
                        "player.out > computer.usb-2",
                        "merger.out > thru-box.in",
                        "thru-box.thru-1 > lantern-desk.in",
                        "thru-box.thru-2 > old-desk.in",
                        "thru-box.thru-3 > vocal-mixer.in",
                        "thru-box.thru-4 > guitar-sounds.in",
                        "foot-board.usb > computer.usb-1",
                        "computer.usb-1 > player.in")
                .step("foot-board 3: player repeat:section", "foot-board 4: lantern-desk recall:scene-5");
    }

    /** Three songs that each set what they use on load, and an order that fits. */
    public static Sketch sketch() {
        Sketch sketch = rig().song("Lanterns", LANTERNS)
                .song("Ebb", "tempo 120\nVerse: 16 bars\nRefrain: 8 bars\n")
                .song("Slow boats", "metre 7/8\ntempo 140\nAll: 32 bars\n");
        for (String song : new String[] {"lanterns", "ebb", "slow-boats"}) {
            sketch.cues(song, "on load = lantern-desk recall:scene-1, guitar-sounds select:patch-1");
        }
        sketch.cues(
                        "lanterns",
                        "19|1 = lantern-desk recall:scene-4, guitar-sounds select:patch-2",
                        "start of Bridge = lantern-desk recall:scene-2",
                        "end of Vamp = lantern-desk recall:scene-6")
                .cues(
                        "ebb",
                        "17|1 = lantern-desk recall:scene-3",
                        "0:40.500 = guitar-sounds on:loop-1",
                        "on stop = guitar-sounds off:loop-1");
        return sketch.edit(new OrderEdit.AddShow("First evening"))
                .edit(new OrderEdit.DescribeShow(SHOW, "First evening", "2026-12-05", "19:30", "12:00"))
                .edit(new OrderEdit.AddPart(SHOW, Item.COUNTDOWN, "", "5:00"))
                .edit(new OrderEdit.AddSongTo(SHOW, "lanterns"))
                .edit(new OrderEdit.AddPart(SHOW, Item.TALK, "Tale", "2:00"))
                .edit(new OrderEdit.AddSongTo(SHOW, "ebb"))
                .edit(new OrderEdit.AddSongTo(SHOW, "slow-boats"))
                .edit(key("lanterns", "D", "E"))
                .edit(key("ebb", "G", "G"))
                .edit(key("slow-boats", "C", "C"));
    }

    /** Says the keys of a song and leaves the rest as a new one has it. */
    public static SongEdit key(String song, String played, String original) {
        return key(song, played, original, 1);
    }

    /** As {@link #key(String, String, String)}, with a lead-in of so many bars. */
    public static SongEdit key(String song, String played, String original, int leadIn) {
        String title = song.substring(0, 1).toUpperCase(Locale.ROOT)
                + song.substring(1).replace('-', ' ');
        return new SongEdit.DescribeSong(
                new SongId(song), title, played, original, "", "", "", String.valueOf(leadIn), "", "");
    }

    public static Plan plan() {
        return sketch().plan();
    }
}
