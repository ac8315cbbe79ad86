package embrack.core.line;

import embrack.core.gear.SwitchMode;
import embrack.core.switches.SwitchAt;
import java.util.Locale;
import java.util.Optional;

/**
 * A mistake that somebody made while a box was programmed, for the simulated rig.
 *
 * @param at the switch; any of the box where all of it has the mistake
 * @param wholeBox whether all of the box has it
 * @param number what the kind of mistake needs: a channel, by how much, another switch or bank, a controller
 */
public record Mistake(Kind kind, SwitchAt at, boolean wholeBox, int number) {

    /** What can go wrong. */
    public enum Kind {
        /** Sent on channel {@code number}, 1 to 16. */
        CHANNEL,
        /** Every number is {@code number} too high. */
        OFF_BY,
        /** On for off. */
        WRONG_WAY,
        /** The other value at every second press. */
        ALTERNATING,
        /** The other value as the foot lets go. */
        MOMENTARY,
        /** What switch {@code number} of the bank was to have, and that one what this was to have. */
        EXCHANGED,
        /** What bank {@code number} was to have, and that one what this was to have. */
        BANKS,
        /** Everything twice. */
        TWICE,
        /** Controller {@code number} is sent as well. */
        MORE,
        /** Nothing was kept: what the box sends when it is new, a program for each switch on channel 1. */
        UNWRITTEN,
        /** Nothing at all. */
        DEAD;

        public String key() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
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

        /** What a switch with it is set to; empty where it has nothing to do with that. */
        Optional<SwitchMode> mode() {
            return switch (this) {
                case ALTERNATING -> Optional.of(SwitchMode.ALTERNATING);
                case MOMENTARY -> Optional.of(SwitchMode.MOMENTARY);
                default -> Optional.empty();
            };
        }
    }

    public Mistake {
        boolean isRight =
                switch (kind) {
                    case CHANNEL -> number >= 1 && number <= 16;
                    case OFF_BY -> number != 0 && Math.abs(number) <= 127;
                    case EXCHANGED, BANKS -> number >= 1;
                    case MORE -> number >= 0 && number <= 119;
                    default -> true;
                };
        if (!isRight) {
            throw new IllegalArgumentException(
                    "That takes a channel 1 to 16, a controller 0 to 119, a switch or bank, or a shift, not %d."
                            .formatted(number));
        }
    }

    /** A mistake of one switch. */
    public static Mistake of(Kind kind, SwitchAt at, int number) {
        return new Mistake(kind, at, false, number);
    }

    /** A mistake of a whole box. */
    public static Mistake ofBox(Kind kind, SwitchAt any, int number) {
        return new Mistake(kind, any, true, number);
    }

    boolean concerns(SwitchAt other) {
        return wholeBox ? at.board().equals(other.board()) : at.equals(other);
    }
}
