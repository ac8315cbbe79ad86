package embrack.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.ColorScheme;
import embrack.app.AppTest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * After each swap focus stays on what was acted on, and what changed is said once. What swaps there are is read out of
 * the templates; one that no page here shows fails.
 */
@AppTest
class SwapTests {

    private static final Pattern FROM = Pattern.compile("from:([#.][\\w-]+)");

    /** What tells where somebody is: what it is, what it is called, to whom it belongs. */
    private static final String HERE = """
            (() => { const e = document.activeElement;
              return [e.localName, e.id, e.name, e.labels?.[0]?.innerText ?? e.getAttribute('aria-label')
                ?? (e.name ? '' : e.innerText)].join(' / '); })()""";

    private static final String LISTEN = """
            () => { window.said = [];
              new MutationObserver(() => said.push(document.getElementById('news').textContent))
                .observe(document.getElementById('news'), {childList: true});
              document.querySelectorAll('details').forEach(d => d.open = true); }""";

    @LocalServerPort
    private int port;

    @Test
    void focusStaysAndWhatChangedIsSaidOnce() throws IOException {
        List<Swap> untried = new ArrayList<>(Swap.all());
        List<String> wrong = new ArrayList<>();
        assertThat(untried).hasSizeGreaterThan(35);
        try (Stagehand hand = new Stagehand(port, 1280, 800, ColorScheme.LIGHT)) {
            hand.importFile(Files.readAllBytes(Path.of("../docs/examples/quay-rig.json")));
            String rig = hand.page.url().replaceAll(".*(/rigs/\\d+)/.*", "$1");
            List<String> paths = new ArrayList<>();
            Pages.ALL.forEach(path -> paths.add(path.replaceFirst("^/rigs/1/", rig + "/")));
            paths.add(toggledByACue(hand, rig));
            for (String path : paths) {
                hand.page.navigate(path);
                for (Swap swap : List.copyOf(untried)) {
                    Locator there = hand.page.locator(swap.selector());
                    if (there.count() > 0) {
                        hand.page.navigate(path);
                        if (tried(hand, swap, path, wrong)) {
                            untried.remove(swap);
                        }
                    }
                }
            }
            assertThat(hand.scriptErrors()).isEmpty();
        }
        assertThat(wrong).isEmpty();
        assertThat(untried)
                .extracting(swap -> swap.template() + " " + swap.selector())
                .as("no page shows it")
                .isEmpty();
    }

    @Test
    void linksAndButtonsOfWholePagesDoSoToo() {
        try (Stagehand hand = new Stagehand(port)) {
            hand.newRig("By keys alone");
            hand.addBox("Four-switch floor board", "Left board");
            hand.addBox("Stage mixer, 12 strips", "Mixer");
            assertThat(after(hand, "#undo")).startsWith("Taken back: Add Mixer.");
            assertThat(hand.page.evaluate(HERE)).asString().startsWith("button / undo");
            assertThat(after(hand, "#redo")).startsWith("Made again: Add Mixer.");
            assertThat(after(hand, ".rail a[href$='/wiring']")).isEqualTo("Wiring, By keys alone");
            assertThat(hand.page.evaluate(HERE)).asString().startsWith("a ").contains("Wiring");
            assertThat(after(hand, ".brand")).isEqualTo("Rigs");
            assertThat(hand.page.evaluate(HERE)).asString().contains("Embrack");
        }
    }

    /** What is said after Enter there. */
    private static String after(Stagehand hand, String selector) {
        hand.page.evaluate(LISTEN);
        hand.page.locator(selector).first().press("Enter");
        return said(hand, true).getFirst();
    }

    /** All that was said, once something was, if anything will be, and everything is at work. */
    private static List<String> said(Stagehand hand, boolean willBe) {
        for (int i = 0; willBe && i < Browsers.PATIENCE / 50; i++) {
            if (!hand.page.evaluate("said.length").equals(0)) {
                break;
            }
            hand.page.waitForTimeout(50);
        }
        hand.untilAtWork();
        return ((List<?>) hand.page.evaluate("said"))
                .stream().map(Object::toString).toList();
    }

    /** A page of a cue that turns something round. */
    private static String toggledByACue(Stagehand hand, String rig) {
        hand.addBox("Scene desk, 6 chases", "Hall lights");
        hand.page.navigate(rig + "/songs/rope-and-kettle");
        hand.type("When", "1 1");
        hand.offer("What happens", "sound follow", "toggle").click();
        hand.at("\\?cue=\\d");
        hand.page.locator("form[hx-post*='/leaves']").first().waitFor();
        return hand.page.url();
    }

    private static boolean tried(Stagehand hand, Swap swap, String path, List<String> wrong) {
        hand.page.evaluate(LISTEN);
        boolean byItself = swap.attributes().getOrDefault("hx-trigger", "").startsWith("intersect");
        Locator acts = byItself ? hand.page.locator(".room-head a:visible") : acting(hand, swap);
        if (acts.count() == 0) {
            return false;
        }
        acts.first().focus();
        Object before = hand.page.evaluate(HERE);
        if (byItself) {
            hand.untilTried();
        } else {
            act(acts.first());
        }
        List<String> said = said(hand, !byItself);
        Object after = hand.page.evaluate(HERE);
        String where = "%s %s on %s".formatted(swap.template(), swap.selector(), path);
        if (!after.equals(before) && !isInPlaceOf(after, before)) {
            wrong.add("%s: from %s to %s".formatted(where, before, after));
        }
        if (said.size() != (byItself ? 0 : 1) || !byItself && said.toString().length() < 5) {
            wrong.add("%s says %s".formatted(where, said));
        }
        return true;
    }

    /** From the tape to its switch, where keys are keys again; from a button that is gone to what took its place. */
    private static boolean isInPlaceOf(Object after, Object before) {
        return before.toString().contains("switch-name")
                ? after.toString().startsWith("a ")
                : before.toString().startsWith("button") && after.toString().startsWith("button");
    }

    /** What somebody acts on: the fields that it listens to, a field of its own, a button. */
    private static Locator acting(Stagehand hand, Swap swap) {
        if (swap.template().equals("frame/page.html")) {
            hand.page.locator("#pad-button").click();
        }
        Matcher from = FROM.matcher(swap.attributes().getOrDefault("hx-trigger", ""));
        if (from.find()) {
            return hand.page.locator(from.group(1) + ":visible");
        }
        Locator self = hand.page.locator(swap.selector() + ":visible");
        if (swap.selector().startsWith("button")) {
            return self;
        }
        for (String field : List.of(
                "select",
                "input[type=radio]:not(:checked)",
                "input[type=checkbox]",
                "input:not([type=hidden]):not([type=radio])",
                "textarea",
                "button")) {
            Locator fields = self.locator(field + ":visible");
            if (fields.count() > 0) {
                return fields;
            }
        }
        return self.locator("nothing");
    }

    private static void act(Locator field) {
        switch (String.valueOf(field.evaluate("e => e.localName + ' ' + e.type"))) {
            case "select select-one" ->
                field.selectOption(String.valueOf(field.evaluate(
                        "e => [...e.options].find(o => !o.selected && !o.disabled && o.value !== '').value")));
            case "input radio", "input checkbox" -> field.press("Space");
            case "textarea textarea" -> field.fill("mute");
            case "input number" -> {
                field.press("ArrowUp");
                field.press("Enter");
            }
            default -> {
                if (Boolean.TRUE.equals(
                        field.evaluate("e => e.id === 'find' || e.matches('#pad-q, #find-model, .try-field')"))) {
                    field.fill("60");
                } else {
                    field.press("Enter");
                }
            }
        }
    }
}
