package embrack.core.chart;

import embrack.core.level.Scale;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SequencedMap;

/**
 * What a chart says beside its rows.
 *
 * @param safe what makes the box safe, in order
 * @param needs what stands still without something else, with what that is
 * @param meanings what parts are to a show, in the order in which they are named
 * @param scales how the box shows levels, in the order in which they are named
 * @param standing how parts come to stand as they do, whatever messages say
 */
public record Beside(
        List<Action> safe,
        Map<PartId, PartId> needs,
        SequencedMap<PartId, Meaning> meanings,
        SequencedMap<PartId, Scale> scales,
        Standing standing) {

    /** Nothing beside the rows. */
    public static final Beside NOTHING =
            new Beside(List.of(), Map.of(), new LinkedHashMap<>(), new LinkedHashMap<>(), Standing.PLAIN);

    public Beside {
        safe = List.copyOf(safe);
        needs = Collections.unmodifiableMap(new LinkedHashMap<>(needs));
        meanings = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(meanings));
        scales = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(scales));
    }

    /** The parts of a meaning, in the order in which they are named. */
    public List<PartId> all(Meaning meaning) {
        return meanings.entrySet().stream()
                .filter(entry -> entry.getValue() == meaning)
                .map(Map.Entry::getKey)
                .toList();
    }
}
