package embrack.core.compile;

import embrack.core.gear.Gesture;
import embrack.core.gear.SwitchMode;
import embrack.core.midi.MessageType;
import embrack.core.word.Phrase;
import java.util.Optional;

/** Why a step cannot become a message that reaches its device. */
public sealed interface Obstacle {

    /** The device's chart has no row for the action. */
    record NoChartLine() implements Obstacle {}

    /** The device learns its message for the action, and has learned none yet. */
    record NothingLearned() implements Obstacle {}

    /** The switch cannot be programmed: it sends what its factory chose. {@code number} as sent, 0 to 127. */
    record SendsItsOwn(MessageType type, int number) implements Obstacle {}

    /** The board cannot send that type of message. */
    record CannotSend(MessageType type) implements Obstacle {}

    /** The board cannot tell that gesture from a press. */
    record NoGesture(Gesture gesture) implements Obstacle {}

    /** The switches of the board do not have that mode. */
    record NoMode(SwitchMode mode) implements Obstacle {}

    /** The board has two values of one message for the two moments, and these are two messages. */
    record TwoMessages() implements Obstacle {}

    /**
     * The board does not wait that long between messages. {@code longestMillis} is what it can; 0 when it never waits.
     */
    record CannotWait(int longestMillis) implements Obstacle {}

    /** The box sends its way as it is, and the receiver takes it as it comes. */
    record CannotShape() implements Obstacle {}

    /**
     * Links lead to the device, but a box on the way keeps the message back, or a link does not carry yet. {@code
     * where} as a sentence.
     */
    record KeptBack(Phrase where) implements Obstacle {}

    /** No links lead from the board to the device. */
    record NoPath() implements Obstacle {}

    /**
     * The board has already sent all that it can in one press.
     *
     * @param of of one type, where that has places of its own; empty for all together
     * @param most how many it can
     */
    record OneTooMany(Optional<MessageType> of, int most) implements Obstacle {}

    /** The control sends other messages already as it moves. {@code most} is how many it can. */
    record OneNumber(int most) implements Obstacle {}

    /** Whether the message is on the cable all the same. */
    default boolean isSentAllTheSame() {
        return this instanceof NoPath || this instanceof KeptBack || this instanceof CannotShape;
    }
}
