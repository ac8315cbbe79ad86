package embrack.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.app.AppTest;
import embrack.app.ThrowAwayCluster;
import embrack.app.store.crew.CrewId;
import embrack.core.MuteBoard;
import embrack.core.edit.CueEdit;
import embrack.core.edit.GearEdit;
import embrack.core.gear.library.Library;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.show.SongId;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** How revisions are stored: small, read back exactly, taken over from how they were stored before. */
@AppTest
class ArchiveTests {

    private static final Path DEMO = Path.of("../docs/examples/quay-rig.json");

    @Autowired
    private RigStore rigs;

    @Autowired
    private RigMapper mapper;

    @Autowired
    private JdbcTemplate sql;

    @LocalServerPort
    private int port;

    /**
     * Whatever two documents are, the difference makes one of the other; a damaged one, or another document, is told.
     */
    @RepeatedTest(40)
    void aDifferenceMakesTheDocument(RepetitionInfo repetition) {
        var random = new Random(repetition.getCurrentRepetition());
        byte[] before = bytes(random, random.nextInt(200_000));
        byte[] after = random.nextBoolean() ? bytes(random, random.nextInt(200_000)) : changed(random, before);
        byte[] difference = Difference.between(before, after);
        assertThat(Difference.apply(before, difference)).isEqualTo(after);
        assertThat(Difference.unpack(Difference.pack(after))).isEqualTo(after);
        byte[] damaged = difference.clone();
        damaged[damaged.length - 1 - random.nextInt(4)] ^= 1;
        assertThatIllegalArgumentException().isThrownBy(() -> Difference.apply(before, damaged));
    }

    /** Any revision of any history is read back, byte by byte, by a server that never saw it. */
    @Test
    void anyRevisionIsReadBackExactly() {
        RigId id = rigs.create(Plan.empty(new TapeLabel("History")), "New rig");
        var random = new Random(7);
        List<String> written =
                new ArrayList<>(List.of(PlanFile.write(rigs.load(id).plan())));
        for (int i = 0; i < 130; i++) {
            int n = i;
            switch (random.nextInt(6)) {
                case 0 -> rigs.undo(id, Hand.ANY);
                case 1 -> rigs.redo(id, Hand.ANY);
                case 2 -> rigs.edit(id, Hand.ANY, new GearEdit.RenameRig("History " + n));
                default ->
                    rigs.edit(
                            id,
                            Hand.ANY,
                            new GearEdit.AddDevice(
                                    "Box " + n,
                                    Library.all()
                                            .get(random.nextInt(Library.all().size()))));
            }
            if (rigs.load(id).revision() > written.size()) {
                written.add(PlanFile.write(rigs.load(id).plan()));
            }
        }
        var unknowing = new Archive(mapper);
        assertThat(IntStream.rangeClosed(1, written.size())
                        .mapToObj(n -> new String(unknowing.text(id, n), StandardCharsets.UTF_8)))
                .isEqualTo(written);
        assertThat(unknowing.plan(id, written.size())).isEqualTo(rigs.load(id).plan());
        assertThat(sql.queryForObject(
                        "select count(*) from rig_revision where rig = ? and whole", Integer.class, id.number()))
                .isBetween(3, 20);
    }

    /** A small edit of a whole show costs under 2 KB, rows and indexes together. */
    @Test
    void aSmallEditCostsLittle() throws IOException {
        RigId id = rigs.create(PlanFile.read(Files.readString(DEMO)), "Demo");
        SongId song = new SongId("small-harbour-song");
        int cue = rigs.load(id).plan().book().song(song).cues().stream()
                .filter(c -> c.at().micros(
                                rigs.load(id).plan().book().song(song).form())
                        .isPresent())
                .findFirst()
                .orElseThrow()
                .number();
        long before = size();
        for (int i = 0; i < 200; i++) {
            rigs.edit(id, Hand.ANY, new CueEdit.MoveCues(song, List.of(cue), 960, 0));
        }
        assertThat((size() - before) / 200).isLessThan(2_000);
    }

    private long size() {
        Long size = sql.queryForObject(
                "select pg_total_relation_size('rig_revision') + pg_total_relation_size('rig')", Long.class);
        return size == null ? 0 : size;
    }

    /**
     * A revision that cannot be read has a page of its own, on which an earlier one is brought back; nothing else
     * suffers.
     */
    @Test
    void anEarlierRevisionIsBroughtBack() throws IOException, InterruptedException {
        RigId id = rigs.create(MuteBoard.plan(), "Spoilt");
        rigs.edit(id, Hand.ANY, new GearEdit.RenameRig("Spoilt"));
        byte[] nonsense =
                Difference.pack("{\"format\": \"embrack-plan\", \"version\": 6}".getBytes(StandardCharsets.UTF_8));
        sql.update(
                "insert into rig_revision (rig, n, whole, body, author, summary, intent, undo_to) values (?, "
                        + "3, true, ?, 'somebody', 'Read a file', '', 2)",
                id.number(),
                nonsense);
        sql.update("update rig set newest = 3 where id = ?", id.number());
        assertThatExceptionOfType(UnreadableRevision.class).isThrownBy(() -> rigs.load(id));
        HttpResponse<String> page = get("/rigs/%s/gear".formatted(id));
        assertThat(page.statusCode()).isEqualTo(409);
        assertThat(page.body())
                .contains("Revision 3 of this rig cannot be read", "Bring back revision 2", "Rename the rig to Spoilt")
                .containsPattern("number \\d{6}");
        assertThat(rigs.using(
                        CrewId.FIRST, MuteBoard.plan().rig().models().getFirst().id()))
                .noneMatch(rig -> rig.id().equals(id));
        assertThat(get("/").body()).contains("Spoilt");
        assertThat(rigs.readable(id)).extracting(RigStore.Earlier::n).containsExactly(2, 1);
        rigs.bringBack(id, Hand.ANY, 2);
        assertThat(rigs.load(id).plan().rig().name().text()).isEqualTo("Spoilt");
        rigs.edit(id, Hand.ANY, new GearEdit.RenameRig("Sound again"));
        assertThat(get("/rigs/%s/gear".formatted(id)).statusCode()).isEqualTo(200);
        assertThat(new Archive(mapper).plan(id, 5).rig().name().text()).isEqualTo("Sound again");
    }

    /** Undo gets out of a revision that cannot be read as well. */
    @Test
    void aDamagedRowSpoilsNothingButWhatIsReadFromIt() {
        RigId id = rigs.create(MuteBoard.plan(), "Damaged");
        rigs.edit(id, Hand.ANY, new GearEdit.RenameRig("Damaged 2"));
        rigs.edit(id, Hand.ANY, new GearEdit.RenameRig("Damaged 3"));
        sql.update(
                "update rig_revision set body = set_byte(body, length(body) - 1, get_byte(body, length(body) "
                        + "- 1) # 255) where rig = ? and n = 3",
                id.number());
        var unknowing = new Archive(mapper);
        assertThatExceptionOfType(UnreadableRevision.class).isThrownBy(() -> unknowing.plan(id, 3));
        assertThat(unknowing.plan(id, 2).rig().name().text()).isEqualTo("Damaged 2");
        assertThat(unknowing.following(id, 3, new byte[] {1, 2, 3}).isWhole()).isTrue();
    }

    /** What an earlier Embrack stored whole is taken over by itself, what cannot be read included. */
    @Test
    void whatWasStoredBeforeIsTakenOver() throws IOException {
        var source =
                new DriverManagerDataSource(ThrowAwayCluster.shared().url() + "?currentSchema=before", "embrack", "");
        Flyway.configure()
                .dataSource(source)
                .schemas("before")
                .target("3")
                .javaMigrations(new V5__Pack_revisions())
                .load()
                .migrate();
        var old = new JdbcTemplate(source);
        String demo = Files.readString(DEMO);
        old.update("insert into rig default values");
        for (int n = 1; n <= 60; n++) {
            old.update(
                    "insert into rig_revision (rig, n, doc, author, summary, undo_to) values (1, ?, "
                            + "?::jsonb, 'me', ?, ?)",
                    n,
                    n == 60
                            ? "{\"name\": \"Locked\", \"models\": [], \"devices\": [1, 2]}"
                            : demo.replace("Quay rig", "Quay rig " + n),
                    "Edit " + n,
                    n == 1 ? null : n - 1);
        }
        Flyway.configure()
                .dataSource(source)
                .schemas("before")
                .javaMigrations(new V5__Pack_revisions())
                .load()
                .migrate();
        assertThat(old.queryForMap("select newest, name, boxes from rig"))
                .containsEntry("newest", 60)
                .containsEntry("name", "Locked")
                .containsEntry("boxes", 2);
        byte[] text = {};
        for (var row : old.queryForList("select n, whole, body, undo_to from rig_revision order by n")) {
            byte[] body = (byte[]) row.get("body");
            text = Boolean.TRUE.equals(row.get("whole")) ? Difference.unpack(body) : Difference.apply(text, body);
            int n = (int) row.get("n");
            if (n < 60) {
                assertThat(PlanFile.read(text).rig().name().text()).isEqualTo("Quay rig " + n);
            }
        }
        assertThat(new String(text, StandardCharsets.UTF_8)).contains("Locked");
        assertThat(old.queryForObject("select sum(length(body)) from rig_revision", Long.class))
                .isLessThan(60_000);
    }

    private HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:%d%s".formatted(port, path)))
                                .header("Accept", "text/html")
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
    }

    private static byte[] bytes(Random random, int length) {
        byte[] bytes = new byte[length];
        random.nextBytes(bytes);
        return bytes;
    }

    private static byte[] changed(Random random, byte[] before) {
        byte[] after = Arrays.copyOf(before, before.length + random.nextInt(500));
        for (int i = random.nextInt(20); i > 0 && after.length > 0; i--) {
            after[random.nextInt(after.length)] = (byte) i;
        }
        return after;
    }
}
