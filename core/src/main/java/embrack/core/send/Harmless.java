package embrack.core.send;

import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.Message.ControlChange;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.world.Hearing;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A message that no box of a rig obeys, to measure how long one takes: a control change of a number that the standard
 * leaves open.
 *
 * <p>Source: MIDI 1.0 Detailed Specification, table III: controllers 3, 9, 14, 15, 20 to 31, 85 to 90 and 102 to 119
 * are undefined.
 */
public final class Harmless {

    private static final List<Integer> UNDEFINED = Stream.of(
                    IntStream.rangeClosed(102, 119),
                    IntStream.rangeClosed(85, 90),
                    IntStream.rangeClosed(20, 31),
                    IntStream.of(3, 9, 14, 15))
            .flatMap(IntStream::boxed)
            .toList();

    private Harmless() {}

    /** The first such message, from channel 16 down; empty where every one of them does something somewhere. */
    public static Optional<Message> in(Plan plan) {
        List<Hearing> ears = plan.rig().devices().stream()
                .map(Device::id)
                .map(device -> Hearing.of(plan.rig(), device))
                .toList();
        return IntStream.iterate(Channel.LAST, channel -> channel >= Channel.FIRST, channel -> channel - 1)
                .boxed()
                .flatMap(channel ->
                        UNDEFINED.stream().<Message>map(number -> new ControlChange(new Channel(channel), number, 1)))
                .filter(message -> ears.stream()
                        .allMatch(
                                hearing -> hearing.possibleReactionsTo(message).isEmpty()))
                .findFirst();
    }
}
