package embrack.app.browser;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import embrack.app.AppTest;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Not a test: makes the pictures of docs/screenshots from the demo when ./embrack screenshots asks for it. */
@AppTest
class Screenshots {

    private static final Path FOLDER = Path.of(System.getProperty("embrack.screenshots", "target/screenshots"));

    @LocalServerPort
    private int port;

    @Test
    void take() {
        shot(ColorScheme.LIGHT, 1280, 800, "/rigs/1/wiring", "wiring-desk", "");
        shot(ColorScheme.LIGHT, 1280, 800, "/rigs/1/switches/quay-board/1/3", "switches-desk", "");
        shot(ColorScheme.LIGHT, 1280, 800, "/rigs/1/gear/vocal-mixer", "gear-desk", "");
        shot(ColorScheme.LIGHT, 1280, 800, "/rigs/1/wiring/sound", "sound-desk", "");
        shot(ColorScheme.LIGHT, 1280, 800, "/rigs/1/lights?look=kettle-fire", "lights-desk", "");
        shot(ColorScheme.LIGHT, 1280, 800, "/rigs/1/songs/lanterns-on-the-sill", "prompt-desk", "");
        shot(ColorScheme.LIGHT, 1280, 800, "/rigs/1/order/night-of-the-slow-boats?part=7", "order-desk", "");
        shot(ColorScheme.LIGHT, 1280, 800, "/rigs/1/preflight", "preflight-desk", "");
        run();
        nights();
        shot(ColorScheme.LIGHT, 1280, 800, "/rigs/1/line", "line-desk", "");
        shot(ColorScheme.LIGHT, 1280, 800, "/rigs/1/folder", "folder-desk", "");
        takenAlong();
        people();
    }

    /** Last, since from then on everybody signs in: a crew, what somebody changed, a link on a tablet of the venue. */
    private void people() {
        try (Stagehand hand = new Stagehand(port, 1280, 800, ColorScheme.LIGHT)) {
            Page page = hand.page;
            page.navigate("/people");
            page.locator("#crew").fill("The Tidemark Ensemble");
            account(page, "Mira");
            for (String one : List.of("planner Jory", "player Ada", "guest Hall")) {
                String[] words = one.split(" ");
                page.navigate("/people");
                page.locator("#invite-role").selectOption(words[0]);
                hand.click("Make a link");
                String link = page.locator(".the-link").innerText();
                try (Stagehand other = new Stagehand(port, 1280, 800, ColorScheme.LIGHT)) {
                    other.page.navigate(link);
                    account(other.page, words[1]);
                    if (words[0].equals("planner")) {
                        other.page.navigate("/rigs/1/switches/quay-board/1/4");
                        other.set("Tape beside the switch", "Lanterns down");
                        other.page.navigate("/rigs/1/gear/guitar-sounds");
                        other.set("Job", "Guitar board");
                    }
                }
            }
            page.navigate("/people");
            page.locator("#invite-note").fill("Tove, harp");
            hand.click("Make a link");
            page.locator(".the-link").waitFor();
            hand.untilDrawn();
            page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve("crew-desk.png")));
            page.navigate("/rigs/1/history");
            page.getByText("Call Quay board").first().click();
            page.locator(".difference").first().waitFor();
            hand.untilDrawn();
            page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve("history-desk.png")));
            page.navigate("/rigs/1/links");
            page.locator("#link-note").fill("Harbour hall");
            page.getByLabel("they may tick what is done").check();
            hand.click("Make a link");
            try (Stagehand tablet = new Stagehand(port, 820, 1180, ColorScheme.DARK)) {
                tablet.page.navigate(page.locator(".the-link").innerText());
                tablet.page.locator(".tonight").waitFor();
                tablet.untilDrawn();
                tablet.page.screenshot(
                        new Page.ScreenshotOptions().setPath(FOLDER.resolve("tonight-tablet-stage.png")));
            }
        }
    }

    private static void account(Page page, String name) {
        page.locator("#name").fill(name);
        page.locator("#password").fill("wet ropes in the lantern loft");
        page.locator("form button.is-primary").click();
        page.locator(".recovery-codes").waitFor();
    }

    /** The one file, on a tablet without a network. */
    private void takenAlong() {
        try (Stagehand hand = new Stagehand(port, 820, 1180, ColorScheme.DARK)) {
            Path file = Files.write(
                    Files.createTempFile("folder", ".html"),
                    hand.page.request().get("/rigs/1/folder.html").body());
            hand.page.context().setOffline(true);
            hand.page.navigate(file.toUri().toString());
            hand.page.locator("#ground").click();
            hand.page.locator("[data-entry='4']").click();
            hand.page.evaluate("document.querySelector('#songs').scrollIntoView()");
            hand.page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve("file-tablet-stage.png")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A night in which a link has come out, with what brings it back. */
    private void run() {
        try (Stagehand hand = new Stagehand(port, 1280, 800, ColorScheme.DARK)) {
            Page page = hand.page;
            page.navigate("/rigs/1/run");
            page.locator("#run-part").selectOption("Lanterns on the Sill");
            page.locator("#run-bar").fill("18");
            page.locator(".run-begin button.is-primary").click();
            page.locator("#run-now").getByText("Pause").click();
            page.getByText("Faults").click();
            page.locator("#fault")
                    .selectOption(
                            page.locator("#fault option", new Page.LocatorOptions().setHasText("to Guitar sounds"))
                                    .first()
                                    .getAttribute("value"));
            page.getByText("Let it happen").click();
            page.getByText("Faults").click();
            page.locator("#run-now").getByText("next cue").click();
            page.locator("#run-now").getByText("Go on").click();
            page.locator(".run-advice").waitFor();
            page.locator("#run-now").getByText("Pause").click();
            page.locator("#run-now[data-going=false]").waitFor();
            page.evaluate("scrollTo(0, 0)");
            hand.untilDrawn();
            page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve("run-stage.png")));
            page.getByText("Begin anew").click();
            page.getByText("End this run").click();
        }
    }

    /** A night that goes on, on the desk's ground and on the stand, then feet that are trained, and the log. */
    private void nights() {
        try (Stagehand hand = new Stagehand(port, 1280, 800, ColorScheme.LIGHT);
                Stagehand stand = new Stagehand(port, 820, 1180, ColorScheme.DARK)) {
            Page page = hand.page;
            begin(page, "Tide Against the Pier", "14");
            page.locator("#run-now").getByText("Pause").click();
            page.locator("#run-now[data-going=false]").waitFor();
            page.locator(".run-begin summary").click();
            page.evaluate("document.querySelector('.run-begin').open = false; scrollTo(0, 0)");
            hand.untilDrawn();
            page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve("run-desk.png")));
            stand.page.navigate("/rigs/1/run/stand");
            stand.page.locator(".stand-in").first().waitFor();
            stand.untilDrawn();
            stand.page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve("stand-tablet-stage.png")));

            page.navigate("/rigs/1/run/drill");
            page.locator("#drill-person").fill("Mira");
            page.locator("#drill-part").selectOption("Tide Against the Pier");
            page.locator("form button.is-primary").click();
            page.locator("#run-now[data-going=true]").waitFor();
            page.locator(".run-tile.is-next").click();
            page.locator(".run-where").getByText("Verse 1").waitFor();
            page.locator("#run-beat").getByText("bar 18").waitFor();
            page.keyboard().press("Digit8");
            page.keyboard().press("Digit7");
            page.locator(".run-drill").getByText("wrong").waitFor();
            page.locator("#run-now").getByText("Pause").click();
            page.locator("#run-now[data-going=false]").waitFor();
            page.evaluate("scrollTo(0, 0)");
            hand.untilDrawn();
            page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve("drill-desk.png")));
            page.navigate("/rigs/1/run");
            page.getByText("Begin anew").click();
            page.getByText("End this run").click();
            page.locator("#run-part").waitFor();
            page.navigate("/rigs/1/log");
            page.locator(".log-entries a").first().click();
            page.locator("#note-words").fill("Tape the lead of the Quay board to the riser.");
            page.locator("input[name=todo]").check();
            page.getByText("Write it down").click();
            page.locator(".log-todo").waitFor();
            page.evaluate("scrollTo(0, 0)");
            page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve("log-desk.png")));
        }
    }

    private static void begin(Page page, String part, String bar) {
        page.navigate("/rigs/1/run");
        page.locator("#run-part").selectOption(part);
        page.locator("#run-bar").fill(bar);
        page.locator(".run-begin button.is-primary").click();
        page.locator("#run-now[data-going=true]").waitFor();
    }

    private void shot(ColorScheme ground, int width, int height, String path, String name, String keys) {
        try (Stagehand hand = new Stagehand(port, width, height, ground)) {
            hand.page.navigate(path);
            for (char key : keys.toCharArray()) {
                hand.page.keyboard().press(String.valueOf(key));
                hand.page.waitForTimeout(900);
            }
            if (name.startsWith("story")) {
                hand.page.locator(".tale li button").last().click();
                hand.page.locator("#trial .tape-press").first().waitFor();
                hand.page.locator(".tale .end").scrollIntoViewIfNeeded();
            }
            if (path.endsWith("/sheets")) {
                hand.page.evaluate("[...document.querySelectorAll('.sheet')].find(s => s.textContent.includes('Voice "
                        + "board') && s.textContent.includes('Bank A, switch 1')).scrollIntoView()");
            }
            if (path.endsWith("line")) {
                LineJobTests.withMistakes(hand);
            }
            if (path.endsWith("models")) {
                LineJobTests.describing(hand);
            }
            if (path.endsWith("preflight")) {
                hand.untilTried();
                hand.page.evaluate("scrollTo(0, 0)");
            }
            hand.page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve(name + ".png")));
        }
    }
}
