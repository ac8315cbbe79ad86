package embrack.core.sim;

import embrack.core.rig.Socket;
import java.util.List;

/**
 * Cues of one song that are on one cable so close together that some wait for others.
 *
 * @param micros when the first is sent, from bar 1
 * @param cues their numbers
 * @param messages how many messages they are
 * @param waitMicros how much later than alone the last of them arrives
 * @param at the socket where it arrives
 * @param lastMicros when it has arrived there, after {@code micros}, at the latest
 */
public record Queue(long micros, List<Integer> cues, int messages, long waitMicros, Socket at, long lastMicros) {

    public Queue {
        cues = List.copyOf(cues);
    }
}
