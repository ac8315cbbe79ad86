package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import embrack.app.AppTest;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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

    @ParameterizedTest
    @EnumSource(
            value = ColorScheme.class,
            names = {"LIGHT", "DARK"})
    void everyPageIsAccessible(ColorScheme scheme) throws IOException {
        try (Stagehand hand = new Stagehand(port, 1280, 800, scheme)) {
            List<String> wrong = new ArrayList<>();
            for (String path : Pages.ALL) {
                hand.page.navigate(path);
                hand.page.evaluate(axe());
                Object found = hand.page.evaluate("""
                        stage => axe.run({runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
                          rules: {'color-contrast-enhanced': {enabled: stage}}}).then(r => ({ran: r.passes.length,
                          wrong: r.violations.map(v => v.id + ': ' + v.nodes
                              .map(n => n.target.join(' ') + ' ' + (n.any[0]?.message ?? ''))
                              .slice(0, 3).join('; '))}))""", scheme == ColorScheme.DARK);
                assertThat(found).isInstanceOf(Map.class);
                Map<?, ?> result = (Map<?, ?>) found;
                assertThat((Integer) result.get("ran")).isGreaterThan(5);
                ((List<?>) result.get("wrong")).forEach(each -> wrong.add(path + " " + each));
            }
            assertThat(wrong).isEmpty();
        }
    }

    @Test
    void nothingIsCutAndNothingIsSmallAtTheSizesOfTheTrade() {
        for (int[] size : new int[][] {{1280, 800}, {820, 1180}}) {
            try (Stagehand hand = new Stagehand(port, size[0], size[1], ColorScheme.DARK)) {
                for (String path : Pages.ALL) {
                    hand.page.navigate(path);
                    assertThat(hand.page.evaluate("document.documentElement.scrollWidth <= innerWidth"))
                            .as(path + " at " + size[0])
                            .isEqualTo(true);
                    assertThat(hand.page.evaluate("""
                            [...document.querySelectorAll('body *:not(.rail small)')].filter(
                              e => e.checkVisibility() && [...e.childNodes]
                              .some(n => n.nodeType === 3 && n.data.trim())
                              && parseFloat(getComputedStyle(e).fontSize) < 14)
                              .map(e => e.outerHTML.slice(0, 80))"""))
                            .as("text under 14 px on " + path)
                            .isEqualTo(List.of());
                }
                assertThat(hand.scriptErrors()).isEmpty();
            }
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

    private static String axe() throws IOException {
        try (InputStream in =
                Objects.requireNonNull(LookTests.class.getResourceAsStream("/vendor/axe-core/axe.min.js"))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
