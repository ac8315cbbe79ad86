package embrack.core.sound;

import embrack.core.rig.Carrier;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.core.rig.StandBy;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * What nobody hears any more when one lead is out or one box is dark: this lead is the click of five people.
 *
 * @param link the lead; empty where it is a box
 * @param box the box; empty where it is a lead
 * @param lost what is lost, with those who lose it
 */
public record SoundLoss(Optional<Link> link, Optional<DeviceId> box, Map<Source, List<Listener>> lost) {

    /** How many lose something, each as often as it loses anything. */
    public int size() {
        return lost.values().stream().mapToInt(List::size).sum();
    }

    /**
     * The single points of sound, those first that take most, while the first of each pair is in; where a box goes over
     * to the second by itself, only what that one does not bring is lost. Costs hearing the rig once for each lead and
     * box.
     */
    public static List<SoundLoss> of(SoundPaths paths) {
        return new Failing(paths).all();
    }

    private static final class Failing {
        private final SoundPaths paths;
        private final Rig rig;
        private final Stand usual;
        private final Heard whole;

        /** Pairs of which the second comes in by itself. */
        private final List<Pair> over;

        private Failing(SoundPaths paths) {
            this.paths = paths;
            this.rig = paths.rig();
            Stand stand = Stand.OPEN;
            for (Pair pair : rig.pairs()) {
                stand = Changeover.first(paths, pair, stand);
            }
            usual = stand;
            whole = paths.heard(usual);
            over = rig.pairs().stream()
                    .filter(pair ->
                            StandBy.of(rig, pair).filter(StandBy::isByItself).isPresent())
                    .toList();
        }

        private List<SoundLoss> all() {
            Map<Link, Set<Link>> carried = new LinkedHashMap<>();
            paths.strands().stream()
                    .flatMap(strand -> strand.link().stream())
                    .forEach(link -> Carrier.of(rig, link)
                            .ifPresent(by -> carried.computeIfAbsent(by, l -> new HashSet<>())
                                    .add(link)));
            Stream<SoundLoss> byLead = carried.entrySet().stream()
                    .map(lead -> new SoundLoss(
                            Optional.of(lead.getKey()),
                            Optional.empty(),
                            lost(strand -> strand.link()
                                    .filter(lead.getValue()::contains)
                                    .isPresent())));
            Stream<SoundLoss> byBox = rig.devices().stream()
                    .map(Device::id)
                    .map(box -> new SoundLoss(
                            Optional.empty(),
                            Optional.of(box),
                            lost(strand -> isIn(strand.from(), box) && !isIn(strand.to(), box))));
            return Stream.concat(byLead, byBox)
                    .filter(loss -> loss.size() > 0)
                    .sorted(Comparator.comparingInt(SoundLoss::size).reversed())
                    .toList();
        }

        private boolean isIn(SoundPoint point, DeviceId box) {
            return point.device().equals(box) || rig.box(point.device()).equals(box);
        }

        private Map<Source, List<Listener>> lost(Predicate<Strand> isOut) {
            Stand stand = usual;
            for (Pair pair : over) {
                boolean fails = paths.strands().stream()
                        .anyMatch(strand -> isIn(strand.from(), pair.first()) && isOut.test(strand));
                stand = fails ? Changeover.second(paths, pair, stand) : stand;
            }
            Heard rest = paths.heard(stand, isOut);
            Map<Source, List<Listener>> lost = new LinkedHashMap<>();
            for (Source source : paths.sources()) {
                for (Listener listener : paths.listeners()) {
                    if (whole.arrival(source, listener).isHeard() && !isHeard(rest, source, listener)) {
                        Objects.requireNonNull(lost.computeIfAbsent(source, s -> new ArrayList<>()))
                                .add(listener);
                    }
                }
            }
            return lost;
        }

        /** Whether it is heard, from this source or from the one that stands in for it. */
        private boolean isHeard(Heard rest, Source source, Listener listener) {
            return rest.arrival(source, listener).isHeard()
                    || rig.standIn(source.device()).stream()
                            .flatMap(
                                    second -> Stream.ofNullable(paths.of(second).get(source.sound())))
                            .anyMatch(other -> rest.arrival(other, listener).isHeard());
        }
    }
}
