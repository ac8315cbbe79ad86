package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.ColorScheme;
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
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * The pages that are there once people have accounts, as each of them sees theirs: judged as {@link LookTests} judges
 * those of somebody who is alone.
 */
@CrewTest
@SuppressWarnings("NullAway.Init")
class CrewLookTests {

    @LocalServerPort
    private int port;

    @Autowired
    private TwoCrews crews;

    @Autowired
    private RigStore rigs;

    @Autowired
    private ModelStore models;

    private Caller mira;
    private String rig;

    @BeforeEach
    void gather() {
        mira = crews.of("Mira");
        rig = "/rigs/" + crews.shared();
    }

    @Test
    void thoseOfALeadWhoSharesAndOfAnotherWhoTakesItUp() throws IOException {
        RigId quay = rigs.create(
                CrewId.FIRST,
                Hand.ANY,
                PlanFile.read(Files.readString(Path.of("../docs/examples/quay-rig.json"))),
                "New");
        String song = rigs.load(quay).plan().book().songs().getFirst().id().text();
        Model own = models.createNumbered(
                CrewId.FIRST, Hand.ANY, models.all(CrewId.FIRST).getFirst(), "A copy of what ships");
        mira.post(rig + "/notes", "words", "spare lead in the lid", "to", "Jory");
        mira.post(rig + "/links", "what", "folder", "note", "Venue");
        String ofModels = Caller.link(mira.post("/crews/1/shared", "what", "models", "may", "copy"));
        String ofSong = Caller.link(mira.post(
                "/crews/1/shared",
                "what",
                "song",
                "rig",
                quay.toString(),
                "song",
                song,
                "may",
                "copy",
                "note",
                "Pier"));
        judged(
                "Mira",
                List.of(
                        "/",
                        "/crews/1",
                        "/crews/1/shared?rig=%s&song=%s".formatted(quay, song),
                        "/account",
                        "/models/%s/to".formatted(own.id()),
                        "/rigs/%s/songs/%s/copy".formatted(quay, song),
                        rig + "/gear",
                        rig + "/notes",
                        rig + "/links",
                        rig + "/history",
                        rig + "/returned",
                        rig + "/run/faults"));

        Caller ottoline = crews.of("Ottoline");
        ottoline.post(ofModels, "crew", "2");
        Matcher taken = Pattern.compile("/crews/2/shared/\\d+(?=\")")
                .matcher(ottoline.get("/crews/2/shared").body());
        assertThat(taken.find()).isTrue();
        judged(
                "Ottoline",
                List.of(ofSong, "/crews/2/shared", taken.group(), taken.group() + "/models/" + own.id(), "/crews/2"));
        ottoline.post(ofSong, "crew", "2");
        Matcher all = Pattern.compile("/crews/2/shared/\\d+(?=\")")
                .matcher(ottoline.get("/crews/2/shared").body());
        String last = all.results()
                .map(one -> one.group())
                .reduce((one, other) -> other)
                .orElseThrow();
        judged("Ottoline", List.of(last));
    }

    @Test
    void thoseOfAPlayerAndAGuest() {
        judged("Ada", List.of("/", "/crews/1", rig + "/gear/vocal-mixer", rig + "/preflight", rig + "/sheets"));
        judged("Vera", List.of("/", "/account", rig + "/gear", rig + "/history"));
    }

    @Test
    void thoseOfSomebodyWhoIsNotSignedIn() {
        String invitation = Caller.link(mira.post("/crews/1/invitations", "role", "player", "note", "somebody"));
        String tonight = Caller.link(mira.post(rig + "/links", "what", "folder", "note", "Venue"));
        judged("", List.of("/sign-in", "/sign-in/code", invitation, "/join/no-such-invitation", tonight));
    }

    /** On one ground on a laptop, on the other on one enlarged to 200 %; what fits at 320 px fits. */
    private void judged(String who, List<String> paths) {
        List<String> wrong = new ArrayList<>();
        for (ColorScheme ground : List.of(ColorScheme.LIGHT, ColorScheme.DARK)) {
            boolean isStage = ground == ColorScheme.DARK;
            try (Stagehand hand = new Stagehand(port, 1280, 800, ground)) {
                if (!who.isEmpty()) {
                    signIn(hand, who);
                }
                for (String path : paths) {
                    hand.page.setViewportSize(isStage ? 640 : 1280, 800);
                    hand.page.navigate(path);
                    String where = "%s %s, %s".formatted(who, path, ground);
                    wrong.addAll(Judge.accessible(hand, where, isStage));
                    hand.page.setViewportSize(isStage ? 320 : 820, 1180);
                    wrong.addAll(Judge.fitting(hand, where));
                }
                wrong.addAll(hand.scriptErrors());
            }
        }
        assertThat(wrong).isEmpty();
    }

    private void signIn(Stagehand hand, String who) {
        hand.page.navigate("/sign-in");
        hand.type("Name", who);
        hand.type("Password", crews.password());
        hand.click("Come in");
        assertThat(hand.page.locator("h1")).not().hasText("Sign in");
    }
}
