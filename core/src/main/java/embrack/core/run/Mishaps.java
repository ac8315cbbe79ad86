package embrack.core.run;

import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.Link;
import embrack.core.switches.Assignment;
import embrack.core.world.Event.Fate;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.function.Consumer;

/** Every single thing that can go wrong, in every part of a night and at every join, tried one by one. */
public final class Mishaps {

    private final Night night;
    private final Noticing noticing;

    /** The night as planned, when each part begins and a run at that moment. */
    private final TreeMap<Integer, Run> begins = new TreeMap<>();

    public Mishaps(Night night) {
        this.night = night;
        this.noticing = new Noticing(night.plan());
        Run run = Run.of(night, true);
        int part = -1;
        while (!run.isOver()) {
            if (run.part() != part && !run.isWaiting()) {
                part = run.part();
                begins.put(part, run);
            }
            run = run.next();
        }
        begins.put(night.parts().size(), run);
    }

    /** What can go wrong: links and boxes that are out, messages that are lost, switches that nobody was to press. */
    public static List<Fault> faults(Plan plan) {
        List<Fault> faults = new ArrayList<>();
        for (Link link : plan.rig().links()) {
            faults.add(new Fault.LinkOut(link, 0));
        }
        for (Device device : plan.rig().devices()) {
            faults.add(new Fault.BoxOut(device.id(), 0));
        }
        for (Link link : plan.rig().links()) {
            faults.add(new Fault.Slip(link, Fate.LOST));
        }
        for (Assignment assignment : plan.switches().assignments()) {
            if (!assignment.steps().isEmpty()) {
                faults.add(new Fault.Misstep(assignment.at()));
            }
        }
        return faults;
    }

    /** What can go wrong in this night. */
    public List<Fault> faults() {
        return faults(night.plan());
    }

    /** In which it does. */
    public Night night() {
        return night;
    }

    /** The moments at which each of them is tried: inside each part that is long enough, and just before its end. */
    public List<Mishap> of(Fault fault) {
        List<Mishap> all = new ArrayList<>();
        begins.forEach((part, run) -> {
            if (part < night.parts().size()) {
                long end = begins.higherEntry(part).getValue().now();
                long length = end - run.now();
                if (length > 2 * Mishap.INSIDE_MICROS) {
                    all.add(new Mishap(fault, part, false, run.now() + Mishap.INSIDE_MICROS));
                }
                all.add(new Mishap(fault, part, true, Math.max(run.now(), end - Mishap.BEFORE_JOIN_MICROS)));
            }
        });
        return all;
    }

    /**
     * What comes of a fault at each of the moments at which it is tried, in order; what would help is looked for at the
     * worst of them alone.
     */
    public List<Outcome> outcomes(Fault fault) {
        List<Mishap> all = of(fault);
        List<Outcome> outcomes = new ArrayList<>();
        for (Mishap mishap : all) {
            outcomes.add(Outcome.of(tried(mishap, false).aftermath()));
        }
        outcomes.stream().max(Outcome.BY_HARM).filter(Outcome::isAny).ifPresent(worst -> {
            int at = outcomes.indexOf(worst);
            outcomes.set(at, Outcome.of(tried(all.get(at), true).aftermath()));
        });
        return outcomes;
    }

    /** One tried, and what came of it. */
    public record Tried(Mishap mishap, Aftermath aftermath) {}

    /**
     * Tries all of them.
     *
     * @param progress is told of each as it was tried
     */
    public void all(Consumer<Tried> progress) {
        for (Fault fault : faults(night.plan())) {
            for (Mishap mishap : of(fault)) {
                progress.accept(tried(mishap));
            }
        }
    }

    /** Tries one, and looks for what would bring it back. */
    public Tried tried(Mishap mishap) {
        return tried(mishap, true);
    }

    /** Tries one. {@code isAdvised} whether it is looked for what would bring it back. */
    public Tried tried(Mishap mishap, boolean isAdvised) {
        Run from = begins.get(mishap.part());
        if (from == null) {
            throw new IllegalArgumentException("part %d is never played".formatted(mishap.part()));
        }
        return new Tried(mishap, Aftermath.of(from.until(mishap.at()), mishap.fault(), noticing, isAdvised));
    }
}
