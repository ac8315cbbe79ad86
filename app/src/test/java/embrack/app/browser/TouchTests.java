package embrack.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import embrack.app.AppTest;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A tablet: fingers scroll, and drag only what was chosen before; nothing moves by accident. */
@AppTest
class TouchTests {

    private static final String SONG = "small-harbour-song";

    @LocalServerPort
    private int port;

    @Autowired
    private RigStore rigs;

    private RigId rig = new RigId(1);
    private BrowserContext context;
    private Page page;
    private CDPSession fingers;

    @BeforeEach
    void aTablet() throws IOException {
        rig = rigs.create(PlanFile.read(Files.readString(Path.of("../docs/examples/quay-rig.json"))), "Tablet");
        context = Browsers.chromium()
                .newContext(new Browser.NewContextOptions()
                        .setViewportSize(820, 1180)
                        .setHasTouch(true)
                        .setBaseURL("http://127.0.0.1:" + port));
        context.setDefaultTimeout(Browsers.PATIENCE);
        page = context.newPage();
        fingers = context.newCDPSession(page);
        page.navigate("/rigs/%s/songs/%s".formatted(rig, SONG));
    }

    @AfterEach
    void close() {
        context.close();
    }

    @Test
    void aSwipeThatBeginsOnALabelScrollsAndTheNextTapMovesNothing() {
        Locator pin = page.locator("#pins .pin").last();
        pin.scrollIntoViewIfNeeded();
        BoundingBox box = pin.boundingBox();
        scroll(box.x + 20, box.y + 8, box.y - 300);
        page.locator("#pins .pin:visible").first().tap();
        assertThat(page.locator(".pin.chosen").first()).isVisible();
        assertThat(rigs.load(rig).revision()).isEqualTo(1);
    }

    @Test
    void aChosenLabelIsDraggedByAFinger() {
        Locator pin = page.locator("#pins .pin").nth(2);
        pin.scrollIntoViewIfNeeded();
        pin.tap();
        Locator chosen = page.locator("#pins .pin.chosen").first();
        assertThat(chosen).isVisible();
        assertThat(page.locator(".htmx-request:not(.ways-out), .htmx-swapping, .htmx-settling, .htmx-added"))
                .hasCount(0);
        untilDrawn();
        BoundingBox box = chosen.boundingBox();
        swipe(box.x + 20, box.y + 8, box.x + 20, box.y + 120);
        page.waitForCondition(() -> rigs.load(rig).revision() == 2);
        assertThat(rigs.load(rig).undo())
                .hasValueSatisfying(what -> assertThat(what).startsWith("Drag 1 cue"));
    }

    @Test
    void aDragThatTheBrowserTakesOrAHandCallsOffDoesNothing() {
        Locator pin = page.locator("#pins .pin").nth(2);
        pin.scrollIntoViewIfNeeded();
        String before = pin.getAttribute("transform");
        for (String how : new String[] {"cancel", "escape", "second finger"}) {
            BoundingBox box = pin.boundingBox();
            page.mouse().move(box.x + 20, box.y + 8);
            page.mouse().down();
            page.mouse().move(box.x + 20, box.y + 60);
            page.mouse().move(box.x + 20, box.y + 90);
            page.waitForCondition(() -> !String.valueOf(before).equals(String.valueOf(pin.getAttribute("transform"))));
            switch (how) {
                case "cancel" ->
                    page.evaluate("document.dispatchEvent(new PointerEvent('pointercancel', { pointerId: 1 }))");
                case "escape" -> page.keyboard().press("Escape");
                default ->
                    page.evaluate("document.dispatchEvent(new PointerEvent('pointerdown', { pointerId: 9, "
                            + "pointerType: 'touch' }))");
            }
            assertThat(String.valueOf(pin.getAttribute("transform"))).as(how).isIn(String.valueOf(before), "");
            page.mouse().move(box.x + 20, box.y + 140);
            page.mouse().up();
            assertThat((Boolean) page.evaluate(
                            "import(document.querySelector('script[type=module]').src.replace('embrack', 'pointer'))"
                                    + ".then(pointer => pointer.dragging.isActive())"))
                    .isFalse();
        }
        page.navigate("/rigs/%s/songs/%s".formatted(rig, SONG));
        assertThat(rigs.load(rig).revision()).isEqualTo(1);
    }

    @Test
    void aPartOfTheOrderIsDraggedOnceItIsChosen() {
        page.navigate("/rigs/%s/order".formatted(rig));
        Locator part = page.locator("#order .part").nth(4);
        part.scrollIntoViewIfNeeded();
        BoundingBox box = part.boundingBox();
        scroll(box.x + 60, box.y + 10, box.y - 150);
        part.tap();
        assertThat(page.locator("#order .part.chosen")).hasCount(1);
        assertThat(rigs.load(rig).revision()).isEqualTo(1);
        page.evaluate("scrollTo(0, 0)");
        untilDrawn();
        box = page.locator("#order .part.chosen").boundingBox();
        swipe(box.x + 60, box.y + 10, box.x + 60, box.y - 150);
        page.waitForCondition(() -> rigs.load(rig).revision() == 2);
        assertThat(rigs.load(rig).undo())
                .hasValueSatisfying(what -> assertThat(what).endsWith("in the order"));
    }

    /** Whether a finger scrolls is decided by what was drawn last, not by what is in the page. */
    private void untilDrawn() {
        Stagehand.untilDrawn(page);
    }

    private double scrolled() {
        return ((Number) page.evaluate("(document.getElementById('prompt-scroll')?.scrollTop ?? 0) + scrollY"))
                .doubleValue();
    }

    /** A finger that scrolls, until what it scrolled rests: a tap on what still rolls only stops it. */
    private void scroll(double x, double y, double toY) {
        double before = scrolled();
        page.evaluate("document.addEventListener('scrollend', () => document.body.dataset.rests = 'yes', true)");
        swipe(x, y, x, toY);
        page.waitForCondition(() -> scrolled() != before);
        assertThat(page.locator("body[data-rests]")).hasCount(1);
        untilDrawn();
    }

    /** One finger put down, moved in steps and lifted, as the browser gets it from a screen. */
    private void swipe(double x, double y, double toX, double toY) {
        touch("touchStart", x, y);
        for (int i = 1; i <= 8; i++) {
            touch("touchMove", x + (toX - x) * i / 8, y + (toY - y) * i / 8);
        }
        touch("touchEnd", -1, -1);
    }

    private void touch(String type, double x, double y) {
        var event = new JsonObject();
        event.addProperty("type", type);
        var points = new JsonArray();
        if (x >= 0) {
            var point = new JsonObject();
            point.addProperty("x", x);
            point.addProperty("y", y);
            points.add(point);
        }
        event.add("touchPoints", points);
        fingers.send("Input.dispatchTouchEvent", event);
    }
}
