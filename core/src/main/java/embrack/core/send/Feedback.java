package embrack.core.send;

import embrack.core.midi.Message;
import java.util.ArrayList;
import java.util.List;

/**
 * Watches for what comes back to Embrack by a cable and is sent on again, and again. A message that is heard soon after
 * the same one was sent, and for which more is sent, is one round; so many rounds are no foot.
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
    record Sent(Message message, int rounds, long micros) {}

    public Feedback {
        recent = List.copyOf(recent);
    }

    /** How often it has gone round that something is heard: 0 for what was not sent just before. */
    public int rounds(Message heard, long nowMicros) {
        return recent.stream()
                .filter(sent -> sent.message().equals(heard) && nowMicros - sent.micros() <= WITHIN_MICROS)
                .mapToInt(sent -> sent.rounds() + 1)
                .max()
                .orElse(0);
    }

    /** With what is sent for something that was heard. */
    public Feedback sending(Message heard, List<Message> sent, long nowMicros) {
        int rounds = rounds(heard, nowMicros);
        List<Sent> more = new ArrayList<>(recent);
        more.removeIf(before -> nowMicros - before.micros() > WITHIN_MICROS);
        sent.forEach(message -> more.add(new Sent(message, rounds, nowMicros)));
        return new Feedback(more.subList(Math.max(0, more.size() - REMEMBERED), more.size()));
    }

    /** Whether it goes round. */
    public boolean isLoop() {
        return recent.stream().anyMatch(sent -> sent.rounds() >= ROUNDS);
    }
}
