package embrack.core.loss;

import embrack.core.compile.CompiledStep;
import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.power.PowerPlan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.switches.SwitchAt;
import embrack.core.way.SignalPath;
import embrack.core.way.Ways;
import embrack.core.world.Engine;
import embrack.core.world.Event;
import embrack.core.world.Happened;
import embrack.core.world.Outcome;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * Every single failure that takes a switch away. A step outlives a failure when its message still finds a way to the
 * device, or to the one that stands in for it: each failure is done to a world, and what is sent is followed in that.
 * Cost: errands (board, receiver, message sort) times the pieces of their ways times the pieces that a message takes.
 */
public final class SinglePoints {

    private final Rig rig;
    private final Engine engine;
    private final World whole;
    private final PowerPlan power;
    private final Map<Errand, Set<SwitchAt>> errands = new LinkedHashMap<>();

    private SinglePoints(Plan plan, Ways ways) {
        this.rig = plan.rig();
        this.engine = new Engine(plan, ways);
        this.whole = World.poweredOn(rig);
        this.power = new PowerPlan(rig);
        for (CompiledSwitch compiled : new Compiler(plan, ways).all()) {
            compiled.allSteps().stream()
                    .filter(step -> step.obstacle().isEmpty())
                    .forEach(step -> errands.computeIfAbsent(Errand.of(compiled.at(), step), e -> new TreeSet<>())
                            .add(compiled.at()));
        }
    }

    /** What a board sends to a device, by what decides its way: its last message. */
    private record Errand(DeviceId board, DeviceId receiver, Message message, SignalPath way) {
        static Errand of(SwitchAt at, CompiledStep step) {
            Message last = step.messages().getLast();
            Message same = last instanceof Message.ControlChange cc
                    ? new Message.ControlChange(cc.channel(), 0, 0)
                    : last instanceof Message.NoteOn note
                            ? new Message.NoteOn(note.channel(), 0, 1)
                            : last instanceof Message.ProgramChange program
                                    ? new Message.ProgramChange(program.channel(), 0)
                                    : last;
            return new Errand(at.board(), step.step().device(), same, step.way().orElseThrow());
        }
    }

    /** All failures that take something away, worst first; those that take the same away in the order of the way. */
    public static List<Loss> of(Plan plan) {
        return of(plan, new Ways(plan.rig()));
    }

    /** As {@link #of(Plan)}, on ways that are worked out already. */
    public static List<Loss> of(Plan plan, Ways ways) {
        return new SinglePoints(plan, ways)
                .all().stream().filter(loss -> !loss.switches().isEmpty()).toList();
    }

    /** All failures of something that is in the way of any switch, also those that are survived. */
    public static List<Loss> withSurvived(Plan plan) {
        return new SinglePoints(plan, new Ways(plan.rig())).all();
    }

    private List<Loss> all() {
        Set<Failure> failures = new LinkedHashSet<>();
        errands.keySet().forEach(errand -> failures.addAll(inTheWayOf(errand)));
        List<Loss> losses = new ArrayList<>();
        failures.forEach(failure -> losses.add(loss(failure)));
        losses.sort(
                Comparator.comparingInt((Loss loss) -> loss.switches().size()).reversed());
        return losses;
    }

    private Set<Failure> inTheWayOf(Errand errand) {
        Set<Failure> failures = new LinkedHashSet<>();
        Set<DeviceId> devices = new LinkedHashSet<>(List.of(errand.board));
        errand.way.hops().forEach(hop -> {
            failures.add(new Failure.LinkFails(hop.link()));
            devices.add(hop.arrivesAt());
            devices.add(rig.box(hop.arrivesAt()));
        });
        List.copyOf(devices).forEach(device -> devices.addAll(feeders(device)));
        devices.forEach(device -> failures.add(new Failure.DeviceFails(device)));
        return failures;
    }

    private Set<DeviceId> feeders(DeviceId device) {
        Set<DeviceId> feeders = new LinkedHashSet<>();
        Optional<DeviceId> next = feeder(device);
        while (next.isPresent() && feeders.add(next.get())) {
            next = feeder(next.get());
        }
        return feeders;
    }

    private Optional<DeviceId> feeder(DeviceId device) {
        return power.feedings().stream()
                .filter(f -> f.device().equals(device))
                .findFirst()
                .flatMap(f -> f.from())
                .map(s -> s.device());
    }

    private Loss loss(Failure failure) {
        World failed = engine.step(
                        whole,
                        switch (failure) {
                            case Failure.LinkFails fails -> new Event.LinkOut(fails.link());
                            case Failure.DeviceFails fails -> new Event.Off(fails.device());
                        })
                .after();
        Set<SwitchAt> lost = new TreeSet<>();
        Set<SwitchAt> touched = new TreeSet<>();
        errands.forEach((errand, switches) -> {
            if (isHit(errand, failed)) {
                touched.addAll(switches);
                if (!arrives(failed, errand)) {
                    lost.addAll(switches);
                }
            }
        });
        touched.removeAll(lost);
        return new Loss(
                failure,
                List.copyOf(lost),
                rig.devices().stream()
                        .map(Device::id)
                        .filter(d -> failed.isDark(d)
                                && !(failure instanceof Failure.DeviceFails f
                                        && f.device().equals(d)))
                        .toList(),
                List.copyOf(touched));
    }

    private static boolean isHit(Errand errand, World failed) {
        return failed.isDark(errand.board)
                || errand.way.hops().stream()
                        .anyMatch(hop -> failed.linksOut().contains(hop.link()) || failed.isDark(hop.arrivesAt()));
    }

    /** Whether what is sent still comes to the device, or to the one that stands in for it. */
    private boolean arrives(World failed, Errand errand) {
        Outcome sent = engine.settled(failed, new Event.Send(errand.board, errand.message));
        Optional<DeviceId> second = rig.standIn(errand.receiver);
        return sent.trace().stream()
                .filter(Happened.Arrived.class::isInstance)
                .map(arrived -> arrived.socket().device())
                .anyMatch(device -> device.equals(errand.receiver)
                        || second.filter(device::equals).isPresent());
    }
}
