package embrack.core.chart;

import embrack.core.midi.Channel;
import embrack.core.midi.Decoded;
import embrack.core.midi.Decoder;
import embrack.core.midi.Message;
import embrack.core.text.Cursor;
import embrack.core.text.Fault;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/** Tries a chart both ways, in the words that a person types. */
public final class ChartTrial {

    private static final Pattern BYTES = Pattern.compile("[0-9A-Fa-f]{2}(\\s+[0-9A-Fa-f]{2})+");
    private static final Pattern ON_CHANNEL = Pattern.compile("(?i)^\\s*ch(?:annel)?\\s+(\\d{1,2})\\s+(.*)$");

    private final Chart chart;

    public ChartTrial(Chart chart) {
        this.chart = chart;
    }

    /** What a typed action sends: "mute Input 3", "level Main at 100". */
    public record Sent(Action action, List<Message> messages) {
        public Sent {
            messages = List.copyOf(messages);
        }
    }

    /** A message that arrives and what the box does. */
    public record Arrived(Message message, List<Action> actions) {
        public Arrived {
            actions = List.copyOf(actions);
        }
    }

    /**
     * What the typed actions send.
     *
     * @param set the channel that the box is set to
     * @throws IllegalArgumentException with a sentence when it cannot be read or the chart has no line for it
     */
    public List<Sent> press(String typed, Channel set) {
        try {
            return ActionReader.read(
                            Cursor.of(typed),
                            (verb, part) -> !chart.rowsFor(new Action(
                                            verb, part, verb.takesAmount() ? Optional.of(0) : Optional.empty()))
                                    .isEmpty())
                    .stream()
                    .map(action -> new Sent(
                            action,
                            chart.messagesFor(action, set)
                                    .orElseThrow(() ->
                                            new IllegalArgumentException("The box has no message for that amount."))))
                    .toList();
        } catch (Fault fault) {
            throw new IllegalArgumentException(fault.getMessage(), fault);
        }
    }

    /**
     * What the box does when the typed messages arrive: bytes such as "B0 28 7F", or words such as "cc 40 = 127" or
     * "ch 2 note 12".
     *
     * @param set the channel for a message that names none
     * @throws IllegalArgumentException with a sentence when it cannot be read
     */
    public List<Arrived> arrive(String typed, Channel set) {
        MessageMemory heard = MessageMemory.NOTHING;
        List<Arrived> arrived = new ArrayList<>();
        for (Message message : messages(typed.strip(), set)) {
            arrived.add(new Arrived(message, chart.reactionsTo(message, heard, isOn(set, message))));
            heard = chart.remember(heard, message);
        }
        return arrived;
    }

    private static boolean isOn(Channel set, Message message) {
        return !(message instanceof Message.Voice voice) || voice.channel().equals(set);
    }

    private List<Message> messages(String typed, Channel set) {
        if (BYTES.matcher(typed).matches()) {
            Decoded decoded = Decoder.hex(typed);
            if (!decoded.faults().isEmpty()) {
                throw new IllegalArgumentException(
                        "That cannot be read: " + decoded.faults().getFirst() + ".");
            }
            return decoded.messages();
        }
        try {
            return said(typed, set);
        } catch (Fault fault) {
            throw new IllegalArgumentException(fault.getMessage(), fault);
        }
    }

    private List<Message> said(String typed, Channel set) {
        var on = ON_CHANNEL.matcher(typed);
        Channel channel = on.matches() ? new Channel(Integer.parseInt(on.group(1))) : set;
        String words =
                (on.matches() ? on.group(2) : typed).replaceFirst("(?i)^((?:cc|note)\\s+\\S+)\\s+(\\d+)$", "$1 = $2");
        Cursor cursor = Cursor.of(words);
        List<Message> messages = new MessageReader(cursor, conventions(), false)
                .messages().stream()
                        .flatMap(span -> span.each().stream())
                        .map(pattern -> pattern.on(channel))
                        .toList();
        if (!cursor.isAtEnd()) {
            throw cursor.fault("\"%s\" is not understood; write such as cc 40 127, note 12, pc 3 or B0 28 7F."
                    .formatted(cursor.rest()));
        }
        return messages;
    }

    private Conventions conventions() {
        return new Conventions(
                Optional.of(chart.conventions().shownPrograms()),
                Optional.of(chart.conventions().shownNotes()),
                Optional.empty());
    }
}
