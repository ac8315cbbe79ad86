package embrack.core.gear.library;

import static embrack.core.gear.Kind.FLOOR_BOARD;

import embrack.core.gear.Model;
import java.util.List;

/** Boards that feet press, and one for the finger. */
final class FloorBoards {

    static final Model FOUR_SWITCH_FLOOR_BOARD =
            Shipped.model("four-switch-floor-board", "Four-switch floor board", FLOOR_BOARD, """
            port MIDI OUT: 5-pin out
            port DC 9 V: power in
            switches: 4 in rows of 4, send cc, pc, 8 a press
            banks: A, B, C, D
            send channel: one for the box
            display: two digits
            setting MIDI send channel: 1..16, factory 2
            keep: Hold WRITE until the display blinks; nothing is kept before that.
            power: a supply of its own, 60 mA
            """, "");

    static final Model FOUR_SWITCH_DESK_BOARD =
            Shipped.model("four-switch-desk-board", "Four-switch desk board", FLOOR_BOARD, """
            port MIDI OUT: 5-pin out
            port USB: USB device both ways
            switches: 4 in rows of 2, send note, cc, pc, 2 a press
            banks: A, B, C, D
            gestures: press, release
            modes: momentary, one-shot
            power: USB, 80 mA
            """, "");

    static final Model FOUR_SWITCH_PROGRAM_BOARD =
            Shipped.model("four-switch-program-board", "Four-switch program board", FLOOR_BOARD, """
            port MIDI OUT: 5-pin out
            switches: 4 in rows of 4, send pc, 1 a press
            banks: A, B, C, D
            send channel: one for the box
            display: two digits
            setting MIDI send channel: 1..16, factory 2
            power: batteries or a supply of its own, 12 mA
            """, "");

    private static final Model TWO_SWITCH_BOARD =
            Shipped.model("two-switch-foot-box", "Two-switch foot box", FLOOR_BOARD, """
            port TRS OUT: TRS type A out
            switches: 2 in rows of 2, send note, cc, pc, 1 a press
            gestures: press, release
            modes: momentary, alternating
            power: batteries, 8 mA
            """, "");

    private static final Model UP_DOWN_BOARD =
            Shipped.model("channel-up-down-board", "Channel up/down board", FLOOR_BOARD, """
            # Two switches: one a step up, one a step down; each press goes to the next channel.
            port MIDI OUT: 5-pin out
            switches: 2 in rows of 2, send pc, 1 a press
            banks: 1..16; a bank changes the channel
            factory run: pc 1, 0
            send channel: one for the box
            setting MIDI send channel: 1..16, factory 1
            power: batteries, 10 mA
            """, "");

    private static final Model PROGRAM_STEPPER =
            Shipped.model("program-up-down-board", "Program up/down board", FLOOR_BOARD, """
            # Two switches: one a program back, one a program on, from where the board itself stands.
            port MIDI OUT: 5-pin out
            switches: 2 in rows of 2, send pc, 1 a press
            counter: 1 down, 2 up, pc 0..127
            send channel: one for the box
            setting MIDI send channel: 1..16, factory 1
            power: batteries, 10 mA
            """, "");

    private static final Model EIGHT_SWITCH_BOARD = Shipped.model(
            "eight-switch-long-press-board", "Eight-switch board with long presses", FLOOR_BOARD, """
            port MIDI OUT: 5-pin out
            port USB: USB device both ways
            switches: 8 in rows of 4, send note, cc, pc, 16 a press
            banks: 1..30
            gestures: press, release, hold, double press
            modes: momentary, alternating, one-shot
            preset Notes: note 60..67
            preset Controllers: cc 20..27
            preset Programs: pc 0..7
            waits: up to 2000 ms
            names: 8 characters
            keep: Leave the edit page with SAVE; an arrow at the top of the display \
            shows that something is not kept yet.
            power: USB or a supply of its own, 280 mA
            """, "");

    private static final Model TEN_SWITCH_BOARD =
            Shipped.model("ten-switch-treadle-board", "Ten-switch board with expression pedal", FLOOR_BOARD, """
            port MIDI OUT: 5-pin out
            port MIDI IN: 5-pin in
            port USB: USB device both ways
            switches: 10 in rows of 5, send note, cc, pc, 8 a press
            banks: A, B, C, D, E, F, G, H, I, J
            gestures: press, release, hold
            modes: momentary, alternating, one-shot
            send channel: each message
            waits: up to 5000 ms
            treadles: 1 in rows of 1, send cc, with range and curve, 2 messages each
            keep: Hold EXIT for two seconds; the display counts down and says KEPT.
            power: USB or a supply of its own, 350 mA
            """, "");

    private static final Model FACTORY_RUN_BOARD =
            Shipped.model("ten-switch-factory-board", "Ten-switch board, factory numbers", FLOOR_BOARD, """
            # CC 80 to 88 on the first nine switches; the tenth does not go on with 89.
            port MIDI OUT: 5-pin out
            switches: 10 in rows of 5, send cc, 1 a press
            modes: one-shot
            factory run: cc 80..88, 102
            treadles: 1, send cc 27
            send channel: one for the box
            display: two digits
            setting MIDI send channel: 1..16, factory 1
            power: a supply of its own, 90 mA
            """, "");

    static final List<Model> ALL = List.of(
            FOUR_SWITCH_FLOOR_BOARD,
            FOUR_SWITCH_DESK_BOARD,
            FOUR_SWITCH_PROGRAM_BOARD,
            TWO_SWITCH_BOARD,
            UP_DOWN_BOARD,
            PROGRAM_STEPPER,
            EIGHT_SWITCH_BOARD,
            TEN_SWITCH_BOARD,
            FACTORY_RUN_BOARD);

    private FloorBoards() {}
}
