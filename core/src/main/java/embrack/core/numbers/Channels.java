package embrack.core.numbers;

import embrack.core.chart.Trigger;
import embrack.core.gear.Purpose;
import embrack.core.gear.SendChannel;
import embrack.core.gear.Setting;
import embrack.core.midi.Channel;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.way.Ways;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.IntStream;

/** Gives every receiver a channel: one for each, from 2 upwards. */
public final class Channels {

    /** Channel 1 is what new boxes listen to, and 2 the first that is given. */
    private static final int FIRST_GIVEN = 2;

    private final Rig rig;
    private final Set<DeviceId> wanted;

    private Channels(Rig rig, Set<DeviceId> wanted) {
        this.rig = rig;
        this.wanted = wanted;
    }

    /**
     * A channel for each receiver, of those that have a setting for it: what it has, where that is 2 or more and nobody
     * else's; else the first that is free. A board with one channel for everything keeps it, and a receiver that is
     * meant by such a board alone gets the board's. Two that stand in for one another share one. When all are given,
     * the rest keep what they have.
     *
     * @param means which receivers the switches of each board are about
     * @param sendsOn the channel of each board that sends all that it does on one, as it is set or since it keeps it
     */
    public static SortedMap<DeviceId, Channel> proposed(
            Rig rig, Map<DeviceId, Set<DeviceId>> means, Map<DeviceId, Channel> sendsOn) {
        Set<DeviceId> wanted = new HashSet<>();
        means.values().forEach(wanted::addAll);
        return new Channels(rig, wanted).proposed(means, sendsOn);
    }

    /**
     * The rig with two boxes on one channel, as far as either can be set: a sender with one channel for everything goes
     * where the receiver listens if it has nobody else to talk to, and else the receiver comes to it; of a sender that
     * chooses for each message, the receiver gets a channel of its own where another listens to the same.
     */
    public static Rig met(Rig rig, DeviceId sender, DeviceId receiver) {
        Optional<Integer> hears = rig.setting(receiver, Purpose.RECEIVE_CHANNEL);
        Optional<Integer> sends = rig.model(sender)
                .board()
                .filter(board -> board.sendChannel() == SendChannel.ONE_FOR_THE_BOX)
                .flatMap(board -> rig.setting(sender, Purpose.SEND_CHANNEL));
        List<DeviceId> others = new Ways(rig)
                .reach(sender).stream()
                        .filter(box ->
                                !box.equals(receiver) && !rig.model(box).parts().isEmpty())
                        .toList();
        if (hears.isEmpty() || sends.equals(hears)) {
            return rig;
        }
        if (sends.isEmpty()) {
            return others.stream()
                            .anyMatch(box ->
                                    rig.setting(box, Purpose.RECEIVE_CHANNEL).equals(hears))
                    ? firstFree(rig)
                            .map(free -> set(rig, receiver, Purpose.RECEIVE_CHANNEL, free.number()))
                            .orElse(rig)
                    : rig;
        }
        return others.isEmpty() && hears.get() >= FIRST_GIVEN
                ? set(rig, sender, Purpose.SEND_CHANNEL, hears.get())
                : set(rig, receiver, Purpose.RECEIVE_CHANNEL, sends.get());
    }

    /**
     * The rig with a sender that has one channel for everything on that of a receiver; the same where either has none
     * to set.
     */
    public static Rig tuned(Rig rig, DeviceId sender, DeviceId receiver) {
        return rig.model(sender)
                .board()
                .filter(board -> board.sendChannel() == SendChannel.ONE_FOR_THE_BOX)
                .flatMap(board -> rig.setting(sender, Purpose.SEND_CHANNEL))
                .flatMap(sends -> rig.setting(receiver, Purpose.RECEIVE_CHANNEL))
                .map(hears -> set(rig, sender, Purpose.SEND_CHANNEL, hears))
                .orElse(rig);
    }

    private static Rig set(Rig rig, DeviceId device, Purpose purpose, int channel) {
        return rig.withDeviceChanged(
                device, d -> d.withSetting(rig.settingFor(device, purpose).id(), channel));
    }

    /** The lowest channel from 2 that nothing in the rig listens to or sends on. */
    public static Optional<Channel> firstFree(Rig rig) {
        Set<Integer> used = new HashSet<>();
        rig.devices().forEach(device -> {
            rig.setting(device.id(), Purpose.RECEIVE_CHANNEL).ifPresent(used::add);
            rig.setting(device.id(), Purpose.SEND_CHANNEL).ifPresent(used::add);
            used.addAll(fixed(rig, device.id()));
        });
        return IntStream.rangeClosed(FIRST_GIVEN, Channel.LAST)
                .filter(channel -> !used.contains(channel))
                .mapToObj(Channel::new)
                .findFirst();
    }

    /** Channels that a device listens to whatever it is set to. */
    private static Set<Integer> fixed(Rig rig, DeviceId device) {
        Set<Integer> channels = new HashSet<>();
        rig.chart(device)
                .rows()
                .forEach(row -> row.triggers().forEach(trigger -> {
                    if (trigger instanceof Trigger.Voice voice) {
                        voice.channel().ifPresent(channel -> channels.add(channel.number()));
                    }
                }));
        return channels;
    }

    private SortedMap<DeviceId, Channel> proposed(Map<DeviceId, Set<DeviceId>> means, Map<DeviceId, Channel> sendsOn) {
        Map<DeviceId, Integer> given = new LinkedHashMap<>();
        Set<Integer> used = new HashSet<>();
        rig.devices().forEach(device -> used.addAll(fixed(rig, device.id())));
        means.forEach((board, receivers) -> Optional.ofNullable(sendsOn.get(board))
                .map(Channel::number)
                .ifPresent(channel -> {
                    receivers.stream()
                            .filter(receiver -> isSettable(receiver) && !isSecond(receiver))
                            .filter(receiver -> rig.setting(receiver, Purpose.RECEIVE_CHANNEL)
                                    .filter(channel::equals)
                                    .isPresent())
                            .forEach(receiver -> given.putIfAbsent(receiver, channel));
                    receivers.stream()
                            .filter(this::isSettable)
                            .filter(receiver -> means.values().stream()
                                            .filter(all -> all.contains(receiver))
                                            .count()
                                    == 1)
                            .limit(1)
                            .forEach(receiver -> given.putIfAbsent(receiver, channel));
                    used.add(channel);
                }));
        List<Device> receivers = rig.devices().stream()
                .filter(d -> isSettable(d.id()) && !isSecond(d.id()))
                .sorted((a, b) -> Boolean.compare(wanted.contains(b.id()), wanted.contains(a.id())))
                .toList();
        receivers.stream().filter(d -> !given.containsKey(d.id())).forEach(d -> keep(d.id(), given, used));
        receivers.stream()
                .filter(d -> !given.containsKey(d.id()))
                .forEach(d -> IntStream.rangeClosed(FIRST_GIVEN, Channel.LAST)
                        .filter(channel -> !used.contains(channel) && allows(d.id(), channel))
                        .findFirst()
                        .ifPresent(channel -> {
                            given.put(d.id(), channel);
                            used.add(channel);
                        }));
        SortedMap<DeviceId, Channel> all = new TreeMap<>();
        given.forEach((device, channel) -> {
            all.put(device, new Channel(channel));
            rig.standIn(device).ifPresent(second -> all.put(second, new Channel(channel)));
        });
        return all;
    }

    private void keep(DeviceId device, Map<DeviceId, Integer> given, Set<Integer> used) {
        int now = rig.setting(device, Purpose.RECEIVE_CHANNEL).orElseThrow();
        if (now >= FIRST_GIVEN && used.add(now)) {
            given.put(device, now);
        }
    }

    private boolean isSettable(DeviceId device) {
        return rig.model(device)
                        .setting(Purpose.RECEIVE_CHANNEL)
                        .filter(setting -> setting.min() < setting.max())
                        .isPresent()
                && !rig.chart(device).isEmpty();
    }

    private boolean allows(DeviceId device, int channel) {
        Setting setting = rig.model(device).setting(Purpose.RECEIVE_CHANNEL).orElseThrow();
        return channel >= setting.min() && channel <= setting.max();
    }

    private boolean isSecond(DeviceId device) {
        return rig.pairs().stream().anyMatch(pair -> pair.second().equals(device));
    }

    /**
     * Who hears whom.
     *
     * @param senders boxes with switches or controls
     * @param receivers devices that answer to something
     * @param heard for each sender, the receivers that its messages reach
     */
    public record Matrix(List<DeviceId> senders, List<DeviceId> receivers, Map<DeviceId, Set<DeviceId>> heard) {

        /** The matrix of a rig, for these senders. */
        public static Matrix of(Rig rig, Ways ways, List<DeviceId> senders) {
            Map<DeviceId, Set<DeviceId>> heard = new HashMap<>();
            senders.forEach(sender -> heard.put(sender, new HashSet<>(ways.reach(sender))));
            List<DeviceId> receivers = new ArrayList<>(rig.devices().stream()
                    .map(Device::id)
                    .filter(id -> !rig.chart(id).isEmpty())
                    .filter(id -> heard.values().stream().anyMatch(all -> all.contains(id)))
                    .toList());
            return new Matrix(senders, receivers, heard);
        }

        public boolean hears(DeviceId receiver, DeviceId sender) {
            return heard.getOrDefault(sender, Set.of()).contains(receiver);
        }
    }
}
