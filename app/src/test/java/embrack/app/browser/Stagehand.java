package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** A person at the browser: does what a person can do, by the words on the page. */
final class Stagehand implements AutoCloseable {

    private final BrowserContext context;
    private final String address;
    private final boolean byFinger;
    private final List<String> scriptErrors = new ArrayList<>();
    private int interactions;
    private int characters;
    final Page page;

    Stagehand(int port, int width, int height, ColorScheme scheme) {
        this(port, width, height, scheme, false);
    }

    /** Works by taps alone on a tablet if it is by finger. */
    Stagehand(int port, int width, int height, ColorScheme scheme, boolean byFinger) {
        this.byFinger = byFinger;
        address = "http://127.0.0.1:" + port;
        context = Browsers.chromium()
                .newContext(new Browser.NewContextOptions()
                        .setViewportSize(width, height)
                        .setColorScheme(scheme)
                        .setHasTouch(byFinger)
                        .setBaseURL(address));
        context.setDefaultTimeout(Browsers.PATIENCE);
        page = context.newPage();
        page.onPageError(scriptErrors::add);
        page.onConsoleMessage(message -> {
            if (message.type().equals("error")
                    && !message.text()
                            .matches("(?s)(Failed to load resource|Response Status Error "
                                    + "Code|htmx:sendAbort|htmx:sendError|htmx:afterRequest).*")) {
                scriptErrors.add(message.text());
            }
        });
    }

    Stagehand(int port) {
        this(port, 1280, 800, ColorScheme.LIGHT);
    }

    /** What scripts complained about, which should be nothing. */
    List<String> scriptErrors() {
        return scriptErrors;
    }

    /**
     * What was done so far: a tap, a key, a choice in a list, a field filled whatever its length, and a page asked for
     * are one each.
     */
    int interactions() {
        return interactions;
    }

    /** How long a slow person takes for it, in seconds: two characters a second, two seconds for all else. */
    int seconds() {
        return characters / 2 + 2 * interactions;
    }

    /** Asks for a page of the rig, as from a bookmark. */
    void load(String path) {
        interactions++;
        page.navigate(page.url().replaceAll("(/rigs/\\d+)/.*", "$1" + path));
    }

    private void fill(Locator field, String text) {
        interactions++;
        characters += text.length();
        field.fill(text);
    }

    void newRig(String name) {
        interactions++;
        page.navigate("/");
        type("New rig", name);
        click("Make it");
        at("/gear");
    }

    void addBox(String model, String name) {
        choose("Model", model);
        type("Its job", name);
        click("Add it");
        see(page.getByRole(AriaRole.COMPLEMENTARY).getByLabel("Job"), name);
    }

    /** Opens a box from its tape in the gear room. */
    void openBox(String name) {
        hit(page.locator("#boxes .tape").getByText(name, new Locator.GetByTextOptions().setExact(true)));
    }

    /** Types into the field with that label. */
    void type(String label, String text) {
        fill(page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)), text);
    }

    /** Types into the field with that id, and waits until its answer is at work. */
    void search(String field, String words) {
        fill(page.locator("#" + field), words);
        assertThat(page.locator("[data-find='%s']".formatted(words))).isVisible();
        untilAtWork();
    }

    void press(String key) {
        interactions++;
        page.keyboard().press(key);
    }

    /** Types and confirms with Enter. */
    void set(String label, String text) {
        Locator field = page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
        fill(field, text);
        interactions++;
        page.waitForResponse(response -> response.request().method().equals("POST"), () -> field.press("Enter"));
        page.waitForLoadState();
        untilAtWork();
    }

    /** Waits until what was answered is on the page: a click while it is put there hits nothing. */
    void untilAtWork() {
        assertThat(page.locator(".htmx-request:not(.ways-out), .htmx-swapping, .htmx-settling, .htmx-added"))
                .hasCount(0);
    }

    /** Waits until the page was drawn at its new size, and what measures itself has done so. */
    void untilDrawn() {
        untilDrawn(page);
    }

    /** As above; a page that a browser does not draw at all, as behind another, is waited for 10 s and no longer. */
    static void untilDrawn(Page page) {
        page.evaluate("""
                () => Promise.race([
                  new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))),
                  new Promise((done) => setTimeout(done, 10_000)),
                ])""");
    }

    /** Chooses from a list, once what was there before has gone and what came is at work. */
    void choose(String label, String option) {
        untilAtWork();
        Locator list = page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
        for (int i = 0;
                i < Browsers.PATIENCE / 50
                        && Boolean.FALSE.equals(list.evaluate("e => { const f = e.closest('[hx-post]'); return !f || "
                                + "(f['htmx-internal-data']?.listenerInfos?.length ?? 0) > 0; }"));
                i++) {
            page.waitForTimeout(50);
        }
        interactions++;
        list.selectOption(option);
    }

    void click(String button) {
        Locator found = page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(button).setExact(true));
        if (found.count() == 0) {
            untilTried();
        }
        hit(found);
    }

    /** Clicks on it, or taps it. */
    void hit(Locator place) {
        interactions++;
        if (byFinger) {
            place.tap();
        } else {
            place.click();
        }
    }

    /** Presses a switch: by its key, or by its round number where there are none. */
    void pressSwitch(int number) {
        interactions++;
        if (byFinger) {
            tile(number).getByRole(AriaRole.BUTTON).tap();
        } else {
            page.keyboard().press(String.valueOf(number));
        }
    }

    /** Takes back the last edit or makes it again: "undo", "redo". */
    void turn(String which) {
        interactions++;
        if (byFinger) {
            page.locator("#" + which).tap();
        } else {
            page.keyboard().press(which.substring(0, 1));
        }
    }

    void go(String room) {
        hit(page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Rooms"))
                .getByText(room, new Locator.GetByTextOptions().setExact(true)));
        at("/" + room.toLowerCase(Locale.ROOT).replaceAll(" .*", ""));
    }

    /** Joins two ports in the table of the wiring room. */
    void link(String from, String to) {
        if (!page.url().endsWith("/wiring/table")) {
            hit(page.getByRole(
                    AriaRole.LINK, new Page.GetByRoleOptions().setName("Table").setExact(true)));
            at("/wiring/table");
        }
        choose("From", from);
        choose("To", to);
        click("Join them");
    }

    void chooseSwitch(int number) {
        hit(tile(number).getByRole(AriaRole.LINK));
        untilAtWork(); // it may have been the chosen one before, on a page that goes now
        assertThat(tile(number).getByRole(AriaRole.LINK)).hasAttribute("aria-current", "true");
    }

    /** Searches for an action and adds it to the chosen switch. */
    void addStep(String search, String action) {
        int before = page.locator(".steps li").count();
        hit(offer("Add a step", search, action));
        assertThat(page.locator(".steps li")).hasCount(before + 1);
    }

    /** Searches, and waits until the list that came for these words is at work; what the list has with that action. */
    Locator offer(String field, String search, String action) {
        fill(page.getByLabel(field), search);
        Locator offers = page.locator("#offers[data-find='%s']".formatted(search));
        assertThat(offers).isVisible();
        assertThat(page.locator(".htmx-request:not(.ways-out), .htmx-swapping, .htmx-settling, .htmx-added"))
                .hasCount(0);
        return offers.locator("button")
                .filter(new Locator.FilterOptions().setHasText(action))
                .first();
    }

    Locator tile(int number) {
        return page.locator("[data-tile='%d']".formatted(number));
    }

    Locator strip(String device, String name) {
        return page.locator("[data-device='%s'] [data-strip='%s']".formatted(device, name));
    }

    /** What the four switches of the bank are said to be. */
    List<String> verdicts() {
        return List.of(1, 2, 3, 4).stream()
                .map(n -> {
                    Locator mark = tile(n).locator(".verdict");
                    return mark.count() == 0 ? "-" : mark.innerText().strip();
                })
                .toList();
    }

    /** Looks at each finding until what mends it has been tried. */
    void untilTried() {
        Locator trying = page.locator(".trying");
        for (int left = trying.count(); left > 0; left = trying.count()) {
            trying.evaluateAll("all => all[0]?.scrollIntoView()");
            assertThat(trying).not().hasCount(left);
        }
    }

    /** The findings beside the chosen switch or in preflight, each in one line. */
    List<String> findings() {
        untilTried();
        return page.locator(".finding").allInnerTexts().stream()
                .map(text -> text.replaceAll("\\s+", " "))
                .toList();
    }

    String export() {
        return download("^Export ");
    }

    /** The text behind the first link whose words match. */
    String download(String words) {
        Download download = page.waitForDownload(
                () -> page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile(words)))
                        .first()
                        .click());
        try {
            return new String(download.createReadStream().readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    void importFile(byte[] content) {
        page.navigate("/");
        try {
            Path file = Files.write(Files.createTempFile("plan", ".json"), content);
            page.getByLabel("Import a plan file").setInputFiles(file);
            click("Import");
            page.waitForLoadState();
            file.toFile().deleteOnExit();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    void at(String pathPart) {
        assertThat(page).hasURL(Pattern.compile(pathPart));
    }

    static void see(Locator field, String value) {
        assertThat(field).hasValue(value);
    }

    @Override
    public void close() {
        context.close();
    }
}
