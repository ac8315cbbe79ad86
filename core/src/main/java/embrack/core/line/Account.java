package embrack.core.line;

import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.world.Engine;
import embrack.core.world.Event;
import embrack.core.world.Happened;
import embrack.core.world.Reading;
import embrack.core.world.World;
import java.util.List;
import java.util.stream.Stream;

/**
 * What a message that comes from a box is to a plan.
 *
 * @param senders what is pressed there for it, as planned; none where nobody planned it
 * @param effects what it does where it arrives; none where nobody obeys it
 */
public record Account(List<Task> senders, List<Effect> effects) {

    /** What a device makes of it. */
    public record Effect(DeviceId device, Reading.Acts reading) {}

    public Account {
        senders = List.copyOf(senders);
        effects = List.copyOf(effects);
    }

    /** Gives account of messages of one plan. */
    public static final class Of {

        private final Walk walk;
        private final Engine engine;
        private final World rest;

        public Of(Walk walk) {
            Plan plan = walk.plan();
            this.walk = walk;
            this.engine = new Engine(plan);
            this.rest = World.poweredOn(plan.rig());
        }

        /** What a message from a box is. */
        public Account account(DeviceId from, Message message) {
            List<Task> senders = walk.on(from).stream()
                    .filter(planned -> Stream.of(planned.down(), planned.again(), planned.up())
                            .flatMap(List::stream)
                            .anyMatch(sending -> Likeness.same(sending.message(), message)))
                    .map(Planned::task)
                    .toList();
            List<Effect> effects = engine.settled(rest, new Event.Send(from, message)).trace().stream()
                    .filter(Happened.Arrived.class::isInstance)
                    .map(Happened.Arrived.class::cast)
                    .filter(arrived -> arrived.reading() instanceof Reading.Acts)
                    .map(arrived -> new Effect(arrived.socket().device(), (Reading.Acts) arrived.reading()))
                    .distinct()
                    .toList();
            return new Account(senders, effects);
        }
    }
}
