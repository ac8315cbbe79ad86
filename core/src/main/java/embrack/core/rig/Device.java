package embrack.core.rig;

import embrack.core.chart.PartId;
import embrack.core.gear.ModelId;
import embrack.core.gear.SettingId;
import embrack.core.name.TapeLabel;
import java.util.Collections;
import java.util.Map;
import java.util.Objects;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A job in the rig and the hardware that does it today.
 *
 * @param name the job: "Vocal mixer"
 * @param model the hardware
 * @param settings settings that differ from the factory's
 * @param labels tape on parts: what this show calls them
 */
public record Device(DeviceId id, TapeLabel name, ModelId model, SortedMap<SettingId, Integer> settings,
        SortedMap<PartId, TapeLabel> labels) {

    public Device {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(model, "model");
        settings = Collections.unmodifiableSortedMap(new TreeMap<>(settings));
        labels = Collections.unmodifiableSortedMap(new TreeMap<>(labels));
    }

    /** A device fresh from the box. */
    public static Device of(DeviceId id, TapeLabel name, ModelId model) {
        return new Device(id, name, model, new TreeMap<>(), new TreeMap<>());
    }

    public Device withName(TapeLabel other) {
        return new Device(id, other, model, settings, labels);
    }

    /** The same job done by other hardware; settings and tape go with the old box. */
    public Device withModel(ModelId other, SortedMap<SettingId, Integer> kept, SortedMap<PartId, TapeLabel> tape) {
        return new Device(id, name, other, kept, tape);
    }

    public Device withSetting(SettingId setting, int value) {
        return new Device(id, name, model, with(settings, setting, value), labels);
    }

    public Device withLabel(PartId part, TapeLabel label) {
        return new Device(id, name, model, settings, with(labels, part, label));
    }

    /** The device without tape on a part, which then goes by the name printed on the box. */
    public Device withoutLabel(PartId part) {
        var fewer = new TreeMap<>(labels);
        fewer.remove(part);
        return new Device(id, name, model, settings, fewer);
    }

    private static <K, V> SortedMap<K, V> with(Map<K, V> map, K key, V value) {
        var more = new TreeMap<>(map);
        more.put(key, value);
        return more;
    }
}
