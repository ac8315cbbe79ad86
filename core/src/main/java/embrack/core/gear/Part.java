package embrack.core.gear;

/**
 * A part of a box whose state can change, such as one strip of a mixer.
 *
 * @param name as printed on the box: "Return 1"
 */
public record Part(PartId id, TapeLabel name) {
}
