package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** Ways of working in which something is learned, goes over the air or is there twice, each with its traps. */
class LearningWaysJobTests extends AtTheBrowser {

    /** Faders to layers and buttons to cues by notes, with a second bank on the next channel. */
    @Test
    void aFaderBoxWorksAProjectionComputer() {
        hand.newRig("Screens");
        hand.addBox("Fader box, 8 faders, 4 banks", "Faders");
        hand.addBox("Projection server, 4 layers", "Screens");
        hand.addBox("USB charger, 2 sockets", "Charger");
        hand.go("Wiring");
        hand.link("Faders 5-pin MIDI OUT", "Screens 5-pin MIDI IN");
        to("/switches/faders/1/fader/1");
        hand.offer("Add a level", "layer 1", "Screens: level of Layer 1").click();
        assertThat(hand.page.locator(".side .midi")).hasText("ch 1 CC 21 0 to 127");
        assertThat(hand.page.locator(".moved dd").last()).hasText("100 %");
        assertThat(hand.findings()).anyMatch(finding -> finding.contains("Nothing powers Faders"));
        to("/switches/faders/2/1");
        hand.addStep("cue 9", "Screens: go to Cue 9");
        assertThat(hand.page.locator(".steps")).containsText("note G#1");
        assertThat(hand.page.locator(".steps")).containsText("ch 2 note 44 127");
        assertThat(hand.findings())
                .anyMatch(finding -> finding.contains("Faders sends on channel 2; Screens listens on channel 15."));

        hand.click("Clear this switch");
        to("/switches/faders/1/1");
        hand.addStep("cue 9", "Screens: go to Cue 9");
        hand.click("Set Screens to channel 1");
        to("/wiring/table");
        hand.link("Charger USB host USB 1", "Faders USB device USB");
        to("/switches/faders/1/1");
        assertThat(hand.tile(1).locator(".verdict")).hasText("exact");
        to("/sheets");
        assertThat(hand.page.locator("#sheet-faders"))
                .containsText("CC 21 on channel 1, from 0 to 127, for Screens: level of Layer 1");
        assertThat(hand.page.locator("#sheet-screens")).containsText("Set MIDI receive channel to 1.");
    }

    /** Knobs and pads on an instrument host that listens to all channels; what a dead keyboard costs. */
    @Test
    void aStageKeyboardPlaysAnInstrumentHost() {
        hand.newRig("Stage keys");
        hand.addBox("Pads-and-keys controller", "Keys");
        hand.addBox("Computer", "Laptop");
        hand.addBox("Instrument host, straight links", "Sounds");
        hand.go("Wiring");
        hand.link("Keys USB device USB", "Laptop USB host USB 1");
        to("/switches/keys/1/knob/1");
        hand.offer("Add a level", "patch 1 knob 1", "Sounds: level of Patch 1 knob 1")
                .click();
        hand.page.locator(".ways-out").first().scrollIntoViewIfNeeded();
        hand.click("Run Sounds on Laptop");
        assertThat(hand.page
                        .locator(".side-head .verdict, .side-head [class*=mark]")
                        .first())
                .hasText("exact");
        to("/switches/keys/1/pad1");
        hand.addStep("next patch", "Sounds: next Patch");
        assertThat(hand.page.locator(".steps")).containsText("ch 10 CC 103 127");
        assertThat(hand.page.locator("[data-tile=pad1] .verdict")).hasText("exact");
        to("/switches/keys/1/knob/1");
        hand.offer("Add a level", "patch 2 knob 5", "Sounds: level of Patch 2 knob 5")
                .click();
        assertThat(hand.page.locator(".moved h3")).hasCount(2);
        assertThat(hand.page
                        .locator(".side-head .verdict, .side-head [class*=mark]")
                        .first())
                .hasText("exact");
        to("/sheets");
        assertThat(hand.page.locator("main")).containsText("Sounds learns");
        to("/switches/schools");
        assertThat(hand.page.locator("main")).containsText("If a controller dies: 40 s to learn anew.");
        hand.page.getByText("through a layer of on-screen controls").click();
        hand.untilAtWork();
        to("/gear/sounds");
        assertThat(hand.page.locator("main")).containsText("Instrument host with a layer");
        to("/switches/keys/1/knob/1");
        assertThat(hand.page.locator(".moved h3"))
                .hasText(new String[] {"Sounds: level of Control 1", "Sounds: level of Control 5"});
        to("/switches/swap?box=keys&with=keyboard-workstation");
        assertThat(hand.page.locator("main")).containsText("Straight: 80 links, 26 min 40 s");
        assertThat(hand.page.locator("main")).containsText("Through a layer: 8 links, 2 min 40 s");
    }

    /** A workstation that sends nothing before it is put into its external mode, nor keeps anything unwritten. */
    @Test
    void aWorkstationWorksAPlayerFromOutside() {
        hand.newRig("Workstation");
        hand.addBox("Keyboard workstation, 61 keys", "Workstation");
        hand.addBox("Computer", "Laptop");
        hand.addBox("Linear-timeline player", "Player");
        hand.go("Wiring");
        hand.link("Workstation USB device USB", "Laptop USB host USB 1");
        runs("player", "Laptop");
        hand.link("Laptop USB host USB 1 (joined)", "Player app port In");
        to("/switches/workstation/1/1");
        hand.addStep("play", "Player: play Tracks");
        assertThat(hand.tile(1).locator(".verdict")).hasText("cannot get there");
        assertThat(hand.findings()).anyMatch(finding -> finding.contains("Surface mode of Workstation is internal"));
        hand.go("Preflight");
        mend("Surface mode of Workstation is internal");
        assertThat(hand.page.locator("main")).not().containsText("Stops the show");
        to("/sheets");
        assertThat(hand.page.locator("#sheet-workstation")).containsText("Set Surface mode to external.");
        assertThat(hand.page.locator("#sheet-workstation")).containsText("without it the setup is gone at power-off");
        assertThat(hand.page.locator("#sheet-player")).containsText("Set Input for remote to on.");
    }

    /** A fader learned by a player: its remote input is off, it jumps, and it is turned round by its ends. */
    @Test
    void aControllerIsLearnedAsARemote() {
        hand.newRig("Remote");
        hand.addBox("Fader box, 8 faders, 4 banks", "Faders");
        hand.addBox("Computer", "Laptop");
        hand.addBox("Launch-grid player", "Player");
        hand.go("Wiring");
        hand.link("Faders USB device USB", "Laptop USB host USB 1");
        runs("player", "Laptop");
        hand.link("Laptop USB host USB 1 (joined)", "Player app port In");
        to("/switches/faders/1/fader/1");
        hand.offer("Add a level", "pads", "Player: level of Pads").click();
        assertThat(hand.page.locator(".moved h3")).hasText("Player: level of Pads");
        assertThat(hand.findings()).anyMatch(finding -> finding.contains("Input for remote of Player is off"));
        hand.click("Set it to on");
        assertThat(hand.page.locator(".side .midi")).hasText("ch 1 CC 102 0 to 127");
        to("/switches/numbers");
        hand.set("Low value of set level of Pads", "127");
        hand.set("High value of set level of Pads", "0");
        to("/switches/faders/1/fader/1");
        assertThat(hand.findings()).isNotEmpty();
        to("/switches/numbers");
        hand.set("Low value of set level of Pads", "0");
        hand.set("High value of set level of Pads", "127");
        to("/gear/player");
        hand.choose("Input for sync", "on");
        hand.untilAtWork();
        to("/wiring/table");
        assertThat(hand.page.locator("#tempo")).containsText("Player is set to follow a clock, and none comes to it.");
        to("/sheets");
        assertThat(hand.page.locator("#sheet-learn-player, [id^=sheet-player]").last())
                .containsText("Pads");
    }

    /** Board, adapter, tablet, air, computer: one socket for all, and an app missing on one side. */
    @Test
    void aBoardReachesAnInstrumentThroughATabletAndTheAir() {
        hand.newRig("Through the air");
        hand.addBox("Ten-switch board with expression pedal", "Board");
        hand.addBox("Powered adapter for a tablet", "Adapter");
        hand.addBox("Tablet", "Tablet");
        hand.addBox("Tablet supply", "Supply");
        hand.addBox("Computer", "Laptop");
        hand.addBox("Instrument host with a layer", "Sounds");
        hand.addBox("Network session", "Session T");
        hand.addBox("Network session", "Session L");
        hand.addBox("Network router with Wi-Fi", "Router");
        hand.go("Wiring");
        hand.link("Board USB device USB", "Tablet USB host Socket");
        hand.link("Supply power Plug", "Tablet power Power");
        assertThat(hand.page.locator(".problem").first())
                .containsText("The only socket of Tablet is for 1 of these at once");
        to("/wiring?at=link:board.usb~tablet.socket");
        hand.click("Pull it");
        assertThat(hand.page.locator(".side h2")).hasCount(0);
        to("/wiring/table");
        hand.link("Board USB device USB", "Adapter USB host USB 1");
        hand.link("Adapter USB device Tablet", "Tablet USB host Socket");
        hand.link("Supply power Plug", "Adapter power Power");
        hand.link("Tablet Wi-Fi Wi-Fi", "Router Wi-Fi Wi-Fi");
        hand.link("Laptop Wi-Fi Wi-Fi", "Router Wi-Fi Wi-Fi (joined)");
        runs("sounds", "Laptop");
        runs("session-t", "Tablet");
        runs("session-l", "Laptop");
        hand.link("Tablet USB host Socket (joined)", "Session T app port In");
        hand.link("Session T network Session", "Session L network Session");
        hand.link("Session L app port Out", "Sounds app port In");
        to("/switches/board/1/1");
        hand.addStep("next patch", "Sounds: next Patch");
        assertThat(hand.tile(1).locator(".verdict")).hasText("late");
        assertThat(hand.page.locator(".side")).containsText("ms after the press");
        hand.go("Preflight");
        assertThat(hand.findings()).anyMatch(finding -> finding.contains("2450 mA hang on Supply Plug"));
        to("/sheets");
        assertThat(hand.page.locator("main")).containsText("Set Role to invites.");
    }

    /** A board and a tablet that learns anything but a value of 0; a song by program; its messages as text. */
    @Test
    void aTabletWithTracksIsWorkedByFeetAndWorksEffects() {
        hand.newRig("Tablet tracks");
        hand.addBox("Ten-switch board with expression pedal", "Board");
        hand.addBox("Tablet dock with sound", "Dock");
        hand.addBox("Tablet", "Tablet");
        hand.addBox("Tablet track player", "Tracks");
        hand.addBox("Tablet supply", "Supply");
        hand.go("Wiring");
        hand.link("Board USB device USB", "Dock USB host USB 1");
        hand.link("Dock USB device Tablet", "Tablet USB host Socket");
        hand.link("Supply power Plug", "Dock power Power");
        runs("tracks", "Tablet");
        hand.link("Tablet USB host Socket (joined)", "Tracks app port In");
        to("/switches/board/1/1");
        hand.addStep("song 3", "Tracks: load Song 3");
        assertThat(hand.page.locator(".steps")).containsText("ch 16 PC 3");
        assertThat(hand.tile(1).locator(".verdict")).hasText("exact");
        hand.chooseSwitch(2);
        hand.addStep("play tracks", "Tracks: play Tracks");
        assertThat(hand.tile(2).locator(".verdict")).hasText("exact");
        to("/songs");
        hand.page.locator("form:has(#new-how) [name=title]").fill("Ebb");
        hand.page.locator("#new-how").fill("tempo 84\nVerse: 16 bars");
        hand.click("Add the song");
        assertThat(hand.page.locator("h1")).containsText("Ebb");
        to("/songs/ebb/player");
        assertThat(hand.page.locator("main")).containsText("No cue of this song has a time yet.");
        hand.page.locator("#pasted").fill("0:12.840 CC ch 5 81 127\n0:13.000 note off ch 1 60 0\nnonsense");
        hand.click("Read it");
        assertThat(hand.page.locator(".problem").first()).containsText("line 3: This is no line such as");
        hand.page.locator("#pasted").fill("0:12.840 CC ch 5 81 127\n0:13.000 note off ch 1 60 0");
        hand.click("Read it");
        assertThat(hand.page.locator("#arrived"))
                .containsText("1 note-off was left out. 0:12.840 is put at bar 5 beat 3, +17 ms.");
        hand.click("Update: change 0, add 1");
        assertThat(hand.page.locator("#prompt .pin")).hasCount(1);
        to("/songs/ebb/player");
        assertThat(hand.page.locator("#player-lines span")).hasText(new String[] {"0:12.857 CC ch 5 81 127"});
    }

    /** Two computers in step behind one interface: a pair that differs, and its heartbeat. */
    @Test
    void twoComputersInStepAreOnePair() {
        hand.newRig("In step");
        hand.addBox("Computer", "Computer A");
        hand.addBox("Computer", "Computer B");
        hand.addBox("Playback interface, two computers", "Interface");
        hand.addBox("Linear-timeline player", "Player A");
        hand.addBox("Linear-timeline player", "Player B");
        hand.addBox("Four-switch floor board", "Board");
        hand.go("Wiring");
        hand.link("Interface USB device Computer A", "Computer A USB host USB 1");
        hand.link("Interface USB device Computer B", "Computer B USB host USB 1");
        hand.link("Board 5-pin MIDI OUT", "Interface 5-pin MIDI IN");
        runs("player-a", "Computer A");
        runs("player-b", "Computer B");
        hand.link("Computer A USB host USB 1 (joined)", "Player A app port In");
        hand.link("Computer B USB host USB 1 (joined)", "Player B app port In");
        to("/wiring?at=device:player-a");
        hand.choose("Stands in for it", "Player B");
        to("/switches/board/1/1");
        hand.addStep("play", "Player A: play Tracks");
        hand.go("Preflight");
        mend("Input for remote of Player A is off");
        mend("Input for remote of Player B is off");
        assertThat(hand.page.locator("main")).not().containsText("Stops the show");
        to("/sheets");
        assertThat(hand.page.locator("main")).containsText("When one has failed: going back");
    }

    /** Clicks on what mends a finding of the page. */
    private void mend(String what) {
        Locator finding = hand.page.locator("article").filter(new Locator.FilterOptions().setHasText(what));
        finding.getByRole(AriaRole.BUTTON).first().click();
        assertThat(hand.page.locator("main")).not().containsText(what);
    }

    private void runs(String app, String host) {
        to("/wiring?at=device:" + app);
        hand.choose("Runs on", host);
        hand.untilAtWork();
        assertThat(hand.page.getByLabel("Runs on").locator("option:checked")).hasText(host);
        to("/wiring/table");
    }

    private void to(String path) {
        hand.page.navigate(hand.page.url().replaceAll("(/rigs/\\d+)/.*", "$1" + path));
    }
}
