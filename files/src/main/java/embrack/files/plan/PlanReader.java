package embrack.files.plan;

import embrack.core.gear.Action;
import embrack.core.gear.Board;
import embrack.core.gear.ChartRun;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.Part;
import embrack.core.gear.PartId;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.ReactionRun;
import embrack.core.gear.Setting;
import embrack.core.gear.SettingId;
import embrack.core.gear.TapeLabel;
import embrack.core.gear.Verb;
import embrack.core.midi.ProgramCounting;
import embrack.core.midi.Wire.RunningStatus;
import embrack.core.plan.GearEdit.AddDevice;
import embrack.core.plan.Plan;
import embrack.core.rig.Cable;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.switches.Assignment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;

/** Reads a plan from the fields of its file, version 1. What refers to something is read after it, so that the field can be named. */
final class PlanReader {

    private static final int MAX_SWITCHES = 5_000;

    private Rig rig;
    private final Map<ModelId, Model> models = new LinkedHashMap<>();

    private PlanReader(Rig rig) {
        this.rig = rig;
    }

    static Plan read(Fields file) {
        requireVersion(file);
        TapeLabel name = file.text("name", TapeLabel::new);
        var reader = new PlanReader(Rig.empty(name));
        file.objects("models", AddDevice.MAX_DEVICES, reader::model);
        file.objects("devices", AddDevice.MAX_DEVICES, reader::device);
        file.objects("cables", 4 * AddDevice.MAX_DEVICES, reader::cable);
        List<Assignment> assignments = file.objects("switches", MAX_SWITCHES, reader::assignment);
        return new Plan(reader.rig, file.fit("switches", () -> new Switches(assignments)));
    }

    private static void requireVersion(Fields file) {
        String format = file.text("format");
        file.fit("format", () -> {
            if (!format.equals(PlanFile.FORMAT)) {
                throw new IllegalArgumentException("must be \"%s\"; this is some other file".formatted(PlanFile.FORMAT));
            }
            return format;
        });
        int version = file.integer("version");
        file.fit("version", () -> {
            if (version > PlanFile.VERSION) {
                throw new IllegalArgumentException("is %d, written by a newer Embrack; this one reads up to version %d. Update Embrack to read it"
                        .formatted(version, PlanFile.VERSION));
            }
            if (version < 1) {
                throw new IllegalArgumentException("must be 1, was " + version);
            }
            return version;
        });
    }

    private Model model(Fields f) {
        ModelId id = f.text("id", ModelId::new);
        TapeLabel name = f.text("name", TapeLabel::new);
        var kind = f.oneOf("kind", FileWords.KINDS);
        List<Port> ports = f.objects("ports", 64, p -> new Port(p.text("id", PortId::new), p.text("name", TapeLabel::new),
                p.oneOf("connector", FileWords.CONNECTORS), p.oneOf("direction", FileWords.DIRECTIONS)));
        Optional<Board> board = f.optionalObject("board", PlanReader::board);
        List<Part> parts = f.objects("parts", 512, p -> new Part(p.text("id", PartId::new), p.text("name", TapeLabel::new)));
        List<Setting> settings = f.objects("settings", 64, PlanReader::setting);
        List<ChartRun> chart = f.objects("chart", 512, PlanReader::chartRun);
        List<ReactionRun> reactions = f.objects("reactions", 512, PlanReader::reactionRun);
        Optional<String> writing = f.optionalText("writing", PlanReader::sentence);
        Model model = f.fit(() -> new Model(id, name, kind, ports, board, parts, settings, chart, reactions, writing));
        f.fit("id", () -> {
            if (models.put(id, model) != null) {
                throw new IllegalArgumentException("\"%s\" is there twice".formatted(id));
            }
            return model;
        });
        return model;
    }

    private static Board board(Fields f) {
        int switches = f.integer("switches");
        int columns = f.integer("columns");
        List<String> banks = f.texts("banks");
        List<TapeLabel> names = f.fit("banks", () -> banks.stream().map(TapeLabel::new).toList());
        var sends = f.severalOf("sends", FileWords.MESSAGE_TYPES);
        int perPress = f.integer("messagesPerPress");
        var channel = f.oneOf("sendChannel", FileWords.SEND_CHANNELS);
        RunningStatus running = f.bool("runningStatus") ? RunningStatus.USED : RunningStatus.NOT_USED;
        int first = f.integer("programsFrom");
        ProgramCounting programs = f.fit("programsFrom", () -> switch (first) {
            case 0 -> ProgramCounting.FROM_ZERO;
            case 1 -> ProgramCounting.FROM_ONE;
            default -> throw new IllegalArgumentException("must be 0 or 1, was " + first);
        });
        var display = f.oneOf("display", FileWords.DISPLAYS);
        return f.fit(() -> new Board(switches, columns, names, new TreeSet<>(sends), perPress, channel, running, programs, display));
    }

    private static Setting setting(Fields f) {
        SettingId id = f.text("id", SettingId::new);
        TapeLabel name = f.text("name", TapeLabel::new);
        int min = f.integer("min");
        int max = f.integer("max");
        int factory = f.integer("factory");
        return f.fit(() -> new Setting(id, name, min, max, factory));
    }

    private static ChartRun chartRun(Fields f) {
        Verb verb = f.text("verb", Verb::parse);
        PartId first = f.text("first", PartId::new);
        int count = f.integer("count");
        var type = f.oneOf("type", FileWords.MESSAGE_TYPES);
        int number = f.integer("number");
        int value = f.integer("value");
        return f.fit(() -> new ChartRun(verb, first, count, type, number, value));
    }

    private static ReactionRun reactionRun(Fields f) {
        Verb verb = f.text("verb", Verb::parse);
        PartId first = f.text("first", PartId::new);
        int count = f.integer("count");
        var type = f.oneOf("type", FileWords.MESSAGE_TYPES);
        int number = f.integer("number");
        int from = f.integer("from");
        int to = f.integer("to");
        return f.fit(() -> new ReactionRun(verb, first, count, type, number, from, to));
    }

    private Device device(Fields f) {
        DeviceId id = f.text("id", DeviceId::new);
        TapeLabel name = f.text("name", TapeLabel::new);
        Model model = f.text("model", text -> Optional.ofNullable(models.get(new ModelId(text))).orElseThrow(() ->
                new IllegalArgumentException("there is no model \"%s\" in this file".formatted(text))));
        SortedMap<SettingId, Integer> settings = new TreeMap<>();
        f.eachField("settings", (values, key) -> {
            Setting setting = values.fit(key, () -> setting(model, key));
            int value = values.integer(key);
            return settings.put(setting.id(), values.fit(key, () -> setting.checked(value)));
        });
        SortedMap<PartId, TapeLabel> labels = new TreeMap<>();
        f.eachField("labels", (values, key) -> labels.put(values.fit(key, () -> part(model, key)).id(), values.text(key, TapeLabel::new)));
        Device device = new Device(id, name, model.id(), settings, labels);
        rig = f.fit(() -> rig.withDevice(device, model));
        return device;
    }

    private static Setting setting(Model model, String key) {
        return model.setting(new SettingId(key)).orElseThrow(() ->
                new IllegalArgumentException("%s has no such setting".formatted(model.name())));
    }

    private static Part part(Model model, String key) {
        return model.part(new PartId(key)).orElseThrow(() -> new IllegalArgumentException("%s has no such part".formatted(model.name())));
    }

    private Cable cable(Fields f) {
        Cable cable = new Cable(f.object("from", this::socket), f.object("to", this::socket));
        rig = f.fit(() -> rig.withCable(cable));
        return cable;
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
        List<Step> steps = f.objects("steps", Assignment.MAX_STEPS, s -> new Step(device(s, "device"),
                new Action(s.text("verb", Verb::parse), s.text("part", PartId::new))));
        Assignment assignment = f.fit(() -> new Assignment(new SwitchAt(board, bank, number), label, steps));
        f.fit(() -> new Plan(rig, new Switches(List.of(assignment))));
        return assignment;
    }

    private DeviceId device(Fields f, String name) {
        return f.text(name, text -> rig.device(new DeviceId(text)).id());
    }

    private static String sentence(String text) {
        if (text.isBlank() || text.length() > 200) {
            throw new IllegalArgumentException("must have 1 to 200 characters, was " + text.length());
        }
        return text;
    }
}
