package embrack.core.plan;

import embrack.core.midi.MessageType;

/** Why a step cannot become a message that reaches its device. */
public sealed interface Obstacle {

    /** The device's chart has no row for the action. */
    record NoChartLine() implements Obstacle {
    }

    /** The device learns its message for the action, and has learned none yet. */
    record NothingLearned() implements Obstacle {
    }

    /** The switch cannot be programmed: it sends what its factory chose. {@code number} as sent, 0 to 127. */
    record SendsItsOwn(MessageType type, int number) implements Obstacle {
    }

    /** The board cannot send that type of message. */
    record CannotSend(MessageType type) implements Obstacle {
    }

    /** Links lead to the device, but a box on the way keeps the message back, or a link does not carry yet. {@code where} as a sentence. */
    record KeptBack(String where) implements Obstacle {
    }

    /** No links lead from the board to the device. */
    record NoPath() implements Obstacle {
    }

    /** The board has already sent all that it can in one press. */
    record OneTooMany() implements Obstacle {
    }
}
