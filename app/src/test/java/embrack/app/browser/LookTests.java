package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import embrack.app.AppTest;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * Every page on both grounds, judged by axe-core, an independent checker of WCAG 2.2 (its copy is in vendor/axe-core);
 * on the Stage ground text needs a contrast of 7:1.
 */
@AppTest
class LookTests {

    @LocalServerPort
    private int port;

    /**
     * Each page on both grounds, on one of them on a laptop and on the other on one enlarged to 200 %, by turns: what
     * pages share is seen in all four ways.
     */
    @ParameterizedTest
    @EnumSource(
            value = ColorScheme.class,
            names = {"LIGHT", "DARK"})
    void everyPageIsAccessible(ColorScheme ground) {
        try (Stagehand hand = new Stagehand(port, 1280, 800, ground)) {
            List<String> wrong = new ArrayList<>();
            beginRun(hand.page);
            for (int i = 0; i < Pages.ALL.size(); i++) {
                String path = Pages.ALL.get(i);
                int width = (i % 2 == 0) == (ground == ColorScheme.LIGHT) ? 640 : 1280;
                hand.page.setViewportSize(width, 800);
                hand.page.navigate(path);
                wrong.addAll(Judge.accessible(hand, path + " " + width, ground == ColorScheme.DARK));
            }
            assertThat(wrong).isEmpty();
        }
    }

    /**
     * Nothing but tables and drawings goes on sideways, down to 320 px (WCAG 2.2, 1.4.10); no text is small; what is
     * worked by hand is at least 24 px (2.5.8). Lines, plugs and parts of a drawing stand in a list or table as well.
     */
    @Test
    void nothingIsCutAndNothingIsSmall() {
        try (Stagehand hand = new Stagehand(port, 1280, 1180, ColorScheme.DARK)) {
            List<String> wrong = new ArrayList<>();
            beginRun(hand.page);
            for (String path : Pages.ALL) {
                hand.page.navigate(path);
                for (int width : List.of(320, 640, 820, 1280)) {
                    hand.page.setViewportSize(width, 1180);
                    wrong.addAll(Judge.fitting(hand, path + " " + width));
                }
            }
            assertThat(wrong).isEmpty();
            assertThat(hand.scriptErrors()).isEmpty();
        }
    }

    @Test
    void theGroundFollowsTheKeyAndIsRemembered() {
        try (Stagehand hand = new Stagehand(port)) {
            Page page = hand.page;
            page.navigate("/rigs/1/gear");
            Object desk = page.evaluate("getComputedStyle(document.body).backgroundColor");
            page.keyboard().press("d");
            assertThat(page.evaluate("getComputedStyle(document.body).backgroundColor"))
                    .isEqualTo("rgb(13, 15, 16)")
                    .isNotEqualTo(desk);
            page.reload();
            assertThat(page.locator("html")).hasAttribute("data-theme", "dark");
            page.keyboard().press("?");
            assertThat(page.locator("#help")).isVisible();
            assertThat(page.locator("#help")).containsText("press that switch");
        }
    }

    /** WCAG 2.2, 2.1.4: keys of one letter can be exchanged for others, and switched off. */
    @Test
    void aKeyIsExchangedForAnother() {
        try (Stagehand hand = new Stagehand(port)) {
            Page page = hand.page;
            page.navigate("/rigs/1/gear");
            page.keyboard().press("?");
            hand.type("Instead of", "d");
            hand.type("press", "u");
            hand.click("Change the key");
            assertThat(page.locator("#key-problem")).hasText("\u201cu\u201d does something else already.");
            hand.type("press", "g");
            hand.click("Change the key");
            hand.click("Close");
            page.keyboard().press("d");
            assertThat(page.locator("html")).not().hasAttribute("data-theme", "dark");
            page.keyboard().press("g");
            assertThat(page.locator("html")).hasAttribute("data-theme", "dark");
            page.reload();
            page.keyboard().press("g");
            assertThat(page.locator("html")).hasAttribute("data-theme", "light");
            page.keyboard().press("?");
            hand.click("g for d: as before");
            hand.click("Close");
            page.keyboard().press("d");
            assertThat(page.locator("html")).hasAttribute("data-theme", "dark");
        }
    }

    /** A run that is held in a song, so that its pages show all that they have. */
    private static void beginRun(Page page) {
        page.navigate("/rigs/1/run");
        if (page.locator(".run-begin[open]").count() == 0) {
            page.locator(".run-begin summary").click();
        }
        page.locator("#run-part").selectOption("Rope and Kettle");
        page.waitForResponse(
                response -> response.request().method().equals("POST"),
                () -> page.locator(".run-begin button.is-primary").click());
        page.locator("#run-now").getByText("Pause").click();
        page.locator("#run-now").getByText("Go on").waitFor();
    }
}
