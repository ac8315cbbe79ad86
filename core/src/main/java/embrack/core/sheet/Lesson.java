package embrack.core.sheet;

import embrack.core.midi.Message;
import embrack.core.show.SongId;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;

/** How one message comes alone to a box that learns, so that it learns that and nothing else. */
public sealed interface Lesson {

    /** A gesture on a switch sends it, and nothing else that the box could learn. */
    record Pressed(SwitchAt at, Moment moment) implements Lesson {}

    /** A treadle, fader or knob sends it, and nothing else, wherever it stands. */
    record Moved(ControlAt at) implements Lesson {}

    /** A player sends it with a cue, and nothing else. */
    record Played(SongId song, int cue, boolean every) implements Lesson {}

    /** Whatever sends it sends more: the switch is programmed with this message alone first. */
    record Alone(SwitchAt at, Moment moment, Message message) implements Lesson {}

    /** Whatever sends it sends more, and cannot be programmed otherwise, or nothing in the plan sends it. */
    record NotAlone() implements Lesson {}
}
