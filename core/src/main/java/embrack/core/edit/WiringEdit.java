package embrack.core.edit;

import embrack.core.gear.Ability;
import embrack.core.gear.Condition;
import embrack.core.gear.Ear;
import embrack.core.gear.PortId;
import embrack.core.gear.Purpose;
import embrack.core.gear.Route;
import embrack.core.gear.Setting;
import embrack.core.gear.Sound;
import embrack.core.midi.Channel;
import embrack.core.numbers.Channels;
import embrack.core.plan.Plan;
import embrack.core.rig.Area;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Feed;
import embrack.core.rig.Length;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Linking;
import embrack.core.rig.MidiFilter;
import embrack.core.rig.Onward;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.rig.Spot;
import embrack.core.rig.Traffic;
import embrack.core.way.Delay;
import embrack.core.way.Joining;
import embrack.core.way.SignalPath;
import embrack.core.way.Timing;
import embrack.core.way.Ways;
import embrack.core.word.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Stream;

/** Changes to what joins the boxes of a rig, where they stand, and what they pass on. */
public sealed interface WiringEdit extends Edit {

    /**
     * Joins two ports, whichever was chosen first: where only the other way round can be, it is made that way; a USB
     * link runs from the device to the host.
     */
    record Connect(Socket from, Socket to) implements WiringEdit {

        /** The values of a role: the first asks, invites or connects; the second waits. */
        private static final int ASKS = 0;

        private static final int WAITS = 1;

        @Override
        public Plan apply(Plan plan) {
            Rig rig = plan.rig();
            Typed.device("from", plan, from.device());
            Typed.device("to", plan, to.device());
            Refused.at("from", () -> rig.port(from));
            Refused.at("to", () -> rig.port(to));
            Link link = link(rig);
            Linking.refusal(rig, link.from(), link.to()).ifPresent(why -> {
                throw new Refused("to", Say.text(why));
            });
            return Refused.at("to", () -> plan.withRig(withRoles(rig.withLink(link), link)));
        }

        /** Of two sessions that both wait, or both ask, the one where the link begins asks for the other. */
        private static Rig withRoles(Rig rig, Link link) {
            DeviceId asks = link.from().device();
            DeviceId waits = link.to().device();
            Optional<Integer> role = rig.setting(asks, Purpose.ROLE);
            if (rig.kind(link) != LinkKind.NETWORK
                    || role.isEmpty()
                    || !role.equals(rig.setting(waits, Purpose.ROLE))) {
                return rig;
            }
            Setting asking = rig.settingFor(asks, Purpose.ROLE);
            Setting waiting = rig.settingFor(waits, Purpose.ROLE);
            return rig.withDeviceChanged(asks, d -> d.withSetting(asking.id(), ASKS))
                    .withDeviceChanged(waits, d -> d.withSetting(waiting.id(), WAITS));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("connect").with("link", before.rig().words(link(before.rig())));
        }

        private Link link(Rig rig) {
            return Linking.oriented(rig, from, to);
        }
    }

    /**
     * Joins a box to another by the fewest links, puts between what has to be, and has the two meet: on one channel,
     * and with what either has to be set to for it.
     */
    record JoinUp(DeviceId sender, DeviceId receiver) implements WiringEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("join", plan, sender);
            Typed.device("join", plan, receiver);
            Rig rig = listening(plan.rig());
            Rig joined = Joining.of(rig, sender, receiver).map(Joining::rig).orElse(rig);
            if (new Ways(joined).between(sender, receiver).isEmpty()) {
                throw new Refused(
                        "join",
                        Say.of("no.cannot-join")
                                .with("sender", rig.name(sender))
                                .with("receiver", rig.name(receiver)));
            }
            return plan.withRig(Channels.met(joined, sender, receiver));
        }

        /** What either does only while a setting is so, is set so. */
        private Rig listening(Rig rig) {
            Rig set = rig;
            for (Ability ability : List.of(Ability.SENDS, Ability.HEARS_REMOTE)) {
                DeviceId device = ability == Ability.SENDS ? sender : receiver;
                Optional<Condition> unmet = set.unmet(device, ability);
                if (unmet.isPresent()) {
                    Condition condition = unmet.get();
                    set = set.withDeviceChanged(device, d -> d.withSetting(condition.setting(), condition.value()));
                }
            }
            return set;
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("join-up")
                    .with("sender", before.rig().name(sender))
                    .with("receiver", before.rig().name(receiver));
        }
    }

    /**
     * Joins a box with all that its switches and controls are meant for and no way leads to: the plugs of the box that
     * it stands in for first, then by a cable straight to it. What cannot be joined so stays as it is.
     *
     * @param instead the box that it stands in for, or itself when it is another box now
     * @param cables what was plugged into that; each may be pulled where its sockets are needed
     */
    record JoinMeant(DeviceId sender, DeviceId instead, List<Link> cables) implements WiringEdit {

        public JoinMeant {
            cables = List.copyOf(cables);
        }

        @Override
        public Plan apply(Plan plan) {
            Typed.device("join", plan, sender);
            Plan joined = plan;
            for (Link cable : cables) {
                joined = lacking(joined).isEmpty() ? joined : replugged(joined, cable);
            }
            for (DeviceId receiver : lacking(joined)) {
                joined = lacking(joined).contains(receiver) ? plugged(joined, receiver) : joined;
            }
            return joined;
        }

        /** The plan with a cable straight to the receiver, if there are two free sockets that fit. */
        private Plan plugged(Plan plan, DeviceId receiver) {
            Rig rig = plan.rig();
            return rig.sockets(sender).stream()
                    .flatMap(out -> rig.sockets(receiver).stream().map(in -> Linking.oriented(rig, out, in)))
                    .filter(link -> Linking.refusal(rig, link.from(), link.to()).isEmpty())
                    .map(rig::withLink)
                    .filter(made -> new Ways(made).between(sender, receiver).isPresent())
                    .findFirst()
                    .map(plan::withRig)
                    .orElse(plan);
        }

        /** The boxes that the sender is meant for and does not reach. */
        private List<DeviceId> lacking(Plan plan) {
            Ways ways = new Ways(plan.rig());
            return plan.meant().getOrDefault(sender, Set.of()).stream()
                    .filter(receiver -> !receiver.equals(sender)
                            && ways.between(sender, receiver).isEmpty())
                    .toList();
        }

        /** The plan with the sender where the cable was, if it has a plug for it. */
        private Plan replugged(Plan plan, Link cable) {
            Rig rig = plan.rig();
            Rig bare = !instead.equals(sender) && rig.links().contains(cable) ? rig.withoutLink(cable) : rig;
            return Stream.of(cable.from(), cable.to())
                    .filter(end -> isThere(bare, end) && !end.device().equals(instead))
                    .flatMap(end -> bare.sockets(sender).stream().map(socket -> Linking.oriented(bare, socket, end)))
                    .filter(link ->
                            Linking.refusal(bare, link.from(), link.to()).isEmpty())
                    .map(bare::withLink)
                    .filter(made -> new Ways(made).reach(sender).size()
                            > new Ways(rig).reach(sender).size())
                    .findFirst()
                    .map(plan::withRig)
                    .orElse(plan);
        }

        private static boolean isThere(Rig rig, Socket socket) {
            return rig.find(socket.device()).isPresent()
                    && rig.model(socket.device()).port(socket.port()).isPresent();
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("join-meant").with("sender", before.rig().name(sender));
        }
    }

    /** Has two boxes meet on one channel, as far as either can be set. */
    record Meet(DeviceId sender, DeviceId receiver) implements WiringEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("join", plan, sender);
            Typed.device("join", plan, receiver);
            return plan.withRig(Channels.met(plan.rig(), sender, receiver)).settled();
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("meet")
                    .with("sender", before.rig().name(sender))
                    .with("receiver", before.rig().name(receiver));
        }
    }

    /** Goes on from a lead as people plug a loom: the next sockets likewise, as far as they go. */
    record ConnectOnward(Socket from, Socket to) implements WiringEdit {
        @Override
        public Plan apply(Plan plan) {
            Link first = linkOf(plan, "from", from, to);
            List<Link> leads = Onward.after(plan.rig(), first);
            if (leads.isEmpty()) {
                throw new Refused(
                        "from",
                        Say.of("no.nothing-onward").with("link", plan.rig().words(first)));
            }
            Rig rig = plan.rig();
            for (Link lead : leads) {
                rig = rig.withLink(lead);
            }
            return plan.withRig(rig);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("connect-onward").with("link", before.rig().words(new Link(from, to)));
        }
    }

    /** Takes a link away. */
    record Disconnect(Socket from, Socket to) implements WiringEdit {
        @Override
        public Plan apply(Plan plan) {
            return plan.withRig(plan.rig().withoutLink(linkOf(plan, "link", from, to)));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("disconnect").with("link", before.rig().words(new Link(from, to)));
        }
    }

    /** Says how long a cable is; nothing when it is not known. */
    record Measure(Socket from, Socket to, String length) implements WiringEdit {
        @Override
        public Plan apply(Plan plan) {
            Link link = linkOf(plan, "length", from, to);
            if (!plan.rig().kind(link).isCable()) {
                throw new Refused(
                        "length",
                        Say.of("no.no-cable").with("kind", plan.rig().kind(link).words()));
            }
            Optional<Length> measured =
                    length.isBlank() ? Optional.empty() : Optional.of(Refused.at("length", () -> Length.parse(length)));
            return plan.withRig(plan.rig().withLinkChanged(link.withLength(measured)));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("measure").with("link", before.rig().words(new Link(from, to)));
        }
    }

    /**
     * Takes over how long messages were measured to take from one box to another. It counts at the link of that way of
     * which least is known.
     *
     * @param loop how long a message of {@link #MEASURED_BYTES} took from the first box to the last
     */
    record TakeTime(DeviceId sender, DeviceId receiver, Delay loop) implements WiringEdit {

        /** A control change. */
        public static final int MEASURED_BYTES = 3;

        @Override
        public Plan apply(Plan plan) {
            Typed.device("time", plan, sender);
            Typed.device("time", plan, receiver);
            Ways ways = new Ways(plan.rig());
            SignalPath way = ways.between(sender, receiver)
                    .orElseThrow(() -> new Refused(
                            "time",
                            Say.of("no.no-way-to-time")
                                    .with("sender", plan.rig().name(sender))
                                    .with("receiver", plan.rig().name(receiver))));
            Link link = new Timing(ways)
                    .measured(way, MEASURED_BYTES, loop)
                    .orElseThrow(() -> new Refused("time", Say.of("no.all-wire")));
            return plan.withRig(plan.rig().withLinkChanged(link));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("take-time")
                    .with("sender", before.rig().name(sender))
                    .with("receiver", before.rig().name(receiver));
        }
    }

    /** What was measured at a link no longer counts. */
    record ForgetTime(Socket from, Socket to) implements WiringEdit {
        @Override
        public Plan apply(Plan plan) {
            Link link = linkOf(plan, "time", from, to);
            return plan.withRig(plan.rig().withLinkChanged(link.withMeasured(Optional.empty())));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("forget-time").with("link", before.rig().words(new Link(from, to)));
        }
    }

    /** Puts a box somewhere else. */
    record Stand(DeviceId device, Area area) implements WiringEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("area", plan, device);
            return plan.withRig(plan.rig()
                    .withDeviceChanged(
                            device, d -> d.withSpot(new Spot(area, d.spot().host()))));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("stand").with("device", before.rig().name(device)).with("area", area.words());
        }
    }

    /** Has an app live in a computer or tablet, or nowhere. Its links inside another computer go. */
    record LiveIn(DeviceId device, Optional<DeviceId> host) implements WiringEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("host", plan, device);
            host.ifPresent(h -> Typed.device("host", plan, h));
            Rig rig = plan.rig();
            Rig bare = rig.withoutLinks(link -> link.isIn(device));
            Rig moved = Refused.at("host", () -> bare.withDeviceChanged(device, d -> d.withHost(host)));
            return plan.withRig(Fitting.cables(moved, rig.linksIn(device)));
        }

        @Override
        public Phrase summary(Plan before) {
            return host.map(h -> Say.of("live-in.a")
                            .with("device", before.rig().name(device))
                            .with("host", before.rig().name(h)))
                    .orElseGet(() ->
                            Say.of("live-in.b").with("device", before.rig().name(device)));
        }
    }

    /**
     * Says what a way through a box lets pass.
     *
     * @param stopped sorts of message that it keeps back
     * @param channels as typed: "2, 3"; nothing for all
     * @param onto as typed: the channel that everything leaves on; nothing to keep each its own
     */
    record Filter(DeviceId device, Route route, boolean open, Set<Traffic> stopped, String channels, String onto)
            implements WiringEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("open", plan, device);
            if (!plan.rig().model(device).sockets().routes().containsKey(route)) {
                throw new Refused("open", Say.of("no.way-gone"));
            }
            SortedSet<Integer> passing = new TreeSet<>();
            for (String channel : channels.isBlank()
                    ? List.<String>of()
                    : List.of(channels.strip().split("[ ,;]+"))) {
                passing.add(channel("channels", channel).number());
            }
            Optional<Channel> other = onto.isBlank() ? Optional.empty() : Optional.of(channel("onto", onto));
            MidiFilter filter = new MidiFilter(open, new TreeSet<>(stopped), passing, other);
            return plan.withRig(plan.rig().withDeviceChanged(device, d -> d.withFilter(route, filter)));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("filter").with("device", before.rig().name(device));
        }

        private static Channel channel(String field, String typed) {
            int number = Typed.number(field, typed);
            if (number < Channel.FIRST || number > Channel.LAST) {
                throw new Refused(field, Say.of("no.channel").with("number", number));
            }
            return new Channel(number);
        }
    }

    /** Says what is on a sound output and who hears it. */
    record Hear(DeviceId device, PortId output, Set<Sound> sounds, Set<Ear> to) implements WiringEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("sounds", plan, device);
            Feed feed = new Feed(new TreeSet<>(sounds), new TreeSet<>(to));
            return Refused.at(
                    "sounds", () -> plan.withRig(plan.rig().withDeviceChanged(device, d -> d.withFeed(output, feed))));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("hear")
                    .with("output", before.rig().words(new Socket(device, output)))
                    .with("to", new Feed(new TreeSet<>(sounds), new TreeSet<>(to)).words());
        }
    }

    /** Has one device stand in for another of the same hardware; nobody when {@code second} is empty. */
    record StandIn(DeviceId first, Optional<DeviceId> second) implements WiringEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("second", plan, first);
            second.ifPresent(s -> Typed.device("second", plan, s));
            List<Pair> pairs = new ArrayList<>(plan.rig().pairs().stream()
                    .filter(pair -> !pair.first().equals(first))
                    .toList());
            return Refused.at("second", () -> {
                second.ifPresent(s -> pairs.add(new Pair(first, s)));
                return plan.withRig(plan.rig().withPairs(pairs));
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return second.map(s -> Say.of("stand-in.a")
                            .with("second", before.rig().name(s))
                            .with("first", before.rig().name(first)))
                    .orElseGet(() ->
                            Say.of("stand-in.b").with("first", before.rig().name(first)));
        }
    }

    private static Link linkOf(Plan plan, String field, Socket from, Socket to) {
        return plan.rig().link(from, to).orElseThrow(() -> new Refused(field, Say.of("no.link-gone")));
    }
}
