package embrack.core.run;

import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.run.Rates.Sort;
import embrack.core.switches.Assignment;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Event.Fate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;

/** What of a night can go wrong, to be drawn by lot: the likelier the oftener. */
public final class Lots {

    private final Night night;
    private final Rates rates;
    private final List<Link> cables;
    private final List<Link> air;
    private final List<DeviceId> boxes;
    private final List<SwitchAt> switches;
    private final List<Integer> spoken;

    public Lots(Night night, Rates rates) {
        this.night = night;
        this.rates = rates;
        Plan plan = night.plan();
        cables = plan.rig().links().stream()
                .filter(link -> plan.rig().kind(link).isCable())
                .toList();
        air = plan.rig().links().stream()
                .filter(link -> isInTheAir(plan.rig().kind(link)))
                .toList();
        boxes = plan.rig().devices().stream().map(device -> device.id()).toList();
        switches = plan.switches().assignments().stream()
                .filter(assignment -> !assignment.steps().isEmpty())
                .map(Assignment::at)
                .toList();
        spoken = IntStream.range(0, night.parts().size())
                .filter(part -> night.parts().get(part).entry().item().isSpoken())
                .boxed()
                .toList();
    }

    private static boolean isInTheAir(LinkKind kind) {
        return kind == LinkKind.WIRELESS || kind == LinkKind.NETWORK;
    }

    /** The parts in which somebody speaks, from 0. */
    List<Integer> spoken() {
        return spoken;
    }

    /** How often a sort of thing is to be expected in so many hours of the night. */
    double expected(Sort sort, double hours) {
        return rates.of(sort) * things(sort) * (sort.isByHour() ? hours : 1);
    }

    /** How many there are of what can go wrong so; of presses, how many are planned. */
    private int things(Sort sort) {
        return switch (sort) {
            case CABLE -> cables.size();
            case AIR, STUTTER -> air.size();
            case BOX -> boxes.size();
            case MESSAGE -> night.plan().rig().links().size();
            case MISSTEP ->
                switches.isEmpty()
                        ? 0
                        : night
                                .running()
                                .presses(night.plan().book(), night.plan().switches())
                                .values()
                                .stream()
                                .mapToInt(Integer::intValue)
                                .sum();
            case OVERRUN -> spoken.size();
        };
    }

    /** One of a sort of which there is any. */
    Fault one(Sort sort, RandomGenerator random) {
        return switch (sort) {
            case CABLE -> new Fault.LinkOut(one(cables, random), sort.micros());
            case AIR -> new Fault.LinkOut(one(air, random), sort.micros());
            case BOX -> new Fault.BoxOut(one(boxes, random), sort.micros());
            case MESSAGE -> new Fault.Slip(one(night.plan().rig().links(), random), Fate.LOST);
            case STUTTER -> new Fault.Stutter(one(air, random), sort.micros());
            case MISSTEP -> new Fault.Misstep(one(switches, random));
            case OVERRUN -> new Fault.Overrun(sort.micros());
        };
    }

    /**
     * One that goes wrong now, as likely as it is said to be in an hour; empty where nothing can. What goes out stays
     * out until somebody brings it back; that it takes longer is drawn only while somebody speaks.
     *
     * @param part which part of the order goes, from 0
     */
    public Optional<Fault> likely(long seed, int part) {
        var random = new SplittableRandom(seed);
        Map<Sort, Double> weights = new EnumMap<>(Sort.class);
        for (Sort sort : Sort.values()) {
            if (things(sort) > 0 && (sort != Sort.OVERRUN || spoken.contains(part))) {
                weights.put(sort, expected(sort, 1));
            }
        }
        double left = random.nextDouble()
                * weights.values().stream().mapToDouble(Double::doubleValue).sum();
        for (var weight : weights.entrySet()) {
            left -= weight.getValue();
            if (left < 0) {
                return Optional.of(stays(one(weight.getKey(), random)));
            }
        }
        return Optional.empty();
    }

    private static Fault stays(Fault fault) {
        return switch (fault) {
            case Fault.LinkOut out -> new Fault.LinkOut(out.link(), 0);
            case Fault.BoxOut out -> new Fault.BoxOut(out.box(), 0);
            default -> fault;
        };
    }

    static <T> T one(List<T> of, RandomGenerator random) {
        return of.get(random.nextInt(of.size()));
    }
}
