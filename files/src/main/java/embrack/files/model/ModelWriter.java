package embrack.files.model;

import embrack.core.chart.Chart;
import embrack.core.gear.Board;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.Model;
import embrack.core.gear.Port;
import embrack.core.gear.Quirks;
import embrack.core.gear.Scope;
import embrack.core.gear.Setting;
import embrack.core.gear.Shaping;
import embrack.core.midi.MessageType;
import embrack.core.midi.Wire.RunningStatus;
import java.util.Collection;
import java.util.function.BiConsumer;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes a model as the fields of a file, always in the same order. */
public final class ModelWriter {

    private ModelWriter() {}

    /** Puts the fields of a model into an object. */
    public static void write(ObjectNode f, Model model) {
        f.put("id", model.id().text())
                .put("name", model.name().text())
                .put("kind", model.kind().key());
        list(f, "ports", model.ports(), ModelWriter::port);
        if (!model.sockets().shared().isEmpty()) {
            list(f, "sharedSockets", model.sockets().shared(), (s, shared) -> {
                s.put("name", shared.name().text());
                ArrayNode uses = s.putArray("ports");
                shared.ports().forEach(id -> uses.add(id.text()));
                s.put("atOnce", shared.atOnce());
            });
        }
        if (!model.sockets().passes().isEmpty()) {
            list(
                    f,
                    "passes",
                    model.sockets().passes().entrySet(),
                    (p, pass) -> p.put("from", pass.getKey().from().text())
                            .put("to", pass.getKey().to().text())
                            .put("open", pass.getValue()));
        }
        model.board().ifPresent(board -> board(f.putObject("board"), board));
        if (!model.surface().groups().isEmpty()) {
            list(f, "controls", model.surface().groups(), ModelWriter::group);
        }
        list(f, "settings", model.settings(), ModelWriter::setting);
        if (model.memory().memories() > 0) {
            f.put("memories", model.memory().memories());
        }
        chart(f, "chart", model.chart());
        chart(f, "reality", model.implementation().reality());
        if (!model.implementation().quirks().equals(Quirks.NONE)) {
            quirks(f.putObject("habits"), model.implementation().quirks());
        }
        model.power().ifPresent(power -> {
            ObjectNode p = f.putObject("power");
            words(p.putArray("from"), power.sources());
            p.put("milliamps", power.milliamps());
        });
        model.writing().ifPresent(writing -> f.put("writing", writing));
    }

    private static void port(ObjectNode f, Port port) {
        f.put("id", port.id().text())
                .put("name", port.name().text())
                .put("connector", FileWords.word(port.connector()))
                .put("direction", FileWords.word(port.direction()));
        if (port.gives() > 0) {
            f.put("gives", port.gives());
        }
        if (port.forOneController()) {
            f.put("forOneController", true);
        }
    }

    private static void board(ObjectNode f, Board board) {
        f.put("switches", board.switches()).put("columns", board.columns());
        ArrayNode banks = f.putArray("banks");
        board.banks().forEach(bank -> banks.add(bank.text()));
        f.put("bankChanges", FileWords.word(board.bankChange()));
        types(f, board.sends());
        f.put("messagesPerPress", board.messagesPerPress());
        words(f.putArray("gestures"), board.gestures());
        words(f.putArray("modes"), board.modes());
        board.factoryRun().ifPresent(run -> {
            ObjectNode r = f.putObject("factoryRun");
            r.put("type", FileWords.word(run.type()));
            ArrayNode numbers = r.putArray("numbers");
            run.numbers().forEach(numbers::add);
        });
        f.put("sendChannel", FileWords.word(board.sendChannel()))
                .put("runningStatus", board.runningStatus() == RunningStatus.USED)
                .put("programsFrom", board.programs().first())
                .put("display", FileWords.word(board.display()));
        if (board.longestWaitMillis() > 0) {
            f.put("longestWaitMillis", board.longestWaitMillis());
        }
        if (board.labelCharacters() > 0) {
            f.put("labelCharacters", board.labelCharacters());
        }
    }

    private static void group(ObjectNode f, ControlGroup group) {
        f.put("type", FileWords.word(group.type())).put("count", group.count()).put("columns", group.columns());
        types(f, group.sends());
        group.channel().ifPresent(channel -> f.put("channel", channel.number()));
        if (group.shaping() != Shaping.NONE) {
            f.put("shaping", FileWords.word(group.shaping()));
        }
    }

    private static void setting(ObjectNode f, Setting setting) {
        f.put("id", setting.id().text())
                .put("name", setting.name().text())
                .put("min", setting.min())
                .put("max", setting.max())
                .put("factory", setting.factory());
        if (!setting.choices().isEmpty()) {
            ArrayNode choices = f.putArray("choices");
            setting.choices().forEach(choice -> choices.add(choice.text()));
        }
        if (setting.scope() != Scope.BOX) {
            f.put("scope", FileWords.word(setting.scope()));
        }
    }

    private static void chart(ObjectNode f, String name, Chart chart) {
        if (!chart.text().isEmpty()) {
            ArrayNode lines = f.putArray(name);
            chart.text().lines().forEach(lines::add);
        }
    }

    private static void quirks(ObjectNode f, Quirks quirks) {
        f.put("hearsAllChannels", quirks.hearsAllChannels())
                .put("actsOnNoteOff", quirks.actsOnNoteOff())
                .put("looksForPortsAtStart", quirks.looksForPortsAtStart())
                .put("assignableInputs", quirks.assignableInputs());
    }

    private static void types(ObjectNode f, Collection<MessageType> types) {
        ArrayNode sends = f.putArray("sends");
        types.forEach(type -> sends.add(FileWords.word(type)));
    }

    private static void words(ArrayNode array, Collection<? extends Enum<?>> constants) {
        constants.forEach(constant -> array.add(FileWords.word(constant)));
    }

    private static <T> void list(
            ObjectNode parent, String name, Collection<T> values, BiConsumer<ObjectNode, T> writer) {
        ArrayNode list = parent.putArray(name);
        values.forEach(value -> writer.accept(list.addObject(), value));
    }
}
