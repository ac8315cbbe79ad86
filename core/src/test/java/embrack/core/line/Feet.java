package embrack.core.line;

import embrack.core.switches.Moment;
import java.util.ArrayList;
import java.util.List;

/** Somebody who walks through a check with a simulated rig, and presses what is asked for. */
final class Feet {

    private SimulatedRig rig;
    private LineCheck check;
    private long clock = 1_000_000;
    private final List<Task> pressed = new ArrayList<>();

    Feet(SimulatedRig rig, LineCheck check) {
        this.rig = rig;
        this.check = check;
    }

    /** Presses all that is asked for, as often as it is asked for; what sends nothing is said to. */
    Feet walk() {
        for (int i = 0; i < 3 * check.walk().stops().size() && check.at().isPresent(); i++) {
            Planned planned = check.waitsFor().orElseThrow();
            for (int press = 0; press < planned.presses(); press++) {
                press(planned.task());
            }
            if (check.at().filter(planned.task()::equals).isPresent()) {
                press(planned.task());
            }
            if (check.at().filter(planned.task()::equals).isPresent()) {
                check = check.nothing();
            }
        }
        return this;
    }

    /** A foot goes down and up. */
    Feet press(Task task) {
        pressed.add(task);
        if (task.how() == Moment.PRESS) {
            hear(rig.press(task.at()));
            later(180_000);
            hear(rig.release(task.at()));
        } else {
            hear(rig.gesture(task.at(), task.how()));
        }
        later(900_000);
        return this;
    }

    private void hear(SimulatedRig.Done done) {
        rig = done.after();
        for (SimulatedRig.Sent sent : done.sent()) {
            check = check.heard(new Heard(clock + sent.afterMicros(), sent.from(), sent.message()));
        }
        clock += done.sent().isEmpty() ? 0 : done.sent().getLast().afterMicros();
    }

    private void later(long micros) {
        clock += micros;
        check = check.quiet(clock);
    }

    Feet mended() {
        rig = rig.with(List.of());
        return this;
    }

    /** The check goes on an hour later, on another machine: nothing but what was kept is known. */
    Feet later() {
        check = LineCheck.of(check.walk(), check.came());
        clock += 3_600_000_000L;
        return this;
    }

    LineCheck check() {
        return check;
    }

    Inspection found() {
        return check.inspection();
    }

    List<Task> pressed() {
        return pressed;
    }
}
