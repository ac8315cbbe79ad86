package embrack.core.send;

/**
 * An answer that was given once, and to what.
 *
 * @param sent what the box was sent then, as {@link Probe#written()} has it
 */
public record Asked(String sent, Answer answer) {}
