package embrack.core.line;

import embrack.core.rig.DeviceId;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import java.util.Comparator;
import java.util.Optional;

/**
 * One thing to do at a box while it is checked.
 *
 * @param at the switch, pad, key or button
 * @param how it is pressed: {@link Moment#PRESS}, {@link Moment#HOLD} or {@link Moment#DOUBLE_PRESS}
 */
public record Task(SwitchAt at, Moment how) implements Comparable<Task> {

    private static final Comparator<Task> ORDER = Comparator.comparing(Task::at).thenComparing(Task::how);

    public Task {
        if (how == Moment.AGAIN || how == Moment.RELEASE) {
            throw new IllegalArgumentException("a second press and a release belong to a press");
        }
    }

    public DeviceId box() {
        return at.board();
    }

    /** The task in one word for links and tables: {@code quay-board.1.3/press}. */
    public String key() {
        return at.key() + "/" + how.key();
    }

    /** The task that {@link #key()} wrote; empty when it is none. */
    public static Optional<Task> parse(String key) {
        int slash = key.indexOf('/');
        if (slash < 0) {
            return Optional.empty();
        }
        return SwitchAt.parse(key.substring(0, slash)).flatMap(at -> {
            for (Moment how : new Moment[] {Moment.PRESS, Moment.HOLD, Moment.DOUBLE_PRESS}) {
                if (how.key().equals(key.substring(slash + 1))) {
                    return Optional.of(new Task(at, how));
                }
            }
            return Optional.empty();
        });
    }

    @Override
    public int compareTo(Task other) {
        return ORDER.compare(this, other);
    }
}
