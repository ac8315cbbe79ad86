package embrack.core.run;

import embrack.core.chart.Chart;
import embrack.core.chart.Meaning;
import embrack.core.gear.Ear;
import embrack.core.gear.Kind;
import embrack.core.live.Soundscape;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.sound.Heard;
import embrack.core.sound.Listener;
import embrack.core.sound.SoundPaths;
import embrack.core.sound.Source;
import embrack.core.sound.Strand;
import embrack.core.world.Place;
import embrack.core.world.World;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedSet;

/**
 * What of a run the audience notices. It hears what comes to the house otherwise than it should, by a decibel or more
 * (common practice, no source); it sees what a lighting desk or the pictures show otherwise, and a desk that is off.
 * What is otherwise in ears, on pages and in boxes that nobody hears just then, it does not notice.
 */
public final class Noticing {

    /** By what it is noticed. */
    public enum Sense {
        HEARD,
        SEEN
    }

    private static final double TOLD_DECIBELS = 1;

    private final Plan plan;
    private final SoundPaths paths;
    private final Soundscape scape;
    private final List<Listener> audience;

    /** By box the sounds that begin in it, or pass it on their ways to the audience. */
    private final Map<DeviceId, Set<Source>> through = new HashMap<>();

    /** All that decides what is heard. */
    private record Sounding(List<Integer> standing, Set<DeviceId> dark, Set<Link> out) {}

    private final Map<Sounding, Heard> heard = new HashMap<>();

    public Noticing(Plan plan) {
        this.plan = plan;
        this.paths = new SoundPaths(plan.rig());
        this.scape = new Soundscape(plan, paths);
        this.audience = paths.listeners().stream()
                .filter(listener -> listener.ear() == Ear.HOUSE)
                .toList();
        for (Source source : paths.sources()) {
            through.computeIfAbsent(source.device(), box -> new HashSet<>()).add(source);
            for (Listener listener : audience) {
                for (Strand strand : scape.open().way(source, listener)) {
                    through.computeIfAbsent(strand.from().device(), box -> new HashSet<>())
                            .add(source);
                }
            }
        }
    }

    /** By what the audience notices that something is wrong in a run now; by nothing where it does not. */
    public Set<Sense> of(Run run) {
        Set<Sense> senses = EnumSet.noneOf(Sense.class);
        Set<DeviceId> wrong = new HashSet<>();
        run.wrongs().stream().map(Wrong::place).map(Place::device).forEach(wrong::add);
        Set<DeviceId> dark = new HashSet<>();
        plan.rig().devices().stream()
                .map(device -> device.id())
                .filter(run.actual()::isDark)
                .forEach(dark::add);
        boolean isSeen = wrong.stream().anyMatch(this::isSeen) || dark.stream().anyMatch(this::isSeen);
        if (isSeen) {
            senses.add(Sense.SEEN);
        }
        if (run.silentSince().isPresent() || isHeard(run, wrong, dark)) {
            senses.add(Sense.HEARD);
        }
        return senses;
    }

    /** Whether what a box does is seen: it is a lighting desk, or shows words and pictures. */
    private boolean isSeen(DeviceId box) {
        Kind kind = plan.rig().model(box).kind();
        Chart chart = plan.rig().chart(box);
        return kind == Kind.LIGHT_DESK
                || kind == Kind.PICTURES
                || chart.parts().stream()
                        .anyMatch(part -> chart.isMeant(part.id(), Meaning.SCENE)
                                || chart.isMeant(part.id(), Meaning.BLACKOUT)
                                || chart.isMeant(part.id(), Meaning.SLOT));
    }

    private boolean isHeard(Run run, Set<DeviceId> wrong, Set<DeviceId> dark) {
        SortedSet<Link> out = run.actual().linksOut();
        if (audience.isEmpty() || wrong.isEmpty() && dark.isEmpty() && out.isEmpty()) {
            return false;
        }
        Heard should = heard(run.ideal(), Set.of(), Set.of());
        Heard is = heard(run.actual(), dark, out);
        boolean isOtherwise = paths.sources().stream()
                .anyMatch(source -> audience.stream().anyMatch(listener -> isOtherwise(should, is, source, listener)));
        return isOtherwise
                || wrong.stream()
                        .filter(box -> !isGate(box))
                        .flatMap(box -> through.getOrDefault(box, Set.of()).stream())
                        .anyMatch(source -> audience.stream()
                                .anyMatch(listener ->
                                        should.arrival(source, listener).isHeard()));
    }

    /** Whether a box is told by its mutes and levels what it lets through, so that these alone are heard. */
    private boolean isGate(DeviceId box) {
        return plan.rig().model(box).kind() == Kind.MIXER;
    }

    private static boolean isOtherwise(Heard should, Heard is, Source source, Listener listener) {
        double before = should.arrival(source, listener).gain().decibels();
        double now = is.arrival(source, listener).gain().decibels();
        return Double.isFinite(before) != Double.isFinite(now)
                || Double.isFinite(before) && Math.abs(before - now) >= TOLD_DECIBELS;
    }

    private Heard heard(World world, Set<DeviceId> dark, Set<Link> out) {
        return heard.computeIfAbsent(
                new Sounding(scape.standing(world), Set.copyOf(dark), Set.copyOf(out)),
                key -> scape.heard(
                        world,
                        strand -> key.dark().contains(strand.from().device())
                                || key.dark().contains(strand.to().device())
                                || strand.link().filter(key.out()::contains).isPresent()));
    }
}
