package embrack.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A browser of few words: keeps cookies, sends forms with their token, follows nothing by itself. Loopback only. */
final class Visitor {

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    private final CookieManager cookies = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .cookieHandler(cookies)
            .connectTimeout(Duration.ofSeconds(5))
            .build();
    private URI home;
    private String token = "";

    /**
     * A visitor of a server.
     *
     * @param port on 127.0.0.1
     */
    Visitor(int port) {
        home = URI.create("http://127.0.0.1:%d/".formatted(port));
    }

    /** From now on at another server, as the same one there. */
    void goTo(int port) {
        home = URI.create("http://127.0.0.1:%d/".formatted(port));
        token = "";
    }

    /** What it brings along, as a header says it. */
    String cookies() {
        return cookies.getCookieStore().getCookies().stream()
                .map(cookie -> cookie.getName() + "=" + cookie.getValue())
                .collect(Collectors.joining("; "));
    }

    /** Whether a form can be sent at all. */
    boolean hasEntered() {
        return !token.isEmpty();
    }

    /** A page. */
    HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return client.send(request(path).build(), HttpResponse.BodyHandlers.ofString());
    }

    /** The lines of what is told for as long as somebody listens. */
    HttpResponse<Stream<String>> listen(String path) throws IOException, InterruptedException {
        return client.send(HttpRequest.newBuilder(home.resolve(path)).build(), HttpResponse.BodyHandlers.ofLines());
    }

    /** Takes the token that forms need from a page. */
    void enter(String path) throws IOException, InterruptedException {
        Matcher matcher = TOKEN.matcher(get(path).body());
        if (!matcher.find()) {
            throw new IOException("no form on " + path);
        }
        token = matcher.group(1);
    }

    /**
     * Sends a form.
     *
     * @param mark of the sending; the same for the same sending again, empty for none
     */
    HttpResponse<String> post(String path, Map<String, String> fields, String mark)
            throws IOException, InterruptedException {
        String form = fields.entrySet().stream()
                .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        HttpRequest.Builder request = request(path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(
                        form + "&_csrf=" + URLEncoder.encode(token, StandardCharsets.UTF_8)));
        return client.send(
                (mark.isEmpty() ? request : request.header("Idempotency-Key", mark)).build(),
                HttpResponse.BodyHandlers.ofString());
    }

    /** Sends a file in a form, in the field "file". */
    HttpResponse<String> send(String path, String content) throws IOException, InterruptedException {
        String edge = "a-boundary-of-ours";
        String part = "--%s\r\nContent-Disposition: form-data; name=\"%s\"%s\r\n\r\n%s\r\n";
        String body = part.formatted(edge, "_csrf", "", token)
                + part.formatted(edge, "file", "; filename=\"sent\"", content)
                + "--%s--\r\n".formatted(edge);
        return client.send(
                request(path)
                        .header("Content-Type", "multipart/form-data; boundary=" + edge)
                        .POST(HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(home.resolve(path))
                .header("Accept", "text/html")
                .timeout(Duration.ofSeconds(30));
    }
}
