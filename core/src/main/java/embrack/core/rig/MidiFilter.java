package embrack.core.rig;

import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.name.Words;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * What a way through a box lets pass.
 *
 * @param open whether anything passes at all
 * @param stopped sorts of message that are kept back
 * @param channels numbers of the channels that pass, 1 to 16; none stands for all of them. Messages without a channel
 * always pass
 * @param onto the channel that every message leaves on; empty when each keeps its own
 */
public record MidiFilter(
        boolean open, SortedSet<Traffic> stopped, SortedSet<Integer> channels, Optional<Channel> onto) {

    /** Everything passes as it is. */
    public static final MidiFilter OPEN =
            new MidiFilter(true, Collections.emptySortedSet(), Collections.emptySortedSet(), Optional.empty());

    /** Nothing passes. */
    public static final MidiFilter SHUT =
            new MidiFilter(false, Collections.emptySortedSet(), Collections.emptySortedSet(), Optional.empty());

    public MidiFilter {
        stopped = Collections.unmodifiableSortedSet(new TreeSet<>(stopped));
        channels = Collections.unmodifiableSortedSet(new TreeSet<>(channels));
        channels.forEach(Channel::new);
    }

    /** The message as it leaves; empty when it is kept back. */
    public Optional<Message> pass(Message message) {
        if (!open || stopped.contains(Traffic.of(message))) {
            return Optional.empty();
        }
        if (!(message instanceof Message.Voice voice)) {
            return Optional.of(message);
        }
        if (!channels.isEmpty() && !channels.contains(voice.channel().number())) {
            return Optional.empty();
        }
        return Optional.of(onto.<Message>map(voice::onChannel).orElse(message));
    }

    /** Whether everything passes as it is. */
    public boolean isPlain() {
        return equals(OPEN);
    }

    /** In words: "passes channels 2 and 3, without notes, onto channel 4". */
    public String words() {
        if (!open) {
            return "passes nothing on";
        }
        List<String> words = new ArrayList<>();
        words.add("passes "
                + (channels.isEmpty()
                        ? "everything"
                        : (channels.size() == 1 ? "channel " : "channels ") + Words.list(channels)));
        if (!stopped.isEmpty()) {
            words.add(
                    "without " + Words.list(stopped.stream().map(Traffic::words).toList()));
        }
        onto.ifPresent(channel -> words.add("onto channel " + channel.number()));
        return String.join(", ", words);
    }
}
