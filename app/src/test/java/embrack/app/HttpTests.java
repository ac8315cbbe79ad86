package embrack.app;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.store.Hand;
import embrack.app.store.ModelStore;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.crew.CrewId;
import embrack.core.edit.GearEdit;
import embrack.core.gear.ModelId;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.files.model.ModelFile;
import embrack.files.plan.PlanFile;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What other programs see of the server. */
@AppTest
class HttpTests {

    private final HttpClient client = HttpClient.newHttpClient();

    @LocalServerPort
    private int port;

    /** How long an answer may take to begin on a machine that does other things. */
    private static final Duration PATIENCE = Duration.ofSeconds(60);

    @Autowired
    private RigStore rigs;

    @Autowired
    private ModelStore models;

    @Test
    void theSchemaIsServedAsItIsPublished() throws IOException, InterruptedException {
        HttpResponse<String> response = send(HttpRequest.newBuilder(uri(PlanFile.SCHEMA)));
        assertThat(response.statusCode()).isEqualTo(200);
        assertThat(response.headers().firstValue("Content-Type")).contains("application/schema+json");
        assertThat(response.body()).isEqualTo(Files.readString(Path.of("../docs" + PlanFile.SCHEMA)));
    }

    @Test
    void whoseWorkShipsIsTold() throws IOException, InterruptedException {
        assertThat(send(HttpRequest.newBuilder(uri("/third-party.txt"))).body())
                .contains("bulma", "htmx.org", "icu4j", "org.postgresql:postgresql", "SIL Open Font License")
                .doesNotContain("playwright", "jqwik");
    }

    /** Where no box goes by such words, one can be described, which then goes into this rig. */
    @Test
    void aSearchWithoutBoxesLeadsToDescribingOne() throws IOException, InterruptedException {
        HttpResponse<String> answer = send(HttpRequest.newBuilder(uri("/rigs/1/gear?find=zither")));
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body()).contains("Nothing is called so.", "href=\"/models?rig=1\"");
    }

    /** One address in two languages: neither reader gets the page that was drawn for the other. */
    @Test
    void pagesSpeakTheLanguageOfTheirReaderAsFarAsThereAreWords() throws IOException, InterruptedException {
        for (int round = 0; round < 2; round++) {
            assertThat(page("zz"))
                    .contains(">Gurr<", "luk", "exakto", ">Wiring<", "aria-label=\"Rumms\"", ">Programmik shiits<")
                    .doesNotContain(">Gear<");
            assertThat(page("en")).contains(">Gear<").doesNotContain("Gurr", "luk", "exakto");
            assertThat(page("qq")).as("a language that nobody taught it").contains(">Gear<");
        }
    }

    private String page(String language) throws IOException, InterruptedException {
        return send(HttpRequest.newBuilder(uri("/rigs/1/preflight"))
                        .header("Accept", "text/html")
                        .header("Accept-Language", language))
                .body();
    }

    /** A page that is drawn once is drawn anew when a rig comes, or a model, that it shows. */
    @Test
    void drawnPagesFollowWhatIsInNoPlan() throws IOException, InterruptedException {
        String model = "/models/rack-mixer-24";
        assertThat(send(HttpRequest.newBuilder(uri(model)).header("Accept", "text/html"))
                        .body())
                .doesNotContain("Lantern pier");
        Plan plan = PlanFile.read(Files.readString(Path.of("../docs/examples/mute-board.json")));
        RigId rig = rigs.create(new GearEdit.RenameRig("Lantern pier").apply(plan), "Make it");
        assertThat(send(HttpRequest.newBuilder(uri(model)).header("Accept", "text/html"))
                        .body())
                .contains("Lantern pier");
        String gear = "/rigs/%s/gear".formatted(rig);
        assertThat(send(HttpRequest.newBuilder(uri(gear)).header("Accept", "text/html"))
                        .body())
                .doesNotContain("Pier mixer");
        ModelId added = models.create(
                        CrewId.FIRST,
                        Hand.ANY,
                        ModelFile.read(Files.readString(Path.of("../docs/examples/lantern-desk.model.json"))
                                .replaceFirst("\"name\" : \"[^\"]*\"", "\"name\" : \"Pier mixer\"")),
                        "New model")
                .id();
        assertThat(send(HttpRequest.newBuilder(uri(gear)).header("Accept", "text/html"))
                        .body())
                .contains("Pier mixer");
        models.delete(CrewId.FIRST, added);
        assertThat(send(HttpRequest.newBuilder(uri(gear)).header("Accept", "text/html"))
                        .body())
                .doesNotContain("Pier mixer");
    }

    @Test
    void formsOfOtherPagesCannotEditARig() throws IOException, InterruptedException {
        int before = rigs.list().size();
        HttpResponse<String> response = send(HttpRequest.newBuilder(uri("/rigs"))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("Accept", "text/html")
                .header("Origin", "http://elsewhere.example")
                .POST(HttpRequest.BodyPublishers.ofString("name=Planted")));
        assertThat(response.statusCode()).isEqualTo(403);
        assertThat(response.body()).contains("came from elsewhere");
        assertThat(rigs.list()).hasSize(before);
    }

    /** Whoever listens to a rig hears of its new revision, and of no other rig's. */
    @Test
    void openPagesAreToldOfChanges() throws IOException, InterruptedException {
        RigId watched = rigs.create(Plan.empty(new TapeLabel("Watched")), "Make it");
        RigId other = rigs.create(Plan.empty(new TapeLabel("Other")), "Make it");
        HttpResponse<InputStream> stream = client.send(
                HttpRequest.newBuilder(uri("/rigs/%s/changes".formatted(watched)))
                        .timeout(PATIENCE)
                        .build(),
                HttpResponse.BodyHandlers.ofInputStream());
        assertThat(stream.headers().firstValue("Content-Type").orElse("")).startsWith("text/event-stream");
        try (var reader = new BufferedReader(new InputStreamReader(stream.body(), StandardCharsets.UTF_8))) {
            rigs.edit(other, Hand.ANY, new GearEdit.RenameRig("Something else"));
            rigs.edit(watched, Hand.ANY, new GearEdit.RenameRig("Watched"));
            rigs.edit(watched, Hand.ANY, new GearEdit.RenameRig("Seen"));
            List<String> lines = new ArrayList<>();
            while (!lines.contains("data:2")) {
                lines.add(reader.readLine());
            }
            assertThat(lines)
                    .as("the newest on connecting; an edit that changes nothing tells nothing")
                    .contains("event:revision")
                    .doesNotContain("data:3");
            assertThat(lines.stream().filter(line -> line.startsWith("data:")))
                    .contains("data:2")
                    .isSubsetOf("data:1", "data:2");
        }
    }

    @Test
    void aRigThatIsNotThereHasNoChanges() throws IOException, InterruptedException {
        assertThat(send(HttpRequest.newBuilder(uri("/rigs/999999/changes"))).statusCode())
                .isEqualTo(404);
    }

    /** As many pages of a rig are told as is said; the next is told that it is not, and another rig's are. */
    @Test
    void openStreamsAreCounted() throws Exception {
        RigId rig = rigs.create(Plan.empty(new TapeLabel("Crowded")), "Make it");
        RigId other = rigs.create(Plan.empty(new TapeLabel("Quiet")), "Make it");
        List<InputStream> open = new ArrayList<>();
        try {
            for (int i = 0; i < 256; i++) {
                HttpResponse<InputStream> stream = client.send(
                        HttpRequest.newBuilder(uri("/rigs/%s/changes".formatted(rig)))
                                .timeout(PATIENCE)
                                .build(),
                        HttpResponse.BodyHandlers.ofInputStream());
                assertThat(stream.statusCode()).isEqualTo(200);
                open.add(stream.body());
            }
            HttpResponse<String> next = send(HttpRequest.newBuilder(uri("/rigs/%s/changes".formatted(rig))));
            assertThat(next.statusCode()).isEqualTo(503);
            assertThat(next.body()).contains("Too many pages listen already");
            HttpResponse<InputStream> quiet = client.send(
                    HttpRequest.newBuilder(uri("/rigs/%s/changes".formatted(other)))
                            .timeout(PATIENCE)
                            .build(),
                    HttpResponse.BodyHandlers.ofInputStream());
            assertThat(quiet.statusCode()).isEqualTo(200);
            open.add(quiet.body());
            rigs.edit(rig, Hand.ANY, new GearEdit.RenameRig("Still edited"));
        } finally {
            for (InputStream stream : open) {
                stream.close();
            }
        }
    }

    /** Under another name, or for a page of another origin, the server answers nothing of a rig. */
    @Test
    void otherNamesAndOriginsAreRefused() throws IOException {
        for (String head : List.of(
                "Host: elsewhere.example",
                "Host: elsewhere.example:%d".formatted(port),
                "Host: 127.0.0.1:%d\r\nOrigin: http://elsewhere.example".formatted(port),
                "Host: localhost:%d\r\nOrigin: null".formatted(port))) {
            assertThat(raw(head)).as(head).matches("(?s)HTTP/1.1 (421|403) .*").doesNotContain("Quay rig");
        }
        assertThat(raw("Host: localhost:%d\r\nOrigin: http://localhost:%1$d".formatted(port)))
                .startsWith("HTTP/1.1 200")
                .contains("Quay rig", "Referrer-Policy: same-origin");
        assertThat(raw("Host: localhost:%d".formatted(port)))
                .containsPattern("Set-Cookie: XSRF-TOKEN=.*SameSite=Strict");
    }

    private String raw(String head) throws IOException {
        try (var socket = new Socket("127.0.0.1", port)) {
            socket.getOutputStream()
                    .write("GET / HTTP/1.1\r\n%s\r\nAccept: text/html\r\nConnection: close\r\n\r\n"
                            .formatted(head)
                            .getBytes(StandardCharsets.US_ASCII));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    /** A page that many read is drawn once a revision; each reader has a token of its own in it. */
    @Test
    void pagesAreDrawnOnceARevision() throws IOException, InterruptedException {
        RigId rig = rigs.create(Plan.empty(new TapeLabel("Read often")), "Make it");
        URI page = uri("/rigs/%s/wiring/table".formatted(rig));
        List<String> bodies = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            bodies.add(send(HttpRequest.newBuilder(page).header("Accept", "text/html"))
                    .body());
        }
        assertThat(bodies).doesNotHaveDuplicates();
        assertThat(bodies.stream()
                        .map(body -> body.replaceAll("value=\"[^\"]{60,}\"", "token"))
                        .distinct())
                .hasSize(1)
                .allMatch(body -> body.contains("Read often"));
        assertThat(send(HttpRequest.newBuilder(page)
                                .header("Accept", "text/html")
                                .header("Cookie", "ground=stage"))
                        .body())
                .contains("data-theme=\"dark\"");
        assertThat(send(HttpRequest.newBuilder(page)
                                .header("Accept", "text/html")
                                .header("Cookie", "ground=desk"))
                        .body())
                .contains("data-theme=\"light\"");
        String said =
                Base64.getUrlEncoder().withoutPadding().encodeToString("Said once.".getBytes(StandardCharsets.UTF_8));
        assertThat(send(HttpRequest.newBuilder(page)
                                .header("Accept", "text/html")
                                .header("Cookie", "said=" + said))
                        .body())
                .contains("Said once.");
        assertThat(send(HttpRequest.newBuilder(page).header("Accept", "text/html"))
                        .body())
                .doesNotContain("Said once.");
        HttpResponse<InputStream> packed = client.send(
                HttpRequest.newBuilder(page)
                        .header("Accept", "text/html")
                        .header("Accept-Encoding", "gzip, deflate")
                        .build(),
                HttpResponse.BodyHandlers.ofInputStream());
        assertThat(packed.headers().firstValue("Content-Encoding")).contains("gzip");
        String unpacked = new String(new GZIPInputStream(packed.body()).readAllBytes(), StandardCharsets.UTF_8);
        assertThat(unpacked.replaceAll("value=\"[^\"]{60,}\"", "token"))
                .isEqualTo(bodies.getFirst().replaceAll("value=\"[^\"]{60,}\"", "token"));
        assertThat(bodies).doesNotContain(unpacked);
        rigs.edit(rig, Hand.ANY, new GearEdit.RenameRig("Read anew"));
        assertThat(send(HttpRequest.newBuilder(page).header("Accept", "text/html"))
                        .body())
                .contains("Read anew")
                .doesNotContain("Read often");
    }

    @Test
    void pagesMayNotBeFramedAndLoadNothingFromElsewhere() throws IOException, InterruptedException {
        HttpResponse<String> response = send(HttpRequest.newBuilder(uri("/rigs/1/switches/voice-board/1/1")));
        assertThat(response.headers().firstValue("Content-Security-Policy").orElse(""))
                .contains("default-src 'self'", "frame-ancestors 'none'");
        assertThat(response.body()).doesNotContainPattern("(src|href)=\"https?://");
    }

    private HttpResponse<String> send(HttpRequest.Builder request) throws IOException, InterruptedException {
        return client.send(request.timeout(PATIENCE).build(), HttpResponse.BodyHandlers.ofString());
    }

    private URI uri(String path) {
        return URI.create("http://127.0.0.1:" + port + path);
    }
}
