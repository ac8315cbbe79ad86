package embrack.app.switches;

import embrack.core.effort.Swap;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.Optional;

/**
 * A swap as it is shown.
 *
 * @param boxes all boxes of the rig to choose from
 * @param candidates what could take over
 * @param result what the swap takes; empty until both are chosen
 */
record SwapPage(
        String box,
        String with,
        Rate rate,
        List<Candidate> boxes,
        List<Candidate> candidates,
        Optional<Result> result) {

    /** Seconds that a line takes, minutes that are left. */
    record Rate(int seconds, int minutesLeft) {}

    /** Something to choose. */
    record Candidate(String key, String words) {}

    /** What it takes. */
    record Result(int fits, List<String> lost, List<Box> boxes, int lines, String time, boolean isInTime) {}

    /** What to program in one box. */
    record Box(String title, List<String> lines) {}

    static SwapPage of(Plan plan, Optional<DeviceId> dead, String with, Rate rate, List<Candidate> candidates) {
        return new SwapPage(
                dead.map(DeviceId::text).orElse(""),
                with,
                rate,
                plan.rig().devices().stream()
                        .map(d -> new Candidate(
                                d.id().text(),
                                "%s (%s)"
                                        .formatted(
                                                d.name(),
                                                plan.rig().model(d.id()).name())))
                        .toList(),
                candidates,
                Optional.empty());
    }

    SwapPage with(Swap swap) {
        return new SwapPage(
                box,
                with,
                rate,
                boxes,
                candidates,
                Optional.of(new Result(
                        swap.fits(),
                        swap.lost(),
                        swap.sheets().stream()
                                .map(sheet -> new Box(
                                        sheet.title(),
                                        sheet.sections().stream()
                                                .flatMap(section -> section.lines().stream()
                                                        .map(line ->
                                                                "%s: %s".formatted(section.heading(), line.words())))
                                                .toList()))
                                .toList(),
                        swap.work().things(),
                        swap.work().words(),
                        swap.work().fitsInto(rate.minutesLeft()))));
    }
}
