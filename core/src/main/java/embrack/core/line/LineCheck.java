package embrack.core.line;

import embrack.core.line.Burst.At;
import embrack.core.line.Inspection.Result;
import embrack.core.midi.Message;
import embrack.core.midi.RealTime;
import embrack.core.rig.DeviceId;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * A line check under way, as one person makes it: what is to be pressed next, and what came so far. It goes on by
 * itself: what is right has its tick when it came, what is not is kept as it came, and a box that somebody walks to is
 * the one that is checked.
 *
 * @param came what came for the tasks that are done
 * @param from the box from which something came last
 * @param at what is waited for; empty when everything is done there
 * @param soFar what came for it already
 * @param open messages of a gesture that may not be over yet
 * @param doubt what came once in its place and is planned for another switch; empty when nothing did
 * @param last the task before it
 * @param busy numbers of which more comes than feet make
 * @param remark what is to be told
 */
public record LineCheck(
        Walk walk,
        SortedMap<Task, Came> came,
        Optional<DeviceId> from,
        Optional<Task> at,
        List<Burst> soFar,
        Optional<Burst> open,
        List<Burst> doubt,
        Optional<Task> last,
        Busy busy,
        Optional<Remark> remark) {

    /** What comes for a switch that soon after it was done belongs to it. Common practice, no source. */
    private static final long STILL_MICROS = 3_000_000;

    public LineCheck {
        came = Collections.unmodifiableSortedMap(new TreeMap<>(came));
        soFar = List.copyOf(soFar);
        doubt = List.copyOf(doubt);
    }

    /** A check that goes on where it was left, or begins. */
    public static LineCheck of(Walk walk, Map<Task, Came> came) {
        LineCheck check = new LineCheck(
                walk,
                new TreeMap<>(came),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                Optional.empty(),
                List.of(),
                Optional.empty(),
                Busy.NOTHING,
                Optional.empty());
        return check.waitingFor(check.firstToDo(walk.stops()));
    }

    /** The same check of a plan that was edited meanwhile. */
    public LineCheck in(Walk other) {
        LineCheck same = LineCheck.of(other, came);
        return at.filter(task -> other.find(task).isPresent()).isEmpty()
                        || same.at().isEmpty()
                ? same
                : same.waitingFor(at);
    }

    /** The same check, with what others found out meanwhile; what is waited for may be done by that. */
    public LineCheck knowing(Map<Task, Came> all) {
        if (came.equals(all)) {
            return this;
        }
        LineCheck wiser = new LineCheck(walk, new TreeMap<>(all), from, at, soFar, open, doubt, last, busy, remark);
        boolean idle = at.filter(task -> came.containsKey(task) || !all.containsKey(task))
                .isEmpty();
        return idle && soFar.isEmpty() && open.isEmpty()
                ? wiser.waitingFor(wiser.firstToDo(from.map(walk::on).orElse(walk.stops()))
                        .or(() -> wiser.firstToDo(walk.stops())))
                : wiser;
    }

    public Inspection inspection() {
        return Inspection.of(walk, came);
    }

    /** What is planned for the task that is waited for. */
    public Optional<Planned> waitsFor() {
        return at.flatMap(walk::find);
    }

    /** How long nothing may come before a gesture is thought to be over, in microseconds. */
    public long gapMicros() {
        return Burst.GAP_MICROS + waitsFor().map(Planned::longestWaitMicros).orElse(0L);
    }

    /** A message came in. What keeps time or says that somebody is there is of no switch. */
    public LineCheck heard(Heard heard) {
        if (heard.message() instanceof RealTime) {
            return this;
        }
        LineCheck there = quiet(heard.atMicros()).turnedTo(heard.from());
        if (there.walk.on(heard.from()).isEmpty()) {
            return there;
        }
        return there.with(there.busy.after(heard)).taking(heard);
    }

    /** Takes a message to what is open, unless it is one of those of which too many come. */
    private LineCheck taking(Heard heard) {
        if (busy.has(heard.from(), heard.message())) {
            return with(open.flatMap(burst -> burst.without(message -> busy.has(heard.from(), message))));
        }
        At message = new At(heard.atMicros(), heard.message());
        return with(Optional.of(open.map(burst -> burst.with(message)).orElseGet(() -> new Burst(List.of(message)))));
    }

    /** Time went by. */
    public LineCheck quiet(long nowMicros) {
        return open.isEmpty() || nowMicros - open.get().untilMicros() < gapMicros() ? this : closed(open.get());
    }

    /** Somebody says that nothing comes when it is pressed. */
    public LineCheck nothing() {
        return waitsFor().map(planned -> done(Came.nothing(planned))).orElse(this);
    }

    /** Somebody leaves it for later. */
    public LineCheck skipped() {
        if (at.isEmpty()) {
            return this;
        }
        List<Planned> stops = walk.stops();
        int here = stops.indexOf(walk.planned(at.get()));
        List<Planned> behind = Stream.concat(
                        stops.subList(here + 1, stops.size()).stream(), stops.subList(0, here).stream())
                .toList();
        return waitingFor(firstToDo(behind).or(() -> at));
    }

    /** Somebody wants to check this next, also once more. */
    public LineCheck turnedTo(Task task) {
        return walk.find(task).isPresent() ? without(List.of(task)).waitingFor(Optional.of(task)) : this;
    }

    /** Somebody walked to a box. */
    public LineCheck walkedTo(DeviceId box) {
        return walk.on(box).isEmpty() ? this : with(Optional.<Burst>empty()).standingAt(box);
    }

    /** The box that is looked at: where somebody is, else the first. */
    public Optional<DeviceId> box() {
        return at.map(Task::box).or(() -> from).or(() -> walk.boxes().stream().findFirst());
    }

    /** What was found out about some tasks is forgotten, as after a transport. */
    public LineCheck anew(List<Task> tasks) {
        LineCheck left = without(tasks);
        return left.waitingFor(left.firstToDo(walk.stops()));
    }

    private LineCheck without(List<Task> tasks) {
        SortedMap<Task, Came> left = new TreeMap<>(came);
        tasks.forEach(left::remove);
        return new LineCheck(walk, left, from, at, soFar, open, doubt, last, busy, remark);
    }

    private Optional<Task> firstToDo(List<Planned> of) {
        Inspection now = inspection();
        return of.stream()
                .map(Planned::task)
                .filter(task -> now.of(task).isToDo())
                .findFirst();
    }

    /** Turns to a box from which something comes: somebody stands there. */
    private LineCheck turnedTo(DeviceId box) {
        boolean busyElsewhere = open.isPresent() || walk.on(box).isEmpty();
        return busyElsewhere || from.filter(box::equals).isPresent() ? this : standingAt(box);
    }

    private LineCheck standingAt(DeviceId box) {
        LineCheck there = waitingFor(firstToDo(walk.on(box)));
        return new LineCheck(
                walk,
                came,
                Optional.of(box),
                there.at,
                List.of(),
                Optional.empty(),
                List.of(),
                last,
                busy,
                Optional.empty());
    }

    /** Another thing to wait for, with nothing heard of it yet. */
    private LineCheck waitingFor(Optional<Task> next) {
        return new LineCheck(
                walk,
                came,
                next.map(Task::box).or(() -> from),
                next,
                List.of(),
                Optional.empty(),
                List.of(),
                last,
                busy,
                remark);
    }

    private LineCheck with(Optional<Burst> burst) {
        return new LineCheck(walk, came, from, at, soFar, burst, doubt, last, busy, remark);
    }

    private LineCheck with(Busy other) {
        return new LineCheck(walk, came, from, at, soFar, open, doubt, last, other, remark);
    }

    private LineCheck telling(Remark told) {
        return new LineCheck(walk, came, from, at, soFar, open, doubt, last, busy, Optional.of(told));
    }

    /** A gesture is over. */
    private LineCheck closed(Burst burst) {
        LineCheck over = with(Optional.empty());
        if (at.isEmpty()) {
            return over.beside(burst);
        }
        Planned planned = walk.planned(at.get());
        List<Burst> all = Stream.concat(soFar.stream(), Stream.of(burst)).toList();
        Fit fit = Fit.of(planned, all);
        if (fit.isDone()) {
            return over.done(new Came(planned.written(), all));
        }
        if (fit.all()) {
            return over.soFar(all).telling(new Remark.OnceMore(planned.task()));
        }
        if (!soFar.isEmpty()) {
            return over.done(new Came(planned.written(), all));
        }
        return over.unexpected(planned, burst);
    }

    private LineCheck soFar(List<Burst> bursts) {
        return new LineCheck(walk, came, from, at, bursts, Optional.empty(), List.of(), last, busy, remark);
    }

    /** What came is not what the switch whose turn it is was to send. */
    private LineCheck unexpected(Planned planned, Burst burst) {
        Optional<LineCheck> stillBefore = stillTheOneBefore(burst);
        if (stillBefore.isPresent()) {
            return stillBefore.get();
        }
        List<Message> content = burst.content();
        Inspection now = inspection();
        Optional<Task> other = sender(planned.task(), content);
        boolean sure = doubt.stream().anyMatch(before -> before.content().equals(content));
        if (other.isPresent() && !sure) {
            boolean wasAmiss = now.of(other.get()) instanceof Result.Wrong;
            if (wasAmiss && !hasSent(other.get(), planned)) {
                return waitingFor(other).closed(burst);
            }
            if (!wasAmiss) {
                return new LineCheck(
                        walk,
                        came,
                        from,
                        at,
                        soFar,
                        open,
                        List.of(burst),
                        last,
                        busy,
                        Optional.of(new Remark.ThatIs(other.get())));
            }
        }
        return done(new Came(
                planned.written(),
                Stream.concat(doubt.stream(), Stream.of(burst)).toList()));
    }

    /** The switch before, pressed or let go once more: what came for it is looked at together. */
    private Optional<LineCheck> stillTheOneBefore(Burst burst) {
        if (last.isEmpty()
                || !came.containsKey(last.get())
                || walk.find(last.get()).isEmpty()) {
            return Optional.empty();
        }
        Came before = came.get(last.get());
        if (before.bursts().isEmpty()) {
            return Optional.empty();
        }
        Planned planned = walk.planned(last.get());
        List<Message> content = burst.content();
        boolean again = before.bursts().stream().anyMatch(b -> Likeness.same(b.content(), content));
        long since = burst.fromMicros() - before.bursts().getLast().untilMicros();
        boolean moreToCome = before.bursts().size() < planned.gestures();
        boolean soon = since < (moreToCome ? STILL_MICROS : Judging.FOOT_MICROS);
        boolean itsOther = soon
                && (Likeness.isOtherSide(planned.messages(), content)
                        || Likeness.same(planned.messages(), content)
                        || Likeness.isOtherSide(before.bursts().getFirst().content(), content));
        if (!again && !itsOther) {
            return Optional.empty();
        }
        boolean wasStray = Likeness.same(planned.messages(), content)
                && before.bursts().stream().noneMatch(b -> Likeness.touches(planned.messages(), b.content()));
        if (wasStray) {
            return Optional.of(without(List.of(last.get())).waitingFor(last).closed(burst));
        }
        SortedMap<Task, Came> more = new TreeMap<>(came);
        more.put(last.get(), before.with(burst));
        return Optional.of(new LineCheck(
                walk,
                more,
                from,
                at,
                soFar,
                Optional.empty(),
                doubt,
                last,
                busy,
                Optional.of(new Remark.Again(last.get()))));
    }

    /** Everything is done there, and something is pressed once more. */
    private LineCheck beside(Burst burst) {
        return stillTheOneBefore(burst).orElseGet(() -> {
            Inspection now = inspection();
            Optional<Task> sender = from.map(walk::on).orElse(walk.stops()).stream()
                    .filter(planned -> Likeness.same(planned.messages(), burst.content()))
                    .map(Planned::task)
                    .findFirst();
            return sender.filter(task -> now.of(task) instanceof Result.Wrong).isPresent()
                    ? waitingFor(sender).closed(burst)
                    : sender.<LineCheck>map(task -> telling(new Remark.Again(task)))
                            .orElse(this);
        });
    }

    /** Another switch of the box for which that is planned. */
    private Optional<Task> sender(Task not, List<Message> content) {
        return walk.on(not.box()).stream()
                .filter(planned -> !planned.task().at().equals(not.at()))
                .filter(planned -> Likeness.same(planned.messages(), content)
                        || Likeness.same(Planned.messages(planned.again()), content))
                .map(Planned::task)
                .findFirst();
    }

    private boolean hasSent(Task task, Planned planned) {
        return Objects.requireNonNull(came.get(task)).bursts().stream()
                .limit(1)
                .anyMatch(burst -> Likeness.same(planned.messages(), burst.content()));
    }

    private LineCheck done(Came what) {
        Task task = at.orElseThrow();
        SortedMap<Task, Came> more = new TreeMap<>(came);
        more.put(task, what);
        LineCheck kept = new LineCheck(
                walk,
                more,
                from,
                at,
                List.of(),
                Optional.empty(),
                List.of(),
                Optional.of(task),
                busy,
                Optional.empty());
        Result result = kept.inspection().of(task);
        return kept.waitingFor(kept.firstToDo(walk.on(task.box())).or(() -> kept.firstToDo(walk.stops())))
                .telling(new Remark.Done(task, result instanceof Result.Right));
    }
}
