package embrack.core.sheet;

import embrack.core.chart.PartId;
import embrack.core.gear.DeskPages;
import embrack.core.light.Address;
import embrack.core.light.Chase;
import embrack.core.light.Fixture;
import embrack.core.light.Held;
import embrack.core.light.Lights;
import embrack.core.light.Look;
import embrack.core.light.Output;
import embrack.core.light.Pace;
import embrack.core.light.Patch;
import embrack.core.light.text.LookText;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sheet.Section.Task;
import embrack.core.sheet.Sheet.Job;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** What is set at fixtures, and how a desk is programmed scene by scene. */
final class LookSections {

    private final Plan plan;
    private final Lights lights;
    private final Patch patch;

    LookSections(Plan plan) {
        this.plan = plan;
        this.lights = plan.lights();
        this.patch = plan.patch();
    }

    /** Mode and address of every fixture; none where nothing hangs. */
    Optional<Sheet> fixtures() {
        return lights.fixtures().isEmpty()
                ? Optional.empty()
                : Optional.of(new Sheet(
                        Job.PROGRAM,
                        "fixtures",
                        "Fixtures",
                        "",
                        List.of(new Section.Todo(
                                "Set at each",
                                lights.fixtures().stream()
                                        .map(LookSections::setting)
                                        .toList())),
                        List.of("What hangs overhead is a rigger's work, and mains a licensed electrician's. "
                                + "Lamps are hot.")));
    }

    private static Task setting(Fixture fixture) {
        return new Task(
                "fixtures/" + fixture.id(),
                "%s: mode %s, %s"
                        .formatted(
                                fixture.name(),
                                fixture.mode(),
                                fixture.at().map(LookSections::words).orElse("no address yet")));
    }

    private static String words(Address at) {
        return "address %s%s, small switches on: %s"
                .formatted(
                        at.start(),
                        at.universe() == 1 ? "" : " in universe " + at.universe(),
                        at.dipSwitches().isEmpty() ? "none" : Words.list(at.dipSwitches()));
    }

    /**
     * A section a look that a desk holds: what each fixture is set to, those alike together; then storing it. From the
     * first on, next comes the one for which the fewest faders move.
     */
    List<Section> of(DeviceId desk) {
        List<Section> sections = new ArrayList<>();
        Optional<Held> before = Optional.empty();
        for (Held held : byMoves(lights.of(desk))) {
            Optional<Held> last = before;
            lights.look(held.look()).ifPresent(look -> sections.add(scene(held, look, last)));
            before = Optional.of(held);
        }
        lights.chases().stream()
                .filter(chase -> chase.at().filter(at -> at.desk().equals(desk)).isPresent())
                .forEach(chase -> sections.add(chase(desk, chase)));
        return sections;
    }

    private List<Held> byMoves(List<Held> held) {
        Map<Held, List<Integer>> faders = new LinkedHashMap<>();
        held.forEach(one -> faders.put(one, faders(one)));
        List<Held> order = new ArrayList<>();
        List<Held> left = new ArrayList<>(faders.keySet());
        while (!left.isEmpty()) {
            Held next = order.isEmpty()
                    ? left.getFirst()
                    : Collections.min(
                            left,
                            Comparator.comparingInt(one -> moves(
                                    faders.getOrDefault(order.getLast(), List.of()),
                                    faders.getOrDefault(one, List.of()))));
            order.add(next);
            left.remove(next);
        }
        return order;
    }

    /** What all faders stand at for a scene, fixture by fixture. */
    private List<Integer> faders(Held held) {
        return lights.look(held.look()).map(lights::shown).orElse(List.of()).stream()
                .flatMap(output -> output.slots().stream())
                .toList();
    }

    private static int moves(List<Integer> from, List<Integer> to) {
        return (int) IntStream.range(0, Math.min(from.size(), to.size()))
                .filter(i -> !from.get(i).equals(to.get(i)))
                .count();
    }

    /** The steps of a chase, and its time, which on many desks is a knob. */
    private Section chase(DeviceId desk, Chase chase) {
        PartId part = chase.at().orElseThrow().part();
        String key = "%s/chase/%s".formatted(desk, part);
        List<Task> tasks = new ArrayList<>();
        for (int i = 0; i < chase.steps().size(); i++) {
            tasks.add(new Task(
                    "%s/%d".formatted(key, i + 1),
                    "Step %d: %s"
                            .formatted(
                                    i + 1,
                                    lights.look(chase.steps().get(i))
                                            .orElseThrow()
                                            .name())));
        }
        tasks.add(new Task(key + "/time", pace(chase.pace())));
        return new Section.Todo("%s: %s".formatted(plan.rig().partName(desk, part), chase.name()), tasks);
    }

    private static String pace(Pace pace) {
        return switch (pace) {
            case Pace.Timed timed -> timed.words() + " a step";
            case Pace.Tapped tapped ->
                "Tap its speed on the night, about " + tapped.words().replace(" tapped", " a step");
            case Pace.OnBeat beat -> beat.words() + " a step, by the clock that it is sent";
            case Pace.BySound sound -> "By sound: low enough that talk does not move it. Try it while somebody speaks";
        };
    }

    private String place(Held held) {
        return held.place()
                        .bank()
                        .map(bank -> plan.rig().partName(held.desk(), bank) + ", ")
                        .orElse("")
                + plan.rig().partName(held.desk(), held.place().scene());
    }

    /** "from Scene 1 on 24 faders move". */
    private String moved(Held last, Held held) {
        int moves = moves(faders(last), faders(held));
        return "from %s on %s"
                .formatted(
                        place(last),
                        moves == 0 ? "no fader moves" : moves == 1 ? "1 fader moves" : moves + " faders move");
    }

    private Section scene(Held held, Look look, Optional<Held> before) {
        String place = place(held);
        String key = "%s/look/%s%s"
                .formatted(
                        held.desk(),
                        held.place().bank().map(bank -> bank + "-").orElse(""),
                        held.place().scene());
        Map<List<Integer>, List<Fixture>> alike = new LinkedHashMap<>();
        List<Output> shown = lights.shown(look);
        for (int i = 0; i < shown.size(); i++) {
            alike.computeIfAbsent(shown.get(i).slots(), slots -> new ArrayList<>())
                    .add(lights.fixtures().get(i));
        }
        List<Task> tasks = new ArrayList<>();
        alike.forEach((slots, fixtures) -> tasks.add(new Task(
                "%s/%s".formatted(key, fixtures.getFirst().id()),
                "%s: %s"
                        .formatted(
                                Words.list(fixtures.stream().map(this::at).toList()),
                                numbers(fixtures.getFirst(), slots)))));
        if (look.fadeMillis() > 0) {
            tasks.add(new Task(key + "/fade", "Fade: it comes in over %s s.".formatted(look.fadeMillis() / 1000.0)));
        }
        tasks.add(new Task(key + "/store", "Store it as %s.".formatted(place)));
        return new Section.Todo(
                "%s: %s (%s)%s"
                        .formatted(
                                place,
                                look.name(),
                                String.join("; ", LookText.lines(look.lines())),
                                before.map(last -> ", " + moved(last, held)).orElse("")),
                tasks);
    }

    private String at(Fixture fixture) {
        return fixture.name()
                + patch.place(fixture)
                        .map(place -> " (fixture button %d)".formatted(place.button()))
                        .or(() -> fixture.at().map(at -> " (from %s)".formatted(at)))
                        .orElse("");
    }

    /** What faders are set to; of a desk that moves so many at a time, page by page. */
    private String numbers(Fixture fixture, List<Integer> slots) {
        if (slots.stream().allMatch(slot -> slot == 0)) {
            return "all at 0";
        }
        int row = patch.place(fixture)
                .flatMap(place -> patch.pages())
                .map(DeskPages::faders)
                .orElse(slots.size());
        if (slots.size() <= row) {
            return joined(slots);
        }
        List<String> pages = new ArrayList<>();
        for (int from = 0; from < slots.size(); from += row) {
            pages.add("page %d: %s"
                    .formatted(1 + from / row, joined(slots.subList(from, Math.min(slots.size(), from + row)))));
        }
        return String.join("; ", pages);
    }

    private static String joined(List<Integer> slots) {
        return String.join(" ", slots.stream().map(String::valueOf).toList());
    }
}
