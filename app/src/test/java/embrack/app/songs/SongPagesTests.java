package embrack.app.songs;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.AppTest;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What the pages of songs and orders answer, to odd questions too. */
@AppTest
class SongPagesTests {

    @LocalServerPort
    private int port;

    @ParameterizedTest
    @ValueSource(strings = {"/songs/gone", "/songs/gone/how", "/songs/gone/capture"})
    void aLinkToASongThatIsGoneLeadsToTheList(String path) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = get(path, "HX-Request", "true");
        assertThat(answer.statusCode()).isEqualTo(302);
        assertThat(answer.headers().firstValue("Location").orElseThrow()).endsWith("/rigs/1/songs");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/songs/the-slow-boats?zoom=99&cue=4711&grid=7",
                "/songs/the-slow-boats?near=99999999999&on=gone",
                "/songs/the-slow-boats?near=1&grid=0&on=pictures",
                "/songs/the-slow-boats?at=soon&find=scene",
                "/songs/the-slow-boats/capture?keys=gone&grid=5",
                "/songs/the-slow-boats/capture?find=lantern",
                "/cues?device=gone&song=gone",
                "/cues?song=herring-lights",
                "/order/night-of-the-slow-boats?part=99",
                "/songs/the-slow-boats/song.mid?ticks=7",
                "/songs/gone/cues.csv",
                "/order/gone/order.csv"
            })
    void oddQuestionsAreAnsweredCalmly(String path) throws IOException, InterruptedException {
        assertThat(get(path).statusCode()).as(path).isIn(200, 302, 422);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "/songs/the-slow-boats/song.mid;audio/midi;MThd",
                "/songs/the-slow-boats/cues.csv;text/csv;Lantern desk,recall:scene-8",
                "/order/night-of-the-slow-boats/order.csv;text/csv;The keeper's tale,6:00,,E,on demand,0:05",
                "/order/night-of-the-slow-boats/order.ics;text/calendar;SUMMARY:The keeper's tale"
            })
    void filesGoOut(String path, String type, String words) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = get(path);
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.headers().firstValue("Content-Type").orElseThrow()).startsWith(type);
        assertThat(answer.headers().firstValue("Content-Disposition").orElseThrow())
                .startsWith("attachment; filename=");
        assertThat(new String(answer.body(), StandardCharsets.ISO_8859_1)).contains(words);
    }

    /** A long song with a press on every beat, and its release, is posted: no address is that long. */
    @Test
    void aLongCaptureIsLookedThrough() throws IOException, InterruptedException {
        String hits = IntStream.range(0, 2_000)
                .mapToObj(i -> "%d-%d,%d-%du".formatted(i * 60, 1 + i % 5, i * 60 + 30, 1 + i % 5))
                .collect(Collectors.joining(","));
        var client = HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
        URI capture = URI.create("http://127.0.0.1:%d/rigs/1/songs/the-slow-boats/capture".formatted(port));
        Matcher token = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"")
                .matcher(client.send(HttpRequest.newBuilder(capture).build(), HttpResponse.BodyHandlers.ofString())
                        .body());
        assertThat(token.find()).isTrue();
        HttpResponse<String> answer = client.send(
                HttpRequest.newBuilder(capture)
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(
                                "keys=quay-board&grid=0&hits=%s&_csrf=%s".formatted(hits, token.group(1))))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body()).contains("Keep 2000 cues");
        HttpResponse<String> refused = client.send(
                HttpRequest.newBuilder(URI.create(capture + "/keep"))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(
                                "keys=quay-board&hits=900-3u,1200-4u&_csrf=" + token.group(1)))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body())
                .as("what was captured is not lost")
                .contains("Nothing was captured that could be kept.", "900-3u,1200-4u");
    }

    private HttpResponse<byte[]> get(String path) throws IOException, InterruptedException {
        return get(path, "Accept", "*/*");
    }

    private HttpResponse<byte[]> get(String path, String header, String value)
            throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:%d/rigs/1%s".formatted(port, path)))
                                .header(header, value)
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
    }
}
