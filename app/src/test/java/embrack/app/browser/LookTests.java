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

    private static final List<String> PAGES = List.of(
            "/",
            "/rigs/1/gear",
            "/rigs/1/gear/vocal-mixer",
            "/rigs/1/wiring",
            "/rigs/1/wiring?at=port:choir-board.out",
            "/rigs/1/wiring?at=device:computer-a",
            "/rigs/1/wiring?at=link:quay-board.out~merger.in-1&bpm=120&frames=FPS_25&treadle=true",
            "/rigs/1/wiring?at=switch:quay-board.1.1",
            "/rigs/1/wiring/table",
            "/rigs/1/wiring/power",
            "/rigs/1/wiring/sound",
            "/rigs/1/wiring/failures",
            "/rigs/1/wiring/lists",
            "/rigs/1/switches/choir-board/1/3?press=1.1.2&find=mute",
            "/rigs/1/switches/voice-board/1/1",
            "/rigs/1/preflight",
            "/rigs/1/sheets",
            "/rigs/1/switches/side-board/1/8",
            "/rigs/1/switches/quay-board/1/3?on=hold",
            "/rigs/1/switches/quay-board/1/treadle/1?find=control",
            "/rigs/1/switches/keys/1/knob/1",
            "/rigs/1/switches/numbers",
            "/rigs/1/switches/schools",
            "/rigs/1/switches/swap?box=quay-board&with=two-switch-foot-box",
            "/rigs/1/card",
            "/rigs/1/songs",
            "/rigs/1/songs/lanterns-on-the-sill?cue=2&find=scene",
            "/rigs/1/songs/the-slow-boats/how",
            "/rigs/1/songs/rope-and-kettle/capture?keys=quay-board&hits=6527-1,6600-1,6700-1u",
            "/rigs/1/cues?device=lantern-desk",
            "/rigs/1/order/night-of-the-slow-boats?part=7",
            "/models?rig=1",
            "/models?can=mute+by+control+change",
            "/models/loop-table-five-tracks?press=select+Memory+3",
            "/models/keyboard-workstation?rig=1",
            "/models/scene-desk/print",
            "/models/lantern-desk-six-fixtures/edit",
            "/numbers?q=0",
            "/nothing-here");

    @LocalServerPort
    private int port;

    @ParameterizedTest
    @EnumSource(
            value = ColorScheme.class,
            names = {"LIGHT", "DARK"})
    void everyPageIsAccessible(ColorScheme scheme) throws IOException {
        try (Stagehand hand = new Stagehand(port, 1280, 800, scheme)) {
            List<String> wrong = new ArrayList<>();
            for (String path : PAGES) {
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
                for (String path : PAGES) {
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
