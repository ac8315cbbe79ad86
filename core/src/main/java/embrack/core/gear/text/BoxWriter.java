package embrack.core.gear.text;

import embrack.core.gear.BankChange;
import embrack.core.gear.Board;
import embrack.core.gear.Condition;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.Counter;
import embrack.core.gear.FactoryRun;
import embrack.core.gear.Memory;
import embrack.core.gear.Phantom;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.Power;
import embrack.core.gear.PressLimit;
import embrack.core.gear.Quirks;
import embrack.core.gear.Route;
import embrack.core.gear.Scope;
import embrack.core.gear.SendChannel;
import embrack.core.gear.Setting;
import embrack.core.gear.Shaping;
import embrack.core.gear.SharedSocket;
import embrack.core.gear.Signal;
import embrack.core.gear.SwitchMode;
import embrack.core.midi.MessageType;
import embrack.core.midi.ProgramCounting;
import embrack.core.midi.ValueDisplay;
import embrack.core.midi.Wire.RunningStatus;
import embrack.core.name.TapeLabel;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Writes a box as the text that gives the same box again. */
public final class BoxWriter {

    private final List<String> lines = new ArrayList<>();

    private BoxWriter() {}

    /** The text of a box. */
    public static String write(Box box) {
        var writer = new BoxWriter();
        box.sockets().ports().forEach(writer::port);
        box.sockets().shared().forEach(shared -> writer.shared(box, shared));
        box.sockets().passes().forEach((route, open) -> writer.pass(box, route, open));
        writer.lines.addAll(SoundLines.write(box.sockets().sound()));
        box.sockets().heartbeat().ifPresent(port -> writer.heartbeat(box, port));
        box.surface().board().ifPresent(writer::board);
        box.surface().groups().forEach(writer::group);
        box.memory().settings().forEach(writer::setting);
        box.memory().conditions().forEach(condition -> writer.condition(box.memory(), condition));
        if (box.memory().memories() > 0) {
            writer.lines.add("memories: " + box.memory().memories());
        }
        box.memory().writing().ifPresent(words -> writer.lines.add("keep: " + words));
        box.memory().cueLine().ifPresent(line -> writer.lines.add("timed messages: " + line.pattern()));
        box.surface()
                .pages()
                .ifPresent(pages -> writer.lines.add("fixtures: %d of %d slots, %d faders a row"
                        .formatted(pages.buttons(), pages.slots(), pages.faders())));
        writer.quirks(box.quirks());
        box.power().ifPresent(writer::power);
        return String.join("\n", writer.lines);
    }

    private void port(Port port) {
        lines.add("port %s: %s %s%s%s%s"
                .formatted(
                        named(port.name(), port.id().text()),
                        port.connector().key(),
                        port.direction().words(),
                        port.gives() == 0 ? "" : ", gives %d mA".formatted(port.gives()),
                        port.forOneController() ? ", for one controller" : "",
                        signal(port)));
    }

    private static String signal(Port port) {
        Signal signal = port.signal();
        boolean usual = signal.channels() == Signal.of(port.connector()).channels();
        return (usual ? "" : ", %d channels".formatted(signal.channels()))
                + signal.level().map(level -> ", at " + level.text()).orElse("")
                + (signal.phantom() == Phantom.NONE
                        ? ""
                        : ", " + signal.phantom().words());
    }

    private void pass(Box box, Route route, boolean open) {
        lines.add("pass %s to %s%s".formatted(name(box, route.from()), name(box, route.to()), open ? "" : ", off"));
    }

    private void heartbeat(Box box, PortId port) {
        lines.add("plays on only while Heartbeat is on " + name(box, port));
    }

    private static String name(Box box, PortId port) {
        return box.sockets().port(port).orElseThrow().id().text();
    }

    private void shared(Box box, SharedSocket shared) {
        lines.add("shared %s: %s; %d at once"
                .formatted(
                        shared.name(),
                        shared.ports().stream()
                                .map(id -> box.sockets()
                                        .port(id)
                                        .orElseThrow()
                                        .name()
                                        .text())
                                .collect(Collectors.joining(", ")),
                        shared.atOnce()));
    }

    private void board(Board board) {
        lines.add("switches: %d in rows of %d, %s, %s"
                .formatted(board.switches(), board.columns(), sends(board.sends()), limit(board.limit())));
        board.factory().counter().ifPresentOrElse(steps -> lines.add(counter(steps)), () -> lines.add(banks(board)));
        lines.add("gestures: " + board.gestures().stream().map(g -> g.words()).collect(Collectors.joining(", ")));
        lines.add("modes: " + board.modes().stream().map(m -> m.key()).collect(Collectors.joining(", ")));
        if (!board.factory().fixed().isEmpty()) {
            lines.add("factory run: " + runs(board.factory().fixed()));
        }
        board.factory()
                .presets()
                .forEach(preset ->
                        lines.add("preset %s: %s".formatted(quoted(preset.name().text()), runs(preset.runs()))));
        if (board.sendChannel() == SendChannel.ONE_FOR_THE_BOX) {
            lines.add("send channel: " + BoardReader.words(board.sendChannel()));
        }
        if (board.runningStatus() == RunningStatus.USED) {
            lines.add("running status");
        }
        if (board.programs() == ProgramCounting.FROM_ZERO) {
            lines.add("programs from 0");
        }
        if (board.display() == ValueDisplay.TWO_DIGITS) {
            lines.add("display: two digits");
        }
        if (board.longestWaitMillis() > 0) {
            lines.add("waits: up to %d ms".formatted(board.longestWaitMillis()));
        }
        if (board.labelCharacters() > 0) {
            lines.add("names: %d characters".formatted(board.labelCharacters()));
        }
    }

    private static String banks(Board board) {
        return "banks: " + board.banks().stream().map(TapeLabel::text).collect(Collectors.joining(", "))
                + (board.bankChange() == BankChange.ASSIGNMENTS
                        ? ""
                        : "; a bank changes " + board.bankChange().words());
    }

    private static String counter(Counter steps) {
        return "counter: %d down, %d up, pc %d..%d%s"
                .formatted(steps.down(), steps.up(), steps.first(), steps.last(), steps.round() ? ", goes round" : "");
    }

    private static String run(FactoryRun run) {
        return "%s %s%s"
                .formatted(
                        word(run.type()),
                        Pieces.numbers(run.numbers()),
                        run.isOnTheFirst() ? "" : " on " + Pieces.numbers(run.on()));
    }

    private static String runs(List<FactoryRun> runs) {
        return runs.stream().map(BoxWriter::run).collect(Collectors.joining("; "));
    }

    private static String limit(PressLimit limit) {
        return "%d a press%s"
                .formatted(
                        limit.messages(),
                        limit.ofType().isEmpty()
                                ? ""
                                : ", at most "
                                        + limit.ofType().entrySet().stream()
                                                .map(e -> e.getValue() + " " + word(e.getKey()))
                                                .collect(Collectors.joining(", ")));
    }

    /** Types of message in their order, each that is fixed with its numbers. */
    private static String sends(ControlGroup group) {
        return "send "
                + group.sends().stream()
                        .flatMap(type -> {
                            List<FactoryRun> runs = group.fixed().stream()
                                    .filter(run -> run.type() == type)
                                    .toList();
                            return runs.isEmpty()
                                    ? Stream.of(word(type))
                                    : runs.stream().map(BoxWriter::run);
                        })
                        .collect(Collectors.joining(", "));
    }

    private void group(ControlGroup group) {
        lines.add("%s: %d in rows of %d, %s%s"
                .formatted(
                        group.type().plural(),
                        group.count(),
                        group.columns(),
                        sends(group),
                        group.channel().map(c -> ", on channel " + c.number()).orElse("")
                                + (group.shaping() == Shaping.NONE
                                        ? ""
                                        : ", with " + group.shaping().words())
                                + (group.numbers() == 1 ? "" : ", %d messages each".formatted(group.numbers()))
                                + (group.saysModes()
                                        ? ", "
                                                + group.modes().stream()
                                                        .map(SwitchMode::key)
                                                        .collect(Collectors.joining(", "))
                                        : "")));
    }

    private void condition(Memory memory, Condition condition) {
        Setting setting = memory.setting(condition.setting()).orElseThrow();
        lines.add("%s only while %s is %s"
                .formatted(
                        condition.ability().words(),
                        quoted(setting.name().text()),
                        quoted(setting.shown(condition.value()))));
    }

    private void setting(Setting setting) {
        String range = setting.choices().isEmpty()
                ? "%d..%d, factory %d".formatted(setting.min(), setting.max(), setting.factory())
                : "%s; factory %s"
                        .formatted(
                                setting.choices().stream().map(TapeLabel::text).collect(Collectors.joining(", ")),
                                setting.shown(setting.factory()));
        lines.add("setting %s: %s%s%s%s"
                .formatted(
                        named(setting.name(), setting.id().text()),
                        range,
                        setting.scope() == Scope.MEMORY ? ", in each memory" : "",
                        setting.purpose()
                                .filter(purpose -> !purpose.id().equals(setting.id()))
                                .map(purpose -> ", is the " + purpose.words())
                                .orElse(""),
                        setting.besides()
                                .map(why -> ", not about messages: " + why)
                                .orElse("")));
    }

    private void quirks(Quirks quirks) {
        List<String> habits = new ArrayList<>();
        if (quirks.hearsAllChannels()) {
            habits.add("listens to all channels");
        }
        if (quirks.actsOnNoteOff()) {
            habits.add("acts on note-off");
        }
        if (quirks.looksForPortsAtStart()) {
            habits.add("looks for ports at start");
        }
        if (quirks.pressAlsoWhenHeld()) {
            habits.add("press also sends when held");
        }
        if (quirks.assignableInputs() > 0) {
            habits.add(quirks.assignableInputs() + " assignable inputs");
        }
        if (!habits.isEmpty()) {
            lines.add("habits: " + String.join("; ", habits));
        }
    }

    private void power(Power power) {
        lines.add("power: " + power.sources().stream().map(Power.Source::words).collect(Collectors.joining(" or "))
                + (power.milliamps() == 0 ? "" : ", %d mA".formatted(power.milliamps()))
                + (power.startSeconds() == 0 ? "" : ", starts in %d s".formatted(power.startSeconds()))
                + (power.batteryHours() == 0 ? "" : ", lasts %d h".formatted(power.batteryHours())));
    }

    private static String sends(Collection<MessageType> types) {
        return "send " + types.stream().map(BoxWriter::word).collect(Collectors.joining(", "));
    }

    private static String word(MessageType type) {
        return type.shortName().toLowerCase(Locale.ROOT);
    }

    private static String quoted(String text) {
        return text.matches(".*[:#;].*") ? '"' + text + '"' : text;
    }

    private static String named(TapeLabel name, String id) {
        String written = quoted(name.text());
        return Pieces.defaultId(name).equals(id) ? written : "%s as %s".formatted(written, id);
    }
}
