package embrack.core.world;

import embrack.core.chart.Action;
import embrack.core.chart.MessageMemory;
import embrack.core.chart.PartId;
import embrack.core.chart.Standing.Loading;
import embrack.core.gear.Ability;
import embrack.core.gear.Implementation;
import embrack.core.gear.Purpose;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.rig.Traffic;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;

/**
 * How one device of a rig takes what arrives, as it is set.
 *
 * @param implementation what it obeys, with what it has learned
 * @param unwritten what it obeys in memories into which nothing was written
 * @param written into which memories what it learned was written, counted from 1
 * @param loading the parts that load a memory when they are chosen
 * @param loadingMicros for how long it is deaf then
 * @param listensOn the channel it listens to; empty when it listens to all
 * @param notesOff the name of its input for its own tracks and sounds, if that is off
 * @param remoteOff the name of its input for controllers, if that is off
 * @param syncOff the name of its input for clock and transport, if that is off
 */
public record Hearing(
        Implementation implementation,
        Implementation unwritten,
        SortedSet<Integer> written,
        Set<PartId> loading,
        long loadingMicros,
        Optional<Channel> listensOn,
        Optional<String> notesOff,
        Optional<String> remoteOff,
        Optional<String> syncOff) {

    /** How a device of a rig hears, as it is set. */
    public static Hearing of(Rig rig, DeviceId device) {
        Implementation implementation = rig.implementation(device);
        Optional<Loading> loading = rig.model(device).standing().loading();
        return new Hearing(
                implementation,
                rig.model(device).implementation(),
                rig.memoriesInShow(device),
                loading.map(Loading::memories).map(Set::copyOf).orElse(Set.of()),
                loading.map(Loading::deafMillis).orElse(0) * 1_000L,
                implementation.quirks().hearsAllChannels()
                        ? Optional.empty()
                        : rig.setting(device, Purpose.RECEIVE_CHANNEL).map(Channel::new),
                off(rig, device, Ability.HEARS_NOTES),
                off(rig, device, Ability.HEARS_REMOTE),
                off(rig, device, Ability.HEARS_SYNC));
    }

    /** What the device makes of a message that arrives so many microseconds from now. */
    Reading reading(DeviceId device, Message message, World world, long atMicros) {
        return world.ears().isDeaf(device, atMicros)
                ? new Reading.Deaf()
                : reading(message, world.ears().heardBy(device), isPartlyWritten() ? world.loadedMemory(device) : 1);
    }

    /**
     * What the device makes of a message.
     *
     * @param loaded the memory that it has loaded, from 1
     */
    public Reading reading(Message message, MessageMemory heard, int loaded) {
        Reading reading = reading(message, heard);
        if (!isPartlyWritten() || !(reading instanceof Reading.Acts) || written.contains(loaded)) {
            return reading;
        }
        List<Action> left = unwritten.reactionsTo(message, heard, isOnItsChannel(message));
        return left.isEmpty() ? new Reading.NotWritten(loaded) : new Reading.Acts(left);
    }

    /** All that the device may do when a message arrives, whatever came before and whatever it has loaded. */
    public List<Action> possibleReactionsTo(Message message) {
        return (Traffic.of(message) == Traffic.SYNC ? syncOff : remoteOff).isPresent()
                ? List.of()
                : implementation.possibleReactionsTo(message, isOnItsChannel(message));
    }

    /** What of what came before decides what a message means to the device. */
    public Set<MessageMemory.Key> decidedBy(Message message) {
        return implementation.decidedBy(message, isOnItsChannel(message));
    }

    /** What the device makes of a message, in a memory into which all was written. */
    Reading reading(Message message, MessageMemory heard) {
        boolean onItsChannel = isOnItsChannel(message);
        List<Action> actions = implementation.reactionsTo(message, heard, onItsChannel);
        if (actions.isEmpty() && !onItsChannel) {
            return new Reading.OtherChannel(listensOn.orElseThrow());
        }
        boolean isSync = Traffic.of(message) == Traffic.SYNC;
        Optional<String> off = isSync ? syncOff : actions.isEmpty() ? notesOff : remoteOff;
        if (off.isPresent()) {
            return new Reading.InputOff(off.get());
        }
        return actions.isEmpty() ? new Reading.MeansNothing() : new Reading.Acts(actions);
    }

    private boolean isOnItsChannel(Message message) {
        return listensOn.isEmpty()
                || !(message instanceof Message.Voice voice)
                || voice.channel().equals(listensOn.get());
    }

    /** Whether what it makes of a message depends on what came before. */
    boolean dependsOnBefore() {
        return implementation.remembers() || isPartlyWritten();
    }

    /** Whether it depends on the memory that it has loaded what it makes of a message. */
    public boolean isPartlyWritten() {
        for (int memory = 1; memory <= loading.size(); memory++) {
            if (!written.contains(memory)) {
                return true;
            }
        }
        return false;
    }

    /** Whether an action loads a memory. */
    public boolean isLoading(Action action) {
        return action.verb().isExclusive() && loading.contains(action.part());
    }

    private static Optional<String> off(Rig rig, DeviceId device, Ability input) {
        return rig.unmet(device, input)
                .map(condition -> rig.settingOf(device, condition).name().text());
    }
}
