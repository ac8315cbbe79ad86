package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.edit.GearEdit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/**
 * Old pictures and unsent words: undo says what it takes back and takes nothing of others, and what was typed stays.
 */
class TwoPagesTests extends AtTheBrowser {

    private static final String HOW = "tempo 92\nVerse: 8 bars\nRefrain: 8 bars\n";

    @Autowired
    private RigStore rigs;

    @Test
    void undoTakesBackWhatThePageShowsOrNothing() {
        importExample();
        RigId rig = rig();
        rigs.edit(rig, Hand.ANY, new GearEdit.RenameRig("Mine"));
        hand.page.reload();
        hand.page.keyboard().press("u");
        assertThat(hand.page.locator(".told")).hasText("Taken back: Rename the rig to Mine.");
        hand.page.keyboard().press("r");
        assertThat(hand.page.locator(".told")).hasText("Made again: Rename the rig to Mine.");
        rigs.edit(rig, Hand.ANY, new GearEdit.RenameRig("Theirs"));
        hand.page.keyboard().press("u");
        assertThat(hand.page.locator(".told"))
                .hasText("Nothing was taken back, since the page was older than the rig. Meanwhile: \"Rename "
                        + "the rig to Theirs\". Now it shows the newest.");
        assertThat(hand.page.locator(".rig-name")).hasText("Theirs");
        hand.page.keyboard().press("u");
        assertThat(hand.page.locator(".rig-name")).hasText("Mine");
    }

    @Test
    void whatWasTypedSurvivesALinkAndBack() {
        importExample();
        hand.go("Songs");
        hand.type("Title", "Gulls at Four");
        hand.click("Add the song");
        hand.at("/how");
        Page page = hand.page;
        Locator how = page.locator("#how");
        how.fill(HOW);
        page.getByLabel("Notes").fill("ask for the low lamp");
        hand.go("Gear");
        page.goBack();
        hand.at("/how");
        Stagehand.see(how, HOW);
        Stagehand.see(page.getByLabel("Notes"), "ask for the low lamp");
        assertThat(page.locator(".unsent")).hasCount(2);
        page.locator("form")
                .filter(new Locator.FilterOptions().setHas(how))
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Keep").setExact(true))
                .click();
        assertThat(page.locator("main")).containsText("Refrain");
        Stagehand.see(page.getByLabel("Notes"), "ask for the low lamp");
        hand.go("Wiring");
        hand.go("Songs");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Gulls at Four"))
                .click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("How it goes"))
                .click();
        hand.at("/how");
        assertThat(page.locator(".unsent")).hasCount(1);
        hand.click("Forget it");
        Stagehand.see(page.getByLabel("Notes"), "");
        page.reload();
        Stagehand.see(page.getByLabel("Notes"), "");
        assertThat(rigs.load(rig()).plan().book().songs().getFirst().form().sections())
                .hasSize(2);
    }

    /** An edit whose answer never came is sent again by hand, and is made once. */
    @Test
    void whatIsSentAgainAfterNoAnswerIsMadeOnce() {
        importExample();
        RigId rig = rig();
        hand.go("Order");
        hand.page.route(
                Pattern.compile("/rigs/\\d+/order$"),
                route -> {
                    if (route.request().method().equals("POST")) {
                        route.fetch(new Route.FetchOptions().setMaxRedirects(0));
                        route.abort();
                    } else {
                        route.resume();
                    }
                },
                new Page.RouteOptions().setTimes(1));
        hand.page.locator("main input[name=name]").first().fill("Lantern evening");
        Locator button =
                hand.page.locator("main form[method=post] button[type=submit]").first();
        button.click();
        assertThat(hand.page.locator("#lost")).containsText("Embrack does not answer");
        assertThat(rigs.load(rig).plan().book().shows()).hasSize(1);
        button.click();
        hand.at("/order/lantern-evening");
        assertThat(rigs.load(rig).plan().book().shows()).hasSize(1);
    }

    private RigId rig() {
        Matcher path = Pattern.compile("/rigs/(\\d+)").matcher(hand.page.url());
        assertThat(path.find()).isTrue();
        return RigId.of(path.group(1));
    }
}
