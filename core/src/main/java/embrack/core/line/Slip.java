package embrack.core.line;

import embrack.core.midi.Channel;
import embrack.core.midi.DataByte;
import embrack.core.midi.Message;
import embrack.core.midi.Message.ControlChange;
import java.util.Locale;
import java.util.Optional;

/**
 * A mistake at one expression pedal, fader or knob, for the simulated rig.
 *
 * @param travel which, by {@link Travel#key()}
 * @param number what the kind of mistake needs: a channel, by how much, a value
 */
public record Slip(Kind kind, String travel, int number) {

    /** So many values are left out where it jumps. */
    private static final int GAP = 32;

    /** What can go wrong. */
    public enum Kind {
        /** Sent on channel {@code number}, 1 to 16. */
        CHANNEL,
        /** The controller is {@code number} too high. */
        OFF_BY,
        /** It comes to {@code number} at most, 1 to 126. */
        SHORT,
        /** It sticks at {@code number} and jumps on from there. */
        JUMPS,
        /** Nothing at all. */
        DEAD;

        /** As forms and words have it: "control-off-by". */
        public String key() {
            return "control-" + name().toLowerCase(Locale.ROOT).replace('_', '-');
        }

        /** The kind that {@link #key()} wrote; empty when it is none. */
        public static Optional<Kind> parse(String key) {
            for (Kind kind : values()) {
                if (kind.key().equals(key)) {
                    return Optional.of(kind);
                }
            }
            return Optional.empty();
        }
    }

    public Slip {
        boolean isRight =
                switch (kind) {
                    case CHANNEL -> number >= Channel.FIRST && number <= Channel.LAST;
                    case OFF_BY -> number != 0 && Math.abs(number) <= DataByte.MAX;
                    case SHORT -> number > 0 && number < DataByte.MAX;
                    case JUMPS -> number >= 0 && number + GAP < DataByte.MAX;
                    case DEAD -> true;
                };
        if (!isRight) {
            throw new IllegalArgumentException(
                    "That takes a channel 1 to 16, a shift, or a value, at most 94 where it jumps; not %d."
                            .formatted(number));
        }
    }

    /** What comes of a message; empty for nothing. */
    Optional<Message> of(Message message) {
        if (!(message instanceof ControlChange m)) {
            return kind == Kind.DEAD ? Optional.empty() : Optional.of(message);
        }
        return switch (kind) {
            case CHANNEL -> Optional.of(m.onChannel(new Channel(number)));
            case OFF_BY ->
                Optional.of(new ControlChange(
                        m.channel(), Math.clamp(m.controller() + number, 0, DataByte.MAX), m.value()));
            case SHORT -> Optional.of(new ControlChange(m.channel(), m.controller(), Math.min(m.value(), number)));
            case JUMPS ->
                Optional.of(
                        m.value() > number && m.value() < number + GAP
                                ? new ControlChange(m.channel(), m.controller(), number)
                                : m);
            case DEAD -> Optional.empty();
        };
    }
}
