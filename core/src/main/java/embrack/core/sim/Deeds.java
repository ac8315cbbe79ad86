package embrack.core.sim;

import embrack.core.chart.Action;
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
import java.util.TreeSet;
import java.util.stream.Stream;

/** Makes deeds of steps and messages, and does them. */
final class Deeds {

    private final Rig rig;
    private final Engine engine;
    private final Places places;
    private final Timing timing;
    private final Map<DeviceId, Long> tails = new HashMap<>();

    Deeds(Rig rig, Engine engine, Places places, Timing timing) {
        this.rig = rig;
        this.engine = engine;
        this.places = places;
        this.timing = timing;
    }

    /** Steps that are meant, and where the messages sent for them go. */
    Deed of(List<Step> steps, Journey journey) {
        return new Deed(meant(steps), journey, engine.moves(places, journey));
    }

    /** As {@link #of}, with what the box of a player does without any message. */
    Deed of(List<Step> meant, List<Step> byItself, Journey journey) {
        return new Deed(
                meant(meant),
                journey,
                engine.moves(places, journey)
                        .map(moves -> Stream.concat(meant(byItself).stream(), moves.stream())
                                .toList()));
    }

    /** The state after what really happens. */
    World done(World state, Deed deed) {
        return deed.moves()
                .map(state::after)
                .orElseGet(() -> engine.play(state, deed.journey()).after());
    }

    /** The places that steps are about, on their devices and on those that stand in for them. */
    SortedSet<Place> targets(Collection<Step> steps) {
        SortedSet<Place> targets = new TreeSet<>();
        steps.forEach(step -> each(step).forEach(device -> targets.add(World.place(device, step.action()))));
        return targets;
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

    private List<Places.Move> meant(List<Step> steps) {
        return steps.stream()
                .flatMap(step ->
                        each(step).flatMap(device -> places.moves(device, List.<Action>of(step.action())).stream()))
                .toList();
    }

    /** A step is meant for its device and for the one that stands in for it. */
    private Stream<DeviceId> each(Step step) {
        return Stream.concat(Stream.of(step.device()), rig.standIn(step.device()).stream());
    }
}
