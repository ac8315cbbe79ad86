package embrack.files.plan;

import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.chart.Response;
import embrack.core.gear.PortId;
import embrack.core.gear.Route;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.Feed;
import embrack.core.rig.Link;
import embrack.core.rig.MidiFilter;
import embrack.core.rig.Socket;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.files.model.FileWords;
import embrack.files.model.ModelWriter;
import java.util.Collection;
import java.util.function.BiConsumer;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes a plan as the fields of its file, always in the same order. */
final class PlanWriter {

    /** What the steps of a moment are called. */
    static String stepsOn(Moment moment) {
        return switch (moment) {
            case PRESS -> "steps";
            case AGAIN -> "stepsAgain";
            case RELEASE -> "stepsOnRelease";
            case HOLD -> "stepsOnHold";
            case DOUBLE_PRESS -> "stepsOnDoublePress";
        };
    }

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private PlanWriter() {}

    static ObjectNode write(Plan plan) {
        ObjectNode file = NODES.objectNode();
        file.put("format", PlanFile.FORMAT)
                .put("version", PlanFile.VERSION)
                .put("name", plan.rig().name().text());
        list(file, "models", plan.rig().models(), ModelWriter::write);
        list(file, "devices", plan.rig().devices(), PlanWriter::device);
        list(file, "links", plan.rig().links(), PlanWriter::link);
        if (!plan.rig().pairs().isEmpty()) {
            list(
                    file,
                    "pairs",
                    plan.rig().pairs(),
                    (f, pair) -> f.put("first", pair.first().text())
                            .put("second", pair.second().text()));
        }
        list(file, "switches", plan.switches().assignments(), PlanWriter::assignment);
        if (!plan.switches().controlAssignments().isEmpty()) {
            list(file, "controls", plan.switches().controlAssignments(), PlanWriter::controlAssignment);
        }
        if (!plan.practices().others().isEmpty()) {
            ArrayNode practices = file.putArray("otherSchools");
            plan.practices().others().forEach(practice -> practices.add(FileWords.word(practice)));
        }
        if (!plan.book().isEmpty()) {
            BookWriter.write(file, plan.book());
        }
        return file;
    }

    private static void device(ObjectNode f, Device device) {
        f.put("id", device.id().text())
                .put("name", device.name().text())
                .put("model", device.model().text());
        if (!device.settings().isEmpty()) {
            ObjectNode settings = f.putObject("settings");
            device.settings().forEach((id, value) -> settings.put(id.text(), value));
        }
        if (!device.labels().isEmpty()) {
            ObjectNode labels = f.putObject("labels");
            device.labels().forEach((part, label) -> labels.put(part.text(), label.text()));
        }
        f.put("area", FileWords.word(device.spot().area()));
        device.spot().host().ifPresent(host -> f.put("livesIn", host.text()));
        if (!device.filters().isEmpty()) {
            list(f, "passes", device.filters().entrySet(), (p, e) -> filter(p, e.getKey(), e.getValue()));
        }
        if (!device.feeds().isEmpty()) {
            list(f, "feeds", device.feeds().entrySet(), (p, e) -> feed(p, e.getKey(), e.getValue()));
        }
        if (!device.learned().isEmpty()) {
            list(f, "learned", device.learned().entrySet(), (p, e) -> learned(p, e.getKey(), e.getValue()));
        }
        if (device.memoriesUsed() > 0) {
            f.put("memoriesUsed", device.memoriesUsed());
        }
    }

    private static void filter(ObjectNode f, Route route, MidiFilter filter) {
        f.put("from", route.from().text()).put("to", route.to().text()).put("open", filter.open());
        if (!filter.stopped().isEmpty()) {
            words(f.putArray("stopped"), filter.stopped());
        }
        if (!filter.channels().isEmpty()) {
            ArrayNode channels = f.putArray("channels");
            filter.channels().forEach(channels::add);
        }
        filter.onto().ifPresent(channel -> f.put("onto", channel.number()));
    }

    private static void learned(ObjectNode f, LearnableId learnable, Learned message) {
        f.put("verb", learnable.verb().key())
                .put("part", learnable.part().text())
                .put("type", FileWords.word(message.type()));
        message.channel().ifPresent(channel -> f.put("channel", channel.number()));
        f.put("number", message.number());
        if (!message.response().equals(Response.PLAIN)) {
            f.put("alternating", message.response().alternating())
                    .put("low", message.response().low())
                    .put("high", message.response().high());
        }
        if (message.pinned()) {
            f.put("pinned", true);
        }
    }

    private static void feed(ObjectNode f, PortId output, Feed feed) {
        f.put("output", output.text());
        words(f.putArray("sounds"), feed.sounds());
        words(f.putArray("to"), feed.to());
    }

    private static void words(ArrayNode array, Collection<? extends Enum<?>> constants) {
        constants.forEach(constant -> array.add(FileWords.word(constant)));
    }

    private static void link(ObjectNode f, Link link) {
        socket(f.putObject("from"), link.from());
        socket(f.putObject("to"), link.to());
        link.length().ifPresent(length -> f.put("centimetres", length.centimetres()));
    }

    private static void socket(ObjectNode f, Socket socket) {
        f.put("device", socket.device().text()).put("port", socket.port().text());
    }

    private static void assignment(ObjectNode f, Assignment assignment) {
        f.put("board", assignment.at().board().text())
                .put("bank", assignment.at().bank())
                .put("switch", assignment.at().number());
        assignment.label().ifPresent(label -> f.put("label", label.text()));
        assignment.shortLabel().ifPresent(label -> f.put("shortLabel", label.text()));
        assignment.duty().ifPresent(duty -> f.put("duty", FileWords.word(duty)));
        assignment.mode().ifPresent(mode -> f.put("mode", FileWords.word(mode)));
        list(f, "steps", assignment.steps(Moment.PRESS), PlanWriter::step);
        assignment.moments().forEach((moment, steps) -> {
            if (moment != Moment.PRESS) {
                list(f, stepsOn(moment), steps, PlanWriter::step);
            }
        });
    }

    static void step(ObjectNode f, Step step) {
        f.put("device", step.device().text())
                .put("verb", step.action().verb().key())
                .put("part", step.action().part().text());
        step.action().amount().ifPresent(amount -> f.put("amount", amount));
        if (step.waitMillis() > 0) {
            f.put("waitMillis", step.waitMillis());
        }
    }

    private static void controlAssignment(ObjectNode f, ControlAssignment controlAssignment) {
        f.put("box", controlAssignment.at().box().text())
                .put("type", FileWords.word(controlAssignment.at().type()))
                .put("bank", controlAssignment.at().bank())
                .put("number", controlAssignment.at().number());
        controlAssignment.label().ifPresent(label -> f.put("label", label.text()));
        f.put("takeover", FileWords.word(controlAssignment.takeover()));
        list(f, "levels", controlAssignment.targets(), (t, target) -> {
            t.put("device", target.device().text())
                    .put("part", target.part().text())
                    .put("from", target.range().from())
                    .put("to", target.range().to())
                    .put("curve", FileWords.word(target.range().curve()))
                    .put("law", FileWords.word(target.law()))
                    .put("topDecibels", target.topDecibels());
            target.capDecibels().ifPresent(cap -> t.put("capDecibels", cap));
        });
    }

    static <T> void list(ObjectNode parent, String name, Collection<T> values, BiConsumer<ObjectNode, T> writer) {
        ArrayNode list = parent.putArray(name);
        values.forEach(value -> writer.accept(list.addObject(), value));
    }
}
