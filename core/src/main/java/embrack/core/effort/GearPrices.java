package embrack.core.effort;

import embrack.core.chart.Aspect;
import embrack.core.chart.Verb;
import embrack.core.gear.Kind;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.switches.Assignment;
import embrack.core.switches.Practice;
import embrack.core.switches.Step;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What answers about boxes, numbers and channels cost. */
record GearPrices(Plan plan) {

    List<Price> of(Practice practice) {
        List<String> names = practice.answers();
        return switch (practice) {
            case MUTES -> {
                int strips = parts(plan, Aspect.MUTED);
                yield List.of(
                        new Price(
                                names.get(0),
                                2 * strips,
                                1,
                                1,
                                0,
                                "A lost message leaves a strip as it was; pressing again mends it."),
                        new Price(
                                names.get(1),
                                strips,
                                1,
                                1,
                                0,
                                "A lost message turns the meaning round until somebody looks."));
            }
            case GO -> {
                int songs = songs(plan);
                yield List.of(
                        new Price(
                                names.get(0),
                                2,
                                1,
                                1,
                                2,
                                "The order cannot be left without going through it song by song."),
                        new Price(
                                names.get(1),
                                songs,
                                1,
                                1,
                                songs,
                                "More switches to hit by mistake; banks have to be changed."));
            }
            case NUMBERS -> {
                int learned = learned(plan);
                yield List.of(
                        new Price(
                                names.get(0),
                                used(plan),
                                1,
                                1,
                                learned,
                                "Every number has to be typed or learned once; the sheets say which."),
                        new Price(
                                names.get(1),
                                all(plan),
                                1,
                                1,
                                0,
                                "Every switch of the map does something, wanted or not: it may be hit by accident."),
                        new Price(
                                names.get(2),
                                used(plan),
                                learned,
                                1,
                                learned,
                                "One thing at a time, only where the receiver learns; a wrong press is learned too."));
            }
            case FADERS -> {
                int levels = plan.switches().controlAssignments().stream()
                        .mapToInt(t -> t.targets().size())
                        .sum();
                yield List.of(
                        new Price(
                                names.get(0),
                                0,
                                1,
                                levels,
                                levels,
                                "The level moves less than the hand until both meet."),
                        new Price(names.get(1), 0, 1, levels, levels, "The first touch is heard as a jump."),
                        new Price(
                                names.get(2),
                                0,
                                1,
                                levels,
                                levels,
                                "Nothing moves until it is crossed; whoever waits for it thinks that it is dead."));
            }
            case LINKS -> {
                Links links = links(plan);
                yield List.of(
                        new Price(
                                names.get(0),
                                0,
                                0,
                                links.controls(),
                                links.throughLayer(),
                                "If a controller dies: %s to learn anew."
                                        .formatted(Work.of(links.throughLayer()).words())),
                        new Price(
                                names.get(1),
                                0,
                                0,
                                links.controls(),
                                links.straight(),
                                "If a controller dies: %s to learn anew."
                                        .formatted(Work.of(links.straight()).words())));
            }
            case CHANNELS -> {
                int receivers = (int) plan.rig().devices().stream()
                        .filter(d -> !plan.rig().chart(d.id()).isEmpty())
                        .count();
                yield List.of(
                        new Price(
                                names.get(0),
                                0,
                                0,
                                0,
                                receivers,
                                "%s to set; at most fifteen fit.".formatted(Words.count(receivers, "channel"))),
                        new Price(names.get(1), 0, 0, 0, 0, "Whatever two boxes understand alike moves both."));
            }
            case MEMORIES -> {
                Writing writing = plan.rig().devices().stream()
                        .filter(d -> plan.rig()
                                        .model(d.id())
                                        .implementation()
                                        .quirks()
                                        .assignableInputs()
                                > 0)
                        .map(d -> Writing.of(plan.rig(), d.id()))
                        .findFirst()
                        .orElse(new Writing(0, 0));
                yield List.of(
                        new Price(
                                names.get(0),
                                0,
                                writing.slotsByTemplate() + writing.writes(),
                                0,
                                0,
                                "A memory that was made before the template has to be written anew."),
                        new Price(
                                names.get(1),
                                0,
                                writing.slotsByMemory() + writing.writes(),
                                0,
                                0,
                                "A memory that was forgotten is dead under the foot."));
            }
            default -> throw new IllegalArgumentException(practice + " is no question about gear");
        };
    }

    private static int parts(Plan plan, Aspect aspect) {
        return (int) steps(plan)
                .filter(step -> step.action().verb().aspect() == aspect)
                .map(step -> List.of(step.device(), step.action().part()))
                .distinct()
                .count();
    }

    /** Songs that a player of the rig can be asked for, at most eight: what a foot can have switches for. */
    private static int songs(Plan plan) {
        return (int) Math.min(
                8,
                plan.rig().devices().stream()
                        .filter(d -> plan.rig().model(d.id()).kind() == Kind.TRACK_PLAYER)
                        .flatMap(d -> plan.rig().chart(d.id()).actions().stream())
                        .filter(a -> a.verb() == Verb.LOAD || a.verb() == Verb.JUMP)
                        .map(a -> a.part())
                        .distinct()
                        .count());
    }

    private static int learned(Plan plan) {
        return plan.rig().devices().stream().mapToInt(d -> d.learned().size()).sum();
    }

    private static int used(Plan plan) {
        return (int) plan.switches().assignments().stream()
                .filter(a -> !a.steps().isEmpty())
                .count();
    }

    private static int all(Plan plan) {
        return plan.boards().stream()
                .flatMap(board -> plan.rig().model(board).board().stream())
                .mapToInt(board -> board.switches() * board.banks().size())
                .sum();
    }

    private static Links links(Plan plan) {
        List<Device> hosts = plan.rig().devices().stream()
                .filter(d -> plan.rig().model(d.id()).kind() == Kind.INSTRUMENT_HOST)
                .toList();
        int controls = hosts.stream()
                .mapToInt(d -> plan.switches().moving(d.id()).size())
                .sum();
        int own = hosts.stream()
                .mapToInt(d -> (int) plan.switches().moving(d.id()).stream()
                        .flatMap(t -> t.targets().stream())
                        .filter(t -> t.device().equals(d.id()))
                        .flatMap(t ->
                                Optional.ofNullable(plan.rig()
                                                .model(d.id())
                                                .standing()
                                                .within()
                                                .get(t.part()))
                                        .stream())
                        .distinct()
                        .count())
                .max()
                .orElse(0);
        int chosen = (int) hosts.stream()
                .flatMap(d -> plan.switches().using(d.id()).stream()
                        .map(Assignment::steps)
                        .flatMap(List::stream)
                        .filter(step ->
                                step.device().equals(d.id()) && step.action().verb() == Verb.SELECT)
                        .map(Step::action))
                .distinct()
                .count();
        return new Links(controls, Math.max(1, Math.max(own, chosen)));
    }

    private static Stream<Step> steps(Plan plan) {
        return plan.switches().assignments().stream().flatMap(a -> a.steps().stream());
    }
}
