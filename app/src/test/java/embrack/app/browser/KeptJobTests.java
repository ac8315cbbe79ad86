package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FormData;
import com.microsoft.playwright.options.RequestOptions;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.TickStore;
import embrack.core.sheet.Progress.Tick;
import embrack.core.sheet.Section;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Pages that are kept on a tablet, read and ticked while the server cannot be reached, and what happens afterwards. */
class KeptJobTests extends AtTheBrowser {

    @Autowired
    private RigStore rigs;

    @Autowired
    private TickStore ticks;

    @SuppressWarnings("NullAway.Init")
    private Relay relay;

    @AfterEach
    void leave() {
        relay.close();
    }

    private List<String> ticked(RigId rig) {
        return ticks.all(rig).stream().map(Tick::key).toList();
    }

    private static Locator line(Page page, String key) {
        return page.locator(".tick-form:has(input[name=key][value='%s']) button".formatted(key));
    }

    @Test
    void whatIsKeptIsReadAndTickedWithoutTheServer() {
        RigId rig = rigs.create(rigs.load(new RigId(1)).plan(), "Quay rig on tour");
        String path = "/rigs/" + rig;
        relay = new Relay(port);
        hand.close();
        hand = new Stagehand(relay.port(), 820, 1180, ColorScheme.DARK);
        Page page = hand.page;
        page.navigate(path + "/folder");
        page.locator("#keep-here").click();
        assertThat(page.locator("#keep-words")).containsText(Pattern.compile("Revision \\d+ is kept here since"));
        page.navigate(path + "/sheets");
        List<String> keys = page.locator(".tick-form input[name=key]").all().stream()
                .limit(4)
                .map(key -> String.valueOf(key.getAttribute("value")))
                .toList();
        String words = line(page, keys.get(3)).getAttribute("aria-label").replace("Done: ", "");
        hand.untilAtWork();

        relay.cut();
        line(page, keys.get(0)).click();
        assertThat(page.locator("#kept")).containsText("Embrack cannot be reached. 1 tick waits here");
        assertThat(line(page, keys.get(0))).hasAttribute("aria-pressed", "true");
        page.reload();
        assertThat(page.locator("#kept")).containsText(Pattern.compile("revision \\d+, as seen on .* 1 tick waits"));
        assertThat(line(page, keys.get(0))).hasAttribute("aria-pressed", "true");
        for (String key : keys.subList(1, 4)) {
            line(page, key).click();
        }
        line(page, keys.get(3)).click();
        assertThat(line(page, keys.get(3))).hasAttribute("aria-pressed", "false");
        assertThat(page.locator("#kept")).containsText("4 ticks wait here");
        assertThat(page.locator("#undo")).isDisabled();
        page.locator(".rail a").getByText("Order").click();
        assertThat(page.locator("#kept")).containsText("as seen on");
        assertThat(page.locator("main")).containsText("Rope and Kettle");
        page.navigate(path + "/cues?device=lantern-desk");
        assertThat(page.locator("#kept")).containsText("as seen on");
        page.navigate(path + "/switches/numbers");
        assertThat(page.locator("h1")).hasText("Kept on this device");
        page.locator("#kept-list").getByText("Rope and Kettle").click();
        assertThat(page.locator("h1")).containsText("Rope and Kettle");
        assertThat(page.locator("#kept")).containsText("as seen on");

        // Somebody else ticks meanwhile, and takes back what waits to be ticked.
        ticks.tick(rig, new Section.Task(keys.get(3), words), "the technician");
        List<String> sent = new ArrayList<>();
        page.onRequest(request -> {
            if (request.method().equals("POST")) {
                sent.add(request.url());
            }
        });
        relay.mend();
        assertThat(page.locator("#kept"))
                .containsText(
                        Pattern.compile("Embrack is back. 3 ticks came home. Somebody said otherwise here later"));
        assertThat(ticked(rig)).containsExactlyInAnyOrderElementsOf(keys);
        assertThat(sent).singleElement().asString().endsWith("/folder/ticks/sent");
        page.getByText("The page as it is now").click();
        assertThat(page.locator("#kept")).hasCount(0);
        page.navigate(path + "/sheets");
        assertThat(page.locator(".tick-box.done")).hasCount(4);
        page.navigate(path + "/folder");
        page.locator("#keep-forget").click();
        assertThat(page.locator("#keep-words")).containsText("Nothing of this rig is kept here any more.");
        page.navigate("/kept");
        assertThat(page.locator("#kept-none")).isVisible();
    }

    /** An answer that is lost on the way: what is sent again counts once, and says nothing of a conflict. */
    @Test
    void whatIsSentTwiceCountsOnce() {
        RigId rig = rigs.create(rigs.load(new RigId(1)).plan(), "Quay rig twice");
        relay = new Relay(port);
        Page page = hand.page;
        page.navigate("/rigs/%s/sheets".formatted(rig));
        String key = page.locator(".tick-form input[name=key]").first().getAttribute("value");
        String token = page.locator("input[name=_csrf]").first().getAttribute("value");
        String file = """
                {"format": "embrack-ticks", "version": 1, "ticks": [
                  {"key": "%1$s", "done": true, "at": "2026-11-27T18:00:00.000Z"},
                  {"key": "%1$s", "done": false, "at": "2026-11-27T18:00:01.000Z"},
                  {"key": "%1$s", "done": true, "at": "2026-11-27T18:00:02.000Z"},
                  {"key": "no/such/line", "done": true, "at": "2026-11-27T18:00:02.000Z"}]}""".formatted(key);
        String to = "/rigs/%s/folder/ticks/sent".formatted(rig);
        FormData form = FormData.create().set("_csrf", token).set("ticks", file);
        assertThat(page.request()
                        .post(to, RequestOptions.create().setForm(form))
                        .text())
                .contains("1 tick came home.", "1 was about lines that are on no sheet any more.");
        assertThat(page.request()
                        .post(to, RequestOptions.create().setForm(form))
                        .text())
                .contains("\"taken\":0", "1 was here already")
                .doesNotContain("otherwise here later");
        assertThat(ticked(rig)).containsExactly(key);
        form.set("ticks", "[]");
        assertThat(page.request()
                        .post(to, RequestOptions.create().setForm(form))
                        .status())
                .isEqualTo(422);
    }
}
