package embrack.core.light;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.Meaning;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.midi.DataByte;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A desk that has a level for each slot of its universe: it holds no looks, they are sent to it slot by slot.
 *
 * @param slots the parts that are slots, that of slot 1 first
 */
public record Direct(List<PartId> slots) {

    public Direct {
        slots = List.copyOf(slots);
    }

    /** That of a chart; empty for one that has no levels of slots. */
    public static Optional<Direct> of(Chart chart) {
        List<PartId> slots = chart.beside().all(Meaning.SLOT);
        return slots.isEmpty() ? Optional.empty() : Optional.of(new Direct(slots));
    }

    /** Whether a desk shows looks: those that it holds, or those that are sent to it. */
    public static boolean isLit(Lights lights, DeviceId desk, Chart chart) {
        return !lights.of(desk).isEmpty()
                || !lights.looks().isEmpty() && of(chart).isPresent();
    }

    /**
     * What has it show a look, in the order of the slots: all that fixtures of its universe read, so that nothing is
     * left from before. Empty where it does not reach them all. A level travels as half of what the slot stands at.
     */
    public List<Action> shows(Lights lights, Look look) {
        SortedMap<Integer, Integer> values = new TreeMap<>();
        List<Output> shown = lights.shown(look);
        for (int i = 0; i < shown.size(); i++) {
            List<Integer> numbers = shown.get(i).slots();
            lights.fixtures().get(i).at().filter(at -> at.universe() == 1).ifPresent(at -> {
                for (int slot = 0; slot < numbers.size(); slot++) {
                    values.put(at.start() + slot, numbers.get(slot));
                }
            });
        }
        return values.isEmpty() || values.lastKey() > slots.size()
                ? List.of()
                : values.entrySet().stream()
                        .map(entry -> new Action(
                                Verb.LEVEL, slots.get(entry.getKey() - 1), Optional.of(level(entry.getValue()))))
                        .toList();
    }

    private static int level(int slot) {
        return Math.round(slot * (float) DataByte.MAX / Slot.FULL);
    }

    /** The look that some actions show, all of it; the first of those that look alike. */
    public Optional<Look> shownBy(Lights lights, List<Action> actions) {
        return lights.looks().stream()
                .filter(look -> {
                    List<Action> shows = shows(lights, look);
                    return !shows.isEmpty() && actions.containsAll(shows);
                })
                .findFirst();
    }
}
