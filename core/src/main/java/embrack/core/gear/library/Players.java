package embrack.core.gear.library;

import static embrack.core.gear.Kind.INSTRUMENT_HOST;
import static embrack.core.gear.Kind.LOOPER;
import static embrack.core.gear.Kind.TRACK_PLAYER;

import embrack.core.gear.Model;
import java.util.List;

/** What plays: tracks, live instruments, loops. Apps have virtual ports and live in a computer or tablet. */
final class Players {

    private static final Model TABLET_PLAYER =
            Shipped.model("tablet-track-player", "Tablet track player", TRACK_PLAYER, """
            # It learns by pressing, and takes any message but one of value 0.
            port In: virtual in
            port Out: virtual out
            setting Output port: off, on; factory off
            setting Buffer: 64 samples, 128 samples, 256 samples, 512 samples; factory 256 samples
            setting Sample rate: 44.1 kHz, 48 kHz; factory 48 kHz
            sends only while Output port is on
            timed messages: {time} {type} ch {channel} {number} {value}
            """, """
            programs from 1
            load Song 1..64: pc 1..64 on channel 16
            play Tracks: learns note, cc, pc, not value 0
            stop Tracks: learns note, cc, pc, not value 0
            next Song: learns note, cc, pc, not value 0
            previous Song: learns note, cc, pc, not value 0
            page up Words: learns note, cc, pc, not value 0
            page down Words: learns note, cc, pc, not value 0
            safe: stop Tracks
            means song: Song 1..64
            """);

    private static final Model LINEAR_PLAYER =
            Shipped.model("linear-timeline-player", "Linear-timeline player", TRACK_PLAYER, """
            port In: virtual in
            port Out: virtual out
            pass In to Out, off
            setting Input for notes: off, on; factory on
            setting Input for remote: off, on; factory off
            setting Input for sync: off, on; factory off
            setting Clock out: off, on; factory off
            port Output 1..8: computer sound out
            setting Output port: off, on; factory on
            setting Buffer: 32 samples, 64 samples, 128 samples, 256 samples, 512 samples; factory 128 samples
            setting Sample rate: 44.1 kHz, 48 kHz, 96 kHz; factory 48 kHz
            hears notes only while Input for notes is on
            hears remote only while Input for remote is on
            hears sync only while Input for sync is on
            sends clock only while Clock out is on
            sends only while Output port is on
            habits: looks for ports at start
            """, """
            play Tracks: mmc play
            stop Tracks: mmc stop
            pause Tracks: mmc pause
            play Tracks: learns note, cc
            stop Tracks: learns note, cc
            jump Song 1..40: learns note, cc, pc
            jump Section 1..16: learns note, cc
            repeat Section: learns note, cc
            on Loop: learns note, cc
            off Loop: learns note, cc
            fade out Tracks: learns note, cc
            safe: stop Tracks
            means vamp: Loop
            means section: Section 1..16
            means song: Song 1..40
            """);

    private static final Model GRID_PLAYER =
            Shipped.model("launch-grid-player", "Launch-grid player", TRACK_PLAYER, """
            port In: virtual in
            port Out: virtual out
            setting Input for notes: off, on; factory on
            setting Input for remote: off, on; factory off
            setting Input for sync: off, on; factory off
            setting Clock out: off, on; factory off
            setting Buffer: 32 samples, 64 samples, 128 samples, 256 samples, 512 samples; factory 128 samples
            setting Sample rate: 44.1 kHz, 48 kHz, 96 kHz; factory 48 kHz
            port Out 1..8: computer sound out
            port Pad bus: bus both ways
            makes pads at Pad bus
            sound Pad bus to Out 5..6: level by Pads
            setting Time-stretch pads: off, on; factory on, not about messages: it stretches the sound of pads
            hears notes only while Input for notes is on
            hears remote only while Input for remote is on
            hears sync only while Input for sync is on
            sends clock only while Clock out is on
            habits: looks for ports at start
            """, """
            play Row 1..16: learns note, cc
            next Row: learns note, cc
            previous Row: learns note, cc
            stop all Rows: learns note, cc
            level Pads: learns cc
            safe: stop all Rows
            """);

    private static final Model HOST_STRAIGHT =
            Shipped.model("instrument-host-straight", "Instrument host, straight links", INSTRUMENT_HOST, """
            # Each patch links the controls to its own knobs: 8 knobs by 10 patches are 80 links.
            port In: virtual in
            port Left: computer sound out
            port Right: computer sound out
            setting MIDI receive channel: 1..16, factory 1
            setting Buffer: 32 samples, 64 samples, 128 samples, 256 samples, 512 samples; factory 128 samples
            setting Sample rate: 44.1 kHz, 48 kHz, 96 kHz; factory 48 kHz
            habits: listens to all channels; looks for ports at start
            """, """
            programs from 1
            select Patch 1..10: pc 1..10
            next Patch: cc 103 over 63
            previous Patch: cc 102 over 63
            level Patch 1 knob 1..8: learns cc
            level Patch 2 knob 1..8: learns cc
            level Patch 3 knob 1..8: learns cc
            level Patch 4 knob 1..8: learns cc
            level Patch 5 knob 1..8: learns cc
            level Patch 6 knob 1..8: learns cc
            level Patch 7 knob 1..8: learns cc
            level Patch 8 knob 1..8: learns cc
            level Patch 9 knob 1..8: learns cc
            level Patch 10 knob 1..8: learns cc
            only in Patch 1: Patch 1 knob 1..8
            only in Patch 2: Patch 2 knob 1..8
            only in Patch 3: Patch 3 knob 1..8
            only in Patch 4: Patch 4 knob 1..8
            only in Patch 5: Patch 5 knob 1..8
            only in Patch 6: Patch 6 knob 1..8
            only in Patch 7: Patch 7 knob 1..8
            only in Patch 8: Patch 8 knob 1..8
            only in Patch 9: Patch 9 knob 1..8
            only in Patch 10: Patch 10 knob 1..8
            at start: select Patch 1
            on Effect 1..4: cc 110..113 over 63
            off Effect 1..4: cc 110..113 under 64
            """);

    private static final Model HOST_LAYER =
            Shipped.model("instrument-host-layer", "Instrument host with a layer", INSTRUMENT_HOST, """
            # The layer of on-screen controls is linked once; every patch uses it.
            port In: virtual in
            port Left: computer sound out
            port Right: computer sound out
            setting MIDI receive channel: 1..16, factory 1
            setting Buffer: 32 samples, 64 samples, 128 samples, 256 samples, 512 samples; factory 128 samples
            setting Sample rate: 44.1 kHz, 48 kHz, 96 kHz; factory 48 kHz
            habits: looks for ports at start
            """, """
            programs from 1
            select Patch 1..128: pc 1..128
            next Patch: cc 103 over 63
            previous Patch: cc 102 over 63
            level Control 1..8: cc 20..27 = 0..127
            on Effect 1..4: cc 110..113 over 63
            off Effect 1..4: cc 110..113 under 64
            """);

    private static final Model LOOP_TABLE =
            Shipped.model("loop-table-five-tracks", "Loop table, five tracks", LOOPER, """
            port MIDI IN: 5-pin in
            port MIDI OUT: 5-pin out
            port MIDI THRU: 5-pin thru
            port Input: balanced jack in, at -10 dBV
            port Output: audio out
            port Track 1..5: bus both ways
            makes loops at Track 1
            makes loops at Track 2
            makes loops at Track 3
            makes loops at Track 4
            makes loops at Track 5
            sound Input to Output
            sound Track 1..5 to Output: level by Track 1..5
            setting MIDI receive channel: 1..16, factory 1
            memories: 99
            keep: Press MEMORY and WRITE together; each memory is written for itself.
            habits: 16 assignable inputs
            power: a supply of its own, 900 mA
            """, """
            # Memories and the two that are always there; the rest is assigned in each memory.
            programs from 1
            select Memory 1..99: pc 1..99
            loads memory: Memory 1..99; deaf for 100 ms
            at start: select Memory 1
            play Rhythm: cc 90 over 63
            stop Rhythm: cc 90 under 64
            record Track 1..5: learns cc, not value 0
            stop Track 1..5: learns cc, not value 0
            clear Track 1..5: learns cc, not value 0
            undo Track 1..5: learns cc, not value 0
            level Track 1..5: learns cc
            stop all Tracks: learns cc, not value 0
            shows Track 1..5: 0 to 200
            safe: stop all Tracks
            """);

    private static final Model TWO_DECKS =
            Shipped.model("two-deck-player", "Player with two decks", TRACK_PLAYER, """
            # Two songs side by side: the next one is loaded while this one plays; the fader goes from one to the other.
            port In: virtual in
            port Out: virtual out
            setting Input for remote: off, on; factory off
            setting Buffer: 64 samples, 128 samples, 256 samples; factory 128 samples
            setting Sample rate: 44.1 kHz, 48 kHz; factory 48 kHz
            hears remote only while Input for remote is on
            """, """
            play Deck {A, B}: learns note, cc
            stop Deck {A, B}: learns note, cc
            next Song: learns note, cc
            previous Song: learns note, cc
            level Deck {A, B}: learns cc
            level Crossfade: learns cc
            shows Crossfade: -100 to 100
            stop all Decks: learns note, cc
            safe: stop all Decks
            """);

    private static final Model LOOP_STATION =
            Shipped.model("loop-station-three-tracks", "Loop station, three tracks, in use", LOOPER, """
            # Its memories come full: each holds a rhythm and tracks of its own until it is written over.
            port MIDI IN: TRS type A in
            port MIDI OUT: TRS type A out
            port Output: audio out
            setting MIDI receive channel: 1..16, factory 1
            setting Foot pedal: off, stops all, records; factory off, not about messages: a pedal in its socket
            memories: 50
            keep: Hold SAVE until the memory number blinks; a memory that was there is gone then.
            habits: 6 assignable inputs
            power: a supply of its own, 500 mA
            """, """
            programs from 1
            select Memory 1..50: pc 1..50
            loads memory: Memory 1..50; deaf for 200 ms
            at start: select Memory 1
            record Track 1..3: learns cc, not value 0
            stop Track 1..3: learns cc, not value 0
            clear Track 1..3: learns cc, not value 0
            level Track 1..3: learns cc
            stop all Tracks: learns cc, not value 0
            shows Track 1..3: 0 to 100
            safe: stop all Tracks
            """);

    static final List<Model> ALL = List.of(
            TABLET_PLAYER, LINEAR_PLAYER, GRID_PLAYER, HOST_STRAIGHT, HOST_LAYER, LOOP_TABLE, TWO_DECKS, LOOP_STATION);

    private Players() {}
}
