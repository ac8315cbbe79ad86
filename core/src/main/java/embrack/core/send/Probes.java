package embrack.core.send;

import embrack.core.chart.Action;
import embrack.core.chart.LearnableId;
import embrack.core.chart.Standing.Loading;
import embrack.core.chart.Verb;
import embrack.core.gear.Purpose;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Song;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Step;
import embrack.core.switches.Target;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * All that the show asks of boxes, to be tried on them: by place, then box, then part, and of a part first what makes
 * it quiet.
 *
 * @param all in that order; what no message makes a box do is left out
 */
public record Probes(Plan plan, List<Probe> all) {

    private static final Set<Verb> QUIET =
            EnumSet.of(Verb.MUTE, Verb.OFF, Verb.STOP, Verb.PAUSE, Verb.FADE_OUT, Verb.STOP_ALL);

    public Probes {
        all = List.copyOf(all);
    }

    /** What the switches, controls and cues of a plan ask for. */
    public static Probes of(Plan plan) {
        Map<DeviceId, List<Action>> asked = new LinkedHashMap<>();
        steps(plan)
                .forEach(step -> asked.computeIfAbsent(step.device(), d -> new ArrayList<>())
                        .add(step.action()));
        for (ControlAssignment control : plan.switches().controlAssignments()) {
            for (Target target : control.targets()) {
                List<Action> levels = asked.computeIfAbsent(target.device(), d -> new ArrayList<>());
                levels.add(target.at(0));
                levels.add(target.at(127));
            }
        }
        List<Probe> all = new ArrayList<>();
        plan.rig().devices().stream()
                .map(device -> device.id())
                .filter(asked::containsKey)
                .sorted(Comparator.comparing((DeviceId device) -> plan.rig().area(device)))
                .forEach(device -> all.addAll(of(plan, device, asked.getOrDefault(device, List.of()))));
        return new Probes(plan, all);
    }

    private static Stream<Step> steps(Plan plan) {
        return Stream.concat(
                plan.switches().assignments().stream().flatMap(assignment -> assignment.steps().stream()),
                Stream.concat(
                                plan.book().songs().stream().map(Song::cues).flatMap(List::stream),
                                plan.book().always().stream())
                        .flatMap(cue -> cue.steps().stream()));
    }

    private static List<Probe> of(Plan plan, DeviceId device, List<Action> actions) {
        Channel channel = channel(plan, device);
        List<Action> distinct = actions.stream().distinct().toList();
        List<String> parts =
                distinct.stream().map(action -> action.part().text()).distinct().toList();
        List<Probe> own = distinct.stream()
                .sorted(Comparator.comparing(
                                (Action action) -> parts.indexOf(action.part().text()))
                        .thenComparing(action -> !QUIET.contains(action.verb()))
                        .thenComparing(action -> action.amount().orElse(0)))
                .flatMap(action -> plan.rig().chart(device).messagesFor(action, channel).stream()
                        .filter(messages -> !messages.isEmpty())
                        .map(messages -> Probe.of(device, action, messages, Caution.of(plan, device, action))))
                .toList();
        return Stream.concat(own.stream(), inMemories(plan, device, own)).toList();
    }

    /**
     * What a box learned holds in the memory into which it was written: one thing of it in the first, a middle and the
     * last memory of the show.
     */
    private static Stream<Probe> inMemories(Plan plan, DeviceId device, List<Probe> own) {
        Optional<Loading> loading = plan.rig().model(device).standing().loading();
        List<Integer> memories = List.copyOf(plan.rig().memoriesInShow(device));
        Optional<Probe> learned = own.stream()
                .filter(probe -> plan.rig().device(device).learned().containsKey(LearnableId.of(probe.action())))
                .min(Comparator.comparing(Probe::isAskedTwice));
        if (loading.isEmpty() || memories.size() < 2 || learned.isEmpty()) {
            return Stream.empty();
        }
        return Stream.of(memories.getFirst(), memories.get(memories.size() / 2), memories.getLast())
                .distinct()
                .flatMap(memory -> load(plan, device, loading.get(), memory).stream()
                        .map(load -> learned.get()
                                .inMemory(memory, load, loading.get().deafMillis())));
    }

    private static Optional<List<Message>> load(Plan plan, DeviceId device, Loading loading, int memory) {
        return loading.memories().stream()
                .skip(memory - 1L)
                .findFirst()
                .flatMap(part -> plan.rig().chart(device).actions().stream()
                        .filter(action ->
                                action.part().equals(part) && action.verb().isExclusive())
                        .findFirst())
                .flatMap(action -> plan.rig().chart(device).messagesFor(action, channel(plan, device)));
    }

    static Channel channel(Plan plan, DeviceId device) {
        return plan.rig()
                .setting(device, Purpose.RECEIVE_CHANNEL)
                .map(Channel::new)
                .orElse(new Channel(Channel.FIRST));
    }

    /** The boxes that are asked, in order. */
    public List<DeviceId> boxes() {
        return all.stream().map(Probe::device).distinct().toList();
    }

    /** What one box is asked. */
    public List<Probe> of(DeviceId device) {
        return all.stream().filter(probe -> probe.device().equals(device)).toList();
    }

    /** The probe that {@link Probe#key()} wrote; empty when the plan asks that no more. */
    public Optional<Probe> find(String key) {
        return all.stream().filter(probe -> probe.key().equals(key)).findFirst();
    }

    /** Messages of a device's actions that are like one of a probe, by what they make it do. */
    Optional<List<Message>> messagesFor(DeviceId device, Action action) {
        return plan.rig().chart(device).messagesFor(action, channel(plan, device));
    }
}
