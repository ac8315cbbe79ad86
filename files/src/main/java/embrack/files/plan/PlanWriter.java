package embrack.files.plan;

import embrack.core.gear.Board;
import embrack.core.gear.ChartRun;
import embrack.core.gear.Model;
import embrack.core.gear.ReactionRun;
import embrack.core.midi.Wire.RunningStatus;
import embrack.core.plan.Plan;
import embrack.core.rig.Cable;
import embrack.core.rig.Device;
import embrack.core.rig.Socket;
import embrack.core.switches.Assignment;
import java.util.Collection;
import java.util.function.BiConsumer;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes a plan as the fields of its file, version 1, always in the same order. */
final class PlanWriter {

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private PlanWriter() {
    }

    static ObjectNode write(Plan plan) {
        ObjectNode file = NODES.objectNode();
        file.put("format", PlanFile.FORMAT).put("version", PlanFile.VERSION).put("name", plan.rig().name().text());
        list(file, "models", plan.rig().models(), PlanWriter::model);
        list(file, "devices", plan.rig().devices(), PlanWriter::device);
        list(file, "cables", plan.rig().cables(), PlanWriter::cable);
        list(file, "switches", plan.switches().assignments(), PlanWriter::assignment);
        return file;
    }

    private static void model(ObjectNode f, Model model) {
        f.put("id", model.id().text()).put("name", model.name().text()).put("kind", FileWords.word(model.kind()));
        list(f, "ports", model.ports(), (p, port) -> p.put("id", port.id().text()).put("name", port.name().text())
                .put("connector", FileWords.word(port.connector())).put("direction", FileWords.word(port.direction())));
        model.board().ifPresent(board -> board(f.putObject("board"), board));
        list(f, "parts", model.parts(), (p, part) -> p.put("id", part.id().text()).put("name", part.name().text()));
        list(f, "settings", model.settings(), (s, setting) -> s.put("id", setting.id().text()).put("name", setting.name().text())
                .put("min", setting.min()).put("max", setting.max()).put("factory", setting.factory()));
        list(f, "chart", model.chart(), PlanWriter::chartRun);
        list(f, "reactions", model.reactions(), PlanWriter::reactionRun);
        model.writing().ifPresent(writing -> f.put("writing", writing));
    }

    private static void board(ObjectNode f, Board board) {
        f.put("switches", board.switches()).put("columns", board.columns());
        ArrayNode banks = f.putArray("banks");
        board.banks().forEach(bank -> banks.add(bank.text()));
        ArrayNode sends = f.putArray("sends");
        board.sends().forEach(type -> sends.add(FileWords.word(type)));
        f.put("messagesPerPress", board.messagesPerPress()).put("sendChannel", FileWords.word(board.sendChannel()))
                .put("runningStatus", board.runningStatus() == RunningStatus.USED)
                .put("programsFrom", board.programs().first()).put("display", FileWords.word(board.display()));
    }

    private static void chartRun(ObjectNode f, ChartRun run) {
        f.put("verb", run.verb().key()).put("first", run.first().text()).put("count", run.count())
                .put("type", FileWords.word(run.type())).put("number", run.number()).put("value", run.value());
    }

    private static void reactionRun(ObjectNode f, ReactionRun run) {
        f.put("verb", run.verb().key()).put("first", run.first().text()).put("count", run.count())
                .put("type", FileWords.word(run.type())).put("number", run.number()).put("from", run.from()).put("to", run.to());
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
        list(f, "steps", assignment.steps(), (s, step) -> s.put("device", step.device().text())
                .put("verb", step.action().verb().key()).put("part", step.action().part().text()));
    }

    private static <T> void list(ObjectNode parent, String name, Collection<T> values, BiConsumer<ObjectNode, T> writer) {
        ArrayNode list = parent.putArray(name);
        values.forEach(value -> writer.accept(list.addObject(), value));
    }
}
