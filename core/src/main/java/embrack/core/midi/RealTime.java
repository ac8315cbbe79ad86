package embrack.core.midi;

/**
 * The messages of one byte that keep boxes in step; they may stand inside any other message.
 *
 * <p>Source: MIDI 1.0 Detailed Specification, "System Real Time Messages"; 24 clocks are a quarter note.
 */
public enum RealTime implements SystemMessage {
    CLOCK(MessageType.CLOCK),
    START(MessageType.START),
    CONTINUE(MessageType.CONTINUE),
    STOP(MessageType.STOP),
    ACTIVE_SENSING(MessageType.ACTIVE_SENSING),
    RESET(MessageType.RESET);

    private final MessageType type;

    RealTime(MessageType type) {
        this.type = type;
    }

    /**
     * The message of a type.
     *
     * @throws IllegalArgumentException when the type is not real time
     */
    public static RealTime of(MessageType type) {
        return switch (type) {
            case CLOCK -> CLOCK;
            case START -> START;
            case CONTINUE -> CONTINUE;
            case STOP -> STOP;
            case ACTIVE_SENSING -> ACTIVE_SENSING;
            case RESET -> RESET;
            default -> throw new IllegalArgumentException(type + " is not a real-time message");
        };
    }

    @Override
    public MessageType type() {
        return type;
    }
}
