package embrack.core.rig;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.Learnable;
import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.gear.Ability;
import embrack.core.gear.Condition;
import embrack.core.gear.Implementation;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.Port;
import embrack.core.gear.Purpose;
import embrack.core.gear.Route;
import embrack.core.gear.Setting;
import embrack.core.gear.SettingId;
import embrack.core.name.Slug;
import embrack.core.name.TapeLabel;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * Devices, the models that describe their hardware, and the links between their ports. A rig is always whole: every
 * device's model is there, names are unique, settings are on the box, apps live in computers, and every link is one
 * that can be made.
 */
public final class Rig {

    private final TapeLabel name;
    private final List<Model> models;
    private final List<Device> devices;
    private final List<Link> links;
    private final List<Pair> pairs;
    private final Map<ModelId, Model> modelsById = new HashMap<>();
    private final Map<DeviceId, Device> devicesById = new LinkedHashMap<>();
    private final Map<Socket, Port> portsBySocket = new HashMap<>();
    private final Map<Socket, List<Link>> linksBySocket = new HashMap<>();
    private final Map<DeviceId, List<Link>> linksByDevice = new HashMap<>();
    private final Map<Link, LinkKind> kinds = new HashMap<>();
    private final Map<DeviceId, Implementation> implementation = new HashMap<>();

    /**
     * A rig.
     *
     * @param name what the rig is called
     * @param models the models that its devices use
     * @param devices in the order in which they were added
     * @param links at most one between two ports in a direction
     * @param pairs devices that stand in for others
     * @throws IllegalArgumentException with a sentence for a person when the rig is not whole
     */
    public Rig(TapeLabel name, List<Model> models, List<Device> devices, List<Link> links, List<Pair> pairs) {
        this.name = Objects.requireNonNull(name, "name");
        this.models = models.stream().sorted((a, b) -> a.id().compareTo(b.id())).toList();
        this.devices = List.copyOf(devices);
        this.links = links.stream().sorted().toList();
        this.pairs = pairs.stream().sorted().toList();
        requireDistinctNames();
        for (Model model : this.models) {
            if (modelsById.put(model.id(), model) != null) {
                throw new IllegalArgumentException("the model \"%s\" is there twice".formatted(model.id()));
            }
        }
        this.devices.forEach(this::requireFits);
        this.devices.forEach(device -> model(device.id())
                .ports()
                .forEach(port -> portsBySocket.put(new Socket(device.id(), port.id()), port)));
        this.devices.forEach(device -> implementation.put(
                device.id(),
                model(device.id()).implementation().edited(device.table()).taught(device.learned())));
        this.pairs.forEach(this::requireAlike);
        this.links.forEach(link -> Stream.of(link.from().device(), link.to().device())
                .distinct()
                .forEach(device -> linksByDevice
                        .computeIfAbsent(device, d -> new ArrayList<>())
                        .add(link)));
        this.links.forEach(this::plug);
        Linking.overfull(this).ifPresent(why -> {
            throw new IllegalArgumentException(why);
        });
    }

    /** A rig without gear. */
    public static Rig empty(TapeLabel name) {
        return new Rig(name, List.of(), List.of(), List.of(), List.of());
    }

    public Optional<Device> find(DeviceId id) {
        return Optional.ofNullable(devicesById.get(id));
    }

    /**
     * The device of that id.
     *
     * @throws IllegalArgumentException when the rig has none
     */
    public Device device(DeviceId id) {
        return find(id).orElseThrow(
                        () -> new IllegalArgumentException("there is no device \"%s\" in this rig".formatted(id)));
    }

    /** The name of a device that is in the rig. */
    public TapeLabel name(DeviceId id) {
        return device(id).name();
    }

    /** The hardware of a device that is in the rig. */
    public Model model(DeviceId id) {
        return Objects.requireNonNull(modelsById.get(device(id).model()));
    }

    /** What a device answers to, with what it has learned. */
    public Implementation implementation(DeviceId id) {
        return Objects.requireNonNull(implementation.get(device(id).id()));
    }

    /** The chart of a device, with what it has learned. */
    public Chart chart(DeviceId id) {
        return implementation(id).chart();
    }

    /** The memories of a device that the show uses, counted from 1. */
    public SortedSet<Integer> memoriesInShow(DeviceId id) {
        SortedSet<Integer> named = device(id).memories().inShow();
        return named.isEmpty() ? MemoryUse.first(model(id).memory().memories()).inShow() : named;
    }

    /**
     * The port of a socket.
     *
     * @throws IllegalArgumentException when the device or the port is not there
     */
    public Port port(Socket socket) {
        return Optional.ofNullable(portsBySocket.get(socket))
                .orElseThrow(() -> new IllegalArgumentException(
                        "%s has no socket \"%s\"".formatted(name(socket.device()), socket.port())));
    }

    /** A setting as the box is set: the device's own value or the factory's; empty when the box has no such setting. */
    public Optional<Integer> setting(DeviceId id, SettingId setting) {
        return model(id).setting(setting).map(s -> device(id).settings().getOrDefault(setting, s.factory()));
    }

    /** The setting that a condition is about. */
    public Setting settingOf(DeviceId id, Condition condition) {
        return model(id).setting(condition.setting()).orElseThrow();
    }

    /** How the setting of a condition stands, as the box shows it. */
    public String shown(DeviceId id, Condition condition) {
        return settingOf(id, condition).shown(setting(id, condition.setting()).orElseThrow());
    }

    /** What keeps a device from doing something: the first condition of its model that its settings do not meet. */
    public Optional<Condition> unmet(DeviceId id, Ability ability) {
        return model(id).memory().conditions().stream()
                .filter(condition -> condition.ability() == ability)
                .filter(condition -> setting(id, condition.setting())
                        .filter(value -> value == condition.value())
                        .isEmpty())
                .findFirst();
    }

    /**
     * The setting that is for something.
     *
     * @throws IllegalArgumentException when the box has none
     */
    public Setting settingFor(DeviceId id, Purpose purpose) {
        return model(id)
                .setting(purpose)
                .orElseThrow(() -> new IllegalArgumentException(
                        "%s has no setting for the %s".formatted(name(id), purpose.words())));
    }

    /** What the setting for something is set to; empty when the box has no such setting. */
    public Optional<Integer> setting(DeviceId id, Purpose purpose) {
        return model(id).setting(purpose).map(s -> device(id).settings().getOrDefault(s.id(), s.factory()));
    }

    /** What this show calls a part: the tape on it, or else the name printed on the box. */
    public TapeLabel partName(DeviceId id, PartId part) {
        return Optional.ofNullable(device(id).labels().get(part)).orElseGet(() -> printedName(id, part));
    }

    /** The name printed on the box beside a part; the bare id of a part that today's hardware does not have. */
    public TapeLabel printedName(DeviceId id, PartId part) {
        return model(id).part(part).map(Part::name).orElseGet(() -> new TapeLabel(part.text()));
    }

    /** An action in words: "mute Vocal mic". */
    public String words(DeviceId id, Action action) {
        return action.words(partName(id, action.part()));
    }

    /** A socket in words: "Vocal mixer MIDI IN". */
    public String words(Socket socket) {
        return name(socket.device()) + " " + port(socket).name();
    }

    /** A link in words: "from Voice board MIDI OUT to Vocal mixer MIDI IN". */
    public String words(Link link) {
        return "from %s to %s".formatted(words(link.from()), words(link.to()));
    }

    /** What joins the two ends of a link. */
    public LinkKind kind(Link link) {
        LinkKind known = kinds.get(link);
        return known != null
                ? known
                : LinkKind.between(
                                port(link.from()).connector(), port(link.to()).connector())
                        .orElseThrow();
    }

    /** The links in a port, sorted. */
    public List<Link> linksIn(Socket socket) {
        return linksBySocket.getOrDefault(socket, List.of());
    }

    /** The links in the ports of a device, sorted. */
    public List<Link> linksIn(DeviceId device) {
        return linksByDevice.getOrDefault(device, List.of());
    }

    /** The link from one port to another, if there is one. */
    public Optional<Link> link(Socket from, Socket to) {
        return linksIn(from).stream().filter(link -> link.joins(from, to)).findFirst();
    }

    /** All ports of a device. */
    public List<Socket> sockets(DeviceId device) {
        return model(device).ports().stream()
                .map(port -> new Socket(device, port.id()))
                .toList();
    }

    /** The computer or tablet that a device lives in; the device itself if it is a box. */
    public DeviceId box(DeviceId device) {
        return device(device).spot().host().orElse(device);
    }

    /** Where a device stands; an app stands where its computer does. */
    public Area area(DeviceId device) {
        return device(box(device)).spot().area();
    }

    /** The apps that live in a computer or tablet, in the order of the rig. */
    public List<Device> appsIn(DeviceId host) {
        return devices.stream()
                .filter(device -> device.spot().host().filter(host::equals).isPresent())
                .toList();
    }

    /** The device that stands in for this one. */
    public Optional<DeviceId> standIn(DeviceId device) {
        return pairs.stream()
                .filter(pair -> pair.first().equals(device))
                .map(Pair::second)
                .findFirst();
    }

    /** What a way through a device lets pass. */
    public MidiFilter filter(DeviceId device, Route route) {
        boolean open = model(device).sockets().routes().getOrDefault(route, false);
        return device(device).filters().getOrDefault(route, open ? MidiFilter.OPEN : MidiFilter.SHUT);
    }

    public TapeLabel name() {
        return name;
    }

    /** The models that its devices use, sorted by id. */
    public List<Model> models() {
        return models;
    }

    /** In the order in which they were added. */
    public List<Device> devices() {
        return devices;
    }

    /** Sorted by their ends. */
    public List<Link> links() {
        return links;
    }

    /** Devices that stand in for others, sorted. */
    public List<Pair> pairs() {
        return pairs;
    }

    public Rig withName(TapeLabel other) {
        return new Rig(other, models, devices, links, pairs);
    }

    /**
     * A box that is not in the rig yet, with factory settings, where its kind usually stands; with a number behind its
     * name where another is called so.
     */
    public Device newDevice(TapeLabel wanted, Model model) {
        TapeLabel free = wanted;
        for (int n = 2; isCalled(free); n++) {
            String number = " " + n;
            free = TapeLabel.parse(wanted.text()
                            .substring(0, Math.min(wanted.text().length(), TapeLabel.MAX_LENGTH - number.length()))
                    + number);
        }
        String id = Slug.free(free.text(), slug -> find(new DeviceId(slug)).isEmpty());
        return Device.of(new DeviceId(id), free, model.id()).withSpot(Spot.in(Area.usualFor(model.kind())));
    }

    private boolean isCalled(TapeLabel name) {
        return devices.stream().anyMatch(device -> device.name().sameAs(name));
    }

    /**
     * The rig with one more device at the end, its model added if none of that id is here yet; a description that came
     * with the plan stays the one that counts.
     */
    public Rig withDevice(Device device, Model model) {
        return withDevices(List.of(device), List.of(model));
    }

    /** The rig with more devices at the end, as {@link #withDevice} adds each. */
    public Rig withDevices(List<Device> more, List<Model> theirs) {
        List<Device> all = new ArrayList<>(devices);
        all.addAll(more);
        Map<ModelId, Model> known = new LinkedHashMap<>();
        Stream.concat(models.stream(), theirs.stream()).forEach(model -> known.putIfAbsent(model.id(), model));
        return new Rig(name, List.copyOf(known.values()), all, links, pairs);
    }

    /** The rig with one device changed. */
    public Rig withDeviceChanged(DeviceId id, UnaryOperator<Device> change) {
        device(id);
        return new Rig(
                name,
                models,
                devices.stream()
                        .map(d -> d.id().equals(id) ? change.apply(d) : d)
                        .toList(),
                links,
                pairs);
    }

    /** The rig without a device, the links in it, and the pair it is half of; apps that lived in it live nowhere. */
    public Rig withoutDevice(DeviceId id) {
        return new Rig(
                        name,
                        models,
                        devices.stream()
                                .filter(d -> !d.id().equals(id))
                                .map(d -> d.spot().host().filter(id::equals).isPresent()
                                        ? d.withHost(Optional.empty())
                                        : d)
                                .toList(),
                        Linking.standing(
                                this,
                                links.stream()
                                        .filter(link -> !link.isIn(id)
                                                        && !(livesIn(link.from(), id) || livesIn(link.to(), id))
                                                || isBetweenApps(link, id) && kind(link) != LinkKind.SOUND_INSIDE)
                                        .toList()),
                        pairs.stream().filter(pair -> !pair.has(id)).toList())
                .withoutUnusedModels();
    }

    /**
     * The rig with other hardware behind a device and these links; a device that is no longer like its stand-in has
     * none.
     */
    public Rig withHardware(Device device, Model model, List<Link> remaining) {
        return new Rig(
                        name,
                        withModel(model),
                        devices.stream()
                                .map(d -> d.id().equals(device.id()) ? device : d)
                                .toList(),
                        remaining,
                        pairs.stream()
                                .filter(pair -> !pair.has(device.id())
                                        || model(device.id()).id().equals(model.id()))
                                .toList())
                .withoutUnusedModels();
    }

    /** The rig with another description of a model that it uses. */
    public Rig withModelReplaced(Model model) {
        return new Rig(
                name,
                models.stream().map(m -> m.id().equals(model.id()) ? model : m).toList(),
                devices,
                links,
                pairs);
    }

    public Rig withLink(Link link) {
        List<Link> more = new ArrayList<>(links);
        more.add(link);
        return new Rig(name, models, devices, more, pairs);
    }

    /** The rig without a link, and without what goes over it. */
    public Rig withoutLink(Link link) {
        return withoutLinks(link::equals);
    }

    /** The rig without some links, and without what goes over them. */
    public Rig withoutLinks(Predicate<Link> out) {
        return withLinks(
                Linking.standing(this, links.stream().filter(out.negate()).toList()));
    }

    /** The rig with a link in the place of the one that joins the same two ports. */
    public Rig withLinkChanged(Link changed) {
        return withLinks(links.stream()
                .map(link -> link.joins(changed.from(), changed.to()) ? changed : link)
                .toList());
    }

    public Rig withLinks(List<Link> others) {
        return new Rig(name, models, devices, others, pairs);
    }

    public Rig withPairs(List<Pair> others) {
        return new Rig(name, models, devices, links, others);
    }

    private List<Model> withModel(Model model) {
        List<Model> more = new ArrayList<>(models);
        if (models.stream().noneMatch(m -> m.id().equals(model.id()))) {
            more.add(model);
        }
        return more;
    }

    private Rig withoutUnusedModels() {
        return new Rig(
                name,
                models.stream()
                        .filter(m -> devices.stream().anyMatch(d -> d.model().equals(m.id())))
                        .toList(),
                devices,
                links,
                pairs);
    }

    private boolean livesIn(Socket socket, DeviceId host) {
        return device(socket.device()).spot().host().filter(host::equals).isPresent();
    }

    /** A link that stays when the computer goes: an app's own connection over a network. */
    private boolean isBetweenApps(Link link, DeviceId gone) {
        return !link.isIn(gone) && kind(link) != LinkKind.INSIDE;
    }

    private void requireDistinctNames() {
        Set<String> names = new HashSet<>();
        for (Device device : devices) {
            if (devicesById.put(device.id(), device) != null) {
                throw new IllegalArgumentException("the device id \"%s\" is there twice".formatted(device.id()));
            }
            if (!names.add(device.name().text().toLowerCase(Locale.ROOT))) {
                throw new IllegalArgumentException("two devices are called \"%s\"".formatted(device.name()));
            }
        }
    }

    private void requireFits(Device device) {
        Model model = Optional.ofNullable(modelsById.get(device.model()))
                .orElseThrow(() -> new IllegalArgumentException(
                        "%s uses the model \"%s\", which is not there".formatted(device.name(), device.model())));
        device.settings()
                .forEach((id, value) -> model.setting(id)
                        .orElseThrow(() ->
                                new IllegalArgumentException("%s has no setting \"%s\"".formatted(device.name(), id)))
                        .checked(value));
        device.labels()
                .keySet()
                .forEach(part -> model.part(part)
                        .orElseThrow(() ->
                                new IllegalArgumentException("%s has no part \"%s\"".formatted(device.name(), part))));
        device.filters().keySet().stream()
                .filter(route -> !model.sockets().routes().containsKey(route))
                .findFirst()
                .ifPresent(route -> {
                    throw new IllegalArgumentException("%s has no way through from \"%s\" to \"%s\""
                            .formatted(device.name(), route.from(), route.to()));
                });
        device.feeds().keySet().stream()
                .filter(output -> model.outputs().stream().noneMatch(p -> p.id().equals(output)))
                .findFirst()
                .ifPresent(output -> {
                    throw new IllegalArgumentException(
                            "%s has no sound output \"%s\"".formatted(device.name(), output));
                });
        requireSound(device, model);
        device.learned().forEach((id, message) -> requireLearns(device, model, id, message));
        device.table().forEach((program, part) -> requireInTable(device, model, program, part));
        if (device.memories().highest() > model.memory().memories()) {
            throw new IllegalArgumentException("%s has %d memories; there is no memory %d."
                    .formatted(
                            device.name(),
                            model.memory().memories(),
                            device.memories().highest()));
        }
        device.spot().host().ifPresent(host -> requireHost(device, model, host));
    }

    private static void requireSound(Device device, Model model) {
        SoundUse use = device.sound();
        SoundUse kept = use.in(model);
        if (!kept.sends().equals(use.sends())) {
            throw new IllegalArgumentException("%s has no level for one of its ways of sound: %s"
                    .formatted(device.name(), use.sends().keySet()));
        }
        if (!kept.phantom().equals(use.phantom())) {
            throw new IllegalArgumentException("%s gives 48 V at none of %s".formatted(device.name(), use.phantom()));
        }
        if (!kept.equals(use)) {
            throw new IllegalArgumentException("%s has no such socket for sound".formatted(device.name()));
        }
    }

    private static void requireLearns(Device device, Model model, LearnableId id, Learned message) {
        Learnable learnable = model.chart().learnables().stream()
                .filter(l -> l.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "%s learns no message for \"%s\".".formatted(device.name(), id.key())));
        if (!learnable.types().contains(message.type())) {
            throw new IllegalArgumentException("%s does not learn from %s."
                    .formatted(device.name(), message.type().plural()));
        }
        if (message.channel().isEmpty()
                && model.setting(Purpose.RECEIVE_CHANNEL).isEmpty()) {
            throw new IllegalArgumentException(
                    "%s is set to no channel, so what it learns needs one.".formatted(device.name()));
        }
    }

    private static void requireInTable(Device device, Model model, int program, PartId part) {
        if (!model.chart().table().containsKey(program)) {
            throw new IllegalArgumentException(
                    "%s has no program %d in a table that can be edited.".formatted(device.name(), program));
        }
        if (!model.chart().beside().editable().contains(part)) {
            throw new IllegalArgumentException(
                    "No program of %s can be made to choose \"%s\".".formatted(device.name(), part));
        }
    }

    private void requireHost(Device device, Model model, DeviceId host) {
        Device computer = find(host)
                .orElseThrow(() -> new IllegalArgumentException(
                        "%s lives in \"%s\", which is not there".formatted(device.name(), host)));
        if (Objects.requireNonNull(modelsById.get(computer.model())).kind() != Kind.HOST) {
            throw new IllegalArgumentException(
                    "%s is no computer or tablet, so %s cannot live in it.".formatted(computer.name(), device.name()));
        }
        if (!model.isApp()) {
            throw new IllegalArgumentException(
                    "%s is a box and no app, so it stands beside a computer and does not live in it."
                            .formatted(device.name()));
        }
    }

    private void requireAlike(Pair pair) {
        if (!model(pair.first()).id().equals(model(pair.second()).id())) {
            throw new IllegalArgumentException(
                    "%s and %s are not the same hardware, so neither can stand in for the other."
                            .formatted(name(pair.first()), name(pair.second())));
        }
        if (pairs.stream().anyMatch(other -> other != pair && (other.has(pair.first()) || other.has(pair.second())))) {
            throw new IllegalArgumentException("%s and %s: each device is in one pair at most."
                    .formatted(name(pair.first()), name(pair.second())));
        }
    }

    private void plug(Link link) {
        Linking.refusal(this, link.from(), link.to()).ifPresent(why -> {
            throw new IllegalArgumentException(why);
        });
        kinds.put(link, kind(link));
        linksBySocket.computeIfAbsent(link.from(), s -> new ArrayList<>()).add(link);
        linksBySocket.computeIfAbsent(link.to(), s -> new ArrayList<>()).add(link);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Rig that
                && name.equals(that.name)
                && models.equals(that.models)
                && devices.equals(that.devices)
                && links.equals(that.links)
                && pairs.equals(that.pairs);
    }

    @Override
    public int hashCode() {
        return Objects.hash(name, devices, links, pairs);
    }

    @Override
    public String toString() {
        return "Rig[%s, %s, %s, %s]".formatted(name, devices, links, pairs);
    }
}
