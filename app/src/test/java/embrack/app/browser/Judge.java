package embrack.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * Judges the page that a browser shows: by axe-core, an independent checker of WCAG 2.2 (its copy is in
 * vendor/axe-core), and by what it can measure itself.
 */
final class Judge {

    private Judge() {}

    /**
     * What axe-core finds.
     *
     * @param where stands before each finding
     * @param stage whether text needs a contrast of 7:1
     */
    static List<String> accessible(Stagehand hand, String where, boolean stage) {
        hand.page.evaluate(axe());
        hand.untilDrawn();
        Map<?, ?> result = (Map<?, ?>) hand.page.evaluate("""
                stage => axe.run({resultTypes: ['violations'], rules: {'target-size': {enabled: true},
                  'color-contrast-enhanced': {enabled: stage}}}).then(r => ({ran: r.passes.length,
                  wrong: r.violations.map(v => v.id + ': ' + v.nodes
                      .map(n => n.target.join(' ') + ' ' + (n.any[0]?.message ?? ''))
                      .slice(0, 3).join('; '))}))""", stage);
        assertThat((Integer) result.get("ran")).isGreaterThan(5);
        return told(result.get("wrong"), where);
    }

    /** What goes on sideways, is smaller than 14 px, or is worked by hand and smaller than 24 px (WCAG 2.2, 2.5.8). */
    static List<String> fitting(Stagehand hand, String where) {
        hand.untilDrawn();
        return told(hand.page.evaluate("""
            () => {
              const name = e => e.outerHTML.slice(0, 90);
              const seen = [...document.querySelectorAll('body *')].filter(e => e.checkVisibility());
              const small = seen.filter(e => !e.matches('.rail small')
                && [...e.childNodes].some(n => n.nodeType === 3 && n.data.trim())
                && parseFloat(getComputedStyle(e).fontSize) < 14);
              const reached = e => (e.closest('label') ?? (e.matches('.tick-box') ? e.closest('li, tr') : e))
                .getBoundingClientRect();
              const isIn = e => e.matches('.sr-only, svg a:not(.pin), input[type=hidden]');
              const tiny = seen.filter(e => e.matches('a[href], button, input, select, textarea, summary')
                && !isIn(e) && !(getComputedStyle(e).display === 'inline' && reached(e).height >= 24)
                && Math.min(reached(e).width, reached(e).height) < 24);
              const wide = document.documentElement.scrollWidth > innerWidth ? ['is wide'] : [];
              return [...wide, ...small.map(e => 'small ' + name(e)), ...tiny.map(e => 'tiny ' + name(e))];
            }"""), where);
    }

    private static List<String> told(Object found, String where) {
        return ((List<?>) found).stream().map(each -> where + " " + each).toList();
    }

    private static String axe() {
        try (InputStream in = Objects.requireNonNull(Judge.class.getResourceAsStream("/vendor/axe-core/axe.min.js"))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
