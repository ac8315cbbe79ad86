package embrack.files.plan;

import embrack.core.plan.Plan;
import embrack.core.rig.Cable;
import embrack.core.rig.Device;
import embrack.core.rig.Socket;
import embrack.core.switches.Assignment;
import embrack.files.model.ModelWriter;
import java.util.Collection;
import java.util.function.BiConsumer;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes a plan as the fields of its file, version 2, always in the same order. */
final class PlanWriter {

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private PlanWriter() {
    }

    static ObjectNode write(Plan plan) {
        ObjectNode file = NODES.objectNode();
        file.put("format", PlanFile.FORMAT).put("version", PlanFile.VERSION).put("name", plan.rig().name().text());
        list(file, "models", plan.rig().models(), ModelWriter::write);
        list(file, "devices", plan.rig().devices(), PlanWriter::device);
        list(file, "cables", plan.rig().cables(), PlanWriter::cable);
        list(file, "switches", plan.switches().assignments(), PlanWriter::assignment);
        return file;
    }

    private static void device(ObjectNode f, Device device) {
        f.put("id", device.id().text()).put("name", device.name().text()).put("model", device.model().text());
        if (!device.settings().isEmpty()) {
            ObjectNode settings = f.putObject("settings");
            device.settings().forEach((id, value) -> settings.put(id.text(), value));
        }
        if (!device.labels().isEmpty()) {
            ObjectNode labels = f.putObject("labels");
            device.labels().forEach((part, label) -> labels.put(part.text(), label.text()));
        }
    }

    private static void cable(ObjectNode f, Cable cable) {
        socket(f.putObject("from"), cable.from());
        socket(f.putObject("to"), cable.to());
    }

    private static void socket(ObjectNode f, Socket socket) {
        f.put("device", socket.device().text()).put("port", socket.port().text());
    }

    private static void assignment(ObjectNode f, Assignment assignment) {
        f.put("board", assignment.at().board().text()).put("bank", assignment.at().bank()).put("switch", assignment.at().number());
        assignment.label().ifPresent(label -> f.put("label", label.text()));
        list(f, "steps", assignment.steps(), (s, step) -> {
            s.put("device", step.device().text()).put("verb", step.action().verb().key()).put("part", step.action().part().text());
            step.action().amount().ifPresent(amount -> s.put("amount", amount));
        });
    }

    private static <T> void list(ObjectNode parent, String name, Collection<T> values, BiConsumer<ObjectNode, T> writer) {
        ArrayNode list = parent.putArray(name);
        values.forEach(value -> writer.accept(list.addObject(), value));
    }
}
