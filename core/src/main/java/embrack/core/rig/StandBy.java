package embrack.core.rig;

import embrack.core.gear.Ability;
import embrack.core.gear.Condition;
import embrack.core.gear.PortId;
import embrack.core.gear.Sound;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What brings in the second one of a pair when the first fails.
 *
 * @param guard the box that both hang on, and that passes on one of them
 * @param byHand what it is not set to, so that somebody has to do it
 * @param heartbeat where the heartbeat of the first has to be, for a box that waits until that stops
 * @param found where a heartbeat is, if anywhere
 */
public record StandBy(DeviceId guard, Optional<Condition> byHand, Optional<PortId> heartbeat, Optional<PortId> found) {

    /** What guards a pair; empty when no box does, so that the two are changed by hand. */
    public static Optional<StandBy> of(Rig rig, Pair pair) {
        return rig.devices().stream()
                .map(Device::id)
                .filter(id -> isGuard(rig, id) && hangsOn(rig, pair.first(), id) && hangsOn(rig, pair.second(), id))
                .findFirst()
                .map(guard -> new StandBy(
                        guard,
                        rig.unmet(guard, Ability.FAILS_OVER),
                        rig.model(guard).sockets().heartbeat(),
                        heartbeatOf(rig, guard)));
    }

    /** Whether the second goes on without anybody's hand. */
    public boolean isByItself() {
        return byHand.isEmpty() && (heartbeat.isEmpty() || heartbeat.equals(found));
    }

    /** Whether it waits for a heartbeat that is not where it has to be. */
    public boolean lacksHeartbeat() {
        return heartbeat.isPresent() && !heartbeat.equals(found);
    }

    private static boolean isGuard(Rig rig, DeviceId id) {
        return rig.model(id).sockets().heartbeat().isPresent()
                || rig.model(id).memory().conditions().stream()
                        .anyMatch(condition -> condition.ability() == Ability.FAILS_OVER);
    }

    /** The output that carries the heartbeat: that one where it has to be, if there is one. */
    private static Optional<PortId> heartbeatOf(Rig rig, DeviceId guard) {
        Optional<PortId> wanted = rig.model(guard).sockets().heartbeat();
        return Stream.concat(said(rig, guard), brought(rig, guard))
                .sorted((a, b) -> Boolean.compare(
                        wanted.filter(b::equals).isPresent(),
                        wanted.filter(a::equals).isPresent()))
                .findFirst();
    }

    /** Outputs of which it is said that the heartbeat is on them. */
    private static Stream<PortId> said(Rig rig, DeviceId device) {
        return rig.device(device).feeds().entrySet().stream()
                .filter(feed -> feed.getValue().sounds().contains(Sound.HEARTBEAT))
                .map(Map.Entry::getKey);
    }

    /** Outputs to which the box passes the heartbeat that a lead brings from a player. */
    private static Stream<PortId> brought(Rig rig, DeviceId guard) {
        return rig.model(guard).sound().ways().stream()
                .filter(way -> rig.linksIn(new Socket(guard, way.from().port())).stream()
                        .anyMatch(link -> said(rig, link.from().device())
                                .anyMatch(link.from().port()::equals)))
                .map(way -> way.to().port())
                .distinct();
    }

    private static boolean hangsOn(Rig rig, DeviceId device, DeviceId guard) {
        DeviceId box = rig.box(device);
        return rig.linksIn(guard).stream().anyMatch(link -> link.isIn(box));
    }
}
