package embrack.core.line;

import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.core.rig.StandBy;
import embrack.core.sound.Changeover;
import embrack.core.sound.Heard;
import embrack.core.sound.Listener;
import embrack.core.sound.SoundPaths;
import embrack.core.sound.Source;
import embrack.core.sound.Stand;
import embrack.core.way.Ways;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What is tried at a pair: a lead of the first is pulled while both play, and somebody says what went on.
 *
 * @param leads which can be pulled without harm, those to the box that guards the pair first; never one of power
 * @param standBy what brings in the second; empty where nothing does
 * @param carried what of the show hangs on the pair
 */
public record PairTrial(Pair pair, List<Link> leads, Optional<StandBy> standBy, List<Carried> carried) {

    /** Something that has to go on without the first of the pair. */
    public sealed interface Carried {

        /** What tells it from others, in forms and tables. */
        String key();

        /** A sound, and who hears it. */
        record Sounds(Source source, List<Listener> by) implements Carried {
            @Override
            public String key() {
                return "sound." + source.sound().key();
            }
        }

        /** A box that does what the pair sends. */
        record Obeys(DeviceId box) implements Carried {
            @Override
            public String key() {
                return "box." + box;
            }
        }
    }

    public PairTrial {
        leads = List.copyOf(leads);
        carried = List.copyOf(carried);
    }

    /** The trials of all pairs of a plan. */
    public static List<PairTrial> of(Plan plan) {
        Rig rig = plan.rig();
        SoundPaths paths = new SoundPaths(rig);
        Ways ways = new Ways(rig);
        return rig.pairs().stream().map(pair -> of(rig, paths, ways, pair)).toList();
    }

    private static PairTrial of(Rig rig, SoundPaths paths, Ways ways, Pair pair) {
        Optional<StandBy> standBy = StandBy.of(rig, pair);
        DeviceId box = rig.box(pair.first());
        List<Link> leads = rig.linksIn(box).stream()
                .filter(link ->
                        rig.kind(link) != LinkKind.POWER && rig.kind(link).isCable())
                .filter(link ->
                        !rig.box(link.from().device()).equals(rig.box(link.to().device())))
                .sorted((a, b) -> Boolean.compare(isTo(standBy, b), isTo(standBy, a)))
                .toList();
        List<Carried> carried = new ArrayList<>();
        Heard heard = paths.heard(Changeover.first(paths, pair, Stand.OPEN));
        for (Source source : paths.sources()) {
            List<Listener> by = paths.listeners().stream()
                    .filter(listener -> source.sound().isFor(listener.ear())
                            && heard.arrival(source, listener).isHeard())
                    .toList();
            if (source.device().equals(pair.first()) && !by.isEmpty()) {
                carried.add(new Carried.Sounds(source, by));
            }
        }
        Set<DeviceId> second = ways.reach(pair.second());
        ways.reach(pair.first()).stream()
                .filter(one -> second.contains(one) && !rig.chart(one).isEmpty() && !pair.has(one))
                .sorted()
                .forEach(one -> carried.add(new Carried.Obeys(one)));
        return new PairTrial(pair, leads, standBy, carried);
    }

    private static boolean isTo(Optional<StandBy> standBy, Link link) {
        return standBy.filter(guard -> link.isIn(guard.guard())).isPresent();
    }

    /** The pair in one word, for tables. */
    public String key() {
        return "%s~%s".formatted(pair.first(), pair.second());
    }

    /** What is planned, in one line, by which a later plan is told apart. */
    public String written() {
        return "%s %s %s"
                .formatted(
                        key(),
                        standBy.map(guard -> guard.guard() + (guard.isByItself() ? " itself" : " hand"))
                                .orElse("none"),
                        carried.stream().map(Carried::key).collect(Collectors.joining(" ")));
    }
}
