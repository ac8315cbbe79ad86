package embrack.core.run;

import embrack.core.world.Event;

/** What comes upon a run: what people do, and what goes wrong. */
public sealed interface Act {

    /** A foot or hand at a box. */
    record ByHand(Event.ByHand what) implements Act {}

    /** Somebody at the player does what nobody does by foot. */
    record AtPlayer(Leap leap) implements Act {}

    /** The next part begins, whoever begins it. */
    record GoOn() implements Act {}

    /** Back to how all was at a moment of the run, in microseconds since it began. */
    record Back(long micros) implements Act {}

    /** To a bar of a part, as all is there when everything goes as planned. {@code part} from 0, {@code bar} from 1. */
    record From(int part, int bar) implements Act {}

    /** Who presses what the plan says from now on: the run itself, or people. */
    record Feet(boolean byPlan) implements Act {}

    /** Something goes wrong. */
    record Struck(Fault fault) implements Act {}

    /** Somebody brings something back: a link, a box, the other one of a pair. */
    record Repaired(Event event) implements Act {
        public Repaired {
            boolean isRepair = event instanceof Event.LinkBack
                    || event instanceof Event.On
                    || event instanceof Event.GoOver
                    || event instanceof Event.GoBack;
            if (!isRepair) {
                throw new IllegalArgumentException(event + " brings nothing back");
            }
        }
    }

    /** Somebody marks the moment. {@code words} may be empty. */
    record Note(String words) implements Act {}
}
