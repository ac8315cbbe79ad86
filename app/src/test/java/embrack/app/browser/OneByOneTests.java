package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** What was found is walked through one by one, each to the place where it is mended. */
class OneByOneTests extends AtTheBrowser {

    @Test
    void eachFindingLeadsToItsPlaceAndIsGoneOnceMended() {
        hand.importFile(Examples.quayRig().getBytes(StandardCharsets.UTF_8));
        hand.at("/gear");
        String tour = hand.page.url().replaceAll("(/rigs/\\d+)/.*", "$1/tour");
        hand.page.navigate(tour);
        int all = left();
        assertThat(all).isGreaterThan(3);
        for (int at = 1; at < all; at++) {
            assertThat(heading()).hasText("One by one: %d of %d".formatted(at, all));
            hand.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("The next"))
                    .click();
        }
        assertThat(heading()).hasText("One by one: %d of %d".formatted(all, all));
        assertThat(hand.page.getByText("The next")).hasCount(0);
        hand.page.navigate(tour);
        hand.page.getByText("What to do").click();
        assertThat(hand.page.locator(".finding .fix")).isVisible();
        hand.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Go to the switch"))
                .click();
        hand.at("/switches/");
        hand.untilTried();
        hand.page.locator(".ways-out button").first().click();
        hand.untilAtWork();
        hand.page.navigate(tour);
        assertThat(left()).isLessThan(all);
    }

    private Locator heading() {
        return hand.page.locator("h1");
    }

    private int left() {
        return Integer.parseInt(heading().textContent().replaceAll(".* of ", ""));
    }
}
