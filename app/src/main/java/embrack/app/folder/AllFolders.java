package embrack.app.folder;

import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.work.Job;
import embrack.app.store.work.LongWork;
import embrack.core.name.Slug;
import embrack.core.plan.Plan;
import embrack.paper.type.Paper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Service;

/** The PDF of each reader and of everybody, made as long work, in one archive. */
@Service
class AllFolders {

    private final RigStore rigs;
    private final LongWork work;

    AllFolders(RigStore rigs, LongWork work) {
        this.rigs = rigs;
        this.work = work;
    }

    /**
     * How far they are.
     *
     * @param done how many of all are made
     * @param isGoing whether there is more to come
     * @param revision of the plan that they are of
     */
    record Made(int done, int all, boolean isGoing, boolean hasFailed, int revision) {

        /** Whether all are there. */
        public boolean isWhole() {
            return done == all;
        }
    }

    /** Begins to make them, of the newest plan. {@code address} of the page that leads there; empty for none. */
    void begin(RigId id, Paper paper, String address) {
        var wish = new FoldersLabour.Wish(paper, Instant.now().getEpochSecond(), address);
        int readers = FoldersLabour.readers(rigs.load(id).plan()).size();
        work.begin(id, FoldersLabour.SORT, rigs.newestRevision(id), wish.written(), readers);
    }

    /** Ends that. */
    void end(RigId id) {
        work.end(id, FoldersLabour.SORT);
    }

    /** How far the newest are; empty where nobody asked for them. */
    Optional<Made> made(RigId id) {
        return work.newest(id, FoldersLabour.SORT).map(job -> {
            int done = work.done(job).size();
            return new Made(done, job.parts(), !job.isEnded() && done < job.parts(), job.hasFailed(), job.revision());
        });
    }

    /** All of them in one archive; empty where they are not there. */
    Optional<byte[]> archive(RigId id) {
        Optional<Job> job = work.newest(id, FoldersLabour.SORT);
        SortedMap<Integer, String> done = job.map(work::done).orElseGet(TreeMap::new);
        return job.filter(one -> done.size() == one.parts()).map(one -> archive(rigs.at(id, one.revision()), done));
    }

    private static byte[] archive(Plan plan, SortedMap<Integer, String> done) {
        List<String> readers = FoldersLabour.readers(plan);
        var bytes = new ByteArrayOutputStream();
        try (var zip = new ZipOutputStream(bytes)) {
            for (int i = 0; i < readers.size(); i++) {
                String name = readers.get(i).isEmpty() ? "everybody" : Slug.of(readers.get(i));
                zip.putNextEntry(new ZipEntry("%02d-%s.pdf".formatted(i + 1, name)));
                zip.write(Base64.getDecoder().decode(done.getOrDefault(i, "")));
                zip.closeEntry();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }
}
