package embrack.core;

import embrack.core.check.rule.Severity;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Small rigs with a fault that only some order of presses, hands or movements shows, and the same rigs mended. All
 * invented.
 */
public final class StateFaults {

    /**
     * Three lines for each: its name, code, severity, where and what is told; chart, steps, modes and what else is so
     * in {@link StoryRig}; the same four once it is mended.
     */
    private static final String ALL = """
            two-share-a-toggle | switches.turns-round | LOOK | Board, bank A, switches 1 and 2 | Press Board, \
                bank A, switch 1 twice: Auto of Box is off.
              | LIGHTS | 1: on:auto; 2: on:auto |  |
              | LIGHTS | 1: toggle:auto; 2: toggle:auto |  |
            on-and-off-by-a-toggle | switches.turns-round | LOOK | Board, bank A, switches 1 and 2 | Press Board, \
                bank A, switch 1 twice: Lamp of Box is off.
              | LAMP | 1: on:lamp; 2: off:lamp |  |
              | LAMP | 1: toggle:lamp |  |
            toggle-on-two-boards | switches.turns-round | LOOK | Board, bank A, switch 1; Spare, bank A, switch 1 \
                | Press Board, bank A, switch 1 twice: Lamp of Box is off.
              | LAMP | 1: on:lamp; s1: on:lamp |  |
              | LAMP | 1: toggle:lamp; s1: toggle:lamp |  |
            latches-on-two-boards | switches.turns-round | LOOK | Board, bank A, switch 1; Spare, bank A, switch \
                1 | Press Spare, bank A, switch 1, then press Board, bank A, switch 1: Lamp of Box is off.
              | LAMP | 1: on:lamp; 1 again: off:lamp; s1: on:lamp; s1 again: off:lamp | 1 alternating, s1 \
                alternating |
              | LAMP | 1: toggle:lamp; s1: toggle:lamp |  |
            stop-on-a-latch | switches.mode-undoes | STOPS | Board, bank A, switch 1 | Every \
                second press of the switch sends the other value, CC 80 value 0 on channel 2.
              | LOOPS | 1: stop-all:tracks | 1 alternating |
              | LOOPS | 1: stop-all:tracks |  |
            stop-on-a-latch-after-a-start | switches.mode-undoes | STOPS | Board, bank A, switch 32 | Every second \
                press of the switch sends the other value, CC 80 value 0 on channel 2.
              | LOOPS | 32: stop-all:tracks; 1: play:track-1 | 32 alternating | kill 32
              | LOOPS | 32: stop-all:tracks; 1: play:track-1 |  | kill 32
            kill-on-a-latch | switches.mode-undoes | STOPS | Board, bank A, switch 32 | Every \
                second press of the switch sends the other value, CC 80 value 0 on channel 2.
              | LOOPS | 32: stop-all:tracks; 1: play:track-2; 1 hold: play:track-1 | 32 alternating | kill 32
              | LOOPS | 32: stop-all:tracks; 1: play:track-2; 1 hold: play:track-1 |  | kill 32
            kill-by-a-toggle | switches.turns-round | LOOK | Board, bank A, switches 1 and 32 | Reel of Box was \
                left playing, then press Board, bank A, switch 1: Reel of Box is stopped.
              | REEL | 32: stop:reel; 1: play:reel |  | kill 32
              | LOOPS | 32: stop-all:tracks; 1: play:track-1 |  | kill 32
            plays-while-held-only | switches.mode-undoes | STOPS | Board, bank A, switch 1 | The switch is \
                momentary: on release it sends the other value, CC 5 value 0 on channel 2.
              | HALF | 1: play:track-1; 32: stop:track-1 | 1 momentary | kill 32
              | HALF | 1: play:track-1; 32: stop:track-1 |  | kill 32
            scenes-on-latches | switches.mode-undoes | STOPS | Board, bank A, switch 1 | Every \
                second press of the switch sends the other value, CC 1 value 0 on channel 2.
              | SCENES | 1: recall:scene-1; 2: recall:scene-2 | 1 alternating |
              | SCENES | 1: recall:scene-1; 2: recall:scene-2 |  |
            bank-of-another | switches.not-as-meant | STOPS | Board, bank A, switch 1 | Press Board, bank A, \
                switch 2, then press Board, bank A, switch 1: Patch 2 of Box is not chosen; chosen was meant.
              | BANKS | 1: select:patch-2; 2: select:tone-1 |  |
              | PATCH | 1: select:patch-2; 2: select:tone-1 |  |
            bank-of-a-hold | switches.not-as-meant | STOPS | Board, bank A, switch 1 | Hold Board, bank A, switch \
                2, then press Board, bank A, switch 1: Patch 2 of Box is not chosen; chosen was meant.
              | BANKS | 1: select:patch-2; 2 hold: select:tone-1 |  |
              | PATCH | 1: select:patch-2; 2 hold: select:tone-1 |  |
            bank-of-the-same-switch | switches.not-as-meant | STOPS | Board, bank A, switch 1 | Press Board, bank \
                A, switch 1, then let Board, bank A, switch 1 go, then press Board, bank A, switch 1: Tone 2 of Box \
                is chosen; not chosen was meant.
              | BANKS | 1: select:patch-2; 1 release: select:tone-3 |  |
              | PATCH | 1: select:patch-2; 1 release: select:tone-3 |  |
            undone-in-one-press | switches.undoes-itself | LOOK | Board, bank A, switch 1 | "Box: switch off Haze \
                1" undoes "Box: switch on Haze 1" in the same press.
              | HAZE | 1: on:haze-1 + off:haze-1 |  |
              | HAZE | 1: on:haze-1 |  |
            two-of-one-family | switches.undoes-itself | LOOK | Board, bank A, switch 1 | "Box: select Patch 3" \
                undoes "Box: select Patch 1" in the same press.
              | PATCH | 1: select:patch-1 + select:patch-3 |  |
              | PATCH | 1: select:patch-3 |  |
            turned-round-twice | switches.undoes-itself | LOOK | Board, bank A, switch 1 | "Box: toggle Lamp" is \
                done twice in one press.
              | LAMP | 1: toggle:lamp + toggle:lamp |  |
              | LAMP | 1: toggle:lamp |  |
            stopped-in-one-press | switches.undoes-itself | LOOK | Board, bank A, switch 1 | "Box: stop all \
                Tracks" undoes "Box: play Track 1" in the same press.
              | LOOPS | 1: play:track-1 + stop-all:tracks; 32: stop-all:tracks |  | kill 32
              | LOOPS | 1: stop-all:tracks + play:track-1; 32: stop-all:tracks |  | kill 32
            left-playing-overnight | switches.turns-round | LOOK | Board, bank A, switch 1 | Press Board, bank A, \
                switch 1: Reel of Box is playing.
              | REEL | 1: stop:reel |  |
              | REEL | 1: toggle-play:reel |  |
            worked-by-hand-too | switches.turns-round | LOOK | Board, bank A, switch 1 | Set Lamp of Box by hand \
                to on, then press Board, bank A, switch 1: Lamp of Box is off.
              | LAMP | 1: on:lamp; 1 again: off:lamp | 1 alternating | by hand Lamp
              | LAMP | 1: on:lamp; 1 again: off:lamp | 1 alternating |
            set-wrong-at-doors | switches.turns-round | STOPS | Board, bank A, switch 1 | Press Board, bank A, \
                switch 1: Lamp of Box is off.
              | LAMP | 1: on:lamp; 1 again: off:lamp | 1 alternating | at doors Lamp on
              | LAMP | 1: on:lamp; 1 again: off:lamp | 1 alternating | at doors Lamp off
            nobody-runs-it | switches.stands-still | STOPS | Board, bank A, switch 1 | Press Board, bank A, \
                switch 1: Auto is off, Chase 1 stands still.
              | RUNS | 1: on:chase-1 |  |
              | RUNS | 1: on:chase-1 |  | at doors Auto on
            another-ends-what-it-needs | switches.stands-still | STOPS | Board, bank A, switch 1 | Press Board, \
                bank A, switch 2, then press Board, bank A, switch 1: Auto is off, Chase 1 stands still.
              | RUNS | 1: on:chase-1; 2: off:auto |  | at doors Auto on
              | RUNS | 1: on:chase-1 + on:auto; 2: off:auto |  | at doors Auto on
            runs-every-other-time | switches.stands-still | STOPS | Board, bank A, switch 1 | Press Board, bank \
                A, switch 1 twice: Auto is off, Chase 1 stands still.
              | LIGHTS | 1: on:chase-1 + toggle:auto |  |
              | LIGHTS | 1: on:haze + toggle:auto |  |
            learned-alike | switches.also-moves | LOOK | Board, bank A, switches 1 and 2 | Box moves too: Lamp 1 \
                and Lamp 2.
              | TAUGHT | 1: on:lamp-1; 2: on:lamp-2 |  | learn on:lamp-1 cc 21; learn on:lamp-2 cc 21
              | TAUGHT | 1: on:lamp-1; 2: on:lamp-2 |  | learn on:lamp-1 cc 21; learn on:lamp-2 cc 22
            learned-a-fine-half | switches.reserved-number | LOOK | Box | Lamp 1 of Box has learned CC 39.
              | TAUGHT | 1: on:lamp-1 |  | learn on:lamp-1 cc 39
              | TAUGHT | 1: on:lamp-1 |  | learn on:lamp-1 cc 85
            learned-a-fine-half-of-a-level | switches.reserved-number | LOOK | Box | Lamp 2 of Box has learned CC \
                52.
              | TAUGHT | 1: on:lamp-2 |  | learn on:lamp-2 cc 52
              | TAUGHT | 1: on:lamp-2 |  | learn on:lamp-2 cc 102
            written-into-one-memory | switches.not-as-meant | STOPS | Board, bank A, switch 1 | Press Board, bank \
                A, switch 2, then press Board, bank A, switch 1: Lamp 1 of Box is off; on was meant.
              | MEMORY | 1: on:lamp-1; 2: select:patch-2 |  | learn on:lamp-1 cc 21; memories 1
              | MEMORY | 1: on:lamp-1; 2: select:patch-2 |  | learn on:lamp-1 cc 21; memories 4
            one-fader-two-numbers | controls.stopped | STOPS | Board, fader 1 | fader 1 sends one message as it \
                moves, and other levels have it already.
              | TAUGHT | 1: on:lamp-1 |  | move 1 main; move 1 aux
              | TAUGHT | 1: on:lamp-1 |  | move 1 main; move 2 aux
            fan-lets-go | switches.mode-undoes | STOPS | Board, bank A, switch 1 | The switch is momentary: on \
                release it sends the other value, CC 5 value 0 on channel 2.
              | FAN | 1: on:fan | 1 momentary |
              | FAN | 1: on:fan |  |
            fan-on-a-latch | switches.mode-undoes | STOPS | Board, bank A, switch 1 | Every second \
                press of the switch sends the other value, CC 5 value 0 on channel 2.
              | FAN | 1: on:fan; 2: off:fan | 1 alternating |
              | FAN | 1: on:fan; 2: off:fan |  |
            learned-what-moves-a-level | switches.also-moves | LOOK | Board, bank A, switch 1 | Box moves too: Aux.
              | TAUGHT | 1: on:lamp-1 |  | learn on:lamp-1 cc 20
              | TAUGHT | 1: on:lamp-1 |  | learn on:lamp-1 cc 21
            three-learned-alike | switches.also-moves | LOOK | Board, bank A, switches 1, 2 and 3 | Box moves too: \
                Lamp 1, Lamp 2 and Lamp 3.
              | TAUGHT | 1: on:lamp-1; 2: on:lamp-2; 3: on:lamp-3 |  | learn on:lamp-1 cc 21; learn on:lamp-2 cc \
                21; learn on:lamp-3 cc 21
              | TAUGHT | 1: on:lamp-1; 2: on:lamp-2; 3: on:lamp-3 |  | learn on:lamp-1 cc 21; learn on:lamp-2 cc \
                22; learn on:lamp-3 cc 23
            written-into-two-memories | switches.not-as-meant | STOPS | Board, bank A, switch 1 | Press Board, bank \
                A, switch 2, then press Board, bank A, switch 1: Lamp 1 of Box is off; on was meant.
              | MEMORY | 1: on:lamp-1; 2: select:patch-3; 3: select:patch-1 |  | learn on:lamp-1 cc 21; memories 2
              | MEMORY | 1: on:lamp-1; 2: select:patch-3; 3: select:patch-1 |  | learn on:lamp-1 cc 21; memories 3
            somebody-else-runs-it | switches.stands-still | STOPS | Board, bank A, switch 1 | Press Board, bank A, \
                switch 1: Auto is off, Chase 1 stands still.
              | LIGHTS | 1: on:chase-1; 2: toggle:auto |  |
              | LIGHTS | 1: on:haze; 2: toggle:auto |  |
            a-double-press-holds-it-back | switches.held-back | LOOK | Board, bank A, switch 1 | The board holds the \
                press back for 250 ms to see whether a second one comes.
              | HAZE | 1: on:haze-1; 1 double_press: off:haze-1 |  |
              | HAZE | 1: on:haze-1; 1 hold: off:haze-1 |  |
            nothing-makes-safe | place.no-safe-switch | LOOK | Story | No switch makes everything safe.
              | SAFE | 1: play:track-1; 32: stop-all:tracks |  | kill 32
              | SAFE | 1: play:track-1; 32: stop-all:tracks; 25: off:lamp + stop-all:tracks |  | kill 32; safe 25
            two-faders-one-level | controls.shares-a-level | LOOK | Board, fader 1 | Board, fader 1 and Board, \
                fader 2 both move Box: level of Main, and Board, fader 1 at once.
              | TAUGHT | 1: on:lamp-1 |  | move 1 main jump; move 2 main
              | TAUGHT | 1: on:lamp-1 |  | move 1 main; move 2 main
            """;

    private StateFaults() {}

    /** One of each. */
    public static List<Fault> all() {
        List<String> lines = ALL.lines().toList();
        return IntStream.range(0, lines.size() / 3)
                .mapToObj(i -> fault(cells(lines.get(3 * i)), cells(lines.get(3 * i + 1)), cells(lines.get(3 * i + 2))))
                .toList();
    }

    private static List<String> cells(String line) {
        return Stream.of(line.replaceAll(" +", " ").strip().split("\\|", -1))
                .map(String::strip)
                .toList();
    }

    private static Fault fault(List<String> told, List<String> faulty, List<String> mended) {
        return new Fault(
                told.get(0),
                told.get(1),
                Severity.valueOf(told.get(2)),
                told.get(3),
                told.get(4),
                StoryRig.of(StoryRig.chart(faulty.get(1)), faulty.get(2), faulty.get(3), faulty.get(4)),
                StoryRig.of(StoryRig.chart(mended.get(1)), mended.get(2), mended.get(3), mended.get(4)));
    }
}
