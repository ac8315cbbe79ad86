package embrack.core.run;

import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Event;
import embrack.core.world.Place;

/**
 * Something that comes later in a run.
 *
 * @param at microseconds of the run
 * @param number of two at once the lower comes first
 */
record Due(long at, long number, Deed deed) implements Comparable<Due> {

    sealed interface Deed {}

    /** What comes about in the rigs, whatever the night is at. */
    sealed interface OfRigs extends Deed {}

    /** The foot that pressed as planned lets go. */
    record LetGo(SwitchAt at) implements OfRigs {}

    /** A player sends the rest of a cue. */
    record Send(DeviceId from, Message message) implements OfRigs {}

    /** A step is meant to have come about. */
    record Intend(Step step) implements OfRigs {}

    /** A player does a step at itself. */
    record ByItself(Step step) implements OfRigs {}

    /** Something is back by itself. */
    record Return(Event event) implements Deed {}

    /** Once more late, until then. */
    record Late(Link link, long until) implements OfRigs {}

    /** What stands wrong by now is told. */
    record Look(Place place) implements OfRigs {}

    /** A press that has not come is given up. */
    record GiveUp(SwitchAt at, long due) implements Deed {}

    /** A song that fades has faded. */
    record Faded(int part) implements Deed {}

    /** It is told that nothing plays. */
    record Listen(int part) implements Deed {}

    @Override
    public int compareTo(Due other) {
        int byTime = Long.compare(at, other.at);
        return byTime != 0 ? byTime : Long.compare(number, other.number);
    }
}
