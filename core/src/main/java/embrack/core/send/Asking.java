package embrack.core.send;

import embrack.core.rig.DeviceId;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * Boxes are asked one action at a time, each sent before it is asked about; an answer goes on to the next of the box.
 *
 * @param asked what was answered, by the key of its probe; also of what is no longer asked
 * @param at what is asked next; empty when nothing is left
 * @param isSent whether that was sent, so that it can be answered
 * @param where the box that is looked at; empty where nothing is asked of any
 */
public record Asking(
        Probes probes, SortedMap<String, Asked> asked, Optional<Probe> at, boolean isSent, Optional<DeviceId> where) {

    public Asking {
        asked = Collections.unmodifiableSortedMap(new TreeMap<>(asked));
    }

    /** What came of a probe. */
    public enum Result {
        TO_DO,
        /** It was answered, and the plan sends something else since. */
        CHANGED,
        RIGHT,
        WRONG;

        public boolean isToDo() {
            return this == TO_DO || this == CHANGED;
        }
    }

    /** Asking that goes on where it was left, or begins. */
    public static Asking of(Probes probes, Map<String, Asked> asked) {
        Asking begun = new Asking(
                probes,
                new TreeMap<>(asked),
                Optional.empty(),
                false,
                probes.boxes().stream().findFirst());
        return begun.at(begun.firstToDo(probes.all()));
    }

    /** The same on a plan that was edited meanwhile. */
    public Asking in(Probes others) {
        Asking same = of(others, asked);
        return at.flatMap(probe -> others.find(probe.key()))
                .filter(probe -> same.result(probe).isToDo() || isSent)
                .map(probe -> new Asking(
                        others,
                        same.asked,
                        Optional.of(probe),
                        isSent && at.filter(probe::equals).isPresent(),
                        Optional.of(probe.device())))
                .orElse(same);
    }

    /** The same, with all that was answered, where it may have been elsewhere meanwhile. */
    public Asking knowing(Map<String, Asked> all) {
        return new Asking(probes, new TreeMap<>(all), at, isSent, where).in(probes);
    }

    public Result result(Probe probe) {
        Asked before = asked.get(probe.key());
        if (before == null) {
            return Result.TO_DO;
        }
        if (!before.sent().equals(probe.written())) {
            return Result.CHANGED;
        }
        return before.answer() instanceof Answer.Did ? Result.RIGHT : Result.WRONG;
    }

    /** What was answered, where that still holds. */
    public Optional<Answer> answer(Probe probe) {
        return result(probe).isToDo()
                ? Optional.empty()
                : Optional.ofNullable(asked.get(probe.key())).map(Asked::answer);
    }

    /** What is asked was sent. */
    public Asking sent() {
        return new Asking(probes, asked, at, at.isPresent(), where);
    }

    /** Somebody says what was seen. What was not sent cannot be answered. */
    public Asking answered(Answer answer) {
        if (at.isEmpty() || !isSent) {
            return this;
        }
        SortedMap<String, Asked> more = new TreeMap<>(asked);
        more.put(at.get().key(), new Asked(at.get().written(), answer));
        Asking kept = new Asking(probes, more, at, false, where);
        return kept.at(kept.firstToDo(kept.behind()));
    }

    /** It was so already, or nobody can look now: it comes again behind the others of the box. */
    public Asking later() {
        return at.isEmpty() ? this : at(firstToDo(behind()).or(() -> at));
    }

    /** Somebody wants this next, also once more. */
    public Asking turnedTo(String key) {
        return probes.find(key).map(probe -> at(Optional.of(probe))).orElse(this);
    }

    /** Somebody walked to a box. */
    public Asking walkedTo(DeviceId box) {
        List<Probe> there = probes.of(box);
        return there.isEmpty() ? this : new Asking(probes, asked, firstToDo(there), false, Optional.of(box));
    }

    /** What was answered about some boxes is forgotten. */
    public Asking anew(List<DeviceId> boxes) {
        SortedMap<String, Asked> left = new TreeMap<>(asked);
        probes.all().stream()
                .filter(probe -> boxes.contains(probe.device()))
                .forEach(probe -> left.remove(probe.key()));
        Asking kept = new Asking(probes, left, at, false, where);
        return kept.at(at.or(() -> kept.firstToDo(probes.all())));
    }

    /** What was answered otherwise than yes, in order. */
    public List<Probe> amiss() {
        return probes.all().stream()
                .filter(probe -> result(probe) == Result.WRONG)
                .toList();
    }

    private Asking at(Optional<Probe> next) {
        return new Asking(probes, asked, next, false, next.map(Probe::device).or(() -> where));
    }

    /** The others of the box from the one that is asked on, round to it; then all others. */
    private List<Probe> behind() {
        Probe here = at.orElseThrow();
        List<Probe> box = probes.of(here.device());
        int place = box.indexOf(here);
        return Stream.of(
                        box.subList(place + 1, box.size()).stream(),
                        box.subList(0, place + 1).stream(),
                        probes.all().stream())
                .flatMap(each -> each)
                .distinct()
                .toList();
    }

    private Optional<Probe> firstToDo(List<Probe> of) {
        return of.stream().filter(probe -> result(probe).isToDo()).findFirst();
    }
}
