package embrack.app.browser;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import embrack.app.AppTest;
import embrack.core.Evening;
import embrack.core.Sketch;
import embrack.core.music.Position;
import embrack.core.plan.Plan;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.files.plan.PlanFile;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * Not a test: measures for bench/prompt-page.sh how long the browser's longest task is while a cue is dragged and the
 * page is scrolled, in songs of 200 and 2 000 cues. A task is one call of a frame's callbacks and layout, by the clock
 * of the page.
 */
@AppTest
class DragMeasurement {

    private static final String WATCH = """
            () => { window.__longest = 0; window.__last = performance.now();
              new PerformanceObserver(list => list.getEntries().forEach(
                e => { window.__longest = Math.max(window.__longest, e.duration); }))
                .observe({ entryTypes: ['longtask'] });
              const step = () => {
                const now = performance.now();
                window.__gap = Math.max(window.__gap ?? 0, now - window.__last);
                window.__last = now;
                requestAnimationFrame(step);
              };
              requestAnimationFrame(step); }""";

    @LocalServerPort
    private int port;

    @Test
    void measure() {
        for (int cues : new int[] {200, 2_000}) {
            try (Stagehand hand = new Stagehand(port)) {
                hand.importFile(PlanFile.write(plan(cues)).getBytes(StandardCharsets.UTF_8));
                Page page = hand.page;
                page.navigate(page.url().replace("/gear", "/songs/long?zoom=3"));
                page.waitForTimeout(500);
                BoundingBox box = page.locator(".pin rect").nth(5).boundingBox();
                page.evaluate(WATCH);
                page.mouse().move(box.x + 20, box.y + 8);
                page.mouse().down();
                for (int i = 1; i <= 120; i++) {
                    page.mouse().move(box.x + 20, box.y + 8 + (i % 60) * 3);
                }
                System.out.printf(
                        Locale.ROOT,
                        "%5d cues: dragging: longest task %s ms (0: none over 50), longest gap between "
                                + "frames %.1f ms%n",
                        cues,
                        page.evaluate("window.__longest"),
                        ((Number) page.evaluate("window.__gap")).doubleValue());
                page.evaluate("() => { window.__longest = 0; window.__gap = 0; window.__last = performance.now(); }");
                for (int i = 0; i < 60; i++) {
                    page.mouse().wheel(0, 120);
                }
                page.waitForTimeout(400);
                System.out.printf(
                        Locale.ROOT,
                        "%5d cues: scrolling: longest task %s ms, longest gap between frames %.1f ms%n",
                        cues,
                        page.evaluate("window.__longest"),
                        ((Number) page.evaluate("window.__gap")).doubleValue());
            }
        }
    }

    private static Plan plan(int cues) {
        Sketch sketch = Evening.rig().song("Long", "tempo 120\nAll: 240 bars\n");
        Song song = sketch.songOf("long");
        List<Cue> made = new ArrayList<>();
        long end = song.form().tempoMap().tick(Position.bar(241));
        for (int i = 0; i < cues; i++) {
            made.add(new Cue(
                    i + 1,
                    new Anchor.OnBar(song.form().tempoMap().position(end * i / cues)),
                    List.of(Sketch.stepOf((i % 2 == 0 ? "lantern-desk recall:scene-" : "guitar-sounds select:patch-")
                            + (1 + i % 12)))));
        }
        return sketch.plan().withBook(sketch.plan().book().with(song.withCues(made)));
    }
}
