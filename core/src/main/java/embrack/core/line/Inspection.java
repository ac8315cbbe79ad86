package embrack.core.line;

import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Moment;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What a check has shown so far. Each task is looked at in the light of all others: a number one too high may be what
 * the next switch is for; when that one is one too high as well, the box counts from another first.
 *
 * @param results for every stop of the walk
 */
public record Inspection(Walk walk, SortedMap<Task, Result> results) {

    /** How it stands with a task. */
    public sealed interface Result {

        /** Nobody pressed it yet. */
        record ToDo() implements Result {}

        /** It sends what is planned. {@code times} it did so. */
        record Right(int times) implements Result {}

        /** It was looked at, and since then the plan asks something else of it. */
        record Changed() implements Result {}

        /**
         * It sends something else.
         *
         * @param again whether one before it on the same box has the same cause
         */
        record Wrong(Amiss amiss, boolean again) implements Result {}

        default boolean isToDo() {
            return this instanceof ToDo || this instanceof Changed;
        }
    }

    public Inspection {
        results = Collections.unmodifiableSortedMap(new TreeMap<>(results));
    }

    /** What came for the tasks of a walk shows. What belongs to none of them any more is passed over. */
    public static Inspection of(Walk walk, Map<Task, Came> came) {
        Judging judging = new Judging(walk.plan());
        SortedMap<Task, Result> results = new TreeMap<>();
        for (Planned planned : walk.stops()) {
            results.put(planned.task(), result(judging, planned, Optional.ofNullable(came.get(planned.task()))));
        }
        walk.boxes().forEach(box -> new Box(walk, box, came, results).lookOver());
        return new Inspection(walk, results);
    }

    private static Result result(Judging judging, Planned planned, Optional<Came> came) {
        if (came.isEmpty()) {
            return new Result.ToDo();
        }
        List<Burst> bursts = came.get().bursts();
        boolean changed = !came.get().planned().equals(planned.written());
        Optional<Amiss> amiss = judging.of(planned, bursts);
        if (amiss.isPresent()) {
            return changed ? new Result.Changed() : new Result.Wrong(amiss.get(), false);
        }
        return new Result.Right(times(planned, bursts));
    }

    private static int times(Planned planned, List<Burst> bursts) {
        int phases = Fit.of(planned, bursts).phases();
        return planned.up().isEmpty() ? phases : (phases + 1) / 2;
    }

    public Result of(Task task) {
        return results.getOrDefault(task, new Result.ToDo());
    }

    /** How many tasks there are. */
    public int count() {
        return results.size();
    }

    /** How many are done, right or wrong. */
    public int done() {
        return (int)
                results.values().stream().filter(result -> !result.isToDo()).count();
    }

    /** What is not as planned, in the order of the walk. */
    public List<Task> amiss() {
        return walk.stops().stream()
                .map(Planned::task)
                .filter(task -> of(task) instanceof Result.Wrong)
                .toList();
    }

    /** Whether all is done and right. */
    public boolean isAllRight() {
        return results.values().stream().allMatch(Result.Right.class::isInstance);
    }

    /** One box, whose switches are looked at together. */
    private record Box(Walk walk, DeviceId box, Map<Task, Came> came, SortedMap<Task, Result> results) {

        void lookOver() {
            List<Task> tasks = walk.on(box).stream().map(Planned::task).toList();
            for (Task task : tasks) {
                if (results.get(task) instanceof Result.Wrong wrong) {
                    results.put(task, new Result.Wrong(inTheLightOfOthers(task, wrong.amiss(), tasks), false));
                }
            }
            List<Object> told = new ArrayList<>();
            for (Task task : tasks) {
                if (results.get(task) instanceof Result.Wrong wrong && isOfTheBox(wrong.amiss())) {
                    Object cause = cause(wrong.amiss());
                    results.put(task, new Result.Wrong(wrong.amiss(), told.contains(cause)));
                    told.add(cause);
                }
            }
        }

        private Amiss inTheLightOfOthers(Task task, Amiss amiss, List<Task> tasks) {
            if (amiss instanceof Amiss.Nothing || amiss instanceof Amiss.Doubled) {
                return amiss;
            }
            List<Message> content =
                    Objects.requireNonNull(came.get(task)).bursts().getFirst().content();
            List<Task> meant = tasks.stream()
                    .filter(other -> !other.at().equals(task.at()) && sends(other, content))
                    .toList();
            Optional<Task> exchanged =
                    meant.stream().filter(other -> hasSentWhatIsOf(other, task)).findFirst();
            if (exchanged.isPresent()) {
                return exchanged(task, exchanged.get());
            }
            boolean alike = amiss instanceof Amiss.OffBy
                    && tasks.stream().filter(other -> isSo(other, amiss)).count() > 1;
            return alike || meant.isEmpty() || amiss instanceof Amiss.WrongWay || amiss instanceof Amiss.OnChannel
                    ? amiss
                    : new Amiss.OtherSwitch(meant.getFirst());
        }

        private boolean hasSentWhatIsOf(Task other, Task task) {
            return Optional.ofNullable(came.get(other)).stream()
                    .flatMap(c -> c.bursts().stream().limit(1))
                    .anyMatch(burst -> sends(task, burst.content()));
        }

        private static Amiss exchanged(Task task, Task other) {
            return task.at().bank() != other.at().bank()
                            && task.at().number() == other.at().number()
                    ? new Amiss.BanksExchanged(task.at().bank(), other.at().bank())
                    : new Amiss.Exchanged(other);
        }

        private boolean isSo(Task other, Amiss amiss) {
            return came.containsKey(other)
                    && new Judging(walk.plan())
                            .of(
                                    walk.planned(other),
                                    Objects.requireNonNull(came.get(other)).bursts())
                            .filter(amiss::equals)
                            .isPresent();
        }

        private boolean sends(Task task, List<Message> content) {
            Planned planned = walk.planned(task);
            return task.how() == Moment.PRESS
                    && (Likeness.same(planned.messages(), content)
                            || Likeness.same(Planned.messages(planned.again()), content));
        }

        /** What is set once for the whole box, so that several switches have it together. */
        private static boolean isOfTheBox(Amiss amiss) {
            return amiss instanceof Amiss.OnChannel
                    || amiss instanceof Amiss.OffBy
                    || amiss instanceof Amiss.Doubled
                    || amiss instanceof Amiss.BanksExchanged
                    || amiss instanceof Amiss.Nothing;
        }

        private static Object cause(Amiss amiss) {
            return switch (amiss) {
                case Amiss.OnChannel on -> on.came();
                case Amiss.BanksExchanged banks ->
                    Math.min(banks.here(), banks.there()) * 1_000 + Math.max(banks.here(), banks.there());
                default -> amiss;
            };
        }
    }
}
