package embrack.core.gear;

/**
 * A way through a box, from where messages come in to where they go on.
 *
 * @param from a port that takes messages in
 * @param to a port that sends
 */
public record Route(PortId from, PortId to) implements Comparable<Route> {

    /** The route in a link and in a file: {@code in-1.out}. */
    public String key() {
        return from + "." + to;
    }

    @Override
    public int compareTo(Route other) {
        return key().compareTo(other.key());
    }
}
