package embrack.core.world;

import embrack.core.gear.Ability;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Supplier;

/**
 * Whose tempo is followed by whom: boxes that are set to send clock, and those that are set to follow one.
 *
 * @param senders in the order of the rig
 * @param followed by each box that is set to follow, the senders whose clock comes to it; none for one that waits
 */
public record TempoLinks(List<DeviceId> senders, SortedMap<DeviceId, List<DeviceId>> followed) {

    public TempoLinks {
        senders = List.copyOf(senders);
        followed = Collections.unmodifiableSortedMap(new TreeMap<>(followed));
    }

    /** A tempo to try it with, in beats a minute: where a clock goes does not depend on it. */
    private static final int ANY_TEMPO = 120;

    /**
     * Those of a plan.
     *
     * @param made an engine of the plan, asked for only where somebody sends and somebody follows
     */
    public static TempoLinks of(Plan plan, Supplier<Engine> made) {
        Rig rig = plan.rig();
        List<DeviceId> senders = rig.devices().stream()
                .map(Device::id)
                .filter(device -> isSet(rig, device, Ability.SENDS_CLOCK))
                .toList();
        SortedMap<DeviceId, List<DeviceId>> followed = new TreeMap<>();
        rig.devices().stream()
                .map(Device::id)
                .filter(device -> isSet(rig, device, Ability.HEARS_SYNC))
                .forEach(device -> followed.put(device, new ArrayList<>()));
        if (senders.isEmpty() || followed.isEmpty()) {
            return new TempoLinks(senders, followed);
        }
        Engine engine = made.get();
        World start = World.poweredOn(rig);
        for (DeviceId sender : senders) {
            engine.clocks(engine.step(start, new Event.Clock(sender, ANY_TEMPO)).after())
                    .keySet()
                    .forEach(device -> {
                        if (followed.containsKey(device) && !device.equals(sender)) {
                            followed.get(device).add(sender);
                        }
                    });
        }
        return new TempoLinks(senders, followed);
    }

    /** Whether a box can do something only while a setting is so, and the setting is. */
    private static boolean isSet(Rig rig, DeviceId device, Ability ability) {
        return rig.model(device).memory().conditions().stream().anyMatch(c -> c.ability() == ability)
                && rig.unmet(device, ability).isEmpty();
    }
}
