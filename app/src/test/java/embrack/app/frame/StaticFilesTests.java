package embrack.app.frame;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.AppTest;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.core.io.ClassPathResource;

@AppTest
class StaticFilesTests {

    /** What a first visit may cost, page, styles, scripts and the fonts of Latin text together, packed. */
    private static final int FIRST_VISIT = 150_000;

    private static final Pattern LINK = Pattern.compile("(?:href|src)=\"(/[0-9a-f]{16}/[^\"]+)\"");
    private static final Pattern IMPORT = Pattern.compile("from \"\\./([a-z]+\\.js)\"|import \"\\./([a-z]+\\.js)\"");
    private static final Pattern NAMES = Pattern.compile("[a-z][a-z0-9]*(?:-[a-z0-9]+)*");

    private final HttpClient client = HttpClient.newHttpClient();

    @LocalServerPort
    private int port;

    @Test
    void aFirstVisitIsSmallAndWhatItBroughtIsKept() throws IOException, InterruptedException {
        HttpResponse<byte[]> page = get("/", true);
        String html = new String(get("/", false).body(), StandardCharsets.UTF_8);
        Deque<String> left = new ArrayDeque<>(
                LINK.matcher(html).results().map(m -> m.group(1)).toList());
        String below = left.getFirst().substring(0, 18);
        left.add(below + "fonts/atkinson-hyperlegible-next-latin-wght-normal.woff2");
        left.add(below + "fonts/atkinson-hyperlegible-mono-latin-wght-normal.woff2");
        Set<String> seen = new TreeSet<>();
        int bytes = page.body().length;
        while (!left.isEmpty()) {
            String path = left.removeFirst();
            if (!seen.add(path)) {
                continue;
            }
            HttpResponse<byte[]> file = get(path, true);
            assertThat(file.statusCode()).as(path).isEqualTo(200);
            assertThat(file.headers().firstValue("Cache-Control").orElse(""))
                    .as(path)
                    .contains("max-age=31536000", "immutable");
            assertThat(file.headers().firstValue("Content-Encoding").isPresent())
                    .isEqualTo(!path.matches(".*\\.(woff2|png)"));
            bytes += file.body().length;
            if (path.endsWith(".js") && !path.contains("webjars")) {
                Matcher imports = IMPORT.matcher(new String(get(path, false).body(), StandardCharsets.UTF_8));
                while (imports.find()) {
                    left.add(below + (imports.group(1) == null ? imports.group(2) : imports.group(1)));
                }
            }
        }
        assertThat(seen).hasSizeGreaterThan(20);
        assertThat(bytes).isLessThan(FIRST_VISIT);
    }

    /** Without the number nothing is kept, since it may be another file tomorrow. */
    @Test
    void whatHasNoNumberIsAskedForAnew() throws IOException, InterruptedException {
        HttpResponse<byte[]> file = get("/frame.css", true);
        assertThat(file.statusCode()).isEqualTo(200);
        assertThat(file.headers().firstValue("Cache-Control").orElse("")).contains("no-store");
        assertThat(get("/0123456789abcdef/frame.css", true).statusCode()).isEqualTo(404);
    }

    /** Of the library of styles only what pages use is sent; nothing that they use was left out of it. */
    @Test
    void noStyleThatPagesUseWasLeftOut() throws IOException {
        String whole = new ClassPathResource("META-INF/resources/webjars/bulma/1.0.4/css/bulma.min.css")
                .getContentAsString(StandardCharsets.UTF_8);
        String sent = new ClassPathResource("static/bulma.css").getContentAsString(StandardCharsets.UTF_8);
        Set<String> used = new TreeSet<>();
        for (Path template : templates()) {
            Matcher names = NAMES.matcher(Files.readString(template));
            while (names.find()) {
                used.add(names.group());
            }
        }
        List<String> styled = used.stream().filter(name -> has(whole, name)).toList();
        assertThat(styled).contains("button", "is-primary", "table").hasSizeGreaterThan(10);
        assertThat(styled)
                .as("copy the rules of these from Bulma's sheet into static/bulma.css")
                .allMatch(name -> has(sent, name));
    }

    private static boolean has(String sheet, String name) {
        return Pattern.compile("\\." + name + "(?![\\w-])").matcher(sheet).find();
    }

    private static List<Path> templates() throws IOException {
        try (Stream<Path> files = Files.walk(Path.of("src/main/resources/templates"))) {
            return files.filter(path -> path.toString().endsWith(".html")).collect(Collectors.toList());
        }
    }

    private HttpResponse<byte[]> get(String path, boolean packed) throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .header("Accept", "*/*");
        return client.send(
                (packed ? request.header("Accept-Encoding", "gzip") : request).build(),
                HttpResponse.BodyHandlers.ofByteArray());
    }
}
