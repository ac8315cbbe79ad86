package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;

/** To each what they need: chosen, printed, changed, taken along without the server, and home again. */
class FolderJobTests extends AtTheBrowser {

    @Autowired
    private RigStore rigs;

    @TempDir
    Path stick;

    private String path = "";

    /** What is changed here is no business of other tests. */
    @BeforeEach
    void copy() {
        path = "/rigs/" + rigs.create(rigs.load(new RigId(1)).plan(), "Quay rig");
    }

    private static String text(byte[] pdf) throws IOException {
        try (var document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    private byte[] get(String path) {
        return hand.page.request().get(path).body();
    }

    private void post(Locator button) {
        hand.page.waitForResponse(response -> response.request().method().equals("POST"), button::click);
        hand.untilAtWork();
    }

    @Test
    void aReaderIsChosenPrintedAndTheChangeIsMarked() throws IOException {
        Page page = hand.page;
        page.navigate(path + "/folder");
        page.getByText("Add a reader").click();
        page.locator("#reader-name").fill("Harp");
        page.locator("#reader").getByText("Switch cards").click();
        page.locator("#reader").getByText("Own songs and switches").click();
        page.locator("#reader button.is-primary").click();
        assertThat(page.locator("#reader .problem")).containsText("Choose at least one thing that Harp gets.");
        assertThat(page.locator("#reader-name")).hasValue("Harp");
        page.locator("#reader").getByText("Joins").click();
        page.locator("#reader button.is-primary").click();
        Locator harp = page.locator("#readers li").filter(new Locator.FilterOptions().setHasText("Harp"));
        assertThat(harp.locator(".gets")).hasText("Joins");
        assertThat(text(get(path + "/folder.pdf?reader=Harp")))
                .contains("Joins", "for Harp")
                .doesNotContain("What to program");
        assertThat(text(get(path + "/folder.pdf?leaf=joins&reader=%3C/style%3E%3Cb%3Enobody")))
                .contains("Joins")
                .doesNotContain("nobody");

        page.locator("#numbers").fill("Rack: 0555 0199");
        post(page.locator("form:has(#numbers) button"));
        page.reload();
        assertThat(page.locator("#numbers")).hasValue("Rack: 0555 0199");
        assertThat(text(get(path + "/folder.pdf?leaf=fails"))).contains("Rack: 0555 0199");

        page.locator("#labels").fill("wide");
        page.locator(".folder-print button").click();
        assertThat(page.locator(".folder-print .problem")).containsText("Say how wide and how high labels are");
        assertThat(page.locator("#labels")).hasValue("wide");
        assertThat(text(get(path + "/folder.pdf?leaf=labels&labels=50x20"))).contains("50 \u00D7 20 mm");
        post(page.getByText(Pattern.compile("Revision \\d+ is printed")));
        assertThat(page.locator(".folder-print")).not().containsText("Only what changed");
        page.navigate(path + "/switches/quay-board/1/3");
        page.locator("input.tape-input").fill("Quay light");
        page.waitForResponse(
                response -> response.request().method().equals("POST"),
                () -> page.locator("input.tape-input").press("Enter"));
        hand.untilAtWork();
        page.navigate(path + "/folder");
        assertThat(page.locator(".folder-print")).containsText("Only what changed since revision");
        assertThat(text(get(path + "/folder.pdf?changed=true")))
                .contains("Changed since revision", "Quay light")
                .doesNotContain("Input list");
    }

    /** On a tablet without a network, from a memory stick. */
    @Test
    void theFileIsReadTickedAndBroughtHome() throws IOException {
        Path file = Files.write(stick.resolve("folder.html"), get(path + "/folder.html"));
        hand.close();
        hand = new Stagehand(port, 820, 1180, ColorScheme.LIGHT);
        Page page = hand.page;
        List<String> asked = new ArrayList<>();
        page.onRequest(request -> asked.add(request.url()));
        page.context().setOffline(true);
        page.navigate(file.toUri().toString());
        assertThat(page.locator("h1").first()).hasText("Quay rig");
        page.locator("[data-entry='4']").click();
        assertThat(page.locator("#now")).hasText("Rope and Kettle");
        assertThat(page.locator("#left")).hasText(Pattern.compile("\\d+:\\d\\d"));
        page.locator("#find").fill("blackout");
        assertThat(page.locator("#labels")).hasCount(0);
        assertThat(page.locator("#cables")).isHidden();
        page.locator("#find").fill("");
        Locator box = page.locator("#program input[type=checkbox]").first();
        String key = box.getAttribute("data-key");
        box.check();
        page.reload();
        assertThat(page.locator("#program input[data-key='%s']".formatted(key))).isChecked();
        Download ticks = page.waitForDownload(() -> page.locator("#ticks").click());
        ticks.saveAs(stick.resolve("ticks.json"));
        Download plan = page.waitForDownload(() -> page.locator("#plan").click());
        assertThat(Files.readString(plan.path())).contains("\"embrack-plan\"");
        assertThat(asked).allMatch(url -> url.startsWith("file:") || url.startsWith("blob:"));

        page.context().setOffline(false);
        page.navigate(path + "/folder");
        page.locator("#ticks-file").setInputFiles(Files.writeString(stick.resolve("other.json"), "no ticks"));
        page.getByText("Take them in").click();
        assertThat(page.locator(".ticks-home .problem")).containsText("this is no JSON");
        page.locator("#ticks-file").setInputFiles(stick.resolve("ticks.json"));
        page.getByText("Take them in").click();
        assertThat(page.locator(".ticks-home [role=status]")).hasText("1 tick came home.");
        page.locator("#ticks-file").setInputFiles(stick.resolve("ticks.json"));
        page.getByText("Take them in").click();
        assertThat(page.locator(".ticks-home [role=status]")).hasText("0 ticks came home. 1 was here already.");
        page.navigate(path + "/sheets");
        assertThat(page.locator(".todo li.done")).hasCount(1);
    }
}
