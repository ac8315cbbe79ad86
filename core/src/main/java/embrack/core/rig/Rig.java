package embrack.core.rig;

import embrack.core.chart.Action;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.Port;
import embrack.core.gear.SettingId;
import embrack.core.name.TapeLabel;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * Devices, the models that describe their hardware, and the cables between them. A rig is always whole: every device's
 * model is there, names are unique, settings are on the box, and every cable is one that can be plugged.
 *
 * @param name what the rig is called
 * @param models the models that its devices use, sorted by id
 * @param devices in the order in which they were added
 * @param cables sorted
 */
public record Rig(TapeLabel name, List<Model> models, List<Device> devices, List<Cable> cables) {

    public Rig {
        Objects.requireNonNull(name, "name");
        models = models.stream().sorted((a, b) -> a.id().compareTo(b.id())).toList();
        devices = List.copyOf(devices);
        cables = cables.stream().sorted().toList();
        requireDistinctNames(devices);
        Map<ModelId, Model> known = new HashMap<>();
        for (Model model : models) {
            if (known.put(model.id(), model) != null) {
                throw new IllegalArgumentException("the model \"%s\" is there twice".formatted(model.id()));
            }
        }
        for (Device device : devices) {
            requireFits(device, Optional.ofNullable(known.get(device.model())).orElseThrow(() ->
                    new IllegalArgumentException("%s uses the model \"%s\", which is not there".formatted(device.name(), device.model()))));
        }
        if (!cables.isEmpty()) {
            requirePluggable(new Rig(name, models, devices, List.of()), cables);
        }
    }

    /** A rig without gear. */
    public static Rig empty(TapeLabel name) {
        return new Rig(name, List.of(), List.of(), List.of());
    }

    public Optional<Device> find(DeviceId id) {
        return devices.stream().filter(device -> device.id().equals(id)).findFirst();
    }

    /**
     * The device of that id.
     *
     * @throws IllegalArgumentException when the rig has none
     */
    public Device device(DeviceId id) {
        return find(id).orElseThrow(() -> new IllegalArgumentException("there is no device \"%s\" in this rig".formatted(id)));
    }

    /** The name of a device that is in the rig. */
    public TapeLabel name(DeviceId id) {
        return device(id).name();
    }

    /** The hardware of a device that is in the rig. */
    public Model model(DeviceId id) {
        ModelId model = device(id).model();
        return models.stream().filter(m -> m.id().equals(model)).findFirst().orElseThrow();
    }

    /**
     * The port of a socket.
     *
     * @throws IllegalArgumentException when the device or the port is not there
     */
    public Port port(Socket socket) {
        return model(socket.device()).port(socket.port()).orElseThrow(() -> new IllegalArgumentException(
                "%s has no socket \"%s\"".formatted(name(socket.device()), socket.port())));
    }

    /** A setting as the box is set: the device's own value or the factory's; empty when the box has no such setting. */
    public Optional<Integer> setting(DeviceId id, SettingId setting) {
        return model(id).setting(setting)
                .map(s -> device(id).settings().getOrDefault(setting, s.factory()));
    }

    /**
     * What this show calls a part: the tape on it, or else the name printed on the box; the bare id of a part that
     * today's hardware does not have.
     */
    public TapeLabel partName(DeviceId id, PartId part) {
        return Optional.ofNullable(device(id).labels().get(part))
                .or(() -> model(id).part(part).map(Part::name))
                .orElseGet(() -> new TapeLabel(part.text()));
    }

    /** An action in words: "mute Vocal mic". */
    public String words(DeviceId id, Action action) {
        return action.words(partName(id, action.part()));
    }

    /** A socket in words: "Vocal mixer MIDI IN". */
    public String words(Socket socket) {
        return name(socket.device()) + " " + port(socket).name();
    }

    /** A cable in words: "from Voice board MIDI OUT to Vocal mixer MIDI IN". */
    public String words(Cable cable) {
        return "from %s to %s".formatted(words(cable.from()), words(cable.to()));
    }

    /** The cable plugged into a socket. */
    public Optional<Cable> cableIn(Socket socket) {
        return cables.stream().filter(cable -> cable.isIn(socket)).findFirst();
    }

    public Rig withName(TapeLabel other) {
        return new Rig(other, models, devices, cables);
    }

    /**
     * The rig with one more device at the end, its model added if none of that id is here yet; a description that came
     * with the plan stays the one that counts.
     */
    public Rig withDevice(Device device, Model model) {
        List<Device> more = new ArrayList<>(devices);
        more.add(device);
        return new Rig(name, withModel(model), more, cables);
    }

    /** The rig with one device changed. */
    public Rig withDeviceChanged(DeviceId id, UnaryOperator<Device> change) {
        device(id);
        return new Rig(name, models, devices.stream().map(d -> d.id().equals(id) ? change.apply(d) : d).toList(), cables);
    }

    /** The rig without a device and the cables in it. */
    public Rig withoutDevice(DeviceId id) {
        return new Rig(name, models, devices.stream().filter(d -> !d.id().equals(id)).toList(),
                cables.stream().filter(c -> !c.isIn(id)).toList()).withoutUnusedModels();
    }

    /** The rig with other hardware behind a device and these cables. */
    public Rig withHardware(Device device, Model model, List<Cable> remaining) {
        return new Rig(name, withModel(model), devices.stream().map(d -> d.id().equals(device.id()) ? device : d).toList(),
                remaining).withoutUnusedModels();
    }

    /** The rig with another description of a model that it uses. */
    public Rig withModelReplaced(Model model) {
        return new Rig(name, models.stream().map(m -> m.id().equals(model.id()) ? model : m).toList(), devices, cables);
    }

    public Rig withCable(Cable cable) {
        List<Cable> more = new ArrayList<>(cables);
        more.add(cable);
        return new Rig(name, models, devices, more);
    }

    public Rig withoutCable(Cable cable) {
        return new Rig(name, models, devices, cables.stream().filter(c -> !c.equals(cable)).toList());
    }

    private List<Model> withModel(Model model) {
        List<Model> more = new ArrayList<>(models);
        if (models.stream().noneMatch(m -> m.id().equals(model.id()))) {
            more.add(model);
        }
        return more;
    }

    private Rig withoutUnusedModels() {
        return new Rig(name, models.stream()
                .filter(m -> devices.stream().anyMatch(d -> d.model().equals(m.id()))).toList(), devices, cables);
    }

    private static void requireDistinctNames(List<Device> devices) {
        Set<DeviceId> ids = new HashSet<>();
        Set<String> names = new HashSet<>();
        for (Device device : devices) {
            if (!ids.add(device.id())) {
                throw new IllegalArgumentException("the device id \"%s\" is there twice".formatted(device.id()));
            }
            if (!names.add(device.name().text().toLowerCase(Locale.ROOT))) {
                throw new IllegalArgumentException("two devices are called \"%s\"".formatted(device.name()));
            }
        }
    }

    private static void requireFits(Device device, Model model) {
        device.settings().forEach((id, value) -> model.setting(id).orElseThrow(() -> new IllegalArgumentException(
                "%s has no setting \"%s\"".formatted(device.name(), id))).checked(value));
        device.labels().keySet().forEach(part -> model.part(part).orElseThrow(() -> new IllegalArgumentException(
                "%s has no part \"%s\"".formatted(device.name(), part))));
    }

    private static void requirePluggable(Rig bare, List<Cable> cables) {
        Set<Socket> taken = new HashSet<>();
        for (Cable cable : cables) {
            Cabling.mismatch(bare, cable.from(), cable.to()).ifPresent(why -> {
                throw new IllegalArgumentException(why);
            });
            for (Socket end : List.of(cable.from(), cable.to())) {
                if (!taken.add(end)) {
                    throw new IllegalArgumentException("%s holds two cables; one socket takes one".formatted(bare.words(end)));
                }
            }
        }
    }
}
