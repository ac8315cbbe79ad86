package embrack.core.edit;

import embrack.core.chart.Action;
import embrack.core.chart.PartId;
import embrack.core.offer.Settable;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.HandWork;
import embrack.core.word.Phrase;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.UnaryOperator;

/** Changes to what people do at a box with their hands. */
public sealed interface HandEdit extends Edit {

    DeviceId device();

    /** Has people set a part before the first press; {@code typed} the state in words: "mute Return 1". */
    record SetAtDoors(DeviceId device, String typed) implements HandEdit {

        /** As many of several meanings are named. */
        private static final int NAMED = 4;

        @Override
        public Plan apply(Plan plan) {
            Typed.device("state", plan, device);
            List<Action> called = new Settable(plan.rig(), device).statesCalled(typed);
            if (called.size() != 1) {
                throw new Refused(
                        "state",
                        called.isEmpty()
                                ? Say.of("no.no-such-state")
                                        .with("device", plan.rig().name(device))
                                : Say.of("no.several-states")
                                        .with(
                                                "states",
                                                called.stream()
                                                        .limit(NAMED)
                                                        .map(action ->
                                                                plan.rig().words(device, action))
                                                        .toList()));
            }
            return change(plan, device, "state", work -> work.withAtDoors(called.getFirst()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("set-at-doors")
                    .with("device", before.rig().name(device))
                    .with("state", typed.strip());
        }
    }

    /** Has people no longer set what an action is about before the first press. */
    record LeaveAtDoors(DeviceId device, Action action) implements HandEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, device, "state", work -> work.withoutAtDoors(action));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("leave-at-doors")
                    .with("device", before.rig().name(device))
                    .with("state", before.rig().words(device, action));
        }
    }

    /** Says that people move a part, or every part of a family, at the box; {@code typed} as it is called. */
    record WorkByHand(DeviceId device, String typed) implements HandEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("part", plan, device);
            List<PartId> called = new Settable(plan.rig(), device).partsCalled(typed);
            if (called.isEmpty()) {
                throw new Refused(
                        "part",
                        Say.of("no.no-such-part").with("device", plan.rig().name(device)));
            }
            return change(plan, device, "part", work -> {
                SortedSet<PartId> more = new TreeSet<>(work.worked());
                more.addAll(called);
                return work.withWorked(more);
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("work-by-hand")
                    .with("device", before.rig().name(device))
                    .with("part", typed.strip());
        }
    }

    /** Says that nobody moves a part at the box. */
    record LeaveToMessages(DeviceId device, PartId part) implements HandEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, device, "part", work -> {
                SortedSet<PartId> fewer = new TreeSet<>(work.worked());
                fewer.remove(part);
                return work.withWorked(fewer);
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("leave-to-messages")
                    .with("device", before.rig().name(device))
                    .with("part", before.rig().partName(device, part));
        }
    }

    private static Plan change(Plan plan, DeviceId device, String field, UnaryOperator<HandWork> change) {
        Typed.device(field, plan, device);
        return Refused.at(
                field,
                () -> plan.withRig(
                        plan.rig().withDeviceChanged(device, d -> d.withHandWork(change.apply(d.handWork())))));
    }
}
