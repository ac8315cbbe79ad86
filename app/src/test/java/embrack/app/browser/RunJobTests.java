package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions.ContainsTextOptions;
import com.microsoft.playwright.assertions.LocatorAssertions.HasTextOptions;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FormData;
import com.microsoft.playwright.options.RequestOptions;
import embrack.app.ServerProcess;
import embrack.app.ThrowAwayCluster;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A night without the gear: watched and pressed in two browsers, broken, and brought back. */
class RunJobTests extends AtTheBrowser {

    /** Until the night has come to a song at sixty times its speed. */
    private static final ContainsTextOptions A_MINUTE = new ContainsTextOptions().setTimeout(120_000);

    private static final HasTextOptions OVER = new HasTextOptions().setTimeout(180_000);

    @Autowired
    private RigStore rigs;

    private String path = "";

    @BeforeEach
    void copy() {
        path = "/rigs/" + rigs.create(rigs.load(new RigId(1)).plan(), "Quay rig") + "/run";
    }

    private static void begin(Page page, String part, String bar) {
        page.locator("#run-part").selectOption(part);
        page.locator("#run-bar").fill(bar);
        page.waitForResponse(
                response -> response.request().method().equals("POST"),
                () -> page.locator(".run-begin button.is-primary").click());
    }

    private static Locator tile(Page page, String name) {
        return page.locator(".run-tile").filter(new Locator.FilterOptions().setHasText(name));
    }

    private static Locator box(Page page, String name) {
        return page.locator(".run-box").filter(new Locator.FilterOptions().setHasText(name));
    }

    private static Locator tape(Page page, String words) {
        return page.locator(".run-lines li")
                .filter(new Locator.FilterOptions().setHasText(words))
                .first();
    }

    @Test
    void aNightIsPlayedFromDoorsToWalkOutBrokenAndBroughtBackByTwo() {
        Page page = hand.page;
        page.navigate(path);
        begin(page, "Lanterns on the Sill", "900");
        assertThat(page.locator(".run-begin .problem"))
                .containsText("The song has bars 1 to 58, and the sections Count-in");
        assertThat(page.locator("#run-bar")).hasValue("900");
        assertThat(page.locator("#run-part option:checked")).hasText("Lanterns on the Sill");
        begin(page, "Harbour music", "");
        Locator title = page.locator("#run-now h2");
        assertThat(title).hasText("Harbour music");
        page.locator("#run-speed").selectOption("sixty");
        try (Stagehand other = new Stagehand(port)) {
            Page beside = other.page;
            beside.navigate(path);
            assertThat(beside.locator("#run-now h2")).containsText("Lanterns on the Sill", A_MINUTE);
            assertThat(title).not().hasText("Harbour music");
            page.locator("#run-speed").selectOption("one");
            assertThat(beside.locator("#run-speed")).hasValue("one");
            page.locator("#run-now").getByText("Pause").click();
            page.locator("#run-order").getByText("Rope and Kettle").click();
            assertThat(page.locator(".run-where")).containsText("Count-in");

            // The cable to the guitar sounds comes out, and the next cue for them gets lost.
            page.getByText("Faults").click();
            page.locator("#fault")
                    .selectOption(
                            page.locator("#fault option", new Page.LocatorOptions().setHasText("to Guitar sounds"))
                                    .first()
                                    .getAttribute("value"));
            page.getByText("Let it happen").click();
            assertThat(tape(beside, "to Guitar sounds MIDI IN is out")).isVisible();
            for (String where : List.of("bar 3", "Dance")) {
                page.locator("#run-now").getByText("next cue").click();
                assertThat(beside.locator(".run-where")).containsText(where);
            }
            page.locator("#run-now").getByText("Go on").click();
            assertThat(beside.locator(".run-wrongs")).containsText("it got no further than");
            assertThat(box(beside, "Guitar sounds")).containsText("should be Patch 9");
            beside.locator(".run-advice button").first().click();
            assertThat(tape(page, "to Guitar sounds MIDI IN is back")).isVisible();
            page.locator("#run-speed").selectOption("thirty");
            assertThat(beside.locator(".run-wrongs")).hasCount(0);

            // Somebody at the other browser presses; the page of the first shows it.
            page.locator("#run-speed").selectOption("one");
            tile(beside, "Lanterns low").click();
            assertThat(tape(page, "(4) is pressed")).isVisible();
            beside.keyboard().press("Shift+Digit2");
            assertThat(title).hasText("Lanterns on the Sill");
            assertThat(beside.locator("#run-now h2")).hasText("Lanterns on the Sill");

            // Held, a cue on, a cue back.
            page.locator("#run-now").getByText("Pause").click();
            assertThat(beside.locator("#run-now")).hasAttribute("data-going", "false");
            page.locator("#run-now").getByText("next cue").click();
            assertThat(page.locator(".run-where")).containsText("Refrain 1 bar 19");
            page.locator("#run-now").getByText("back one").click();
            assertThat(page.locator(".run-where")).containsText("bar 18");

            // The vamp goes round until somebody lets it go.
            page.locator("#run-order").getByText("Salt on the Window").click();
            assertThat(beside.locator("#run-now h2")).hasText("Salt on the Window");
            for (int i = 0; i < 9 && !page.locator(".run-where").textContent().contains("Quiet vamp"); i++) {
                String clock = page.locator("#run-time").textContent();
                page.locator("#run-now").getByText("next cue").click();
                assertThat(page.locator("#run-time")).not().hasText(clock);
            }
            page.locator("#run-now").getByText("I press myself").click();
            page.locator("#run-speed").selectOption("four");
            page.locator("#run-now").getByText("Go on").click();
            assertThat(box(beside, "Player A")).containsText("Quiet vamp, round 3");
            page.locator("#run-now").getByText("Pause").click();
            assertThat(beside.locator("#run-now")).hasAttribute("data-going", "false");
            tile(beside, "Let go").click();
            page.locator("#run-now").getByText("let it press").click();
            page.reload();
            assertThat(title).hasText("Salt on the Window");

            // As planned to the walk-out, a little late by the vamp, and within the slot.
            page.locator("#run-speed").selectOption("sixty");
            page.locator("#run-now").getByText("Go on").click();
            assertThat(beside.locator("#run-now h2")).hasText("Over", OVER);
            assertThat(beside.locator(".run-clock"))
                    .containsText(Pattern.compile("\\d:\\d\\d late, \\d:\\d\\d to spare"));
            org.assertj.core.api.Assertions.assertThat(other.scriptErrors()).isEmpty();
        }
    }

    /** What the simulated lantern desk shows, whose messages come by its port as those of a real one. */
    private void untilDesk(String scene) {
        hand.page.waitForFunction(
                "([path, scene]) => fetch(path).then((a) => a.text()).then((t) => new RegExp(scene).test(t))",
                List.of(path.replace("/run", "/line/simulated/receivers"), scene + "</span>\\s*<strong>chosen"));
    }

    @Test
    void realBoxesObeyWhatComesToThemInTheRun() {
        Page page = hand.page;
        page.navigate(path);
        begin(page, "Rope and Kettle", "");
        assertThat(page.locator("#run-now h2")).hasText("Rope and Kettle");
        page.getByText("Real gear").click();
        page.locator("#run-obey-simulated").click();
        page.locator(".obey-box summary").getByText("Lantern desk").first().click();
        assertThat(page.locator(".obey-box[open]")).containsText("nobody on ladders");
        page.getByText("Yes, let Lantern desk obey").click();
        assertThat(page.locator("#run-obey .exact")).hasText("obeys");
        tile(page, "Harbour light").click();
        untilDesk("Scene 1");
        tile(page, "Lanterns low").click();
        untilDesk("Scene 2");

        page.locator("#run-speed").selectOption("two");
        assertThat(page.locator("#run-obey-state")).containsText("Real boxes obey at 1× or slower");
        page.locator("#run-obey-shut").click();
        assertThat(page.locator("#run-obey-state")).containsText("Notes are off");
        assertThat(page.locator("#run-obey .exact")).hasCount(0);
        // What comes in the run now comes to nobody.
        page.locator("#run-speed").selectOption("one");
        tile(page, "Harbour light").click();
        assertThat(tape(page, "(3) is pressed")).isVisible();
        untilDesk("Scene 2");
    }

    /** What changed while nobody looked, and back once somebody did, is shown to who looks. */
    @Test
    void whoComesBackSeesWhatChangesBack() {
        Page page = hand.page;
        page.navigate(path);
        begin(page, "Rope and Kettle", "dance 2");
        assertThat(page.locator(".run-where")).containsText("Dance 2");
        page.locator("#run-now").getByText("Pause").click();
        assertThat(page.locator("#run-now")).hasAttribute("data-going", "false");
        String token = page.locator("#acts [name=_csrf]").inputValue();
        page.navigate(path.replace("/run", "/log"));
        page.request()
                .post(
                        path + "/act",
                        RequestOptions.create()
                                .setForm(FormData.create()
                                        .set("act", "turn quay-board 2")
                                        .set("_csrf", token)));
        page.navigate(path);
        assertThat(tile(page, "Loop 1")).isVisible();
        page.locator(".run-board").first().getByText("bank A").click();
        assertThat(tile(page, "Harbour light")).isVisible();
    }

    @Test
    void aPedalIsDraggedAndALoopGoesRound() {
        Page page = hand.page;
        page.navigate(path);
        begin(page, "Rope and Kettle", "Verse 1");
        page.locator(".run-board").first().getByText("bank B").click();
        tile(page, "Loop 1").click();
        assertThat(box(page, "Loop table")).containsText("recording");
        tile(page, "Loop 1").click();
        assertThat(box(page, "Loop table")).containsText("bars");
        Locator round = page.locator(".run-loop");
        String far = round.evaluate("e => String(e.value)").toString();
        page.waitForFunction("far => String(document.querySelector('.run-loop').value) !== far", far);

        Locator pedal = page.locator(".run-pedals input").first();
        pedal.scrollIntoViewIfNeeded();
        BoundingBox at = pedal.boundingBox();
        page.mouse().move(at.x + 8, at.y + at.height / 2);
        page.mouse().down();
        page.mouse().move(at.x + at.width * 0.7, at.y + at.height / 2);
        page.mouse().up();
        assertThat(tape(page, "is moved to")).isVisible();
        page.locator("#run-now").getByText("Pause").click();
        assertThat(page.locator("#run-now")).hasAttribute("data-going", "false");
    }

    /** The server is killed while a run goes on; when it is back, the page that stayed open goes on with that run. */
    @Test
    void aRunOutlivesTheServer() {
        try (ServerProcess server =
                ServerProcess.start(ThrowAwayCluster.shared().url())) {
            server.untilItAnswers();
            try (Stagehand hand = new Stagehand(server.port())) {
                Page page = hand.page;
                page.navigate(path);
                begin(page, "Rope and Kettle", "");
                assertThat(page.locator("#run-now h2")).hasText("Rope and Kettle");
                tile(page, "Harbour light").click();
                page.locator("#run-note").fill("before the power went");
                page.locator("#run-note").press("Enter");
                assertThat(tape(page, "before the power went")).isVisible();
                assertThat(box(page, "Lantern desk")).containsText("Harbour");
                server.kill();
                String clock = page.locator("#run-time").textContent();
                server.startAgain();
                // It came back by itself, and its time goes on.
                assertThat(page.locator("#run-time")).not().hasText(clock);
                assertThat(tape(page, "before the power went")).isVisible();
                assertThat(tape(page, "(3) is pressed")).isVisible();
                assertThat(box(page, "Lantern desk")).containsText("Harbour");
                tile(page, "Lanterns low").click();
                assertThat(tape(page, "(4) is pressed")).isVisible();
                page.locator("#run-now").getByText("Pause").click();
                assertThat(page.locator("#run-now")).hasAttribute("data-going", "false");
            }
        }
    }
}
