package embrack.app.line;

import java.util.List;
import java.util.OptionalLong;

/**
 * What a browser tells at once.
 *
 * @param station which page of which browser
 * @param nowMicros when it tells it, by its own clock, in microseconds
 * @param offsetMicros how much the server's clock is before its own; empty where that was not measured
 * @param ports the names of its ports
 * @param read what it heard; nothing where it only tells that nothing more came
 */
record Told(String station, long nowMicros, OptionalLong offsetMicros, List<String> ports, HeardLines.Read read) {

    Told {
        ports = List.copyOf(ports);
    }
}
