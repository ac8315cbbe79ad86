package embrack.core.sheet;

import embrack.core.gear.Ear;
import embrack.core.gear.Passage;
import embrack.core.gear.Phantom;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.SoundWay;
import embrack.core.name.Words;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Linking;
import embrack.core.rig.Rig;
import embrack.core.rig.Send;
import embrack.core.rig.Socket;
import embrack.core.sound.Heard;
import embrack.core.sound.Leads;
import embrack.core.sound.SoundPaths;
import embrack.core.sound.Source;
import embrack.core.sound.Stand;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.stream.Stream;

/**
 * What somebody who comes with a console, or finds one, has to know: what comes in where, what goes out to whom.
 *
 * @param inputs those that something is plugged into, in the order of the console
 * @param outputs those that a lead leaves, with what is in each
 */
public record ConsoleList(DeviceId console, List<Input> inputs, List<Output> outputs) {

    public ConsoleList {
        inputs = List.copyOf(inputs);
        outputs = List.copyOf(outputs);
    }

    /**
     * An input.
     *
     * @param number counted from 1 over all inputs of the console
     * @param sources what arrives: "click of Tablet, left"
     * @param over the boxes before it, the nearest last: "Headphone split, DI"
     * @param lead what is plugged in: "XLR", "mono jack to XLR"
     * @param phantom "48 V on", "48 V needed", or empty
     * @param level what comes, as far as it is known: "−50 dBu"
     * @param isStereo whether the next input is its other side
     * @param who who hears it in all
     */
    public record Input(
            int number,
            String socket,
            List<Carried> sources,
            String over,
            String lead,
            String phantom,
            String level,
            boolean isStereo,
            List<String> who) {

        public Input {
            sources = List.copyOf(sources);
            who = List.copyOf(who);
        }

        /** What arrives, in words. */
        public String words() {
            return sources.isEmpty()
                    ? "nothing yet"
                    : Words.list(sources.stream().map(Carried::words).toList());
        }

        private boolean isSecret() {
            return sources.stream().anyMatch(carried -> carried.source().sound().isSecret());
        }
    }

    /**
     * A source on an input.
     *
     * @param name of the source, with that of a pair which stands in: "tracks of Player A or Player B"
     * @param sides those that arrive, of a source with two; none where it has one
     */
    public record Carried(Source source, String name, List<Integer> sides) {
        String words() {
            return sides.size() == 1 ? "%s, %s".formatted(name, sides.getFirst() == 1 ? "left" : "right") : name;
        }
    }

    /** An output: where it goes, and what is in it: "Fiddle −6 dB". */
    public record Output(String socket, String to, List<String> mix) {
        public Output {
            mix = List.copyOf(mix);
        }
    }

    /**
     * A way to do with fewer inputs.
     *
     * @param saves how many inputs it saves
     */
    public record Sum(int saves, String words) {}

    /** The list of a console as it is wired. */
    public static ConsoleList of(SoundPaths paths, DeviceId console) {
        return new Listing(paths, console).list();
    }

    /** Boxes for which there is such a list: mixers with two inputs or more, something plugged into one of them. */
    public static List<DeviceId> consoles(SoundPaths paths) {
        return paths.rig().devices().stream()
                .map(device -> device.id())
                .filter(id -> paths.rig().model(id).inputs().size() > 1
                        && paths.rig().model(id).sound().ways().stream()
                                .anyMatch(way -> way.passage().send() != Passage.Send.FIXED)
                        && paths.rig().model(id).inputs().stream()
                                .anyMatch(port -> paths.isJoined(new Socket(id, port.id()))))
                .toList();
    }

    /**
     * What could be summed so that fewer channels do, what is missed least first: two sides of one player, then sounds
     * of players that the same people hear. What the audience must not hear is never summed with what it hears;
     * microphones are not summed, since each needs its own gain.
     *
     * @param channels how many inputs the other console has, 1 or more
     */
    public List<Sum> sums(int channels) {
        int missing = inputs.size() - channels;
        List<Sum> sums = new ArrayList<>();
        for (Sum each : Stream.concat(sides(), players()).toList()) {
            if (sums.stream().mapToInt(Sum::saves).sum() < missing) {
                sums.add(each);
            }
        }
        return sums;
    }

    /** How many inputs find no room at a console with so many, however much of it is summed. */
    public int tooMany(int channels) {
        return Math.max(
                0,
                inputs.size()
                        - channels
                        - sums(channels).stream().mapToInt(Sum::saves).sum());
    }

    private Stream<Sum> sides() {
        return inputs.stream()
                .filter(Input::isStereo)
                .map(input -> new Sum(
                        1,
                        "Inputs %d and %d to one: %s in mono, by a summing box."
                                .formatted(
                                        input.number(),
                                        input.number() + 1,
                                        input.sources().getFirst().name())));
    }

    private Stream<Sum> players() {
        List<Input> played = inputs.stream()
                .filter(input -> !input.isSecret()
                        && !input.sources().isEmpty()
                        && input.sources().stream()
                                .allMatch(carried -> carried.source().sound().isPlayed()))
                .toList();
        List<Sum> sums = new ArrayList<>();
        for (int i = 0; i + 1 < played.size(); i++) {
            Input one = played.get(i);
            Input other = played.get(i + 1);
            boolean sameSource = one.sources().getFirst().source()
                    == other.sources().getFirst().source();
            if (!sameSource && one.who().equals(other.who())) {
                sums.add(new Sum(
                        1,
                        "Inputs %d and %d to one: %s with %s, since the same people hear both."
                                .formatted(one.number(), other.number(), one.words(), other.words())));
            }
        }
        return sums.stream();
    }

    private static final class Listing {
        private final SoundPaths paths;
        private final Rig rig;
        private final DeviceId console;
        private final Heard heard;
        private final Leads leads;
        private final List<Port> ports;

        private Listing(SoundPaths paths, DeviceId console) {
            this.paths = paths;
            this.rig = paths.rig();
            this.console = console;
            this.heard = paths.heard(Stand.OPEN);
            this.leads = new Leads(paths);
            this.ports = rig.model(console).inputs();
        }

        private ConsoleList list() {
            List<Input> inputs = new ArrayList<>();
            for (int i = 0; i < ports.size(); i++) {
                Socket socket = new Socket(console, ports.get(i).id());
                if (paths.isJoined(socket)) {
                    inputs.add(input(i, socket));
                }
            }
            return new ConsoleList(
                    console,
                    inputs,
                    rig.model(console).outputs().stream()
                            .filter(port -> paths.isJoined(new Socket(console, port.id())))
                            .map(this::output)
                            .toList());
        }

        private Input input(int index, Socket socket) {
            Link link = rig.linksIn(socket).getFirst();
            List<Carried> carried = carried(socket);
            boolean stereo = index + 1 < ports.size()
                    && carried.size() == 1
                    && isOtherSide(
                            carried.getFirst(),
                            carried(new Socket(console, ports.get(index + 1).id())));
            return new Input(
                    index + 1,
                    ports.get(index).name().text(),
                    carried,
                    over(carried, link),
                    Linking.cable(rig, link),
                    phantom(socket),
                    leads.level(link).map(Listing::dbu).orElse(""),
                    stereo,
                    who(carried, socket));
        }

        private static boolean isOtherSide(Carried one, List<Carried> next) {
            return one.sides().equals(List.of(1))
                    && next.size() == 1
                    && next.getFirst().source().equals(one.source())
                    && next.getFirst().sides().equals(List.of(2));
        }

        /** What arrives; of a pair that brings the same the first, with the one that stands in. */
        private List<Carried> carried(Socket socket) {
            List<Source> arriving = paths.sources().stream()
                    .filter(source -> heard.arrival(source, socket).arrives())
                    .toList();
            return arriving.stream()
                    .filter(source -> arriving.stream()
                            .noneMatch(first ->
                                    standIn(first).filter(source::equals).isPresent()))
                    .map(source -> new Carried(
                            source,
                            standIn(source)
                                    .filter(arriving::contains)
                                    .map(second -> "%s or %s".formatted(source.words(rig), rig.name(second.device())))
                                    .orElseGet(() -> source.words(rig)),
                            source.isStereo() ? heard.arrival(source, socket).sides() : List.of()))
                    .toList();
        }

        /** The same sound of the one that stands in. */
        private Optional<Source> standIn(Source first) {
            return rig.standIn(first.device()).map(second -> paths.of(second).get(first.sound()));
        }

        /** The boxes between what makes it and the input, the nearest last. */
        private String over(List<Carried> carried, Link link) {
            List<String> boxes = new ArrayList<>();
            Optional<Link> lead = Optional.of(link);
            while (lead.isPresent() && boxes.size() < rig.devices().size()) {
                DeviceId box = lead.get().from().device();
                if (carried.stream().anyMatch(each -> each.source().device().equals(box))) {
                    break;
                }
                boxes.addFirst(rig.name(box).text());
                lead = before(lead.get());
            }
            return String.join(", ", boxes);
        }

        /** The lead from which sound comes to another, through the box between. */
        private Optional<Link> before(Link lead) {
            DeviceId box = lead.from().device();
            return rig.model(box).sound().ways().stream()
                    .filter(way -> way.to().port().equals(lead.from().port()))
                    .flatMap(way -> rig.linksIn(new Socket(box, way.from().port())).stream())
                    .filter(link -> rig.kind(link).carriesSound())
                    .findFirst();
        }

        private String phantom(Socket socket) {
            boolean on = rig.device(console).sound().phantom().contains(socket.port());
            boolean needed = leads.fedBy(socket).stream()
                    .anyMatch(output -> rig.port(output).signal().phantom() == Phantom.NEEDS);
            return on ? "48 V on" : needed ? "48 V needed" : "";
        }

        private List<String> who(List<Carried> carried, Socket socket) {
            return paths.listeners().stream()
                    .filter(listener -> carried.stream()
                            .anyMatch(each -> heard.way(each.source(), listener).stream()
                                    .anyMatch(strand -> strand.from().socket().equals(socket))))
                    .map(listener -> listener.ear() == Ear.HOUSE ? Ear.HOUSE.words() : listener.words(rig))
                    .toList();
        }

        private Output output(Port port) {
            Socket socket = new Socket(console, port.id());
            List<String> mix = new ArrayList<>();
            gather(port.id(), 0, new HashSet<>(), (in, decibels) -> {
                if (paths.isJoined(new Socket(console, in))) {
                    Send send = new Send(true, (int) Math.round(decibels * 10));
                    mix.add(send.equals(Send.UNITY) ? name(in) : "%s %s dB".formatted(name(in), send.words()));
                }
            });
            return new Output(
                    port.name().text(),
                    Words.list(rig.linksIn(socket).stream()
                            .map(link -> rig.name(link.to().device()))
                            .toList()),
                    mix);
        }

        /** The inputs that come to a port, by way of what lies between, with how much louder each gets. */
        private void gather(PortId to, double decibels, Set<PortId> seen, BiConsumer<PortId, Double> found) {
            if (!seen.add(to)) {
                return;
            }
            for (SoundWay way : rig.model(console).sound().ways()) {
                Send send = rig.device(console).sound().send(way);
                if (way.to().port().equals(to) && send.open()) {
                    PortId from = way.from().port();
                    double louder = decibels + send.decibels() + way.passage().decibels();
                    if (rig.model(console).port(from).orElseThrow().isSoundSocket()) {
                        found.accept(from, louder);
                    } else {
                        gather(from, louder, seen, found);
                    }
                }
            }
        }

        private String name(PortId port) {
            return rig.model(console).port(port).orElseThrow().name().text();
        }

        private static String dbu(double level) {
            return String.format(Locale.ROOT, "%.0f dBu", level).replace('-', '\u2212');
        }
    }
}
