package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions.ContainsTextOptions;
import com.microsoft.playwright.options.ColorScheme;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import java.io.IOException;
import java.nio.file.Files;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Around the night: feet are trained, one follows on a stand, the log keeps it, all that can go wrong is tried. */
class NightJobTests extends AtTheBrowser {

    private static final ContainsTextOptions MINUTES = new ContainsTextOptions().setTimeout(300_000);

    @Autowired
    private RigStore rigs;

    private String rig = "";

    @BeforeEach
    void copy() {
        rig = "/rigs/" + rigs.create(rigs.load(new RigId(1)).plan(), "Quay rig");
    }

    private void send(Locator button) {
        hand.page.waitForResponse(response -> response.request().method().equals("POST"), button::click);
    }

    @Test
    void feetAreTrainedOnAStandAndKept() throws IOException {
        Page page = hand.page;
        Relay relay = new Relay(port);
        try (relay;
                Stagehand player = new Stagehand(relay.port(), 820, 1180, ColorScheme.DARK)) {
            Page stand = player.page;
            stand.navigate(rig + "/run/stand");
            assertThat(stand.locator("h1")).hasText("No run goes on");

            page.navigate(rig + "/run/drill");
            assertThat(page.locator("main")).containsText("No feet were trained yet");
            page.locator("#drill-person").fill("Mira");
            page.locator("#drill-part").selectOption("Tide Against the Pier");
            send(page.locator("form button.is-primary"));
            assertThat(page.locator(".run-drill")).containsText("nothing pressed yet");
            // Who only waited on the stand learns that it began, and what to press.
            assertThat(stand.locator("h1")).hasText("Tide Against the Pier");
            assertThat(stand.locator(".stand-press:visible")).containsText("Go");
            page.locator("#run-now").getByText("Pause").click();
            assertThat(page.locator("#run-now")).hasAttribute("data-going", "false");
            page.locator(".run-tile.is-next").click();
            assertThat(page.locator(".run-drill")).containsText("1 Go");
            page.locator("#run-now").getByText("next cue").click();
            assertThat(stand.locator(".stand-press:visible")).containsText("Boat loop");
            assertThat(stand.locator(".stand-press:visible")).containsText("at bar 18");
            page.keyboard().press("Digit8");
            assertThat(page.locator(".run-drill")).containsText("1 wrong");
            stand.locator("[data-marks]").click();
            assertThat(stand.locator("[data-marks]")).hasText("marked");

            page.locator("#run-now").getByText("Go on").click();
            assertThat(page.locator("#run-now")).hasAttribute("data-going", "true");

            // The way to the server is lost: it says so, and its clock goes on.
            relay.cut();
            assertThat(stand.locator("#stand-lost")).containsText("No word from Embrack");
            String clock = stand.locator("#run-time").textContent();
            assertThat(stand.locator("#run-time")).not().hasText(clock);
            relay.mend();
            assertThat(stand.locator("#stand-lost")).isHidden();
            Assertions.assertThat(player.scriptErrors().stream().filter(error -> !error.contains("WebSocket")))
                    .isEmpty();
        }
        page.getByText("Begin anew").click();
        send(page.getByText("End this run"));
        assertThat(page.getByText("End this run")).hasCount(0);

        // The log has it; what is to be done about it stands in Preflight until it is done or let go with a reason.
        page.navigate(rig + "/log");
        page.locator(".log-entries a").first().click();
        assertThat(page.locator("h1")).containsText("Drill: Tide Against the Pier");
        assertThat(page.locator(".log-presses tbody tr").first()).containsText("1 Go, Side board");
        assertThat(page.locator(".log-lines")).containsText("(8) is pressed");
        send(page.getByText("Write it down"));
        assertThat(page.locator(".problem")).containsText("Write what there is to say");
        page.locator("#note-words").fill("Tape the lead to the riser <b>now</b>");
        page.locator("#note-about").selectOption("Quay board");
        page.locator("input[name=todo]").check();
        send(page.getByText("Write it down"));
        assertThat(page.locator(".log-todo")).containsText("riser <b>now</b>");
        page.navigate(rig + "/preflight");
        page.locator("#log-open").scrollIntoViewIfNeeded();
        assertThat(page.locator("#log-open .log-todo")).containsText("Tape the lead");
        send(page.locator("#log-open button[value=let-go]"));
        assertThat(page.locator(".log-todo .problem")).containsText("Say why it is let go");
        page.locator(".log-todo input[name=reason]").fill("The lead is new.");
        send(page.locator(".log-todo button[value=let-go]"));
        assertThat(page.locator(".log-todo")).hasCount(0);

        page.locator("#log-words").fill("no such word");
        page.locator(".log-find button").click();
        assertThat(page.locator(".empty")).containsText("Nothing of that is in the log");
        page.navigate(rig + "/log?about=Quay+board");
        assertThat(page.locator(".log-entries li")).hasCount(1);
        Download csv = page.waitForDownload(() -> page.getByText("CSV").click());
        Assertions.assertThat(Files.readString(csv.path()))
                .startsWith("entry,kind,begun,revision,who,moment,what,part,box,words,seconds\r\n")
                .contains("let go: The lead is new.", ",Tide Against the Pier,,\"1 Go, Side board\",");
        page.navigate(rig + "/run/drill");
        assertThat(page.locator(".log-entries li")).containsText("of");
    }

    @Test
    void allThatCanGoWrongIsTriedAndNightsAreDrawn() {
        Page page = hand.page;
        page.navigate(rig + "/run/faults");
        page.locator("#rate-cable").fill("often");
        send(page.getByText("Keep these rates"));
        assertThat(page.locator(".rates .problem")).containsText("A rate is a number from 0 to 100");
        assertThat(page.locator("#rate-cable")).hasValue("often");
        page.locator("#rate-cable").fill("0,5");
        send(page.getByText("Keep these rates"));
        assertThat(page.locator("#rate-cable")).hasValue("0.5");
        page.locator("#nights-count").fill("1001");
        send(page.getByText("Draw them"));
        assertThat(page.locator("#nights .problem")).containsText("Draw 1 to 1000 nights");
        page.locator("#nights-count").fill("3");
        send(page.getByText("Draw them"));
        assertThat(page.locator("#nights")).containsText("3 nights from seed 1", MINUTES);
        assertThat(page.locator("#nights .log-presses tbody tr").first()).containsText(" s");

        send(page.getByText("Try every one, everywhere"));
        assertThat(page.locator("#singles progress")).isVisible();
        send(page.locator("#singles button[value=end]"));
        assertThat(page.getByText("Try all again")).isVisible();
        assertThat(page.locator("#singles")).containsText(" trials, ");
    }
}
