package embrack.app;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What is sent: each kind of file has one limit, and what is over it is told on a calm page. */
@AppTest
class UploadTests {

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    private static final String BOUNDARY = "a-boundary-of-ours";

    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();

    @LocalServerPort
    private int port;

    @Autowired
    private RigStore rigs;

    private String token = "";
    private RigId rig = new RigId(1);

    @BeforeEach
    void enter() throws IOException, InterruptedException {
        rig = rigs.create(Plan.empty(new TapeLabel("Uploads")), "New rig");
        Matcher matcher = TOKEN.matcher(client.send(
                        HttpRequest.newBuilder(uri("/"))
                                .header("Accept", "text/html")
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .body());
        assertThat(matcher.find()).isTrue();
        token = matcher.group(1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/rigs/import | 17 | 422 | This file has 17.0 MB; a plan has at most 16 MB.",
                "/rigs/import | 60 | 422 | This file has 60.0 MB; a plan has at most 16 MB.",
                "/model-files | 17 | 422 | This file has 17.0 MB; a model has at most 16 MB.",
                "/rigs/{id}/songs/import | 17 | 422 | This file has 17.0 MB; a MIDI file has at most 16 MB.",
                "/rigs/import | 70 | 413 | A MIDI file, a plan or a model has at most 16 MB, a CSV file "
                        + "4 MB, a text 1 MB.",
                "/rigs/import | 0 | 422 | Choose a plan first."
            })
    void whatIsTooLargeIsRefusedInWords(String path, int megabytes, int status, String words)
            throws IOException, InterruptedException {
        HttpResponse<String> answer = upload(path.replace("{id}", rig.toString()), new byte[megabytes << 20]);
        assertThat(answer.statusCode()).isEqualTo(status);
        assertThat(answer.body()).contains(words);
    }

    @Test
    void aTextThatIsTooLargeIsRefusedInWords() throws IOException, InterruptedException {
        for (int megabytes : List.of(2, 20)) {
            HttpResponse<String> answer = client.send(
                    HttpRequest.newBuilder(uri("/rigs/%s/songs".formatted(rig)))
                            .header("Content-Type", "application/x-www-form-urlencoded")
                            .header("Accept", "text/html")
                            .POST(HttpRequest.BodyPublishers.ofString(
                                    "_csrf=" + token + "&title=x&how=" + "a".repeat(megabytes << 20)))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            assertThat(answer.statusCode()).isEqualTo(413);
            assertThat(answer.body()).contains("a text 1 MB");
        }
        assertThat(rigs.load(rig).revision()).isEqualTo(1);
    }

    /**
     * Eight at once of the largest that is allowed, all control changes: what is kept of each is bounded, and one is
     * read at a time.
     */
    @Test
    void manyLargeFilesAtOnceAreReadOneByOne() throws Exception {
        byte[] file = controlChanges(16 << 20);
        try (ExecutorService people = Executors.newFixedThreadPool(8)) {
            Callable<HttpResponse<String>> person = () -> upload("/rigs/%s/songs/import".formatted(rig), file);
            for (Future<HttpResponse<String>> done : people.invokeAll(Collections.nCopies(8, person))) {
                assertThat(done.get().statusCode()).isEqualTo(200);
                assertThat(done.get().body()).contains("more than 100,000 messages, as many as are read");
            }
        }
        assertThat(rigs.load(rig).plan().book().songs())
                .as("nothing is kept before somebody says so")
                .isEmpty();
    }

    private static byte[] controlChanges(int length) {
        byte[] track = new byte[length - 22];
        Arrays.fill(track, (byte) 7);
        track[0] = 0;
        track[1] = (byte) 0xB0;
        for (int i = 4; i < track.length; i += 3) {
            track[i] = 0;
        }
        return ByteBuffer.allocate(length)
                .put("MThd".getBytes(StandardCharsets.US_ASCII))
                .putInt(6)
                .putShort((short) 0)
                .putShort((short) 1)
                .putShort((short) 480)
                .put("MTrk".getBytes(StandardCharsets.US_ASCII))
                .putInt(track.length)
                .put(track)
                .array();
    }

    private HttpResponse<String> upload(String path, byte[] content) throws IOException, InterruptedException {
        var body = new ByteArrayOutputStream();
        body.writeBytes("--%s\r\nContent-Disposition: form-data; name=\"_csrf\"\r\n\r\n%s\r\n"
                .formatted(BOUNDARY, token)
                .getBytes(StandardCharsets.UTF_8));
        body.writeBytes(("--%s\r\nContent-Disposition: form-data; name=\"file\"; "
                        + "filename=\"sent.mid\"\r\nContent-Type: application/octet-stream\r\n\r\n")
                .formatted(BOUNDARY)
                .getBytes(StandardCharsets.UTF_8));
        body.writeBytes(content);
        body.writeBytes("\r\n--%s--\r\n".formatted(BOUNDARY).getBytes(StandardCharsets.UTF_8));
        return client.send(
                HttpRequest.newBuilder(uri(path))
                        .header("Content-Type", "multipart/form-data; boundary=" + BOUNDARY)
                        .header("Accept", "text/html")
                        .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private URI uri(String path) {
        return URI.create("http://127.0.0.1:" + port + path);
    }
}
