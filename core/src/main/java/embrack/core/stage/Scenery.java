package embrack.core.stage;

import embrack.core.chart.Meaning;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.light.Chase;
import embrack.core.light.Lights;
import embrack.core.light.Look;
import embrack.core.light.LookId;
import embrack.core.light.Scenes;
import embrack.core.music.TempoMap;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.show.When;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What is seen while a song goes, as its cues have it: a song begins without a look, in the banks that are chosen from
 * the start, and blackout is off. What is called last is seen; a chase that is stopped gives way to the look before it.
 */
public final class Scenery {

    private record Timed(long micros, List<Step> steps) {}

    private final Plan plan;
    private final Map<DeviceId, PartId> banks = new HashMap<>();

    private Scenery(Plan plan) {
        this.plan = plan;
    }

    /** What is seen, from change to change. What a cue does at once counts as one change. */
    public static List<Sight> of(Plan plan, Song song) {
        return new Scenery(plan).sights(song);
    }

    /**
     * The same with every step of a chase as a change of its own.
     *
     * @param until how long the last of it is shown, microseconds from bar 1
     */
    public static List<Sight> byStep(Lights lights, List<Sight> sights, long until) {
        List<Sight> steps = new ArrayList<>();
        for (int i = 0; i < sights.size(); i++) {
            Sight sight = sights.get(i);
            Optional<Running> running = sight.running();
            if (running.isEmpty()) {
                steps.add(sight);
            } else {
                long end = i + 1 < sights.size() ? sights.get(i + 1).micros() : until;
                long first = running.get().steps().stepAt(sight.micros());
                for (long n = first, at = sight.micros();
                        at < end || n == first;
                        n++, at = running.get().steps().startOf(n)) {
                    steps.add(new Sight(
                            at, running.get().chase().look(lights, n), Optional.empty(), sight.isBlackedOut()));
                }
            }
        }
        return steps;
    }

    /** All looks that are seen, those of a running chase among them, each once. */
    public static Set<Look> looks(Lights lights, List<Sight> sights) {
        Set<Look> looks = new LinkedHashSet<>();
        for (Sight sight : sights) {
            List<LookId> steps = sight.chase().map(Chase::steps).orElse(List.of());
            steps.forEach(step -> lights.look(step).ifPresent(looks::add));
            if (steps.isEmpty()) {
                sight.look().ifPresent(looks::add);
            }
        }
        return looks;
    }

    private List<Sight> sights(Song song) {
        List<Sight> sights = new ArrayList<>();
        Sight now = Sight.of(0, Optional.empty());
        for (Timed cue : cues(song)) {
            Sight next = new Sight(cue.micros(), now.look(), now.running(), now.isBlackedOut());
            for (Step step : cue.steps()) {
                next = after(step, next, song.form().tempoMap());
            }
            Optional<Look> driven = plan.drivenBy(cue.steps());
            next = driven.isEmpty() ? next : new Sight(cue.micros(), driven, Optional.empty(), next.isBlackedOut());
            if (!next.showsAs(now)) {
                sights.add(next);
                now = next;
            }
        }
        return sights;
    }

    private List<Timed> cues(Song song) {
        return song.cues().stream()
                .flatMap(cue -> micros(song, cue)
                        .map(micros -> new Timed(
                                micros,
                                cue.foot()
                                        .map(at -> plan.switches().at(at).steps())
                                        .orElse(cue.steps())))
                        .stream())
                .sorted(Comparator.comparingLong(Timed::micros))
                .toList();
    }

    private static Optional<Long> micros(Song song, Cue cue) {
        return cue.at() instanceof Anchor.Automatic automatic
                ? Stream.of(When.LOAD, When.PLAY)
                        .filter(automatic.when()::equals)
                        .map(when -> 0L)
                        .findFirst()
                : cue.at().micros(song.form());
    }

    private Sight after(Step step, Sight now, TempoMap song) {
        PartId part = step.action().part();
        Verb verb = step.action().verb();
        if (plan.rig().chart(step.device()).isMeant(part, Meaning.BLACKOUT)) {
            boolean isOn = verb == Verb.ON || verb == Verb.TOGGLE && !now.isBlackedOut();
            return new Sight(now.micros(), now.look(), now.running(), isOn);
        }
        Scenes scenes = Scenes.of(plan.rig().chart(step.device()));
        if (scenes.banks().contains(part) && Scenes.isShown(verb)) {
            banks.put(step.device(), part);
            return now;
        }
        Optional<Chase> chase = plan.chaseOf(step);
        if (chase.isPresent()) {
            boolean runs = Scenes.isShown(verb) && !(verb == Verb.TOGGLE && chase.equals(now.chase()));
            Optional<Running> running = now.running()
                    .filter(other -> chase.equals(now.chase()))
                    .or(() -> chase.map(one -> new Running(one, one.pace().began(now.micros(), song))));
            return new Sight(now.micros(), now.look(), runs ? running : Optional.empty(), now.isBlackedOut());
        }
        return shown(step, scenes)
                .map(look -> new Sight(now.micros(), Optional.of(look), Optional.empty(), now.isBlackedOut()))
                .orElse(now);
    }

    /** The look that a desk shows in the bank in which it is. */
    private Optional<Look> shown(Step step, Scenes scenes) {
        Optional<PartId> bank = Optional.ofNullable(banks.get(step.device()))
                .or(() -> scenes.banks().stream().findFirst());
        return scenes.scenes().contains(step.action().part())
                        && Scenes.isShown(step.action().verb())
                ? plan.lights()
                        .holds(
                                step.device(),
                                new Scenes.Place(bank, step.action().part()))
                : Optional.empty();
    }
}
