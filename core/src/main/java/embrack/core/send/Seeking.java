package embrack.core.send;

import java.util.List;
import java.util.Optional;

/** A way to find which one of many messages a box answers to, as a value that goes on with what is seen. */
public sealed interface Seeking<M> permits Halving, OneByOne {

    /** What is sent next, in order; nothing when it is over. */
    List<M> next();

    /** Whether what is sent next was found and is asked back. */
    boolean isAskingBack();

    boolean isOver();

    /** What was found; empty while it is not over, and where it was none of them. */
    Optional<M> found();

    /** What was next was sent. */
    Seeking<M> sent();

    /** Somebody says whether it happened. */
    Seeking<M> answered(boolean happened);
}
