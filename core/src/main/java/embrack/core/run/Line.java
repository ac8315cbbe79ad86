package embrack.core.run;

import embrack.core.show.SongId;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Event;
import embrack.core.world.Happened;
import embrack.core.world.Place;

/**
 * One thing that happened in a run.
 *
 * @param number counted from 1 as they happen
 * @param at microseconds since the run began
 */
public record Line(long number, long at, What what) {

    /** What happened. */
    public sealed interface What {}

    /** A part of the order began. {@code part} from 0. */
    public record Began(int part) implements What {}

    /** A part of the order ended. */
    public record Ended(int part) implements What {}

    /** A section of a song began, for the {@code pass}th time, from 1. */
    public record InSection(int part, int section, int pass) implements What {}

    /** The music went elsewhere, or stopped. */
    public record Leapt(Leap leap) implements What {}

    /** A cue came. {@code sent} whether its player sent it: it may be off, or stopped. */
    public record Cued(SongId song, int cue, boolean every, boolean sent) implements What {}

    /** A switch was pressed, held or let go. {@code byPlan} whether the run did it itself, as the plan says. */
    public record Trod(SwitchAt at, Moment moment, boolean byPlan) implements What {}

    /** Another thing that was done by hand. */
    public record Did(Event.ByHand what) implements What {}

    /** Something happened to a message. */
    public record Travelled(Happened what) implements What {}

    /** Something went wrong. */
    public record Struck(Fault fault) implements What {}

    /** Something was brought back. */
    public record Repaired(Event event) implements What {}

    /** Something stands otherwise than meant. */
    public record Amiss(Wrong wrong) implements What {}

    /** It stands as meant again, after so many microseconds. */
    public record Righted(Place place, long afterMicros) implements What {}

    /** Nothing plays, though a song goes on or was called. */
    public record Silent(int part) implements What {}

    /** It plays again, after so many microseconds. */
    public record Sounds(int part, long afterMicros) implements What {}

    /** A switch was not pressed when it was to be. */
    public record Missed(SwitchAt at) implements What {}

    /** Somebody marked the moment. */
    public record Marked(String words) implements What {}

    /** It went back to an earlier moment. */
    public record WentBack(long to) implements What {}
}
