package embrack.app.wiring;

import embrack.core.gear.Connector;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.world.Engine;
import embrack.core.world.TempoLinks;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * The wiring as a plain table: every link, and two lists of ports to make one more.
 *
 * @param tempo who sends clock and who follows, in sentences; none where nobody does
 */
record LinkTable(List<LinkRow> links, List<String> tempo, List<PortChoice> ports, String from, String to) {

    /** A port to choose for an end of a link. */
    record PortChoice(String key, String words) {}

    static LinkTable of(Plan plan, String from, String to) {
        Rig rig = plan.rig();
        return new LinkTable(
                LinkRow.all(rig, rig.links()),
                tempo(plan),
                rig.devices().stream()
                        .flatMap(d -> rig.model(d.id()).ports().stream()
                                .filter(p -> p.carriesMidi() || p.connector() == Connector.POWER || p.isSoundSocket())
                                .map(p -> new Socket(d.id(), p.id())))
                        .map(socket -> new PortChoice(
                                PortKey.of(socket),
                                "%s %s%s"
                                        .formatted(
                                                rig.name(socket.device()),
                                                rig.port(socket).words(),
                                                rig.linksIn(socket).isEmpty() ? "" : " (joined)")))
                        .toList(),
                from,
                to);
    }

    private static List<String> tempo(Plan plan) {
        TempoLinks links = TempoLinks.of(plan, () -> new Engine(plan));
        return Stream.concat(
                        links.senders().stream().map(sender -> sends(plan.rig(), links, sender)),
                        links.followed().entrySet().stream()
                                .filter(entry -> entry.getValue().isEmpty())
                                .map(entry -> "%s is set to follow a clock, and none comes to it."
                                        .formatted(plan.rig().name(entry.getKey()))))
                .toList();
    }

    private static String sends(Rig rig, TempoLinks links, DeviceId sender) {
        List<String> followers = links.followed().entrySet().stream()
                .filter(entry -> entry.getValue().contains(sender))
                .map(Map.Entry::getKey)
                .map(device -> rig.name(device).text())
                .toList();
        return followers.isEmpty()
                ? "%s sends clock, and nobody follows.".formatted(rig.name(sender))
                : "%s sends clock; %s %s."
                        .formatted(
                                rig.name(sender), Words.list(followers), followers.size() == 1 ? "follows" : "follow");
    }
}
