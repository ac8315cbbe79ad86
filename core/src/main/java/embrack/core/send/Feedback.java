package embrack.core.send;

import embrack.core.midi.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;

/**
 * Watches for what comes back to Embrack by a cable and is sent on again, and again. A message that is heard soon after
 * the same one was sent, and for which more is sent, is one round; so many rounds are no foot. Both times are those of
 * the page that sends and hears, so that it does not count how long the server takes.
 *
 * @param recent what was sent last, the oldest first
 */
public record Feedback(List<Sent> recent) {

    public static final Feedback NONE = new Feedback(List.of());

    /** What comes back comes back within this time; a foot does not tread so fast. Common practice, no source. */
    public static final long WITHIN_MICROS = 300_000;

    /** So many rounds are a loop: with three messages a round it is seen within 50 messages. Common practice. */
    public static final int ROUNDS = 16;

    private static final int REMEMBERED = 64;

    /**
     * A message that was sent because of what was heard.
     *
     * @param rounds how often it had come back before
     */
    record Sent(Message message, int rounds) {}

    public Feedback {
        recent = List.copyOf(recent);
    }

    /**
     * With what is sent for something that was heard.
     *
     * @param sinceMicros how long before it was heard the page had sent the same; empty where it had not
     */
    public Feedback sending(Message heard, OptionalLong sinceMicros, List<Message> sent) {
        int rounds = rounds(heard, sinceMicros);
        List<Sent> more = new ArrayList<>(recent);
        sent.forEach(message -> more.add(new Sent(message, rounds)));
        return new Feedback(more.subList(Math.max(0, more.size() - REMEMBERED), more.size()));
    }

    private int rounds(Message heard, OptionalLong sinceMicros) {
        if (sinceMicros.isEmpty() || sinceMicros.getAsLong() > WITHIN_MICROS) {
            return 0;
        }
        return recent.reversed().stream()
                .filter(sent -> sent.message().equals(heard))
                .findFirst()
                .map(sent -> sent.rounds() + 1)
                .orElse(0);
    }

    /** Whether what was sent last goes round. */
    public boolean isLoop() {
        return !recent.isEmpty() && recent.getLast().rounds() >= ROUNDS;
    }
}
