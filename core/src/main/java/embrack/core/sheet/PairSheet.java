package embrack.core.sheet;

import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Comparison;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Feed;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.core.rig.StandBy;
import embrack.core.sheet.Section.Task;
import embrack.core.sheet.Sheet.Job;
import embrack.core.show.Entry;
import embrack.core.show.Show;
import java.util.ArrayList;
import java.util.List;

/** Makes the sheets of pairs: both beside each other, and how to go back after one has failed. */
final class PairSheet {

    private final Plan plan;
    private final Rig rig;

    PairSheet(Plan plan) {
        this.plan = plan;
        this.rig = plan.rig();
    }

    /** A sheet for each pair, in their order. */
    List<Sheet> all() {
        return rig.pairs().stream().map(this::of).toList();
    }

    private Sheet of(Pair pair) {
        String key = "pair/%s".formatted(pair.first());
        List<Section> sections = new ArrayList<>();
        sections.add(new Section.Todo("Beside each other", known(key + "/beside/", beside(pair))));
        sections.add(new Section.Todo("When one has failed: going back", back(key, pair)));
        List<String> moments = quiet();
        sections.add(new Section.Todo(
                "Quiet moments in the order",
                known(
                        key + "/quiet/",
                        moments.isEmpty()
                                ? List.of("The order has no part in which somebody speaks: go back after the show.")
                                : moments)));
        return new Sheet(
                Job.TRY,
                "pair-" + pair.first(),
                "%s beside %s".formatted(rig.name(pair.first()), rig.name(pair.second())),
                rig.model(pair.first()).name().text(),
                sections,
                List.of("Trying a failover with ears in hurts: levels low, ears out first."));
    }

    private static List<Task> known(String key, List<String> lines) {
        List<Task> tasks = new ArrayList<>();
        lines.forEach(line -> tasks.add(new Task(key + (tasks.size() + 1), line, false)));
        return tasks;
    }

    private List<String> beside(Pair pair) {
        List<String> lines = new ArrayList<>();
        lines.add("%s runs on %s, %s on %s."
                .formatted(
                        rig.name(pair.first()),
                        rig.name(rig.box(pair.first())),
                        rig.name(pair.second()),
                        rig.name(rig.box(pair.second()))));
        lines.add(StandBy.of(rig, pair)
                .map(this::guarded)
                .orElse("No box guards them: whoever sees that one has failed changes to the other by hand."));
        rig.model(pair.first()).outputs().forEach(output -> {
            Feed one = rig.device(pair.first()).feed(output.id());
            Feed other = rig.device(pair.second()).feed(output.id());
            if (!one.equals(Feed.NONE) || !other.equals(Feed.NONE)) {
                lines.add("%s: %s beside %s.".formatted(output.name(), one.words(), other.words()));
            }
        });
        List<Comparison.Difference> differences = Comparison.of(rig, pair);
        differences.forEach(d -> lines.add("Not alike, %s: %s for %s, %s for %s."
                .formatted(d.what(), d.first(), rig.name(pair.first()), d.second(), rig.name(pair.second()))));
        if (differences.isEmpty()) {
            lines.add("Alike in settings, ways, outputs and links.");
        }
        List<String> senders = plan.meant().entrySet().stream()
                .filter(meant -> meant.getValue().contains(pair.first()))
                .map(meant -> rig.name(meant.getKey()).text())
                .toList();
        if (!senders.isEmpty()) {
            lines.add("%s %s both.".formatted(Words.list(senders), senders.size() == 1 ? "works" : "work"));
        }
        lines.add("The same version of the set on both, its sounds on each one's own disk.");
        return lines;
    }

    private String guarded(StandBy guard) {
        return guard.isByItself()
                ? "%s goes over by itself%s."
                        .formatted(
                                rig.name(guard.guard()),
                                guard.heartbeat()
                                        .flatMap(
                                                port -> rig.model(guard.guard()).port(port))
                                        .map(port -> " when the tone on %s stops".formatted(port.name()))
                                        .orElse(""))
                : "%s goes over by hand.".formatted(rig.name(guard.guard()));
    }

    private List<Task> back(String key, Pair pair) {
        DeviceId box = rig.box(pair.first());
        List<String> steps = List.of(
                "Leave the one that plays alone until a quiet moment.",
                "Plug %s in again; start it, then %s on it.".formatted(rig.name(box), rig.name(pair.first())),
                "Choose the sound device in it again: a program that lost it does not take it back by itself.",
                "Load the song that comes next on both, at its beginning.",
                "Stop both, start both together, and see them in step before anybody relies on it.",
                "Go back to %s, and see that the guard is armed again.".formatted(rig.name(pair.first())));
        List<Task> tasks = new ArrayList<>();
        steps.forEach(step -> tasks.add(new Task("%s/back/%d".formatted(key, tasks.size() + 1), step)));
        return tasks;
    }

    /** Parts of the first show in which somebody speaks. */
    private List<String> quiet() {
        return plan.book().shows().stream()
                .limit(1)
                .map(Show::order)
                .flatMap(List::stream)
                .filter(entry -> entry.item().isSpoken())
                .map(Entry::name)
                .map(name -> name + ".")
                .toList();
    }
}
