package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The line check in the browser, with simulated boxes and with ports that stand in for the browser's own. */
class LineJobTests extends AtTheBrowser {

    /** What comes sooner is taken for a foot that lets go, not for one that presses again. */
    private static final int FOOT_MILLIS = 450;

    private static final List<String> BOXES = List.of("Voice board", "Quay board", "Side board", "Choir board");

    /** A whole rig with nine mistakes programmed into its boxes: each is named, put right, and then all is. */
    @Test
    void aWholeRigWithNineMistakes() {
        hand.importFile(Examples.quayRig().getBytes(StandardCharsets.UTF_8));
        hand.at("/gear");
        hand.load("/line");
        hand.click("Take simulated boxes");
        assertThat(hand.page.locator("#plugged-count")).hasText(": 5");
        mistake(hand, "voice-board.1.2", "wrong-way", "");
        mistake(hand, "voice-board.1.4", "dead", "");
        mistake(hand, "quay-board.1.2", "off-by", "12");
        mistake(hand, "quay-board.1.3", "alternating", "");
        mistake(hand, "quay-board.1.5", "channel", "9");
        mistake(hand, "quay-board.1.7", "twice", "");
        mistake(hand, "quay-board.1.9", "exchanged", "10");
        mistake(hand, "side-board.1.1", "more", "7");
        mistake(hand, "choir-board.1.2", "unwritten", "");
        int before = hand.interactions();
        List<String> found = walk();
        assertThat(found)
                .containsExactly(
                        "Voice dry the wrong way",
                        "House off nothing came",
                        "Harp 12 high",
                        "Harbour light alternates",
                        "Clean guitar channel 9",
                        "Boat loop twice",
                        "Use A exchanged",
                        "Use B exchanged",
                        "Go more",
                        "Choir out something else");
        assertThat(hand.seconds() - 2 * before).as("seconds of work").isLessThan(180);

        assertThat(inPreflight()).containsText("10 of 29 switches do not send what is planned.");
        assertThat(inPreflight()).containsText("Quay board, A 5, Clean guitar: channel 9");
        hand.load("/line");
        hand.click("Take simulated boxes");
        openMistakes(hand);
        for (int left = 9; left > 0; left--) {
            hand.page.locator("#mistakes").getByText("Put it right").first().click();
            assertThat(hand.page.locator("#mistakes summary"))
                    .hasText(left > 1 ? "Mistakes in them: " + (left - 1) : "Mistakes in them");
            hand.untilAtWork();
        }
        for (String box : BOXES) {
            walkTo(hand, box);
            Locator wrong = hand.page.locator(".line-row:has(.mark:not(.exact)) button[name=task]");
            for (int left = wrong.count(); left > 0; left = wrong.count()) {
                String at = wrong.first().getAttribute("value").replaceAll("/.*", "");
                tread(hand, at);
                tread(hand, at);
            }
        }
        assertThat(hand.page.locator(".all-right")).hasText("right All 29 are as planned.");
    }

    private Locator inPreflight() {
        hand.load("/preflight");
        Locator gear = hand.page.locator("#real-gear");
        gear.scrollIntoViewIfNeeded();
        return gear;
    }

    /** Presses whatever is asked for, wherever it is; what is amiss by its tape. */
    private List<String> walk() {
        walkTo(hand, "Voice board");
        Locator now = hand.page.locator("[data-now]");
        while (now.count() > 0) {
            String task = now.getAttribute("data-now");
            String at = task.replaceAll("/.*", "");
            if (at.equals("voice-board.1.4")) {
                hand.click("Nothing comes");
                hand.untilAtWork();
                continue;
            }
            tread(hand, at);
            if (at.equals("quay-board.1.3")) {
                hand.page.waitForTimeout(FOOT_MILLIS);
            }
            if (hand.page.locator("[data-now='%s']".formatted(task)).count() > 0 || wasWrong(task)) {
                tread(hand, at);
            }
        }
        List<String> found = new ArrayList<>();
        for (String box : BOXES) {
            walkTo(hand, box);
            hand.page.locator(".line-row:has(.mark:not(.exact))").all().stream()
                    .map(row -> row.locator(".tape").innerText() + " "
                            + row.locator(".mark").innerText().strip())
                    .forEach(found::add);
        }
        return found;
    }

    private boolean wasWrong(String task) {
        return hand.page
                        .locator(".line-row:has(.mark:not(.exact)) button[value='%s']".formatted(task))
                        .count()
                > 0;
    }

    private static void walkTo(Stagehand hand, String box) {
        Locator tab = hand.page.locator(".walk-box").filter(new Locator.FilterOptions().setHasText(box));
        tab.click();
        assertThat(hand.page.locator(".walk-box[aria-current]")).containsText(box);
        hand.untilAtWork();
    }

    /** A foot on a simulated switch, until the page says what came of it. */
    private static void tread(Stagehand hand, String at) {
        String turn = hand.page.locator("#line").getAttribute("data-turn");
        hand.hit(hand.page.locator("[data-tread='%s']".formatted(at)));
        assertThat(hand.page.locator("#line:not([data-turn='%s'])[data-open=false]".formatted(turn)))
                .isVisible();
    }

    private static void openMistakes(Stagehand hand) {
        if (hand.page.locator("#mistakes[open]").count() == 0) {
            hand.page.locator("#mistakes summary").click();
        }
    }

    private static void mistake(Stagehand hand, String at, String kind, String number) {
        openMistakes(hand);
        String before = hand.page.locator("#mistakes summary").innerText();
        hand.page.locator("#mistake-at").selectOption(at);
        hand.page.locator("#mistake-kind").selectOption(kind);
        hand.page.locator("#mistake-number").fill(number);
        hand.page.getByText("Make it").click();
        assertThat(hand.page.locator("#mistakes summary")).not().hasText(before);
        hand.untilAtWork();
    }

    /** A check in the middle of a board on which several switches are wrong, for a picture. */
    static void withMistakes(Stagehand hand) {
        hand.click("Take simulated boxes");
        assertThat(hand.page.locator("#plugged-count")).hasText(": 5");
        mistake(hand, "quay-board.1.2", "off-by", "12");
        mistake(hand, "quay-board.1.3", "channel", "9");
        mistake(hand, "quay-board.1.4", "alternating", "");
        hand.page.locator("#mistakes summary").click();
        walkTo(hand, "Quay board");
        for (int number = 1; number <= 4; number++) {
            tread(hand, "quay-board.1." + number);
            hand.page.waitForTimeout(FOOT_MILLIS);
            tread(hand, "quay-board.1." + number);
        }
        tread(hand, "quay-board.1.5");
        hand.page.evaluate("scrollTo(0, 0)");
    }

    /** Ports of the browser: refused, called otherwise than the box, flooded, and taken away in the middle. */
    @Test
    void realPortsAreHeardWhateverElseComes() {
        importExample();
        hand.load("/line");
        hand.page.evaluate("() => { navigator.requestMIDIAccess = async () => { throw new Error('no'); }; }");
        hand.click("Listen to the MIDI ports of this browser");
        assertThat(hand.page.locator("#ports-state")).containsText("was not allowed to hear MIDI");
        standInFor(hand, "USB MIDI 1");
        hand.click("Listen to the MIDI ports of this browser");
        hand.page.locator("#ports select").selectOption("voice-board");
        assertThat(hand.page.locator("#plugged-count")).hasText(": 1");
        hand.untilAtWork();
        assertThat(hand.page.locator(".prompt-words h2")).containsText("Press 1");
        // A pedal that is stuck: 3 000 messages in a second, and the switch in the middle of them.
        hand.page.evaluate("""
                () => new Promise((done) => {
                  let sent = 0;
                  const flood = setInterval(() => {
                    for (let i = 0; i < 60; i++) window.came(0xb1, 11, sent++ % 128);
                    if (sent === 1500) for (const cc of [56, 57, 40, 63]) window.came(0xb1, cc, 0);
                    if (sent >= 3000) { clearInterval(flood); done(); }
                  }, 20);
                })""");
        assertThat(hand.page.locator(".prompt-words h2")).containsText("Press 2");
        assertThat(hand.page.locator(".line-row .mark.exact")).hasCount(1);
        hand.page.evaluate("() => { window.came(0xb1, 56, 0); window.came(0xb1, 57, 0); }");
        assertThat(hand.page.locator(".line-row .mark.stop")).hasText("the wrong way");
        hand.click("The plan is wrong: take what came");
        assertThat(hand.page.locator(".line-row .mark.exact")).hasCount(2);
        hand.untilAtWork();
        hand.page.evaluate("() => window.pull()");
        assertThat(hand.page.locator("#ports-state")).containsText("No MIDI port is there.");
        isToldInWordsOfThePlan();
    }

    /** The page of all that comes in: what it is for, what it does, and what is strange about it. */
    private void isToldInWordsOfThePlan() {
        hand.load("/line/monitor");
        standInFor(hand, "USB MIDI 1");
        hand.click("Listen to the MIDI ports of this browser");
        // Ports that are brought once more take the place of those from before: nothing comes twice.
        hand.page.evaluate("() => { window.older = window.came; }");
        standInFor(hand, "USB MIDI 1");
        hand.click("Listen to the MIDI ports of this browser");
        Locator rows = hand.page.locator(".monitor-table tbody tr");
        hand.page.evaluate("() => { for (const came of [window.older, window.came]) came(0xb1, 40, 127); }");
        hand.page.evaluate("() => window.came(0xb1, 99, 1)");
        assertThat(rows.nth(2)).not().containsText("CC 40");
        assertThat(rows.first()).containsText("ch 2 CC 99 1");
        assertThat(rows.first()).containsText("not planned");
        assertThat(rows.first()).containsText("nobody obeys it");
        assertThat(rows.nth(1)).containsText("A 3, switch 3");
        assertThat(rows.nth(1)).containsText("Vocal mixer: mute Vocal mic");
        // 24 ticks a quarter, so at 120 quarters a minute one every 20.833 ms (MIDI 1.0, "Timing Clock").
        hand.page.evaluate("""
                () => {
                  const now = performance.now();
                  for (let i = 0; i < 60; i++) window.at(now - (59 - i) * 20.8333, 0xf8);
                }""");
        assertThat(hand.page.locator(".strange")).containsText("USB MIDI 1 sends a clock: 120.0 quarters a minute");
        hand.page.evaluate("() => { window.came(0x12); window.came(0xfe); }");
        assertThat(hand.page.locator(".strange")).containsText("sent bytes that are no message: 12.");
        assertThat(hand.page.locator(".strange")).containsText("has fallen silent");
        hand.page.evaluate("() => { window.alive = setInterval(() => window.came(0xfe), 100); }");
        assertThat(hand.page.locator(".strange")).not().containsText("has fallen silent");
        hand.page.evaluate("() => clearInterval(window.alive)");
        hand.page.locator("#freeze").check();
        hand.page.evaluate("() => window.came(0xb1, 98, 1)");
        assertThat(hand.download("^Keep as a list")).contains("ch 2 CC 98 1", "Vocal mixer: mute Vocal mic");
        assertThat(rows.first()).not().containsText("CC 98");
    }

    /**
     * Ports of one name at two computers lead to the boxes that are said at each; a box that comes in at both is heard
     * once.
     */
    @Test
    void portsOfOneNameAtTwoComputersAreToldApart() {
        hand.importFile(Examples.quayRig().getBytes(StandardCharsets.UTF_8));
        hand.at("/gear");
        hand.load("/line");
        plug(hand, "voice-board");
        try (Stagehand other = new Stagehand(port)) {
            other.page.navigate(hand.page.url());
            plug(other, "voice-board");
            walkTo(hand, "Voice board");
            for (int number = 1; number <= 2; number++) {
                assertThat(hand.page.locator(".prompt-words h2")).containsText("Press " + number);
                // By the clocks of both pages at one instant, however long it takes to tell them.
                Object now = hand.page.evaluate("() => Date.now()");
                for (Stagehand at : List.of(hand, other)) {
                    at.page.evaluate("""
                            ([number, then]) => {
                              const at = performance.now() - (Date.now() - then);
                              for (const cc of [[56, 57, 40, 63], [56, 57]][number - 1])
                                window.at(at, 0xb1, cc, number === 1 ? 0 : 127);
                            }""", List.of(number, now));
                }
            }
            assertThat(hand.page.locator(".prompt-words h2")).containsText("Press 3");
            assertThat(hand.page.locator(".line-row .mark.exact")).hasCount(2);
            hand.load("/line/monitor");
            assertThat(hand.page.locator(".monitor-table")).containsText("once more, at USB MIDI 1: it counts once");
        }
    }

    /** A lead of the first of a pair is pulled: what went on is said, how long it took a clock behind it tells. */
    @Test
    void aPairIsTriedByPullingALead() {
        hand.importFile(Examples.quayRig().getBytes(StandardCharsets.UTF_8));
        hand.at("/gear");
        assertThat(inPreflight()).containsText("Player A: nobody has pulled its lead yet");
        hand.load("/line/pairs");
        standInFor(hand, "Behind the pair");
        hand.click("Listen to the MIDI ports of this browser");
        assertThat(hand.page.locator("#pairs-heard")).hasText("Hears Behind the pair.");
        Locator trial = hand.page.locator("[data-pair='player-a~player-b']");
        trial.getByText("Keep it").click();
        assertThat(trial.locator(".problem")).hasText("Say whether it went on.");
        trial.getByText("I pull it now").click();
        // 24 ticks a quarter at 120, from the twentieth on 400 ms late (MIDI 1.0, "Timing Clock").
        hand.page.evaluate("""
                () => {
                  for (let i = 0; i < 60; i++) window.at(1000 + i * 20.8333 + (i > 20 ? 400 : 0), 0xf8);
                }""");
        trial.getByText("It goes on, or nothing more comes").click();
        assertThat(trial.locator("[data-pulling-state]")).hasText("60 messages came.");
        for (Locator yes : trial.locator("input[value=yes]").all()) {
            yes.check();
        }
        trial.locator("input[name='on.sound.click'][value=no]").check();
        trial.getByText("Keep it").click();
        assertThat(trial).containsText("400.00 ms without; the way back was found");
        assertThat(trial).containsText("Did not go on: click: Singer ears");
        assertThat(trial.locator(".mark")).hasText("it does not go on");
        assertThat(inPreflight()).containsText("Player A: with its lead pulled the show does not go on.");
    }

    private static void plug(Stagehand at, String box) {
        standInFor(at, "USB MIDI 1");
        at.click("Listen to the MIDI ports of this browser");
        assertThat(at.page.locator("#ports select")).hasValue("");
        at.page.locator("#ports select").selectOption(box);
        assertThat(at.page.locator("#plugged-count")).hasText(": 1");
        at.untilAtWork();
    }

    /** A port in the place of the browser's own. */
    private static void standInFor(Stagehand hand, String name) {
        hand.page.evaluate("""
                (name) => {
                  const input = { id: "1", name, state: "connected" };
                  const access = { inputs: new Map([[input.id, input]]) };
                  window.at = (timeStamp, ...bytes) =>
                    input.onmidimessage?.({ timeStamp, data: new Uint8Array(bytes) });
                  window.came = (...bytes) => window.at(performance.now(), ...bytes);
                  window.pull = () => { input.state = "disconnected"; access.onstatechange(); };
                  navigator.requestMIDIAccess = async () => access;
                }""", name);
    }

    /** A board of ten switches in four banks is described by pressing it; its text then has its lines. */
    @Test
    void aBoardIsDescribedByPressingIt() {
        beginToDescribe(hand);
        hand.page.locator("[data-pressing=listen]").click();
        assertThat(hand.page.locator("#described .problem")).containsText("1 to 32 switches in a bank");
        tenInFourBanks(hand);
        Locator next = hand.page.locator(".press-next");
        for (int bank = 0; bank < 4; bank++) {
            for (int number = 1; number <= 10; number++) {
                assertThat(next).hasText("Press %d in bank %s.".formatted(number, "ABCD".charAt(bank)));
                press(hand, 0xb0 + bank, number == 10 ? 102 : 79 + number);
            }
        }
        assertThat(next).hasText("Press 1 in bank A once more: it shows whether it alternates.");
        press(hand, 0xb0, 80);
        assertThat(next).hasText("All of it was pressed.");
        hand.click("Put these lines into the box");
        assertThat(hand.page.locator("#box")).hasValue("""
                        port MIDI OUT: 5-pin out
                        switches: 10 in rows of 5, send cc, 1 a press
                        banks: A, B, C, D; a bank changes the channel
                        gestures: press
                        modes: one-shot
                        factory run: cc 80..88, 102
                        send channel: one for the box
                        setting MIDI send channel: 1..16, factory 1
                        """);
        assertThat(hand.page.locator(".reading-head")).containsText("readable");
    }

    private static void press(Stagehand hand, int status, int controller) {
        hand.page.evaluate("([status, cc]) => window.came(status, cc, 127)", List.of(status, controller));
    }

    private static void beginToDescribe(Stagehand hand) {
        hand.page.navigate("/models");
        hand.type("What it is", "Pressed board");
        hand.choose("Kind", "floor board");
        hand.click("Describe it");
        hand.at("/edit");
        hand.page.locator("#box").fill("port MIDI OUT: 5-pin out\nmodes: momentary\n");
        hand.page.locator("#pressing summary").click();
        standInFor(hand, "Unknown board");
        hand.type("Switches in a bank", "0");
    }

    private static void tenInFourBanks(Stagehand hand) {
        hand.type("Switches in a bank", "10");
        hand.type("in rows of", "5");
        hand.type("banks, with commas", "A, B, C, D");
        hand.page.locator("[data-pressing=listen]").click();
    }

    /** A board that is described by pressing it, in the middle of it, for a picture. */
    static void describing(Stagehand hand) {
        beginToDescribe(hand);
        tenInFourBanks(hand);
        for (int number = 1; number <= 13; number++) {
            int at = (number - 1) % 10 + 1;
            assertThat(hand.page.locator(".press-next"))
                    .hasText("Press %d in bank %s.".formatted(at, number > 10 ? "B" : "A"));
            press(hand, 0xb0 + (number > 10 ? 1 : 0), at == 10 ? 102 : 79 + at);
        }
        assertThat(hand.page.locator(".press-next")).hasText("Press 4 in bank B.");
        hand.page.locator("#pressing").evaluate("panel => panel.scrollIntoView()");
    }
}
