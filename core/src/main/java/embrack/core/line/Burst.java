package embrack.core.line;

import embrack.core.midi.Decoder;
import embrack.core.midi.Message;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Messages that came one right behind the other, as a foot that goes down or up makes a box send them. */
public record Burst(List<At> messages) {

    /** What a box is thought to have sent for another gesture when nothing came for so long. Common practice. */
    public static final long GAP_MICROS = 120_000;

    /** More than any press sends. */
    public static final int MOST = 512;

    private static final Pattern WRITTEN = Pattern.compile("(\\d{1,12}):([0-9a-f]{2,512})");

    /**
     * A message and when it came.
     *
     * @param micros by the clock of whoever heard it, in microseconds
     */
    public record At(long micros, Message message) {}

    public Burst {
        messages = List.copyOf(messages);
        if (messages.isEmpty()) {
            throw new IllegalArgumentException("a burst has at least one message");
        }
    }

    /** What came, without when. */
    public List<Message> content() {
        return messages.stream().map(At::message).toList();
    }

    /** When its first message came. */
    public long fromMicros() {
        return messages.getFirst().micros();
    }

    /** When its last message came. */
    public long untilMicros() {
        return messages.getLast().micros();
    }

    /** With one more message; what comes beyond {@link #MOST} is not kept. */
    Burst with(At next) {
        if (messages.size() >= MOST) {
            return this;
        }
        List<At> more = new ArrayList<>(messages);
        more.add(next);
        return new Burst(more);
    }

    /** Without some of its messages; empty when none is left. */
    Optional<Burst> without(Predicate<Message> out) {
        List<At> left = messages.stream().filter(at -> !out.test(at.message())).toList();
        return left.isEmpty() ? Optional.empty() : Optional.of(new Burst(left));
    }

    /** Bursts in one line, times counted from the first message: {@code 0:b0507f 180000:b05000|900000:b0507f}. */
    static String written(List<Burst> bursts) {
        if (bursts.isEmpty()) {
            return "";
        }
        long start = bursts.getFirst().fromMicros();
        return bursts.stream()
                .map(burst -> burst.messages.stream()
                        .map(at -> "%d:%s"
                                .formatted(
                                        Math.max(0, at.micros() - start),
                                        HexFormat.of().formatHex(at.message().bytes())))
                        .collect(Collectors.joining(" ")))
                .collect(Collectors.joining("|"));
    }

    /** The bursts that {@link #written} wrote; empty when it is none of its lines. */
    static Optional<List<Burst>> parse(String line) {
        List<Burst> bursts = new ArrayList<>();
        if (line.isEmpty()) {
            return Optional.of(bursts);
        }
        for (String part : line.split("\\|", -1)) {
            List<At> messages = new ArrayList<>();
            for (String word : part.split(" ", -1)) {
                Matcher read = WRITTEN.matcher(word);
                if (!read.matches() || read.group(2).length() % 2 != 0) {
                    return Optional.empty();
                }
                Decoder.hex(read.group(2))
                        .messages()
                        .forEach(message -> messages.add(new At(Long.parseLong(read.group(1)), message)));
            }
            if (messages.isEmpty()) {
                return Optional.empty();
            }
            bursts.add(new Burst(messages));
        }
        return Optional.of(bursts);
    }
}
