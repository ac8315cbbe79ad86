package embrack.core.chart;

import embrack.core.level.Scale;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.SequencedMap;
import java.util.SequencedSet;

/**
 * What a chart says beside its rows.
 *
 * @param safe what makes the box safe, in order
 * @param needs what stands still without something else, with what that is
 * @param meanings what parts are to a show, in the order in which they are named
 * @param scales how the box shows levels, in the order in which they are named
 * @param editable what the programs of an edited table may choose; none where the table is as it is
 * @param standing how parts come to stand as they do, whatever messages say
 */
public record Beside(
        List<Action> safe,
        Map<PartId, PartId> needs,
        SequencedMap<PartId, Meaning> meanings,
        SequencedMap<PartId, Scale> scales,
        SequencedSet<PartId> editable,
        Standing standing) {

    /** Nothing beside the rows. */
    public static final Beside NOTHING = new Beside(
            List.of(), Map.of(), new LinkedHashMap<>(), new LinkedHashMap<>(), new LinkedHashSet<>(), Standing.PLAIN);

    public Beside {
        safe = List.copyOf(safe);
        needs = Collections.unmodifiableMap(new LinkedHashMap<>(needs));
        meanings = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(meanings));
        scales = Collections.unmodifiableSequencedMap(new LinkedHashMap<>(scales));
        editable = Collections.unmodifiableSequencedSet(new LinkedHashSet<>(editable));
    }

    /** The parts of a meaning, in the order in which they are named. */
    public List<PartId> all(Meaning meaning) {
        return meanings.entrySet().stream()
                .filter(entry -> entry.getValue() == meaning)
                .map(Map.Entry::getKey)
                .toList();
    }
}
