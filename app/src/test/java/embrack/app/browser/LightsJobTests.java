package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import embrack.core.light.FixtureType;
import embrack.core.light.FixtureTypeId;
import embrack.core.light.library.Fixtures;
import embrack.core.light.text.FixtureReading;
import embrack.core.light.text.FixtureText;
import embrack.core.name.TapeLabel;
import embrack.files.gdtf.GdtfWriter;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Lights from nothing: what hangs, what it shows, what the desk holds, what a switch shows; interactions counted. */
class LightsJobTests extends AtTheBrowser {

    @Test
    void twoLampsAndFourLooksAreAsEasyAsOnAnEnvelope() {
        hand.newRig("Two lamps");
        hand.load("/lights/fixtures");
        hang("Small par, three colours", "2");
        hand.load("/lights");
        look("Warm", "all: warm 60 %");
        look("Blue", "all: blue 40 %");
        look("Two", "all: amber and violet 80 %");
        look("Dark", "all: dark");
        assertThat(hand.page.locator(".look-card")).hasCount(4);
        assertThat(hand.page.locator(".beam")).hasCount(0);
        hand.hit(card("Two"));
        assertThat(hand.page.locator(".beam")).hasCount(2);
        assertThat(hand.interactions()).isLessThanOrEqualTo(25);
    }

    /** A small desk, its lamps, looks in its scenes, a switch that shows one, and the sheet to program it by. */
    @Test
    void aDeskIsPlannedFromItsLampsToItsSheet() {
        hand.newRig("Lights");
        hand.addBox("Ten-switch board with expression pedal", "Board");
        hand.addBox("Small scene desk", "Desk");
        hand.go("Wiring");
        hand.link("Board 5-pin MIDI OUT", "Desk 5-pin MIDI IN");
        assertThat(hand.page.locator("#links")).containsText("Desk");
        hand.load("/lights/fixtures");
        hang("Colour bar, one piece", "2");
        hang("Lantern", "3");
        hand.type("Address of Bar 2", "510");
        hand.click("Keep Bar 2");
        assertThat(hand.page.locator(".problem")).containsText("Bar 2 takes 4 slots from 510: 1 too many.");
        hand.type("Address of Bar 2", "33");
        hand.click("Keep Bar 2");
        assertThat(hand.page.locator(".fixture").nth(1)).containsText("small switches on: 1 and 6");
        hand.load("/lights");
        look("Harbour", "bars: deep blue 60 %\nlanterns: warm 30 %");
        look("Storm", "bars: white 100 %");
        hand.type("Name of the new look", "Home");
        hand.type("What it shows", "bars: ambre 20 %");
        hand.click("Add the look");
        assertThat(hand.page.locator(".problem")).containsText("Is it amber?");
        hand.type("What it shows", "bars: amber 20 %");
        hand.click("Add the look");
        assertThat(hand.page.locator(".look-card")).hasCount(3);
        hand.type("New chase", "Squall");
        hand.type("its looks", "Harbour, Storm");
        hand.type("each lasts", "0.1");
        hand.click("Add the chase");
        assertThat(hand.page.locator(".chase")).containsText("0.200 s a round");
        hand.untilAtWork();
        hand.type("How long a step of Squall lasts", "0.75");
        hand.click("Keep Squall");
        assertThat(hand.page.locator(".chase")).containsText("1.500 s a round");
        hand.load("/lights/desks");
        hand.click("Store the 3 others");
        assertThat(hand.page.locator("main")).containsText("It holds all looks.");
        hand.load("/switches/board/1/1");
        hand.addStep("storm", "Desk: recall Scene 2 (Storm)");
        assertThat(hand.tile(1).locator(".verdict")).hasText("exact");
        hand.load("/lights?look=storm");
        assertThat(hand.page.getByLabel("The look", new Page.GetByLabelOptions().setExact(true)))
                .containsText("Board, bank A, switch 1");
        hand.load("/sheets");
        Locator sheets = hand.page.locator("main");
        assertThat(sheets).containsText("Scene 2: Storm");
        assertThat(sheets).containsText("Bar 2 (from 33)");
        assertThat(sheets).containsText("Bar 2: mode 4 slots, address 33, small switches on: 1 and 6");
        assertThat(hand.interactions()).isLessThanOrEqualTo(60);
        goesOutAndIsHeard();
        comesFromAFile();
    }

    /** A fixture from a file of the format that makers write, and out again. */
    private void comesFromAFile() {
        hand.load("/lights/fixtures");
        FixtureType bar =
                Fixtures.find(new FixtureTypeId("colour-bar-four-cells")).orElseThrow();
        FixtureType hired = FixtureReading.of(bar.id(), new TapeLabel("Hired bar"), FixtureText.of(bar))
                .type()
                .orElseThrow();
        hand.page.setInputFiles(
                "#type-file", new FilePayload("bar.gdtf", "application/octet-stream", GdtfWriter.write(hired)));
        hand.click("Read the fixture");
        hand.untilAtWork();
        hang("Hired bar", "1");
        assertThat(hand.page.locator(".fixture").last()).containsText("Hired bar");
        isDraggedToItsPlace();
        whatIsRefusedStaysInSight();
        hand.page.setInputFiles("#type-file", new FilePayload("x.gdtf", "application/octet-stream", new byte[] {7}));
        hand.click("Read the fixture");
        assertThat(hand.page.locator(".problem")).containsText("This is no GDTF file");
    }

    /** Whom it lights is asked below "Where it hangs", which is open again when a name was refused. */
    private void whatIsRefusedStaysInSight() {
        hand.page.locator(".fixture").first().locator("summary").click();
        hand.page.locator("#whom-bar-1").fill("<Keeper>");
        hand.click("Keep whom Bar 1 lights");
        assertThat(hand.page.locator(".fixture .problem")).isVisible();
        assertThat(hand.page.locator("#whom-bar-1")).hasValue("<Keeper>");
        hand.page.locator("#whom-bar-1").fill("Keeper");
        hand.click("Keep whom Bar 1 lights");
        assertThat(hand.page.locator("main")).containsText("Keeper: Bar 1");
        hand.untilAtWork();
    }

    /** From above, to the right and to the back; the fields say where it hangs then. */
    private void isDraggedToItsPlace() {
        Locator bar = hand.page.locator(".hung[data-fixture=bar-1]");
        bar.scrollIntoViewIfNeeded();
        BoundingBox box = bar.boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 3;
        hand.page.mouse().move(x, y);
        hand.page.mouse().down();
        hand.page.mouse().move(x + 20, y - 10);
        hand.page.mouse().move(x + 90, y - 40);
        hand.page.mouse().up();
        Locator across = hand.page.locator("#across-bar-1");
        assertThat(across).not().hasValue("-4");
        hand.untilAtWork();
        assertThat(hand.page.locator(".hung[data-fixture=bar-1] title")).not().containsText("-4 m right");
        assertThat(hand.page.locator("#undo")).hasAttribute("title", Pattern.compile(".*Bar 1.*"));
    }

    /** The looks without a desk, to a receiver that reads the packets by the standard and draws what came. */
    private void goesOutAndIsHeard() {
        hand.load("/lights/output");
        assertThat(hand.page.locator("#heard")).hasText("Nothing is sent.");
        hand.choose("What", "the look Storm");
        hand.type("To the address of a node", "8.8.4.4");
        hand.click("Send");
        assertThat(hand.page.locator(".problem")).containsText("8.8.4.4 lies outside the building.");
        hand.type("To the address of a node", "");
        hand.click("Send");
        Locator heard = hand.page.locator("#heard");
        assertThat(heard.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("Bar 2")))
                .containsText(Pattern.compile("33\\s*112 255 254 255\\s*yes"));
        assertThat(heard).containsText("none lost");
        assertThat(heard.locator(".beam")).hasCount(2);
        hand.choose("What", "the chase Squall");
        hand.click("Send");
        assertThat(heard.locator("h2")).containsText("Squall, to the simulated receiver");
        assertThat(heard.locator(".beam")).hasCount(5);
        assertThat(heard.locator(".beam")).hasCount(2);
        standsInForTheDesk(heard);
        hand.click("Stop sending");
        assertThat(hand.page.locator("#heard")).hasText("Nothing is sent.");
    }

    /** What the desk would be told is obeyed here: a switch of the rig, and a MIDI input of the browser. */
    private void standsInForTheDesk(Locator heard) {
        hand.choose("What", "whatever Desk is told");
        hand.click("Send");
        assertThat(heard).containsText("Desk would show now: nothing");
        hand.page.evaluate("""
                () => {
                  const input = { id: "1", name: "Foot board, simulated" };
                  window.press = (...bytes) =>
                    input.onmidimessage({ timeStamp: performance.now(), data: new Uint8Array(bytes) });
                  navigator.requestMIDIAccess = async () => ({ inputs: new Map([[input.id, input]]) });
                }""");
        hand.click("Hear the MIDI inputs of this browser");
        assertThat(hand.page.locator("#midi-state")).hasText("Hears Foot board, simulated.");
        hand.page.evaluate("() => window.press(0x90, 36, 127)");
        assertThat(heard).containsText("Desk would show now: Harbour");
        assertThat(heard).containsText("recall Scene 1");
        assertThat(heard.locator(".beam")).hasCount(5);
        hand.page.locator(".feet button").first().click();
        assertThat(heard).containsText("Desk would show now: Storm");
        assertThat(heard.locator(".beam")).hasCount(2);
    }

    private void hang(String type, String count) {
        hand.choose("What it is", type);
        hand.type("How many", count);
        hand.click("Hang them");
        hand.untilAtWork();
        assertThat(hand.page.getByLabel("How many")).hasValue("1");
    }

    private void look(String name, String text) {
        hand.type("Name of the new look", name);
        hand.type("What it shows", text);
        hand.click("Add the look");
        assertThat(card(name)).isVisible();
        hand.untilAtWork();
    }

    private Locator card(String name) {
        return hand.page.locator(".look-card").filter(new Locator.FilterOptions().setHasText(name));
    }
}
