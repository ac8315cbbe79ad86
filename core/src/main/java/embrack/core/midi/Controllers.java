package embrack.core.midi;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What the controller numbers stand for.
 *
 * <p>Source: MIDI 1.0 Detailed Specification, table III, "Controller Numbers", and table IIIa, registered parameters;
 * "Channel Mode Messages" for 120 to 127.
 */
public final class Controllers {

    public static final int BANK_SELECT = 0;
    public static final int BANK_SELECT_LOW = 32;

    /** The fine half of a controller lies so far above it. Source: MIDI 1.0 Detailed Specification, table III. */
    private static final int FINE = 32;

    /** From here on the numbers are channel mode messages, not controllers. */
    public static final int FIRST_MODE = 120;

    private static final Map<Integer, String> NAMES = new TreeMap<>(Map.ofEntries(
            Map.entry(0, "bank select"),
            Map.entry(1, "modulation wheel"),
            Map.entry(2, "breath controller"),
            Map.entry(4, "foot controller"),
            Map.entry(5, "portamento time"),
            Map.entry(6, "data entry"),
            Map.entry(7, "channel volume"),
            Map.entry(8, "balance"),
            Map.entry(10, "pan"),
            Map.entry(11, "expression"),
            Map.entry(12, "effect control 1"),
            Map.entry(13, "effect control 2"),
            Map.entry(16, "general purpose 1"),
            Map.entry(17, "general purpose 2"),
            Map.entry(18, "general purpose 3"),
            Map.entry(19, "general purpose 4"),
            Map.entry(64, "damper pedal"),
            Map.entry(65, "portamento switch"),
            Map.entry(66, "sostenuto"),
            Map.entry(67, "soft pedal"),
            Map.entry(68, "legato footswitch"),
            Map.entry(69, "hold 2"),
            Map.entry(80, "general purpose 5"),
            Map.entry(81, "general purpose 6"),
            Map.entry(82, "general purpose 7"),
            Map.entry(83, "general purpose 8"),
            Map.entry(84, "portamento control"),
            Map.entry(91, "effects 1 depth"),
            Map.entry(92, "effects 2 depth"),
            Map.entry(93, "effects 3 depth"),
            Map.entry(94, "effects 4 depth"),
            Map.entry(95, "effects 5 depth"),
            Map.entry(96, "data increment"),
            Map.entry(97, "data decrement"),
            Map.entry(98, "non-registered parameter, low half"),
            Map.entry(99, "non-registered parameter, high half"),
            Map.entry(100, "registered parameter, low half"),
            Map.entry(101, "registered parameter, high half"),
            Map.entry(120, "all sound off"),
            Map.entry(121, "reset all controllers"),
            Map.entry(122, "local control"),
            Map.entry(123, "all notes off"),
            Map.entry(124, "omni mode off"),
            Map.entry(125, "omni mode on"),
            Map.entry(126, "mono mode on"),
            Map.entry(127, "poly mode on")));

    private Controllers() {}

    /**
     * The name that the standard gives a number; 32 to 63 are the low halves of 0 to 31.
     *
     * @param controller 0 to 127
     * @return empty for a number that the standard leaves undefined
     */
    public static Optional<String> name(int controller) {
        DataByte.checked("controller", controller);
        return controller >= FourteenBit.PARTNER && controller < 2 * FourteenBit.PARTNER
                ? Optional.ofNullable(NAMES.get(controller - FourteenBit.PARTNER))
                        .map(name -> name + ", low half")
                : Optional.ofNullable(NAMES.get(controller));
    }

    /** Why boxes do with a controller what their chart does not say. */
    public enum Reserved {
        /** Boxes obey it whatever their chart says. */
        CHANNEL_MODE,
        /** It waits for the next program change. */
        BANK_SELECT,
        /** It belongs to the entry of parameters. */
        PARAMETER_ENTRY;

        /** The reason in a sentence without a full stop: "0 is bank select: it waits for the next program change". */
        public String words(int controller) {
            return switch (this) {
                case CHANNEL_MODE ->
                    "%d is a channel mode message (%s): boxes obey it whatever their chart says"
                            .formatted(controller, Controllers.name(controller).orElseThrow());
                case BANK_SELECT -> controller + " is bank select: it waits for the next program change";
                case PARAMETER_ENTRY ->
                    "%d belongs to parameter entry (%s)"
                            .formatted(controller, Controllers.name(controller).orElseThrow());
            };
        }
    }

    /** The controller of which this one is the fine half: 32 to 63 are those of 0 to 31; empty for any other. */
    public static Optional<Integer> coarse(int controller) {
        return controller >= FINE && controller < 2 * FINE ? Optional.of(controller - FINE) : Optional.empty();
    }

    /** Why a number is better not chosen freely; empty when it may be. */
    public static Optional<Reserved> reserved(int controller) {
        if (controller >= FIRST_MODE) {
            return Optional.of(Reserved.CHANNEL_MODE);
        }
        return switch (controller) {
            case 0, 32 -> Optional.of(Reserved.BANK_SELECT);
            case 6, 38, 96, 97, 98, 99, 100, 101 -> Optional.of(Reserved.PARAMETER_ENTRY);
            default -> Optional.empty();
        };
    }
}
