package embrack.core;

import embrack.core.check.rule.Severity;
import embrack.core.edit.DutyEdit;
import embrack.core.edit.HandEdit;
import embrack.core.edit.SoundEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Ear;
import embrack.core.gear.Kind;
import embrack.core.gear.PortId;
import embrack.core.gear.Sound;
import embrack.core.gear.SoundEnd;
import embrack.core.gear.SoundRoute;
import embrack.core.rig.Area;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Duty;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** A small rig whose sound is wired wrongly in one thing, and the same rig mended. All invented. */
public final class SoundFaults {

    private SoundFaults() {}

    /** Click on one side of a tablet, tracks on the other, by a split and DIs; a voice; ears, a wedge, the house. */
    public static Sketch mill() {
        return Sketch.of("Mill rig")
                .box("Tablet", "tablet")
                .feed("tablet.headphones-left", List.of(Sound.CLICK), List.of())
                .feed("tablet.headphones-right", List.of(Sound.TRACKS), List.of())
                .box("Split", "headphone-split")
                .box("DI", "di-passive-2")
                .box("Voice", "stage-microphone")
                .box("Mixer", "house-console-24")
                .box("House", "house-speakers")
                .box("Drum ears", "in-ears-wired")
                .box("Wedge", "floor-wedge")
                .link(
                        "tablet.headphones-left > split.plug-left",
                        "tablet.headphones-right > split.plug-right",
                        "split.left > di.in-1",
                        "split.right > di.in-2",
                        "di.out-1 > mixer.input-1",
                        "di.out-2 > mixer.input-2",
                        "voice.out > mixer.input-3",
                        "mixer.main-left > house.in-left",
                        "mixer.main-right > house.in-right",
                        "mixer.aux-1 > drum-ears.in",
                        "mixer.aux-2 > wedge.in")
                .edit(send("input-1", "mix-left", "off"))
                .edit(send("input-1", "mix-right", "off"))
                .edit(send("input-1", "aux-1", "0"))
                .edit(send("input-2", "aux-1", "-6"))
                .edit(send("input-3", "aux-2", "0"));
    }

    private static SoundEdit.SetSend send(String from, String to, String level) {
        return new SoundEdit.SetSend(
                new DeviceId("mixer"),
                new SoundRoute(new SoundEnd(new PortId(from), 1), new SoundEnd(new PortId(to), 1)),
                level);
    }

    private static Fault fault(
            String name,
            String code,
            Severity severity,
            String where,
            String what,
            UnaryOperator<Sketch> wrong,
            UnaryOperator<Sketch> right) {
        return new Fault(
                name,
                "sound." + code,
                severity,
                where,
                what,
                wrong.apply(mill()).plan(),
                right.apply(mill()).plan());
    }

    public static List<Fault> all() {
        return Stream.of(ears(), sides(), leads(), times(), pairs())
                .flatMap(List::stream)
                .toList();
    }

    private static List<Fault> ears() {
        return List.of(
                fault(
                        "click-in-the-house",
                        "not-for-them",
                        Severity.STOPS,
                        "Tablet",
                        "House gets the click of Tablet. It goes Tablet, then Split, then DI, then Mixer, then House.",
                        s -> s.edit(send("input-1", "mix-left", "0")),
                        s -> s),
                fault(
                        "click-in-a-wedge",
                        "not-for-them",
                        Severity.LOOK,
                        "Tablet",
                        "Wedge gets the click of Tablet. It goes Tablet, then Split, then DI, then Mixer, then Wedge.",
                        s -> s.edit(send("input-1", "aux-2", "-20")),
                        s -> s.edit(send("input-2", "aux-2", "-20"))),
                fault(
                        "click-in-the-stream",
                        "not-for-them",
                        Severity.STOPS,
                        "Tablet",
                        "Stream gets the click of Tablet. It goes Tablet, then Split, then DI, then Mixer, then "
                                + "Stream.",
                        s -> stream(s).edit(send("input-1", "group-1", "0")).edit(send("group-1", "matrix-left", "0")),
                        s -> stream(s).edit(send("input-2", "group-1", "0")).edit(send("group-1", "matrix-left", "0"))),
                fault(
                        "a-tone-in-the-ears",
                        "not-for-them",
                        Severity.STOPS,
                        "Pair",
                        "The heartbeat of Pair is heard at Drum ears. It goes Pair, then Mixer, then Drum ears.",
                        s -> tone(s).edit(send("input-5", "aux-1", "0")),
                        SoundFaults::tone),
                fault(
                        "a-drummer-without-click",
                        "without-wanted",
                        Severity.STOPS,
                        "Drum ears",
                        "Drum ears needs the click; nothing brings it there.",
                        s -> wants(s).edit(send("input-1", "aux-1", "off"))
                                .link("mixer.aux-3 > spare-ears.in")
                                .edit(send("input-1", "aux-3", "0")),
                        s -> wants(s).link("mixer.aux-3 > spare-ears.in").edit(send("input-1", "aux-3", "0"))),
                fault(
                        "a-guide-that-nothing-makes",
                        "without-wanted",
                        Severity.STOPS,
                        "Drum ears",
                        "Drum ears needs the spoken guide; nothing in the rig makes one.",
                        s -> s.edit(listen("drum-ears", Set.of(Sound.GUIDE), "")),
                        s -> s.edit(listen("drum-ears", Set.of(Sound.TRACKS), ""))),
                fault(
                        "a-microphone-for-nobody",
                        "unheard",
                        Severity.LOOK,
                        "Fiddle",
                        "A lead is in Fiddle, and its microphone comes to nobody's ears, however everything "
                                + "stands.",
                        s -> fiddle(s)
                                .edit(send("input-4", "mix-left", "off"))
                                .edit(send("input-4", "mix-right", "off")),
                        SoundFaults::fiddle));
    }

    private static Sketch stream(Sketch s) {
        return s.box("Stream", "stream-encoder")
                .edit(new WiringEdit.Stand(new DeviceId("stream"), Area.RACK))
                .link("mixer.matrix-left > stream.in-left", "mixer.matrix-right > stream.in-right")
                .edit(send("group-1", "mix-left", "off"))
                .edit(send("group-1", "mix-right", "off"));
    }

    private static Sketch tone(Sketch s) {
        return s.box("Pair", Kind.PLAYBACK_PAIR, """
                        port Tone: XLR out, at +4 dBu
                        power: mains
                        """, "")
                .feed("pair.tone", List.of(Sound.HEARTBEAT), List.of())
                .link("pair.tone > mixer.input-5")
                .edit(send("input-5", "mix-left", "off"))
                .edit(send("input-5", "mix-right", "off"));
    }

    private static Sketch wants(Sketch s) {
        return s.edit(listen("drum-ears", Set.of(Sound.CLICK), "")).box("Spare ears", "in-ears-wired");
    }

    private static Sketch fiddle(Sketch s) {
        return s.box("Fiddle", "stage-microphone").link("fiddle.out > mixer.input-4");
    }

    private static SoundEdit.Listen listen(String device, Set<Sound> wants, String away) {
        return new SoundEdit.Listen(new DeviceId(device), wants, away);
    }

    private static List<Fault> sides() {
        return List.of(
                fault(
                        "half-of-the-keys",
                        "one-side-lost",
                        Severity.LOOK,
                        "Wedge",
                        "Of the instrument of Keys, Wedge gets the left side alone.",
                        s -> keys(s).edit(send("input-5", "aux-2", "0")),
                        s -> keys(s).edit(send("input-5", "aux-2", "0")).edit(send("input-6", "aux-2", "0"))),
                fault(
                        "two-sides-against-each-other",
                        "cancels",
                        Severity.STOPS,
                        "Wedge",
                        "The instrument of Keys comes to Wedge twice, once inverted: what both have in common is "
                                + "silent.",
                        s -> inWedge(s)
                                .edit(new SoundEdit.TurnPolarity(new DeviceId("mixer"), new PortId("input-6"), true)),
                        SoundFaults::inWedge),
                fault(
                        "a-return-that-comes-round",
                        "comes-round",
                        Severity.STOPS,
                        "Mixer",
                        "What passes Mixer, then Room comes back to where it was.",
                        s -> room(s).edit(send("input-7", "aux-4", "0")),
                        SoundFaults::room));
    }

    private static Sketch keys(Sketch s) {
        return s.box("Keys", Kind.SOUND_SOURCE, """
                        port Left: balanced jack out, at +4 dBu
                        port Right: balanced jack out, at +4 dBu
                        makes instrument at Left
                        makes instrument at Right
                        """, "")
                .link("keys.left > mixer.input-5", "keys.right > mixer.input-6")
                .edit(send("input-5", "mix-right", "off"))
                .edit(send("input-6", "mix-left", "off"));
    }

    private static Sketch inWedge(Sketch s) {
        return keys(s).edit(send("input-5", "aux-2", "0")).edit(send("input-6", "aux-2", "0"));
    }

    private static Sketch room(Sketch s) {
        return s.box("Room", Kind.SOUND_SWITCHER, """
                        port In: XLR in
                        port Out: XLR out, at +4 dBu
                        sound In to Out
                        power: mains
                        """, "")
                .link("mixer.aux-4 > room.in", "room.out > mixer.input-7")
                .edit(send("input-3", "aux-4", "-10"));
    }

    private static List<Fault> leads() {
        String ribbon = """
                port Out: XLR out, at -50 dBu, harmed by 48 V
                makes microphone at Out
                """;
        return List.of(
                fault(
                        "48-volts-on-a-ribbon",
                        "phantom-harms",
                        Severity.STOPS,
                        "Ribbon Out",
                        "Mixer Input 4 has its 48 V on, and they reach Ribbon Out.",
                        s -> s.box("Ribbon", Kind.SOUND_SOURCE, ribbon, "")
                                .link("ribbon.out > mixer.input-4")
                                .edit(power(4)),
                        s -> s.box("Ribbon", Kind.SOUND_SOURCE, ribbon, "").link("ribbon.out > mixer.input-4")),
                fault(
                        "no-48-volts-for-a-condenser",
                        "no-phantom",
                        Severity.STOPS,
                        "Choir Out",
                        "Choir runs on 48 V and gets none.",
                        s -> s.box("Choir", "choir-microphone").link("choir.out > mixer.input-4"),
                        s -> s.box("Choir", "choir-microphone")
                                .link("choir.out > mixer.input-4")
                                .edit(power(4))),
                fault(
                        "an-active-di-behind-a-transformer",
                        "no-phantom",
                        Severity.STOPS,
                        "Choir Out",
                        "Choir runs on 48 V and gets none: no input behind it gives them.",
                        s -> s.box("Choir", "choir-microphone")
                                .box("Box", "microphone-split")
                                .link("choir.out > box.in", "box.isolated > mixer.input-4")
                                .edit(power(4)),
                        s -> s.box("Choir", "choir-microphone")
                                .box("Box", "microphone-split")
                                .link("choir.out > box.in", "box.direct > mixer.input-4")
                                .edit(power(4))),
                fault(
                        "a-microphone-in-a-line-input",
                        "wrong-level",
                        Severity.LOOK,
                        "Wedge 2 In",
                        "What comes from Fiddle Out to Wedge 2 In is 40 dB below what Wedge 2 In takes (\u221210 to "
                                + "+20 dBu).",
                        s -> s.box("Fiddle", "stage-microphone")
                                .box("Wedge 2", "floor-wedge")
                                .link("fiddle.out > wedge-2.in"),
                        s -> fiddle(s).box("Wedge 2", "floor-wedge").link("mixer.aux-5 > wedge-2.in")),
                fault(
                        "a-guitar-over-fifteen-metres",
                        "long-unbalanced",
                        Severity.LOOK,
                        "Guitar Out",
                        "The lead from Guitar Out to Box In is 15 m long and not balanced.",
                        s -> guitar(s, "15", "2"),
                        s -> guitar(s, "3", "15")),
                fault(
                        "a-workstation-on-its-own-mains",
                        "two-mains",
                        Severity.LOOK,
                        "Organ Out",
                        "The lead from Organ Out to Mixer Input 8 is not balanced, and each of its ends is on the "
                                + "mains of another place: Floor and Rack.",
                        s -> organ(s).link("organ.out > mixer.input-8"),
                        s -> organ(s).box("Box", "di-passive").link("organ.out > box.in", "box.out > mixer.input-8")),
                fault(
                        "forty-eight-channels-at-96-kilohertz",
                        "too-many-channels",
                        Severity.LOOK,
                        "Stage Out",
                        "48 channels from Stage Out to Booth In are 111 Mbit/s, without what the network adds.",
                        s -> network(s, 48),
                        s -> network(s, 32)),
                fault(
                        "eight-channels-at-96-kilohertz-on-one-optical-lead",
                        "too-many-channels",
                        Severity.LOOK,
                        "Stage Out",
                        "8 channels from Stage Out to Booth In are 18 Mbit/s; an optical lead has room for 9: 8 "
                                + "channels at 48 kHz.",
                        s -> carried(s, "optical", 8),
                        s -> carried(s, "optical", 4)));
    }

    private static SoundEdit.SwitchPhantom power(int input) {
        return new SoundEdit.SwitchPhantom(new DeviceId("mixer"), new PortId("input-" + input), true);
    }

    private static Sketch guitar(Sketch s, String first, String second) {
        return s.box("Guitar", "instrument-with-pickup")
                .box("Box", "di-passive")
                .link("guitar.out > box.in", "box.out > mixer.input-8")
                .edit(measure("guitar.out > box.in", first))
                .edit(measure("box.out > mixer.input-8", second));
    }

    private static WiringEdit.Measure measure(String link, String metres) {
        String[] ends = link.split(" > ");
        return new WiringEdit.Measure(Sketch.socket(ends[0]), Sketch.socket(ends[1]), metres);
    }

    private static Sketch organ(Sketch s) {
        return s.box("Organ", Kind.SOUND_SOURCE, """
                port Out: mono jack out, at -10 dBV
                makes instrument at Out
                power: mains
                """, "");
    }

    private static Sketch network(Sketch s, int channels) {
        return carried(s, "sound network", channels);
    }

    private static Sketch carried(Sketch s, String lead, int channels) {
        return s.box("Stage", Kind.SOUND_BOX, """
                        port Out: %s out, %d channels
                        setting Sample rate: 96 kHz, 48 kHz; factory 96 kHz, not about messages: sound alone
                        power: mains
                        """.formatted(lead, channels), "")
                .box("Booth", Kind.SOUND_BOX, """
                        port In: %s in, 64 channels
                        power: mains
                        """.formatted(lead), "")
                .link("stage.out > booth.in");
    }

    private static List<Fault> times() {
        return List.of(
                unheardPad(),
                fault(
                        "a-voice-that-meets-itself",
                        "meets-late",
                        Severity.LOOK,
                        "House",
                        "House gets the microphone of Voice twice, 4.0 ms apart.",
                        s -> echo(s, "4 ms late"),
                        s -> echo(s, "-3 dB")),
                fault(
                        "a-wedge-five-metres-away",
                        "late-to-ears",
                        Severity.LOOK,
                        "Wedge",
                        "Voice comes to Wedge 14.6 ms after it was played.",
                        s -> s.edit(listen("wedge", Set.of(), "5")),
                        s -> s.edit(listen("wedge", Set.of(), "2"))),
                fault(
                        "a-track-player-whose-click-ends-in-the-mixer",
                        "no-in-ears",
                        Severity.LOOK,
                        "Tablet",
                        "Tablet plays the click, and no in-ears get it.",
                        s -> s.edit(send("input-1", "aux-1", "off"))
                                .edit(send("input-1", "aux-6", "0"))
                                .box("Tape", "recorder-2")
                                .link("mixer.aux-6 > tape.in-1"),
                        s -> s.box("Tape", "recorder-2").link("mixer.aux-6 > tape.in-1")));
    }

    private static List<Fault> pairs() {
        return List.of(
                fault(
                        "a-second-player-without-its-click",
                        "lost-at-failover",
                        Severity.LOOK,
                        "Player B",
                        "Once Player B is in for Player A, Drum ears do not get its click.",
                        s -> two(s, ""),
                        s -> two(s, "").link("player-b.output-1 > pair.from-b-1")),
                fault(
                        "a-second-player-six-decibels-down",
                        "lost-at-failover",
                        Severity.LOOK,
                        "Player B",
                        "Once Player B is in for Player A, Drum ears get its click by 3 dB and more louder or softer.",
                        s -> two(s, "; -6 dB").link("player-b.output-1 > pair.from-b-1"),
                        s -> two(s, "; -2 dB").link("player-b.output-1 > pair.from-b-1")));
    }

    /** Two players in two computers, a box that passes on one of them, its first output in the drummer's ears. */
    public static Sketch two() {
        return two(mill(), "").link("player-b.output-1 > pair.from-b-1");
    }

    private static Sketch two(Sketch s, String second) {
        return s.box("Pair", Kind.PLAYBACK_PAIR, """
                        port Computer A: USB device both ways
                        port Computer B: USB device both ways
                        port From A 1: computer sound in
                        port From B 1: computer sound in
                        port Out: XLR out, at +4 dBu
                        sound From A 1 to Out: while chosen Computer A
                        sound From B 1 to Out: while chosen Computer B%s
                        setting MIDI receive channel: 1..16, factory 1
                        setting Fail over: by hand, automatic; factory automatic
                        fails over only while Fail over is automatic
                        power: mains
                        """.formatted(second), """
                        use Computer {A, B}: cc 100..101 over 63
                        """)
                .box("One", "computer")
                .box("Other", "computer")
                .app("Player A", "linear-timeline-player", "one")
                .app("Player B", "linear-timeline-player", "other")
                .link("pair.computer-a > one.usb-1", "pair.computer-b > other.usb-1")
                .feed("player-a.output-1", List.of(Sound.CLICK), List.of())
                .feed("player-b.output-1", List.of(Sound.CLICK), List.of())
                .link("player-a.output-1 > pair.from-a-1", "pair.out > mixer.input-9")
                .edit(send("input-9", "mix-left", "off"))
                .edit(send("input-9", "mix-right", "off"))
                .edit(send("input-9", "aux-1", "0"))
                .pair("player-a", "player-b");
    }

    private static Fault unheardPad() {
        return fault(
                "a-pad-behind-a-level-at-nothing",
                "silent-start",
                Severity.LOOK,
                "Foot board, bank A, switch 1",
                "The pads of Bed begin while Bed of Bed stands at 0: nobody hears it.",
                SoundFaults::bed,
                s -> bed(s).edit(new HandEdit.SetAtDoors(new DeviceId("bed"), "set level of Bed to 100")));
    }

    /** Pads that a foot starts, and swells with another switch. */
    private static Sketch bed(Sketch s) {
        return s.box("Bed", Kind.TRACK_PLAYER, """
                        port MIDI IN: 5-pin in
                        port Out: XLR out, at +4 dBu
                        port Bed: bus both ways
                        makes pads at Bed
                        sound Bed to Out: level by Bed
                        setting MIDI receive channel: 1..16, factory 1
                        power: mains
                        """, """
                        play Bed: cc 20 over 63
                        stop Bed: cc 20 under 64
                        level Bed: cc 21
                        """)
                .box("Foot board", "four-switch-floor-board")
                .link("foot-board.out > bed.in", "bed.out > mixer.input-10")
                .set("foot-board", "send-channel", "1")
                .step("foot-board 1: bed play:bed", "foot-board 2: bed level:bed:100")
                .edit(new DutyEdit(
                        Sketch.at("foot-board 4"), Duty.KILL, "Stop", List.of(Sketch.stepOf("bed stop:bed"))));
    }

    private static Sketch echo(Sketch s, String passage) {
        return s.box("Warm", Kind.SOUND_SWITCHER, """
                        port In: XLR in
                        port Out: XLR out, at +4 dBu
                        sound In to Out: %s
                        power: mains
                        """.formatted(passage), "")
                .link("mixer.aux-7 > warm.in", "warm.out > mixer.input-9")
                .edit(send("input-3", "aux-7", "0"));
    }

    /** Ears of whom it is only said that they get an output. */
    public static Sketch said() {
        return Sketch.of("Said")
                .box("Interface", "tablet-sound-interface")
                .feed("interface.output-1", List.of(Sound.CLICK), List.of(Ear.STREAM, Ear.IN_EARS));
    }
}
