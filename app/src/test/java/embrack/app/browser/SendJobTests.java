package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What Embrack sends to the gear, with simulated boxes and with ports that stand in for the browser's own. */
class SendJobTests extends AtTheBrowser {

    /** Boxes are asked by somebody who looks at simulated ones; one is set to another channel, and it is named. */
    @Test
    void boxesAreAskedAndOneIsSetWrong() {
        hand.importFile(Examples.quayRig().getBytes(StandardCharsets.UTF_8));
        hand.at("/gear");
        hand.load("/line/send");
        hand.click("Take simulated boxes");
        assertThat(hand.page.locator("#out-count")).containsText(": ");
        hand.page.getByText("Set one otherwise than planned").click();
        hand.page.locator("#set-at").selectOption("choir-mixer/receive-channel");
        hand.page.locator("#set-value").fill("12");
        hand.page.getByText("Set it").click();
        assertThat(hand.page.locator("#set-at option[value='choir-mixer/receive-channel']"))
                .containsText("12");
        walkTo(hand, "Choir mixer");
        assertThat(hand.page.locator("[data-next]")).not().isVisible();
        hand.click("Yes, send to Choir mixer from here");
        for (int left = hand.page.locator(".ask-row").count(); left >= 0; left--) {
            ask(hand);
            answer(hand, "Nothing happened");
        }
        walkTo(hand, "Choir mixer");
        assertThat(hand.page.locator(".ask-row .mark.stop")).hasCount(5);
        assertThat(hand.page.locator("#todo-head + ul"))
                .containsText("Is it on, plugged in here, and set to receive on");
        assertThat(inPreflight()).containsText("5 of 91 things");
        assertThat(inPreflight()).containsText("Choir mixer: mute");

        hand.load("/line/send");
        hand.click("Take simulated boxes");
        walkTo(hand, "Vocal mixer");
        hand.click("Yes, send to Vocal mixer from here");
        ask(hand);
        assertThat(hand.page.locator("[data-receiver=vocal-mixer]")).containsText("Voice reverb muted");
        answer(hand, "Yes, it did");
        assertThat(hand.page.locator(".ask-row .mark.exact")).hasCount(1);
        // The strip opens: it can hurt, so it goes only when somebody says so of just this.
        hand.page.locator("[data-next]").click();
        assertThat(hand.page.locator("#gate-state")).containsText("Say yes to it once more.");
        assertThat(hand.page.locator("[data-receiver=vocal-mixer]")).containsText("Voice reverb muted");
        ask(hand);
        assertThat(hand.page.locator("[data-receiver=vocal-mixer]")).containsText("Voice reverb open");
        hand.page.locator("#other").selectOption("vocal-mixer/return-2");
        answer(hand, "That moved");
        assertThat(hand.page.locator("#todo-head + ul")).containsText("counts 1 lower than the plan");
    }

    /** A tablet that learns: its message goes again and again until somebody says that it has it. */
    @Test
    void aBoxThatLearnsIsSentItsLesson() {
        hand.importFile(Examples.quayRig().getBytes(StandardCharsets.UTF_8));
        hand.at("/gear");
        hand.load("/line/send");
        standInFor("Tracks");
        hand.click("Use the MIDI ports of this browser");
        assertThat(hand.page.locator("#out-count")).hasText(": 1");
        walkTo(hand, "Tracks");
        hand.click("Yes, send to Tracks from here");
        hand.page.locator("#teach-pace").selectOption("1000");
        hand.page.locator("[data-teach]").first().click();
        hand.page.waitForCondition(() -> sent().size() >= 2);
        assertThat(sent()).containsOnly(sent().getFirst());
        hand.page.locator(".lessons [name=lesson]").first().click();
        assertThat(hand.page.locator(".lessons li").first()).containsText("learned");
    }

    private Locator inPreflight() {
        hand.load("/preflight");
        Locator gear = hand.page.locator("#asked-gear");
        gear.scrollIntoViewIfNeeded();
        return gear;
    }

    private static void walkTo(Stagehand hand, String box) {
        hand.page
                .locator(".walk-box")
                .filter(new Locator.FilterOptions().setHasText(box))
                .click();
        assertThat(hand.page.locator(".walk-box[aria-current]")).containsText(box);
        hand.untilAtWork();
    }

    /** Sends what is asked next, with a second yes where one is wanted, until it can be answered. */
    private static void ask(Stagehand hand) {
        if (hand.page.locator("#yes-again").count() > 0) {
            hand.page.locator("#yes-again").check();
        }
        hand.page.locator("[data-next]").click();
        assertThat(hand.page.getByText("Yes, it did")).isVisible();
        hand.untilAtWork();
    }

    private static void answer(Stagehand hand, String words) {
        String before = hand.page.locator("#asked").getAttribute("data-turn");
        hand.click(words);
        assertThat(hand.page.locator("#asked:not([data-turn='%s'])".formatted(before)))
                .isVisible();
        hand.untilAtWork();
    }

    /**
     * Nothing goes out by opening a page, by an edit that is undone, by another page, or before somebody says yes here;
     * and when a page is left, notes are off and pedals up.
     */
    @Test
    void nothingIsSentBeforeSomebodySaysYes() {
        importExample();
        hand.load("/line/send");
        standInFor("Vocal mixer");
        hand.click("Use the MIDI ports of this browser");
        assertThat(hand.page.locator("#out-count")).hasText(": 1");
        walkTo(hand, "Vocal mixer");
        // A hand on the hidden button, as a script of somebody else would.
        hand.page.evaluate("() => document.querySelector('[data-next]').click()");
        assertThat(hand.page.locator("#gate-state")).containsText("say yes to it first");
        assertThat(sent()).isEmpty();
        hand.click("Yes, send to Vocal mixer from here");
        ask(hand);
        assertThat(sent()).hasSize(1);
        hand.press("u");
        hand.untilAtWork();
        hand.page.locator("#rail a[href$='/switches']").click();
        hand.at("/switches");
        // Controller 123 with 0 and controller 64 with 0 on the channel of the mixer: MIDI 1.0, channel mode messages.
        assertThat(sent()).hasSize(3);
        assertThat(sent().subList(1, 3)).containsExactly("b17b00", "b14000");
        hand.page.goBack();
        assertThat(hand.page.locator("main.line-send")).hasAttribute("data-gate", "shut");
        assertThat(sent()).hasSize(3);
    }

    /** A note that a box answers to is found in seven questions and asked back once. */
    @Test
    void whatABoxAnswersToIsFoundByHalves() {
        importExample();
        hand.load("/line/send");
        standInFor("Vocal mixer");
        hand.click("Use the MIDI ports of this browser");
        assertThat(hand.page.locator("#out-count")).hasText(": 1");
        walkTo(hand, "Vocal mixer");
        hand.page.locator("#search summary").click();
        hand.page.locator("#search").getByText("Look for it").click();
        assertThat(hand.page.locator("#search .problem")).containsText("say that levels are down");
        hand.page.locator("#search [name=yes]").check();
        hand.page.locator("#search").getByText("Look for it").click();
        assertThat(hand.page.locator(".looking")).hasText("It is one of 128, or none.");
        hand.untilAtWork();
        hand.click("Yes, send to Vocal mixer from here");
        int questions = 0;
        while (!hand.page.locator(".looking").innerText().startsWith("It answers")) {
            int before = sent().size();
            hand.page.locator("[data-search-next]").click();
            hand.page.waitForCondition(() -> sent().size() > before);
            assertThat(hand.page.locator("#search [name=happened]")).hasCount(2);
            boolean happened = sent().subList(before, sent().size()).contains("90257f");
            answer(hand, happened ? "It happened" : "Nothing");
            questions++;
        }
        assertThat(questions).isEqualTo(8);
        assertThat(hand.page.locator(".looking")).hasText("It answers to ch 1 note 37 127.");
        hand.type("What it does, as a chart says it", "on: Lamp");
        hand.click("Put it into the description of this box");
        assertThat(hand.page.locator("#search .problem")).containsText("without a colon");
        hand.type("What it does, as a chart says it", "on Lamp");
        hand.click("Put it into the description of this box");
        assertThat(hand.page.locator(".looking")).hasCount(0);
        hand.untilAtWork();
        hand.load("/gear/vocal-mixer");
        assertThat(hand.page.locator(".model-line")).containsText("describes it in another way");
    }

    /** A box says who it is, by a system exclusive message; asked again it is the same. */
    @Test
    void aBoxSaysWhoItIs() {
        importExample();
        hand.load("/line/send");
        hand.click("Take simulated boxes");
        assertThat(hand.page.locator("#out-count")).hasText(Pattern.compile(": \\d+"));
        walkTo(hand, "Vocal mixer");
        hand.click("Yes, send to Vocal mixer from here");
        hand.page.locator("#identify").click();
        Locator who = hand.page.locator("section[aria-labelledby=identity-head] [role=status]");
        assertThat(who).containsText("It is maker 7D, family ");
        hand.page.locator("#identify").click();
        assertThat(who).containsText("as the time before");
    }

    /** What a board sends goes on to the box that is open; a cable that leads it back is seen, opened and told. */
    @Test
    void aLoopThroughEmbrackIsOpened() {
        importExample();
        hand.load("/line/send");
        standInFor("Vocal mixer", "Voice board");
        hand.click("Use the MIDI ports of this browser");
        assertThat(hand.page.locator("#out-count")).hasText(": 1");
        walkTo(hand, "Vocal mixer");
        hand.click("Yes, send to Vocal mixer from here");
        hand.page.locator("#drive").check();
        hand.page.evaluate("() => window.came(0xb1, 40, 127)");
        hand.page.waitForCondition(() -> sent().contains("b1287f"));
        int before = sent().size();
        hand.page.evaluate("() => { window.echo = true; window.came(0xb1, 40, 127); }");
        assertThat(hand.page.locator("#gate-state")).containsText("comes back to it and goes round");
        assertThat(hand.page.locator("main.line-send")).hasAttribute("data-gate", "shut");
        assertThat(sent().size() - before).isLessThan(50);
        assertThat(sent()).endsWith("b17b00", "b14000");
    }

    /** The ports of the computer that Embrack runs on: nothing goes out by them beside the gate. */
    @Test
    void thePortsOfTheServerAreAsGood() {
        importExample();
        hand.load("/line/send");
        hand.click("Ports of Embrack’s computer");
        assertThat(hand.page.locator("#ports-out label")).hasText(new String[] {"Loop cable", "Loop cable"});
        hand.page.locator("#ports-out select").first().selectOption("voice-board");
        hand.untilAtWork();
        hand.page.locator("#ports-out select").last().selectOption("vocal-mixer");
        hand.untilAtWork();
        walkTo(hand, "Vocal mixer");
        // Another page, or a script beside the gate, asks for the same ports and sends.
        hand.page.evaluate("""
                () => new Promise((done) => {
                  const path = document.querySelector("main").dataset.send + "/own/ports?other";
                  const socket = new WebSocket(new URL(path, location.href.replace(/^http/, "ws")));
                  socket.onmessage = () => { socket.send("to 0 b12800"); socket.close(); };
                  socket.onclose = done;
                })""");
        hand.click("Yes, send to Vocal mixer from here");
        hand.page.locator("#measure").click();
        assertThat(hand.page.locator("#loops tbody tr")).containsText("30 tries: least");
        assertThat(LoopCable.SENT).hasSize(30).allMatch(message -> (message.getStatus() & 0xF0) == 0xB0);
        hand.click("Shut: notes off, pedals up");
        hand.page.waitForCondition(() -> LoopCable.SENT.size() == 32);
        assertThat(LoopCable.SENT).noneMatch(message -> message.getMessage()[1] == 40);
    }

    /** Try it is played from the real board: what came is the press that sends it. */
    @Test
    void tryItIsPlayedFromTheRealBoard() {
        importExample();
        hand.load("/switches");
        standInFor("Nothing", "Voice board");
        hand.click("Play it from the real board");
        assertThat(hand.page.locator("#try-real-state")).containsText("Hears Voice board");
        hand.page.evaluate("() => window.came(0xb1, 40, 127)");
        assertThat(hand.page.locator("#trial header")).containsText("1 press");
        assertThat(hand.page.locator("#trial")).containsText("switch 3");
        hand.page.evaluate("() => window.came(0xb1, 99, 1)");
        hand.click("Check the real board");
        assertThat(hand.page.locator(".walk-box[aria-current]")).containsText("Voice board");
        hand.load("/doors");
        standInFor("Nothing", "Voice board");
        hand.click("Tick by what arrives");
        assertThat(hand.page.locator("#doors-heard")).containsText("Hears Voice board");
        assertThat(hand.page.locator("#doors-done")).containsText(" 0 of ");
        hand.page.evaluate("() => window.came(0xb1, 40, 127)");
        assertThat(hand.page.locator("#doors-done")).containsText(" 2 of ");
        assertThat(hand.page.locator("#doors-list .done").first()).containsText("Bank A is on its display.");
        hand.load("/gear/vocal-mixer");
        hand.click("Ask it to do what the show asks");
        assertThat(hand.page.locator(".walk-box[aria-current]")).containsText("Vocal mixer");
    }

    @SuppressWarnings("unchecked")
    private List<String> sent() {
        return (List<String>) hand.page.evaluate("() => window.sent");
    }

    /** A port out in the place of the browser's own, and one in for each other name; what goes out may come back. */
    private void standInFor(String out, String... ins) {
        hand.page.evaluate("""
                ([out, ...ins]) => {
                  window.sent = [];
                  window.echo = false;
                  const port = (name, i) => [String(i), { id: String(i), name, state: "connected" }];
                  const inputs = new Map(ins.map(port));
                  const first = inputs.get("0");
                  window.at = (timeStamp, ...bytes) => first.onmidimessage({ timeStamp, data: new Uint8Array(bytes) });
                  window.came = (...bytes) => window.at(performance.now(), ...bytes);
                  const output = {
                    id: "out", name: out, state: "connected",
                    send(data, at) {
                      window.sent.push([...data].map((byte) => byte.toString(16).padStart(2, "0")).join(""));
                      if (window.echo) setTimeout(() => window.at(at + 1, ...data), 1);
                    },
                  };
                  const access = { inputs, outputs: new Map([["out", output]]) };
                  navigator.requestMIDIAccess = async () => access;
                }""", Stream.concat(Stream.of(out), Stream.of(ins)).toList());
    }

    /** How long messages take that come back by the end of a way, beside what was worked out. */
    @Test
    void loopTimesAreMeasured() {
        hand.importFile(Examples.quayRig().getBytes(StandardCharsets.UTF_8));
        hand.at("/gear");
        Locator onWire = measured("Voice board", "Vocal mixer");
        assertThat(onWire).containsText(" / ");
        onWire.getByText("Have the plan count").click();
        assertThat(onWire.locator(".problem")).containsText("All of that way is cable");
        Locator overUsb = measured("Quay board", "Player A");
        String before = overUsb.locator("td").nth(1).innerText();
        overUsb.getByText("Have the plan count").click();
        assertThat(overUsb).containsText("The plan counts with what was measured from Playback interface");
        assertThat(overUsb).not().containsText(before.lines().findFirst().orElseThrow());
        hand.load("/wiring?at=link:playback-interface.computer-a~computer-a.usb-1");
        hand.click("Work it out again");
        assertThat(hand.page.getByText("Work it out again")).hasCount(0);
    }

    /** The row of a way, after messages went over it thirty times. */
    private Locator measured(String from, String to) {
        hand.load("/line/send");
        standInFor("Instead of " + from, "At " + to);
        hand.click("Use the MIDI ports of this browser");
        assertThat(hand.page.locator("#out-count")).hasText(": 1");
        walkTo(hand, to);
        hand.click("Yes, send to %s from here".formatted(to));
        hand.page.evaluate("() => { window.echo = true; }");
        hand.page.locator("#measure").click();
        Locator row = hand.page
                .locator("#loops tbody tr")
                .filter(new Locator.FilterOptions().setHasText(from + " \u2192 " + to));
        assertThat(row).containsText("30 tries: least");
        return row;
    }
}
