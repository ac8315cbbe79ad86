package embrack.core.rig;

import embrack.core.gear.Model;
import embrack.core.gear.Passage;
import embrack.core.gear.Phantom;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.Sound;
import embrack.core.gear.SoundRoute;
import embrack.core.gear.SoundWay;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * What this show makes of a device's sockets for sound.
 *
 * @param feeds what a player has on its outputs, where anything is
 * @param sends how much of one thing is in another, where that differs from a new box
 * @param phantom inputs whose 48 V are on
 * @param inverted inputs whose polarity is turned round
 * @param wants what whoever hears it cannot play without
 * @param away how far the ears are from it through air; empty for none
 */
public record SoundUse(
        SortedMap<PortId, Feed> feeds,
        SortedMap<SoundRoute, Send> sends,
        SortedSet<PortId> phantom,
        SortedSet<PortId> inverted,
        SortedSet<Sound> wants,
        Optional<Length> away) {

    /** Nothing said. */
    public static final SoundUse NONE = new SoundUse(
            Collections.emptySortedMap(),
            Collections.emptySortedMap(),
            Collections.emptySortedSet(),
            Collections.emptySortedSet(),
            Collections.emptySortedSet(),
            Optional.empty());

    public SoundUse {
        feeds = Collections.unmodifiableSortedMap(new TreeMap<>(feeds));
        sends = Collections.unmodifiableSortedMap(new TreeMap<>(sends));
        phantom = Collections.unmodifiableSortedSet(new TreeSet<>(phantom));
        inverted = Collections.unmodifiableSortedSet(new TreeSet<>(inverted));
        wants = Collections.unmodifiableSortedSet(new TreeSet<>(wants));
    }

    /** What is on an output. */
    public Feed feed(PortId output) {
        return feeds.getOrDefault(output, Feed.NONE);
    }

    /** With something else on an output; an output that is not used is forgotten. */
    public SoundUse withFeed(PortId output, Feed feed) {
        SortedMap<PortId, Feed> others = new TreeMap<>(feeds);
        if (feed.equals(Feed.NONE)) {
            others.remove(output);
        } else {
            others.put(output, feed);
        }
        return new SoundUse(others, sends, phantom, inverted, wants, away);
    }

    public SoundUse withSend(SoundRoute route, Send send) {
        return withSends(Map.of(route, send));
    }

    /** With these set; as a new box has them they are remembered too. */
    public SoundUse withSends(Map<SoundRoute, Send> others) {
        SortedMap<SoundRoute, Send> more = new TreeMap<>(sends);
        more.putAll(others);
        return new SoundUse(feeds, more, phantom, inverted, wants, away);
    }

    public SoundUse withPhantom(PortId input, boolean on) {
        return new SoundUse(feeds, sends, with(phantom, input, on), inverted, wants, away);
    }

    public SoundUse withInverted(PortId input, boolean on) {
        return new SoundUse(feeds, sends, phantom, with(inverted, input, on), wants, away);
    }

    public SoundUse withWants(SortedSet<Sound> others) {
        return new SoundUse(feeds, sends, phantom, inverted, others, away);
    }

    public SoundUse withAway(Optional<Length> other) {
        return new SoundUse(feeds, sends, phantom, inverted, wants, other);
    }

    /** What of it a model has sockets and ways for. */
    public SoundUse in(Model model) {
        if (equals(NONE)) {
            return NONE;
        }
        SortedMap<PortId, Feed> outputs = new TreeMap<>(feeds);
        outputs.keySet().retainAll(model.outputs().stream().map(Port::id).toList());
        SortedMap<SoundRoute, Send> kept = new TreeMap<>(sends);
        kept.keySet().retainAll(routes(model));
        SortedSet<PortId> fed = new TreeSet<>(phantom);
        fed.retainAll(model.inputs().stream()
                .filter(port -> port.signal().phantom() == Phantom.GIVES)
                .map(Port::id)
                .toList());
        SortedSet<PortId> turned = new TreeSet<>(inverted);
        turned.retainAll(model.inputs().stream().map(Port::id).toList());
        boolean hears = !model.sound().ears().isEmpty();
        return new SoundUse(
                outputs,
                kept,
                fed,
                turned,
                hears ? wants : Collections.emptySortedSet(),
                hears ? away : Optional.empty());
    }

    /** Ways of a model that have a level of their own. */
    static SortedSet<SoundRoute> routes(Model model) {
        return model.sound().ways().stream()
                .filter(way -> way.passage().send() != Passage.Send.FIXED)
                .map(SoundWay::route)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** How much passes a way: as it was set, else as a new box has it. */
    public Send send(SoundWay way) {
        Send set = sends.get(way.route());
        return set != null ? set : way.passage().send() == Passage.Send.SHUT ? Send.SHUT : Send.UNITY;
    }

    private static SortedSet<PortId> with(SortedSet<PortId> ports, PortId port, boolean on) {
        SortedSet<PortId> others = new TreeSet<>(ports);
        if (on) {
            others.add(port);
        } else {
            others.remove(port);
        }
        return others;
    }
}
