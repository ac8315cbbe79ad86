package embrack.paper.page;

import java.util.List;
import java.util.function.Predicate;

/**
 * All parts that go to somebody, ready to be printed.
 *
 * @param rig what it is of: "Quay rig"
 * @param revision of the plan; 0 where it has none
 * @param day the day of it: "27 Nov"; empty where nobody knows
 * @param reader who gets it; empty for everybody
 */
public record Bundle(String rig, long revision, String day, String reader, List<Part> parts) {

    public Bundle {
        parts = List.copyOf(parts);
    }

    /** What stands at the foot of each page, before its number. */
    public String foot() {
        return rig
                + (revision == 0 ? "" : ", revision " + revision)
                + (day.isEmpty() ? "" : ", " + day)
                + (reader.isEmpty() ? "" : ", for " + reader);
    }

    public Bundle withParts(List<Part> others) {
        return new Bundle(rig, revision, day, reader, others);
    }

    /** Some of the parts, for somebody. */
    public Bundle only(String name, Predicate<Part> wanted) {
        return new Bundle(
                rig, revision, day, name, parts.stream().filter(wanted).toList());
    }
}
