package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import java.util.List;
import org.junit.jupiter.api.Test;

/** From each room the question mark leads to its page of the handbook, whose picture is there. */
class HandbookTests extends AtTheBrowser {

    @Test
    void eachRoomHasItsPage() {
        hand.newRig("Reading");
        String rig = hand.page.url().replaceAll("(/rigs/\\d+)/.*", "$1");
        for (String room : List.of(
                "Gear", "Wiring", "Lights", "Switches", "Songs", "Order", "Preflight", "Folder", "Line check")) {
            hand.page.navigate(rig);
            hand.go(room);
            hand.untilAtWork();
            hand.page.keyboard().press("?");
            hand.page.locator("#handbook").click();
            assertThat(hand.page.locator("h1")).hasText("Handbook: " + room);
            Locator picture = hand.page.locator(".handbook-picture img");
            picture.scrollIntoViewIfNeeded();
            assertThat((int) picture.evaluate("i => i.decode().then(() => i.naturalWidth)"))
                    .as(room)
                    .isGreaterThan(600);
        }
    }
}
