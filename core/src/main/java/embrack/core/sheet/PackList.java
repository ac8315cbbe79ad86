package embrack.core.sheet;

import embrack.core.gear.Power.Source;
import embrack.core.light.DataLine;
import embrack.core.light.Fixture;
import embrack.core.light.Lights;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.power.PowerPlan;
import embrack.core.rig.Area;
import embrack.core.rig.Device;
import embrack.core.rig.Length;
import embrack.core.rig.Link;
import embrack.core.rig.Linking;
import embrack.core.rig.Rig;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * What goes into which case: a case for every place. A cable travels with the box that it starts at. One spare cable of
 * each kind, the longest, is common practice, no source.
 */
public record PackList(List<Case> cases) {

    public PackList {
        cases = List.copyOf(cases);
    }

    /** A case and what is in it. */
    public record Case(String name, List<Item> items) {
        public Case {
            items = List.copyOf(items);
        }
    }

    /** Something to pack; {@code note} says what for. */
    public record Item(int count, String what, String note) {}

    /** The cases of a rig, in the order of the places. */
    public static PackList of(Rig rig) {
        List<Case> cases = new ArrayList<>();
        for (Area area : Area.values()) {
            List<Item> items = Stream.concat(boxes(rig, area).stream(), cables(rig, area).stream())
                    .toList();
            if (!items.isEmpty()) {
                cases.add(new Case(area.words(), items));
            }
        }
        List<Item> spares = spares(rig);
        if (!spares.isEmpty()) {
            cases.add(new Case("Spares", spares));
        }
        return new PackList(cases);
    }

    /** The same, with a case for what hangs and the cables between. */
    public static PackList of(Plan plan) {
        List<Item> lights = lights(plan.lights());
        List<Case> cases = of(plan.rig()).cases();
        return lights.isEmpty()
                ? new PackList(cases)
                : new PackList(Stream.concat(cases.stream(), Stream.of(new Case("lights", lights)))
                        .toList());
    }

    private static List<Item> lights(Lights lights) {
        List<Item> items = new ArrayList<>();
        lights.types().forEach(type -> {
            List<TapeLabel> names = lights.fixtures().stream()
                    .filter(fixture -> fixture.type().equals(type.id()))
                    .map(Fixture::name)
                    .toList();
            if (!names.isEmpty()) {
                items.add(new Item(names.size(), type.name().text(), Words.list(names)));
                items.add(new Item(
                        names.size(),
                        "safety wire",
                        "for " + Words.plural(type.shape().words())));
            }
        });
        Map<Integer, Integer> cables = new TreeMap<>();
        List<DataLine> lines = DataLine.of(lights);
        lines.forEach(line -> line.cables().forEach(metres -> cables.merge(metres, 1, Integer::sum)));
        cables.forEach((metres, count) -> items.add(new Item(count, "DMX cable, %d m".formatted(metres), "")));
        if (!lines.isEmpty()) {
            items.add(new Item(lines.size(), "terminator, 120 ohm", "in the last of each line"));
        }
        int byAir = (int) lights.fixtures().stream().filter(Fixture::isByAir).count();
        if (byAir > 0) {
            items.add(new Item(1, "wireless DMX sender", "one more for each universe"));
            items.add(new Item(byAir, "wireless DMX receiver", "one at each, with its power"));
        }
        return items;
    }

    private static List<Item> boxes(Rig rig, Area area) {
        var power = new PowerPlan(rig);
        return rig.devices().stream()
                .filter(d -> !rig.model(d.id()).isApp() && rig.area(d.id()) == area)
                .flatMap(device -> {
                    Item box = new Item(
                            1,
                            "%s (%s)"
                                    .formatted(
                                            device.name(),
                                            rig.model(device.id()).name()),
                            apps(rig, device));
                    Optional<Source> carried = power.feedings().stream()
                            .filter(f -> f.device().equals(device.id()))
                            .flatMap(f -> f.by().stream())
                            .filter(source -> source == Source.SUPPLY || source == Source.BATTERY)
                            .findFirst();
                    return Stream.concat(
                            Stream.of(box),
                            carried.stream()
                                    .map(source -> source == Source.BATTERY
                                            ? new Item(1, "set of batteries", "for " + device.name())
                                            : new Item(1, "supply", "of " + device.name())));
                })
                .toList();
    }

    private static String apps(Rig rig, Device device) {
        List<String> apps =
                rig.appsIn(device.id()).stream().map(app -> app.name().text()).toList();
        return apps.isEmpty() ? "" : "with " + Words.list(apps) + " on it";
    }

    private static List<Item> cables(Rig rig, Area area) {
        Map<String, Integer> counts = new TreeMap<>();
        rig.links().stream()
                .filter(link ->
                        CableList.isCarried(rig, link) && rig.area(link.from().device()) == area)
                .forEach(link -> {
                    counts.merge(words(rig, link), 1, Integer::sum);
                    Linking.adapter(rig, link).ifPresent(adapter -> counts.merge(adapter, 1, Integer::sum));
                });
        return counts.entrySet().stream()
                .map(e -> new Item(e.getValue(), e.getKey(), ""))
                .toList();
    }

    private static List<Item> spares(Rig rig) {
        Map<String, Link> longest = new TreeMap<>();
        rig.links().stream()
                .filter(link -> CableList.isCarried(rig, link))
                .forEach(link -> longest.merge(
                        Linking.cable(rig, link),
                        link,
                        (a, b) -> Comparator.<Length>naturalOrder().compare(length(a), length(b)) >= 0 ? a : b));
        return Stream.concat(
                        longest.values().stream().map(link -> new Item(1, words(rig, link), "the longest of its kind")),
                        rig.devices().stream()
                                .filter(d -> !rig.model(d.id()).isApp()
                                        && rig.linksIn(d.id()).isEmpty()
                                        && rig.appsIn(d.id()).isEmpty())
                                .map(d -> new Item(
                                        1,
                                        "%s (%s)"
                                                .formatted(
                                                        d.name(),
                                                        rig.model(d.id()).name()),
                                        "not linked")))
                .toList();
    }

    private static Length length(Link link) {
        return link.length().orElseGet(() -> new Length(10));
    }

    private static String words(Rig rig, Link link) {
        return "%s cable%s"
                .formatted(
                        Linking.cable(rig, link),
                        link.length().map(length -> ", " + length.words()).orElse(""));
    }
}
