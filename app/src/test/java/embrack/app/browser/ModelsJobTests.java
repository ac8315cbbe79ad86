package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.LoadState;
import embrack.core.gear.library.Library;
import embrack.files.chart.ChartCsv;
import embrack.files.model.ModelFile;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Describing a box from its manual, choosing one, changing one that rigs use. */
class ModelsJobTests extends AtTheBrowser {

    /*
     * The half page of a manual, invented:
     *
     *   MIDI control. Receive channel 1 to 16, as delivered 3. Programs 1 to 50 call memories 1 to 50.
     *   Tracks 1 to 3: record/play CC 80, 81, 82; stop CC 83, 84, 85; clear CC 86, 87, 88 (any value over 63).
     *   Track level CC 20, 21, 22, 0 to 100. Undo: CC 89. Stop all tracks: CC 90.
     *   Connectors: MIDI IN and MIDI THRU (5-pin). Press and hold STORE to keep a memory.
     */
    private static final String CHART = """
            programs from 1
            select Memory 1..50: pc 1..50
            record Track 1..3: cc 80..82 over 63
            stop Track 1..3: cc 83..85 over 63
            clear Track 1..3: cc 86..88 over 63
            level Track 1..3: cc 20..22 = 0..100
            undo Tracks: cc 89 over 63
            stop all Tracks: cc 90 over 63
            safe: stop all Tracks""";
    private static final String BOX = """
            port MIDI IN: 5-pin in
            port MIDI THRU: 5-pin thru
            setting MIDI receive channel: 1..16, factory 3
            memories: 50
            keep: Press and hold STORE.""";

    @Test
    void aLoopStationIsDescribedFromHalfAPageInFewerThanFifteenInteractions() {
        Page page = hand.page;
        int interactions = 0;
        page.navigate("/models");
        hand.type("What it is", "Loop station, 3 tracks");
        interactions++;
        hand.choose("Kind", "loop station");
        interactions++;
        hand.click("Describe it");
        interactions++;
        page.locator("#chart").fill(CHART);
        interactions++;
        page.locator("#box").fill(BOX);
        interactions++;
        assertThat(page.locator("#reading")).containsText("64 rows");
        assertThat(page.locator("#reading .mark")).hasText("readable");
        page.locator("#pressed").fill("level Track 2 at 77");
        interactions++;
        assertThat(page.locator("#tried")).containsText("set level of Track 2 to 77: CC 21 value 77");
        page.locator("#arrived").fill("B0 54 7F");
        interactions++;
        assertThat(page.locator("#tried")).containsText("stop Track 2");
        page.locator(".room-head button").click();
        interactions++;
        assertThat(page.locator("h1")).hasText("Loop station, 3 tracks");
        assertThat(interactions).isLessThan(15);

        assertThat(page.locator(".model-chart")).containsText("select Memory 1..50: pc 1..50");
        assertThat(page.locator(".side")).containsText("Press and hold STORE.");
        assertThat(page.locator(".drawing .cell")).hasCount(32 + 3 + 1);
        page.getByText("Print chart").click();
        assertThat(page.locator(".print-rows li")).hasCount(64);
        assertThat(page.locator(".print-rows li").nth(50)).hasText(Pattern.compile("record Track 1\\s*B0 50 7F"));

        hand.newRig("Looped");
        hand.addBox("Four-switch floor board", "Loop board");
        hand.addBox("Loop station, 3 tracks", "Looper");
        hand.set("MIDI receive channel", "2");
        hand.go("Wiring");
        hand.link("Loop board 5-pin MIDI OUT", "Looper 5-pin MIDI IN");
        hand.go("Switches");
        hand.addStep("record 2", "record or play Track 2");
        assertThat(page.locator(".steps .midi")).hasText(Pattern.compile("ch 2\\s+CC 81\\s+127\\s+B1 51 7F"));
        assertThat(hand.tile(1).locator(".verdict")).hasText("exact");
        hand.chooseSwitch(2);
        hand.addStep("level track 3 to 64", "set level of Track 3 to 64");
        assertThat(page.locator(".side .caution")).containsText("Start low");
        page.keyboard().press("1");
        assertThat(hand.strip("Looper", "Track 2")).hasAttribute("data-state", Pattern.compile("recording"));
        page.keyboard().press("1");
        assertThat(hand.strip("Looper", "Track 2")).hasAttribute("data-state", Pattern.compile("playing"));
    }

    /** The six worst typing mistakes. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "mute Input 1..16: cc 40..54          | column 22 | 40..54  | 16 parts, but 15 numbers",
                "mute Input 1..16: cc 55..40          | column 22 | 55..40  | runs backwards",
                "select Patch 1..129: pc 1..129       | column 25 | 1..129  | 129 programs; there are 128",
                "mutte Input 1: cc 40                 | column 1  | mutte   | Did you mean \"mute\"?",
                "mute Input 1: cc 128                 | column 18 | 128     | from 0 to 127; 128 is not one of them",
                "mute Input 1 cc 40                   | column 6  | Input 1 cc 40 | A colon is missing",
            })
    void mistakesAreToldAtTheirColumnWhileOneTypes(String line, String column, String marked, String words) {
        Page page = hand.page;
        page.navigate("/models/lantern-desk-six-fixtures/edit");
        page.locator("#chart").fill("programs from 1\n" + line);
        Locator remark = page.locator(".remark.stop");
        assertThat(remark).hasCount(1);
        assertThat(remark).containsText("chart, line 2, " + column);
        assertThat(remark.locator("mark")).hasText(marked);
        assertThat(remark).containsText(words);
        remark.locator("button").click();
        assertThat(page.evaluate(
                        "(f => f.value.slice(f.selectionStart, f.selectionEnd))(document.getElementById('chart'))"))
                .isEqualTo(marked);
        page.locator(".room-head button").click();
        assertThat(page.locator(".problem").first()).containsText("Not kept: there are mistakes");
        assertThat(page.locator("#chart")).hasValue("programs from 1\n" + line);
        page.waitForLoadState(LoadState.LOAD);
        page.locator("#chart").fill(line);
        assertThat(page.evaluate("JSON.parse(localStorage.getItem('draft /models/lantern-desk-six-fixtures'))[2]"))
                .isEqualTo(line);
        page.locator(".back").click();
        assertThat(page.locator("h1")).hasText("Lantern desk, six fixtures");
        page.navigate("/models/lantern-desk-six-fixtures/edit");

        hand.click("Put it back");
        assertThat(page.locator("#chart")).hasValue(line);
    }

    @Test
    void askingRulesOutTheBoardThatCannotMute() {
        Page page = hand.page;
        page.navigate("/models");
        page.getByLabel("What can …?").fill("mute by control change");
        Locator cannot = page.locator("#found section").filter(new Locator.FilterOptions().setHasText("These cannot"));
        Locator can = page.locator("#found section")
                .filter(new Locator.FilterOptions().setHasText("These can").setHasNotText("These cannot"));
        assertThat(cannot.locator("li").filter(new Locator.FilterOptions().setHasText("Four-switch program board")))
                .containsText("Sends program changes only; for this control changes are needed.");
        assertThat(can.locator("li").first())
                .containsText(Pattern.compile("Answers to it: CC \\d+ over 63 is \"mute Input 1\""));
        page.getByLabel("What can …?").fill("makes coffee");
        assertThat(page.locator("#found .problem")).containsText("is not understood. Ask such as");
        page.getByLabel("What can …?").fill("");
        page.getByLabel("Search", new Page.GetByLabelOptions().setExact(true)).fill("chase desk");
        assertThat(page.locator("#found li")).hasCount(4);
    }

    @Test
    void aChangeShowsWhichRigsItTouchesBeforeItIsMade() {
        Page page = hand.page;
        page.navigate("/models/rack-mixer-24");
        hand.click("Copy and change");
        hand.at("/edit");
        String edit = page.url();
        page.locator("#name").fill("Rack mixer of the choir");
        page.locator(".room-head button").click();
        assertThat(page.locator("h1")).hasText("Rack mixer of the choir");

        importExample();
        hand.openBox("Vocal mixer");
        hand.choose("Hardware today", "Rack mixer of the choir");
        assertThat(page.locator("#top .health")).containsText("all proven");

        page.navigate(edit);
        page.locator("#chart")
                .fill("mute Input 1..16: cc 20..35 over 63\nopen Input 1..16: cc 20..35 under 64\nmute "
                        + "Main: cc 63 over 63\nopen Main: cc 63 under 64");
        page.locator(".room-head button").click();
        Locator touched = page.locator(".touched");
        assertThat(touched).containsText("Voice board, bank A, switches 1, 2 and 3");
        assertThat(touched).containsText("The tape \"Vocal reverb return\" of Vocal mixer comes off.");
        assertThat(touched).containsText("Vocal mixer has no message for");
        hand.click("Keep it, and change the ticked rigs");
        assertThat(page.locator(".revisions li")).hasCount(3);
        page.locator(".side").getByText("Mute board").first().click();
        assertThat(page.locator("#top .health")).containsText("stop");
        hand.go("Switches");
        hand.chooseSwitch(3);
        assertThat(page.locator(".steps .midi")).containsText("CC 20");
        page.keyboard().press("u");
        assertThat(page.locator(".steps .midi")).containsText("CC 40");
        hand.go("Gear");
        hand.openBox("Vocal mixer");
        assertThat(page.locator(".side")).containsText("This rig describes it in another way");
        hand.click("Take the description of the models");
        assertThat(page.locator(".side")).not().containsText("This rig describes it in another way");
    }

    @Test
    void modelsTravelAsFilesAndAllMistakesOfAFileAreListed() {
        Page page = hand.page;
        String file = ModelFile.write(Library.RACK_MIXER);
        upload(
                "/models",
                "From a model file",
                "Import",
                file.replace("mute Bus 1..3", "mute Bus 1..4").replace("cc 63 under 64", "cc 163"));
        assertThat(page.locator(".problem")).containsText("it has 2 mistakes");
        assertThat(page.locator(".problems li")).hasText(new String[] {
            "chart[3]: column 19: 4 parts, but 3 numbers: \"Bus 1..4\" and \"60..62\" must be of the same length.",
            "chart[8]: column 15: CC numbers go from 0 to 127; 163 is not one of them."
        });
        upload("/models", "From a model file", "Import", file);
        assertThat(page.locator("h1")).hasText("Rack mixer, 24 strips 2");
        page.getByText("Edit", new Page.GetByTextOptions().setExact(true)).click();
        hand.at("/edit");
        String editor = page.url();
        upload(
                editor,
                "Chart from a CSV file",
                "Read it in",
                "verb,part,type,number\nmutte,Main,cc,1\nmute,Main,cc,999\n");
        assertThat(page.locator(".problems li")).hasCount(2);
        upload(editor, "Chart from a CSV file", "Read it in", ChartCsv.write(Library.RACK_MIXER.chart()));
        assertThat(page.locator("#chart"))
                .hasValue(
                        Pattern.compile("mute Input 1\\.\\.16: cc 40\\.\\.55 over 63\\nmute Return.*", Pattern.DOTALL));
        page.locator("#name").fill("");
        page.locator(".room-head button").click();
        assertThat(page.locator(".problem").first()).containsText("Write a name; it is empty.");
        page.locator("#name").fill("Four-switch floor board");
        page.locator(".room-head button").click();
        assertThat(page.locator(".problem").first())
                .containsText("There is already a model called Four-switch floor board.");
        page.navigate(editor.replace("/edit", ""));
        hand.click("Delete this model");
        assertThat(page.locator(".note-line")).containsText("The model was deleted.");
        hand.click("Bring it back");
        assertThat(page.locator("h1")).hasText("Rack mixer, 24 strips 2");
    }

    @Test
    void everyNumberLeadsToTheNumberPad() {
        Page page = hand.page;
        page.navigate("/models/small-scene-desk");
        page.locator(".rows .num-link").first().click();
        assertThat(page.locator("#pad-panel .pad"))
                .containsText("C1 where middle C is C3; C2 where middle C is C4; C3 where middle C is C5");
        page.locator("#pad-q").fill("B1 28 7F");
        assertThat(page.locator("#pad-panel .pad")).containsText("channel 2: CC 40");
        page.locator("#pad-q").fill("hello");
        assertThat(page.locator("#pad-panel .problem")).containsText("Type a number from 0 to 16383");
        page.locator("h1").click();
        page.keyboard().press("n");
        assertThat(page.locator("#pad-panel")).isHidden();
        page.navigate("/numbers?q=12");
        assertThat(page.locator("main .pad")).containsText("C0 where middle C is C4");
    }

    @Test
    void twoPeopleDoNotOverwriteEachOther() {
        Page mine = hand.page;
        mine.navigate("/models/merger-2-to-1");
        hand.click("Copy and change");
        hand.at("/edit");
        try (Stagehand other = new Stagehand(port)) {
            other.page.navigate(mine.url());
            other.page.locator("#box").fill("port IN 1: 5-pin in\nport OUT: 5-pin thru");
            other.page.locator(".room-head button").click();
            assertThat(other.page.locator(".revisions li")).hasCount(2);
        }
        mine.locator("#box")
                .fill("port IN 1: 5-pin in\nport IN 2: 5-pin in\nport IN 3: 5-pin in\nport OUT: 5-pin thru");
        mine.locator(".room-head button").click();
        assertThat(mine.locator(".problem").first())
                .containsText("somebody else kept revision 2 meanwhile (Change the box)");
        assertThat(mine.locator("#box")).hasValue(Pattern.compile("IN 3"));
        mine.locator(".room-head button").click();
        assertThat(mine.locator(".revisions li")).hasCount(3);
        assertThat(mine.locator(".drawing .din")).hasCount(4);
    }

    @Test
    void aDescriptionThatCameWithARigCanBeKept() {
        importExample(file -> file.replace("\"id\" : \"rack-mixer-24\"", "\"id\" : \"foreign-mixer\"")
                .replace("\"model\" : \"rack-mixer-24\"", "\"model\" : \"foreign-mixer\"")
                .replace("\"name\" : \"Rack mixer, 24 strips\"", "\"name\" : \"Foreign mixer\""));
        hand.openBox("Vocal mixer");
        assertThat(hand.page.locator("#hardware")).hasValue("");
        hand.click("Keep this description as a model of yours");
        assertThat(hand.page.locator("h1")).hasText("Foreign mixer");
        assertThat(hand.page.locator(".revisions")).containsText("Kept from a rig");
        hand.page.getByLabel("Its job in the rig").fill("Second mixer");
        hand.click("Add to Mute board");
        assertThat(hand.page.locator("#boxes")).containsText("Second mixer");
        hand.page.goBack();
        hand.page.getByLabel("Its job in the rig").fill("Vocal mixer");
        hand.click("Add to Mute board");
        assertThat(hand.page.locator(".problem")).containsText("There is already a box called Vocal mixer.");
    }

    private void upload(String address, String label, String button, String content) {
        hand.page.navigate(address);
        hand.page
                .getByLabel(label)
                .setInputFiles(
                        new FilePayload("file", "application/octet-stream", content.getBytes(StandardCharsets.UTF_8)));
        hand.click(button);
        hand.page.waitForLoadState();
    }
}
