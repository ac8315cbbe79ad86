package embrack.core.sound;

import embrack.core.gear.Connector;
import embrack.core.gear.Kind;
import embrack.core.gear.Passage;
import embrack.core.gear.Phantom;
import embrack.core.gear.Port;
import embrack.core.gear.SoundWay;
import embrack.core.level.Nominal;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What leads carry beside sound: voltages, ground, the level at which a socket expects it. */
public final class Leads {

    private final Rig rig;
    private final Map<SoundPoint, List<Strand>> leaving = new HashMap<>();
    private final Map<SoundPoint, List<Strand>> arriving = new HashMap<>();

    public Leads(SoundPaths paths) {
        this.rig = paths.rig();
        for (Strand strand : paths.strands()) {
            leaving.computeIfAbsent(strand.from(), p -> new ArrayList<>()).add(strand);
            arriving.computeIfAbsent(strand.to(), p -> new ArrayList<>()).add(strand);
        }
    }

    /** Outputs that the 48 V of an input reach: back over analogue leads and through boxes without a transformer. */
    public List<Socket> fedBy(Socket input) {
        List<Socket> fed = new ArrayList<>();
        follow(new SoundPoint(input, 1), arriving, true, fed);
        return fed;
    }

    /** Inputs whose 48 V would reach an output. */
    public List<Socket> feeders(Socket output) {
        List<Socket> feeders = new ArrayList<>();
        follow(new SoundPoint(output, 1), leaving, false, feeders);
        return feeders.stream()
                .filter(socket -> rig.port(socket).signal().phantom() == Phantom.GIVES)
                .toList();
    }

    private void follow(SoundPoint begin, Map<SoundPoint, List<Strand>> strands, boolean back, List<Socket> found) {
        List<SoundPoint> toDo = new ArrayList<>(List.of(begin));
        Set<SoundPoint> seen = new HashSet<>(toDo);
        while (!toDo.isEmpty()) {
            SoundPoint point = toDo.removeFirst();
            for (Strand strand : strands.getOrDefault(point, List.of())) {
                SoundPoint next = back ? strand.from() : strand.to();
                if (conducts(strand) && seen.add(next)) {
                    if (strand.link().isPresent()) {
                        found.add(next.socket());
                    }
                    toDo.add(next);
                }
            }
        }
    }

    /** Whether a direct current passes. */
    private boolean conducts(Strand strand) {
        return strand.link()
                .map(link -> rig.port(link.from()).connector().isAnalogue()
                        && rig.port(link.to()).connector().isAnalogue())
                .orElseGet(() -> isPassive(strand.from().device())
                        && !strand.way()
                                .map(SoundWay::passage)
                                .map(Passage::isolated)
                                .orElse(false));
    }

    /** A box that is no more than metal: it needs no power of any kind. */
    private boolean isPassive(DeviceId device) {
        return rig.model(device).kind() == Kind.SOUND_BOX
                && rig.model(device).power().isEmpty()
                && rig.model(device).ports().stream()
                        .noneMatch(port -> port.signal().phantom() == Phantom.NEEDS);
    }

    /** The level that comes over a link, in dBu; empty where nobody said one. */
    public Optional<Double> level(Link link) {
        return levelAt(new SoundPoint(link.from(), 1), new HashSet<>());
    }

    private Optional<Double> levelAt(SoundPoint point, Set<SoundPoint> seen) {
        if (!seen.add(point)) {
            return Optional.empty();
        }
        Optional<Nominal> own = rig.port(point.socket()).signal().level();
        if (own.isPresent() && own.get().low() == own.get().high()) {
            return Optional.of(own.get().highDbu());
        }
        return arriving.getOrDefault(point, List.of()).stream()
                .filter(strand -> strand.decibels() != Double.NEGATIVE_INFINITY)
                .flatMap(strand -> levelAt(strand.from(), seen).map(level -> level + strand.decibels()).stream())
                .findFirst();
    }

    /** Whether a link keeps off hum: both of its ends are balanced, or it carries numbers. */
    public boolean isBalanced(Link link) {
        return isBalanced(rig.port(link.from())) && isBalanced(rig.port(link.to()));
    }

    private static boolean isBalanced(Port port) {
        Connector connector = port.connector();
        return connector.isBalanced() || !connector.isAnalogue();
    }
}
