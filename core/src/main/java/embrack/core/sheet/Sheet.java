package embrack.core.sheet;

import java.util.List;

/**
 * One page for one box, or for one job.
 *
 * @param title the box's name, or the job
 * @param hardware what stands there today; empty for a job
 * @param cautions what can hurt while this is done
 */
public record Sheet(String title, String hardware, List<Section> sections, List<String> cautions) {

    public Sheet {
        sections = List.copyOf(sections);
        cautions = List.copyOf(cautions);
    }
}
