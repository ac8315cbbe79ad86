package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/**
 * Fourteen ways of working, each whole from the start page to its sheets, by somebody who has never seen the pages: how
 * many interactions that takes is counted.
 */
class WaysFromNothingTests extends AtTheBrowser {

    private static final int MOST = 60;

    @AfterEach
    void aWayTakesAtMostSixtyInteractions() {
        assertThat(hand.interactions()).isLessThanOrEqualTo(MOST);
    }

    @Test
    void aSwitchOfOnesOwnIsProvenInTwelve() {
        hand.newRig("Mine");
        take("press", "four switches", "Four-switch floor board");
        take("obey", "mixer", "Rack mixer");
        hand.click("Join Board to Mixer");
        follow("Say it");
        hand.addStep("mute main", "Mixer: mute Main");
        assertThat(hand.tile(1).locator(".verdict")).hasText("exact");
        assertThat(hand.interactions()).isLessThanOrEqualTo(12);
        assertThat(hand.seconds()).isLessThan(90);
    }

    @Test
    void fourSwitchesMuteFourStrips() {
        hand.newRig("Mutes");
        begin("Four switches mute a mixer");
        row("mute inputs 1-4");
        assertThat(hand.verdicts()).containsOnly("exact");
        sheets();
        assertThat(sheet("board")).containsText("Mixer: mute Input 4");
        assertThat(hand.interactions()).isLessThanOrEqualTo(25);
        assertThat(hand.seconds()).isLessThan(180);
        hand.load("/switches/board/2/1");
        row("open inputs 1-4");
        assertThat(hand.verdicts()).containsOnly("exact");
        hand.load("/switches/schools");
        assertThat(hand.page.locator("main")).containsText("lost message");
        preflightIsClean();
    }

    @Test
    void aLoopStationIsWorkedByFactoryNumbers() {
        hand.newRig("Loops");
        begin("A foot board and pedal work a loop station");
        row("record tracks 1-5", "1-5");
        row("stop tracks 1-5", "6-10");
        assertThat(hand.tile(10)).containsText("Track 5");
        assertThat(hand.tile(10).locator(".verdict")).hasText("exact");
        hand.hit(hand.page.locator("a.control").first());
        hand.hit(hand.offer("Add a level", "track 1", "Loops: level of Track 1"));
        assertThat(hand.page.locator(".moved h3")).hasCount(1);
        hand.untilAtWork();
        hand.hit(hand.offer("Add a level", "track 2", "Loops: level of Track 2"));
        assertThat(hand.page.locator(".moved h3")).hasCount(2);
        tab("Numbers");
        hand.set("High value of set level of Track 1", "100");
        hand.set("High value of set level of Track 2", "100");
        hand.set("in use already, to stay", "12, 40");
        preflightIsClean();
        sheets();
        assertThat(sheet("loops")).containsText("low 0, high 100");
        assertThat(sheet("loops")).containsText("Memories in use: 12, 40");
    }

    @Test
    void padsInTwelveKeysComeFromTheFeet() {
        hand.newRig("Pads");
        begin("Feet call pads in twelve keys");
        row("play rows 1-8", "1-8");
        hand.chooseSwitch(10);
        hand.addStep("stop everything", "Pads: stop all Rows");
        hand.chooseSwitch(9);
        hand.addStep("next row", "Pads: next Row");
        hand.hit(hand.page.locator("a.control").first());
        hand.hit(hand.offer("Add a level", "pads", "Pads: level of Pads"));
        hand.load("/gear/pads");
        hand.choose("Time-stretch pads", "off");
        hand.untilAtWork();
        preflightIsClean();
        sheets();
        assertThat(hand.page.locator("main")).containsText("Time-stretch pads");
    }

    @Test
    void aTabletAndThreeSwitchesRunASetList() {
        hand.newRig("Set list");
        songs("Ebb, D, 84\nFlood, G, 96\nSpring Tide, A");
        hand.load("/gear");
        begin("A tablet with tracks and three switches");
        hand.addStep("start", "Tracks: play Tracks");
        hand.chooseSwitch(2);
        hand.addStep("next song", "Tracks: next Song");
        hand.chooseSwitch(4);
        hand.addStep("panic", "Tracks: stop");
        hand.load("/songs/ebb/how");
        hand.type(
                "How it goes", "tempo 84\nVerse: 16 bars\nstem Drums: percussion, played by Drums\nstem Click: click");
        hand.hit(hand.page.locator("form:has(#how) button[type=submit]"));
        hand.untilAtWork();
        hand.load("/order");
        hand.hit(hand.page.locator("a.part").first());
        hand.page.locator("#way").waitFor();
        hand.choose("Goes over", "crossfade");
        hand.type("Time of going over", "0:04");
        hand.hit(hand.page.locator("form:has(#way) button[type=submit]"));
        assertThat(hand.page.locator(".order .over").first()).hasText("crossfade 0:04");
        hand.untilAtWork();
        hand.hit(hand.page.locator("input[name=present][value=Drums]"));
        hand.untilAtWork();
        preflightIsClean();
        hand.load("/wiring/sound");
        assertThat(hand.page.locator("main")).containsText("click");
        sheets();
        assertThat(hand.page.locator("main")).containsText("Try every switch");
    }

    @Test
    void tracksOnATabletWorkEffects() {
        hand.newRig("Effects");
        songs("Ebb, D, 84\nFlood, G\nSpring Tide, A\nSlack Water, Em");
        hand.load("/gear");
        begin("A foot board works a tablet, and its tracks work effects");
        row("songs 1-4");
        assertThat(hand.verdicts()).containsOnly("exact");
        hand.load("/songs/ebb/player");
        hand.type("Pasted from the player", "0:05.000 CC ch 1 49 127");
        hand.click("Read it");
        hand.click("Update: change 0, add 1");
        assertThat(hand.page.locator("#prompt .pin")).hasCount(1);
        preflightIsClean();
    }

    @Test
    void instrumentsAreReachedThroughTheAir() {
        hand.newRig("Air");
        begin("A foot board reaches instruments through a tablet and the air");
        hand.addStep("next sound", "Instruments: next Patch");
        assertThat(hand.tile(1).locator(".verdict")).hasText("late");
        sheets();
        assertThat(hand.page.locator("main")).containsText("Set Role to invites.");
    }

    @Test
    void fadersAndButtonsWorkProjection() {
        hand.newRig("Projection");
        begin("Faders and buttons work a projection computer");
        hand.load("/switches/faders/1/row");
        hand.choose("Fill", "faders");
        say("opacity of layers 1-4", "1-4");
        hand.click("Keep");
        hand.load("/switches/faders/1/row");
        say("go cues 1-8", "1-8");
        hand.click("Keep");
        assertThat(hand.tile(1).locator(".verdict")).hasText("exact");
        preflightIsClean();
        sheets();
        assertThat(sheet("faders")).containsText("Screens: level of Layer 4");
    }

    @Test
    void aSpareBoardCallsPatches() {
        hand.newRig("Spare");
        begin("A spare board at the other side changes sounds");
        hand.load("/switches/spare-board/1/1");
        hand.hit(hand.offer("Add a step", "bank 3 patch 2", "Sounds"));
        assertThat(hand.page.locator(".steps .deed")).hasText("Sounds select Patch 26 (bank 3, patch 2)");
        assertThat(hand.tile(1).locator(".verdict")).hasText("exact");
        hand.load("/switches/board/1/1");
        row("patches 1-8", "1-8");
        assertThat(hand.tile(8).locator(".verdict")).hasText("exact");
        preflightIsClean();
    }

    @Test
    void aStageKeyboardWorksInstruments() {
        hand.newRig("Keys");
        begin("A stage keyboard works an instrument host");
        hand.load("/switches/keys/1/pad1");
        hand.addStep("next sound", "Instruments: next Patch");
        assertThat(hand.page.locator("[data-tile=pad1] .verdict")).hasText("exact");
        hand.load("/switches/keys/1/row");
        hand.choose("Fill", "knobs");
        say("level of patch 1 knobs 1-8", "1-8");
        hand.click("Keep");
        hand.load("/switches/swap?box=keys&with=keyboard-workstation");
        assertThat(hand.page.locator("main")).containsText("Through a layer: 8 links, 2 min 40 s");
        sheets();
        assertThat(hand.page.locator("main")).containsText("Instruments learns");
    }

    @Test
    void aWorkstationCallsSongsAndParts() {
        hand.newRig("Workstation");
        begin("A keyboard workstation works a player");
        row("jump songs 1-4", "1-4");
        assertThat(hand.tile(4).locator(".verdict")).hasText("exact");
        preflightIsClean();
        sheets();
        assertThat(sheet("workstation")).containsText("Set Surface mode to external.");
    }

    @Test
    void aFaderBoxIsLearnedAsARemote() {
        hand.newRig("Remote");
        begin("A fader box is the remote of a player");
        hand.load("/switches/faders/1/fader/1");
        hand.hit(hand.offer("Add a level", "volume pads", "Tracks: level of Pads"));
        hand.load("/switches/faders/1/1");
        row("play rows 1-8", "1-8");
        assertThat(hand.tile(8).locator(".verdict")).hasText("exact");
        hand.load("/switches/numbers");
        hand.set("Low value of set level of Pads", "127");
        hand.set("High value of set level of Pads", "0");
        hand.load("/preflight");
        assertThat(hand.page.locator("main")).containsText("Tracks: level of Pads is not moved as it should be.");
        hand.turn("undo");
        hand.untilAtWork();
        hand.turn("undo");
        hand.untilAtWork();
        preflightIsClean();
        sheets();
        assertThat(sheet("tracks")).containsText("Set Input for remote to on.");
    }

    @Test
    void feetAndTracksWorkLights() {
        hand.newRig("Lights");
        begin("Feet and tracks work a small lighting desk");
        row("scenes 1-8", "1-8");
        hand.chooseSwitch(9);
        hand.addStep("chase 1", "Lights: ");
        hand.chooseSwitch(10);
        hand.addStep("dark", "Lights: ");
        assertThat(hand.tile(1).locator(".verdict")).hasText("exact");
        preflightIsClean();
    }

    @Test
    void anEveningRunsFromATimeline() {
        hand.newRig("Evening");
        songs("Herring Lights, D, 96\nLow Water, Bm, 72\nWalk Home, D");
        hand.load("/gear");
        begin("Two boards run the evening from a timeline");
        row("jump songs 1-3", "1-3");
        assertThat(hand.tile(2)).containsText("Low Water");
        hand.chooseSwitch(10);
        hand.addStep("panic", "Tracks: stop");
        hand.load("/songs/herring-lights/how");
        hand.type("How it goes", "tempo 96\nCount: 2 bars\nVerse: 8 bars\nVamp: 4 bars, vamp 2 times\nRefrain: 8 bars");
        hand.hit(hand.page.locator("form:has(#how) button[type=submit]"));
        hand.untilAtWork();
        hand.load("/songs/herring-lights");
        cue("11 1", "scene 3", "Lights: ");
        cue("3 1", "next slide", "Words: next Slide");
        preflightIsClean();
        sheets();
        assertThat(hand.page.locator("main")).containsText("Try every switch");
        hand.load("/cues");
        assertThat(hand.page.locator("main")).containsText("Herring Lights");
    }

    private void cue(String at, String words, String what) {
        hand.type("When", at);
        hand.hit(hand.offer("What happens", words, what));
        hand.page.waitForLoadState();
        hand.untilAtWork();
        follow("New cue");
    }

    @Test
    void twoComputersRunInStep() {
        hand.newRig("Step");
        begin("Two computers in step, one takes over");
        hand.addStep("play", "Player A: play Tracks");
        hand.chooseSwitch(4);
        hand.addStep("stop", "Player A: stop");
        preflightIsClean();
        sheets();
        assertThat(hand.page.locator("main")).containsText("When one has failed: going back");
    }

    private void take(String field, String words, String model) {
        hand.search(field, words);
        hand.hit(hand.page
                .locator(".box-offers[data-find='%s'] button".formatted(words))
                .filter(new Locator.FilterOptions().setHasText(model))
                .first());
        assertThat(hand.page.locator(".box-offers")).hasCount(0);
        hand.untilAtWork();
    }

    private void begin(String title) {
        hand.hit(hand.page
                .locator(".ways-to-begin button")
                .filter(new Locator.FilterOptions().setHasText(title))
                .first());
        hand.at("/switches");
        hand.untilAtWork();
    }

    private void songs(String lines) {
        hand.type("Or begin with the songs", lines);
        hand.click("Put them in order");
        hand.at("/order");
    }

    private void follow(String words) {
        hand.hit(hand.page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(words).setExact(true)));
        hand.page.waitForLoadState();
        hand.untilAtWork();
    }

    /** Goes to the rows of the board that is shown, and fills one. */
    private void row(String what) {
        row(what, "");
    }

    private void row(String what, String numbers) {
        follow("Fill a row");
        say(what, numbers);
        hand.click("Keep");
        hand.page.waitForURL(Pattern.compile("/switches/[^/]+/\\d+.*(?<!row)$"));
        hand.untilAtWork();
    }

    private void say(String what, String numbers) {
        if (!numbers.isEmpty()) {
            hand.type("number", numbers);
        }
        hand.type("with", what);
        hand.press("Enter");
        hand.untilAtWork();
        assertThat(hand.page.locator("#row-lines")).isVisible();
    }

    private void sheets() {
        hand.load("/sheets");
    }

    private void preflightIsClean() {
        hand.load("/preflight");
        assertThat(hand.page.locator("main")).not().containsText("Stops the show");
    }

    private void tab(String words) {
        hand.hit(hand.page.locator("nav.room-tabs a", new Page.LocatorOptions().setHasText(words)));
        assertThat(hand.page.locator("nav.room-tabs a[aria-current]")).hasText(words);
    }

    private Locator sheet(String box) {
        return hand.page.locator("#sheet-" + box);
    }
}
