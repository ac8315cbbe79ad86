package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.Media;
import embrack.app.AppTest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Songs and the order, done by a person at the browser with the demo's rig. */
@AppTest
class SongJobTests {

    @LocalServerPort
    private int port;

    private byte[] demo;

    @BeforeEach
    void readTheDemo() throws IOException {
        demo = Files.readAllBytes(Path.of("../docs/examples/quay-rig.json"));
    }

    /** Counts what a person does: each click, each key pressed, each text typed. */
    private static final class Counting {
        private final Stagehand hand;
        private int interactions;

        Counting(Stagehand hand) {
            this.hand = hand;
        }

        void click(String button) {
            interactions++;
            hand.click(button);
        }

        void link(String words) {
            interactions++;
            hand.page
                    .getByRole(
                            AriaRole.LINK,
                            new Page.GetByRoleOptions().setName(words).setExact(true))
                    .click();
        }

        void type(String label, String text) {
            interactions++;
            hand.type(label, text);
        }

        void key(String key) {
            interactions++;
            hand.page.keyboard().press(key);
        }
    }

    @Test
    void aNewSongFromItsTempoToCapturedCuesToPaper() throws IOException {
        try (Stagehand hand = new Stagehand(port)) {
            hand.importFile(demo);
            Page page = hand.page;
            var person = new Counting(hand);
            hand.go("Songs");
            person.interactions++;
            person.type("Title", "Gulls at Four");
            person.type(
                    "How it goes (may wait)",
                    "tempo 240\nCount-in: 2 bars\nVerse: 4 bars, \"loud\"\nRefrain: 2 bars\nVerse 2: 4 "
                            + "bars\nRefrain 2: 2 bars\n");
            person.click("Add the song");
            hand.at("/songs/gulls-at-four");
            person.link("Capture");
            hand.at("/capture");
            person.interactions++;
            hand.choose("Keys stand for", "switches of Quay board");
            assertThat(page.locator(".capture-key").nth(2)).containsText("Harbour light");
            person.click("Run space");
            assertThat(page.locator("#capture")).hasClass(Pattern.compile("running"));
            for (String key : List.of("3", "5", "4")) {
                page.waitForTimeout(900);
                person.key(key);
            }
            page.waitForTimeout(300);
            person.click("Stop space");
            assertThat(page.locator(".taken-panel tbody tr:not(.dropped)")).hasCount(3);
            assertThat(page.locator(".taken-panel tbody tr.dropped").first())
                    .containsText("left out: release, a note-off");
            assertThat(page.locator(".taken-panel tbody tr").first())
                    .containsText(Pattern.compile("(\u2212|\\+)?\\d+ ms"));
            person.click("Keep 3 cues");
            hand.at("/songs/gulls-at-four$");
            assertThat(page.locator(".pin")).hasCount(3);
            page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
            byte[] paper = page.pdf(new Page.PdfOptions().setFormat("A4"));
            person.interactions++;
            try (PDDocument pdf = Loader.loadPDF(paper)) {
                assertThat(pdf.getNumberOfPages()).isEqualTo(1);
            }
            assertThat(person.interactions).isLessThan(40);
            assertThat(hand.scriptErrors()).isEmpty();
        }
    }

    /** The real board captures: what it sends is known as its switch, at the time at which it came. */
    @Test
    void theRealBoardCapturesAtItsOwnTimes() {
        try (Stagehand hand = new Stagehand(port)) {
            hand.importFile(demo);
            hand.at("/gear");
            Page page = hand.page;
            hand.load("/songs/rope-and-kettle/capture?keys=quay-board");
            page.evaluate("""
                    () => {
                      const input = { id: "1", name: "Quay board USB", state: "connected" };
                      window.came = (at, ...bytes) =>
                        input.onmidimessage({ timeStamp: at, data: new Uint8Array(bytes) });
                      navigator.requestMIDIAccess = async () => ({ inputs: new Map([[input.id, input]]) });
                    }""");
            hand.click("Hear the real board");
            assertThat(page.locator("#board-state")).containsText("Hears Quay board USB.");
            hand.click("Run space");
            assertThat(page.locator("#capture")).hasClass(Pattern.compile("running"));
            page.waitForCondition(
                    () -> page.locator("#capture-time").innerText().compareTo("0:00.100") > 0);
            page.evaluate("() => { window.t = performance.now(); window.came(window.t, 0x97, 36, 127); }");
            assertThat(page.locator("#capture-count")).hasText("1 captured");
            page.evaluate("() => window.came(window.t + 1250, 0xc6, 0)");
            assertThat(page.locator("#capture-count")).hasText("2 captured");
            page.evaluate("() => window.came(window.t + 1500, 0x97, 99, 127)");
            hand.click("Stop space");
            Locator rows = page.locator(".taken-panel tbody tr");
            assertThat(rows).hasCount(2);
            assertThat(rows.nth(0)).containsText("recall Scene 1");
            assertThat(rows.nth(1)).containsText("Guitar sounds");
            assertThat(millis(rows.nth(1)) - millis(rows.nth(0))).isEqualTo(1250);
        }
    }

    private static long millis(Locator row) {
        String[] clock = row.locator("td").first().innerText().split("[:.]");
        return Long.parseLong(clock[0]) * 60_000 + Long.parseLong(clock[1]) * 1_000 + Long.parseLong(clock[2]);
    }

    /** A press is taken at its own time, however busy the page is when it comes to it. */
    @Test
    void aPressCountsWhenItWasMade() {
        try (Stagehand hand = new Stagehand(port)) {
            hand.importFile(demo);
            Page page = hand.page;
            page.navigate(page.url().replace("/gear", "/songs/small-harbour-song/capture?keys=quay-board"));
            hand.click("Run space");
            assertThat(page.locator("#capture")).hasClass(Pattern.compile("running"));
            page.waitForCondition(
                    () -> page.locator("#capture-time").innerText().compareTo("0:00.100") > 0);
            page.evaluate("""
                    () => {
                      const down = (key) => new KeyboardEvent("keydown", { key, bubbles: true });
                      const [three, from] = [down("3"), performance.now()];
                      while (performance.now() < from + 600);
                      [three, down("4")].forEach((press) => document.body.dispatchEvent(press));
                    }""");
            hand.click("Stop space");
            assertThat(page.locator(".taken-panel tbody tr").first()).isVisible();
            List<Integer> downs = Arrays.stream(
                            page.locator("#hits").inputValue().split(","))
                    .filter(hit -> !hit.endsWith("u"))
                    .map(hit -> Integer.valueOf(hit.split("-")[0]))
                    .toList();
            assertThat(downs).hasSize(2);
            assertThat(downs.get(1) - downs.get(0)).isGreaterThan(500);
        }
    }

    @Test
    void cuesAreTypedDrawnDraggedNudgedAndCopied() {
        try (Stagehand hand = new Stagehand(port)) {
            hand.importFile(demo);
            Page page = hand.page;
            page.navigate(page.url().replace("/gear", "/songs/small-harbour-song"));
            int before = page.locator(".pin").count();
            hand.type("When", "4");
            hand.offer("What happens", "lantern scene 9", "recall Scene 9").click();
            Stagehand.see(page.getByLabel("By the music"), "bar 4");
            Stagehand.see(page.getByLabel("By the clock"), "0:06.429");
            assertThat(page.locator(".cue-head .mark")).hasText("exact");
            hand.set("By the clock", "0:09.000");
            Stagehand.see(page.getByLabel("By the music"), "bar 5 beat 1 4/5");
            assertThat(page.locator("aside.side")).containsText("It stays on the clock.");
            hand.set("By the music", "11");
            Stagehand.see(page.getByLabel("By the clock"), "0:21.429");
            page.locator("h2").first().click();
            page.keyboard().press(".");
            Stagehand.see(page.getByLabel("By the music"), "bar 11 beat 2");
            hand.click("To all sections alike a");
            assertThat(page.locator(".pin")).hasCount(before + 3);
            page.locator("#page").getByText("It stays on its bar.").click();
            Locator chosen = page.locator(".pin.chosen rect");
            BoundingBox box = chosen.boundingBox();
            page.mouse().move(box.x + 20, box.y + 10);
            page.mouse().down();
            page.mouse().move(box.x + 20, box.y + 40, new Mouse.MoveOptions().setSteps(5));
            page.waitForResponse(response -> response.request().method().equals("POST"), page.mouse()::up);
            assertThat(page.getByLabel("By the music")).not().hasValue("bar 11 beat 2");
            assertThat(page.getByLabel("By the music")).hasValue(Pattern.compile("bar 1\\d.*"));
            page.locator("h2").first().click();
            page.keyboard().press("Delete");
            assertThat(page.locator(".pin")).hasCount(before + 2);
            page.locator("#prompt .lane[data-device='pictures']")
                    .click(new Locator.ClickOptions().setPosition(40, 200));
            assertThat(page.getByLabel("When")).hasValue(Pattern.compile("bar \\d+.*"));
            assertThat(page.locator("#offers button").first()).containsText("Pictures");
            hand.type("When", "99|9");
            hand.offer("What happens", "slide", "next Slide").click();
            assertThat(page.locator("aside .problem").first()).containsText("it has no beat 9");
            Stagehand.see(page.getByLabel("When"), "99|9");
            assertThat(hand.scriptErrors()).isEmpty();
        }
    }

    @Test
    void theOrderIsChangedByKeysAndByDraggingAndSaysWhetherItFits() {
        try (Stagehand hand = new Stagehand(port)) {
            hand.importFile(demo);
            Page page = hand.page;
            hand.go("Order");
            hand.at("/order/night-of-the-slow-boats");
            assertThat(page.locator(".fits")).hasText("fits, 1:47 left");
            page.locator(".part").nth(2).click();
            assertThat(page.locator("aside h2").first()).hasText("Lanterns on the Sill");
            hand.at("part=3");
            page.keyboard().press(".");
            assertThat(page.locator(".part .part-name").nth(3)).hasText("Lanterns on the Sill");
            BoundingBox from = page.locator(".part").nth(3).boundingBox();
            BoundingBox to = page.locator(".part").nth(1).boundingBox();
            page.mouse().move(from.x + 200, from.y + 12);
            page.mouse().down();
            page.mouse().move(from.x + 200, to.y + to.height + 6, new Mouse.MoveOptions().setSteps(6));
            page.mouse().up();
            assertThat(page.locator(".part .part-name").nth(2)).hasText("Lanterns on the Sill");
            hand.set("Slot", "30:00");
            assertThat(page.locator(".fits")).containsText("too long");
            assertThat(page.locator(".finding").filter(new Locator.FilterOptions().setHasText("more than its slot")))
                    .hasCount(1);
            hand.set("Slot", "soon");
            assertThat(page.locator("aside .problem").first()).containsText("minutes:seconds");
            page.reload();
            page.getByText("What that does to").click();
            assertThat(page.locator("aside table tr")
                            .filter(new Locator.FilterOptions().setHasText("Drums plays it"))
                            .first())
                    .isVisible();
            page.getByLabel("Drums", new Page.GetByLabelOptions().setExact(true))
                    .uncheck();
            page.getByText("What that does to").click();
            assertThat(page.locator("aside table tr").filter(new Locator.FilterOptions().setHasText("Drums plays it")))
                    .hasCount(0);
            hand.type("Copy it as", "Second night");
            hand.type("on", "2026-12-12");
            hand.click("Copy the show");
            hand.at("/order/second-night");
            assertThat(page.locator(".part")).hasCount(13);
            assertThat(hand.download("^Calendar"))
                    .contains("BEGIN:VEVENT", "DTSTART:20261212T193000", "SUMMARY:Lanterns on the Sill");
            assertThat(hand.download("^CSV")).contains("19:30:00,song,Lanterns on the Sill,2:54,D");
            assertThat(hand.scriptErrors()).isEmpty();
        }
    }

    @Test
    void aSongLeavesAsAMidiFileAndComesBackAsActions() throws IOException {
        try (Stagehand hand = new Stagehand(port)) {
            hand.importFile(demo);
            Page page = hand.page;
            String rig = page.url().replace("/gear", "");
            page.navigate(rig + "/songs/the-slow-boats");
            page.getByLabel("Ticks a quarter").selectOption("960");
            Download midi = page.waitForDownload(() -> hand.click("MIDI file"));
            Path file = Files.createTempFile("boats", ".mid");
            midi.saveAs(file);
            page.navigate(rig + "/songs");
            int before = page.locator(".songs-table tbody tr").count();
            page.getByLabel("MIDI file").setInputFiles(file);
            hand.click("Read it");
            hand.at("/songs/the-slow-boats-2");
            assertThat(page.locator(".block-name").filter(new Locator.FilterOptions().setHasText("Bridge")))
                    .hasCount(1);
            assertThat(page.locator(".pin[aria-label*='recall Scene 12']"))
                    .hasAttribute("aria-label", "start of Refrain 3 Lantern desk: recall Scene 12, Last light");
            page.navigate(rig + "/songs");
            page.getByLabel("MIDI file")
                    .setInputFiles(Files.write(
                            Files.createTempFile("broken", ".mid"), Arrays.copyOf(Files.readAllBytes(file), 300)));
            hand.click("Read it");
            assertThat(page.locator(".remarks")).containsText("The file is broken. ");
            assertThat(page.locator(".remarks")).containsText("Byte 300: ");
            assertThat(page.locator(".songs-table tbody tr")).hasCount(before + 1);
            hand.click("Keep it so");
            hand.at("/songs/the-slow-boats-3");
            page.navigate(rig + "/songs");
            assertThat(page.locator(".songs-table tbody tr")).hasCount(before + 2);
            file.toFile().deleteOnExit();
        }
    }

    /** The list is changed elsewhere; what that changes is seen, then one way is chosen, and one undo takes it back. */
    @Test
    void aCueListComesBackChanged() throws IOException {
        try (Stagehand hand = new Stagehand(port)) {
            hand.importFile(demo);
            Page page = hand.page;
            page.navigate(page.url().replace("/gear", "/songs/the-slow-boats"));
            int pins = page.locator(".pin").count();
            List<String> lines =
                    new ArrayList<>(hand.download("^Cues as CSV").lines().toList());
            lines.replaceAll(line -> line.replace(",", ";").replace("recall:scene-8", "recall:scene-9"));
            String last = lines.removeLast();
            lines.add(last.replaceFirst("^\\d+", ""));
            page.getByLabel("Cue list as CSV")
                    .setInputFiles(Files.write(Files.createTempFile("cues", ".csv"), lines, StandardCharsets.UTF_16));
            hand.click("Read CSV");
            assertThat(page.locator("#arrived .button").nth(0)).hasText("Update: change 2, add 1");
            assertThat(page.locator("#arrived .button").nth(1)).hasText("Replace: change 2, add 1, take out 1");
            assertThat(page.locator("#arrived .remarks").first()).containsText("recall Scene 9");
            assertThat(page.locator(".pin")).hasCount(pins);
            page.locator("#arrived [name=mark]").nth(2).evaluate("field => { field.value = 'gone'; }");
            page.locator("#arrived .button").nth(2).click();
            assertThat(page.locator(".file-links .problem"))
                    .hasText("What was read is not at hand any more; choose " + "the file again.");
            page.getByLabel("Cue list as CSV")
                    .setInputFiles(Files.write(Files.createTempFile("cues", ".csv"), lines, StandardCharsets.UTF_8));
            hand.click("Read CSV");
            page.locator("#arrived .button").nth(1).click();
            assertThat(page.locator(".pin[aria-label*='Scene 9']")).hasCount(2);
            assertThat(page.locator(".pin")).hasCount(pins);
            page.keyboard().press("Control+z");
            assertThat(page.locator(".pin[aria-label*='Scene 9']")).hasCount(0);
            assertThat(hand.scriptErrors()).isEmpty();
        }
    }
}
