package embrack.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Every link of every page, followed from the first page on; of pages that differ only by what they show, a few. */
@AppTest
class EveryLinkTests {

    private static final int OF_ONE_SHAPE = 2;
    private static final Pattern LINK = Pattern.compile("\\b(?:href|src|hx-get|data-changes)=\"(/[^\"#]*)");

    /** Of the first rig, which is the demo, and of all that is no rig's. */
    private static final Pattern OF_ANOTHER_RIG = Pattern.compile("/rigs/(?!1/)");

    /**
     * Words that frighten who is frightened by this language, and slips. The texts of boxes and charts, which go by
     * their manuals, are read by {@link #words} as little as what a box is sent.
     */
    private static final Pattern NOBODY_SAYS = Pattern.compile(
            "one-shot|\\balternat\\w+|\\bturn(s|ed)? (it |them |\\w+ )?round\\b|\\bdut(y|ies)\\b|\\bstraight on\\b"
                    + "|\\bno way\\b|\\bvirtual\\b|\\\\u[0-9a-f]{4}|\\b1 lines\\b|\\ban USB\\b|pplys\\b",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern NOT_READ =
            Pattern.compile("(?s)<(script|style|pre|code|textarea)\\b.*?</\\1>|<!--.*?-->");
    private static final Pattern READ_OUT = Pattern.compile("(?:aria-label|title|placeholder)=\"([^\"]*)\"");

    private final HttpClient client =
            HttpClient.newBuilder().followRedirects(HttpClient.Redirect.NORMAL).build();

    @LocalServerPort
    private int port;

    @Test
    void leadsSomewhere() throws IOException, InterruptedException {
        Map<String, String> broken = new TreeMap<>();
        Map<String, Integer> ofShape = new HashMap<>();
        Set<String> unsaid = new TreeSet<>();
        Set<String> seen = new HashSet<>(Set.of("/"));
        Deque<String> left = new ArrayDeque<>(seen);
        while (!left.isEmpty()) {
            String path = left.removeFirst();
            HttpResponse<String> page = get(path);
            if (page.statusCode() != 200) {
                broken.put(path, String.valueOf(page.statusCode()));
            }
            boolean isPage = page.headers()
                    .firstValue("Content-Type")
                    .filter(type -> type.startsWith("text/html"))
                    .isPresent();
            Matcher said = NOBODY_SAYS.matcher(isPage ? words(page.body()) : "");
            while (said.find()) {
                unsaid.add(path + ": " + said.group());
            }
            Matcher link = LINK.matcher(isPage ? page.body() : "");
            while (link.find()) {
                String to = link.group(1).replace("&amp;", "&");
                if (!to.endsWith("/changes")
                        && !OF_ANOTHER_RIG.matcher(to).lookingAt()
                        && seen.add(to)
                        && ofShape.merge(shape(to), 1, Integer::sum) <= OF_ONE_SHAPE) {
                    left.add(to);
                }
            }
        }
        assertThat(broken).isEmpty();
        assertThat(NOBODY_SAYS
                        .matcher(words("<p title=\"It turns it round\">x</p>"))
                        .find())
                .isTrue();
        assertThat(unsaid).as("words that nobody would say").isEmpty();
        assertThat(ofShape).hasSizeGreaterThan(60);
    }

    /** What a page says, to eyes and to ears. */
    private static String words(String page) {
        String read = NOT_READ.matcher(page).replaceAll(" ");
        String heard =
                READ_OUT.matcher(read).results().map(found -> found.group(1)).collect(Collectors.joining(" . "));
        return (read.replaceAll("<[^>]*>", " ") + heard).replaceAll("\\s+", " ");
    }

    /** What no rig has is told with its status, in words, with a way on. */
    @Test
    void whatIsNotThereIsNotFound() throws IOException, InterruptedException {
        for (String path : new String[] {
            "songs/none",
            "songs/none/how",
            "songs/none/capture",
            "switches/none/1/1",
            "switches/quay-board/99/1",
            "order/none",
            "gear/none"
        }) {
            HttpResponse<String> page = get("/rigs/1/" + path);
            assertThat(page.statusCode()).as(path).isEqualTo(404);
            assertThat(page.body()).contains("There is no such").contains("To those that are there");
        }
    }

    private HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return client.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:%d%s".formatted(port, path.replace(" ", "%20"))))
                        .header("Accept", "text/html, */*;q=0.5")
                        .build(),
                HttpResponse.BodyHandlers.ofString(StandardCharsets.UTF_8));
    }

    /** What is asked for, whichever box, song, switch or number it is asked of. */
    private static String shape(String path) {
        String[] halves = path.split("\\?", 2);
        String asked = halves.length == 1 ? "" : halves[1].replaceAll("=[^&]*", "");
        return halves[0]
                        .replaceAll("/\\d+", "/1")
                        .replaceAll("(/(?:gear|songs|order|switches|models|library)/)[^/?]+", "$1x")
                + "?" + asked;
    }
}
