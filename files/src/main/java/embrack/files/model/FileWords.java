package embrack.files.model;

import embrack.core.midi.MessageType;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** How constants are written in files. */
public final class FileWords {

    /** Message types by the words that stand for them. */
    public static final Map<String, MessageType> MESSAGE_TYPES = Arrays.stream(MessageType.values())
            .collect(Collectors.toUnmodifiableMap(FileWords::word, Function.identity()));

    /** The types of message that switches are programmed with and boxes learn. */
    public static final Map<String, MessageType> VOICES =
            Map.of("note", MessageType.NOTE_ON, "cc", MessageType.CONTROL_CHANGE, "pc", MessageType.PROGRAM_CHANGE);

    private FileWords() {}

    /** {@code ONE_FOR_THE_BOX} as {@code one-for-the-box}. */
    public static String word(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** A message type as charts call it: {@code note}, {@code cc}, {@code pc}; the others by their names. */
    public static String word(MessageType type) {
        return switch (type) {
            case NOTE_ON -> "note";
            case CONTROL_CHANGE -> "cc";
            case PROGRAM_CHANGE -> "pc";
            default -> word((Enum<?>) type);
        };
    }

    /** The constants of an enum by the words that stand for them. */
    public static <E extends Enum<E>> Map<String, E> byWord(E[] constants) {
        return Arrays.stream(constants).collect(Collectors.toUnmodifiableMap(FileWords::word, Function.identity()));
    }
}
