package embrack.core.midi;

import java.util.List;

/**
 * What could be read of a stream of bytes.
 *
 * @param messages in the order in which they were complete
 * @param faults what could not be read, in the order of the stream
 */
public record Decoded(List<Message> messages, List<Fault> faults) {

    public Decoded {
        messages = List.copyOf(messages);
        faults = List.copyOf(faults);
    }

    /**
     * Bytes that are no message.
     *
     * @param offset of the first of them in the stream, from 0
     * @param words what is wrong, as a sentence
     */
    public record Fault(int offset, String words) {
        @Override
        public String toString() {
            return "byte %d: %s".formatted(offset, words);
        }
    }
}
