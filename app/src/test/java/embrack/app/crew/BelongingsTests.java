package embrack.app.crew;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.Caller;
import embrack.app.CrewTest;
import embrack.app.TwoCrews;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.crew.Belongings;
import embrack.app.store.crew.CrewId;
import embrack.core.edit.GearEdit;
import embrack.core.plan.Plan;
import embrack.files.plan.PlanFile;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A crew takes all along that it has, and leaves nothing behind. */
@CrewTest
class BelongingsTests {

    @Autowired
    private TwoCrews crews;

    @Autowired
    private RigStore rigs;

    @Autowired
    private Belongings belongings;

    @Test
    void aCrewTakesAllAlongAndLeavesNothingBehind() throws IOException {
        Caller mira = crews.of("Mira");
        String made = mira.post("/crews", "crew", "Going crew")
                .headers()
                .firstValue("Location")
                .orElseThrow();
        var crew = new CrewId(Long.parseLong(made.replaceAll(".*/", "")));
        Plan plan = rigs.load(crews.shared()).plan();
        RigId rig = rigs.create(crew, Hand.ANY, plan, "New rig");
        RigId gone = rigs.create(crew, Hand.ANY, plan, "New rig");
        rigs.edit(rig, Hand.ANY, new GearEdit.RenameRig("Going along"));
        rigs.name(rig, 2, "as played in the chapel", "Mira");
        rigs.delete(gone);
        mira.post("/rigs/%s/notes".formatted(rig), "words", "spare lead in the lid");
        mira.post("/rigs/%s/run/begin".formatted(rig), "part", "0");

        Map<String, String> files = unpacked(mira.file(made.replaceAll("^http://[^/]*", "") + "/everything.zip"));
        String folder = "rigs/%s-going-along/".formatted(rig);
        assertThat(PlanFile.read(files.getOrDefault(folder + "plan.json", "")))
                .isEqualTo(rigs.load(rig).plan());
        assertThat(files.get(folder + "rig_revision.jsonl")).hasLineCount(2);
        assertThat(files.get(folder + "rig_revision_name.jsonl")).contains("as played in the chapel");
        assertThat(files.get(folder + "rig_note.jsonl")).contains("spare lead in the lid");
        assertThat(files).containsKey("rigs/%s-deleted/rig_revision.jsonl".formatted(gone));
        assertThat(files.get("people.txt")).isEqualTo("Mira, lead\n");

        String delete = "/crews/%s/delete".formatted(crew);
        assertThat(mira.post(delete, "deleted-name", "Quay crew").body()).contains("Write what the crew is called");
        assertThat(belongings.rigs(crew)).containsExactly(rig, gone);
        assertThat(mira.post(delete, "deleted-name", "Going crew").statusCode()).isEqualTo(302);
        assertThat(belongings.rigs(crew)).isEmpty();
        assertThat(belongings.rows(rig)).isEmpty();
        assertThat(mira.get("/rigs/%s/gear".formatted(rig)).statusCode()).isEqualTo(404);
        assertThat(mira.get("/crews/%s".formatted(crew)).statusCode()).isEqualTo(404);
        assertThat(mira.get("/rigs/%s/gear".formatted(crews.shared())).statusCode())
                .isEqualTo(200);
    }

    private static Map<String, String> unpacked(byte[] archive) throws IOException {
        Map<String, String> files = new TreeMap<>();
        try (var zip = new ZipInputStream(new ByteArrayInputStream(archive))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.put(entry.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        return files;
    }
}
