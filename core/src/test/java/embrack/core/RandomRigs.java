package embrack.core;

import embrack.core.chart.Action;
import embrack.core.edit.GearEdit;
import embrack.core.edit.Refused;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.SwitchMode;
import embrack.core.gear.library.Library;
import embrack.core.level.Curve;
import embrack.core.level.Range;
import embrack.core.level.Takeover;
import embrack.core.offer.LevelOffers;
import embrack.core.plan.Plan;
import embrack.core.rig.Area;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import embrack.core.switches.Target;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Rigs of any boxes, linked in any way that is allowed, with a switch for whatever a board could do. */
public final class RandomRigs {

    /** Of pads and keys one is enough. */
    private static final int PADS = 1;

    private RandomRigs() {}

    public static Plan of(long seed, int boxes) {
        var random = new Random(seed);
        Sketch sketch = Sketch.of("Random");
        for (int i = 0; i < boxes; i++) {
            Model model = Library.all().get(random.nextInt(Library.all().size()));
            sketch.edit(new GearEdit.AddDevice("Box " + i, model));
            sketch.edit(new WiringEdit.Stand(
                    new DeviceId("box-" + i), Area.values()[random.nextInt(Area.values().length)]));
        }
        List<DeviceId> hosts = sketch.rig().devices().stream()
                .map(Device::id)
                .filter(id -> sketch.rig().model(id).kind() == Kind.HOST)
                .toList();
        for (Device app : sketch.rig().devices()) {
            if (sketch.rig().model(app.id()).isApp() && !hosts.isEmpty()) {
                sketch.edit(new WiringEdit.LiveIn(app.id(), Optional.of(hosts.get(random.nextInt(hosts.size())))));
            }
        }
        List<Socket> sockets = new ArrayList<>(sketch.rig().devices().stream()
                .flatMap(d -> sketch.rig().sockets(d.id()).stream())
                .toList());
        for (int i = 0; i < boxes * 40 && sketch.rig().links().size() < boxes * 2; i++) {
            Collections.shuffle(sockets, random);
            try {
                sketch.edit(new WiringEdit.Connect(sockets.getFirst(), sockets.getLast()));
            } catch (Refused refused) {
                continue;
            }
        }
        return sketch.plan().withSwitches(switches(sketch.plan(), random));
    }

    /**
     * As {@link #of}, with modes, gestures, waits and duties of any kind, treadles and faders that move levels, and
     * numbers chosen.
     */
    public static Plan withGestures(long seed, int boxes) {
        Plan plan = of(seed, boxes);
        var random = new Random(seed);
        List<Assignment> changed = new ArrayList<>();
        for (Assignment assignment : plan.switches().assignments()) {
            Moment moment = Moment.values()[random.nextInt(Moment.values().length)];
            List<Step> steps = assignment.steps().stream()
                    .map(step -> step.withWait(random.nextInt(4) == 0 ? 200 : 0))
                    .toList();
            changed.add(assignment
                    .withSteps(moment, steps)
                    .withMode(
                            random.nextBoolean()
                                    ? Optional.empty()
                                    : Optional.of(SwitchMode.values()[random.nextInt(3)]))
                    .withDuty(
                            random.nextInt(8) == 0 ? Optional.of(Duty.values()[random.nextInt(3)]) : Optional.empty()));
        }
        Plan gestures = plan.withSwitches(new Switches(changed, controlAssignments(plan, random)));
        return random.nextBoolean() ? gestures.settled() : gestures;
    }

    private static List<ControlAssignment> controlAssignments(Plan plan, Random random) {
        List<Target> levels = new LevelOffers(plan).find("");
        List<ControlAssignment> controlAssignments = new ArrayList<>();
        for (DeviceId box : levels.isEmpty() ? List.<DeviceId>of() : plan.controllers()) {
            plan.controlsOf(box, 1).stream().limit(2).forEach(at -> {
                Target target = levels.get(random.nextInt(levels.size()));
                Range range = random.nextBoolean()
                        ? Range.FULL
                        : new Range(random.nextInt(128), random.nextInt(128), Curve.values()[random.nextInt(3)]);
                controlAssignments.add(ControlAssignment.blank(at)
                        .withTakeover(Takeover.values()[random.nextInt(3)])
                        .withTarget(target.withRange(range)));
            });
        }
        return controlAssignments;
    }

    private static Switches switches(Plan plan, Random random) {
        List<Device> receivers = plan.rig().devices().stream()
                .filter(d -> !plan.rig().model(d.id()).actions().isEmpty())
                .toList();
        List<Assignment> assignments = new ArrayList<>();
        for (DeviceId board : plan.boards()) {
            for (SwitchAt at : plan.pressedOn(board, 1)) {
                if (receivers.isEmpty() || at.of().isPresent() && at.number() > PADS) {
                    continue;
                }
                DeviceId receiver =
                        receivers.get(random.nextInt(receivers.size())).id();
                List<Action> actions = plan.rig().model(receiver).actions().stream()
                        .filter(action -> action.amount().isEmpty())
                        .toList();
                if (!actions.isEmpty()) {
                    assignments.add(new Assignment(
                            at,
                            Optional.empty(),
                            List.of(new Step(receiver, actions.get(random.nextInt(actions.size()))))));
                }
            }
        }
        return new Switches(assignments);
    }
}
