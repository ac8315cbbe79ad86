package embrack.files.plan;

import embrack.core.chart.Action;
import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.chart.Response;
import embrack.core.chart.Verb;
import embrack.core.edit.GearEdit.AddDevice;
import embrack.core.gear.ControlType;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.PortId;
import embrack.core.gear.Route;
import embrack.core.gear.Setting;
import embrack.core.gear.SettingId;
import embrack.core.gear.SwitchMode;
import embrack.core.level.Curve;
import embrack.core.level.Law;
import embrack.core.level.Range;
import embrack.core.level.Takeover;
import embrack.core.midi.Channel;
import embrack.core.midi.MessageType;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.Area;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Ear;
import embrack.core.rig.Feed;
import embrack.core.rig.Length;
import embrack.core.rig.Link;
import embrack.core.rig.MidiFilter;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.rig.Sound;
import embrack.core.rig.Spot;
import embrack.core.rig.Traffic;
import embrack.core.show.Book;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import embrack.core.switches.Practice;
import embrack.core.switches.Practices;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import embrack.core.switches.Target;
import embrack.files.json.Fields;
import embrack.files.model.EarlierModel;
import embrack.files.model.FileWords;
import embrack.files.model.ModelReader;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Reads a plan from the fields of its file. What refers to something is read after it, so that the field can be named.
 */
final class PlanReader {

    private static final int MAX_SWITCHES = 5_000;
    private static final int MAX_LINKS = 8 * AddDevice.MAX_DEVICES;

    private static final Map<String, Area> AREAS = FileWords.byWord(Area.values());
    private static final Map<String, Traffic> TRAFFIC = FileWords.byWord(Traffic.values());
    private static final Map<String, Sound> SOUNDS = FileWords.byWord(Sound.values());
    private static final Map<String, Ear> EARS = FileWords.byWord(Ear.values());
    private static final Map<String, Duty> DUTIES = FileWords.byWord(Duty.values());
    private static final Map<String, SwitchMode> MODES = FileWords.byWord(SwitchMode.values());
    private static final Map<String, ControlType> CONTROLS = FileWords.byWord(ControlType.values());
    private static final Map<String, Takeover> TAKEOVERS = FileWords.byWord(Takeover.values());
    private static final Map<String, Curve> CURVES = FileWords.byWord(Curve.values());
    private static final Map<String, Law> LAWS = FileWords.byWord(Law.values());
    private static final Map<String, Practice> SCHOOLS = FileWords.byWord(Practice.values());

    private Rig rig;
    private final Map<ModelId, Model> models = new LinkedHashMap<>();
    private final Map<ModelId, Map<PartId, PartId>> renamed = new HashMap<>();

    private final List<Drawn> links = new ArrayList<>();
    private final List<Home> homes = new ArrayList<>();

    /** A link, with the place where it stands. */
    private record Drawn(Link link, Fields place) {}

    /** Where an app lives, kept until all devices are there. */
    private record Home(Fields place, DeviceId app, Optional<DeviceId> host) {}

    private PlanReader(Rig rig) {
        this.rig = rig;
    }

    static Plan read(Fields file) {
        int version = file.requireVersion(PlanFile.FORMAT, PlanFile.VERSION);
        TapeLabel name = file.text("name", TapeLabel::new);
        var reader = new PlanReader(Rig.empty(name));
        file.objects("models", AddDevice.MAX_DEVICES, f -> reader.model(f, version));
        file.objects("devices", AddDevice.MAX_DEVICES, reader::device);
        reader.homes.forEach(home -> home.host()
                .ifPresent(host -> reader.rig = home.place()
                        .fit(
                                "livesIn",
                                () -> reader.rig.withDeviceChanged(home.app(), d -> d.withHost(Optional.of(host))))));
        file.objects(version > 2 ? "links" : "cables", MAX_LINKS, reader::link);
        reader.makeLinks();
        if (file.holds("pairs")) {
            file.objects("pairs", AddDevice.MAX_DEVICES, reader::pair);
        }
        List<Assignment> assignments = file.objects("switches", MAX_SWITCHES, reader::assignment);
        List<ControlAssignment> controlAssignments =
                file.holds("controls") ? file.objects("controls", MAX_SWITCHES, reader::controlAssignment) : List.of();
        Set<Practice> others =
                file.holds("otherSchools") ? new TreeSet<>(file.severalOf("otherSchools", SCHOOLS)) : Set.of();
        Plan plan = new Plan(
                reader.rig,
                file.fit("switches", () -> new Switches(assignments, controlAssignments)),
                new Practices(others),
                Book.EMPTY);
        return file.holds("songs") ? BookReader.read(file, plan, reader::step) : plan;
    }

    private Model model(Fields f, int version) {
        if (version > 1) {
            return keep(f, ModelReader.read(f));
        }
        EarlierModel earlier = EarlierModel.read(f);
        renamed.put(earlier.model().id(), earlier.parts());
        return keep(f, earlier.model());
    }

    private Model keep(Fields f, Model model) {
        return f.fit("id", () -> {
            if (models.put(model.id(), model) != null) {
                throw new IllegalArgumentException("\"%s\" is there twice".formatted(model.id()));
            }
            return model;
        });
    }

    /** A part by the id that it has today; files of version 1 had ids of their own. */
    private PartId today(ModelId model, String id) {
        PartId part = new PartId(id);
        return renamed.getOrDefault(model, Map.of()).getOrDefault(part, part);
    }

    private Device device(Fields f) {
        DeviceId id = f.text("id", DeviceId::new);
        TapeLabel name = f.text("name", TapeLabel::new);
        Model model = f.text(
                "model",
                text -> Optional.ofNullable(models.get(new ModelId(text)))
                        .orElseThrow(() ->
                                new IllegalArgumentException("there is no model \"%s\" in this file".formatted(text))));
        SortedMap<SettingId, Integer> settings = new TreeMap<>();
        f.eachField("settings", (values, key) -> {
            Setting setting = values.fit(key, () -> setting(model, key));
            int value = values.integer(key);
            return settings.put(setting.id(), values.fit(key, () -> setting.checked(value)));
        });
        SortedMap<PartId, TapeLabel> labels = new TreeMap<>();
        f.eachField(
                "labels",
                (values, key) ->
                        labels.put(values.fit(key, () -> part(model, key)).id(), values.text(key, TapeLabel::new)));
        Area area = f.holds("area") ? f.oneOf("area", AREAS) : Area.FLOOR;
        homes.add(new Home(f, id, f.optionalText("livesIn", DeviceId::new)));
        Device device = new Device(
                id,
                name,
                model.id(),
                settings,
                labels,
                Spot.in(area),
                filters(f),
                feeds(f),
                learned(f),
                f.integerOr("memoriesUsed", 0));
        rig = f.fit(() -> rig.withDevice(device, model));
        return device;
    }

    private static SortedMap<Route, MidiFilter> filters(Fields f) {
        SortedMap<Route, MidiFilter> filters = new TreeMap<>();
        if (f.holds("passes")) {
            f.objects("passes", 256, p -> {
                var route = new Route(p.text("from", PortId::new), p.text("to", PortId::new));
                boolean open = p.bool("open");
                Set<Traffic> stopped = p.holds("stopped") ? new TreeSet<>(p.severalOf("stopped", TRAFFIC)) : Set.of();
                Set<Integer> channels = p.holds("channels") ? new TreeSet<>(p.integers("channels")) : Set.of();
                Optional<Integer> onto = p.holds("onto") ? Optional.of(p.integer("onto")) : Optional.empty();
                return filters.put(
                        route,
                        p.fit(() -> new MidiFilter(
                                open, new TreeSet<>(stopped), new TreeSet<>(channels), onto.map(Channel::new))));
            });
        }
        return filters;
    }

    private static SortedMap<PortId, Feed> feeds(Fields f) {
        SortedMap<PortId, Feed> feeds = new TreeMap<>();
        if (f.holds("feeds")) {
            f.objects(
                    "feeds",
                    256,
                    p -> feeds.put(
                            p.text("output", PortId::new),
                            new Feed(
                                    new TreeSet<>(p.severalOf("sounds", SOUNDS)),
                                    new TreeSet<>(p.severalOf("to", EARS)))));
        }
        return feeds;
    }

    private static SortedMap<LearnableId, Learned> learned(Fields f) {
        SortedMap<LearnableId, Learned> learned = new TreeMap<>();
        if (f.holds("learned")) {
            f.objects("learned", 512, p -> {
                LearnableId learnable = new LearnableId(p.text("verb", Verb::parse), p.text("part", PartId::new));
                MessageType type = p.oneOf("type", FileWords.MESSAGE_TYPES);
                Optional<Integer> channel = p.holds("channel") ? Optional.of(p.integer("channel")) : Optional.empty();
                int number = p.integer("number");
                boolean alternating = p.boolOr("alternating", false);
                int low = p.integerOr("low", 0);
                int high = p.integerOr("high", 127);
                boolean pinned = p.boolOr("pinned", false);
                return learned.put(
                        learnable,
                        p.fit(() -> new Learned(
                                type,
                                channel.map(Channel::new),
                                number,
                                new Response(alternating, low, high),
                                pinned)));
            });
        }
        return learned;
    }

    private Pair pair(Fields f) {
        Pair pair = f.fit(() -> new Pair(device(f, "first"), device(f, "second")));
        List<Pair> pairs = new ArrayList<>(rig.pairs());
        pairs.add(pair);
        rig = f.fit(() -> rig.withPairs(pairs));
        return pair;
    }

    private static Setting setting(Model model, String key) {
        return model.setting(new SettingId(key))
                .orElseThrow(() -> new IllegalArgumentException("%s has no such setting".formatted(model.name())));
    }

    private Part part(Model model, String key) {
        return model.part(today(model.id(), key))
                .orElseThrow(() -> new IllegalArgumentException("%s has no such part".formatted(model.name())));
    }

    private Link link(Fields f) {
        Socket from = f.object("from", this::socket);
        Socket to = f.object("to", this::socket);
        Optional<Length> length = f.holds("centimetres")
                ? Optional.of(f.integer("centimetres")).map(c -> f.fit("centimetres", () -> new Length(c)))
                : Optional.empty();
        Link link = new Link(from, to, length);
        links.add(new Drawn(link, f));
        return link;
    }

    /** Makes all links at once; where one cannot be made, one by one, so that its place can be told. */
    private void makeLinks() {
        try {
            rig = rig.withLinks(links.stream().map(Drawn::link).toList());
        } catch (IllegalArgumentException e) {
            links.forEach(drawn -> rig = drawn.place.fit(() -> rig.withLink(drawn.link)));
        }
    }

    private Socket socket(Fields f) {
        Socket socket = new Socket(device(f, "device"), f.text("port", PortId::new));
        f.fit("port", () -> rig.port(socket));
        return socket;
    }

    private Assignment assignment(Fields f) {
        DeviceId board = device(f, "board");
        int bank = f.integer("bank");
        int number = f.integer("switch");
        Optional<TapeLabel> label = f.optionalText("label", TapeLabel::new);
        Optional<TapeLabel> shortLabel = f.optionalText("shortLabel", TapeLabel::new);
        Optional<Duty> duty = f.holds("duty") ? Optional.of(f.oneOf("duty", DUTIES)) : Optional.empty();
        Optional<SwitchMode> mode = f.holds("mode") ? Optional.of(f.oneOf("mode", MODES)) : Optional.empty();
        SortedMap<Moment, List<Step>> moments = new TreeMap<>();
        for (Moment moment : Moment.values()) {
            if (moment == Moment.PRESS || f.holds(PlanWriter.stepsOn(moment))) {
                moments.put(moment, f.objects(PlanWriter.stepsOn(moment), Assignment.MAX_STEPS, this::step));
            }
        }
        Assignment assignment =
                f.fit(() -> new Assignment(new SwitchAt(board, bank, number), label, shortLabel, duty, mode, moments));
        f.fit(() -> new Plan(rig, new Switches(List.of(assignment))));
        return assignment;
    }

    private Step step(Fields f) {
        DeviceId device = device(f, "device");
        Verb verb = f.text("verb", Verb::parse);
        PartId part = f.text("part", id -> today(rig.device(device).model(), id));
        Optional<Integer> amount = f.holds("amount") ? Optional.of(f.integer("amount")) : Optional.empty();
        int wait = f.integerOr("waitMillis", 0);
        return f.fit(() -> new Step(device, new Action(verb, part, amount), wait));
    }

    private ControlAssignment controlAssignment(Fields f) {
        DeviceId box = device(f, "box");
        ControlType type = f.oneOf("type", CONTROLS);
        int bank = f.integer("bank");
        int number = f.integer("number");
        Optional<TapeLabel> label = f.optionalText("label", TapeLabel::new);
        Takeover takeover = f.oneOf("takeover", TAKEOVERS);
        List<Target> targets = f.objects("levels", ControlAssignment.MAX_TARGETS, this::target);
        ControlAssignment controlAssignment =
                f.fit(() -> new ControlAssignment(new ControlAt(box, type, bank, number), label, takeover, targets));
        f.fit(() -> new Plan(rig, new Switches(List.of(), List.of(controlAssignment))));
        return controlAssignment;
    }

    private Target target(Fields f) {
        DeviceId device = device(f, "device");
        PartId part = f.text("part", PartId::new);
        int from = f.integer("from");
        int to = f.integer("to");
        Curve curve = f.oneOf("curve", CURVES);
        Law law = f.oneOf("law", LAWS);
        int top = f.integer("topDecibels");
        Optional<Integer> cap = f.holds("capDecibels") ? Optional.of(f.integer("capDecibels")) : Optional.empty();
        return f.fit(() -> new Target(device, part, new Range(from, to, curve), law, top, cap));
    }

    private DeviceId device(Fields f, String name) {
        return f.text(name, text -> rig.device(new DeviceId(text)).id());
    }
}
