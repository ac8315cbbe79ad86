package embrack.core.edit;

import embrack.core.gear.ControlType;
import embrack.core.gear.Surface;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Where on a box there is room for what another did. */
record Room(DeviceId box, Surface surface) {

    /** All that is pressed on it: its switches bank by bank, then its pads, keys and buttons. */
    List<SwitchAt> switches() {
        int banks = surface.board().map(shape -> shape.banks().size()).orElse(1);
        return surface.pressed().stream()
                .flatMap(of -> IntStream.rangeClosed(1, banks).mapToObj(bank -> new SwitchAt(box, of, bank, 1)))
                .flatMap(first -> IntStream.rangeClosed(
                                1, surface.board(first.of(), 1).orElseThrow().switches())
                        .mapToObj(first::numbered))
                .toList();
    }

    /** All that is moved on it in its first bank: pedals, faders, knobs. */
    List<ControlAt> controls() {
        return Stream.of(ControlType.values())
                .filter(type -> surface.groups().stream().anyMatch(group -> group.type() == type && type.isSwept()))
                .flatMap(type -> IntStream.rangeClosed(
                                1,
                                surface.groups().stream()
                                        .filter(group -> group.type() == type)
                                        .mapToInt(group -> group.count())
                                        .sum())
                        .mapToObj(number -> new ControlAt(box, type, 1, number)))
                .toList();
    }

    /**
     * A switch for each that wants one, those first that come first: the same where it is free, else the first free
     * one. Where there are too few, those that come last go without.
     */
    Map<Assignment, SwitchAt> given(List<Assignment> wanting, Collection<SwitchAt> free) {
        return given(wanting, free, wants -> wants.at().on(box), Room::isHome);
    }

    /** As {@link #given(List, Collection)}, for pedals, faders and knobs. */
    Map<ControlAssignment, ControlAt> givenControls(List<ControlAssignment> wanting, Collection<ControlAt> free) {
        return given(wanting, free, wants -> wants.at().on(box), at -> true);
    }

    private static <W, P> Map<W, P> given(
            List<W> wanting, Collection<P> free, Function<W, P> same, Predicate<P> isHome) {
        Map<W, P> given = new LinkedHashMap<>();
        Set<P> left = new LinkedHashSet<>(free);
        List<W> homeless = new ArrayList<>();
        for (W wants : wanting) {
            if (left.remove(same.apply(wants))) {
                given.put(wants, same.apply(wants));
            } else {
                homeless.add(wants);
            }
        }
        for (W wants : homeless) {
            left.stream()
                    .filter(isHome)
                    .findFirst()
                    .or(() -> yielded(wants, wanting, given, isHome))
                    .ifPresent(place -> {
                        left.remove(place);
                        given.put(wants, place);
                    });
        }
        return given;
    }

    /** The place of the last of those behind it, which goes without from then on. */
    private static <W, P> Optional<P> yielded(W wants, List<W> wanting, Map<W, P> given, Predicate<P> isHome) {
        return wanting.subList(wanting.indexOf(wants) + 1, wanting.size()).reversed().stream()
                .filter(other -> given.containsKey(other) && isHome.test(given.get(other)))
                .findFirst()
                .map(given::remove);
    }

    /** Whether what has lost its switch may move there: the keys of a keyboard are played. */
    private static boolean isHome(SwitchAt at) {
        return at.of().filter(of -> of == ControlType.KEY).isEmpty();
    }
}
