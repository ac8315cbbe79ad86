package embrack.files.midi;

import embrack.core.chart.MessageMemory;
import embrack.core.gear.Purpose;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Step;
import embrack.core.way.Ways;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Stream;

/** What messages do, one behind the other, by the charts of the devices that a player reaches. */
public final class Explainer {

    private final Plan plan;
    private final List<DeviceId> hearers;
    private final List<DeviceId> remembering;
    private final Map<DeviceId, MessageMemory> heard = new HashMap<>();
    private final Map<Message, List<Step>> plain = new HashMap<>();

    /** For what a player sends; nothing is explained where there is none. */
    public Explainer(Plan plan, Optional<DeviceId> player) {
        this.plan = plan;
        this.hearers = player.map(from -> List.copyOf(new TreeSet<>(new Ways(plan.rig()).reach(from))))
                .orElse(List.of());
        this.remembering = hearers.stream().filter(this::remembers).toList();
    }

    /** The devices that it reaches. */
    List<DeviceId> hearers() {
        return hearers;
    }

    /** From here on nothing was heard before. */
    void begin() {
        heard.clear();
    }

    /** Adds what a message does to what happens at its time. */
    public void add(Instant instant, Message message) {
        add(instant, message, Optional.empty(), false);
    }

    /**
     * As {@link #add(Instant, Message)}.
     *
     * @param named the device that is asked first
     * @param isOfNoChart whether the message is known to be explained by none
     */
    void add(Instant instant, Message message, Optional<DeviceId> named, boolean isOfNoChart) {
        List<Step> does = isOfNoChart ? List.of() : does(message, named);
        for (Step step : does) {
            instant.steps().add(step);
            if (!remembering.isEmpty() && remembers(step.device())) {
                plan.rig()
                        .chart(step.device())
                        .messagesFor(step.action(), channel(step.device()))
                        .ifPresent(all -> all.subList(0, all.size() - 1).forEach(instant.raw()::remove));
            }
        }
        remember(message);
        if (does.isEmpty()) {
            instant.raw().add(message);
        }
    }

    /** A message that somebody else explains, and that decides what later ones mean. */
    void remember(Message message) {
        remembering.forEach(device -> heard.put(
                device, plan.rig().chart(device).remember(heard.getOrDefault(device, MessageMemory.NOTHING), message)));
    }

    private List<Step> does(Message message, Optional<DeviceId> named) {
        List<Step> asked = named.map(device -> steps(device, message)).orElse(List.of());
        if (!asked.isEmpty()) {
            return asked;
        }
        List<Step> always = plain.computeIfAbsent(
                message,
                m -> hearers.stream()
                        .filter(device -> !remembers(device))
                        .flatMap(device -> steps(device, m).stream())
                        .toList());
        return remembering.isEmpty()
                ? always
                : Stream.concat(
                                always.stream(),
                                remembering.stream().flatMap(device -> steps(device, message).stream()))
                        .toList();
    }

    private boolean remembers(DeviceId device) {
        return plan.rig().chart(device).remembers();
    }

    /** What a device would do, by its chart and by what it has heard. */
    private List<Step> steps(DeviceId device, Message message) {
        boolean onItsChannel = !(message instanceof Message.Voice voice)
                || plan.rig()
                        .setting(device, Purpose.RECEIVE_CHANNEL)
                        .map(Channel::new)
                        .filter(set -> !set.equals(voice.channel()))
                        .isEmpty();
        return plan
                .rig()
                .chart(device)
                .reactionsTo(message, heard.getOrDefault(device, MessageMemory.NOTHING), onItsChannel)
                .stream()
                .map(action -> new Step(device, action))
                .toList();
    }

    private Channel channel(DeviceId device) {
        return plan.rig()
                .setting(device, Purpose.RECEIVE_CHANNEL)
                .map(Channel::new)
                .orElse(new Channel(Channel.FIRST));
    }
}
