package embrack.core.second;

import embrack.core.chart.Chart;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.edit.GearEdit;
import embrack.core.edit.SongEdit;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.SwitchMode;
import embrack.core.gear.text.BoxReading;
import embrack.core.midi.Message;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.proof.CueSent;
import embrack.core.proof.Doing;
import embrack.core.proof.Seen;
import embrack.core.proof.Sendings;
import embrack.core.proof.States;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.When;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import embrack.core.way.Ways;
import embrack.core.world.Place;
import embrack.core.world.Places;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The proof of every state and the plain search, each with the same small random rig and switches. */
public final class StatesDuel {

    private static final String BOARD = """
            port MIDI OUT: 5-pin out
            switches: 6 in rows of 6, send note, cc, pc, 8 a press
            gestures: press, release, hold, double press
            modes: one-shot, momentary, alternating
            """;

    private static final DeviceId BOARD_ID = new DeviceId("board");

    private StatesDuel() {}

    /** What came of it: whether the search got through, and where the two part. */
    public record Result(boolean searched, int broken, Optional<String> difference) {}

    /** One rig. */
    public static Result of(int seed) {
        Random random = new Random(seed);
        Duel.Twin twin = twin(random);
        Plan plan = plan(twin, random);
        Compiler compiler = new Compiler(plan);
        List<SecondPlayerSearch.Foot> feet = Stream.concat(
                        plan.switches().assignments().stream()
                                .map(assignment -> foot(assignment, compiler.compile(assignment))),
                        plan.book().cues().stream().map(cue -> cue(compiler, cue)))
                .toList();
        Optional<Map<String, Integer>> searched =
                new SecondPlayerSearch(feet, ends(plan.rig())).broken(new SecondPlayer(twin.boxes(), twin.leads()));
        if (searched.isEmpty()) {
            return new Result(false, 0, Optional.empty());
        }
        Map<String, Integer> plain = new TreeMap<>(searched.get());
        plain.keySet().removeIf(key -> key.startsWith("cue-") && mayTurn(plan.rig(), key));
        Map<String, Integer> proven = new TreeMap<>();
        States states = new States(plan, new Sendings(plan, new Ways(plan.rig())), new Places(plan.rig()));
        for (Assignment assignment : plan.switches().assignments()) {
            for (Seen seen : states.of(assignment)) {
                seen.broken()
                        .filter(broken -> !broken.standsStill())
                        .ifPresent(broken -> proven.merge(
                                name(seen.gesture()) + " " + key(seen.place()), broken.length(), Math::min));
            }
        }
        for (Cue cue : plan.book().cues()) {
            for (Seen seen : states.of(CueSent.of(BOARD_ID, cue))) {
                String key = name(seen.gesture()) + " " + key(seen.place());
                seen.broken()
                        .filter(broken -> !mayTurn(plan.rig(), key))
                        .ifPresent(broken -> proven.put(key, broken.length()));
            }
        }
        return new Result(
                true,
                proven.size(),
                proven.equals(plain)
                        ? Optional.empty()
                        : Optional.of("proof %s, search %s".formatted(without(proven, plain), without(plain, proven))));
    }

    /** Whether a box may turn round the part that a key is about: then a cue is right by where it stands. */
    private static boolean mayTurn(Rig rig, String key) {
        String[] words = key.split(" ");
        return rig.chart(new DeviceId(words[2])).rows().stream()
                .anyMatch(row -> row.part().id().text().equals(words[3])
                        && (row.verb().turnsRound() || row.response().alternating()));
    }

    private static Duel.Twin twin(Random random) {
        Model board = BoxReading.of(BOARD)
                .box()
                .orElseThrow()
                .model(new ModelId("board"), new TapeLabel("board"), Kind.TRACK_PLAYER, Chart.EMPTY, Chart.EMPTY);
        return Duel.small(random, new GearEdit.AddDevice("Board", board));
    }

    private static Plan plan(Duel.Twin twin, Random random) {
        List<Step> able = able(twin.plan().rig());
        Plan plan = twin.plan().withSwitches(switches(able, random));
        List<Cue> cues = IntStream.rangeClosed(1, able.isEmpty() ? 0 : random.nextInt(2))
                .mapToObj(number -> new Cue(
                        number, new Anchor.Automatic(When.PLAY), List.of(able.get(random.nextInt(able.size())))))
                .toList();
        return plan.withBook(new SongEdit.AddSong("Song", "tempo 90\nmetre 4/4\nAll: 4 bars")
                .apply(plan)
                .book()
                .withAlways(cues));
    }

    private static Map<String, Integer> without(Map<String, Integer> all, Map<String, Integer> others) {
        Map<String, Integer> left = new TreeMap<>(all);
        left.entrySet().removeAll(others.entrySet());
        return left;
    }

    private static String name(Doing gesture) {
        return switch (gesture) {
            case Doing.Foot foot -> foot.at().key() + " " + foot.moment();
            case Doing.Cue cue -> "cue-" + cue.number() + " PRESS";
            default -> throw new IllegalArgumentException(gesture.toString());
        };
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
                        assignment.steps(moment).stream().map(StatesDuel::wish).toList());
            }
        }
        return new SecondPlayerSearch.Foot(
                "board", assignment.at().key(), compiled.mode() == SwitchMode.ALTERNATING, sent, meant);
    }

    private static List<Step> able(Rig rig) {
        return rig.devices().stream()
                .flatMap(device -> rig.chart(device.id()).actions().stream()
                        .filter(action -> rig.chart(device.id())
                                .messagesFor(action, new embrack.core.midi.Channel(2))
                                .isPresent())
                        .map(action -> new Step(device.id(), action)))
                .toList();
    }

    private static SecondPlayerSearch.Foot cue(Compiler compiler, Cue cue) {
        Step step = cue.steps().getFirst();
        CompiledStep compiled = compiler.compile(BOARD_ID, step);
        return new SecondPlayerSearch.Foot(
                "board",
                "cue-" + cue.number(),
                false,
                Map.of("PRESS", compiled.isSent() ? compiled.messages() : List.of()),
                Map.of("PRESS", List.of(wish(step))));
    }

    private static SecondPlayerSearch.Wish wish(Step step) {
        return new SecondPlayerSearch.Wish(
                step.device().text(),
                step.action().verb(),
                step.action().part(),
                step.action().amount().orElse(0));
    }

    /** At most six gestures of what the boxes can do, some of them about the same. */
    private static Switches switches(List<Step> able, Random random) {
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
