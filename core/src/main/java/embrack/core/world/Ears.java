package embrack.core.world;

import embrack.core.chart.MessageMemory;
import embrack.core.rig.DeviceId;
import java.util.Collections;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What receivers remember of messages.
 *
 * @param heard of devices that remember anything
 * @param levels the last level that came in at a place where a control takes over, 0 to 127
 * @param deaf for how long devices obey nothing yet, in microseconds from now
 */
record Ears(
        SortedMap<DeviceId, MessageMemory> heard, SortedMap<Place, Integer> levels, SortedMap<DeviceId, Long> deaf) {

    /** Nothing has come yet. */
    static final Ears NONE =
            new Ears(Collections.emptySortedMap(), Collections.emptySortedMap(), Collections.emptySortedMap());

    MessageMemory heardBy(DeviceId device) {
        return heard.isEmpty() ? MessageMemory.NOTHING : heard.getOrDefault(device, MessageMemory.NOTHING);
    }

    Ears remembering(DeviceId device, MessageMemory memory) {
        if (memory.equals(heardBy(device))) {
            return this;
        }
        SortedMap<DeviceId, MessageMemory> more = new TreeMap<>(heard);
        if (memory.equals(MessageMemory.NOTHING)) {
            more.remove(device);
        } else {
            more.put(device, memory);
        }
        return new Ears(Collections.unmodifiableSortedMap(more), levels, deaf);
    }

    Ears withLevel(Place place, int level) {
        SortedMap<Place, Integer> more = new TreeMap<>(levels);
        more.put(place, level);
        return new Ears(heard, Collections.unmodifiableSortedMap(more), deaf);
    }

    /** Whether a device obeys nothing so many microseconds from now. */
    boolean isDeaf(DeviceId device, long atMicros) {
        return !deaf.isEmpty() && deaf.getOrDefault(device, 0L) > atMicros;
    }

    /** With a device that obeys nothing until so many microseconds from now. */
    Ears deafUntil(DeviceId device, long micros) {
        SortedMap<DeviceId, Long> more = new TreeMap<>(deaf);
        more.merge(device, micros, Math::max);
        return new Ears(heard, levels, Collections.unmodifiableSortedMap(more));
    }

    /** As it is when some time has gone by. */
    Ears later(long micros) {
        if (deaf.isEmpty()) {
            return this;
        }
        SortedMap<DeviceId, Long> left = new TreeMap<>();
        deaf.forEach((device, until) -> {
            if (until > micros) {
                left.put(device, until - micros);
            }
        });
        return new Ears(heard, levels, Collections.unmodifiableSortedMap(left));
    }

    /** Without what a device heard before it went dark. */
    Ears forgetting(DeviceId device) {
        SortedMap<DeviceId, MessageMemory> others = new TreeMap<>(heard);
        others.remove(device);
        SortedMap<Place, Integer> rest = new TreeMap<>(levels);
        rest.keySet().removeIf(place -> place.device().equals(device));
        SortedMap<DeviceId, Long> deafOnes = new TreeMap<>(deaf);
        deafOnes.remove(device);
        return new Ears(
                Collections.unmodifiableSortedMap(others),
                Collections.unmodifiableSortedMap(rest),
                Collections.unmodifiableSortedMap(deafOnes));
    }

    /** The same on every machine. */
    int hash() {
        int hash = 1;
        for (var entry : heard.entrySet()) {
            hash = 31 * (31 * hash + entry.getKey().text().hashCode())
                    + entry.getValue().hashCode();
        }
        for (var entry : deaf.entrySet()) {
            hash = 31 * (31 * hash + entry.getKey().text().hashCode()) + Long.hashCode(entry.getValue());
        }
        for (int level : levels.values()) {
            hash = 31 * hash + level;
        }
        return hash;
    }
}
