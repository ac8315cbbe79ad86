package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import embrack.app.CrewTest;
import embrack.app.TwoCrews;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Several people, each in a browser of their own: a lead, a planner, somebody invited, a tablet of the venue. */
@CrewTest
@SuppressWarnings("NullAway.Init")
class CrewJobTests {

    @LocalServerPort
    private int port;

    @Autowired
    private TwoCrews crews;

    private Stagehand lead;
    private Stagehand planner;
    private Stagehand third;
    private String rig;

    @BeforeEach
    void gather() {
        rig = "/rigs/" + crews.shared();
        lead = signedIn("Mira");
        planner = signedIn("Jory");
        third = new Stagehand(port, 820, 1180, ColorScheme.DARK);
    }

    @AfterEach
    void leave() {
        for (Stagehand hand : List.of(lead, planner, third)) {
            assertThat(hand.scriptErrors()).isEmpty();
            hand.close();
        }
    }

    private Stagehand signedIn(String name) {
        Stagehand hand = new Stagehand(port);
        hand.page.navigate(rig + "/gear");
        assertThat(hand.page.locator("h1")).hasText("Sign in");
        hand.type("Name", name);
        hand.type("Password", crews.password());
        hand.click("Come in");
        assertThat(hand.page.locator("h1")).hasText("Gear");
        return hand;
    }

    private static Locator link(Page page, String name) {
        return page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    void somebodyIsInvitedReadsAndIsTakenOutAgain() {
        link(lead.page, "people").click();
        lead.type("For whom", "Tove, harp");
        lead.click("Make a link");
        String invitation = lead.page.locator(".the-link").innerText();
        third.page.navigate(invitation);
        assertThat(third.page.locator("h1")).hasText("Mira invites you to Quay crew");
        third.type("Your name", "Tove");
        third.type("Password", "password1234");
        third.click("Make an account and join");
        assertThat(third.page.locator(".problem")).containsText("among the first that anybody would try");
        Stagehand.see(third.page.getByLabel("Your name"), "Tove");
        third.type("Password", crews.password());
        third.click("Make an account and join");
        assertThat(third.page.locator(".recovery-codes li")).hasCount(8);
        link(third.page, "They are kept; go on").click();
        third.page.navigate(rig + "/gear/vocal-mixer");
        assertThat(third.page.locator("#undo")).hasCount(0);
        assertThat(third.page.getByLabel("Job", new Page.GetByLabelOptions().setExact(true)))
                .isDisabled();
        assertThat(third.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Remove")))
                .hasCount(0);
        third.page.navigate(rig + "/sheets");
        Locator tick = third.page.locator("main form button").first();
        tick.click();
        assertThat(third.page.locator("main")).containsText("Tove, ");

        lead.page.reload();
        lead.page.getByLabel("Take out Tove").click();
        assertThat(lead.page.locator(".members")).not().containsText("Tove");
        third.page.navigate(rig + "/gear");
        assertThat(third.page.locator("h1")).hasText("There is no such page");
    }

    @Test
    void eachSeesWhatTheOthersDoAndTakesBackTheirOwn() {
        lead.page.navigate(rig + "/wiring");
        planner.page.navigate(rig + "/gear/vocal-mixer");
        planner.set("Job", "Voice desk");
        assertThat(lead.page.locator("main")).containsText("Voice desk");
        assertThat(lead.page.locator("#here")).containsText("Jory");
        assertThat(lead.page.locator("#here")).containsText("Gear");
        lead.page.navigate(rig + "/gear/voice-board");
        lead.set("Job", "Foot board");
        assertThat(planner.page.locator("#here")).containsText("Mira: Rename Voice board to Foot board");
        planner.page.locator("#here a").click();
        assertThat(planner.page.locator("#boxes")).containsText("Foot board");
        planner.page.keyboard().press("u");
        assertThat(planner.page.locator(".told")).hasText("Taken back: Rename Vocal mixer to Voice desk.");
        assertThat(planner.page.locator("#boxes")).containsText("Vocal mixer");
        assertThat(planner.page.locator("#boxes")).containsText("Foot board");
        lead.page.navigate(rig + "/history");
        lead.page.navigate(rig + "/switches/voice-board/1/2");
        planner.page.navigate(rig + "/switches/voice-board/1/1");
        planner.set("Tape beside the switch", "Hush");
        assertThat(lead.page.locator("main")).containsText("Hush");
        lead.page.navigate(rig + "/history");
        assertThat(lead.page.locator(".new")).hasCount(1);
        link(planner.page, "note").click();
        assertThat(planner.page.getByLabel("About")).hasValue("Foot board, bank A, switch 1");
        planner.page.navigate(rig + "/switches/voice-board/1/1");
        planner.page.keyboard().press("u");
        assertThat(planner.page.locator(".told")).containsText("Taken back");
        link(planner.page, "history").click();
        assertThat(planner.page.locator(".turn").first()).containsText("Take back: Rename Vocal mixer to Voice desk");
        assertThat(planner.page.locator(".turn").first()).containsText("Undo: Call Foot board, bank A, switch 1 Hush");
        assertThat(planner.page.locator(".turn").nth(1)).containsText("Rename Voice board to Foot board");
        link(planner.page, "Rename Vocal mixer to Voice desk").click();
        assertThat(planner.page.locator("section:not([aria-label='On the sheets']) > .difference"))
                .hasCount(2);
        planner.page.getByLabel("Bring back: Vocal mixer").click();
        assertThat(planner.page.locator(".told")).containsText("It is again as it was");
        assertThat(planner.page.locator("section:not([aria-label='On the sheets']) > .difference"))
                .hasCount(1);
        planner.page.locator("#name-it").fill("as played in the chapel");
        planner.click("Keep the name");
        assertThat(planner.page.locator(".turn strong")).hasText("as played in the chapel");
    }

    @Test
    void whoWritesWhereAnotherWroteIsToldFirst() {
        String box = "/rigs/%s/gear/vocal-mixer".formatted(crews.own());
        lead.page.navigate(box);
        planner.page.navigate(box);
        lead.type("Job", "Low desk");
        planner.set("Job", "High desk");
        assertThat(lead.page.locator("#here")).containsText("to High desk. Show it");
        Stagehand.see(lead.page.getByLabel("Job", new Page.GetByLabelOptions().setExact(true)), "Low desk");
        lead.set("Job", "Low desk");
        assertThat(lead.page.locator(".told.refused")).containsText("to High desk\" by Jory");
        Stagehand.see(lead.page.getByLabel("Job", new Page.GetByLabelOptions().setExact(true)), "Low desk");
        lead.set("Job", "Low desk");
        assertThat(lead.page.locator("#boxes")).containsText("Low desk");
    }

    @Test
    void aTabletOfTheVenueSeesTheFolderForTonight() {
        planner.page.navigate("/rigs/%s/links".formatted(crews.own()));
        planner.type("For whom", "Harbour hall");
        planner.page.getByLabel("they may tick what is done").check();
        planner.click("Make a link");
        third.page.navigate(planner.page.locator(".the-link").innerText());
        assertThat(third.page.locator("h1")).containsText("tonight");
        assertThat(third.page).hasURL(java.util.regex.Pattern.compile(".*/tonight$"));
        link(third.page, "At doors").click();
        assertThat(third.page.locator("#rail a")).hasCount(1);
        third.page.locator("main form button").first().click();
        assertThat(third.page.locator("main")).containsText("Harbour hall, by link");
        planner.page.getByLabel("Take back the link for Harbour hall").click();
        assertThat(planner.page.locator("main")).containsText("None yet.");
        third.page.reload();
        assertThat(third.page.locator("h1")).hasText("This link holds no more");
    }

    @Test
    void aCopyThatSomebodyChangedComesBackThingByThing() {
        String own = "/rigs/" + crews.own();
        planner.page.navigate(own + "/history");
        String plan = planner.page.request().get(own + "/plan.json").text();
        String copy = plan.replaceFirst("\"(Vocal mixer|Low desk)\"", "\"Voice desk\"")
                .replace("\"Voice board\"", "\"Foot board\"");
        planner.page.navigate(own + "/gear/voice-board");
        planner.set("Job", "Stage board");
        link(planner.page, "history").click();
        link(planner.page, "A file that came back").click();
        planner.page
                .locator("#returned-file")
                .setInputFiles(new FilePayload("plan.json", "application/json", copy.getBytes(StandardCharsets.UTF_8)));
        planner.click("Compare it");
        assertThat(planner.page.locator(".difference")).hasCount(2);
        assertThat(planner.page.getByLabel("Voice desk")).isChecked();
        assertThat(planner.page.getByLabel("Foot board")).not().isChecked();
        assertThat(planner.page.locator(".collides")).containsText("Stage board");
        planner.click("Take in what is ticked");
        assertThat(planner.page.locator(".told")).containsText("Taken in");
        assertThat(planner.page.locator(".difference")).hasCount(1);
        planner.click("Take in what is ticked");
        assertThat(planner.page.locator("main > .problem")).containsText("Tick what is to be taken in.");
        planner.page.navigate(own + "/gear");
        assertThat(planner.page.locator("#boxes")).containsText("Voice desk");
        assertThat(planner.page.locator("#boxes")).containsText("Stage board");
    }

    @Test
    void aGuestSeesWhatIsSharedAlone() {
        third.page.navigate("/sign-in");
        third.type("Name", "vera");
        third.type("Password", crews.password());
        third.click("Come in");
        assertThat(third.page.locator(".rig-list li")).hasCount(1);
        assertThat(third.page.getByText("New rig")).hasCount(0);
        for (String room : Stream.of("gear", "switches", "songs", "run").toList()) {
            third.page.navigate(rig + "/" + room);
            assertThat(third.page.locator("form[method=post]")).hasCount(0);
        }
        third.page.navigate("/rigs/%s/gear".formatted(crews.own()));
        assertThat(third.page.locator("h1")).hasText("There is no such page");
    }
}
