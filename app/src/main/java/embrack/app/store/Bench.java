package embrack.app.store;

import java.util.List;

/**
 * Where somebody sits with gear plugged in.
 *
 * @param place which browser on which computer; what hangs at its ports is known for that place alone
 * @param station which page of it, as long as it is not loaded again
 * @param ports the names of its ports out
 */
public record Bench(String place, String station, List<String> ports) {

    /** The longest name of a place, in characters. */
    public static final int LONGEST = 60;

    public Bench {
        place = place.substring(0, Math.min(LONGEST, place.length()));
        ports = List.copyOf(ports);
    }
}
