package embrack.core.second;

import embrack.core.chart.Chart;
import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.SwitchMode;
import embrack.core.gear.text.BoxReading;
import embrack.core.midi.Message;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.proof.Seen;
import embrack.core.proof.States;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import embrack.core.world.Engine;
import embrack.core.world.Place;
import embrack.core.world.Places;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;

/** The proof of every state and the plain search, each with the same small random rig and switches. */
public final class StatesDuel {

    private static final String BOARD = """
            port MIDI OUT: 5-pin out
            switches: 6 in rows of 6, send note, cc, pc, 8 a press
            gestures: press, release, hold, double press
            modes: one-shot, momentary, alternating
            """;

    private StatesDuel() {}

    /** What came of it: whether the search got through, and where the two part. */
    public record Result(boolean searched, int broken, Optional<String> difference) {}

    /** One rig. */
    public static Result of(int seed) {
        Random random = new Random(seed);
        Duel.Twin twin = twin(random);
        Plan plan = plan(twin, random);
        Compiler compiler = new Compiler(plan);
        List<SecondPlayerSearch.Foot> feet = plan.switches().assignments().stream()
                .map(assignment -> foot(assignment, compiler.compile(assignment)))
                .toList();
        Optional<Map<String, Integer>> plain =
                new SecondPlayerSearch(feet, ends(plan.rig())).broken(new SecondPlayer(twin.boxes(), twin.leads()));
        if (plain.isEmpty()) {
            return new Result(false, 0, Optional.empty());
        }
        Map<String, Integer> proven = new TreeMap<>();
        States states = new States(plan, compiler, new Engine(plan), new Places(plan.rig()));
        for (Assignment assignment : plan.switches().assignments()) {
            for (Seen seen : states.of(assignment)) {
                seen.broken()
                        .filter(broken -> !broken.standsStill())
                        .ifPresent(broken -> proven.merge(
                                seen.gesture().at().key() + " " + seen.gesture().moment() + " " + key(seen.place()),
                                broken.length(),
                                Math::min));
            }
        }
        return new Result(
                true,
                proven.size(),
                proven.equals(plain.get())
                        ? Optional.empty()
                        : Optional.of("proof %s, search %s"
                                .formatted(without(proven, plain.get()), without(plain.get(), proven))));
    }

    private static Duel.Twin twin(Random random) {
        Model board = BoxReading.of(BOARD)
                .box()
                .orElseThrow()
                .model(new ModelId("board"), new TapeLabel("board"), Kind.FLOOR_BOARD, Chart.EMPTY, Chart.EMPTY);
        return Duel.small(random, new GearEdit.AddDevice("Board", board));
    }

    private static Plan plan(Duel.Twin twin, Random random) {
        return twin.plan().withSwitches(switches(twin.plan().rig(), random));
    }

    private static Map<String, Integer> without(Map<String, Integer> all, Map<String, Integer> others) {
        Map<String, Integer> left = new TreeMap<>(all);
        left.entrySet().removeAll(others.entrySet());
        return left;
    }

    private static String key(Place place) {
        return place.device() + " " + place.part() + " " + place.aspect();
    }

    private static Map<String, Integer> ends(Rig rig) {
        Map<String, Integer> ends = new TreeMap<>();
        for (Device device : rig.devices()) {
            Chart chart = rig.chart(device.id());
            chart.parts()
                    .forEach(part -> chart.aspects(part.id())
                            .forEach(aspect -> ends.put(
                                    key(new Place(device.id(), part.id(), aspect)),
                                    aspect.ends().getLast())));
        }
        return ends;
    }

    private static SecondPlayerSearch.Foot foot(Assignment assignment, CompiledSwitch compiled) {
        Map<String, List<Message>> sent = new HashMap<>();
        Map<String, List<SecondPlayerSearch.Wish>> meant = new HashMap<>();
        for (Moment moment : Moment.values()) {
            sent.put(moment.name(), compiled.sent(moment));
            if (!assignment.steps(moment).isEmpty()) {
                meant.put(
                        moment.name(),
                        assignment.steps(moment).stream()
                                .map(step -> new SecondPlayerSearch.Wish(
                                        step.device().text(),
                                        step.action().verb(),
                                        step.action().part(),
                                        step.action().amount().orElse(0)))
                                .toList());
            }
        }
        return new SecondPlayerSearch.Foot(
                "board", assignment.at().key(), compiled.mode() == SwitchMode.ALTERNATING, sent, meant);
    }

    /** At most six gestures of what the boxes can do, some of them about the same. */
    private static Switches switches(Rig rig, Random random) {
        List<Step> able = rig.devices().stream()
                .flatMap(device -> rig.chart(device.id()).actions().stream()
                        .filter(action -> rig.chart(device.id())
                                .messagesFor(action, new embrack.core.midi.Channel(2))
                                .isPresent())
                        .map(action -> new Step(device.id(), action)))
                .toList();
        List<Assignment> made = new ArrayList<>();
        if (able.isEmpty()) {
            return Switches.NONE;
        }
        List<Step> used = new ArrayList<>();
        int switches = 2 + random.nextInt(4);
        for (int number = 1; number <= switches; number++) {
            Assignment assignment = Assignment.blank(new SwitchAt(new DeviceId("board"), 1, number))
                    .withMode(Optional.of(SwitchMode.values()[random.nextInt(3)]));
            for (int i = 0; i <= random.nextInt(3); i++) {
                Step step = used.isEmpty() || random.nextInt(3) > 0
                        ? able.get(random.nextInt(able.size()))
                        : like(able, used.get(random.nextInt(used.size())), random);
                used.add(step);
                Moment moment =
                        random.nextInt(3) > 0 ? Moment.PRESS : Moment.values()[random.nextInt(Moment.values().length)];
                assignment = assignment.withStep(moment, step);
            }
            made.add(assignment);
        }
        return new Switches(made, List.of());
    }

    /** Something else about the same part, if there is anything. */
    private static Step like(List<Step> able, Step step, Random random) {
        List<Step> same = able.stream()
                .filter(other -> other.device().equals(step.device())
                        && other.action().part().equals(step.action().part()))
                .toList();
        return same.get(random.nextInt(same.size()));
    }
}
