package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The whole job: from an empty page to a printed sheet that is proven right, and every way of breaking it. */
class MuteBoardJobTests extends AtTheBrowser {

    private static final List<String> ALL_EXACT = List.of("exact", "exact", "exact", "exact");

    /** At a laptop, at one enlarged to 200 %, and by a finger alone on a tablet. */
    @ParameterizedTest
    @CsvSource({"1280, 800, false", "640, 400, false", "820, 1180, true"})
    void fromAnEmptyPageToAProvenSheet(int width, int height, boolean byFinger) {
        hand.close();
        hand = new Stagehand(port, width, height, ColorScheme.LIGHT, byFinger);
        planTheRig();
        planTheSwitches();

        Page page = hand.page;
        assertThat(page.locator(".steps li").first()).containsText("Vocal mixer mute Main");
        assertThat(page.locator(".steps li .midi").first())
                .hasText(Pattern.compile("ch 2\\s+CC 63\\s+127\\s+B1 3F 7F"));
        assertThat(page.locator(".steps li").first()).containsText("127 reads 2.7");
        assertThat(hand.verdicts()).isEqualTo(ALL_EXACT);
        assertThat(page.locator(".health")).containsText("all proven");

        pressAndLook();
        readTheSheet();
        undoRedoAndReload();
    }

    private void planTheRig() {
        hand.newRig("First light");
        hand.addBox("Four-switch floor board", "Voice board");
        hand.addBox("Rack mixer, 24 strips", "Vocal mixer");
        hand.set("MIDI receive channel", "2");
        hand.set("Input 1", "Vocal mic");
        hand.set("Return 1", "Vocal reverb return");
        hand.set("Return 2", "Vocal delay return");

        hand.go("Wiring");
        hand.link("Voice board 5-pin MIDI OUT", "Vocal mixer 5-pin MIDI THRU");
        assertThat(hand.page.locator(".problem"))
                .hasText("Voice board MIDI OUT and Vocal mixer MIDI THRU both send. A link goes from an OUT "
                        + "or THRU to an IN.");
        Stagehand.see(hand.page.getByLabel("From", new Page.GetByLabelOptions().setExact(true)), "voice-board.out");
        hand.link("Voice board 5-pin MIDI OUT", "Vocal mixer 5-pin MIDI IN");
        assertThat(hand.page.locator(".links tbody tr")).hasCount(1);
        hand.link("Vocal mixer 5-pin MIDI THRU", "Vocal mixer 5-pin MIDI IN (joined)");
        assertThat(hand.page.locator(".problem"))
                .hasText("Both ends are in Vocal mixer. A link goes from one box to another.");
        hand.go("Gear");
        hand.addBox("Four-switch desk board", "Spare board");
        hand.go("Wiring");
        hand.link("Spare board 5-pin MIDI OUT", "Voice board 5-pin MIDI OUT (joined)");
        assertThat(hand.page.locator(".problem")).containsText("both send");
        hand.link("Spare board 5-pin MIDI OUT", "Vocal mixer 5-pin MIDI IN (joined)");
        assertThat(hand.page.locator(".problem"))
                .hasText("Vocal mixer MIDI IN already holds the link from Voice board MIDI OUT to"
                        + " Vocal mixer MIDI IN. It takes one; pull that one first.");
        hand.go("Gear");
        hand.openBox("Spare board");
        hand.click("Remove Spare board");
        assertThat(hand.page.locator(".boxes li")).hasCount(2);
    }

    private void planTheSwitches() {
        hand.go("Switches");
        hand.addStep("open reverb", "open Vocal reverb return");
        hand.addStep("open delay", "open Vocal delay return");
        hand.addStep("open mic", "open Vocal mic");
        hand.addStep("open main", "open Main");
        hand.chooseSwitch(2);
        hand.addStep("mute return", "mute Vocal reverb return");
        hand.addStep("mute return", "mute Vocal delay return");
        hand.set("Tape beside the switch", "Voice dry");
        hand.chooseSwitch(3);
        hand.addStep("mute mic", "mute Vocal mic");
        hand.chooseSwitch(4);
        hand.addStep("mute main", "mute Main");
    }

    private void pressAndLook() {
        hand.hit(hand.tile(2).getByRole(AriaRole.BUTTON));
        assertThat(hand.strip("Vocal mixer", "Vocal reverb return")).hasAttribute("data-state", "muted");
        assertThat(hand.strip("Vocal mixer", "Main")).hasAttribute("data-state", "open");
        Locator tape = hand.page.locator(".tape-press").first();
        assertThat(tape).containsText("Voice board, bank A, switch 2 (Voice dry)");
        assertThat(tape.locator("li").first())
                .containsText(Pattern.compile("0\\.960 ms\\s+ch 2 CC 56 127\\s+B1 38 7F\\s+Vocal mixer MIDI IN:\\s+"
                        + "mute Vocal reverb return"));
        assertThat(tape.locator("li").last()).containsText("1.920 ms");
        hand.pressSwitch(4);
        assertThat(hand.strip("Vocal mixer", "Main")).hasAttribute("data-state", "muted");
        hand.pressSwitch(1);
        assertThat(hand.page.locator("[data-state=muted]")).hasCount(0);
        assertThat(hand.page.locator(".tape-press").first().locator("li").last())
                .containsText("3.840 ms");
        assertThat(hand.page.locator(".tape-press")).hasCount(3);
        hand.hit(hand.page.getByText("Begin all muted"));
        assertThat(hand.strip("Vocal mixer", "Main")).hasAttribute("data-state", "muted");
        hand.pressSwitch(1);
        assertThat(hand.page.locator(".strip.moved")).hasCount(4);
        assertThat(hand.strip("Vocal mixer", "Main")).hasAttribute("data-state", "open");
        hand.page.reload();
        assertThat(hand.page.locator("#trial header")).containsText("1 press, all began muted");
        assertThat(hand.strip("Vocal mixer", "Main")).hasAttribute("data-state", "open");
        hand.hit(button("Foot down"));
        assertThat(hand.page.locator(".tape-press h4").first()).containsText(", foot down");
        hand.hit(button("Let go"));
        assertThat(button("Foot down")).isVisible();
        hand.hit(button("Back one"));
        assertThat(button("Let go")).isVisible();
        assertThat(hand.page.locator("#trial header")).containsText("2 presses");
    }

    private Locator button(String name) {
        return hand.page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private void readTheSheet() {
        hand.go("Preflight");
        assertThat(hand.page.locator(".empty")).containsText("Nothing was found");
        hand.hit(hand.page.getByText("Programming sheets"));
        assertThat(hand.page.locator(".sheet h2")).hasText(new String[] {
            "Vocal mixer", "Cables", "Switch on, in this order", "Voice board", "Try every switch"
        });
        assertThat(hand.page.locator(".sheet").first()).containsText("Set MIDI receive channel to 2.");
        Locator board = hand.page.locator(".sheet").nth(3);
        assertThat(board.locator("h3")).hasText(new String[] {
            "Set on the box",
            "Bank A, switch 1",
            "Bank A, switch 2: Voice dry",
            "Bank A, switch 3",
            "Bank A, switch 4",
            "Keep it"
        });
        assertThat(board.locator(".messages").nth(0).locator("tbody tr").last().locator("td"))
                .hasText(new String[] {"", "4", "CC", "2", "63", "0", "", "Vocal mixer: open Main", "B1 3F 00"});
        assertThat(board.locator(".messages").nth(1).locator("tbody tr").first().locator("td"))
                .hasText(new String[] {
                    "",
                    "1",
                    "CC",
                    "2",
                    "56",
                    "127",
                    "127 reads 2.7",
                    "Vocal mixer: mute Vocal reverb return",
                    "B1 38 7F"
                });
        int messages = board.locator(".messages tbody tr").count();
        assertThat(messages).isEqualTo(8);
        assertThat(board.locator(".tick-box")).hasCount(messages + 2);
    }

    private void undoRedoAndReload() {
        hand.go("Switches");
        hand.chooseSwitch(4);
        hand.turn("undo");
        assertThat(hand.tile(4)).containsText("nothing yet");
        hand.page.reload();
        assertThat(hand.tile(4)).containsText("nothing yet");
        hand.turn("redo");
        assertThat(hand.tile(4)).containsText("Vocal mixer: mute Main");
        hand.page.reload();
        assertThat(hand.tile(4)).containsText("Vocal mixer: mute Main");
        assertThat(hand.verdicts()).isEqualTo(ALL_EXACT);
    }

    @Test
    void aWrongReceiveChannelIsDeadSaidAndMendedByItsButton() {
        importExample();
        hand.openBox("Vocal mixer");
        hand.set("MIDI receive channel", "5");
        hand.go("Switches");
        assertThat(hand.verdicts()).isEqualTo(List.of("dead", "dead", "dead", "dead"));
        assertThat(hand.findings())
                .containsExactly("Stops the show Voice board, bank A, switches 1, 2, 3 and 4"
                        + " Voice board sends on channel 2; Vocal mixer listens on channel 5. Vocal "
                        + "mixer hears these switches and ignores them."
                        + " 4 things fail by it Do this: Set Vocal mixer to channel 2, in the plan and on the box."
                        + " Set Vocal mixer to channel 2 Set Voice board to channel 5");
        assertThat(hand.page.locator(".tale .end"))
                .hasText(Pattern.compile("\\s*.* is (open|muted); (open|muted) was meant\\s*"));
        hand.page.keyboard().press("2");
        assertThat(hand.page.locator(".tape-press li").first()).containsText("ignored: it listens on channel 5");
        assertThat(hand.page.locator(".strip.moved")).hasCount(0);
        hand.click("Set Vocal mixer to channel 2");
        assertThat(hand.page.locator(".finding")).hasCount(0);
        assertThat(hand.verdicts()).isEqualTo(ALL_EXACT);
    }

    @Test
    void aBoardThatSendsProgramChangesOnlyHasNoWay() {
        importExample();
        hand.openBox("Voice board");
        hand.choose("Hardware today", "Four-switch program board");
        assertThat(hand.page.locator(".side .soft").first()).containsText("sends program changes");
        hand.go("Switches");
        assertThat(hand.verdicts())
                .isEqualTo(List.of("cannot get there", "cannot get there", "cannot get there", "cannot get there"));
        assertThat(hand.findings())
                .singleElement()
                .asString()
                .contains(
                        "Voice board, a Four-switch program board, sends only program changes;"
                                + " these switches need control changes.",
                        "These steps are never sent.");
        hand.click("Use a Four-switch floor board");
        assertThat(hand.page.locator(".finding")).hasCount(0);
        assertThat(hand.verdicts()).isEqualTo(ALL_EXACT);
    }

    @Test
    void moreMessagesThanTheBoardSendsHasNoWay() {
        importExample();
        hand.openBox("Voice board");
        hand.choose("Hardware today", "Four-switch desk board");
        assertThat(hand.page.locator(".side .soft").first()).containsText("2 messages a press");
        hand.go("Switches");
        assertThat(hand.verdicts()).isEqualTo(List.of("cannot get there", "exact", "exact", "exact"));
        assertThat(hand.findings())
                .singleElement()
                .asString()
                .contains(
                        "The switch needs 4 messages; Voice board sends at most 2 in one press.",
                        "These are never sent: Vocal mixer: open Vocal mic and Vocal mixer: open Main.",
                        "Share the steps out over two switches");
        assertThat(hand.page.locator(".steps .problem")).hasCount(2);
    }

    @Test
    void aChartWithMuteAndOpenSwappedIsWrongSaidAndCorrected() {
        importExample(MuteBoardJobTests::swapChart);
        hand.go("Switches");
        assertThat(hand.verdicts()).isEqualTo(List.of("wrong", "wrong", "wrong", "wrong"));
        assertThat(hand.findings())
                .singleElement()
                .asString()
                .contains(
                        "Vocal mixer, chart of Rack mixer, 24 strips",
                        "The chart has CC 40 value 0 for \"mute Input 1\", but the box takes it as \"open Input 1\".");
        hand.chooseSwitch(4);
        assertThat(hand.page.locator(".tale .end")).containsText("was meant");
        hand.click("Correct the chart");
        assertThat(hand.page.locator(".finding")).hasCount(0);
        assertThat(hand.verdicts()).isEqualTo(ALL_EXACT);
        assertThat(hand.page.locator(".steps .midi")).containsText("B1 3F 7F");
    }

    @Test
    void aMissingCableHasNoWayAndIsPluggedByItsButton() {
        importExample();
        hand.go("Wiring");
        hand.page.getByText("Table").click();
        hand.page.getByText("Pull it").click();
        assertThat(hand.page.locator(".empty")).hasText("No links yet.");
        hand.go("Switches");
        assertThat(hand.verdicts())
                .isEqualTo(List.of("cannot get there", "cannot get there", "cannot get there", "cannot get there"));
        assertThat(hand.findings())
                .singleElement()
                .asString()
                .contains(
                        "No link leads from Voice board to Vocal mixer.",
                        "Link Voice board MIDI OUT to Vocal mixer MIDI IN.");
        hand.page.keyboard().press("3");
        assertThat(hand.page.locator(".tape-press li").first()).containsText("nothing is plugged in here");
        hand.click("Link Voice board MIDI OUT to Vocal mixer MIDI IN");
        assertThat(hand.page.locator(".finding")).hasCount(0);
        assertThat(hand.verdicts()).isEqualTo(ALL_EXACT);
    }

    @Test
    void anExportedRigComesBackIdentical() {
        importExample();
        hand.page.getByLabel("Name of the rig").fill("There and back");
        hand.page.getByLabel("Name of the rig").press("Enter");
        assertThat(hand.page.locator(".rig-name")).hasText("There and back");
        hand.page.navigate("/");
        String file = hand.export();
        assertThat(file).contains("\"name\" : \"There and back\"");
        hand.page.getByLabel("Delete There and back").first().click();
        assertThat(hand.page.locator(".note-line")).containsText("The rig is deleted.");
        assertThat(hand.page.getByText("There and back")).hasCount(0);
        hand.importFile(file.getBytes(StandardCharsets.UTF_8));
        hand.at("/gear");
        hand.page.navigate("/");
        String edition = ",\\s*\"edition\" : \"rig-[a-z0-9-]+ [0-9]+\"";
        assertThat(hand.export().replaceFirst(edition, "")).isEqualTo(file.replaceFirst(edition, ""));
    }

    /** The box does what its chart said; the chart now has the values for mute and open exchanged. */
    private static String swapChart(String file) {
        int from = file.indexOf("\"chart\" : [");
        int to = file.indexOf("]", from) + 1;
        String chart = file.substring(from, to);
        String swapped = chart.replace("over 63", "= 0").replace("under 64", "= 127");
        return file.substring(0, from) + swapped + ",\n" + chart.replace("\"chart\"", "\"reality\"")
                + file.substring(to);
    }
}
