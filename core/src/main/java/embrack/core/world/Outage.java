package embrack.core.world;

import embrack.core.power.PowerPlan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.core.rig.StandBy;
import embrack.core.world.Event.Fate;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/** What happens to a rig when something fails, and when it is back. */
final class Outage {

    private final Rig rig;
    private final PowerPlan power;

    Outage(Rig rig) {
        this.rig = rig;
        this.power = new PowerPlan(rig);
    }

    World after(World before, Event event) {
        return switch (event) {
            case Event.LinkOut out ->
                before.with(before.faults().withOut(links -> {
                    links.add(out.link());
                    return links;
                }));
            case Event.LinkBack back ->
                before.with(before.faults().withOut(links -> {
                    links.remove(back.link());
                    return links;
                }));
            case Event.Off off -> dark(before, off.device());
            case Event.On on -> back(before, on.device());
            case Event.GoOver over -> over(before, over.pair(), true);
            case Event.GoBack back -> over(before, back.pair(), false);
            case Event.Mishap mishap -> befallen(before, mishap.link(), mishap.fate());
            default -> throw new IllegalArgumentException("%s is no fault".formatted(event));
        };
    }

    /** Who sends what a box is to send: of a pair that went over, the second. */
    DeviceId sender(World world, DeviceId from) {
        return pair(from)
                .filter(pair -> pair.first().equals(from) && world.isOver(pair))
                .map(Pair::second)
                .orElse(from);
    }

    private Optional<Pair> pair(DeviceId device) {
        return rig.pairs().stream().filter(pair -> pair.has(device)).findFirst();
    }

    private World dark(World before, DeviceId device) {
        Set<DeviceId> dying = power.diesWith(device);
        World after = before.with(before.faults().withDark(dark -> {
            dark.addAll(dying);
            return dark;
        }));
        for (DeviceId dead : dying) {
            if (!before.isDark(dead)) {
                after = after.restarted(dead)
                        .with(after.ears().forgetting(dead))
                        .with(after.hands().forgetting(dead));
            }
        }
        for (Pair pair : rig.pairs()) {
            boolean goes = after.isDark(pair.first())
                    && !after.isDark(pair.second())
                    && StandBy.of(rig, pair).map(StandBy::isByItself).orElse(false);
            after = goes ? over(after, pair, true) : after;
        }
        return after;
    }

    private World back(World before, DeviceId device) {
        Set<DeviceId> living = power.diesWith(device);
        World after = before.with(before.faults().withDark(dark -> {
            dark.removeAll(living);
            return dark;
        }));
        for (DeviceId back : living) {
            int seconds =
                    rig.model(back).power().map(supply -> supply.startSeconds()).orElse(0);
            if (before.isDark(back) && seconds > 0) {
                after = after.with(after.ears().deafUntil(back, seconds * 1_000_000L));
            }
        }
        return after;
    }

    private static World over(World before, Pair pair, boolean over) {
        return before.with(before.faults().withOver(pairs -> {
            if (over) {
                pairs.add(pair);
            } else {
                pairs.remove(pair);
            }
            return pairs;
        }));
    }

    private static World befallen(World before, Link link, Fate fate) {
        SortedMap<Link, Fate> fates = new TreeMap<>(before.faults().fates());
        fates.put(link, fate);
        return before.with(before.faults().withFates(fates));
    }
}
