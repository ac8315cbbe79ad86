package embrack.files.plan;

import embrack.core.gear.Connector;
import embrack.core.gear.Direction;
import embrack.core.gear.Kind;
import embrack.core.gear.SendChannel;
import embrack.core.midi.MessageType;
import embrack.core.midi.ValueDisplay;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** How constants are written in files. */
final class FileWords {

    static final Map<String, Kind> KINDS = byWord(Kind.values(), FileWords::word);
    static final Map<String, Connector> CONNECTORS = byWord(Connector.values(), FileWords::word);
    static final Map<String, Direction> DIRECTIONS = byWord(Direction.values(), FileWords::word);
    static final Map<String, SendChannel> SEND_CHANNELS = byWord(SendChannel.values(), FileWords::word);
    static final Map<String, ValueDisplay> DISPLAYS = byWord(ValueDisplay.values(), FileWords::word);
    static final Map<String, MessageType> MESSAGE_TYPES = Map.of(
            "note", MessageType.NOTE_ON, "cc", MessageType.CONTROL_CHANGE, "pc", MessageType.PROGRAM_CHANGE);

    private FileWords() {
    }

    /** {@code ONE_FOR_THE_BOX} as {@code one-for-the-box}. */
    static String word(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    static String word(MessageType type) {
        return MESSAGE_TYPES.entrySet().stream().filter(e -> e.getValue() == type).findFirst().orElseThrow().getKey();
    }

    private static <E extends Enum<E>> Map<String, E> byWord(E[] constants, Function<E, String> word) {
        return Arrays.stream(constants).collect(Collectors.toUnmodifiableMap(word, Function.identity()));
    }
}
