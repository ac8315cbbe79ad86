package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Changing what a switch does, step by step, and finding actions by words. */
class SwitchEditingTests extends AtTheBrowser {

    @BeforeEach
    void begin() {
        importExample();
        hand.go("Switches");
    }

    @Test
    void stepsAreMovedRemovedAndClearedAndEachCanBeTakenBack() {
        Locator steps = hand.page.locator(".steps .deed");
        assertThat(steps).hasText(new String[] {
            "Vocal mixer open Vocal reverb return",
            "Vocal mixer open Vocal delay return",
            "Vocal mixer open Vocal mic",
            "Vocal mixer open Main"
        });
        hand.click("open Main earlier");
        assertThat(steps.nth(2)).hasText("Vocal mixer open Main");
        hand.click("Remove open Vocal delay return");
        assertThat(steps).hasCount(3);
        assertThat(hand.tile(1)).containsText("open Vocal reverb return, Main and Vocal mic");
        hand.click("Clear this switch");
        assertThat(steps).hasCount(0);
        assertThat(hand.tile(1)).containsText("nothing yet");
        hand.page.keyboard().press("u");
        assertThat(steps).hasCount(3);
        hand.page.keyboard().press("u");
        assertThat(steps).hasCount(4);
        hand.page.keyboard().press("u");
        assertThat(steps.last()).hasText("Vocal mixer open Main");
    }

    @Test
    void actionsAreFoundByPartsOfWordsAndSayWhatTheyWouldSend() {
        hand.page.keyboard().press("/");
        hand.page.keyboard().type("ret 3 mut");
        Locator offers = hand.page.locator("#offers button");
        assertThat(offers).hasCount(1);
        assertThat(offers.first()).containsText("Vocal mixer: mute Return 3");
        assertThat(offers.first()).containsText("B1 3A 7F");
        hand.page.getByLabel("Add a step").fill("trombone");
        assertThat(hand.page.locator("#offers")).containsText("No box in the rig can do that.");
        hand.page.getByLabel("Add a step").fill("input");
        assertThat(hand.page.locator("#offers")).containsText("24 more; type another word");
    }

    @Test
    void theSameIsDoneToManyPartsAtOnce() {
        hand.page.getByText("Bank C").click();
        assertThat(hand.tile(1)).containsText("nothing yet");
        hand.page.getByLabel("Add a step").fill("mute return");
        hand.click("Add all 4");
        assertThat(hand.page.locator(".steps li")).hasCount(4);
        assertThat(hand.tile(1)).containsText("mute Vocal reverb return, Vocal delay return, Return 3 and Return 4");
        hand.page.keyboard().press("u");
        assertThat(hand.page.locator(".steps li")).hasCount(0);
    }

    @Test
    void banksAreSwitchesOfTheirOwn() {
        hand.page.getByText("Bank C").click();
        assertThat(hand.tile(1)).containsText("nothing yet");
        hand.addStep("mute main", "mute Main");
        hand.set("Tape beside the switch", "All quiet");
        assertThat(hand.tile(1)).containsText("All quiet");
        assertThat(hand.tile(1).locator(".verdict")).hasText("exact");
        hand.page.getByText("Bank A").click();
        assertThat(hand.tile(1)).containsText("open Vocal reverb return");
        hand.go("Preflight");
        assertThat(hand.page.locator(".proofs tbody tr")).hasCount(5);
        assertThat(hand.page.locator(".proofs tbody tr").last()).containsText("Voice board, bank C, switch 1");
    }

    @Test
    void whatStandsBesideAFieldFollowsWhatWasTypedIntoIt() {
        hand.page.getByText("Bank D").click();
        assertThat(hand.tile(1)).containsText("nothing yet");
        hand.set("Tape beside the switch", "Later");
        assertThat(hand.page.locator("#said .finding"))
                .containsText("The switch is called Later and does nothing yet.");
        assertThat(hand.page.locator(".health")).containsText("1 note");
        assertThat(hand.page.getByText("Clear this switch")).isVisible();
        hand.go("Gear");
        hand.openBox("Vocal mixer");
        hand.set("Job", "Voice mixer");
        assertThat(hand.page.locator("#remove-form")).containsText("Remove Voice mixer");
        assertThat(hand.page.locator("#boxes")).containsText("Voice mixer");
    }

    @Test
    void openingAMicShowsTheCaution() {
        assertThat(hand.page.locator(".side .caution")).containsText("can howl");
        hand.chooseSwitch(2);
        assertThat(hand.page.locator(".side .caution")).hasCount(0);
    }
}
