package embrack.core.sheet;

import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * One page for one box, or for one job.
 *
 * @param job what is done
 * @param id the id of the box, with what is done to it; or the job
 * @param title the box's name, or the job
 * @param hardware what stands there today; empty for a job
 * @param cautions what can hurt while this is done
 */
public record Sheet(Job job, String id, String title, String hardware, List<Section> sections, List<String> cautions) {

    /** What is done with a sheet in hand. */
    public enum Job {
        /** A box is set up. */
        PROGRAM,
        /** A box learns. */
        LEARN,
        CABLES,
        SWITCH_ON,
        /** Every switch is tried. */
        TRY,
        /** Boxes are set by hand before the first press. */
        DOORS
    }

    public Sheet {
        sections = List.copyOf(sections);
        cautions = List.copyOf(cautions);
    }

    /** All lines to tick, in order. */
    public Stream<Section.Line> lines() {
        return sections.stream().flatMap(section -> section.lines().stream());
    }

    /** The sheet with some of its lines only, and without sections that have none of them. */
    public Sheet only(Predicate<Section.Line> wanted) {
        return new Sheet(
                job,
                id,
                title,
                hardware,
                sections.stream()
                        .<Section>map(section -> switch (section) {
                            case Section.Todo todo ->
                                new Section.Todo(
                                        todo.heading(),
                                        todo.lines().stream().filter(wanted).toList());
                            case Section.Messages messages ->
                                new Section.Messages(
                                        messages.heading(),
                                        messages.lines().stream().filter(wanted).toList());
                        })
                        .filter(section -> !section.lines().isEmpty())
                        .toList(),
                cautions);
    }
}
