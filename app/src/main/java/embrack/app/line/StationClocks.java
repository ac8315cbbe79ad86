package embrack.app.line;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * How the clocks of browsers lie to that of the server: as each measured it, else by the first telling of each, and the
 * same from then on. So the times between two messages are those of the browser, however long its tellings travel.
 */
final class StationClocks {

    private static final int REMEMBERED = 1_000;

    private final Map<String, Long> offsets = new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Long> eldest) {
            return size() > REMEMBERED;
        }
    };

    /** A time of a station by the clock of the server, in microseconds. */
    synchronized long micros(Told told, long serverMicros) {
        told.offsetMicros().ifPresent(offset -> offsets.put(told.station(), offset));
        return told.nowMicros() + offsets.computeIfAbsent(told.station(), station -> serverMicros - told.nowMicros());
    }
}
