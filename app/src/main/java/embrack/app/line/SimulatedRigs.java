package embrack.app.line;

import embrack.app.store.RigId;
import embrack.app.store.StoredRig;
import embrack.core.edit.GearEdit;
import embrack.core.line.Mistake;
import embrack.core.line.SimulatedRig;
import embrack.core.line.Slip;
import embrack.core.line.Travel;
import embrack.core.midi.DataByte;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The rigs that are there when no gear is, one for each plan: programmed once, as the plan was then. */
@Component
class SimulatedRigs {

    private final Map<RigId, SimulatedRig> rigs = new ConcurrentHashMap<>();

    /** The boxes as they are programmed; as planned where nobody touched them yet. */
    SimulatedRig of(StoredRig rig) {
        return rigs.computeIfAbsent(rig.id(), id -> SimulatedRig.of(rig.plan()));
    }

    Optional<SimulatedRig> find(RigId id) {
        return Optional.ofNullable(rigs.get(id));
    }

    /** Programs all boxes as planned now, without a mistake. */
    void program(StoredRig rig) {
        rigs.put(rig.id(), SimulatedRig.of(rig.plan()));
    }

    /** Makes a mistake in a box, beside those that are there. */
    void add(StoredRig rig, Mistake mistake) {
        of(rig);
        rigs.computeIfPresent(rig.id(), (id, boxes) -> {
            List<Mistake> more = new ArrayList<>(boxes.mistakes());
            more.add(mistake);
            return boxes.with(more);
        });
    }

    /** Makes a mistake at a pedal, fader or knob, beside those that are there. */
    void add(StoredRig rig, Slip slip) {
        of(rig);
        rigs.computeIfPresent(rig.id(), (id, boxes) -> {
            List<Slip> more = new ArrayList<>(boxes.slips());
            more.add(slip);
            return boxes.slipping(more);
        });
    }

    /** Puts a mistake right; {@code number} counts from 0 as they are listed, switches first. */
    void mend(StoredRig rig, int number) {
        rigs.computeIfPresent(rig.id(), (id, boxes) -> {
            int pressed = boxes.mistakes().size();
            return number < pressed
                    ? boxes.with(without(boxes.mistakes(), number))
                    : boxes.slipping(without(boxes.slips(), number - pressed));
        });
    }

    private static <T> List<T> without(List<T> all, int number) {
        List<T> fewer = new ArrayList<>(all);
        if (number >= 0 && number < fewer.size()) {
            fewer.remove(number);
        }
        return fewer;
    }

    /** A control is moved to a position; empty where there is none such. */
    Optional<SimulatedRig.Done> move(RigId id, String travel, int position) {
        List<SimulatedRig.Done> done = new ArrayList<>();
        rigs.computeIfPresent(id, (rig, boxes) -> {
            Travel.of(boxes.plan()).stream()
                    .filter(one -> one.key().equals(travel) && position <= DataByte.MAX)
                    .findFirst()
                    .ifPresent(one -> done.add(boxes.move(one.at(), position)));
            return done.isEmpty() ? boxes : done.getFirst().after();
        });
        return done.stream().findFirst();
    }

    /** A setting of a box is not as planned. */
    void set(StoredRig rig, GearEdit.ChangeSetting other) {
        of(rig);
        rigs.computeIfPresent(rig.id(), (id, boxes) -> boxes.setTo(other));
    }

    /**
     * What is sent at a port out: those of the boxes that obey, then one in the place of each board.
     *
     * @param port from 0; empty where there is none such
     */
    Optional<SimulatedRig.Done> receive(RigId id, int port, List<Message> messages) {
        List<SimulatedRig.Done> done = new ArrayList<>();
        rigs.computeIfPresent(id, (rig, boxes) -> {
            List<DeviceId> receivers = boxes.receivers();
            List<DeviceId> boards = boxes.plan().boards();
            SimulatedRig now = boxes;
            for (Message message : messages) {
                if (port < receivers.size() + boards.size()) {
                    done.add(
                            port < receivers.size()
                                    ? now.received(receivers.get(port), message)
                                    : now.sentInstead(boards.get(port - receivers.size()), message));
                    now = done.getLast().after();
                }
            }
            return now;
        });
        return done.stream()
                .reduce((first, next) -> new SimulatedRig.Done(
                        next.after(),
                        List.of(),
                        Stream.concat(first.arrived().stream(), next.arrived().stream())
                                .toList()));
    }

    /** What a foot does to a switch, and what the box sends for it; empty where there is none such. */
    Optional<SimulatedRig.Done> tread(RigId id, SwitchAt at, String how) {
        List<SimulatedRig.Done> done = new ArrayList<>();
        rigs.computeIfPresent(id, (rig, boxes) -> {
            if (!boxes.plan().has(at)) {
                return boxes;
            }
            SimulatedRig.Done next =
                    switch (how) {
                        case "down" -> boxes.press(at);
                        case "up" -> boxes.release(at);
                        case "hold" -> boxes.gesture(at, Moment.HOLD);
                        default -> boxes.gesture(at, Moment.DOUBLE_PRESS);
                    };
            done.add(next);
            return next.after();
        });
        return done.stream().findFirst();
    }
}
