package embrack.core.sim;

import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.switches.Step;
import embrack.core.way.Timing;
import embrack.core.world.Engine;
import embrack.core.world.Happened;
import embrack.core.world.Journey;
import embrack.core.world.Outcome;
import embrack.core.world.Place;
import embrack.core.world.Places;
import embrack.core.world.Reading;
import embrack.core.world.World;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedSet;

/** Makes deeds of steps and messages, and does them. */
final class Deeds {

    private final Engine engine;
    private final Places places;
    private final Timing timing;
    private final Meant meant;
    private final Map<DeviceId, Long> tails = new HashMap<>();

    Deeds(Rig rig, Engine engine, Places places, Timing timing) {
        this.engine = engine;
        this.places = places;
        this.timing = timing;
        this.meant = new Meant(rig, places);
    }

    /** Steps that are meant, and where the messages sent for them go. */
    Deed of(List<Step> steps, Journey journey) {
        return of(steps, List.of(), journey);
    }

    /** As {@link #of}, with what the box of a player does without any message. */
    Deed of(List<Step> steps, List<Step> byItself, Journey journey) {
        return new Deed(meant.moves(steps), meant.moves(byItself), journey, engine.moves(places, journey));
    }

    /** The state after what really happens. */
    World done(World state, Deed deed) {
        World before = state.after(deed.byItself());
        return deed.moves()
                .map(before::after)
                .orElseGet(() -> engine.play(before, deed.journey()).after());
    }

    /** The places that steps are about, on their devices and on those that stand in for them. */
    SortedSet<Place> targets(Collection<Step> steps) {
        return meant.targets(steps);
    }

    /** When the last message that does something has done it, with what its box still waits for. */
    long worstMicros(Outcome pressed) {
        long worst = pressed.lastArrivalMicros();
        for (Happened event : pressed.trace()) {
            if (event instanceof Happened.Arrived arrived && arrived.reading() instanceof Reading.Acts) {
                worst = Math.max(
                        worst,
                        event.atMicros()
                                + tails.computeIfAbsent(
                                        event.socket().device(),
                                        device -> timing.tail(device)
                                                .map(t -> t.delay().worst())
                                                .orElse(0L)));
            }
        }
        return worst;
    }
}
