package embrack.app.folder;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.AppTest;
import embrack.app.Caller;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.work.Job;
import embrack.app.store.work.LongWork;
import embrack.core.edit.GearEdit;
import embrack.core.plan.Plan;
import embrack.files.plan.PlanFile;
import embrack.paper.type.Paper;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The PDF of each reader is made as long work, and all come in one archive. */
@AppTest
@SuppressWarnings("NullAway.Init")
class AllFoldersTests {

    @LocalServerPort
    private int port;

    @Autowired
    private RigStore rigs;

    @Autowired
    private LongWork work;

    private RigId rig;
    private Plan plan;
    private String folder;

    @BeforeEach
    void make() throws IOException {
        plan = PlanFile.read(Files.readString(Path.of("../docs/examples/walk.json")));
        rig = rigs.create(plan, "Side stage");
        folder = "/rigs/%s/folder".formatted(rig);
    }

    @Test
    void eachReaderGetsAPdfOfTheRevisionThatWasAskedFor() throws IOException {
        var person = new Caller(port);
        assertThat(person.get(folder + "/all.zip").statusCode()).isEqualTo(303);
        assertThat(person.post(folder + "/all", "paper", "a4").statusCode()).isEqualTo(302);
        rigs.edit(rig, Hand.ANY, new GearEdit.RenameRig("Another name"));
        String done = until(person, "PDFs of revision 1");
        List<String> readers = FoldersLabour.readers(plan);
        assertThat(done).contains("%d PDFs of revision 1".formatted(readers.size()), "/folder/all.zip");
        TreeMap<String, byte[]> files = unpacked(person.file(folder + "/all.zip"));
        assertThat(files).hasSize(readers.size());
        assertThat(files.lastKey()).endsWith("-everybody.pdf");
        files.forEach((name, bytes) -> assertThat(new String(bytes, 0, 5, StandardCharsets.US_ASCII))
                .as(name)
                .isEqualTo("%PDF-"));
        assertThat(files.values().stream().map(bytes -> bytes.length).distinct().count())
                .isGreaterThan(1);

        // Asked for once more they are of the newest.
        person.post(folder + "/all", "paper", "a4");
        until(person, "PDFs of revision 2");
    }

    @Test
    void theyAreStopped() {
        var person = new Caller(port);
        person.post(folder + "/all");
        person.post(folder + "/all", "what", "end");
        String page = person.get(folder).body();
        assertThat(page).contains("Make everybody");
        Job stopped = work.newest(rig, FoldersLabour.SORT).orElseThrow();
        assertThat(stopped.isEnded()).isTrue();
        assertThat(stopped.hasFailed()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"A4, 1764600000, https://rigs.example/rigs/1/folder", "LETTER, 0, ''"})
    void whatIsWantedIsReadBack(Paper paper, long at, String address) {
        var wish = new FoldersLabour.Wish(paper, at, address);
        assertThat(FoldersLabour.Wish.read(wish.written())).isEqualTo(wish);
    }

    private String until(Caller person, String words) {
        Instant end = Instant.now().plus(Duration.ofMinutes(2));
        String page = person.get(folder).body();
        while (!page.contains(words)) {
            assertThat(Instant.now()).as(words).isBefore(end);
            page = person.get(folder).body();
        }
        return page;
    }

    private static TreeMap<String, byte[]> unpacked(byte[] archive) throws IOException {
        TreeMap<String, byte[]> files = new TreeMap<>();
        try (var zip = new ZipInputStream(new ByteArrayInputStream(archive))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.put(entry.getName(), zip.readAllBytes());
            }
        }
        return files;
    }
}
