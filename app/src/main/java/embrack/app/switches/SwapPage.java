package embrack.app.switches;

import embrack.core.effort.Swap;
import embrack.core.effort.ToDo;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.Optional;

/**
 * A swap as it is shown.
 *
 * @param withWords what takes over, in words; empty until it is chosen
 * @param boxes all boxes of the rig to choose from
 * @param candidates what could take over, best first; none once it is chosen
 * @param result what the swap takes; empty until both are chosen
 */
record SwapPage(
        String box,
        String with,
        String withWords,
        Rate rate,
        List<Choice> boxes,
        List<Candidate> candidates,
        Optional<Result> result) {

    /** Seconds that a line takes, minutes that are left. */
    record Rate(int seconds, int minutesLeft) {}

    /** A box to choose. */
    record Choice(String key, String words) {}

    /** What could take over, and how much of the job it does. */
    record Candidate(String key, String words, int does, int of) {
        public boolean isWhole() {
            return does == of;
        }
    }

    /** What it takes: before the first song, and later. */
    record Result(int fits, List<String> lost, List<String> costs, Part first, Part later, String time) {}

    /** What is done at one time. */
    record Part(ToDo work, boolean isInTime) {
        static Part of(ToDo work, int minutesLeft) {
            return new Part(work, work.fitsInto(minutesLeft));
        }
    }

    static SwapPage of(Plan plan, Optional<DeviceId> dead, String with, Rate rate, List<Candidate> candidates) {
        return new SwapPage(
                dead.map(DeviceId::text).orElse(""),
                with,
                "",
                rate,
                plan.rig().devices().stream()
                        .map(d -> new Choice(
                                d.id().text(),
                                "%s (%s)"
                                        .formatted(
                                                d.name(),
                                                plan.rig().model(d.id()).name())))
                        .toList(),
                candidates,
                Optional.empty());
    }

    SwapPage with(Swap swap, String words) {
        return new SwapPage(
                box,
                with,
                words,
                rate,
                boxes,
                candidates,
                Optional.of(new Result(
                        swap.fits(),
                        swap.lost(),
                        swap.costs(),
                        Part.of(swap.first(), rate.minutesLeft()),
                        Part.of(swap.later(), rate.minutesLeft()),
                        swap.all().time())));
    }
}
