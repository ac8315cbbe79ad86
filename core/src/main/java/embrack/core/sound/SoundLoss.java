package embrack.core.sound;

import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;

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
     * The single points of sound, those first that take most; costs hearing the rig once for each lead and box.
     */
    public static List<SoundLoss> of(SoundPaths paths) {
        Heard all = paths.heard(Stand.OPEN);
        List<SoundLoss> losses = new ArrayList<>();
        paths.strands().stream()
                .flatMap(strand -> strand.link().stream())
                .distinct()
                .forEach(link -> losses.add(new SoundLoss(
                        Optional.of(link),
                        Optional.empty(),
                        lost(
                                paths,
                                all,
                                strand -> strand.link().filter(link::equals).isPresent()))));
        paths.rig().devices().stream()
                .map(device -> device.id())
                .forEach(box -> losses.add(new SoundLoss(
                        Optional.empty(),
                        Optional.of(box),
                        lost(
                                paths,
                                all,
                                strand -> strand.from().device().equals(box)
                                        && !strand.to().device().equals(box)))));
        return losses.stream()
                .filter(loss -> loss.size() > 0)
                .sorted(Comparator.comparingInt(SoundLoss::size).reversed())
                .toList();
    }

    private static Map<Source, List<Listener>> lost(SoundPaths paths, Heard all, Predicate<Strand> isOut) {
        Heard rest = paths.heard(Stand.OPEN, isOut);
        Map<Source, List<Listener>> lost = new LinkedHashMap<>();
        for (Source source : paths.sources()) {
            for (Listener listener : paths.listeners()) {
                if (all.arrival(source, listener).isHeard()
                        && !rest.arrival(source, listener).isHeard()) {
                    Objects.requireNonNull(lost.computeIfAbsent(source, s -> new ArrayList<>()))
                            .add(listener);
                }
            }
        }
        return lost;
    }
}
