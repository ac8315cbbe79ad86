package embrack.app.door;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.decoder.Decoder;
import embrack.app.EmbrackApplication;
import embrack.app.ThrowAwayCluster;
import java.io.IOException;
import java.net.CookieManager;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.atomic.AtomicReference;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.Test;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** The door for tablets: HTTPS with a certificate of its own, behind a passphrase, slow after wrong tries. */
class SecondDoorTests {

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    @Test
    void aTabletIsLetInByThePassphraseAlone() throws Exception {
        Path store = certificate();
        int plain = freePort();
        int secure = freePort();
        try (ConfigurableApplicationContext server = SpringApplication.run(
                EmbrackApplication.class,
                "--spring.datasource.url=" + ThrowAwayCluster.shared().url(),
                "--server.port=" + plain,
                "--embrack.lan.address=127.0.0.1",
                "--embrack.lan.port=" + secure,
                "--embrack.lan.name=localhost",
                "--embrack.lan.keystore=" + store,
                "--embrack.lan.keystore-password=password",
                "--embrack.lan.passphrase=slow boats by lantern")) {
            assertThat(server.isRunning()).isTrue();
            HttpClient tablet = tablet(store);
            URI door = URI.create("https://localhost:%d/door".formatted(secure));
            URI rigs = door.resolve("/");
            assertThat(get(tablet, rigs).headers().firstValue("Location"))
                    .hasValueSatisfying(to -> assertThat(to).endsWith("/door"));
            assertThat(post(tablet, door.resolve("/rigs"), "name=Planted", door).statusCode())
                    .isEqualTo(403);
            assertThat(get(tablet, door.resolve("/actuator/health")).statusCode())
                    .isEqualTo(302);
            for (int i = 0; i < 3; i++) {
                HttpResponse<String> wrong = knock(tablet, door, "slow boats");
                assertThat(wrong.statusCode()).isEqualTo(422);
                assertThat(wrong.body()).contains("That is not the passphrase.");
            }
            HttpResponse<String> slow = knock(tablet, door, "slow boats by lantern");
            assertThat(slow.statusCode())
                    .as("even the right one waits after wrong tries")
                    .isEqualTo(429);
            assertThat(slow.body()).contains("Wait 1 second");
            HttpResponse<String> in = slow;
            for (int tries = 0; in.statusCode() == 429 && tries < 200; tries++) {
                in = knock(tablet, door, "slow boats by lantern");
            }
            assertThat(in.statusCode()).isEqualTo(302);
            assertThat(in.headers().allValues("Set-Cookie"))
                    .anySatisfy(
                            cookie -> assertThat(cookie).contains("pass=", "Secure", "HttpOnly", "SameSite=Strict"));
            assertThat(get(tablet, rigs).body()).contains("Your rigs");
            assertThat(get(HttpClient.newHttpClient(), URI.create("http://127.0.0.1:%d/".formatted(plain)))
                            .body())
                    .as("this machine as before")
                    .contains("Your rigs");
        }
    }

    @Test
    void passesEndAndCannotBeMade() {
        var now = new AtomicReference<>(Instant.parse("2027-01-01T12:00:00Z"));
        var passphrase = new Passphrase("four words are enough", "salt", now::get);
        String pass = passphrase.pass();
        assertThat(passphrase.holds(pass)).isTrue();
        assertThat(passphrase.holds(pass.replaceFirst("^\\d", "9"))).isFalse();
        assertThat(new Passphrase("other words", "salt", now::get).holds(pass)).isFalse();
        assertThat(new Passphrase("", "salt", now::get).is("")).isFalse();
        now.set(now.get().plus(Passphrase.HOLDS));
        assertThat(passphrase.holds(pass)).isFalse();
        for (String junk : new String[] {"", ".", "1", "1.", "x.y", "99999999999999999999.x"}) {
            assertThat(passphrase.holds(junk)).isFalse();
        }
    }

    @Test
    void wrongTriesWaitTwiceAsLongEachTime() {
        var nanos = new AtomicLong();
        var patience = new Patience(nanos::get);
        assertThat(waits(patience, nanos, 12)).containsExactly(0L, 0L, 1L, 2L, 4L, 8L, 16L, 32L, 64L, 128L, 256L, 300L);
        patience.right("here");
        assertThat(patience.wait("here")).isEqualTo(Duration.ZERO);
        for (int i = 0; i < 40; i++) {
            patience.wrong("place " + i);
        }
        assertThat(patience.wait("a new place"))
                .as("tries from everywhere together")
                .isGreaterThan(Duration.ofSeconds(60));
    }

    /** Read by the reader of the library that writes it, from the cells that the text shows. */
    @Test
    void theAddressIsReadFromTheTerminal() throws Exception {
        String address = "https://quay-laptop.local:8343/";
        List<String> lines = AddressCard.of(address)
                .replaceAll("\u001B\\[[0-9;]*m", "")
                .lines()
                .toList();
        var cells = new BitMatrix(lines.getFirst().length(), lines.size() * 2);
        for (int y = 0; y < lines.size(); y++) {
            for (int x = 0; x < cells.getWidth(); x++) {
                char c = lines.get(y).charAt(x);
                set(cells, x, 2 * y, c == '\u2588' || c == '\u2580');
                set(cells, x, 2 * y + 1, c == '\u2588' || c == '\u2584');
            }
        }
        int side = cells.getEnclosingRectangle()[2];
        var code = new BitMatrix(side);
        for (int i = 0; i < side * side; i++) {
            set(
                    code,
                    i % side,
                    i / side,
                    cells.get(
                            cells.getEnclosingRectangle()[0] + i % side, cells.getEnclosingRectangle()[1] + i / side));
        }
        assertThat(new Decoder().decode(code).getText()).isEqualTo(address);
    }

    private static void set(BitMatrix cells, int x, int y, boolean dark) {
        if (dark) {
            cells.set(x, y);
        }
    }

    private static List<Long> waits(Patience patience, AtomicLong nanos, int tries) {
        return IntStream.range(0, tries)
                .mapToObj(i -> {
                    patience.wrong("here");
                    long wait = patience.wait("here").toSeconds();
                    nanos.addAndGet(Duration.ofSeconds(wait).toNanos());
                    return wait;
                })
                .toList();
    }

    private static HttpResponse<String> knock(HttpClient tablet, URI door, String words)
            throws IOException, InterruptedException {
        return post(tablet, door, "words=" + words.replace(' ', '+'), door);
    }

    private static HttpResponse<String> post(HttpClient client, URI to, String form, URI page)
            throws IOException, InterruptedException {
        Matcher token = TOKEN.matcher(get(client, page).body());
        assertThat(token.find()).isTrue();
        return client.send(
                HttpRequest.newBuilder(to)
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .header("Accept", "text/html")
                        .POST(HttpRequest.BodyPublishers.ofString(form + "&_csrf=" + token.group(1)))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private static HttpResponse<String> get(HttpClient client, URI uri) throws IOException, InterruptedException {
        return client.send(
                HttpRequest.newBuilder(uri).header("Accept", "text/html").build(),
                HttpResponse.BodyHandlers.ofString());
    }

    /** A client that trusts that certificate and no other. */
    private static HttpClient tablet(Path store) throws Exception {
        KeyStore keys = KeyStore.getInstance(store.toFile(), "password".toCharArray());
        KeyStore trusted = KeyStore.getInstance("PKCS12");
        trusted.load(null, null);
        trusted.setCertificateEntry("embrack", keys.getCertificate("embrack"));
        var trust = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        trust.init(trusted);
        SSLContext tls = SSLContext.getInstance("TLS");
        tls.init(null, trust.getTrustManagers(), null);
        return HttpClient.newBuilder()
                .sslContext(tls)
                .cookieHandler(new CookieManager())
                .build();
    }

    /** As the start command makes it, with the keytool of the JDK. */
    private static Path certificate() throws IOException, InterruptedException {
        Path store = Files.createTempDirectory(Path.of("target"), "door-")
                .resolve("lan.p12")
                .toAbsolutePath();
        int status = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "keytool")
                                .toString(),
                        "-genkeypair",
                        "-alias",
                        "embrack",
                        "-keyalg",
                        "EC",
                        "-groupname",
                        "secp256r1",
                        "-validity",
                        "30",
                        "-dname",
                        "CN=localhost",
                        "-ext",
                        "SAN=dns:localhost,ip:127.0.0.1",
                        "-keystore",
                        store.toString(),
                        "-storetype",
                        "PKCS12",
                        "-storepass",
                        "password")
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start()
                .waitFor();
        assertThat(status).isZero();
        return store;
    }

    private static int freePort() throws IOException {
        try (var socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }
}
