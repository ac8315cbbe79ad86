package embrack.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Somebody with a browser of their own, who sends what pages would send. */
public final class Caller {

    /** The status that {@link Knocking} gives. */
    public static final int LET_IN = 299;

    static final String KNOCK = "Knock";

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    private static final Pattern LINK = Pattern.compile("class=\"the-link\">[^<]*?(/(?:join|tonight|share)/[^<]+)<");

    private String address;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .cookieHandler(cookies)
            .build();
    private String token = "";

    public Caller(int port) {
        this.address = "http://127.0.0.1:" + port;
    }

    /** Goes on at another server. */
    public Caller goTo(int port) {
        address = "http://127.0.0.1:" + port;
        return this;
    }

    /** What a path answers, without following anything. */
    public HttpResponse<String> get(String path) {
        return send(HttpRequest.newBuilder(URI.create(address + path)).header("Accept", "text/html"));
    }

    /** What a path answers to somebody with a key. */
    public HttpResponse<String> get(String path, String key) {
        return send(HttpRequest.newBuilder(URI.create(address + path)).header("Authorization", "Bearer " + key));
    }

    /** A file. */
    public byte[] file(String path) {
        return send(HttpRequest.newBuilder(URI.create(address + path)), HttpResponse.BodyHandlers.ofByteArray())
                .body();
    }

    /** Sends a form with the token of the last page. */
    public HttpResponse<String> post(String path, String... fields) {
        return send(form(path, fields));
    }

    /** Sends a form with a mark that is the same each time that it is sent again. */
    public HttpResponse<String> postOnce(String mark, String path, String... fields) {
        return send(form(path, fields).header("Idempotency-Key", mark));
    }

    private HttpRequest.Builder form(String path, String... fields) {
        String form = IntStream.range(0, fields.length / 2)
                .mapToObj(i -> fields[2 * i] + "=" + URLEncoder.encode(fields[2 * i + 1], StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        return HttpRequest.newBuilder(URI.create(address + path))
                .header("Accept", "text/html")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("X-XSRF-TOKEN", token())
                .POST(HttpRequest.BodyPublishers.ofString(form));
    }

    /** The status that a knock gets: {@link #LET_IN}, also for a page that was drawn before; or what the doors say. */
    public int knock(String method, String path) {
        int status = send(HttpRequest.newBuilder(URI.create(address + path))
                        .header(KNOCK, "yes")
                        .header("Accept", "text/html")
                        .header("X-XSRF-TOKEN", token())
                        .method(method, HttpRequest.BodyPublishers.noBody()))
                .statusCode();
        return status == 200 ? LET_IN : status;
    }

    /** The link that a page shows once, from its first slash on. */
    public static String link(HttpResponse<String> page) {
        Matcher link = LINK.matcher(page.body());
        if (!link.find()) {
            throw new AssertionError("no link on %s: %s".formatted(page.uri(), page.body()));
        }
        return link.group(1);
    }

    /** Forgets the token, as a page does that is loaded anew. */
    public Caller anew() {
        token = "";
        return this;
    }

    /** Takes a cookie along that it was not given. */
    public Caller withCookie(String name, String value) {
        var cookie = new HttpCookie(name, value);
        cookie.setPath("/");
        cookie.setVersion(0);
        cookies.getCookieStore().add(URI.create(address), cookie);
        return this;
    }

    /** The value of a cookie; empty when there is none. */
    public String cookie(String name) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals(name))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }

    private String token() {
        if (token.isEmpty()) {
            for (String page : Arrays.asList("/sign-in", "/people", "/account")) {
                Matcher found = TOKEN.matcher(get(page).body());
                if (found.find()) {
                    token = found.group(1);
                    break;
                }
            }
        }
        return token;
    }

    private HttpResponse<String> send(HttpRequest.Builder request) {
        return send(request, HttpResponse.BodyHandlers.ofString());
    }

    private <T> HttpResponse<T> send(HttpRequest.Builder request, HttpResponse.BodyHandler<T> body) {
        try {
            return client.send(request.build(), body);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
