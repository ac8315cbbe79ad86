package embrack.app.folder;

import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.app.store.work.Job;
import embrack.app.store.work.Labour;
import embrack.core.offer.UsualReaders;
import embrack.core.plan.Plan;
import embrack.core.show.Folder;
import embrack.core.show.Show;
import embrack.paper.print.FolderPdf;
import embrack.paper.print.Ground;
import embrack.paper.type.LabelSize;
import embrack.paper.type.Paper;
import java.util.Base64;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Makes the PDF of one reader after the other, that of everybody last: one is one part, kept as Base64. */
@Component
class FoldersLabour implements Labour {

    static final String SORT = "folders of all";

    private final RigStore rigs;
    private final Folders folders;
    private final FolderPdf pdf = new FolderPdf();

    FoldersLabour(RigStore rigs, Folders folders) {
        this.rigs = rigs;
        this.folders = folders;
    }

    /**
     * What is wanted.
     *
     * @param at when somebody wanted it, seconds since 1970: ticks since then are asked for anew
     * @param address of the page that leads there; empty for none
     */
    record Wish(Paper paper, long at, String address) {

        String written() {
            return "%s %d %s".formatted(paper.key(), at, address);
        }

        static Wish read(String text) {
            String[] words = text.split(" ", 3);
            return new Wish(Paper.of(words[0]), Long.parseLong(words[1]), words[2]);
        }
    }

    /** Whose folders there are; the last is everybody's, without a name. */
    static List<String> readers(Plan plan) {
        Folder folder = plan.book().tonight().map(Show::folder).orElse(Folder.USUAL);
        return Stream.concat(
                        UsualReaders.or(plan, folder).stream()
                                .map(reader -> reader.name().text())
                                .distinct(),
                        Stream.of(""))
                .toList();
    }

    @Override
    public String sort() {
        return SORT;
    }

    @Override
    public String part(Job job, int part) {
        Wish wish = Wish.read(job.wish());
        StoredRig stored = rigs.loadAt(job.rig(), job.revision());
        Choices choices =
                new Choices(readers(stored.plan()).get(part), "", wish.paper(), LabelSize.USUAL, Ground.LIGHT, false);
        return Base64.getEncoder()
                .encodeToString(
                        pdf.of(folders.bundle(stored, choices, wish.address()), choices.paper(), choices.ground()));
    }
}
