package embrack.files.json;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/**
 * What objects of one kind said that were read before, the last asked for; many may ask at the same time. A file that
 * is read again and again with one thing changed is read faster so.
 *
 * @param <T> what such an object is in core
 */
public final class Known<T> {

    private final Map<JsonNode, T> last;

    /**
     * Knows nothing yet.
     *
     * @param most as many objects as are kept, with all that stands in them
     */
    public Known(int most) {
        last = new LinkedHashMap<>(16, 0.75f, true) {

            private static final long serialVersionUID = 1L;

            @Override
            protected boolean removeEldestEntry(Map.Entry<JsonNode, T> eldest) {
                return size() > most;
            }
        };
    }

    synchronized Optional<T> find(JsonNode object) {
        return Optional.ofNullable(last.get(object));
    }

    synchronized void add(JsonNode object, T said) {
        last.put(object, said);
    }
}
