package embrack.core.numbers;

import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.chart.Trigger;
import embrack.core.gear.FactoryMessage;
import embrack.core.gear.Purpose;
import embrack.core.midi.Channel;
import embrack.core.midi.Controllers;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.show.Book;
import embrack.core.show.Cue;
import embrack.core.switches.Practice;
import embrack.core.switches.Practices;
import embrack.core.switches.Switches;
import embrack.core.switches.Target;
import embrack.core.way.Ways;
import embrack.core.word.Fact;
import embrack.core.word.Phrase;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Chooses the messages that boxes learn: free on every way on which a sender is heard, away from numbers that mean
 * something anywhere, one run for each controller as far as there is room, and no more than the box has inputs for.
 * What a box has learned already stays as it is while it is used; what nothing uses any more is forgotten, unless a
 * person pinned it.
 */
public final class Allocator {

    private static final List<MessageType> PREFERRED =
            List.of(MessageType.CONTROL_CHANGE, MessageType.NOTE_ON, MessageType.PROGRAM_CHANGE);

    private final List<Wanted> all;
    private final Ways ways;
    private final Switches switches;
    private final Map<DeviceId, List<Cue>> automatic;
    private final List<DeviceId> controllers;
    private final Map<DeviceId, Taken> taken = new HashMap<>();
    private final Map<DeviceId, Taken> sent = new HashMap<>();
    private final Map<DeviceId, Set<DeviceId>> reached = new HashMap<>();
    private Rig rig;

    private Allocator(Rig rig, Switches switches, Book book, Practices practices) {
        this.rig = rig;
        this.switches = switches;
        this.automatic = book.sentBy(rig);
        this.controllers = rig.devices().stream()
                .map(Device::id)
                .filter(id ->
                        !switches.of(id).isEmpty() || !switches.travelsOf(id).isEmpty() || automatic.containsKey(id))
                .toList();
        this.all = Wanted.all(rig, switches, automatic, practices.answer(Practice.NUMBERS) == 1);
        this.ways = new Ways(rig);
    }

    /**
     * The rig with a message for everything that its switches, controls and cues want learned and that can be learned
     * from them.
     */
    public static Rig settle(Rig rig, Switches switches, Book book, Practices practices) {
        boolean nothingLearns = rig.models().stream()
                .allMatch(model -> model.chart().learnables().isEmpty());
        return nothingLearns ? rig : new Allocator(rig, switches, book, practices).settle();
    }

    /** As {@link #settle}, with everything chosen anew but what a person pinned. */
    public static Rig renumber(Rig rig, Switches switches, Book book, Practices practices) {
        Rig bare = rig;
        for (Device device : rig.devices()) {
            SortedMap<LearnableId, Learned> pinned = new TreeMap<>(device.learned());
            pinned.values().removeIf(message -> !message.pinned());
            bare = bare.withDeviceChanged(device.id(), d -> d.withLearned(pinned));
        }
        return settle(bare, switches, book, practices);
    }

    /** Why a number is better not chosen for a message; empty when it may be. */
    public static Optional<Phrase> objection(MessageType type, int number) {
        return Reserved.why(type, number);
    }

    /**
     * Why it is better not to give a number to something of a box: it is the fine half of a level that the box has.
     * Source: MIDI 1.0 Detailed Specification, table III.
     */
    public static Optional<Phrase> fineHalf(Rig rig, DeviceId device, MessageType type, int number) {
        return Controllers.coarse(number)
                .filter(coarse -> type == MessageType.CONTROL_CHANGE)
                .flatMap(coarse -> rig.chart(device).rows().stream()
                        .filter(row -> row.verb().takesAmount()
                                && row.last() instanceof Trigger.Voice voice
                                && voice.type() == MessageType.CONTROL_CHANGE
                                && voice.number() == coarse)
                        .findFirst()
                        .map(row -> Phrase.of("core/numbers", "fine-half")
                                .with("number", number)
                                .with("coarse", coarse)
                                .with("part", new Fact.PartOf(device, row.part().id()))));
    }

    private Rig settle() {
        forgetUnused();
        all.stream().filter(wanted -> wanted.fixed().isPresent()).forEach(this::learn);
        all.stream().filter(wanted -> wanted.fixed().isEmpty()).forEach(this::learn);
        return rig;
    }

    private void forgetUnused() {
        Map<DeviceId, Set<LearnableId>> used = new HashMap<>();
        all.forEach(wanted -> Stream.concat(Stream.of(wanted.device()), rig.standIn(wanted.device()).stream())
                .forEach(device ->
                        used.computeIfAbsent(device, d -> new HashSet<>()).add(wanted.learnable())));
        for (Device device : rig.devices()) {
            SortedMap<LearnableId, Learned> left = new TreeMap<>(device.learned());
            left.entrySet()
                    .removeIf(e -> !e.getValue().pinned()
                            && !used.getOrDefault(device.id(), Set.of()).contains(e.getKey()));
            if (left.size() < device.learned().size()) {
                rig = rig.withDeviceChanged(device.id(), d -> d.withLearned(left));
            }
        }
    }

    private void learn(Wanted wanted) {
        Optional<Learned> known =
                Optional.ofNullable(rig.device(wanted.device()).learned().get(wanted.learnable()));
        known.or(() -> choose(wanted)).ifPresent(message -> {
            teach(wanted.device(), wanted.learnable(), message);
            rig.standIn(wanted.device()).ifPresent(second -> teach(second, wanted.learnable(), message));
        });
    }

    private void teach(DeviceId device, LearnableId learnable, Learned message) {
        if (!message.equals(rig.device(device).learned().get(learnable))) {
            rig = rig.withDeviceChanged(device, d -> d.withLearned(learnable, message));
            taken.remove(device);
            sent.clear();
        }
    }

    private Optional<Learned> choose(Wanted wanted) {
        int inputs = rig.implementation(wanted.device()).quirks().assignableInputs();
        if (inputs > 0 && rig.device(wanted.device()).learned().size() >= inputs) {
            return Optional.empty();
        }
        boolean isSet = rig.setting(wanted.device(), Purpose.RECEIVE_CHANNEL).isPresent();
        Channel channel = rig.setting(wanted.device(), Purpose.RECEIVE_CHANNEL)
                .map(Channel::new)
                .orElseGet(() -> channel(wanted));
        Optional<Channel> own = isSet ? Optional.empty() : Optional.of(channel);
        Optional<Learned> like = wanted.like().flatMap(first -> shared(wanted, first, isSet, channel));
        if (wanted.fixed().isPresent()) {
            FactoryMessage sends = wanted.fixed().get();
            return like.filter(message -> message.type() == sends.type() && message.number() == sends.number())
                    .or(() -> wanted.fixed()
                            .filter(fixed -> wanted.types().contains(fixed.type())
                                    && isFree(wanted, fixed.type(), channel, fixed.number()))
                            .map(fixed -> new Learned(fixed.type(), own, fixed.number())));
        }
        Optional<Learned> given = like.or(() -> ready(wanted, own, channel));
        return given.isPresent()
                ? given
                : PREFERRED.stream()
                        .filter(wanted.types()::contains)
                        .flatMap(type ->
                                number(wanted, type, channel).map(number -> new Learned(type, own, number)).stream())
                        .findFirst();
    }

    /** The message of another level, which the same control sends for this one: two places with one source. */
    private Optional<Learned> shared(Wanted wanted, Wanted.Shared first, boolean isSet, Channel channel) {
        Target target = first.first();
        Channel itsOwn = rig.setting(target.device(), Purpose.RECEIVE_CHANNEL)
                .map(Channel::new)
                .orElse(new Channel(Channel.FIRST));
        return rig.chart(target.device())
                .messagesFor(target.at(0), itsOwn)
                .map(List::getLast)
                .filter(message -> wanted.types().contains(message.type()))
                .filter(Message.Voice.class::isInstance)
                .map(Message.Voice.class::cast)
                .filter(message -> !isSet || message.channel().equals(channel))
                .map(message -> new Learned(
                        message.type(), isSet ? Optional.empty() : Optional.of(message.channel()), message.data1()));
    }

    /** What the sender sends already with a map that it brings, where that is free. */
    private Optional<Learned> ready(Wanted wanted, Optional<Channel> own, Channel channel) {
        return wanted.ready()
                .filter(map -> wanted.types().contains(map.type())
                        && objection(map.type(), map.number()).isEmpty()
                        && isFree(wanted, map.type(), channel, map.number()))
                .map(map -> new Learned(map.type(), own, map.number()));
    }

    /**
     * The channel of a device that is set to none: the sender's only one, the one it learned on before, or one of its
     * own.
     */
    private Channel channel(Wanted wanted) {
        return wanted.only()
                .or(() -> rig.device(wanted.device()).learned().values().stream()
                        .flatMap(message -> message.channel().stream())
                        .findFirst())
                .orElseGet(() -> Channels.firstFree(rig).orElse(new Channel(Channel.LAST)));
    }

    /** The next number of the run of the sender, or else the first of the longest stretch that is free. */
    private Optional<Integer> number(Wanted wanted, MessageType type, Channel channel) {
        List<Integer> free = Reserved.free(type).stream()
                .filter(number -> isFree(wanted, type, channel, number))
                .toList();
        Set<Integer> freeSet = new HashSet<>(free);
        return run(wanted, type, channel).stream()
                .map(number -> number + 1)
                .filter(freeSet::contains)
                .reduce((first, last) -> last)
                .or(() -> free.stream()
                        .max((a, b) -> Integer.compare(stretch(a, freeSet), stretch(b, freeSet)) != 0
                                ? Integer.compare(stretch(a, freeSet), stretch(b, freeSet))
                                : Integer.compare(free.indexOf(b), free.indexOf(a))));
    }

    /** Numbers that the sender's run has so far, on the channel, in the order of what it sends. */
    private List<Integer> run(Wanted wanted, MessageType type, Channel channel) {
        List<Integer> numbers = new ArrayList<>();
        all.stream()
                .filter(other ->
                        other.senders().getFirst().equals(wanted.senders().getFirst()))
                .forEach(other -> Optional.ofNullable(
                                rig.device(other.device()).learned().get(other.learnable()))
                        .filter(message -> message.type() == type
                                && message.channel()
                                        .or(() -> rig.setting(other.device(), Purpose.RECEIVE_CHANNEL)
                                                .map(Channel::new))
                                        .filter(channel::equals)
                                        .isPresent())
                        .ifPresent(message -> numbers.add(message.number())));
        return numbers;
    }

    /** How many numbers are free from one upwards, up to sixteen. */
    private static int stretch(int from, Set<Integer> free) {
        int length = 0;
        while (length < 16 && free.contains(from + length)) {
            length++;
        }
        return length;
    }

    private boolean isFree(Wanted wanted, MessageType type, Channel channel, int number) {
        Set<DeviceId> hearers = new LinkedHashSet<>(List.of(wanted.device()));
        wanted.senders().forEach(sender -> hearers.addAll(reach(sender)));
        return hearers.stream()
                        .noneMatch(hearer -> taken.computeIfAbsent(hearer, id -> Taken.of(rig, id))
                                .holds(type, channel, number))
                && sendersTo(wanted.device()).stream()
                        .noneMatch(sender -> sent.computeIfAbsent(
                                        sender,
                                        id -> Taken.sentBy(rig, switches, automatic.getOrDefault(id, List.of()), id))
                                .holds(type, channel, number));
    }

    /** The boxes that the device hears, and its stand-in. */
    private List<DeviceId> sendersTo(DeviceId device) {
        Set<DeviceId> ears =
                Stream.concat(Stream.of(device), rig.standIn(device).stream()).collect(Collectors.toSet());
        return controllers.stream()
                .filter(sender -> ears.stream().anyMatch(reach(sender)::contains))
                .toList();
    }

    private Set<DeviceId> reach(DeviceId sender) {
        return reached.computeIfAbsent(sender, id -> new LinkedHashSet<>(ways.reach(id)));
    }
}
