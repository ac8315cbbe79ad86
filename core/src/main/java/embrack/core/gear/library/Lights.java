package embrack.core.gear.library;

import static embrack.core.gear.Kind.LIGHT_DESK;

import embrack.core.gear.Model;
import java.util.List;

/** Lighting desks with MIDI in and DMX out. */
final class Lights {

    private static final Model SCENE_DESK = Shipped.model("scene-desk", "Scene desk, 6 chases", LIGHT_DESK, """
            # A chase stands still until auto run is on: two notes. Every note toggles, and a note-off is one more note.
            port MIDI IN: 5-pin in
            port DMX OUT: DMX out
            setting MIDI receive channel: 1..16, factory 1
            habits: acts on note-off
            power: a supply of its own, 500 mA
            """, """
            run Chase 1..6: note 0..5 alternating
            toggle Scene 1..8: note 6..13
            recall Bank 1..30: note 14..43
            toggle Auto run: note 44
            toggle Sound follow: note 45
            toggle Blackout: note 46
            needs Auto run: Chase 1..6
            one at a time: Scene 1..8
            means blackout: Blackout
            """);

    private static final Model SMALL_SCENE_DESK =
            Shipped.model("small-scene-desk", "Small scene desk", LIGHT_DESK, """
            # Its speed fader cannot be reached by MIDI.
            port MIDI IN: 5-pin in
            port DMX OUT: DMX out
            setting MIDI receive channel: 1..16, factory 1
            power: a supply of its own, 300 mA
            """, """
            recall Scene 1..12: note 36..47
            run Chase 1..2: note 48..49
            on Blackout: cc 1 over 63
            off Blackout: cc 1 under 64
            means blackout: Blackout
            """);

    private static final Model PAGE_DESK =
            Shipped.model("twelve-fixture-desk", "Desk of twelve fixtures", LIGHT_DESK, """
            # Each fixture button owns 32 slots; a row of eight faders moves them, a page key the next eight.
            port MIDI IN: 5-pin in
            port DMX OUT: DMX out
            setting MIDI receive channel: 1..16, factory 1
            fixtures: 12 of 32 slots, 8 faders a row
            power: a supply of its own, 600 mA
            """, """
            recall Scene 1..8: note 24..31
            recall Bank 1..10: note 32..41
            run Chase 1..4: note 42..45
            stop Chase 1..4: note 46..49
            on Blackout: cc 1 over 63
            off Blackout: cc 1 under 64
            means scene: Scene 1..8
            means bank of scenes: Bank 1..10
            means blackout: Blackout
            """);

    private static final Model SLOT_BOX =
            Shipped.model("midi-to-dmx-box", "Box from MIDI to DMX", LIGHT_DESK, """
            # Each controller is a slot: what it is sent, the slot stands at, doubled.
            port MIDI IN: 5-pin in
            port MIDI THRU: 5-pin thru
            port DMX OUT: DMX out
            setting MIDI receive channel: 1..16, factory 1
            power: a supply of its own, 150 mA
            """, """
            level Slot 1..64: cc 1..64
            shows Slot 1..64: 0 to 254
            on Blackout: cc 120 over 63
            off Blackout: cc 120 under 64
            means slot of light: Slot 1..64
            means blackout: Blackout
            """);

    static final List<Model> ALL = List.of(SCENE_DESK, SMALL_SCENE_DESK, PAGE_DESK, SLOT_BOX);

    private Lights() {}
}
