package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;

/** Ways of working, each from an empty rig to its sheets, with the traps that it is known for. */
class WaysJobTests extends AtTheBrowser {

    /**
     * A board whose numbers cannot be programmed, and whose tenth breaks the run, with a pedal, on a loop table that
     * keeps what it is assigned in each memory: the pedal to 100 of 200, a low value left off, memories in use.
     */
    @Test
    void aBoardWithFixedNumbersWorksALoopTable() {
        hand.newRig("Loop corner");
        hand.addBox("Ten-switch board, factory numbers", "Board");
        hand.addBox("Loop table, five tracks", "Loops");
        hand.go("Wiring");
        hand.link("Board 5-pin MIDI OUT", "Loops 5-pin MIDI IN");
        hand.go("Switches");
        assign(1, "record track 1");
        assign(2, "stop track 1");
        assign(10, "stop all");
        hand.page.locator("a.control").click();
        hand.offer("Add a level", "track 1", "Loops: level of Track 1").click();
        assertThat(hand.page.locator(".moved h3")).hasText("Loops: level of Track 1");
        assertThat(hand.page.locator(".side .midi")).hasText("ch 1 CC 27 0 to 127");
        assertThat(hand.page.locator(".moved dd").last()).hasText("200");

        tab("Numbers");
        assertThat(row("stop all").locator("[name=number]")).hasValue("102");
        hand.set("High value of set level of Track 1", "250");
        assertThat(row("level").locator(".problem")).hasText("The box shows 0 to 200 here; write such a number.");
        hand.set("High value of set level of Track 1", "100");
        assertThat(row("level").locator("[name=high]")).hasValue("100");
        hand.choose("Mode of record or play Track 1", "on, then off");
        hand.untilAtWork();
        hand.set("in use already, to stay", "12, 40");
        assertThat(hand.page.locator("main"))
                .containsText("Memory by memory: 396 inputs, 2376 settings in all, and 99 writes");

        hand.go("Preflight");
        assertThat(hand.findings()).anyMatch(finding -> finding.contains("every second press"));
        tabTo("/switches/numbers");
        hand.choose("Mode of record or play Track 1", "momentary");
        hand.untilAtWork();
        hand.go("Preflight");
        assertThat(hand.findings()).noneMatch(finding -> finding.contains("Stops the show"));

        tabTo("/sheets");
        assertThat(hand.page.locator("#sheet-board")).containsText("Sends CC 102 by itself; nothing to program.");
        assertThat(hand.page.locator("#sheet-board")).containsText("By itself, nothing to program: CC 27");
        assertThat(hand.page.locator("#sheet-loops")).containsText("low 0, high 100");
        assertThat(hand.page.locator("#sheet-loops"))
                .containsText("Memories in use: 12, 40. Never write a template over them");
        assertThat(hand.page.locator("#sheet-loops")).containsText("Memory 12, in use: set the inputs");
    }

    /**
     * Pads that keep channel 10 turn the pages of a words computer, and a spare board at the other side works a sounds
     * switcher by its banks: the channel that does not meet, a bank that is counted otherwise.
     */
    @Test
    void padsTurnPagesAndAPatchIsFoundByItsBank() {
        hand.newRig("Other side");
        hand.addBox("Pads-and-keys controller", "Keys");
        hand.addBox("Words-and-pictures computer", "Words");
        hand.addBox("Four-switch program board", "Spare board");
        hand.addBox("Sounds switcher, 8 a bank", "Sounds");
        hand.go("Wiring");
        hand.link("Words USB host USB 1", "Keys USB device USB");
        hand.link("Spare board 5-pin MIDI OUT", "Sounds 5-pin MIDI IN");
        tabTo("/switches/keys/1/pad1");
        hand.addStep("next slide", "Words: next Slide");
        assertThat(pad(1).locator(".verdict")).hasText("dead");
        assertThat(hand.findings())
                .anyMatch(finding -> finding.contains("Keys sends on channel 10; Words listens on channel 16."));
        hand.click("Set Words to channel 10");
        assertThat(pad(1).locator(".verdict")).hasText("exact");
        hand.page.locator("[data-press=pad1]").click();
        assertThat(hand.page.locator("#trial")).containsText("next Slide");

        tabTo("/switches/spare-board/1/1");
        Locator found = hand.offer("Add a step", "bank 3 patch 2", "Sounds");
        assertThat(hand.page.locator("#offers li")).containsText(new String[] {
            "select Patch 26 (bank 3, patch 2, banks from 0, as this box counts)",
            "select Patch 18 (bank 3, patch 2, banks from 1)"
        });
        found.click();
        assertThat(hand.page.locator(".steps .deed")).hasText("Sounds select Patch 26 (bank 3, patch 2)");
        hand.page.locator("#pad-button").click();
        tabTo("/sheets");
        assertThat(hand.page.locator("#sheet-keys")).containsText("Pad 1");
        assertThat(hand.page.locator("#sheet-spare-board")).containsText("Patch 26 (bank 3, patch 2)");
        assertThat(hand.page.locator("main")).not().containsText("to missing");
    }

    /**
     * A board at the other side that only steps up and down: it counts from where it stands itself, so the table of the
     * sounds switcher is written from the order, and another order says what changes.
     */
    @Test
    void aBoardThatCountsWalksTheShow() {
        hand.newRig("Walk");
        hand.addBox("Program up/down board", "Stepper");
        hand.addBox("Four-switch program board", "Spare board");
        hand.addBox("Merger, 2 to 1", "Merger");
        hand.addBox("Sounds switcher, 8 a bank", "Sounds");
        hand.addBox("Linear-timeline player", "Player");
        hand.go("Wiring");
        hand.link("Stepper 5-pin MIDI OUT", "Merger 5-pin IN 1");
        hand.link("Spare board 5-pin MIDI OUT", "Merger 5-pin IN 2");
        hand.link("Merger 5-pin OUT", "Sounds 5-pin MIDI IN");
        addSong(
                "Ebb",
                "Verse: 8 bars\n  sound: Patch 12\nRefrain: 8 bars\n  sound: Patch 90\nEnd: 4 bars\n  sound: Patch 12");
        addSong("Flood", "Verse: 8 bars\n  sound: Patch 12\nTurn: 8 bars\n  sound: Patch 3");

        tabTo("/switches/stepper/1/2");
        hand.page.locator("#walk-sounds").fill("Horns");
        hand.click("Go through these");
        assertThat(hand.page.locator(".walk .problem")).containsText("Nothing on Sounds is called \"Horns\".");
        assertThat(hand.page.locator("#walk-sounds")).hasValue("Horns");
        hand.click("Walk tonight's order");
        assertThat(hand.page.locator(".walk tbody tr")).hasText(new String[] {
            "1 Patch 12 Ebb, Verse here",
            "2 Patch 90 Ebb, Refrain 1 up",
            "3 Patch 12 Ebb, End 2 up, over Patch 90",
            "4 Patch 3 Flood, Turn 3 up, over Patch 90 and Patch 12",
            "5 Patch 3 4 up, over Patch 90, Patch 12 and Patch 3"
        });
        assertThat(hand.tile(2).locator(".verdict")).hasText("exact");
        for (String sound : new String[] {"Patch 90", "Patch 12", "Patch 3"}) {
            hand.page.locator("[data-press='2']").click();
            assertThat(hand.page.locator("#trial .tape-press").first()).containsText("select " + sound);
        }

        tabTo("/switches/spare-board/1/1");
        hand.addStep("patch 40", "Sounds: select Patch 40");
        hand.go("Preflight");
        assertThat(hand.findings()).anyMatch(finding -> finding.contains("Stepper steps through sounds of Sounds"));
        tabTo("/songs/ebb/how");
        hand.page.locator("#how").fill("Verse: 8 bars\n  sound: Patch 90\nRefrain: 8 bars\n  sound: Patch 12");
        hand.page.locator("form:has(#how) button.is-primary").click();
        hand.go("Preflight");
        assertThat(hand.findings())
                .anyMatch(finding -> finding.contains("Position 1 of Stepper should bring Patch 90 for Ebb, Verse"));
        hand.click("Walk tonight's order");
        assertThat(hand.page.locator("main")).not().containsText("Position 1 of Stepper");

        tabTo("/sheets");
        assertThat(hand.page.locator("#sheet-sounds")).containsText("Program 1: Patch 90");
        assertThat(hand.page.locator("#sheet-stepper")).containsText("2: Patch 12, for Ebb, Refrain");
    }

    private void addSong(String title, String how) {
        tabTo("/songs");
        hand.page.locator("form:has(#new-how) [name=title]").fill(title);
        hand.page.locator("#new-how").fill(how);
        hand.click("Add the song");
        assertThat(hand.page.locator("main")).containsText(title);
    }

    private Locator pad(int number) {
        return hand.page.locator("[data-tile=pad%d]".formatted(number));
    }

    private void assign(int number, String search) {
        hand.chooseSwitch(number);
        hand.addStep(search, "Loops");
        assertThat(hand.tile(number).locator(".verdict")).hasText("exact");
    }

    private Locator row(String words) {
        return hand.page
                .locator("tr", new Page.LocatorOptions().setHasText(words))
                .first();
    }

    private void tab(String words) {
        hand.page
                .locator("nav.room-tabs a", new Page.LocatorOptions().setHasText(words))
                .click();
        assertThat(hand.page.locator("nav.room-tabs a[aria-current]")).hasText(words);
    }

    private void tabTo(String path) {
        hand.page.navigate(hand.page.url().replaceAll("(/rigs/\\d+)/.*", "$1" + path));
    }
}
