package embrack.core.sim;

import embrack.core.chart.MessageMemory;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.proof.Broken;
import embrack.core.rig.DeviceId;
import embrack.core.way.Ways;
import embrack.core.world.Engine;
import embrack.core.world.Happened;
import embrack.core.world.Hearing;
import embrack.core.world.Place;
import embrack.core.world.Reading;
import embrack.core.world.World;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A story in which a gesture fails, played through the engine: what really arrives when it does, and how it is read.
 *
 * @param last all that happens by the gesture that fails
 */
public record Retold(Broken broken, Engine engine, List<Happened> last) {

    public Retold {
        last = List.copyOf(last);
    }

    /** Plays a story; {@code ways} those of the plan. */
    public static Retold of(Plan plan, Ways ways, Broken broken) {
        Engine engine = new Engine(plan, ways);
        Rehearsal rehearsal = Rehearsal.begun(World.poweredOn(plan.rig()));
        int before = 0;
        for (List<Tread> treads : Tread.of(plan, broken)) {
            before = rehearsal.treads();
            for (Tread tread : treads) {
                rehearsal = rehearsal.then(engine, tread);
            }
        }
        int from = before;
        return new Retold(
                broken,
                engine,
                rehearsal.last().stream()
                        .filter(played -> played.number() > from)
                        .flatMap(played -> played.outcome().trace().stream())
                        .toList());
    }

    /** The memory in which a box that heard the gesture has nothing written, from 1; empty when there is none. */
    public Optional<Integer> unwritten(DeviceId device) {
        return arrived(device)
                .flatMap(arrived -> arrived.reading() instanceof Reading.NotWritten none
                        ? Stream.of(none.memory())
                        : Stream.empty())
                .findFirst();
    }

    /** The last message of the gesture that moves the place where it shows; empty when none does. */
    public Optional<Message> decisive() {
        Place place = broken.place();
        return arrived(place.device())
                .filter(arrived -> arrived.reading() instanceof Reading.Acts acts
                        && acts.actions().stream()
                                .anyMatch(action -> action.part().equals(place.part())))
                .reduce((first, last) -> last)
                .map(Happened.Arrived::message);
    }

    /** The first message that its box reads otherwise than it would if nothing had come before; empty for none. */
    public Optional<Message> readByWhatCameBefore(DeviceId device) {
        Hearing hearing = engine.hearing(device);
        return arrived(device)
                .filter(arrived -> !hearing.reading(arrived.message(), MessageMemory.NOTHING, 1)
                        .equals(arrived.reading()))
                .map(Happened.Arrived::message)
                .findFirst();
    }

    private Stream<Happened.Arrived> arrived(DeviceId device) {
        return last.stream()
                .filter(Happened.Arrived.class::isInstance)
                .map(Happened.Arrived.class::cast)
                .filter(arrived -> arrived.socket().device().equals(device));
    }
}
