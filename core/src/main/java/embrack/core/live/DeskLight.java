package embrack.core.live;

import embrack.core.chart.Action;
import embrack.core.chart.Aspect;
import embrack.core.chart.Chart;
import embrack.core.chart.Meaning;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.light.Direct;
import embrack.core.light.Look;
import embrack.core.light.Scenes;
import embrack.core.music.Tempo;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.stage.Running;
import embrack.core.stage.Sight;
import embrack.core.world.Happened;
import embrack.core.world.Outcome;
import embrack.core.world.Place;
import embrack.core.world.Reading;
import embrack.core.world.World;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;

/**
 * What a desk shows after all that was done to it. What it did last is seen; a scene that is put out gives way to the
 * dark, a chase that stands still to the look before it. A bank alone changes nothing that is seen.
 *
 * @param bank the one that was chosen last; empty until one was
 */
public record DeskLight(Plan plan, DeviceId desk, Optional<PartId> bank, Sight sight) {

    /** A desk that has just been switched on shows nothing. */
    public static DeskLight dark(Plan plan, DeviceId desk) {
        return new DeskLight(plan, desk, Optional.empty(), Sight.of(0, Optional.empty()));
    }

    /**
     * After something came upon the rig.
     *
     * @param before the world before it
     * @param done what came of it
     * @param micros when that was, in microseconds
     * @param tempo the beat by then
     */
    public DeskLight after(World before, Outcome done, long micros, Tempo tempo) {
        DeskLight light = this;
        Set<PartId> touched = touched(before, done);
        for (PartId part : touched) {
            light = light.after(part, done.after(), micros, tempo);
        }
        Optional<Direct> direct = Direct.of(plan.rig().chart(desk));
        return direct.filter(slots -> slots.slots().stream().anyMatch(touched::contains))
                .map(slots -> driven(slots, done.after(), micros))
                .orElse(light);
    }

    /** A desk whose slots are levels shows the look at which they stand, all of them. */
    private DeskLight driven(Direct direct, World world, long micros) {
        Optional<Look> shown = direct.shownBy(
                plan.lights(),
                direct.slots().stream()
                        .map(slot -> new Action(
                                Verb.LEVEL, slot, Optional.of(world.value(new Place(desk, slot, Aspect.LEVEL)))))
                        .toList());
        return with(new Sight(micros, shown, Optional.empty(), sight.isBlackedOut()));
    }

    /** The parts that were told something, in order, and then those that stand otherwise without it. */
    private Set<PartId> touched(World before, Outcome done) {
        Set<PartId> parts = new LinkedHashSet<>();
        for (Happened happened : done.trace()) {
            if (happened instanceof Happened.Arrived arrived
                    && arrived.socket().device().equals(desk)
                    && arrived.reading() instanceof Reading.Acts acts) {
                acts.actions().stream().map(Action::part).forEach(part -> {
                    parts.remove(part);
                    parts.add(part);
                });
            }
        }
        before.differences(done.after()).stream()
                .filter(place -> place.device().equals(desk))
                .map(Place::part)
                .forEach(parts::add);
        return parts;
    }

    private DeskLight after(PartId part, World world, long micros, Tempo tempo) {
        Chart chart = plan.rig().chart(desk);
        Scenes scenes = Scenes.of(chart);
        if (chart.isMeant(part, Meaning.BLACKOUT)) {
            return with(new Sight(micros, sight.look(), sight.running(), isOn(part, world)));
        }
        if (scenes.banks().contains(part)) {
            return isOn(part, world) ? new DeskLight(plan, desk, Optional.of(part), sight) : this;
        }
        if (scenes.scenes().contains(part)) {
            return isOn(part, world) || chosenIn(scenes, world).isEmpty()
                    ? with(new Sight(micros, held(part, scenes, world), Optional.empty(), sight.isBlackedOut()))
                    : this;
        }
        return Scenes.chases(chart).contains(part) || chart.needs().containsValue(part)
                ? with(new Sight(micros, sight.look(), running(chart, world, micros, tempo), sight.isBlackedOut()))
                : this;
    }

    private DeskLight with(Sight next) {
        return next.showsAs(sight) ? this : new DeskLight(plan, desk, bank, next);
    }

    private Optional<PartId> chosenIn(Scenes scenes, World world) {
        return scenes.scenes().stream().filter(scene -> isOn(scene, world)).findFirst();
    }

    private Optional<Look> held(PartId scene, Scenes scenes, World world) {
        Optional<PartId> in = bank.or(() -> scenes.banks().stream().findFirst());
        return isOn(scene, world) ? plan.lights().holds(desk, new Scenes.Place(in, scene)) : Optional.empty();
    }

    /** The chase that runs and has what it needs for it; it goes on where it is, if it ran before. */
    private Optional<Running> running(Chart chart, World world, long micros, Tempo tempo) {
        return Scenes.chases(chart).stream()
                .filter(chase -> isOn(chase, world))
                .filter(chase ->
                        chart.need(chase).filter(need -> !isOn(need, world)).isEmpty())
                .flatMap(chase -> plan.lights().chaseAt(desk, chase).stream())
                .findFirst()
                .map(chase -> sight.running()
                        .filter(running -> running.chase().equals(chase))
                        .orElseGet(() -> Running.from(micros, chase, tempo)));
    }

    private boolean isOn(PartId part, World world) {
        return plan.rig().model(desk).implementation().aspects(part).stream()
                .filter(aspect -> !aspect.isCount())
                .anyMatch(aspect -> world.value(new Place(desk, part, aspect)) != 0);
    }
}
