package embrack.core.sim;

import embrack.core.plan.Plan;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import embrack.core.world.Event;
import embrack.core.world.Happened;
import embrack.core.world.Outcome;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * A world that is tried with the feet, one tread after the other.
 *
 * @param start before the first tread
 * @param before before the last one
 * @param state now
 * @param treads how many there were
 * @param last the last few, the newest last; times count from each one's own moment
 */
public record Rehearsal(World start, World before, World state, int treads, List<Played> last) {

    /** As many of the last treads are kept with all that they sent. */
    private static final int KEPT = 4;

    /** A tread with what came of it. */
    public record Played(int number, Tread tread, Outcome outcome) {}

    public Rehearsal {
        last = List.copyOf(last);
    }

    /** Before the first tread. */
    public static Rehearsal begun(World start) {
        return new Rehearsal(start, start, start, 0, List.of());
    }

    /** Presses in their order, each with its release. */
    public static Rehearsal of(Plan plan, World start, List<SwitchAt> presses) {
        Engine engine = new Engine(plan);
        Rehearsal rehearsal = begun(start);
        for (SwitchAt at : presses) {
            rehearsal = rehearsal.then(engine, new Tread.OnSwitch(Tread.Foot.TAP, at));
        }
        return rehearsal;
    }

    /** After one more tread, when all is quiet again. */
    public Rehearsal then(Engine engine, Tread tread) {
        Outcome done =
                switch (tread) {
                    case Tread.OnSwitch foot -> done(engine, foot);
                    case Tread.OnControl move -> engine.settled(state, new Event.Move(move.at(), move.position()));
                    case Tread.ByCue cue -> engine.cue(state, cue.song(), cue.number(), cue.every());
                    case Tread.ByHand hand -> engine.settled(state, new Event.Set(hand.place(), hand.value()));
                };
        List<Happened> trace = done.trace().stream()
                .map(event -> event.later(-state.clockMicros()))
                .toList();
        List<Played> more = new ArrayList<>(last);
        more.add(new Played(treads + 1, tread, new Outcome(done.after(), trace)));
        return new Rehearsal(
                start, state, done.after(), treads + 1, more.subList(Math.max(0, more.size() - KEPT), more.size()));
    }

    private Outcome done(Engine engine, Tread.OnSwitch tread) {
        return switch (tread.foot()) {
            case TAP -> engine.tap(state, tread.at());
            case DOWN -> engine.settled(state, new Event.Press(tread.at()));
            case HOLD -> held(engine, tread.at());
            case UP -> engine.settled(state, new Event.Release(tread.at()));
            case TWICE -> engine.settled(state, new Event.DoublePress(tread.at()));
        };
    }

    /** A foot that is not down yet goes down first. */
    private Outcome held(Engine engine, SwitchAt at) {
        if (state.isHeld(at)) {
            return engine.settled(state, new Event.Hold(at));
        }
        Outcome down = engine.settled(state, new Event.Press(at));
        Outcome held = engine.settled(down.after(), new Event.Hold(at));
        return new Outcome(
                held.after(),
                Stream.concat(down.trace().stream(), held.trace().stream()).toList());
    }
}
