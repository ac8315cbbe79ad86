package embrack.app.share;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.Caller;
import embrack.app.CrewTest;
import embrack.app.TwoCrews;
import embrack.app.store.Hand;
import embrack.app.store.ModelStore;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.crew.CrewId;
import embrack.core.gear.Model;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Mira's crew shares with Ottoline's; each sees and copies what was meant, and nothing beside it. */
@CrewTest
class SharesTests {

    private static final String OURS = "/crews/1/shared";
    private static final String THEIRS = "/crews/2/shared";

    @Autowired
    private TwoCrews crews;

    @Autowired
    private RigStore rigs;

    @Autowired
    private ModelStore models;

    private Caller mira;
    private Caller ottoline;

    @BeforeEach
    void gather() {
        mira = crews.of("Mira");
        ottoline = crews.of("Ottoline");
    }

    @Test
    void aSongIsReadThenCopiedUntilItIsTakenBack() throws IOException {
        RigId quay = rigs.create(
                CrewId.FIRST,
                Hand.ANY,
                PlanFile.read(Files.readString(Path.of("../docs/examples/quay-rig.json"))),
                "New");
        String song = rigs.load(quay).plan().book().songs().getFirst().id().text();
        String title = rigs.load(quay).plan().book().songs().getFirst().title().text();
        String asked = "%s?rig=%s&song=%s".formatted(OURS, quay, song);
        assertThat(mira.get("/rigs/%s/songs/%s/copy".formatted(quay, song)).body())
                .contains("/crews/1/shared?rig=");
        assertThat(mira.get(asked).body()).contains("The song " + title);
        // Of another crew's rig nothing is offered, nor said.
        assertThat(mira.get("%s?rig=%s&song=%s".formatted(OURS, crews.foreign(), song))
                        .body())
                .doesNotContain("The song ");
        assertThat(ottoline.post(THEIRS, "what", "song", "rig", quay.toString(), "song", song)
                        .body())
                .contains("That song is no longer in the book");

        assertThat(mira.post(OURS, "what", "models", "days", "31").body()).contains("The link waits 1 to 30 days");
        String link = Caller.link(mira.post(
                OURS, "what", "song", "rig", quay.toString(), "song", song, "may", "read", "note", "Pier, Ottoline"));
        assertThat(crews.of("Nils").get(link).body()).contains("You plan for no other crew");
        assertThat(mira.post(link, "crew", "1").body())
                .doesNotContain("Location")
                .contains("Choose one of the list");
        assertThat(crews.of("nobody").get(link).statusCode()).isEqualTo(302);
        assertThat(ottoline.get(link).body()).contains("Quay crew shares a song with you", "Pier crew");
        assertThat(ottoline.post(link, "crew", "2").statusCode()).isEqualTo(302);
        assertThat(ottoline.get(link).statusCode()).isEqualTo(404);
        String shared = path(ottoline.get(THEIRS), THEIRS);
        assertThat(ottoline.get(shared).body())
                .contains(title, "to read", "Cues")
                .doesNotContain("Copy it to");
        assertThat(ottoline.post(shared, "to", crews.foreign().toString()).body())
                .contains("That is shared no more, or only to read");
        assertThat(ottoline.get("/rigs/%s/songs".formatted(quay)).statusCode()).isEqualTo(404);
        assertThat(mira.get(shared).statusCode()).isEqualTo(404);
        assertThat(mira.get(OURS).body()).contains("with Pier crew");

        String copy = Caller.link(mira.post(OURS, "what", "song", "rig", quay.toString(), "song", song, "may", "copy"));
        ottoline.post(copy, "crew", "2");
        mira.post(shared.replace("/crews/2/", "/crews/1/") + "/end");
        assertThat(ottoline.get(shared).statusCode()).isEqualTo(404);
        String second = path(ottoline.get(THEIRS), THEIRS);
        assertThat(ottoline.post(second, "to", crews.shared().toString()).body())
                .contains("Choose one of the list");
        assertThat(ottoline.post(second, "to", crews.foreign().toString()).statusCode())
                .isEqualTo(302);
        assertThat(rigs.load(crews.foreign()).plan().book().songs())
                .anyMatch(one -> one.title().text().equals(title));
        rigs.delete(quay);
        assertThat(ottoline.get(second).statusCode()).isEqualTo(404);
        assertThat(ottoline.get(THEIRS).body()).contains("a song that is gone");
        ottoline.post(second + "/end");
        assertThat(ottoline.get(THEIRS).body()).doesNotContain("\"" + second + "\"");
    }

    @Test
    void allModelsAreReadAndCopied() {
        Model own = models.createNumbered(
                CrewId.FIRST,
                Hand.ANY,
                models.all(CrewId.FIRST).stream()
                        .filter(model -> !model.chart().text().isEmpty())
                        .findFirst()
                        .orElseThrow(),
                "Copy");
        ottoline.post(Caller.link(mira.post(OURS, "what", "models", "may", "copy")), "crew", "2");
        String shared = path(ottoline.get(THEIRS), THEIRS);
        String one = shared + "/models/" + own.id();
        assertThat(ottoline.get(shared).body()).contains(own.name().text());
        assertThat(ottoline.get(one).body()).contains("What it answers to", "Copy it to our models");
        // What ships stands in the list of everybody; what is not there is not.
        assertThat(ottoline.get(shared + "/models/"
                                + models.all(CrewId.FIRST).getLast().id())
                        .statusCode())
                .isEqualTo(404);
        assertThat(ottoline.get("/models/" + own.id()).statusCode()).isEqualTo(404);
        assertThat(ottoline.post(one).statusCode()).isEqualTo(302);
        assertThat(models.own(new CrewId(2)))
                .anySatisfy(copied -> assertThat(copied.chart()).isEqualTo(own.chart()));
        // A player reads and takes nothing.
        ottoline.post(shared + "/end");
        assertThat(ottoline.post(one).body()).contains("This is shared no more");
        assertThat(crews.of("Ada").get(OURS).body()).doesNotContain("Make a link");
    }

    /** Where the newest of the shares of a list is read. */
    private static String path(HttpResponse<String> list, String base) {
        return list.body()
                .lines()
                .filter(line -> line.contains("href=\"" + base + "/"))
                .reduce((first, second) -> second)
                .orElseThrow()
                .replaceAll(".*href=\"([^\"]+)\".*", "$1");
    }
}
