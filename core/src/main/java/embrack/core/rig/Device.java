package embrack.core.rig;

import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.chart.PartId;
import embrack.core.gear.ModelId;
import embrack.core.gear.PortId;
import embrack.core.gear.Route;
import embrack.core.gear.SettingId;
import embrack.core.name.TapeLabel;
import java.util.Collections;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A job in the rig and the hardware that does it today.
 *
 * @param name the job: "Vocal mixer"
 * @param model the hardware
 * @param settings settings that differ from the factory's
 * @param labels tape on parts: what this show calls them
 * @param spot where it stands, or lives
 * @param filters what its ways through let pass, where that differs from a new box
 * @param sound what this show makes of its sockets for sound
 * @param learned the messages that it has been given for what it learns
 * @param memories what its memories are for
 * @param table what programs choose, where the table of the box was edited: by the program as sent, 0 to 127
 * @param handWork what people do at it with their hands
 */
public record Device(
        DeviceId id,
        TapeLabel name,
        ModelId model,
        SortedMap<SettingId, Integer> settings,
        SortedMap<PartId, TapeLabel> labels,
        Spot spot,
        SortedMap<Route, MidiFilter> filters,
        SoundUse sound,
        SortedMap<LearnableId, Learned> learned,
        MemoryUse memories,
        SortedMap<Integer, PartId> table,
        HandWork handWork) {

    public Device {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(model, "model");
        Objects.requireNonNull(spot, "spot");
        Objects.requireNonNull(handWork, "handWork");
        Objects.requireNonNull(memories, "memories");
        settings = Collections.unmodifiableSortedMap(new TreeMap<>(settings));
        labels = Collections.unmodifiableSortedMap(new TreeMap<>(labels));
        filters = Collections.unmodifiableSortedMap(new TreeMap<>(filters));
        Objects.requireNonNull(sound, "sound");
        table = Collections.unmodifiableSortedMap(new TreeMap<>(table));
        learned = Collections.unmodifiableSortedMap(new TreeMap<>(learned));
    }

    /** A device fresh from the box, on the floor. */
    public static Device of(DeviceId id, TapeLabel name, ModelId model) {
        return new Device(
                id,
                name,
                model,
                new TreeMap<>(),
                new TreeMap<>(),
                Spot.in(Area.FLOOR),
                new TreeMap<>(),
                SoundUse.NONE,
                new TreeMap<>(),
                MemoryUse.ALL,
                new TreeMap<>(),
                HandWork.NONE);
    }

    public Device withName(TapeLabel other) {
        return new Device(id, other, model, settings, labels, spot, filters, sound, learned, memories, table, handWork);
    }

    /** The same job done by other hardware, with what of the settings, the tape, the sieves and the sound is kept. */
    public Device withModel(
            ModelId other,
            SortedMap<SettingId, Integer> kept,
            SortedMap<PartId, TapeLabel> tape,
            SortedMap<Route, MidiFilter> through,
            SoundUse heard) {
        return new Device(id, name, other, kept, tape, spot, through, heard, learned, memories, table, handWork);
    }

    public Device withSetting(SettingId setting, int value) {
        return new Device(
                id,
                name,
                model,
                with(settings, setting, value),
                labels,
                spot,
                filters,
                sound,
                learned,
                memories,
                table,
                handWork);
    }

    public Device withLabel(PartId part, TapeLabel label) {
        return new Device(
                id,
                name,
                model,
                settings,
                with(labels, part, label),
                spot,
                filters,
                sound,
                learned,
                memories,
                table,
                handWork);
    }

    /** The device without tape on a part, which then goes by the name printed on the box. */
    public Device withoutLabel(PartId part) {
        return new Device(
                id,
                name,
                model,
                settings,
                without(labels, part),
                spot,
                filters,
                sound,
                learned,
                memories,
                table,
                handWork);
    }

    public Device withSpot(Spot other) {
        return new Device(id, name, model, settings, labels, other, filters, sound, learned, memories, table, handWork);
    }

    /** The device in a computer or tablet; without one, nowhere yet. */
    public Device withHost(Optional<DeviceId> host) {
        return withSpot(new Spot(spot.area(), host));
    }

    public Device withFilter(Route route, MidiFilter filter) {
        return new Device(
                id,
                name,
                model,
                settings,
                labels,
                spot,
                with(filters, route, filter),
                sound,
                learned,
                memories,
                table,
                handWork);
    }

    /** The device with something else on an output; an output that is not used is forgotten. */
    public Device withFeed(PortId output, Feed feed) {
        return new Device(
                id,
                name,
                model,
                settings,
                labels,
                spot,
                filters,
                sound.withFeed(output, feed),
                learned,
                memories,
                table,
                handWork);
    }

    /** The device with a message for something that it learns. */
    public Device withLearned(LearnableId learnable, Learned message) {
        return withLearned(with(learned, learnable, message));
    }

    public Device withLearned(SortedMap<LearnableId, Learned> others) {
        return new Device(id, name, model, settings, labels, spot, filters, sound, others, memories, table, handWork);
    }

    public Device withMemories(MemoryUse other) {
        return new Device(id, name, model, settings, labels, spot, filters, sound, learned, other, table, handWork);
    }

    /** The device with other programs of its table edited. */
    public Device withTable(SortedMap<Integer, PartId> other) {
        return new Device(id, name, model, settings, labels, spot, filters, sound, learned, memories, other, handWork);
    }

    public Device withHandWork(HandWork other) {
        return new Device(id, name, model, settings, labels, spot, filters, sound, learned, memories, table, other);
    }

    public Device withSound(SoundUse other) {
        return new Device(id, name, model, settings, labels, spot, filters, other, learned, memories, table, handWork);
    }

    /** What is on its sound outputs, where anything is. */
    public SortedMap<PortId, Feed> feeds() {
        return sound.feeds();
    }

    /** What is on an output. */
    public Feed feed(PortId output) {
        return sound.feed(output);
    }

    private static <K, V> SortedMap<K, V> with(Map<K, V> map, K key, V value) {
        var more = new TreeMap<>(map);
        more.put(key, value);
        return more;
    }

    private static <K, V> SortedMap<K, V> without(Map<K, V> map, K key) {
        var fewer = new TreeMap<>(map);
        fewer.remove(key);
        return fewer;
    }
}
