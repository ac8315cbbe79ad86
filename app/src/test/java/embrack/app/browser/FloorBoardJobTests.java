package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * Programming the floor board of the demo, from empty, with the keyboard alone; and the same job by hand where the
 * keyboard is not the point.
 */
class FloorBoardJobTests extends AtTheBrowser {

    private String rig = "";

    /** A switch as it is typed: its tape, a search whose first answer is meant, what stands on the tile. */
    private record Typed(String tape, String search, String does) {}

    @BeforeEach
    void importTheDemo() throws IOException {
        hand.importFile(Files.readAllBytes(Path.of("../docs/examples/quay-rig.json")));
        hand.at("/gear");
        rig = hand.page.url().replaceAll("/gear.*", "");
    }

    @Test
    void tenSwitchesAndTheTreadleAreProgrammedFromEmptyWithTheKeyboardOnly() {
        open("/switches/quay-board/1/1");
        clearTheBank();
        List<Typed> front = List.of(
                new Typed("Piano", "select patch 1", "select Patch 1"),
                new Typed("Harp", "piano a patch 2", "select Patch 2"),
                new Typed("Harbour light", "scene 1", "recall Scene 1"),
                new Typed("Lanterns low", "scene 2", "recall Scene 2"),
                new Typed("Clean guitar", "guitar patch 9", "select Patch 9"));
        for (int i = 0; i < front.size(); i++) {
            if (i > 0) {
                press("ArrowRight", i + 1);
            }
            program(i + 1, front.get(i));
        }
        press("ArrowUp", 10);
        List<Typed> back = List.of(
                new Typed("Use B", "computer b", "use Computer B"),
                new Typed("Use A", "computer a", "use Computer A"),
                new Typed("Loop 1", "record track 1", "record or play Track 1"),
                new Typed("Boat loop", "memory 1", "select Memory 1"),
                new Typed("Dark", "on blackout", "switch on Blackout"));
        for (int i = 0; i < back.size(); i++) {
            if (i > 0) {
                press("ArrowLeft", 10 - i);
            }
            program(10 - i, back.get(i));
        }
        for (int number = 1; number <= 10; number++) {
            assertThat(hand.tile(number).locator(".verdict")).hasText("exact");
        }
        treadle();
    }

    private void clearTheBank() {
        for (String way : List.of(
                "",
                "ArrowRight",
                "ArrowRight",
                "ArrowRight",
                "ArrowRight",
                "ArrowUp",
                "ArrowLeft",
                "ArrowLeft",
                "ArrowLeft",
                "ArrowLeft")) {
            if (!way.isEmpty()) {
                String before = hand.page.locator(".tile.selected").getAttribute("data-tile");
                keys().press(way);
                assertThat(hand.page.locator(".tile.selected")).not().hasAttribute("data-tile", before);
            }
            keys().press("m");
        }
        assertThat(hand.page.locator("#clipboard-words")).hasText("10 marked");
        keys().press("Delete");
        assertThat(hand.page.locator(".tile .does.soft")).hasCount(10);
        press("ArrowDown", 1);
    }

    private void program(int number, Typed typed) {
        keys().press("t");
        keys().type(typed.tape());
        keys().press("Enter");
        assertThat(hand.tile(number).locator(".tape")).hasText(typed.tape());
        keys().press("/");
        keys().type(typed.search());
        keys().press("Enter");
        assertThat(hand.page.locator(".steps li")).hasCount(1);
        assertThat(hand.tile(number)).containsText(typed.does());
    }

    private void treadle() {
        press("ArrowRight", 7);
        press("ArrowRight", 8);
        press("ArrowRight", 9);
        press("ArrowRight", 10);
        keys().press("ArrowRight");
        assertThat(hand.page.locator(".control.selected .tape")).hasText("Harp swell");
        keys().press("/");
        keys().type("piano a control 3");
        keys().press("Enter");
        assertThat(hand.page.locator(".moved h3"))
                .hasText(new String[] {"Piano A: level of Control 1", "Piano A: level of Control 3"});
        tabTo("cap");
        tabTo("cap");
        keys().type("-6");
        keys().press("Enter");
        assertThat(hand.page.locator(".moved").nth(1).locator("dd").last()).hasText("\u22126.2 dB");
        assertThat(hand.page.locator(".side-head .mark")).hasText("exact");
        keys().press("Escape");
        keys().press("ArrowLeft");
        assertThat(hand.page.locator(".tile.selected")).hasCount(1);
    }

    /** Goes from field to field until the next of that name is reached. */
    private void tabTo(String name) {
        for (int i = 0; i < 80; i++) {
            keys().press("Tab");
            if (name.equals(hand.page.evaluate("document.activeElement.name ?? ''"))) {
                return;
            }
        }
        throw new AssertionError("no field called " + name);
    }

    @Test
    void switchesAreCopiedMovedExchangedAndBanksMadeAlikeByKeys() {
        open("/switches/quay-board/1/1");
        keys().press("c");
        assertThat(hand.page.locator("#clipboard-words")).hasText("1 copied");
        keys().press("]");
        assertThat(hand.page.locator("nav[aria-label=Banks] a[aria-current]")).hasText("B");
        press("ArrowRight", 2);
        press("ArrowRight", 3);
        keys().press("v");
        assertThat(hand.tile(3)).containsText("Piano");
        press("ArrowRight", 4);
        keys().press("b");
        assertThat(hand.tile(4)).containsText("Piano");
        keys().press("[");
        assertThat(hand.tile(1)).containsText("nothing yet");
        keys().press("u");
        assertThat(hand.page.locator("#undo")).isVisible();
        hand.page.navigate(rig + "/switches/quay-board/1/2");
        keys().press("c");
        press("ArrowRight", 3);
        keys().press("x");
        assertThat(hand.tile(3)).containsText("Harp");
        assertThat(hand.tile(2)).containsText("Harbour light");
        hand.page.navigate(rig + "/switches/quay-board/5/1");
        keys().press("v");
        assertThat(hand.page.locator(".floor-bar .problem")).hasText("Copy a switch first: select it and press c.");
        hand.choose("Make this bank like", "B");
        hand.click("Copy bank");
        assertThat(hand.tile(1)).containsText("Loop 1");
    }

    @Test
    void gesturesModesWaitsAndDutiesAreSaidAndProven() {
        open("/switches/side-board/1/6");
        hand.addStep("mute return 3", "");
        Page page = hand.page;
        assertThat(page.locator(".steps li")).containsText("no link leads there");
        hand.click("Remove mute Return 3");
        assertThat(page.locator(".steps li")).hasCount(0);
        hand.addStep("scene 3", "recall Scene 3");
        page.locator(".moments")
                .getByText("hold", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(page.locator(".empty")).containsText("Nothing happens on hold yet.");
        hand.addStep("scene 4", "recall Scene 4");
        hand.set("wait before", "400");
        assertThat(page.locator("#undo")).hasAttribute("title", Pattern.compile(".*wait before.*"));
        assertThat(page.locator(".moments a[aria-current]")).hasText("hold1");
        assertThat(hand.tile(6)).containsText("on hold Lantern desk: recall Scene 4");
        assertThat(page.locator(".proven")).containsText("Holds whatever was pressed before");
        hand.set("wait before", "20000");
        assertThat(page.locator(".wait-form .problem")).hasText("a wait is 0 to 10000 ms, was 20000");
        open("/switches/side-board/1/6");
        hand.choose("Its job in the show", "go");
        assertThat(hand.tile(6).locator(".duty")).hasText("go");
        hand.choose("Down and up", "one value down, another up");
        assertThat(page.locator("#undo")).hasAttribute("title", Pattern.compile(".*one value down, another up"));
        hand.set("On its display", "MUCHTOOLONG");
        assertThat(page.locator("#short-form .problem"))
                .hasText("Side board shows 8 characters; \"MUCHTOOLONG\" has 11.");
    }

    /** The mistake of the trade: a mute that alternates, found, explained press by press, and mended with a button. */
    @Test
    void aSwitchThatUndoesWhatItDidIsMendedWithAButton() {
        open("/switches/quay-board/4/1");
        hand.addStep("switch on blackout", "switch on Blackout");
        hand.choose("Down and up", "on, and off at the next press");
        assertThat(hand.tile(1).locator(".verdict")).hasText("every other");
        assertThat(hand.page.locator(".side .finding .what"))
                .containsText(
                        "Every second press of the switch sends the other value, CC 1 value " + "0 on channel 8.");
        assertThat(hand.page.locator(".tale li")).hasCount(2);
        hand.untilTried();
        hand.untilAtWork();
        hand.page.locator(".tale li button").last().click();
        assertThat(hand.page.locator("#trial .tape-press")).hasCount(2);
        hand.click("Have it send the same at every press");
        assertThat(hand.tile(1).locator(".verdict")).hasText("exact");
    }

    /** How people set a box before the first press is said in its panel, refused where it can mean several, printed. */
    @Test
    void whatHandsDoAtABoxIsSaidAndPrinted() {
        open("/gear/lantern-desk");
        hands("State at doors", "scene", "Set it");
        assertThat(hand.page.locator("#hands .problem")).containsText("That can mean several states: recall Scene 1");
        hands("State at doors", "blackout off", "Set it");
        assertThat(hand.page.getByLabel("Set at doors", new Page.GetByLabelOptions().setExact(true)))
                .containsText("switch off Blackout");
        hands("Part that is worked by hand", "every chase", "Mark it");
        Locator worked = hand.page.getByLabel("Also worked by hand", new Page.GetByLabelOptions().setExact(true));
        assertThat(worked.locator("li")).hasCount(2);
        hand.click("Leave Chase 1 to messages");
        assertThat(worked.locator("li")).hasCount(1);
        open("/doors");
        assertThat(hand.page.locator("main")).containsText("Booth: Lantern desk");
        Locator line = hand.page.getByLabel("Done: Off: Blackout.");
        line.click();
        assertThat(hand.page.locator("#doors-done")).containsText("1 of ");
        assertThat(line).hasAttribute("aria-pressed", "true");
        hand.click("Another evening: take all ticks back");
        assertThat(hand.page.locator("#doors-done")).containsText("0 of ");
    }

    private void hands(String field, String text, String button) {
        hand.page.getByLabel(field).fill(text);
        hand.page.getByLabel(field).press("Escape");
        hand.click(button);
    }

    @Test
    void aFaderThatStandsElsewhereSaysHowFarItJumps() {
        open("/switches/quay-board/1/treadle/1");
        hand.choose("The receiver follows", "at once");
        assertThat(hand.page.locator(".touch")).hasText("On the first touch it falls by 11.9 dB.");
        assertThat(hand.page.locator(".side .finding"))
                .containsText("the first touch makes Piano A: level of Control 1 jump");
        hand.type("It stands at", "127");
        keys().press("Enter");
        assertThat(hand.page.locator(".touch")).hasText("On the first touch it stays.");
        hand.click("Let it close in");
        assertThat(hand.page.locator(".side .finding")).hasCount(0);
        assertThat(hand.page.locator(".side .proven")).containsText("exactly as meant");
        hand.page.locator(".moved").getByLabel("heel down").fill("128");
        hand.page.keyboard().press("Enter");
        assertThat(hand.page.locator(".moved .problem")).hasText("a level must be 0 to 127, was 128");
        assertThat(hand.page.locator(".moved").getByLabel("heel down")).hasValue("128");
    }

    @Test
    void numbersArePinnedAndChannelsAndWaysOfWorkingChosen() {
        open("/switches/numbers");
        Page page = hand.page;
        assertThat(page.locator("#learner-loop-table")).containsText("3 of 16 inputs assigned");
        assertThat(page.locator("#learner-loop-table"))
                .containsText("Template first: 3 inputs of 6 settings, 18 in all, and 8 writes: 3 min 40 s.");
        hand.set("Number of record or play Track 1", "64");
        assertThat(page.locator(".learned .problem"))
                .hasText("64 is damper pedal: sounds obey it by themselves. Take another.");
        hand.set("Number of record or play Track 1", "30");
        assertThat(page.locator("#learner-loop-table")).containsText("pinned by hand");
        assertThat(page.locator(".matrix tbody tr")).hasCount(5);
        hand.set("High value of record or play Track 1", "20");
        open("/preflight");
        assertThat(page.locator(".finding").filter(new Locator.FilterOptions().setHasText("has 20 as its high value")))
                .hasCount(1);
        hand.click("Set the input plainly");
        assertThat(page.locator(".finding").filter(new Locator.FilterOptions().setHasText("has 20 as its high value")))
                .hasCount(0);
        open("/switches/schools");
        page.getByText("one switch toggles").click();
        assertThat(page.locator(".answer.chosen").first()).containsText("one switch toggles");
        keys().press("u");
        assertThat(page.locator(".answer.chosen").first()).containsText("one switch opens, one closes");
    }

    @Test
    void aBoxThatDiedIsReplacedAndTheSheetsSayWhatIsLeft() {
        open("/switches/swap?knobs=8&patches=10");
        Page page = hand.page;
        assertThat(page.locator(".links-sum"))
                .containsText("Straight: 80 links, 26 min 40 s. Through a layer: 8 links, 2 min 40 s.");
        hand.choose("Which box", "Voice board (Four-switch floor board)");
        assertThat(page.locator(".stand-ins a").first()).containsText("does 6 of 6");
        page.locator(".stand-ins a")
                .filter(new Locator.FilterOptions().setHasText("Four-switch desk board"))
                .click();
        hand.at("with=four-switch-desk-board");
        assertThat(page.locator(".verdict-line")).containsText("before the first song");
        assertThat(page.locator(".by-hand")).containsText("Give it power");
        hand.click("Make it so in the plan");
        hand.at("/sheets\\?left=true");
        assertThat(page.locator("#sheet-voice-board header")).containsText("Four-switch desk board");
    }

    @Test
    void ticksAreRememberedAndAChangeAsksOnlyForWhatChanged() {
        open("/sheets");
        Page page = hand.page;
        Locator channel = page.locator("#sheet-vocal-mixer .todo li").first();
        channel.getByRole(AriaRole.BUTTON).click();
        assertThat(channel.locator(".who")).containsText("this machine");
        page.locator("#sheet-voice-board .messages")
                .first()
                .locator("tbody tr")
                .first()
                .getByRole(AriaRole.BUTTON)
                .click();
        assertThat(page.locator("#sheet-voice-board .messages tr.done")).hasCount(1);
        page.reload();
        assertThat(page.locator(".room-head p")).containsText("2 of ");
        open("/gear/vocal-mixer");
        hand.set("MIDI receive channel", "12");
        open("/switches/voice-board/1/1");
        hand.click("Remove open Voice reverb");
        assertThat(page.locator(".steps li")).hasCount(3);
        open("/sheets?left=true");
        assertThat(page.locator("#sheet-vocal-mixer .was")).hasText("was: Set MIDI receive channel to 2.");
        assertThat(page.locator("#sheet-voice-board .was").first()).containsText("open Voice reverb");
        channel.getByRole(AriaRole.BUTTON).click();
        assertThat(page.locator("#sheet-vocal-mixer .was")).hasCount(0);
        page.getByText("Switch card").click();
        hand.at("/card");
        assertThat(page.locator(".card").first().locator("td").first()).containsText("Voice in");
        assertThat(page.locator(".card td.kill")).containsText("Stop all");
    }

    private void open(String path) {
        hand.page.navigate(rig + path);
    }

    private Keyboard keys() {
        return hand.page.keyboard();
    }

    /** Presses a key and waits until a switch is chosen. */
    private void press(String key, int number) {
        keys().press(key);
        assertThat(hand.page.locator(".tile.selected")).hasAttribute("data-tile", String.valueOf(number));
        assertThat(hand.page.url()).endsWith("/" + number);
    }
}
