package embrack.core.run;

import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.run.Noticing.Sense;
import embrack.core.run.Rates.Sort;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Place;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Nights in which things go wrong as often as they are said to, drawn by a seed: the same seed gives the same night.
 * The people do nothing but what the plan says; what goes out comes back by itself after the time that its sort says.
 * What is still wrong after five minutes is taken for mended then, and the night goes on as planned (common practice,
 * no source).
 */
public final class BadNights {

    private static final long MENDED_MICROS = 300_000_000;
    private static final double MICROS_PER_HOUR = 3_600e6;

    private final Night night;
    private final Lots lots;
    private final Noticing noticing;
    private final History planned;
    private final List<Run> partBegins = new ArrayList<>();

    /** What something is put down to. */
    public sealed interface Culprit {}

    /** A cable, or a link without one. */
    public record OfLink(Link link) implements Culprit {}

    /** A box. */
    public record OfBox(DeviceId box) implements Culprit {}

    /** A switch that is pressed by mistake. */
    public record OfSwitch(SwitchAt at) implements Culprit {}

    /** A part that takes too long. {@code part} from 0. */
    public record OfPart(int part) implements Culprit {}

    /** Nothing went wrong before it: it is so in the plan. */
    public record OfPlan() implements Culprit {}

    /**
     * What the audience noticed, put down to what went wrong first.
     *
     * @param heardMicros how long it heard something wrong, microseconds, by culprit
     * @param seenMicros how long it saw something wrong
     * @param faults how many things went wrong
     * @param nights in how many nights
     * @param noticed in how many of them it noticed anything
     */
    public record Bill(
            Map<Culprit, Long> heardMicros, Map<Culprit, Long> seenMicros, int faults, int nights, int noticed) {

        /** Of no night at all. */
        public static final Bill NOTHING = new Bill(Map.of(), Map.of(), 0, 0, 0);

        private static Bill ofNight(Map<Culprit, Long> heardMicros, Map<Culprit, Long> seenMicros, int faults) {
            return new Bill(heardMicros, seenMicros, faults, 1, heardMicros.isEmpty() && seenMicros.isEmpty() ? 0 : 1);
        }

        /** These nights and others. */
        public Bill and(Bill other) {
            return new Bill(
                    sum(heardMicros, other.heardMicros),
                    sum(seenMicros, other.seenMicros),
                    faults + other.faults,
                    nights + other.nights,
                    noticed + other.noticed);
        }

        private static Map<Culprit, Long> sum(Map<Culprit, Long> one, Map<Culprit, Long> other) {
            Map<Culprit, Long> sum = new HashMap<>(one);
            other.forEach((culprit, micros) -> sum.merge(culprit, micros, Long::sum));
            return sum;
        }

        /** All that was noticed of a culprit, microseconds. */
        public long micros(Culprit culprit) {
            return heardMicros.getOrDefault(culprit, 0L) + seenMicros.getOrDefault(culprit, 0L);
        }

        /** The culprits, the worst first. */
        public List<Culprit> worst() {
            return Stream.concat(heardMicros.keySet().stream(), seenMicros.keySet().stream())
                    .distinct()
                    .sorted(Comparator.comparingLong((Culprit culprit) -> -micros(culprit))
                            .thenComparing(Culprit::toString))
                    .toList();
        }
    }

    public BadNights(Night night, Rates rates) {
        this.night = night;
        this.lots = new Lots(night, rates);
        this.noticing = new Noticing(night.plan());
        History whole = History.of(Run.of(night, true));
        while (!whole.run().isOver()) {
            if (whole.run().part() >= partBegins.size()) {
                partBegins.add(whole.run());
            }
            whole = whole.run().isHeld()
                    ? whole.after(new Act.GoOn())
                    : whole.until(whole.run().nextMicros());
        }
        planned = whole;
    }

    /** What goes wrong in the night of a seed, in order. */
    public List<History.Done> drawn(long seed) {
        var random = new SplittableRandom(seed);
        long length = planned.run().now();
        double hours = length / MICROS_PER_HOUR;
        List<History.Done> all = new ArrayList<>();
        for (Sort sort : Sort.values()) {
            for (int i = poisson(random, lots.expected(sort, hours)); i > 0; i--) {
                all.add(drawn(sort, random, length));
            }
        }
        all.sort(Comparator.comparingLong(History.Done::at));
        return all;
    }

    private History.Done drawn(Sort sort, RandomGenerator random, long length) {
        long at = (long) (random.nextDouble() * length);
        long when = sort == Sort.OVERRUN ? inPart(Lots.one(lots.spoken(), random)) : at;
        return new History.Done(when, new Act.Struck(lots.one(sort, random)));
    }

    /** A moment inside a part. */
    private long inPart(int part) {
        return part < partBegins.size() ? partBegins.get(part).now() + 1_000_000 : 0;
    }

    /** How often something happens that is expected so often: Knuth's way, by the product of uniform numbers. */
    private static int poisson(RandomGenerator random, double expected) {
        double limit = Math.exp(-expected);
        int count = 0;
        for (double product = random.nextDouble(); product > limit; product *= random.nextDouble()) {
            count++;
        }
        return count;
    }

    /** What the audience noticed in the night of a seed. */
    public Bill of(long seed) {
        List<History.Done> drawn = drawn(seed);
        if (drawn.isEmpty()) {
            return Bill.ofNight(Map.of(), Map.of(), 0);
        }
        Map<Culprit, Long> heard = new HashMap<>();
        Map<Culprit, Long> seen = new HashMap<>();
        Run run = planned.at(drawn.getFirst().at());
        Optional<Culprit> open = Optional.empty();
        Culprit last = new OfPlan();
        long since = run.now();
        int next = 0;
        while (!run.isOver() && (next < drawn.size() || open.isPresent() || !isWell(run))) {
            while (next < drawn.size() && drawn.get(next).at() <= run.now()) {
                Act act = drawn.get(next++).act();
                run = run.after(act);
                int part = run.part();
                since = open.isPresent() ? since : run.now();
                last = culprit(act, part);
                open = Optional.of(open.orElse(last));
            }
            if (open.isEmpty() && isTold(run)) {
                // A message that is lost, or a press, shows a while after it: unless it were so without it.
                Run planned = this.planned.at(run.now());
                boolean isPlanned = isTold(planned) && places(planned).equals(places(run));
                open = Optional.of(isPlanned ? new OfPlan() : last);
            }
            long until = Math.min(
                    next < drawn.size() ? drawn.get(next).at() : Long.MAX_VALUE,
                    open.isPresent() || !isWell(run) ? since + MENDED_MICROS : Long.MAX_VALUE);
            Run later = run.until(Math.min(until, Math.max(run.now() + 1, run.nextMicros())));
            long took = later.now() - run.now();
            var senses = isWell(run) ? Set.<Sense>of() : noticing.of(run);
            Culprit culprit = open.orElseGet(OfPlan::new);
            if (senses.contains(Sense.HEARD)) {
                heard.merge(culprit, took, Long::sum);
            }
            if (senses.contains(Sense.SEEN)) {
                seen.merge(culprit, took, Long::sum);
            }
            run = later;
            if (isWell(run)) {
                open = Optional.empty();
                since = run.now();
            } else if (run.now() >= since + MENDED_MICROS) {
                run = planned.at(run.now());
                open = Optional.empty();
                since = run.now();
            }
        }
        return Bill.ofNight(heard, seen, drawn.size());
    }

    /** Whether anything is wrong for longer than messages take: what is under way still is no matter of anybody's. */
    private static boolean isTold(Run run) {
        return !run.wrongs().isEmpty()
                || run.silentSince().isPresent()
                || !run.repairs().isEmpty();
    }

    private static Set<Place> places(Run run) {
        return run.wrongs().stream().map(Wrong::place).collect(Collectors.toSet());
    }

    private static boolean isWell(Run run) {
        return run.state().wrongs().isEmpty()
                && run.state().silentSince() < 0
                && run.repairs().isEmpty();
    }

    /** What an act is put down to that comes in a part, from 0. */
    private static Culprit culprit(Act act, int part) {
        if (!(act instanceof Act.Struck struck)) {
            return new OfPlan();
        }
        return switch (struck.fault()) {
            case Fault.LinkOut out -> new OfLink(out.link());
            case Fault.BoxOut out -> new OfBox(out.box());
            case Fault.Slip slip -> new OfLink(slip.link());
            case Fault.Stutter stutter -> new OfLink(stutter.link());
            case Fault.Misstep step -> new OfSwitch(step.at());
            case Fault.Astray astray -> new OfBox(astray.place().device());
            case Fault.Overrun overrun -> new OfPart(part);
        };
    }
}
