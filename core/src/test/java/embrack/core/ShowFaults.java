package embrack.core;

import embrack.core.chart.Chart;
import embrack.core.chart.PartId;
import embrack.core.check.rule.Severity;
import embrack.core.edit.CueEdit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.OrderEdit;
import embrack.core.edit.SongEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.PortId;
import embrack.core.gear.Route;
import embrack.core.gear.text.BoxReading;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.music.NoteLength;
import embrack.core.name.TapeLabel;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Traffic;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Item;
import embrack.core.show.SongId;
import embrack.core.show.Transition;
import embrack.core.show.When;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/** Evenings in which one thing of the show is planned wrongly, and the same evenings mended. All invented. */
public final class ShowFaults {

    private static final SongId LANTERNS = new SongId("lanterns");
    private static final SongId EBB = new SongId("ebb");

    private ShowFaults() {}

    private static Fault fault(
            String name,
            String code,
            Severity severity,
            String where,
            String what,
            UnaryOperator<Sketch> faulty,
            UnaryOperator<Sketch> mended) {
        return new Fault(
                name,
                code,
                severity,
                where,
                what,
                faulty.apply(Evening.sketch()).plan(),
                mended.apply(Evening.sketch()).plan());
    }

    /** One of each. */
    public static List<Fault> all() {
        List<Fault> all = new ArrayList<>(cues());
        all.addAll(orders());
        return all;
    }

    private static List<Fault> cues() {
        Message offToOldDesk = new Message.NoteOff(new Channel(4), 8, 0);
        Cue play = new Cue(1, new Anchor.Automatic(When.PLAY), List.of(Sketch.stepOf("guitar-sounds on:loop-2")));
        Cue stop = new Cue(2, new Anchor.Automatic(When.STOP), List.of(Sketch.stepOf("guitar-sounds off:loop-2")));
        return List.of(
                fault(
                        "not-laid",
                        "songs.not-sent",
                        Severity.STOPS,
                        "Lanterns, Ebb and Slow boats",
                        "No links lead from Player to Lantern desk and Guitar sounds.",
                        s -> s.pull("player.out > computer.usb-2"),
                        s -> s),
                fault(
                        "chase-without-auto-run-by-a-cue",
                        "songs.stands-still",
                        Severity.STOPS,
                        "Ebb, on load",
                        "Auto run is off then, and Chase 1 of Old desk stands still.",
                        s -> chase(s, "on load = old-desk toggle:chase-1", "old-desk toggle:chase-1"),
                        s -> chase(
                                s,
                                "on load = old-desk toggle:auto-run, old-desk toggle:chase-1",
                                "old-desk toggle:auto-run, old-desk toggle:chase-1")),
                fault(
                        "tied-to-the-clock-and-played-faster",
                        "songs.left-by-tempo",
                        Severity.LOOK,
                        "Ebb",
                        "1 cue is tied to the clock, and the song is played 3.3 % faster than it was recorded.",
                        s -> s.edit(new SongEdit.NewTempo(EBB, "124", false)),
                        s -> s.edit(new SongEdit.NewTempo(EBB, "124", true))),
                fault(
                        "echo-left-by-tempo",
                        "songs.time-off-tempo",
                        Severity.LOOK,
                        "Ebb",
                        "On load, Time of Echo is set to 500 ms, and at 124 no note lasts so long.",
                        s -> echo(s, NoteLength.QUARTER).edit(new SongEdit.NewTempo(EBB, "124", true)),
                        s -> echo(s, NoteLength.QUARTER)
                                .edit(new SongEdit.NewTempo(EBB, "124", true))
                                .edit(time("ebb", NoteLength.DOTTED_EIGHTH))),
                fault(
                        "jump-to-no-song",
                        "songs.no-song-there",
                        Severity.STOPS,
                        "Foot board, bank A, switch 7",
                        "\"jump to Song 9\": no song of the book stands there.",
                        s -> s.step("foot-board 7: player jump:song-9"),
                        s -> s.edit(at("ebb", "G", "9")).step("foot-board 7: player jump:song-9")),
                fault(
                        "two-songs-at-one-place",
                        "songs.same-place",
                        Severity.STOPS,
                        "Lanterns and Ebb",
                        "Both stand at place 4 of the list of Player.",
                        s -> s.edit(at("lanterns", "E", "4"))
                                .edit(at("ebb", "G", "4"))
                                .step("foot-board 7: player jump:song-4"),
                        s -> s.edit(at("lanterns", "E", "4"))
                                .edit(at("ebb", "G", "5"))
                                .step("foot-board 7: player jump:song-4")),
                fault(
                        "a-loop-under-the-tale",
                        "order.stands-in-a-talk",
                        Severity.LOOK,
                        "First evening, Tale",
                        "Loop 3 of Guitar sounds is still open.",
                        s -> s.cues("lanterns", "on play = guitar-sounds on:loop-3")
                                .cues("ebb", "on load = guitar-sounds off:loop-3")
                                .cues("slow-boats", "on load = guitar-sounds off:loop-3"),
                        s -> s.cues(
                                        "lanterns",
                                        "on play = guitar-sounds on:loop-3",
                                        "on stop = guitar-sounds off:loop-3")
                                .cues("ebb", "on load = guitar-sounds off:loop-3")
                                .cues("slow-boats", "on load = guitar-sounds off:loop-3")),
                fault(
                        "dark-for-the-tale",
                        "order.stands-in-a-talk",
                        Severity.LOOK,
                        "First evening, Tale",
                        "Blackout of Lantern desk is on: it is dark.",
                        s -> s.cues("lanterns", "on stop = lantern-desk on:blackout")
                                .cues("ebb", "on load = lantern-desk off:blackout")
                                .cues("slow-boats", "on load = lantern-desk off:blackout"),
                        s -> s.cues("lanterns", "end of Vamp = lantern-desk on:blackout")
                                .cues("lanterns", "on stop = lantern-desk off:blackout")),
                fault(
                        "fades-longer-than-it-lasts",
                        "order.fade-too-long",
                        Severity.LOOK,
                        "First evening, Tale",
                        "It fades for 3:00; Tale lasts 2:00.",
                        s -> s.edit(fading("3:00")),
                        s -> s.edit(fading("0:10"))),
                fault(
                        "desk-hears-the-mixer",
                        "switches.also-moves",
                        Severity.LOOK,
                        "Foot board, bank A, switch 4; Lanterns; Ebb; Slow boats",
                        "Vocal mixer moves too: Input 1, Input 2, Input 3, Input 4, Input 5 and Input 6.",
                        s -> s.set("lantern-desk", "receive-channel", "2"),
                        s -> s.set("lantern-desk", "receive-channel", "6")),
                fault(
                        "merger-moves-what-the-player-sends",
                        "switches.channel-moved",
                        Severity.STOPS,
                        "Lanterns; Ebb; Slow boats",
                        "Merger puts channels 3 and 5 onto channel 7.",
                        s -> s.filter("merger", "in-2 > out", true, "", "7"),
                        s -> s),
                fault(
                        "player-hears-no-remote",
                        "wiring.input-off",
                        Severity.STOPS,
                        "Player",
                        "Input for remote of Player is off, and Foot board is linked to it.",
                        s -> s.set("player", "input-for-remote", "off"),
                        s -> s),
                fault(
                        "player-sends-nothing",
                        "wiring.output-off",
                        Severity.STOPS,
                        "Player",
                        "Output port of Player is off, and it is meant to send.",
                        s -> s.set("player", "output-port", "off"),
                        s -> s),
                fault(
                        "toggled-twice",
                        "songs.wrong-way-round",
                        Severity.STOPS,
                        "Ebb, bar 9",
                        "Scene 2 of Old desk was on already (by Ebb, bar 3); toggled, it is off.",
                        s -> s.cues("ebb", "3|1 = old-desk toggle:scene-2", "9|1 = old-desk toggle:scene-2")
                                .edit(leavingOff(EBB, s, "15|1 = old-desk toggle:scene-2")),
                        s -> s.cues("ebb", "3|1 = old-desk toggle:scene-2")
                                .edit(leavingOff(EBB, s, "15|1 = old-desk toggle:scene-2"))),
                fault(
                        "toggled-by-a-foot-before",
                        "songs.wrong-way-round",
                        Severity.STOPS,
                        "Ebb, bar 9",
                        "Scene 2 of Old desk was on already (by Foot board, bank A, switch 6); toggled, it is",
                        s -> footed(s)
                                .cues("ebb", "9|1 = old-desk toggle:scene-2")
                                .edit(leavingOff(EBB, s, "15|1 = old-desk toggle:scene-2")),
                        s -> footed(s).edit(leavingOff(EBB, s, "15|1 = old-desk toggle:scene-2"))),
                fault(
                        "toggled-as-each-song-is-loaded",
                        "songs.wrong-way-round",
                        Severity.STOPS,
                        "Slow boats, on load",
                        "Scene 1 of Old desk was on already (by Ebb, on load); toggled, it is off.",
                        s -> s.cues("ebb", "on load = old-desk toggle:scene-1")
                                .cues("slow-boats", "on load = old-desk toggle:scene-1"),
                        s -> s.cues("ebb", "on load = old-desk toggle:scene-1")
                                .edit(leavingOff(EBB, s, "on stop = old-desk toggle:scene-1"))
                                .cues("slow-boats", "on load = old-desk toggle:scene-1")),
                fault(
                        "programs-kept-back",
                        "switches.kept-back",
                        Severity.STOPS,
                        "Lanterns; Ebb; Slow boats",
                        "Merger keeps it back: towards OUT it passes everything, without program changes.",
                        s -> s.edit(keepingBack(Traffic.PROGRAMS)),
                        s -> s.edit(keepingBack(Traffic.SYSTEM))),
                fault(
                        "all-cues-moved-onto-one-channel",
                        "switches.channel-moved",
                        Severity.STOPS,
                        "Lanterns; Ebb; Slow boats",
                        "Merger puts channels 3 and 5 onto channel 2.",
                        s -> s.filter("merger", "in-2 > out", true, "", "2"),
                        s -> s.filter("merger", "in-2 > out", true, "2, 3, 4, 5", "")),
                fault(
                        "a-desk-on-the-channel-of-the-other",
                        "switches.also-moves",
                        Severity.LOOK,
                        "Foot board, bank A, switch 4; Lanterns; Ebb; Slow boats",
                        "Old desk moves too: Bank 23",
                        s -> s.set("old-desk", "receive-channel", "3"),
                        s -> s.set("old-desk", "receive-channel", "6")),
                fault(
                        "cues-over-the-air",
                        "songs.late",
                        Severity.LOOK,
                        "Lanterns; Ebb",
                        "4 cues may come 35 ms late; 23 ms of that are spent at Lantern desk.",
                        ShowFaults::overTheAir,
                        s -> allEarly(overTheAir(s))),
                fault(
                        "early-with-no-room",
                        "songs.late",
                        Severity.LOOK,
                        "Ebb, bar 1",
                        "It is sent early, and there is no room before: 0 of 19 ms.",
                        s -> allEarly(overTheAir(s).cues("ebb", "1|1 = lantern-desk recall:scene-2")),
                        s -> allEarly(overTheAir(s).cues("ebb", "3|1 = lantern-desk recall:scene-2"))),
                fault(
                        "toggled-at-every-pass",
                        "songs.after-jump",
                        Severity.LOOK,
                        "Lanterns, bar 40",
                        "When Vamp is played once more, it leaves Scene 4 of Old desk off.",
                        s -> s.cues("lanterns", "40|1 = old-desk toggle:scene-4")
                                .edit(leavingOff(LANTERNS, s, "on stop = old-desk toggle:scene-4")),
                        s -> s.cues("lanterns", "on load = old-desk toggle:scene-4")
                                .edit(leavingOff(LANTERNS, s, "on stop = old-desk toggle:scene-4"))),
                fault(
                        "recorded-note-off",
                        "songs.wrong-way-round",
                        Severity.STOPS,
                        "Ebb, bar 5 beat 3",
                        "A recorded message that no step stands for leaves Scene 3 of Old desk on.",
                        s -> s.edit(new CueEdit.AddCues(
                                        EBB,
                                        List.of(new Cue(
                                                1,
                                                Optional.empty(),
                                                Anchor.parse(
                                                        "5|3", s.songOf("ebb").form()),
                                                List.of(),
                                                List.of(offToOldDesk),
                                                Optional.empty(),
                                                false,
                                                false))))
                                .edit(leavingOff(EBB, s, "on stop = old-desk toggle:scene-3")),
                        s -> s),
                fault(
                        "every-song-too",
                        "songs.sent-twice",
                        Severity.LOOK,
                        "Ebb, on play",
                        "Every song sends something to Loop 2 of Guitar sounds then, and so does this one.",
                        s -> s.always(play, stop).cues("ebb", "on play = guitar-sounds on:loop-2"),
                        s -> s.always(play, stop)),
                fault(
                        "foot-and-cue",
                        "songs.foot-against-cue",
                        Severity.LOOK,
                        "Lanterns, bar 19 beat 2",
                        "Foot board, bank A, switch 4 and a cue",
                        s -> s.foot("lanterns", "19|2", "foot-board 4"),
                        s -> s.foot("lanterns", "23|1", "foot-board 4")),
                fault(
                        "chase-runs-on",
                        "songs.left-behind",
                        Severity.LOOK,
                        "Slow boats",
                        "Auto run of Old desk, left by Ebb, is still on in Slow boats",
                        s -> s.cues("ebb", "18|1 = old-desk toggle:auto-run"),
                        s -> s.cues("ebb", "18|1 = old-desk toggle:auto-run")
                                .edit(leavingOff(EBB, s, "22|1 = old-desk toggle:auto-run"))),
                fault(
                        "level-left-down",
                        "songs.left-behind",
                        Severity.LOOK,
                        "Ebb",
                        "Input 3 of Vocal mixer, left by Lanterns, is still 20 in Ebb",
                        s -> s.cues("lanterns", "27|1 = vocal-mixer level:input-3:20"),
                        s -> s.cues(
                                "lanterns",
                                "27|1 = vocal-mixer level:input-3:20",
                                "on stop = vocal-mixer level:input-3:0")),
                fault(
                        "sound-still-on",
                        "songs.left-behind",
                        Severity.LOOK,
                        "Slow boats",
                        "Loop 3 of Guitar sounds, left by Ebb, is still on in Slow boats",
                        s -> s.cues("ebb", "9|1 = guitar-sounds on:loop-3"),
                        s -> s.cues("ebb", "9|1 = guitar-sounds on:loop-3", "on stop = guitar-sounds off:loop-3")),
                fault(
                        "sound-never-set",
                        "songs.left-behind",
                        Severity.LOOK,
                        "Ebb",
                        "Patch 9 of Guitar sounds, left by Lanterns, is still chosen in Ebb",
                        s -> s.edit(withoutLoad(s, EBB)).cues("lanterns", "27|1 = guitar-sounds select:patch-9"),
                        s -> s.cues("lanterns", "27|1 = guitar-sounds select:patch-9")),
                fault(
                        "too-many-at-once",
                        "songs.queue",
                        Severity.LOOK,
                        "Ebb, 0:16.000",
                        "12 messages at one moment",
                        s -> s.cues(
                                "ebb",
                                "9|1 = " + levels(12),
                                "on stop = " + levels(12).replace(":90", ":0")),
                        s -> s.cues(
                                "ebb",
                                "9|1 = " + levels(6),
                                "9|3 = " + levels(12).substring(levels(6).length() + 2),
                                "on stop = " + levels(12).replace(":90", ":0"))),
                fault(
                        "two-at-one-instant",
                        "songs.same-instant",
                        Severity.LOOK,
                        "Ebb, start of Refrain",
                        "Two cues are about Scene 2 of Lantern desk at this instant.",
                        s -> s.cues("ebb", "start of Refrain = lantern-desk recall:scene-2"),
                        s -> s.cues("ebb", "19|1 = lantern-desk recall:scene-2")),
                fault(
                        "trimmed-away",
                        "songs.cut-away",
                        Severity.STOPS,
                        "Ebb, bar 24 beat 4",
                        "The song ends at 0:44.000; this cue lies behind.",
                        s -> s.edit(new SongEdit.DescribeSong(EBB, "Ebb", "G", "G", "", "", "0:04", "1", "", ""))
                                .cues("ebb", "24|4 = lantern-desk recall:scene-9"),
                        s -> s.edit(new SongEdit.DescribeSong(EBB, "Ebb", "G", "G", "", "", "0:04", "1", "", ""))
                                .cues("ebb", "22|4 = lantern-desk recall:scene-9")),
                fault(
                        "round-second",
                        "songs.off-the-beat",
                        Severity.LOOK,
                        "Lanterns, 0:47.000",
                        "It comes 43 ms after the downbeat of bar 19.",
                        s -> s.edit(new CueEdit.PlaceCue(LANTERNS, 2, "0:47")),
                        s -> s),
                fault(
                        "no-lead-in",
                        "songs.no-lead-in",
                        Severity.LOOK,
                        "Ebb",
                        "Foot board, bank A, switch 5 jumps to it, and it counts off after 0:00.000.",
                        s -> s.step("foot-board 5: player jump:song-2")
                                .edit(new SongEdit.DescribeSong(EBB, "Ebb", "G", "G", "2", "", "", "0", "", "")),
                        s -> s.step("foot-board 5: player jump:song-2")),
                fault(
                        "stretched",
                        "songs.stretched",
                        Severity.LOOK,
                        "Ebb",
                        "It is played 12.5 % faster than it was recorded.",
                        s -> s.edit(new SongEdit.NewTempo(EBB, "135", true)),
                        s -> s.edit(new SongEdit.NewTempo(EBB, "124", true))),
                fault(
                        "locked-vamp",
                        "songs.locked-vamp",
                        Severity.LOOK,
                        "Lanterns, Vamp",
                        "no switch lets it go",
                        s -> s.edit(new SwitchEdit.ClearSwitch(Sketch.at("foot-board 3"))),
                        s -> s),
                fault(
                        "played-through",
                        "songs.played-through",
                        Severity.LOOK,
                        "Lanterns, Vamp",
                        "It is to go round 3 times, and no cue of the song tells Player to go round.",
                        s -> s.cues("ebb", "20|1 = player on:loop"),
                        s -> s.cues("ebb", "20|1 = player on:loop").cues("lanterns", "start of Vamp = player on:loop")),
                fault(
                        "fails-after-jump",
                        "songs.after-jump",
                        Severity.LOOK,
                        "Ebb, bar 20",
                        "When Refrain is played once more, it leaves Scene 4 of Old desk on.",
                        s -> s.cues("ebb", "9|1 = old-desk toggle:scene-4")
                                .edit(leavingOff(EBB, s, "20|1 = old-desk toggle:scene-4")),
                        s -> s.cues("ebb", "18|1 = old-desk toggle:scene-4")
                                .edit(leavingOff(EBB, s, "20|1 = old-desk toggle:scene-4"))),
                fault(
                        "bank-of-a-foot",
                        "songs.depends-on-before",
                        Severity.LOOK,
                        "Lanterns, on load",
                        "Press Foot board, bank A, switch 5, then play Lanterns, on load: Patch 2 of Strings is not"
                                + " chosen; chosen was meant.",
                        s -> strings(s, "pc 1..3"),
                        s -> strings(s, "cc 0 = 1 + pc 1..3")));
    }

    /** A box of two banks of sounds, of which a foot chooses one and songs the other. */
    private static Sketch strings(Sketch sketch, String patch) {
        Model strings = BoxReading.of("port MIDI IN: 5-pin in\nsetting MIDI receive channel: 1..16, factory 6")
                .box()
                .orElseThrow()
                .model(
                        new ModelId("strings"),
                        new TapeLabel("Strings box"),
                        Kind.SOUND_SWITCHER,
                        Chart.of("programs from 1\nselect Patch 1..3: " + patch
                                + "\nselect Tone 1..3: cc 0 = 2 + pc 1..3"),
                        Chart.EMPTY);
        sketch.edit(new GearEdit.RemoveDevice(new DeviceId("vocal-mixer"), true))
                .edit(new GearEdit.AddDevice("Strings", strings))
                .link("thru-box.thru-3 > strings.in")
                .step("foot-board 5: strings select:tone-1");
        for (String song : List.of("lanterns", "ebb", "slow-boats")) {
            sketch.cues(song, "on load = strings select:patch-2");
        }
        return sketch;
    }

    /** An echo at a THRU box, whose time each load of a song sets. */
    private static Sketch echo(Sketch sketch, NoteLength note) {
        sketch.box("Echo", "echo-and-tremolo")
                .set("echo", "receive-channel", "9")
                .link("guitar-sounds.thru > echo.in");
        for (String song : List.of("lanterns", "ebb", "slow-boats")) {
            sketch.edit(time(song, note));
        }
        return sketch;
    }

    private static CueEdit time(String song, NoteLength note) {
        return new CueEdit.SetTime(new SongId(song), new DeviceId("echo"), new PartId("time"), note);
    }

    private static List<Fault> orders() {
        return List.of(
                fault(
                        "too-long",
                        "order.too-long",
                        Severity.LOOK,
                        "First evening",
                        "more than its slot",
                        s -> s.edit(new OrderEdit.DescribeShow(Evening.SHOW, "First evening", "", "19:30", "5:00")),
                        s -> s),
                fault(
                        "pad-in-wrong-key",
                        "order.pad-key",
                        Severity.LOOK,
                        "First evening, Tale",
                        "Its pad is in C♯, and the music is in G.",
                        s -> s.edit(tale("C#", "20:00", Transition.Way.HARD)),
                        s -> s.edit(tale("", "20:00", Transition.Way.HARD))),
                fault(
                        "tracks-in-another-key",
                        "order.stems-in-another-key",
                        Severity.LOOK,
                        "First evening, Lanterns",
                        "Tonight Lanterns is in F; its tracks are in D: Strings.",
                        s -> s.edit(tonight(2, "Lanterns", "F")),
                        s -> s.edit(tonight(4, "Ebb", "F"))),
                fault(
                        "pad-too-short",
                        "order.pad-short",
                        Severity.LOOK,
                        "First evening, Tale",
                        "Its pad lasts 2:30; 2:00 of talk may become 4:00.",
                        s -> s.edit(tale("", "2:30", Transition.Way.HARD)),
                        s -> s.edit(tale("", "20:00", Transition.Way.HARD))),
                fault(
                        "stem-and-player",
                        "order.stem-against-player",
                        Severity.LOOK,
                        "Lanterns, Drums",
                        "Drums is played live tonight, and its stem sounds too.",
                        s -> s.edit(new OrderEdit.SetRoster(Evening.SHOW, List.of("Drums")))
                                .edit(new OrderEdit.TurnStem(Evening.SHOW, LANTERNS, "Drums", true)),
                        s -> s.edit(new OrderEdit.SetRoster(Evening.SHOW, List.of("Drums")))),
                fault(
                        "hard-between-pads",
                        "order.hard-between-pads",
                        Severity.LOOK,
                        "First evening, Tale",
                        "One pad ends and the next begins at once",
                        s -> thanks(s.edit(tale("", "20:00", Transition.Way.HARD))),
                        s -> thanks(s.edit(tale("", "20:00", Transition.Way.CROSSFADE)))),
                fault(
                        "nobody-goes",
                        "order.nobody-goes",
                        Severity.STOPS,
                        "First evening, Ebb",
                        "It waits for a press, and no switch begins it.",
                        s -> s.edit(tale("", "", Transition.Way.ON_DEMAND)),
                        s -> s),
                fault(
                        "song-not-called",
                        "order.not-called",
                        Severity.LOOK,
                        "First evening",
                        "No switch goes to Ebb.",
                        s -> called(s),
                        s -> called(s).step("foot-board 6: player jump:song-2")),
                fault(
                        "silence-between-songs",
                        "order.silence",
                        Severity.NOTE,
                        "First evening",
                        "Nothing sounds behind Ebb until somebody presses for the next song.",
                        s -> waited(s, ""),
                        s -> waited(s, "20:00")));
    }

    /** Songs are called on the night, and switches go to the first and the last. */
    private static Sketch called(Sketch sketch) {
        return ready(sketch)
                .step("foot-board 5: player jump:song-1", "foot-board 7: player jump:song-3")
                .edit(new OrderEdit.CallOnTheNight(Evening.SHOW, true));
    }

    /** There is time to get ready after a jump. */
    private static Sketch ready(Sketch sketch) {
        return sketch.edit(Evening.key("lanterns", "D", "E", 4))
                .edit(Evening.key("ebb", "G", "G", 4))
                .edit(Evening.key("slow-boats", "C", "C", 4));
    }

    /** Ebb waits for a press of the next song. */
    private static Sketch waited(Sketch sketch, String pad) {
        return ready(sketch)
                .step("foot-board 5: player jump:song-3")
                .edit(new OrderEdit.DescribePart(
                        Evening.SHOW,
                        4,
                        Item.SONG,
                        "Ebb",
                        "",
                        "",
                        Transition.Way.ON_DEMAND,
                        "0:10",
                        "",
                        pad,
                        Optional.empty()))
                .edit(new OrderEdit.DescribePart(
                        Evening.SHOW,
                        5,
                        Item.SONG,
                        "Slow boats",
                        "",
                        "",
                        Transition.Way.HARD,
                        "",
                        "",
                        "",
                        Optional.of(Sketch.at("foot-board 5"))));
    }

    /** A song that is played in a key tonight. */
    private static OrderEdit tonight(int part, String song, String key) {
        return new OrderEdit.DescribePart(
                Evening.SHOW, part, Item.SONG, song, "", key, Transition.Way.HARD, "", "", "", Optional.empty());
    }

    /** Somebody toggles a scene in the third bar. */
    private static Sketch footed(Sketch sketch) {
        return sketch.step("foot-board 6: old-desk toggle:scene-2").foot("ebb", "3|1", "foot-board 6");
    }

    private static WiringEdit.Filter keepingBack(Traffic traffic) {
        Route cues = new Route(new PortId("in-2"), new PortId("out"));
        return new WiringEdit.Filter(new DeviceId("merger"), cues, true, Set.of(traffic), "", "");
    }

    /** Two radios between the player and what it works, and no switch that works any of it. */
    private static Sketch overTheAir(Sketch sketch) {
        return sketch.edit(new SwitchEdit.ClearSwitch(Sketch.at("foot-board 4")))
                .pull("merger.out > thru-box.in")
                .box("Stage bridge", "bluetooth-bridge-pair")
                .box("Rack bridge", "bluetooth-bridge-pair")
                .set("stage-bridge", "role", "connects")
                .link(
                        "merger.out > stage-bridge.in",
                        "stage-bridge.bluetooth > rack-bridge.bluetooth",
                        "rack-bridge.out > thru-box.in");
    }

    private static Sketch allEarly(Sketch sketch) {
        sketch.plan()
                .book()
                .songs()
                .forEach(song -> song.cues().stream()
                        .filter(cue -> !(cue.at() instanceof Anchor.Automatic))
                        .forEach(cue -> sketch.edit(new CueEdit.SendEarly(song.id(), cue.number(), true))));
        return sketch;
    }

    private static OrderEdit tale(String key, String length, Transition.Way way) {
        return new OrderEdit.DescribePart(
                Evening.SHOW, 3, Item.TALK, "Tale", "2:00", "", way, "0:04", key, length, Optional.empty());
    }

    /** An announcement with a pad of its own behind the tale. */
    private static Sketch thanks(Sketch sketch) {
        return sketch.edit(new OrderEdit.AddPart(Evening.SHOW, Item.ANNOUNCEMENT, "Thanks", "1:00"))
                .edit(new OrderEdit.DescribePart(
                        Evening.SHOW,
                        6,
                        Item.ANNOUNCEMENT,
                        "Thanks",
                        "1:00",
                        "",
                        Transition.Way.HARD,
                        "",
                        "D",
                        "20:00",
                        Optional.empty()))
                .edit(new OrderEdit.MovePart(Evening.SHOW, 6, 4));
    }

    /** Where a song stands in the list of its player. */
    private static SongEdit at(String song, String key, String place) {
        String title = Evening.sketch().songOf(song).title().text();
        return new SongEdit.DescribeSong(new SongId(song), title, key, key, place, "", "", "1", "", "");
    }

    /** The tale of two minutes, fading for so long. */
    private static OrderEdit fading(String time) {
        return new OrderEdit.DescribePart(
                Evening.SHOW, 3, Item.TALK, "Tale", "2:00", "", Transition.Way.FADE, time, "", "", Optional.empty());
    }

    /** A chase that a cue starts, and another cue ends with the song. */
    private static Sketch chase(Sketch sketch, String start, String end) {
        return sketch.cues("ebb", start).edit(leavingOff(EBB, sketch, "on stop = " + end));
    }

    private static CueEdit leavingOff(SongId song, Sketch sketch, String cue) {
        sketch.cues(song.text(), cue);
        return new CueEdit.LeaveOff(song, sketch.songOf(song.text()).nextNumber() - 1, true);
    }

    private static CueEdit withoutLoad(Sketch sketch, SongId song) {
        return new CueEdit.RemoveCues(
                song,
                sketch.songOf(song.text()).cues().stream()
                        .filter(cue -> cue.at() instanceof Anchor.Automatic at && at.when() == When.LOAD)
                        .map(Cue::number)
                        .toList());
    }

    private static String levels(int strips) {
        List<String> steps = new ArrayList<>();
        for (int strip = 1; strip <= Math.min(8, strips); strip++) {
            steps.add("vocal-mixer level:input-%d:90".formatted(strip));
        }
        for (int loop = 1; loop <= strips - 8; loop++) {
            steps.add("guitar-sounds off:loop-%d".formatted(loop + 4));
        }
        return String.join(", ", steps);
    }
}
