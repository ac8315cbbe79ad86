package embrack.core.way;

import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.RealTime;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Ways that come back to where they were, so that a message goes round for ever. */
public final class Loops {

    private final Ways ways;

    public Loops(Ways ways) {
        this.ways = ways;
    }

    /** One loop: its pieces in order; the last leads to the first. */
    public record Loop(List<Hop> hops) {
        public Loop {
            hops = List.copyOf(hops);
        }

        /** Whether it goes through a box. */
        public boolean passes(DeviceId box) {
            return hops.stream().anyMatch(hop -> hop.arrivesAt().equals(box));
        }
    }

    /**
     * A loop for every group of pieces that lead round, the shortest of the group; cost: pieces times those that follow
     * each. Loops that nothing can pass all round, because a sieve keeps it back, are none.
     */
    public List<Loop> all() {
        List<Loop> loops = new ArrayList<>();
        Set<Hop> known = new HashSet<>();
        for (Hop hop : everything()) {
            if (!known.contains(hop)) {
                round(hop).filter(this::passes).ifPresent(loop -> {
                    loops.add(loop);
                    loop.hops().forEach(h -> known.addAll(together(h)));
                });
            }
        }
        return loops;
    }

    /** Where to cut a loop: a link without which every box still reaches all that it reached; else the first. */
    public Link cut(Loop loop) {
        return loop.hops().stream()
                .map(Hop::link)
                .filter(this::isNotNeeded)
                .findFirst()
                .orElse(loop.hops().getLast().link());
    }

    private boolean isNotNeeded(Link link) {
        Ways fewer = ways.without(Set.of(link), Set.of());
        return ways.rig().devices().stream()
                .map(d -> d.id())
                .filter(ways::isSource)
                .allMatch(d -> fewer.reach(d)
                        .containsAll(
                                ways.reach(d).stream().filter(r -> !r.equals(d)).toList()));
    }

    private Set<Hop> everything() {
        Set<Hop> all = new LinkedHashSet<>();
        Deque<Hop> open = new ArrayDeque<>();
        ways.rig().devices().forEach(device -> open.addAll(ways.leaving(device.id())));
        while (!open.isEmpty()) {
            Hop hop = open.poll();
            if (all.add(hop)) {
                open.addAll(ways.onward(hop));
            }
        }
        return all;
    }

    /** Everything from which one can come back to a piece. */
    private Set<Hop> together(Hop hop) {
        Set<Hop> after = new HashSet<>();
        Deque<Hop> open = new ArrayDeque<>(List.of(hop));
        while (!open.isEmpty()) {
            Hop next = open.poll();
            if (after.add(next)) {
                open.addAll(ways.onward(next));
            }
        }
        return after;
    }

    private Optional<Loop> round(Hop start) {
        Map<Hop, Hop> before = new HashMap<>();
        Deque<Hop> open = new ArrayDeque<>(List.of(start));
        while (!open.isEmpty()) {
            Hop hop = open.poll();
            for (Hop next : ways.onward(hop)) {
                if (next.link().equals(start.link()) && next.to().equals(start.to())) {
                    return Optional.of(back(before, start, hop, next));
                }
                if (!before.containsKey(next)) {
                    before.put(next, hop);
                    open.add(next);
                }
            }
        }
        return Optional.empty();
    }

    private static Loop back(Map<Hop, Hop> before, Hop start, Hop last, Hop closing) {
        Deque<Hop> hops = new ArrayDeque<>();
        for (Hop hop = last; !hop.equals(start); hop = Objects.requireNonNull(before.get(hop))) {
            hops.addFirst(hop);
        }
        hops.addFirst(closing);
        return new Loop(List.copyOf(hops));
    }

    private boolean passes(Loop loop) {
        return probes().anyMatch(probe -> {
            Optional<Message> message = Optional.of(probe);
            for (int round = 0; round < 2; round++) {
                for (Hop hop : loop.hops()) {
                    message = message.flatMap(hop::pass);
                }
            }
            return message.isPresent();
        });
    }

    /** One message of each sort, on every channel. */
    static Stream<Message> probes() {
        return Stream.concat(
                IntStream.rangeClosed(Channel.FIRST, Channel.LAST)
                        .mapToObj(Channel::new)
                        .flatMap(channel -> Stream.of(
                                new Message.NoteOn(channel, 60, 100),
                                new Message.ControlChange(channel, 20, 127),
                                new Message.ProgramChange(channel, 0))),
                Stream.of(RealTime.CLOCK));
    }
}
