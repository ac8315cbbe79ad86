package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import embrack.app.AppTest;
import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.edit.GearEdit;
import embrack.core.rig.DeviceId;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The wiring of a rig, by hand: drawn, read, broken, mended, listed. */
@AppTest
class WiringJobTests {

    @LocalServerPort
    private int port;

    @Autowired
    private RigStore rigs;

    private Stagehand hand;

    @BeforeEach
    void open() {
        hand = new Stagehand(port);
    }

    @AfterEach
    void close() {
        assertThat(hand.scriptErrors()).isEmpty();
        hand.close();
    }

    /**
     * The wireless half of the demo: a board, a bridge, a tablet and what runs on it; each link made in another way.
     */
    @Test
    void theWirelessHalfIsBuiltByHandAndItsTimesAreRead() {
        hand.newRig("Wireless half");
        hand.addBox("Ten-switch board with expression pedal", "Quay board");
        hand.addBox("Bluetooth bridge, one of a pair", "Stage bridge");
        hand.addBox("Tablet", "Tracks tablet");
        hand.addBox("Tablet track player", "Tracks");
        hand.go("Wiring");
        Page page = hand.page;

        port("Tracks In").click();
        assertThat(page.locator(".side h3").first()).hasText("Nothing in the rig fits it now.");
        page.getByText("Why not the others").click();
        assertThat(page.locator(".reasons"))
                .containsText("Tracks lives in no computer yet. Say first which one it runs on.");
        page.locator("svg .tape-text", new Page.LocatorOptions().setHasText("Tracks"))
                .last()
                .click();
        hand.choose("Runs on", "Tracks tablet");
        assertThat(page.locator("svg .host")).hasCount(1);
        page.keyboard().press("Escape");
        assertThat(page.locator(".side")).hasCount(0);

        drag("Quay board MIDI OUT", "Stage bridge MIDI IN");
        assertThat(page.locator(".side h2")).hasText("5-pin link");
        hand.set("Length in metres", "six");
        assertThat(page.locator(".side .problem"))
                .hasText("Write the length in metres, such as 3 or 2.5; \"six\" is none.");
        hand.set("Length in metres", "6");

        page.getByText("Show all").click();
        assertThat(page.locator(".side")).hasCount(0);
        port("Stage bridge Bluetooth").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("svg .fits")).hasCount(1);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Tracks tablet Bluetooth"))
                .press("Enter");
        assertThat(page.locator(".side .problem"))
                .hasText("The app or driver for wireless MIDI is missing in Tracks tablet. Install it in "
                        + "Tracks tablet, and pair the two.");
        hand.click("Set Wireless app of Tracks tablet to installed");
        assertThat(page.locator(".finding.stop")).hasCount(0);

        hand.link("Tracks tablet Bluetooth Bluetooth (joined)", "Tracks app port In");
        assertThat(page.locator(".links tbody tr")).hasCount(3);
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Picture").setExact(true))
                .click();
        page.locator("svg .tape-text", new Page.LocatorOptions().setHasText("Quay board"))
                .click();
        assertThat(page.locator(".reach-list li").first()).containsText("Tracks");
        assertThat(page.locator(".reach-list code").first()).hasText("6.29 / 16.46 / 26.63 ms");
        page.locator(".reach-list a").first().click();
        assertThat(page.locator(".hops li")).hasCount(3);
        assertThat(page.locator(".times")).containsText("26.63 ms");
        assertThat(page.locator(".way")).containsText("Most of it: next meeting of the two radios");
        assertThat(page.locator("svg .line-link.lit")).hasCount(3);
        page.keyboard().press("Escape");
        assertThat(page.locator("svg .line-link.lit")).hasCount(0);
    }

    @Test
    void aFullWireIsWorkedOut() {
        Page page = hand.page;
        page.navigate("/rigs/1/wiring?at=link:quay-board.out~merger.in-1");
        page.getByLabel("Clock at").fill("120");
        page.getByLabel("Time code").selectOption("25");
        hand.click("Work it out");
        assertThat(page.locator(".load-answer")).containsText("7.94 % of the wire");
        assertThat(page.locator(".load-answer")).containsText("clock at 120 bpm: 48 bytes a second");
        page.getByLabel("Clock at").fill("fast");
        hand.click("Work it out");
        assertThat(page.locator(".load-answer .problem"))
                .hasText("A tempo is a whole number of beats a minute, 1 to 999.");
        assertThat(page.getByLabel("Clock at")).hasValue("fast");
    }

    /** Two people at one rig: each sees what the other links, and what one types stays. */
    @Test
    void whatAnotherLinksShowsAtOnce() {
        long rig = copyOfTheDemo("Two people");
        try (Stagehand other = new Stagehand(port)) {
            hand.page.navigate("/rigs/%d/wiring/table".formatted(rig));
            other.page.navigate("/rigs/%d/wiring/table".formatted(rig));
            int before = hand.page.locator(".links tbody tr").count();
            hand.page
                    .getByLabel("Length in metres of the cable from Choir board MIDI OUT to Choir mixer MIDI IN")
                    .fill("7.5");
            other.link("Side board USB device USB", "Computer A USB host USB 3");
            assertThat(other.page.locator(".links tbody tr")).hasCount(before + 1);
            assertThat(hand.page.locator("#rail")).containsText("%d links".formatted(before + 1));
            assertThat(hand.page.getByLabel(
                            "Length in metres of the cable from Choir board MIDI OUT to Choir mixer MIDI IN"))
                    .hasValue("7.5");
            hand.link("Monitor mixer network Network", "Router network LAN 4");
            assertThat(other.page.locator(".links tbody tr")).hasCount(before + 2);
            assertThat(rigs.load(new RigId(rig)).plan().rig().links())
                    .as("nothing is lost")
                    .hasSize(before + 2);
        }
    }

    @Test
    void aLinkToABoxThatIsGoneIsToldAndNothingBreaks() {
        long rig = copyOfTheDemo("Gone");
        Page page = hand.page;
        page.navigate("/rigs/%d/wiring?at=port:side-board.usb".formatted(rig));
        Locator partner = page.locator(".partners button", new Page.LocatorOptions().setHasText("Pictures USB 1"));
        assertThat(partner).isVisible();
        rigs.edit(new RigId(rig), Hand.ANY, new GearEdit.RemoveDevice(new DeviceId("pictures"), true));
        partner.click();
        assertThat(page.locator(".side .problem"))
                .hasText("That port is no longer in the rig; somebody took its box away. Choose another.");
        assertThat(page.locator(".partners")).not().containsText("Pictures USB 1");
    }

    @Test
    void removingABoxSaysWhatGoesWithItAndComesBack() {
        long rig = copyOfTheDemo("Remove and undo");
        Page page = hand.page;
        page.navigate("/rigs/%d/gear/thru-box".formatted(rig));
        assertThat(page.locator("#remove-form")).containsText("With it go 5 links.");
        hand.click("Remove Thru box");
        assertThat(page.locator("#rail")).containsText("79 links");
        page.keyboard().press("u");
        assertThat(page.locator("#rail")).containsText("84 links");
    }

    @Test
    void whatAnOutputCarriesIsTickedAndTheHouseNeverHearsTheClick() {
        long rig = copyOfTheDemo("Sound");
        Page page = hand.page;
        page.navigate("/rigs/%d/wiring/sound".formatted(rig));
        page.locator("#player-computer-a summary").click();
        Locator click =
                page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Computer A Headphones left"));
        click.getByLabel("click").check();
        hand.untilAtWork();
        click.getByLabel("house").check();
        assertThat(page.locator(".finding .what").first())
                .hasText("The house hears the click on Computer A Headphones left.");
        hand.click("Send it to in-ears only");
        assertThat(page.locator(".finding")).hasCount(0);
        assertThat(click.getByLabel("house")).not().isChecked();
    }

    @Test
    void listsArePrintedAndTakenAlong() {
        Page page = hand.page;
        page.navigate("/rigs/1/wiring/lists");
        assertThat(page.locator(".labels .tape").first()).hasText("1  Choir board MIDI OUT > Choir mixer MIDI IN");
        assertThat(page.locator(".cases")).containsText("Playback interface (Playback interface, two computers)");
        String csv = hand.download("Cables as CSV");
        assertThat(csv.lines().toList().get(1))
                .isEqualTo("1,5-pin,8 m,Choir board MIDI OUT,Choir mixer MIDI IN,"
                        + "1  Choir board MIDI OUT > Choir mixer MIDI IN,1  Choir mixer MIDI IN < "
                        + "Choir board MIDI OUT,");
        page.navigate("/rigs/1/wiring/failures");
        assertThat(page.locator(".points tbody tr").first()).containsText("20 of 29");
        assertThat(page.locator(".card-panel").filter(new Locator.FilterOptions().setHasText("Piano A")))
                .containsText("128 samples");
        page.navigate("/rigs/1/wiring/power");
        assertThat(page.locator(".card-panel")).containsText("Player A on Computer A; it looks for ports only now");
    }

    private Locator port(String name) {
        return hand.page.locator("svg a.plug[aria-label^=\"%s,\"]".formatted(name));
    }

    private void drag(String from, String to) {
        BoundingBox start = port(from).locator(".socket").boundingBox();
        BoundingBox end = port(to).locator(".socket").boundingBox();
        hand.page.mouse().move(start.x + start.width / 2, start.y + start.height / 2);
        hand.page.mouse().down();
        hand.page.mouse().move(start.x + 40, start.y + 20);
        assertThat(hand.page.locator("svg .pull")).hasCount(1);
        hand.page.mouse().move(end.x + end.width / 2, end.y + end.height / 2);
        hand.page.mouse().up();
    }

    private long copyOfTheDemo(String name) {
        try {
            var plan = PlanFile.read(Files.readString(Path.of("../docs/examples/quay-rig.json")));
            return rigs.create(new GearEdit.RenameRig(name).apply(plan), "Copy the demo")
                    .number();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
