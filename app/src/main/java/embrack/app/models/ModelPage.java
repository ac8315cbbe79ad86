package embrack.app.models;

import embrack.app.store.ModelRevision;
import embrack.core.gear.Board;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.Direction;
import embrack.core.gear.FactoryRun;
import embrack.core.gear.Facts;
import embrack.core.gear.Gesture;
import embrack.core.gear.Model;
import embrack.core.gear.Port;
import embrack.core.gear.Power;
import embrack.core.gear.Scope;
import embrack.core.gear.Setting;
import embrack.core.gear.SwitchMode;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A model with all that is known of it.
 */
record ModelPage(
        Head head,
        ModelDrawing drawing,
        Sockets sockets,
        List<String> surface,
        Set set,
        Memory memory,
        List<String> habits,
        String power,
        Obeys obeys,
        List<RevisionRow> revisions) {

    /**
     * What it is.
     *
     * @param isCrews whether the crew describes it; else it ships
     */
    record Head(String id, String name, String kind, String facts, boolean isCrews) {}

    /** What can be plugged in. */
    record Sockets(List<String> ports, List<String> shared, List<String> passes) {}

    /** What can be set. */
    record Set(List<SettingRow> settings, List<SettingRow> inMemory) {}

    /** What it keeps, and how. */
    record Memory(String memories, String keep) {}

    /** What it answers to. */
    record Obeys(String chartText, ChartView chart, String realityText, String safe) {}

    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMM uuuu, HH:mm", Locale.ENGLISH);

    /** A setting in words. */
    record SettingRow(String name, String range, String factory) {}

    /** A revision in words. */
    record RevisionRow(int n, String when, String summary) {}

    static ModelPage of(Model model, List<ModelRevision> revisions) {
        return new ModelPage(
                new Head(
                        model.id().text(),
                        model.name().text(),
                        model.kind().words(),
                        Facts.line(model),
                        !revisions.isEmpty()),
                ModelDrawing.of(model.sockets(), model.surface(), model.parts()),
                new Sockets(
                        model.ports().stream().map(ModelPage::words).toList(),
                        model.sockets().shared().stream()
                                .map(s -> "%s is for %s: %d at once."
                                        .formatted(
                                                capital(s.name().text()),
                                                Words.list(s.ports().stream()
                                                        .map(p -> model.port(p)
                                                                .orElseThrow()
                                                                .name())
                                                        .toList()),
                                                s.atOnce()))
                                .toList(),
                        passes(model)),
                surface(model),
                new Set(settings(model, Scope.BOX), settings(model, Scope.MEMORY)),
                new Memory(
                        model.memory().memories() == 0
                                ? ""
                                : "%d memories".formatted(model.memory().memories()),
                        model.writing().orElse("Keeps everything at once.")),
                habitsOf(model),
                model.power().map(Power::words).orElse(""),
                new Obeys(
                        model.chart().text(),
                        ChartView.of(model.chart()),
                        model.implementation().reality().text(),
                        Words.list(
                                model.chart().safe().stream().map(model::words).toList())),
                revisions.stream()
                        .map(r -> new RevisionRow(
                                r.n(), WHEN.format(r.at().atZoneSameInstant(ZoneId.systemDefault())), r.summary()))
                        .toList());
    }

    private static String words(Port port) {
        return "%s: %s%s%s%s"
                .formatted(
                        port.name(),
                        port.connector().words(),
                        port.connector().carriesMidi() || port.direction() != Direction.IN
                                ? ", " + port.direction().words()
                                : "",
                        port.gives() > 0 ? "; gives %d mA".formatted(port.gives()) : "",
                        port.forOneController() ? "; for one controller" : "");
    }

    private static List<String> passes(Model model) {
        return model.sockets().routes().entrySet().stream()
                .map(e -> "%s to %s%s"
                        .formatted(
                                model.port(e.getKey().from()).orElseThrow().name(),
                                model.port(e.getKey().to()).orElseThrow().name(),
                                e.getValue() ? "" : ", off in a new one"))
                .toList();
    }

    /** What the chart does not show: its habits, and what it does only while something is so. */
    private static List<String> habitsOf(Model model) {
        Stream<String> conditions = model.memory().conditions().stream().map(condition -> {
            Setting setting = model.setting(condition.setting()).orElseThrow();
            return "%s only while %s is %s."
                    .formatted(capital(condition.ability().words()), setting.name(), setting.shown(condition.value()));
        });
        Stream<String> heartbeat = model.sockets().heartbeat().flatMap(model::port).stream()
                .map(port -> "The other of a pair plays on only while the heartbeat is on %s.".formatted(port.name()));
        return Stream.of(model.implementation().quirks().words().stream(), conditions, heartbeat)
                .flatMap(each -> each)
                .toList();
    }

    private static List<String> surface(Model model) {
        List<String> lines = new ArrayList<>();
        model.board().ifPresent(board -> lines.addAll(board(board)));
        model.surface().groups().stream()
                .map(ControlGroup::words)
                .map(words -> words + ".")
                .forEach(lines::add);
        return lines;
    }

    private static List<String> board(Board board) {
        List<String> lines = new ArrayList<>();
        lines.add("%s in rows of %d, send %s, at most %s a press%s."
                .formatted(
                        Words.count(board.switches(), "switch"),
                        board.columns(),
                        board.sendsWords(),
                        Words.count(board.messagesPerPress(), "message"),
                        board.limit().ofType().isEmpty()
                                ? ""
                                : ", of them "
                                        + Words.list(board.limit().ofType().entrySet().stream()
                                                .map(e -> "%d %s"
                                                        .formatted(
                                                                e.getValue(),
                                                                e.getKey().plural()))
                                                .toList())));
        if (board.banks().size() > 1) {
            lines.add("Banks %s; a bank changes %s."
                    .formatted(
                            board.banks().size() > 6
                                    ? board.banks().getFirst() + " to "
                                            + board.banks().getLast()
                                    : Words.list(board.banks()),
                            board.bankChange().words()));
        }
        lines.add("Tells apart: %s. Modes: %s."
                .formatted(
                        Words.list(board.gestures().stream().map(Gesture::words).toList()),
                        Words.list(board.modes().stream().map(SwitchMode::words).toList())));
        board.factory()
                .fixed()
                .forEach(run -> lines.add("Cannot be programmed: %s%s as they come from the factory.%s"
                        .formatted(
                                run.isOnTheFirst() && run.on().size() == board.switches()
                                        ? "sends "
                                        : Words.count(run.on().size(), "switch") + " (" + Words.list(run.on())
                                                + ") send ",
                                words(run),
                                run.breaksAt() == 0
                                        ? ""
                                        : " Switch %d breaks the sequence.".formatted(run.breaksAt()))));
        board.factory()
                .presets()
                .forEach(preset -> lines.add("Brings a preset \"%s\": %s."
                        .formatted(
                                preset.name(),
                                Words.list(preset.runs().stream()
                                        .map(ModelPage::words)
                                        .toList()))));
        return lines;
    }

    private static String words(FactoryRun run) {
        return "%s %s"
                .formatted(
                        run.type().shortName(),
                        run.numbers().stream().map(String::valueOf).collect(Collectors.joining(", ")));
    }

    private static List<SettingRow> settings(Model model, Scope scope) {
        return model.settings().stream()
                .filter(s -> s.scope() == scope)
                .map(ModelPage::setting)
                .toList();
    }

    private static SettingRow setting(Setting setting) {
        return new SettingRow(
                setting.name().text(),
                setting.choices().isEmpty()
                        ? setting.range()
                        : Stream.of(setting.choices())
                                .flatMap(List::stream)
                                .map(TapeLabel::text)
                                .collect(Collectors.joining(", ")),
                setting.shown(setting.factory()));
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
