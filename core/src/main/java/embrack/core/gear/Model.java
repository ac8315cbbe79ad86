package embrack.core.gear;

import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A kind of hardware, as its manual describes it.
 *
 * @param ports sockets, names unique
 * @param board its switches, if it is a box to press
 * @param parts what can be acted on, in the order that the chart's runs step through
 * @param settings what is set on the box itself
 * @param chart which message makes it do what: what the manual says, and what is sent
 * @param reactions what it really does when a message arrives; empty when it does what its chart says
 * @param writing what must be done so that the box keeps what was programmed; empty when it keeps it at once
 */
public record Model(ModelId id, TapeLabel name, Kind kind, List<Port> ports, Optional<Board> board, List<Part> parts,
        List<Setting> settings, List<ChartRun> chart, List<ReactionRun> reactions, Optional<String> writing) {

    public Model {
        Objects.requireNonNull(id, "id");
        ports = List.copyOf(ports);
        parts = List.copyOf(parts);
        settings = List.copyOf(settings);
        chart = List.copyOf(chart);
        reactions = List.copyOf(reactions);
        requireUnique(id, "port", ports.stream().map(Port::id));
        requireUnique(id, "part", parts.stream().map(Part::id));
        requireUnique(id, "setting", settings.stream().map(Setting::id));
        for (ChartRun run : chart) {
            requireInside(parts, run.first(), run.count());
        }
        for (ReactionRun run : reactions) {
            requireInside(parts, run.first(), run.count());
        }
        if (board.isPresent() && board.get().sendChannel() == SendChannel.ONE_FOR_THE_BOX) {
            requireSetting(id, settings, SettingId.SEND_CHANNEL);
        }
        if (!chart.isEmpty()) {
            requireSetting(id, settings, SettingId.RECEIVE_CHANNEL);
        }
    }

    public Optional<Port> port(PortId port) {
        return ports.stream().filter(p -> p.id().equals(port)).findFirst();
    }

    public Optional<Part> part(PartId part) {
        return parts.stream().filter(p -> p.id().equals(part)).findFirst();
    }

    public Optional<Setting> setting(SettingId setting) {
        return settings.stream().filter(s -> s.id().equals(setting)).findFirst();
    }

    /** Ports that messages leave or enter by. */
    public List<Port> ports(Direction direction) {
        return ports.stream().filter(p -> p.direction() == direction).toList();
    }

    /** Everything the chart can make it do, verb by verb, part by part. */
    public List<Action> actions() {
        return chart.stream()
                .flatMap(run -> IntStream.range(0, run.count())
                        .mapToObj(i -> new Action(run.verb(), parts.get(indexOf(run.first()) + i).id())))
                .distinct()
                .toList();
    }

    /** The message that the chart gives for an action, if it has a line for it. */
    public Optional<MessageTemplate> messageFor(Action action) {
        int index = indexOf(action.part());
        return chart.stream()
                .filter(run -> run.verb() == action.verb())
                .filter(run -> index >= indexOf(run.first()) && index < indexOf(run.first()) + run.count())
                .map(run -> run.template(index - indexOf(run.first())))
                .findFirst();
    }

    /** What the box really does when a message arrives on its channel; empty when it ignores it. */
    public List<Action> reactionsTo(Message message) {
        return effectiveReactions().stream()
                .filter(run -> run.matches(message))
                .map(run -> new Action(run.verb(), parts.get(indexOf(run.first()) + run.offset(message)).id()))
                .toList();
    }

    /** What the box really does with the message that its chart gives for an action; just the action, if the chart is right. */
    public List<Action> reactionsToChart(Action action) {
        return messageFor(action).map(template -> reactionsTo(template.on(new Channel(Channel.FIRST)))).orElse(List.of());
    }

    /** The actions whose message makes the box do something else, or nothing. */
    public List<Action> contradictedActions() {
        return actions().stream().filter(action -> !reactionsToChart(action).equals(List.of(action))).toList();
    }

    /**
     * This model with the values of its chart replaced by ones that the box obeys: the top of the range for a range
     * that reaches 127, the bottom otherwise. Runs that the box has no reaction for stay as they are.
     */
    public Model withChartFromReactions() {
        List<ChartRun> corrected = new ArrayList<>();
        for (ChartRun run : chart) {
            corrected.add(reactions.stream()
                    .filter(r -> r.verb() == run.verb() && r.first().equals(run.first()) && r.type() == run.type()
                            && r.number() == run.number())
                    .findFirst()
                    .map(r -> run.withValue(r.to() == 127 ? 127 : r.from()))
                    .orElse(run));
        }
        return new Model(id, name, kind, ports, board, parts, settings, corrected, reactions, writing);
    }

    private List<ReactionRun> effectiveReactions() {
        return reactions.isEmpty() ? chart.stream().map(ReactionRun::exactly).toList() : reactions;
    }

    private int indexOf(PartId part) {
        return indexOf(parts, part);
    }

    private static int indexOf(List<Part> parts, PartId part) {
        return IntStream.range(0, parts.size()).filter(i -> parts.get(i).id().equals(part)).findFirst().orElse(-1);
    }

    private static void requireInside(List<Part> parts, PartId first, int count) {
        int index = indexOf(parts, first);
        if (index < 0 || index + count > parts.size()) {
            throw new IllegalArgumentException("a run of %d parts from \"%s\" leaves the %d parts of the box"
                    .formatted(count, first, parts.size()));
        }
    }

    private static void requireSetting(ModelId id, List<Setting> settings, SettingId needed) {
        Setting setting = settings.stream().filter(s -> s.id().equals(needed)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("model %s needs the setting %s".formatted(id, needed)));
        if (setting.min() < 1 || setting.max() > 16) {
            throw new IllegalArgumentException("setting %s is a channel: 1 to 16, was %d to %d"
                    .formatted(needed, setting.min(), setting.max()));
        }
    }

    private static void requireUnique(ModelId id, String what, Stream<?> ids) {
        Set<Object> seen = new HashSet<>();
        ids.filter(each -> !seen.add(each)).findFirst().ifPresent(twice -> {
            throw new IllegalArgumentException("model %s has the %s \"%s\" twice".formatted(id, what, twice));
        });
    }
}
