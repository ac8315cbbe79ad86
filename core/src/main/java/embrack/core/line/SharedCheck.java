package embrack.core.line;

import embrack.core.rig.DeviceId;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.UnaryOperator;

/**
 * A line check that several people make at several boxes at once: what came is of all, what is waited for of each box.
 *
 * @param came what came for the tasks that are done
 * @param boxes how far it is at each box at which anything was done
 * @param from the box from which something came last, or at which somebody said something
 */
public record SharedCheck(
        Walk walk, SortedMap<Task, Came> came, SortedMap<DeviceId, LineCheck> boxes, Optional<DeviceId> from) {

    public SharedCheck {
        came = Collections.unmodifiableSortedMap(new TreeMap<>(came));
        boxes = Collections.unmodifiableSortedMap(new TreeMap<>(boxes));
    }

    /** A check that goes on where it was left, or begins. */
    public static SharedCheck of(Walk walk, Map<Task, Came> came) {
        return new SharedCheck(walk, new TreeMap<>(came), new TreeMap<>(), Optional.empty());
    }

    /** The same check of a plan that was edited meanwhile. */
    public SharedCheck in(Walk other) {
        SortedMap<DeviceId, LineCheck> same = new TreeMap<>();
        boxes.forEach((box, check) -> {
            if (!other.on(box).isEmpty()) {
                same.put(box, check.knowing(came).in(other));
            }
        });
        return new SharedCheck(
                other, came, same, from.filter(box -> !other.on(box).isEmpty()));
    }

    /** The same check, with all that came, where it may have come elsewhere meanwhile. */
    public SharedCheck knowing(Map<Task, Came> all) {
        return new SharedCheck(walk, new TreeMap<>(all), boxes, from);
    }

    /** How far it is at a box; at none in particular where none is said. */
    public LineCheck at(Optional<DeviceId> box) {
        Optional<DeviceId> wanted = box.filter(one -> !walk.on(one).isEmpty()).or(() -> from);
        return wanted.map(one -> Optional.ofNullable(boxes.get(one))
                        .map(check -> check.knowing(came))
                        .orElseGet(() -> LineCheck.of(walk, came).walkedTo(one)))
                .orElseGet(() -> LineCheck.of(walk, came));
    }

    /** A message came in. */
    public SharedCheck heard(Heard heard) {
        return walk.on(heard.from()).isEmpty() ? this : said(Optional.of(heard.from()), check -> check.heard(heard));
    }

    /** Time went by, at all boxes. */
    public SharedCheck quiet(long nowMicros) {
        SharedCheck now = this;
        for (Map.Entry<DeviceId, LineCheck> one : boxes.entrySet()) {
            if (one.getValue().open().isPresent()) {
                SharedCheck next = now.said(Optional.of(one.getKey()), check -> check.quiet(nowMicros));
                now = new SharedCheck(walk, next.came, next.boxes, from);
            }
        }
        return now;
    }

    /** Somebody at a box says something of it. */
    public SharedCheck said(Optional<DeviceId> box, UnaryOperator<LineCheck> what) {
        LineCheck next = what.apply(at(box));
        Optional<DeviceId> where = box.filter(one -> !walk.on(one).isEmpty()).or(next::box);
        if (where.isEmpty()) {
            return this;
        }
        SortedMap<DeviceId, LineCheck> others = new TreeMap<>(boxes);
        others.put(where.get(), next);
        return new SharedCheck(walk, next.came(), others, where);
    }

    public Inspection inspection() {
        return Inspection.of(walk, came);
    }
}
