package embrack.core.light;

import embrack.core.chart.PartId;
import java.util.List;

/**
 * The bank in which a desk has to be for a scene to show what is meant.
 *
 * @param others the other banks, where this one is chosen from the start: as long as none of them was, it is; empty for
 *     a bank that has to be chosen first
 */
public record NeededBank(PartId bank, List<PartId> others) {

    public NeededBank {
        others = List.copyOf(others);
    }
}
