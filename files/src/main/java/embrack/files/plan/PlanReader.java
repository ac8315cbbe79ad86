package embrack.files.plan;

import embrack.core.chart.Action;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.PortId;
import embrack.core.gear.Setting;
import embrack.core.gear.SettingId;
import embrack.core.name.TapeLabel;
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
import embrack.files.json.Fields;
import embrack.files.model.EarlierModel;
import embrack.files.model.ModelReader;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/** Reads a plan from the fields of its file. What refers to something is read after it, so that the field can be named. */
final class PlanReader {

    private static final int MAX_SWITCHES = 5_000;

    private Rig rig;
    private final Map<ModelId, Model> models = new LinkedHashMap<>();
    private final Map<ModelId, Map<PartId, PartId>> renamed = new HashMap<>();

    private PlanReader(Rig rig) {
        this.rig = rig;
    }

    static Plan read(Fields file) {
        int version = file.requireVersion(PlanFile.FORMAT, PlanFile.VERSION);
        TapeLabel name = file.text("name", TapeLabel::new);
        var reader = new PlanReader(Rig.empty(name));
        file.objects("models", AddDevice.MAX_DEVICES, f -> reader.model(f, version));
        file.objects("devices", AddDevice.MAX_DEVICES, reader::device);
        file.objects("cables", 4 * AddDevice.MAX_DEVICES, reader::cable);
        List<Assignment> assignments = file.objects("switches", MAX_SWITCHES, reader::assignment);
        return new Plan(reader.rig, file.fit("switches", () -> new Switches(assignments)));
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

    private Part part(Model model, String key) {
        return model.part(today(model.id(), key)).orElseThrow(() -> new IllegalArgumentException("%s has no such part".formatted(model.name())));
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
        List<Step> steps = f.objects("steps", Assignment.MAX_STEPS, this::step);
        Assignment assignment = f.fit(() -> new Assignment(new SwitchAt(board, bank, number), label, steps));
        f.fit(() -> new Plan(rig, new Switches(List.of(assignment))));
        return assignment;
    }

    private Step step(Fields f) {
        DeviceId device = device(f, "device");
        Verb verb = f.text("verb", Verb::parse);
        PartId part = f.text("part", id -> today(rig.device(device).model(), id));
        Optional<Integer> amount = f.holds("amount") ? Optional.of(f.integer("amount")) : Optional.empty();
        return new Step(device, f.fit(() -> new Action(verb, part, amount)));
    }

    private DeviceId device(Fields f, String name) {
        return f.text(name, text -> rig.device(new DeviceId(text)).id());
    }
}
