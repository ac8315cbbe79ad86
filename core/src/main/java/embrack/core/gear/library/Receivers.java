package embrack.core.gear.library;

import static embrack.core.gear.Kind.MIXER;
import static embrack.core.gear.Kind.PICTURES;
import static embrack.core.gear.Kind.SOUND_SWITCHER;

import embrack.core.gear.Model;
import java.util.List;

/** Mixers, sound switchers, words and pictures. */
final class Receivers {

    static final Model RACK_MIXER = Shipped.model("rack-mixer-24", "Rack mixer, 24 strips", MIXER, """
            port MIDI IN: 5-pin in
            port MIDI THRU: 5-pin thru
            port Network: network both ways
            port Input 1..16: XLR in, at -60..+20 dBu, gives 48 V
            port Return 1..4: balanced jack in, at -20..+20 dBu
            port Main left: XLR out, at +4 dBu
            port Main right: XLR out, at +4 dBu
            port Bus 1..3: XLR out, at +4 dBu
            port Ear 1..6: balanced jack out, at +4 dBu
            # Sends to the ears are before the faders and behind the mutes.
            sound Input 1..16 to each Main left, Main right: muted by Input 1..16; muted by Main; own level
            sound Return 1..4 to each Main left, Main right: muted by Return 1..4; muted by Main; own level
            sound Input 1..16 to each Bus 1..3: muted by Input 1..16; muted by Bus 1..3; own level, off
            sound Return 1..4 to each Bus 1..3: muted by Return 1..4; muted by Bus 1..3; own level, off
            sound Input 1..16 to each Ear 1..6: muted by Input 1..16; own level, off
            sound Return 1..4 to each Ear 1..6: muted by Return 1..4; own level, off
            setting MIDI receive channel: 1..16, factory 1
            power: mains
            """, """
            # Numbers run left to right over inputs, returns, buses and the main. Mute is on at 127.
            mute Input 1..16: cc 40..55 over 63
            mute Return 1..4: cc 56..59 over 63
            mute Bus 1..3: cc 60..62 over 63
            mute Main: cc 63 over 63
            open Input 1..16: cc 40..55 under 64
            open Return 1..4: cc 56..59 under 64
            open Bus 1..3: cc 60..62 under 64
            open Main: cc 63 under 64
            means house sound: Main
            """);

    private static final Model STAGE_MIXER = Shipped.model("stage-mixer-12", "Stage mixer, 12 strips", MIXER, """
            port MIDI IN: 5-pin in
            port USB: USB device both ways
            setting MIDI receive channel: 1..16, factory 1
            power: a supply of its own, 1800 mA
            """, """
            # Each note turns its mute round; there is no message for open or for muted.
            mute Input 1..8: note 36..43 alternating
            mute Return 1..2: note 44..45 alternating
            mute Main: note 47 alternating
            level Input 1..8: cc 10..17 = 0..127
            recall Scene 1..8: note 60..67
            means house sound: Main
            """);

    private static final Model SOUNDS_SWITCHER =
            Shipped.model("sounds-switcher", "Sounds switcher, 8 a bank", SOUND_SWITCHER, """
            port MIDI IN: 5-pin in
            port MIDI THRU: 5-pin thru
            setting MIDI receive channel: 1..16, factory 1
            memories: 128
            keep: Hold the lit patch switch until it blinks twice.
            power: a supply of its own, 400 mA
            """, """
            # Program p is bank (p - 1) / 8, patch (p - 1) mod 8 + 1, unless its table is edited.
            programs from 1
            banks of 8
            select Patch 1..128: pc 1..128
            table can be edited: Patch 1..128
            on Loop 1..8: cc 80..87 over 63
            off Loop 1..8: cc 80..87 under 64
            on Tuner: cc 88 over 63
            off Tuner: cc 88 under 64
            """);

    private static final Model FLOOR_MODELLER =
            Shipped.model("floor-modeller", "Floor modeller with snapshots", SOUND_SWITCHER, """
            port MIDI IN: 5-pin in
            port MIDI OUT: 5-pin out
            port USB: USB device both ways
            switches: 6 in rows of 3, send cc, pc, 2 a press
            gestures: press, hold
            treadles: 1 in rows of 1, send cc, with range
            setting MIDI receive channel: 1..16, factory 1
            memories: 256
            keep: Press SAVE twice.
            power: a supply of its own, 1200 mA
            """, """
            # The snapshot is the value of one controller. Programs are counted from 0 on this box.
            programs from 0
            select Preset 0..127: cc 32 = 0 + pc 0..127
            select Preset 128..255: cc 32 = 1 + pc 0..127
            recall Snapshot 1: cc 69 = 0
            recall Snapshot 2: cc 69 = 1
            recall Snapshot 3: cc 69 = 2
            recall Snapshot 4: cc 69 = 3
            level Treadle: cc 11 = 0..127
            on Effect 1..6: cc 49..54 over 63
            off Effect 1..6: cc 49..54 under 64
            tap Tempo: cc 64 over 63
            """);

    private static final Model WORDS_COMPUTER =
            Shipped.model("words-and-pictures", "Words-and-pictures computer", PICTURES, """
            # A new control listens to channel 0, number 0 until it has learned.
            port USB 1..2: USB host both ways, gives 900 mA
            port Network: network both ways
            setting MIDI receive channel: 1..16, factory 16
            habits: looks for ports at start
            """, """
            next Slide: note 20
            previous Slide: note 21
            clear Screen: note 22
            go Item 1..32: note 32..63
            on Logo: note 24
            off Logo: note 25
            """);

    private static final Model PROJECTION_SERVER =
            Shipped.model("projection-server", "Projection server, 4 layers", PICTURES, """
            port MIDI IN: 5-pin in
            port Network: network both ways
            setting MIDI receive channel: 1..16, factory 15
            power: mains
            """, """
            middle C is C3
            go Cue 1..48: note C1..B4
            level Layer 1..4: cc 21..24 = 0..127
            shows Layer 1..4: 0 to 100 %
            play Timeline: msc projection go
            stop Timeline: msc projection stop
            on Blackout: cc 25 over 63
            off Blackout: cc 25 under 64
            safe: stop Timeline
            means blackout: Blackout
            """);

    private static final Model ECHO_BOX =
            Shipped.model("echo-and-tremolo", "Echo and tremolo box", SOUND_SWITCHER, """
            # Its times follow a clock, a tap, or a number that is sent for each song.
            port MIDI IN: 5-pin in
            port MIDI THRU: 5-pin thru
            port Output: audio out
            setting MIDI receive channel: 1..16, factory 1
            setting Tempo from: itself, clock; factory itself
            hears sync only while Tempo from is clock
            power: a supply of its own, 250 mA
            """, """
            level Time: cc 14
            shows Time: 40 to 1310 ms
            level Tremolo speed: cc 15
            shows Tremolo speed: 1 to 14 Hz
            level Mix: cc 16
            shows Mix: 0 to 100 %
            tap Tempo: cc 17 over 63
            on Echo: cc 18 over 63
            off Echo: cc 18 under 64
            safe: off Echo
            """);

    static final List<Model> ALL = List.of(
            RACK_MIXER, STAGE_MIXER, SOUNDS_SWITCHER, FLOOR_MODELLER, ECHO_BOX, WORDS_COMPUTER, PROJECTION_SERVER);

    private Receivers() {}
}
