package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Media;
import embrack.app.AppTest;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The sound of a rig from nothing: leads, sends, who hears what, and the list for whoever stands at the console. */
@AppTest
class SoundJobTests {

    @LocalServerPort
    private int port;

    private Stagehand hand;
    private String sound = "";

    @BeforeEach
    void open() {
        hand = new Stagehand(port);
    }

    @AfterEach
    void close() {
        assertThat(hand.scriptErrors()).isEmpty();
        hand.close();
    }

    /** Click and tracks out of one headphone socket, eight outputs and two voices, all over one loom of twelve ways. */
    @Test
    void aSplitAndALoomAreWiredAndTheConsoleListIsPrinted() {
        hand.newRig("Harbour hall");
        List.of(
                        "Tablet, Tablet",
                        "Headphone split, one plug to two, Split",
                        "DI box, passive, two channels, DI",
                        "Sound interface, 8 in, 8 out, Interface",
                        "Stage microphone, Voice",
                        "Choir microphone, condenser, Choir",
                        "Loom, 12 ways, Loom",
                        "House console, 24 channels, Console",
                        "House loudspeakers, powered, House",
                        "In-ears, wired, mono, Ears")
                .forEach(box ->
                        hand.addBox(box.substring(0, box.lastIndexOf(", ")), box.substring(box.lastIndexOf(", ") + 2)));
        sound = hand.page.url().replaceFirst("/gear.*", "") + "/wiring/sound";
        lead("tablet.headphones-left", "Split Plug left");
        lead("tablet.headphones-right", "Split Plug right");
        lead("split.left", "DI In 1");
        lead("split.right", "DI In 2");
        lead("interface.output-1", "Loom In 1");
        onward("Join the next 7 likewise", "Loom In 8");
        lead("di.out-1", "Loom In 9");
        lead("di.out-2", "Loom In 10");
        lead("voice.out", "Loom In 11");
        lead("choir.out", "Loom In 12");
        lead("loom.out-1", "Console Input 1");
        onward("Join the next 11 likewise", "Console Input 12");
        lead("console.main-left", "House In left");
        lead("console.main-right", "House In right");
        lead("console.aux-1", "Ears In");
        onIt("Tablet Headphones left", "click");
        onIt("Tablet Headphones right", "tracks");
        assertThat(hand.page.locator(".finding.stop .what")).hasText(new String[] {
            "Choir runs on 48 V and gets none.",
            "House gets the click of Tablet. It goes Tablet, then Split, then DI, then Loom, then Console, then"
                    + " House."
        });
        hand.click("Switch 48 V on at that input");
        assertThat(hand.page.locator(".finding.stop")).hasCount(1);

        hand.page.navigate(sound + "/mix/console?out=mix-left");
        level("Input 9", "loud");
        assertThat(hand.page.locator(".send .problem")).hasText("Write decibels, such as 0 or \u22126, or off.");
        level("Input 9", "off");
        hand.page.navigate(sound + "/mix/console?out=mix-right");
        level("Input 9", "off");
        hand.page.navigate(sound + "/mix/console?out=aux-1");
        level("Input 9", "-3");
        hand.page.navigate(sound);
        assertThat(hand.page.locator(".finding.stop")).hasCount(0);
        assertThat(row("click of Tablet").locator("td")).hasText(new String[] {"\u2013", "\u22123.0 dB"});
        assertThat(row("tracks of Tablet").locator("td").first()).hasText("0.0 dB");
        row("click of Tablet").locator("td a").last().click();
        assertThat(hand.page.locator(".side .hops li").last()).hasText("Console Aux 1 to Ears In");
        assertThat(hand.page.locator("svg .line-link.lit")).hasCount(5);

        hand.page.getByText("Console: 12 inputs, sends and list").click();
        Locator rows = hand.page.locator(".console-list tbody tr");
        assertThat(rows).hasCount(12);
        assertThat(rows.nth(8)).containsText("click of Tablet");
        assertThat(rows.nth(8)).containsText("Split, DI, Loom");
        assertThat(rows.nth(11)).containsText("48 V on");
        hand.page.getByLabel("The venue's console has so many inputs").fill("11");
        hand.click("What to sum");
        assertThat(hand.page.locator("#list")).containsText("one input too many stays");
        hand.page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
        assertThat(rows.nth(10)).isVisible();
        assertThat(hand.page.locator("#sends")).isHidden();
    }

    private Locator row(String name) {
        return hand.page.locator(".hears tbody tr").filter(new Locator.FilterOptions().setHasText(name));
    }

    private void lead(String from, String to) {
        hand.page.navigate(sound + "?at=port:" + from);
        hand.untilAtWork();
        hand.page
                .getByRole(
                        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(to).setExact(true))
                .click();
        hand.at("link:");
    }

    /** Goes on from the lead that was made, as far as the sockets go. */
    private void onward(String button, String last) {
        assertThat(hand.page.locator(".onward")).containsText(last);
        hand.click(button);
        assertThat(hand.page.locator(".onward")).hasCount(0);
    }

    private void onIt(String output, String what) {
        hand.page
                .getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName(output))
                .getByLabel(what)
                .check();
        hand.untilAtWork();
        assertThat(row(what + " of")).hasCount(1);
    }

    private void level(String input, String level) {
        Locator field = hand.page
                .locator(".send")
                .filter(new Locator.FilterOptions().setHasText(input))
                .locator("input.number");
        field.first().fill(level);
        field.first().press("Tab");
        hand.untilAtWork();
    }
}
