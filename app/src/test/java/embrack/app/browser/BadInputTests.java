package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import embrack.app.ThrowAwayCluster;
import embrack.files.plan.PlanFile;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * What people type by mistake gets its reason at the field, and the page keeps it; a lost database loses nothing
 * either.
 */
class BadInputTests extends AtTheBrowser {

    @BeforeEach
    void begin() {
        importExample();
        hand.openBox("Vocal mixer");
        assertThat(field("Job")).hasValue("Vocal mixer");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            MIDI receive channel | 0        | MIDI receive channel goes from 1 to 16; 0 is not on the box.
            MIDI receive channel | 17       | MIDI receive channel goes from 1 to 16; 17 is not on the box.
            MIDI receive channel | 128      | MIDI receive channel goes from 1 to 16; 128 is not on the box.
            MIDI receive channel | -1       | MIDI receive channel goes from 1 to 16; -1 is not on the box.
            MIDI receive channel | two      | Write a whole number in digits.
            MIDI receive channel | ''       | Write a number; it is empty.
            Job                  | ''       | Write a name; it is empty.
            Job                  | <b>Vox   | Leave out < and >; a name is plain text.
            Job                  | voice BOARD | There is already a box called Voice board. Give each its own name.
            Input 2              | Vocal mic   | Input 1 is already called Vocal mic. Give each its own name.
            Name of the rig      | ''       | Write a name; it is empty.
            """)
    void isRefusedAtItsFieldAndKept(String label, String typed, String reason) {
        hand.set(label, typed);
        assertThat(hand.page.locator(".problem")).hasText(reason);
        Stagehand.see(field(label), typed);
        hand.page.reload();
        assertThat(hand.page.locator(".problem")).hasCount(0);
        assertThat(hand.page.locator("#undo")).isDisabled();
    }

    @Test
    void aVeryLongNameIsRefused() {
        hand.set("Job", "x".repeat(10_000));
        assertThat(hand.page.locator(".problem")).hasText("A name has at most 40 characters; this one has 10000.");
        assertThat(hand.page.locator(".rig-name")).isVisible();
    }

    @Test
    void whatIsTypedBesideARefusedFieldStays() {
        hand.type("Its job", "Half a nam");
        hand.set("Input 2", "Main");
        assertThat(hand.page.locator(".problem")).hasText("Main is already called Main. Give each its own name.");
        Stagehand.see(field("Its job"), "Half a nam");
    }

    @Test
    void aBoxThatIsStillUsedIsKeptUntilItsStepsMayGo() {
        hand.click("Remove Vocal mixer");
        assertThat(hand.page.locator(".problem"))
                .containsText("Vocal mixer is still used by Voice board, bank A, switches 1, 2, 3 and 4.");
        hand.click("Remove it with its steps");
        assertThat(hand.page.locator(".boxes li")).hasCount(1);
        hand.page.keyboard().press("u");
        assertThat(hand.page.locator(".boxes li")).hasCount(2);
    }

    @Test
    void aPageThatIsBehindSaysThatTheBoxIsGone() {
        hand.go("Switches");
        Locator offer = hand.offer("Add a step", "mute main", "mute Main");
        removeElsewhere("Vocal mixer", "vocal-mixer");
        offer.click();
        assertThat(hand.page.locator(".problem"))
                .containsText("That box is no longer in the rig. Choose another. Meanwhile: \"Remove V");
        removeElsewhere("Voice board", "voice-board");
        hand.page.getByLabel("Tape beside the switch").fill("Late");
        hand.page.getByLabel("Tape beside the switch").press("Enter");
        assertThat(hand.page.locator(".problem"))
                .containsText("That box is no longer in the rig. Choose another. Meanwhile: \"Remove V");
        assertThat(hand.page.locator("main")).containsText("There is no box with switches in this rig yet.");
    }

    @Test
    void aFieldOfABoxThatIsGoneSaysSo() {
        removeElsewhere("Vocal mixer", "vocal-mixer");
        field("Input 2").fill("Late");
        field("Input 2").press("Enter");
        assertThat(hand.page.locator(".problem"))
                .containsText("That box is no longer in the rig. Choose another. Meanwhile: \"Remove V");
        assertThat(hand.page.locator(".boxes li")).hasCount(1);
    }

    @ParameterizedTest
    @CsvSource({"/switches/voice-board/0/1", "/switches/voice-board/1/99999", "/nowhere"})
    void addressesThatLeadNowhereSaySoCalmly(String path) {
        assertThat(hand.page
                        .navigate(hand.page.url().replaceFirst("/gear.*", path))
                        .status())
                .isEqualTo(404);
        assertThat(hand.page.locator("h1")).hasText("There is no such page");
    }

    private void removeElsewhere(String name, String id) {
        try (Stagehand other = new Stagehand(port)) {
            other.page.navigate(hand.page.url().replaceFirst("/(switches|gear).*", "/gear/" + id));
            other.click("Remove " + name);
            if (id.equals("vocal-mixer")) {
                other.click("Remove it with its steps");
            }
            assertThat(other.page.locator(".boxes a[href$='" + id + "']")).hasCount(0);
        }
    }

    @Test
    void filesThatAreNoPlanAreRefused() {
        hand.importFile("[not a plan".getBytes(StandardCharsets.UTF_8));
        assertThat(hand.page.locator(".problems")).containsText("line 1, column");
        hand.importFile(Examples.muteBoard().replace("\"links\"", "\"ropes\"").getBytes(StandardCharsets.UTF_8));
        assertThat(hand.page.locator(".problems")).containsText("links: is missing");
        hand.importFile(Examples.muteBoard()
                .replace("\"version\" : " + PlanFile.VERSION, "\"version\" : " + (PlanFile.VERSION + 1))
                .getBytes(StandardCharsets.UTF_8));
        assertThat(hand.page.locator(".problems")).containsText("written by a newer Embrack");
        hand.importFile(new byte[20 << 20]);
        assertThat(hand.page.locator(".problem")).containsText("This file has 20.0 MB; a plan has at most 16 MB.");
    }

    @Test
    void aLostDatabaseIsSaidCalmlyAndTheWorkGoesOn() {
        Page page = hand.page;
        String here = page.url();
        ThrowAwayCluster.shared().stop();
        try {
            hand.set("Job", "Voice mixer");
            assertThat(page.locator("#lost"))
                    .hasText("The database does not answer. What you typed is still here; try again in a moment.");
            Stagehand.see(field("Job"), "Voice mixer");
            try (Stagehand other = new Stagehand(port)) {
                other.page.navigate(here);
                assertThat(other.page.locator("h1")).hasText("The database does not answer");
            }
        } finally {
            ThrowAwayCluster.shared().start();
        }
        // The pool of connections may need a moment to notice; a person tries again, as the page says.
        for (int tries = 0; tries < 20 && page.locator("#lost").isVisible(); tries++) {
            page.waitForResponse(
                    r -> r.request().method().equals("POST"), () -> field("Job").press("Enter"));
            page.waitForTimeout(500);
        }
        assertThat(page.locator("#lost")).isHidden();
        page.reload();
        Stagehand.see(field("Job"), "Voice mixer");
    }

    private Locator field(String label) {
        return hand.page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }
}
