package embrack.core.gear;

import embrack.core.chart.Aspect;
import embrack.core.chart.PartId;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * Ways through a box that are alike: each of as many to one of as many, one to all, all to one, or, where {@code each},
 * every one to every other.
 *
 * @param gates what lets them pass
 */
public record SoundRun(List<SoundEnd> from, List<SoundEnd> to, boolean each, Passage passage, List<GateRun> gates) {

    /**
     * Parts that let sound pass: one for all ways, or as many as come in or go out, one for each of these.
     */
    public record GateRun(List<PartId> parts, Aspect aspect) {
        public GateRun {
            parts = List.copyOf(parts);
            parts.forEach(part -> new Gate(part, aspect));
        }
    }

    public SoundRun {
        from = List.copyOf(from);
        to = List.copyOf(to);
        gates = List.copyOf(gates);
        int ins = from.size();
        int outs = to.size();
        if (ins == 0 || outs == 0) {
            throw new IllegalArgumentException("a way of sound has two ends");
        }
        if (!each && ins != outs && ins != 1 && outs != 1) {
            throw new IllegalArgumentException(
                    "%d do not go to %d one by one; write \"to each\" where every one goes to all"
                            .formatted(ins, outs));
        }
        for (GateRun gate : gates) {
            int parts = gate.parts().size();
            if (parts != 1 && parts != ins && parts != outs) {
                throw new IllegalArgumentException(
                        "%d parts do not let %d ways pass one by one".formatted(parts, Math.max(ins, outs)));
            }
        }
    }

    /** The ways, in order. */
    public List<SoundWay> ways() {
        List<SoundWay> ways = new ArrayList<>();
        for (int in = 0; in < from.size(); in++) {
            for (int out = 0; out < to.size(); out++) {
                if (each || from.size() != to.size() || in == out) {
                    ways.add(new SoundWay(from.get(in), to.get(out), passage, gates(in, out)));
                }
            }
        }
        return ways;
    }

    private List<Gate> gates(int in, int out) {
        return gates.stream()
                .map(gate -> {
                    int parts = gate.parts().size();
                    int which = parts == 1 ? 0 : parts == from.size() ? in : out;
                    return new Gate(gate.parts().get(which), gate.aspect());
                })
                .toList();
    }

    /** All ends, those where sound comes in first. */
    public Stream<SoundEnd> ends() {
        return Stream.concat(from.stream(), to.stream());
    }
}
