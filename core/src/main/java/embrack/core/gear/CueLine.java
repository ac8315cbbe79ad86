package embrack.core.gear;

import embrack.core.midi.Channel;
import embrack.core.midi.Decoder;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.music.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * How a player writes one timed message as a line of text, such as {@code {time} {type} ch {channel} {number} {value}}:
 * what stands outside of braces stands in each line.
 *
 * <p>{@code {time}} is {@code minutes:seconds.thousandths}, always with three digits behind the point; {@code {type}}
 * is {@code note}, {@code note off}, {@code CC} or {@code PC}; {@code {channel}} 1 to 16; {@code {number}} and
 * {@code {value}} 0 to 127, a program change has 0 as its value; {@code {bytes}} all of it in hexadecimal.
 *
 * @param pattern with a time, and either the bytes or type, channel and number
 */
public record CueLine(String pattern) {

    /** The longest pattern, in characters. */
    public static final int MAX_LENGTH = 120;

    private static final Pattern PLACE = Pattern.compile("\\{([a-z]*)}");
    private static final List<MessageType> TYPES =
            List.of(MessageType.NOTE_OFF, MessageType.NOTE_ON, MessageType.CONTROL_CHANGE, MessageType.PROGRAM_CHANGE);
    private static final List<String> PLACES = List.of("time", "type", "channel", "number", "value", "bytes");

    /**
     * A message at its time.
     *
     * @param micros from the start of the song, to the millisecond
     */
    public record Said(long micros, Message message) {}

    public CueLine {
        if (pattern.isBlank() || pattern.length() > MAX_LENGTH) {
            throw new IllegalArgumentException("the line of a timed message has 1 to %d characters, was %d"
                    .formatted(MAX_LENGTH, pattern.length()));
        }
        List<String> places =
                PLACE.matcher(pattern).results().map(m -> m.group(1)).toList();
        places.stream().filter(place -> !PLACES.contains(place)).findFirst().ifPresent(place -> {
            throw new IllegalArgumentException("{%s} is none of %s"
                    .formatted(place, PLACES.stream().map("{%s}"::formatted).collect(Collectors.joining(", "))));
        });
        if (places.stream().distinct().count() < places.size()
                || !places.contains("time")
                || !places.contains("bytes") && !places.containsAll(List.of("type", "channel", "number"))) {
            throw new IllegalArgumentException(
                    "the line of a timed message has {time} once, and {bytes} or {type}, {channel} and {number}");
        }
    }

    /**
     * The line of a message; empty for one that the pattern has no place for.
     *
     * @param micros from the start of the song, rounded to the millisecond
     */
    public Optional<String> write(long micros, Message message) {
        boolean isWhole = pattern.contains("{bytes}");
        if (!isWhole && !(message instanceof Message.Voice && TYPES.contains(message.type()))) {
            return Optional.empty();
        }
        return Optional.of(PLACE.matcher(pattern)
                .replaceAll(place -> Matcher.quoteReplacement(
                        switch (place.group(1)) {
                            case "time" -> Clock.text(micros);
                            case "type" -> message.type().shortName();
                            case "channel" ->
                                String.valueOf(
                                        ((Message.Voice) message).channel().number());
                            case "number" -> String.valueOf(message.data1());
                            case "value" -> String.valueOf(message.type().dataBytes() > 1 ? message.data2() : 0);
                            default -> message.hex();
                        })));
    }

    /**
     * The message of a line; blanks may be more or fewer.
     *
     * @throws IllegalArgumentException with a sentence for a person when the line is not of this pattern
     */
    public Said read(String line) {
        Matcher matcher = reader().matcher(line.strip());
        if (!matcher.matches()) {
            throw new IllegalArgumentException("This is no line such as %s."
                    .formatted(write(83_456_000, new Message.NoteOn(new Channel(3), 60, 127))
                            .orElseThrow()));
        }
        long micros = Clock.parse(matcher.group("time"));
        return new Said(micros, pattern.contains("{bytes}") ? whole(matcher) : voice(matcher));
    }

    private Pattern reader() {
        StringBuilder regex = new StringBuilder();
        Matcher places = PLACE.matcher(pattern);
        int done = 0;
        while (places.find()) {
            regex.append(literal(pattern.substring(done, places.start())));
            String place = places.group(1);
            regex.append("(?<%s>%s)"
                    .formatted(
                            place,
                            switch (place) {
                                case "time" -> "[\\d:.,]+";
                                case "type" ->
                                    TYPES.stream().map(MessageType::shortName).collect(Collectors.joining("|"));
                                case "bytes" -> "(?:[0-9A-Fa-f]{2}\\s*)+";
                                default -> "\\d{1,3}";
                            }));
            done = places.end();
        }
        return Pattern.compile(regex + literal(pattern.substring(done)), Pattern.CASE_INSENSITIVE);
    }

    private static String literal(String text) {
        StringBuilder regex = new StringBuilder();
        for (String piece : text.splitWithDelimiters("\\s+", 0)) {
            regex.append(piece.isBlank() ? piece.isEmpty() ? "" : "\\s+" : Pattern.quote(piece));
        }
        return regex.toString();
    }

    private static Message whole(Matcher matcher) {
        String hex = matcher.group("bytes").replaceAll("\\s+", "").toUpperCase(Locale.ROOT);
        List<Message> messages = Decoder.hex(hex).messages();
        if (messages.size() != 1) {
            throw new IllegalArgumentException(
                    "%s is not one message.".formatted(matcher.group("bytes").strip()));
        }
        return messages.getFirst();
    }

    private Message voice(Matcher matcher) {
        MessageType type = TYPES.stream()
                .filter(each -> each.shortName().equalsIgnoreCase(matcher.group("type")))
                .findFirst()
                .orElseThrow();
        Channel channel = new Channel(Integer.parseInt(matcher.group("channel")));
        int number = Integer.parseInt(matcher.group("number"));
        int value = pattern.contains("{value}") ? Integer.parseInt(matcher.group("value")) : 127;
        return switch (type) {
            case NOTE_OFF -> new Message.NoteOff(channel, number, value);
            case CONTROL_CHANGE -> new Message.ControlChange(channel, number, value);
            case PROGRAM_CHANGE -> new Message.ProgramChange(channel, number);
            default -> new Message.NoteOn(channel, number, value);
        };
    }
}
