package embrack.core.send;

import embrack.core.chart.Action;
import embrack.core.compile.Sending;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * An action that a box is sent, so that somebody sees whether it does it.
 *
 * @param sendings what makes it do so as it is planned, in the order of sending, at least one
 * @param cautions what of it can hurt somebody
 * @param memory the memory that is loaded before it, from 1; empty where it is tried in whatever is loaded
 */
public record Probe(DeviceId device, Action action, List<Sending> sendings, Set<Caution> cautions, OptionalInt memory) {

    static final String ROOM = "core/send";

    public Probe {
        sendings = List.copyOf(sendings);
        cautions = Set.copyOf(cautions);
        if (sendings.isEmpty()) {
            throw new IllegalArgumentException("nothing makes %s of %s".formatted(action.key(), device));
        }
    }

    /** An action that is tried in whatever is loaded. */
    static Probe of(DeviceId device, Action action, List<Message> messages, Set<Caution> cautions) {
        return new Probe(device, action, Sending.each(messages), cautions, OptionalInt.empty());
    }

    /**
     * The same in a memory that is loaded first.
     *
     * @param load what loads it
     * @param deafMillis how long the box obeys nothing then, in ms
     */
    Probe inMemory(int number, List<Message> load, int deafMillis) {
        Stream<Sending> later = Stream.concat(
                Stream.of(new Sending(sendings.getFirst().message(), deafMillis)),
                sendings.stream().skip(1));
        return new Probe(
                device,
                action,
                Stream.concat(Sending.each(load).stream(), later).toList(),
                cautions,
                OptionalInt.of(number));
    }

    /** What is sent, without waits. */
    public List<Message> messages() {
        return sendings.stream().map(Sending::message).toList();
    }

    /** The probe in one word for links and tables: {@code vocal-mixer/mute:return-1}, {@code .../stop:track-1@50}. */
    public String key() {
        return device + "/" + action.key() + (memory.isPresent() ? "@" + memory.getAsInt() : "");
    }

    /** Whether it is not sent before somebody says yes once more. */
    public boolean isAskedTwice() {
        return cautions.stream().anyMatch(Caution::isAskedTwice);
    }

    /** Its messages in one line, by which a later plan is told apart. */
    public String written() {
        return messages().stream()
                .map(message -> message.hex().replace(" ", ""))
                .collect(Collectors.joining(" "));
    }
}
