package embrack.app;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.store.RigStore;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What other programs see of the server. */
@AppTest
class HttpTests {

    private final HttpClient client = HttpClient.newHttpClient();

    @LocalServerPort
    private int port;

    @Autowired
    private RigStore rigs;

    @Test
    void theSchemaIsServedAsItIsPublished() throws IOException, InterruptedException {
        HttpResponse<String> response = send(HttpRequest.newBuilder(uri("/schema/plan-3.schema.json")));
        assertThat(response.statusCode()).isEqualTo(200);
        assertThat(response.headers().firstValue("Content-Type")).contains("application/schema+json");
        assertThat(response.body()).isEqualTo(Files.readString(Path.of("../docs/schema/plan-3.schema.json")));
    }

    @Test
    void formsOfOtherPagesCannotEditARig() throws IOException, InterruptedException {
        int before = rigs.list().size();
        HttpResponse<String> response = send(HttpRequest.newBuilder(uri("/rigs")).header("Content-Type", "application/x-www-form-urlencoded")
                .header("Accept", "text/html").header("Origin", "http://elsewhere.example").POST(HttpRequest.BodyPublishers.ofString("name=Planted")));
        assertThat(response.statusCode()).isEqualTo(403);
        assertThat(response.body()).contains("came from elsewhere");
        assertThat(rigs.list()).hasSize(before);
    }

    @Test
    void pagesMayNotBeFramedAndLoadNothingFromElsewhere() throws IOException, InterruptedException {
        HttpResponse<String> response = send(HttpRequest.newBuilder(uri("/rigs/1/switches/voice-board/1/1")));
        assertThat(response.headers().firstValue("Content-Security-Policy").orElse("")).contains("default-src 'self'", "frame-ancestors 'none'");
        assertThat(response.body()).doesNotContainPattern("(src|href)=\"https?://");
    }

    private HttpResponse<String> send(HttpRequest.Builder request) throws IOException, InterruptedException {
        return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    private URI uri(String path) {
        return URI.create("http://127.0.0.1:" + port + path);
    }
}
