package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** Rows filled by a sentence: shown, kept, taken back as one; what does not go together is said. */
class RowJobTests extends AtTheBrowser {

    @Test
    void eightFadersAndTwelveSwitchesAreFilledByASentenceEach() {
        hand.newRig("Rows");
        hand.addBox("Fader box, 8 faders, 4 banks", "Faders");
        hand.addBox("Projection server, 4 layers", "Screens");
        hand.addBox("Ten-switch board with expression pedal", "Board");
        hand.addBox("Rack mixer, 24 strips", "Mixer");
        hand.go("Switches");
        hand.page
                .getByRole(AriaRole.LINK)
                .filter(new Locator.FilterOptions().setHasText("Fill a row"))
                .click();
        hand.choose("Fill", "faders");
        say("with", "opacity of layers 1-4");
        assertThat(hand.page.locator("#row-lines tbody tr")).hasCount(4);
        assertThat(hand.page.locator("#row-lines")).containsText("Screens: level of Layer 4");
        hand.click("Keep");
        assertThat(hand.page.locator("main")).containsText("Layer 4");
        String rig = hand.page.url().replaceAll("(/rigs/\\d+)/.*", "$1");
        hand.page.navigate(rig + "/switches/board/1/row");
        say("with", "mute inputs 1-10, not 4");
        assertThat(hand.page.locator("#row-lines tbody tr")).hasCount(9);
        say("number", "1-3");
        assertThat(hand.page.locator("#what-problem"))
                .hasText("3 to fill and 9 to fill them with: name as many of one as of the other.");
        say("number", "");
        assertThat(hand.page.locator("#row-lines tbody tr")).hasCount(9);
        hand.click("Keep");
        assertThat(hand.tile(9)).containsText("Input 10");
        hand.page.locator("#undo").click();
        assertThat(hand.tile(9)).not().containsText("Input 10");
        assertThat(hand.tile(1)).not().containsText("Input 1");
    }

    private void say(String field, String words) {
        Locator typed = hand.page.getByLabel(field, new Page.GetByLabelOptions().setExact(true));
        typed.fill(words);
        typed.press("Enter");
        hand.untilAtWork();
    }
}
