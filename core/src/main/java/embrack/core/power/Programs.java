package embrack.core.power;

import embrack.core.rig.DeviceId;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The order in which apps start: what passes messages inside a computer first, then those that look for ports only as
 * they start, each behind those whose ports it listens to.
 *
 * @param order all apps of the rig, each once
 * @param missed what no order spares: ports that are not there yet when somebody looks for them
 */
public record Programs(List<DeviceId> order, List<Missed> missed) {

    public Programs {
        order = List.copyOf(order);
        missed = List.copyOf(missed);
    }

    /**
     * An app that looks for a port before it is there.
     *
     * @param app looks for ports only as it starts
     * @param late has that port, and starts behind it
     * @param ring why: the apps from the late one to the other, each listening to the one before
     */
    public record Missed(DeviceId app, DeviceId late, List<DeviceId> ring) {
        public Missed {
            ring = List.copyOf(ring);
        }
    }

    /** The apps of a rig in the order of its devices, as far as ports leave that open. */
    public static Programs of(Rig rig) {
        List<DeviceId> apps = rig.devices().stream()
                .map(device -> device.id())
                .filter(id -> rig.model(id).isApp())
                .toList();
        Set<DeviceId> order = new LinkedHashSet<>();
        apps.stream().filter(app -> !looksAtStart(rig, app)).forEach(order::add);
        apps.forEach(app -> start(rig, app, order, new LinkedHashSet<>()));
        return new Programs(List.copyOf(order), missed(rig, List.copyOf(order)));
    }

    /** Whether it finds only those ports that are there when it starts. */
    public static boolean looksAtStart(Rig rig, DeviceId app) {
        return rig.model(app).implementation().quirks().looksForPortsAtStart();
    }

    private static void start(Rig rig, DeviceId app, Set<DeviceId> order, Set<DeviceId> waiting) {
        if (!order.contains(app) && waiting.add(app)) {
            heard(rig, app).forEach(before -> start(rig, before, order, waiting));
            order.add(app);
        }
    }

    /** The apps whose ports it listens to inside its computer. */
    private static Stream<DeviceId> heard(Rig rig, DeviceId app) {
        return rig.linksIn(app).stream()
                .filter(link ->
                        rig.kind(link) == LinkKind.INSIDE && link.to().device().equals(app))
                .map(link -> link.from().device())
                .filter(before -> rig.model(before).isApp() && !before.equals(app))
                .distinct();
    }

    private static List<Missed> missed(Rig rig, List<DeviceId> order) {
        List<Missed> missed = new ArrayList<>();
        for (DeviceId app : order) {
            if (looksAtStart(rig, app)) {
                heard(rig, app)
                        .filter(late -> order.indexOf(late) > order.indexOf(app))
                        .map(late -> new Missed(app, late, ring(rig, app, late)))
                        .forEach(missed::add);
            }
        }
        return missed;
    }

    /** The shortest chain of apps from one to another, each listening to the one before; both ends are in it. */
    private static List<DeviceId> ring(Rig rig, DeviceId app, DeviceId late) {
        Map<DeviceId, DeviceId> listener = new LinkedHashMap<>();
        List<DeviceId> reached = new ArrayList<>(List.of(late));
        for (int next = 0; next < reached.size() && !listener.containsKey(app); next++) {
            DeviceId one = reached.get(next);
            heard(rig, one)
                    .filter(each -> !each.equals(late) && !listener.containsKey(each))
                    .forEach(each -> {
                        listener.put(each, one);
                        reached.add(each);
                    });
        }
        List<DeviceId> chain = new ArrayList<>(List.of(app));
        while (listener.containsKey(chain.getLast())) {
            chain.add(listener.get(chain.getLast()));
        }
        return chain;
    }
}
