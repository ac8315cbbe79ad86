package embrack.core.gear.library;

import static embrack.core.gear.Kind.FADER_BOX;
import static embrack.core.gear.Kind.KEYBOARD;

import embrack.core.gear.Model;
import java.util.List;

/** Faders, keys and pads for hands. */
final class Surfaces {

    private static final Model FADER_BOX_8_4 =
            Shipped.model("fader-box-8-by-4", "Fader box, 8 faders, 4 banks", FADER_BOX, """
            # The faders stay where they are when the bank changes; a lamp says which bank is on.
            port MIDI OUT: 5-pin out
            port MIDI IN: 5-pin in
            port USB: USB device both ways
            switches: 8 in rows of 8, send note, cc, 1 a press
            banks: 1..4; a bank changes the channel
            gestures: press, release
            modes: momentary, alternating
            send channel: one for the box
            faders: 8 in rows of 8, send cc
            knobs: 8 in rows of 8, send cc
            setting MIDI send channel: 1..16, factory 1
            power: USB, 250 mA
            """, """
            on Lamp 1..8: cc 20..27 over 63 on channel 1
            off Lamp 1..8: cc 20..27 under 64 on channel 1
            """);

    private static final Model PADS_AND_KEYS =
            Shipped.model("pads-and-keys", "Pads-and-keys controller", KEYBOARD, """
            # The pads keep channel 10 whatever the keys are set to.
            port USB: USB device both ways
            port MIDI OUT: 5-pin out
            knobs: 8 in rows of 4, send cc
            pads: 8 in rows of 4, send note, cc, pc, on channel 10
            keys: 25 in rows of 25, send note, pitch bend
            setting MIDI send channel: 1..16, factory 1
            setting Pad notes from: 0..120, factory 36, not about messages: its pads are played
            power: USB, 180 mA
            """, "");

    private static final Model WORKSTATION =
            Shipped.model("keyboard-workstation", "Keyboard workstation, 61 keys", KEYBOARD, """
            # Must be put into its EXTERNAL mode before its surface sends anything.
            port MIDI IN: 5-pin in
            port MIDI OUT: 5-pin out
            port MIDI THRU: 5-pin thru
            port USB: USB device both ways
            port Output 1..4: audio out
            switches: 8 in rows of 8, send note, cc, 1 a press
            gestures: press, release
            modes: momentary, alternating
            knobs: 8 in rows of 8, send cc
            faders: 8 in rows of 8, send cc
            pads: 8 in rows of 8, send note, on channel 10
            keys: 61 in rows of 61, send note, channel pressure, pitch bend
            setting MIDI receive channel: 1..16, factory 1
            setting Surface mode: internal, external; factory internal
            setting Zone 1 channel: 1..16, factory 1, in each memory, not about messages: its keys are played
            setting Zone 2 channel: 1..16, factory 2, in each memory, not about messages: its keys are played
            setting Zone 3 channel: 1..16, factory 3, in each memory, not about messages: its keys are played
            setting Zone 4 channel: 1..16, factory 4, in each memory, not about messages: its keys are played
            sends only while Surface mode is external
            memories: 128
            keep: Press WRITE, choose the setup, press WRITE again; without it the setup is gone at power-off.
            power: mains
            """, """
            programs from 1
            select Setup 1..128: cc 0 = 0 + cc 32 = 0 + pc 1..128
            level Master: cc 7 = 0..127
            """);

    private static final Model SOUND_WORKSTATION =
            Shipped.model("workstation-sound-over-usb", "Workstation, sound over USB", KEYBOARD, """
            # One cable to the computer carries its keys, its controllers and the sound of both.
            port USB: USB device both ways
            port MIDI OUT: 5-pin out
            port Output 1..2: audio out
            port Return 1..2: computer sound in
            makes instrument at Output 1
            makes instrument at Output 2
            sound Return 1..2 to Output 1..2
            switches: 4 in rows of 4, send cc, 1 a press
            gestures: press, release
            modes: momentary, alternating
            send channel: one for the box
            knobs: 4 in rows of 4, send cc 16..19
            faders: 8 in rows of 8, send cc 70..77
            pads: 8 in rows of 4, send note 36..43, on channel 10
            keys: 49 in rows of 49, send note, pitch bend
            setting MIDI send channel: 1..16, factory 1
            setting MIDI receive channel: 1..16, factory 1
            setting Outside control: off, on; factory off
            sends only while Outside control is on
            memories: 64
            keep: Press WRITE twice; without it the setup is gone at power-off.
            power: mains
            """, """
            programs from 0
            select Sound 0..63: pc 0..63
            """);

    static final List<Model> ALL = List.of(FADER_BOX_8_4, PADS_AND_KEYS, WORKSTATION, SOUND_WORKSTATION);

    private Surfaces() {}
}
