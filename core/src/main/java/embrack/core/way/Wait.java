package embrack.core.way;

/** What messages wait for on their way. */
public enum Wait {
    /** Their own bytes on a 5-pin cable. */
    WIRE,
    /** What is sent before them. */
    QUEUE,
    /** The next USB frame. */
    USB,
    /** The next meeting of two radios. */
    RADIO,
    /** A network by cable. */
    NETWORK,
    /** A network over the air. */
    WIFI,
    /** The next buffer of an app. */
    BUFFER,
    /** What was measured. */
    MEASURED,
    /** The next DMX frame. */
    DMX
}
