package embrack.paper.part;

import embrack.core.check.Report;
import embrack.core.offer.UsualReaders;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.sheet.Progress;
import embrack.core.sheet.Sheets;
import embrack.core.show.Entry;
import embrack.core.show.Folder;
import embrack.core.show.Reader;
import embrack.core.show.Running;
import embrack.core.show.Show;
import embrack.core.show.Song;
import embrack.paper.type.LabelSize;
import embrack.paper.type.Paper;
import java.util.List;
import java.util.Optional;

/**
 * All that a folder is made of.
 *
 * @param show the show that it is for; empty for a rig without one
 * @param readers who reads it
 * @param progress the sheets, and what of them is done
 * @param paper what it is laid out for
 * @param labels how large labels to cut out are
 * @param address where the server keeps it, for a code on the first page; empty for nowhere
 */
public record Contents(
        Report report,
        Optional<Show> show,
        List<Reader> readers,
        Progress progress,
        Paper paper,
        LabelSize labels,
        String address) {

    /** Of a plan of which nothing is programmed yet, for tonight's show. */
    public static Contents of(Report report, Paper paper) {
        return of(report, List.of(), paper);
    }

    /** Of a plan of which something is programmed. */
    public static Contents of(Report report, List<Progress.Tick> ticks, Paper paper) {
        Plan plan = report.plan();
        Optional<Show> show = plan.book().tonight();
        return new Contents(
                report,
                show,
                UsualReaders.or(plan, show.map(Show::folder).orElse(Folder.USUAL)),
                Progress.of(Sheets.of(report), ticks),
                paper,
                LabelSize.USUAL,
                "");
    }

    /** With where the server keeps it. */
    public Contents at(String other) {
        return new Contents(report, show, readers, progress, paper, labels, other);
    }

    /** With labels of another size. */
    public Contents with(LabelSize other) {
        return new Contents(report, show, readers, progress, paper, other, address);
    }

    public Plan plan() {
        return report.plan();
    }

    public Rig rig() {
        return plan().rig();
    }

    /** What the crew said of the folder. */
    public Folder folder() {
        return show.map(Show::folder).orElse(Folder.USUAL);
    }

    /** The order by the clock; empty without a show. */
    public Optional<Running> running() {
        return show.map(evening -> Running.of(plan().book(), evening));
    }

    /** The songs that are played, each once, in their order; of a rig without a show all. */
    List<Song> songs() {
        return show.map(evening -> evening.order().stream()
                        .map(Entry::song)
                        .flatMap(Optional::stream)
                        .distinct()
                        .map(plan().book()::song)
                        .toList())
                .orElseGet(() -> plan().book().songs());
    }

    String name(DeviceId device) {
        return rig().name(device).text();
    }
}
