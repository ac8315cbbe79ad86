package embrack.core.check.remedy;

import embrack.core.check.rule.Remedies;
import embrack.core.check.rule.Remedy;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Route;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.rig.MidiFilter;
import embrack.core.rig.Socket;
import embrack.core.rig.Traffic;
import embrack.core.way.Hop;
import embrack.core.way.SignalPath;
import embrack.core.way.Ways;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Ways through boxes, opened for what has to pass or shut for what must not. */
public final class Passage {

    private static final int MOST_WAYS = 4;

    private Passage() {}

    /** Each box on the ways between two devices lets a message pass as it is; or one that is shut, on the way to it. */
    public static Remedies opened(Ways ways, DeviceId sender, DeviceId receiver, Message message) {
        return () -> Stream.concat(
                        ways.all(sender, receiver, MOST_WAYS).stream().flatMap(way -> opened(way, message).stream()),
                        opened(ways, sender))
                .distinct();
    }

    /** The ways through boxes behind a sender that are shut, each opened. */
    private static Stream<Remedy> opened(Ways ways, DeviceId sender) {
        return ways.reach(sender).stream()
                .flatMap(box -> ways.rig().model(box).sockets().routes().keySet().stream()
                        .filter(route -> !ways.rig().filter(box, route).open())
                        .map(route -> filter(box, route, new Socket(box, route.to()), MidiFilter.OPEN, "let-pass")));
    }

    /** Each box on the ways between two devices keeps back what is on the channel of a message. */
    public static Remedies shut(Ways ways, DeviceId sender, DeviceId receiver, Message message) {
        return () -> message instanceof Message.Voice voice
                ? ways.all(sender, receiver, MOST_WAYS).stream()
                        .flatMap(way -> way.hops().stream())
                        .filter(hop -> hop.through().isPresent())
                        .distinct()
                        .map(hop -> filter(hop, without(hop.filter(), voice.channel()), "keep-away"))
                : Stream.empty();
    }

    /** The first box that keeps it back or moves it lets it through; one way has one such box, or is mended in turn. */
    private static Optional<Remedy> opened(SignalPath way, Message message) {
        return way.hops().stream()
                .filter(hop -> hop.through().isPresent()
                        && !hop.pass(message).filter(message::equals).isPresent())
                .findFirst()
                .map(hop -> filter(hop, with(hop.filter(), message), "let-pass"));
    }

    private static MidiFilter with(MidiFilter filter, Message message) {
        Set<Traffic> stopped = new TreeSet<>(filter.stopped());
        stopped.remove(Traffic.of(message));
        SortedSet<Integer> channels = new TreeSet<>(filter.channels());
        if (!channels.isEmpty() && message instanceof Message.Voice voice) {
            channels.add(voice.channel().number());
        }
        boolean isMoved = message instanceof Message.Voice voice
                && filter.onto().filter(onto -> !onto.equals(voice.channel())).isPresent();
        return new MidiFilter(true, new TreeSet<>(stopped), channels, isMoved ? Optional.empty() : filter.onto());
    }

    private static MidiFilter without(MidiFilter filter, Channel channel) {
        SortedSet<Integer> channels = new TreeSet<>(filter.channels());
        if (channels.isEmpty()) {
            IntStream.rangeClosed(Channel.FIRST, Channel.LAST).forEach(channels::add);
        }
        channels.remove(channel.number());
        return new MidiFilter(filter.open() && !channels.isEmpty(), filter.stopped(), channels, filter.onto());
    }

    private static Remedy filter(Hop hop, MidiFilter filter, String name) {
        return filter(hop.from().device(), hop.through().orElseThrow(), hop.from(), filter, name);
    }

    private static Remedy filter(DeviceId box, Route route, Socket port, MidiFilter filter, String name) {
        return new Remedy(
                        name,
                        new WiringEdit.Filter(
                                box,
                                route,
                                filter.open(),
                                filter.stopped(),
                                filter.channels().stream().map(String::valueOf).collect(Collectors.joining(" ")),
                                filter.onto()
                                        .map(c -> String.valueOf(c.number()))
                                        .orElse("")))
                .with("box", box)
                .with("port", port);
    }
}
